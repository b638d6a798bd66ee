import { momentText, plainText, type remindersOf } from '@sprocket/core';

/** A stretch of bench time and what is planned in it. */
export interface BenchTime {
  from: number;
  to: number;
  what: string[];
}

/** What a calendar is of: the build's id makes its events' names its own, beside those of every other build. */
interface CalendarOf {
  id: string;
  name: string;
}

/**
 * Days to be reminded of, each a whole day, and bench times by the local clock, as an iCalendar file (RFC 5545). A day is
 * a date and a bench stays where it is: neither has a zone, so none moves it.
 * @param stamp when it was written, UTC, ISO
 */
export async function calendarOf(
  { id: buildId, name }: CalendarOf,
  reminders: ReturnType<typeof remindersOf>,
  times: readonly BenchTime[] = [],
  stamp = new Date().toISOString(),
): Promise<string> {
  const { default: ICAL } = await import('ical.js');
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('prodid', '-//Jolly Sprocket//Bench//EN');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('calscale', 'GREGORIAN');
  // A property of text, so that its commas and line ends are written as a text's are.
  const title = new ICAL.Property(['name', {}, 'text', oneLine(name)]);
  calendar.addProperty(title);
  const event = (own: string, what: { summary: string; description?: string }): InstanceType<typeof ICAL.Component> => {
    const made = new ICAL.Component('vevent');
    made.updatePropertyWithValue('uid', `${own}.${buildId}@jolly-sprocket`);
    made.updatePropertyWithValue('dtstamp', ICAL.Time.fromDateTimeString(`${stamp.slice(0, 19)}Z`));
    made.updatePropertyWithValue('summary', oneLine(what.summary));
    if (what.description !== undefined) made.updatePropertyWithValue('description', plainText(what.description));
    calendar.addSubcomponent(made);
    return made;
  };
  for (const { id, on, what } of reminders) {
    const made = event(id, { summary: `${what}: ${name}` });
    made.updatePropertyWithValue('dtstart', ICAL.Time.fromDateString(on));
    made.updatePropertyWithValue('transp', 'TRANSPARENT');
  }
  for (const { from, to, what } of times) {
    const made = event(`bench-${from}`, { summary: `Bench: ${name}`, description: what.join('\n') });
    made.updatePropertyWithValue('dtstart', ICAL.Time.fromDateTimeString(momentText(from, true)));
    made.updatePropertyWithValue('dtend', ICAL.Time.fromDateTimeString(momentText(to, true)));
  }
  return `${calendar.toString()}\r\n`;
}

/** A name as one line. */
const oneLine = (text: string): string => plainText(text).replace(/\s*\n\s*/g, ' ');
