import { z } from '../reading/zod.ts';
import { partBase, positive, share } from './partBase.ts';

export const ringSchema = z.object({
  ...partBase,
  kind: z.literal('ring'),
  teeth: z.int().min(20).max(62),
  mount: z.string().max(20),
});
export type Ring = z.infer<typeof ringSchema>;

export const clusterSchema = z.object({
  ...partBase,
  kind: z.literal('cluster'),
  mount: z.enum(['freewheel', 'cassette']),
  cogs: z.array(z.int().min(9).max(54)).min(1).max(13),
});
export type Cluster = z.infer<typeof clusterSchema>;

export const hubGearSpeeds = ['three', 'five', 'seven', 'eight', 'eleven', 'fourteen', 'stepless'] as const;
export type HubGearSpeeds = (typeof hubGearSpeeds)[number];

/** A hub with gears inside, or a stepless one in even steps over its span. */
export const hubGearSchema = z.object({
  ...partBase,
  kind: z.literal('hubGear'),
  speeds: z.enum(hubGearSpeeds),
  /** Internal ratios, lowest first. */
  ratios: z.array(positive.max(4)).min(1).max(20),
  efficiency: share,
  /** Least ring ÷ cog and greatest input torque its maker allows, N·m, where they are given. */
  leastRatio: positive.max(4).optional(),
  mostTorqueNm: positive.max(300).optional(),
  cog: z.int().min(9).max(30),
});
export type HubGear = z.infer<typeof hubGearSchema>;
