/** A point in the side view, m: x forward from the rear axle, y up from the ground. */
export interface Point {
  x: number;
  y: number;
}

export const add = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
export const sub = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
export const scale = (a: Point, k: number): Point => ({ x: a.x * k, y: a.y * k });
/** A root of squares: `Math.hypot` guards sizes that no vehicle has, and takes ten times as long. */
export const lengthOf = (a: Point): number => Math.sqrt(a.x * a.x + a.y * a.y);
/** The same of two legs. */
export const hypotenuse = (x: number, y: number): number => Math.sqrt(x * x + y * y);
export const unit = (a: Point): Point => scale(a, 1 / (lengthOf(a) || 1));
export const left = (a: Point): Point => ({ x: -a.y, y: a.x });
export const toward = (a: Point, b: Point, share: number): Point => add(a, scale(sub(b, a), share));

export function rotate(a: Point, by: number): Point {
  const c = Math.cos(by);
  const s = Math.sin(by);
  return { x: a.x * c - a.y * s, y: a.x * s + a.y * c };
}
