import { unknowns, type Unknown } from '../build/tuned.ts';
import { NORMAL_90 } from '../constants.ts';
import type { RideSystem, AirModel } from '../ride/system.ts';
import { simulate, type RouteSteps } from '../ride/simulate.ts';
import type { Band3 } from '../ride/spread.ts';
import type { Steps } from '../steps.ts';
import { normalDraws, spreadOf, weighed, type Normal, type Square } from '../quantity/normals.ts';

export const unknownWords: Record<Unknown, string> = {
  cdaM2: 'drag area',
  crr: 'rolling',
  riderPowerW: 'the legs',
  health: 'the battery’s health',
};
/** One standard deviation of each in the logarithm, before any ride. */
export type Prior = Record<Unknown, number>;

/** A ride as the model needs it: road, air, load and charge at the start. */
export interface TuneRide {
  road: RouteSteps;
  air: AirModel;
  /** Over and above the vehicle's own mass, kg. */
  loadKg: number;
  startCharge: number;
}
/** A ride with what it took out of the battery, Wh, and one standard deviation of that, a share. */
export interface TuneSeen extends TuneRide {
  energyWh: number;
  energySd: number;
  /** Kept in whatever it says, or left out; absent or null: as it agrees. */
  counts?: boolean | null;
}

/** What stays the same from ride to ride. */
export interface TuneJob {
  system: Omit<RideSystem, 'air'>;
  /** What is believed before the first of these rides. */
  before: Belief;
  rides: readonly TuneSeen[];
  forecast: readonly TuneRide[];
  /** Uphill at low speed in quarters, as a build's own rides are; case files go without. */
  fine: boolean;
}

/** Where the unknowns are held to lie: logarithms of the factors on their nominals, and their covariance. */
export type Belief = Normal;

/** A ride beside what was foretold of it. */
export interface RideTold {
  /** From the rides before it. */
  forecastWh: number;
  /** Of that forecast and the reading together, and of the forecast alone, in the logarithm. */
  sd: number;
  modelSd: number;
  /** The forecast with one reading in ten on each side, Wh. */
  bandWh: { low: number; high: number };
  /** How many of them the ride lies above it. */
  z: number;
  /** The same, foretold from all other rides that were kept. */
  zOthers: number;
  /** Further than three from what all others tell: kept out. */
  odd: boolean;
}

export interface Tuning {
  belief: Belief;
  rides: RideTold[];
  forecast: { energyWh: Band3 }[];
}

/** A ride is odd beyond so many standard deviations. Source: models, §15. */
const ODD_BEYOND = 3;
/** Derivatives are taken over this, in the logarithm. Source: models, §15. */
const STEP = 0.01;
/** A ride's own derivatives are taken anew once the unknowns have moved so far from where they were. Source: project. */
const STALE = 0.3;
/** Rounds of Gauss and Newton at most; the middle of a belief is found to a ten-thousandth. */
const MOST_ROUNDS = 12;
const FOUND = 1e-4;
/** No factor is believed beyond e to this: a log that asks for it has something else amiss. */
const FURTHEST = 1.5;
/** How much of what lies off the slopes counts as spread of its ride: where a hill is ridden or walked by a hair. Source: project, by made-up logs. */
const ROUGH = 0.8;
/** Least energy a forecast is taken as, Wh: a road that only falls takes next to nothing. */
const LEAST_WH = 0.05;
/** Draws of a forecast's band. Source: project: percentiles within a hundredth of the spread. */
const FORECAST_DRAWS = 192;

/** Energy of a ride with the unknowns at these logarithms, Wh. */
export function energyOf(job: Pick<TuneJob, 'system' | 'fine'>, ride: TuneRide, at: readonly number[]): number {
  const [cda, crr, legs, health] = at.map(Math.exp) as [number, number, number, number];
  const { vehicle, rider, pack } = job.system;
  const system: RideSystem = {
    ...job.system,
    vehicle: {
      ...vehicle,
      cdaM2: vehicle.cdaM2 * cda,
      crr: vehicle.crr * crr,
      massKg: vehicle.massKg + ride.loadKg,
    },
    rider: { ...rider, powerW: rider.powerW * legs },
    pack: { ...pack, health: pack.health * health },
    air: ride.air,
  };
  const { energyWh } = simulate(system, ride.road, {
    repeat: false,
    fine: job.fine,
    startCharge: ride.startCharge,
  });
  return Math.max(LEAST_WH, energyWh);
}

/** A ride's energy about a point: its logarithm and slopes over the width of the belief there, and what lies off them. */
interface Local {
  at: readonly number[];
  /** How far to either side the slopes were taken. */
  over: readonly number[];
  log: number;
  slopes: number[];
  /** One standard deviation of the ride about its slopes. */
  rough: number;
}

/** The unknowns that can matter: a prior of nothing, or legs that give nothing, stay where they are. */
const moves = (job: TuneJob): boolean[] =>
  unknowns.map(
    (u, i) =>
      ((job.before.cov[i] as readonly number[])[i] as number) > 0 &&
      !(u === 'riderPowerW' && job.system.rider.powerW === 0),
  );

/** Slopes are taken over the width of what is believed: a hill ridden or walked by a hair is a step, not a slope. */
const widthOf = (cov: Square): number[] => cov.map((row, i) => Math.max(STEP, Math.sqrt(row[i] as number)));

function localAt(job: TuneJob, ride: TuneRide, { at, cov }: Belief): Local {
  const over = widthOf(cov);
  const middle = Math.log(energyOf(job, ride, at));
  let bent = 0;
  let uneven = 0;
  const slopes = moves(job).map((can, i) => {
    if (!can) return 0;
    const by = over[i] as number;
    const moved = (step: number): number =>
      Math.log(
        energyOf(
          job,
          ride,
          at.map((x, j) => (j === i ? x + step : x)),
        ),
      );
    const [low, high] = [moved(-by), moved(by)];
    const bend = (low + high) / 2 - middle;
    bent += bend / 2;
    uneven += ROUGH * bend * bend;
    return (high - low) / (2 * by);
  });
  return { at, over, log: middle + bent, slopes, rough: Math.sqrt(uneven) };
}

const stillHolds = (local: Local, { at, cov }: Belief): boolean => {
  const over = widthOf(cov);
  return at.every(
    (x, i) =>
      Math.abs(x - (local.at[i] as number)) <= STALE * (over[i] as number) + 0.005 &&
      (over[i] as number) < 1.5 * (local.over[i] as number) &&
      (over[i] as number) > (local.over[i] as number) / 1.5,
  );
};

const along = (slopes: readonly number[], from: readonly number[], to: readonly number[]): number =>
  slopes.reduce((sum, s, i) => sum + s * ((to[i] as number) - (from[i] as number)), 0);

/** Rides of a log with their slopes kept between rounds. */
class Seen {
  private readonly locals = new Map<number, Local>();
  constructor(private readonly job: TuneJob) {}

  *near(i: number, belief: Belief): Steps<Local> {
    const kept = this.locals.get(i);
    if (kept && stillHolds(kept, belief)) return kept;
    const made = localAt(this.job, this.job.rides[i] as TuneSeen, belief);
    this.locals.set(i, made);
    yield;
    return made;
  }
}

/** The belief before any ride. */
export function beliefBefore(prior: Prior): Belief {
  return {
    at: unknowns.map(() => 0),
    cov: unknowns.map((u, i) => unknowns.map((_, j) => (i === j ? prior[u] ** 2 : 0))),
  };
}

/** One row of what rides say: slopes, what is left of the logarithm, its weight. */
interface Row {
  slopes: readonly number[];
  rest: number;
  weight: number;
}

function rowOf(local: Local, ride: TuneSeen, at: readonly number[]): Row {
  return {
    slopes: local.slopes,
    rest: Math.log(ride.energyWh) - local.log - along(local.slopes, local.at, at),
    weight: 1 / (ride.energySd ** 2 + local.rough ** 2),
  };
}

/**
 * The peak of what prior and some of the rides say together, and its width: Gauss and Newton on the logarithms, no
 * step longer than a quarter, and half of each once they go to and fro.
 */
function* peak(job: TuneJob, seen: Seen, which: readonly number[], from: Belief): Steps<Belief> {
  let { at, cov } = from;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const rows: Row[] = [];
    for (const i of which) rows.push(rowOf(yield* seen.near(i, { at, cov }), job.rides[i] as TuneSeen, at));
    const found = weighed(rows, at, job.before);
    cov = found.cov;
    // Far off the slopes are others: go a part of the way and look again.
    const furthest = Math.max(...found.step.map(Math.abs));
    const share = furthest > 0.25 ? 0.25 / furthest : round > 5 ? 0.5 : 1;
    at = at.map((x, i) => Math.max(-FURTHEST, Math.min(FURTHEST, x + share * (found.step[i] as number))));
    if (furthest < FOUND) break;
  }
  return { at, cov };
}

/** Forecast of a ride about a belief: the logarithm at its middle, and its spread. */
function told(local: Local, belief: Belief): { log: number; modelSd: number } {
  return {
    log: local.log + along(local.slopes, local.at, belief.at),
    modelSd: Math.hypot(spreadOf(local.slopes, belief.cov), local.rough),
  };
}

/**
 * Rides that agree with each other: from all of them the one furthest from what all others tell is taken out, until
 * none lies beyond `ODD_BEYOND`; then any that agrees after all is taken back.
 */
function* agreeing(
  job: TuneJob,
  seen: Seen,
  upTo: number,
  from: Belief,
): Steps<{ kept: number[]; belief: Belief; z: number[] }> {
  const all = Array.from({ length: upTo }, (_, i) => i);
  const said = (i: number): boolean | null => (job.rides[i] as TuneSeen).counts ?? null;
  const out = new Set<number>(all.filter((i) => said(i) === false));
  let belief = from;
  let z: number[] = [];
  for (let round = 0; round <= 2 * upTo; round++) {
    const kept = all.filter((i) => !out.has(i));
    belief = yield* peak(job, seen, kept, belief);
    z = [];
    for (const i of all) z.push(yield* againstOthers(job, seen, kept, i, belief));
    const worst = kept
      .filter((i) => said(i) === null)
      .reduce((w, i) => (w < 0 || Math.abs(z[i] as number) > Math.abs(z[w] as number) ? i : w), -1);
    if (worst >= 0 && Math.abs(z[worst] as number) > ODD_BEYOND) {
      out.add(worst);
      continue;
    }
    const back = [...out].filter((i) => said(i) === null && Math.abs(z[i] as number) <= ODD_BEYOND);
    if (back.length === 0 || round >= upTo) break;
    out.delete(back.reduce((b, i) => (Math.abs(z[i] as number) < Math.abs(z[b] as number) ? i : b)));
  }
  return { kept: all.filter((i) => !out.has(i)), belief, z };
}

/** How far a ride lies from what the other kept ones tell, by their slopes about the belief of all. */
function* againstOthers(job: TuneJob, seen: Seen, kept: readonly number[], i: number, belief: Belief): Steps<number> {
  const ride = job.rides[i] as TuneSeen;
  const local = yield* seen.near(i, belief);
  let others = belief;
  if (kept.includes(i)) {
    const rows: Row[] = [];
    for (const j of kept)
      if (j !== i) rows.push(rowOf(yield* seen.near(j, belief), job.rides[j] as TuneSeen, belief.at));
    const { step, cov } = weighed(rows, belief.at, job.before);
    others = { at: belief.at.map((x, k) => x + (step[k] as number)), cov };
  }
  const { log, modelSd } = told(local, others);
  return (Math.log(ride.energyWh) - log) / Math.hypot(modelSd, ride.energySd);
}

/**
 * Tunes drag area, rolling, legs and health to rides: normal in the logarithm round their nominals before, each ride's
 * energy normal in its logarithm. Stops between rides, so that it can be shown and ended. The same log gives the same
 * answer. Source: models, §15.
 */
export function* tuneInSteps(job: TuneJob): Steps<Tuning> {
  const seen = new Seen(job);
  const rides: RideTold[] = [];
  let before = job.before;
  for (let i = 0; i < job.rides.length; i++) {
    if (i > 0) before = (yield* agreeing(job, seen, i, before)).belief;
    const ride = job.rides[i] as TuneSeen;
    const local = localAt(job, ride, before);
    yield;
    const { log, modelSd } = told(local, before);
    const sd = Math.hypot(modelSd, ride.energySd);
    rides.push({
      forecastWh: Math.exp(log),
      sd,
      modelSd,
      bandWh: { low: Math.exp(log - NORMAL_90 * sd), high: Math.exp(log + NORMAL_90 * sd) },
      z: (Math.log(ride.energyWh) - log) / sd,
      zOthers: 0,
      odd: false,
    });
  }
  const { belief, z, kept } = yield* agreeing(job, seen, job.rides.length, before);
  rides.forEach((ride, i) => {
    ride.zOthers = z[i] as number;
    ride.odd = !kept.includes(i);
  });
  const forecast: Tuning['forecast'] = [];
  for (const ride of job.forecast) {
    forecast.push({ energyWh: foretell(job, ride, belief) });
    yield;
  }
  return { belief, rides, forecast };
}

/** Band of a ride's energy by a belief: that many draws of the unknowns, ridden; no meter's error in it. */
export function foretell(
  job: Pick<TuneJob, 'system' | 'fine'>,
  ride: TuneRide,
  belief: Belief,
  draws = FORECAST_DRAWS,
): Band3 {
  const energies = normalDraws(belief, draws)
    .map((at) => energyOf(job, ride, at))
    .sort((a, b) => a - b);
  const at = (share: number): number => {
    const x = Math.max(0, Math.min(draws - 1, share * draws - 0.5));
    const low = Math.floor(x);
    const a = energies[low] as number;
    return a + ((energies[Math.min(draws - 1, low + 1)] as number) - a) * (x - low);
  };
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) };
}
