import type { Build } from '../build/build.ts';
import type { LoggedRide } from '../build/log.ts';
import { CONDITION_ERROR, SPREAD } from '../constants.ts';
import { flatRoute, routeLength, routeSegments } from '../ride/route.ts';
import { cutRoute, simulate } from '../ride/simulate.ts';
import type { RideSystem, RouteSegment } from '../ride/system.ts';
import { energyOf, type TuneJob, type TuneRide } from './tune.ts';

/** A ride’s way may differ from the build’s road by so much and still be it. Source: project, a detour. */
const SAME_ROAD = 0.12;
/** Grade of the one hill that stands for a rise nobody traced. Source: project. */
const UNTRACED_GRADE = 0.04;
/** Shorter rides tell nothing: the start outweighs the road, m. Source: project. */
const LEAST_RIDE_M = 1000;
const SLOWEST = 1.5;
const FASTEST = 16;

/** Where a ride’s road comes from, for the reader. */
export type RoadFrom = 'own road' | 'own road, one way' | 'its track' | 'its way and rise' | 'its way, taken as flat';

/** A profile as segments: grades between its points, wind against on the first half and from behind on the second. */
function profileSegments(
  profile: LoggedRide['profile'],
  ride: LoggedRide,
  headwindMs: number,
  targetMs: number,
): RouteSegment[] {
  const out: RouteSegment[] = [];
  const total = profile.at(-1)?.[0] ?? 0;
  const every = ride.stops === null ? 1000 : total / Math.max(1, ride.stops);
  let since = Infinity;
  for (let i = 1; i < profile.length; i++) {
    const [fromM, low] = profile[i - 1] as [number, number];
    const [toM, high] = profile[i] as [number, number];
    const lengthM = toM - fromM;
    if (lengthM <= 0) continue;
    const pieces = Math.max(1, Math.ceil(lengthM / every));
    for (let k = 0; k < pieces; k++) {
      const stop = since >= every - 1e-6 && ride.stops !== 0;
      if (stop) since = 0;
      out.push({
        lengthM: lengthM / pieces,
        grade: Math.max(-0.3, Math.min(0.3, (high - low) / lengthM)),
        targetMs,
        stop,
        headwindMs: (fromM + toM) / 2 < total / 2 ? headwindMs : -headwindMs,
      });
      since += lengthM / pieces;
    }
  }
  return out;
}

/** A hill up and down of so much rise in the middle of a flat way; all flat where it rises nowhere. */
function hillProfile(distanceM: number, climbM: number): LoggedRide['profile'] {
  const half = Math.min(distanceM / 2, climbM / UNTRACED_GRADE);
  if (climbM <= 0 || half <= 0)
    return [
      [0, 0],
      [distanceM, 0],
    ];
  const before = (distanceM - 2 * half) / 2;
  return [
    [0, 0],
    [before, 0],
    [before + half, climbM],
    [before + 2 * half, 0],
    [distanceM, 0],
  ];
}

/** The road a ride went, at a speed and with a wind, as segments. */
function segmentsOf(
  build: Build,
  ride: LoggedRide,
  targetMs: number,
  headwindMs: number | null,
): { from: RoadFrom; segments: RouteSegment[] } {
  const { brief } = build;
  const wind = headwindMs ?? brief.headwindMs;
  if (ride.profile.length > 1)
    return { from: 'its track', segments: profileSegments(ride.profile, ride, wind, targetMs) };
  const route = brief.route ?? flatRoute;
  if (ride.ownRoad) {
    const ways = brief.thereAndBack ? [true, false] : [false];
    for (const thereAndBack of ways) {
      const length = routeLength(route) * (thereAndBack ? 2 : 1);
      if (Math.abs(ride.distanceM / Math.max(1, length) - 1) > SAME_ROAD) continue;
      const on = {
        ...brief,
        thereAndBack,
        cruiseMs: targetMs,
        headwindMs: wind,
        // A wind that was told is told against travel.
        windFrom: headwindMs === null ? brief.windFrom : null,
      };
      return {
        from: thereAndBack === brief.thereAndBack ? 'own road' : 'own road, one way',
        segments: routeSegments(route, on),
      };
    }
  }
  return {
    from: ride.climbM === null ? 'its way, taken as flat' : 'its way and rise',
    segments: profileSegments(hillProfile(ride.distanceM, ride.climbM ?? 0), ride, wind, targetMs),
  };
}

/** A ride as the tuning takes it, with where its road comes from and what of its energy the day leaves open. */
export interface RideRoad {
  ride: TuneRide;
  from: RoadFrom;
  /** One standard deviation of its energy by wind and load as far as they were read, a share. */
  daySd: number;
  /** The road with a wind of so much more, for what would explain it. */
  windier: (byMs: number) => TuneRide;
}

/** How far a ride is known whose road was only told by its length, and by its rise. Source: project. */
const UNTRACED: Partial<Record<RoadFrom, number>> = { 'its way, taken as flat': 0.12, 'its way and rise': 0.06 };

/**
 * The road, air and load of a logged ride on a vehicle. Where its time is known it is ridden as fast as it was: the
 * target is found by riding it a few times. Null for a ride too short to tell.
 */
export function rideRoadOf(build: Build, nominal: RideSystem, ride: LoggedRide): RideRoad | null {
  if (ride.distanceM < LEAST_RIDE_M) return null;
  const { brief } = build;
  const job: Pick<TuneJob, 'system' | 'fine'> = { system: nominal, fine: true };
  const air = {
    ...nominal.air,
    temperatureC: ride.temperatureC ?? nominal.air.temperatureC,
    headwindMs: ride.headwindMs ?? nominal.air.headwindMs,
  };
  const loadKg = ride.massKg === null ? (ride.loadKg ?? 0) : ride.massKg - nominal.vehicle.massKg;
  const at = (targetMs: number, byMs = 0): { from: RoadFrom; ride: TuneRide } => {
    const wind = byMs === 0 ? ride.headwindMs : (ride.headwindMs ?? brief.headwindMs) + byMs;
    const { from, segments } = segmentsOf(build, ride, targetMs, wind);
    return {
      from,
      ride: { road: cutRoute(segments, air.headwindMs), air, loadKg, startCharge: ride.startCharge ?? 1 },
    };
  };
  const moving = ride.movingS ?? (ride.timeS > 0 ? ride.timeS : null);
  let targetMs = brief.cruiseMs;
  if (moving !== null && moving > 0) {
    const wanted = ride.distanceM / moving;
    targetMs = Math.max(SLOWEST, Math.min(FASTEST, wanted * 1.05));
    for (let i = 0; i < 3; i++) {
      const { road, startCharge } = at(targetMs).ride;
      const { meanMs } = simulate({ ...nominal, air }, road, { repeat: false, fine: true, startCharge });
      // Held up by hills, not by its target: more of it helps nothing.
      targetMs = Math.max(
        SLOWEST,
        Math.min(FASTEST, targetMs * Math.min(1.3, Math.max(0.7, wanted / Math.max(0.5, meanMs)))),
      );
    }
  }
  const here = at(targetMs);
  const still = [0, 0, 0, 0];
  const log = (r: TuneRide): number => Math.log(energyOf(job, r, still));
  const base = log(here.ride);
  const windSd = ride.headwindMs === null ? SPREAD.windMs : CONDITION_ERROR.windMs;
  const wind = (log(at(targetMs, windSd).ride) - log(at(targetMs, -windSd).ride)) / 2;
  const loadSd = ride.massKg !== null ? CONDITION_ERROR.mass : SPREAD.load;
  const load = log({ ...here.ride, loadKg: loadKg + loadSd * nominal.vehicle.massKg }) - base;
  return {
    ride: here.ride,
    from: here.from,
    daySd: Math.hypot(wind, load, UNTRACED[here.from] ?? 0),
    windier: (byMs) => at(targetMs, byMs).ride,
  };
}
