import type { ReadProblem } from '@sprocket/core';
import Papa from 'papaparse';

/** What a spreadsheet would take for a formula: a sign it begins with, also after blanks or in full width, or a tab. */
const FORMULA = /^'*(?:\s*[=+\-@＝＋－＠]|[\t\r\n])/u;
const GUARDED = /^'+(?:\s*[=+\-@＝＋－＠]|[\t\r\n])/u;
/** A figure below zero is none. */
const FIGURE = /^-\d+(?:[.,]\d+)?(?:e[+-]?\d+)?$/i;

export type Cell = string | number | null;

/** A table as CSV, heads first. No cell can begin a formula: what looks like one is told as text by a quote before it. */
export function csvOf(rows: readonly (readonly Cell[])[]): string {
  // What might be taken for another separator stands in quotes, so that a reader who guesses it guesses right.
  const quotes = (cell: Cell): boolean => typeof cell === 'string' && /[;\t|\u001e\u001f]/.test(cell);
  return Papa.unparse(
    rows.map((row) => row.map(guarded)),
    { quotes },
  );
}

/** The same of rows that name their columns; all have those of the first. */
export function csvOfRecords(records: readonly Readonly<Record<string, Cell>>[]): string {
  const heads = Object.keys(records[0] ?? {});
  return csvOf([heads, ...records.map((record) => heads.map((head) => record[head] ?? null))]);
}

const guarded = (cell: Cell): Cell =>
  typeof cell === 'string' && FORMULA.test(cell) && !FIGURE.test(cell) ? `'${cell}` : cell;

/** Rows of a CSV text, with the guard taken off again; or what makes it none, by row. */
export function readCsv(text: string): { ok: true; rows: string[][] } | { ok: false; problems: ReadProblem[] } {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''));
  const bad = errors.find((error) => error.type === 'Quotes');
  if (bad)
    return {
      ok: false,
      problems: [{ path: `row ${(bad.row ?? 0) + 1}`, message: 'has a quotation mark that is never closed' }],
    };
  return { ok: true, rows: data.map((row) => row.map((cell) => (GUARDED.test(cell) ? cell.slice(1) : cell))) };
}
