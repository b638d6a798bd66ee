/**
 * How the core reads the catalogue: tables of the trade, by id, in the units of a workshop. A key that ends in `Mm` is
 * a length in millimetres, one in `Kmh` a speed; read, they end in `M` and `Ms` and are metres and metres a second, as
 * everything in the core is. Rows are checked against their schemas where the project is built and tested
 * (docs/catalogue.md), not each time the app starts.
 */

/** A table as it is written: a row for each id. */
export type Table = Readonly<Record<string, object>>;

const UNITS: readonly (readonly [written: RegExp, read: string, of: number])[] = [
  [/Mm$/, 'M', 1000],
  [/Kmh$/, 'Ms', 3.6],
];

/** A value as written, with every figure in it taken to SI by the unit it is in. */
function scaled(value: unknown, of: number): unknown {
  if (typeof value === 'number') return value / of;
  if (Array.isArray(value)) return value.map((v) => scaled(v, of));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, scaled(v, of)]));
}

/** What is written in the units of a workshop, in SI: keys and figures, however deep. */
export function inSi(written: unknown): unknown {
  if (Array.isArray(written)) return written.map(inSi);
  if (typeof written !== 'object' || written === null) return written;
  return Object.fromEntries(
    Object.entries(written).map(([key, value]): [string, unknown] => {
      const unit = UNITS.find(([ends]) => ends.test(key));
      return unit ? [key.replace(unit[0], unit[1]), scaled(value, unit[2])] : [key, inSi(value)];
    }),
  );
}

/**
 * The rows of a table in their order, each with its id, in SI. That they are what the caller takes them for is held by
 * the check of the catalogue, with every row's file, row and column.
 */
export function rowsOf<Row extends { id: string }>(table: Table): readonly Row[] {
  return Object.entries(table).map(([id, row]) => ({ id, ...(inSi(row) as object) }) as Row);
}
