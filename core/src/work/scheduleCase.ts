import { z } from '../reading/zod.ts';
import { isDate, minutesOf, momentText } from '../quantity/dates.ts';
import { problemsOf, type ReadResult } from '../reading/problems.ts';
import { NoRoom, schedule } from './schedule.ts';
import type { ScheduleCase } from './scheduled.ts';

const id = z.string().min(1).max(120);
const moment = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2})?$/, 'must be a local time such as 2026-03-07T09:30')
  .refine((text) => isDate(text.slice(0, 10)) && /T([01]\d|2[0-3]):[0-5]\d/.test(text), 'is no day or time there is');
const minutes = z.number().min(0).max(1_000_000);

const caseSchema = z
  .object({
    hands: z.union([z.literal(1), z.literal(2)]),
    windows: z.array(z.object({ from: moment, to: moment })).max(1000),
    gates: z
      .array(z.object({ id, from: moment }))
      .max(1000)
      .default([]),
    tasks: z
      .array(
        z.object({
          id,
          minutes,
          hands: z.union([z.literal(1), z.literal(2)]).default(1),
          after: z.array(id).max(200).default([]),
          waitMinutes: minutes.default(0),
          needs: z.array(id).max(200).default([]),
          tools: z.array(id).max(50).default([]),
          splittable: z.boolean().default(false),
        }),
      )
      .max(400),
  })
  .check(({ value: { windows, gates, tasks }, issues }) => {
    const say = (path: (string | number)[], message: string, input: unknown): void => {
      issues.push({ code: 'custom', path, message, input });
    };
    windows.forEach((w, i) => {
      if (minutesOf(w.from) >= minutesOf(w.to)) say(['windows', i, 'to'], 'must come after its from', w.to);
      const before = windows[i - 1];
      if (before && minutesOf(before.to) > minutesOf(w.from))
        say(['windows', i, 'from'], 'must not come before the window before it ends', w.from);
    });
    for (const [name, list] of [
      ['gates', gates],
      ['tasks', tasks],
    ] as const)
      list.forEach((one, i) => {
        if (list.findIndex((other) => other.id === one.id) < i) say([name, i, 'id'], `${one.id} stands twice`, one.id);
      });
    tasks.forEach((task, i) => {
      task.after.forEach((before, k) => {
        if (!tasks.some((t) => t.id === before)) say(['tasks', i, 'after', k], `no task ${before}`, before);
      });
      task.needs.forEach((gate, k) => {
        if (!gates.some((g) => g.id === gate)) say(['tasks', i, 'needs', k], `no gate ${gate}`, gate);
      });
    });
    const round = knotOf(tasks);
    if (round) {
      const i = tasks.findIndex((t) => t.id === round[0]);
      say(['tasks', i, 'after'], `waits for itself: ${[...round, round[0]].join(' after ')}`, round);
    }
  });

/** Tasks that wait for one another in a ring, each after the next; null where none do. */
export function knotOf(tasks: readonly { id: string; after: readonly string[] }[]): string[] | null {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const state = new Map<string, 'open' | 'done'>();
  const path: string[] = [];
  const visit = (name: string): string[] | null => {
    if (state.get(name) === 'done') return null;
    if (state.get(name) === 'open') return path.slice(path.indexOf(name));
    state.set(name, 'open');
    path.push(name);
    for (const before of byId.get(name)?.after ?? []) {
      const found = visit(before);
      if (found) return found;
    }
    path.pop();
    state.set(name, 'done');
    return null;
  };
  for (const task of tasks) {
    const found = visit(task.id);
    if (found) return found;
  }
  return null;
}

/** A schedule case as read; `seconds` where its times are given to the second. */
export type ReadSchedule = ScheduleCase & { seconds: boolean };

/** Reads a schedule case (docs/models.md): every fault with its path, or the case. */
export function readScheduleCase(value: unknown): ReadResult<ReadSchedule> {
  const read = caseSchema.safeParse(value);
  if (!read.success) return { ok: false, problems: problemsOf(read.error) };
  const { hands, windows, gates, tasks } = read.data;
  const times = [...windows.flatMap((w) => [w.from, w.to]), ...gates.map((g) => g.from)];
  return {
    ok: true,
    value: {
      hands,
      windows: windows.map((w) => ({ from: minutesOf(w.from), to: minutesOf(w.to) })),
      gates: gates.map((g) => ({ id: g.id, from: minutesOf(g.from) })),
      tasks,
      seconds: times.some((t) => t.length > 16),
    },
  };
}

/** Runs a schedule case: its answer with local times as text. */
export function runScheduleCase(given: ReadSchedule): object {
  const found = schedule(given);
  const text = (minute: number): string => momentText(minute, given.seconds || !Number.isInteger(minute));
  return {
    finish: text(found.finish),
    tasks: found.tasks.map((t) => ({ id: t.id, start: text(t.start), finish: text(t.finish) })),
    critical: found.critical,
    bound: text(found.bound),
    proven: found.proven,
  };
}

/** Where in a case the tasks are that have no room, for a message by path. */
export function placesOf(given: ScheduleCase, error: unknown): { path: string; message: string }[] | null {
  if (!(error instanceof NoRoom)) return null;
  return error.tasks.map((name) => ({
    path: `tasks[${given.tasks.findIndex((t) => t.id === name)}]`,
    message: error.message,
  }));
}
