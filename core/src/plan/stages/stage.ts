import type { StageId } from '../../build/stage.ts';
import { ruleCatalog } from '../../fit/judge.ts';
import { groupStages, type RuleMeta } from '../../fit/rule.ts';
import type { Finding } from '../../fit/finding.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import type { BenchWork, Money } from '../money.ts';

/** What all findings come to, as a stage that plans reads them. */
export interface Judged {
  /** The stage's own findings. */
  here: readonly Finding[];
  /** Every finding of the plan, the worst first. */
  all: readonly Finding[];
  money: Money;
  work: BenchWork;
}

/** A stage whose sheet is worked out when it is opened, outside the plan. */
export interface OpenedStage<Id extends StageId> {
  id: Id;
  rules: readonly RuleMeta[];
}

/**
 * One stage of the work, the same shape for each: who it is, the rules it shows, and its part of the plan.
 * `Earlier` names the parts of stages before it that it reads.
 */
export interface PlanStage<Id extends StageId, Part, Earlier = object> extends OpenedStage<Id> {
  plan: (context: PlanContext, earlier: Earlier, judged: Judged) => Part;
}

/** The rules whose group is shown on a stage. */
export function rulesOf(id: StageId): readonly RuleMeta[] {
  return ruleCatalog.filter((rule) => groupStages[rule.group] === id);
}
