import { expect } from 'chai';
import fc from 'fast-check';
import { chainAngle, chainLinks, chainLinksWorkshop, cogLines } from './chain.ts';

describe('chain lines and lengths', () => {
  it('lays seven cogs in a 135 mm rear end from 63.5 mm inward by 5', () => {
    expect(cogLines(0.135, 7).map((l) => Math.round(l * 1e4) / 10)).to.deep.equal([
      63.5, 58.5, 53.5, 48.5, 43.5, 38.5, 33.5,
    ]);
    expect(cogLines(0.135, 7, true)[0]).to.be.closeTo(0.0625, 1e-9);
  });

  it('leans by atan of the offset over the chainstay', () => {
    expect(chainAngle(0.0635, 0.045, 0.44)).to.be.closeTo(Math.atan(0.0185 / 0.44), 1e-12);
    expect(chainAngle(0.045, 0.045, 0.44)).to.equal(0);
  });

  it('counts links by hand: 440 mm, 42 to 28 is 2·34.65 + 35 + 0.14, up to 106', () => {
    expect(chainLinks(0.44, 42, 28)).to.equal(106);
    expect(chainLinksWorkshop(0.44, 42, 28)).to.equal(108);
  });

  it('is always even, never shorter for a longer stay or a bigger pair', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.38, max: 1.2, noNaN: true }),
        fc.integer({ min: 28, max: 54 }),
        fc.integer({ min: 11, max: 50 }),
        (stay, ring, cog) => {
          const links = chainLinks(stay, ring, cog);
          expect(links % 2).to.equal(0);
          expect(chainLinks(stay + 0.02, ring, cog)).to.be.at.least(links);
          expect(chainLinks(stay, ring + 2, cog)).to.be.at.least(links);
        },
      ),
    );
  });
});
