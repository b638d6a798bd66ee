import rows from '@sprocket/catalogue/faults/symptoms.json' with { type: 'json' };
import { rowsOf } from '../../catalogue/rows.ts';
import { z } from '../../reading/zod.ts';

/** What a test asks the vehicle to do, each allowing those before it. */
export const risks = ['look', 'live', 'stand', 'slow', 'ride'] as const;
export type Risk = (typeof risks)[number];
export const riskWords: Record<Risk, string> = {
  look: 'by looking, all off',
  live: 'with the meter on live leads',
  stand: 'with the wheel in the air',
  slow: 'at walking pace',
  ride: 'on the road',
};

/** What somebody notices: where the fault finder starts. */
export const symptomSchema = z.object({
  /** As a rider would say it. */
  words: z.string().min(1).max(120),
  /** Other ways people say it, for the search. */
  also: z.string().max(300),
  /** How far it may be tried while it shows: nothing live, on the stand, at walking pace, on the road. */
  most: z.enum(risks),
  /** Why no further, and what to do first; absent where the road is allowed. */
  caution: z.string().max(400).optional(),
});
export type Symptom = z.infer<typeof symptomSchema> & { id: string };

export type SymptomId = keyof typeof rows;
export const symptoms = rowsOf<Symptom & { id: SymptomId }>(rows);
export const symptomIds: readonly SymptomId[] = symptoms.map((s) => s.id);
