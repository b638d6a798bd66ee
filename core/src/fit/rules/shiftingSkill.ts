import { ridingNow } from '../../build/brief.ts';
import { phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kindToBe } from '../gearsThatWillBe.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** A mid-drive wants a rider who shifts, and a sensor that lets up. */
export const shiftingSkill = kitRule(
  {
    id: 'shifting-skill',
    words: 'Shifting under power',
    group: 'use',
    uses: ['clusterKind'],
    source: 'A mid-drive works through the gears: unshifted it stalls on hills, shifted under power it breaks cogs.',
  },
  (context, kit, say) => {
    if (!kit.mid) return null;
    const rider = ridingNow(context.build.brief);
    const kind = kindToBe(context, say);
    say.because(
      ruleFigure('Rider', rider.neverShifts ? 'stays in one gear' : 'shifts'),
      partData('Shift sensor', kit.mid.shiftSensor ? 'comes with it' : 'none'),
    );
    if (rider.neverShifts)
      return say.rework(
        'A rider who does not shift',
        phrase`The motor pulls through one gear: too high on the hill, too low on the flat.`,
        choose('hub', phrase`A hub motor, which does not care.`),
        choose('one-gear', phrase`One ring and cog chosen for the hill.`),
      );
    if (kind === 'single')
      return say.fits('One gear, nothing to shift', phrase`Ring and cog must be chosen for the steepest start.`);
    if (kind === 'hubGear' && context.gearing.hubGear?.speeds === 'stepless')
      return say.fits(
        'A stepless hub, nothing to shift',
        phrase`Its ratio glides under load: no click, and nothing for a shift sensor to feel.`,
      );
    if (!kit.mid.shiftSensor)
      return say.rework(
        'No shift sensor',
        phrase`Shifting under a motor’s pull breaks cogs and chain.`,
        buy('shift-sensor', phrase`Add an in-line shift sensor to the gear cable.`, take('shift-sensor', 'leads'), {
          work: 30,
        }),
      );
    return say.fits(
      'A rider who shifts, a motor that lets up',
      phrase`The shift sensor cuts the motor for each shift.`,
    );
  },
);
