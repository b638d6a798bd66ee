import { SaxesParser } from 'saxes';
import type { Route } from '../build/brief.ts';
import { dayOf, isDate } from '../quantity/dates.ts';
import { resample, smoothElevations, totalClimb, type ProfilePoint } from '../ride/route.ts';
import { xmlWords } from '../reading/xmlWords.ts';
import type { ReadProblem, ReadResult } from '../reading/problems.ts';

/** Largest GPX text read, characters. */
export const GPX_LIMIT = 60_000_000;
/** Points nearer than this to the one before count as duplicates, m. */
const DUPLICATE_WITHIN = 0.5;
const MOST_PROBLEMS = 20;
/** A GPX is nested six levels deep, with extensions some more; deeper is none, and slow to read. */
const MOST_DEPTH = 40;
/** A jump between neighbours longer than this is a fault, m. */
const LONGEST_JUMP = 100_000;

export interface TrackPoint {
  lat: number;
  lon: number;
  ele: number | null;
  /** Seconds since 1970, UTC; null where the point has no time. */
  timeS: number | null;
}

// WGS 84 ellipsoid, m and first eccentricity squared. Source: NGA.STND.0036.
const WGS84_A = 6378137;
const WGS84_E2 = 0.00669437999014;

/**
 * Distance between two near points on the WGS 84 ellipsoid, m, by the radii of curvature at the
 * middle latitude. Better than 1 in 10 000 below 10 km.
 */
export function groundDistance(lat1: number, lon1: number, lat2: number, lon2: number): number {
  const toRad = Math.PI / 180;
  const middle = ((lat1 + lat2) / 2) * toRad;
  const w = 1 - WGS84_E2 * Math.sin(middle) ** 2;
  const meridian = (WGS84_A * (1 - WGS84_E2)) / w ** 1.5;
  const across = WGS84_A / Math.sqrt(w);
  let dLon = lon2 - lon1;
  if (dLon > 180) dLon -= 360;
  if (dLon < -180) dLon += 360;
  return Math.hypot((lat2 - lat1) * toRad * meridian, dLon * toRad * across * Math.cos(middle));
}

/**
 * Reads a GPX 1.0 or 1.1 track (or route) as a road. Any namespace prefix is taken; a document type
 * or entity declaration is refused; wrong figures are named with line and column. Duplicate points
 * are dropped, missing elevations filled along the way, heights smoothed with a ±60 m triangular
 * window after spacing to 30 m.
 * @param fallbackName used where the file names nothing
 */
export function readGpx(text: string, id: string, fallbackName: string): ReadResult<Route> {
  if (text.length > GPX_LIMIT) {
    return {
      ok: false,
      problems: [
        {
          path: '(document)',
          message: `larger than ${GPX_LIMIT / 1_000_000} million characters; cut the track shorter`,
        },
      ],
    };
  }
  const parsed = parseTrack(text);
  if (!parsed.ok) return parsed;
  const { points, name } = parsed.value;
  return routeFromTrack(points, id, name === '' ? fallbackName : name);
}

/** Points of a track, or of a route where there is none, with heights and times as far as they are there. */
export function parseTrack(text: string, timesRead = false): ReadResult<{ points: TrackPoint[]; name: string }> {
  const problems: ReadProblem[] = [];
  const points: TrackPoint[] = [];
  const stack: string[] = [];
  let name = '';
  let words = '';
  let current: TrackPoint | null = null;
  let sawGpx = false;
  let sawTrack = false;
  const routePoints: TrackPoint[] = [];
  const parser = new SaxesParser({ xmlns: true, position: true });
  const here = (): string => `line ${parser.line}, column ${parser.column}`;
  const note = (message: string): void => {
    if (problems.length < MOST_PROBLEMS) problems.push({ path: here(), message });
  };
  class Halt extends Error {}

  parser.on('doctype', () => {
    note('the file declares a document type; such files are refused, since a GPX needs none');
    throw new Halt();
  });
  parser.on('error', (error) => {
    note(`not well-formed XML: ${xmlWords(error.message)}`);
    throw new Halt();
  });
  parser.on('opentag', (tag) => {
    const local = tag.local;
    if (stack.length === 0) {
      sawGpx = local === 'gpx';
      if (!sawGpx) {
        note(`the first element is “${tag.name}”, not “gpx”`);
        throw new Halt();
      }
    }
    if (stack.length >= MOST_DEPTH) {
      note(`nested deeper than ${MOST_DEPTH} levels, as no GPX is`);
      throw new Halt();
    }
    stack.push(local);
    words = '';
    if (local === 'trkpt' || local === 'rtept') {
      const read = (key: string, most: number): number => {
        const raw = tag.attributes[key]?.value;
        const value = raw === undefined || raw.trim() === '' ? NaN : Number(raw);
        if (!Number.isFinite(value) || Math.abs(value) > most) {
          note(
            `point ${points.length + routePoints.length + 1}: “${key}” is ${raw === undefined ? 'missing' : `“${raw.slice(0, 40)}”`}; it must be a number between −${most} and ${most}`,
          );
          return NaN;
        }
        return value;
      };
      current = { lat: read('lat', 90), lon: read('lon', 180), ele: null, timeS: null };
      if (local === 'trkpt') {
        sawTrack = true;
        points.push(current);
      } else routePoints.push(current);
    }
  });
  parser.on('text', (t) => {
    words += t;
  });
  parser.on('cdata', (t) => {
    words += t;
  });
  parser.on('closetag', (tag) => {
    stack.pop();
    const parent = stack.at(-1);
    if (tag.local === 'ele' && current && (parent === 'trkpt' || parent === 'rtept')) {
      const raw = words.trim();
      const value = raw === '' ? NaN : Number(raw);
      if (!Number.isFinite(value) || value < -500 || value > 9000) {
        note(
          `point ${points.length + routePoints.length}: elevation “${raw.slice(0, 40)}” is not a number between −500 and 9000 m`,
        );
      } else current.ele = value;
    }
    if (tag.local === 'time' && current && (parent === 'trkpt' || parent === 'rtept')) {
      const timeS = utcSeconds(words.trim());
      if (timeS === null) {
        if (timesRead)
          note(`point ${points.length + routePoints.length}: “${words.trim().slice(0, 40)}” is no time of ISO 8601`);
      } else current.timeS = timeS;
    }
    if (
      tag.local === 'name' &&
      (parent === 'trk' || parent === 'rte' || parent === 'metadata') &&
      (name === '' || parent !== 'metadata')
    ) {
      name = words.trim().slice(0, 120);
    }
    if (tag.local === 'trkpt' || tag.local === 'rtept') current = null;
    words = '';
  });
  try {
    parser.write(text).close();
  } catch (error) {
    if (!(error instanceof Halt)) throw error;
  }
  if (problems.length > 0) return { ok: false, problems };
  const chosen = sawTrack ? points : routePoints;
  if (chosen.length < 2) {
    return { ok: false, problems: [{ path: '(document)', message: 'no track or route with two points or more' }] };
  }
  return { ok: true, value: { points: chosen, name } };
}

const ISO_TIME = /^(\d{4}-\d{2}-\d{2})T(\d{2}):(\d{2}):(\d{2}(?:\.\d+)?)(Z|[+-]\d{2}:?\d{2})?$/;

/** Seconds since 1970 of an ISO 8601 time, UTC where it names no zone; null where it is none. */
export function utcSeconds(text: string): number | null {
  const [, date = '', hours = '', minutes = '', seconds = '', zone = 'Z'] = ISO_TIME.exec(text) ?? [];
  if (date === '' || !isDate(date)) return null;
  const [h, m, s] = [Number(hours), Number(minutes), Number(seconds)];
  if (h > 24 || m > 59 || s >= 61) return null;
  const off =
    zone === 'Z' ? 0 : (zone.startsWith('-') ? -1 : 1) * (Number(zone.slice(1, 3)) * 60 + Number(zone.slice(-2)));
  return dayOf(date) * 86_400 + h * 3600 + (m - off) * 60 + s;
}

/** Initial bearing from one point to the next, degrees from north; on the plane, good within a leg of some km. */
function bearingBetween(a: TrackPoint, b: TrackPoint): number {
  const east = (b.lon - a.lon) * Math.cos((((a.lat + b.lat) / 2) * Math.PI) / 180);
  const degrees = (Math.atan2(east, b.lat - a.lat) * 180) / Math.PI;
  return (degrees + 360) % 360;
}

function routeFromTrack(track: readonly TrackPoint[], id: string, name: string): ReadResult<Route> {
  const notes: string[] = [];
  const along: { distanceM: number; ele: number | null }[] = [];
  let distanceM = 0;
  let duplicates = 0;
  let last: TrackPoint | undefined;
  const legs: { startM: number; endM: number; from: TrackPoint; to: TrackPoint; bearing: number }[] = [];
  for (let i = 0; i < track.length; i++) {
    const p = track[i] as TrackPoint;
    if (last) {
      const step = groundDistance(last.lat, last.lon, p.lat, p.lon);
      if (step > LONGEST_JUMP) {
        return {
          ok: false,
          problems: [
            { path: `point ${i + 1}`, message: `lies ${Math.round(step / 1000)} km from the point before it` },
          ],
        };
      }
      if (step < DUPLICATE_WITHIN) {
        duplicates++;
        const kept = along.at(-1);
        if (kept && kept.ele === null && p.ele !== null) kept.ele = p.ele;
        continue;
      }
      distanceM += step;
      legs.push({ startM: distanceM - step, endM: distanceM, from: last, to: p, bearing: bearingBetween(last, p) });
    }
    along.push({ distanceM, ele: p.ele });
    last = p;
  }
  if (along.length < 2)
    return { ok: false, problems: [{ path: '(document)', message: 'all points lie in one place' }] };
  if (duplicates > 0) notes.push(`${duplicates} duplicate point${duplicates === 1 ? '' : 's'} dropped.`);
  const known = along.filter((p): p is { distanceM: number; ele: number } => p.ele !== null);
  const missing = along.length - known.length;
  if (known.length === 0)
    notes.push('The file has no elevations: taken as flat, so hills are missing from every figure.');
  else if (missing > 0) notes.push(`${missing} missing elevation${missing === 1 ? '' : 's'} filled along the way.`);
  const raw: ProfilePoint[] =
    known.length === 0
      ? along.map((p) => ({ distanceM: p.distanceM, elevationM: 0 }))
      : known.map((p) => ({ distanceM: p.distanceM, elevationM: p.ele }));
  // Ends without a height take the nearest one.
  const end = along.at(-1) as { distanceM: number };
  const firstKnown = raw[0] as ProfilePoint;
  const lastKnown = raw.at(-1) as ProfilePoint;
  if (firstKnown.distanceM > 0) raw.unshift({ distanceM: 0, elevationM: firstKnown.elevationM });
  if (lastKnown.distanceM < end.distanceM) raw.push({ distanceM: end.distanceM, elevationM: lastKnown.elevationM });
  const even = resample(raw);
  if (even.length > 40_000)
    return { ok: false, problems: [{ path: '(document)', message: 'longer than 1200 km; cut the track shorter' }] };
  const smooth = smoothElevations(even);
  const rawClimbM = totalClimb(raw);
  notes.push(
    `Heights smoothed over ±60 m: ${Math.round(totalClimb(smooth))} m of climbing, ${Math.round(rawClimbM)} m before.`,
  );
  // The bearing ridden at each even point: that of the track's leg it lies on.
  let leg = 0;
  const rounded = smooth.map((p) => {
    while (leg < legs.length - 1 && (legs[leg]?.endM ?? 0) <= p.distanceM) leg++;
    const on = legs[leg];
    const share = on ? Math.min(1, Math.max(0, (p.distanceM - on.startM) / (on.endM - on.startM))) : 0;
    const between = (a: number, b: number): number => Math.round((a + (b - a) * share) * 1e6) / 1e6;
    return {
      distanceM: Math.round(p.distanceM * 10) / 10,
      elevationM: Math.round(p.elevationM * 100) / 100,
      ...(on
        ? {
            bearing: Math.round(on.bearing * 10) / 10,
            lat: between(on.from.lat, on.to.lat),
            lon: between(on.from.lon, on.to.lon),
          }
        : {}),
    };
  });
  return {
    ok: true,
    value: {
      id,
      name: name.slice(0, 120),
      source: 'gpx',
      points: rounded,
      surface: 'asphalt',
      stopsPerKm: 1,
      rawClimbM,
      notes,
      stretches: [],
      reversed: false,
    },
  };
}
