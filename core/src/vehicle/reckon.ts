import type { Route } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import {
  LEAST_HILL,
  LEAST_MOTOR_SHARE,
  NORMAL_90,
  WIDEST_BAND,
  SPREAD,
  SURFACE_ROLLING,
  USUAL_HILL,
} from '../constants.ts';
import { coldFactor } from '../pack/battery.ts';
import { cutRoute, simulate, type RideResult, type RideTrace, type RouteSteps } from '../ride/simulate.ts';
import { flatRoute, routeLength, routeSegments, steepestGrade, surfaceAt } from '../ride/route.ts';
import { startGrade, steadySpeed, type SteadySpeed } from '../ride/steady.ts';
import { ridesText, toldInputs, type RidesSpread } from '../ride/spread.ts';
import type { RideSystem } from '../ride/system.ts';
import { systemOf } from './system.ts';
import type { Vehicle } from './vehicle.ts';

/** The figures of one build with one kit, pack and gearing, SI. */
export interface Reckoning {
  system: RideSystem;
  /** The same on the surface of the road's steepest stretch: what starts and climbs are reckoned on. */
  hill: RideSystem;
  toEmpty: RideResult;
  top: SteadySpeed;
  startGrade: number;
  climb: SteadySpeed;
  climbGrade: number;
  steepest: number;
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

/** Runs the models once: the road to empty, top speed, start grade, steady climb. */
export function reckon(build: Build, vehicle: Vehicle, road: RouteSteps, trace?: RideTrace): Reckoning {
  const system = systemOf(build, vehicle);
  const steepest = roadSteepest(build);
  const climbGrade = climbGradeOf(steepest);
  const hill = onSteepest(build, system);
  return {
    system,
    hill,
    toEmpty: simulate(system, road, trace ? { repeat: true, fine: true, trace } : { repeat: true, fine: true }),
    top: steadySpeed(system, 0, 1),
    startGrade: startGrade(hill),
    climb: steadySpeed(hill, climbGrade, 1),
    climbGrade,
    steepest,
    routeM: routeLength(build.brief.route ?? flatRoute) * (build.brief.thereAndBack ? 2 : 1),
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
 * First-order spread of the range: one pass over the road for each uncertain input moved by one
 * standard deviation, the shifts in Wh/km added as squares. Good while each shift stays small
 * (about a fifth); a drawn spread replaces it where more is wanted.
 */
export function rangeBand(
  reckoning: Reckoning,
  road: RouteSteps,
  thereAndBack: boolean,
  told?: RidesSpread,
): RangeBand {
  const { system, toEmpty } = reckoning;
  const base = (toEmpty.pass.energyWh * 1000) / toEmpty.pass.distanceM;
  const shift = (moved: RideSystem): number => simulate(moved, road, { repeat: false, fine: true }).whPerKm / base - 1;
  const { vehicle, air } = system;
  const windier = road.headwind.map(
    (wind, i) => wind + (thereAndBack && i >= road.count / 2 ? -SPREAD.windMs : SPREAD.windMs),
  );
  const causes: SpreadCause[] = [
    ...vehicleCauses(system, told, shift),
    {
      label: 'load ±3 %',
      share: shift({ ...system, vehicle: { ...vehicle, massKg: vehicle.massKg * (1 + SPREAD.load) } }),
    },
    {
      label: 'wind ±1.5 m/s',
      share: simulate(system, { ...road, headwind: windier }, { repeat: false, fine: true }).whPerKm / base - 1,
    },
    {
      label: 'temperature ±5 K',
      share:
        coldShare(system) + shift({ ...system, air: { ...air, temperatureC: air.temperatureC - SPREAD.temperatureK } }),
    },
  ].map((cause) => ({ ...cause, share: Math.abs(cause.share) }));
  const sigma = Math.sqrt(causes.reduce((sum, cause) => sum + cause.share ** 2, 0));
  const midM = toEmpty.distanceM;
  // Range goes as 1 over Wh/km: the band is laid symmetrically in the logarithm.
  const factor = Math.exp(NORMAL_90 * sigma);
  return {
    lowM: midM / factor,
    midM,
    highM: midM * factor,
    causes: causes.sort((a, b) => b.share - a.share),
    hardly: legsShare(toEmpty) > 1 - LEAST_MOTOR_SHARE || factor > WIDEST_BAND,
  };
}

/** What is not known of vehicle and legs: each by itself, or what rides leave open of all together. */
function vehicleCauses(
  system: RideSystem,
  told: RidesSpread | undefined,
  shift: (moved: RideSystem) => number,
): SpreadCause[] {
  const { vehicle, rider } = system;
  const moved = (drag: number, rolling: number, legs: number): number =>
    shift({
      ...system,
      vehicle: { ...vehicle, cdaM2: vehicle.cdaM2 * drag, crr: vehicle.crr * rolling },
      rider: { ...rider, powerW: rider.powerW * legs },
    });
  if (told) {
    // Each column moves all four together: what rides cannot tell apart cancels where it does on the road.
    const columns = toldInputs.map((_, j) => {
      const [drag, rolling, legs, health] = toldInputs.map(
        (_, i) => (told.lower[i] as readonly number[])[j] as number,
      ) as [number, number, number, number];
      return moved(Math.exp(drag), Math.exp(rolling), Math.exp(legs)) - health;
    });
    return [{ label: `vehicle and legs, from ${ridesText(told.rides)}`, share: Math.hypot(...columns) }];
  }
  return [
    { label: 'air drag ±8 %', share: moved(1 + SPREAD.dragArea, 1, 1) },
    { label: 'rolling ±15 %', share: moved(1, 1 + SPREAD.rolling, 1) },
    { label: 'rider’s power ±20 %', share: rider.powerW === 0 ? 0 : moved(1, 1, 1 + SPREAD.riderPower) },
    { label: 'pack health ±3 %', share: SPREAD.health },
  ];
}

function coldShare(system: RideSystem): number {
  const { chemistry } = system.pack;
  const t = system.air.temperatureC;
  return 1 - coldFactor(chemistry, t - SPREAD.temperatureK) / coldFactor(chemistry, t);
}
