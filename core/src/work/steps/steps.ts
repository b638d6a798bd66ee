import type { Done } from '../../build/asBuilt.ts';
import { knownOf } from '../../build/paces.ts';
import type { RemedyPlace } from '../../build/remedy.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { stepFacts, type StepFacts } from './facts.ts';
import { stepLibrary } from './library.ts';
import { atPace, paceOf } from './pace.ts';
import { remedySteps, repairSteps, type Doing } from './remedySteps.ts';
import { asToldOn, type BuildStep, type StepBefore, type StepPart, type StepSpec } from './step.ts';

export { BEGINNER, doingsOf, type Doing } from './remedySteps.ts';

const specs = new Map(stepLibrary.map((s) => [s.id, s]));

/** A step of the library by its id. */
export const specOf = (id: string): StepSpec | undefined => specs.get(id);

function placeOf(place: StepSpec['place'], { hub, mid }: StepFacts): RemedyPlace {
  switch (place) {
    case 'motor wheel':
      return hub ? `${hub} wheel` : mid ? 'bracket' : 'rear wheel';
    case 'motor axle':
      return hub ? `${hub} axle` : mid ? 'bracket' : 'frame';
    case 'motor brake':
      return `${hub ?? 'rear'} brake`;
    case 'driven wheel':
      return `${hub ?? 'rear'} wheel`;
    default:
      return place;
  }
}

/** Steps that a remedy at a place is done before, the first that applies: what is worked on has to be as it will be. */
export const fitting: Readonly<Record<RemedyPlace, readonly string[]>> = {
  'rear axle': ['try-axle', 'gears-set', 'lay-leads'],
  'front axle': ['try-axle', 'lay-leads'],
  'rear wheel': ['tape-rim', 'gears-set', 'lay-leads'],
  'front wheel': ['tape-rim', 'lay-leads'],
  'rear brake': ['brake-centre', 'first-power', 'tighten-again'],
  'front brake': ['brake-centre', 'first-power', 'tighten-again'],
  fork: ['try-axle', 'lay-leads'],
  bracket: ['mid-in', 'cadence-ring', 'lay-leads'],
  frame: ['try-axle', 'mid-in', 'side-clamps', 'lay-leads'],
  chain: ['chain-on', 'gears-set', 'side-chain', 'turns-free'],
  bar: ['display-on', 'throttle-on', 'lay-leads'],
  'left lever': ['cutoff-set', 'lay-leads'],
  'right lever': ['cutoff-set', 'lay-leads'],
  levers: ['cutoff-set', 'lay-leads'],
  leads: ['plugs-home'],
  pack: ['pack-holder'],
  rack: ['pack-holder', 'lay-leads'],
  'front carrier': ['lay-leads'],
  seat: ['lay-leads'],
  stand: ['lay-leads'],
  donor: ['on-stand'],
  bench: ['on-stand'],
};

/** Parts of the choice that a step is done with, by id. */
function partOf({ kit, pack, chosen }: PlanContext, of: StepSpec['of']): string | null {
  const one = (part: StepPart): string | null =>
    (part === 'kit' ? kit : part === 'pack' ? pack : chosen[part])?.id ?? null;
  if (of === undefined) return null;
  return typeof of === 'string' ? one(of) : of.map(one).join('+');
}

/** Whether a step done counts here: at another place, or with another part, it was another piece of work. */
function countsHere(record: Done, place: RemedyPlace, part: string | null): boolean {
  return (record.place === null || record.place === place) && (record.part === null || record.part === part);
}

/** Steps of the library that stand before one, near or far. */
function ancestorsOf(id: string, found = new Set<string>()): Set<string> {
  for (const { step } of specs.get(id)?.after ?? [])
    if (!found.has(step)) {
      found.add(step);
      ancestorsOf(step, found);
    }
  return found;
}

/**
 * What was done with something the plan wants no more is undone first, the last of it first: work at its place waits
 * for that.
 */
function undoSteps(
  { build }: PlanContext,
  facts: StepFacts,
  counts: (id: string, record: Done) => boolean,
): BuildStep[] {
  const stale = Object.entries(build.bench.done).flatMap(([id, record]): [StepSpec, Done][] => {
    const spec = specs.get(id);
    return spec?.undo !== undefined && !record.leftOut && !counts(id, record) ? [[spec, record]] : [];
  });
  return stale.map(([spec, record]): BuildStep => {
    const later = stale.filter(([other]) => ancestorsOf(other.id).has(spec.id));
    const told = spec.minutes[build.bench.practised ? 1 : 0];
    return {
      id: `undo:${spec.id}`,
      group: 'strip',
      // Told by an older file, it was done where it would be done now.
      place: (record.place ?? placeOf(spec.place, facts)) as RemedyPlace,
      title: [spec.undo ?? ''],
      minutes: told,
      practised: spec.minutes[1],
      told,
      hands: spec.hands ?? 1,
      tools: [...(typeof spec.tools === 'function' ? spec.tools(facts) : (spec.tools ?? []))],
      supplies: {},
      after: later.map(([other]) => ({ step: `undo:${other.id}`, why: 'what went on last comes off first' })),
      wait: null,
      rule: null,
      undoes: spec.id,
      part: record.part,
      doneOn: null,
    };
  });
}

/**
 * The steps of this kit on this donor: those of the library that apply, one for each remedy that takes work, and before
 * them one for each step that was done for another plan and is to be undone. What comes after a step that does not
 * apply comes after what that one would have come after. Empty without a kit.
 */
export function stepsOf(context: PlanContext, doings: readonly Doing[]): BuildStep[] {
  const facts = context.once('stepFacts', () => stepFacts(context));
  if (!facts) return [];
  const { practised, done } = context.build.bench;
  const here = new Map(stepLibrary.filter((s) => s.when(facts)).map((s) => [s.id, asToldOn(s, facts)]));
  const has = (id: string): boolean => here.has(id);
  const doneAt = (id: string, place: RemedyPlace, part: string | null): Done | null => {
    const record = done[id];
    return record && countsHere(record, place, part) ? record : null;
  };
  const steps = [...here.values()].map((spec): BuildStep => {
    const { id, group, minutes, hands, tools, supplies, wait } = spec;
    const place = placeOf(spec.place, facts);
    const part = partOf(context, spec.of);
    const told = minutes[practised ? 1 : 0];
    return {
      id,
      group,
      place,
      title: [spec.title],
      minutes: told,
      practised: minutes[1],
      told,
      hands: hands ?? 1,
      tools: [...(typeof tools === 'function' ? tools(facts) : (tools ?? []))],
      supplies: { ...supplies },
      after: befores(spec.after ?? [], has),
      wait: wait ?? null,
      rule: null,
      undoes: null,
      part,
      doneOn: doneAt(id, place, part)?.at ?? null,
    };
  });
  const byId = new Map(steps.map((s) => [s.id, s]));
  const fixes = remedySteps(context, doings, facts, has, doneAt);
  for (const fix of fixes) {
    fix.after = befores(fix.after, has);
    const next = fitting[fix.place].find(has);
    const why = fix.group === 'mend' ? 'the donor is made sound first' : 'it has to be done before the part goes there';
    if (next) byId.get(next)?.after.push({ step: fix.id, why });
    // Whatever its place, it is done before the last look.
    else byId.get('tighten-again')?.after.push({ step: fix.id, why: 'nothing is left undone' });
  }
  const undos = undoSteps(context, facts, (id, record) => {
    const step = byId.get(id);
    return step !== undefined && countsHere(record, step.place, step.part);
  });
  for (const undo of undos)
    for (const step of [...steps, ...fixes])
      if (step.doneOn === null && (step.place === undo.place || step.id === undo.undoes || step.id === 'first-power'))
        step.after.push({ step: undo.id, why: 'what was built for another plan is in the way' });
  return paced([...undos, ...steps, ...fixes, ...repairSteps(context, doneAt)], context);
}

/** Minutes of all those steps together, at the pace of who is at the bench. */
export function minutesOf(context: PlanContext, doings: readonly Doing[]): number {
  const { build } = context;
  const sum = (steps: readonly Pick<BuildStep, 'minutes'>[]): number => steps.reduce((all, s) => all + s.minutes, 0);
  // Once something is done it counts by where and with which part it was done.
  if (Object.keys(build.bench.done).length > 0) return sum(stepsOf(context, doings));
  const facts = context.once('stepFacts', () => stepFacts(context));
  if (!facts) return 0;
  const here = stepLibrary.filter((s) => s.when(facts)).map((s) => asToldOn(s, facts));
  const ids = new Set(here.map((s) => s.id));
  const undone = (): null => null;
  const told = [
    ...here.map((s) => s.minutes[build.bench.practised ? 1 : 0]),
    ...remedySteps(context, doings, facts, (id) => ids.has(id), undone).map((s) => s.told),
    ...repairSteps(context, undone).map((s) => s.told),
  ];
  const pace = paceOf(knownOf(build, build.built.builder));
  return told.reduce((all, minutes) => all + (pace === 1 ? minutes : atPace(minutes, pace)), 0);
}

/** Steps still to do at the pace of who is at the bench. */
function paced(steps: BuildStep[], { build }: PlanContext): BuildStep[] {
  const pace = paceOf(knownOf(build, build.built.builder));
  if (pace !== 1) for (const s of steps) if (s.doneOn === null) s.minutes = atPace(s.told, pace);
  return steps;
}

/** What comes before, with what does not apply replaced by what would have come before it; each once. */
function befores(after: readonly StepBefore[], has: (id: string) => boolean): StepBefore[] {
  const found = new Map<string, StepBefore>();
  const seen = new Set<string>();
  // A reason of a step that is not there is none here: only the order is taken over from it.
  for (const before of after) if (has(before.step)) found.set(before.step, before);
  const walk = (list: readonly StepBefore[]): void => {
    for (const { step } of list) {
      if (seen.has(step)) continue;
      seen.add(step);
      if (!has(step)) walk(specs.get(step)?.after ?? []);
      else if (!found.has(step)) found.set(step, { step, why: '' });
    }
  };
  walk(after);
  return [...found.values()];
}
