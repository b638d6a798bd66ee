import { kitPeakTorque } from '../../drive/kitTorque.ts';
import { GRAVITY } from '../../constants.ts';
import { tyreRadius } from '../../quantity/tyre.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { set, choose } from '../remedies.ts';

/** A strong drive at the rear on a steep start: whether the front wheel lifts. */
export const wheelLift = kitRule(
  {
    id: 'wheel-lift',
    words: 'Front wheel lifting',
    group: 'use',
    uses: ['wheelbase', 'rearWheelShare', 'rearTyre'],
    source: 'Lifts when F·h > m·g·x·cosθ − m·g·sinθ·h, x from the rear contact; docs/models.md.',
  },
  (context, kit, say) => {
    const { gearing, steepest } = context;
    if (kit.hub?.place === 'front') return null;
    const loads = context.axleLoads;
    say.need('wheelbase');
    const angle = Math.atan(steepest);
    // The ring and cogs that will be on it, not the kit's or the donor's own.
    const lowest = kit.mid ? Math.max(...gearing.gears.map((gear) => gear.cog)) / gearing.ring : 1;
    const force = (kitPeakTorque(kit) * lowest) / tyreRadius(context.asItWillBe.tyres.rear);
    const weight = loads.totalKg * GRAVITY;
    const holds = weight * (loads.xM * Math.cos(angle) - loads.hM * Math.sin(angle));
    say.because(
      ruleFigure('Pull in the lowest gear', amount(force, 'force')),
      ruleFigure('Centre of mass, ahead of the rear wheel', amount(loads.xM, 'size', 0)),
      ruleFigure('and above the ground', amount(loads.hM, 'size', 0)),
      ruleFigure('Steepest stretch', amount(steepest, 'grade')),
    );
    if (force * loads.hM > holds)
      return say.rework(
        'The front wheel lifts on a hard start',
        phrase`${amount(force, 'force')} at ${amount(loads.hM, 'size', 0)} of height is more than the load in front holds down on ${amount(steepest, 'grade')}.`,
        set('ramp', phrase`Set a start ramp.`, { work: 10 }),
        set('gentler-level', phrase`Start in a gentler assist level.`),
        choose('higher-gear', phrase`Start in a higher gear.`),
        choose('load-in-front', phrase`Carry load in front rather than behind.`),
      );
    return say.fits(
      'The front wheel stays down',
      phrase`${amount(force, 'force')} of pull on the steepest stretch; it would lift at ${amount(Math.max(0, holds / loads.hM), 'force')}.`,
    );
  },
);
