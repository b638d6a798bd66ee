import type { Bill, LineChoice } from '../build/bill.ts';
import { lineChoice } from './lineKey.ts';
import { takingKey, type Remedy, type RemedyPlace, type Taking } from '../build/remedy.ts';
import { partById, type Shelf } from '../parts/part.ts';

/**
 * Why a part is wanted: chosen by the builder, planned (arms), a remedy taken, or the usual remedy of what is open; or a
 * tool or supply for the bench.
 */
export type WantKind = 'chosen' | 'planned' | 'taken' | 'usual' | 'mending' | 'bench';

/** One wish for a part, and who has it. */
export interface Want {
  taking: Taking;
  kind: WantKind;
  /** Rule or choice that wants it. */
  by: string;
}

/** One line of what a conversion takes: a part at its place, however many wished for it. */
export interface WantedPart {
  part: string;
  name: string;
  maker: string;
  place: RemedyPlace;
  count: number;
  /** Each, as it will be paid: the line's own price, none for what is had already; null where nobody names one. */
  price: number | null;
  massKg: number;
  kind: WantKind;
  by: string[];
}

/** The firmest wish names the line: what is chosen stays chosen when a finding wants it too. */
const firmness: readonly WantKind[] = ['chosen', 'planned', 'taken', 'mending', 'usual', 'bench'];

/**
 * The one reader of what remedies and choices take: wishes for the same part at the same place are one line
 * of the greatest count wished for. Prices and masses are the shelf's, or the wish's own price, or what the bill says.
 */
export function wantedParts(shelf: Shelf, wants: readonly Want[], bill?: Bill): WantedPart[] {
  const lines = new Map<string, WantedPart>();
  for (const { taking, kind, by } of wants) {
    const key = takingKey(taking);
    const line = lines.get(key);
    if (line) {
      line.count = Math.max(line.count, taking.count);
      if (firmness.indexOf(kind) < firmness.indexOf(line.kind)) line.kind = kind;
      if (!line.by.includes(by)) line.by.push(by);
      continue;
    }
    const part = partById(shelf, taking.part);
    const decided = bill ? lineChoice(bill, taking)?.choice : undefined;
    lines.set(key, {
      part: taking.part,
      name: part?.name ?? taking.part,
      maker: part?.maker ?? '',
      place: taking.place,
      count: taking.count,
      price: priceAsPaid(decided, taking.price ?? part?.price ?? null, part?.kind === 'tool' ? part.hire : undefined),
      massKg: part?.massKg ?? 0,
      kind,
      by: [by],
    });
  }
  return [...lines.values()];
}

/** What a line is paid each: nothing for what is had, kept or borrowed; its own price, else the day's hire, else the shelf's. */
export function priceAsPaid(decided: LineChoice | undefined, shelf: number | null, hire?: number): number | null {
  if (!decided) return shelf;
  if (decided.from === 'have' || decided.from === 'donor' || decided.from === 'borrow') return 0;
  return decided.price ?? (decided.from === 'hire' ? (hire ?? shelf) : shelf);
}

/** What lines of some kinds cost together. */
export function priceOf(lines: readonly WantedPart[], ...kinds: WantKind[]): number {
  return lines.reduce(
    (sum, line) => (kinds.length === 0 || kinds.includes(line.kind) ? sum + (line.price ?? 0) * line.count : sum),
    0,
  );
}

/** What one remedy comes to, in words a person buys and works by. */
export interface RemedyFacts {
  /** Of all it takes, by the shelf or its own price. */
  price: number;
  minutes: number;
  parts: string[];
  tools: string[];
}

/** Price, minutes, parts and tools of one remedy, by the shelf. */
export function remedyFacts(remedy: Pick<Remedy, 'takes' | 'work' | 'tools'>, shelf: Shelf): RemedyFacts {
  const lines = wantedParts(
    shelf,
    remedy.takes.map((taking) => ({ taking, kind: 'taken', by: '' })),
  );
  return {
    price: priceOf(lines),
    minutes: remedy.work,
    parts: lines.map((line) => (line.count > 1 ? `${line.count} × ${line.name}` : line.name)),
    tools: remedy.tools.map((id) => partById(shelf, id)?.name ?? id),
  };
}
