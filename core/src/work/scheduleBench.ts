import type { Plan } from './scheduled.ts';

/** Used where nobody works: more than any hands there are. */
const CLOSED = 100;
/** Tools kept in one number. */
const TOOLS_A_WORD = 30;

/**
 * The bench as stretches of time: in each, how many hands are held and which tools. Tasks are put on it one after another,
 * each as early as what lies there allows; to be cleared and used again, since a search asks thousands of times.
 */
export class Bench {
  /** Starts of the tasks of the last order laid, by number. */
  readonly starts: Float64Array;
  private readonly plan: Plan;
  private readonly ends: Float64Array;
  private readonly minutes: Float64Array;
  private readonly words: number;
  /** Tools of each task, a row of words. */
  private readonly wants: Int32Array;
  private readonly empty: { from: Float64Array; used: Int32Array };
  private readonly from: Float64Array;
  private readonly used: Int32Array;
  /** Tools held in each stretch, a row of words. */
  private readonly held: Int32Array;
  private count = 0;

  constructor(plan: Plan) {
    const { tasks, calendar } = plan;
    this.plan = plan;
    this.starts = new Float64Array(tasks.length);
    this.ends = new Float64Array(tasks.length);
    this.minutes = Float64Array.from(tasks, (t) => t.minutes);
    // A tool that one task alone uses keeps nobody waiting.
    const shared = [...new Set(tasks.flatMap((t) => t.tools))].filter(
      (tool) => tasks.filter((t) => t.tools.includes(tool)).length > 1,
    );
    this.words = Math.max(1, Math.ceil(shared.length / TOOLS_A_WORD));
    this.wants = new Int32Array(tasks.length * this.words);
    for (const t of tasks)
      for (const tool of t.tools) {
        const k = shared.indexOf(tool);
        if (k < 0) continue;
        const word = t.index * this.words + Math.floor(k / TOOLS_A_WORD);
        this.wants[word] = (this.wants[word] as number) | (1 << (k % TOOLS_A_WORD));
      }
    const { windows } = calendar;
    const stretches: [number, number][] = [[-Infinity, CLOSED]];
    for (const w of windows) stretches.push([w.from, 0], [w.to, CLOSED]);
    this.empty = {
      from: Float64Array.from(stretches, ([from]) => from),
      used: Int32Array.from(stretches, ([, used]) => used),
    };
    const room = stretches.length + 2 * tasks.length + 1;
    this.from = new Float64Array(room);
    this.used = new Int32Array(room);
    this.held = new Int32Array(room * this.words);
  }

  /**
   * Lays all tasks in an order in which each comes after those before it.
   * @param limit given up where the finish must come after it
   * @returns the finish; infinite where one finds no room, or it was given up
   */
  lay(order: ArrayLike<number>, limit = Infinity): number {
    const { tasks, tails } = this.plan;
    this.from.set(this.empty.from);
    this.used.set(this.empty.used);
    this.held.fill(0);
    this.count = this.empty.from.length;
    let finish = -Infinity;
    for (let k = 0; k < order.length; k++) {
      const i = order[k] as number;
      const job = tasks[i] as Plan['tasks'][number];
      let ready = job.release;
      for (const b of job.before)
        ready = Math.max(ready, (this.ends[b] as number) + (tasks[b] as Plan['tasks'][number]).wait);
      const end = this.put(i, ready, job.hands, job.splittable);
      if (end === Infinity || (this.starts[i] as number) + (tails[i] as number) > limit) return Infinity;
      this.ends[i] = end;
      if (end > finish) finish = end;
      if (finish > limit) return Infinity;
    }
    return finish;
  }

  /** Puts a task at its earliest from a moment on: its end; infinite where it finds no room. */
  private put(i: number, ready: number, hands: number, splittable: boolean): number {
    const { from, used, count, minutes } = this;
    const most = this.plan.hands - hands;
    const long = minutes[i] as number;
    let s = this.stretchAt(ready);
    for (;;) {
      while (s < count && !((used[s] as number) <= most && this.toolsFree(s, i))) s++;
      if (s >= count) return Infinity;
      const at = Math.max(ready, from[s] as number);
      let left = long;
      let k = s;
      for (; k < count; k++) {
        if (used[k] === CLOSED) {
          if (splittable) continue;
          break;
        }
        if ((used[k] as number) > most || !this.toolsFree(k, i)) break;
        const begins = Math.max(at, from[k] as number);
        const here = (from[k + 1] as number) - begins;
        if (left <= here) {
          const end = begins + left;
          this.starts[i] = at;
          this.hold(i, at, end, hands);
          return end;
        }
        left -= here;
      }
      if (k >= count) return Infinity;
      // Whatever begins before what is in the way runs into it.
      s = k + 1;
    }
  }

  private toolsFree(s: number, i: number): boolean {
    const { held, wants, words } = this;
    for (let w = 0; w < words; w++)
      if (((held[s * words + w] as number) & (wants[i * words + w] as number)) !== 0) return false;
    return true;
  }

  /** The stretch a moment lies in. */
  private stretchAt(moment: number): number {
    const { from } = this;
    let [low, high] = [0, this.count - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((from[middle] as number) <= moment) low = middle;
      else high = middle - 1;
    }
    return low;
  }

  private hold(i: number, at: number, end: number, hands: number): void {
    if (end <= at) return;
    const { from, used, held, wants, words } = this;
    let s = this.cut(at);
    this.cut(end);
    for (; s < this.count && (from[s] as number) < end; s++) {
      if (used[s] === CLOSED) continue;
      used[s] = (used[s] as number) + hands;
      for (let w = 0; w < words; w++)
        held[s * words + w] = (held[s * words + w] as number) | (wants[i * words + w] as number);
    }
  }

  /** Makes a stretch begin at a moment: its number. */
  private cut(moment: number): number {
    const { from, used, held, words } = this;
    const s = this.stretchAt(moment);
    if (from[s] === moment) return s;
    from.copyWithin(s + 2, s + 1, this.count);
    used.copyWithin(s + 2, s + 1, this.count);
    held.copyWithin((s + 2) * words, (s + 1) * words, this.count * words);
    this.count++;
    from[s + 1] = moment;
    used[s + 1] = used[s] as number;
    for (let w = 0; w < words; w++) held[(s + 1) * words + w] = held[s * words + w] as number;
    return s + 1;
  }
}
