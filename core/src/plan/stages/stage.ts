import type { StageId } from '../../build/stage.ts';
import { ruleCatalog } from '../../fit/judge.ts';
import { groupStages, type RuleMeta } from '../../fit/rule.ts';
import type { Finding } from '../../fit/finding.ts';
import type { PlanContext } from '../../vehicle/context.ts';

/**
 * One stage of the work, the same shape for each: who it is, the rules it shows, and its part of the plan.
 * `Earlier` names the parts of stages before it that it reads.
 */
export interface PlanStage<Id extends StageId, Part, Earlier = object> {
  id: Id;
  rules: readonly RuleMeta[];
  plan: (context: PlanContext, earlier: Earlier, findings: readonly Finding[]) => Part;
}

/** The rules whose group is shown on a stage. */
export function rulesOf(id: StageId): readonly RuleMeta[] {
  return ruleCatalog.filter((rule) => groupStages[rule.group] === id);
}
