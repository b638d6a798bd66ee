import type { Build } from '../build.ts';
import { ridingNow } from '../build.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import { donorGeometry } from '../donor/geometry.ts';
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
      const count = 40;
      let before = judge(withValue(id, item.low));
      for (let i = 1; i <= count; i++) {
        const value = item.low + ((item.high - item.low) * i) / count;
        const now = judge(withValue(id, value));
        if (now !== before) {
          let low = value - (item.high - item.low) / count;
          let high = value;
          while (high - low > Math.max(5e-5, (item.high - item.low) * 1e-4)) {
            const middle = (low + high) / 2;
            if (judge(withValue(id, middle)) === before) low = middle;
            else high = middle;
          }
          if (now && now !== finding.verdict)
            edges.push({ item: id, verdict: now, text: phrase`${item.label} from ${amount(high, item.dimension)} up` });
          if (before && before !== finding.verdict)
            edges.push({ item: id, verdict: before, text: phrase`${item.label} below ${amount(low, item.dimension)}` });
        }
        before = now;
      }
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
              laws,
              steepest: roadSteepest(build),
            };
            return kitRule.judge(context, k)?.verdict === 'fits';
          })
          .map((k) => k.name)
      : [];
  return { edges: distinct.sort((a, b) => better[b.verdict] - better[a.verdict]).slice(0, 8), otherKits };
}
