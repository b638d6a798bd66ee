import { z } from '../reading/zod.ts';
import { chemistries } from './chemistry.ts';
import { plugEndSchema } from './leads.ts';
import { notNegative, partBase, positive } from './partBase.ts';

/** What a fork or frame has for a brake to bolt to. */
export const brakeMounts = ['rimOnly', 'discOnly', 'rimAndDisc', 'noMount'] as const;

/** A part that stays on the vehicle: an arm, a spacer, a brake, a stand. */
export const fittingSchema = z.object({
  ...partBase,
  kind: z.literal('fitting'),
  /** What of an axle or tube it takes up, m, where that matters to a stack. */
  thicknessM: positive.max(0.05).optional(),
  /** Round hole it goes on by, m. */
  boreM: positive.max(0.1).optional(),
  /** What of the survey it answers once it is on, by its place: rules then judge with it in the donor's stead. */
  gives: z
    .object({
      /** Load it is made for, kg: a stand, rack, carrier, seat or wheel. */
      bearsKg: positive.max(400),
      brake: z.enum(['rim', 'discCable']),
      rotorM: positive.max(0.3),
      /** How far a caliper reaches inside the rotor's plane. */
      caliperReachM: positive.max(0.05),
      rotorSeat: z.enum(['sixBolt', 'splined']),
      /** A rigid steel fork with open slots: between its tips, slot and tip, and what a brake bolts to. */
      fork: z.object({
        spacingM: positive.max(0.2),
        slotM: positive.max(0.03),
        tipM: positive.max(0.03),
        mount: z.enum(brakeMounts).optional(),
      }),
      /** Largest cog of a derailleur; or how many teeth more one clears. */
      largestCog: z.int().min(20).max(60),
      moreTeeth: z.int().min(1).max(20),
      tensions: z.literal(true),
    })
    .partial()
    .optional(),
});
export type Fitting = z.infer<typeof fittingSchema>;

/** Something used up: tape, grease, paint; `amount` of its unit is in one. */
export const consumableSchema = z.object({
  ...partBase,
  kind: z.literal('consumable'),
  unit: z.enum(['piece', 'm', 'g', 'ml']),
  amount: positive.max(10_000),
});

/** A tool; what a day's hire costs, where it can be hired. */
export const toolSchema = z.object({ ...partBase, kind: z.literal('tool'), hire: notNegative.max(1000).optional() });
export type Tool = z.infer<typeof toolSchema>;

/** Work done by somebody else, paid by the job. */
export const serviceSchema = z.object({ ...partBase, kind: z.literal('service') });
export type Service = z.infer<typeof serviceSchema>;

/** Copper cable, priced a metre: its cross-section and what it bears continuously in a bundle, A. */
export const cableSchema = z.object({
  ...partBase,
  kind: z.literal('cable'),
  mm2: positive.max(120),
  amps: positive.max(500),
});
export type Cable = z.infer<typeof cableSchema>;

/** A fuse with the amps it blows above and the volts it can break. */
export const fuseSchema = z.object({
  ...partBase,
  kind: z.literal('fuse'),
  amps: positive.max(500),
  volts: positive.max(200),
});
export type Fuse = z.infer<typeof fuseSchema>;

/** A pair of mating plugs of one family: poles, amps and volts it bears, and the size of its head, m. */
export const plugSchema = z.object({
  ...partBase,
  kind: z.literal('plug'),
  family: z.string().trim().min(1).max(40),
  poles: z.int().min(1).max(16),
  amps: positive.max(500),
  volts: positive.max(200),
  headM: positive.max(0.08),
});
export type Plug = z.infer<typeof plugSchema>;

/** An extension with a plug of one family at each end: it mates with both halves of the joint it is put into. */
export const extensionSchema = z.object({
  ...partBase,
  kind: z.literal('extension'),
  family: z.string().trim().min(1).max(40),
  poles: z.int().min(1).max(16),
  lengthM: positive.max(5),
  amps: positive.max(500),
});
export type Extension = z.infer<typeof extensionSchema>;

/** A short lead that joins two families, pole for pole or as its note says. */
export const adapterSchema = z.object({
  ...partBase,
  kind: z.literal('adapter'),
  from: z.object({ family: z.string().trim().min(1).max(40), poles: z.int().min(1).max(16) }),
  to: z.object({ family: z.string().trim().min(1).max(40), poles: z.int().min(1).max(16) }),
  amps: positive.max(500),
  volts: positive.max(200),
});
export type Adapter = z.infer<typeof adapterSchema>;

/** A lead with a resistor that fills a controller’s capacitors before the plug is pushed home. */
export const prechargeSchema = z.object({
  ...partBase,
  kind: z.literal('precharge'),
  ohm: positive.max(1000),
  /** What the resistor bears for a second, W. */
  watts: positive.max(2000),
});
export type Precharge = z.infer<typeof prechargeSchema>;

/** A charger for packs of one chemistry and so many cells in a row, by the plug they are charged by. */
export const chargerSchema = z.object({
  ...partBase,
  kind: z.literal('charger'),
  chemistry: z.enum(chemistries),
  series: z.int().min(1).max(40),
  amps: positive.max(30),
  plug: plugEndSchema,
});
export type Charger = z.infer<typeof chargerSchema>;

/** A bare rim: bead seat, width inside and hole count; effective diameter for spokes where it is known. */
export const rimSchema = z.object({
  ...partBase,
  kind: z.literal('rim'),
  beadM: positive.max(0.75),
  innerM: positive.max(0.12),
  holes: z.int().min(12).max(48),
  erdM: positive.max(0.75).optional(),
});
export type Rim = z.infer<typeof rimSchema>;
