import { briefStage } from './brief/stage.ts';
import { buildStage } from './build/stage.ts';
import { donorStage } from './donor/stage.ts';
import { driveStage } from './drive/stage.ts';
import { gearingStage } from './gearing/stage.ts';
import { logbookStage } from './logbook/stage.ts';
import { packStage } from './pack/stage.ts';
import { partsStage } from './parts/stage.ts';
import { provingStage } from './proving/stage.ts';
import type { Stage } from './stage.ts';
import { wiringStage } from './wiring/stage.ts';

/** The ten stages of the work, in its order. A further one is its folder and one line here. */
export const stages: readonly Stage[] = [
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
];
