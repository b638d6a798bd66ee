import { z } from '../reading/zod.ts';
import { momentSchema } from './asBuilt.ts';
import { surfaces } from './brief.ts';
import { remedyPlaces } from './remedy.ts';

const person = z.string().trim().max(60);
const id = z.string().min(1).max(80);
const words = z.string().trim().max(2000);
const witness = z.object({ by: person.min(1), at: momentSchema }).nullable();

/** What a test was tried under; null: nobody looked. SI. */
export const conditionsSchema = z.object({
  /** By its gauge, a share; or by its volts at rest, which tell more. */
  charge: z.number().min(0).max(1).nullable().default(null),
  restV: z.number().min(1).max(150).nullable().default(null),
  /** Against travel; behind is below zero. */
  headwindMs: z.number().min(-20).max(20).nullable().default(null),
  temperatureC: z.number().min(-40).max(60).nullable().default(null),
  /** All that moves, weighed, kg. */
  massKg: z.number().min(10).max(1000).nullable().default(null),
  surface: z.enum(surfaces).nullable().default(null),
  wet: z.boolean().default(false),
  /** Cog it was ridden on, teeth; null: the one that pulls hardest. */
  cog: z.number().min(5).max(80).nullable().default(null),
});
export type Conditions = z.infer<typeof conditionsSchema>;

/** A test as it was tried. */
const resultSchema = z.object({
  id,
  test: id,
  at: momentSchema,
  by: person.default(''),
  conditions: conditionsSchema,
  /** What was read, SI, by reading. */
  readings: z.record(z.string().max(40), z.number().min(-1e6).max(1e6)).default({}),
  /** What was seen, of the test’s own list; null: it is read, not seen. */
  saw: z.string().max(40).nullable().default(null),
  note: words.default(''),
  witness: witness.default(null),
});
export type Result = z.infer<typeof resultSchema>;

/** A test gone past untried, with the reason; its id is the test’s. */
const notTriedSchema = z.object({
  id,
  reason: z.string().trim().min(8, 'a reason of a few words').max(1000),
  at: momentSchema,
  by: person.default(''),
  witness: witness.default(null),
});
export type NotTried = z.infer<typeof notTriedSchema>;

/** A stop gone past all the same: never without a reason and somebody who stood by it. */
const wentPastSchema = z.object({
  /** The result it is about: another result is another matter. */
  id,
  test: id,
  reason: z.string().trim().min(8, 'a reason of a few words').max(1000),
  at: momentSchema,
  by: person.default(''),
  witness: z.object({ by: person.min(1), at: momentSchema }),
});
export type WentPast = z.infer<typeof wentPastSchema>;

/** A search for a fault, as far as it went. */
const faultSearchSchema = z.object({
  id,
  at: momentSchema,
  by: person.default(''),
  symptom: z.string().min(1).max(40),
  /** Test of the protocol it began from; null: from anywhere. */
  from: id.nullable().default(null),
  /** Answers in order; several outcomes that hold at once joined by a plus; null: skipped. */
  answers: z
    .array(z.object({ test: id, outcome: z.string().max(120).nullable() }))
    .max(200)
    .default([]),
  /** How it ended: the repair tried, and whether that cured it. */
  ended: z
    .object({ at: momentSchema, fault: id.nullable(), repair: id.nullable(), cured: z.boolean().nullable() })
    .nullable()
    .default(null),
});
export type FaultSearch = z.infer<typeof faultSearchSchema>;

/** A repair that was decided on: its parts stand in the bill, its work among the steps. */
const repairTakenSchema = z.object({
  id,
  repair: id,
  words: z.string().trim().min(1).max(200),
  how: z.string().max(600).default(''),
  place: z.enum(remedyPlaces),
  minutes: z.number().min(0).max(6000),
  takes: z
    .array(z.object({ part: id, count: z.int().min(1).max(20), place: z.enum(remedyPlaces) }))
    .max(8)
    .default([]),
  search: id.nullable().default(null),
  at: momentSchema,
});
export type RepairTaken = z.infer<typeof repairTakenSchema>;

/** One coast-down: speeds against time, one way, SI. */
const coastSchema = z.object({
  id,
  at: momentSchema,
  way: z.enum(['there', 'back']),
  /** Rise over run of the road as ridden that way; null: level as far as anybody knows. */
  grade: z.number().min(-0.2).max(0.2).nullable().default(null),
  points: z
    .array(z.object({ timeS: z.number().min(0).max(600), speedMs: z.number().min(0).max(30) }))
    .min(2)
    .max(400),
});
export type Coast = z.infer<typeof coastSchema>;

export const MOST_RESULTS = 600;

/** What was tried, seen, gone past and mended. */
export const provingSchema = z.object({
  /** Conditions of the day, carried from test to test. */
  day: conditionsSchema.prefault({}),
  results: z.array(resultSchema).max(MOST_RESULTS).default([]),
  notTried: z.array(notTriedSchema).max(200).default([]),
  wentPast: z.array(wentPastSchema).max(200).default([]),
  searches: z.array(faultSearchSchema).max(200).default([]),
  repairs: z.array(repairTakenSchema).max(200).default([]),
  coasts: z.array(coastSchema).max(20).default([]),
});
export type Proving = z.infer<typeof provingSchema>;

export const usualProving = (): Proving => provingSchema.parse({});
