import { z } from '../reading/zod.ts';

/** What the start sheet asks, in its order. */
export const answerIds = [
  'kind',
  'material',
  'wheels',
  'rider',
  'children',
  'load',
  'way',
  'hill',
  'range',
  'budget',
  'rules',
] as const;
export type AnswerId = (typeof answerIds)[number];

/** Longest line of free words. */
export const LONGEST_WORDS = 400;

/** How a build began: the line as it was typed, and which answers were given, by the line or pointed out. All else is a guess. */
export const startSchema = z.object({
  words: z.string().max(LONGEST_WORDS).default(''),
  said: z.partialRecord(z.enum(answerIds), z.enum(['words', 'pointed'])).default({}),
});
export type Start = z.infer<typeof startSchema>;

/** Nothing said yet. */
export const usualStart = (): Start => ({ words: '', said: {} });
