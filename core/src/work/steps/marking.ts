import { doneSchema, type Done } from '../../build/asBuilt.ts';
import type { Bench } from '../../build/bench.ts';
import type { BuildStep } from './step.ts';

/** What of a step its mark is made with. */
export type MarkedStep = Pick<BuildStep, 'id' | 'place' | 'part' | 'undoes' | 'told'>;

/** What is said of a step as it is marked done. */
export type StepMarking = Partial<Omit<Done, 'place' | 'part' | 'told'>> & Pick<Done, 'at'>;

/**
 * The steps done with one more, at its place and with its part; or with that one no longer done. To undo something
 * built for another plan takes what was done then off the list. Pure.
 */
export function withStepMarked(
  done: Bench['done'],
  { id, place, part, undoes, told }: MarkedStep,
  marking: StepMarking | null,
): Bench['done'] {
  const without = (key: string): Bench['done'] => Object.fromEntries(Object.entries(done).filter(([k]) => k !== key));
  if (undoes !== null) return marking ? without(undoes) : done;
  if (!marking) return without(id);
  const before = done[id];
  // What was said of it at another place or with another part was said of other work.
  const same = before?.place === place && before.part === part;
  return { ...done, [id]: doneSchema.parse({ ...(same ? before : {}), ...marking, place, part, told }) };
}

/** Steps that hang on one and are done already, so that it cannot be taken back without them, in their order. */
export function doneAfter(steps: readonly BuildStep[], id: string): string[] {
  const found = new Set<string>([id]);
  for (let grown = true; grown;) {
    grown = false;
    for (const s of steps)
      if (!found.has(s.id) && s.doneOn !== null && s.after.some((a) => found.has(a.step))) {
        found.add(s.id);
        grown = true;
      }
  }
  found.delete(id);
  return steps.filter((s) => found.has(s.id)).map((s) => s.id);
}
