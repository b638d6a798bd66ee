import type { HubGear } from '../gearParts.ts';
import type { Rim } from '../smallParts.ts';

const mm = (n: number): number => n / 1000;

const rim = (bead: number, inner: number, holes: number, price: number): Rim => ({
  kind: 'rim',
  id: `rim-${bead}-${inner}-${holes}`,
  name: `Rim ${inner}-${bead}, ${holes} holes`,
  maker: 'Hoop & Nail',
  massKg: 0.0000009 * bead * (380 + inner * 18),
  price,
  note: 'Eyeleted, machined for rim brakes.',
  beadM: mm(bead),
  innerM: mm(inner),
  holes,
  erdM: mm(bead - 18),
});
export const rims: readonly Rim[] = [
  rim(622, 19, 36, 34),
  rim(622, 25, 36, 38),
  rim(622, 19, 32, 34),
  rim(584, 23, 36, 36),
  rim(559, 25, 36, 34),
  rim(507, 22, 36, 30),
  rim(406, 22, 36, 28),
  rim(349, 19, 28, 28),
];

/** What differs from one hub gear to another. Lengths in mm. */
interface HubGearRow {
  words: string;
  massKg: number;
  price: number;
  efficiency?: number;
  ratios: number[];
  /** Ring ÷ cog, least and most; torque at the cog, N·m. */
  ratio: [number, number];
  torque: number;
  cogs: [number, number];
  spacing: number;
  flats: number;
  /** Flange circle, left and right from the middle, holes. */
  flange: [number, number, number, number];
  brake: NonNullable<HubGear['brake']>;
}

const hubGear = (speeds: HubGear['speeds'], row: HubGearRow): HubGear => ({
  kind: 'hubGear',
  id: `hub-gear-${speeds}`,
  name: row.words,
  maker: 'Toothill',
  massKg: row.massKg,
  price: row.price,
  note: 'Ratios typical of hubs of so many gears.',
  speeds,
  ratios: row.ratios,
  efficiency: row.efficiency ?? 0.91,
  cog: 19,
  leastRatio: row.ratio[0],
  mostRatio: row.ratio[1],
  mostTorqueNm: row.torque,
  cogs: { least: row.cogs[0], most: row.cogs[1] },
  dropoutSpacingM: mm(row.spacing),
  axleFlatsM: mm(row.flats),
  flangeRadiusM: mm(row.flange[0] / 2),
  flangeOutM: { left: mm(row.flange[1]), right: mm(row.flange[2]) },
  spokes: row.flange[3],
  brake: row.brake,
});

/** Hub gears with the ratios typical of their kind, lowest first; a stepless hub in even steps over its span. */
export const hubGears: readonly HubGear[] = [
  hubGear('three', {
    words: 'Hub gear, three, coaster',
    massKg: 1.2,
    price: 95,
    ratios: [0.75, 1, 1.333],
    ratio: [1.6, 3.2],
    torque: 80,
    cogs: [14, 24],
    spacing: 120,
    flats: 8.2,
    flange: [58, 28, 27, 36],
    brake: 'coaster',
  }),
  hubGear('five', {
    words: 'Hub gear, five, roller brake',
    massKg: 1.5,
    price: 140,
    ratios: [0.67, 0.78, 1, 1.28, 1.5],
    ratio: [1.8, 3],
    torque: 70,
    cogs: [16, 23],
    spacing: 130,
    flats: 8.2,
    flange: [75, 31, 29, 36],
    brake: 'roller',
  }),
  hubGear('seven', {
    words: 'Hub gear, seven, coaster',
    massKg: 1.7,
    price: 165,
    ratios: [0.63, 0.74, 0.84, 0.99, 1.15, 1.34, 1.55],
    ratio: [1.8, 2.6],
    torque: 75,
    cogs: [16, 23],
    spacing: 130,
    flats: 8.2,
    flange: [87, 31, 27, 36],
    brake: 'coaster',
  }),
  hubGear('eight', {
    words: 'Hub gear, eight, for a rotor',
    massKg: 1.8,
    price: 230,
    ratios: [0.53, 0.64, 0.75, 0.85, 1, 1.22, 1.42, 1.62],
    ratio: [1.9, 2.9],
    torque: 85,
    cogs: [16, 23],
    spacing: 135,
    flats: 8.2,
    flange: [93, 27, 31, 36],
    brake: 'rotor',
  }),
  hubGear('eleven', {
    words: 'Hub gear, eleven, for a rotor',
    massKg: 1.7,
    price: 420,
    ratios: [0.53, 0.68, 0.77, 0.88, 1, 1.15, 1.34, 1.54, 1.77, 1.98, 2.15],
    ratio: [1.9, 2.7],
    torque: 75,
    cogs: [18, 20],
    spacing: 135,
    flats: 8.2,
    flange: [93, 27, 31, 32],
    brake: 'rotor',
  }),
  hubGear('fourteen', {
    words: 'Hub gear, fourteen, for a rotor',
    massKg: 1.8,
    price: 980,
    ratios: [0.28, 0.32, 0.36, 0.41, 0.46, 0.53, 0.6, 0.68, 0.77, 0.88, 1, 1.14, 1.29, 1.47],
    ratio: [1.9, 4.5],
    torque: 130,
    cogs: [13, 21],
    spacing: 135,
    flats: 9.8,
    flange: [100, 30, 30, 32],
    brake: 'rotor',
  }),
  hubGear('stepless', {
    words: 'Stepless hub',
    massKg: 2.4,
    price: 310,
    efficiency: 0.87,
    ratios: [0.5, 0.6, 0.72, 0.87, 1.05, 1.26, 1.52, 1.83],
    ratio: [1.8, 2.5],
    torque: 100,
    cogs: [16, 26],
    spacing: 135,
    flats: 9.8,
    flange: [124, 30, 27, 36],
    brake: 'rotor',
  }),
];
