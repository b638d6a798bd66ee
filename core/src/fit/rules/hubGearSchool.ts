import { phrase } from '../../quantity/format.ts';
import { kindToBe } from '../gearsThatWillBe.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** A hub gear behind a mid-drive: smooth shifting, or too much in one hub. */
export const hubGearSchool = kitRule(
  {
    id: 'hub-gear-school',
    words: 'Hub gear and mid-drive',
    group: 'drivetrain',
    uses: ['clusterKind'],
    source: 'Two schools; see the setting.',
    school: 'hubGearMid',
  },
  (context, kit, say) => {
    const { build, gearing } = context;
    if (!kit.mid || !gearing.hubGear) return null;
    kindToBe(context, say);
    return build.schools.hubGearMid === 'complexity'
      ? say.rework(
          'A hub gear behind a motor, by your school',
          phrase`Your school holds it for too much in one hub: the torque limit is near and it is not mended at the roadside.`,
          buy(
            'derailleur-gears',
            phrase`Derailleur gears on a plain wheel.`,
            [take('plain-rear-wheel', 'rear wheel'), take('derailleur', 'chain'), take('shifter', 'bar')],
            { work: 120 },
          ),
          choose('front-motor', phrase`A front motor.`),
        )
      : say.fits(
          'A hub gear shifts smoothly behind a motor',
          phrase`It shifts at rest and keeps one chain line; let up for each shift.`,
        );
  },
);
