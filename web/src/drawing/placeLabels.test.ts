import type { Point } from '@sprocket/core';
import { expect } from 'chai';
import fc from 'fast-check';
import { sideLabels } from './placeLabels.ts';

const sheet = { left: -1, top: 2, width: 4, height: 2.4, px: 0.004 };
const high = 24 * sheet.px;
const label = (x: number, y: number, w = 0.5): { at: Point; w: number } => ({ at: { x, y }, w });

const turn = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
const cross = (a: Point, b: Point, c: Point, d: Point): boolean =>
  turn(a, b, c) * turn(a, b, d) < -1e-12 && turn(c, d, a) * turn(c, d, b) < -1e-12;

describe('labels beside a drawing', () => {
  it('stand in a column at the side their place is nearer to, as wide as the widest there', () => {
    const laid = sideLabels([label(0, 0.5, 0.3), label(0.2, 1, 0.6), label(1.6, 0.4, 0.2)], sheet, high);
    expect(laid.map((l) => [l.side, l.w])).to.deep.equal([
      ['left', 0.6],
      ['left', 0.6],
      ['right', 0.2],
    ]);
    for (const l of laid) expect(l.end.x).to.be.closeTo(l.side === 'left' ? l.x + l.w : l.x, 1e-12);
  });

  it('a place that lies inward of one it is pushed past lets the other have the nearer row', () => {
    // Both are pushed down by one at the top; kept in the order of heights their lines would cross.
    const crowd = Array.from({ length: 8 }, (_, i) => label(-0.2, 1.95 - i * 0.001));
    const laid = sideLabels([...crowd, label(0.9, 1.9), label(-0.3, 1.6)], sheet, high);
    expect(crossings(laid)).to.equal(0);
  });

  it('never cross their lines or lie on each other, wherever their places are, as many as a side holds', () => {
    const place = fc.record({
      x: fc.double({ min: -0.3, max: 2.3, noNaN: true }),
      y: fc.double({ min: 0, max: 1.8, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(place, fc.double({ min: 0.2, max: 0.6, noNaN: true })), { maxLength: 14 }),
        (places) => {
          const laid = sideLabels(
            places.map(([at, w]) => ({ at, w })),
            sheet,
            high,
          );
          expect(laid.length).to.equal(places.length);
          expect(crossings(laid)).to.equal(0);
          for (const [i, a] of laid.entries())
            for (const b of laid.slice(i + 1)) if (a.side === b.side) expect(Math.abs(a.y - b.y)).to.be.above(high);
          for (const l of laid) expect(l.y).to.be.at.least(sheet.top - sheet.height);
        },
      ),
    );
  });
});

function crossings(laid: readonly { at: Point; end: Point }[]): number {
  let count = 0;
  for (const [i, a] of laid.entries()) for (const b of laid.slice(i + 1)) if (cross(a.at, a.end, b.at, b.end)) count++;
  return count;
}
