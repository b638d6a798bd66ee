import type { Bill } from '../build/bill.ts';
import { dateAfter, daysBetween } from '../quantity/dates.ts';
import type { BillLine } from './bill.ts';
import { buy, type Bought, type BuyCase, type IntegerSolver } from './buy.ts';

/** A supplier's carriage, and what the bill would be without that supplier. */
export interface WithoutSupplier {
  supplier: string;
  /** What is dearer without it; null where lines could then not be had in time. */
  dearer: number | null;
}
/** What all would cost if it had to come so many days sooner. */
export interface Sooner {
  by: string;
  days: number;
  /** Null where something cannot come by then. */
  total: number | null;
}
/** The best ways of buying what is to be ordered now. */
export interface BuyingSheet {
  orderedOn: string;
  neededBy: string;
  chance: number;
  best: Bought;
  without: WithoutSupplier[];
  sooner: Sooner[];
  /** Lines that no supplier offers, stocks or may send. */
  nobody: string[];
}

/** Lines are wanted so many days from the order where no day is named. Source: project: a fortnight and a week. */
const USUAL_DAYS = 21;
/** Days sooner that are tried, at most. */
const SOONER = 6;

/** Whether a line may be sent to where the build stands: batteries by those who send them, to an island likewise. */
const maySend = (line: BillLine, lithium: boolean): boolean => line.kind !== 'pack' || lithium;

/** The buying case of the lines that are to be ordered now: offers that may be sent, and have enough in stock. */
export function buyingCase(
  lines: readonly BillLine[],
  bill: Bill,
  orderedOn: string,
): { given: BuyCase; nobody: string[] } {
  const neededBy = bill.neededBy ?? dateAfter(orderedOn, USUAL_DAYS);
  // Work by others is paid where it is done: nobody sends it.
  const wanted = lines.filter((l) => l.wave === 'now' && l.from === 'order' && l.kind !== 'service');
  const suppliers = bill.suppliers.filter((s) => !bill.island || s.islands !== null);
  const byId = new Map(suppliers.map((s) => [s.id, s]));
  const offers = wanted.flatMap((line) =>
    bill.offers
      .filter((o) => o.part === line.part && (o.stock === null || o.stock >= line.count))
      .filter((o) => {
        const supplier = byId.get(o.supplier);
        return supplier !== undefined && maySend(line, supplier.lithium);
      })
      .map(({ supplier, price, leadDays }) => ({ supplier, line: line.key, price, leadDays })),
  );
  const offered = new Set(offers.map((o) => o.line));
  return {
    given: {
      lines: wanted.filter((l) => offered.has(l.key)).map((l) => ({ id: l.key, count: l.count, neededBy })),
      suppliers: suppliers.map((s) => ({
        id: s.id,
        shipping: s.shipping + (bill.island ? (s.islands ?? 0) : 0),
        freeFrom: s.freeFrom,
      })),
      offers,
      orderedOn,
      chance: bill.chance,
    },
    nobody: wanted.filter((l) => !offered.has(l.key)).map((l) => l.key),
  };
}

/** The two or three best ways, what each supplier's carriage is worth, and what each day sooner costs. */
export function buyingSheet(
  lines: readonly BillLine[],
  bill: Bill,
  orderedOn: string,
  solve: IntegerSolver,
): BuyingSheet {
  const { given, nobody } = buyingCase(lines, bill, orderedOn);
  const best = buy(given, solve);
  const neededBy = given.lines[0]?.neededBy ?? bill.neededBy ?? dateAfter(orderedOn, USUAL_DAYS);
  const totalOf = (change: Partial<BuyCase>): number | null => {
    const found = buy({ ...given, ...change }, solve, 0);
    return found.infeasible.length > best.infeasible.length ? null : found.total;
  };
  const used = [...new Set(Object.values(best.choice))].sort();
  const days = Math.max(0, daysBetween(orderedOn, neededBy));
  const sooner: Sooner[] = [];
  for (let k = 1; k <= Math.min(SOONER, days); k++) {
    const by = dateAfter(neededBy, -k);
    const total = totalOf({ lines: given.lines.map((l) => ({ ...l, neededBy: by })) });
    sooner.push({ by, days: k, total });
    if (total === null) break;
  }
  return {
    orderedOn,
    neededBy,
    chance: given.chance,
    best,
    without: used.map((supplier) => {
      const total = totalOf({
        suppliers: given.suppliers.filter((s) => s.id !== supplier),
        offers: given.offers.filter((o) => o.supplier !== supplier),
      });
      return { supplier, dearer: total === null ? null : Math.round((total - best.total) * 100) / 100 };
    }),
    sooner,
    nobody,
  };
}
