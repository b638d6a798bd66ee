import { z } from '../reading/zod.ts';
import { problemsOf, type ReadResult } from '../reading/problems.ts';
import { unknowns, type Unknown } from '../build/tuned.ts';
import { rideCaseSchema, routeOf } from '../ride/case.ts';
import { cutRoute } from '../ride/simulate.ts';
import type { Band3 } from '../ride/spread.ts';
import { finish } from '../steps.ts';
import { beliefBefore, tuneInSteps, type TuneJob, type TuneRide } from './tune.ts';

const { motor, controller, pack, vehicle, rider, air } = rideCaseSchema.shape;

const riddenSchema = z.object({
  route: routeOf(z.boolean().default(false)),
  air,
  loadKg: z.number().min(-300).max(1000),
  startCharge: z.number().gt(0).max(1),
});
const sd = z.number().nonnegative().max(1);

/** A log to tune by: an explicit system, how far its unknowns are known, rides, and what is to be foretold (docs/models.md). */
const tuneCaseSchema = z
  .object({
    system: z.object({ motor, controller, pack, vehicle, rider }),
    prior: z.object({ cdaM2: sd, crr: sd, riderPowerW: sd, health: sd }),
    rides: z
      .array(riddenSchema.extend({ energyWh: z.number().positive(), energySd: z.number().positive().max(2) }))
      .max(5000),
    forecast: z.array(riddenSchema).max(1000).default([]),
  })
  .check(({ value, issues }) => {
    const own = value.system.vehicle.massKg;
    for (const list of ['rides', 'forecast'] as const)
      value[list].forEach(({ loadKg }, i) => {
        if (own + loadKg <= 0)
          issues.push({ code: 'custom', path: [list, i, 'loadKg'], message: 'leaves no mass', input: loadKg });
      });
  });
export type TuneCase = z.infer<typeof tuneCaseSchema>;

/** A case's answer. */
export interface TuneCaseFigures {
  /** Mean absolute, sd relative. */
  posterior: Record<Unknown, { mean: number; sd: number }>;
  rides: { forecastWh: number; sd: number; z: number; odd: boolean }[];
  forecast: { energyWh: Band3 }[];
}

/** Reads a parsed JSON document as a log to tune by; every wrong field is named. */
export function readTuneCase(document: unknown): ReadResult<TuneCase> {
  const parsed = tuneCaseSchema.safeParse(document);
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, problems: problemsOf(parsed.error) };
}

/** A case as the tuning takes it. */
export function tuneJobOf(given: TuneCase): TuneJob {
  const rideOf = (ride: TuneCase['forecast'][number]): TuneRide => ({
    road: cutRoute(ride.route.segments, ride.air.headwindMs),
    air: ride.air,
    loadKg: ride.loadKg,
    startCharge: ride.startCharge,
  });
  return {
    system: given.system,
    before: beliefBefore(given.prior),
    rides: given.rides.map((r) => ({ ...rideOf(r), energyWh: r.energyWh, energySd: r.energySd })),
    forecast: given.forecast.map(rideOf),
    fine: false,
  };
}

/** Tunes a case’s system to its rides. */
export function runTuneCase(given: TuneCase): TuneCaseFigures {
  const { belief, rides, forecast } = finish(tuneInSteps(tuneJobOf(given)));
  const { vehicle, rider, pack } = given.system;
  const nominal: Record<Unknown, number> = {
    cdaM2: vehicle.cdaM2,
    crr: vehicle.crr,
    riderPowerW: rider.powerW,
    health: pack.health,
  };
  return {
    posterior: Object.fromEntries(
      unknowns.map((u, i) => [
        u,
        {
          mean: nominal[u] * Math.exp(belief.at[i] as number),
          sd: Math.sqrt((belief.cov[i] as readonly number[])[i] as number),
        },
      ]),
    ) as TuneCaseFigures['posterior'],
    rides: rides.map(({ forecastWh, sd, z, odd }) => ({ forecastWh, sd, z, odd })),
    forecast,
  };
}
