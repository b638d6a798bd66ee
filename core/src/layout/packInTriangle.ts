import type { InnerTriangle, Point } from '../donor/geometry.ts';

/** The best a pack sits along one side of the triangle. */
export interface TrianglePlacement {
  /** Distance from the bracket corner to the pack's lower end, along the tube, m. */
  alongM: number;
  /** Smallest gap to either other side, at rest and slid off, m; below zero, what is missing. */
  clearanceM: number;
  /** What sets that gap. */
  tightest: 'seat tube' | 'upper tube' | 'down tube' | 'head corner';
  /** True when the slid-off position sets it, not the resting one. */
  whenSliding: boolean;
  outline: Point[];
  slidOff: Point[];
}

const SEARCH_STEP = 0.001;

/**
 * A rectangle standing on one inside side of the triangle, slid along it in 1 mm steps to the
 * position with the greatest smallest gap, including its travel towards the far end when it is
 * taken off its rail. Convex, so the corners decide. Placements are good to 1 mm.
 * @param side which tube carries the rail; @param lengthM, heightM pack outline with its rail;
 * @param slideM travel along the rail to come off
 */
export function placeInTriangle(
  triangle: InnerTriangle,
  side: 'downTube' | 'seatTube',
  lengthM: number,
  heightM: number,
  slideM: number,
): TrianglePlacement {
  const origin = triangle.bracket;
  const far = side === 'downTube' ? triangle.head : triangle.seat;
  const sideLength = Math.hypot(far.x - origin.x, far.y - origin.y);
  const along = { x: (far.x - origin.x) / sideLength, y: (far.y - origin.y) / sideLength };
  // The normal that points into the triangle.
  const other = side === 'downTube' ? triangle.seat : triangle.head;
  let normal = { x: -along.y, y: along.x };
  if ((other.x - origin.x) * normal.x + (other.y - origin.y) * normal.y < 0) normal = { x: -normal.x, y: -normal.y };
  const at = (t: number, up: number): Point => ({
    x: origin.x + along.x * t + normal.x * up,
    y: origin.y + along.y * t + normal.y * up,
  });
  const nearWall = wall(origin, other, far);
  const farWall = wall(far, other, origin);
  const nearName = side === 'downTube' ? 'seat tube' : 'down tube';

  const judge = (t: number): Omit<TrianglePlacement, 'outline' | 'slidOff'> => {
    // The lower end meets the near wall, the upper end the far one; sliding moves only towards the far one.
    const near = Math.min(nearWall(at(t, 0)), nearWall(at(t, heightM)));
    const rest = Math.min(farWall(at(t + lengthM, 0)), farWall(at(t + lengthM, heightM)));
    const off = Math.min(farWall(at(t + lengthM + slideM, 0)), farWall(at(t + lengthM + slideM, heightM)));
    // Off the rail the pack only has to pass: it needs no standing gap, so the foam's 3 mm is enough there.
    const sliding = off + SLIDE_ALLOWANCE;
    const farGap = Math.min(rest, sliding);
    const cornerEnd = t + lengthM + slideM > sideLength;
    return {
      alongM: t,
      clearanceM: Math.min(near, farGap),
      tightest: near <= farGap ? nearName : cornerEnd ? 'head corner' : 'upper tube',
      whenSliding: near > farGap && sliding < rest,
    };
  };
  let best = judge(0);
  const last = Math.max(0, sideLength - lengthM);
  for (let t = SEARCH_STEP; t <= last + 1e-9; t += SEARCH_STEP) {
    const candidate = judge(t);
    if (candidate.clearanceM > best.clearanceM) best = candidate;
  }
  const box = (t: number): Point[] => [at(t, 0), at(t + lengthM, 0), at(t + lengthM, heightM), at(t, heightM)];
  return { ...best, outline: box(best.alongM), slidOff: box(best.alongM + slideM) };
}

/** Slid off, a pack passes with this much less gap than it wants standing, m. Source: project. */
const SLIDE_ALLOWANCE = 0.003;

/** Signed distance from the line a–b, positive on the side of `inside`. */
function wall(a: Point, b: Point, inside: Point): (p: Point) => number {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const n = { x: -(b.y - a.y) / length, y: (b.x - a.x) / length };
  const sign = (inside.x - a.x) * n.x + (inside.y - a.y) * n.y < 0 ? -1 : 1;
  return (p) => sign * ((p.x - a.x) * n.x + (p.y - a.y) * n.y);
}
