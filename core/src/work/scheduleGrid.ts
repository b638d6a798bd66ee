import type { ScheduleCase } from './scheduled.ts';

/** Moments at which anything can begin or end: so many minutes apart, counted from one. */
export interface Grid {
  origin: number;
  step: number;
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/**
 * The widest grid that every start of a schedule in which nothing could be earlier lies on: a task begins with a window,
 * as a gate opens, or as another is done or waited out. Null where no step of more than a minute does.
 */
export function gridOf({ windows, gates, tasks }: ScheduleCase): Grid | null {
  const origin = windows[0]?.from;
  if (origin === undefined) return null;
  // Where a window ends matters to what is split there, and to what takes no time at all.
  const ends = tasks.some((t) => t.splittable || t.minutes === 0);
  // A gate that opens while nobody works lets a task begin with the next window; one that nothing needs lets nothing.
  const needed = new Set(tasks.flatMap((t) => t.needs));
  const within = gates.filter((g) => needed.has(g.id) && windows.some((w) => w.from < g.from && g.from < w.to));
  const times = [
    ...windows.flatMap((w) => [w.from - origin, ...(ends ? [w.to - origin] : [])]),
    ...within.map((g) => g.from - origin),
    ...tasks.flatMap((t) => [t.minutes, t.waitMinutes]),
  ];
  if (!times.every((t) => Number.isInteger(t))) return null;
  const step = times.reduce((all, t) => gcd(all, Math.abs(t)), 0);
  return step > 1 ? { origin, step } : null;
}

/** The same case in steps of its grid, from its origin; what of a window is less than a step is of no use to any task. */
export function onGrid(given: ScheduleCase, { origin, step }: Grid): ScheduleCase {
  const { windows, gates, tasks } = given;
  return {
    hands: given.hands,
    windows: windows
      .map((w) => ({ from: (w.from - origin) / step, to: Math.floor((w.to - origin) / step) }))
      .filter((w) => w.to > w.from),
    gates: gates.map((g) => ({ id: g.id, from: Math.ceil((g.from - origin) / step) })),
    tasks: tasks.map((t) => ({ ...t, minutes: t.minutes / step, waitMinutes: t.waitMinutes / step })),
  };
}
