import type { Plan } from './scheduled.ts';

/** Minutes a table may be long: two months of days. */
const LONGEST = 100_000;

/** Windows minute by minute, so that a search of millions of moments looks up what it would reckon. */
export class Minutes {
  /** Minute of the clock that the table begins at. */
  readonly from: number;
  readonly tools: number;
  /** When each task's gates are open. */
  readonly release: readonly number[];
  private readonly size: number;
  private readonly startOf: Int32Array[];
  private readonly endOf: Int32Array[];
  private readonly workedAt: Int32Array;
  private readonly minuteOf: Int32Array;
  /** Minutes of the window that are left, from each minute in it; 0 outside. */
  private readonly left: Int32Array;
  private readonly nexts = new Map<number, Int32Array>();

  /** A table up to a finish that is known; null where times are not whole minutes, or it would be too long. */
  static of(plan: Plan, known: number): Minutes | null {
    const from = plan.calendar.windows[0]?.from ?? 0;
    return plan.integral && known - from <= LONGEST ? new Minutes(plan, from, known - from) : null;
  }

  private constructor({ calendar, tasks }: Plan, from: number, size: number) {
    this.from = from;
    this.size = size;
    this.tools = Math.max(0, ...tasks.flatMap((t) => t.tools.map((k) => k + 1)));
    this.release = tasks.map((t) => Math.max(0, t.release - from));
    this.left = new Int32Array(size + 2);
    for (const w of calendar.windows)
      for (let m = Math.max(0, w.from - from); m < Math.min(w.to - from, size + 1); m++) this.left[m] = w.to - from - m;
    this.workedAt = new Int32Array(size + 2);
    const minutes: number[] = [];
    for (let m = 0; m <= size; m++) {
      const works = (this.left[m] as number) > 0;
      this.workedAt[m + 1] = (this.workedAt[m] as number) + (works ? 1 : 0);
      // The moment by which so many minutes have been worked is the end of that minute.
      if (works) minutes.push(m + 1);
    }
    this.minuteOf = Int32Array.from(minutes);
    const byKind = new Map<string, { start: Int32Array; end: Int32Array }>();
    const tables = tasks.map(({ minutes: long, splittable }) => {
      const kind = `${long} ${splittable}`;
      let made = byKind.get(kind);
      if (!made) byKind.set(kind, (made = this.tableOf(long, splittable)));
      return made;
    });
    this.startOf = tables.map((t) => t.start);
    this.endOf = tables.map((t) => t.end);
  }

  private tableOf(minutes: number, splittable: boolean): { start: Int32Array; end: Int32Array } {
    const { size } = this;
    const start = new Int32Array(size + 2).fill(size + 1);
    const end = new Int32Array(size + 2).fill(size + 1);
    for (let m = size; m >= 0; m--) {
      const left = this.left[m] as number;
      const here = left > 0 && (splittable || left >= minutes);
      start[m] = here ? m : (start[m + 1] as number);
      if (here) end[m] = this.after(m, minutes);
    }
    return { start, end };
  }

  /** Earliest start of a task from a minute on; past the table where there is none. */
  start(task: number, minute: number): number {
    return minute > this.size ? this.size + 1 : ((this.startOf[task] as Int32Array)[minute] as number);
  }

  /** When a task that starts at a minute is done. */
  end(task: number, start: number): number {
    return start > this.size ? this.size + 1 : ((this.endOf[task] as Int32Array)[start] as number);
  }

  /** The first minute from one on with so many left in its window. */
  next(minute: number, minutes: number): number {
    let table = this.nexts.get(minutes);
    if (!table) this.nexts.set(minutes, (table = this.tableOf(minutes, false).start));
    return minute > this.size ? this.size + 1 : (table[minute] as number);
  }

  /** Bench minutes before a minute. */
  worked(minute: number): number {
    return this.workedAt[Math.min(minute, this.size + 1)] as number;
  }

  /** When so many minutes more have been worked; past the table where it ends before. */
  after(minute: number, minutes: number): number {
    if (minutes <= 0) return minute;
    return this.minuteOf[this.worked(minute) + minutes - 1] ?? this.size + 1;
  }
}
