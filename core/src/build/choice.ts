import { z } from '../reading/zod.ts';
import { packPlaces } from '../parts/pack.ts';

/** A tyre as a choice or a description names it, m. */
export const tyreSizeSchema = z.object({
  beadM: z.number().min(0.1).max(0.75),
  widthM: z.number().min(0.015).max(0.15),
});

/** What a pack is held by. */
export const fixings = ['bosses', 'clamps', 'straps', 'stands'] as const;

export const choiceSchema = z.object({
  kitId: z.string().nullable(),
  packId: z.string().nullable(),
  /** Where the pack goes; null lets the plan take its best place. */
  packPlace: z.enum(packPlaces).nullable(),
  /** Where along its place it was put by hand; null takes the best spot. */
  packSpot: z
    .object({ alongM: z.number().min(-1).max(2), turned: z.boolean(), fixing: z.enum(fixings) })
    .nullable()
    .default(null),
  /** Wheels of another size that are thought of; null keeps the donor's. */
  newWheels: z
    .object({ rear: tyreSizeSchema.nullable(), front: tyreSizeSchema.nullable() })
    .default({ rear: null, front: null }),
  /** Null keeps what the donor (or a mid-drive kit) brings. */
  ringId: z.string().nullable(),
  clusterId: z.string().nullable(),
  /** A hub gear or stepless hub to be laced in; null keeps what the donor has. */
  hubGearId: z.string().nullable().default(null),
  /** Torque arms the builder means to fit. */
  torqueArms: z.int().min(0).max(2),
  /** Assist limit to set, m/s; null leaves the kit's own. */
  assistLimitMs: z.number().min(1).max(30).nullable(),
  usesThrottle: z.boolean(),
});
export type Choice = z.infer<typeof choiceSchema>;

/** Where a new build's choice starts: nothing chosen, one torque arm meant. */
export const usualChoice = (): Choice => ({
  kitId: null,
  packId: null,
  packPlace: null,
  packSpot: null,
  newWheels: { rear: null, front: null },
  ringId: null,
  clusterId: null,
  hubGearId: null,
  torqueArms: 1,
  assistLimitMs: null,
  usesThrottle: false,
});

/** Whether two choices are one conversion: the same kit, battery, place and gears. */
export const sameConversion = (a: Choice, b: Choice): boolean =>
  a.kitId === b.kitId &&
  a.packId === b.packId &&
  a.packPlace === b.packPlace &&
  a.ringId === b.ringId &&
  a.clusterId === b.clusterId &&
  a.hubGearId === b.hubGearId;
