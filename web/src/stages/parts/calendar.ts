import type { remindersOf } from '@sprocket/core';

/** Days to be reminded of as an iCalendar file, each a whole day. */
export async function calendarOf(name: string, reminders: ReturnType<typeof remindersOf>): Promise<string> {
  const { default: ical } = await import('ical-generator');
  const calendar = ical({ name, prodId: { company: 'Jolly Sprocket', product: 'Parts', language: 'EN' } });
  for (const { id, on, what } of reminders)
    calendar.createEvent({ id, start: new Date(`${on}T00:00:00`), allDay: true, summary: what });
  return calendar.toString();
}
