import { inOrder } from './scheduleBound.ts';
import { Minutes } from './scheduleMinutes.ts';
import { bits, rowsOf, type Rows } from './scheduleRows.ts';
import type { Job, Plan } from './scheduled.ts';
import { TriedStates } from './scheduleTried.ts';

/** Moments looked at before a proof is given up. */
const MOST_NODES = 1_500_000;

/** Past any minute. */
const NEVER = 0x7fffffff;

/** What was found by a proof. */
export interface Proven {
  /** Starts of a schedule better than the one known; null where none is. */
  starts: number[] | null;
  finish: number;
  /** Every order was tried or shown to be no better. */
  whole: boolean;
}

/**
 * The least finish there is, by trying every order in which tasks may begin: each as early as the hands and tools then
 * free allow. Left out is what cannot come under the best known, what wastes room that another task would have fitted
 * into whole, what stands no better than something tried before with the same tasks begun, and one of two tasks alike in
 * everything before the other. Times in whole minutes.
 * @param known finish of the best schedule known
 */
export function prove(plan: Plan, known: number, bound: number): Proven {
  const table = Minutes.of(plan, known);
  if (!table) return { starts: null, finish: known, whole: false };
  const search = new Proof(plan, table, known - table.from, bound - table.from);
  search.run();
  return {
    starts: search.best?.map((start) => start + table.from) ?? null,
    finish: search.finish + table.from,
    whole: search.whole,
  };
}

/** Two tasks alike in everything: which of them comes first is all one. */
const alike = (a: Job, b: Job): boolean =>
  a.minutes === b.minutes &&
  a.hands === b.hands &&
  a.wait === b.wait &&
  a.splittable === b.splittable &&
  a.release === b.release &&
  a.tools.length === b.tools.length &&
  a.tools.every((t) => b.tools.includes(t)) &&
  bits(a.before) === bits(b.before) &&
  bits(a.followers) === bits(b.followers);

/**
 * The search. How it stands at each depth lies in flat arrays, a row a depth: `at`, before which nothing more begins; when
 * the hands are free, soonest first (with one pair twice the same); when each tool is; when each task begun is done and
 * waited out; and when the last of them is done. Minutes of the table.
 */
class Proof {
  best: number[] | null = null;
  finish: number;
  whole = true;
  /** Nothing better can be. */
  private done = false;
  private nodes = 0;
  private readonly plan: Plan;
  private readonly table: Minutes;
  private readonly bound: number;
  private readonly count: number;
  private readonly full: number;
  private readonly minutes: Int32Array;
  /** Minutes of a window that each task can begin in. */
  private readonly room: Int32Array;
  private readonly hands: Int32Array;
  private readonly wait: Int32Array;
  private readonly release: Int32Array;
  private readonly before: Int32Array;
  private readonly followers: Int32Array;
  private readonly twins: Int32Array;
  private readonly befores: Rows;
  private readonly tools: Rows;
  private readonly order: Int32Array;
  private readonly tails: readonly number[];
  /** Latest start and finish of each task that would still come under the best known; tasks by that finish. */
  private readonly latest: Int32Array;
  private readonly due: Int32Array;
  private readonly byDue: Int32Array;
  private readonly tried = new TriedStates();
  private readonly starts: number[];
  private readonly at: Int32Array;
  private readonly first: Int32Array;
  private readonly second: Int32Array;
  private readonly end: Int32Array;
  private readonly toolFree: Int32Array;
  private readonly ready: Int32Array;
  private readonly start: Int32Array;
  private readonly open: Int32Array;
  private readonly early: Int32Array;
  private readonly toolWork: Int32Array;
  private readonly toolFrom: Int32Array;
  /** Tasks that hold each tool. */
  private readonly toolUsers: Int32Array;
  private readonly state: Int32Array;

  constructor(plan: Plan, table: Minutes, known: number, bound: number) {
    const { tasks } = plan;
    const n = tasks.length;
    this.plan = plan;
    this.table = table;
    this.finish = known;
    this.bound = bound;
    this.count = n;
    this.full = 2 ** n - 1;
    this.minutes = Int32Array.from(tasks, (t) => t.minutes);
    this.room = Int32Array.from(tasks, (t) => (t.splittable ? 1 : t.minutes));
    this.hands = Int32Array.from(tasks, (t) => t.hands);
    this.wait = Int32Array.from(tasks, (t) => t.wait);
    this.release = Int32Array.from(table.release);
    this.before = Int32Array.from(tasks, (t) => bits(t.before));
    this.followers = Int32Array.from(tasks, (t) => bits(t.followers));
    this.twins = Int32Array.from(tasks, (t) =>
      bits(tasks.filter((o) => o.index < t.index && alike(o, t)).map((o) => o.index)),
    );
    this.befores = rowsOf(tasks.map((t) => t.before));
    this.tools = rowsOf(tasks.map((t) => t.tools));
    this.order = Int32Array.from(inOrder(tasks));
    this.tails = plan.tails;
    this.latest = new Int32Array(n);
    this.due = new Int32Array(n);
    this.byDue = Int32Array.from(tasks, (t) => t.index);
    this.starts = new Array<number>(n).fill(0);
    const rows = n + 1;
    this.at = new Int32Array(rows);
    this.first = new Int32Array(rows);
    this.second = new Int32Array(rows);
    this.end = new Int32Array(rows);
    this.toolFree = new Int32Array(rows * table.tools);
    this.ready = new Int32Array(rows * n);
    this.start = new Int32Array(rows * n);
    this.open = new Int32Array(rows * n);
    this.early = new Int32Array(n);
    this.toolWork = new Int32Array(table.tools);
    this.toolFrom = new Int32Array(table.tools);
    this.toolUsers = Int32Array.from({ length: table.tools }, (_, t) =>
      bits(tasks.filter((o) => o.tools.includes(t)).map((o) => o.index)),
    );
    this.state = new Int32Array(4 + table.tools + n);
  }

  run(): void {
    if (this.setDue()) this.go(0, 0);
  }

  /** When each task must be done for all to come under the best known; false where one cannot. */
  private setDue(): boolean {
    const { tasks, calendar } = this.plan;
    const { from } = this.table;
    for (let k = this.count - 1; k >= 0; k--) {
      const job = tasks[this.order[k] as number] as Job;
      let by = this.finish - 1;
      for (const f of job.followers) by = Math.min(by, (this.latest[f] as number) - job.wait);
      const start = calendar.latest(by + from, job.minutes, job.splittable) - from;
      if (start < 0) return false;
      this.latest[job.index] = start;
      this.due[job.index] = this.table.end(job.index, start);
    }
    this.byDue.sort((a, b) => (this.due[a] as number) - (this.due[b] as number));
    return true;
  }

  private go(depth: number, mask: number): void {
    if (mask === this.full) {
      this.finish = this.end[depth] as number;
      this.best = [...this.starts];
      this.done = this.finish <= this.bound || !this.setDue();
      return;
    }
    if (++this.nodes > MOST_NODES) this.whole = false;
    if (this.done || !this.whole) return;
    const { count, table, latest } = this;
    const row = depth * count;
    const { at, first, second } = this;
    let [begins, soonest, last, shortest, open] = [NEVER, NEVER, 0, NEVER, 0];
    for (let i = 0; i < count; i++) {
      if ((mask & (1 << i)) !== 0) continue;
      const room = this.room[i] as number;
      if (room < shortest) shortest = room;
      const before = this.before[i] as number;
      if ((mask & before) !== before) continue;
      const start = table.start(i, this.readyFrom(i, depth));
      if (start > (latest[i] as number)) return;
      this.start[row + i] = start;
      const end = table.end(i, start);
      if (start < begins) begins = start;
      if (end < soonest) soonest = end;
      if (end > last) last = end;
      // One of two alike will do.
      if (((this.twins[i] as number) & ~mask) === 0) this.open[row + open++] = i;
    }
    // Said the one way: nothing begins before the soonest start; hands that are free for less than the shortest task
    // left are free in the next window.
    at[depth] = begins;
    first[depth] = table.next(Math.max(first[depth] as number, begins), shortest);
    second[depth] = table.next(Math.max(second[depth] as number, begins), shortest);
    if (this.outdone(depth, mask, last) || this.hopeless(depth, mask)) return;
    this.sortOpen(row, open);
    for (let k = 0; k < open; k++) {
      const i = this.open[row + k] as number;
      const start = this.start[row + i] as number;
      const end = table.end(i, start);
      // Whole in before another begins, it costs nothing: what begins after that wastes the room.
      if (start >= soonest && end !== soonest) continue;
      // Since this was worked out a better one may have been found.
      if (start > (latest[i] as number)) continue;
      this.begin(depth, i, start, end);
      this.go(depth + 1, mask | (1 << i));
    }
  }

  /** When a task all before which are begun could begin, hands and tools considered. */
  private readyFrom(i: number, depth: number): number {
    const { befores, ready, count } = this;
    let from = this.freeFrom(i, depth);
    for (let k = befores.from[i] as number; k < (befores.from[i + 1] as number); k++)
      from = Math.max(from, ready[depth * count + (befores.all[k] as number)] as number);
    return from;
  }

  /** When its gates are open, and hands and tools free for it. */
  private freeFrom(i: number, depth: number): number {
    const { tools, toolFree } = this;
    const hands = (this.hands[i] as number) === 2 ? this.second : this.first;
    let from = Math.max(this.at[depth] as number, this.release[i] as number, hands[depth] as number);
    for (let k = tools.from[i] as number; k < (tools.from[i + 1] as number); k++)
      from = Math.max(from, toolFree[depth * this.table.tools + (tools.all[k] as number)] as number);
    return from;
  }

  /** The soonest start first; of those as soon, what most follows. */
  private sortOpen(row: number, count: number): void {
    const { open, start, tails } = this;
    const sooner = (a: number, b: number): number =>
      (start[row + a] as number) - (start[row + b] as number) || (tails[b] as number) - (tails[a] as number) || a - b;
    for (let k = 1; k < count; k++) {
      const i = open[row + k] as number;
      let p = k;
      for (; p > 0 && sooner(open[row + p - 1] as number, i) > 0; p--) open[row + p] = open[row + p - 1] as number;
      open[row + p] = i;
    }
  }

  /** A task begun: how things stand after it. */
  private begin(depth: number, i: number, start: number, end: number): void {
    const { count, tools, toolFree, ready } = this;
    const next = depth + 1;
    const kinds = this.table.tools;
    const both = (this.hands[i] as number) === 2 || this.plan.hands === 1;
    const other = both ? end : (this.second[depth] as number);
    this.starts[i] = start;
    this.at[next] = start;
    this.first[next] = Math.min(end, other);
    this.second[next] = Math.max(end, other);
    this.end[next] = Math.max(this.end[depth] as number, end);
    ready.copyWithin(next * count, depth * count, next * count);
    ready[next * count + i] = end + (this.wait[i] as number);
    toolFree.copyWithin(next * kinds, depth * kinds, next * kinds);
    for (let k = tools.from[i] as number; k < (tools.from[i + 1] as number); k++)
      toolFree[next * kinds + (tools.all[k] as number)] = end;
  }

  /**
   * Nothing that goes on from here comes under the best known: a task would begin too late with hands and tools to
   * spare, or what must be done by a moment is more than hands, or a tool, can do by then.
   */
  private hopeless(depth: number, mask: number): boolean {
    const { count, table, befores, tools, early, toolWork, toolFrom, ready, hands, minutes, due } = this;
    const row = depth * count;
    toolWork.fill(0);
    toolFrom.fill(NEVER);
    let [soonest, bothFrom] = [NEVER, NEVER];
    for (let o = 0; o < count; o++) {
      const i = this.order[o] as number;
      if ((mask & (1 << i)) !== 0) continue;
      let from = this.freeFrom(i, depth);
      for (let k = befores.from[i] as number; k < (befores.from[i + 1] as number); k++) {
        const b = befores.all[k] as number;
        const done =
          (mask & (1 << b)) !== 0 ? (ready[row + b] as number) : (early[b] as number) + (this.wait[b] as number);
        if (done > from) from = done;
      }
      const start = table.start(i, from);
      if (start > (this.latest[i] as number)) return true;
      early[i] = table.end(i, start);
      if (start < soonest) soonest = start;
      if (hands[i] === 2 && start < bothFrom) bothFrom = start;
      for (let k = tools.from[i] as number; k < (tools.from[i + 1] as number); k++) {
        const t = tools.all[k] as number;
        if (start < (toolFrom[t] as number)) toolFrom[t] = start;
      }
    }
    // All hands from the soonest start on, less what is still running then.
    const since = table.worked(soonest);
    const one = Math.max(0, table.worked(this.first[depth] as number) - since);
    const two = Math.max(0, table.worked(this.second[depth] as number) - since);
    const pairs = this.plan.hands;
    const bothSince = bothFrom === NEVER ? 0 : table.worked(bothFrom);
    let [work, bothWork] = [0, 0];
    for (let o = 0; o < count; o++) {
      const i = this.byDue[o] as number;
      if ((mask & (1 << i)) !== 0) continue;
      const worked = table.worked(due[i] as number);
      const room = worked - since;
      work += (minutes[i] as number) * (hands[i] as number);
      const taken = Math.min(one, room) + (pairs === 2 ? Math.min(two, room) : 0);
      if (work > pairs * room - taken) return true;
      if (hands[i] === 2) {
        bothWork += minutes[i] as number;
        if (bothWork > worked - bothSince) return true;
      }
      for (let k = tools.from[i] as number; k < (tools.from[i + 1] as number); k++) {
        const t = tools.all[k] as number;
        toolWork[t] = (toolWork[t] as number) + (minutes[i] as number);
        if ((toolWork[t] as number) > worked - table.worked(toolFrom[t] as number)) return true;
      }
    }
    return false;
  }

  /** Something tried before with the same tasks begun was at least as well off in everything that still counts. */
  private outdone(depth: number, mask: number, last: number): boolean {
    const { count, state, toolUsers, table } = this;
    const at = this.at[depth] as number;
    const end = this.end[depth] as number;
    let n = 0;
    state[n++] = at;
    state[n++] = this.first[depth] as number;
    state[n++] = this.second[depth] as number;
    // Where what is left ends later in any case, it says nothing.
    state[n++] = end <= last ? at : end;
    for (let t = 0; t < table.tools; t++)
      if (((toolUsers[t] as number) & ~mask) !== 0)
        state[n++] = Math.max(at, this.toolFree[depth * table.tools + t] as number);
    for (let i = 0; i < count; i++)
      if ((mask & (1 << i)) !== 0 && ((this.followers[i] as number) & ~mask) !== 0)
        state[n++] = Math.max(at, this.ready[depth * count + i] as number);
    return this.tried.outdone(mask, state, n);
  }
}
