import type { SurveyItemId } from '../donor/donor.ts';
import type { SmallPartId, ToolId } from '../parts/shelf/ids.ts';
import type { Phrase } from '../quantity/format.ts';
import type { Choice } from './choice.ts';

/** What kind of thing a remedy asks of the builder. */
export const remedyDoes = ['buy', 'work', 'set', 'choose', 'measure', 'ask'] as const;
export type RemedyDoes = (typeof remedyDoes)[number];

/** Where on the vehicle a part goes, so that two findings wanting the same part there want one. */
export const remedyPlaces = [
  'rear axle',
  'front axle',
  'rear wheel',
  'front wheel',
  'rear brake',
  'front brake',
  'fork',
  'bracket',
  'frame',
  'chain',
  'bar',
  'left lever',
  'right lever',
  'levers',
  'leads',
  'pack',
  'rack',
  'front carrier',
  'seat',
  'stand',
  'donor',
  'bench',
] as const;
export type RemedyPlace = (typeof remedyPlaces)[number];

/** A part a remedy takes. Its price and mass are the shelf's; `price` only where a kit's maker or the person names one. */
export interface Taking {
  part: SmallPartId | (string & {});
  count: number;
  place: RemedyPlace;
  /** A price of its own, each, in place of the shelf's. */
  price?: number;
}

/** What makes two wishes one: the same part at the same place. */
export const takingKey = ({ part, place }: Taking): string => `${part}@${place}`;

/** Wishes for the same part at the same place as one, of the greatest count wished for. */
export function mergedTakings(takings: readonly Taking[]): Taking[] {
  const merged = new Map<string, Taking>();
  for (const taking of takings) {
    const same = merged.get(takingKey(taking));
    if (!same || taking.count > same.count) merged.set(takingKey(taking), taking);
  }
  return [...merged.values()];
}

/** A change of choice a remedy makes. */
export type ChoiceChange = Partial<
  Pick<
    Choice,
    | 'kitId'
    | 'packId'
    | 'packPlace'
    | 'ringId'
    | 'clusterId'
    | 'hubGearId'
    | 'torqueArms'
    | 'assistLimitMs'
    | 'usesThrottle'
  >
>;

/** One way to mend what a finding says, as data. Nothing else prices, weighs or times a remedy. */
export interface Remedy {
  /** Its name within the finding's rule. */
  id: string;
  does: RemedyDoes;
  text: Phrase;
  takes: Taking[];
  /** Minutes of practised work. */
  work: number;
  tools: ToolId[];
  sets?: ChoiceChange;
  /** The field it leads to. */
  item?: SurveyItemId;
}
