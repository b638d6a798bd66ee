import choices from '@sprocket/catalogue/survey/choices.json' with { type: 'json' };
import itemRows from '@sprocket/catalogue/survey/items.json' with { type: 'json' };
import { conditionSchema, holds } from '../../catalogue/condition.ts';
import { rowsOf } from '../../catalogue/rows.ts';
import { z } from '../../reading/zod.ts';
import { foundNames, isOn, onNames, type FoundName } from './found.ts';
import type { Dimension } from '../../quantity/units.ts';
import type { Survey, SurveyItemId } from '../donor.ts';
import { vehicleKinds, type VehicleKind } from '../kinds.ts';

export const surveyGroups = [
  'frame',
  'bracket',
  'inside',
  'rear',
  'front',
  'wheels',
  'gears',
  'brakes',
  'controls',
  'loads',
] as const;
export type SurveyGroup = (typeof surveyGroups)[number];
export const surveyGroupWords: Record<SurveyGroup, string> = {
  frame: 'Frame',
  bracket: 'Bottom bracket',
  inside: 'Frame lengths',
  rear: 'Rear end',
  front: 'Front end',
  wheels: 'Wheels and rims',
  gears: 'Rings and cogs',
  brakes: 'Brakes and levers',
  controls: 'Bars and controls',
  loads: 'Mass and limits',
};

/** Small drawings of how to take a measurement; the interface draws each. */
const surveyFigures = [
  'magnet',
  'lean',
  'shell',
  'bore',
  'spacing',
  'slotWidth',
  'slotDepth',
  'thickness',
  'holding',
  'sidewall',
  'brakeKinds',
  'cogs',
  'teeth',
  'clicks',
  'inside',
  'tubeLength',
  'angle',
  'height',
  'span',
  'track',
  'scale',
  'plate',
  'round',
  'bosses',
  'cable',
  'crank',
  'boltCircle',
  'room',
  'tyreRoom',
  'rim',
  'rotor',
  'caliper',
  'lever',
  'bar',
  'fork',
  'shock',
  'stand',
  'slack',
  'driven',
  'timing',
] as const;
export type SurveyFigure = (typeof surveyFigures)[number];

/** Pairs that are taken for one another, and the test that tells them apart. */
const lookAlikeIds = ['cluster', 'bracket', 'rotor', 'metal', 'dropout', 'valve', 'lever'] as const;
export type LookAlikeId = (typeof lookAlikeIds)[number];

const surveyTools = ['tape', 'caliper', 'scale', 'eye', 'angle finder'] as const;
export type SurveyTool = (typeof surveyTools)[number];

interface ItemBase {
  id: SurveyItemId;
  group: SurveyGroup;
  label: string;
  /** Where to put the tape or caliper, or what to look at. */
  how: string;
  /** What goes wrong if it is skipped. */
  why: string;
  tool: SurveyTool;
  kinds: readonly VehicleKind[];
  figure: SurveyFigure;
  /** Belongs to the quick look, which decides go or no-go and what kit families remain. */
  quick: boolean;
  /** Minutes it takes where that is not what its tool usually takes. */
  minutes?: number | undefined;
  lookAlike?: LookAlikeId;
  /** Asked only where this holds of what was found so far. */
  when?: (survey: Survey) => boolean;
}
export interface NumberItem extends ItemBase {
  type: 'number';
  dimension: Dimension;
  /** Plausible range, SI; outside it the field asks, and still keeps what was typed. */
  low: number;
  high: number;
  /** Values met most often, most common first; the first is what "assume" puts in. */
  common: readonly number[];
}

/**
 * The range within which a number is taken at all, SI, in fields and files alike: four times what is plausible, so
 * that the odd vehicle goes in and a slip of the point or a broken file does not.
 */
export function takenRange({ low, high }: Pick<NumberItem, 'low' | 'high'>): { min: number; max: number } {
  return { min: low > 0 ? low / 4 : low * 4, max: high * 4 };
}

export interface ChoiceItem extends ItemBase {
  type: 'choice';
  options: readonly { value: string; label: string }[];
  /** Met most often, where something is. */
  commonly?: string | undefined;
}
export interface TeethItem extends ItemBase {
  type: 'teeth';
}
export interface TyreItem extends ItemBase {
  type: 'tyre';
}
export type SurveyItem = NumberItem | ChoiceItem | TeethItem | TyreItem;

/** What each choice is called, in the trade's words. */
export const choiceWords: Readonly<Record<string, string>> = choices;

const words = z.string().min(1).max(300);
const base = {
  group: z.enum(surveyGroups),
  label: words,
  how: words,
  why: words,
  tool: z.enum(surveyTools),
  figure: z.enum(surveyFigures),
  quick: z.literal(true).optional(),
  minutes: z.number().positive().max(120).optional(),
  lookAlike: z.enum(lookAlikeIds).optional(),
  /** Vehicles that have it at all; all where it is not told. */
  on: conditionSchema(onNames).optional(),
  /** Asked only where this holds of what was found so far. */
  when: conditionSchema(Object.keys(foundNames) as FoundName[]).optional(),
};
const numbers = z.array(z.number());

/** A survey item as the catalogue has it. Sizes are lengths; other numbers are in SI, angles in degrees. */
export const surveyItemSchema = z.discriminatedUnion('type', [
  z.discriminatedUnion('dimension', [
    z.object({
      ...base,
      type: z.literal('number'),
      dimension: z.literal('size'),
      lowM: z.number(),
      highM: z.number(),
      commonM: numbers,
    }),
    z.object({
      ...base,
      type: z.literal('number'),
      dimension: z.enum(['angle', 'count', 'ratio', 'torque', 'mass']),
      low: z.number(),
      high: z.number(),
      common: numbers,
    }),
  ]),
  z
    .object({
      ...base,
      type: z.literal('choice'),
      options: z.array(z.string()).min(2),
      /** What is met most often, where something is: what "assume" puts in. */
      commonly: z.string().optional(),
    })
    .refine(({ options, commonly }) => commonly === undefined || options.includes(commonly), {
      error: 'is no option of it',
      path: ['commonly'],
    }),
  z.object({ ...base, type: z.literal('teeth') }),
  z.object({ ...base, type: z.literal('tyre') }),
]);
type Row = z.infer<typeof surveyItemSchema> & { id: SurveyItemId };

/** An item as the core asks for it. */
function itemOf({ on, when, quick, lookAlike, ...row }: Row): SurveyItem {
  const rest = {
    kinds: vehicleKinds.filter((kind) => holds(on, (name) => isOn(name, kind))),
    quick: quick ?? false,
    ...(lookAlike ? { lookAlike } : {}),
    ...(when ? { when: (s: Survey) => holds(when, (name) => foundNames[name](s)) } : {}),
  };
  if (row.type === 'choice')
    return { ...row, ...rest, options: row.options.map((value) => ({ value, label: choiceWords[value] ?? value })) };
  if (row.type !== 'number') return { ...row, ...rest };
  if (row.dimension !== 'size') return { ...row, ...rest };
  const { lowM, highM, commonM, ...size } = row;
  return { ...size, ...rest, low: lowM, high: highM, common: commonM };
}

/** All items of the survey, in the order of the walk round. */
export const allItems: readonly SurveyItem[] = rowsOf<Row>(itemRows).map(itemOf);
