import type { Amount, Phrase } from '../quantity/format.ts';
import type { SumLine } from '../quantity/sum.ts';

export type { SumLine } from '../quantity/sum.ts';

const figureIds = ['range', 'topSpeed', 'startGrade', 'climb', 'mass', 'price'] as const;
export type FigureId = (typeof figureIds)[number];

/** A figure of the tally with the sum behind it. */
export interface Figure {
  id: FigureId;
  label: string;
  /** Null where something has to be chosen first; `note` says what. */
  value: Amount | null;
  /** The band, for figures that are one; with what is needed, where something is. */
  band?: { low: Amount; high: Amount; need: Amount | null };
  /** The one line under the figure: what holds it, or what it is measured against. */
  note: Phrase;
  /** What acted: the limit in the trade's words. */
  limit: string;
  formula: string;
  sum: SumLine[];
}
