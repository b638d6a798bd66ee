import type { Build } from '../build/build.ts';
import { CONDITION_ERROR, SPREAD } from '../constants.ts';
import { flatRoute, routeLength } from '../ride/route.ts';
import { cutRoute, emptyTrace, simulate } from '../ride/simulate.ts';
import { drawnRide, drawOf, percentile, type Band3 } from '../ride/spread.ts';
import { routeSegments } from '../ride/route.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { systemOf } from '../vehicle/system.ts';
import { ridesSpread } from '../vehicle/told.ts';

/** The day as it is: typed, or told by the weather. */
export interface Day {
  temperatureC: number;
  windMs: number;
  /** Where the wind comes from, degrees from north; null: against on the way out. */
  windFrom: number | null;
  /** More aboard than the plan has, kg. */
  loadKg: number;
  /** Charge at the start, a share. */
  charge: number;
  /** It was looked at, not guessed. */
  looked: boolean;
}

/** Whether it goes there and back today. */
export interface TodayForecast {
  /** Length of the road, there and back where it leads back, m. */
  roadM: number;
  thereAndBack: boolean;
  /** Share of rides that come home with the motor. */
  chance: number;
  /** Charge left at the end, of those that come home; a share. */
  left: Band3;
  energyWh: Band3;
  timeS: Band3;
  /** Way until it fades, m. */
  rangeM: Band3;
  /** Turn back here at the latest to be as good as sure of the way home, m from the start; null: all the way is good. */
  turnBackM: number | null;
  /** Rides it comes from: 0, the plan alone. */
  rides: number;
  draws: number;
}

/** As good as sure: so many rides in a hundred. */
export const SURE_HOME = 0.95;
const SEED = 40_417;

/**
 * The build’s road on a day, drawn with what rides leave open and what a day’s weather does: one ride after another from
 * the charge there is until it fades. Null without kit and pack.
 */
export function todayOn(context: PlanContext, day: Day, draws: number): TodayForecast | null {
  const { build, kit, pack, reckoning } = context;
  if (!kit || !pack || !reckoning) return null;
  const on: Build = {
    ...build,
    brief: { ...build.brief, headwindMs: day.windMs, windFrom: day.windFrom, temperatureC: day.temperatureC },
  };
  const planned = systemOf(on, context.asItWillBe);
  const system = { ...planned, vehicle: { ...planned.vehicle, massKg: planned.vehicle.massKg + day.loadKg } };
  const route = build.brief.route ?? flatRoute;
  const told = ridesSpread(build);
  const job = { system, route, brief: { ...on.brief, route: null }, told };
  const { thereAndBack } = build.brief;
  const oneWayM = routeLength(route);
  const roadM = oneWayM * (thereAndBack ? 2 : 1);
  const scale = day.looked
    ? {
        windSpeed: CONDITION_ERROR.windMs / SPREAD.windMs,
        temperature: CONDITION_ERROR.temperatureK / SPREAD.temperatureK,
      }
    : { windSpeed: 1, temperature: 1 };
  const ranges: number[] = [];
  const energies: number[] = [];
  const times: number[] = [];
  const left: number[] = [];
  let home = 0;
  for (let i = 0; i < draws; i++) {
    const draw = drawOf(SEED, i);
    draw.windSpeed *= scale.windSpeed;
    draw.temperature *= scale.temperature;
    const ridden = drawnRide(job, draw);
    const { distanceM, pass } = simulate(ridden.system, ridden.road, {
      repeat: true,
      fine: true,
      startCharge: day.charge,
    });
    ranges.push(distanceM);
    energies.push(pass.energyWh);
    times.push(pass.timeS);
    const arrives = distanceM >= roadM - 1;
    home += Number(arrives);
    left.push(arrives ? pass.endCharge : 1 - ridden.system.pack.usable);
  }
  const band = (values: number[]): Band3 => {
    const ascending = [...values].sort((a, b) => a - b);
    return { p10: percentile(ascending, 0.1), p50: percentile(ascending, 0.5), p90: percentile(ascending, 0.9) };
  };
  const chance = home / draws;
  return {
    roadM,
    thereAndBack,
    chance,
    left: band(left),
    energyWh: band(energies),
    timeS: band(times),
    rangeM: band(ranges),
    turnBackM: !thereAndBack || chance >= SURE_HOME ? null : turnBack(job, day.charge, ranges, oneWayM),
    rides: told?.rides ?? 0,
    draws,
  };
}

/** Cells side by side that outlast any road. */
const ENDLESS = 1000;

/**
 * How far out the energy of there and of back still fits in what 95 rides in 100 have: the middle ride’s use along the
 * road, out and home from each place, against the charge with the spread of the way it lasts.
 */
function turnBack(
  job: Parameters<typeof drawnRide>[0],
  charge: number,
  ranges: readonly number[],
  oneWayM: number,
): number {
  const ascending = [...ranges].sort((a, b) => a - b);
  const middle = percentile(ascending, 0.5);
  // What is sure of the middle ride's charge.
  const share = middle > 0 ? percentile(ascending, 1 - SURE_HOME) / middle : 0;
  const out = emptyTrace();
  const brief = { ...job.brief, thereAndBack: true };
  const road = cutRoute(routeSegments(job.route, brief), 0);
  const { pack } = job.system;
  // What the whole road takes, also where the battery ends before home: the same resistance, and charge enough for any road.
  const endless = {
    ...job.system,
    pack: { ...pack, parallel: pack.parallel * ENDLESS, cellOhm: pack.cellOhm * ENDLESS },
  };
  simulate(endless, road, { repeat: false, fine: true, trace: out });
  const total = out.distanceM.at(-1) ?? 0;
  const used: number[] = [];
  let sum = 0;
  let before = 0;
  out.packW.forEach((w, i) => {
    const t = out.timeS[i] as number;
    sum += (w * (t - before)) / 3600;
    before = t;
    used.push(sum);
  });
  const usedBy = (m: number): number => {
    if (m <= 0) return 0;
    let [low, high] = [0, used.length - 1];
    while (low < high) {
      const mid = (low + high) >> 1;
      if ((out.distanceM[mid] as number) < m) low = mid + 1;
      else high = mid;
    }
    return used[low] ?? 0;
  };
  const whole = simulate(job.system, road, {
    repeat: true,
    fine: true,
    startCharge: charge,
  });
  const has = whole.energyWh * share;
  const needs = (m: number): number => usedBy(m) + usedBy(total) - usedBy(total - m);
  let [low, high] = [0, oneWayM];
  for (let i = 0; i < 40; i++) {
    const mid = (low + high) / 2;
    if (needs(mid) <= has) low = mid;
    else high = mid;
  }
  return Math.round(low / 10) * 10;
}
