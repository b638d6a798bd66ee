import { z } from '../reading/zod.ts';
import { cutoffActs, unpluggedWays } from '../parts/controls.ts';
import { boxIds } from '../parts/leads.ts';

const spot = z.object({ xM: z.number().min(-4).max(5), yM: z.number().min(-0.2).max(3) });
const partId = z.string().min(1).max(80).nullable();

/** Places where surplus is stowed; never round the head tube, never by the crank. */
const stowPlaces = ['bag', 'box', 'underTube', 'behindSeatTube', 'underDeck', 'alongBar'] as const;
export type StowPlace = (typeof stowPlaces)[number];
export const stowWords: Record<StowPlace, string> = {
  bag: 'in the frame bag',
  box: 'in the box',
  underTube: 'flat under the main tube',
  behindSeatTube: 'behind the seat tube',
  underDeck: 'under the deck',
  alongBar: 'folded along the bar',
};

/** What was decided of one lead. */
const leadChoiceSchema = z.object({
  /** An extension put into its joint, by part id. */
  extension: partId.default(null),
  /** Cut and joined by so much more of its own cable, m. */
  spliceM: z.number().min(0).max(5).nullable().default(null),
  /** Its way by a string, plugs and slack not counted, m. */
  stringM: z.number().min(0).max(10).nullable().default(null),
  /** Corners it is led by, on the tubes. */
  way: z.array(spot).max(8).default([]),
  stow: z.enum(stowPlaces).nullable().default(null),
  inside: z.boolean().nullable().default(null),
  leftOff: z.boolean().default(false),
});
export type LeadChoice = z.infer<typeof leadChoiceSchema>;

/** Ways a lever is made to cut the motor. */
export const cutoffWays = ['kitLever', 'newLever', 'inLine', 'magnet', 'switch', 'none'] as const;
export type CutoffWay = (typeof cutoffWays)[number];
export const cutoffWayWords: Record<CutoffWay, string> = {
  kitLever: 'the kit’s lever',
  newLever: 'a new lever',
  inLine: 'sensor in the cable',
  magnet: 'stick-on magnet',
  switch: 'switch under the blade',
  none: 'none',
};

const gap = z.number().min(0).max(0.05).nullable();
/** What was seen of the motor: it ran, or it stood still. */
const seen = z.enum(['runs', 'still']).nullable();

/** One hand’s cut-off: what was chosen, set and seen. */
const leverChoiceSchema = z.object({
  /** Null takes what the lever and the kit allow. */
  by: z.enum(cutoffWays).nullable().default(null),
  /** A part in place of the kit’s own. */
  part: partId.default(null),
  acts: z.enum(cutoffActs).nullable().default(null),
  unplugged: z.enum(unpluggedWays).nullable().default(null),
  reachM: z.number().min(0.0002).max(0.02).nullable().default(null),
  restM: gap.default(null),
  pulledM: gap.default(null),
  sawAtRest: seen.default(null),
  sawPulled: seen.default(null),
});
export type LeverChoice = z.infer<typeof leverChoiceSchema>;

/** A battery joined to others: what it is, how old, and what it rests at. */
const memberSchema = z.object({
  name: z.string().trim().min(1).max(60),
  chemistry: z.enum(['nmc', 'lfp', 'lead']),
  volts: z.number().positive().max(100),
  ampHours: z.number().positive().max(400),
  amps: z.number().positive().max(500),
  ageYears: z.number().min(0).max(30).nullable(),
  /** At rest, V; null: not measured. */
  restV: z.number().min(0).max(120).nullable(),
  /** Cells, or blocks’ cells, in a row. */
  series: z.int().min(1).max(40),
});
export type Member = z.infer<typeof memberSchema>;

const joinsOfPacks = ['series', 'parallel'] as const;
const parallelBy = ['wires', 'makersJoint', 'diodes'] as const;

export const phaseOrders = ['ABC', 'BCA', 'CAB', 'ACB', 'CBA', 'BAC'] as const;
export type PhaseOrder = (typeof phaseOrders)[number];
const phaseOutcomes = ['forward', 'backward', 'growls', 'stops'] as const;
export type PhaseOutcome = (typeof phaseOutcomes)[number];

/** What is written down as it was set, by setting. */
const settingIds = [
  'circumference',
  'wheelMagnets',
  'limit',
  'batteryAmps',
  'lowVolts',
  'levels',
  'throttleMode',
  'startStrength',
  'pedalPulses',
] as const;
export type SettingId = (typeof settingIds)[number];

/** What is decided of leads, plugs, levers, sensors, bar and settings. */
export const wiringSchema = z.object({
  /** Controls in place of the kit’s, or besides it, by what they are. */
  parts: z
    .object({
      display: partId.default(null),
      keypad: partId.default(null),
      throttle: partId.default(null),
      cadence: partId.default(null),
      speed: partId.default(null),
      shift: partId.default(null),
      frontLamp: partId.default(null),
      rearLamp: partId.default(null),
      horn: partId.default(null),
    })
    .prefault({}),
  /** Boxes put by hand. */
  boxes: z.partialRecord(z.enum(boxIds), spot).default({}),
  leads: z.record(z.string().max(60), leadChoiceSchema).default({}),
  levers: z.object({ left: leverChoiceSchema.prefault({}), right: leverChoiceSchema.prefault({}) }).prefault({}),
  /** Gap of the cadence sensor as set, and the speed sensor's, m. */
  sensors: z
    .object({
      cadenceGapM: gap.default(null),
      speedGapM: gap.default(null),
      throttleHand: z.enum(['left', 'right']).nullable().default(null),
    })
    .prefault({}),
  /** Order of things along each side of the bar from its end; null as is usual. */
  bar: z
    .object({
      left: z.array(z.string().max(40)).max(12).nullable().default(null),
      right: z.array(z.string().max(40)).max(12).nullable().default(null),
    })
    .prefault({}),
  /** Cable, fuse and pre-charge lead in place of those reckoned. */
  power: z
    .object({
      mm2: z.number().positive().max(50).nullable().default(null),
      fuseA: z.number().positive().max(200).nullable().default(null),
      precharge: partId.default(null),
      adapter: partId.default(null),
      disconnects: z.boolean().default(false),
    })
    .prefault({}),
  packs: z
    .object({
      join: z.enum(joinsOfPacks),
      by: z.enum(parallelBy).default('wires'),
      /** Battery chosen when they were joined; with another chosen they count no more. Null: whichever is. */
      of: partId.default(null),
      members: z.array(memberSchema).min(2).max(12),
    })
    .nullable()
    .default(null),
  phases: z
    .array(z.object({ phases: z.enum(phaseOrders), halls: z.enum(phaseOrders), saw: z.enum(phaseOutcomes) }))
    .max(40)
    .default([]),
  /** As set, SI or a word; what is not here is as sold. */
  settings: z
    .object({
      circumference: z.number().min(0.2).max(3).optional(),
      wheelMagnets: z.int().min(1).max(60).optional(),
      batteryAmps: z.number().positive().max(200).optional(),
      lowVolts: z.number().positive().max(100).optional(),
      levels: z.int().min(1).max(9).optional(),
      startStrength: z.number().min(0.1).max(1).optional(),
      pedalPulses: z.int().min(1).max(48).optional(),
    })
    .default({}),
  /** Meter checks done: volts read, when, and of which battery; absent: whichever is chosen. */
  checks: z
    .record(
      z.string().max(60),
      z.object({
        volts: z.number().min(-200).max(200).nullable(),
        on: z.iso.date(),
        of: z.string().max(80).nullable().optional(),
      }),
    )
    .default({}),
});
export type WiringChoice = z.infer<typeof wiringSchema>;

/** Where a new build starts: nothing moved, nothing set. */
export const usualWiring = (): WiringChoice => wiringSchema.parse({});
/** A lead nothing was decided of. */
export const usualLead: Readonly<LeadChoice> = Object.freeze(leadChoiceSchema.parse({}));
