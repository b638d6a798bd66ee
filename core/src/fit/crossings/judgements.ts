import judgementRows from '@sprocket/catalogue/crossings/judgements.json' with { type: 'json' };
import { conditionSchema, holds } from '../../catalogue/condition.ts';
import { rowsOf } from '../../catalogue/rows.ts';
import { remedyDoes, remedyPlaces, type Remedy } from '../../build/remedy.ts';
import { surveySchema, type SurveyItemId } from '../../donor/donor.ts';
import { itemExists, surveyItem } from '../../donor/survey.ts';
import { phrase } from '../../quantity/format.ts';
import { z } from '../../reading/zod.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { verdicts } from '../../verdict.ts';
import type { Finding } from '../finding.ts';
import { groupStages, type Rule, type RuleGroup } from '../rule.ts';
import { kitRule, packRule, type Say } from '../say.ts';
import { crossingHolds, crossingNames } from './words.ts';

const words = z.string().min(1).max(400);
const remedySchema = z.strictObject({
  does: z.enum(remedyDoes),
  id: z.string().min(1).max(40),
  text: words,
  takes: z
    .array(z.strictObject({ part: z.string().min(1), place: z.enum(remedyPlaces), count: z.int().min(1).max(20) }))
    .default([]),
  /** Minutes. */
  work: z.number().min(0).max(600).default(0),
});
const saySchema = z
  .strictObject({
    verdict: z.enum(verdicts),
    title: words,
    why: words,
    remedies: z.array(remedySchema).default([]),
  })
  .refine((said) => said.verdict === 'fits' || said.remedies.length > 0, {
    error: 'what does not fit wants a remedy',
    path: ['remedies'],
  });

/** Every answer a survey item can be given; null for one that is measured. */
export function answersOf(id: SurveyItemId): readonly string[] | null {
  const item = surveyItem(id);
  return item.type === 'choice' ? item.options.map((o) => o.value) : null;
}

/**
 * One meeting of a kit or battery with a thing of the donor, as the catalogue judges it: by each answer the survey can
 * be given, so that none is left unsaid; `always` where nothing is asked.
 */
export const crossingSchema = z
  .strictObject({
    words,
    group: z.enum(Object.keys(groupStages) as [RuleGroup, ...RuleGroup[]]),
    about: z.enum(['kit', 'pack']),
    when: conditionSchema(crossingNames),
    item: z.enum(Object.keys(surveySchema.shape) as [SurveyItemId, ...SurveyItemId[]]).optional(),
    source: words,
    unseen: z.strictObject({ title: words, why: words }).optional(),
    says: z.record(z.string(), saySchema),
  })
  .superRefine((row, context) => {
    const wanted = row.item ? answersOf(row.item) : ['always'];
    if (wanted === null)
      return context.addIssue({ code: 'custom', message: 'must be an item of choices', path: ['item'] });
    if (row.item && !row.unseen)
      context.addIssue({ code: 'custom', message: 'an item wants words for when nobody has looked', path: ['unseen'] });
    for (const answer of wanted)
      if (!(answer in row.says))
        context.addIssue({ code: 'custom', message: `says nothing of “${answer}”`, path: ['says'] });
    for (const answer of Object.keys(row.says))
      if (!wanted.includes(answer))
        context.addIssue({ code: 'custom', message: `“${answer}” is no answer to it`, path: ['says', answer] });
  });
/** As it is written, before the check fills in what is left out. */
type Row = Omit<z.input<typeof crossingSchema>, 'when'> & Pick<z.infer<typeof crossingSchema>, 'when'> & { id: string };

/** Judgements of the catalogue, each a rule like any other. */
const rows = rowsOf<Row>(judgementRows);

function judgeRow(row: Row, context: PlanContext, say: Say): Finding | null {
  if (!holds(row.when, (name) => crossingHolds(name, context))) return null;
  let answer: string | undefined = 'always';
  if (row.item) {
    if (!itemExists(surveyItem(row.item), context.build.donor)) return null;
    // What is crossed is what stays of the donor: no row is about a thing that a conversion chooses anew.
    answer = say.need(row.item as Parameters<Say['need']>[0]) as string | undefined;
    if (answer === undefined) return say.open(row.unseen?.title ?? row.words, phrase`${row.unseen?.why ?? ''}`);
  }
  const said = row.says[answer];
  if (!said) throw new RangeError(`${row.id} says nothing of ${answer}`);
  const remedies = (said.remedies ?? []).map(({ does, id, text, takes = [], work = 0 }): Remedy => ({
    does,
    id,
    text: phrase`${text}`,
    takes,
    work,
    tools: [],
  }));
  const why = phrase`${said.why}`;
  switch (said.verdict) {
    case 'fits':
      return say.fits(said.title, why);
    case 'rework':
      return say.rework(said.title, why, ...remedies);
    case 'measure':
      return say.open(said.title, why, ...remedies);
    case 'stop':
      return say.stop(said.title, why, ...remedies);
  }
}

function ruleOf(row: Row): Rule {
  const { id, words: name, group, source, item } = row;
  const spec = { id, words: name, group, uses: item ? [item] : [], source, fitCritical: true };
  return row.about === 'kit'
    ? kitRule(spec, (context, _kit, say) => judgeRow(row, context, say))
    : packRule(spec, (context, _pack, _kit, say) => judgeRow(row, context, say));
}

export const kitCrossings: readonly Rule[] = rows.filter((row) => row.about === 'kit').map(ruleOf);
export const packCrossings: readonly Rule[] = rows.filter((row) => row.about === 'pack').map(ruleOf);
