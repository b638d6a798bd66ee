import type { Chemistry } from '../chemistry.ts';
import type { Charger } from '../smallParts.ts';
import { plugEnd } from './electrics.ts';

type Row = readonly [chemistry: Chemistry, series: number, volts: number, amps: number, price: number, grams: number];

/** Chargers by chemistry, cells in a row and plug: one that does not match its pack is never joined to it. */
const rows: readonly Row[] = [
  ['nmc', 7, 29.4, 2, 26, 420],
  ['nmc', 10, 42, 2, 29, 450],
  ['nmc', 10, 42, 4, 48, 820],
  ['nmc', 13, 54.6, 2, 34, 520],
  ['nmc', 13, 54.6, 4, 56, 950],
  ['nmc', 14, 58.8, 2, 36, 540],
  ['nmc', 14, 58.8, 5, 68, 1150],
  ['lfp', 11, 40.2, 3, 44, 700],
  ['lfp', 15, 54.8, 3, 52, 780],
  ['lfp', 16, 58.4, 5, 72, 1200],
  ['lead', 18, 43.2, 2.5, 32, 900],
  ['lead', 24, 57.6, 2.5, 38, 1100],
];
const words: Record<Chemistry, string> = { nmc: 'lithium', lfp: 'LFP', lead: 'lead' };
const plugs = { barrel: ['barrel', 2], round: ['keyed round', 3] } as const;

export type ChargerId = `charger-${Chemistry}-${number}-${string}`;

export const chargers: readonly Charger[] = rows.flatMap(([chemistry, series, volts, amps, price, grams]) =>
  (Object.keys(plugs) as (keyof typeof plugs)[]).map((plug): Charger => {
    const [family, poles] = plugs[plug];
    return {
      kind: 'charger',
      id: `charger-${chemistry}-${series}-${String(amps).replace('.', '-')}-${plug}`,
      name: `Charger, ${words[chemistry]}, ${volts} V ${amps} A, ${family} plug`,
      maker: 'Harbour Lead',
      massKg: grams / 1000,
      price,
      note: 'Read its volts with the plug free before it is ever joined.',
      chemistry,
      series,
      amps,
      plug: plugEnd(family, poles, 'pins', 'black'),
    };
  }),
);
