import type { Brief, Route } from '../build/brief.ts';
import { SURFACE_ROLLING } from '../constants.ts';
import type { RouteSegment } from './system.ts';

/** Points of a track are brought to this spacing, m: three steps of the ride. */
const ROUTE_SPACING = 30;
/** Half width of the smoothing of elevations, m. */
const SMOOTHING_HALF_WIDTH = 60;

/** A point along a road: distance from its start and elevation, m. */
export interface ProfilePoint {
  distanceM: number;
  elevationM: number;
  bearing?: number | undefined;
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
function elevationAt(
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
function describedProfile(flatM: number, climbs: readonly { heightM: number; lengthM: number }[]): ProfilePoint[] {
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
    stretches: [],
    reversed: false,
  };
}

/** Length of a route one way, m. */
export function routeLength(route: Route): number {
  return route.points.at(-1)?.distanceM ?? 0;
}

interface Steepest {
  grade: number;
  atM: number;
}

/** The surface at a place along a road. */
export function surfaceAt({ stretches, surface }: Route, atM: number): Route['surface'] {
  return stretches.find((s) => atM >= s.fromM && atM < s.toM)?.surface ?? surface;
}

/** A road does not change: what was found for it once is kept with it, one way and there and back. */
const steepestOf = new WeakMap<Route, Map<boolean, Steepest>>();

/** Steepest stretch of a route over at least 30 m, rise/run, either way ridden. */
export function steepestGrade(route: Route, thereAndBack: boolean): Steepest {
  let known = steepestOf.get(route);
  if (!known) steepestOf.set(route, (known = new Map()));
  const found = known.get(thereAndBack) ?? findSteepest(route, thereAndBack);
  known.set(thereAndBack, found);
  return found;
}

function findSteepest(route: Route, thereAndBack: boolean): Steepest {
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

/** Headwind on a leg ridden on `bearing`, m/s, of a wind of `speedMs` from `from`, degrees from north. */
export function headwindOn(bearing: number, speedMs: number, from: number): number {
  return speedMs * Math.cos(((from - bearing) * Math.PI) / 180);
}

/** A draw's say on the road: wind added, and stops scaled. */
export interface RoadDraw {
  /** Wind added to the brief's, m/s, and turned by this much, degrees. */
  windMs: number;
  turn: number;
  stops: number;
}

const asItIs: RoadDraw = { windMs: 0, turn: 0, stops: 1 };

/**
 * The brief's road as segments for the simulation: grades between its points, the cruising speed or a
 * stretch's own limit as target, stops evenly spread, and the wind: by its direction against each leg's
 * bearing where both are known, else against travel on the way out and from behind on the way back.
 */
export function routeSegments(route: Route, brief: Brief, draw: RoadDraw = asItIs): RouteSegment[] {
  const out: RouteSegment[] = [];
  const { points, stretches } = route;
  const length = points.at(-1)?.distanceM ?? 0;
  let sinceStop = Infinity;
  const lay = (a: ProfilePoint, b: ProfilePoint, bearing: number | undefined, outward: boolean): void => {
    const lengthM = Math.abs(b.distanceM - a.distanceM);
    if (lengthM <= 0) return;
    const middle = (a.distanceM + b.distanceM) / 2;
    const here = stretches.length === 0 ? undefined : stretches.find((s) => middle >= s.fromM && middle < s.toM);
    const stopsPerKm = (here?.stopsPerKm ?? route.stopsPerKm) * draw.stops;
    const every = stopsPerKm > 0 ? 1000 / stopsPerKm : Infinity;
    const headwindMs =
      brief.windFrom !== null && bearing !== undefined
        ? headwindOn(
            outward ? bearing : bearing + 180,
            Math.max(0, brief.headwindMs + draw.windMs),
            brief.windFrom + draw.turn,
          )
        : (outward ? 1 : -1) * (brief.headwindMs + draw.windMs);
    const pieces = Math.max(1, Math.ceil(lengthM / Math.min(every, 1e9)));
    for (let i = 0; i < pieces; i++) {
      const stop = sinceStop >= every - 1e-6;
      if (stop) sinceStop = 0;
      out.push({
        lengthM: lengthM / pieces,
        grade: (b.elevationM - a.elevationM) / lengthM,
        targetMs: here?.limitMs === undefined ? brief.cruiseMs : Math.min(brief.cruiseMs, here.limitMs),
        stop,
        surfaceCrr: SURFACE_ROLLING[here?.surface ?? route.surface],
        headwindMs,
      });
      sinceStop += lengthM / pieces;
    }
  };
  const along = (outward: boolean): void => {
    for (let i = 1; i < points.length; i++)
      lay(points[i - 1] as ProfilePoint, points[i] as ProfilePoint, points[i - 1]?.bearing, outward);
  };
  const against = (outward: boolean): void => {
    for (let i = points.length - 1; i > 0; i--) {
      const bearing = points[i - 1]?.bearing;
      lay(
        points[i] as ProfilePoint,
        points[i - 1] as ProfilePoint,
        bearing === undefined ? undefined : bearing + (outward ? 180 : 0),
        outward,
      );
    }
  };
  if (length > 0) {
    if (route.reversed) against(true);
    else along(true);
    if (brief.thereAndBack) {
      if (route.reversed) {
        // Home is the way the points run: its own bearings, and the wind of a way back.
        for (let i = 1; i < points.length; i++) {
          const bearing = points[i - 1]?.bearing;
          lay(
            points[i - 1] as ProfilePoint,
            points[i] as ProfilePoint,
            bearing === undefined ? undefined : bearing + 180,
            false,
          );
        }
      } else against(false);
    }
  }
  return out;
}
