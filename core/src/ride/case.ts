import { z } from '../reading/zod.ts';
import { problemsOf, type ReadResult } from '../reading/problems.ts';
import { chemistries } from '../parts/chemistry.ts';
import { simulate } from './simulate.ts';
import { startGrade, steadySpeed } from './steady.ts';

const positive = z.number().positive();
const notNegative = z.number().nonnegative();
const share = z.number().gt(0).max(1);

const motorSchema = z.object({
  place: z.enum(['front', 'rear', 'mid']),
  ktNmPerA: positive,
  resistanceOhm: positive,
  coulombNm: notNegative,
  viscousNmS: notNegative,
  reduction: z.number().min(1),
  gearEfficiency: share,
  freewheels: z.boolean(),
  heat: z.object({
    windingJPerK: positive,
    caseJPerK: positive,
    windingToCaseKPerW: positive,
    caseToAirKPerW: positive,
  }),
  regenA: notNegative.optional(),
});

const segmentSchema = z.object({
  lengthM: positive.max(1_000_000),
  grade: z.number().min(-2).max(2),
  targetMs: positive.max(100),
  stop: z.boolean(),
  surfaceCrr: notNegative.optional(),
  headwindMs: z.number().optional(),
});

/** A case file: a fully explicit system and route in SI, no shelf and no defaults (docs/models.md). */
export const rideCaseSchema = z.object({
  motor: motorSchema,
  controller: z.object({
    batteryLimitA: positive,
    phaseLimitA: positive,
    efficiency: share,
    standingW: notNegative,
    assistLimitMs: positive.optional(),
  }),
  pack: z.object({
    chemistry: z.enum(chemistries),
    series: z.int().positive(),
    parallel: z.int().positive(),
    cellAh: positive,
    cellOhm: positive,
    leadOhm: notNegative,
    cutoffVPerCell: notNegative,
    usable: share,
    health: share,
  }),
  vehicle: z.object({
    massKg: positive,
    rotatingKg: notNegative,
    cdaM2: notNegative,
    crr: notNegative,
    wheelRadiusM: positive.max(2),
    ring: positive,
    cogs: z.array(positive).min(1),
    fixedCog: positive.nullable(),
    drivetrainEfficiency: share,
  }),
  rider: z.object({
    powerW: notNegative,
    maxCadenceRpm: positive,
    assist: z
      .discriminatedUnion('law', [
        z.object({ law: z.literal('fill') }),
        z.object({ law: z.literal('level'), levelW: positive }),
        z.object({ law: z.literal('proportional'), gain: positive }),
      ])
      .optional(),
  }),
  air: z.object({
    altitudeM: z.number().min(-500).max(9000),
    temperatureC: z.number().min(-60).max(60),
    headwindMs: z.number().min(-60).max(60),
  }),
  route: z.object({ segments: z.array(segmentSchema).min(1), repeat: z.boolean() }),
});

export type RideCase = z.infer<typeof rideCaseSchema>;

/** Grades the climb speed is given for. */
export const CASE_CLIMB_GRADES = [0.05, 0.08, 0.12] as const;

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
