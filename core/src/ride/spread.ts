import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Brief, Route } from '../build/brief.ts';
import { SPREAD } from '../constants.ts';
import { normalFrom } from '../quantity/random.ts';
import { fromRest, type Foothold } from './fromRest.ts';
import { routeSegments } from './route.ts';
import { cutRoute, simulate, type RouteSteps } from './simulate.ts';
import type { RideSystem } from './system.ts';

/** Uncertain inputs, in the order they are drawn. */
export const spreadInputs = [
  'dragArea',
  'rolling',
  'windSpeed',
  'windDirection',
  'riderPower',
  'temperature',
  'load',
  'health',
  'stops',
] as const;
export type SpreadInput = (typeof spreadInputs)[number];
const usualWords: Record<SpreadInput, string> = {
  dragArea: 'air drag ±8 %',
  rolling: 'rolling ±15 %',
  windSpeed: 'wind ±1.5 m/s',
  windDirection: 'wind’s direction ±25°',
  riderPower: 'rider’s power ±20 %',
  temperature: 'temperature ±5 K',
  load: 'load ±3 %',
  health: 'pack’s health ±3 %',
  stops: 'stops ±30 %',
};

/** Inputs that rides tell of, in the order of their lower triangle. */
export const toldInputs = ['dragArea', 'rolling', 'riderPower', 'health'] as const satisfies readonly SpreadInput[];
/** Whether rides tell of an input. */
export const isTold = (input: SpreadInput): boolean => (toldInputs as readonly SpreadInput[]).includes(input);

/** What rides leave open of them: the lower triangle of their covariance, in logarithms. */
export interface RidesSpread {
  rides: number;
  lower: readonly (readonly number[])[];
}
const toldWords: Partial<Record<SpreadInput, string>> = {
  dragArea: 'air drag',
  rolling: 'rolling',
  riderPower: 'rider’s power',
  health: 'pack’s health',
};

/** An input with how far it is known; after rides it says so. */
export function spreadInputWords(input: SpreadInput, told?: RidesSpread): string {
  if (!told || !isTold(input)) return usualWords[input];
  return `${toldWords[input] ?? input}, from ${ridesText(told.rides)}`;
}
export const ridesText = (rides: number): string => `${rides} ride${rides === 1 ? '' : 's'}`;

/** What drag, rolling, legs and health are multiplied by at a draw. */
export function toldFactors(draw: Draw, told: RidesSpread | undefined): [number, number, number, number] {
  const z = toldInputs.map((input) => held(draw[input]));
  return toldInputs.map((input, i) =>
    told
      ? Math.exp((told.lower[i] as readonly number[]).reduce((sum, l, j) => sum + l * (z[j] as number), 0))
      : 1 + SPREAD[input] * (z[i] as number),
  ) as [number, number, number, number];
}

/** One standard normal number for each input. */
export type Draw = Record<SpreadInput, number>;

/** What is ridden again and again: plain data, so that it can be handed to a worker. */
export interface SpreadJob {
  system: RideSystem;
  route: Route;
  brief: Brief;
  seed: number;
  /** The road's steepest stretch, rise over run, what its surface adds to Crr, and what a start there hangs on. */
  start: Foothold & { steepest: number; rolling: number };
  /** After rides: what they leave open. Absent: what every plan supposes. */
  told?: RidesSpread | undefined;
}

/** What one drawn ride gave, SI. */
export interface DrawResult {
  rangeM: number;
  /** Of one pass over the road. */
  energyWh: number;
  timeS: number;
  hottestC: number;
  walked: boolean;
  /** Whether it sets off from rest on the road's steepest stretch, by motor and legs. */
  setsOff: boolean;
  draw: Draw;
}

/**
 * The draw of a number and a seed. It depends on nothing else, so that draw 17 is the same ride on any
 * number of workers and for any build compared with it (common random numbers).
 */
export function drawOf(seed: number, index: number): Draw {
  const random = xoroshiro128plus((Math.imul(seed, 0x9e3779b1) ^ Math.imul(index + 1, 0x85ebca6b)) | 0);
  const out = {} as Draw;
  for (const input of spreadInputs) out[input] = normalFrom(() => uniformFloat64(random));
  return out;
}

/** Never let a draw turn a factor round: at most three standard deviations either way. */
const held = (z: number): number => Math.max(-3, Math.min(3, z));

/** The vehicle as a draw has it. */
export function drawnSystem({ system, told }: Pick<SpreadJob, 'system' | 'told'>, draw: Draw): RideSystem {
  const { vehicle, rider, pack, air } = system;
  const [drag, rolling, legs, health] = toldFactors(draw, told);
  return {
    ...system,
    vehicle: {
      ...vehicle,
      cdaM2: vehicle.cdaM2 * drag,
      crr: vehicle.crr * rolling,
      massKg: vehicle.massKg * (1 + SPREAD.load * held(draw.load)),
    },
    rider: { ...rider, powerW: rider.powerW * legs },
    pack: { ...pack, health: Math.min(1, pack.health * health) },
    air: { ...air, temperatureC: air.temperatureC + SPREAD.temperatureK * held(draw.temperature) },
  };
}

/** Inputs that are the road's and its wind's, not the vehicle's. */
export const ofRoad: ReadonlySet<SpreadInput> = new Set(['windSpeed', 'windDirection', 'stops']);

/** The road as a draw has it: its wind, its stops. */
export function drawnRoad({ route, brief }: Pick<SpreadJob, 'route' | 'brief'>, draw: Draw): RouteSteps {
  return cutRoute(
    routeSegments(route, brief, {
      windMs: SPREAD.windMs * held(draw.windSpeed),
      turn: SPREAD.windTurnDeg * held(draw.windDirection),
      stops: Math.max(0, 1 + SPREAD.stops * held(draw.stops)),
    }),
    0,
  );
}

/** Vehicle and road as a draw has them. */
export function drawnRide(
  job: Omit<SpreadJob, 'seed' | 'start'>,
  draw: Draw,
): { system: RideSystem; road: RouteSteps } {
  return { system: drawnSystem(job, draw), road: drawnRoad(job, draw) };
}

/** Whether a system sets off on the steepest stretch, by motor and legs. */
function setsOff(system: RideSystem, { steepest, rolling, ...foothold }: SpreadJob['start']): boolean {
  const { vehicle } = system;
  const hill = { ...system, vehicle: { ...vehicle, crr: vehicle.crr + rolling } };
  return fromRest(hill, steepest, foothold) !== 'not at all';
}

/** One drawn ride: the road to empty, with one pass of it told apart. */
export function rideDraw(job: SpreadJob, draw: Draw): DrawResult {
  const { system, road } = drawnRide(job, draw);
  const whole = simulate(system, road, { repeat: true, fine: true });
  return {
    rangeM: whole.distanceM,
    energyWh: whole.pass.energyWh,
    timeS: whole.pass.timeS,
    hottestC: whole.maxWindingC,
    walked: whole.pass.walkSteps > 0,
    setsOff: setsOff(system, job.start),
    draw,
  };
}

/** Draws from one number up to another, in order. */
export function runDraws(job: SpreadJob, from: number, to: number): DrawResult[] {
  const out: DrawResult[] = [];
  for (let i = from; i < to; i++) out.push(rideDraw(job, drawOf(job.seed, i)));
  return out;
}

/** Three percentiles, SI. */
export interface Band3 {
  p10: number;
  p50: number;
  p90: number;
}

/** The spread of a plan's ride. */
export interface Spread {
  count: number;
  rangeM: Band3;
  energyWh: Band3;
  timeS: Band3;
  hottestC: Band3;
  /** Share of rides that reach the wanted range with its reserve, and set off on every hill on the way. */
  chance: number;
  /** Share of rides that do not set off on the steepest stretch: none of them arrives. */
  stuck: number;
  /** Share of rides with a walked stretch. */
  walks: number;
  /** Share of the range's variance that each input causes, largest first; they add up to 1. */
  causes: { input: SpreadInput; share: number }[];
}

/** Percentile of ascending values, straight between neighbours. */
export function percentile(ascending: readonly number[], share: number): number {
  if (ascending.length === 0) return NaN;
  const at = share * (ascending.length - 1);
  const low = Math.floor(at);
  const a = ascending[low] as number;
  const b = ascending[Math.min(low + 1, ascending.length - 1)] as number;
  return a + (b - a) * (at - low);
}

function band(values: readonly number[]): Band3 {
  const ascending = [...values].sort((a, b) => a - b);
  return { p10: percentile(ascending, 0.1), p50: percentile(ascending, 0.5), p90: percentile(ascending, 0.9) };
}

/**
 * Sums drawn rides up. Shares of the spread are squared correlations of each input with the logarithm
 * of the range: exact for a linear model, good to about a hundredth at 500 draws.
 */
export function summariseDraws(results: readonly DrawResult[], wantedM: number): Spread {
  const logs = results.map((r) => Math.log(Math.max(1, r.rangeM)));
  const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;
  const logMean = mean(logs);
  const squares = spreadInputs.map((input) => {
    const zs = results.map((r) => held(r.draw[input]));
    const zMean = mean(zs);
    let both = 0;
    let zz = 0;
    let yy = 0;
    zs.forEach((z, i) => {
      const y = (logs[i] as number) - logMean;
      both += (z - zMean) * y;
      zz += (z - zMean) ** 2;
      yy += y * y;
    });
    return zz > 0 && yy > 0 ? (both * both) / (zz * yy) : 0;
  });
  const total = squares.reduce((sum, s) => sum + s, 0);
  return {
    count: results.length,
    rangeM: band(results.map((r) => r.rangeM)),
    energyWh: band(results.map((r) => r.energyWh)),
    timeS: band(results.map((r) => r.timeS)),
    hottestC: band(results.map((r) => r.hottestC)),
    chance: results.filter((r) => r.setsOff && r.rangeM >= wantedM).length / Math.max(1, results.length),
    stuck: results.filter((r) => !r.setsOff).length / Math.max(1, results.length),
    walks: results.filter((r) => r.walked).length / Math.max(1, results.length),
    causes: spreadInputs
      .map((input, i) => ({ input, share: total > 0 ? (squares[i] as number) / total : 0 }))
      .sort((a, b) => b.share - a.share),
  };
}
