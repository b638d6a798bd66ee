import { z } from 'zod';
import { chemistries } from '../pack/battery.ts';
import type { LegalClass } from '../safety/law.ts';

const positive = z.number().positive();
const notNegative = z.number().nonnegative();
const share = z.number().gt(0).max(1);
const id = z.string().regex(/^[a-z0-9][a-z0-9-]{1,60}$/, 'small letters, figures and hyphens');
const name = z.string().trim().min(1).max(80);

const partBase = {
  id,
  name,
  maker: z.string().max(80),
  massKg: notNegative.max(80),
  price: notNegative.max(100_000),
  note: z.string().max(1000).default(''),
};

/** Drive families a kit can belong to. */
export const driveFamilies = ['frontHub', 'rearGeared', 'rearDirect', 'midDrive', 'sideChain'] as const;
export type DriveFamily = (typeof driveFamilies)[number];
export const driveFamilyWords: Record<DriveFamily, string> = {
  frontHub: 'front hub',
  rearGeared: 'rear hub, geared',
  rearDirect: 'rear hub, direct',
  midDrive: 'mid-drive',
  sideChain: 'side-mounted chain kit',
};

const kitMotor = z.object({
  ktNmPerA: positive.max(20),
  resistanceOhm: positive.max(5),
  coulombNm: notNegative.max(10),
  viscousNmS: notNegative.max(1),
  reduction: z.number().min(1).max(60),
  gearEfficiency: share,
  freewheels: z.boolean(),
  heat: z.object({
    windingJPerK: positive,
    caseJPerK: positive,
    windingToCaseKPerW: positive,
    caseToAirKPerW: positive,
  }),
  regenA: notNegative.optional(),
});

const kitController = z.object({
  batteryLimitA: positive.max(200),
  phaseLimitA: positive.max(500),
  efficiency: share,
  standingW: notNegative.max(50),
  /** Highest volts its inputs bear, and the volts at which it cuts off. */
  maxVolts: positive.max(120),
  cutoffVolts: positive.max(100),
  place: z.enum(['in the motor', 'its own box']),
  /** Its case, where it has one of its own. */
  boxM: z.object({ length: positive.max(0.4), height: positive.max(0.2), width: positive.max(0.2) }).optional(),
});

const sides = z.object({ left: notNegative.max(0.2), right: notNegative.max(0.2) });

const hubFit = z.object({
  place: z.enum(['front', 'rear']),
  dropoutSpacingM: positive.max(0.25),
  /** Across the flats, and the round diameter, of the axle. */
  axleFlatsM: positive.max(0.03),
  axleDiameterM: positive.max(0.03),
  /** Bead seats it is laced in; empty for a bare hub laced to order. */
  beadsM: z.array(positive.max(0.75)),
  clusterMount: z.enum(['freewheel', 'cassette', 'none']),
  maxCogs: z.int().min(0).max(13),
  disc: z.boolean(),
  rimBrakeTrack: z.boolean(),
  spokes: z.int().min(0).max(48),
  /** Axle beyond the hub's face, each side; what of it washer, spacer and nut take up. */
  axleOutM: sides.optional(),
  stackM: sides.optional(),
  rotorMount: z.enum(['sixBolt', 'splined', 'none']).optional(),
  /** From the rotor's plane inward to the motor's cover. */
  rotorRoomM: positive.max(0.1).optional(),
  /** Kit rim between its hooks; absent for a bare hub. */
  rimInnerM: positive.max(0.12).optional(),
  valve: z.enum(['narrow', 'wide']).optional(),
  wheelLimitKg: positive.max(400).optional(),
  flangeRadiusM: positive.max(0.2).optional(),
  crosses: z.int().min(0).max(4).optional(),
});

const midFit = z.object({
  /** Shell widths its axle can be had in or spaced to: least and most, m. */
  shellWidthsM: z.object({ least: positive.max(0.2), most: positive.max(0.2) }),
  boreM: z.object({ least: positive.max(0.08), most: positive.max(0.08) }),
  /** Bores for which the maker or the trade sells an adapter. */
  adapterBoresM: z.array(positive.max(0.08)),
  adapterPrice: notNegative,
  ringTeeth: z.int().min(20).max(60),
  ringMount: z.string().max(20),
  /** How far the motor case hangs below the crank centre. */
  hangsBelowM: positive.max(0.3),
  /** Room its case needs when it swings up to the down tube, from the crank's centre. */
  swingRoomM: positive.max(0.3).optional(),
  /** Ring's plane outside the shell's drive-side face. */
  ringOutM: z.number().min(-0.03).max(0.06).optional(),
  shiftSensor: z.boolean().optional(),
  /** Bears a coaster brake behind it. */
  coaster: z.boolean().optional(),
});

/** A motor clamped beside the frame that drives the rear wheel by a chain of its own. */
const sideFit = z.object({
  clampTubesM: z.object({ least: positive.max(0.08), most: positive.max(0.08) }),
  /** Distance its two clamps can be set apart. */
  clampSpanM: z.object({ least: positive.max(1), most: positive.max(1) }),
  sprocketMount: z.enum(['rotorBolts', 'spokes']),
});

/** What comes with a kit for the bars, and how much bar each takes. */
const kitControls = z.object({
  cutoffs: z.enum(['levers', 'inLine', 'magnets', 'none']),
  throttleKind: z.enum(['thumb', 'twist', 'none']),
  throttleM: notNegative.max(0.2),
  keypadM: notNegative.max(0.1),
  displayM: notNegative.max(0.2),
  /** Thickest plug that must pass a frame's port. */
  plugM: positive.max(0.04),
  /** Loom from the bar to the motor's or controller's plug. */
  loomM: positive.max(4),
});

const kitBase = {
  ...partBase,
  kind: z.literal('kit'),
  family: z.enum(driveFamilies),
  ratedW: positive.max(10_000),
  nominalVolts: positive.max(100),
  motor: kitMotor,
  controller: kitController,
  throttle: z.boolean(),
  /** Speed at which the kit as sold stops helping, m/s; absent if it does not. */
  assistLimitMs: positive.max(40).optional(),
  /** Greatest system mass the maker allows, kg. */
  systemLimitKg: positive.max(600).optional(),
  controls: kitControls.optional(),
};

export const kitSchema = z
  .object({ ...kitBase, hub: hubFit.optional(), mid: midFit.optional(), side: sideFit.optional() })
  .refine(
    (kit) =>
      kit.family === 'midDrive'
        ? kit.mid !== undefined
        : kit.family === 'sideChain'
          ? kit.side !== undefined
          : kit.hub !== undefined,
    { error: 'a hub kit needs “hub”, a mid-drive needs “mid”, a side-mounted kit needs “side”' },
  );

/** Where a kit's motor works: in a wheel, or at the cranks. A side-mounted kit drives the rear wheel itself. */
export function motorPlace(kit: Kit): 'front' | 'rear' | 'mid' {
  return kit.hub?.place ?? (kit.side ? 'rear' : 'mid');
}
export type Kit = z.infer<typeof kitSchema>;

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
};
/** Places where the pack is bolted, clamped or strapped to a tube of the frame. */
export const tubePlaces: readonly PackPlace[] = ['downTube', 'seatTube', 'behindSeatTube', 'underDownTube', 'topTube'];

export const packForms = ['wedge', 'slab', 'brick', 'bag', 'tubeCase', 'custom'] as const;
export type PackForm = (typeof packForms)[number];
export const packFormWords: Record<PackForm, string> = {
  wedge: 'wedge on a rail',
  slab: 'slab on a rail',
  brick: 'brick for a rack',
  bag: 'bag of cells, strapped',
  tubeCase: 'slim case along the tube',
  custom: 'own outline',
};
export const packEnds = ['low', 'high'] as const;

export const packSchema = z.object({
  ...partBase,
  kind: z.literal('pack'),
  chemistry: z.enum(chemistries),
  series: z.int().min(1).max(40),
  parallel: z.int().min(1).max(40),
  cellAh: positive.max(200),
  cellOhm: positive.max(1),
  leadOhm: notNegative.max(1),
  cutoffVPerCell: positive.max(4),
  usable: share,
  /** Continuous amps of one cell, and of the protection board. */
  cellContinuousA: positive.max(500),
  boardA: positive.max(500),
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
  /** Middle of its first rail hole from the low end, and how many holes there are. */
  holes: z.object({ firstM: notNegative.max(1), count: z.int().min(1).max(8) }).optional(),
  places: z.array(z.enum(packPlaces)).min(1),
  /** Spacing of its rail's holes, and how far a slot lets it vary; absent where it straps on. */
  railHolesM: z.object({ spacing: positive.max(0.3), slot: notNegative.max(0.1) }).optional(),
  /** Tubes its clamps go round. */
  clampTubesM: z.object({ least: positive.max(0.1), most: positive.max(0.1) }).optional(),
});
export type Pack = z.infer<typeof packSchema>;

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

/** Any part, told apart by its kind. A person's own parts are of the same schema as the shelf's. */
export const partSchema = z.union([kitSchema, packSchema, ringSchema, clusterSchema]);
export type Part = z.infer<typeof partSchema>;
export type PartKind = Part['kind'];

/** Parts to choose from: the starter shelf and whatever the person added. */
export interface Shelf {
  kits: readonly Kit[];
  packs: readonly Pack[];
  rings: readonly Ring[];
  clusters: readonly Cluster[];
  laws: readonly LegalClass[];
}

/** A shelf with more parts on it; a part with the same id takes the old one's place. */
export function withParts(shelf: Shelf, parts: readonly Part[]): Shelf {
  const add = <T extends Part>(old: readonly T[], kind: PartKind): T[] => {
    const own = parts.filter((part): part is T => part.kind === kind);
    const ids = new Set(own.map((part) => part.id));
    return [...old.filter((part) => !ids.has(part.id)), ...own];
  };
  return {
    kits: add(shelf.kits, 'kit'),
    packs: add(shelf.packs, 'pack'),
    rings: add(shelf.rings, 'ring'),
    clusters: add(shelf.clusters, 'cluster'),
    laws: shelf.laws,
  };
}
