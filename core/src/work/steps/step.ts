import type { RemedyPlace } from '../../build/remedy.ts';
import type { SmallPartId, ToolId } from '../../parts/shelf/ids.ts';
import type { Phrase } from '../../quantity/format.ts';
import type { StepFacts } from './facts.ts';

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

/** A step before another, and the known trouble where it is missed. */
export interface StepBefore {
  step: string;
  why: string;
}

/** A step of the library: data alone. Minutes are the time at the bench, beginner and practised. */
export interface StepSpec {
  id: string;
  group: StepGroup;
  /** Where it is worked; the motor's wheel and its axle are found when the kit is known. */
  place: RemedyPlace | 'motor wheel' | 'motor axle' | 'motor brake';
  title: string;
  when: (facts: StepFacts) => boolean;
  minutes: readonly [beginner: number, practised: number];
  hands?: 2;
  tools?: readonly ToolId[] | ((facts: StepFacts) => readonly ToolId[]);
  uses?: readonly StepUse[];
  /** Supplies used up, each in its own unit. */
  supplies?: Readonly<Partial<Record<SmallPartId, number>>>;
  after?: readonly StepBefore[];
  /** It waits so long before what comes after it, day and night. */
  wait?: { minutes: number; why: string };
}

/** A step of this build. */
export interface BuildStep {
  id: string;
  group: StepGroup;
  place: RemedyPlace;
  title: Phrase;
  /** By who works on it; and for practised hands, as a shop counts. */
  minutes: number;
  practised: number;
  hands: 1 | 2;
  tools: ToolId[];
  supplies: Partial<Record<string, number>>;
  after: StepBefore[];
  wait: { minutes: number; why: string } | null;
  /** Finding whose remedy it is. */
  rule: string | null;
  /** When it was done, local time. */
  doneOn: string | null;
}
