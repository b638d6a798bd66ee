import type { Build } from '../../build/build.ts';
import type { Remedy, RemedyPlace } from '../../build/remedy.ts';
import type { Finding } from '../../fit/finding.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { stepFacts, type StepFacts } from './facts.ts';
import { stepLibrary } from './library.ts';
import type { BuildStep, StepBefore, StepGroup, StepSpec } from './step.ts';

/** A beginner takes so much longer over a remedy, whose minutes are practised. Source: the trade, four times over a kit; remedies are told in more detail. */
export const BEGINNER = 2.5;

/** What a finding asks to be done: the remedy taken, or the usual one of what wants rework. */
export interface Doing {
  finding: Finding;
  remedy: Remedy;
  taken: boolean;
}

/** What findings ask to be done: nothing of one that was set aside. The one reader of it, for money and steps alike. */
export function doingsOf(build: Build, findings: readonly Finding[]): Doing[] {
  return findings.flatMap((finding): Doing[] => {
    if (finding.override) return [];
    const fix = build.fixes.find((f) => f.rule === finding.rule && f.subject === finding.subject);
    const taken = fix ? finding.remedies.find((r) => r.id === fix.remedy) : undefined;
    const remedy = taken ?? (finding.verdict === 'rework' ? finding.remedies[0] : undefined);
    return remedy ? [{ finding, remedy, taken: taken !== undefined }] : [];
  });
}

const placeOf = (place: StepSpec['place'], { hub, mid }: StepFacts): RemedyPlace =>
  place === 'motor wheel'
    ? hub
      ? `${hub} wheel`
      : mid
        ? 'bracket'
        : 'rear wheel'
    : place === 'motor axle'
      ? hub
        ? `${hub} axle`
        : mid
          ? 'bracket'
          : 'frame'
      : place === 'motor brake'
        ? `${hub ?? 'rear'} brake`
        : place;

/** Steps that a remedy at a place is done before, the first that applies: what is worked on has to be as it will be. */
export const fitting: Readonly<Record<RemedyPlace, readonly string[]>> = {
  'rear axle': ['try-axle', 'gears-set'],
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

/** Group a remedy is shown in, by its place. */
const groupOf: Readonly<Partial<Record<RemedyPlace, StepGroup>>> = {
  'rear axle': 'frame',
  'front axle': 'frame',
  fork: 'frame',
  frame: 'frame',
  rack: 'frame',
  seat: 'frame',
  stand: 'frame',
  'front carrier': 'frame',
  'rear wheel': 'wheel',
  'front wheel': 'wheel',
  'rear brake': 'brakes',
  'front brake': 'brakes',
  bracket: 'motor',
  chain: 'gears',
  bar: 'bar',
  'left lever': 'bar',
  'right lever': 'bar',
  levers: 'bar',
  leads: 'loom',
  pack: 'pack',
};

/** Where a finding's remedy is worked that takes nothing: by the stage that found it. */
const stagePlace: Readonly<Partial<Record<Finding['stage'], RemedyPlace>>> = {
  pack: 'pack',
  wiring: 'leads',
  gearing: 'chain',
};

/** Remedies told by the same words at the same place are one piece of work: its longest. */
function remedySteps(
  { build }: PlanContext,
  doings: readonly Doing[],
  facts: StepFacts,
  has: (id: string) => boolean,
): BuildStep[] {
  const { practised, done } = build.bench;
  const steps = doings.flatMap(({ finding, remedy }): BuildStep[] => {
    // What is set or chosen is done at the desk; arms have steps of their own.
    if (remedy.does !== 'buy' && remedy.does !== 'work') return [];
    if (remedy.work === 0 || remedy.takes.some((t) => has('arms-ready') && t.part.startsWith('torque-arm'))) return [];
    const mends = finding.rule.startsWith('condition-');
    const place = mends ? 'donor' : (remedy.takes[0]?.place ?? stagePlace[finding.stage] ?? 'frame');
    const id = `fix:${finding.rule}@${finding.subject ?? ''}`;
    return [
      {
        id,
        group: mends ? 'mend' : (groupOf[place] ?? 'frame'),
        place,
        title: remedy.text,
        minutes: Math.round(remedy.work * (practised ? 1 : BEGINNER)),
        practised: remedy.work,
        hands: 1,
        tools: [...remedy.tools],
        supplies: {},
        after: mends
          ? [{ step: 'look-over', why: 'the donor is looked over first' }]
          : before(place, facts).map((step) => ({ step, why: 'the place has to be free' })),
        wait: null,
        rule: finding.rule,
        doneOn: done[id] ?? null,
      },
    ];
  });
  return steps.filter((step) => {
    const same = steps.filter((s) => s.place === step.place && JSON.stringify(s.title) === JSON.stringify(step.title));
    return same.reduce((longest, s) => (s.practised > longest.practised ? s : longest)) === step;
  });
}

/** What has to be off before a place is worked on. */
function before(place: RemedyPlace, { hub }: StepFacts): string[] {
  if (hub && (place === `${hub} axle` || place === 'fork' || place === 'frame')) return ['wheel-out'];
  if (place === 'bracket') return ['bracket-out', 'on-stand'];
  if (place === 'donor') return ['look-over'];
  return ['on-stand'];
}

/**
 * The steps of this kit on this donor: those of the library that apply, and one for each remedy that takes work, in the
 * order of their groups. What comes after a step that does not apply comes after what that one would have come after.
 * Empty without a kit.
 */
export function stepsOf(context: PlanContext, doings: readonly Doing[]): BuildStep[] {
  const facts = stepFacts(context);
  if (!facts) return [];
  const { practised, done } = context.build.bench;
  const here = new Map(stepLibrary.filter((s) => s.when(facts)).map((s) => [s.id, s]));
  const has = (id: string): boolean => here.has(id);
  const steps = [...here.values()].map((spec): BuildStep => {
    const { id, group, minutes, hands, tools, supplies, wait } = spec;
    return {
      id,
      group,
      place: placeOf(spec.place, facts),
      title: [spec.title],
      minutes: minutes[practised ? 1 : 0],
      practised: minutes[1],
      hands: hands ?? 1,
      tools: [...(typeof tools === 'function' ? tools(facts) : (tools ?? []))],
      supplies: { ...supplies },
      after: befores(spec.after ?? [], has),
      wait: wait ?? null,
      rule: null,
      doneOn: done[id] ?? null,
    };
  });
  const byId = new Map(steps.map((s) => [s.id, s]));
  const fixes = remedySteps(context, doings, facts, has);
  for (const fix of fixes) {
    fix.after = befores(fix.after, has);
    const next = fitting[fix.place].find(has);
    const why = fix.group === 'mend' ? 'the donor is made sound first' : 'it has to be done before the part goes there';
    if (next) byId.get(next)?.after.push({ step: fix.id, why });
    // Whatever its place, it is done before the last look.
    else byId.get('tighten-again')?.after.push({ step: fix.id, why: 'nothing is left undone' });
  }
  return [...steps, ...fixes];
}

/** What comes before, with what does not apply replaced by what would have come before it; each once. */
function befores(after: readonly StepBefore[], has: (id: string) => boolean): StepBefore[] {
  const found = new Map<string, StepBefore>();
  const walk = (list: readonly StepBefore[]): void => {
    for (const { step, why } of list)
      if (has(step)) {
        if (!found.has(step)) found.set(step, { step, why });
      } else walk(stepLibrary.find((s) => s.id === step)?.after ?? []);
  };
  walk(after);
  return [...found.values()];
}
