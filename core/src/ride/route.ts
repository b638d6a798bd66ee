import type { Brief, Route } from '../build.ts';
import { SURFACE_ROLLING } from '../constants.ts';
import type { RouteSegment } from './system.ts';

/** Points of a track are brought to this spacing, m: three steps of the ride. */
export const ROUTE_SPACING = 30;
/** Half width of the smoothing of elevations, m. */
export const SMOOTHING_HALF_WIDTH = 60;

/** A point along a road: distance from its start and elevation, m. */
export interface ProfilePoint {
  distanceM: number;
  elevationM: number;
}

/** Sum of all rises, m. */
export function totalClimb(points: readonly ProfilePoint[]): number {
  let sum = 0;
  for (let i = 1; i < points.length; i++) {
    sum += Math.max(0, (points[i] as ProfilePoint).elevationM - (points[i - 1] as ProfilePoint).elevationM);
  }
  return sum;
}

/** Elevation at a distance, straight between points, flat outside the ends. Points ascend. */
export function elevationAt(
  points: readonly ProfilePoint[],
  distanceM: number,
  from = 0,
): { elevationM: number; index: number } {
  let i = from;
  while (i < points.length - 2 && (points[i + 1] as ProfilePoint).distanceM < distanceM) i++;
  const a = points[i] as ProfilePoint;
  const b = points[Math.min(i + 1, points.length - 1)] as ProfilePoint;
  const span = b.distanceM - a.distanceM;
  const share = span > 0 ? Math.min(1, Math.max(0, (distanceM - a.distanceM) / span)) : 0;
  return { elevationM: a.elevationM + (b.elevationM - a.elevationM) * share, index: i };
}

/** Brings a profile to even spacing near 30 m, keeping both ends. */
export function resample(points: readonly ProfilePoint[], spacing = ROUTE_SPACING): ProfilePoint[] {
  const last = points.at(-1);
  if (!last || points.length < 2) return [...points];
  const total = last.distanceM;
  const count = Math.max(1, Math.round(total / spacing));
  const out: ProfilePoint[] = [];
  let index = 0;
  for (let i = 0; i <= count; i++) {
    const distanceM = (total * i) / count;
    const found = elevationAt(points, distanceM, index);
    index = found.index;
    out.push({ distanceM, elevationM: found.elevationM });
  }
  return out;
}

/**
 * Smooths evenly spaced elevations with a triangular window of ±60 m, which takes out the jitter of
 * satellite and barometric heights and rounds a real crest by about a metre. Ends use what lies
 * within reach, so that start and finish stay near their own heights.
 */
export function smoothElevations(points: readonly ProfilePoint[], halfWidth = SMOOTHING_HALF_WIDTH): ProfilePoint[] {
  return points.map((p, i) => {
    let sum = 0;
    let weight = 0;
    for (let step = -1; step <= 1; step += 2) {
      for (let j = step < 0 ? i : i + 1; j >= 0 && j < points.length; j += step) {
        const q = points[j] as ProfilePoint;
        const w = 1 - Math.abs(q.distanceM - p.distanceM) / halfWidth;
        if (w <= 0) break;
        sum += w * q.elevationM;
        weight += w;
      }
    }
    return { distanceM: p.distanceM, elevationM: sum / weight };
  });
}

/** A plain description as a profile: flat stretches shared out before, between and after the climbs. */
export function describedProfile(
  flatM: number,
  climbs: readonly { heightM: number; lengthM: number }[],
): ProfilePoint[] {
  const points: ProfilePoint[] = [{ distanceM: 0, elevationM: 0 }];
  const flat = Math.max(flatM, 10) / (climbs.length + 1);
  let distanceM = 0;
  let elevationM = 0;
  const go = (length: number, rise: number): void => {
    distanceM += length;
    elevationM += rise;
    points.push({ distanceM, elevationM });
  };
  go(flat, 0);
  for (const climb of climbs) {
    go(climb.lengthM, climb.heightM);
    go(flat, 0);
  }
  return points;
}

/** A described road as a route. */
export function describedRoute(
  id: string,
  name: string,
  flatM: number,
  climbs: readonly { heightM: number; lengthM: number }[],
  surface: Route['surface'],
  stopsPerKm: number,
): Route {
  const points = describedProfile(flatM, climbs);
  return {
    id,
    name,
    source: 'described',
    points,
    surface,
    stopsPerKm,
    rawClimbM: totalClimb(points),
    description: { flatM, climbs: [...climbs] },
    notes: [],
  };
}

/** Length of a route one way, m. */
export function routeLength(route: Route): number {
  return route.points.at(-1)?.distanceM ?? 0;
}

/** Steepest stretch of a route over at least 30 m, rise/run, either way ridden. */
export function steepestGrade(route: Route, thereAndBack: boolean): { grade: number; atM: number } {
  let best = { grade: 0, atM: 0 };
  for (let i = 1; i < route.points.length; i++) {
    const a = route.points[i - 1] as ProfilePoint;
    const b = route.points[i] as ProfilePoint;
    const run = b.distanceM - a.distanceM;
    if (run < 10) continue;
    const rise = (b.elevationM - a.elevationM) / run;
    const grade = thereAndBack ? Math.abs(rise) : rise;
    if (grade > best.grade) best = { grade, atM: a.distanceM };
  }
  return best;
}

/** A flat road of 10 km, for builds that name no route yet. */
export const flatRoute: Route = describedRoute('flat', 'Flat road', 10_000, [], 'asphalt', 1);

/**
 * The brief's road as segments for the simulation: grades between its points, the cruising speed as
 * target, stops evenly spread, headwind against travel out and from behind on the way back.
 */
export function routeSegments(route: Route, brief: Brief): RouteSegment[] {
  const surfaceCrr = SURFACE_ROLLING[route.surface];
  const out: RouteSegment[] = [];
  const every = route.stopsPerKm > 0 ? 1000 / route.stopsPerKm : Infinity;
  let sinceStop = Infinity;
  const lay = (lengthM: number, rise: number, headwindMs: number): void => {
    const pieces = Math.max(1, Math.ceil(lengthM / Math.min(every, 1e9)));
    for (let i = 0; i < pieces; i++) {
      const stop = sinceStop >= every - 1e-6;
      if (stop) sinceStop = 0;
      out.push({
        lengthM: lengthM / pieces,
        grade: rise / lengthM,
        targetMs: brief.cruiseMs,
        stop,
        surfaceCrr,
        headwindMs,
      });
      sinceStop += lengthM / pieces;
    }
  };
  const { points } = route;
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1] as ProfilePoint;
    const b = points[i] as ProfilePoint;
    if (b.distanceM > a.distanceM) lay(b.distanceM - a.distanceM, b.elevationM - a.elevationM, brief.headwindMs);
  }
  if (brief.thereAndBack) {
    for (let i = points.length - 1; i > 0; i--) {
      const a = points[i] as ProfilePoint;
      const b = points[i - 1] as ProfilePoint;
      if (a.distanceM > b.distanceM) lay(a.distanceM - b.distanceM, b.elevationM - a.elevationM, -brief.headwindMs);
    }
  }
  return out;
}
