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
    source: 'Moments about the rear contact: lifts when F·h > m·g·x·cosθ, F the whole pull; docs/models.md.',
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
    // What holds the hill is part of the pull: about the rear contact it is counted once.
    const holds = weight * loads.xM * Math.cos(angle);
    const lifts = liftsFrom(force, loads.hM, weight * loads.xM);
    say.because(
      ruleFigure('Pull in the lowest gear', amount(force, 'force')),
      ruleFigure('Centre of mass, ahead of the rear wheel', amount(loads.xM, 'size', 0)),
      ruleFigure('and above the ground', amount(loads.hM, 'size', 0)),
      ruleFigure('Steepest stretch', amount(steepest, 'grade')),
    );
    if (force * loads.hM > holds)
      return say.rework(
        'Full pull lifts the front wheel',
        lifts === 0
          ? phrase`${amount(force, 'force')} at ${amount(loads.hM, 'size', 0)} of height is more than the load in front holds down, on the level already. Ease off, and lean forward; it still starts there gently.`
          : phrase`Full pull, ${amount(force, 'force')} at ${amount(loads.hM, 'size', 0)} of height, lifts the front wheel from ${amount(lifts, 'grade')}; the road has ${amount(steepest, 'grade')}. Ease off there, and lean forward.`,
        set('ramp', phrase`Set a start ramp.`, { work: 10 }),
        set('gentler-level', phrase`Start in a gentler assist level.`),
        ...(kit.mid ? [choose('higher-gear', phrase`Start in a higher gear.`)] : []),
        choose('load-in-front', phrase`Carry load in front rather than behind.`),
      );
    return say.fits(
      'The front wheel stays down',
      phrase`${amount(force, 'force')} of pull on the steepest stretch; it would lift at ${amount(Math.max(0, holds / loads.hM), 'force')}.`,
    );
  },
);

/** Grade from which a pull lifts the front wheel, rise over run: cos θ = F·h ÷ (m·g·x); 0 where it does so on the level. */
function liftsFrom(forceN: number, hM: number, weightXNm: number): number {
  const cos = (forceN * hM) / weightXNm;
  return cos >= 1 ? 0 : Math.tan(Math.acos(cos));
}
