import type { Build } from '../build.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import { provenanceWords, type Entry } from '../donor/entry.ts';
import { choiceWords } from '../donor/items/item.ts';
import { surveyItem } from '../donor/survey.ts';
import type { Kit, Pack } from '../parts/part.ts';
import { phrase, type Amount } from '../quantity/format.ts';
import { tyreName, type TyreSize } from '../quantity/tyre.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import type { LegalClass } from '../safety/law.ts';
import type { SchoolId } from './schools.ts';
import type { Evidence, Finding, Remedy } from './finding.ts';

/** What a rule may look at. No rule reads another rule. */
export interface FitContext {
  build: Build;
  geometry: DonorGeometry;
  /** All that moves, kg, with the kit and pack in question. */
  systemMassKg: number;
  /** Kit and pack in question, where there are such. */
  kit: Kit | null;
  pack: Pack | null;
  /** Whether remedies are worked out to the millimetre where that takes many trials; false while thousands of cases are run through. */
  detail?: boolean;
  laws: readonly LegalClass[];
  /** Steepest stretch of the road, rise over run; 0 where no road is named. */
  steepest: number;
}

/** Sections of the matrix of kits and rules. */
export const ruleGroups = [
  'frame',
  'bracket',
  'axle',
  'wheel',
  'drivetrain',
  'brakes',
  'controls',
  'load',
  'law',
  'use',
  'pack',
  'condition',
] as const;
export type RuleGroup = (typeof ruleGroups)[number];

/** What a rule is, without running it. */
export interface RuleMeta {
  id: string;
  /** Its name in a matrix's head. */
  words: string;
  group: RuleGroup;
  /** Survey items it may look at: the survey says so beside each, and ranks by it. */
  uses: readonly SurveyItemId[];
  /** True where it decides which part is ordered. */
  fitCritical?: boolean;
  school?: SchoolId;
}

/** A rule about a kit on this donor; null where it does not apply. */
export interface KitRule extends RuleMeta {
  judge: (context: FitContext, kit: Kit) => Finding | null;
}

/** A rule about a pack with this donor and, where chosen, this kit. */
export interface PackRule extends RuleMeta {
  judge: (context: FitContext, pack: Pack, kit: Kit | null) => Finding | null;
}

/** A rule about the donor alone. */
export interface DonorRule extends RuleMeta {
  judge: (context: FitContext) => Finding | null;
}

/** Evidence for a survey item, said in words whatever its type; says plainly when it is missing. */
export function surveyed(context: FitContext, id: SurveyItemId): Evidence {
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

/** "Measure it" as a remedy that leads to the field. */
export function measureIt(id: SurveyItemId): Remedy {
  const item = surveyItem(id);
  return { text: phrase`Measure “${item.label}”: ${item.how}`, item: id };
}

/** How a value is known, for sentences: "from memory". */
export function knownBy(entry: Entry<unknown>): string {
  return provenanceWords[entry.provenance];
}
