import { expect } from 'chai';
import fc from 'fast-check';
import type { Point } from '../donor/frames/point.ts';
import { edgesCrossing } from './crossing.ts';
import { convexPieces, type Piece } from './shapes.ts';

/** Whether a point lies in a convex piece, or within a hair of it. */
const within = ({ points }: Piece, p: Point): boolean =>
  points.every((a, i) => {
    const b = points[(i + 1) % points.length] as Point;
    return (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x) > -1e-9;
  });
const areaOf = (points: readonly Point[]): number =>
  points.reduce((sum, a, i) => {
    const b = points[(i + 1) % points.length] as Point;
    return sum + (a.x * b.y - b.x * a.y) / 2;
  }, 0);

/** A ring whose radius goes in and out: hollows of many corners. */
const wavy = (corners: number, waves: number, depth: number): Point[] =>
  Array.from({ length: corners }, (_, i) => {
    const angle = (i / corners) * 2 * Math.PI;
    const r = 0.15 * (1 + depth * Math.sin(waves * angle));
    return { x: 0.2 + r * Math.cos(angle), y: 0.2 + r * Math.sin(angle) };
  });

describe('an outline as convex pieces', () => {
  it('with few hollows is taken as drawn', () => {
    const corner = [
      { x: 0, y: 0 },
      { x: 0.3, y: 0 },
      { x: 0.3, y: 0.1 },
      { x: 0.1, y: 0.1 },
      { x: 0.1, y: 0.2 },
      { x: 0, y: 0.2 },
    ];
    const pieces = convexPieces(corner);
    expect(pieces).to.have.length(2);
    expect(pieces.reduce((sum, p) => sum + areaOf(p.points), 0)).to.be.closeTo(0.04, 1e-9);
  });

  it('hollowed by fine curves is taken in few pieces, by a hair larger', () => {
    const drawn = wavy(160, 4, 0.1);
    const pieces = convexPieces(drawn);
    expect(pieces.length).to.be.within(5, 24);
    const taken = pieces.reduce((sum, p) => sum + areaOf(p.points), 0);
    expect(taken).to.be.within(areaOf(drawn), areaOf(drawn) * 1.03);
  });

  it('is never taken smaller than it is drawn, in however many corners', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (corners, waves, depth) => {
          const drawn = wavy(corners, waves, depth);
          const pieces = convexPieces(drawn);
          expect(pieces.length).to.be.at.most(24);
          drawn.forEach((a, i) => {
            const b = drawn[(i + 1) % drawn.length] as Point;
            for (const p of [a, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }])
              // Corners nearly in a line are left out of any outline: a tenth of a millimetre at most.
              expect(pieces.some((piece) => within(piece, p) || near(piece, p))).to.equal(true);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
});

/** Within a tenth of a millimetre of a piece's edges. */
function near({ points }: Piece, p: Point): boolean {
  return points.some((a, i) => {
    const b = points[(i + 1) % points.length] as Point;
    const long = Math.hypot(b.x - a.x, b.y - a.y) || 1e-12;
    const t = Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / long ** 2));
    return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y)) < 1e-4;
  });
}

describe('an outline that crosses itself', () => {
  const p = (x: number, y: number): Point => ({ x, y });
  const bow = [p(0, 0), p(0.3, 0), p(0, 0.1), p(0.3, 0.1)];

  it('is told by the sides that cross', () => {
    expect(edgesCrossing(bow)).to.deep.equal([1, 3]);
    expect(edgesCrossing([p(0, 0), p(0.3, 0), p(0.3, 0.1), p(0, 0.1)])).to.equal(null);
    // Touching, or folded back on itself, is no crossing.
    expect(edgesCrossing([p(0, 0), p(0.3, 0), p(0.15, 0), p(0.15, 0.1)])).to.equal(null);
    expect(edgesCrossing([p(0, 0), p(1, 0), p(0, 0)])).to.equal(null);
  });

  it('takes all the room within its outermost corners: never less than it was drawn with', () => {
    const point = fc.record({
      x: fc.integer({ min: 0, max: 400 }).map((mm) => mm / 1000),
      y: fc.integer({ min: 0, max: 200 }).map((mm) => mm / 1000),
    });
    fc.assert(
      fc.property(fc.array(point, { minLength: 4, maxLength: 30 }), (outline) => {
        fc.pre(edgesCrossing(outline) !== null);
        const pieces = convexPieces(outline);
        for (const corner of outline) expect(pieces.some((one) => within(one, corner))).to.equal(true);
      }),
      { numRuns: 200 },
    );
  });
});
