import type { Build } from '../build.ts';
import { ridingNow } from '../build.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import { donorGeometry } from '../donor/geometry.ts';
import type { NumberItem } from '../donor/items/item.ts';
import { itemExists, surveyItem } from '../donor/survey.ts';
import type { Shelf } from '../parts/part.ts';
import { massLines, totalMass } from '../plan/assemble.ts';
import { chosenParts } from '../plan/choose.ts';
import { roadSteepest } from '../plan/reckon.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import type { Finding, Verdict } from './finding.ts';
import { donorRules, kitRules, packRules } from './judge.ts';
import type { FitContext, RuleMeta } from './rule.ts';

/** One change that would lead to another verdict. */
export interface VerdictEdge {
  item: SurveyItemId;
  verdict: Verdict;
  text: Phrase;
}

const better: Record<Verdict, number> = { stop: 0, rework: 1, measure: 2, fits: 3 };

/** Steps a range is scanned in before its turning points are halved down to. */
const SCAN = 40;

/** The stretches of a number's plausible range over which the verdict is another one. */
function numberEdges(item: NumberItem, now: Verdict, judge: (value: number) => Verdict | undefined): VerdictEdge[] {
  const step = (item.high - item.low) / SCAN;
  const fine = Math.max(5e-5, (item.high - item.low) * 1e-4);
  const stretches: { from: number; to: number; verdict: Verdict | undefined }[] = [];
  let verdict = judge(item.low);
  let from = item.low;
  for (let i = 1; i <= SCAN; i++) {
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

/**
 * What would change a finding: each survey item its rule looks at is moved over its plausible range
 * with everything else as it is, and the values at which the verdict turns are found (to 0.05 mm for
 * sizes, by halving). Also names the other kits on the shelf for which the same rule fits.
 */
export function verdictEdges(
  build: Build,
  starter: Shelf,
  finding: Pick<Finding, 'rule' | 'subject' | 'verdict'>,
): { edges: VerdictEdge[]; otherKits: string[] } {
  const chosen = chosenParts(build, starter);
  const kit = chosen.shelf.kits.find((k) => k.id === finding.subject) ?? chosen.kit;
  const pack = chosen.shelf.packs.find((p) => p.id === finding.subject) ?? chosen.pack;
  const { laws } = chosen.shelf;
  const rule: RuleMeta | undefined = [...kitRules, ...packRules, ...donorRules].find((r) => r.id === finding.rule);
  if (!rule) return { edges: [], otherKits: [] };
  const judge = (b: Build): Verdict | undefined => {
    const context: FitContext = {
      build: b,
      geometry: donorGeometry(b.donor, ridingNow(b.brief).statureM),
      systemMassKg: totalMass(massLines(b, kit, chosen.pack)),
      kit,
      pack: chosen.pack,
      laws,
      steepest: roadSteepest(b),
    };
    const kitRule = kitRules.find((r) => r.id === finding.rule);
    if (kitRule) return kit ? kitRule.judge(context, kit)?.verdict : undefined;
    const packRule = packRules.find((r) => r.id === finding.rule);
    if (packRule) return pack ? packRule.judge(context, pack, chosen.kit)?.verdict : undefined;
    return donorRules.find((r) => r.id === finding.rule)?.judge(context)?.verdict;
  };
  const withValue = (id: SurveyItemId, value: unknown): Build => ({
    ...build,
    donor: {
      ...build.donor,
      survey: { ...build.donor.survey, [id]: { value, typed: '', unit: '', provenance: 'measured', note: '' } },
    },
  });
  const edges: VerdictEdge[] = [];
  for (const id of rule.uses) {
    const item = surveyItem(id);
    if (!itemExists(item, build.donor)) continue;
    const own = build.donor.survey[id]?.value;
    if (item.type === 'choice') {
      for (const option of item.options) {
        if (option.value === own) continue;
        const verdict = judge(withValue(id, option.value));
        if (verdict && verdict !== finding.verdict && (better[verdict] > better[finding.verdict] || own !== undefined))
          edges.push({ item: id, verdict, text: phrase`${item.label}: ${option.label}` });
      }
    } else if (item.type === 'number') {
      edges.push(...numberEdges(item, finding.verdict, (value) => judge(withValue(id, value))));
    }
  }
  const seen = new Set<string>();
  const distinct = edges.filter((e) => {
    const key = JSON.stringify([e.item, e.verdict, e.text]);
    return !seen.has(key) && seen.add(key);
  });
  const kitRule = kitRules.find((r) => r.id === finding.rule);
  const otherKits =
    kitRule && finding.verdict !== 'fits'
      ? chosen.shelf.kits
          .filter((k) => {
            if (k.id === kit?.id) return false;
            const context: FitContext = {
              build,
              geometry: donorGeometry(build.donor, ridingNow(build.brief).statureM),
              systemMassKg: totalMass(massLines(build, k, chosen.pack)),
              kit: k,
              pack: chosen.pack,
              laws,
              steepest: roadSteepest(build),
            };
            return kitRule.judge(context, k)?.verdict === 'fits';
          })
          .map((k) => k.name)
      : [];
  return { edges: distinct.sort((a, b) => better[b.verdict] - better[a.verdict]).slice(0, 8), otherKits };
}
