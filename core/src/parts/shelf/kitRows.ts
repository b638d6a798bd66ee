import type { DriveFamily, Kit } from '../kit.ts';

/**
 * How the starter shelf's kits are written: what a family has in common once, and rows that say what sets
 * each apart. Makers and models are invented; figures are plausible and varied.
 */

export const mm = (n: number): number => n / 1000;
export const kmh = (v: number): number => v / 3.6;
export const beads = (...sizes: number[]): number[] => sizes.map(mm);
export const allBeads = beads(622, 584, 559);
export const smallBeads = beads(507, 406, 349);

export const heatGeared = { windingJPerK: 250, caseJPerK: 1800, windingToCaseKPerW: 0.45, caseToAirKPerW: 0.6 };
export const heatDirect = { windingJPerK: 400, caseJPerK: 3500, windingToCaseKPerW: 0.35, caseToAirKPerW: 0.4 };
export const heatMid = { windingJPerK: 300, caseJPerK: 2500, windingToCaseKPerW: 0.4, caseToAirKPerW: 0.45 };

/** Highest volts a controller's inputs bear and where it cuts off, by its class. */
const ceilings = { 36: [43, 30], 48: [55.5, 39], 52: [60, 42] } as const;

export const controller = (
  nominal: 36 | 48 | 52,
  batteryLimitA: number,
  phaseLimitA: number,
  place: 'in the motor' | 'its own box' = 'its own box',
): Kit['controller'] => ({
  batteryLimitA,
  phaseLimitA,
  efficiency: 0.97,
  standingW: 4,
  maxVolts: ceilings[nominal][0],
  cutoffVolts: ceilings[nominal][1],
  place,
});

type Hub = NonNullable<Kit['hub']>;
type Mid = NonNullable<Kit['mid']>;
type Controls = NonNullable<Kit['controls']>;

/** Controls as a kit brings them, by how its brakes cut and what throttle it has. */
export const controls = (
  cutoffs: Controls['cutoffs'],
  throttleKind: Controls['throttleKind'],
  loom: number,
  rest: Partial<Controls> = {},
): Controls => ({
  cutoffs,
  throttleKind,
  throttleM: throttleKind === 'thumb' ? 0.022 : throttleKind === 'twist' ? 0.078 : 0,
  keypadM: 0.018,
  displayM: 0.06,
  plugM: 0.0079,
  loomM: loom / 1000,
  ...rest,
});

/** Steps of a cadence sensor or throttle, watts at the tyre. */
export const levels = (...levelsW: number[]): NonNullable<Kit['assist']> => ({ laws: ['level'], levelsW });

/** Steps of a torque sensor, times what the legs give; and its levels, where it can go by cadence too. */
export const torque = (gains: number[], levelsW?: number[]): NonNullable<Kit['assist']> =>
  levelsW === undefined ? { laws: ['proportional'], gains } : { laws: ['proportional', 'level'], gains, levelsW };

/** What a hub's wheel and axle are like, by end and axle. */
export const hubDetail = (
  end: 'front' | 'rear',
  out: [number, number],
  stack: [number, number],
  rest: Partial<Hub> = {},
): Partial<Hub> => ({
  axleOutM: { left: mm(out[0]), right: mm(out[1]) },
  stackM: { left: mm(stack[0]), right: mm(stack[1]) },
  rotorMount: 'sixBolt',
  rotorRoomM: mm(end === 'front' ? 17.5 : 16),
  rimInnerM: mm(19),
  valve: 'wide',
  wheelLimitKg: 120,
  flangeRadiusM: mm(60),
  flangeOutM: end === 'front' ? { left: mm(33), right: mm(33) } : { left: mm(33), right: mm(22) },
  crosses: 1,
  ...rest,
});

export interface HubRow {
  id: string;
  name: string;
  maker: string;
  family: DriveFamily;
  kg: number;
  price: number;
  note: string;
  watts: number;
  volts: 36 | 48 | 52;
  amps: [battery: number, phase: number];
  kt: number;
  ohm: number;
  limit?: number;
  throttle: boolean;
  assist: NonNullable<Kit['assist']>;
  system: number;
  inMotor?: boolean;
  hub: Omit<Hub, 'axleFlatsM' | 'axleDiameterM' | 'disc' | 'rimBrakeTrack' | 'spokes'> & Partial<Hub>;
  controls: Controls;
}

export function hubKit(row: HubRow): Kit {
  const direct = row.family === 'rearDirect' || (row.family === 'frontHub' && row.kt > 0.6);
  const big = row.watts >= 500 || row.kg > 4.2;
  return {
    kind: 'kit',
    id: row.id,
    name: row.name,
    maker: row.maker,
    family: row.family,
    massKg: row.kg,
    price: row.price,
    note: row.note,
    ratedW: row.watts,
    nominalVolts: row.volts,
    throttle: row.throttle,
    assist: row.assist,
    ...(row.limit === undefined ? {} : { assistLimitMs: kmh(row.limit) }),
    systemLimitKg: row.system,
    motor: {
      ktNmPerA: row.kt,
      resistanceOhm: row.ohm,
      coulombNm: direct ? 0.6 : big ? 0.05 : 0.04,
      viscousNmS: direct ? 0.008 : 0.0001,
      reduction: direct ? 1 : 5,
      gearEfficiency: direct ? 1 : 0.92,
      freewheels: !direct,
      heat: direct
        ? heatDirect
        : {
            windingJPerK: big ? 290 : 250,
            caseJPerK: big ? 2200 : 1800,
            windingToCaseKPerW: 0.45,
            caseToAirKPerW: 0.6,
          },
      ...(direct ? { regenA: 22 } : {}),
    },
    controller: controller(row.volts, row.amps[0], row.amps[1], row.inMotor ? 'in the motor' : 'its own box'),
    controls: row.controls,
    hub: {
      axleFlatsM: mm(10),
      axleDiameterM: mm(direct ? 14 : 12),
      disc: true,
      rimBrakeTrack: true,
      spokes: 36,
      ...row.hub,
    },
  };
}

export interface MidRow {
  id: string;
  name: string;
  maker: string;
  kg: number;
  price: number;
  note: string;
  watts: number;
  volts: 36 | 48 | 52;
  amps: [battery: number, phase: number];
  kt: number;
  ohm: number;
  limit?: number;
  throttle: boolean;
  assist: NonNullable<Kit['assist']>;
  system: number;
  shells: [least: number, most: number];
  adapters: number[];
  ring: number;
  mid: Partial<Mid>;
  controls: Controls;
}

export function midKit(row: MidRow): Kit {
  return {
    kind: 'kit',
    id: row.id,
    name: row.name,
    maker: row.maker,
    family: 'midDrive',
    massKg: row.kg,
    price: row.price,
    note: row.note,
    ratedW: row.watts,
    nominalVolts: row.volts,
    throttle: row.throttle,
    assist: row.assist,
    ...(row.limit === undefined ? {} : { assistLimitMs: kmh(row.limit) }),
    systemLimitKg: row.system,
    motor: {
      ktNmPerA: row.kt,
      resistanceOhm: row.ohm,
      coulombNm: 0.05,
      viscousNmS: 0.0001,
      reduction: 22,
      gearEfficiency: 0.9,
      freewheels: true,
      heat: heatMid,
    },
    controller: controller(row.volts, row.amps[0], row.amps[1], 'in the motor'),
    controls: row.controls,
    mid: {
      shellWidthsM: { least: mm(row.shells[0]), most: mm(row.shells[1]) },
      boreM: { least: mm(33.5), most: mm(34.5) },
      adapterBoresM: row.adapters.map(mm),
      adapterPrice: 40,
      ringTeeth: row.ring,
      ringMount: 'bcd104',
      hangsBelowM: mm(62),
      swingRoomM: mm(92),
      ringOutM: mm(12),
      shiftSensor: true,
      ...row.mid,
    },
  };
}

/** A motor on a bracket beside the frame: a hub kit's row without its wheel, and how it is clamped. */
export function sideKit(row: Omit<HubRow, 'hub'>, side: NonNullable<Kit['side']>): Kit {
  const kit = hubKit({
    ...row,
    hub: { place: 'rear', dropoutSpacingM: mm(135), beadsM: [], clusterMount: 'none', maxCogs: 0 },
  });
  delete kit.hub;
  return { ...kit, side };
}
