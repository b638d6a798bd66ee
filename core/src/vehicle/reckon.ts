import type { Route } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { LEAST_HILL, LEAST_MOTOR_SHARE, NORMAL_90, WIDEST_BAND, SURFACE_ROLLING, USUAL_HILL } from '../constants.ts';
import { coldFactor } from '../pack/battery.ts';
import { cutRoute, simulate, type RideResult, type RideTrace, type RouteSteps } from '../ride/simulate.ts';
import { flatRoute, routeLength, routeSegments, steepestGrade, surfaceAt } from '../ride/route.ts';
import { startGrade, steadySpeed, type SteadySpeed } from '../ride/steady.ts';
import {
  drawnRide,
  drawnRoad,
  drawnSystem,
  isTold,
  ofRoad,
  ridesText,
  spreadInputs,
  spreadInputWords,
  type Draw,
  type RidesSpread,
} from '../ride/spread.ts';
import type { RideSystem } from '../ride/system.ts';
import { systemOf } from './system.ts';
import type { Vehicle } from './vehicle.ts';

/** What one build with one kit, pack and gearing does that needs no road ridden, SI. */
export interface Steady {
  system: RideSystem;
  /** The same on the surface of the road's steepest stretch: what starts and climbs are reckoned on. */
  hill: RideSystem;
  top: SteadySpeed;
  startGrade: number;
  climb: SteadySpeed;
  climbGrade: number;
  steepest: number;
}

/** The same with the road ridden until the pack is empty. */
export interface Reckoning extends Steady {
  toEmpty: RideResult;
  routeM: number;
}

/** Steepest stretch of the build's road, to a tenth of a per cent. */
export function roadSteepest(build: Build): number {
  const { route, thereAndBack } = build.brief;
  return route ? Math.round(steepestGrade(route, thereAndBack).grade * 1000) / 1000 : 0;
}

/** The surface of the road's steepest stretch; smooth asphalt where no road is named. */
export function steepestSurface(build: Build): Route['surface'] {
  const { route, thereAndBack } = build.brief;
  return route ? surfaceAt(route, steepestGrade(route, thereAndBack).atM) : 'asphalt';
}

/** A ride's system on the surface of the road's steepest stretch. */
export function onSteepest(build: Build, system: RideSystem): RideSystem {
  const { vehicle } = system;
  return { ...system, vehicle: { ...vehicle, crr: vehicle.crr + SURFACE_ROLLING[steepestSurface(build)] } };
}

/** The build's road cut into steps for the ride model. */
export function roadOf(build: Build): RouteSteps {
  return cutRoute(routeSegments(build.brief.route ?? flatRoute, build.brief), build.brief.headwindMs);
}

/** Top speed, start grade and steady climb. */
export function steadyOf(build: Build, vehicle: Vehicle): Steady {
  const system = systemOf(build, vehicle);
  const steepest = roadSteepest(build);
  const climbGrade = climbGradeOf(steepest);
  const hill = onSteepest(build, system);
  return {
    system,
    hill,
    top: steadySpeed(system, 0, 1),
    startGrade: startGrade(hill),
    climb: steadySpeed(hill, climbGrade, 1),
    climbGrade,
    steepest,
  };
}

/** Runs the models once: what is steady, and the road to empty. */
export function reckon(
  build: Build,
  vehicle: Vehicle,
  road: RouteSteps,
  trace?: RideTrace,
  steady: Steady = steadyOf(build, vehicle),
): Reckoning {
  const { brief } = build;
  return {
    ...steady,
    toEmpty: simulate(steady.system, road, trace ? { repeat: true, fine: true, trace } : { repeat: true, fine: true }),
    routeM: routeLength(brief.route ?? flatRoute) * (brief.thereAndBack ? 2 : 1),
  };
}

/** Grade the steady climb is told for: the road’s steepest, or the usual hill where it has none. */
export function climbGradeOf(steepest: number): number {
  return steepest >= LEAST_HILL ? steepest : USUAL_HILL;
}

/** How one uncertain input moves the range: one standard deviation of it, as a share of the range. */
export interface SpreadCause {
  label: string;
  share: number;
}

/** A range as a band: nine rides in ten fall short of `highM`, nine in ten pass `lowM`. */
export interface RangeBand {
  lowM: number;
  midM: number;
  highM: number;
  /** Largest first. */
  causes: SpreadCause[];
  /** The motor hardly works: the legs do nearly all, and how far the charge lasts is no range that anyone could plan by. */
  hardly: boolean;
}

/** What of the work at the tyre the legs did on a ride; 0 where nobody did any. */
export function legsShare({ account }: RideResult): number {
  const work = account.rider + account.wheel;
  return work > 0 ? account.rider / work : 0;
}

/**
 * Spread of the range, by the same inputs as drawn rides. Each is moved by one standard deviation for one pass over the
 * road; what that does to Wh/km and to the charge is added as squares: that says what the doubt comes from, and how much
 * of each input it takes to come to a ride such as one in ten. Those two rides, all inputs off together by their part of
 * it (the likeliest way to be so far off), are then ridden to empty as any other: a battery ends on a hill, not at a
 * share of a figure.
 */
export function rangeBand(
  reckoning: Reckoning,
  road: RouteSteps,
  { brief }: Pick<Build, 'brief'>,
  told?: RidesSpread,
): RangeBand {
  const { system, toEmpty } = reckoning;
  const job = { system, route: brief.route ?? flatRoute, brief: { ...brief, route: null }, told };
  const base = (toEmpty.pass.energyWh * 1000) / toEmpty.pass.distanceM;
  const holds = ({ pack, air }: RideSystem): number => pack.health * coldFactor(pack.chemistry, air.temperatureC);
  const shares = spreadInputs.map((input): number => {
    if (input === 'riderPower' && system.rider.powerW === 0) return 0;
    const draw = { ...NO_DRAW, [input]: 1 };
    const [moved, there] = ofRoad.has(input) ? [system, drawnRoad(job, draw)] : [drawnSystem(job, draw), road];
    const { whPerKm } = simulate(moved, there, { repeat: false, fine: true });
    return Math.log(whPerKm / base) - Math.log(holds(moved) / holds(system));
  });
  const sigma = Math.hypot(...shares);
  const midM = toEmpty.distanceM;
  const off = (times: number): number => {
    if (!(sigma > 0)) return midM;
    const draw = Object.fromEntries(
      spreadInputs.map((input, i) => [input, (times * (shares[i] as number)) / sigma]),
    ) as Draw;
    const there = drawnRide(job, draw);
    return simulate(there.system, there.road, { repeat: true, fine: true }).distanceM;
  };
  const lowM = Math.min(midM, off(NORMAL_90));
  const highM = Math.max(midM, off(-NORMAL_90));
  return {
    lowM,
    midM,
    highM,
    causes: causesOf(shares, told),
    hardly: legsShare(toEmpty) > 1 - LEAST_MOTOR_SHARE || Math.max(highM / midM, midM / lowM) > WIDEST_BAND,
  };
}

/** Nothing off: every input as the plan supposes. */
const NO_DRAW = Object.fromEntries(spreadInputs.map((input) => [input, 0])) as Draw;

/** What the doubt comes from, largest first; what rides leave open of vehicle and legs together is one. */
function causesOf(shares: readonly number[], told: RidesSpread | undefined): SpreadCause[] {
  const each = spreadInputs.map((input, i) => ({ input, share: Math.abs(shares[i] as number) }));
  const joint = told ? each.filter(({ input }) => isTold(input)) : [];
  const alone = each.filter((e) => !joint.includes(e));
  return [
    ...(told && joint.length > 0
      ? [{ label: `vehicle and legs, from ${ridesText(told.rides)}`, share: Math.hypot(...joint.map((e) => e.share)) }]
      : []),
    ...alone.map(({ input, share }) => ({ label: spreadInputWords(input), share })),
  ].sort((a, b) => b.share - a.share);
}
