import type { Point } from '../donor/frames/point.ts';

/** Which two edges of a closed outline cross each other, counted from 0 by their first corners; null where none do. */
export function edgesCrossing(outline: readonly Point[]): [number, number] | null {
  const n = outline.length;
  const at = (i: number): Point => outline[i % n] as Point;
  for (let i = 0; i < n; i++)
    for (let k = i + 2; k < n; k++) {
      // The last edge ends where the first begins.
      if (i === 0 && k === n - 1) continue;
      const [a, b, c, d] = [at(i), at(i + 1), at(k), at(k + 1)];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return [i, k];
    }
  return null;
}

/** On which side of a line a point lies: above zero, below, or on it. */
const side = (p: Point, q: Point, at: Point): number =>
  Math.sign((q.x - p.x) * (at.y - p.y) - (q.y - p.y) * (at.x - p.x));
