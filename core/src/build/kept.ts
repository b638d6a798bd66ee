import equal from 'fast-deep-equal';
import { z } from '../reading/zod.ts';
import { choiceSchema, sameConversion, type Choice } from './choice.ts';

/** Choices kept beside the one that is taken, beyond which nothing more is proposed: two windows’ may be joined. */
export const MOST_KEPT = 12;

/** A choice kept beside the one that is taken, to be compared with it and gone back to. */
export const keptChoiceSchema = z.object({
  id: z.string().min(1).max(80),
  /** What it is kept for, in the person's words or a pick's. */
  note: z.string().max(120),
  /** Proposed beside what was taken, and no more than that: gives way to newer proposals. */
  proposed: z.boolean(),
  choice: choiceSchema,
});
export type KeptChoice = z.infer<typeof keptChoiceSchema>;

/** Whether a kit and a battery are chosen. */
export const isDecided = ({ kitId, packId }: Choice): boolean => kitId !== null && packId !== null;

/**
 * What is kept once another choice is taken: what somebody kept, what was chosen so far, and what was proposed beside it as
 * far as there is room. Nothing twice, and not the one that is taken.
 * @param so what is chosen so far, and what is kept
 * @param newId a name for each that is new
 */
export function keptBeside(
  so: { choice: Choice; keptChoices: readonly KeptChoice[] },
  taken: Choice,
  proposed: readonly Pick<KeptChoice, 'note' | 'choice'>[],
  newId: () => string,
): KeptChoice[] {
  const own = so.keptChoices.filter((k) => !k.proposed);
  const before = isDecided(so.choice)
    ? [{ id: newId(), note: 'Chosen before', proposed: false, choice: { ...so.choice } }]
    : [];
  // Where nothing is proposed anew, what was proposed before still stands beside it.
  const offered =
    proposed.length > 0
      ? proposed.map((p) => ({ ...p, id: newId(), proposed: true }))
      : so.keptChoices.filter((k) => k.proposed);
  const out: KeptChoice[] = [];
  for (const one of [...own, ...before, ...offered]) {
    // What somebody set by hand, arms or a spot, is a choice of its own; a proposal is one by its parts.
    const same: (a: Choice, b: Choice) => boolean = one.proposed ? sameConversion : equal;
    if (same(one.choice, taken) || out.some((o) => same(o.choice, one.choice))) continue;
    if (one.proposed && out.length >= MOST_KEPT) break;
    out.push(one);
  }
  return out;
}
