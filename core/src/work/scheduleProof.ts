import { inOrder } from './scheduleBound.ts';
import { Minutes } from './scheduleMinutes.ts';
import type { Plan } from './scheduled.ts';

/** Moments looked at before a proof is given up. */
const MOST_NODES = 400_000;

/** Where the search stands: what is begun, in the order in which it began. Minutes of the table. */
interface State {
  /** Nothing more begins before. */
  at: number;
  /** When the hands are free, soonest first; with one pair, twice the same. */
  first: number;
  second: number;
  /** When each tool is free. */
  tools: readonly number[];
  /** When each task begun is done and waited out, and when the last of them is done. */
  ready: readonly number[];
  end: number;
}

/** What was tried with some tasks begun: the best of it, none better than another in everything. */
type Tried = Map<number, State[]>;

/**
 * The least finish there is, by trying every order in which tasks may begin: each as early as the hands and tools then
 * free allow. Left out is what cannot come under the best known, what wastes room that another task would have fitted
 * into whole, and what stands no better than something tried before with the same tasks begun. Times in whole minutes.
 * @param known finish of the best schedule known
 */
export function prove(
  plan: Plan,
  known: number,
  bound: number,
): { starts: number[] | null; finish: number; whole: boolean } {
  const table = Minutes.of(plan, known);
  if (!table) return { starts: null, finish: known, whole: false };
  const search = new Proof(plan, table, known - table.from, bound - table.from);
  search.go(0, {
    at: 0,
    first: 0,
    second: 0,
    tools: new Array<number>(table.tools).fill(0),
    ready: new Array<number>(plan.tasks.length).fill(0),
    end: 0,
  });
  return {
    starts: search.best?.map((start) => start + table.from) ?? null,
    finish: search.finish + table.from,
    whole: search.whole,
  };
}

class Proof {
  best: number[] | null = null;
  finish: number;
  whole = true;
  private readonly plan: Plan;
  private readonly table: Minutes;
  private readonly bound: number;
  private readonly order: number[];
  private readonly before: number[];
  private readonly followers: number[];
  private readonly full: number;
  private readonly tried: Tried = new Map();
  private readonly starts: number[];
  private readonly early: Float64Array;
  private readonly toolWork: Float64Array;
  private readonly toolFrom: Float64Array;
  private nodes = 0;

  constructor(plan: Plan, table: Minutes, known: number, bound: number) {
    const { tasks } = plan;
    const bits = (of: readonly number[]): number => of.reduce((mask, i) => mask | (1 << i), 0);
    this.plan = plan;
    this.table = table;
    this.finish = known;
    this.bound = bound;
    this.order = inOrder(tasks);
    this.before = tasks.map((t) => bits(t.before));
    this.followers = tasks.map((t) => bits(t.followers));
    this.full = 2 ** tasks.length - 1;
    this.starts = new Array<number>(tasks.length).fill(0);
    this.early = new Float64Array(tasks.length);
    this.toolWork = new Float64Array(table.tools);
    this.toolFrom = new Float64Array(table.tools);
  }

  go(mask: number, given: State): void {
    if (mask === this.full) {
      if (given.end < this.finish) {
        this.finish = given.end;
        this.best = [...this.starts];
      }
      return;
    }
    if (this.finish <= this.bound || !this.whole) return;
    if (++this.nodes > MOST_NODES) {
      this.whole = false;
      return;
    }
    const { tasks, tails, hands } = this.plan;
    const { table } = this;
    const open: number[] = [];
    const starts: number[] = [];
    let [begins, soonest, shortest, split] = [Infinity, Infinity, Infinity, false];
    for (let i = 0; i < tasks.length; i++) {
      if ((mask & (1 << i)) !== 0) continue;
      const job = tasks[i] as (typeof tasks)[number];
      if (job.minutes < shortest) shortest = job.minutes;
      if (job.splittable) split = true;
      if ((mask & (this.before[i] as number)) !== this.before[i]) continue;
      let from = Math.max(given.at, table.release[i] as number, job.hands === 2 ? given.second : given.first);
      for (const b of job.before) from = Math.max(from, given.ready[b] as number);
      for (const t of job.tools) from = Math.max(from, given.tools[t] as number);
      const start = table.start(i, from);
      if (start >= this.finish) return;
      open.push(i);
      starts[i] = start;
      begins = Math.min(begins, start);
      soonest = Math.min(soonest, table.end(i, start));
    }
    // Said the one way: nothing begins before the soonest start; hands that are free for less than the shortest task
    // left are free in the next window.
    const s: State = {
      at: begins,
      first: table.next(Math.max(given.first, begins), split ? 1 : shortest),
      second: table.next(Math.max(given.second, begins), split ? 1 : shortest),
      tools: given.tools,
      ready: given.ready,
      end: given.end,
    };
    if (this.least(mask, s) >= this.finish || this.outdone(mask, s)) return;
    open.sort(
      (a, b) => (starts[a] as number) - (starts[b] as number) || (tails[b] as number) - (tails[a] as number) || a - b,
    );
    for (const i of open) {
      const start = starts[i] as number;
      const end = table.end(i, start);
      // Whole in before another begins, it costs nothing: what begins after that wastes the room.
      if (start >= soonest && end !== soonest) continue;
      const job = tasks[i] as (typeof tasks)[number];
      const ready = [...s.ready];
      ready[i] = end + job.wait;
      const both = job.hands === 2 || hands === 1;
      const other = both ? end : s.second;
      this.starts[i] = start;
      this.go(mask | (1 << i), {
        at: start,
        first: Math.min(end, other),
        second: Math.max(end, other),
        tools: job.tools.length === 0 ? s.tools : s.tools.map((free, t) => (job.tools.includes(t) ? end : free)),
        ready,
        end: Math.max(s.end, end),
      });
    }
  }

  /** Nothing that goes on from here is done before. */
  private least(mask: number, s: State): number {
    const { tasks, hands } = this.plan;
    const { table, early, toolWork, toolFrom } = this;
    toolWork.fill(0);
    toolFrom.fill(Infinity);
    let [end, work, soonest, bothWork, bothFrom] = [s.end, 0, Infinity, 0, Infinity];
    for (const i of this.order) {
      if ((mask & (1 << i)) !== 0) continue;
      const job = tasks[i] as (typeof tasks)[number];
      let from = Math.max(s.at, table.release[i] as number, job.hands === 2 ? s.second : s.first);
      for (const b of job.before)
        from = Math.max(
          from,
          (mask & (1 << b)) !== 0
            ? (s.ready[b] as number)
            : (early[b] as number) + (tasks[b] as (typeof tasks)[number]).wait,
        );
      for (const t of job.tools) from = Math.max(from, s.tools[t] as number);
      const start = table.start(i, from);
      const done = table.end(i, start);
      early[i] = done;
      if (done > end) end = done;
      if (end >= this.finish) return end;
      work += job.minutes * job.hands;
      if (start < soonest) soonest = start;
      if (job.hands === 2) {
        bothWork += job.minutes;
        bothFrom = Math.min(bothFrom, start);
      }
      for (const t of job.tools) {
        toolWork[t] = (toolWork[t] as number) + job.minutes;
        toolFrom[t] = Math.min(toolFrom[t] as number, start);
      }
    }
    // All hands from the soonest start on, less what is still running then.
    const since = table.worked(soonest);
    const later = (free: number): number => Math.max(0, table.worked(free) - since);
    const all = hands === 1 ? work + later(s.first) : Math.ceil((work + later(s.first) + later(s.second)) / 2 - 1e-9);
    end = Math.max(end, table.after(soonest, all));
    if (bothWork > 0) end = Math.max(end, table.after(bothFrom, bothWork));
    for (let t = 0; t < toolWork.length; t++)
      if ((toolWork[t] as number) > 0) end = Math.max(end, table.after(toolFrom[t] as number, toolWork[t] as number));
    return end;
  }

  /** Something tried before with the same tasks begun was at least as well off in everything. */
  private outdone(mask: number, s: State): boolean {
    const before = this.tried.get(mask);
    if (!before) {
      this.tried.set(mask, [s]);
      return false;
    }
    for (const a of before) if (this.noWorse(mask, a, s)) return true;
    let kept = 0;
    for (const a of before) if (!this.noWorse(mask, s, a)) before[kept++] = a;
    before.length = kept;
    before.push(s);
    return false;
  }

  private noWorse(mask: number, a: State, b: State): boolean {
    if (a.at > b.at || a.first > Math.max(b.first, b.at) || a.second > Math.max(b.second, b.at)) return false;
    if (a.end > Math.max(b.end, b.at)) return false;
    for (let t = 0; t < a.tools.length; t++)
      if ((a.tools[t] as number) > Math.max(b.tools[t] as number, b.at)) return false;
    for (let i = 0; i < a.ready.length; i++) {
      if ((mask & (1 << i)) === 0 || ((this.followers[i] as number) & ~mask) === 0) continue;
      if ((a.ready[i] as number) > Math.max(b.ready[i] as number, b.at)) return false;
    }
    return true;
  }
}
