import { expect } from 'chai';
import fc from 'fast-check';
import { runs } from '../../../test/runs.ts';
import { chainLength, laidChain, pointAlong, pointOn } from './chains.ts';

/** Whole millimetres; a corner is told from the one before it. */
const coordinate = fc.integer({ min: -2000, max: 2000 }).map((mm) => mm / 1000);
const anyChain = fc
  .array(fc.record({ x: coordinate, y: coordinate }), { minLength: 2, maxLength: 9 })
  .filter((points) => points.every((p, i) => i === 0 || p.x !== points[i - 1]?.x || p.y !== points[i - 1]?.y));

describe('a laid chain', () => {
  it('has its points where walking along it comes to them, before its start and past its end too', () => {
    fc.assert(
      fc.property(anyChain, fc.double({ min: -0.5, max: 1.5, noNaN: true }), (points, share) => {
        const way = chainLength(points) * share;
        const [walked, told] = [pointAlong(points, way), pointOn(laidChain(points), way)];
        expect(told.x).to.be.closeTo(walked.x, 1e-9);
        expect(told.y).to.be.closeTo(walked.y, 1e-9);
      }),
      { numRuns: runs(300, 5000) },
    );
  });

  it('is laid out once, and knows how far each corner lies', () => {
    const points = [
      { x: 0, y: 0 },
      { x: 3, y: 4 },
      { x: 3, y: 10 },
    ];
    const laid = laidChain(points);
    expect([...laid.waysM]).to.deep.equal([0, 5, 11]);
    expect(laidChain(points)).to.equal(laid);
  });
});
