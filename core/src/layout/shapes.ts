import { quickDecomp, makeCCW, removeCollinearPoints } from 'poly-decomp-es';
import { hypotenuse, type Point } from '../donor/frames/point.ts';
import { edgesCrossing } from './crossing.ts';

/**
 * A convex shape grown by a radius: a circle is one point, a tube two, a pack's case a polygon. All room in a
 * frame is made of these, because the distance between two is exact and quick.
 */
export interface Piece {
  /** Convex, counter-clockwise; one point or two are allowed. m. */
  points: readonly Point[];
  radiusM: number;
  /** Circle round it, to pass over pairs that are far apart. */
  centre: Point;
  reach: number;
  /** Its edges' lines, worked out when first asked for. */
  edges?: Edges;
}

/** Edges as lines, three numbers each: the outward unit normal, and how far along it the edge lies, m. */
export type Edges = readonly number[];

/** A piece from points that are already convex and in order. */
export function piece(points: readonly Point[], radiusM = 0): Piece {
  let left = Infinity;
  let right = -Infinity;
  let low = Infinity;
  let high = -Infinity;
  for (const p of points) {
    if (p.x < left) left = p.x;
    if (p.x > right) right = p.x;
    if (p.y < low) low = p.y;
    if (p.y > high) high = p.y;
  }
  const centre = { x: (left + right) / 2, y: (low + high) / 2 };
  let reach = 0;
  for (const p of points) reach = Math.max(reach, hypotenuse(p.x - centre.x, p.y - centre.y));
  return { points, radiusM, centre, reach: reach + radiusM };
}

/** Pieces of a chain of tube: one a run. */
export function chainPieces(points: readonly Point[], radiusM: number): Piece[] {
  return points.slice(1).map((p, i) => piece([points[i] as Point, p], radiusM));
}

/** Convex hull of points, counter-clockwise (monotone chain). */
export function hull(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  if (sorted.length < 3) return sorted;
  const ring = [...halfHull(sorted), ...halfHull(sorted.reverse())];
  // All on one line: its two ends say it all.
  return ring.length >= 3 ? ring : ring.slice(0, 2);
}

function halfHull(list: readonly Point[]): Point[] {
  const out: Point[] = [];
  for (const p of list) {
    while (out.length >= 2) {
      const a = out[out.length - 2] as Point;
      const b = out[out.length - 1] as Point;
      if ((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x) > 1e-15) break;
      out.pop();
    }
    out.push(p);
  }
  out.pop();
  return out;
}

/** A piece together with everything it passes over when it is moved straight by a vector. Exact: both are convex. */
export function swept(p: Piece, by: Point): Piece {
  return piece(hull([...p.points, ...p.points.map((q) => ({ x: q.x + by.x, y: q.y + by.y }))]), p.radiusM);
}

/** More pieces than this make a place slow to find: hollows of the outline are filled in a little, then more. */
const MOST_PIECES = 24;
/** How deep a hollow is filled in at first, m, and past what depth all of them are. */
const FILL_FROM = 0.0005;
const FILL_ALL = 0.05;

/**
 * The convex pieces of any outline. One that is hollowed out by curves of many corners is taken a little larger, never
 * smaller: what then fits would fit as drawn. One that crosses itself, or cannot be cut up, takes all within its hull.
 */
export function convexPieces(outline: readonly Point[]): Piece[] {
  if (edgesCrossing(outline)) return [piece(hull(outline))];
  const ring = outline.map((p): [number, number] => [p.x, p.y]);
  makeCCW(ring);
  removeCollinearPoints(ring, 1e-4);
  if (ring.length < 3) return [piece(hull(outline))];
  let pieces = quickDecomp(ring);
  for (let depth = FILL_FROM; pieces.length > MOST_PIECES; depth *= 2) {
    if (depth > FILL_ALL) return [piece(hull(outline))];
    pieces = quickDecomp(filledIn(ring, depth));
  }
  // Pieces that do not make up the whole leave room where there is none.
  const whole = Math.abs(areaOf(ring));
  if (pieces.reduce((sum, p) => sum + Math.abs(areaOf(p)), 0) < whole * (1 - 1e-6)) return [piece(hull(outline))];
  return pieces.map((poly) => piece(poly.map(([x, y]) => ({ x, y }))));
}

/** Area of a ring, m²; below zero where it runs clockwise. */
const areaOf = (ring: readonly (readonly [number, number])[]): number =>
  ring.reduce((sum, [x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length] as readonly [number, number];
    return sum + (x * v - y * u) / 2;
  }, 0);

/** A ring, counter-clockwise, without those corners of its hollows that lie no deeper than a depth in them. */
function filledIn(ring: readonly [number, number][], depthM: number): [number, number][] {
  const n = ring.length;
  const at = (i: number): [number, number] => ring[((i % n) + n) % n] as [number, number];
  const across = (a: [number, number], b: [number, number], p: [number, number]): number =>
    (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
  const hollow = ring.map((_, i) => across(at(i - 1), at(i + 1), at(i)) > 0);
  const first = hollow.indexOf(false);
  if (first < 0) return [...ring];
  const kept: [number, number][] = [];
  // From a corner that stands out, once round: each run of hollow corners is bridged as far as the depth allows.
  for (let i = 0; i < n;) {
    const from = at(first + i);
    kept.push(from);
    let to = i + 1;
    while (to < n && hollow[(first + to) % n]) {
      const next = at(first + to + 1);
      const length = hypotenuse(next[0] - from[0], next[1] - from[1]) || 1e-12;
      const depths = Array.from({ length: to - i }, (_, k) => across(from, next, at(first + i + 1 + k)) / length);
      if (Math.max(...depths) > depthM || Math.min(...depths) < 0) break;
      to++;
    }
    i = to;
  }
  return kept;
}

/** Squared distance of a point from a segment. */
function toSegment2(p: Point, a: Point, b: Point): number {
  const ux = b.x - a.x;
  const uy = b.y - a.y;
  const long = ux * ux + uy * uy;
  let t = long > 0 ? ((p.x - a.x) * ux + (p.y - a.y) * uy) / long : 0;
  if (t < 0) t = 0;
  else if (t > 1) t = 1;
  const dx = p.x - a.x - ux * t;
  const dy = p.y - a.y - uy * t;
  return dx * dx + dy * dy;
}

/** The lines of a piece's edges, kept with it. A segment has two sides: both are taken by walking there and back. */
export function edgesOf(p: Piece): Edges {
  return (p.edges ??= linesOf(p.points));
}

function linesOf(ring: readonly Point[]): Edges {
  const lines: number[] = [];
  const n = ring.length;
  for (let i = 0; i < n; i++) {
    const p = ring[i] as Point;
    const q = ring[(i + 1) % n] as Point;
    const dx = q.x - p.x;
    const dy = q.y - p.y;
    const long = Math.sqrt(dx * dx + dy * dy);
    if (long < 1e-12) continue;
    const nx = dy / long;
    const ny = -dx / long;
    lines.push(nx, ny, p.x * nx + p.y * ny);
  }
  return lines;
}

/** Greatest gap between two convex shapes along the outward normals of the first's edges, or one that is enough. */
function alongNormals(edges: Edges, b: readonly Point[], enough: number): number {
  let best = -Infinity;
  for (let i = 0; i < edges.length; i += 3) {
    const nx = edges[i] as number;
    const ny = edges[i + 1] as number;
    const edge = edges[i + 2] as number;
    let least = Infinity;
    for (const r of b) {
      const d = r.x * nx + r.y * ny - edge;
      if (d >= least) continue;
      least = d;
      // This normal tells no more than one before it did.
      if (least <= best) break;
    }
    if (least > best) {
      best = least;
      if (best >= enough) return best;
    }
  }
  return best;
}

function nearest2(a: readonly Point[], b: readonly Point[]): number {
  let best = Infinity;
  const n = b.length;
  for (const p of a) {
    if (n === 1) {
      const q = b[0] as Point;
      best = Math.min(best, (p.x - q.x) ** 2 + (p.y - q.y) ** 2);
      continue;
    }
    for (let i = 0; i < (n === 2 ? 1 : n); i++) {
      const d = toSegment2(p, b[i] as Point, b[(i + 1) % n] as Point);
      if (d < best) best = d;
    }
  }
  return best;
}

/**
 * Gap between two pieces, m; below zero, how far one must be moved to come free. Exact to rounding.
 * Moving either by d changes it by no more than d, which is what the search for a place rests on.
 * @param limit a gap past which nobody asks: anything at least this may be returned where the gap is no less
 */
export function gapBetween(a: Piece, b: Piece, limit = Infinity): number {
  const radii = a.radiusM + b.radiusM;
  const one = alongNormals(edgesOf(a), b.points, limit + radii);
  if (one - radii >= limit) return one - radii;
  const apart = Math.max(one, alongNormals(edgesOf(b), a.points, limit + radii));
  if (apart - radii >= limit) return apart - radii;
  // Two tubes in one line overlap by no normal of theirs; their distance says whether they do.
  const thin = a.points.length <= 2 && b.points.length <= 2 && apart > -1e-12;
  if (apart <= 0 && apart > -Infinity && !thin) return apart - radii;
  return Math.sqrt(Math.min(nearest2(a.points, b.points), nearest2(b.points, a.points))) - radii;
}

/** Nearest points of two pieces that are apart, on their outer faces; for the drawing of a gap. */
export function gapLine(a: Piece, b: Piece): { from: Point; to: Point } {
  let best = Infinity;
  let from = a.points[0] as Point;
  let to = b.points[0] as Point;
  const tryPair = (p: Point, ring: readonly Point[], swap: boolean): void => {
    const n = ring.length;
    for (let i = 0; i < (n <= 2 ? 1 : n); i++) {
      const q = nearestOn(p, ring[i] as Point, ring[(i + 1) % n] as Point);
      const d = hypotenuse(p.x - q.x, p.y - q.y);
      if (d < best) {
        best = d;
        from = swap ? q : p;
        to = swap ? p : q;
      }
    }
  };
  for (const p of a.points) tryPair(p, b.points, false);
  for (const p of b.points) tryPair(p, a.points, true);
  const d = hypotenuse(to.x - from.x, to.y - from.y) || 1e-9;
  const u = { x: (to.x - from.x) / d, y: (to.y - from.y) / d };
  return {
    from: { x: from.x + u.x * a.radiusM, y: from.y + u.y * a.radiusM },
    to: { x: to.x - u.x * b.radiusM, y: to.y - u.y * b.radiusM },
  };
}

function nearestOn(p: Point, a: Point, b: Point): Point {
  const ux = b.x - a.x;
  const uy = b.y - a.y;
  const long = ux * ux + uy * uy;
  const t = long > 0 ? Math.max(0, Math.min(1, ((p.x - a.x) * ux + (p.y - a.y) * uy) / long)) : 0;
  return { x: a.x + ux * t, y: a.y + uy * t };
}
