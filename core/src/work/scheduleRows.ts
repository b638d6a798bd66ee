/** Lists of small numbers one after another: those of row i lie from `from[i]` to `from[i + 1]`. */
export interface Rows {
  from: Int32Array;
  all: Int32Array;
}

/** Such rows of lists. */
export function rowsOf(lists: readonly (readonly number[])[]): Rows {
  const from = new Int32Array(lists.length + 1);
  lists.forEach((list, i) => (from[i + 1] = (from[i] as number) + list.length));
  return { from, all: Int32Array.from(lists.flat()) };
}

/** Numbers up to 30 as the bits of one. */
export const bits = (of: readonly number[]): number => of.reduce((mask, i) => mask | (1 << i), 0);
