import type { Consumable } from '../smallParts.ts';

type Row = readonly [name: string, price: number, unit: Consumable['unit'], amount: number, grams: number];

/** What is used up at the bench. */
const rows = {
  'rim-tape': ['Rim tape, cloth', 4, 'piece', 1, 20],
  'touch-up-paint': ['Touch-up paint and brush', 4, 'ml', 12, 10],
  'steel-plate': ['Plate, 4 mm steel, offcut', 12, 'piece', 1, 300],
  'rubber-sheet': ['Rubber sheet', 6, 'piece', 1, 40],
  'drill-bits': ['Drill bit, 5 mm', 2, 'piece', 1, 0],
  'rust-kit': ['Rust treatment and paint', 14, 'ml', 250, 60],
  'bearing-kit': ['Bearings and grease', 20, 'piece', 1, 80],
  'headset-kit': ['Headset bearings', 22, 'piece', 1, 120],
  'hinge-kit': ['Hinge bushes and latch', 40, 'piece', 1, 180],
  'spoke-kit': ['Spokes to renew, handful', 18, 'piece', 8, 60],
  'tyre-pair': ['Tyres, pair', 52, 'piece', 2, 1400],
  'brake-kit': ['Pads and cables, both brakes', 28, 'piece', 1, 180],
  'gear-kit': ['Gear cable and housing', 15, 'piece', 1, 60],
  threadlock: ['Threadlock, medium', 6, 'ml', 10, 0],
  grease: ['Grease', 5, 'g', 100, 0],
  'cable-ties': ['Cable ties, black', 4, 'piece', 100, 40],
  'foam-tape': ['Foam tape', 3, 'm', 2, 20],
  sleeve: ['Cable sleeve, woven', 7, 'm', 3, 60],
} as const satisfies Record<string, Row>;

export type ConsumableId = keyof typeof rows;

export const consumables: readonly Consumable[] = (Object.entries(rows) as [ConsumableId, Row][]).map(
  ([id, [name, price, unit, amount, grams]]) => ({
    kind: 'consumable',
    id,
    name,
    maker: 'Skerrow Ironmongers',
    massKg: grams / 1000,
    price,
    note: '',
    unit,
    amount,
  }),
);
