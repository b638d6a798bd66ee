import { groupStages, type RuleMeta } from '../src/fit/rule.ts';
import type { BuildPlan } from '../src/plan/planBuild.ts';
import { phraseText, type Amount } from '../src/quantity/format.ts';

/** Six figures are enough to show a change, and few enough to hold on every machine. */
const six = (n: number): string => String(Number(n.toPrecision(6)));
const said = (value: Amount | string): string =>
  typeof value === 'string' ? value : `${six(value.si)} ${value.dimension}`;
const letter = { stop: 'S', rework: 'R', measure: 'M', fits: 'f' } as const;

/**
 * A whole plan as text, a fact a line: what golden files hold, so that a change shows as the lines it changes.
 * Figures with their sums, every finding with evidence and remedies, every candidate with each rule's verdict,
 * where things lie, what the gears do, and what it costs.
 */
export function planText(plan: BuildPlan): string {
  const lines: string[] = [`verdict ${plan.verdict}`];
  for (const [id, { verdict, counts }] of Object.entries(plan.stages))
    lines.push(`stage ${id}: ${verdict}, ${counts.stop} ${counts.rework} ${counts.measure} ${counts.fits}`);
  lines.push(`can: ${plan.can.verdict}; ${phraseText(plan.can.why, 'metric')}`);
  lines.push(`worth: ${plan.worth.answer}; most ${plan.worth.most}`);
  for (const w of plan.worth.weighed) lines.push(`  ${w.label} ${w.weight ?? '?'}: ${phraseText(w.says, 'metric')}`);
  for (const f of plan.figures) {
    const band = f.band ? `, ${said(f.band.low)} to ${said(f.band.high)}` : '';
    lines.push(`figure ${f.id}: ${f.value ? said(f.value) : 'none'}${band}; ${phraseText(f.note, 'metric')}`);
    for (const l of f.sum) lines.push(`  ${l.label}: ${said(l.value)} (${l.from})`);
  }
  const { parts, remedies, mending, minutes } = plan.money;
  lines.push(`money: parts ${parts}, remedies ${remedies}, mending ${mending}, ${minutes} min`);
  for (const l of plan.money.lines)
    lines.push(`  ${l.count} × ${l.part} at ${l.place}, ${l.price ?? '?'}, ${l.kind}: ${l.by.join(' ')}`);
  for (const f of plan.findings) {
    lines.push(`finding ${f.rule} [${f.stage}] ${f.subject ?? ''}: ${f.verdict}, ${f.title}`);
    lines.push(`  ${phraseText(f.why, 'metric')}`);
    for (const e of f.evidence) lines.push(`  · ${e.label}: ${said(e.value)} (${e.provenance})`);
    for (const r of f.remedies)
      lines.push(
        `  → ${r.does} ${r.id}${r.takes.map((t) => ` ${t.count}×${t.part}`).join('')}${r.work > 0 ? ` ${r.work} min` : ''}: ${phraseText(r.text, 'metric')}`,
      );
  }
  for (const k of plan.kits)
    lines.push(
      `kit ${k.kit.id}: ${k.verdict} ${six(k.startGrade ?? -1)} ${six(k.topSpeedMs ?? -1)} ${six(k.climbMs ?? -1)} with ${k.packName ?? 'nothing'}; ${[
        ...k.findings,
      ]
        .sort((a, b) => (a.rule < b.rule ? -1 : 1))
        .map((f) => `${f.rule}:${letter[f.verdict]}`)
        .join(' ')}`,
    );
  for (const p of plan.packs)
    lines.push(
      `pack ${p.pack.id}: ${p.verdict} ${p.place} gap ${six(p.placement.clearanceM ?? -1)} range ${six(p.rangeM ?? -1)}; ${[
        ...p.findings,
      ]
        .sort((a, b) => (a.rule < b.rule ? -1 : 1))
        .map((f) => `${f.rule}:${letter[f.verdict]}`)
        .join(' ')}`,
    );
  for (const f of plan.families)
    lines.push(`family ${f.family}: ${f.verdict} ${f.best ?? 'none'} ${f.remaining}/${f.total}`);
  for (const g of plan.gearing.rows)
    lines.push(
      `gear ${g.label}: ${six(g.ratio)} ${six(g.easyMs)} ${six(g.briskMs)} ${six(g.cadenceAtCruise)} ${six(g.startGrade ?? -1)} ${six(g.climbMs ?? -1)}`,
    );
  const { layout } = plan.pack;
  for (const p of layout.pack?.places ?? [])
    lines.push(`place ${p.place}: ${p.verdict} ${p.reason.kind} ${six(p.clearanceM ?? -1)} ± ${six(p.bandM)}`);
  for (const l of plan.wiring.all?.leads ?? [])
    lines.push(
      `lead ${l.id}: ${six(l.neededM)} ± ${six(l.bandM)}, ${l.suppliedM === null ? 'unknown' : six(l.suppliedM)} ${l.verdict}`,
    );
  for (const m of layout.balance.points) lines.push(`mass ${m.id}: ${six(m.kg)} at ${six(m.x)} ${six(m.h)}`);
  for (const w of layout.balance.perWheel) lines.push(`wheel ${w.label}: ${six(w.beforeKg)} → ${six(w.nowKg)}`);
  lines.push(`weighs ${six(layout.budget.nowKg)} of ${layout.budget.targetKg ?? 'no target'}`);
  return lines.join('\n') + '\n';
}

/** Every rule's own data, a rule a line: what the survey, the matrix and the stages read of it. */
export function catalogText(rules: readonly RuleMeta[]): string {
  return rules
    .map((rule) =>
      [
        rule.id,
        rule.about,
        `${rule.group} → ${groupStages[rule.group]}`,
        rule.fitCritical ? 'decides an order' : '',
        rule.dear ? 'dear' : '',
        rule.school ? `school ${rule.school}` : '',
        rule.uses.join(' '),
      ].join('; '),
    )
    .join('\n');
}
