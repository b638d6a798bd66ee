import type { SurveyItemId } from '../src/donor/donor.ts';
import { isProven } from '../src/donor/entry.ts';
import type { SurveyItem } from '../src/donor/items/item.ts';
import { itemsFor } from '../src/donor/survey.ts';
import { measuredAs } from '../src/fit/measuredAs.ts';
import type { PlanContext } from '../src/vehicle/context.ts';
import { verdictRank, type Verdict } from '../src/verdict.ts';
import { donorRules, kitRules, packRules } from '../src/fit/allRules.ts';
import { firstStop } from '../src/fit/judge.ts';
import type { Rule } from '../src/fit/rule.ts';

/** Values an item might plausibly turn out to have. */
function plausible(item: SurveyItem): unknown[] {
  if (item.type === 'choice') return item.options.map((o) => o.value);
  if (item.type === 'tyre')
    return [
      { beadM: 0.622, widthM: 0.037 },
      { beadM: 0.559, widthM: 0.05 },
      { beadM: 0.406, widthM: 0.047 },
      { beadM: 0.584, widthM: 0.054 },
    ];
  if (item.type === 'teeth')
    return item.id === 'ringTeeth'
      ? [[42], [52, 42, 30]]
      : [[14, 16, 18, 21, 24, 28], [11, 13, 15, 18, 21, 24, 28, 32, 37, 42, 50], [19]];
  const steps = 4;
  const even = Array.from({ length: steps + 1 }, (_, i) => item.low + ((item.high - item.low) * i) / steps);
  return [...item.common.slice(0, 5), ...even];
}

/**
 * Open items by how many kits and verdicts their values could turn: the yardstick that measuring by gain is held against.
 */
export function byVerdictsCounted(context: PlanContext): SurveyItemId[] {
  const { build, chosen, shelf, pack } = context;
  const possible = shelf.kit.filter(
    (kit) => kit.id === chosen.kit?.id || firstStop('kit', context.with(kit, pack, false)) === null,
  );
  return itemsFor(build.donor)
    .filter((item) => !isProven(build.donor.survey[item.id]))
    .map((item) => {
      const using = (rules: readonly Rule[]): Rule[] => rules.filter((rule) => rule.uses.includes(item.id));
      const trials = plausible(item).map((value) => context.on(measuredAs(build, item.id, value)));
      const next = { item: item.id, kits: 0, verdicts: 0 };
      const verdictsOf = (rule: Rule, of: readonly PlanContext[]): Set<Verdict> => {
        const found = new Set(of.flatMap((c) => rule.judge(c)?.verdict ?? []));
        if (found.size > 1) next.verdicts += found.size - 1;
        return found;
      };
      for (const kit of possible) {
        const contexts = trials.map((c) => c.with(kit, pack, false));
        let turns = false;
        for (const rule of using(kitRules)) {
          const found = verdictsOf(rule, contexts);
          turns ||= found.has('stop') && Math.max(...[...found].map((v) => verdictRank[v])) > verdictRank.stop;
        }
        if (turns) next.kits++;
      }
      for (const rule of [...using(donorRules), ...using(packRules)]) verdictsOf(rule, trials);
      return next;
    })
    .sort((a, b) => b.kits - a.kits || b.verdicts - a.verdicts)
    .map((n) => n.item);
}
