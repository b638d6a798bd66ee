import { expect } from 'chai';
import fc from 'fast-check';
import { tenths } from './tenths.ts';

describe('Progress by tenths', () => {
  it('is shown at each tenth once', () => {
    const worth = tenths();
    const shown = Array.from({ length: 501 }, (_, n) => n / 500).filter(worth);
    expect(shown).to.deep.equal([0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]);
  });

  it('is shown ten times at most, however often it is asked, and where a step passes tenths over', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 400 }), (shares) => {
        const worth = tenths();
        const shown = shares.toSorted((a, b) => a - b).filter(worth);
        expect(shown.length).to.be.at.most(10);
        expect(shown.every((s) => s > 0.0999)).to.equal(true);
        expect(new Set(shown.map((s) => Math.floor(s * 10 + 1e-9))).size).to.equal(shown.length);
      }),
    );
  });
});
