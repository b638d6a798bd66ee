import { expect } from 'chai';
import fc from 'fast-check';
import { NORMAL_90 } from '../constants.ts';
import { normalShare } from '../quantity/normal.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { demoBuild } from '../../test/demoBuild.ts';
import { aimIds, aimKey, aims, aimsOfOneRide, chanceOf, riddenAims } from './aims.ts';
import { planContext } from './context.ts';

describe('aims', () => {
  const band = { lowM: 30_000, midM: 40_000, highM: 50_000 };

  it('a chance is the band’s own: nine in ten at its low end, one in two at its middle, one in ten at its high end', () => {
    expect(chanceOf(band, band.lowM)).to.be.closeTo(0.9, 1e-9);
    expect(chanceOf(band, band.midM)).to.be.closeTo(0.5, 1e-9);
    expect(chanceOf(band, band.highM)).to.be.closeTo(0.1, 1e-9);
    expect(chanceOf(band, 0)).to.equal(1);
    expect(chanceOf({ lowM: 0, midM: 0, highM: 0 }, 10)).to.equal(0);
    expect(chanceOf({ lowM: 5, midM: 5, highM: 5 }, 5)).to.equal(1);
    expect(chanceOf({ lowM: 5, midM: 5, highM: 5 }, 6)).to.equal(0);
  });

  it('one ride to empty never shows a chance smaller than the band’s, and all else as it is', () => {
    for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'] as const)
      for (const rangeWantedM of [10_000, 40_000, 60_000, 120_000]) {
        const build = demoBuild(name);
        const context = planContext({ ...build, brief: { ...build.brief, rangeWantedM } }, starterShelf);
        const { chance: most, ...once } = aimsOfOneRide(context);
        const { chance, ...whole } = riddenAims(context);
        expect(once, name).to.deep.equal(whole);
        expect(most, `${name}, ${rangeWantedM}`).to.be.at.least(chance ?? NaN);
      }
    const bare = demoBuild('mixte');
    const none = planContext({ ...bare, choice: { ...bare.choice, kitId: null } }, starterShelf);
    expect(aimsOfOneRide(none)).to.deep.equal(riddenAims(none));
  });

  it('a chance falls as the way grows', () => {
    const way = fc.double({ min: 1, max: 200_000, noNaN: true });
    fc.assert(
      fc.property(way, way, (a, b) => {
        expect(chanceOf(band, Math.min(a, b))).to.be.at.least(chanceOf(band, Math.max(a, b)));
      }),
    );
  });

  it('shares of the normal distribution are those of the tables, and even out', () => {
    const table: [number, number][] = [
      [0, 0.5],
      [1, 0.841344746068543],
      [1.959963984540054, 0.975],
      [NORMAL_90, 0.9],
      [3, 0.99865010196837],
      [5, 0.999999713348428],
      [-8, 6.22096057427178e-16],
    ];
    for (const [z, share] of table) expect(normalShare(z), String(z)).to.be.closeTo(share, Math.max(1e-12, 0));
    expect(normalShare(-8) / 6.22096057427178e-16).to.be.closeTo(1, 1e-9);
    expect([normalShare(-40), normalShare(40)]).to.deep.equal([0, 1]);
    fc.assert(
      fc.property(fc.double({ min: -10, max: 10, noNaN: true }), (z) => {
        expect(normalShare(z) + normalShare(-z)).to.be.closeTo(1, 1e-12);
      }),
    );
  });

  it('keys rise with what is better, and hold what differs by less than a thousandth as one or as neighbours', () => {
    const value = fc.double({ min: -1e5, max: 1e5, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...aimIds), value, value, (id, a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        const [first, second] = [aimKey(id, low), aimKey(id, high)];
        expect(aims[id].better === 'more' ? second - first : first - second).to.be.at.least(0);
        const near = a * (1 + 0.0005);
        if (Math.abs(a) > 1) expect(Math.abs(aimKey(id, near) - aimKey(id, a))).to.be.at.most(1);
        if (Math.abs(a) > 1) expect(aimKey(id, a * 1.01)).to.not.equal(aimKey(id, a));
      }),
    );
    expect(aimKey('price', null)).to.equal(-Infinity);
  });
});
