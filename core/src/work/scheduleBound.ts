import type { Calendar, Window } from './calendar.ts';
import type { Job, Plan } from './scheduled.ts';

/** Least minutes from each task's start to the end of all that follows it, windows left out. */
export function tailsOf(jobs: readonly Job[]): number[] {
  const tails = new Array<number>(jobs.length).fill(-1);
  const tail = (i: number): number => {
    if ((tails[i] as number) >= 0) return tails[i] as number;
    const job = jobs[i] as Job;
    tails[i] = job.minutes + Math.max(0, ...job.followers.map((f) => job.wait + tail(f)));
    return tails[i] as number;
  };
  jobs.forEach((_, i) => tail(i));
  return tails;
}

/** Tasks in an order in which each comes after those before it. */
export function inOrder(jobs: readonly Job[]): number[] {
  const done = new Set<number>();
  const out: number[] = [];
  const put = (i: number): void => {
    if (done.has(i)) return;
    done.add(i);
    (jobs[i] as Job).before.forEach(put);
    out.push(i);
  };
  jobs.forEach((_, i) => put(i));
  return out;
}

/** Earliest finish of each task with hands and tools to spare: chain, waits, gates and windows alone. */
export function earliest({ calendar, tasks }: Plan): { start: number; finish: number }[] {
  const out = new Array<{ start: number; finish: number }>(tasks.length);
  for (const i of inOrder(tasks)) {
    const job = tasks[i] as Job;
    const ready = Math.max(
      job.release,
      ...job.before.map((b) => (out[b] as { finish: number }).finish + (tasks[b] as Job).wait),
    );
    const start = calendar.start(ready, job.minutes, job.splittable);
    out[i] = { start, finish: calendar.after(start, job.minutes) };
  }
  return out;
}

/**
 * No schedule is done before: the longest of the chains through the windows, all the hands' work, each tool's work, and
 * all that cannot begin before a moment.
 */
export function boundOf(plan: Plan): number {
  const { calendar, hands, tasks } = plan;
  const early = earliest(plan);
  let bound = Math.max(...early.map((e) => e.finish));
  const moments = [...new Set(early.map((e) => e.start))].sort((a, b) => a - b);
  const tools = new Set(tasks.flatMap((t) => t.tools));
  for (const moment of moments) {
    // What cannot begin before this moment takes hands and tools from then on; the least of their tails follows.
    const later = tasks.filter((_, i) => (early[i] as { start: number }).start >= moment);
    bound = Math.max(
      bound,
      through(plan, later, moment, hands, (t) => t.hands),
    );
    for (const tool of tools) {
      const users = later.filter((t) => t.tools.includes(tool));
      if (users.length > 0)
        bound = Math.max(
          bound,
          through(plan, users, moment, 1, () => 1),
        );
    }
    // Two that cannot share the hands are done one after another.
    if (hands === 2) {
      const both = later.filter((t) => t.hands === 2);
      if (both.length > 0)
        bound = Math.max(
          bound,
          through(plan, both, moment, 1, () => 1),
        );
    }
  }
  return Math.min(bound, Infinity) === Infinity ? lastMoment(calendar) : bound;
}

const lastMoment = (calendar: Calendar): number => calendar.windows.at(-1)?.to ?? 0;

/** When so many tasks' work is done from a moment on, each window filled as far as whole tasks can fill it. */
function through(
  plan: Plan,
  jobs: readonly Job[],
  moment: number,
  machines: number,
  takes: (job: Job) => number,
): number {
  const { calendar } = plan;
  let work = jobs.reduce((sum, j) => sum + j.minutes * takes(j), 0);
  const whole = jobs.every((j) => !j.splittable);
  let at = moment;
  for (let i = calendar.at(moment); i < calendar.windows.length; i++) {
    const { from, to } = calendar.windows[i] as Window;
    const start = Math.max(from, moment);
    const room = whole ? fill(jobs, to - start) : to - start;
    if (work <= room * machines) {
      at = start + work / machines;
      const end = plan.integral ? Math.ceil(at - 1e-9) : at;
      // After the last of them comes at least the least of what follows any.
      return Math.min(...jobs.map((j) => followed(plan, j, end)));
    }
    work -= room * machines;
    at = to;
  }
  return at;
}

/** When all that follows a task is done, hands and tools to spare, where it is done at a moment itself. */
function followed({ calendar, tasks }: Plan, job: Job, done: number): number {
  const ends = new Map([[job.index, done]]);
  let last = done;
  const open = [job];
  for (let at = open.shift(); at; at = open.shift())
    for (const f of at.followers) {
      const next = tasks[f] as Job;
      const ready = Math.max(next.release, (ends.get(at.index) as number) + at.wait);
      const end = calendar.after(calendar.start(ready, next.minutes, next.splittable), next.minutes);
      if (end <= (ends.get(f) ?? -Infinity)) continue;
      ends.set(f, end);
      last = Math.max(last, end);
      open.push(next);
    }
  return last;
}

/** The most minutes that whole tasks can fill of so many. */
export function fill(jobs: readonly Job[], room: number): number {
  const most = Math.floor(room);
  if (most > 20_000 || jobs.some((j) => !Number.isInteger(j.minutes))) return room;
  if (jobs.reduce((sum, j) => sum + j.minutes, 0) <= most) return room;
  const can = new Uint8Array(most + 1);
  can[0] = 1;
  for (const { minutes } of jobs) for (let m = most; m >= minutes; m--) if (can[m - minutes] === 1) can[m] = 1;
  let best = most;
  while (can[best] === 0) best--;
  return best;
}
