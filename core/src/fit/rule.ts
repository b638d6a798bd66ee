import type { SchoolId } from '../build/schools.ts';
import type { StageId } from '../build/stage.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import type { Entry } from '../donor/entry.ts';
import { choiceWords } from '../donor/items/item.ts';
import { surveyItem } from '../donor/survey.ts';
import type { Amount } from '../quantity/format.ts';
import { tyreName, type TyreSize } from '../quantity/tyre.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { Evidence, Finding } from './finding.ts';

/** Sections of the matrix of kits and rules, and the stage each is shown on. */
export const groupStages = {
  frame: 'drive',
  bracket: 'drive',
  axle: 'drive',
  wheel: 'drive',
  drivetrain: 'drive',
  brakes: 'drive',
  levers: 'wiring',
  controls: 'wiring',
  leads: 'wiring',
  power: 'wiring',
  load: 'drive',
  law: 'drive',
  use: 'drive',
  hills: 'drive',
  pack: 'pack',
  range: 'pack',
  gears: 'gearing',
  condition: 'donor',
  donor: 'donor',
  road: 'brief',
  aboard: 'brief',
} as const satisfies Record<string, StageId>;
export type RuleGroup = keyof typeof groupStages;

/** What a rule is about: the donor alone, a kit on it, a pack on it, or the plan as a whole. */
export type RuleSubject = 'donor' | 'kit' | 'pack' | 'plan';

/** What a rule is, without running it. */
export interface RuleMeta {
  id: string;
  /** Its name in a matrix's head. */
  words: string;
  group: RuleGroup;
  about: RuleSubject;
  /** Survey items it may look at: the survey says so beside each, and ranks by it. */
  uses: readonly SurveyItemId[];
  /** True where it decides which part is ordered. */
  fitCritical?: boolean;
  school?: SchoolId;
  /** True where it lays parts out or rides a road: screened last. */
  dear?: boolean;
  /** True where it reads the road ridden; what it asks for is then chosen or set, never bought or worked. */
  rides?: boolean;
}

/**
 * One judgement. It reads the context alone: a kit rule the kit in question, a pack rule the pack; null where
 * it does not apply. No rule reads another rule.
 */
export interface Rule extends RuleMeta {
  judge: (context: PlanContext) => Finding | null;
}

/** Evidence for a survey item, said in words whatever its type; says plainly when it is missing. */
export function surveyed(context: Pick<PlanContext, 'build'>, id: SurveyItemId): Evidence {
  const item = surveyItem(id);
  const entry = context.build.donor.survey[id] as Entry<unknown> | undefined;
  if (entry === undefined) return { label: item.label, value: 'not measured', provenance: 'assumed', item: id };
  let value: Amount | string;
  if (item.type === 'number') value = { si: entry.value as number, dimension: item.dimension };
  else if (item.type === 'choice') value = choiceWords[entry.value as string] ?? String(entry.value);
  else if (item.type === 'teeth') value = (entry.value as number[]).join('-');
  else value = tyreName(entry.value as TyreSize);
  return { label: item.label, value, provenance: entry.provenance, item: id };
}

/** Evidence from a part's data. */
export function partData(label: string, value: Amount | string): Evidence {
  return { label, value, provenance: 'part data' };
}

/** Evidence that is the rule's own figure. */
export function ruleFigure(label: string, value: Amount | string): Evidence {
  return { label, value, provenance: 'rule' };
}
