import type { Cluster } from '../gearParts.ts';

const cluster = (mount: 'freewheel' | 'cassette', cogs: number[], price: number): Cluster => ({
  kind: 'cluster',
  id: `${mount}-${cogs.length}-${cogs[0]}-${cogs.at(-1)}`,
  name: `${cogs.length}-speed ${mount}, ${cogs[0]}–${cogs.at(-1)}`,
  maker: 'Toothill',
  massKg: 0.4,
  price,
  note: '',
  mount,
  cogs,
});
export const clusters: readonly Cluster[] = [
  cluster('freewheel', [18], 14),
  cluster('freewheel', [14, 16, 18, 21, 24, 28], 22),
  cluster('freewheel', [14, 16, 18, 20, 22, 24, 28], 22),
  cluster('freewheel', [14, 16, 18, 20, 22, 24, 34], 26),
  cluster('cassette', [11, 13, 15, 18, 21, 24, 28, 32], 34),
  cluster('cassette', [11, 13, 15, 17, 20, 23, 26, 30, 34], 42),
  cluster('cassette', [11, 13, 15, 17, 20, 24, 28, 32, 36, 42], 58),
];
