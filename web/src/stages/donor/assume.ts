import { amount, amountText, itemsFor, type Donor, type Entry, type Survey, type SurveyItem } from '@sprocket/core';

/** The common value of an item as an entry marked assumed, or null where nothing is common. */
export function assumedEntry(item: SurveyItem): Entry<unknown> | null {
  const base = { unit: '', provenance: 'assumed' as const, note: '' };
  if (item.type === 'number') {
    const [common] = item.common;
    if (common === undefined) return null;
    return { ...base, value: common, typed: amountText(amount(common, item.dimension), 'metric') };
  }
  return null;
}

/** Common values for every open item that has one. */
export function assumeOpen(donor: Donor): Survey {
  const out: Record<string, Entry<unknown>> = {};
  for (const item of itemsFor(donor)) {
    if (donor.survey[item.id] !== undefined) continue;
    const guess = assumedEntry(item);
    if (guess) out[item.id] = guess;
  }
  return out as Survey;
}
