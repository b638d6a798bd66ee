import { ASSIST_FADE_WIDTH, SPIN_OUT_WIDTH_RPM } from '../constants.ts';
import { currentLimits, driveEfficiency, shaftRatio, windingOhm, type MotorLimit } from '../drive/motor.ts';
import { packOhm, packVolts } from '../pack/battery.ts';
import { airDensity, roadLoad } from './roadLoad.ts';
import type { RideSystem } from './system.ts';

/** Full drive at one speed and one charge, with the winding at a temperature, and what holds it. */
export interface FullDrive {
  cog: number;
  /** Motor's most at the tyre, N, before any fold-back by heat. */
  motorN: number;
  riderN: number;
  cadenceRpm: number;
  motorAmps: number;
  /** What holds the motor: one of its three current ceilings, or the set assist limit. */
  limit: MotorLimit | 'assist limit';
  /** The motor's drag on the wheel where it cannot freewheel, N. */
  dragN: number;
}

/** Cogs a rider would use: the fixed one, or all. */
function usableCogs(system: RideSystem): readonly number[] {
  const { fixedCog, cogs } = system.vehicle;
  return fixedCog === null ? cogs : [fixedCog];
}

/** Pedalling cadence, rpm, at `v` m/s on a ring and cog. */
export function cadenceAt(v: number, wheelRadiusM: number, ring: number, cog: number): number {
  return (60 * v * cog) / (2 * Math.PI * wheelRadiusM * ring);
}

/** Speed, m/s, at a cadence in rpm. */
export function speedAtCadence(wheelRadiusM: number, ring: number, cog: number, rpm: number): number {
  return (2 * Math.PI * wheelRadiusM * (ring / cog) * rpm) / 60;
}

/** Share of power a rider still gives at a cadence: 1 until 10 rpm below the top, then straight to 0. */
export function cadenceFade(cadenceRpm: number, maxCadenceRpm: number): number {
  return Math.min(1, Math.max(0, (maxCadenceRpm - cadenceRpm) / SPIN_OUT_WIDTH_RPM));
}

/** Share of assist left at `v` below a set limit: straight to 0 over its last 1 km/h. */
function assistShare(v: number, limitMs: number | undefined): number {
  if (limitMs === undefined) return 1;
  return Math.min(1, Math.max(0, (limitMs - v) / ASSIST_FADE_WIDTH));
}

/** Full drive at `v` m/s and charge `s` in the cog that pulls hardest; ties to the earlier cog. */
export function fullDrive(system: RideSystem, v: number, s: number, windingC = 20): FullDrive {
  const { motor, controller, pack, vehicle, rider } = system;
  const ohm = windingOhm(motor.resistanceOhm, windingC);
  const openVolts = packVolts(pack, s);
  const rp = packOhm(pack, s);
  const eta = driveEfficiency(motor, vehicle.drivetrainEfficiency);
  const r = vehicle.wheelRadiusM;
  const share = assistShare(v, controller.assistLimitMs);
  let best: FullDrive | undefined;
  for (const cog of usableCogs(system)) {
    const k = shaftRatio(motor, vehicle.ring, cog);
    const omega = (k * v) / r;
    const current = currentLimits(motor, controller, omega, ohm, openVolts, rp);
    const loss = motor.coulombNm + motor.viscousNmS * omega;
    const torque = motor.ktNmPerA * current.amps - (motor.freewheels ? loss : 0);
    const motorN = (Math.max(0, torque) * k * eta) / r;
    const cadenceRpm = cadenceAt(v, r, vehicle.ring, cog);
    const riderN =
      (rider.powerW * vehicle.drivetrainEfficiency * cadenceFade(cadenceRpm, rider.maxCadenceRpm)) / Math.max(v, 1);
    if (best === undefined || motorN + riderN > best.motorN + best.riderN) {
      best = {
        cog,
        motorN,
        riderN,
        cadenceRpm,
        motorAmps: current.amps,
        limit: current.limit,
        dragN: motor.freewheels ? 0 : (loss * k) / r,
      };
    }
  }
  if (best === undefined) throw new RangeError('a vehicle needs at least one cog');
  return share < 1 ? { ...best, motorN: best.motorN * share, limit: 'assist limit' } : best;
}

/** The same system in still air. */
function becalmed(system: RideSystem): RideSystem {
  return { ...system, air: { ...system.air, headwindMs: 0 } };
}

/** Road load plus the drag of a motor that cannot freewheel, N, in the system's own air. */
export function steadyLoad(system: RideSystem, v: number, grade: number, dragN: number): number {
  const { vehicle, air } = system;
  const rho = airDensity(air.altitudeM, air.temperatureC);
  return roadLoad(v, grade, vehicle.massKg, vehicle.cdaM2, vehicle.crr, rho, air.headwindMs).total + dragN;
}

/** A speed that can be held, with what holds it there. */
export interface SteadySpeed {
  speedMs: number;
  grade: number;
  charge: number;
  drive: FullDrive;
  loadN: number;
}

const LEAST_SPEED = 0.3;
const SCAN_STEP = 0.1;
const HIGHEST_SPEED = 60;

/**
 * Full force less load at a speed, N, for one system, grade and charge: the sums of `fullDrive` and
 * `steadyLoad` with everything that does not depend on speed worked out once. A test holds them together.
 */
function surplusOf(system: RideSystem, grade: number, charge: number): (v: number) => number {
  const { motor, controller, pack, vehicle, rider, air } = system;
  const mid = motor.place === 'mid';
  const kt = motor.ktNmPerA;
  const ohm = windingOhm(motor.resistanceOhm, 20);
  const openVolts = packVolts(pack, charge);
  const rp = packOhm(pack, charge);
  const perOhmVolts = 1 / (ohm + rp / controller.efficiency);
  const ib = controller.batteryLimitA;
  const fourRW = 4 * ohm * controller.efficiency * (openVolts - ib * rp) * ib;
  const eta = driveEfficiency(motor, vehicle.drivetrainEfficiency);
  const r = vehicle.wheelRadiusM;
  const still = roadLoad(0, grade, vehicle.massKg, vehicle.cdaM2, vehicle.crr, 0, 0).total;
  const halfRhoCda = 0.5 * airDensity(air.altitudeM, air.temperatureC) * vehicle.cdaM2;
  const legsW = rider.powerW * vehicle.drivetrainEfficiency;
  const cogs = usableCogs(system);
  return (v) => {
    const riderN = legsW / Math.max(v, 1);
    const share = assistShare(v, controller.assistLimitMs);
    let best = -1;
    let pull = 0;
    let drag = 0;
    let motorN = 0;
    for (let i = 0; i < cogs.length; i++) {
      const cog = cogs[i] as number;
      const k = mid ? (motor.reduction * cog) / vehicle.ring : motor.reduction;
      const omega = (k * v) / r;
      const loss = motor.coulombNm + motor.viscousNmS * omega;
      if (mid || i === 0) {
        const e = kt * omega;
        const amps = Math.min(
          controller.phaseLimitA,
          (openVolts - e) * perOhmVolts,
          (Math.sqrt(e * e + fourRW) - e) / (2 * ohm),
        );
        motorN = (Math.max(0, kt * Math.max(0, amps) - (motor.freewheels ? loss : 0)) * k * eta) / r;
      }
      const legs = riderN * cadenceFade(cadenceAt(v, r, vehicle.ring, cog), rider.maxCadenceRpm);
      if (motorN + legs > best) {
        best = motorN + legs;
        pull = motorN * share + legs;
        drag = motor.freewheels ? 0 : (loss * k) / r;
      }
    }
    const va = v + air.headwindMs;
    return pull - still - drag - halfRhoCda * va * Math.abs(va);
  };
}

/** A speed that can be held, with what holds it there. */
export interface SteadySpeed {
  speedMs: number;
  grade: number;
  charge: number;
  drive: FullDrive;
  loadN: number;
}

/**
 * Going up from rest, the first speed on `grade` at which full force (motor and rider) no longer
 * exceeds the load; 0 where it cannot move at 0.3 m/s. Scans in 0.1 m/s steps, then halves the
 * bracket to 1e-6 m/s; a dip narrower than the scan step would be passed over.
 */
export function steadySpeed(system: RideSystem, grade: number, charge: number): SteadySpeed {
  const surplus = surplusOf(system, grade, charge);
  let low = LEAST_SPEED;
  let speedMs = 0;
  if (surplus(low) > 0) {
    let high = low;
    do {
      low = high;
      high = low + SCAN_STEP;
    } while (high < HIGHEST_SPEED && surplus(high) > 0);
    while (high - low > 1e-6) {
      const middle = (low + high) / 2;
      if (surplus(middle) > 0) low = middle;
      else high = middle;
    }
    speedMs = high;
  }
  const drive = fullDrive(system, speedMs, charge);
  return { speedMs, grade, charge, drive, loadN: steadyLoad(system, speedMs, grade, drive.dragN) };
}

/**
 * Steepest grade on which the motor alone sets off from rest, in still air: full motor force at
 * v = 0 against the load there (rolling, hill, drag). Halved to 1e-7 of grade; 0 if none. Wind is
 * left out, so that the figure belongs to the vehicle and not to the day.
 */
export function startGrade(system: RideSystem, charge = 1): number {
  const noLegs: RideSystem = { ...becalmed(system), rider: { ...system.rider, powerW: 0 } };
  const drive = fullDrive(noLegs, 0, charge);
  const exceeds = (grade: number): boolean => drive.motorN > steadyLoad(noLegs, 0, grade, drive.dragN);
  if (!exceeds(0)) return 0;
  let low = 0;
  let high = 10;
  if (exceeds(high)) return high;
  while (high - low > 1e-7) {
    const middle = (low + high) / 2;
    if (exceeds(middle)) low = middle;
    else high = middle;
  }
  return low;
}
