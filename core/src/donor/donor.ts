export * from './options.ts';
export * from './surveySchema.ts';
import { z } from '../reading/zod.ts';
import { vehicleKinds } from './kinds.ts';
import { surveySchema } from './surveySchema.ts';

export const conditionGrades = ['sound', 'needsWork', 'reject'] as const;
export type ConditionGrade = (typeof conditionGrades)[number];
export const conditionItems = [
  'cracks',
  'rust',
  'dents',
  'repairs',
  'headset',
  'hinge',
  'wheels',
  'spokes',
  'bearings',
  'tyres',
  'brakes',
  'shifting',
] as const;
export type ConditionItem = (typeof conditionItems)[number];

const conditionEntry = z.object({
  grade: z.enum(conditionGrades),
  note: z.string().max(2000).default(''),
  /** What it costs and takes to put right, as the person reckons it; absent: the usual figure. */
  cost: z.number().min(0).max(10_000).optional(),
  minutes: z.number().min(0).max(6000).optional(),
});
export type ConditionEntry = z.infer<typeof conditionEntry>;

/** A frame nobody's list has: corners in the side view and tubes between them, m from the rear axle's foot. */
const freeFrameSchema = z.object({
  corners: z
    .array(
      z.object({
        name: z.string().trim().min(1).max(40),
        xM: z.number().min(-2).max(4),
        yM: z.number().min(-0.2).max(2.5),
      }),
    )
    .max(40),
  tubes: z
    .array(
      z.object({
        from: z.int().min(0).max(39),
        to: z.int().min(0).max(39),
        diameterM: z.number().min(0.008).max(0.12),
      }),
    )
    .max(60),
});
export type FreeFrame = z.infer<typeof freeFrameSchema>;

const corner = z.object({ xM: z.number().min(-3).max(4), yM: z.number().min(-3).max(3) });

/**
 * The frame's inside as a free polygon, from a photo, a paper template or a tape: m, any upright axes. The
 * first corner is the one at the bracket, the second the next up the seat tube; it is laid on the drawing by them.
 */
const insidePolygonSchema = z.object({
  corners: z.array(corner).min(3).max(40),
  /** One standard error of a corner's place, m. */
  errorM: z.number().min(0).max(0.1),
  source: z.enum(['photo', 'tape', 'template']),
});
export type InsidePolygon = z.infer<typeof insidePolygonSchema>;

/** Tubes that carry packs, and that things stand out of. */
export const mainTubes = ['downTube', 'seatTube', 'topTube'] as const;
export type MainTube = (typeof mainTubes)[number];
export const mainTubeWords: Record<MainTube, string> = {
  downTube: 'down tube',
  seatTube: 'seat tube',
  topTube: 'upper tube',
};

export const obstructionKinds = ['bolt', 'guide', 'bag', 'lock', 'other'] as const;
export const obstructionKindWords: Record<(typeof obstructionKinds)[number], string> = {
  bolt: 'bolt head',
  guide: 'cable guide',
  bag: 'bag',
  lock: 'lock or pump',
  other: 'something else',
};

/** A thing that stands into the frame's inside from one of its tubes. */
const obstructionSchema = z.object({
  kind: z.enum(obstructionKinds),
  tube: z.enum(mainTubes),
  /** From the tube's lower or rear inside corner to the thing's near end, along the tube, m. */
  alongM: z.number().min(0).max(1.5),
  lengthM: z.number().min(0.002).max(1),
  /** How far it stands off the tube, m. */
  outM: z.number().min(0.001).max(0.4),
  /** It can be taken off for good. */
  removable: z.boolean(),
});
export type Obstruction = z.infer<typeof obstructionSchema>;

/** A main tube's own line where it is neither straight nor an arc: points from the bracket on, m from the crank centre. */
const tubePathSchema = z.object({
  points: z.array(corner).min(2).max(24),
});

export const likings = ['loved', 'liked', 'indifferent', 'disliked', 'untried'] as const;
export const riderFits = ['good', 'adjustable', 'poor', 'untried'] as const;

/** Highest price asked after, and most things noted that stand out of a frame's tubes. */
export const MOST_PRICE = 100_000;
export const MOST_OBSTRUCTIONS = 40;

/** What no tape tells: whether this vehicle is worth a kit to the people who would ride it. */
const worthSchema = z.object({
  liking: z.enum(likings).default('untried'),
  riderFit: z.enum(riderFits).default('untried'),
  /** What the donor costs to come by; 0 where it is there already. */
  donorPrice: z.number().min(0).max(MOST_PRICE).nullable().default(null),
  /** A ready-made electric vehicle that would do the same work. */
  readyMadePrice: z.number().min(0).max(MOST_PRICE).nullable().default(null),
  /** A better donor of the same kind. */
  otherDonorPrice: z.number().min(0).max(MOST_PRICE).nullable().default(null),
});
export type Worth = z.infer<typeof worthSchema>;

/** A bike or trike to convert, as surveyed. */
export const donorSchema = z.object({
  kind: z.enum(vehicleKinds),
  description: z.string().max(500).default(''),
  survey: surveySchema,
  condition: z.partialRecord(z.enum(conditionItems), conditionEntry),
  freeFrame: freeFrameSchema.nullable().default(null),
  inside: insidePolygonSchema.nullable().default(null),
  /** The main (down or low) tube's own line. */
  mainTubePath: tubePathSchema.nullable().default(null),
  obstructions: z.array(obstructionSchema).max(MOST_OBSTRUCTIONS).default([]),
  worth: worthSchema.default({
    liking: 'untried',
    riderFit: 'untried',
    donorPrice: null,
    readyMadePrice: null,
    otherDonorPrice: null,
  }),
});
export type Donor = z.infer<typeof donorSchema>;

/** Where a new donor starts: a diamond frame of which nothing is known. */
export const emptyDonor = (): Donor => ({
  kind: 'diamond',
  description: '',
  survey: {},
  condition: {},
  freeFrame: null,
  inside: null,
  mainTubePath: null,
  obstructions: [],
  worth: { liking: 'untried', riderFit: 'untried', donorPrice: null, readyMadePrice: null, otherDonorPrice: null },
});
