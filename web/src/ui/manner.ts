import { readAs } from '@sprocket/core';

/** The reader's own English, or that of most of the world for whoever reads another language: it orders a day's parts. */
export const english = (language: string): string => (/^en\b/i.test(language) ? language : 'en-GB');

/** The mark that a language puts before decimals; a point where it is neither point nor comma. */
export function decimalMark(language: string): '.' | ',' {
  const parts = new Intl.NumberFormat(language).formatToParts(1.5);
  return parts.find((part) => part.type === 'decimal')?.value === ',' ? ',' : '.';
}

let days: Intl.DateTimeFormat | null = null;
/** The language this browser's reader reads. */
export const language = (): string => globalThis.navigator?.language ?? 'en-GB';

/** A day in words, its parts in the reader's order: “7 Mar 2026”. @param iso year, month and day: `2026-03-07` */
export function dayText(iso: string): string {
  const day = new Date(`${iso.slice(0, 10)}T00:00:00Z`);
  if (Number.isNaN(day.getTime())) return iso;
  days ??= new Intl.DateTimeFormat(english(language()), { dateStyle: 'medium', timeZone: 'UTC' });
  return days.format(day);
}

/** Shows numbers and days as this browser's reader writes them. */
export const readAsTheReader = (): void => readAs({ mark: decimalMark(language()), day: dayText });
