import { z } from '../reading/zod.ts';
import { partBase, positive, share } from './partBase.ts';

export const ringSchema = z.object({
  ...partBase,
  kind: z.literal('ring'),
  teeth: z.int().min(20).max(62),
  mount: z.string().max(20),
  /** How far its teeth stand inboard of the spider it bolts to, m; 0 flat, below 0 outboard. */
  offsetM: z.number().min(-0.03).max(0.03).default(0),
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
  /** Least and greatest ring ÷ cog, and the greatest input torque its maker allows, N·m, where they are given. */
  leastRatio: positive.max(4).optional(),
  mostRatio: positive.max(6).optional(),
  mostTorqueNm: positive.max(300).optional(),
  cog: z.int().min(9).max(30),
  /** Smallest and largest cog that goes on it. */
  cogs: z.object({ least: z.int().min(9).max(30), most: z.int().min(9).max(40) }).optional(),
  /** Between the dropouts, m; its axle’s flats. */
  dropoutSpacingM: positive.max(0.25).optional(),
  axleFlatsM: positive.max(0.03).optional(),
  /** For lacing, m: flange circle’s radius and the flanges’ distance from the middle, spoke holes. */
  flangeRadiusM: positive.max(0.1).optional(),
  flangeOutM: z.object({ left: positive.max(0.1), right: positive.max(0.1) }).optional(),
  spokes: z.int().min(12).max(48).optional(),
  /** What brakes inside it, or takes a rotor outside. */
  brake: z.enum(['coaster', 'roller', 'rotor', 'none']).optional(),
});
export type HubGear = z.infer<typeof hubGearSchema>;
