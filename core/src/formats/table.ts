import type { ReadProblem } from '../reading/problems.ts';

/** Bounds of a table of text that is read: past any spreadsheet of rides, readings or prices. */
export const MOST_COLUMNS = 400;
const LONGEST_CELL = 8000;

/** A row that holds anything, with its number in the file: the first is 1. */
export interface TableRow {
  cells: readonly string[];
  row: number;
}

/** Rows that hold anything, each with its own number, so that what is told of a row is found there. */
export function filledRows(rows: readonly (readonly string[])[]): TableRow[] {
  return rows.flatMap((cells, i) => (cells.some((cell) => cell.trim() !== '') ? [{ cells, row: i + 1 }] : []));
}

/** What no table may hold, by row and column; null where it is within all bounds. */
export function tableFault(rows: readonly TableRow[], mostRows: number): ReadProblem | null {
  const [head, ...body] = rows;
  if (!head) return { path: 'row 1', message: 'the table is empty' };
  const over = body[mostRows];
  if (over) return { path: `row ${over.row}`, message: `is more than the ${mostRows} that are taken` };
  for (const { cells, row } of rows) {
    if (cells.length > MOST_COLUMNS)
      return { path: `row ${row}`, message: `has ${cells.length} columns; ${MOST_COLUMNS} at most are read` };
    const long = cells.findIndex((cell) => cell.length > LONGEST_CELL);
    if (long >= 0)
      return {
        path: `row ${row}, column ${long + 1}`,
        message: `holds ${cells[long]?.length ?? 0} characters; ${LONGEST_CELL} at most are read`,
      };
  }
  return null;
}
