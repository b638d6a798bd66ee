import { unknowns, type Unknown } from '../build/tuned.ts';
import { flatRoute, routeSegments } from '../ride/route.ts';
import { cutRoute } from '../ride/simulate.ts';
import type { RouteSegment } from '../ride/system.ts';
import { spreadOf, weighed } from '../quantity/normals.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { systemOf } from '../vehicle/system.ts';
import { untold } from '../vehicle/told.ts';
import { beliefBefore, energyOf, type Belief, type TuneJob, type TuneRide } from './tune.ts';
import { usualPrior } from './tuneLab.ts';

/** What rides told of one unknown. */
export interface Told {
  unknown: Unknown;
  /** Times its nominal, with one standard deviation in the logarithm, and before any ride. */
  times: number;
  sd: number;
  before: number;
  /** As open as before. */
  open: boolean;
  /** Another with which it cannot be told apart. */
  with: Unknown | null;
}

/** A ride that would tell, and by how much it would narrow the forecast. */
export interface TellingRide {
  id: 'fast' | 'slow' | 'legs' | 'hill' | 'empty';
  words: string;
  /** Spread of the own road’s energy now and after it, shares. */
  now: number;
  after: number;
}

/** An unknown stays open while it keeps this share of its first width, and two go together beyond this correlation. Source: project. */
const OPEN = 0.85;
const TOGETHER = 0.7;
/** A ride for the sake of tuning is read off a meter, its wind looked at. */
const CAREFUL_SD = 0.04;
/** Less gained than this share is not worth a ride. */
const LEAST_GAIN = 0.08;

/** What a belief says of each unknown. */
export function toldOf(belief: Belief): Told[] {
  return unknowns.map((unknown, i) => {
    const row = belief.cov[i] as readonly number[];
    const sd = Math.sqrt(row[i] as number);
    let other: Unknown | null = null;
    let most = TOGETHER;
    unknowns.forEach((u, j) => {
      if (j === i || sd === 0) return;
      const sdJ = Math.sqrt((belief.cov[j] as readonly number[])[j] as number);
      const r = sdJ === 0 ? 0 : Math.abs((row[j] as number) / (sd * sdJ));
      if (r > most) {
        most = r;
        other = u;
      }
    });
    return {
      unknown,
      times: Math.exp(belief.at[i] as number),
      sd,
      before: usualPrior[unknown],
      open: sd > OPEN * usualPrior[unknown],
      with: other,
    };
  });
}

function slopesOf(job: Pick<TuneJob, 'system' | 'fine'>, ride: TuneRide, belief: Belief): number[] {
  return unknowns.map((_, i) => {
    const by = Math.max(0.02, Math.sqrt((belief.cov[i] as readonly number[])[i] as number) / 2);
    const moved = (x: number): number[] => belief.at.map((v, j) => (j === i ? v + x : v));
    return (Math.log(energyOf(job, ride, moved(by))) - Math.log(energyOf(job, ride, moved(-by)))) / (2 * by);
  });
}

const level = (lengthM: number, targetMs: number): RouteSegment => ({
  lengthM,
  grade: 0,
  targetMs,
  stop: false,
});

/**
 * The one ride that would narrow the forecast of the build’s own road most: each kind is tried on the model, and what it
 * would leave open reckoned. Null where none is worth it, or nothing can be ridden.
 */
export function tellingRide(context: PlanContext, belief: Belief): TellingRide | null {
  const plain = context.on(untold(context.build));
  if (!plain.reckoning) return null;
  const { build } = plain;
  const nominal = systemOf(build, plain.asItWillBe);
  const job = { system: nominal, fine: true };
  const air = { ...nominal.air, headwindMs: 0 };
  const limit = nominal.controller.assistLimitMs ?? build.brief.cruiseMs;
  const rideOf = (segments: RouteSegment[], startCharge = 1): TuneRide => ({
    road: cutRoute(segments, 0),
    air,
    loadKg: 0,
    startCharge,
  });
  const own: TuneRide = {
    road: cutRoute(routeSegments(build.brief.route ?? flatRoute, build.brief), build.brief.headwindMs),
    air: nominal.air,
    loadKg: 0,
    startCharge: 1,
  };
  const forecast = slopesOf(job, own, belief);
  const now = spreadOf(forecast, belief.cov);
  const fast = Math.min(limit * 0.95, build.brief.cruiseMs * 1.15);
  const hill: RouteSegment[] = [
    { lengthM: 1000, grade: 0.05, targetMs: build.brief.cruiseMs, stop: false },
    { lengthM: 1000, grade: -0.05, targetMs: build.brief.cruiseMs, stop: false },
    { lengthM: 1000, grade: 0.05, targetMs: build.brief.cruiseMs, stop: false },
    { lengthM: 1000, grade: -0.05, targetMs: build.brief.cruiseMs, stop: false },
  ];
  const kinds: { id: TellingRide['id']; words: string; ride: TuneRide }[] = [
    {
      id: 'fast',
      words: 'a level ride of 6 km at a steady high speed, on a still day, off a meter',
      ride: rideOf([level(6000, fast)]),
    },
    {
      id: 'slow',
      words: 'a level ride of 6 km at a slow steady 12 km/h, on a still day, off a meter',
      ride: rideOf([level(6000, 12 / 3.6)]),
    },
    { id: 'hill', words: 'the same hill up and down twice, off a meter', ride: rideOf(hill) },
  ];
  const tried = kinds.map(({ id, words, ride }) => {
    const { cov } = weighed(
      [{ slopes: slopesOf(job, ride, belief), rest: 0, weight: 1 / CAREFUL_SD ** 2 }],
      belief.at,
      belief,
    );
    return { id, words, now, after: spreadOf(forecast, cov) };
  });
  // Legs alone on a hub’s drive: what they give is told by riding without them.
  const legsRide = rideOf([level(6000, fast)]);
  if (nominal.rider.powerW > 0) {
    const alone = { ...job, system: { ...nominal, rider: { ...nominal.rider, powerW: 0 } } };
    const slopes = slopesOf(alone, legsRide, belief);
    const { cov } = weighed([{ slopes, rest: 0, weight: 1 / CAREFUL_SD ** 2 }], belief.at, belief);
    tried.push({
      id: 'legs',
      words: 'a level ride of 6 km with the feet still, off a meter',
      now,
      after: spreadOf(forecast, cov),
    });
  }
  const best = tried.reduce((a, b) => (b.after < a.after ? b : a));
  if (now > 0 && best.after < now * (1 - LEAST_GAIN)) return best;
  // Energy is told: what is open is how much the battery holds.
  const health = unknowns.indexOf('health');
  const healthSd = Math.sqrt((belief.cov[health] as readonly number[])[health] as number);
  return healthSd > now && healthSd > 0.02
    ? {
        id: 'empty',
        words: 'one ride from full until it cuts out, near home, off a meter: it tells what the battery holds',
        now: Math.hypot(now, healthSd),
        after: Math.hypot(now, 0.02),
      }
    : null;
}

/** Spread of the own road’s energy before any ride and now, shares: how much narrower the forecast is. */
export function narrowed(context: PlanContext, belief: Belief): { before: number; now: number } | null {
  const plain = context.on(untold(context.build));
  if (!plain.reckoning) return null;
  const nominal = systemOf(plain.build, plain.asItWillBe);
  const job = { system: nominal, fine: true };
  const own: TuneRide = {
    road: cutRoute(
      routeSegments(plain.build.brief.route ?? flatRoute, plain.build.brief),
      plain.build.brief.headwindMs,
    ),
    air: nominal.air,
    loadKg: 0,
    startCharge: 1,
  };
  const first = beliefBefore(usualPrior);
  return {
    before: spreadOf(slopesOf(job, own, first), first.cov),
    now: spreadOf(slopesOf(job, own, belief), belief.cov),
  };
}
