import { byTime, type Log, type LogEntry } from '../build/log.ts';
import { dateOf, dayOf, daysBetween } from '../quantity/dates.ts';

/** How far a vehicle had gone when, and how far it goes a day. */
export interface Odometer {
  /** Way at a moment, m. */
  at: (moment: string) => number;
  /** Charges up to a moment. */
  chargesAt: (moment: string) => number;
  /** Of the last weeks, m a day; null where nothing was ridden in them. */
  perDayM: number | null;
  /** Charges a day of the last weeks; null likewise. */
  chargesPerDay: number | null;
  /** Moment of the first line, or null. */
  since: string | null;
}

/** Over so many days the pace is taken. Source: project, long enough for a wet fortnight. */
const PACE_DAYS = 60;

/** Sums up to each moment, found by halving. */
function running(rows: readonly { at: string; by: number }[]): (moment: string) => number {
  const sums: number[] = [];
  let sum = 0;
  for (const { by } of rows) sums.push((sum += by));
  return (moment) => {
    let [low, high] = [0, rows.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((rows[middle]?.at ?? '') <= moment) low = middle + 1;
      else high = middle;
    }
    return low === 0 ? 0 : (sums[low - 1] as number);
  };
}

/**
 * A log’s way and charges over time. An odometer’s reading counts above the rides before it: rides nobody wrote down
 * are in it too.
 * @param now local moment the pace is taken to
 */
export function odometerOf({ entries }: Pick<Log, 'entries'>, now: string): Odometer {
  const known = read.get(entries);
  if (known?.now === now) return known.odometer;
  const odometer = summed(entries, now);
  read.set(entries, { now, odometer });
  return odometer;
}

/** A log does not change: it is summed up once a moment. */
const read = new WeakMap<readonly LogEntry[], { now: string; odometer: Odometer }>();

function summed(entries: readonly LogEntry[], now: string): Odometer {
  const lines = [...entries].sort(byTime);
  const ways: { at: string; by: number }[] = [];
  let total = 0;
  for (const line of lines) {
    const by =
      line.kind === 'ride'
        ? line.distanceM
        : line.kind === 'measurement' && line.what === 'odometer'
          ? Math.max(0, line.value - total)
          : 0;
    if (by === 0) continue;
    total += by;
    ways.push({ at: line.at, by });
  }
  const at = running(ways);
  const chargesAt = running(lines.filter((l) => l.kind === 'charge').map((l) => ({ at: l.at, by: 1 })));
  const first = lines[0]?.at ?? null;
  const days = first === null ? 0 : Math.min(PACE_DAYS, Math.max(1, daysBetween(first, now)));
  const since = dateOf(dayOf(now) - days);
  const back = (f: (moment: string) => number): number => {
    const from = lines.findLast((l) => l.at.slice(0, 10) < since)?.at ?? '';
    return f(now) - (from === '' ? 0 : f(from));
  };
  const way = days === 0 ? 0 : back(at);
  const charges = days === 0 ? 0 : back(chargesAt);
  return {
    at,
    chargesAt,
    perDayM: way > 0 ? way / days : null,
    chargesPerDay: charges > 0 ? charges / days : null,
    since: first,
  };
}
