import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, partData, ruleFigure, surveyed, type KitRule } from '../rule.ts';

const RULE = 'load-limit';
const SOURCE = 'The system’s limit is the least of its parts’.';

/** All that moves against the least of the vehicle's and the kit's limits. */
export const loadLimit: KitRule = {
  id: RULE,
  words: 'Load limit',
  group: 'load',
  uses: ['loadLimit', 'vehicleMass'],
  judge(context, kit) {
    const own = context.build.donor.survey.loadLimit;
    const evidence: Evidence[] = [
      ruleFigure('All that moves', amount(context.systemMassKg, 'mass')),
      surveyed(context, 'loadLimit'),
    ];
    if (kit.systemLimitKg !== undefined) evidence.push(partData('Kit’s limit', amount(kit.systemLimitKg, 'mass')));
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: SOURCE,
      ...rest,
    });
    const limits = [
      ...(own ? [{ name: 'the vehicle', kg: own.value }] : []),
      ...(kit.systemLimitKg !== undefined ? [{ name: 'the kit', kg: kit.systemLimitKg }] : []),
    ].sort((a, b) => a.kg - b.kg);
    const least = limits[0];
    if (least && context.systemMassKg > least.kg) {
      const over = context.systemMassKg - least.kg;
      return finding({
        verdict: 'stop',
        title: 'Over the load limit',
        why: phrase`All that moves is ${amount(context.systemMassKg, 'mass')}; ${least.name} allows ${amount(least.kg, 'mass')}: ${amount(over, 'mass')} over.`,
        remedies: [{ text: phrase`Carry ${amount(over, 'mass')} less, choose lighter parts, or another donor.` }],
      });
    }
    if (!isProven(own)) {
      return finding({
        verdict: 'measure',
        title: own ? 'Vehicle’s load limit not proven' : 'Vehicle’s load limit not known',
        why: own
          ? phrase`${amount(context.systemMassKg, 'mass')} would stay under ${amount(own.value, 'mass')}, but that limit is not from a plate or manual.`
          : phrase`All that moves comes to ${amount(context.systemMassKg, 'mass')}; what the vehicle bears has not been looked up.`,
        remedies: [measureIt('loadLimit')],
      });
    }
    const margin = (least ?? { kg: own.value }).kg - context.systemMassKg;
    return finding({
      verdict: 'fits',
      title: 'Within the load limit',
      why: phrase`${amount(context.systemMassKg, 'mass')} of ${amount(least?.kg ?? own.value, 'mass')}: ${amount(margin, 'mass')} in hand; ${least?.name ?? 'the vehicle'} sets it.`,
      remedies: [],
    });
  },
};
