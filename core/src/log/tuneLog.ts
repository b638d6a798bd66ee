import type { Build } from '../build/build.ts';
import { byTime, entriesOf, type LoggedRide } from '../build/log.ts';
import { unknowns, type Ridden, type Unknown } from '../build/tuned.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { systemOf } from '../vehicle/system.ts';
import { untold } from '../vehicle/told.ts';
import { energyRead } from './energyRead.ts';
import { oddReasons, type OddReason } from './oddReason.ts';
import { rideRoadOf, type RideRoad, type RoadFrom } from './rideRoad.ts';
import { beliefBefore, tuneInSteps, type Belief, type RideTold, type TuneJob, type TuneSeen } from './tune.ts';
import { usualPrior } from './tuneLab.ts';

/** A ride of the log as the tuning saw it. */
export interface RideSeen {
  id: string;
  at: string;
  /** Out of the battery, Wh; null where nobody knows. */
  wh: number | null;
  /** Why it tells nothing; null where it does. */
  not: string | null;
  road: RoadFrom | null;
  told: RideTold | null;
  /** What would explain an odd one, likeliest first. */
  reasons: OddReason[];
}

/** What a whole log tells. */
export interface LogTuning {
  rides: RideSeen[];
  belief: Belief;
  /** Rides it comes from, and how many stand out. */
  count: number;
  odd: number;
  /** To be kept with the build; null before the first ride. */
  ridden: Ridden | null;
  /** Changes that split the log: what they touch is not told by the rides before. */
  splits: { at: string; what: string; touches: Unknown[] }[];
}

/** So many rides are judged together; what they leave open is where the next begin. */
const TOGETHER = 12;
/** The last so many rides are asked; older ones are another season’s. */
const MOST_TUNED = 120;
/** Legs, tyres and battery drift between one dozen rides and the next, one standard deviation in the logarithm. Source: project. */
const DRIFT: Record<Unknown, number> = { cdaM2: 0.01, crr: 0.02, riderPowerW: 0.05, health: 0.01 };

/** A belief before rides of a vehicle of which something was changed: that is as little known as at first. */
export function changed(belief: Belief, touches: readonly Unknown[]): Belief {
  const first = beliefBefore(usualPrior);
  const hit = unknowns.map((u) => touches.includes(u));
  return {
    at: belief.at.map((x, i) => (hit[i] ? 0 : x)),
    cov: belief.cov.map((row, i) =>
      row.map((x, j) => (hit[i] || hit[j] ? ((first.cov[i] as readonly number[])[j] as number) : x)),
    ),
  };
}

/** A belief as it is some rides later: it drifts, and never past what is supposed at first. */
const drifted = (belief: Belief): Belief => ({
  at: belief.at,
  cov: belief.cov.map((row, i) =>
    row.map((x, j) => {
      const unknown = unknowns[i] as Unknown;
      return i === j ? Math.max(x, Math.min(x + DRIFT[unknown] ** 2, usualPrior[unknown] ** 2)) : x;
    }),
  ),
});

/** Rides that are told of, oldest first, and what was changed between them. */
interface Chapter {
  touches: Unknown[];
  rides: { logged: LoggedRide; road: RideRoad; seen: TuneSeen }[];
}

/**
 * What the rides of a build’s log tell of it: forecast against fact for each before it was used, odd ones with what
 * would explain them, and where they leave drag, rolling, legs and health. A change splits the log for what it touches.
 * Stops between rides with the share that is done. Null without kit and pack.
 */
export function* tuneLogInSteps(context: PlanContext): Generator<number, LogTuning | null> {
  const plain: PlanContext = context.on(untold(context.build));
  if (!plain.kit || !plain.pack || !plain.reckoning) return null;
  const nominal = systemOf(plain.build, plain.asItWillBe);
  const build: Build = plain.build;
  const rides = entriesOf(build.log, 'ride').sort(byTime);
  const changes = entriesOf(build.log, 'change')
    .filter((c) => c.touches.length > 0)
    .sort(byTime);
  const seen = new Map<string, RideSeen>();
  const chapters: Chapter[] = [{ touches: [], rides: [] }];
  const askFrom = rides[Math.max(0, rides.length - MOST_TUNED)]?.at ?? '';
  let next = 0;
  for (const logged of rides) {
    while (next < changes.length && (changes[next]?.at ?? '') <= logged.at)
      chapters.push({ touches: [...(changes[next++]?.touches ?? [])], rides: [] });
    const read = energyRead(logged, nominal.pack);
    const tooOld = logged.at < askFrom;
    const road = tooOld || 'not' in read ? null : rideRoadOf(build, nominal, logged);
    if (road) yield (0.2 * seen.size) / Math.max(1, rides.length);
    const not =
      'not' in read
        ? read.not
        : tooOld
          ? `older than the last ${MOST_TUNED} rides`
          : road
            ? logged.counts === false
              ? 'left out by hand'
              : null
            : 'too short to tell anything';
    seen.set(logged.id, {
      id: logged.id,
      at: logged.at,
      wh: 'not' in read ? null : read.wh,
      not,
      road: road?.from ?? null,
      told: null,
      reasons: [],
    });
    if (!road || 'not' in read) continue;
    let chapter = chapters.at(-1) as Chapter;
    if (chapter.rides.length >= TOGETHER) chapters.push((chapter = { touches: [], rides: [] }));
    chapter.rides.push({
      logged,
      road,
      seen: { ...road.ride, energyWh: read.wh, energySd: Math.hypot(read.sd, road.daySd), counts: logged.counts },
    });
  }
  while (next < changes.length) chapters.push({ touches: [...(changes[next++]?.touches ?? [])], rides: [] });
  const base: TuneJob = { system: nominal, before: beliefBefore(usualPrior), rides: [], forecast: [], fine: true };
  let belief: Belief = base.before;
  let count = 0;
  let odd = 0;
  let last = '';
  chapters.forEach((c, i) => (c.touches = i === 0 ? [] : c.touches));
  for (const [i, chapter] of chapters.entries()) {
    if (i > 0) belief = chapter.touches.length > 0 ? changed(belief, chapter.touches) : drifted(belief);
    if (chapter.rides.length === 0) continue;
    const steps = tuneInSteps({ ...base, before: belief, rides: chapter.rides.map((r) => r.seen) });
    let step = steps.next();
    for (let k = 0; !step.done; k++, step = steps.next())
      // How many rounds it takes shows when it is done: ever nearer to the chapter's end.
      yield 0.2 + (0.8 * (i + k / (k + 4 * chapter.rides.length))) / chapters.length;
    const tuned = step.value;
    belief = tuned.belief;
    for (const [k, { logged, road, seen: ride }] of chapter.rides.entries()) {
      const told = tuned.rides[k] as RideTold;
      const row = seen.get(logged.id) as RideSeen;
      const standsOut = told.odd && logged.counts !== false;
      row.told = { ...told, odd: standsOut };
      if (standsOut) {
        odd++;
        row.reasons = oddReasons(base, logged, road, belief.at, ride.energyWh);
        yield 0.2 + (0.8 * (i + 1)) / chapters.length;
      }
      if (!told.odd) {
        count++;
        last = logged.at;
      }
    }
  }
  return {
    rides: rides.map((r) => seen.get(r.id) as RideSeen),
    belief,
    count,
    odd,
    ridden:
      count === 0
        ? null
        : {
            at: belief.at.map((x) => round(x)),
            cov: belief.cov.map((row) => row.map((x) => round(x))),
            count,
            last,
            packId: plain.pack.id,
          },
    splits: changes.map((c) => ({ at: c.at, what: c.what, touches: [...c.touches] })),
  };
}

/** Kept to so many places that a file stays readable and the same log gives the same file. */
const round = (x: number): number => Math.round(x * 1e9) / 1e9;
