import type { RemedyPlace } from '../../build/remedy.ts';
import type { SmallPartId, ToolId } from '../../parts/shelf/ids.ts';
import type { Amount, Phrase } from '../../quantity/format.ts';
import type { StepFacts } from './facts.ts';
import type { StepFigureId } from './stepFigures.ts';
import type { TightnessId } from './tightness.ts';

/** What a step is about, in the order a build goes through. */
export const stepGroups = [
  'look',
  'mend',
  'strip',
  'frame',
  'motor',
  'wheel',
  'brakes',
  'gears',
  'bar',
  'sensors',
  'pack',
  'loom',
  'set',
  'check',
] as const;
export type StepGroup = (typeof stepGroups)[number];
/** What of the bill a step fits: a part of the choice, or small parts by id. */
export type StepUse = 'kit' | 'pack' | 'charger' | 'cluster' | 'ring' | 'hubGear' | SmallPartId;

/** A part of the choice that a step is done with: with another it is to be done anew. */
export type StepPart = 'kit' | 'pack' | 'cluster' | 'ring' | 'hubGear';

/** A step before another, and the known trouble where it is missed. */
export interface StepBefore {
  step: string;
  why: string;
}

/** What of the vehicle a step moves, for the drawing. */
export const stepThings = [
  'rear wheel',
  'front wheel',
  'chain',
  'cranks',
  'motor',
  'pack',
  'controller',
  'levers',
  'leads',
  'cogs',
] as const;
export type StepThing = (typeof stepThings)[number];
export type ThingState = 'off' | 'loose' | 'tight' | 'sealed';

/** Something read at a step: what it measures, and between what it has to be, SI. */
export interface StepReading {
  id: string;
  what: string;
  dimension: Amount['dimension'];
  /** Null bounds nothing on that side. */
  least: number | null;
  most: number | null;
  /** Where the bounds come from. */
  source: string;
  /** Place of the build that it is the measure of: read otherwise than planned, the plan is judged with it. */
  path?: string;
}

/** Something dangerous, and whom to ask. */
export interface StepCaution {
  text: string;
  ask: string;
}

/** What is said of a step at the bench besides its title. */
export interface StepWords {
  /** How it is known to be right. */
  right?: string;
  /** What helps when it is stubborn. */
  stubborn?: string;
  /** Threads that turn the other way, and which. */
  thread?: string;
  /** What is photographed before the next step hides it. */
  shoot?: string;
  /** Held until looked at: by oneself, or by somebody else besides. */
  hold?: { what: string; by: 'self' | 'another' };
  caution?: StepCaution;
  figure?: StepFigureId;
}

/** A step of the library: data alone. Minutes are the time at the bench, beginner and practised. */
export interface StepSpec extends StepWords {
  id: string;
  group: StepGroup;
  /** Where it is worked; the motor's wheel and its axle are found when the kit is known. */
  place: RemedyPlace | 'motor wheel' | 'motor axle' | 'motor brake' | 'driven wheel';
  title: string;
  when: (facts: StepFacts) => boolean;
  minutes: readonly [beginner: number, practised: number];
  hands?: 2;
  tools?: readonly ToolId[] | ((facts: StepFacts) => readonly ToolId[]);
  uses?: readonly StepUse[];
  /** The part of the choice it is done with, or several. */
  of?: StepPart | readonly StepPart[];
  /** Supplies used up, each in its own unit. */
  supplies?: Readonly<Partial<Record<SmallPartId, number>>>;
  after?: readonly StepBefore[];
  /** It waits so long before what comes after it, day and night. */
  wait?: { minutes: number; why: string };
  tightness?: readonly TightnessId[] | ((facts: StepFacts) => readonly TightnessId[]);
  reads?: (facts: StepFacts) => readonly StepReading[];
  /** What it does to the vehicle, as the drawing shows it. */
  leaves?: (facts: StepFacts) => readonly (readonly [StepThing, ThingState])[];
  /** How it is undone where the plan wants it no more; absent where nothing is left behind. */
  undo?: string;
  /** Told otherwise on other vehicles, by the first that holds: the same work on another thing. */
  otherwise?: readonly (StepWords &
    Partial<Pick<StepSpec, 'title' | 'tools' | 'minutes' | 'supplies'>> & { when: (facts: StepFacts) => boolean })[];
}

/** A step as it is told on this vehicle: what is told otherwise there takes the place of its own words; words of other threads go. */
export function asToldOn(spec: StepSpec, facts: StepFacts): StepSpec {
  const other = spec.otherwise?.find((o) => o.when(facts));
  if (!other) return spec;
  const { thread: _thread, figure: _figure, stubborn: _stubborn, right: _right, ...plain } = spec;
  return { ...plain, ...other, when: spec.when };
}

/** A step of this build. */
export interface BuildStep {
  id: string;
  group: StepGroup;
  place: RemedyPlace;
  title: Phrase;
  /** By who works on it, at their own pace; and for practised hands, as a shop counts. */
  minutes: number;
  practised: number;
  /** What the library or the remedy tells for somebody so practised, before one's own pace is reckoned in. */
  told: number;
  hands: 1 | 2;
  tools: ToolId[];
  supplies: Partial<Record<string, number>>;
  after: StepBefore[];
  wait: { minutes: number; why: string } | null;
  /** Finding whose remedy it is. */
  rule: string | null;
  /** Step that it undoes, done with what the plan wants no more. */
  undoes: string | null;
  /** The part of the choice it is done with, by id; several joined by a plus. */
  part: string | null;
  /** When it was done, local time. */
  doneOn: string | null;
}
