import { daysBetween } from '../quantity/dates.ts';
import { daysAt, type LeadDays } from './leadTime.ts';

/** One line that is to be bought, and the day it is wanted by. */
export interface BuyLine {
  id: string;
  count: number;
  /** ISO date. */
  neededBy: string;
}
/** Whom it may be bought from, and what sending costs. */
export interface BuySupplier {
  id: string;
  shipping: number;
  /** Goods from which it is sent free; null: never. */
  freeFrom: number | null;
}
/** One supplier's price for one line, each, and how long it takes. */
export interface BuyOffer {
  supplier: string;
  line: string;
  price: number;
  leadDays: LeadDays;
}
export interface BuyCase {
  lines: readonly BuyLine[];
  suppliers: readonly BuySupplier[];
  offers: readonly BuyOffer[];
  /** ISO date. */
  orderedOn: string;
  /** With what chance each must have come by its day. */
  chance: number;
}

/** One way of buying: what it costs, and who sends what. */
export interface Purchase {
  total: number;
  goods: number;
  shipping: number;
  /** Supplier of each line, by line. */
  choice: Record<string, string>;
}
/** The cheapest way; the next ones by other suppliers, cheapest first; and lines nobody sends in time. */
export interface Bought extends Purchase {
  infeasible: string[];
  others: Purchase[];
}

/** Sums of money are told to a hundredth of a cent, so that 0.1 and 0.2 are 0.3. */
const tidy = (sum: number): number => Math.round(sum * 10_000) / 10_000;
/** Two sums this near are the same. */
const SAME = 1e-7;
/** Ways besides the best that are looked for. */
const OTHERS = 2;

/** Offers that come in time with the wanted chance, the cheapest of each supplier for each line. */
export function allowedOffers({ lines, offers, orderedOn, chance }: BuyCase): Map<string, Map<string, number>> {
  const byLine = new Map(lines.map((line) => [line.id, line]));
  const allowed = new Map(lines.map((line) => [line.id, new Map<string, number>()]));
  for (const { supplier, line: id, price, leadDays } of offers) {
    const line = byLine.get(id);
    if (!line || daysAt(leadDays, chance) > daysBetween(orderedOn, line.neededBy) + 1e-9) continue;
    const prices = allowed.get(id) as Map<string, number>;
    prices.set(supplier, Math.min(price, prices.get(supplier) ?? Infinity));
  }
  return allowed;
}

/** A line with what each supplier asks for all of it. */
export interface Wanted {
  id: string;
  costs: ReadonlyMap<string, number>;
}

/**
 * Solves an integer program: least of an objective under constraints, as a text in LP format.
 * Gives each variable's value, or null where nothing satisfies all. It must prove its optimum, without a gap.
 */
export type IntegerSolver = (program: string) => Record<string, number> | null;

/**
 * Chooses an offer a line so that goods and shipping cost least: exact, by an integer solver. With it the next best ways
 * by other suppliers.
 * @param others how many of those
 */
export function buy(given: BuyCase, solve: IntegerSolver, others = OTHERS): Bought {
  const allowed = allowedOffers(given);
  const infeasible = given.lines.filter((l) => allowed.get(l.id)?.size === 0).map((l) => l.id);
  const wanted: Wanted[] = given.lines
    .filter((l) => !infeasible.includes(l.id))
    .map((l) => ({
      id: l.id,
      costs: new Map([...(allowed.get(l.id) ?? [])].map(([supplier, price]) => [supplier, price * l.count])),
    }));
  const suppliers = given.suppliers.filter((s) => wanted.some((l) => l.costs.has(s.id)));
  const ways: Purchase[] = [];
  while (wanted.length > 0 && ways.length <= others) {
    const choice = choiceOf(wanted, suppliers, solve(program(wanted, suppliers, ways)));
    if (!choice) break;
    ways.push(purchaseOf(wanted, suppliers, choice));
  }
  const [best, ...next] = ways;
  return { ...(best ?? { total: 0, goods: 0, shipping: 0, choice: {} }), infeasible, others: next };
}

/** A figure as the solver reads it, in hundredths of the money, so that all its sums are of whole numbers. */
const cents = (sum: number): string => (sum * 100).toFixed(6);

/**
 * The choice as an integer program. x: line l from supplier s. y: supplier s is used. f: it sends free, for which goods
 * come to its sum. Ways found before are ruled out by their set of suppliers.
 */
function program(lines: readonly Wanted[], suppliers: readonly BuySupplier[], before: readonly Purchase[]): string {
  const at = (l: number, s: number): string => `x${l}_${s}`;
  const objective: string[] = [];
  const rows: string[] = [];
  const binaries: string[] = [];
  const here = suppliers.map(() => [] as number[]);
  lines.forEach(({ costs }, l) => {
    const senders = suppliers.flatMap((s, i) => (costs.has(s.id) ? [i] : []));
    for (const i of senders) {
      objective.push(`${cents(costs.get((suppliers[i] as BuySupplier).id) as number)} ${at(l, i)}`);
      rows.push(`${at(l, i)} - y${i} <= 0`);
      binaries.push(at(l, i));
      (here[i] as number[]).push(l);
    }
    rows.push(`${senders.map((i) => at(l, i)).join(' + ')} = 1`);
  });
  suppliers.forEach(({ id, shipping, freeFrom }, i) => {
    const own = here[i] as number[];
    objective.push(`${cents(shipping)} y${i}`);
    rows.push(`y${i} - ${own.map((l) => at(l, i)).join(' - ')} <= 0`);
    binaries.push(`y${i}`);
    if (freeFrom === null || freeFrom <= 0 || shipping === 0) return;
    const goods = own.map((l) => `${cents((lines[l] as Wanted).costs.get(id) as number)} ${at(l, i)}`).join(' + ');
    rows.push(`${goods} - ${cents(freeFrom)} f${i} >= 0`, `f${i} - y${i} <= 0`);
    objective.push(`- ${cents(shipping)} f${i}`);
    binaries.push(`f${i}`);
  });
  for (const { choice } of before) {
    const used = new Set(Object.values(choice));
    const ins = suppliers.flatMap((s, i) => (used.has(s.id) ? [`- y${i}`] : []));
    const outs = suppliers.flatMap((s, i) => (used.has(s.id) ? [] : [`+ y${i}`]));
    rows.push(`${[...outs, ...ins].join(' ')} >= ${1 - ins.length}`);
  }
  return [
    'Minimize',
    ` sum: ${objective.join(' + ').replaceAll('+ -', '-')}`,
    'Subject To',
    ...rows.map((row, i) => ` r${i}: ${row}`),
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
    '',
  ].join('\n');
}

function choiceOf(
  lines: readonly Wanted[],
  suppliers: readonly BuySupplier[],
  solved: Record<string, number> | null,
): Record<string, string> | null {
  if (!solved) return null;
  return Object.fromEntries(
    lines.map(({ id }, l) => {
      const found = suppliers.find((_, i) => (solved[`x${l}_${i}`] ?? 0) > 0.5);
      if (!found) throw new RangeError(`no supplier for ${id}`);
      return [id, found.id];
    }),
  );
}

/** What a choice comes to: goods, sending, and both. */
export function purchaseOf(
  lines: readonly Wanted[],
  suppliers: readonly BuySupplier[],
  choice: Record<string, string>,
): Purchase {
  const goods = new Map<string, number>();
  for (const { id, costs } of lines) {
    const supplier = choice[id] as string;
    goods.set(supplier, (goods.get(supplier) ?? 0) + (costs.get(supplier) as number));
  }
  let [sum, shipping] = [0, 0];
  for (const s of suppliers) {
    const here = goods.get(s.id);
    if (here === undefined) continue;
    sum += here;
    if (s.freeFrom === null || here < s.freeFrom - SAME) shipping += s.shipping;
  }
  return { total: tidy(sum + shipping), goods: tidy(sum), shipping: tidy(shipping), choice };
}
