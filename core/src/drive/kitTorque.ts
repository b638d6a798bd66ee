import { motorPlace, type Kit } from '../parts/kit.ts';
import { peakTorque } from './motor.ts';

/** Peak torque a kit gives, N·m: at the wheel for a hub, at the ring for a mid-drive. */
export function kitPeakTorque(kit: Kit): number {
  return peakTorque({ ...kit.motor, place: motorPlace(kit) }, kit.controller);
}
