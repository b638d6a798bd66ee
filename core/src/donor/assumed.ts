import { amount, amountText, type Amount } from '../quantity/format.ts';
import { tyreName, type TyreSize } from '../quantity/tyre.ts';
import type { Donor, Survey, SurveyItemId } from './donor.ts';
import type { Entry } from './entry.ts';
import { commonFrame } from './common.ts';
import { choiceWords, type SurveyItem } from './items/item.ts';
import { itemsFor } from './survey.ts';
import type { VehicleKind } from './kinds.ts';

/** The common value of an item on a kind of vehicle, as an entry marked assumed; null where nothing is common. */
export function assumedEntry(item: SurveyItem, kind: VehicleKind): Entry<unknown> | null {
  const base = { unit: '', provenance: 'assumed' as const, note: '' };
  switch (item.type) {
    case 'number': {
      const [common] = item.common;
      if (common === undefined) return null;
      return { ...base, value: common, typed: amountText(amount(common, item.dimension), 'metric') };
    }
    case 'choice':
      return item.commonly === undefined ? null : { ...base, value: item.commonly, typed: item.commonly };
    case 'tyre': {
      const { tyre, frontTyre } = commonFrame[kind];
      const value = item.id === 'frontTyre' ? frontTyre : tyre;
      return { ...base, value, typed: tyreName(value) };
    }
    case 'teeth':
      return null;
  }
}

/** Common values for every open item that has one; what is only asked once another is known is among them. */
export function assumeOpen(donor: Donor): Survey {
  const out: Record<string, Entry<unknown>> = {};
  let more = true;
  while (more) {
    more = false;
    const survey = { ...donor.survey, ...out } as Survey;
    for (const item of itemsFor({ ...donor, survey })) {
      if (survey[item.id] !== undefined) continue;
      const guess = assumedEntry(item, donor.kind);
      if (!guess) continue;
      out[item.id] = guess;
      more = true;
    }
  }
  return out as Survey;
}

/** An item’s value as it is shown: an amount, the words of a choice, a tyre’s name, teeth. */
export function shownValue(item: SurveyItem, value: unknown): Amount | string {
  if (item.type === 'number') return amount(value as number, item.dimension);
  if (item.type === 'choice') return choiceWords[value as string] ?? String(value);
  return item.type === 'tyre' ? tyreName(value as TyreSize) : (value as number[]).join('-');
}

/** What is assumed on a donor and not measured, in the survey's order. */
export function assumedItems(donor: Donor): { id: SurveyItemId; label: string; value: Amount | string }[] {
  return itemsFor(donor).flatMap((item) => {
    const entry = donor.survey[item.id];
    if (entry?.provenance !== 'assumed') return [];
    return [{ id: item.id, label: item.label, value: shownValue(item, entry.value) }];
  });
}
