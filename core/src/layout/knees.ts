import { hypotenuse, type Point } from '../donor/frames/point.ts';
import type { DonorGeometry } from '../donor/geometry.ts';

/** Thigh and shank as shares of stature. Source: common body-segment tables, adults. */
const THIGH = 0.245;
const SHANK = 0.246;
/** From the saddle's top to the hip's centre, and from the pedal's axle up to the ankle, m. Source: project. */
const HIP_UP = 0.09;
const ANKLE_UP = 0.1;

/**
 * Where the knee passes during one turn of the cranks, side view, m: two links from hip to ankle, bent forward.
 * Good to about 30 mm: riders differ.
 */
export function kneePath(g: DonorGeometry, statureM: number, crankM: number, points = 24): Point[] {
  const hip = { x: g.saddle.x - 0.02, y: g.saddle.y + HIP_UP };
  const out: Point[] = [];
  for (let i = 0; i <= points; i++) {
    const a = (i / points) * 2 * Math.PI;
    const ankle = { x: g.bracket.x + crankM * Math.cos(a) - 0.06, y: g.bracket.y + crankM * Math.sin(a) + ANKLE_UP };
    const dx = ankle.x - hip.x;
    const dy = ankle.y - hip.y;
    const thigh = THIGH * statureM;
    const shank = SHANK * statureM;
    const d = Math.min(hypotenuse(dx, dy), thigh + shank - 1e-6);
    const bend = Math.acos(Math.max(-1, Math.min(1, (thigh * thigh + d * d - shank * shank) / (2 * thigh * d))));
    const way = Math.atan2(dy, dx) + bend;
    out.push({ x: hip.x + thigh * Math.cos(way), y: hip.y + thigh * Math.sin(way) });
  }
  return out;
}
