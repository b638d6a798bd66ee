import { normalFrom, seeded } from '../quantity/random.ts';
import { NORMAL_90 } from '../constants.ts';
import { cutRoute, emptyTrace, simulate } from '../ride/simulate.ts';
import type { RideSystem, RouteSegment } from '../ride/system.ts';

/** One reading of a ride meter, a second after the last. SI. */
export interface MeterSample {
  timeS: number;
  distanceM: number;
  speedMs: number;
  volts: number;
  amps: number;
  /** Out of the battery since the start. */
  energyWh: number;
  /** By the meter's own gauge, a share. */
  charge: number;
}

/** Faults the stand-in can hide in a ride. */
export const meterFaults = {
  none: 'None',
  softTyre: 'A soft tyre',
  weakBlock: 'A weak block: it cuts out at half charge',
  cutsOut: 'A loose plug: it cuts out under load',
  speedMagnet: 'A slipped speed magnet: the speed drops to nothing',
} as const;
export type MeterFault = keyof typeof meterFaults;
export const isMeterFault = (text: unknown): text is MeterFault =>
  typeof text === 'string' && Object.hasOwn(meterFaults, text);

/** Errors of the stand-in's meter, one standard deviation. Source: models, §13, a third of an instrument's stated error. */
const NOISE = { speed: 0.01, volts: 0.002, amps: 0.015 } as const;
/** A stop lasts so long, s. Source: project. */
const STANDS = { least: 8, most: 40 } as const;
/** The longest ride that is streamed, s. */
const LONGEST = 6 * 3600;

/**
 * A ride of a vehicle over its road as a meter would tell it, a reading a second: the ride model's own ride, with stops
 * that last, a meter's noise, and a fault where one is wanted. The same for the same seed. Made up, and said to be.
 */
export function standInRide(
  system: RideSystem,
  segments: readonly RouteSegment[],
  seed: number,
  fault: MeterFault = 'none',
): MeterSample[] {
  const uniform = seeded(seed);
  const normal = (): number => normalFrom(uniform);
  const ridden: RideSystem =
    fault === 'softTyre' ? { ...system, vehicle: { ...system.vehicle, crr: system.vehicle.crr * 1.9 } } : system;
  const trace = emptyTrace();
  simulate(ridden, cutRoute(segments, system.air.headwindMs), { repeat: false, fine: true, trace });
  const out: MeterSample[] = [];
  let time = 0;
  let energyWh = 0;
  let distanceM = 0;
  let at = 0;
  /** Seconds the motor stays away. */
  let away = 0;
  let dead = false;
  /** Where it stops, one after another, and the next of them. */
  const stops: number[] = [];
  let nextStop = 0;
  let passed = 0;
  for (const seg of segments) {
    if (seg.stop && passed > 0) stops.push(passed);
    passed += seg.lengthM;
  }
  const total = trace.distanceM.at(-1) ?? 0;
  const say = (speedMs: number, volts: number, watts: number, charge: number): void => {
    const amps = (watts / Math.max(1, volts)) * (1 + NOISE.amps * normal());
    const shown =
      fault === 'speedMagnet' && speedMs > 4 && uniform() < 0.12 ? 0 : speedMs * (1 + NOISE.speed * normal());
    energyWh += (amps * volts) / 3600;
    out.push({
      timeS: time,
      distanceM,
      speedMs: Math.max(0, shown),
      volts: volts * (1 + NOISE.volts * normal()),
      amps,
      energyWh,
      charge: Math.max(0, Math.min(1, charge)),
    });
  };
  while (at < trace.timeS.length && time < LONGEST && distanceM < total - 0.5) {
    const volts = trace.volts[at] as number;
    const charge = trace.charge[at] as number;
    const watts = trace.packW[at] as number;
    const speed = Math.max(0.5, trace.speedMs[at] as number);
    if (distanceM >= (stops[nextStop] ?? Infinity)) {
      nextStop++;
      const stand = STANDS.least + uniform() * (STANDS.most - STANDS.least);
      for (let i = 0; i < stand; i++, time++) say(0, volts, system.controller.standingW, charge);
      continue;
    }
    const most = system.controller.batteryLimitA * volts;
    if (fault === 'cutsOut' && away === 0 && watts > 0.6 * most && uniform() < 0.08)
      away = 4 + Math.floor(uniform() * 5);
    if (fault === 'weakBlock' && charge < 0.5 && watts > 0.4 * most) dead = true;
    const motorless = away > 0 || dead;
    if (away > 0) away--;
    const v = motorless ? Math.min(speed, 2.5) : speed;
    distanceM += v;
    say(v, dead ? volts * 0.82 : volts, motorless ? system.controller.standingW : watts, charge);
    time++;
    while (at < trace.distanceM.length && (trace.distanceM[at] as number) <= distanceM) at++;
  }
  return out;
}

/** What the plan says of this ride beforehand, SI. */
export interface LivePlan {
  /** Use over the road, Wh/m, with its 10 to 90 %. */
  use: { mid: number; low: number; high: number };
  /** What the battery gives from full to empty on that day, Wh. */
  usableWh: number;
  /** Charge at which it counts as empty, a share. */
  emptyAt: number;
  /** Length of the road, and whether it leads back. */
  roadM: number;
  thereAndBack: boolean;
  /** Energy used up to each point of the road by the plan. */
  foretold: { distanceM: number; energyWh: number }[];
}

/** What the page shows of a ride going on. */
export interface LiveNow {
  timeS: number;
  distanceM: number;
  speedMs: number;
  watts: number;
  volts: number;
  /** Wh/m over the last half kilometre, and from the start; null while too little was ridden. */
  useNow: number | null;
  useMean: number | null;
  charge: number;
  /** Distance left: 10, 50 and 90 %. */
  left: { low: number; mid: number; high: number };
  /** What the plan had used by here, Wh, and what was used. */
  planWh: number;
  energyWh: number;
  /** Where to turn back at the latest, m from the start; null where the road does not lead back, or it reaches all the way. */
  turnBackM: number | null;
  /** It is past that. */
  past: boolean;
}

/** A gauge is trusted so far, as a share of full, one standard deviation. Source: models, §15, gauge. */
const GAUGE = 0.04;
/** One kilometre tells the use of the next ones so far, one standard deviation of its logarithm; more ones by their root. Source: project. */
const A_KM = 0.35;
const WINDOW_M = 500;
const LEAST_M = 150;

/**
 * What a ride says so far beside its plan. Use ahead is the plan's, drawn to what was ridden as it is ridden (normal in
 * the logarithm: the plan by its band, the ride by its kilometres); distance left is what the battery still has by that.
 */
export function liveNow(samples: readonly MeterSample[], plan: LivePlan): LiveNow | null {
  const last = samples.at(-1);
  if (!last) return null;
  const since = last.distanceM - WINDOW_M;
  let from = samples.length - 1;
  while (from > 0 && (samples[from] as MeterSample).distanceM > since) from--;
  const window = samples[from] as MeterSample;
  const way = last.distanceM - window.distanceM;
  const useNow = way >= LEAST_M ? (last.energyWh - window.energyWh) / way : null;
  const useMean = last.distanceM >= LEAST_M ? last.energyWh / last.distanceM : null;
  const planWh = energyBy(plan.foretold, last.distanceM);
  const priorSd = Math.max(0.02, Math.log(plan.use.high / plan.use.low) / 2 / NORMAL_90);
  let mean = Math.log(plan.use.mid);
  let sd = priorSd;
  if (useMean !== null && useMean > 0 && planWh > 0) {
    // Ridden against foretold for the same stretch: a hill behind is no hill ahead.
    const ratio = Math.log(last.energyWh / planWh);
    const own = A_KM / Math.sqrt(last.distanceM / 1000);
    const weight = 1 / (1 + (own / priorSd) ** 2);
    mean += weight * Math.max(-1.5, Math.min(1.5, ratio));
    sd = Math.sqrt(1 / (1 / priorSd ** 2 + 1 / own ** 2));
  }
  // A meter without a gauge: what was taken out, from full.
  const charge = Number.isFinite(last.charge) ? last.charge : 1 - (last.energyWh / plan.usableWh) * (1 - plan.emptyAt);
  // From full to the plan's own empty: what is below that is not ridden.
  const has = Math.max(0, (charge - plan.emptyAt) / (1 - plan.emptyAt)) * plan.usableWh;
  const gauge = GAUGE * plan.usableWh;
  const spread = Math.hypot(sd, has > 0 ? gauge / has : 0);
  const mid = has / Math.exp(mean);
  const left = {
    low: mid * Math.exp(-NORMAL_90 * Math.min(2, spread)),
    mid,
    high: mid * Math.exp(NORMAL_90 * Math.min(2, spread)),
  };
  // Half of all that can still be ridden for sure lies ahead, the other half is the way home.
  const half = (last.distanceM + left.low) / 2;
  const turnBackM = plan.thereAndBack && last.distanceM + left.low < plan.roadM ? half : null;
  return {
    timeS: last.timeS,
    distanceM: last.distanceM,
    speedMs: last.speedMs,
    watts: last.volts * last.amps,
    volts: last.volts,
    useNow,
    useMean,
    charge,
    left,
    planWh,
    energyWh: last.energyWh,
    turnBackM,
    past: turnBackM !== null && last.distanceM > turnBackM && last.distanceM < plan.roadM / 2,
  };
}

function energyBy(foretold: LivePlan['foretold'], distanceM: number): number {
  const i = foretold.findIndex((f) => f.distanceM >= distanceM);
  if (i < 0) return foretold.at(-1)?.energyWh ?? 0;
  const b = foretold[i] as LivePlan['foretold'][number];
  const a = i > 0 ? (foretold[i - 1] as LivePlan['foretold'][number]) : { distanceM: 0, energyWh: 0 };
  const span = b.distanceM - a.distanceM;
  return a.energyWh + (span > 0 ? ((b.energyWh - a.energyWh) * (distanceM - a.distanceM)) / span : 0);
}
