import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Bench } from '../build/bench.ts';
import type { Bill } from '../build/bill.ts';
import { dateOf, dayOf, minutesOf, weekdayOf } from '../quantity/dates.ts';
import type { BillLine } from './bill.ts';
import type { Window } from './calendar.ts';
import { daysAt, type LeadDays } from './leadTime.ts';
import { NoRoom, planOf, schedule } from './schedule.ts';
import type { Gate, Job, Plan, Schedule, ScheduleCase, Task } from './scheduled.ts';
import { inserted } from './scheduleSearch.ts';
import type { BenchNeed } from './steps/needs.ts';
import type { BuildStep } from './steps/step.ts';

/** What comes by carrier is counted from the evening, min of the day. Source: project. */
const ARRIVES = 18 * 60;
/** Days a part takes of which nobody has asked. Source: project, a parcel within a country up to one from stock abroad. */
export const UNASKED: LeadDays = { low: 3, likely: 7, high: 14 };
/** Bench time is looked for so far ahead, days. */
const AHEAD = 182;
/** A step longer than this may be gone on with at the next bench time, min. Source: project. */
const SPLIT_FROM = 60;
/** Spread of task times: one factor a build, one a task. Source: models, §11. */
const BUILD_SPREAD = 0.25;
const TASK_SPREAD = 0.2;
/** Draws of a chance. Source: models, §11. */
const DRAWS = 2000;

/** When a part is here: days since 1970, and how that is known. */
export interface Coming extends LeadDays {
  key: string;
  name: string;
  known: 'promised' | 'ordered' | 'offer' | 'unasked';
}

/** What frees most work once it is here. */
export interface Freeing {
  key: string;
  name: string;
  minutes: number;
  steps: number;
}

/** A step that cannot be begun, and what it waits for. */
export interface Held {
  step: string;
  /** Bill lines not here, and steps whose waiting is not over. */
  lines: string[];
  waits: string[];
}

/** Steps, what they ask for, and the step that takes each line. */
interface BenchSteps {
  steps: readonly BuildStep[];
  needs: readonly BenchNeed[];
  fits: Readonly<Record<string, string>>;
}

/** The time of a build: what can be done when, when it will be done, and how surely. */
export interface BuildTime {
  /** The moment it was reckoned for, min since 1970, local. */
  now: number;
  windows: Window[];
  arrivals: Coming[];
  schedule: Schedule | null;
  /** Why there is none. */
  refused: string | null;
  /** Share of draws that are done by the day all is wanted by; null where none is named or nothing scheduled. */
  chance: number | null;
  /** Moments by which one, five and nine in ten draws are done. */
  doneBy: [number, number, number] | null;
  /** Steps that can be begun at this minute, best first. */
  ready: string[];
  held: Held[];
  frees: Freeing | null;
  /** Steps that want more hands than there are: somebody is asked to help. */
  helped: string[];
  /** Minutes of work left. */
  minutes: number;
}

/** Bench time from a moment on, week by week and day by day; stretches that overlap are one. */
export function benchWindows(bench: Bench, now: number, ahead = AHEAD): Window[] {
  const found: Window[] = [];
  const put = (day: number, from: string, to: string): void => {
    const on = dateOf(day);
    if (bench.away.includes(on)) return;
    const start = Math.max(now, minutesOf(`${on}T${from}`));
    const end = to === '24:00' ? (day + 1) * 1440 : minutesOf(`${on}T${to}`);
    if (end > start) found.push({ from: start, to: end });
  };
  const today = Math.floor(now / 1440);
  for (let day = today; day < today + ahead; day++) {
    const weekday = weekdayOf(dateOf(day));
    for (const w of bench.weekly) if (w.day === weekday) put(day, w.from, w.to);
  }
  for (const o of bench.once) if (dayOf(o.on) >= today) put(dayOf(o.on), o.from, o.to);
  found.sort((a, b) => a.from - b.from);
  const apart: Window[] = [];
  for (const w of found) {
    const last = apart.at(-1);
    if (last && w.from <= last.to) last.to = Math.max(last.to, w.to);
    else apart.push({ ...w });
  }
  return apart;
}

/** When each line that is not here will be; lines that are had, borrowed or here are none. Held ones as if ordered today. */
export function arrivalsOf(lines: readonly BillLine[], bill: Bill, now: number): Coming[] {
  const today = Math.floor(now / 1440);
  return lines.flatMap((line): Coming[] => {
    const { state, from, choice } = line;
    if (line.why === 'notWanted') return [];
    if (from === 'have' || from === 'donor') return [];
    const open = state === 'wanted' || state === 'returned' || state === 'faulty';
    if (!open && state !== 'ordered' && state !== 'promised') return [];
    const named = { key: line.key, name: line.name };
    // What is not here on its day comes tomorrow at the earliest.
    const atLeast = (day: number): number => Math.max(day, today + (now % 1440 > ARRIVES ? 1 : 0));
    const on = (low: number, likely: number, high: number, known: Coming['known']): Coming => ({
      ...named,
      low: atLeast(low),
      likely: atLeast(likely),
      high: atLeast(high),
      known,
    });
    if (choice.promisedOn !== null && !(open && state !== 'wanted')) {
      const day = dayOf(choice.promisedOn);
      return [on(day, day, day + (from === 'order' ? 2 : 0), 'promised')];
    }
    // Borrowed or hired without a day: it is asked for when it is needed.
    if (from !== 'order') return [];
    const offers = bill.offers.filter((o) => o.part === line.part && (o.stock === null || o.stock >= line.count));
    const asked = offers.filter((o) => !open && choice.supplier !== null && o.supplier === choice.supplier);
    const best = (asked.length > 0 ? asked : offers).reduce<(typeof offers)[number] | null>(
      (a, b) => (a && a.leadDays.likely <= b.leadDays.likely ? a : b),
      null,
    );
    const lead = best?.leadDays ?? UNASKED;
    const start = !open && choice.orderedOn !== null ? dayOf(choice.orderedOn) : today;
    return [
      on(start + lead.low, start + lead.likely, start + lead.high, best ? (open ? 'offer' : 'ordered') : 'unasked'),
    ];
  });
}

/** Lines not here that each step itself waits for. A tool is waited for by every step that asks for it. */
function gatesOf(
  steps: readonly BuildStep[],
  arrivals: readonly Coming[],
  fits: Readonly<Record<string, string>>,
  needs: readonly BenchNeed[],
): Map<string, Set<string>> {
  const own = new Map(steps.map((s) => [s.id, new Set<string>()]));
  for (const { key } of arrivals) {
    const asked = needs.find((n) => n.key === key)?.steps ?? [fits[key] ?? ''];
    for (const id of asked) own.get(id)?.add(key);
  }
  return own;
}

/** When a step done has waited out, min; long ago where it does not wait. */
const waitedOut = (step: BuildStep | undefined): number =>
  step && step.doneOn !== null && step.wait ? minutesOf(step.doneOn) + step.wait.minutes : -Infinity;

/** Steps whose befores are all done: those that can be begun at a moment, and those that wait for a part or wait out. */
function canBegin(
  { steps, needs, fits }: BenchSteps,
  arrivals: readonly Coming[],
  now: number,
): { held: Held[]; ready: BuildStep[] } {
  const left = steps.filter((s) => s.doneOn === null);
  const byId = new Map(steps.map((s) => [s.id, s]));
  const own = gatesOf(left, arrivals, fits, needs);
  const held: Held[] = [];
  const ready: BuildStep[] = [];
  for (const step of left) {
    const keys = [...(own.get(step.id) ?? [])];
    const waits = step.after.map((a) => a.step).filter((id) => waitedOut(byId.get(id)) > now);
    if (step.after.some((a) => byId.get(a.step)?.doneOn === null)) continue;
    if (keys.length > 0 || waits.length > 0) held.push({ step: step.id, lines: keys, waits });
    else ready.push(step);
  }
  return { held, ready };
}

/**
 * What can be begun at a moment and what is held, in the steps' own order: at once, without laying anything out in time.
 * @param now min since 1970 of the local clock
 */
export function benchNow(
  given: BenchSteps,
  lines: readonly BillLine[],
  bill: Bill,
  now: number,
): { ready: string[]; held: Held[] } {
  const { held, ready } = canBegin(given, arrivalsOf(lines, bill, now), now);
  return { ready: ready.map((s) => s.id), held };
}

/**
 * The time of a build from its steps, its bench times and what is on its way. Pure: the same moment gives the same
 * answer; the chance is drawn from a fixed seed.
 * @param now min since 1970 of the local clock
 */
export function buildTime(
  { steps, needs, fits }: BenchSteps,
  lines: readonly BillLine[],
  bench: Bench,
  bill: Bill,
  now: number,
): BuildTime {
  const windows = benchWindows(bench, now);
  const arrivals = arrivalsOf(lines, bill, now);
  const left = steps.filter((s) => s.doneOn === null);
  const byId = new Map(steps.map((s) => [s.id, s]));
  const own = gatesOf(left, arrivals, fits, needs);
  const { held, ready } = canBegin({ steps, needs, fits }, arrivals, now);
  const made: ScheduleCase = {
    hands: bench.hands,
    windows,
    gates: [
      ...arrivals.map((a): Gate => ({ id: a.key, from: Math.ceil(daysAt(dayRange(a), bill.chance)) * 1440 + ARRIVES })),
      ...steps.flatMap((s): Gate[] => (waitedOut(s) > now ? [{ id: `wait ${s.id}`, from: waitedOut(s) }] : [])),
    ],
    tasks: left.map((s): Task => ({
      id: s.id,
      minutes: s.minutes,
      // Alone, a step for two is asked help for; it is not left undone.
      hands: s.hands > bench.hands ? 1 : s.hands,
      after: s.after.map((a) => a.step).filter((id) => byId.get(id)?.doneOn === null),
      waitMinutes: s.wait?.minutes ?? 0,
      needs: [
        ...(own.get(s.id) ?? []),
        ...s.after.flatMap(({ step }) => (waitedOut(byId.get(step)) > now ? [`wait ${step}`] : [])),
      ],
      tools: s.tools,
      splittable: s.minutes > SPLIT_FROM,
    })),
  };
  const minutes = left.reduce((sum, s) => sum + s.minutes, 0);
  let found: Schedule | null = null;
  let refused: string | null = null;
  if (windows.length === 0) refused = 'no bench time is named yet';
  else if (left.length > 0)
    try {
      found = schedule(made);
    } catch (error) {
      if (!(error instanceof NoRoom)) throw error;
      refused = error.message;
    }
  const drawn = found ? drawnFinishes(made, found, arrivals) : null;
  const at = (share: number): number => drawn?.[Math.min(DRAWS - 1, Math.floor(share * DRAWS))] ?? Infinity;
  const by = bill.neededBy === null ? null : (dayOf(bill.neededBy) + 1) * 1440;
  const order = new Map(found?.tasks.map((t) => [t.id, t.start]));
  ready.sort((a, b) => (order.get(a.id) ?? 0) - (order.get(b.id) ?? 0));
  return {
    now,
    windows,
    arrivals,
    schedule: found,
    refused,
    chance: drawn && by !== null ? drawn.filter((f) => f <= by).length / DRAWS : null,
    doneBy: drawn ? [at(0.1), at(0.5), at(0.9)] : null,
    ready: ready.map((s) => s.id),
    held,
    frees: mostFreed(left, own, arrivals),
    helped: left.filter((s) => s.hands > bench.hands).map((s) => s.id),
    minutes,
  };
}

const dayRange = ({ low, likely, high }: Coming): LeadDays => ({ low, likely, high });

/** Finishes of all draws, in rising order: arrivals from their triangles, minutes scaled, steps in the order found. */
function drawnFinishes(made: ScheduleCase, { tasks }: Schedule, arrivals: readonly Coming[]): number[] {
  const plan = planOf({ ...made, tasks: made.tasks.map((t) => ({ ...t, splittable: true })) });
  const start = new Map(tasks.map((t) => [t.id, t.start]));
  const order = orderBy(plan, (job) => start.get(job.id) ?? Infinity);
  const random = xoroshiro128plus(20_260_301);
  const next = (): number => uniformFloat64(random);
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  // The mean of the factor is one: it is the minutes' own spread, not more work.
  const factor = (spread: number): number => Math.exp(spread * normal() - spread ** 2 / 2);
  const fixed = new Map(made.gates.map((g) => [g.id, g.from]));
  const needs = made.tasks.map((t) => t.needs);
  const finishes: number[] = [];
  for (let draw = 0; draw < DRAWS; draw++) {
    const gates = new Map(fixed);
    for (const a of arrivals) gates.set(a.key, Math.round(daysAt(dayRange(a), next())) * 1440 + ARRIVES);
    const build = factor(BUILD_SPREAD);
    const jobs = plan.tasks.map((job, i): Job => ({
      ...job,
      minutes: job.minutes * build * factor(TASK_SPREAD),
      release: Math.max(-Infinity, ...(needs[i] ?? []).map((id) => gates.get(id) ?? -Infinity)),
    }));
    finishes.push(inserted({ ...plan, tasks: jobs }, order)?.finish ?? Infinity);
  }
  return finishes.sort((a, b) => a - b);
}

/** Tasks by a key, each after those before it. */
function orderBy({ tasks }: Plan, key: (job: Job) => number): number[] {
  const left = tasks.map((t) => t.before.length);
  const open = tasks.filter((t) => t.before.length === 0);
  const out: number[] = [];
  while (open.length > 0) {
    open.sort((a, b) => key(b) - key(a));
    const job = open.pop() as Job;
    out.push(job.index);
    for (const f of job.followers) if (--(left[f] as number) === 0) open.push(tasks[f] as Job);
  }
  return out;
}

/**
 * What frees most work: of each line not here, the minutes of all steps that wait for it alone, themselves or by what
 * comes before them; where every step waits for several, the one that most wait for.
 */
function mostFreed(
  steps: readonly BuildStep[],
  own: ReadonlyMap<string, ReadonlySet<string>>,
  arrivals: readonly Coming[],
): Freeing | null {
  const all = new Map<string, Set<string>>();
  const byId = new Map(steps.map((s) => [s.id, s]));
  const waitsFor = (id: string): Set<string> => {
    const known = all.get(id);
    if (known) return known;
    const set = new Set(own.get(id));
    all.set(id, set);
    for (const { step } of byId.get(id)?.after ?? []) if (byId.has(step)) for (const k of waitsFor(step)) set.add(k);
    return set;
  };
  const sums = (alone: boolean): Freeing[] =>
    arrivals.map(({ key, name }) => {
      const freed = steps.filter((s) => {
        const gates = waitsFor(s.id);
        return gates.has(key) && (!alone || gates.size === 1);
      });
      return { key, name, steps: freed.length, minutes: freed.reduce((sum, s) => sum + s.minutes, 0) };
    });
  const most = (list: Freeing[]): Freeing | null =>
    list.reduce<Freeing | null>((best, f) => (f.minutes > (best?.minutes ?? 0) ? f : best), null);
  return most(sums(true)) ?? most(sums(false));
}
