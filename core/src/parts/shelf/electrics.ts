import type { Cable, Fuse, Plug } from '../smallParts.ts';

/** Copper cable by size: what it bears continuously in a bundle, cautious workshop values; price a metre. */
const sizes: readonly [mm2: number, amps: number, price: number][] = [
  [0.5, 5, 0.6],
  [0.75, 8, 0.7],
  [1, 10, 0.8],
  [1.5, 15, 1.1],
  [2.5, 22, 1.6],
  [4, 30, 2.4],
  [6, 40, 3.4],
  [10, 55, 5.2],
  [16, 75, 8],
];
export const cables: readonly Cable[] = sizes.map(([mm2, amps, price]) => ({
  kind: 'cable',
  id: `cable-${String(mm2).replace('.', '-')}`,
  name: `Cable, ${mm2} mm²`,
  maker: 'Skerrow Ironmongers',
  massKg: (mm2 * 8.96 + 6) / 1000,
  price,
  note: 'A metre, one core, silicone.',
  mm2,
  amps,
}));

/** Fuses that are had everywhere, A. */
const blows = [5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 80];
export const fuses: readonly Fuse[] = blows.map((amps) => ({
  kind: 'fuse',
  id: `fuse-${String(amps).replace('.', '-')}`,
  name: `Fuse, ${amps} A`,
  maker: 'Skerrow Ironmongers',
  massKg: 0.01,
  price: amps > 30 ? 4 : 1.5,
  note: amps > 30 ? 'Bolted, with its holder.' : 'Blade, with its holder.',
  amps,
  volts: 80,
}));

/** Plug families under names of our own, pairs that mate. */
const families: readonly [family: string, poles: number, amps: number, headMm: number, price: number][] = [
  ['barrel', 2, 5, 9, 2],
  ['round, small', 3, 3, 7.9, 3],
  ['round, small', 6, 3, 7.9, 4],
  ['round, fat', 9, 20, 15, 9],
  ['flat pair', 2, 30, 16, 4],
  ['bullet pair', 2, 45, 12, 3],
  ['three bullets', 3, 45, 18, 5],
];
export const plugs: readonly Plug[] = families.map(([family, poles, amps, headMm, price]) => ({
  kind: 'plug',
  id: `plug-${family.replace(/[^a-z]+/g, '-')}-${poles}`,
  name: `Plugs, ${family}, ${poles} poles`,
  maker: 'Skerrow Ironmongers',
  massKg: 0.02,
  price,
  note: 'A mating pair.',
  family,
  poles,
  amps,
  volts: 84,
  headM: headMm / 1000,
}));
