import type { Done } from '../../build/asBuilt.ts';
import type { Build } from '../../build/build.ts';
import type { Remedy, RemedyPlace } from '../../build/remedy.ts';
import type { Finding } from '../../fit/finding.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import type { StepFacts } from './facts.ts';
import type { BuildStep, StepGroup } from './step.ts';

/** A beginner takes so much longer over a remedy, whose minutes are practised. Source: the trade, four times over a kit; remedies are told in more detail. */
export const BEGINNER = 2.5;

/** What a remedy's stuff wants before it is touched again, min. Source: usual on the tin, at room warmth. */
const DRIES: Readonly<Partial<Record<string, { minutes: number; why: string }>>> = {
  'rust-kit': { minutes: 1440, why: 'primer and paint dry, coat after coat' },
  'touch-up-paint': { minutes: 120, why: 'the paint dries' },
  silicone: { minutes: 720, why: 'the seal sets' },
};

/** What a finding asks to be done: the remedy taken, or the usual one of what wants rework or is small enough to fit with it. */
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
    const small = finding.mended?.remedy;
    const usual = finding.verdict === 'rework' ? finding.remedies[0] : finding.remedies.find((r) => r.id === small);
    const remedy = taken ?? usual;
    return remedy ? [{ finding, remedy, taken: taken !== undefined }] : [];
  });
}

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

/** What has to be off before a place is worked on. */
function before(place: RemedyPlace, { hub }: StepFacts): string[] {
  if (hub && (place === `${hub} axle` || place === 'fork' || place === 'frame')) return ['wheel-out'];
  if (place === 'bracket') return ['bracket-out', 'on-stand'];
  if (place === 'donor') return ['look-over'];
  return ['on-stand'];
}

function longestWait({ takes }: Remedy): BuildStep['wait'] {
  const waits = takes.flatMap((t) => DRIES[t.part] ?? []);
  return waits.reduce<BuildStep['wait']>((longest, w) => (longest && longest.minutes >= w.minutes ? longest : w), null);
}

/**
 * A step for each remedy that takes work. Those told by the same words at the same place are one piece of work: the
 * longest of them.
 */
export function remedySteps(
  { build }: PlanContext,
  doings: readonly Doing[],
  facts: StepFacts,
  has: (id: string) => boolean,
  doneAt: (id: string, place: RemedyPlace, part: string | null) => Done | null,
): BuildStep[] {
  const { practised } = build.bench;
  const steps = doings.flatMap(({ finding, remedy }): BuildStep[] => {
    // What is set or chosen is done at the desk; arms have steps of their own.
    if (remedy.does !== 'buy' && remedy.does !== 'work') return [];
    if (remedy.work === 0 || remedy.takes.some((t) => has('arms-ready') && t.part.startsWith('torque-arm'))) return [];
    const mends = finding.rule.startsWith('condition-');
    const place = mends ? 'donor' : (remedy.takes[0]?.place ?? stagePlace[finding.stage] ?? 'frame');
    const id = `fix:${finding.rule}@${finding.subject ?? ''}`;
    const told = Math.round(remedy.work * (practised ? 1 : BEGINNER));
    return [
      {
        id,
        group: mends ? 'mend' : (groupOf[place] ?? 'frame'),
        place,
        title: remedy.text,
        minutes: told,
        practised: remedy.work,
        told,
        hands: 1,
        tools: [...remedy.tools],
        supplies: {},
        after: mends
          ? [{ step: 'look-over', why: 'the donor is looked over first' }]
          : before(place, facts).map((step) => ({ step, why: 'the place has to be free' })),
        wait: longestWait(remedy),
        rule: finding.rule,
        undoes: null,
        part: null,
        doneOn: doneAt(id, place, null)?.at ?? null,
      },
    ];
  });
  return steps.filter((step) => {
    const same = steps.filter((s) => s.place === step.place && JSON.stringify(s.title) === JSON.stringify(step.title));
    return same.reduce((longest, s) => (s.practised > longest.practised ? s : longest)) === step;
  });
}

/** A step for each repair that was decided on at Proving: nothing stands before it, for the vehicle is built. */
export function repairSteps(
  { build }: PlanContext,
  doneAt: (id: string, place: RemedyPlace, part: string | null) => Done | null,
): BuildStep[] {
  return build.proving.repairs.map(({ id: repair, words, place, minutes }): BuildStep => {
    const id = `repair:${repair}`;
    const told = Math.round(minutes * (build.bench.practised ? 1 : BEGINNER));
    return {
      id,
      group: groupOf[place] ?? 'check',
      place,
      title: [words],
      minutes: told,
      practised: minutes,
      told,
      hands: 1,
      tools: [],
      supplies: {},
      after: [],
      wait: null,
      rule: null,
      undoes: null,
      part: null,
      doneOn: doneAt(id, place, null)?.at ?? null,
    };
  });
}
