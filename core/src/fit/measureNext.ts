import type { Build } from '../build/build.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import { isProven } from '../donor/entry.ts';
import type { SurveyItem } from '../donor/items/item.ts';
import { itemsFor } from '../donor/survey.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { verdictRank, type Verdict } from '../verdict.ts';
import { donorRules, kitRules, packRules } from './allRules.ts';
import { firstStop } from './judge.ts';
import type { Rule } from './rule.ts';

/** An unmeasured item and how much its value could change for the kits still possible. */
export interface NextItem {
  item: SurveyItemId;
  /** Kits it could rule out or let in, of those still possible. */
  kits: number;
  /** Verdicts it could change. */
  verdicts: number;
  /** Worst and best it could lead to. */
  couldStop: boolean;
  couldFit: boolean;
}

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

/** A build as it would be were an item measured at a value. */
export function measuredAs(build: Build, id: SurveyItemId, value: unknown): Build {
  const entry = { value, typed: '', unit: '', provenance: 'measured', note: '' };
  return { ...build, donor: { ...build.donor, survey: { ...build.donor.survey, [id]: entry } } };
}

/**
 * Unmeasured items ordered by how much they could change the outcome for the kits still possible:
 * each rule that looks at an item is run over the item's plausible values, and the verdicts that come
 * out different are counted. Kits already stopped by something else do not count.
 */
export function measureNext(context: PlanContext): NextItem[] {
  const { build, chosen, shelf, pack } = context;
  const possible = shelf.kit.filter(
    (kit) => kit.id === chosen.kit?.id || firstStop('kit', context.with(kit, pack, false)) === null,
  );
  const open = itemsFor(build.donor).filter((item) => !isProven(build.donor.survey[item.id]));
  return open
    .map((item): NextItem => {
      const using = (rules: readonly Rule[]): Rule[] => rules.filter((rule) => rule.uses.includes(item.id));
      const trials = plausible(item).map((value) => context.on(measuredAs(build, item.id, value)));
      const next: NextItem = { item: item.id, kits: 0, verdicts: 0, couldStop: false, couldFit: false };
      const verdictsOf = (rule: Rule, of: readonly PlanContext[]): Set<Verdict> => {
        const found = new Set(of.flatMap((c) => rule.judge(c)?.verdict ?? []));
        if (found.size > 1) {
          next.couldStop ||= found.has('stop');
          next.couldFit ||= found.has('fits');
          next.verdicts += found.size - 1;
        }
        return found;
      };
      const aboutKits = using(kitRules);
      for (const kit of possible) {
        const contexts = trials.map((c) => c.with(kit, pack, false));
        let turns = false;
        for (const rule of aboutKits) {
          const found = verdictsOf(rule, contexts);
          turns ||= found.has('stop') && Math.max(...[...found].map((v) => verdictRank[v])) > verdictRank.stop;
        }
        if (turns) next.kits++;
      }
      for (const rule of [...using(donorRules), ...using(packRules)]) verdictsOf(rule, trials);
      return next;
    })
    .sort((a, b) => b.kits - a.kits || b.verdicts - a.verdicts);
}
