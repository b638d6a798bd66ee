import { lengthOf, sub, type Point } from '../donor/frames/point.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import { suspensionAt } from '../layout/suspension.ts';
import type { Hazard, Past } from './hazards.ts';
import type { Anchor, Spot, WayStep, Ways } from './ways.ts';

/** Lead taken beside a pivot's own travel, m. Source: models, §10. */
export const PIVOT_TAKES = 0.03;

/** What of a way its lead's length hangs on. */
export interface WayFacts {
  lengthM: number;
  /** How often it passes between what turns with the bar and what does not. */
  turns: number;
  /** It goes over the hinge of a folder. */
  folds: boolean;
  /** How much it changes through the travel of a swinging rear end, m. */
  travelM: number;
  near: readonly Hazard['what'][];
}

const NEAR_NOTHING: WayFacts['near'] = [];

/** The same of a way between two spots, hops to the boxes left out, and how it begins and ends. */
interface Core extends WayFacts {
  first: boolean;
  last: boolean;
}

/** Between two spots, by what may be passed; a spot is of one vehicle's ways alone. */
const kept = new WeakMap<Spot, WeakMap<Spot, Map<Past, Core>>>();

/** What is told of a way between two spots, told once. */
function coreFacts(ways: Ways, from: Spot, to: Spot, past: Past, g: DonorGeometry, rearTravelM: number): Core {
  let byTo = kept.get(from);
  if (!byTo) kept.set(from, (byTo = new WeakMap()));
  let byPast = byTo.get(to);
  if (!byPast) byTo.set(to, (byPast = new Map()));
  let made = byPast.get(past);
  if (!made) byPast.set(past, (made = coreOf(ways, ways.along(from, to, past), past, g, rearTravelM)));
  return made;
}

function coreOf(ways: Ways, steps: readonly WayStep[], past: Past, g: DonorGeometry, rearTravelM: number): Core {
  const { hinge } = g;
  const near = new Set(steps.flatMap((s) => (s.near && !past.includes(s.near) ? [s.near] : [])));
  return {
    lengthM: steps.reduce((sum, s) => sum + s.lengthM, 0),
    first: steps[0]?.steers ?? false,
    last: steps.at(-1)?.steers ?? false,
    turns: steps.reduce((n, s, i) => (i > 0 && s.steers !== steps[i - 1]?.steers ? n + 1 : n), 0),
    folds: hinge !== null && steps.some((s) => goesOver(ways.drawn(s).points, hinge)),
    travelM: g.suspension ? travelTaken(ways, steps, g, rearTravelM) : 0,
    near: [...near],
  };
}

/** Whether a line goes over a point of its own tube. */
function goesOver(points: readonly Point[], at: Point): boolean {
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    if (lengthOf(sub(at, a)) + lengthOf(sub(at, b)) - lengthOf(sub(b, a)) < 1e-4) return true;
  }
  return false;
}

/** How much the way past a swinging rear end changes through its travel: longest less shortest, and room at the pivot. */
function travelTaken(ways: Ways, steps: readonly WayStep[], g: DonorGeometry, travelM: number): number {
  const swings = (s: WayStep): boolean => s.role === 'stay' || s.role === 'chainstay';
  const at = steps.findIndex((s, i) => i > 0 && swings(s) !== swings(steps[i - 1] as WayStep));
  if (at < 0) return 0;
  const fixed = ways.drawn(steps[at] as WayStep).points[0] as Point;
  let [least, most] = [Infinity, 0];
  for (let k = 0; k <= 10; k++) {
    const pose = suspensionAt(g, travelM, k / 10);
    if (!pose) return 0;
    const d = lengthOf(sub(pose.axle, fixed));
    least = Math.min(least, d);
    most = Math.max(most, d);
  }
  return most - least + PIVOT_TAKES;
}

/** What is told of a way from stop to stop, the hops to its first and last box included. */
export function wayFacts(
  ways: Ways,
  stops: readonly Anchor[],
  past: Past,
  g: DonorGeometry,
  rearTravelM: number,
): WayFacts {
  const [from, to] = [stops[0] as Anchor, stops.at(-1) as Anchor];
  let [lengthM, travelM, turns, folds] = [0, 0, 0, false];
  let near: WayFacts['near'] = NEAR_NOTHING;
  // Turns are counted from part to part: a leg brings its own, and one where it does not go on as the last ended.
  let steers: boolean | null = null;
  for (const hop of from.hops) {
    lengthM += hop.lengthM;
    if (steers !== null && hop.steers !== steers) turns++;
    steers = hop.steers;
  }
  for (let i = 1; i < stops.length; i++) {
    const leg = coreFacts(ways, (stops[i - 1] as Anchor).spot, (stops[i] as Anchor).spot, past, g, rearTravelM);
    if (leg.lengthM > 0) {
      if (steers !== null && leg.first !== steers) turns++;
      steers = leg.last;
    }
    lengthM += leg.lengthM;
    turns += leg.turns;
    travelM = Math.max(travelM, leg.travelM);
    folds ||= leg.folds;
    if (leg.near.length > 0) near = near.length > 0 ? [...new Set([...near, ...leg.near])] : leg.near;
  }
  for (let i = to.hops.length - 1; i >= 0; i--) {
    const hop = to.hops[i] as Anchor['hops'][number];
    lengthM += hop.lengthM;
    if (steers !== null && hop.steers !== steers) turns++;
    steers = hop.steers;
  }
  return { lengthM, turns, folds, travelM, near };
}
