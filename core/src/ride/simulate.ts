import {
  ASSIST_FADE_WIDTH,
  COPPER_TEMPERATURE_COEFFICIENT,
  FOLD_BACK_ENDS_C,
  FOLD_BACK_STARTS_C,
  GENTLE_ACCELERATION,
  GRAVITY,
  LEAST_ROLLING_SPEED,
  LITHIUM_RISE_BELOW,
  LONGEST_RIDE,
  LONGEST_STEP,
  REGEN_COLDEST_C,
  REGEN_HIGHEST_CHARGE,
  REGEN_LEAST_SPEED,
  REGEN_RETURN,
  SPEED_AFTER_STOP,
  SPIN_OUT_WIDTH_RPM,
  WALKING_SPEED,
} from '../constants.ts';
import { driveEfficiency } from '../drive/motor.ts';
import { capacityAh, countedAmps, OPEN_CIRCUIT, packOhm } from '../pack/battery.ts';
import { airDensity } from './roadLoad.ts';
import type { RideSystem, RouteSegment } from './system.ts';

/** A cog is passed over only where it falls short by more than rounding. */
const MATCHES = 1 - 1e-9;

/** Uphill steeper than this and slower than that, m/s, a fine ride takes its steps in so many parts. */
const FINE_UPHILL = 0.05;
const FINE_BELOW = 3;
const FINE_PARTS = 4;

/** Why a ride ended. */
export type RideEnd = 'route done' | 'usable charge gone' | 'cut-off volts met' | 'given up at 1000 km';

/** Where the energy went, J. `battery` = `wheel` + the five losses, exactly as stepped. */
export interface EnergyAccount {
  /** Out of the pack's terminals. */
  battery: number;
  standing: number;
  controller: number;
  copper: number;
  motorMechanical: number;
  gear: number;
  /** Motor's work at the tyre. */
  wheel: number;
  /** Returned to the pack by regeneration (already taken off `battery`). */
  regenerated: number;
  /** Rider's work at the tyre. */
  rider: number;
  /** Heat in the friction brakes. */
  brakes: number;
  /** Lost inside the pack, before its terminals. */
  packInternal: number;
}

export interface RideResult {
  distanceM: number;
  timeS: number;
  meanMs: number;
  energyWh: number;
  whPerKm: number;
  maxWindingC: number;
  walkSteps: number;
  endCharge: number;
  empty: boolean;
  end: RideEnd;
  steps: number;
  /** Where along the route (m from its start, first pass) each walked stretch begins. */
  walkAtM: number[];
  hottestAtM: number;
  /** The first pass over the road alone, or what of it the pack lasted for. */
  pass: { distanceM: number; energyWh: number; timeS: number; walkSteps: number; endCharge: number };
  account: EnergyAccount;
}

/** One row a step of the first pass over the route; SI, same index in every column. */
export interface RideTrace {
  distanceM: number[];
  speedMs: number[];
  charge: number[];
  windingC: number[];
  riderW: number[];
  motorW: number[];
  volts: number[];
  grade: number[];
  /** Seconds since the start, and watts out of the pack. */
  timeS: number[];
  packW: number[];
  /** 1 where the step was walked. */
  walked: number[];
}

/** A trace to be filled. */
export const emptyTrace = (): RideTrace => ({
  distanceM: [],
  speedMs: [],
  charge: [],
  windingC: [],
  riderW: [],
  motorW: [],
  volts: [],
  grade: [],
  timeS: [],
  packW: [],
  walked: [],
});

export interface RideOptions {
  /** Run the route again and again until the pack is empty. */
  repeat: boolean;
  startCharge?: number;
  /**
   * Uphill at low speed a step is ridden in quarters. Legs and a level push as 1 over the speed, which over whole steps
   * of 10 m swings between creeping and running, and calls ridden hills walked. Case files go without it.
   */
  fine?: boolean;
  /** Filled with the first pass when given. */
  trace?: RideTrace;
}

/** The route cut into equal steps of at most 10 m a segment, with what depends on the road alone. */
export interface RouteSteps {
  count: number;
  lengthM: Float64Array;
  /** 1 / (2·length), 1/m. */
  perTwoLengths: Float64Array;
  sin: Float64Array;
  cos: Float64Array;
  target: Float64Array;
  /** 1 where the rider stops at the step's start. */
  stop: Uint8Array;
  surface: Float64Array;
  headwind: Float64Array;
  grade: Float64Array;
  totalM: number;
}

/** Cuts segments into steps. `defaultHeadwind` applies where a segment names none. */
export function cutRoute(segments: readonly RouteSegment[], defaultHeadwind: number): RouteSteps {
  let count = 0;
  for (const seg of segments) count += Math.max(1, Math.ceil(seg.lengthM / LONGEST_STEP - 1e-9));
  const steps: RouteSteps = {
    count,
    lengthM: new Float64Array(count),
    perTwoLengths: new Float64Array(count),
    sin: new Float64Array(count),
    cos: new Float64Array(count),
    target: new Float64Array(count),
    stop: new Uint8Array(count),
    surface: new Float64Array(count),
    headwind: new Float64Array(count),
    grade: new Float64Array(count),
    totalM: 0,
  };
  let at = 0;
  for (const seg of segments) {
    const n = Math.max(1, Math.ceil(seg.lengthM / LONGEST_STEP - 1e-9));
    const theta = Math.atan(seg.grade);
    const sin = Math.sin(theta);
    const cos = Math.cos(theta);
    for (let i = 0; i < n; i++, at++) {
      steps.lengthM[at] = seg.lengthM / n;
      steps.perTwoLengths[at] = n / (2 * seg.lengthM);
      steps.sin[at] = sin;
      steps.cos[at] = cos;
      steps.target[at] = seg.targetMs;
      steps.stop[at] = seg.stop && i === 0 ? 1 : 0;
      steps.surface[at] = seg.surfaceCrr ?? 0;
      steps.headwind[at] = seg.headwindMs ?? defaultHeadwind;
      steps.grade[at] = seg.grade;
    }
    steps.totalM += seg.lengthM;
  }
  return steps;
}

/** No step of a ride lasts longer, s: the longest way at the slowest a wheel may roll. */
const LONGEST_STEP_S = LONGEST_STEP / SPEED_AFTER_STOP;

/**
 * Rides a route in distance steps of at most 10 m with state (speed, charge, winding and case
 * heat), as set out in docs/models.md. Deterministic. The formulas are those of
 * drive/motor.ts, pack/battery.ts and ride/roadLoad.ts, written out in one loop for speed;
 * a test holds the two together.
 */
export function simulate(
  system: RideSystem,
  route: readonly RouteSegment[] | RouteSteps,
  options: RideOptions,
): RideResult {
  const road = isSteps(route) ? route : cutRoute(route, system.air.headwindMs);
  return ride(
    alike(system),
    alikeRoad(road),
    options.repeat,
    options.fine === true,
    options.startCharge ?? 1,
    options.trace,
  );
}

/**
 * The same system, its parts laid out alike whoever made them: the loop below is long, and a machine that has fitted
 * it to one layout throws that work away when it meets another.
 */
function alike({ motor, controller, pack, vehicle, rider, air }: RideSystem): RideSystem {
  const { heat } = motor;
  return {
    motor: {
      place: motor.place,
      ktNmPerA: motor.ktNmPerA,
      resistanceOhm: motor.resistanceOhm,
      coulombNm: motor.coulombNm,
      viscousNmS: motor.viscousNmS,
      reduction: motor.reduction,
      gearEfficiency: motor.gearEfficiency,
      freewheels: motor.freewheels,
      heat: {
        windingJPerK: heat.windingJPerK,
        caseJPerK: heat.caseJPerK,
        windingToCaseKPerW: heat.windingToCaseKPerW,
        caseToAirKPerW: heat.caseToAirKPerW,
      },
      regenA: motor.regenA,
    },
    controller: {
      batteryLimitA: controller.batteryLimitA,
      phaseLimitA: controller.phaseLimitA,
      efficiency: controller.efficiency,
      standingW: controller.standingW,
      assistLimitMs: controller.assistLimitMs,
    },
    pack: {
      chemistry: pack.chemistry,
      series: pack.series,
      parallel: pack.parallel,
      cellAh: pack.cellAh,
      cellOhm: pack.cellOhm,
      leadOhm: pack.leadOhm,
      cutoffVPerCell: pack.cutoffVPerCell,
      usable: pack.usable,
      health: pack.health,
      resistanceRise: pack.resistanceRise,
    },
    vehicle: {
      massKg: vehicle.massKg,
      rotatingKg: vehicle.rotatingKg,
      cdaM2: vehicle.cdaM2,
      crr: vehicle.crr,
      wheelRadiusM: vehicle.wheelRadiusM,
      ring: vehicle.ring,
      cogs: vehicle.cogs,
      fixedCog: vehicle.fixedCog,
      drivetrainEfficiency: vehicle.drivetrainEfficiency,
    },
    rider: { powerW: rider.powerW, maxCadenceRpm: rider.maxCadenceRpm, assist: rider.assist },
    air: { altitudeM: air.altitudeM, temperatureC: air.temperatureC, headwindMs: air.headwindMs },
  };
}

function alikeRoad(road: RouteSteps): RouteSteps {
  const { count, lengthM, perTwoLengths, sin, cos, target, stop, surface, headwind, grade, totalM } = road;
  return { count, lengthM, perTwoLengths, sin, cos, target, stop, surface, headwind, grade, totalM };
}

function ride(
  { motor, controller, pack, vehicle, rider, air }: RideSystem,
  road: RouteSteps,
  repeat: boolean,
  fine: boolean,
  startCharge: number,
  trace: RideTrace | undefined,
): RideResult {
  const mid = motor.place === 'mid';
  const { ktNmPerA: kt, coulombNm, viscousNmS, freewheels } = motor;
  const { batteryLimitA: ib, phaseLimitA: iph, efficiency: etaC, standingW } = controller;
  const eta = driveEfficiency(motor, vehicle.drivetrainEfficiency);
  const r = vehicle.wheelRadiusM;
  const mass = vehicle.massKg;
  const weight = mass * GRAVITY;
  const mEff = mass + vehicle.rotatingKg;
  const halfRhoCda = 0.5 * airDensity(air.altitudeM, air.temperatureC) * vehicle.cdaM2;
  const crr = vehicle.crr;
  const cogs = Float64Array.from(vehicle.fixedCog === null ? vehicle.cogs : [vehicle.fixedCog]);
  const cogCount = cogs.length;
  // Per cog: shaft radians per metre, wheel newtons per shaft N·m, and cadence per m/s.
  const torquePerForce = new Float64Array(cogCount);
  const shaftPerM = new Float64Array(cogCount);
  const forcePerTorque = new Float64Array(cogCount);
  const rpmPerMs = new Float64Array(cogCount);
  // And for showing quickly that a cog cannot beat another: amps per wheel newton, amps of its
  // own losses per m/s, back-EMF per m/s.
  const ampsPerForce = new Float64Array(cogCount);
  const lossAmpsPerMs = new Float64Array(cogCount);
  const emfPerMs = new Float64Array(cogCount);
  for (let i = 0; i < cogCount; i++) {
    const cog = cogs[i] as number;
    const k = mid ? (motor.reduction * cog) / vehicle.ring : motor.reduction;
    shaftPerM[i] = k / r;
    forcePerTorque[i] = (k * eta) / r;
    torquePerForce[i] = r / (k * eta);
    rpmPerMs[i] = (60 * cog) / (2 * Math.PI * r * vehicle.ring);
    ampsPerForce[i] = (MATCHES * r) / (k * eta * kt);
    lossAmpsPerMs[i] = freewheels ? (MATCHES * viscousNmS * k) / (r * kt) : 0;
    emfPerMs[i] = (kt * k) / r;
  }
  const easiest = rpmPerMs.indexOf(Math.min(...rpmPerMs));
  const lossAmps = freewheels ? (MATCHES * coulombNm) / kt : 0;
  const topCadence = rider.maxCadenceRpm;
  const easyCadence = topCadence - SPIN_OUT_WIDTH_RPM;
  const riderWheelW = rider.powerW * vehicle.drivetrainEfficiency;
  const assistLimit = controller.assistLimitMs ?? Infinity;
  const byLevel = rider.assist?.law === 'level';
  const inShare = rider.assist?.law === 'proportional';
  const levelW = rider.assist?.law === 'level' ? rider.assist.levelW : Infinity;
  const gain = rider.assist?.law === 'proportional' ? rider.assist.gain : 0;
  const regenN =
    !freewheels && motor.regenA !== undefined && air.temperatureC >= REGEN_COLDEST_C
      ? (kt * motor.regenA * motor.reduction) / r
      : 0;

  // Divisions cost most in the loop: whatever stays the same is turned over once.
  const perEtaC = 1 / etaC;
  const perSpinOut = 1 / (topCadence - easyCadence);
  const perMEff = 1 / mEff;
  const perKt = 1 / kt;
  const { heat } = motor;
  const perWindingToCase = 1 / heat.windingToCaseKPerW;
  const perCaseToAir = 1 / heat.caseToAirKPerW;
  // A mass that evens out within one step has no course of its own in it: taken as lighter, it would swing ever wider.
  const perWinding = 1 / Math.max(heat.windingJPerK, LONGEST_STEP_S * perWindingToCase);
  const perCase = 1 / Math.max(heat.caseJPerK, LONGEST_STEP_S * (perWindingToCase + perCaseToAir));
  const perFold = 1 / (FOLD_BACK_ENDS_C - FOLD_BACK_STARTS_C);
  const table = Float64Array.from(OPEN_CIRCUIT[pack.chemistry]);
  const lead = pack.chemistry === 'lead';
  const series = pack.series;
  const cellsOhm = (pack.series / pack.parallel) * pack.cellOhm;
  const leadOhm = pack.leadOhm;
  const cutoff = pack.cutoffVPerCell * series;
  const ratedAh = pack.parallel * pack.cellAh;
  const perAmpSecond = 1 / (3600 * capacityAh(pack, air.temperatureC));
  const emptyAt = 1 - pack.usable;
  const restOhm = cellsOhm + leadOhm;
  const perRestOhm = 1 / (2 * restOhm);

  // Once here: read as a module’s own in each step, they cost as much as the step.
  const assistFadeWidth = ASSIST_FADE_WIDTH;
  const copperTemperatureCoefficient = COPPER_TEMPERATURE_COEFFICIENT;
  const foldBackEndsC = FOLD_BACK_ENDS_C;
  const foldBackStartsC = FOLD_BACK_STARTS_C;
  const gentleAcceleration = GENTLE_ACCELERATION;
  const leastRollingSpeed = LEAST_ROLLING_SPEED;
  const lithiumRiseBelow = LITHIUM_RISE_BELOW;
  const longestRide = LONGEST_RIDE;
  const regenHighestCharge = REGEN_HIGHEST_CHARGE;
  const regenLeastSpeed = REGEN_LEAST_SPEED;
  const regenReturn = REGEN_RETURN;
  const speedAfterStop = SPEED_AFTER_STOP;
  const walkingSpeed = WALKING_SPEED;
  let v = speedAfterStop;
  let s = startCharge;
  let tw = air.temperatureC;
  let ta = air.temperatureC;
  const tAir = air.temperatureC;
  let maxTw = tw;
  let hottestAt = 0;
  let distance = 0;
  let time = 0;
  let walkSteps = 0;
  let walking = false;
  const walkAtM: number[] = [];
  let eBattery = 0;
  let eStanding = 0;
  let eController = 0;
  let eCopper = 0;
  let eMech = 0;
  let eGear = 0;
  let eWheel = 0;
  let eRegen = 0;
  let eRider = 0;
  let eBrakes = 0;
  let ePack = 0;
  let end: RideEnd = 'route done';
  let empty = false;
  let steps = 0;
  let lastBest = 0;
  let parts = 1;
  let firstPass = true;
  let pass: RideResult['pass'] | undefined;

  const { lengthM, perTwoLengths, sin, cos, target, stop, surface, headwind } = road;
  const roadCount = road.count;

  passes: for (;;) {
    for (let n = 0, part = 0; n < roadCount;) {
      if (stop[n] === 1 && part === 0) v = speedAfterStop;
      if (part === 0) parts = fine && v < FINE_BELOW && (sin[n] as number) > FINE_UPHILL ? FINE_PARTS : 1;
      const h = (lengthM[n] as number) / parts;

      // The pack as it is now.
      const x = s <= 0 ? 0 : s >= 1 ? 10 : s * 10;
      const cell = x >= 10 ? 9 : x | 0;
      const low = table[cell] as number;
      const volts = series * (low + ((table[cell + 1] as number) - low) * (x - cell));
      let rp = restOhm;
      let perTwoRp = perRestOhm;
      if (lead || s < lithiumRiseBelow) {
        rp = packOhm(pack, s);
        perTwoRp = 1 / (2 * rp);
      }
      const ohm = motor.resistanceOhm * (1 + copperTemperatureCoefficient * (tw - 20));

      // The cog that drives hardest, motor before fold-back plus rider; ties to the earlier.
      const riderN = v > 1 ? riderWheelW / v : riderWheelW;
      const fourRW = 4 * ohm * etaC * (volts - ib * rp) * ib;
      const perOhmVolts = 1 / (ohm + rp * perEtaC);
      const perTwoOhm = 1 / (2 * ohm);
      const fourOhm = 4 * ohm;
      let best = -1;
      let bestForce = -1;
      let motorMax = 0;
      let riderMax = 0;
      // The cog of the step before comes first: it is mostly still the best, and the others need then
      // only be shown not to beat it, which takes no root.
      const first = mid ? lastBest : easiest;
      for (let n2 = 0; n2 <= cogCount; n2++) {
        const i = n2 === 0 ? first : n2 - 1;
        if (n2 > 0 && i === first) continue;
        const cadence = (rpmPerMs[i] as number) * v;
        const fade = cadence <= easyCadence ? 1 : cadence >= topCadence ? 0 : (topCadence - cadence) * perSpinOut;
        const legs = riderN * fade;
        let force: number;
        if (mid || n2 === 0) {
          const e = (emfPerMs[i] as number) * v;
          const byVolts = (volts - e) * perOhmVolts;
          if (n2 > 0 && bestForce > legs) {
            // Amps this cog would need in order to match the best so far, against each of its ceilings.
            const amps = (bestForce - legs) * (ampsPerForce[i] as number) + lossAmps + (lossAmpsPerMs[i] as number) * v;
            if (amps > iph || amps > byVolts || fourOhm * amps * (e + amps * ohm) > fourRW) continue;
          }
          let amps = iph;
          if (byVolts < amps) amps = byVolts;
          // The battery-current limit is I·(E + I·R) ≤ W; the root is needed only where it binds.
          if (amps > 0 && fourOhm * amps * (e + amps * ohm) > fourRW) {
            amps = (Math.sqrt(e * e + fourRW) - e) * perTwoOhm;
          }
          if (amps < 0) amps = 0;
          let torque = kt * amps;
          if (freewheels) torque -= coulombNm + viscousNmS * (shaftPerM[i] as number) * v;
          force = torque > 0 ? torque * (forcePerTorque[i] as number) : 0;
        } else force = motorMax;
        const both = force + legs;
        if (both > bestForce || (both === bestForce && i < best)) {
          bestForce = both;
          best = i;
          motorMax = force;
          riderMax = legs;
        }
        // A hub’s pull does not depend on the cog: the one that the legs spin slowest is never beaten.
        if (!mid) break;
      }
      lastBest = best;
      const k = shaftPerM[best] as number;
      const omega = k * v;
      const lossTorque = coulombNm + viscousNmS * omega;

      let available = motorMax;
      if (tw > foldBackStartsC) {
        available *= tw >= foldBackEndsC ? 0 : (foldBackEndsC - tw) * perFold;
      }
      if (v > assistLimit - assistFadeWidth) {
        available *= v >= assistLimit ? 0 : (assistLimit - v) / assistFadeWidth;
      }
      if (byLevel) {
        const levelN = v > 1 ? levelW / v : levelW;
        if (levelN < available) available = levelN;
      }

      // What the road asks and who gives it.
      const va = v + (headwind[n] as number);
      let load =
        halfRhoCda * va * Math.abs(va) +
        weight * ((crr + (surface[n] as number)) * (cos[n] as number) + (sin[n] as number));
      if (!freewheels) load += lossTorque * k;
      const vt = target[n] as number;
      let accelerate = (vt * vt - v * v) * (perTwoLengths[n] as number) * parts;
      if (accelerate > gentleAcceleration) accelerate = gentleAcceleration;
      const wanted = load + mEff * accelerate;
      let legs = 0;
      let drive = 0;
      let regen = 0;
      let force = wanted;
      if (wanted > 0) {
        if (byLevel) {
          drive = wanted < available ? wanted : available;
        } else {
          legs = inShare ? wanted / (1 + gain) : wanted;
          if (legs > riderMax) legs = riderMax;
          drive = wanted - legs;
          if (inShare && drive > gain * legs) drive = gain * legs;
          if (drive > available) drive = available;
        }
        // What is still missing is the legs' where they can.
        legs = wanted - drive;
        if (legs > riderMax) legs = riderMax;
        force = legs + drive;
      } else if (regenN > 0 && v > regenLeastSpeed && s <= regenHighestCharge) {
        regen = -wanted < regenN ? -wanted : regenN;
      }

      const v2 = v * v + 2 * (force - load) * h * perMEff;
      let vNext = v2 > 0 ? Math.sqrt(v2) : 0;
      let dt: number;
      if (vNext < leastRollingSpeed) {
        vNext = leastRollingSpeed;
        if (riderMax + available < load) {
          walkSteps++;
          if (!walking && firstPass) walkAtM.push(distance);
          walking = true;
          dt = h / walkingSpeed;
        } else {
          walking = false;
          dt = (2 * h) / (v + vNext);
        }
      } else {
        walking = false;
        dt = (2 * h) / (v + vNext);
      }

      // Electricity for that much drive.
      let watts = standingW;
      let copperW = 0;
      if (drive > 0) {
        const torque = drive * (torquePerForce[best] as number);
        const amps = (freewheels ? torque + lossTorque : torque) * perKt;
        copperW = amps * amps * ohm;
        const motorW = amps * kt * omega + copperW;
        const inputW = motorW * perEtaC;
        watts = inputW + standingW;
        eCopper += copperW * dt;
        eController += (inputW - motorW) * dt;
        if (freewheels) eMech += lossTorque * omega * dt;
        eGear += torque * omega * (1 - eta) * dt;
        eWheel += drive * v * dt;
      }
      if (regen > 0) {
        const back = regenReturn * regen * v;
        watts -= back;
        eRegen += back * dt;
      }
      const root = volts * volts - 4 * rp * watts;
      const packAmps = root > 0 ? (volts - Math.sqrt(root)) * perTwoRp : volts * perTwoRp;
      s -= (lead ? countedAmps(pack, packAmps, ratedAh) : packAmps) * dt * perAmpSecond;

      // Heat: the mechanical loss warms a motor that drives, and always one that cannot freewheel.
      const mechW = drive > 0 || !freewheels ? lossTorque * omega : 0;
      const intoCase = (tw - ta) * perWindingToCase;
      const intoAir = (ta - tAir) * perCaseToAir;
      tw += (copperW + mechW - intoCase) * dt * perWinding;
      ta += (intoCase - intoAir) * dt * perCase;

      eBattery += watts * dt;
      eStanding += standingW * dt;
      ePack += packAmps * packAmps * rp * dt;
      eRider += legs * v * dt;
      if (wanted < 0) eBrakes += (-wanted - regen) * v * dt;
      distance += h;
      time += dt;
      steps++;
      if (tw > maxTw) {
        maxTw = tw;
        hottestAt = distance;
      }
      if (trace !== undefined && firstPass) {
        trace.distanceM.push(distance);
        trace.speedMs.push(vNext);
        trace.charge.push(s);
        trace.windingC.push(tw);
        trace.riderW.push(legs * v);
        trace.motorW.push(drive * v);
        trace.volts.push(volts - packAmps * rp);
        trace.grade.push(road.grade[n] as number);
        trace.timeS.push(time);
        trace.packW.push(watts);
        trace.walked.push(walking ? 1 : 0);
      }
      v = vNext;
      if (++part === parts) {
        part = 0;
        n++;
      }

      if (s <= emptyAt) {
        empty = true;
        end = 'usable charge gone';
        break passes;
      }
      if (root <= 0 || volts - packAmps * rp <= cutoff) {
        empty = true;
        end = 'cut-off volts met';
        break passes;
      }
      if (distance >= longestRide) {
        end = 'given up at 1000 km';
        break passes;
      }
    }
    if (firstPass) pass = { distanceM: distance, energyWh: eBattery / 3600, timeS: time, walkSteps, endCharge: s };
    firstPass = false;
    // A road of no length is ridden once, and never again.
    if (!repeat || road.totalM <= 0) break;
  }

  return {
    distanceM: distance,
    timeS: time,
    meanMs: time > 0 ? distance / time : 0,
    energyWh: eBattery / 3600,
    whPerKm: distance > 0 ? eBattery / 3.6 / distance : 0,
    maxWindingC: maxTw,
    walkSteps,
    endCharge: s,
    empty,
    end,
    steps,
    walkAtM,
    hottestAtM: hottestAt,
    pass: pass ?? { distanceM: distance, energyWh: eBattery / 3600, timeS: time, walkSteps, endCharge: s },
    account: {
      battery: eBattery,
      standing: eStanding,
      controller: eController,
      copper: eCopper,
      motorMechanical: eMech,
      gear: eGear,
      wheel: eWheel,
      regenerated: eRegen,
      rider: eRider,
      brakes: eBrakes,
      packInternal: ePack,
    },
  };
}

function isSteps(route: readonly RouteSegment[] | RouteSteps): route is RouteSteps {
  return 'count' in route;
}
