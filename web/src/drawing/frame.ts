import type { DonorGeometry, Point } from '@sprocket/core';

/** What the sheet of the drawing shows, m, and its scale on the screen. */
export interface Sheet {
  left: number;
  top: number;
  width: number;
  height: number;
  /** Metres a screen pixel: lettering and lines keep their size whatever the bike's. */
  px: number;
}

/** How closely a sheet is looked at, and where: its middle, m. */
export interface Look {
  zoom: number;
  x: number;
  y: number;
}

/** The sheet as seen closer: lines and lettering keep their weight. */
export function lookedAt(s: Sheet, look: Look | undefined): Sheet {
  if (!look) return s;
  const width = s.width / look.zoom;
  const height = s.height / look.zoom;
  return { left: look.x - width / 2, top: look.y + height / 2, width, height, px: s.px / look.zoom };
}

/** Fits a vehicle with room for dimension lines and call-outs to a box of pixels. */
export function sheetFor(g: DonorGeometry, pixels: { width: number; height: number }): Sheet {
  const covers = [...(g.box ?? []), ...(g.shell ?? [])];
  const right = Math.max(g.frontAxle.x + g.frontRadiusM, g.bracket.x + 0.2, ...covers.map((p) => p.x));
  const tail = Math.min(-g.rearRadiusM, g.rackDeck.from.x - 0.1, ...covers.map((p) => p.x));
  const up = Math.max(...(g.seat ?? []).map((p) => p.y + 0.05), g.saddle.y + 0.03, g.grip.y + 0.05, g.headTop.y + 0.1);
  const wide = pixels.width > 560;
  // The title block covers the foot of a wide sheet; on a narrow one it stands below.
  const titleBlock = wide ? 24 : 0;
  const margin = wide
    ? { left: 0.16, right: 0.16, top: 0.07, bottom: 0.16 }
    : { left: 0.06, right: 0.06, top: 0.05, bottom: 0.22 };
  // Recumbents carry a second line along the ground.
  if (g.dimensions.some((d) => d.item === 'bracketReach')) margin.bottom += 0.1;
  const needW = right - tail + margin.left + margin.right;
  const needH = up + margin.top + margin.bottom;
  const px = Math.max(needW / pixels.width, needH / (pixels.height - titleBlock));
  const width = px * pixels.width;
  const height = px * pixels.height;
  const middle = (right + tail) / 2;
  return { left: middle - width / 2, top: up + margin.top + (height - needH - titleBlock * px) / 2, width, height, px };
}

/** Side view to sheet coordinates: y downward. */
export const flip = (p: Point): Point => ({ x: p.x, y: -p.y });

/** A path through points, straight. */
export function pathOf(points: readonly Point[], close = false): string {
  return (
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x.toFixed(4)} ${(-p.y).toFixed(4)}`).join('') + (close ? 'Z' : '')
  );
}

/** A smooth path through points (Catmull-Rom as cubic curves). */
export function curveOf(points: readonly Point[]): string {
  if (points.length < 3) return pathOf(points);
  const at = (i: number): Point => points[Math.max(0, Math.min(points.length - 1, i))] as Point;
  let d = `M${at(0).x.toFixed(4)} ${(-at(0).y).toFixed(4)}`;
  for (let i = 0; i < points.length - 1; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const c1 = { x: p1.x + (p2.x - p0.x) / 6, y: p1.y + (p2.y - p0.y) / 6 };
    const c2 = { x: p2.x - (p3.x - p1.x) / 6, y: p2.y - (p3.y - p1.y) / 6 };
    d += `C${[c1, c2, p2].map((p) => `${p.x.toFixed(4)} ${(-p.y).toFixed(4)}`).join(' ')}`;
  }
  return d;
}
