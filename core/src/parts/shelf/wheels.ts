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

const hubGear = (
  speeds: HubGear['speeds'],
  words: string,
  massKg: number,
  price: number,
  efficiency: number,
  ratios: number[],
  limits: Pick<HubGear, 'leastRatio' | 'mostTorqueNm'> = {},
): HubGear => ({
  kind: 'hubGear',
  id: `hub-gear-${speeds}`,
  name: words,
  maker: 'Toothill',
  massKg,
  price,
  note: 'Ratios typical of hubs of so many gears.',
  speeds,
  ratios,
  efficiency,
  cog: 19,
  ...limits,
});

/** Hub gears with the ratios typical of their kind, lowest first; a stepless hub in even steps over its span. */
export const hubGears: readonly HubGear[] = [
  hubGear('three', 'Hub gear, three', 1.2, 95, 0.91, [0.75, 1, 1.333]),
  hubGear('five', 'Hub gear, five', 1.5, 140, 0.91, [0.67, 0.78, 1, 1.28, 1.5]),
  hubGear('seven', 'Hub gear, seven', 1.7, 165, 0.91, [0.63, 0.74, 0.84, 0.99, 1.15, 1.34, 1.55], { leastRatio: 1.8 }),
  hubGear('eight', 'Hub gear, eight', 1.8, 230, 0.91, [0.53, 0.64, 0.75, 0.85, 1, 1.22, 1.42, 1.62], {
    leastRatio: 1.9,
    mostTorqueNm: 85,
  }),
  hubGear(
    'eleven',
    'Hub gear, eleven',
    1.7,
    420,
    0.91,
    [0.53, 0.68, 0.77, 0.88, 1, 1.15, 1.34, 1.54, 1.77, 1.98, 2.15],
    {
      leastRatio: 1.9,
      mostTorqueNm: 75,
    },
  ),
  hubGear(
    'fourteen',
    'Hub gear, fourteen',
    1.8,
    980,
    0.91,
    [0.28, 0.32, 0.36, 0.41, 0.46, 0.53, 0.6, 0.68, 0.77, 0.88, 1, 1.14, 1.29, 1.47],
    { leastRatio: 1.9, mostTorqueNm: 130 },
  ),
  hubGear('stepless', 'Stepless hub', 2.4, 310, 0.87, [0.5, 0.6, 0.72, 0.87, 1.05, 1.26, 1.52, 1.83], {
    leastRatio: 1.8,
    mostTorqueNm: 100,
  }),
];
