import type { Phrase } from '../../quantity/format.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { stepFacts } from './facts.ts';
import { stepLists, type ListsFrom } from './lists.ts';
import { specOf } from './steps.ts';
import { asToldOn, type BuildStep, type StepReading, type StepThing, type StepWords, type ThingState } from './step.ts';
import { tightness, type Tightness, type TightnessId } from './tightness.ts';

/** How tight, as a step asks for it. */
export interface StepTightness extends Tightness {
  id: TightnessId;
}

/** What is said of one step at the bench besides its line in the plan. */
export interface StepSheet extends StepWords {
  tightness: StepTightness[];
  reads: StepReading[];
  /** What it goes through, thing by thing. */
  list: Phrase[];
  leaves: readonly (readonly [StepThing, ThingState])[];
}

const NOTHING: StepSheet = { tightness: [], reads: [], list: [], leaves: [] };

/** Sheets of all steps, by id; a remedy's or an undoing step has an empty one. */
export function stepSheets(
  context: PlanContext,
  steps: readonly BuildStep[],
  wired: Omit<ListsFrom, 'kit'>,
): Record<string, StepSheet> {
  const facts = stepFacts(context);
  const lists = stepLists({ kit: context.kit, ...wired });
  return Object.fromEntries(
    steps.map((step): [string, StepSheet] => {
      const spec = specOf(step.id);
      if (!facts || !spec) return [step.id, NOTHING];
      const { right, stubborn, thread, shoot, hold, caution, figure } = asToldOn(spec, facts);
      const tight = typeof spec.tightness === 'function' ? spec.tightness(facts) : (spec.tightness ?? []);
      return [
        step.id,
        {
          ...(right === undefined ? {} : { right }),
          ...(stubborn === undefined ? {} : { stubborn }),
          ...(thread === undefined ? {} : { thread }),
          ...(shoot === undefined ? {} : { shoot }),
          ...(hold === undefined ? {} : { hold }),
          ...(caution === undefined ? {} : { caution }),
          ...(figure === undefined ? {} : { figure }),
          tightness: tight.map((id) => ({ id, ...tightness[id] })),
          reads: [...(spec.reads?.(facts) ?? [])],
          list: lists[step.id] ?? [],
          leaves: spec.leaves?.(facts) ?? [],
        },
      ];
    }),
  );
}

export const readingVerdicts = ['right', 'low', 'high', 'noted'] as const;
export type ReadingVerdict = (typeof readingVerdicts)[number];

/** How a reading stands to its bounds; noted where there are none. */
export function readingVerdict({ least, most }: Pick<StepReading, 'least' | 'most'>, value: number): ReadingVerdict {
  if (least === null && most === null) return 'noted';
  if (least !== null && value < least) return 'low';
  return most !== null && value > most ? 'high' : 'right';
}

/** How each thing of the vehicle stands by the steps that are done, the later over the earlier. */
export function thingsNow(
  order: readonly string[],
  sheets: Readonly<Record<string, StepSheet>>,
  isDone: (id: string) => boolean,
): Partial<Record<StepThing, ThingState>> {
  const now: Partial<Record<StepThing, ThingState>> = {};
  for (const id of order) if (isDone(id)) for (const [thing, state] of sheets[id]?.leaves ?? []) now[thing] = state;
  return now;
}
