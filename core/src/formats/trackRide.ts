import { MOST_PROFILE, type LoggedRide, loggedRideSchema } from '../build/log.ts';
import { momentText } from '../quantity/dates.ts';
import type { ReadResult } from '../reading/problems.ts';
import { resample, smoothElevations, totalClimb, type ProfilePoint } from '../ride/route.ts';
import { GPX_LIMIT, groundDistance, parseTrack, type TrackPoint } from './gpx.ts';

/** Slower than this over so long it stands: a receiver drifts while nobody moves. Source: project. */
const STANDS_BELOW_MS = 0.7;
const STANDS_FOR_S = 6;
/** Speeds are looked at over so long, s. */
const WINDOW_S = 5;
/** Gaps longer than this are no riding: the receiver was off, or indoors. */
const GAP_S = 300;
const MOST_SPEED_MS = 45;

/** A ride read from a track, and what was seen on the way. */
export interface TrackRide {
  ride: LoggedRide;
  notes: string[];
}

/** Leaves out points of a profile that lie within so much of the straight line between their neighbours; both ends stay. */
export function simplified(points: readonly ProfilePoint[], most = MOST_PROFILE): [number, number][] {
  if (points.length <= most) return points.map((p) => [p.distanceM, p.elevationM]);
  const within = (tolerance: number): ProfilePoint[] => {
    const keep = new Uint8Array(points.length);
    keep[0] = keep[points.length - 1] = 1;
    const open: [number, number][] = [[0, points.length - 1]];
    for (let span = open.pop(); span; span = open.pop()) {
      const [from, to] = span;
      const a = points[from] as ProfilePoint;
      const b = points[to] as ProfilePoint;
      let worst = 0;
      let at = -1;
      for (let i = from + 1; i < to; i++) {
        const p = points[i] as ProfilePoint;
        const share = (p.distanceM - a.distanceM) / Math.max(1e-9, b.distanceM - a.distanceM);
        const off = Math.abs(p.elevationM - (a.elevationM + (b.elevationM - a.elevationM) * share));
        if (off > worst) {
          worst = off;
          at = i;
        }
      }
      if (worst > tolerance) {
        keep[at] = 1;
        open.push([from, at], [at, to]);
      }
    }
    return points.filter((_, i) => keep[i] === 1);
  };
  let [low, high] = [0, 64];
  while (within(high).length > most) high *= 2;
  for (let i = 0; i < 18; i++) {
    const middle = (low + high) / 2;
    if (within(middle).length > most) low = middle;
    else high = middle;
  }
  return within(high).map((p) => [p.distanceM, p.elevationM]);
}

/**
 * A track with times as a ride: way and time moving, stops, heights smoothed as a road’s are. Standing drift counts for
 * nothing; a gap of minutes counts as standing.
 * @param zoneMinutes the reader’s zone on a moment, seconds since 1970: minutes east of UTC
 */
export function readTrackRide(
  text: string,
  id: string,
  fallbackName: string,
  zoneMinutes: (timeS: number) => number,
): ReadResult<TrackRide> {
  if (text.length > GPX_LIMIT)
    return {
      ok: false,
      problems: [
        {
          path: '(document)',
          message: `larger than ${GPX_LIMIT / 1_000_000} million characters; cut the track shorter`,
        },
      ],
    };
  const parsed = parseTrack(text, true);
  if (!parsed.ok) return parsed;
  const { points, name } = parsed.value;
  const untimed = points.findIndex((p) => p.timeS === null);
  if (untimed >= 0)
    return {
      ok: false,
      problems: [
        { path: `point ${untimed + 1}`, message: 'has no time: a road is read in Brief, a ride wants its times' },
      ],
    };
  for (let i = 1; i < points.length; i++) {
    const before = points[i - 1] as TrackPoint;
    const here = points[i] as TrackPoint;
    if ((here.timeS as number) < (before.timeS as number))
      return { ok: false, problems: [{ path: `point ${i + 1}`, message: 'goes back in time' }] };
  }
  return rideOf(points, id, name === '' ? fallbackName : name, zoneMinutes);
}

function rideOf(
  points: readonly TrackPoint[],
  id: string,
  name: string,
  zoneMinutes: (timeS: number) => number,
): ReadResult<TrackRide> {
  const n = points.length;
  const time = points.map((p) => p.timeS as number);
  const raw = new Float64Array(n);
  for (let i = 1; i < n; i++) {
    const [a, b] = [points[i - 1] as TrackPoint, points[i] as TrackPoint];
    const step = groundDistance(a.lat, a.lon, b.lat, b.lon);
    const dt = (time[i] as number) - (time[i - 1] as number);
    if (step > MOST_SPEED_MS * Math.max(1, dt) + 50)
      return {
        ok: false,
        problems: [
          {
            path: `point ${i + 1}`,
            message: `lies ${Math.round(step)} m from the point before it, ${Math.round(dt)} s later`,
          },
        ],
      };
    raw[i] = (raw[i - 1] as number) + step;
  }
  // As the crow flies over the window: drift to and fro is no speed.
  const moving = new Uint8Array(n);
  let from = 0;
  for (let i = 1; i < n; i++) {
    while ((time[i] as number) - (time[from] as number) > WINDOW_S && from < i - 1) from++;
    const [a, b] = [points[from] as TrackPoint, points[i] as TrackPoint];
    const dt = Math.max(1e-3, (time[i] as number) - (time[from] as number));
    const gap = (time[i] as number) - (time[i - 1] as number);
    moving[i] = Number(gap <= GAP_S && groundDistance(a.lat, a.lon, b.lat, b.lon) / dt >= STANDS_BELOW_MS);
  }
  let stops = 0;
  let still = 0;
  let movingS = 0;
  let distanceM = 0;
  let gaps = 0;
  const along: { distanceM: number; ele: number | null }[] = [{ distanceM: 0, ele: points[0]?.ele ?? null }];
  for (let i = 1; i < n; i++) {
    const dt = (time[i] as number) - (time[i - 1] as number);
    if (dt > GAP_S) gaps++;
    if (moving[i] === 1) {
      // A stop counts once it is over, and between two stretches ridden.
      if (still >= STANDS_FOR_S && distanceM > 0) stops++;
      still = 0;
      movingS += dt;
      distanceM += (raw[i] as number) - (raw[i - 1] as number);
      along.push({ distanceM, ele: (points[i] as TrackPoint).ele });
    } else still += dt;
  }
  if (distanceM < 50) return { ok: false, problems: [{ path: '(document)', message: 'nothing moved on this track' }] };
  const known = along.filter((p): p is { distanceM: number; ele: number } => p.ele !== null);
  const notes: string[] = [];
  let profile: [number, number][] = [];
  let climbM: number | null = null;
  if (known.length < 2) notes.push('The track has no heights: its hills are missing.');
  else {
    const ends = [...known.map((p) => ({ distanceM: p.distanceM, elevationM: p.ele }))];
    if ((ends[0] as ProfilePoint).distanceM > 0)
      ends.unshift({ distanceM: 0, elevationM: (ends[0] as ProfilePoint).elevationM });
    const smooth = smoothElevations(resample(ends));
    climbM = totalClimb(smooth);
    profile = simplified(smooth).map(([d, e]) => [Math.round(d), Math.round(e * 10) / 10]);
  }
  const timeS = (time[n - 1] as number) - (time[0] as number);
  if (gaps > 0)
    notes.push(`${gaps} gap${gaps === 1 ? '' : 's'} of more than ${GAP_S / 60} minutes counted as standing.`);
  const at = momentText(Math.floor(((time[0] as number) + zoneMinutes(time[0] as number) * 60) / 60)).slice(0, 16);
  const read = loggedRideSchema.safeParse({
    kind: 'ride',
    id,
    at,
    name: name.slice(0, 120),
    from: 'track',
    distanceM: Math.round(distanceM),
    timeS: Math.round(timeS),
    movingS: Math.round(movingS),
    stops,
    energyWh: null,
    climbM: climbM === null ? null : Math.round(climbM),
    profile,
  });
  if (!read.success)
    return { ok: false, problems: [{ path: '(document)', message: 'is no ride: its times or way lie out of bounds' }] };
  return { ok: true, value: { ride: read.data, notes } };
}
