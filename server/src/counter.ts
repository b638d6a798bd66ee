import {
  dateAfter,
  daysAt,
  partById,
  partKinds,
  starterShelf,
  type Offer,
  type Part,
  type Supplier,
} from '@sprocket/core';

/** What the parts counter says of itself and offers: made up, the same for the same day. */
export interface Counter {
  standIn: true;
  day: string;
  suppliers: Supplier[];
  offers: Offer[];
}

interface Trade extends Supplier {
  /** Prices over the shelf's, as a factor; how far they vary; share of the shelf it keeps. */
  factor: number;
  varies: number;
  keeps: number;
  days: Offer['leadDays'];
  returnDays: number;
}

/** Invented suppliers, as different as real ones. */
const trades: readonly Trade[] = [
  {
    id: 'skerrow-ironmongers',
    name: 'Skerrow Ironmongers',
    shipping: 4.5,
    freeFrom: 60,
    lithium: false,
    islands: 6,
    factor: 1,
    varies: 0.06,
    keeps: 0.85,
    days: { low: 1, likely: 2, high: 4 },
    returnDays: 30,
  },
  {
    id: 'otterbank-cycles',
    name: 'Otterbank Cycle Works',
    shipping: 6.9,
    freeFrom: 150,
    lithium: true,
    islands: 18,
    factor: 1.08,
    varies: 0.08,
    keeps: 0.8,
    days: { low: 1, likely: 1, high: 3 },
    returnDays: 14,
  },
  {
    id: 'low-weir-direct',
    name: 'Low Weir Direct',
    shipping: 12,
    freeFrom: 400,
    lithium: true,
    islands: null,
    factor: 0.9,
    varies: 0.12,
    keeps: 0.75,
    days: { low: 4, likely: 7, high: 16 },
    returnDays: 14,
  },
  {
    id: 'farquay-importers',
    name: 'Farquay Importers',
    shipping: 0,
    freeFrom: null,
    lithium: false,
    islands: 0,
    factor: 0.74,
    varies: 0.2,
    keeps: 0.6,
    days: { low: 12, likely: 19, high: 40 },
    returnDays: 0,
  },
];

/** A number from 0 to 1 that hangs on a text alone. */
function chanceOf(text: string): number {
  let hash = 2_166_136_261;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 16_777_619);
  hash = Math.imul(hash ^ (hash >>> 15), 2_246_822_519);
  return ((hash ^ (hash >>> 13)) >>> 0) / 4_294_967_296;
}

/** What one supplier asks for one part on a day; null where it does not keep it. */
function offerOf(trade: Trade, part: Part, day: string): Offer | null {
  const of = (what: string): number => chanceOf(`${trade.id} ${part.id} ${what}`);
  if (part.kind === 'service' || of('keeps') > trade.keeps || (part.kind === 'pack' && !trade.lithium)) return null;
  const week = Math.floor(Date.parse(day) / (7 * 86_400_000));
  const price = part.price * trade.factor * (1 + trade.varies * (2 * of(`price ${week}`) - 1));
  const stock = Math.floor(of(`stock ${day}`) * 14);
  return {
    supplier: trade.id,
    part: part.id,
    price: Math.max(0.5, Math.round(price * 20) / 20),
    stock,
    // What is not in stock comes a week later.
    leadDays:
      stock > 0 ? trade.days : { low: trade.days.low + 5, likely: trade.days.likely + 8, high: trade.days.high + 14 },
    returnDays: trade.returnDays,
  };
}

/**
 * The parts counter, a stand-in: what four invented suppliers ask on a day for what the starter shelf has. Prices stay
 * a week, stock changes by the day.
 * @param day ISO date
 */
export function counterOn(day: string): Counter {
  const parts = partKinds.flatMap((kind) => [...starterShelf[kind]]);
  const offers = trades.flatMap((trade) => parts.flatMap((part) => offerOf(trade, part, day) ?? []));
  return {
    standIn: true,
    day,
    suppliers: trades.map(({ id, name, shipping, freeFrom, lithium, islands }) => ({
      id,
      name,
      shipping,
      freeFrom,
      lithium,
      islands,
    })),
    offers,
  };
}

/** What was ordered at the counter: by whom, what, when. */
export interface CounterOrder {
  supplier: string;
  part: string;
  orderedOn: string;
}

/** How an order stands on a day: taken, promised for a day, or come. */
export interface OrderStanding extends CounterOrder {
  state: 'ordered' | 'promised' | 'arrived';
  promisedOn: string | null;
  arrivedOn: string | null;
}

/**
 * How orders stand on a day, as simulated days pass: the day after it is placed an order is promised for its likeliest
 * day; it comes on a day of its supplier's range, drawn from what it is, and is promised anew once it is late. What is
 * ordered of suppliers the counter does not have is left out.
 * @param day ISO date
 */
export function standingsOn(day: string, orders: readonly CounterOrder[]): OrderStanding[] {
  // Each order asks for its own part alone: as many days as orders cost no more than one.
  return orders.flatMap(({ supplier, part, orderedOn }): OrderStanding[] => {
    const trade = trades.find((t) => t.id === supplier);
    if (!trade) return [];
    const known = partById(starterShelf, part);
    const lead = (known && offerOf(trade, known, orderedOn)?.leadDays) ?? trade.days;
    const comes = dateAfter(orderedOn, Math.round(daysAt(lead, chanceOf(`${supplier} ${part} ${orderedOn} comes`))));
    const first = dateAfter(orderedOn, lead.likely);
    const order = { supplier, part, orderedOn };
    if (day >= comes) return [{ ...order, state: 'arrived', promisedOn: first, arrivedOn: comes }];
    if (day <= orderedOn) return [{ ...order, state: 'ordered', promisedOn: null, arrivedOn: null }];
    return [{ ...order, state: 'promised', promisedOn: day > first ? comes : first, arrivedOn: null }];
  });
}
