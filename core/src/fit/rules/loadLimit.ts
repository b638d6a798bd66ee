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
    say.because(ruleFigure('All that moves', amount(context.systemMassKg, 'mass')), surveyed(context, 'loadLimit'));
    if (kit.systemLimitKg !== undefined) say.because(partData('Kit’s limit', amount(kit.systemLimitKg, 'mass')));
    const limits = [
      ...(own ? [{ name: 'the vehicle', kg: own.value }] : []),
      ...(kit.systemLimitKg !== undefined ? [{ name: 'the kit', kg: kit.systemLimitKg }] : []),
    ].sort((a, b) => a.kg - b.kg);
    const least = limits[0];
    if (least && context.systemMassKg > least.kg) {
      const over = context.systemMassKg - least.kg;
      return say.stop(
        'Over the load limit',
        phrase`All that moves is ${amount(context.systemMassKg, 'mass')}; ${least.name} allows ${amount(least.kg, 'mass')}: ${amount(over, 'mass')} over.`,
        choose('less-load', phrase`Carry ${amount(over, 'mass')} less.`),
        choose('lighter-parts', phrase`Choose lighter parts.`),
        choose('other-donor', phrase`Choose another donor.`),
      );
    }
    if (!isProven(own)) {
      return say.open(
        own ? 'Vehicle’s load limit not proven' : 'Vehicle’s load limit not known',
        own
          ? phrase`${amount(context.systemMassKg, 'mass')} would stay under ${amount(own.value, 'mass')}, but that limit is not from a plate or manual.`
          : phrase`All that moves comes to ${amount(context.systemMassKg, 'mass')}; what the vehicle bears has not been looked up.`,
        measureIt('loadLimit'),
      );
    }
    const margin = (least ?? { kg: own.value }).kg - context.systemMassKg;
    return say.fits(
      'Within the load limit',
      phrase`${amount(context.systemMassKg, 'mass')} of ${amount(least?.kg ?? own.value, 'mass')}: ${amount(margin, 'mass')} in hand; ${least?.name ?? 'the vehicle'} sets it.`,
    );
  },
);
