import { briefStage } from '../stages/brief/stage.ts';
import { buildStage } from '../stages/build/stage.ts';
import { donorStage } from '../stages/donor/stage.ts';
import { driveStage } from '../stages/drive/stage.ts';
import { gearingStage } from '../stages/gearing/stage.ts';
import { logbookStage } from '../stages/logbook/stage.ts';
import { packStage } from '../stages/pack/stage.ts';
import { partsStage } from '../stages/parts/stage.ts';
import { provingStage } from '../stages/proving/stage.ts';
import type { Stage } from '../sheet/stage.ts';
import { wiringStage } from '../stages/wiring/stage.ts';

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
