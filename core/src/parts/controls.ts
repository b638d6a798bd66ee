import { z } from '../reading/zod.ts';
import { plugEndSchema } from './leads.ts';
import { notNegative, partBase, positive } from './partBase.ts';

/** What is exchangeable at the bar and the sensors: each on a tail of its own with a plug at its end. */
const controlRoles = [
  'display',
  'keypad',
  'throttle',
  'lever',
  'cutoff',
  'cadence',
  'speed',
  'shift',
  'frontLamp',
  'rearLamp',
  'horn',
] as const;
export type ControlRole = (typeof controlRoles)[number];

/** How a cut-off cuts: the magnet leaves the sensor, comes to it, or a switch opens or closes. */
export const cutoffActs = ['cutsWhenAway', 'cutsWhenNear', 'switchOpens', 'switchCloses'] as const;
export type CutoffActs = (typeof cutoffActs)[number];
export const cutoffActsWords: Record<CutoffActs, string> = {
  cutsWhenAway: 'cuts when the magnet leaves',
  cutsWhenNear: 'cuts when the magnet comes near',
  switchOpens: 'a switch that opens',
  switchCloses: 'a switch that closes',
};

/** What a cut-off does with its lead unplugged. */
export const unpluggedWays = ['runs', 'cuts'] as const;

export const cutoffSchema = z.object({
  acts: z.enum(cutoffActs),
  /** Gap at which the sensor just sees its magnet, m; switches have none. */
  reachM: positive.max(0.02).nullable(),
  /** The motor with the lead pulled out. */
  unplugged: z.enum(unpluggedWays),
});
export type Cutoff = z.infer<typeof cutoffSchema>;

export const cadenceSchema = z.object({
  magnets: z.int().min(1).max(48),
  /** Pulses the controller waits for before it helps; null where nobody says: two are taken. */
  pulses: z.int().min(1).max(48).nullable(),
  side: z.enum(['left', 'right']),
  /** A whole ring goes on behind the crank, crank off; a split one closes round the axle. */
  ring: z.enum(['whole', 'split', 'inside']),
  /** Room it takes beside the bracket, and the gap it reads across at most, m. */
  roomM: notNegative.max(0.03),
  clearanceM: positive.max(0.01),
});
export type Cadence = z.infer<typeof cadenceSchema>;

/** A display, throttle, lever, sensor, lamp or horn that can be had apart from a kit. */
export const controlSchema = z.object({
  ...partBase,
  kind: z.literal('control'),
  role: z.enum(controlRoles),
  /** Its tail and what is at the end; null: it has no lead. */
  tailM: notNegative.max(4),
  plug: plugEndSchema.nullable(),
  /** What it takes of the bar along it, m; 0 where it sits elsewhere. */
  barM: notNegative.max(0.2),
  throttleKind: z.enum(['thumb', 'twist']).optional(),
  cutoff: cutoffSchema.optional(),
  /** Of a lever: how many cables it pulls, and whether it locks. */
  lever: z.object({ cables: z.int().min(1).max(2), locks: z.boolean() }).optional(),
  cadence: cadenceSchema.optional(),
  /** Of a lamp or horn: what it takes from the main pack. */
  watts: positive.max(100).optional(),
  /** Volts it bears: a lamp for 12 V wants a converter. */
  volts: z.object({ least: positive.max(120), most: positive.max(120) }).optional(),
});
export type Control = z.infer<typeof controlSchema>;
