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
    const wheels = (front && geometry.pairedFront) || (!front && geometry.pairedRear) ? 2 : 1;
    const load = (front ? loads.frontKg : loads.rearKg) / wheels;
    say.need('vehicleMass');
    say.because(ruleFigure(`On each ${front ? 'front' : 'rear'} wheel`, amount(load, 'mass')));
    // A stronger wheel that was taken bears by its own data, else the kit’s, else the donor’s.
    const strong = context.taken.find(
      (t) => t.part === 'strong-wheel' && t.place === (front ? 'front wheel' : 'rear wheel'),
    );
    const taken = strong ? partById(context.shelf, strong.part) : undefined;
    const own = (taken?.kind === 'fitting' ? taken.gives?.bearsKg : undefined) ?? kit.hub?.wheelLimitKg;
    const limit = own ?? say.need('wheelLimit');
    if (own !== undefined)
      say.because(partData(taken ? 'The wheel taken bears' : 'Kit wheel bears', amount(own, 'mass')));
    if (limit === undefined)
      return say.open(
        'The wheel’s own limit not known',
        phrase`${amount(load, 'mass')} stands on the ${front ? 'front' : 'rear'} wheel.`,
      );
    // Far below the limit a common seat's place is near enough; near it, only the scale knows.
    if (load > limit * SCALE_KNOWS) say.need('rearWheelShare');
    else say.look('rearWheelShare');
    if (load > limit)
      return say.stop(
        'The wheel bears less than stands on it',
        phrase`${amount(load, 'mass')} on a wheel that bears ${amount(limit, 'mass')}.`,
        buy('strong-wheel', phrase`A stronger wheel.`, take('strong-wheel', front ? 'front wheel' : 'rear wheel'), {
          work: 60,
        }),
        choose('less-load', phrase`Put ${amount(load - limit, 'mass')} less on it.`),
      );
    if (load > limit * 0.9)
      return say.rework(
        'The wheel is near its limit',
        phrase`${amount(load, 'mass')} of ${amount(limit, 'mass')}.`,
        work('spokes', phrase`Check spoke tension every 500 km, and carry some load elsewhere.`, 30),
      );
    return say.fits('The wheel bears its load', phrase`${amount(load, 'mass')} of ${amount(limit, 'mass')}.`);
  },
);
