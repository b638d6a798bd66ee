import { hitchWords } from '../../build/brief.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { planRule } from '../say.ts';
import { choose, look, work } from '../remedies.ts';

/** Load on a coupling, of the loaded trailer's mass: less wags, more lifts nothing but weighs on the wheel. Source: workshop practice. */
const HITCH_LEAST = 0.03;
const HITCH_MOST = 0.15;
/** Heaviest unbraked trailer, of the vehicle's own weight with its riders. Source: project, cautious. */
const UNBRAKED_SHARE = 0.6;
/** Heaviest load coupled to a seat post, kg: it bends the post and steers from above. Source: workshop practice. */
const SEAT_POST_MOST = 40;

/** A trailer's own limit, what it presses on the coupling, and whether it brakes itself. */
export const trailerBehind = planRule(
  {
    id: 'trailer-behind',
    words: 'The trailer',
    group: 'aboard',
    uses: [],
    source: 'The trailer’s maker sets its load; a tenth of its weight on the coupling keeps it from wagging.',
  },
  (context, say) => {
    const { trailer } = context.build.brief;
    const loads = context.trailer;
    if (!trailer || !loads) return null;
    const carried = loads.massKg - trailer.massKg;
    const share = loads.hitchKg / loads.massKg;
    say.because(
      ruleFigure('Trailer, loaded', amount(loads.massKg, 'mass')),
      ruleFigure('Carries', amount(carried, 'mass')),
      ruleFigure('Presses on the coupling', amount(loads.hitchKg, 'mass')),
      ruleFigure('Of its weight', amount(share, 'share')),
      ruleFigure('Its brake', trailer.brake === 'none' ? 'none' : 'overrun'),
    );
    if (trailer.limitKg !== null && carried > trailer.limitKg)
      return say.stop(
        'Over the trailer’s own limit',
        phrase`It carries ${amount(carried, 'mass')}; its maker allows ${amount(trailer.limitKg, 'mass')}.`,
        choose('less-in-it', phrase`Carry ${amount(carried - trailer.limitKg, 'mass')} less in it.`),
      );
    if (loads.hitchKg < 0)
      return say.stop(
        'The trailer lifts the rear wheel',
        phrase`Its load sits behind its axle: ${amount(-loads.hitchKg, 'mass')} pulls up on the coupling, and it wags at speed.`,
        work('load-forward', phrase`Move the load ahead of the trailer’s axle.`, 10),
      );
    if (trailer.brake === 'none' && loads.massKg > context.onWheelsKg * UNBRAKED_SHARE)
      return say.rework(
        'Heavy for a trailer without a brake',
        phrase`${amount(loads.massKg, 'mass')} pushes ${amount(context.onWheelsKg, 'mass')} of vehicle and riders at every stop; past ${amount(UNBRAKED_SHARE, 'share')} of it one with a brake of its own is wanted.`,
        choose('overrun', phrase`A trailer with an overrun brake.`),
        choose('less-in-it', phrase`Carry less in it, and keep the speed down.`),
      );
    if (trailer.hitch === 'seatPost' && loads.massKg > SEAT_POST_MOST)
      return say.rework(
        'Much on the seat post',
        phrase`${amount(loads.massKg, 'mass')} coupled ${hitchWords.seatPost}, high up: it tips the vehicle in bends and bends the post.`,
        choose('low-hitch', phrase`A coupling at the rear axle.`),
      );
    if (share < HITCH_LEAST || share > HITCH_MOST)
      return say.rework(
        share < HITCH_LEAST ? 'Too little on the coupling' : 'Too much on the coupling',
        phrase`${amount(loads.hitchKg, 'mass')} is ${amount(share, 'share')} of its weight; ${amount(HITCH_LEAST, 'share')} to ${amount(HITCH_MOST, 'share')} keeps it steady without weighing on the wheel.`,
        work('shift-load', phrase`Move the load ${share < HITCH_LEAST ? 'forward' : 'back'} a little.`, 10),
      );
    if (trailer.limitKg === null)
      return say.open(
        'The trailer’s own limit not read',
        phrase`It carries ${amount(carried, 'mass')}; what its maker allows stands on its plate.`,
        look('read-plate', phrase`Read the plate, and enter it in the brief.`),
      );
    return say.fits(
      'The trailer bears and tows well',
      phrase`${amount(carried, 'mass')} of ${amount(trailer.limitKg, 'mass')} in it, ${amount(loads.hitchKg, 'mass')} on the coupling.`,
    );
  },
);
