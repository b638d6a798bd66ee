import { derivedSizes, type DerivedSize } from '../../donor/derived.ts';
import { surveyProgress, type SurveyProgress } from '../../donor/survey.ts';
import { rulesOf, type PlanStage } from './stage.ts';

/** What the survey comes to. */
export interface DonorPart {
  derived: DerivedSize[];
  progress: SurveyProgress;
}

export const donorStage: PlanStage<'donor', DonorPart> = {
  id: 'donor',
  rules: rulesOf('donor'),
  plan: ({ build }) => ({ derived: derivedSizes(build.donor), progress: surveyProgress(build.donor) }),
};
