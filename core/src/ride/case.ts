import { z } from '../reading/zod.ts';
import { problemsOf, type ReadResult } from '../reading/problems.ts';
import { chemistries } from '../parts/chemistry.ts';
import { simulate } from './simulate.ts';
import { startGrade, steadySpeed } from './steady.ts';

/** Bounds of what the models are of: past them a figure is a slip of the pen, and sums of it are no numbers. */
const between = (least: number, most: number): z.ZodNumber => z.number().min(least).max(most);
const share = between(0.01, 1);
/** Most segments of a road, and the shortest of them, m; how short they may be on average where the road is repeated. */
const MOST_SEGMENTS = 200_000;
const SHORTEST_SEGMENT = 0.01;
const SHORTEST_REPEATED = 1;
/** Longest road, m. */
const LONGEST_ROAD = 2_000_000;

const motorSchema = z.object({
  place: z.enum(['front', 'rear', 'mid']),
  ktNmPerA: between(1e-4, 100),
  resistanceOhm: between(1e-5, 100),
  coulombNm: between(0, 100),
  viscousNmS: between(0, 10),
  reduction: between(1, 1000),
  gearEfficiency: share,
  freewheels: z.boolean(),
  heat: z.object({
    windingJPerK: between(0.1, 1e7),
    caseJPerK: between(0.1, 1e7),
    windingToCaseKPerW: between(1e-4, 1e3),
    caseToAirKPerW: between(1e-4, 1e3),
  }),
  regenA: between(0, 5000).optional(),
});

const segmentSchema = z.object({
  lengthM: between(SHORTEST_SEGMENT, 1_000_000),
  grade: between(-2, 2),
  targetMs: between(0.01, 100),
  stop: z.boolean(),
  surfaceCrr: between(0, 1).optional(),
  headwindMs: between(-60, 60).optional(),
});

/** A road of a case, by how it says whether it is ridden again and again: bounded, so that every ride comes to an end. */
export const routeOf = <T extends z.ZodType<boolean>>(
  repeat: T,
): z.ZodObject<{ segments: z.ZodArray<typeof segmentSchema>; repeat: T }> =>
  z.object({ segments: z.array(segmentSchema).min(1).max(MOST_SEGMENTS), repeat }).check(({ value, issues }) => {
    const { segments } = value as { segments: { lengthM: number }[] };
    // A length that is none is told of at its place.
    if (segments.some((s) => !(s.lengthM >= SHORTEST_SEGMENT))) return;
    const lengthM = segments.reduce((sum, s) => sum + s.lengthM, 0);
    const say = (message: string): void => {
      issues.push({ code: 'custom', path: ['segments'], message, input: lengthM });
    };
    if (lengthM > LONGEST_ROAD)
      say(`make a road of ${Math.round(lengthM / 1000)} km; ${LONGEST_ROAD / 1000} km at most are ridden`);
    if ((value as { repeat: boolean }).repeat && lengthM < SHORTEST_REPEATED * segments.length)
      say(
        `are ${(lengthM / segments.length).toFixed(3)} m long on average; a road that is repeated needs ${SHORTEST_REPEATED} m`,
      );
  });

/** A case file: a fully explicit system and route in SI, no shelf and no defaults (docs/models.md). */
export const rideCaseSchema = z.object({
  motor: motorSchema,
  controller: z.object({
    batteryLimitA: between(0.01, 5000),
    phaseLimitA: between(0.01, 5000),
    efficiency: share,
    standingW: between(0, 5000),
    assistLimitMs: between(0.01, 100).optional(),
  }),
  pack: z.object({
    chemistry: z.enum(chemistries),
    series: z.int().min(1).max(400),
    parallel: z.int().min(1).max(400),
    cellAh: between(1e-3, 2000),
    cellOhm: between(1e-6, 100),
    leadOhm: between(0, 100),
    cutoffVPerCell: between(0, 20),
    usable: share,
    health: share,
  }),
  vehicle: z.object({
    massKg: between(0.1, 10_000),
    rotatingKg: between(0, 1000),
    cdaM2: between(0, 20),
    crr: between(0, 1),
    wheelRadiusM: between(0.01, 2),
    ring: between(1, 400),
    cogs: z.array(between(1, 400)).min(1).max(60),
    fixedCog: between(1, 400).nullable(),
    drivetrainEfficiency: share,
  }),
  rider: z.object({
    powerW: between(0, 5000),
    maxCadenceRpm: between(1, 1000),
    assist: z
      .discriminatedUnion('law', [
        z.object({ law: z.literal('fill') }),
        z.object({ law: z.literal('level'), levelW: between(0.1, 1e5) }),
        z.object({ law: z.literal('proportional'), gain: between(0.001, 1000) }),
      ])
      .optional(),
  }),
  air: z.object({
    altitudeM: z.number().min(-500).max(9000),
    temperatureC: z.number().min(-60).max(60),
    headwindMs: z.number().min(-60).max(60),
  }),
  route: routeOf(z.boolean()),
});

export type RideCase = z.infer<typeof rideCaseSchema>;

/** Grades the climb speed is given for. */
const CASE_CLIMB_GRADES = [0.05, 0.08, 0.12] as const;

/** A case's figures, SI. */
export interface RideCaseFigures {
  topSpeedMs: number;
  topSpeedHalfChargeMs: number;
  /** Steady speed by grade, m/s. */
  climbMs: Record<string, number>;
  startGrade: number;
  ride: {
    distanceM: number;
    energyWh: number;
    whPerKm: number;
    meanMs: number;
    maxWindingC: number;
    walkSteps: number;
    endCharge: number;
    empty: boolean;
  };
}

/** Reads a parsed JSON document as a case; every wrong field is named. */
export function readRideCase(document: unknown): ReadResult<RideCase> {
  const parsed = rideCaseSchema.safeParse(document);
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, problems: problemsOf(parsed.error) };
}

/** Runs the models on one case. */
export function runRideCase(rideCase: RideCase): RideCaseFigures {
  const { route } = rideCase;
  const ride = simulate(rideCase, route.segments, { repeat: route.repeat });
  return {
    topSpeedMs: steadySpeed(rideCase, 0, 1).speedMs,
    topSpeedHalfChargeMs: steadySpeed(rideCase, 0, 0.5).speedMs,
    climbMs: Object.fromEntries(
      CASE_CLIMB_GRADES.map((grade) => [String(grade), steadySpeed(rideCase, grade, 1).speedMs]),
    ),
    startGrade: startGrade(rideCase),
    ride: {
      distanceM: ride.distanceM,
      energyWh: ride.energyWh,
      whPerKm: ride.whPerKm,
      meanMs: ride.meanMs,
      maxWindingC: ride.maxWindingC,
      walkSteps: ride.walkSteps,
      endCharge: ride.endCharge,
      empty: ride.empty,
    },
  };
}
