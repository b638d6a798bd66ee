import { decimals, readAs } from '@sprocket/core';

/** The reader's own English, or that of most of the world for whoever reads another language: it orders a day's parts. */
export const english = (language: string): string => (/^en\b/i.test(language) ? language : 'en-GB');

/** The mark that a language puts before decimals; a point where it is neither point nor comma. */
export function decimalMark(language: string): '.' | ',' {
  const parts = new Intl.NumberFormat(language).formatToParts(1.5);
  return parts.find((part) => part.type === 'decimal')?.value === ',' ? ',' : '.';
}

/** The language this browser's reader reads. */
export const language = (): string => globalThis.navigator?.language ?? 'en-GB';

const formats = new Map<string, Intl.DateTimeFormat>();
function inWords(iso: string, options: Intl.DateTimeFormatOptions): string {
  const day = new Date(`${iso.length === 7 ? `${iso}-01` : iso.slice(0, 10)}T00:00:00Z`);
  if (Number.isNaN(day.getTime())) return iso;
  const key = JSON.stringify(options);
  let format = formats.get(key);
  if (!format)
    formats.set(key, (format = new Intl.DateTimeFormat(english(language()), { ...options, timeZone: 'UTC' })));
  return format.format(day);
}

/**
 * A day or a month in words, its parts in the reader's order: “7 Mar 2026”, “Mar 2026”.
 * @param iso year, month and, for a day, its number: `2026-03-07`, `2026-03`
 */
export const dayText = (iso: string): string =>
  inWords(iso, iso.length === 7 ? { month: 'short', year: 'numeric' } : { dateStyle: 'medium' });

/** A day without its year, for a row of them: “7 Mar”. */
export const dayOfYear = (iso: string): string => inWords(iso, { day: 'numeric', month: 'short' });

/** Shows numbers and days as this browser's reader writes them. */
export const readAsTheReader = (): void => readAs({ mark: decimalMark(language()), day: dayText });

/** A figure at an axis: to a tenth, whole where it is, with the reader’s mark. */
export const tickText = (value: number): string => {
  const tenth = Math.round(value * 10) / 10;
  return decimals(tenth, Number.isInteger(tenth) ? 0 : 1);
};
