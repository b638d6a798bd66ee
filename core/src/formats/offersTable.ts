import { offerSchema, supplierSchema, type Offer, type Supplier } from '../build/bill.ts';
import { partById, partKinds, type Shelf } from '../parts/part.ts';
import { problemsOf, type ReadProblem } from '../reading/problems.ts';
import { filledRows, tableFault } from './table.ts';

/** Heads of a table of offers, in the order they are written; any order is read. */
export const offerHeads = [
  'supplier',
  'part',
  'price',
  'stock',
  'days low',
  'days likely',
  'days high',
  'return days',
  'shipping',
  'free from',
  'sends batteries',
] as const;
type Head = (typeof offerHeads)[number];

/** What was read of a table: offers with their suppliers, and every row that was not understood, with why. */
export interface OffersRead {
  suppliers: Supplier[];
  offers: Offer[];
  problems: ReadProblem[];
}

const MOST_ROWS = 4000;
const idOf = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
const figure = (text: string): number | null => {
  const clean = text.trim().replace(/\s/g, '').replace(',', '.');
  return clean === '' ? null : Number(clean);
};

/**
 * Reads offers from a table's rows, heads first. A row that is not understood is named by its number, with what is wrong,
 * and the others are taken all the same. A part is named by its id or its name on the shelf.
 */
export function readOffers(rows: readonly (readonly string[])[], shelf: Shelf): OffersRead {
  const out: OffersRead = { suppliers: [], offers: [], problems: [] };
  const filled = filledRows(rows);
  const fault = tableFault(filled, MOST_ROWS);
  if (fault) {
    out.problems.push(fault);
    return out;
  }
  const [first, ...body] = filled;
  const heads = (first?.cells ?? []).map((h) => h.trim().toLowerCase());
  const missing = (['supplier', 'part', 'price'] as const).filter((h) => !heads.includes(h));
  if (missing.length > 0) {
    out.problems.push({ path: `row ${first?.row ?? 1}`, message: `has no column headed ${missing.join(', ')}` });
    return out;
  }
  const byName = new Map<string, string>();
  for (const kind of partKinds) for (const part of shelf[kind]) byName.set(part.name.toLowerCase(), part.id);
  body.forEach(({ cells: row, row: number }) => {
    const path = `row ${number}`;
    const cell = (head: Head): string => row[heads.indexOf(head)]?.trim() ?? '';
    const say = (message: string): void => {
      out.problems.push({ path, message });
    };
    const name = cell('supplier');
    const part = partById(shelf, cell('part'))?.id ?? byName.get(cell('part').toLowerCase());
    if (!part) return say(`part: nothing on the shelf is called “${cell('part')}”`);
    const likely = figure(cell('days likely')) ?? figure(cell('days low')) ?? 5;
    const offer = offerSchema.safeParse({
      supplier: idOf(name),
      part,
      price: figure(cell('price')),
      stock: figure(cell('stock')),
      leadDays: {
        low: figure(cell('days low')) ?? likely,
        likely,
        high: figure(cell('days high')) ?? likely,
      },
      returnDays: figure(cell('return days')) ?? 14,
    });
    if (!offer.success)
      return say(
        problemsOf(offer.error)
          .map((p) => `${p.path} ${p.message}`)
          .join('; '),
      );
    const { low, high } = offer.data.leadDays;
    if (low > likely || likely > high) return say('days low, likely and high must not fall');
    const supplier = supplierSchema.safeParse({
      id: idOf(name),
      name,
      shipping: figure(cell('shipping')) ?? 0,
      freeFrom: figure(cell('free from')),
      lithium: !/^(no|n|0|false)$/i.test(cell('sends batteries')),
      islands: null,
    });
    if (!supplier.success)
      return say(
        problemsOf(supplier.error)
          .map((p) => `${p.path} ${p.message}`)
          .join('; '),
      );
    out.offers.push(offer.data);
    if (!out.suppliers.some((s) => s.id === supplier.data.id)) out.suppliers.push(supplier.data);
  });
  return out;
}
