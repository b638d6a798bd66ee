import { edgesOf, type Edges, type Piece } from './shapes.ts';

/**
 * Two pieces of which one slides along a line: their gap at any distance, quickly. Along each edge's normal the
 * gap changes evenly with the way slid, so those lines are worked out once; only where two corners face each
 * other is the distance itself taken.
 */
export class SlidingPair {
  /** Gap along each normal: `at0 + slope × way`. */
  private readonly at0: Float64Array;
  private readonly slope: Float64Array;
  private readonly radii: number;
  private readonly own: Piece;
  private readonly other: Piece;
  private readonly ux: number;
  private readonly uy: number;

  /** @param own the piece that slides, where it is at way 0; @param u unit vector of the slide */
  constructor(own: Piece, other: Piece, u: { x: number; y: number }) {
    this.own = own;
    this.other = other;
    this.ux = u.x;
    this.uy = u.y;
    this.radii = own.radiusM + other.radiusM;
    const [mine, theirs] = [edgesOf(own), edgesOf(other)];
    const n = (mine.length + theirs.length) / 3;
    this.at0 = new Float64Array(n);
    this.slope = new Float64Array(n);
    // Own edges move away from what lies along their normal; the other's edges are approached.
    this.lines(mine, other.points, -1, 0);
    this.lines(theirs, own.points, 1, mine.length / 3);
  }

  /** The gap along each of one's edge normals, as a line over the way slid. */
  private lines(edges: Edges, across: Piece['points'], sign: 1 | -1, from: number): void {
    const { ux, uy, at0, slope } = this;
    for (let i = 0, k = from; i < edges.length; i += 3, k++) {
      const nx = edges[i] as number;
      const ny = edges[i + 1] as number;
      let least = Infinity;
      for (const r of across) {
        const d = r.x * nx + r.y * ny;
        if (d < least) least = d;
      }
      at0[k] = least - (edges[i + 2] as number);
      slope[k] = sign * (nx * ux + ny * uy);
    }
  }

  /** The gap at a way slid, m; anything at least `limit` may be returned where it is no less than that. */
  gap(way: number, limit: number): number {
    const { at0, slope, radii } = this;
    const enough = limit + radii;
    let apart = -Infinity;
    for (let i = 0; i < at0.length; i++) {
      const d = (at0[i] as number) + (slope[i] as number) * way;
      if (d <= apart) continue;
      if (d >= enough) return d - radii;
      apart = d;
    }
    const lower = apart - radii;
    const thin = this.own.points.length <= 2 && this.other.points.length <= 2 && apart > -1e-12;
    if (apart <= 0 && apart > -Infinity && !thin) return lower;
    const sx = this.ux * way;
    const sy = this.uy * way;
    return (
      Math.sqrt(Math.min(nearest2(this.own, sx, sy, this.other), nearest2(this.other, -sx, -sy, this.own))) - radii
    );
  }
}

/** Squared distance from a's corners, moved, to b's edges. */
function nearest2(a: Piece, sx: number, sy: number, b: Piece): number {
  let best = Infinity;
  const ring = b.points;
  const n = ring.length;
  const sides = n <= 2 ? 1 : n;
  for (const p of a.points) {
    const px = p.x + sx;
    const py = p.y + sy;
    for (let i = 0; i < sides; i++) {
      const q = ring[i];
      const r = ring[(i + 1) % n];
      if (!q || !r) continue;
      const ex = r.x - q.x;
      const ey = r.y - q.y;
      const long = ex * ex + ey * ey;
      let t = long > 0 ? ((px - q.x) * ex + (py - q.y) * ey) / long : 0;
      if (t < 0) t = 0;
      else if (t > 1) t = 1;
      const dx = px - q.x - ex * t;
      const dy = py - q.y - ey * t;
      const d = dx * dx + dy * dy;
      if (d < best) best = d;
    }
  }
  return best;
}
