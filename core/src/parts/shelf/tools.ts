import type { Tool } from '../smallParts.ts';

type Row = readonly [name: string, price: number, hire?: number];

/** Tools that remedies ask for. */
const rows = {
  'flat-file': ['Flat file, fine', 9],
  hacksaw: ['Hacksaw', 12],
  drill: ['Drill', 45, 6],
  countersink: ['Countersink, turned by hand', 8],
  'pin-press': ['Press for cotter pins', 38, 5],
  'rivet-nut-setter': ['Rivet-nut setter', 42, 5],
  'spoke-key': ['Spoke key', 6],
  'straight-edge': ['Straight edge, 600 mm', 14],
  'dropout-gauges': ['Dropout gauges', 65, 8],
  'string-line': ['String line', 2],
  'crank-puller': ['Crank puller', 14, 2],
} as const satisfies Record<string, Row>;

export type ToolId = keyof typeof rows;

export const tools: readonly Tool[] = (Object.entries(rows) as [ToolId, Row][]).map(([id, [name, price, hire]]) => ({
  kind: 'tool',
  id,
  name,
  maker: 'Skerrow Ironmongers',
  massKg: 0,
  price,
  note: '',
  ...(hire === undefined ? {} : { hire }),
}));
