import type { PlugEnd } from '../leads.ts';
import type { Adapter, Cable, Extension, Fuse, Plug, Precharge } from '../smallParts.ts';

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

/** Plug families under names of our own: poles, amps, volts, size of the head; price of a mating pair. */
const families: readonly [family: string, poles: number, amps: number, volts: number, headMm: number, price: number][] =
  [
    ['barrel', 2, 5, 60, 9, 2],
    ['keyed round', 3, 6, 60, 12, 4],
    ['round, small', 2, 3, 60, 7.9, 3],
    ['round, small', 3, 3, 60, 7.9, 3],
    ['round, small', 4, 3, 60, 7.9, 3],
    ['round, small', 5, 3, 60, 7.9, 4],
    ['round, small', 6, 3, 60, 7.9, 4],
    ['round, middling', 8, 4, 60, 10.4, 6],
    ['round, fat', 9, 20, 60, 15, 9],
    ['latch block', 2, 4, 60, 11, 2],
    ['latch block', 3, 4, 60, 13.5, 2],
    ['latch block', 5, 4, 60, 18, 2.5],
    ['latch block', 6, 4, 60, 20, 2.5],
    ['lamp tabs', 2, 3, 36, 8, 1],
    ['flat pair', 2, 30, 84, 16, 4],
    ['bullet pair', 2, 45, 84, 12, 3],
    ['rail blades', 2, 30, 60, 34, 12],
    ['touch-proof pair', 2, 60, 120, 22, 14],
    ['three bullets', 3, 45, 84, 18, 5],
  ];
const idOf = (family: string, poles: number): string => `${family.replace(/[^a-z]+/g, '-')}-${poles}`;
export const plugs: readonly Plug[] = families.map(([family, poles, amps, volts, headMm, price]) => ({
  kind: 'plug',
  id: `plug-${idOf(family, poles)}`,
  name: `Plugs, ${family}, ${poles} poles`,
  maker: 'Skerrow Ironmongers',
  massKg: 0.02,
  price,
  note: 'A mating pair.',
  family,
  poles,
  amps,
  volts,
  headM: headMm / 1000,
}));

/** One half of a shelf family, for the data of kits, packs and controls. */
export function plugEnd(family: string, poles: number, sex: PlugEnd['sex'], colour: string): PlugEnd {
  const found = families.find(([name, n]) => name === family && n === poles);
  if (!found) throw new RangeError(`no plug family ${family} of ${poles} poles`);
  const [, , amps, volts, headMm] = found;
  return { family, poles, sex, colour, headM: headMm / 1000, amps, volts };
}

/** Lengths extensions are sold in, mm. */
export const extensionLengths = [200, 300, 500, 800, 1200] as const;
const extended = families.filter(([family]) => !['barrel', 'rail blades', 'touch-proof pair'].includes(family));
/** Every family that leads are extended in, at every length; thick ones cost by their copper. */
export const extensions: readonly Extension[] = extended.flatMap(([family, poles, amps, , , price]) =>
  extensionLengths.map((mm): Extension => {
    const grams = (mm / 1000) * (8 + poles * Math.max(1.2, amps / 3.5));
    return {
      kind: 'extension',
      id: `extension-${idOf(family, poles)}-${mm}`,
      name: `Extension, ${family}, ${poles} poles, ${mm} mm`,
      maker: 'Skerrow Ironmongers',
      massKg: Math.round(grams) / 1000,
      price: Math.round((price + 2 + (mm / 1000) * (2 + poles * Math.max(0.5, amps / 12))) * 2) / 2,
      note: 'The same plugs at its ends.',
      family,
      poles,
      lengthM: mm / 1000,
      amps,
    };
  }),
);

/** Joints between families that packs, chargers and controllers are found with. */
const joints: readonly [from: [string, number], to: [string, number], price: number][] = [
  [['flat pair', 2], ['bullet pair', 2], 9],
  [['flat pair', 2], ['rail blades', 2], 14],
  [['bullet pair', 2], ['rail blades', 2], 14],
  [['touch-proof pair', 2], ['flat pair', 2], 16],
  [['touch-proof pair', 2], ['bullet pair', 2], 16],
  [['touch-proof pair', 2], ['rail blades', 2], 20],
  [['round, fat', 9], ['three bullets', 3], 18],
  [['round, small', 3], ['latch block', 3], 6],
  [['round, small', 2], ['latch block', 2], 6],
  [['round, small', 2], ['lamp tabs', 2], 5],
  [['latch block', 2], ['lamp tabs', 2], 5],
  [['round, small', 5], ['latch block', 5], 8],
  [['round, small', 6], ['latch block', 6], 8],
  [['barrel', 2], ['keyed round', 3], 9],
];
const bears = (family: string, poles: number): { amps: number; volts: number } => {
  const { amps, volts } = plugEnd(family, poles, 'pins', 'black');
  return { amps, volts };
};
export const adapters: readonly Adapter[] = joints.map(([from, to, price]) => {
  const [a, b] = [bears(...from), bears(...to)];
  return {
    kind: 'adapter',
    id: `adapter-${idOf(...from)}-to-${idOf(...to)}`,
    name: `Adapter, ${from[0]} to ${to[0]}`,
    maker: 'Skerrow Ironmongers',
    massKg: 0.04,
    price,
    note: 'Check its polarity with a meter before anything is joined.',
    from: { family: from[0], poles: from[1] },
    to: { family: to[0], poles: to[1] },
    amps: Math.min(a.amps, b.amps),
    volts: Math.min(a.volts, b.volts),
  };
});

/** Resistors that fill a controller’s capacitors, Ω; each bears the first instant of a 60 V pack for a second. */
export const precharges: readonly Precharge[] = [10, 22, 47, 100].map((ohm) => ({
  kind: 'precharge',
  id: `precharge-${ohm}`,
  name: `Pre-charge lead, ${ohm} Ω`,
  maker: 'Skerrow Ironmongers',
  massKg: 0.03,
  price: 8,
  note: 'Touched to the joint before the plug is pushed home.',
  ohm,
  watts: Math.round((62 * 62) / ohm),
}));
