import type { Bill, LineChoice, LineState } from '../build/bill.ts';
import { dateAfter } from '../quantity/dates.ts';
import type { BillLine } from './bill.ts';

/** A line's own figures, kept with what is decided of it, so that it is still called something when nothing wants it. */
const kept = (line: BillLine): Partial<LineChoice> => ({ name: line.name.slice(0, 120), count: line.count });

/**
 * The change that puts a line to a state on a day: when it was ordered, when it came, until when it may go back by the
 * offer it was bought by. Wanted again, it forgets its days.
 */
export function putLine(line: BillLine, bill: Bill, state: LineState, day: string): Partial<LineChoice> {
  const { choice } = line;
  const offer = bill.offers.find((o) => o.part === line.part && o.supplier === choice.supplier);
  const back = offer && offer.returnDays > 0 ? dateAfter(day, offer.returnDays) : null;
  const again = choice.state === 'returned';
  switch (state) {
    case 'wanted':
      return { ...kept(line), state, orderedOn: null, promisedOn: null, arrivedOn: null, returnBy: null, reason: null };
    case 'ordered':
      return {
        ...kept(line),
        state,
        ...(again ? { arrivedOn: null, returnBy: null } : {}),
        orderedOn: again ? day : (choice.orderedOn ?? day),
        promisedOn: (again ? null : choice.promisedOn) ?? (offer ? dateAfter(day, offer.leadDays.likely) : null),
      };
    case 'arrived':
      return { ...kept(line), state, arrivedOn: choice.arrivedOn ?? day, returnBy: choice.returnBy ?? back };
    default:
      return { ...kept(line), state };
  }
}

/** The change that orders a line from a supplier at the price offered there. */
export function orderFrom(line: BillLine, bill: Bill, supplier: string, day: string): Partial<LineChoice> {
  const at = { ...line, choice: { ...line.choice, supplier, promisedOn: null } };
  const offer = bill.offers.find((o) => o.part === line.part && o.supplier === supplier);
  return { ...putLine(at, bill, 'ordered', day), supplier, price: offer?.price ?? line.choice.price };
}

/** What a supplier is asked for: a purchase order of all that is ordered there. */
export interface PurchaseOrder {
  supplier: string;
  name: string;
  lines: BillLine[];
  goods: number;
  shipping: number;
  total: number;
}

/** A purchase order for each supplier with something ordered and not come; carriage free where its goods come to the sum. */
export function purchaseOrders(lines: readonly BillLine[], bill: Bill): PurchaseOrder[] {
  return bill.suppliers.flatMap((s) => {
    const here = lines.filter((l) => l.choice.supplier === s.id && (l.state === 'ordered' || l.state === 'promised'));
    if (here.length === 0) return [];
    const goods = here.reduce((sum, l) => sum + l.sum, 0);
    const free = s.freeFrom !== null && goods >= s.freeFrom - 1e-9;
    const shipping = (free ? 0 : s.shipping) + (!free && bill.island ? (s.islands ?? 0) : 0);
    return [{ supplier: s.id, name: s.name, lines: here, goods, shipping, total: goods + shipping }];
  });
}

/** A day that is worth a mark in the calendar. */
export interface Reminder {
  id: string;
  on: string;
  what: string;
}

/** Days to be reminded of: what should come, and until when each thing here may go back. */
export function remindersOf(lines: readonly BillLine[]): Reminder[] {
  return lines
    .flatMap(({ key, name, state, choice }): Reminder[] => [
      ...(choice.promisedOn && (state === 'ordered' || state === 'promised')
        ? [{ id: `comes-${key}`, on: choice.promisedOn, what: `${name} should come` }]
        : []),
      ...(choice.returnBy && (state === 'arrived' || state === 'checked' || state === 'faulty')
        ? [{ id: `back-${key}`, on: choice.returnBy, what: `Last day to send back ${name}` }]
        : []),
    ])
    .sort((a, b) => a.on.localeCompare(b.on) || a.id.localeCompare(b.id));
}
