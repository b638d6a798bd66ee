import { motorPlace, type Kit } from '../parts/kit.ts';
import { peakTorque } from './motor.ts';

/** Peak torque a kit gives, N·m: at the wheel for a hub, at the ring for a mid-drive. */
export function kitPeakTorque(kit: Kit): number {
  return peakTorque({ ...kit.motor, place: motorPlace(kit) }, kit.controller);
}

/** Most a kit takes of its battery, W: its current limit at its nominal volts. A plate's “rated” is less. */
export function kitPeakWatts({ controller, nominalVolts }: Kit): number {
  return controller.batteryLimitA * nominalVolts;
}
