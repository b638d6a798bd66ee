import type { Point } from '@sprocket/core';

/** A label of a place of the drawing: where it points, and how wide it would be, m. */
interface PlaceLabel {
  at: Point;
  w: number;
}

/** A label where it is laid: its lower left corner, its width, and the end of the line to its place, m. */
export type Laid<T> = T & Point & { w: number; side: 'left' | 'right'; end: Point };

/** What of a sheet labels are laid on, m: its left edge, its top, its size. */
interface LabelSheet {
  left: number;
  top: number;
  width: number;
  height: number;
  px: number;
}

/** Room left at a sheet's edges, and between labels, px; the title block stands at its foot. */
const EDGE = 10;
const APART = 6;
const FOOT = 44;

const length = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/**
 * Labels in a column at each side of the sheet, each on the side its place is nearer to, as wide as the widest of its
 * column. Which of them stands where is what makes the lines to their places shortest together: two lines that crossed
 * would be shorter the other way round, so none do, and no label lies on the vehicle while there is room beside it.
 * @param high height of a label, m
 */
export function sideLabels<T extends PlaceLabel>(
  labels: readonly T[],
  { left, top, width, height, px }: LabelSheet,
  high: number,
): Laid<T>[] {
  const middle = left + width / 2;
  const step = high + APART * px;
  return (['left', 'right'] as const).flatMap((side) => {
    const here = labels
      .filter((l) => (l.at.x < middle ? 'left' : 'right') === side)
      .sort((a, b) => b.at.y - a.at.y || a.at.x - b.at.x);
    const w = Math.max(0, ...here.map((l) => l.w));
    const x = side === 'left' ? left + EDGE * px : left + width - EDGE * px - w;
    let above = top - EDGE * px + APART * px;
    const rows = here.map((label) => (above = Math.min(label.at.y - high / 2, above - step)));
    // What would run off the foot is pushed up again, the lowest first.
    let below = top - height + FOOT * px;
    for (let i = rows.length - 1; i >= 0; i--) {
      rows[i] = Math.max(rows[i] ?? below, below);
      below = (rows[i] ?? below) + step;
    }
    const ends = rows.map((y): Point => ({ x: side === 'left' ? x + w : x, y: y + high / 2 }));
    return uncrossed(here, ends).map((label, i) => ({
      ...label,
      w,
      x,
      y: rows[i] ?? 0,
      side,
      end: ends[i] ?? label.at,
    }));
  });
}

/** Labels in the order of the ends of their lines, two changed for each other as long as that makes their lines shorter. */
function uncrossed<T extends PlaceLabel>(labels: readonly T[], ends: readonly Point[]): T[] {
  const order = [...labels];
  for (let changed = true; changed;) {
    changed = false;
    for (let i = 0; i < order.length; i++)
      for (let j = i + 1; j < order.length; j++) {
        const [a, b, endA, endB] = [order[i], order[j], ends[i], ends[j]];
        if (!a || !b || !endA || !endB) continue;
        const now = length(a.at, endA) + length(b.at, endB);
        if (length(a.at, endB) + length(b.at, endA) >= now - 1e-12) continue;
        [order[i], order[j]] = [b, a];
        changed = true;
      }
  }
  return order;
}
