import { z } from '../reading/zod.ts';
import { doneSchema } from './asBuilt.ts';

/** A time of the day, hours and minutes; 24:00 is the day's end. */
const clock = z.string().regex(/^(([01]\d|2[0-3]):[0-5]\d|24:00)$/, 'must be a time of day such as 18:30');

const fromTo = { from: clock, to: clock };
const rightWay = ({ from, to }: { from: string; to: string }): boolean => from < to;
const wrongWay = { path: ['to'], error: 'must come after its from' };

/** Bench time that comes again each week: 0 is Monday. */
const weeklySchema = z.object({ day: z.int().min(0).max(6), ...fromTo }).refine(rightWay, wrongWay);
export type Weekly = z.infer<typeof weeklySchema>;

/** Bench time on one day. */
const onceSchema = z.object({ on: z.iso.date(), ...fromTo }).refine(rightWay, wrongWay);
export type Once = z.infer<typeof onceSchema>;

/** Who works, how practised, when, and what is done. */
export const benchSchema = z.object({
  /** Pairs of hands. */
  hands: z.union([z.literal(1), z.literal(2)]).default(1),
  /** Has converted before: the step's practised minutes hold. */
  practised: z.boolean().default(false),
  weekly: z.array(weeklySchema).max(42).default([]),
  once: z.array(onceSchema).max(200).default([]),
  /** Days without any of it. */
  away: z.array(z.iso.date()).max(400).default([]),
  /** Steps that are done, by id. */
  done: z.record(z.string().max(160), doneSchema).default({}),
});
export type Bench = z.infer<typeof benchSchema>;

/** Where a new build starts: one pair of hands, no bench time named. */
export const usualBench = (): Bench => benchSchema.parse({});
