import { kitPeakTorque } from '../../drive/kitTorque.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { set, choose } from '../remedies.ts';

/** Torque a mid-drive puts into a hub gear. */
export const hubGearTorque = kitRule(
  {
    id: 'hub-gear-torque',
    words: 'Torque into the hub gear',
    group: 'drivetrain',
    uses: ['clusterKind', 'hubGear', 'hubGearTorque', 'cogTeeth'],
    source:
      'Torque at the cog is torque at the ring ÷ (ring ÷ cog); a rider alone puts in up to some 60 N·m at the cranks.',
  },
  ({ build }, kit, say) => {
    if (!kit.mid || build.donor.survey.clusterKind?.value !== 'hubGear') return null;
    const bears = say.need('hubGearTorque');
    const cog = say.need('cogTeeth')?.[0];
    const atRing = kitPeakTorque(kit);
    say.because(partData('Motor’s peak at the ring', amount(atRing, 'torque')));
    if (bears === undefined || cog === undefined)
      return say.open(
        'What torque the hub gear bears not known',
        phrase`The motor gives ${amount(atRing, 'torque')} at the ring.`,
      );
    const atCog = (atRing * cog) / kit.mid.ringTeeth;
    say.because(ruleFigure('At the cog', amount(atCog, 'torque')));
    if (atCog > bears * 1.6)
      return say.stop(
        'Far too much torque for the hub gear',
        phrase`${amount(atCog, 'torque')} at the cog of a hub that bears ${amount(bears, 'torque')}.`,
        choose('weaker-motor', phrase`A weaker motor.`),
        choose('other-wheel', phrase`A hub motor in the other wheel.`),
        choose('derailleur', phrase`Derailleur gears.`),
      );
    if (atCog > bears)
      return say.rework(
        'More torque than the hub gear bears',
        phrase`${amount(atCog, 'torque')} at the cog; it bears ${amount(bears, 'torque')}.`,
        set(
          'phase-current',
          phrase`Set the phase current to ${Math.floor((bears / atCog) * 100)} %, and let up while shifting.`,
          { work: 20 },
        ),
      );
    return say.fits(
      'The hub gear bears the motor',
      phrase`${amount(atCog, 'torque')} at the cog of ${amount(bears, 'torque')}.`,
    );
  },
);
