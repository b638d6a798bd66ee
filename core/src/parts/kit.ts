import { z } from '../reading/zod.ts';
import { cadenceSchema, cutoffSchema } from './controls.ts';
import { leadSchema, socketSchema } from './leads.ts';
import { notNegative, partBase, positive, share } from './partBase.ts';

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

/** One thing in a kit's box, and how many of it. */
const kitContent = z.object({
  id: z.string().min(1).max(40),
  what: z.string().trim().min(1).max(80),
  count: z.int().min(1).max(200),
});
export type KitContent = z.infer<typeof kitContent>;

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
  /** How its spoke holes feel and stand, where it was looked at on arrival. */
  rimHoles: z.enum(['smooth', 'sharp']).optional(),
  rimHoleLine: z.enum(['centred', 'staggered']).optional(),
  /** Round bores of the washers and arms that come with it. */
  washerBoreM: positive.max(0.03).optional(),
  armBoreM: positive.max(0.03).optional(),
  valve: z.enum(['narrow', 'wide']).optional(),
  wheelLimitKg: positive.max(400).optional(),
  flangeRadiusM: positive.max(0.2).optional(),
  /** From the hub’s middle to each flange. */
  flangeOutM: sides.optional(),
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
  /** From the frame’s middle to the line its own chain runs in, m. */
  sprocketLineM: positive.max(0.1).optional(),
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

/** What a kit brings to be joined up: its leads with their plugs, the sockets it leaves free, its sensors. */
const kitWiring = z.object({
  leads: z.array(leadSchema).max(40),
  sockets: z.array(socketSchema).max(20),
  /** Its cut-offs at the levers; absent where it brings none. */
  cutoff: cutoffSchema.optional(),
  /** Cadence sensor; null: it has none, or a torque sensor at the cranks in its place. */
  cadence: cadenceSchema.nullable(),
  /** Where it reads the speed: in the hub, or a magnet at the spokes. */
  speed: z.enum(['inMotor', 'atStay']),
  /** Magnets it counts a turn of the wheel. */
  wheelMagnets: z.int().min(1).max(60),
  /** Capacitors across the controller’s input, F; absent where nobody says: 1 mF is taken. */
  capacitanceF: positive.max(0.1).optional(),
  /** Its controller can brake with the motor. */
  brakes: z.boolean(),
});
export type KitWiring = z.infer<typeof kitWiring>;

/** Ways a kit can help, the usual one first; a step list for each. */
const helpLaws = ['level', 'proportional'] as const;
export type HelpLaw = (typeof helpLaws)[number];
const kitAssist = z
  .object({
    laws: z.array(z.enum(helpLaws)).min(1).max(2),
    /** Of a cadence sensor or throttle: watts at the tyre, rising. */
    levelsW: z.array(positive.max(5000)).min(1).max(9).optional(),
    /** Of a torque sensor: times what the legs give, rising. */
    gains: z.array(positive.max(10)).min(1).max(9).optional(),
  })
  .refine((a) => (!a.laws.includes('level') || a.levelsW) && (!a.laws.includes('proportional') || a.gains), {
    error: 'levels need “levelsW”, help in proportion needs “gains”',
  });
export type KitAssist = z.infer<typeof kitAssist>;

const kitBase = {
  ...partBase,
  kind: z.literal('kit'),
  family: z.enum(driveFamilies),
  ratedW: positive.max(10_000),
  nominalVolts: positive.max(100),
  motor: kitMotor,
  controller: kitController,
  throttle: z.boolean(),
  /** How it helps; absent where nobody knows: five even levels of what it can do are taken. */
  assist: kitAssist.optional(),
  /** Speed at which the kit as sold stops helping, m/s; absent if it does not. */
  assistLimitMs: positive.max(40).optional(),
  /** Greatest system mass the maker allows, kg. */
  systemLimitKg: positive.max(600).optional(),
  controls: kitControls.optional(),
  wiring: kitWiring.optional(),
  /** What lies in its box; absent where nobody says. */
  contents: z.array(kitContent).max(60).optional(),
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
