import type { groupStages, RuleGroup } from '../fit/rule.ts';
import { briefStage } from './stages/brief.ts';
import { buildStage } from './stages/build.ts';
import { donorStage } from './stages/donor.ts';
import { driveStage } from './stages/drive.ts';
import { gearingStage } from './stages/gearing.ts';
import { logbookStage } from './stages/logbook.ts';
import { packStage } from './stages/pack.ts';
import { partsStage } from './stages/parts.ts';
import { provingStage } from './stages/proving.ts';
import { wiringStage } from './stages/wiring.ts';

/** The stages of the work, in its order. A further stage is its file, its name in `stageIds` and one line here. */
export const planStages = [
  briefStage,
  donorStage,
  driveStage,
  packStage,
  gearingStage,
  wiringStage,
  partsStage,
  buildStage,
  provingStage,
  logbookStage,
] as const;

type AnyStage = (typeof planStages)[number];
/** Stages that have a part in the plan. */
type PlanningStage = Extract<AnyStage, { plan: unknown }>;
/** Stages that rules are shown on. */
export type JudgedStageId = (typeof groupStages)[RuleGroup];
/** Each stage's part, under its name. */
export type StageParts = { [S in PlanningStage as S['id']]: ReturnType<S['plan']> };
