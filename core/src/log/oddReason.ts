import type { LoggedRide } from '../build/log.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import type { RideRoad } from './rideRoad.ts';
import { energyOf, type TuneJob, type TuneRide } from './tune.ts';

/** Something that would explain an odd ride, and how unlikely it is by itself. */
export interface OddReason {
  id: 'wind' | 'tyre' | 'load' | 'legs';
  words: Phrase;
  /** Standard deviations of it that it takes: the fewer the likelier. */
  takes: number;
}

interface Cause {
  id: OddReason['id'];
  /** One standard deviation of it, and the furthest that is believed. */
  sd: number;
  furthest: number;
  /** The ride with so much of it. */
  with: (x: number) => { ride: TuneRide; at: readonly number[] };
  words: (x: number) => Phrase;
  signs: readonly (1 | -1)[];
}

/** A soft tyre rolls this much harder, one standard deviation in the logarithm. Source: project. */
const TYRE_SD = 0.35;
/** A load that nobody told, kg. Source: project. */
const LOAD_SD = 10;
const TOLD_LOAD_SD = 3;
/** Wind that was not looked at, and one that was, m/s. Source: project. */
const WIND_SD = 2.5;
const TOLD_WIND_SD = 1.2;
/** Legs of a day against legs of a season, in the logarithm. Source: project. */
const LEGS_SD = 0.3;

/** What it would take more of than this is no explanation. */
const MOST_TAKES = 4;

/** Where a rising or falling function of x meets a value between 0 and a furthest; null where it does not. */
function reaches(f: (x: number) => number, value: number, furthest: number): number | null {
  const rises = f(furthest) > f(0);
  const past = (x: number): boolean => (rises ? f(x) >= value : f(x) <= value);
  if (past(0) || !past(furthest)) return null;
  let low = 0;
  let high = furthest;
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2;
    if (past(middle)) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/**
 * What would explain a ride that took so much more or less than foretold, likeliest first: wind, a soft tyre, load, the
 * legs of that day, each by itself. Empty: nothing usual does, so look at the reading.
 */
export function oddReasons(
  job: Pick<TuneJob, 'system' | 'fine'>,
  logged: LoggedRide,
  road: RideRoad,
  at: readonly number[],
  wh: number,
): OddReason[] {
  const { ride } = road;
  const shifted = (i: number, by: number): number[] => at.map((v, j) => (j === i ? v + by : v));
  const causes: Cause[] = [
    {
      id: 'wind',
      sd: logged.headwindMs === null ? WIND_SD : TOLD_WIND_SD,
      furthest: 12,
      signs: [1, -1],
      with: (x) => ({ ride: road.windier(x), at }),
      words: (x) =>
        x > 0
          ? phrase`${amount(x, 'speed')} more wind against on the way out would do it`
          : phrase`${amount(-x, 'speed')} less wind against on the way out would do it`,
    },
    {
      id: 'tyre',
      sd: TYRE_SD,
      furthest: 1.2,
      signs: [1],
      with: (x) => ({ ride, at: shifted(1, x) }),
      words: (x) => phrase`a soft tyre would do it: rolling × ${Math.exp(x).toFixed(1)}, about ${softWords(x)}`,
    },
    {
      id: 'load',
      sd: logged.massKg === null && logged.loadKg === null ? LOAD_SD : TOLD_LOAD_SD,
      furthest: 60,
      signs: [1, -1],
      with: (x) => ({ ride: { ...ride, loadKg: ride.loadKg + x }, at }),
      words: (x) =>
        x > 0
          ? phrase`${amount(x, 'mass', 0)} more aboard would do it`
          : phrase`${amount(-x, 'mass', 0)} less aboard would do it`,
    },
    {
      id: 'legs',
      sd: LEGS_SD,
      furthest: 1.4,
      signs: [1, -1],
      with: (x) => ({ ride, at: shifted(2, -x) }),
      words: (x) =>
        x > 0
          ? phrase`legs that gave ${Math.round((1 - Math.exp(-x)) * 100)} % less than usual would do it`
          : phrase`legs that gave ${Math.round((Math.exp(-x) - 1) * 100)} % more than usual would do it`,
    },
  ];
  const value = Math.log(wh);
  return causes
    .flatMap((cause): OddReason[] =>
      cause.signs.flatMap((sign) => {
        const x = reaches(
          (by) => {
            const moved = cause.with(sign * by);
            return Math.log(energyOf(job, moved.ride, moved.at));
          },
          value,
          cause.furthest,
        );
        return x === null ? [] : [{ id: cause.id, words: cause.words(sign * x), takes: x / cause.sd }];
      }),
    )
    .filter((r) => r.takes <= MOST_TAKES)
    .sort((a, b) => a.takes - b.takes);
}

/** Rolling against pressure, by the root a tyre’s casing follows: so much of the usual pressure. Source: project. */
const softWords = (x: number): string => `${Math.max(10, Math.round(Math.exp(-x / 0.7) * 10) * 10)} % of its pressure`;
