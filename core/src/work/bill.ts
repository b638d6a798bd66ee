import { boughtStates, usualLine, type Bill, type LineChoice, type LineSource, type LineState } from '../build/bill.ts';
import type { RemedyPlace } from '../build/remedy.ts';
import { stageIds, type StageId } from '../build/stage.ts';
import { partById, type PartKind, type Shelf } from '../parts/part.ts';
import { lineChoice, lineKey } from './lineKey.ts';
import type { WantedPart, WantKind } from './wanted.ts';

/** When a line may be ordered: now, once something that must fit is measured, or not before a finding is decided. */
export const waves = ['now', 'held', 'open', 'past'] as const;
export type Wave = (typeof waves)[number];

/** A finding that holds a line back, as far as the bill needs it. */
export interface Holding {
  rule: string;
  title: string;
}

/** One line of the bill: what the plan wants of it, and what was decided and seen. */
export interface BillLine {
  key: string;
  part: string;
  name: string;
  maker: string;
  kind: PartKind | 'unknown';
  place: RemedyPlace | null;
  count: number;
  /** Each, as it will be paid; null where nobody names a price. */
  price: number | null;
  /** For all of it. */
  sum: number;
  massKg: number;
  /** Who wants it: rules and choices. */
  by: string[];
  why: WantKind | 'notWanted';
  stage: StageId;
  state: LineState;
  from: LineSource;
  wave: Wave;
  /** What must be measured before it may be ordered. */
  held: Holding[];
  /** The plan wants it no more, though it was ordered or is here: what to do with it. */
  leftOver: 'sendBack' | 'spare' | null;
  choice: LineChoice;
}

/** What the bill comes to, in the build's money. */
export interface BillSums {
  /** All the plan wants, whatever its state: the tally's price. */
  wanted: number;
  /** Of it not ordered yet. */
  toCome: number;
  /** Ordered and not here, whether the plan wants it or not. */
  committed: number;
  /** Here: paid. */
  spent: number;
  /** Won back by selling. */
  sold: number;
}

export interface BillSheet {
  lines: BillLine[];
  sums: BillSums;
  massKg: number;
}

/** Where a line's finding or choice stands among the stages. */
export type StageOf = (by: string, place: RemedyPlace) => StageId | undefined;

const onTheWay: readonly LineState[] = ['ordered', 'promised'];
const here: readonly LineState[] = ['arrived', 'checked', 'fitted', 'faulty', 'spare', 'forSale'];

/** A line no longer wanted goes back while that may be, else it is spare. */
export function leftOverOf({ state, returnBy, arrivedOn }: LineChoice, today: string | null): BillLine['leftOver'] {
  if (state === 'returned' || state === 'sold' || state === 'forSale') return null;
  if (onTheWay.includes(state)) return 'sendBack';
  if (state === 'fitted' || arrivedOn === null) return 'spare';
  return returnBy !== null && today !== null && today <= returnBy ? 'sendBack' : 'spare';
}

/**
 * The bill of a plan: each line the plan wants with what was decided of it, and each line ordered or here that it wants
 * no more. Nothing that was ordered is ever missing from it.
 * @param holding what must be measured before a part is ordered, by part
 * @param today ISO date, for what may still be sent back; null: not known
 */
export function billOf(
  wanted: readonly WantedPart[],
  bill: Bill,
  shelf: Shelf,
  holding: (part: string) => readonly Holding[],
  stageOf: StageOf,
  today: string | null = null,
): BillSheet {
  const used = new Set<string>();
  const lines = wanted.map((line): BillLine => {
    const found = lineChoice(bill, line);
    const chosen = line.kind === 'chosen';
    const key = found?.key ?? lineKey(line, chosen);
    used.add(key);
    const choice = found?.choice ?? usualLine;
    const { count } = line;
    // Sent back and still wanted, it has to be ordered again.
    const open = choice.state === 'wanted' || choice.state === 'returned';
    const held = open && choice.from === 'order' ? [...holding(line.part)] : [];
    return {
      key,
      part: line.part,
      name: line.name,
      maker: line.maker,
      kind: partById(shelf, line.part)?.kind ?? 'unknown',
      place: line.place,
      count,
      price: line.price,
      sum: (line.price ?? 0) * count,
      massKg: line.massKg * count,
      by: line.by,
      why: line.kind,
      stage: earliestStage(line, stageOf),
      state: choice.state,
      from: choice.from,
      wave: !open ? 'past' : held.length > 0 ? 'held' : line.kind === 'usual' ? 'open' : 'now',
      held,
      leftOver: null,
      choice,
    };
  });
  for (const [key, choice] of Object.entries(bill.lines)) {
    if (used.has(key) || choice.state === 'wanted') continue;
    const [id, place] = key.split('@') as [string, RemedyPlace?];
    const part = partById(shelf, id);
    const price = choice.price ?? part?.price ?? null;
    const count = choice.count ?? 1;
    lines.push({
      key,
      part: id,
      name: choice.name || part?.name || id,
      maker: part?.maker ?? '',
      kind: part?.kind ?? 'unknown',
      place: place ?? null,
      count,
      price,
      sum: (price ?? 0) * count,
      massKg: (part?.massKg ?? 0) * count,
      by: [],
      why: 'notWanted',
      stage: 'parts',
      state: choice.state,
      from: choice.from,
      wave: 'past',
      held: [],
      leftOver: leftOverOf(choice, today),
      choice,
    });
  }
  return { lines, sums: sumsOf(lines), massKg: lines.reduce((sum, l) => sum + (l.leftOver ? 0 : l.massKg), 0) };
}

function earliestStage({ by, place }: WantedPart, stageOf: StageOf): StageId {
  const found = by.flatMap((b) => stageOf(b, place) ?? []);
  return stageIds.find((id) => found.includes(id)) ?? 'parts';
}

/** Sums over the lines: what is sent back costs nothing, what is sold wins back its price. */
export function sumsOf(lines: readonly BillLine[]): BillSums {
  const of = (which: (line: BillLine) => boolean): number =>
    lines.reduce((sum, line) => (which(line) ? sum + line.sum : sum), 0);
  return {
    wanted: of((l) => l.why !== 'notWanted'),
    toCome: of((l) => l.why !== 'notWanted' && !boughtStates.includes(l.state)),
    committed: of((l) => onTheWay.includes(l.state)),
    spent: of((l) => here.includes(l.state) || l.state === 'sold'),
    sold: lines.reduce((sum, l) => sum + (l.state === 'sold' ? (l.choice.soldFor ?? 0) : 0), 0),
  };
}
