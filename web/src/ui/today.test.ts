import { expect } from 'chai';
import { dayTyped } from './today.ts';

describe('a day as it is typed', () => {
  it('is taken where a build can keep it, empty where it was emptied, and else not taken', () => {
    expect(dayTyped('2026-03-07')).to.equal('2026-03-07');
    expect(dayTyped('')).to.equal(null);
    // A date field lets six digits of a year through.
    for (const text of ['12026-03-07', '2026-02-30', 'soon']) expect(dayTyped(text), text).to.equal(undefined);
  });
});
