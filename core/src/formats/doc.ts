import type { Phrase } from '../quantity/format.ts';

/** A piece of a paper that is printed, shown and written as HTML. */
export type DocBlock =
  | { kind: 'heading'; text: string; sub?: string }
  | { kind: 'text'; text: Phrase; strong?: boolean; quiet?: boolean }
  | { kind: 'list'; items: readonly Phrase[] }
  | { kind: 'facts'; rows: readonly { label: string; value: Phrase }[] }
  | {
      kind: 'table';
      caption: string;
      heads: readonly string[];
      rows: readonly (readonly Phrase[])[];
      /** Columns of figures, from 0. */
      figures?: readonly number[];
    }
  | { kind: 'drawing'; svg: string; alt: string }
  | { kind: 'photos'; photos: readonly { dataUrl: string; caption: string }[] }
  | { kind: 'caution'; title: string; text: Phrase; ask: string }
  | { kind: 'lines'; labels: readonly string[] };

/** A paper: title, what it is of, and its pieces in order. */
export interface Doc {
  title: string;
  sub: Phrase;
  blocks: readonly DocBlock[];
  foot: string;
}
