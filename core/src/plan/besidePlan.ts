import type { Build } from '../build/build.ts';
import { asPlanned, stillBuilt } from '../build/differ.ts';
import type { Finding } from '../fit/finding.ts';
import type { Shelf } from '../parts/part.ts';
import type { Amount } from '../quantity/format.ts';
import { verdictRank, type Verdict } from '../verdict.ts';
import { planContext } from './context.ts';
import type { Figure } from './figure.ts';
import { planChosen, type ChosenPlan } from './planBuild.ts';

/** One finding that stands otherwise as built than as planned; null where there is none on that side. */
export interface ChangedFinding {
  rule: string;
  subject: string | null;
  title: string;
  planned: Verdict | null;
  built: Verdict | null;
}

/** One figure of the tally that is another as built than as planned. */
export interface ChangedFigure {
  id: Figure['id'];
  label: string;
  planned: Amount | null;
  built: Amount | null;
}

/** Plan and as-built side by side. */
export interface BesidePlan {
  /** Ids of what was built otherwise and changed again since, in its own stage. */
  changedSince: string[];
  verdict: { planned: Verdict; built: Verdict };
  /** Worse ones first. */
  findings: ChangedFinding[];
  figures: ChangedFigure[];
}

const keyOf = ({ rule, subject }: Finding): string => `${rule}@${subject ?? ''}`;

/**
 * The plan as it was made and as it was built, each judged whole, and what differs.
 * @param built the plan of the build as it is now; worked out here where it is not given
 * @returns null where the plan as made cannot be put together again
 */
export function besidePlan(build: Build, shelf: Shelf, built?: ChosenPlan): BesidePlan | null {
  const before = asPlanned(build);
  if (!before) return null;
  const now = built ?? planChosen(planContext(build, shelf));
  const planned = before === build ? now : planChosen(planContext(before, shelf));
  const [was, is] = [planned, now].map((p) => new Map(p.findings.map((f) => [keyOf(f), f]))) as [
    Map<string, Finding>,
    Map<string, Finding>,
  ];
  const findings = [...new Set([...was.keys(), ...is.keys()])].flatMap((key): ChangedFinding[] => {
    const [a, b] = [was.get(key), is.get(key)];
    if (a?.verdict === b?.verdict) return [];
    const told = (b ?? a) as Finding;
    return [
      {
        rule: told.rule,
        subject: told.subject ?? null,
        title: told.title,
        planned: a?.verdict ?? null,
        built: b?.verdict ?? null,
      },
    ];
  });
  const rank = ({ planned: p, built: b }: ChangedFinding): number =>
    (b === null ? 3 : verdictRank[b]) - (p === null ? 3 : verdictRank[p]);
  const figures = now.figures.flatMap((f): ChangedFigure[] => {
    const other = planned.figures.find((g) => g.id === f.id);
    return other && other.value?.si !== f.value?.si
      ? [{ id: f.id, label: f.label, planned: other.value, built: f.value }]
      : [];
  });
  return {
    changedSince: build.built.otherwise.filter((o) => o.changes.length > 0 && !stillBuilt(build, o)).map((o) => o.id),
    verdict: { planned: planned.verdict, built: now.verdict },
    findings: findings.sort((a, b) => rank(a) - rank(b) || a.title.localeCompare(b.title, 'en')),
    figures,
  };
}
