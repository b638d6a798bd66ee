import {
  AIR_GAS_CONSTANT,
  BAROMETRIC_EXPONENT,
  BAROMETRIC_LAPSE_PER_M,
  GRAVITY,
  SEA_LEVEL_PRESSURE,
  ZERO_CELSIUS_K,
} from '../constants.ts';

/** Air density, kg/m³, at an altitude in m and a temperature in °C. Good to 0.5 % below 3000 m in dry air. */
export function airDensity(altitudeM: number, temperatureC: number): number {
  const pressure = SEA_LEVEL_PRESSURE * (1 - BAROMETRIC_LAPSE_PER_M * altitudeM) ** BAROMETRIC_EXPONENT;
  return pressure / (AIR_GAS_CONSTANT * (temperatureC + ZERO_CELSIUS_K));
}

/** The parts of the force a moving vehicle must overcome, N. */
export interface RoadLoad {
  air: number;
  rolling: number;
  climb: number;
  total: number;
}

/**
 * Road load at the tyre contact.
 * @param v ground speed m/s; @param grade rise/run; @param headwindMs against travel, negative from behind
 */
export function roadLoad(
  v: number,
  grade: number,
  massKg: number,
  cdaM2: number,
  crr: number,
  rho: number,
  headwindMs: number,
): RoadLoad {
  const theta = Math.atan(grade);
  const va = v + headwindMs;
  const air = 0.5 * rho * cdaM2 * va * Math.abs(va);
  const rolling = massKg * GRAVITY * crr * Math.cos(theta);
  const climb = massKg * GRAVITY * Math.sin(theta);
  return { air, rolling, climb, total: air + rolling + climb };
}
