import type { Build } from '../build/build.ts';
import type { RemedyPlace } from '../build/remedy.ts';
import { byTime, entriesOf, type EntryOf } from '../build/log.ts';
import { isTrike, kindTraits } from '../donor/kinds.ts';
import { dateAfter, daysBetween } from '../quantity/dates.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { chosenControls } from '../wiring/asWired.ts';
import { leverSheets } from '../wiring/levers.ts';
import { odometerOf, type Odometer } from './odometer.ts';
import { upkeepTasks, type UpkeepFacts, type UpkeepTask } from './upkeepTasks.ts';

/** How near a task is: late, to be done now, soon, or not yet. */
export type Nearness = 'late' | 'due' | 'soon' | 'later';
export const nearnessWords: Record<Nearness, string> = {
  late: 'Overdue',
  due: 'Due now',
  soon: 'Soon',
  later: 'Not yet',
};

/** A task with where it stands. */
export interface Upkeep {
  task: UpkeepTask;
  /** Where on the vehicle it is. */
  place: RemedyPlace;
  /** 0 just done, 1 due; of whichever comes first. */
  near: number;
  nearness: Nearness;
  /** What makes it due, in words with its figures. */
  by: Phrase;
  /** Day it will be due at the present pace; null: nobody can say. */
  on: string | null;
  /** When it was last done, newest first. */
  history: { at: string; by: string; note: string; id: string }[];
  /** Way since, m. */
  sinceM: number;
}

/** Due from here on, late from there, and soon from so near. Source: project. */
const DUE = 1;
const LATE = 1.25;
const SOON = 0.8;
/** A lamp lit day in, day out wants no date further off than this. */
const FURTHEST_DAYS = 730;

/** What of the vehicle as it is now decides its upkeep. */
export function upkeepFacts(context: PlanContext): UpkeepFacts {
  const { kit, pack, build, gearing } = context;
  const controls = chosenControls(build, context.shelf);
  const { front, rear } = context.asItWillBe.brakes;
  const kinds = [front, rear].filter((k) => k !== undefined);
  const traits = kindTraits[build.donor.kind];
  return {
    hub: kit?.hub !== undefined,
    mid: kit !== null && kit.hub === undefined,
    driven: kit?.hub?.place ?? 'rear',
    derailleur: gearing.drivetrain === 'derailleur' && gearing.gears.length > 1,
    hubGear: gearing.drivetrain === 'hubGear',
    disc: kinds.some((k) => k === 'discCable' || k === 'discHydraulic'),
    rim: kinds.includes('rim'),
    hydraulic: kinds.includes('discHydraulic'),
    lamps: controls.has('frontLamp') || controls.has('rearLamp'),
    cutoffs: kit !== null && leverSheets(build, kit, context.shelf).some((l) => l.by !== 'none'),
    pack: pack !== null,
    lead: pack?.chemistry === 'lead',
    trailer: build.brief.trailer !== null,
    trike: isTrike(build.donor.kind),
    hinge: traits.hinge,
  };
}

/** First of March of the year of a moment: the winter is over where these vehicles ride. Source: project. */
const springOf = (now: string): string => `${now.slice(0, 4)}-03-01`;

interface Share {
  near: number;
  by: Phrase;
  /** Days until it is due; null: no pace to tell it by. */
  days: number | null;
}

function byWay(everyKm: number, sinceM: number, odometer: Odometer): Share {
  const leftM = everyKm * 1000 - sinceM;
  return {
    near: sinceM / (everyKm * 1000),
    by:
      leftM >= 0
        ? phrase`${amount(sinceM, 'way', 0)} of ${amount(everyKm * 1000, 'way', 0)}`
        : phrase`${amount(-leftM, 'way', 0)} past ${amount(everyKm * 1000, 'way', 0)}`,
    days: odometer.perDayM === null ? null : leftM / odometer.perDayM,
  };
}

function standingOf(task: UpkeepTask, facts: UpkeepFacts, build: Build, odometer: Odometer, now: string): Upkeep {
  const services = entriesOf(build.log, 'service')
    .filter((s) => s.task === task.id)
    .sort((a, b) => byTime(b, a));
  const last = services[0];
  const from = last?.at ?? odometer.since ?? now;
  const sinceM = odometer.at(now) - (last ? odometer.at(last.at) : 0);
  const shares: Share[] = [];
  const everyKm = task.everyKm?.(facts);
  if (everyKm !== undefined) shares.push(byWay(last ? everyKm : (task.firstKm ?? everyKm), sinceM, odometer));
  const days = Math.max(0, daysBetween(from, now));
  if (task.everyDays !== undefined)
    shares.push({
      near: days / task.everyDays,
      by: phrase`${days} of ${task.everyDays} days`,
      days: task.everyDays - days,
    });
  if (task.everyCharges !== undefined) {
    const charges = odometer.chargesAt(now) - (last ? odometer.chargesAt(last.at) : 0);
    shares.push({
      near: charges / task.everyCharges,
      by: phrase`${charges} of ${task.everyCharges} charges`,
      days: odometer.chargesPerDay === null ? null : (task.everyCharges - charges) / odometer.chargesPerDay,
    });
  }
  if (task.afterWinter && odometer.since !== null) {
    const spring = springOf(now);
    if (now.slice(0, 10) >= spring && odometer.since < spring && (last === undefined || last.at < spring))
      shares.push({ near: 1, by: phrase`the winter is over`, days: 0 });
  }
  if (task.after !== undefined) {
    const event = eventAfter(build, task.after, last);
    if (event) shares.push({ near: 1, by: phrase`after the ${task.after} of ${event.at.slice(0, 10)}`, days: 0 });
  }
  // What comes first rules: the fullest share, and of two full ones the one told first.
  const first = shares.reduce<Share>((a, b) => (b.near > a.near ? b : a), {
    near: 0,
    by: phrase`nothing ridden yet`,
    days: null,
  });
  const soonest = shares.reduce<number | null>(
    (a, { days: d }) => (d === null ? a : a === null ? d : Math.min(a, d)),
    null,
  );
  const nearness: Nearness =
    first.near >= LATE ? 'late' : first.near >= DUE ? 'due' : first.near >= SOON ? 'soon' : 'later';
  return {
    task,
    place: task.place(facts),
    near: first.near,
    nearness,
    by: first.by,
    on: soonest === null || soonest > FURTHEST_DAYS ? null : dateAfter(now.slice(0, 10), Math.max(0, soonest)),
    history: services.map(({ at, by, note, id }) => ({ at, by, note, id })),
    sinceM,
  };
}

/** The newest line of a kind since a task was last done. */
function eventAfter(
  build: Build,
  kind: NonNullable<UpkeepTask['after']>,
  last: EntryOf<'service'> | undefined,
): { at: string } | undefined {
  return entriesOf(build.log, kind)
    .filter((e) => last === undefined || e.at > last.at)
    .sort((a, b) => byTime(b, a))[0];
}

/** The due list of a vehicle in use, nearest first; what can hurt somebody before what cannot. Empty without a kit. */
export function upkeepOf(context: PlanContext, build: Build, now: string): Upkeep[] {
  if (!context.kit) return [];
  const facts = upkeepFacts(context);
  const odometer = odometerOf(build.log, now);
  const rank: Record<Nearness, number> = { late: 0, due: 1, soon: 2, later: 3 };
  return upkeepTasks
    .filter((task) => task.when(facts))
    .map((task) => standingOf(task, facts, build, odometer, now))
    .sort(
      (a, b) =>
        rank[a.nearness] - rank[b.nearness] ||
        Number(b.task.safety ?? false) - Number(a.task.safety ?? false) ||
        b.near - a.near,
    );
}

/** Days of the calendar on which upkeep will be due. */
export const upkeepReminders = (upkeep: readonly Upkeep[]): { id: string; on: string; what: string }[] =>
  upkeep.flatMap(({ task, on }) => (on === null ? [] : [{ id: `upkeep-${task.id}`, on, what: task.words }]));
