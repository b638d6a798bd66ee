import { expect } from 'chai';
import { minutesOf } from '@sprocket/core';
import { calendarOf } from './calendar.ts';

describe('the calendar', () => {
  it('has whole days to be reminded of, and bench times by the local clock that no zone moves', async () => {
    const text = await calendarOf(
      'Mixte',
      [{ id: 'comes-a', on: '2026-03-09', what: 'A should come' }],
      [
        {
          from: minutesOf('2026-03-07T09:00'),
          to: minutesOf('2026-03-07T13:00'),
          what: ['09:00 Look', '09:08 Measure'],
        },
      ],
    );
    expect(text).to.match(/^BEGIN:VCALENDAR/);
    expect(text).to.match(/DTSTART;VALUE=DATE:20260309\r\n/);
    expect(text).to.match(/DTSTART:20260307T090000\r\nDTEND:20260307T130000\r\n/);
    expect(text).to.match(/SUMMARY:Bench: Mixte/);
    expect(text).to.match(/09:00 Look\\n09:08 Measure/);
  });
});
