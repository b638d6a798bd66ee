/**
 * What a number measures. SI inside (m, kg, m/s, °C where a name says so, rise/run, W, Wh, V, A,
 * Ah, N·m, rad, s); the dimension says how a person types and reads it.
 */
export const dimensions = [
  'size', // parts and frames: mm | in
  'stature', // people and long sides: cm | ft in
  'way', // distance ridden: km | mi
  'height', // climbs and altitudes: m | ft
  'mass',
  'speed',
  'temperature',
  'grade',
  'angle',
  'power',
  'energy',
  'energyPerWay', // Wh/m inside
  'perWay', // so many on a way, 1/m inside: /km | /mi
  'charge',
  'voltage',
  'current',
  'resistance',
  'torque',
  'force',
  'time',
  'cadence', // rpm inside and out
  'money',
  'count',
  'share',
  'ratio',
  'area',
  'density',
] as const;
export type Dimension = (typeof dimensions)[number];

/** Which units a person reads. */
export type UnitSystem = 'metric' | 'imperial';

/** One unit: its usual sign, how many SI units it is, and an offset for temperatures. */
export interface Unit {
  sign: string;
  si: number;
  offset?: number;
  /** Decimals usually shown. */
  digits: number;
}

const inch = 0.0254;
const foot = 0.3048;
const mile = 1609.344;
const pound = 0.45359237;

const same = (sign: string, si: number, digits: number): Record<UnitSystem, Unit> => ({
  metric: { sign, si, digits },
  imperial: { sign, si, digits },
});

/** The unit each dimension is shown and, when none is typed, read in. */
export const displayUnits: Record<Dimension, Record<UnitSystem, Unit>> = {
  size: { metric: { sign: 'mm', si: 0.001, digits: 1 }, imperial: { sign: 'in', si: inch, digits: 2 } },
  stature: { metric: { sign: 'cm', si: 0.01, digits: 0 }, imperial: { sign: 'in', si: inch, digits: 1 } },
  way: { metric: { sign: 'km', si: 1000, digits: 1 }, imperial: { sign: 'mi', si: mile, digits: 1 } },
  height: { metric: { sign: 'm', si: 1, digits: 0 }, imperial: { sign: 'ft', si: foot, digits: 0 } },
  mass: { metric: { sign: 'kg', si: 1, digits: 1 }, imperial: { sign: 'lb', si: pound, digits: 1 } },
  speed: {
    metric: { sign: 'km/h', si: 1 / 3.6, digits: 1 },
    imperial: { sign: 'mph', si: mile / 3600, digits: 1 },
  },
  temperature: {
    metric: { sign: '°C', si: 1, digits: 0 },
    imperial: { sign: '°F', si: 5 / 9, offset: -32, digits: 0 },
  },
  grade: same('%', 0.01, 1),
  angle: same('°', Math.PI / 180, 1),
  power: same('W', 1, 0),
  energy: same('Wh', 1, 0),
  energyPerWay: {
    metric: { sign: 'Wh/km', si: 1 / 1000, digits: 1 },
    imperial: { sign: 'Wh/mi', si: 1 / mile, digits: 1 },
  },
  perWay: {
    metric: { sign: '/km', si: 1 / 1000, digits: 3 },
    imperial: { sign: '/mi', si: 1 / mile, digits: 3 },
  },
  charge: same('Ah', 1, 1),
  voltage: same('V', 1, 1),
  current: same('A', 1, 1),
  resistance: same('mΩ', 0.001, 0),
  torque: {
    metric: { sign: 'N·m', si: 1, digits: 0 },
    imperial: { sign: 'lbf·ft', si: 1.3558179483, digits: 0 },
  },
  force: { metric: { sign: 'N', si: 1, digits: 0 }, imperial: { sign: 'lbf', si: 4.4482216, digits: 0 } },
  time: same('min', 60, 0),
  cadence: same('rpm', 1, 0),
  money: same('', 1, 0),
  count: same('', 1, 0),
  share: same('%', 0.01, 0),
  ratio: same('', 1, 2),
  area: { metric: { sign: 'm²', si: 1, digits: 2 }, imperial: { sign: 'ft²', si: foot * foot, digits: 2 } },
  density: same('kg/m³', 1, 3),
};

/** Units a person may type, by family. Keys are lower case. */
export const typedUnits: Record<string, Record<string, number>> = {
  length: {
    mm: 0.001,
    cm: 0.01,
    m: 1,
    km: 1000,
    in: inch,
    inch,
    inches: inch,
    '"': inch,
    '″': inch,
    '”': inch,
    "''": inch,
    ft: foot,
    foot,
    feet: foot,
    "'": foot,
    '′': foot,
    '’': foot,
    yd: 0.9144,
    mi: mile,
    mile,
    miles: mile,
  },
  mass: {
    kg: 1,
    kilo: 1,
    kilos: 1,
    g: 0.001,
    t: 1000,
    lb: pound,
    lbs: pound,
    '#': pound,
    oz: pound / 16,
    st: pound * 14,
    stone: pound * 14,
  },
  speed: {
    'km/h': 1 / 3.6,
    kmh: 1 / 3.6,
    kph: 1 / 3.6,
    'm/s': 1,
    mph: mile / 3600,
    kn: 1852 / 3600,
    knots: 1852 / 3600,
  },
  temperature: { '°c': 1, c: 1, '°f': 5 / 9, f: 5 / 9 },
  grade: { '%': 0.01, '‰': 0.001 },
  angle: { '°': Math.PI / 180, deg: Math.PI / 180, degrees: Math.PI / 180, rad: 1 },
  power: { w: 1, watt: 1, watts: 1, kw: 1000, hp: 745.69987 },
  energy: { wh: 1, kwh: 1000 },
  charge: { ah: 1, mah: 0.001 },
  voltage: { v: 1, volt: 1, volts: 1, mv: 0.001 },
  current: { a: 1, amp: 1, amps: 1, ma: 0.001 },
  resistance: { mω: 0.001, mohm: 0.001, ω: 1, ohm: 1 },
  torque: { 'n·m': 1, nm: 1, 'n m': 1, 'lbf·ft': 1.3558179483, 'lb-ft': 1.3558179483, 'ft-lb': 1.3558179483 },
  time: { s: 1, min: 60, h: 3600 },
  cadence: { rpm: 1 },
  share: { '%': 0.01 },
  perWay: { km: 1 / 1000, mi: 1 / mile, mile: 1 / mile },
  plain: {},
};

/** Which family of typed units a dimension takes. */
export const unitFamily: Partial<Record<Dimension, keyof typeof typedUnits>> = {
  size: 'length',
  stature: 'length',
  way: 'length',
  height: 'length',
  mass: 'mass',
  speed: 'speed',
  temperature: 'temperature',
  grade: 'grade',
  angle: 'angle',
  power: 'power',
  energy: 'energy',
  charge: 'charge',
  voltage: 'voltage',
  current: 'current',
  resistance: 'resistance',
  torque: 'torque',
  time: 'time',
  cadence: 'cadence',
  share: 'share',
  perWay: 'perWay',
};
