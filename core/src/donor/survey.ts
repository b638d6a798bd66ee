import conditionRows from '@sprocket/catalogue/survey/condition.json' with { type: 'json' };
import { z } from '../reading/zod.ts';
import { partById, type Shelf } from '../parts/part.ts';
import type { SmallPartId } from '../parts/shelf/ids.ts';
import { type ConditionItem, type Donor, type SurveyItemId } from './donor.ts';
import { isProven } from './entry.ts';
import { allItems, surveyGroups, type SurveyItem, type SurveyTool } from './items/item.ts';
import { kindTraits, type VehicleKind } from './kinds.ts';

/** The survey: what to measure, how, and what goes wrong if it is skipped; in the order of the walk round. */
export const surveyItems: readonly SurveyItem[] = surveyGroups.flatMap((group) =>
  allItems.filter((item) => item.group === group),
);

const itemById = new Map(surveyItems.map((item) => [item.id, item]));

/** The survey item of an id. */
export function surveyItem(id: SurveyItemId): SurveyItem {
  const item = itemById.get(id);
  if (!item) throw new RangeError(`no survey item ${id}`);
  return item;
}

/** Whether an item exists on this vehicle: its kind has it, and what was found so far does not rule it out. */
export function itemExists(item: SurveyItem, donor: Pick<Donor, 'kind' | 'survey'>): boolean {
  return item.kinds.includes(donor.kind) && (item.when?.(donor.survey) ?? true);
}

/** Items that exist on this vehicle, in the order they are walked round; the quick look's only, if so asked. */
export function itemsFor(donor: Pick<Donor, 'kind' | 'survey'>, quick = false): SurveyItem[] {
  return surveyItems.filter((item) => itemExists(item, donor) && (!quick || item.quick));
}

/** Minutes to take an item, with the tool in the pocket. Source: project. */
const MINUTES: Record<SurveyTool, number> = { eye: 0.5, tape: 1.5, caliper: 1.5, 'angle finder': 2, scale: 4 };

/** Minutes it takes to look at or measure an item: its own, where something has to come off first. */
export function measuringMinutes(item: SurveyItem): number {
  return item.minutes ?? MINUTES[item.tool];
}

/** How much of the survey rests on measurement. */
export interface SurveyProgress {
  /** Items measured or from a data sheet, of all that exist here. */
  proven: number;
  total: number;
  open: SurveyItemId[];
  /** Of those not proven: a common value stands in for them. */
  assumed: number;
  /** The same for the quick look. */
  quick: { proven: number; total: number };
}

export function surveyProgress(donor: Donor): SurveyProgress {
  const items = itemsFor(donor);
  const isOpen = (item: SurveyItem): boolean => !isProven(donor.survey[item.id]);
  const quick = items.filter((item) => item.quick);
  const open = items.filter(isOpen).map((item) => item.id);
  return {
    proven: items.length - open.length,
    total: items.length,
    open,
    assumed: items.filter((item) => donor.survey[item.id]?.provenance === 'assumed').length,
    quick: { proven: quick.filter((item) => !isOpen(item)).length, total: quick.length },
  };
}

/** What to look at, how, and what it usually takes to put right: the part or service, and the minutes. */
export const conditionRowSchema = z.object({
  label: z.string().min(1).max(80),
  how: z.string().min(1).max(300),
  mend: z.string().min(1).max(300),
  takes: z.string().nullable(),
  minutes: z.number().min(0).max(600),
});
export type ConditionWords = Omit<z.infer<typeof conditionRowSchema>, 'takes'> & { takes: SmallPartId | null };
export const conditionWords = conditionRows as Record<ConditionItem, ConditionWords>;

/** Condition items that exist on a kind. */
export function conditionItemsFor(kind: VehicleKind): ConditionItem[] {
  return (Object.keys(conditionWords) as ConditionItem[]).filter(
    (item) => item !== 'hinge' || kindTraits[kind].hinge || kindTraits[kind].rearShock,
  );
}

/** What putting a condition item right usually costs, by the shelf. */
export function usualMendPrice(item: ConditionItem, shelf: Shelf): number {
  const { takes } = conditionWords[item];
  return takes === null ? 0 : (partById(shelf, takes)?.price ?? 0);
}
