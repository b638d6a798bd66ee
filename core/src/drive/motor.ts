import { COPPER_TEMPERATURE_COEFFICIENT, FOLD_BACK_ENDS_C, FOLD_BACK_STARTS_C } from '../constants.ts';

/** Two-node heat model: heat capacities in J/K, resistances in K/W. */
export interface MotorHeat {
  windingJPerK: number;
  caseJPerK: number;
  windingToCaseKPerW: number;
  caseToAirKPerW: number;
}

/** A brushed-equivalent motor at its own shaft. */
export interface MotorModel {
  place: 'front' | 'rear' | 'mid';
  /** Torque constant, N·m/A (= V·s/rad). */
  ktNmPerA: number;
  /** Winding resistance at 20 °C, Ω. */
  resistanceOhm: number;
  /** Coulomb loss torque, N·m. */
  coulombNm: number;
  /** Viscous loss, N·m·s/rad. */
  viscousNmS: number;
  reduction: number;
  gearEfficiency: number;
  freewheels: boolean;
  heat: MotorHeat;
  /** Phase amps used to brake electrically, where motor and controller can. */
  regenA?: number | undefined;
}

export interface ControllerModel {
  batteryLimitA: number;
  phaseLimitA: number;
  efficiency: number;
  standingW: number;
  /** Ground speed at which assist has faded to nothing, m/s. */
  assistLimitMs?: number | undefined;
}

/** Which of the three ceilings holds the motor current. */
export type MotorLimit = 'phase current' | 'out of volts' | 'battery current';

/** Winding resistance, Ω, at a winding temperature in °C (copper). */
export function windingOhm(ohmAt20: number, windingC: number): number {
  return ohmAt20 * (1 + COPPER_TEMPERATURE_COEFFICIENT * (windingC - 20));
}

/** The three ceilings on motor current, A, and the least of them, which acts. */
export interface CurrentLimits {
  phase: number;
  volts: number;
  battery: number;
  amps: number;
  limit: MotorLimit;
}

/**
 * Highest motor current at shaft speed `omega` rad/s.
 * @param ohm winding resistance now, Ω; @param openVolts pack at rest, V; @param packOhm pack and leads, Ω
 */
export function currentLimits(
  motor: Pick<MotorModel, 'ktNmPerA'>,
  controller: ControllerModel,
  omega: number,
  ohm: number,
  openVolts: number,
  packOhm: number,
): CurrentLimits {
  const e = motor.ktNmPerA * omega;
  const phase = controller.phaseLimitA;
  const volts = (openVolts - e) / (ohm + packOhm / controller.efficiency);
  const watts = controller.efficiency * (openVolts - controller.batteryLimitA * packOhm) * controller.batteryLimitA;
  const battery = (-e + Math.sqrt(e * e + 4 * ohm * watts)) / (2 * ohm);
  let amps = phase;
  let limit: MotorLimit = 'phase current';
  if (battery < amps) {
    amps = battery;
    limit = 'battery current';
  }
  if (volts < amps) {
    amps = volts;
    limit = 'out of volts';
  }
  return { phase, volts, battery, amps: Math.max(0, amps), limit };
}

/** Share of output a controller still allows at a winding temperature: 1 to 110 °C, 0 at 140 °C. */
export function foldBack(windingC: number): number {
  if (windingC <= FOLD_BACK_STARTS_C) return 1;
  if (windingC >= FOLD_BACK_ENDS_C) return 0;
  return (FOLD_BACK_ENDS_C - windingC) / (FOLD_BACK_ENDS_C - FOLD_BACK_STARTS_C);
}

/**
 * The motor's own turning ratio: shaft radians per wheel radian. `G` for a hub,
 * `G·cog/ring` for a mid-drive.
 */
export function shaftRatio(motor: MotorModel, ring: number, cog: number): number {
  return motor.place === 'mid' ? (motor.reduction * cog) / ring : motor.reduction;
}

/** Share of shaft torque that reaches the tyre. */
export function driveEfficiency(motor: MotorModel, drivetrainEfficiency: number): number {
  return motor.place === 'mid' ? motor.gearEfficiency * drivetrainEfficiency : motor.gearEfficiency;
}

/** Peak torque, N·m, at the wheel (hub) or at the ring (mid-drive), at standstill on the phase limit. */
export function peakTorque(motor: MotorModel, controller: ControllerModel): number {
  const loss = motor.freewheels ? motor.coulombNm : 0;
  return (motor.ktNmPerA * controller.phaseLimitA - loss) * motor.reduction * motor.gearEfficiency;
}
