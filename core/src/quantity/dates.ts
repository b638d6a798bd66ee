/** Calendar arithmetic on ISO texts, without a clock: dates as days, local times as minutes, both since 1970. */

/** Days since 1970-01-01 of an ISO date. Source: the proleptic Gregorian calendar, 400 years of 146 097 days. */
export function dayOf(date: string): number {
  const [year, month, day] = date.slice(0, 10).split('-').map(Number) as [number, number, number];
  // Years are counted from March, so that the day of a leap year comes last.
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const inEra = y - era * 400;
  const inYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  return era * 146_097 + inEra * 365 + Math.floor(inEra / 4) - Math.floor(inEra / 100) + inYear - 719_468;
}

/** The ISO date of so many days since 1970-01-01. */
export function dateOf(days: number): string {
  const z = Math.floor(days) + 719_468;
  const era = Math.floor(z / 146_097);
  const inEra = z - era * 146_097;
  const ofEra = Math.floor(
    (inEra - Math.floor(inEra / 1460) + Math.floor(inEra / 36_524) - Math.floor(inEra / 146_096)) / 365,
  );
  const inYear = inEra - (365 * ofEra + Math.floor(ofEra / 4) - Math.floor(ofEra / 100));
  const march = Math.floor((5 * inYear + 2) / 153);
  const day = inYear - Math.floor((153 * march + 2) / 5) + 1;
  const month = march < 10 ? march + 3 : march - 9;
  const year = ofEra + era * 400 + (month <= 2 ? 1 : 0);
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`;
}

const two = (n: number): string => String(n).padStart(2, '0');

/** Day of the week of a date: 0 is Monday. */
export const weekdayOf = (date: string): number => (((dayOf(date) + 3) % 7) + 7) % 7;

/** Whole days from one ISO date to another. */
export const daysBetween = (from: string, to: string): number => dayOf(to) - dayOf(from);

/** The ISO date so many days after another; parts of a day count as the whole of it. */
export const dateAfter = (from: string, days: number): string => dateOf(dayOf(from) + Math.ceil(days - 1e-9));

/** Minutes since 1970 of a local time, `2026-03-07T09:30` or with seconds. No zone: a bench stays where it is. */
export function minutesOf(time: string): number {
  const [hours, minutes, seconds = 0] = time.slice(11).split(':').map(Number) as [number, number, number?];
  return dayOf(time) * 1440 + hours * 60 + minutes + seconds / 60;
}

/** A local time as text, with seconds where they are asked for or it has some. */
export function momentText(minute: number, seconds = !Number.isInteger(minute)): string {
  const whole = Math.round(minute * 60);
  const day = Math.floor(whole / 86_400);
  const left = whole - day * 86_400;
  const clock = `${two(Math.floor(left / 3600))}:${two(Math.floor(left / 60) % 60)}`;
  return `${dateOf(day)}T${clock}${seconds ? `:${two(left % 60)}` : ''}`;
}

/** Whether a text is a date there is. */
export const isDate = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && dateOf(dayOf(text)) === text;
