import { ridingNow, type Build } from '../build.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import { isProven } from '../donor/entry.ts';
import { donorGeometry } from '../donor/geometry.ts';
import type { SurveyItem } from '../donor/items/item.ts';
import { itemsFor } from '../donor/survey.ts';
import type { Kit, Shelf } from '../parts/part.ts';
import { massLines, totalMass } from '../plan/assemble.ts';
import { chosenParts } from '../plan/choose.ts';
import { roadSteepest } from '../plan/reckon.ts';
import type { Verdict } from './finding.ts';
import { donorRules, judgeKit, kitRules, packRules } from './judge.ts';
import type { FitContext } from './rule.ts';

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

const order: Record<Verdict, number> = { stop: 0, rework: 1, measure: 2, fits: 3 };

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
 * Unmeasured items ordered by how much they could change the outcome for the kits still possible:
 * each rule that looks at an item is run over the item's plausible values, and the verdicts that come
 * out different are counted. Kits already stopped by something else do not count.
 */
export function measureNext(build: Build, starter: Shelf): NextItem[] {
  const chosen = chosenParts(build, starter);
  const geometry = donorGeometry(build.donor, ridingNow(build.brief).statureM);
  const { laws } = chosen.shelf;
  const steepest = roadSteepest(build);
  const contextFor = (b: Build, kit: Kit | null, drawn = geometry): FitContext => ({
    build: b,
    geometry: drawn,
    kit,
    pack: chosen.pack,
    systemMassKg: totalMass(massLines(b, kit, chosen.pack)),
    laws,
    steepest,
  });
  const possible = chosen.shelf.kits.filter(
    (kit) =>
      kit.id === chosen.kit?.id ||
      !judgeKit(contextFor(build, kit), kit).findings.some((f) => f.verdict === 'stop' && !f.override),
  );
  const open = itemsFor(build.donor).filter((item) => !isProven(build.donor.survey[item.id]));
  const out: NextItem[] = [];
  for (const item of open) {
    const trials = plausible(item).map((value): Build => {
      const entry = { value, typed: '', unit: '', provenance: 'measured', note: '' };
      return { ...build, donor: { ...build.donor, survey: { ...build.donor.survey, [item.id]: entry } } };
    });
    const drawn = trials.map((b) => donorGeometry(b.donor, ridingNow(b.brief).statureM));
    const rules = kitRules.filter((rule) => rule.uses.includes(item.id));
    let verdicts = 0;
    let kits = 0;
    let couldStop = false;
    let couldFit = false;
    const note = (found: Set<Verdict>): void => {
      couldStop ||= found.has('stop');
      couldFit ||= found.has('fits');
      verdicts += found.size - 1;
    };
    for (const kit of possible) {
      const contexts = trials.map((b, i) => contextFor(b, kit, drawn[i]));
      let turns = false;
      for (const rule of rules) {
        const found = new Set<Verdict>();
        for (const context of contexts) {
          const verdict = rule.judge(context, kit)?.verdict;
          if (verdict) found.add(verdict);
        }
        if (found.size > 1) {
          note(found);
          turns ||= found.has('stop') && Math.max(...[...found].map((v) => order[v])) > 0;
        }
      }
      if (turns) kits++;
    }
    const contexts = trials.map((b, i) => contextFor(b, chosen.kit, drawn[i]));
    for (const rule of donorRules) {
      if (!rule.uses.includes(item.id)) continue;
      const found = new Set(contexts.flatMap((c) => rule.judge(c)?.verdict ?? []));
      if (found.size > 1) note(found);
    }
    const { pack } = chosen;
    if (pack) {
      for (const rule of packRules) {
        if (!rule.uses.includes(item.id)) continue;
        const found = new Set(contexts.flatMap((c) => rule.judge(c, pack, chosen.kit)?.verdict ?? []));
        if (found.size > 1) note(found);
      }
    }
    out.push({ item: item.id, kits, verdicts, couldStop, couldFit });
  }
  return out.sort((a, b) => b.kits - a.kits || b.verdicts - a.verdicts);
}
