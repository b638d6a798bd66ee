import { partById } from '../../parts/part.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, work, choose, take } from '../remedies.ts';

/** Share of a wheel’s limit from which the axle must have been weighed. Source: project; reckoned loads are good to some 10 kg. */
const SCALE_KNOWS = 0.6;

/** Load on the driven wheel against its limit. */
export const wheelLoad = kitRule(
  {
    id: 'wheel-load',
    words: 'Load on the wheel',
    group: 'load',
    uses: ['wheelLimit', 'rearWheelShare', 'vehicleMass', 'wheelbase'],
    source: 'Spokes break first at the loaded, driven wheel.',
  },
  (context, kit, say) => {
    const { geometry } = context;
    const loads = context.axleLoads;
    const front = kit.hub?.place === 'front';
    const on = (end: 'front' | 'rear'): number =>
      (end === 'front' ? loads.frontKg : loads.rearKg) /
      ((end === 'front' ? geometry.pairedFront : geometry.pairedRear) ? 2 : 1);
    const driven = front ? 'front' : 'rear';
    const load = on(driven);
    say.need('vehicleMass');
    say.because(ruleFigure(`On each ${driven} wheel`, amount(load, 'mass')));
    // A stronger wheel that was taken bears by its own data, else the kit’s, else the donor’s.
    const strong = context.taken.find((t) => t.part === 'strong-wheel' && t.place === `${driven} wheel`);
    const taken = strong ? partById(context.shelf, strong.part) : undefined;
    const own = (taken?.kind === 'fitting' ? taken.gives?.bearsKg : undefined) ?? kit.hub?.wheelLimitKg;
    const limit = own ?? say.need('wheelLimit');
    if (own !== undefined)
      say.because(partData(taken ? 'The wheel taken bears' : 'Kit wheel bears', amount(own, 'mass')));
    if (limit === undefined)
      return say.open(
        'The wheel’s own limit not known',
        phrase`${amount(load, 'mass')} stands on the ${driven} wheel.`,
      );
    // Behind a front motor stands the donor’s own wheel, with most of the rider and a rack’s load on it.
    const behind = front ? on('rear') : null;
    const behindLimit = behind === null ? undefined : say.need('wheelLimit');
    if (behind !== null) {
      say.because(ruleFigure('On each rear wheel', amount(behind, 'mass')));
      if (behindLimit === undefined)
        return say.open(
          'The rear wheel’s own limit not known',
          phrase`${amount(behind, 'mass')} stands on the rear wheel, which is the vehicle’s own.`,
        );
    }
    // Far below the limit a common seat's place is near enough; near it, only the scale knows.
    if (load > limit * SCALE_KNOWS || (behind ?? 0) > (behindLimit ?? Infinity) * SCALE_KNOWS)
      say.need('rearWheelShare');
    else say.look('rearWheelShare');
    const worst =
      behind !== null && behindLimit !== undefined && behind / behindLimit > load / limit
        ? { end: 'rear' as const, load: behind, limit: behindLimit }
        : { end: driven, load, limit };
    if (worst.load > worst.limit)
      return say.stop(
        'The wheel bears less than stands on it',
        phrase`${amount(worst.load, 'mass')} on a ${worst.end} wheel that bears ${amount(worst.limit, 'mass')}.`,
        buy(
          'strong-wheel',
          phrase`A stronger wheel.`,
          take('strong-wheel', worst.end === 'front' ? 'front wheel' : 'rear wheel'),
          { work: 60 },
        ),
        choose('less-load', phrase`Put ${amount(worst.load - worst.limit, 'mass')} less on it.`),
      );
    if (worst.load > worst.limit * 0.9)
      return say.rework(
        'The wheel is near its limit',
        phrase`${amount(worst.load, 'mass')} of ${amount(worst.limit, 'mass')} on the ${worst.end} wheel.`,
        work('spokes', phrase`Check spoke tension every 500 km, and carry some load elsewhere.`, 30),
      );
    return say.fits(
      'The wheel bears its load',
      phrase`${amount(worst.load, 'mass')} of ${amount(worst.limit, 'mass')} on the ${worst.end} wheel.`,
    );
  },
);
