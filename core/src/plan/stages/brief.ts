import { neededRange } from '../../build/brief.ts';
import { rulesOf, type PlanStage } from './stage.ts';

/** What the brief comes to: the range with its reserve, and the road’s grades. */
export interface BriefPart {
  neededRangeM: number;
  steepest: number;
  /** Grade the steady climb is told for. */
  climbGrade: number;
}

export const briefStage: PlanStage<'brief', BriefPart> = {
  id: 'brief',
  rules: rulesOf('brief'),
  plan: ({ build, steepest, climbGrade }) => ({ neededRangeM: neededRange(build.brief), steepest, climbGrade }),
};
