import { legsOf } from '../../build/legs.ts';
import { kitPeakTorque } from '../../drive/kitTorque.ts';
import { GRAVITY, SURFACE_GRIP, WET_GRIP } from '../../constants.ts';
import { steepestSurface } from '../../vehicle/reckon.ts';
import { tyreRadius } from '../../quantity/tyre.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { set, choose } from '../remedies.ts';

/** A front motor's grip on the steepest stretch: μ times what stands on the wheel there. */
export const frontGrip = kitRule(
  {
    id: 'front-grip',
    words: 'Front wheel’s grip',
    group: 'use',
    uses: ['wheelbase', 'rearWheelShare', 'frontTyre'],
    source: 'docs/models.md, traction: the grade takes load off the front wheel.',
  },
  (context, kit, say) => {
    const { geometry, steepest } = context;
    if (kit.hub?.place !== 'front') return null;
    const loads = context.axleLoads;
    const noLegs = legsOf(context.build.brief) === 0;
    say.need('wheelbase');
    say.look('rearWheelShare');
    const angle = Math.atan(steepest);
    const base = geometry.frontAxle.x;
    const frontN = loads.totalKg * GRAVITY * ((loads.xM * Math.cos(angle) - loads.hM * Math.sin(angle)) / base);
    const grip = Math.min(WET_GRIP, SURFACE_GRIP[steepestSurface(context.build)]) * Math.max(0, frontN);
    const pull = Math.min(
      kitPeakTorque(kit) / tyreRadius(context.asItWillBe.tyres.front),
      loads.totalKg * GRAVITY * (Math.sin(angle) + 0.02),
    );
    say.because(
      ruleFigure('On the front wheel, level', amount(loads.frontKg, 'mass')),
      ruleFigure('Steepest stretch', amount(steepest, 'grade')),
      ruleFigure('Wet grip there', amount(grip, 'force')),
      ruleFigure('Pull wanted', amount(pull, 'force')),
    );
    if (pull > grip * 1.02)
      return say.rework(
        'The front wheel spins on the steep and wet',
        phrase`On ${amount(steepest, 'grade')} ${amount(grip, 'force')} of grip is left for ${amount(pull, 'force')} of pull.`,
        ...(noLegs ? [] : [set('gentle', phrase`Start gently and help with the legs there.`)]),
        choose('load-in-front', phrase`Carry load in front.`),
        choose('rear-drive', phrase`Drive the rear wheel.`),
      );
    return say.fits(
      'The front wheel grips',
      phrase`${amount(grip, 'force')} of wet grip on the steepest stretch for ${amount(pull, 'force')} of pull.`,
    );
  },
);
