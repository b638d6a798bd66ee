import { z } from '../reading/zod.ts';

/** A moment of the local clock. */
export const momentSchema = z.string().regex(/^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d$/, 'must be a local time');
const person = z.string().trim().max(60);

/** A step that is done: when, with what, by whom, and what was seen. */
export const doneSchema = z.object({
  at: momentSchema,
  /** Where it was done, and with which part: at another place or with another part it is to be done anew. Null: told by an older file. */
  place: z.string().max(40).nullable().default(null),
  part: z.string().max(200).nullable().default(null),
  /** How long it took, min; null: nobody looked. */
  minutes: z.number().min(0).max(6000).nullable().default(null),
  /** How long was told it would take, min; null: told by an older file. */
  told: z.number().min(0).max(6000).nullable().default(null),
  by: person.default(''),
  /** Who looked at it besides, and when. */
  witness: z
    .object({ by: person.min(1), at: momentSchema })
    .nullable()
    .default(null),
  note: z.string().max(2000).default(''),
  /** What was read off it, SI, by what it is. */
  readings: z.record(z.string().max(60), z.number().min(-1e6).max(1e6)).default({}),
  /** It was left out: gone past, not done. */
  leftOut: z.boolean().default(false),
});
export type Done = z.infer<typeof doneSchema>;

/**
 * Places in a build that can turn out otherwise than planned. Nothing else of a build is written by what was done at
 * the bench.
 */
const differPaths = [
  /^choice\.(torqueArms|packSpot|packPlace|kitId|packId|ringId|clusterId|hubGearId)$/,
  /^donor\.survey\.[A-Za-z]{1,40}$/,
  /^arrivals\.[\w-]{1,80}\.[A-Za-z]{1,40}$/,
  /^wiring\.settings\.[A-Za-z]{1,40}$/,
  /^wiring\.boxes\.[A-Za-z]{1,40}$/,
  /^wiring\.sensors\.[A-Za-z]{1,40}$/,
  /^wiring\.levers\.(left|right)\.(restM|pulledM)$/,
  /^fixes\.[\w-]{1,60}@[^.]{1,80}$/,
] as const;

const reserved = new Set(['__proto__', 'constructor', 'prototype']);

const differPathSchema = z
  .string()
  .max(200)
  .refine((path) => differPaths.some((p) => p.test(path)) && !path.split('.').some((s) => reserved.has(s)), {
    error: 'names nothing of a build that can be built otherwise',
  });

/** One thing built otherwise than planned, and why. */
export const otherwiseSchema = z.object({
  id: z.string().min(1).max(60),
  /** Step it was done at. */
  step: z.string().min(1).max(160),
  at: momentSchema,
  by: person.default(''),
  reason: z.string().trim().min(1, 'must say why').max(1000),
  /** What of the build it changed; none where only words tell it. */
  changes: z
    .array(
      z.object({
        path: differPathSchema,
        /** As planned and as built: a value of that place, null where there was none. */
        was: z.json(),
        is: z.json(),
      }),
    )
    .max(4)
    .default([]),
  /** The whole step was left out by it. */
  leftOut: z.boolean().default(false),
  /** What was done, in the builder's words. */
  what: z.string().trim().max(1000).default(''),
});
export type Otherwise = z.infer<typeof otherwiseSchema>;

/** As many things built otherwise as a build keeps. */
export const MOST_OTHERWISE = 300;

/** Who works, and what was built otherwise than planned. */
export const builtSchema = z.object({
  /** Who is at the bench now: written under each step done. */
  builder: person.default(''),
  /** What is known of people's pace from builds before this one: Σ ln(took ÷ told) over so many steps. */
  paces: z
    .array(z.object({ by: person, sum: z.number().min(-10_000).max(10_000), count: z.int().min(0).max(10_000) }))
    .max(40)
    .default([]),
  otherwise: z.array(otherwiseSchema).max(MOST_OTHERWISE).default([]),
});
export type Built = z.infer<typeof builtSchema>;

export const usualBuilt = (): Built => builtSchema.parse({});
