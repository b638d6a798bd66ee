import type { Service } from '../smallParts.ts';

type Row = readonly [name: string, price: number, note: string];

/** Work that a builder may have done, by the job. */
const rows = {
  lacing: ['Hub laced into a rim', 85, 'Rim, spokes and truing.'],
  'cold-setting': ['Ends cold-set and gauged', 25, 'Steel only, half each side.'],
  truing: ['Wheels trued', 30, 'Both.'],
  'frame-look': ['Frame builder’s opinion', 40, 'On an old repair.'],
  aligning: ['Dropouts and hanger trued', 35, 'With gauges.'],
} as const satisfies Record<string, Row>;

export type ServiceId = keyof typeof rows;

export const services: readonly Service[] = (Object.entries(rows) as [ServiceId, Row][]).map(
  ([id, [name, price, note]]) => ({
    kind: 'service',
    id,
    name,
    maker: 'Skerrow Lock tool library',
    massKg: 0,
    price,
    note,
  }),
);
