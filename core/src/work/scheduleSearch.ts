import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { inOrder } from './scheduleBound.ts';
import type { Job, Plan } from './scheduled.ts';

/** Starts of all tasks, and when the last is done. */
export interface Found {
  starts: number[];
  finish: number;
}

/** Orders tried at most: as many for few tasks as are worth it before a proof is tried, else fewer the more tasks there are. */
const TRIES_OF_FEW = 3000;
const TRIES_TIMES_TASKS = 300_000;
const MANY = 30;

/**
 * Tasks put in one after another, each as early as what stands allows: the earliest schedule an order of preference
 * gives. Null where one finds no room.
 */
export function inserted(plan: Plan, order: readonly number[]): Found | null {
  const { calendar, tasks, hands } = plan;
  const starts = new Array<number>(tasks.length).fill(-1);
  const ends = new Array<number>(tasks.length).fill(-1);
  const laid: number[] = [];
  let finish = -Infinity;
  for (const i of order) {
    const job = tasks[i] as Job;
    let ready = job.release;
    for (const b of job.before) ready = Math.max(ready, (ends[b] as number) + (tasks[b] as Job).wait);
    let at = calendar.start(ready, job.minutes, job.splittable);
    for (;;) {
      if (at === Infinity) return null;
      const end = calendar.after(at, job.minutes);
      const free = clear(plan, job, at, end, laid, starts, ends, hands);
      if (free <= at) {
        starts[i] = at;
        ends[i] = end;
        laid.push(i);
        finish = Math.max(finish, end);
        break;
      }
      at = calendar.start(free, job.minutes, job.splittable);
    }
  }
  return { starts, finish };
}

/** The moment itself where a task may lie there; else the first at which something in its way is done. */
function clear(
  { tasks }: Plan,
  job: Job,
  at: number,
  end: number,
  laid: readonly number[],
  starts: readonly number[],
  ends: readonly number[],
  hands: number,
): number {
  let [blocked, soonest] = [false, Infinity];
  const over: number[] = [];
  for (const i of laid) {
    if ((starts[i] as number) >= end || (ends[i] as number) <= at) continue;
    over.push(i);
    soonest = Math.min(soonest, ends[i] as number);
    const other = tasks[i] as Job;
    if (other.tools.length > 0 && job.tools.some((t) => other.tools.includes(t))) blocked = true;
  }
  if (!blocked)
    // Hands are fewest free where something that overlaps it begins, or where it begins itself.
    for (const moment of [at, ...over.map((i) => starts[i] as number).filter((s) => s > at)]) {
      const held = over.reduce(
        (sum, i) =>
          (starts[i] as number) <= moment && (ends[i] as number) > moment ? sum + (tasks[i] as Job).hands : sum,
        0,
      );
      if (held + job.hands > hands) {
        blocked = true;
        break;
      }
    }
  return blocked ? soonest : at;
}

/** An order of preference kept, but each task after those before it. */
function lawful(tasks: readonly Job[], keys: readonly number[]): number[] {
  const left = tasks.map((t) => t.before.length);
  const open = tasks.flatMap((t) => (t.before.length === 0 ? [t.index] : []));
  const out: number[] = [];
  while (open.length > 0) {
    let best = 0;
    for (let k = 1; k < open.length; k++)
      if ((keys[open[k] as number] as number) < (keys[open[best] as number] as number)) best = k;
    const [i] = open.splice(best, 1) as [number];
    out.push(i);
    for (const f of (tasks[i] as Job).followers) if (--(left[f] as number) === 0) open.push(f);
  }
  return out;
}

/**
 * The best schedule found: by a few rules, then by changing the best order a little, worse ones taken now and then.
 * Seeded, so that the same case gives the same answer; it ends where the bound is met.
 */
export function improve(plan: Plan, bound: number): Found | null {
  const { tasks, tails } = plan;
  const rules: number[][] = [
    tasks.map((t) => -(tails[t.index] as number)),
    tasks.map((t) => -(tails[t.index] as number) + Math.max(0, t.release - (plan.calendar.windows[0]?.from ?? 0))),
    tasks.map((t) => -t.minutes),
    tasks.map((t) => -t.followers.length * 1000 - (tails[t.index] as number)),
    inOrder(tasks).reduce<number[]>((keys, i, k) => {
      keys[i] = k;
      return keys;
    }, []),
  ];
  let best: (Found & { keys: number[] }) | null = null;
  for (const keys of rules) {
    const found = inserted(plan, lawful(tasks, keys));
    if (found && (!best || found.finish < best.finish)) best = { ...found, keys };
    if (best && best.finish <= bound) return best;
  }
  const random = xoroshiro128plus(20_260_101 + tasks.length);
  const next = (): number => uniformFloat64(random);
  let now = best ?? { keys: rules[0] as number[], finish: Infinity, starts: [] as number[] };
  // Keys as places in an order, so that a change means the same everywhere.
  let keys = placesOf(now.keys);
  const tries = tasks.length <= MANY ? TRIES_OF_FEW : Math.round(TRIES_TIMES_TASKS / tasks.length);
  const span = Math.max(1, (best?.finish ?? bound) - (plan.calendar.windows[0]?.from ?? 0));
  for (let k = 0; k < tries; k++) {
    const heat = span * 0.02 * (1 - k / tries);
    const changed = [...keys];
    const times = next() < 0.5 ? 1 : 2;
    for (let c = 0; c < times; c++) {
      const i = Math.floor(next() * tasks.length);
      changed[i] =
        next() < 0.5 ? (keys[Math.floor(next() * tasks.length)] as number) + next() - 0.5 : next() * tasks.length;
    }
    const found = inserted(plan, lawful(tasks, changed));
    if (!found) continue;
    if (found.finish <= now.finish || next() < Math.exp((now.finish - found.finish) / Math.max(1e-9, heat))) {
      now = { ...found, keys: changed };
      keys = changed;
    }
    if (!best || found.finish < best.finish) best = { ...found, keys: changed };
    if (best.finish <= bound) break;
  }
  return best;
}

function placesOf(keys: readonly number[]): number[] {
  const sorted = keys.map((key, i) => ({ key, i })).sort((a, b) => a.key - b.key || a.i - b.i);
  const places = new Array<number>(keys.length);
  sorted.forEach(({ i }, place) => {
    places[i] = place;
  });
  return places;
}
