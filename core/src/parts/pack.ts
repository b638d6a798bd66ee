import { z } from '../reading/zod.ts';
import { chemistries } from './chemistry.ts';
import { plugEndSchema } from './leads.ts';
import { notNegative, partBase, positive, share } from './partBase.ts';

export const packPlaces = [
  'downTube',
  'seatTube',
  'behindSeatTube',
  'underDownTube',
  'topTube',
  'rack',
  'underSeat',
  'seatBack',
  'basket',
  'box',
  'trailer',
  'bar',
  'frameBag',
  'backpack',
] as const;
export type PackPlace = (typeof packPlaces)[number];
export const packPlaceWords: Record<PackPlace, string> = {
  downTube: 'on the down tube',
  seatTube: 'on the seat tube',
  behindSeatTube: 'behind the seat tube',
  underDownTube: 'under the down tube',
  topTube: 'under the upper tube',
  rack: 'on the rear rack',
  underSeat: 'under the seat',
  seatBack: 'on the seat back',
  basket: 'in the front basket',
  box: 'in the box',
  trailer: 'on the trailer',
  bar: 'in a bag on the bar',
  frameBag: 'in a frame bag',
  backpack: 'in a backpack',
};
/** Places where the pack is bolted, clamped or strapped to a tube of the frame. */
export const tubePlaces: readonly PackPlace[] = ['downTube', 'seatTube', 'behindSeatTube', 'underDownTube', 'topTube'];

const packForms = ['wedge', 'slab', 'brick', 'bag', 'tubeCase', 'custom'] as const;
export type PackForm = (typeof packForms)[number];
/** Where a pack comes from: what it may be trusted with hangs on it. */
const packOrigins = ['new', 'used', 'homeMade'] as const;
export const packOriginWords: Record<(typeof packOrigins)[number], string> = {
  new: 'new, from its seller',
  used: 'used',
  homeMade: 'home-made or rebuilt',
};

const packEnds = ['low', 'high'] as const;

export const packSchema = z.object({
  ...partBase,
  /** A stack of old blocks in a trailer outweighs any other part. */
  massKg: notNegative.max(400),
  kind: z.literal('pack'),
  chemistry: z.enum(chemistries),
  series: z.int().min(1).max(40),
  parallel: z.int().min(1).max(40),
  cellAh: positive.max(200),
  cellOhm: positive.max(1),
  leadOhm: notNegative.max(1),
  /** Rise of its resistance from full to empty, as a factor added, where a discharge was measured. */
  resistanceRise: notNegative.max(50).optional(),
  cutoffVPerCell: positive.max(4),
  usable: share,
  /** Continuous amps of one cell, and of the protection board; null where nobody knows. */
  cellContinuousA: positive.max(500).nullable(),
  boardA: positive.max(500).nullable(),
  /** Where it comes from; absent: new from a seller. */
  origin: z.enum(packOrigins).optional(),
  /** Share of its first capacity that is left; absent on a new one is all of it, null: nobody has tried. */
  health: z.number().min(0.2).max(1).nullable().optional(),
  outline: z.object({ lengthM: positive.max(1.2), heightM: positive.max(0.6), widthM: positive.max(0.6) }),
  slideOffM: notNegative.max(0.3),
  /** How its case is made; absent: a slab. */
  form: z.enum(packForms).optional(),
  /** Its own outline, m: along the rail from its low end, and away from it. Only with the form “custom”. */
  points: z
    .array(z.object({ xM: z.number().min(-0.05).max(1.2), yM: z.number().min(-0.05).max(0.6) }))
    .min(3)
    .max(200)
    .optional(),
  /** How it leaves its rail: along it away from the latch, straight off it, or sideways out of the frame. */
  leaves: z.enum(['along', 'off', 'sideways']).optional(),
  /** End of the rail with latch and key; the pack slides towards the other. */
  latchEnd: z.enum(packEnds).optional(),
  /** Where its discharge plug is: at an end, or on its side. */
  plugAt: z.enum([...packEnds, 'side']).optional(),
  /** What it gives by and is charged by; absent where nobody says. A lead of its own counts to the joint. */
  discharge: z.object({ plug: plugEndSchema, leadM: notNegative.max(2) }).optional(),
  charge: z.object({ plug: plugEndSchema }).optional(),
  /** It is sold with its charger. */
  withCharger: z.boolean().optional(),
  /** Built of blocks that are joined by the builder: how many in a row, and the volts of one. */
  blocks: z.object({ count: z.int().min(2).max(12), volts: positive.max(60) }).optional(),
  /** Its maker’s own joint lets two of a kind work side by side. */
  parallelJoint: z.boolean().optional(),
  /** Middle of its first rail hole from the low end, and how many holes there are. */
  holes: z.object({ firstM: notNegative.max(1), count: z.int().min(1).max(8) }).optional(),
  places: z.array(z.enum(packPlaces)).min(1),
  /** Spacing of its rail's holes, and how far a slot lets it vary; absent where it straps on. */
  railHolesM: z.object({ spacing: positive.max(0.3), slot: notNegative.max(0.1) }).optional(),
  /** Tubes its clamps go round. */
  clampTubesM: z.object({ least: positive.max(0.1), most: positive.max(0.1) }).optional(),
});
export type Pack = z.infer<typeof packSchema>;
