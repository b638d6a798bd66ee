import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { Bench } from './scheduleBench.ts';
import { inOrder } from './scheduleBound.ts';
import type { Job, Plan } from './scheduled.ts';

/** Starts of all tasks, and when the last is done. */
export interface Found {
  starts: number[];
  finish: number;
}

/** Orders tried at most: as many for few tasks as are worth it before a proof is tried, else fewer the more tasks there are. */
const TRIES_OF_FEW = 8000;
const TRIES_MOST = 40_000;
const TRIES_TIMES_SQUARE = 100_000_000;
const MANY = 30;
/** Where so much is still between finish and bound, as a share of the time to the bound, it is tried once more. */
const FAR = 0.01;
const ROUNDS = 2;
/** How much worse an order is taken at first, as a share of all bench time to the finish. */
const HEAT = 0.002;

/**
 * Tasks put in one after another, each as early as what stands allows: the earliest schedule an order of preference
 * gives. Null where one finds no room.
 */
export function inserted(plan: Plan, order: readonly number[]): Found | null {
  const bench = new Bench(plan);
  const finish = bench.lay(order);
  return finish === Infinity ? null : { starts: [...bench.starts], finish };
}

/** Orders in which each task comes after those before it, made from preferences: the least key of those open first. */
class Orders {
  readonly order: Int32Array;
  private readonly tasks: readonly Job[];
  private readonly left: Int32Array;
  private readonly open: Int32Array;

  constructor(tasks: readonly Job[]) {
    this.tasks = tasks;
    this.order = new Int32Array(tasks.length);
    this.left = new Int32Array(tasks.length);
    this.open = new Int32Array(tasks.length);
  }

  /** The order of some keys; the same array each time. */
  by(keys: ArrayLike<number>): Int32Array {
    const { tasks, order, left, open } = this;
    let many = 0;
    for (const t of tasks) {
      left[t.index] = t.before.length;
      if (t.before.length === 0) open[many++] = t.index;
    }
    for (let n = 0; many > 0; n++) {
      let best = 0;
      for (let k = 1; k < many; k++)
        if ((keys[open[k] as number] as number) < (keys[open[best] as number] as number)) best = k;
      const i = open[best] as number;
      open[best] = open[--many] as number;
      order[n] = i;
      for (const f of (tasks[i] as Job).followers) {
        const waits = (left[f] as number) - 1;
        left[f] = waits;
        if (waits === 0) open[many++] = f;
      }
    }
    return order;
  }
}

/**
 * The best schedule found: by a few rules, then by changing the best order a little, worse ones taken now and then.
 * Seeded, so that the same case gives the same answer; it ends where the bound is met.
 */
export function improve(plan: Plan, bound: number): Found | null {
  const { tasks, tails } = plan;
  const n = tasks.length;
  const begin = plan.calendar.windows[0]?.from ?? 0;
  const rules: number[][] = [
    tasks.map((t) => -(tails[t.index] as number)),
    tasks.map((t) => -(tails[t.index] as number) + Math.max(0, t.release - begin)),
    tasks.map((t) => -t.minutes),
    tasks.map((t) => -t.followers.length * 1000 - (tails[t.index] as number)),
    inOrder(tasks).reduce<number[]>((keys, i, k) => {
      keys[i] = k;
      return keys;
    }, []),
  ];
  const bench = new Bench(plan);
  const orders = new Orders(tasks);
  const best: Found = { starts: [], finish: Infinity };
  let keys = Float64Array.from(rules[0] as number[]);
  const better = (finish: number): boolean => {
    if (finish >= best.finish) return false;
    best.finish = finish;
    best.starts = [...bench.starts];
    return true;
  };
  for (const rule of rules) {
    if (better(bench.lay(orders.by(rule)))) keys = Float64Array.from(rule);
    if (best.finish <= bound) return best;
  }
  const random = xoroshiro128plus(20_260_101 + n);
  const next = (): number => uniformFloat64(random);
  // Keys as places in an order, so that a change means the same everywhere.
  keys = placesOf(keys);
  // Worse is told in bench time: to run over into the next evening is a little worse, not a night and a day.
  const { calendar } = plan;
  let now = calendar.worked(best.finish);
  const tries = Math.round(n <= MANY ? TRIES_OF_FEW : Math.min(TRIES_MOST, TRIES_TIMES_SQUARE / (n * n)));
  const span = Math.max(1, calendar.worked(Math.min(best.finish, bound)));
  let changed = keys.slice();
  let kept = keys.slice();
  for (let round = 0; round < ROUNDS; round++) {
    if (round > 0) {
      if (n <= MANY || best.finish - bound <= FAR * (bound - begin)) break;
      keys = kept.slice();
      now = calendar.worked(best.finish);
    }
    for (let k = 0; k < tries; k++) {
      const heat = Math.max(1e-9, span * HEAT * (1 - k / tries));
      changed.set(keys);
      const times = next() < 0.5 ? 1 : 2;
      for (let c = 0; c < times; c++) {
        const i = Math.floor(next() * n);
        changed[i] = next() < 0.5 ? (keys[Math.floor(next() * n)] as number) + next() - 0.5 : next() * n;
      }
      // A worse one is taken up to a limit drawn beforehand: what must come after it need not be laid to its end.
      const limit = calendar.after(begin, now - heat * Math.log(1 - next()));
      const finish = bench.lay(orders.by(changed), limit);
      if (finish > limit || finish === Infinity) continue;
      now = calendar.worked(finish);
      [keys, changed] = [changed, keys];
      if (!better(finish)) continue;
      if (finish <= bound) return best;
      kept = keys.slice();
    }
  }
  return best.finish === Infinity ? null : best;
}

function placesOf(keys: ArrayLike<number>): Float64Array<ArrayBuffer> {
  const sorted = Array.from(keys, (key, i) => ({ key, i })).sort((a, b) => a.key - b.key || a.i - b.i);
  const places = new Float64Array(keys.length);
  sorted.forEach(({ i }, place) => {
    places[i] = place;
  });
  return places;
}
