import type { StepSpec } from './step.ts';
import { barSteps } from './library/bar.ts';
import { firstPowerSteps } from './library/firstPower.ts';
import { lookingSteps } from './library/looking.ts';
import { loomSteps } from './library/loom.ts';
import { midDriveSteps } from './library/midDrive.ts';
import { sensorsSteps } from './library/sensors.ts';
import { sideMountedSteps } from './library/sideMounted.ts';
import { takingOffSteps } from './library/takingOff.ts';
import { wheelSteps } from './library/wheel.ts';

/**
 * Steps of a conversion, each with when it applies, what it takes and what it comes after. A whole hub kit or
 * mid-drive comes to one to two hours practised, four to eight for a beginner. Source: the trade's own reckoning.
 */
export const stepLibrary: readonly StepSpec[] = [
  ...lookingSteps,
  ...takingOffSteps,
  ...wheelSteps,
  ...midDriveSteps,
  ...sideMountedSteps,
  ...barSteps,
  ...sensorsSteps,
  ...loomSteps,
  ...firstPowerSteps,
];
