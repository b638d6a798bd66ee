import { lengthOf, sub, type Point } from '../donor/frames/point.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import { suspensionAt } from '../layout/suspension.ts';
import type { Hazard, Past } from './hazards.ts';
import type { Anchor, WayEdge, Ways } from './ways.ts';

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

/** The same of a way between two spots on tubes, hops to the boxes left out. */
interface Core extends WayFacts {
  first: boolean;
  last: boolean;
}

/** Ways between the same spots are the same array: what is told of them is told once. */
const kept = new WeakMap<readonly WayEdge[], Core>();

function coreFacts(edges: readonly WayEdge[], g: DonorGeometry, rearTravelM: number): Core {
  const known = kept.get(edges);
  if (known) return known;
  const made: Core = {
    lengthM: edges.reduce((sum, e) => sum + e.lengthM, 0),
    first: edges[0]?.steers ?? false,
    last: edges.at(-1)?.steers ?? false,
    turns: turnsIn(edges.map((e) => e.steers)),
    folds: g.hinge !== null && edges.some((e) => goesOver(e.points, g.hinge as Point)),
    travelM: travelTaken(edges, g, rearTravelM),
    near: [...new Set(edges.flatMap((e) => (e.near ? [e.near] : [])))],
  };
  kept.set(edges, made);
  return made;
}

const turnsIn = (steers: readonly boolean[]): number =>
  steers.reduce((n, s, i) => (i > 0 && s !== steers[i - 1] ? n + 1 : n), 0);

/** Whether a line goes over a point of its own tube. */
function goesOver(points: readonly Point[], at: Point): boolean {
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    if (lengthOf(sub(at, a)) + lengthOf(sub(at, b)) - lengthOf(sub(b, a)) < 1e-4) return true;
  }
  return false;
}

/** How much the way past a swinging rear end changes through its travel: longest less shortest, and room at the pivot. */
function travelTaken(edges: readonly WayEdge[], g: DonorGeometry, travelM: number): number {
  if (!g.suspension) return 0;
  const swings = (e: WayEdge): boolean => e.role === 'stay' || e.role === 'chainstay';
  const at = edges.findIndex((e, i) => i > 0 && swings(e) !== swings(edges[i - 1] as WayEdge));
  if (at < 0) return 0;
  const fixed = (edges[at] as WayEdge).points[0] as Point;
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

/** Facts of ways straight from one anchor to another, by what they may pass; an anchor hangs on one vehicle's ways alone. */
const told = new WeakMap<Anchor, WeakMap<Anchor, Map<Past, WayFacts>>>();

/** What is told of a way from stop to stop. */
export function wayFacts(...asked: Parameters<typeof factsBetween>): WayFacts {
  const [, stops, past] = asked;
  if (stops.length > 2) return factsBetween(...asked);
  const [from, to] = stops as [Anchor, Anchor];
  let byTo = told.get(from);
  if (!byTo) told.set(from, (byTo = new WeakMap()));
  let byPast = byTo.get(to);
  if (!byPast) byTo.set(to, (byPast = new Map()));
  let made = byPast.get(past);
  if (!made) byPast.set(past, (made = factsBetween(...asked)));
  return made;
}

function factsBetween(
  ways: Ways,
  stops: readonly Anchor[],
  past: Past,
  g: DonorGeometry,
  rearTravelM: number,
): WayFacts {
  const [from, to] = [stops[0] as Anchor, stops.at(-1) as Anchor];
  const legs = stops.slice(1).map((to, i) => coreFacts(ways.along(stops[i] as Anchor, to, past), g, rearTravelM));
  const hops = [...from.hops, ...to.hops].reduce((sum, h) => sum + h.lengthM, 0);
  const steers = [
    ...from.hops.map((h) => h.steers),
    ...legs.flatMap((l) => (l.lengthM > 0 ? [l.first, l.last] : [])),
    ...[...to.hops].reverse().map((h) => h.steers),
  ];
  // A leg that turns an even number of times ends as it began: its own turns count, not those between its ends.
  const inside = legs.reduce((sum, l) => sum + l.turns - (l.lengthM > 0 && l.first !== l.last ? 1 : 0), 0);
  return {
    lengthM: legs.reduce((sum, l) => sum + l.lengthM, 0) + hops,
    turns: turnsIn(steers) + inside,
    folds: legs.some((l) => l.folds),
    travelM: Math.max(0, ...legs.map((l) => l.travelM)),
    near: [...new Set(legs.flatMap((l) => l.near))].filter((n) => !past.includes(n)),
  };
}
