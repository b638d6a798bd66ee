import { Calendar } from './calendar.ts';
import type { Job, Plan, Schedule, ScheduleCase, Slot } from './scheduled.ts';
import { boundOf, tailsOf } from './scheduleBound.ts';
import { gridOf, onGrid } from './scheduleGrid.ts';
import { improve, type Found } from './scheduleSearch.ts';
import { prove } from './scheduleProof.ts';

/** A task that cannot be done in the time there is, by name. */
export class NoRoom extends Error {
  readonly tasks: readonly string[];
  constructor(tasks: readonly string[], message: string) {
    super(message);
    this.tasks = tasks;
  }
}

/** As many as this are proven; more are bounded. */
const PROVEN_UP_TO = 30;

/** Tasks by number, in an order in which each comes after those before it. */
export function planOf(given: ScheduleCase): Plan {
  const { tasks } = given;
  const byId = new Map(tasks.map((t, i) => [t.id, i]));
  const gates = new Map(given.gates.map((g) => [g.id, g.from]));
  const tools = [...new Set(tasks.flatMap((t) => t.tools))];
  const jobs: Job[] = tasks.map((t, index) => ({
    index,
    id: t.id,
    minutes: t.minutes,
    hands: t.hands,
    wait: t.waitMinutes,
    splittable: t.splittable,
    before: [...new Set(t.after)].map((id) => byId.get(id) as number),
    followers: tasks.flatMap((other, i) => (other.after.includes(t.id) ? [i] : [])),
    tools: [...new Set(t.tools)].map((tool) => tools.indexOf(tool)),
    release: Math.max(-Infinity, ...t.needs.map((id) => gates.get(id) as number)),
  }));
  const calendar = new Calendar(given.windows);
  const times = [
    ...given.windows.flatMap((w) => [w.from, w.to]),
    ...given.gates.map((g) => g.from),
    ...tasks.flatMap((t) => [t.minutes, t.waitMinutes]),
  ];
  return {
    calendar,
    hands: given.hands,
    tasks: jobs,
    tails: tailsOf(jobs),
    integral: times.every((t) => Number.isInteger(t)),
  };
}

/**
 * Least finish of the last task: proven for few tasks, the best found with a bound for many. A task starts when all
 * before it have finished and waited out, its gates are open, its hands free and no other holds one of its tools; it runs
 * inside one window, or, where it may be split, goes on at the next one's start.
 * @throws NoRoom where a task fits no window, or the windows end before all is done
 */
export function schedule(given: ScheduleCase): Schedule {
  const plan = planOf(given);
  const { calendar, tasks } = plan;
  if (tasks.length === 0) {
    const now = given.windows[0]?.from ?? 0;
    return { finish: now, tasks: [], critical: [], bound: now, proven: true };
  }
  const wide = tasks.filter((t) => t.hands > plan.hands);
  if (wide.length > 0) throw new NoRoom(names(wide), `${names(wide).join(', ')}: two pairs of hands are needed`);
  const long = tasks.filter(
    (t) => calendar.start(Math.max(t.release, -Infinity), t.minutes, t.splittable) === Infinity,
  );
  if (long.length > 0) throw new NoRoom(names(long), `${names(long).join(', ')}: no window is long enough, or left`);

  // Where all times are quarters of an hour, so is every finish: there are fewer moments to look at, and the bound is
  // one of them.
  const grid = gridOf(given);
  const found = grid ? bestOf(planOf(onGrid(given, grid))) : bestOf(plan);
  if (!found) {
    const last = tasks.filter((t) => t.followers.length === 0);
    throw new NoRoom(names(last), 'the windows end before all is done: more bench time is needed');
  }
  const clock = (moment: number): number => (grid ? grid.origin + moment * grid.step : moment);
  const slots = tasks.map((t, i) => {
    const start = clock(found.starts[i] as number);
    return { id: t.id, start, finish: calendar.after(start, t.minutes) };
  });
  return {
    finish: clock(found.finish),
    tasks: slots,
    critical: criticalOf(plan, slots),
    bound: clock(found.bound),
    proven: found.proven,
  };
}

/** The best found, with its bound; null where nothing has room. */
function bestOf(plan: Plan): (Found & { bound: number; proven: boolean }) | null {
  const bound = boundOf(plan);
  let best = improve(plan, bound);
  if (!best) return null;
  let proven = best.finish <= bound;
  if (!proven && plan.tasks.length <= PROVEN_UP_TO) {
    const { starts, finish, whole } = prove(plan, best.finish, bound);
    if (starts) best = { starts, finish };
    proven = whole;
  }
  return { ...best, bound: proven ? best.finish : bound, proven };
}

const names = (jobs: readonly Job[]): string[] => jobs.map((j) => j.id);

/**
 * Tasks of the chain that ends last: each starts where one before it ends and waits out, or lets go of hands or a tool,
 * with no bench time between.
 */
function criticalOf({ calendar, tasks }: Plan, slots: readonly Slot[]): string[] {
  const finish = Math.max(...slots.map((s) => s.finish));
  const on = new Set<number>();
  const open = slots.flatMap((s, i) => (s.finish === finish ? [i] : []));
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (on.has(at)) continue;
    on.add(at);
    const { start } = slots[at] as Slot;
    const job = tasks[at] as Job;
    slots.forEach((other, i) => {
      if (i === at || on.has(i) || other.finish > start) return;
      const earlier = tasks[i] as Job;
      const ready = other.finish + (job.before.includes(i) ? earlier.wait : 0);
      // No bench time lies between: it could not have begun before.
      if (calendar.worked(start) - calendar.worked(Math.min(ready, start)) < 1e-9) open.push(i);
    });
  }
  return [...on].sort((a, b) => (slots[a] as Slot).start - (slots[b] as Slot).start).map((i) => (tasks[i] as Job).id);
}
