import type { SurveyItemId } from '../donor/donor.ts';
import type { NumberItem } from '../donor/items/item.ts';
import { itemExists, surveyItem } from '../donor/survey.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { verdictRank, type Verdict } from '../verdict.ts';
import type { Finding } from './finding.ts';
import { ruleById } from './judge.ts';
import { measuredAs } from './measuredAs.ts';

/** One change that would lead to another verdict. */
export interface VerdictEdge {
  item: SurveyItemId;
  verdict: Verdict;
  text: Phrase;
}

/** Steps a range is scanned in before its turning points are halved down to; fewer where a road is ridden each time. */
const SCAN = 40;
const DEAR_SCAN = 12;
/** Changes shown at most. */
const MOST = 8;

/** The stretches of a number's plausible range over which the verdict is another one. */
function numberEdges(
  item: NumberItem,
  now: Verdict,
  scan: number,
  judge: (value: number) => Verdict | undefined,
): VerdictEdge[] {
  const step = (item.high - item.low) / scan;
  const fine = Math.max(5e-5, (item.high - item.low) * (scan === SCAN ? 1e-4 : 1e-2));
  const stretches: { from: number; to: number; verdict: Verdict | undefined }[] = [];
  let verdict = judge(item.low);
  let from = item.low;
  for (let i = 1; i <= scan; i++) {
    const value = item.low + step * i;
    const here = judge(value);
    if (here === verdict) continue;
    let low = value - step;
    let high = value;
    while (high - low > fine) {
      const middle = (low + high) / 2;
      if (judge(middle) === verdict) low = middle;
      else high = middle;
    }
    stretches.push({ from, to: high, verdict });
    verdict = here;
    from = high;
  }
  stretches.push({ from, to: item.high, verdict });
  return stretches.flatMap((s) => {
    if (s.verdict === undefined || s.verdict === now) return [];
    const start = amount(s.from, item.dimension);
    const end = amount(s.to, item.dimension);
    const text =
      s.from === item.low
        ? phrase`${item.label} below ${end}`
        : s.to === item.high
          ? phrase`${item.label} from ${start} up`
          : phrase`${item.label} from ${start} to ${end}`;
    return [{ item: item.id, verdict: s.verdict, text }];
  });
}

/** The context a finding was made in: the plan’s own, with the kit or pack that it is about. */
function contextOf(context: PlanContext, finding: Pick<Finding, 'subject'>): PlanContext {
  const kit = context.shelf.kit.find((k) => k.id === finding.subject);
  const pack = context.shelf.pack.find((p) => p.id === finding.subject);
  return context.with(kit ?? context.kit, pack ?? context.pack, false);
}

/**
 * What would change a finding: each survey item its rule looks at is moved over its plausible range
 * with everything else as it is, and the values at which the verdict turns are found (to 0.05 mm for
 * sizes, by halving). Also names the other kits on the shelf for which the same rule fits.
 */
export function verdictEdges(
  whole: PlanContext,
  finding: Pick<Finding, 'rule' | 'subject' | 'verdict'>,
): { edges: VerdictEdge[]; otherKits: string[] } {
  const rule = ruleById(finding.rule);
  if (!rule) return { edges: [], otherKits: [] };
  const context = contextOf(whole, finding);
  const { build } = context;
  const verdictAt = (id: SurveyItemId, value: unknown): Verdict | undefined =>
    rule.judge(context.on(measuredAs(build, id, value)))?.verdict;
  const edges: VerdictEdge[] = [];
  for (const id of rule.uses) {
    const item = surveyItem(id);
    if (!itemExists(item, build.donor)) continue;
    const own = build.donor.survey[id]?.value;
    if (item.type === 'choice') {
      for (const option of item.options) {
        if (option.value === own) continue;
        const verdict = verdictAt(id, option.value);
        if (
          verdict &&
          verdict !== finding.verdict &&
          (verdictRank[verdict] > verdictRank[finding.verdict] || own !== undefined)
        )
          edges.push({ item: id, verdict, text: phrase`${item.label}: ${option.label}` });
      }
    } else if (item.type === 'number') {
      const scan = rule.about === 'plan' && rule.dear ? DEAR_SCAN : SCAN;
      edges.push(...numberEdges(item, finding.verdict, scan, (value) => verdictAt(id, value)));
    }
  }
  const seen = new Set<string>();
  const distinct = edges.filter((e) => {
    const key = JSON.stringify([e.item, e.verdict, e.text]);
    return !seen.has(key) && seen.add(key);
  });
  const asksKits = rule.about === 'kit' || rule.about === 'plan';
  const otherKits =
    asksKits && finding.verdict !== 'fits'
      ? context.shelf.kit
          .filter(
            (k) => k.id !== context.kit?.id && rule.judge(context.with(k, context.pack, false))?.verdict === 'fits',
          )
          .map((k) => k.name)
      : [];
  return {
    edges: distinct.sort((a, b) => verdictRank[b.verdict] - verdictRank[a.verdict]).slice(0, MOST),
    otherKits,
  };
}
