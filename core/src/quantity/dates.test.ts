import { expect } from 'chai';
import fc from 'fast-check';
import { dateAfter, dateOf, dayOf, daysBetween, isDate, minutesOf, momentText, weekdayOf } from './dates.ts';

describe('dates without a clock', () => {
  it('agree with the platform’s over eight centuries', () => {
    fc.assert(
      fc.property(fc.integer({ min: -146_097, max: 146_097 }), (days) => {
        const text = new Date(days * 86_400_000).toISOString().slice(0, 10);
        expect(dateOf(days)).to.equal(text);
        expect(dayOf(text)).to.equal(days);
        expect(weekdayOf(text)).to.equal((new Date(days * 86_400_000).getUTCDay() + 6) % 7);
      }),
      { numRuns: 500 },
    );
  });

  it('leap days, ends of months and years', () => {
    expect(dateAfter('2028-02-28', 1)).to.equal('2028-02-29');
    expect(dateAfter('2027-02-28', 1)).to.equal('2027-03-01');
    expect(dateAfter('2026-12-31', 0.2)).to.equal('2027-01-01');
    expect(dateAfter('2026-12-31', 0)).to.equal('2026-12-31');
    expect(daysBetween('2026-02-27', '2026-03-02')).to.equal(3);
    expect([isDate('2027-02-29'), isDate('2028-02-29'), isDate('2026-13-01'), isDate('soon')]).to.deep.equal([
      false,
      true,
      false,
      false,
    ]);
  });

  it('local times as minutes and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40_000_000 }), (minute) => {
        expect(minutesOf(momentText(minute))).to.equal(minute);
      }),
    );
    expect(momentText(minutesOf('2026-03-07T09:00:30'))).to.equal('2026-03-07T09:00:30');
    expect(momentText(minutesOf('2026-03-07T09:00'), true)).to.equal('2026-03-07T09:00:00');
  });
});
