import { chargerFor } from '../pack/charger.ts';
import { neededRange } from '../build/brief.ts';
import { packLife, type PackLife } from '../pack/life.ts';
import { voltsSuit } from '../pack/volts.ts';
import { airDensity } from '../ride/roadLoad.ts';
import { flatRoute, routeSegments } from '../ride/route.ts';
import { scenarios, type Scenario } from '../ride/scenarios.ts';
import {
  cutRoute,
  emptyTrace,
  simulate,
  type EnergyAccount,
  type RideResult,
  type RideTrace,
} from '../ride/simulate.ts';
import type { SpreadJob } from '../ride/spread.ts';
import { SURFACE_ROLLING } from '../constants.ts';
import { steepestSurface } from '../vehicle/reckon.ts';
import { fromRest, type FromRest } from '../ride/fromRest.ts';
import type { RideSystem } from '../ride/system.ts';
import { cableCaution } from '../wiring/cableCaution.ts';
import { wiringOf } from '../wiring/wiring.ts';
import type { Caution } from '../safety/caution.ts';
import { goingSafely } from '../safety/going.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { ridesSpread } from '../vehicle/told.ts';
import { systemOf, tyreRolling } from '../vehicle/system.ts';

/** A hill of the road: whether it is passed with a run-up, and from rest. */
export interface HillStart {
  atM: number;
  lengthM: number;
  grade: number;
  /** Slowest speed ridden on it with the run-up the road gives. */
  slowestMs: number;
  walked: boolean;
  fromRest: FromRest;
}

/** Everything the ride sheet shows besides the spread. */
export interface RideSheet {
  system: RideSystem;
  trace: RideTrace;
  once: RideResult;
  account: EnergyAccount;
  hills: HillStart[];
  scenarios: Scenario[];
  cautions: Caution[];
  life: PackLife;
  job: SpreadJob;
  wantedM: number;
  /** Where on a there-and-back ride half the usable charge is gone; null where it never comes to that. */
  turnBackM: number | null;
}

/** Hills count from this grade and this length. Source: project. */
const HILL_GRADE = 0.035;
const HILL_LENGTH = 40;
/** Seed of every spread, so that the same build gives the same answer. */
const SEED = 20_260;

/** What a spread rides: the system on its road, and what a start on its steepest stretch hangs on. */
function jobOf(context: PlanContext, system: RideSystem): SpreadJob {
  const { build, steepest, foothold } = context;
  return {
    system,
    route: build.brief.route ?? flatRoute,
    brief: { ...build.brief, route: null },
    seed: SEED,
    start: { ...foothold, steepest, rolling: SURFACE_ROLLING[steepestSurface(build)] },
    told: ridesSpread(build),
  };
}

/** What a spread rides, without the rest of the sheet: cheap enough for every keystroke. */
export function rideJob(context: PlanContext): { job: SpreadJob; wantedM: number } | null {
  const { build, kit, pack, asItWillBe } = context;
  if (!kit || !pack || !voltsSuit(kit, pack) || context.standsStill) return null;
  const system = systemOf(build, asItWillBe);
  return {
    job: jobOf(context, system),
    wantedM: neededRange(build.brief),
  };
}

/** The ride of a build with its kit and pack, once over the road; null where either is not chosen. */
export function rideSheet(context: PlanContext): RideSheet | null {
  const { build, kit, pack, asItWillBe } = context;
  if (!kit || !pack || !voltsSuit(kit, pack) || context.standsStill) return null;
  const system = systemOf(build, asItWillBe);
  const route = build.brief.route ?? flatRoute;
  const segments = routeSegments(route, build.brief);
  const trace = emptyTrace();
  const once = simulate(system, cutRoute(segments, 0), { repeat: false, fine: true, trace });
  const wantedM = neededRange(build.brief);
  const rho = airDensity(system.air.altitudeM, system.air.temperatureC);
  const { vehicle } = system;
  const power = wiringOf(context)?.power;
  const usableHalf = 1 - system.pack.usable / 2;
  const turn = trace.charge.findIndex((s) => s <= usableHalf);
  return {
    system,
    trace,
    once,
    account: once.account,
    hills: hillStarts(context, system, trace),
    scenarios: scenarios(build, system, route, wantedM),
    cautions: [
      ...goingSafely(context, {
        massKg: vehicle.massKg,
        cdaM2: vehicle.cdaM2,
        crr: vehicle.crr,
        rho,
        speedMs: context.fastest.ms,
        segments,
        trailerCrr: build.brief.trailer ? tyreRolling(build.brief.trailer.tyre) : 0,
      }),
      ...(power ? [cableCaution(power, pack)] : []),
    ],
    life: packLife(pack, once.whPerKm, build.brief.temperatureC, chargerFor(pack, context.shelf)),
    job: jobOf(context, system),
    wantedM,
    turnBackM: turn < 0 ? null : (trace.distanceM[turn] as number),
  };
}

/** Hills of a trace, steepest 30 m first reckoned, with a start from rest on each. */
function hillStarts(context: PlanContext, system: RideSystem, trace: RideTrace): HillStart[] {
  const out: HillStart[] = [];
  let from = -1;
  const close = (to: number): void => {
    if (from < 0) return;
    const start = from;
    from = -1;
    const atM = trace.distanceM[start] as number;
    const lengthM = (trace.distanceM[to] as number) - atM;
    if (lengthM < HILL_LENGTH) return;
    let grade = 0;
    let slowest = Infinity;
    let walked = false;
    for (let i = start; i <= to; i++) {
      grade = Math.max(grade, trace.grade[i] as number);
      slowest = Math.min(slowest, trace.speedMs[i] as number);
      walked ||= trace.walked[i] === 1;
    }
    const charge = Math.max(0.05, trace.charge[start] as number);
    out.push({
      atM,
      lengthM,
      grade,
      slowestMs: slowest,
      walked,
      fromRest: fromRest(system, grade, context.foothold, charge, trace.windingC[start]),
    });
  };
  trace.grade.forEach((g, i) => {
    if (g >= HILL_GRADE) {
      if (from < 0) from = i;
    } else close(i - 1);
  });
  close(trace.grade.length - 1);
  return out.sort((a, b) => b.grade - a.grade).slice(0, 6);
}
