import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure, surveyed } from '../rule.ts';
import { kitRule } from '../say.ts';
import { choose, measureIt } from '../remedies.ts';

/** All that moves against the least of the vehicle's and the kit's limits. */
export const loadLimit = kitRule(
  {
    id: 'load-limit',
    words: 'Load limit',
    group: 'load',
    uses: ['loadLimit', 'vehicleMass'],
    source: 'The system’s limit is the least of its parts’.',
  },
  (context, kit, say) => {
    const own = context.build.donor.survey.loadLimit;
    const { onWheelsKg: onWheels, systemMassKg: all, trailer } = context;
    say.because(
      ruleFigure('All that moves', amount(context.systemMassKg, 'mass')),
      ...(trailer ? [ruleFigure('On its own wheels', amount(onWheels, 'mass'))] : []),
      surveyed(context, 'loadLimit'),
    );
    if (kit.systemLimitKg !== undefined) say.because(partData('Kit’s limit', amount(kit.systemLimitKg, 'mass')));
    const limits = [
      // A trailer stands on wheels and a limit of its own; what presses on the coupling is the vehicle's.
      ...(own ? [{ name: 'the vehicle', kg: own.value, loadKg: onWheels }] : []),
      ...(kit.systemLimitKg !== undefined ? [{ name: 'the kit', kg: kit.systemLimitKg, loadKg: all }] : []),
    ].sort((a, b) => a.kg - a.loadKg - (b.kg - b.loadKg));
    const least = limits[0];
    if (least && least.loadKg > least.kg) {
      const over = least.loadKg - least.kg;
      return say.stop(
        'Over the load limit',
        phrase`${least.loadKg === all ? 'All that moves is' : 'On its own wheels stand'} ${amount(least.loadKg, 'mass')}; ${least.name} allows ${amount(least.kg, 'mass')}: ${amount(over, 'mass')} over.`,
        choose('less-load', phrase`Carry ${amount(over, 'mass')} less.`),
        choose('lighter-parts', phrase`Choose lighter parts.`),
        choose('other-donor', phrase`Choose another donor.`),
      );
    }
    if (!isProven(own)) {
      return say.open(
        own ? 'Vehicle’s load limit not proven' : 'Vehicle’s load limit not known',
        own
          ? phrase`${amount(onWheels, 'mass')} would stay under ${amount(own.value, 'mass')}, but that limit is not from a plate or manual.`
          : phrase`All that moves comes to ${amount(context.systemMassKg, 'mass')}; what the vehicle bears has not been looked up.`,
        measureIt('loadLimit'),
      );
    }
    say.need('vehicleMass');
    const held = least ?? { name: 'the vehicle', kg: own.value, loadKg: onWheels };
    return say.fits(
      'Within the load limit',
      phrase`${amount(held.loadKg, 'mass')} of ${amount(held.kg, 'mass')}: ${amount(held.kg - held.loadKg, 'mass')} in hand; ${held.name} sets it.`,
    );
  },
);
