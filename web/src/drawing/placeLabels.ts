import type { Point } from '@sprocket/core';

/** A label at a place of the drawing: where it points, and how wide it is, m. */
export interface PlaceLabel {
  at: Point;
  w: number;
}

/**
 * Lower left corners of labels over their places. One that would lie on another is moved up, the lowest place first.
 * @param high height of a label, m
 * @param px a pixel, m
 */
export function laidLabels<T extends PlaceLabel>(labels: readonly T[], high: number, px: number): (T & Point)[] {
  const laid: (T & Point)[] = [];
  for (const label of [...labels].sort((a, b) => a.at.y - b.at.y || a.at.x - b.at.x)) {
    const spot = { ...label, x: label.at.x - label.w / 2, y: label.at.y + 22 * px };
    for (let turn = 0; turn < 30; turn++) {
      const hit = laid.find(
        (o) => spot.x < o.x + o.w + 4 * px && o.x < spot.x + spot.w + 4 * px && Math.abs(o.y - spot.y) < high + 3 * px,
      );
      if (!hit) break;
      spot.y = hit.y + high + 4 * px;
    }
    laid.push(spot);
  }
  return laid;
}

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

/**
 * Lower left corners of labels in a column at each side of the sheet, each on the side its place is nearer to, in the
 * order of their places' heights: lines to them do not cross, and none lies on the vehicle while there is room beside it.
 * @param high height of a label, m
 */
export function sideLabels<T extends PlaceLabel>(
  labels: readonly T[],
  { left, top, width, height, px }: LabelSheet,
  high: number,
): (T & Point & { side: 'left' | 'right' })[] {
  const middle = left + width / 2;
  const step = high + APART * px;
  return (['left', 'right'] as const).flatMap((side) => {
    const here = labels
      .filter((l) => (l.at.x < middle ? 'left' : 'right') === side)
      .sort((a, b) => b.at.y - a.at.y || a.at.x - b.at.x);
    const lowest = top - height + FOOT * px;
    let above = top - EDGE * px + APART * px;
    const laid = here.map((label) => {
      const y = Math.min(label.at.y - high / 2, above - step);
      above = y;
      return { ...label, side, y, x: side === 'left' ? left + EDGE * px : left + width - EDGE * px - label.w };
    });
    // What would run off the foot is pushed up again, the lowest first.
    let below = lowest;
    for (const label of [...laid].reverse()) {
      label.y = Math.max(label.y, below);
      below = label.y + step;
    }
    return laid;
  });
}
