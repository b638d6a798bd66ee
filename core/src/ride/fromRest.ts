import { fullDrive, startGrade, steadyLoad } from './steady.ts';
import type { RideSystem } from './system.ts';

/** How a start from rest on a grade goes. */
export type FromRest = 'motor alone' | 'with the legs' | 'not at all';

/** What of tyre and balance a start hangs on: the steepest grade they let it set off on, and the wheel the motor drives. */
export interface Foothold {
  /** Rise over run. */
  capGrade: number;
  driven: 'front' | 'rear';
}

/**
 * A start from rest on a grade, in still air: by the motor alone, with the legs' help, or not. No motor sets off where its
 * tyre slips or the front wheel lifts; legs drive the rear wheel, so that they help a front motor past its own grip, and
 * share a rear motor's.
 * @param charge 0..1, full by itself
 * @param windingC °C, where the ride has warmed it
 */
export function fromRest(
  system: RideSystem,
  grade: number,
  { capGrade, driven }: Foothold,
  charge = 1,
  windingC?: number,
): FromRest {
  if (Math.min(startGrade(system, charge), capGrade) >= grade) return 'motor alone';
  const calm = { ...system, air: { ...system.air, headwindMs: 0 } };
  const drive = fullDrive(calm, 0, charge, windingC);
  const loadOn = (g: number): number => steadyLoad(calm, 0, g, drive.dragN);
  const holds = loadOn(capGrade);
  const pull =
    driven === 'front'
      ? Math.min(drive.motorN, holds) + drive.riderN
      : Math.min(drive.motorN + drive.riderN, Math.max(holds, 0));
  return pull > loadOn(grade) ? 'with the legs' : 'not at all';
}
