import { expect } from 'chai';
import fc from 'fast-check';
import { minutesOf } from '@sprocket/core';
import nodeIcal, { type VEvent } from 'node-ical';
import { inZones } from '../../test/zones.ts';
import { calendarOf } from './calendar.ts';
import { dayTyped, thisMinute, today } from './today.ts';

const STAMP = '2026-03-01T12:00:00.000Z';
const mixte = { id: 'a1', name: 'Mixte' };
const reminder = { id: 'comes-a', on: '2026-03-29', what: 'A should come' };
// The night in which Berlin's clocks go on, and the week in which Auckland's go back.
const bench = {
  from: minutesOf('2026-03-29T02:30'),
  to: minutesOf('2026-03-30T00:00'),
  what: ['02:30 Look', '02:38 Measure'],
};
const written = (of = mixte, reminders = [reminder], times = [bench]): Promise<string> =>
  calendarOf(of, reminders, times, STAMP);

/** Events as a parser of others reads them. */
const eventsOf = (text: string): VEvent[] =>
  Object.values(nodeIcal.sync.parseICS(text)).filter((part): part is VEvent => part?.type === 'VEVENT');

/** Lines as a reader puts them together again. */
const unfolded = (text: string): string[] => text.replace(/\r\n[ \t]/g, '').split('\r\n');

describe('the calendar', () => {
  it('is the same text in every zone: whole days are dates, bench times are clock times', async () => {
    const texts = await inZones(() => written());
    expect(new Set(Object.values(texts)).size).to.equal(1);
    const lines = unfolded(texts.UTC ?? '');
    for (const line of [
      'DTSTART;VALUE=DATE:20260329',
      'DTSTART:20260329T023000',
      'DTEND:20260330T000000',
      'SUMMARY:Bench: Mixte',
      'DESCRIPTION:02:30 Look\\n02:38 Measure',
      'DTSTAMP:20260301T120000Z',
      'UID:comes-a.a1@jolly-sprocket',
    ])
      expect(lines, line).to.include(line);
  });

  it('is read by a parser of others as what it was, in every zone', async () => {
    const read = await inZones(async () => {
      const moment = new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeStyle: 'short' });
      return eventsOf(await written(mixte, [reminder], [{ ...bench, from: minutesOf('2026-03-29T09:30') }])).map(
        (e) => ({
          uid: e.uid,
          summary: e.summary,
          description: e.description,
          type: e.datetype,
          start: moment.format(e.start),
        }),
      );
    });
    for (const events of Object.values(read))
      expect(events).to.deep.equal([
        {
          uid: 'comes-a.a1@jolly-sprocket',
          summary: 'A should come: Mixte',
          description: undefined,
          type: 'date',
          start: '2026-03-29 00:00',
        },
        {
          uid: `bench-${minutesOf('2026-03-29T09:30')}.a1@jolly-sprocket`,
          summary: 'Bench: Mixte',
          description: '02:30 Look\n02:38 Measure',
          type: 'date-time',
          start: '2026-03-29 09:30',
        },
      ]);
  });

  it('names its events apart from those of every other build', async () => {
    const uids = (text: string): string[] => unfolded(text).filter((line) => line.startsWith('UID'));
    const all = [...uids(await written()), ...uids(await written({ id: 'b2', name: 'Mixte' }))];
    expect(new Set(all).size).to.equal(4);
  });

  it('whatever a name or a step is, it begins no line, no line is too long, and it comes back as it was', async () => {
    const sign = fc.constantFrom(
      '\n',
      '\r',
      ';',
      ',',
      ':',
      '\\',
      '"',
      'ø',
      '自',
      '👩‍🔧',
      'BEGIN:VEVENT',
      ' ',
      'n',
      '\u0007',
    );
    const text = fc.oneof(
      fc.string(),
      fc.array(sign, { maxLength: 60 }).map((s) => s.join('')),
    );
    await fc.assert(
      fc.asyncProperty(text, text, async (name, what) => {
        const ics = await written({ id: 'a1', name }, [{ ...reminder, what }], [{ ...bench, what: [what] }]);
        expect(ics).to.match(/\r\nEND:VCALENDAR\r\n$/);
        expect(ics.replace(/\r\n/g, '')).not.to.match(/[\r\n]/);
        for (const line of ics.split('\r\n')) expect(Buffer.byteLength(line)).to.be.at.most(75);
        const heads = unfolded(ics).map((line) => /^[A-Z-]+/.exec(line)?.[0] ?? '');
        expect(heads.filter((h) => h === 'BEGIN')).to.have.length(3);
        expect(heads.filter((h) => h === 'SUMMARY' || h === 'UID' || h === 'DTSTAMP')).to.have.length(6);
        const events = eventsOf(ics);
        const plain = (s: string): string =>
          s.replace(/\r\n?/g, '\n').replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u2028\u2029]/g, '');
        const escaped = plain(what)
          .replace(/[\\;,]/g, '\\$&')
          .replace(/\n/g, '\\n');
        expect(unfolded(ics)).to.include(`DESCRIPTION:${escaped}`);
        // That parser takes a backslash before an n for a line's end; its escape is looked at above.
        if (!what.includes('\\'))
          expect(((events[1]?.description as string | undefined) ?? '').trim()).to.equal(plain(what).trim());
      }),
      { numRuns: 150 },
    );
  });
});

describe('the day of the place', () => {
  it('is that of its clock, not of Greenwich', async () => {
    const late = new Date('2026-03-07T23:30:00Z');
    expect(await inZones(() => thisMinute(late))).to.deep.equal({
      UTC: '2026-03-07T23:30',
      'Europe/Berlin': '2026-03-08T00:30',
      'Pacific/Auckland': '2026-03-08T12:30',
    });
    expect(today()).to.match(/^\d{4}-\d{2}-\d{2}$/);
    expect([dayTyped(''), dayTyped('2026-02-30'), dayTyped('2026-02-28')]).to.deep.equal([
      null,
      undefined,
      '2026-02-28',
    ]);
  });
});
