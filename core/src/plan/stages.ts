import { briefStage } from './stages/brief.ts';
import { donorStage } from './stages/donor.ts';
import { driveStage } from './stages/drive.ts';
import { gearingStage } from './stages/gearing.ts';
import { packStage } from './stages/pack.ts';
import { wiringStage } from './stages/wiring.ts';

/** The stages that plan, in the order of the work. A further stage is its file and one line here. */
export const planStages = [briefStage, donorStage, driveStage, packStage, gearingStage, wiringStage] as const;

type AnyStage = (typeof planStages)[number];
/** Stages that have a part in the plan. */
export type PlannedStageId = AnyStage['id'];
/** Each stage's part, under its name. */
export type StageParts = { [S in AnyStage as S['id']]: ReturnType<S['plan']> };
