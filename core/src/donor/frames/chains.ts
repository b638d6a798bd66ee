import type { Tube } from './frame.ts';
import { add, hypotenuse, left, scale, sub, toward, unit, type Point } from './point.ts';

/** A chain of points moved sideways by a distance, corners mitred; to the left of its run where positive. */
export function beside(chain: readonly Point[], by: number): Point[] {
  return chain.map((p, i) => {
    const before = chain[i - 1];
    const after = chain[i + 1];
    const u = before ? unit(sub(p, before)) : null;
    const v = after ? unit(sub(after, p)) : null;
    const n = unit(add(u ? left(u) : { x: 0, y: 0 }, v ? left(v) : { x: 0, y: 0 }));
    const lean = u ? n.x * left(u).x + n.y * left(u).y : v ? n.x * left(v).x + n.y * left(v).y : 1;
    return add(p, scale(n, by / Math.max(0.35, lean)));
  });
}

/** A straight side bowed by a sag, as points of a parabola; sideways to the right of from→to where positive. */
export function bowed(from: Point, to: Point, sag: number): Point[] {
  if (sag === 0) return [from, to];
  const n = left(unit(sub(to, from)));
  return Array.from({ length: 11 }, (_, i) => {
    const share = i / 10;
    return add(toward(from, to, share), scale(n, -sag * 4 * share * (1 - share)));
  });
}

/** Points along a smooth line through points (Catmull–Rom, as the drawing shows it), straight runs left as they are. */
export function smooth(points: readonly Point[], each = 8): Point[] {
  if (points.length < 3) return [...points];
  const at = (i: number): Point => points[Math.max(0, Math.min(points.length - 1, i))] as Point;
  const out: Point[] = [at(0)];
  for (let i = 0; i < points.length - 1; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const c1 = { x: p1.x + (p2.x - p0.x) / 6, y: p1.y + (p2.y - p0.y) / 6 };
    const c2 = { x: p2.x - (p3.x - p1.x) / 6, y: p2.y - (p3.y - p1.y) / 6 };
    for (let k = 1; k <= each; k++) {
      const t = k / each;
      const u = 1 - t;
      const w = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t] as const;
      out.push({
        x: w[0] * p1.x + w[1] * c1.x + w[2] * c2.x + w[3] * p2.x,
        y: w[0] * p1.y + w[1] * c1.y + w[2] * c2.y + w[3] * p2.y,
      });
    }
  }
  return out;
}

/** A tube's middle line as points, its curve drawn out. */
export function lineOf(tube: Tube): Point[] {
  return tube.curved ? smooth(tube.points) : tube.points;
}

/** Length along a chain, m. */
export function chainLength(points: readonly Point[]): number {
  let sum = 0;
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1] as Point;
    const b = points[i] as Point;
    sum += hypotenuse(b.x - a.x, b.y - a.y);
  }
  return sum;
}

/** The point a way along a chain; beyond its ends, straight on. */
export function pointAlong(points: readonly Point[], way: number): Point {
  let rest = way;
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1] as Point;
    const b = points[i] as Point;
    const dx = b.x - a.x;
    const dy = b.y - a.y;
    const long = Math.sqrt(dx * dx + dy * dy);
    if (rest <= long || i === points.length - 1) {
      const t = long > 0 ? rest / long : 0;
      return { x: a.x + dx * t, y: a.y + dy * t };
    }
    rest -= long;
  }
  return points[0] as Point;
}

/** A chain with how far along it each corner lies: for whoever asks for many points of one. */
export interface LaidChain {
  points: readonly Point[];
  /** From the first corner, m. */
  waysM: Float64Array;
}

const laid = new WeakMap<readonly Point[], LaidChain>();

/** A chain that is never changed, its lengths worked out once. */
export function laidChain(points: readonly Point[]): LaidChain {
  let made = laid.get(points);
  if (!made) {
    const waysM = new Float64Array(points.length);
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1] as Point, points[i] as Point];
      waysM[i] = (waysM[i - 1] as number) + hypotenuse(b.x - a.x, b.y - a.y);
    }
    laid.set(points, (made = { points, waysM }));
  }
  return made;
}

/** The point a way along a laid chain; beyond its ends, straight on. The same as of its points. */
export function pointOn({ points, waysM }: LaidChain, way: number): Point {
  let i = 1;
  while (i < points.length - 1 && (waysM[i] as number) < way) i++;
  const [a, b] = [points[i - 1] as Point, points[i] as Point];
  const from = waysM[i - 1] as number;
  const long = (waysM[i] as number) - from;
  const t = long > 0 ? (way - from) / long : 0;
  return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
}
