import { z } from '../reading/zod.ts';
import { positive } from './partBase.ts';

/** Every box of a conversion that a lead begins or ends at. */
export const boxIds = [
  'pack',
  'controller',
  'motor',
  'junction',
  'display',
  'keypad',
  'throttle',
  'leftLever',
  'rightLever',
  'cadence',
  'speed',
  'shift',
  'frontLamp',
  'rearLamp',
  'horn',
  'charger',
] as const;
export type BoxId = (typeof boxIds)[number];
export const boxWords: Record<BoxId, string> = {
  pack: 'battery',
  controller: 'controller',
  motor: 'motor',
  junction: 'bar junction',
  display: 'display',
  keypad: 'keypad',
  throttle: 'throttle',
  leftLever: 'left lever',
  rightLever: 'right lever',
  cadence: 'cadence sensor',
  speed: 'speed sensor',
  shift: 'shift sensor',
  frontLamp: 'front lamp',
  rearLamp: 'rear lamp',
  horn: 'horn',
  charger: 'charger',
};

/** One half of a joint: its family and poles, pins or holes, and what it bears. Halves of one family and poles mate, pins into holes. */
export const plugEndSchema = z.object({
  family: z.string().trim().min(1).max(40),
  poles: z.int().min(1).max(16),
  sex: z.enum(['pins', 'holes']),
  /** Colour of its body, by which its maker tells it apart. */
  colour: z.string().trim().min(1).max(30),
  /** Across its head: what must pass a port, m. */
  headM: positive.max(0.08),
  amps: positive.max(500),
  volts: positive.max(200),
});
export type PlugEnd = z.infer<typeof plugEndSchema>;

const leadId = z.string().regex(/^[a-zA-Z][a-zA-Z0-9-]{0,40}$/, 'letters, figures and hyphens');

/** A lead as a part brings it: from box to box, a plug at either end or fixed to the box there. */
export const leadSchema = z.object({
  id: leadId,
  what: z.string().trim().min(1).max(60),
  from: z.enum(boxIds),
  to: z.enum(boxIds),
  /** Its whole length, plugs and both halves of it included, m. */
  lengthM: positive.max(6),
  ends: z.object({ from: plugEndSchema.nullable(), to: plugEndSchema.nullable() }),
  /** Copper of its thickest core, mm², and what it carries at most. */
  mm2: positive.max(50),
  amps: positive.max(500),
  volts: positive.max(200),
  /** Colour of its jacket. */
  colour: z.string().trim().min(1).max(30),
  /** Cores by pin, in the order of the plug's face: what each is for and its colour. */
  cores: z.array(z.object({ what: z.string().max(40), colour: z.string().max(30) })).max(16),
  /** It may be cut and joined: three phases, a throttle. */
  splices: z.boolean(),
});
export type Lead = z.infer<typeof leadSchema>;

/** A socket a part offers, and what may be put in it; `serves` null: nothing that is planned for. */
export const socketSchema = z.object({
  id: leadId,
  what: z.string().trim().min(1).max(60),
  box: z.enum(boxIds),
  plug: plugEndSchema,
  serves: z.enum(boxIds).nullable(),
});
export type Socket = z.infer<typeof socketSchema>;

/** Whether two halves go into each other: one family, as many poles, pins to holes. */
export function mates(a: PlugEnd, b: PlugEnd): boolean {
  return a.family === b.family && a.poles === b.poles && a.sex !== b.sex;
}
