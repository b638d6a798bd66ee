import { partById, type Shelf } from '../parts/part.ts';
import type { SmallPartId } from '../parts/shelf/ids.ts';
import { type ConditionItem, type Donor, type SurveyItemId } from './donor.ts';
import { isProven } from './entry.ts';
import { endItems } from './items/ends.ts';
import { frameItems } from './items/frame.ts';
import { gearBrakeItems } from './items/gearsBrakes.ts';
import { surveyGroups, type SurveyItem } from './items/item.ts';
import { sizeItems } from './items/sizesLoads.ts';
import { kindTraits, type VehicleKind } from './kinds.ts';

/** The survey: what to measure, how, and what goes wrong if it is skipped; in the order of the walk round. */
export const surveyItems: readonly SurveyItem[] = surveyGroups.flatMap((group) =>
  [...frameItems, ...endItems, ...gearBrakeItems, ...sizeItems].filter((item) => item.group === group),
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

/** How much of the survey rests on measurement. */
export interface SurveyProgress {
  /** Items measured or from a data sheet, of all that exist here. */
  proven: number;
  total: number;
  open: SurveyItemId[];
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
    quick: { proven: quick.filter((item) => !isOpen(item)).length, total: quick.length },
  };
}

export interface ConditionWords {
  label: string;
  how: string;
  /** What puts it right, the part or service that usually takes, and the minutes. */
  mend: string;
  takes: SmallPartId | null;
  minutes: number;
}

/** What to look at, how, and what it usually takes to put right. Minutes: project, small-shop figures. */
export const conditionWords: Record<ConditionItem, ConditionWords> = {
  cracks: {
    label: 'Cracks',
    how: 'Clean the welds and look at each under a lamp; run a nail round them.',
    mend: 'A cracked frame is not welded up for a motor; look for another donor.',
    takes: null,
    minutes: 0,
  },
  rust: {
    label: 'Rust',
    how: 'Prod under the bracket, in the seat tube and at the dropouts; flakes or a hole are more than skin.',
    mend: 'Brush, treat and paint what is skin deep.',
    takes: 'rust-kit',
    minutes: 90,
  },
  dents: {
    label: 'Dents and bends',
    how: 'Sight along each tube and through both wheels; a string from dropout to head and back shows a bent frame.',
    mend: 'Have the dropouts and hanger trued with gauges.',
    takes: 'aligning',
    minutes: 60,
  },
  repairs: {
    label: 'Old repairs',
    how: 'Look for paint over weld, sleeves, filler, odd bolts.',
    mend: 'Have the repair looked at by a frame builder before a motor pulls on it.',
    takes: 'frame-look',
    minutes: 30,
  },
  headset: {
    label: 'Play in the headset',
    how: 'Front brake on, rock the vehicle: a knock you feel at the head is play.',
    mend: 'Adjust the headset; fit new bearings if it stays rough.',
    takes: 'headset-kit',
    minutes: 45,
  },
  hinge: {
    label: 'Play in a hinge',
    how: 'Fold or rock it at the hinge with the latch shut.',
    mend: 'Renew the hinge bushes and latch; if play stays, reject it.',
    takes: 'hinge-kit',
    minutes: 60,
  },
  wheels: {
    label: 'Wheels true',
    how: 'Spin each and watch the gap at the brake, sideways and up and down.',
    mend: 'True the wheels.',
    takes: 'truing',
    minutes: 60,
  },
  spokes: {
    label: 'Spokes',
    how: 'Pluck each: one that is dull or turns freely is loose; look for rust at the bend.',
    mend: 'Renew broken and seized spokes, and tension the rest.',
    takes: 'spoke-kit',
    minutes: 60,
  },
  bearings: {
    label: 'Wheel and crank bearings',
    how: 'Turn each slowly between finger and thumb: gritty or knocking is worn.',
    mend: 'Clean, grease and set, or renew.',
    takes: 'bearing-kit',
    minutes: 60,
  },
  tyres: {
    label: 'Tyres',
    how: 'Read the date code, bend the sidewall: cracks, threads or more than six years are the end of it.',
    mend: 'New tyres rated for the weight and speed.',
    takes: 'tyre-pair',
    minutes: 30,
  },
  brakes: {
    label: 'Brakes stop it now',
    how: 'Push hard against each brake with the wheel loaded.',
    mend: 'New pads and cables, then try again with the full load.',
    takes: 'brake-kit',
    minutes: 60,
  },
  shifting: {
    label: 'Gears shift',
    how: 'Through every gear on a stand, then under load.',
    mend: 'New cable, straighten the hanger, set the stops.',
    takes: 'gear-kit',
    minutes: 45,
  },
};

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
