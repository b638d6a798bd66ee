import type { Piece } from './shapes.ts';

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
    const at0: number[] = [];
    const slope: number[] = [];
    // Own edges move away from what lies along their normal; the other's edges are approached.
    edgeLines(own.points, other.points, -1, u, at0, slope);
    edgeLines(other.points, own.points, 1, u, at0, slope);
    this.at0 = Float64Array.from(at0);
    this.slope = Float64Array.from(slope);
  }

  /** The gap at a way slid, m; anything at least `limit` may be returned where it is no less than that. */
  gap(way: number, limit: number): number {
    const { at0, slope } = this;
    let apart = -Infinity;
    for (let i = 0; i < at0.length; i++) {
      const d = (at0[i] as number) + (slope[i] as number) * way;
      if (d > apart) apart = d;
    }
    const lower = apart - this.radii;
    if (lower >= limit) return lower;
    const thin = this.own.points.length <= 2 && this.other.points.length <= 2 && apart > -1e-12;
    if (apart <= 0 && apart > -Infinity && !thin) return lower;
    const sx = this.ux * way;
    const sy = this.uy * way;
    return (
      Math.sqrt(Math.min(nearest2(this.own, sx, sy, this.other), nearest2(this.other, -sx, -sy, this.own))) - this.radii
    );
  }
}

/** The gap along each of a ring's edge normals, as a line over the way slid. */
function edgeLines(
  ring: Piece['points'],
  across: Piece['points'],
  sign: 1 | -1,
  u: { x: number; y: number },
  at0: number[],
  slope: number[],
): void {
  for (let i = 0; i < ring.length; i++) {
    const p = ring[i];
    const q = ring[(i + 1) % ring.length];
    if (!p || !q) continue;
    const dx = q.x - p.x;
    const dy = q.y - p.y;
    const long = Math.sqrt(dx * dx + dy * dy);
    if (long < 1e-12) continue;
    const nx = dy / long;
    const ny = -dx / long;
    let least = Infinity;
    for (const r of across) {
      const d = (r.x - p.x) * nx + (r.y - p.y) * ny;
      if (d < least) least = d;
    }
    at0.push(least);
    slope.push(sign * (nx * u.x + ny * u.y));
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
