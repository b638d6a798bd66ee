import { expect } from 'chai';
import { dayOf, minutesOf } from '@sprocket/core';
import { clockWords, dayWords, longWords, momentWords, shortDay } from './moments.ts';

describe('days and moments in words', () => {
  it('by the local clock, whatever the zone', () => {
    expect(dayWords(dayOf('2026-03-07'))).to.equal('Sat 7 Mar');
    expect(shortDay(dayOf('2026-12-31'))).to.equal('Thu 31');
    expect(clockWords(minutesOf('2026-03-07T09:05'))).to.equal('09:05');
    expect(momentWords(minutesOf('2026-03-07T00:00'))).to.equal('Sat 7 Mar, 00:00');
  });

  it('minutes as hours and minutes', () => {
    expect([0, 59, 60, 61, 119.6, 600].map(longWords)).to.deep.equal([
      '0 min',
      '59 min',
      '1 h',
      '1 h 1',
      '2 h',
      '10 h',
    ]);
  });
});
