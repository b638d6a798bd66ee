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
  'threadlock-strong': ['Threadlock, strong', 7, 'ml', 10, 0],
  'assembly-paste': ['Assembly paste, for carbon and seat posts', 9, 'g', 50, 5],
  'anti-seize': ['Anti-seize paste', 8, 'g', 50, 5],
  'insulating-tape': ['Insulating tape', 2, 'm', 10, 20],
  'self-fusing-tape': ['Self-fusing tape', 6, 'm', 5, 40],
  'shrink-tube': ['Shrink tube, glue-lined, set', 9, 'piece', 40, 60],
  solder: ['Solder, for electrics', 8, 'g', 50, 5],
  'contact-grease': ['Grease for contacts', 7, 'g', 30, 5],
  silicone: ['Silicone seal, neutral', 6, 'ml', 90, 20],
  degreaser: ['Degreaser', 6, 'ml', 500, 0],
  'brake-cleaner': ['Brake cleaner', 5, 'ml', 400, 0],
  'chain-oil': ['Chain oil', 6, 'ml', 100, 10],
  rags: ['Rags', 3, 'piece', 10, 0],
  labels: ['Labels for leads', 3, 'piece', 40, 5],
  'brake-inner': ['Brake cable, inner', 4, 'piece', 1, 30],
  'brake-outer': ['Brake cable, outer', 5, 'm', 2, 90],
  'gear-inner': ['Gear cable, inner', 4, 'piece', 1, 20],
  'end-caps': ['Cable end caps', 2, 'piece', 10, 2],
  'quick-link': ['Quick link for a chain', 4, 'piece', 2, 6],
  patches: ['Patches and glue', 3, 'piece', 6, 10],
  gloves: ['Gloves', 6, 'piece', 10, 0],
  sandpaper: ['Emery paper', 3, 'piece', 5, 0],
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
