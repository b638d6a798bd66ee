import { momentText, type remindersOf } from '@sprocket/core';

/** A stretch of bench time and what is planned in it. */
export interface BenchTime {
  from: number;
  to: number;
  what: string[];
}

/** Days to be reminded of, each a whole day, and bench times by the local clock, as an iCalendar file. */
export async function calendarOf(
  name: string,
  reminders: ReturnType<typeof remindersOf>,
  times: readonly BenchTime[] = [],
): Promise<string> {
  const { default: ical } = await import('ical-generator');
  const calendar = ical({ name, prodId: { company: 'Jolly Sprocket', product: 'Parts', language: 'EN' } });
  for (const { id, on, what } of reminders)
    calendar.createEvent({ id, start: new Date(`${on}T00:00:00`), allDay: true, summary: what });
  for (const { from, to, what } of times)
    calendar.createEvent({
      id: `bench-${from}`,
      start: new Date(momentText(from)),
      end: new Date(momentText(to)),
      // A bench stays where it is: no zone moves it.
      floating: true,
      summary: `Bench: ${name}`,
      description: what.join('\n'),
    });
  return calendar.toString();
}
