import type { Finding } from '../src/fit/finding.ts';
import type { BuildPlan } from '../src/plan/planBuild.ts';
import { emptyGolden, layOut, type Golden } from './golden.ts';

const letter = { stop: 'S', rework: 'R', measure: 'M', fits: 'f' } as const;

/** One candidate, a line: its verdict, and that of each rule. */
const judged = (verdict: string, findings: readonly Finding[]): string =>
  [verdict, ...findings.map((f) => `${f.rule}:${letter[f.verdict]}`).toSorted()].join(' ');

/**
 * A whole plan for its golden files: figures with their sums, every finding with evidence and remedies, every
 * candidate with each rule's verdict, where things lie, what the gears do, and what it costs.
 */
export function planGolden(plan: BuildPlan): Golden {
  const golden = emptyGolden();
  const { verdict, stages, can, worth, figures, money, findings, families } = plan;
  layOut({ verdict, stages, can, worth, figures, money, findings, families }, '', golden);
  for (const k of plan.kits) {
    const { startGrade, topSpeedMs, climbMs, packName } = k;
    golden.verdicts.push(`kits.${k.kit.id}: ${judged(k.verdict, k.findings)}`);
    layOut({ startGrade, topSpeedMs, climbMs, packName: packName?.replaceAll(' ', '_') }, `kits.${k.kit.id}`, golden);
  }
  for (const p of plan.packs) {
    golden.verdicts.push(`packs.${p.pack.id}: ${judged(p.verdict, p.findings)}`);
    layOut({ place: p.place, gap: p.placement.clearanceM, rangeM: p.rangeM }, `packs.${p.pack.id}`, golden);
  }
  for (const { label, ratio, easyMs, briskMs, cadenceAtCruise, startGrade, climbMs } of plan.gearing.rows) {
    const gear = { ratio, easyMs, briskMs, cadenceAtCruise, startGrade, climbMs };
    layOut(gear, `gears.${label.replace(/\s+/g, '_')}`, golden);
  }
  const { layout } = plan.pack;
  for (const p of layout.pack?.places ?? [])
    layOut(
      { verdict: p.verdict, reason: p.reason.kind, gap: p.clearanceM, band: p.bandM },
      `places.${p.place}`,
      golden,
    );
  for (const { id, neededM, bandM, suppliedM, verdict: leads } of plan.wiring.all?.leads ?? [])
    layOut({ neededM, bandM, suppliedM, verdict: leads }, `leads.${id}`, golden);
  layOut(layout.balance.points, 'masses', golden);
  for (const { label, beforeKg, nowKg } of layout.balance.perWheel)
    layOut({ beforeKg, nowKg }, `wheels.${label.replace(/\s+/g, '_')}`, golden);
  layOut({ now: layout.budget.nowKg, target: layout.budget.targetKg }, 'weighs', golden);
  return golden;
}
