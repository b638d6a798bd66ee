import { hypotenuse, type Point } from '../donor/frames/point.ts';
import type { Run } from './runs.ts';

/** A stay's middle from the vehicle's near the bracket, and what a lead takes beside it, m. Source: project, common frames. */
const STAY_OUT = 0.028;
const LEAD_THICK = 0.005;
/** A tube drawn so deep in a wheel's disc is one of a pair beside it, m. Source: project. */
const BESIDE_WHEEL = 0.03;

/** Something a lead must keep away from: a disc in the side view. */
export interface Hazard {
  what: 'tyre' | 'crank' | 'hot motor';
  at: Point;
  radiusM: number;
  /** True where it stands in the middle plane, as a tube does; a crank passes beside the tubes. */
  centred: boolean;
  /** Its inner face from the middle, m, for what passes beside. */
  besideM: number;
}
/** What a lead may pass: it ends there, or it is not on this vehicle. */
export type Past = readonly Hazard['what'][];
export const NOTHING: Past = [];
/** Nothing runs nearer than this. Source: models, §10. */
export const KEEP_AWAY = 0.02;

/** How near a run passes a hazard, m, tied to the face turned away from it. */
export function roomTo(run: Run, p: Point, h: Hazard): number {
  const side = hypotenuse(p.x - h.at.x, p.y - h.at.y) - h.radiusM;
  if (run.role === 'fork' || run.role === 'stay' || run.role === 'chainstay') {
    // Stays and legs stand beside the wheel and shield what is tied to their outer face; a crank passes outside them.
    if (h.centred) return Infinity;
    return hypotenuse(Math.max(0, side), Math.max(0, h.besideM - (STAY_OUT + run.diameterM / 2 + LEAD_THICK)));
  }
  if (!h.centred) return hypotenuse(Math.max(0, side), Math.max(0, h.besideM - run.diameterM / 2));
  // What overlaps the wheel in the side view stands beside it, as a stay does.
  return side < -BESIDE_WHEEL ? Infinity : side + run.diameterM / 2;
}
