import { Matrix, solve } from 'ml-matrix';
import type { Point } from '../donor/geometry.ts';

/** A point on a photo, in its own pixels: x right, y down. */
export type Pixel = Point;

/** What turns a photo into millimetres. */
export interface PhotoMarks {
  /** Two points whose distance was measured, and that distance, m, with its error. */
  scale: { from: Pixel; to: Pixel; distanceM: number; errorM: number } | null;
  /** Four corners of a rectangle in the frame's plane, in order, with its sides, m: corrects a tilted camera. */
  square: { corners: [Pixel, Pixel, Pixel, Pixel]; widthM: number; heightM: number } | null;
  /** Corners of the frame's inside, from the bracket up the seat tube and round. */
  corners: Pixel[];
}

/** How well a finger or mouse meets a corner, pixels. Source: project. */
const MARK_ERROR_PX = 2;

/** The frame's inside as the photo gives it. */
export interface PhotoResult {
  /** m, y up, first corner at the origin. */
  corners: Point[];
  /** One standard error of each corner's place, m. */
  errorsM: number[];
  errorM: number;
  /** Sides in order, m, with the error of each. */
  sides: { lengthM: number; errorM: number }[];
  perPixelM: number;
}

/** Plane to plane, as nine numbers in rows. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/** The projection that takes four pixels to four places in a plane; throws a RangeError where three lie in a line. */
export function homographyOf(from: readonly Pixel[], to: readonly Point[]): Homography {
  const rows: number[][] = [];
  const right: number[] = [];
  for (let i = 0; i < 4; i++) {
    const p = from[i] as Pixel;
    const q = to[i] as Point;
    rows.push([p.x, p.y, 1, 0, 0, 0, -q.x * p.x, -q.x * p.y], [0, 0, 0, p.x, p.y, 1, -q.y * p.x, -q.y * p.y]);
    right.push(q.x, q.y);
  }
  const h = solve(new Matrix(rows), Matrix.columnVector(right)).to1DArray();
  if (h.some((v) => !Number.isFinite(v))) throw new RangeError('three of the four points lie in a line');
  return [...h, 1] as unknown as Homography;
}

export function project(h: Homography, p: Pixel): Point {
  const w = h[6] * p.x + h[7] * p.y + h[8];
  return { x: (h[0] * p.x + h[1] * p.y + h[2]) / w, y: (h[3] * p.x + h[4] * p.y + h[5]) / w };
}

function planeOf(marks: PhotoMarks): (p: Pixel) => Point {
  if (marks.square) {
    const { corners, widthM: w, heightM: h } = marks.square;
    const H = homographyOf(corners, [
      { x: 0, y: h },
      { x: w, y: h },
      { x: w, y: 0 },
      { x: 0, y: 0 },
    ]);
    const straight = (p: Pixel): Point => project(H, p);
    // A rectangle gives tilt; a longer measured distance, where there is one, gives the better scale.
    if (!marks.scale) return straight;
    const a = straight(marks.scale.from);
    const b = straight(marks.scale.to);
    const k = marks.scale.distanceM / (Math.hypot(a.x - b.x, a.y - b.y) || 1);
    return (p) => {
      const q = straight(p);
      return { x: q.x * k, y: q.y * k };
    };
  }
  if (!marks.scale) throw new RangeError('a photo needs a known distance');
  const { from, to, distanceM } = marks.scale;
  const k = distanceM / (Math.hypot(from.x - to.x, from.y - to.y) || 1);
  return (p) => ({ x: p.x * k, y: -p.y * k });
}

/** Shares by which a camera held by eye is off square, as length along a side. Source: project, 3° of tilt. */
const TILT_SHARE = 0.004;

/**
 * Corners in metres from marks on a photo, with errors: each mark and the measured distance are moved by their
 * error in turn and the shifts added as squares. A camera not corrected for tilt adds 0.4 %.
 * @throws RangeError with a plain message where the marks do not suffice
 */
export function fromPhoto(marks: PhotoMarks): PhotoResult {
  if (marks.corners.length < 3) throw new RangeError('mark at least three corners of the frame');
  if (!marks.scale && !marks.square)
    throw new RangeError('mark two points a known distance apart, or a known rectangle');
  const of = (m: PhotoMarks): Point[] => {
    const f = planeOf(m);
    const all = m.corners.map(f);
    const o = all[0] as Point;
    return all.map((p) => ({ x: p.x - o.x, y: p.y - o.y }));
  };
  const base = of(marks);
  const shifts: Point[][] = [];
  const nudge = (change: (m: PhotoMarks, by: Point) => PhotoMarks): void => {
    for (const by of [
      { x: MARK_ERROR_PX, y: 0 },
      { x: 0, y: MARK_ERROR_PX },
    ])
      shifts.push(of(change(marks, by)));
  };
  const moved = (p: Pixel, by: Point): Pixel => ({ x: p.x + by.x, y: p.y + by.y });
  marks.corners.forEach((_, i) =>
    nudge((m, by) => ({ ...m, corners: m.corners.map((p, j) => (i === j ? moved(p, by) : p)) })),
  );
  if (marks.scale) {
    nudge((m, by) => (m.scale ? { ...m, scale: { ...m.scale, from: moved(m.scale.from, by) } } : m));
    nudge((m, by) => (m.scale ? { ...m, scale: { ...m.scale, to: moved(m.scale.to, by) } } : m));
    const { scale } = marks;
    shifts.push(of({ ...marks, scale: { ...scale, distanceM: scale.distanceM + scale.errorM } }));
  }
  const { square } = marks;
  if (square)
    square.corners.forEach((_, i) =>
      nudge((m, by) =>
        m.square
          ? {
              ...m,
              square: {
                ...m.square,
                corners: m.square.corners.map((p, j) => (i === j ? moved(p, by) : p)) as [Pixel, Pixel, Pixel, Pixel],
              },
            }
          : m,
      ),
    );
  const side = (ps: readonly Point[], i: number): number => {
    const p = ps[i] as Point;
    const q = ps[(i + 1) % ps.length] as Point;
    return Math.hypot(p.x - q.x, p.y - q.y);
  };
  const tilt = square ? 0 : TILT_SHARE;
  const errorsM = base.map((p, i) =>
    Math.sqrt(
      shifts.reduce(
        (sum, s) => sum + ((s[i]?.x ?? 0) - p.x) ** 2 + ((s[i]?.y ?? 0) - p.y) ** 2,
        (tilt * Math.hypot(p.x, p.y)) ** 2,
      ),
    ),
  );
  const whole = base.reduce((sum, _, i) => sum + side(base, i), 0);
  const pixels = marks.corners.reduce((sum, _, i) => sum + side(marks.corners, i), 0);
  return {
    corners: base,
    errorsM,
    errorM: Math.max(...errorsM.slice(1)),
    sides: base.map((_, i) => ({
      lengthM: side(base, i),
      errorM: Math.sqrt(
        shifts.reduce((sum, s) => sum + (side(s, i) - side(base, i)) ** 2, (tilt * side(base, i)) ** 2),
      ),
    })),
    perPixelM: whole / (pixels || 1),
  };
}
