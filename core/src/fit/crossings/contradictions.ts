import written from '@sprocket/catalogue/crossings/contradictions.json' with { type: 'json' };
import { rowsOf } from '../../catalogue/rows.ts';
import { surveySchema, type Survey, type SurveyItemId } from '../../donor/donor.ts';
import type { Entry } from '../../donor/entry.ts';
import { itemExists, surveyItem } from '../../donor/survey.ts';
import { phrase } from '../../quantity/format.ts';
import { z } from '../../reading/zod.ts';
import { measureIt } from '../remedies.ts';
import type { Rule } from '../rule.ts';
import { donorRule } from '../say.ts';
import { answersOf } from './judgements.ts';

const words = z.string().min(1).max(300);
const item = z.enum(Object.keys(surveySchema.shape) as [SurveyItemId, ...SurveyItemId[]]);
const range = z.tuple([z.number(), z.number()]);

/** One answer of those that cannot all be true: one of some choices, or a figure inside or outside a range. */
const termSchema = z.union([
  z
    .strictObject({ item, is: z.array(z.string()).min(1) })
    .refine(({ item: id, is }) => is.every((v) => answersOf(id)?.includes(v)), {
      error: 'no such answer',
      path: ['is'],
    }),
  z.strictObject({ item, outsideM: range }),
  z.strictObject({ item, from: z.number(), to: z.number() }),
  z.strictObject({ item, fromKg: z.number(), toKg: z.number() }),
]);
type Term = z.infer<typeof termSchema>;

/** Answers that cannot all be true of one vehicle. */
export const contradictionSchema = z.strictObject({ these: z.array(termSchema).min(2), title: words, why: words });
type Row = z.infer<typeof contradictionSchema> & { id: string };

export const contradictionRows: readonly Row[] = rowsOf<Row>(written);

function holdsOf(term: Term, survey: Survey): boolean {
  const value = (survey[term.item] as Entry<unknown> | undefined)?.value;
  if (value === undefined) return false;
  if ('is' in term) return typeof value === 'string' && term.is.includes(value);
  if (typeof value !== 'number') return false;
  const figure = value;
  if ('outsideM' in term) return figure < term.outsideM[0] - 1e-9 || figure > term.outsideM[1] + 1e-9;
  const [low, high] = 'from' in term ? [term.from, term.to] : [term.fromKg, term.toKg];
  return figure >= low && figure <= high;
}

/** Answers of the survey that contradict one another: each is to be looked at again before anything rests on it. */
export const contradictions: readonly Rule[] = contradictionRows.map(({ id, these, title, why }) =>
  donorRule(
    {
      id,
      words: 'Answers that agree',
      group: 'donor',
      uses: these.map((term) => term.item),
      source: 'Workshop practice: two answers that cannot both be true are worse than none.',
      fitCritical: true,
    },
    ({ build: { donor } }, say) => {
      const stands = these.every((term) => itemExists(surveyItem(term.item), donor) && holdsOf(term, donor.survey));
      if (!stands) return null;
      for (const term of these) say.asItIs(term.item);
      return say.open(title, phrase`${why}`, ...these.map((term) => measureIt(term.item)));
    },
  ),
);
