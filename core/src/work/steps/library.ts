import type { StepSpec } from './step.ts';
import { barSteps } from './library/bar.ts';
import { brakesSteps } from './library/brakes.ts';
import { firstPowerSteps } from './library/firstPower.ts';
import { frameSteps } from './library/frame.ts';
import { gearsSteps } from './library/gears.ts';
import { lookingSteps } from './library/looking.ts';
import { loomSteps } from './library/loom.ts';
import { midDriveSteps } from './library/midDrive.ts';
import { packSteps } from './library/pack.ts';
import { sensorsSteps } from './library/sensors.ts';
import { settingSteps } from './library/setting.ts';
import { sideMountedSteps } from './library/sideMounted.ts';
import { takingOffBracketSteps } from './library/takingOffBracket.ts';
import { takingOffSteps } from './library/takingOff.ts';
import { wheelSteps } from './library/wheel.ts';

/**
 * Steps of a conversion, each with when it applies, what it takes and what it comes after. A whole hub kit or
 * mid-drive comes to one to two hours practised, four to eight for a beginner. Source: the trade's own reckoning.
 */
export const stepLibrary: readonly StepSpec[] = [
  ...lookingSteps,
  ...takingOffSteps,
  ...takingOffBracketSteps,
  ...frameSteps,
  ...midDriveSteps,
  ...sideMountedSteps,
  ...wheelSteps,
  ...brakesSteps,
  ...gearsSteps,
  ...barSteps,
  ...sensorsSteps,
  ...packSteps,
  ...loomSteps,
  ...settingSteps,
  ...firstPowerSteps,
];
