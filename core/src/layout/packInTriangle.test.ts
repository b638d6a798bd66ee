import { expect } from 'chai';
import fc from 'fast-check';
import { newBuild } from '../build.ts';
import { vehicleKinds } from '../donor/kinds.ts';
import { donorGeometry, type InnerTriangle, type Point } from '../donor/geometry.ts';
import { placeInTriangle } from './packInTriangle.ts';

/** Triangles that frames have: two sides and the angle at the bracket. */
const anyTriangle = fc
  .record({
    seat: fc.double({ min: 0.25, max: 0.55, noNaN: true }),
    down: fc.double({ min: 0.4, max: 0.65, noNaN: true }),
    angle: fc.double({ min: 0.7, max: 1.2, noNaN: true }),
  })
  .map(({ seat, down, angle }): InnerTriangle => {
    const bracket = { x: 0.4, y: 0.3 };
    const tilt = 1.9;
    const at = (r: number, a: number): Point => ({ x: bracket.x + r * Math.cos(a), y: bracket.y + r * Math.sin(a) });
    const s = at(seat, tilt);
    const h = at(down, tilt - angle);
    return {
      bracket,
      seat: s,
      head: h,
      seatSideM: seat,
      downSideM: down,
      topSideM: Math.hypot(s.x - h.x, s.y - h.y),
      basis: 'measured',
    };
  });
const anyPack = fc.record({
  l: fc.double({ min: 0.2, max: 0.45, noNaN: true }),
  h: fc.double({ min: 0.06, max: 0.15, noNaN: true }),
  slide: fc.double({ min: 0, max: 0.04, noNaN: true }),
});

/** Signed distance of a point from the inside of a convex triangle, by another road: barycentric areas. */
function inside(t: InnerTriangle, p: Point): number {
  const corners = [t.bracket, t.seat, t.head];
  const area2 = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);
  const whole = area2(corners[0] as Point, corners[1] as Point, corners[2] as Point);
  return Math.min(
    ...[0, 1, 2].map((i) => {
      const a = corners[i] as Point;
      const b = corners[(i + 1) % 3] as Point;
      return (area2(a, b, p) * Math.sign(whole)) / Math.hypot(b.x - a.x, b.y - a.y);
    }),
  );
}

describe('a pack in the triangle', () => {
  it('a placement with room overlaps nothing, at rest or slid off', () => {
    fc.assert(
      fc.property(anyTriangle, anyPack, fc.constantFrom('downTube' as const, 'seatTube' as const), (t, pack, side) => {
        const p = placeInTriangle(t, side, pack.l, pack.h, pack.slide);
        if (p.clearanceM < 0.004) return;
        for (const corner of p.outline) expect(inside(t, corner)).to.be.greaterThan(-1e-9);
        for (const corner of p.slidOff) expect(inside(t, corner)).to.be.greaterThan(-1e-9);
      }),
    );
  });

  it('is never more than 1 mm worse than a fine grid', () => {
    fc.assert(
      fc.property(anyTriangle, anyPack, (t, pack) => {
        const p = placeInTriangle(t, 'downTube', pack.l, pack.h, 0);
        const along = { x: (t.head.x - t.bracket.x) / t.downSideM, y: (t.head.y - t.bracket.y) / t.downSideM };
        const toSeat = { x: t.seat.x - t.bracket.x, y: t.seat.y - t.bracket.y };
        const sign = -along.y * toSeat.x + along.x * toSeat.y > 0 ? 1 : -1;
        const up = { x: -along.y * sign, y: along.x * sign };
        let best = -Infinity;
        for (let x = 0; x <= t.downSideM - pack.l; x += 0.0002) {
          const lid = [x, x + pack.l].map((d) => ({
            x: t.bracket.x + along.x * d + up.x * pack.h,
            y: t.bracket.y + along.y * d + up.y * pack.h,
          }));
          best = Math.max(best, Math.min(...lid.map((c) => inside(t, c))));
        }
        if (best > 0.001) expect(p.clearanceM).to.be.at.least(best - 0.001);
      }),
      { numRuns: 60 },
    );
  });

  it('a bigger pack, or more travel, never sits better', () => {
    fc.assert(
      fc.property(anyTriangle, anyPack, fc.double({ min: 0, max: 0.03, noNaN: true }), (t, pack, more) => {
        const base = placeInTriangle(t, 'downTube', pack.l, pack.h, pack.slide).clearanceM;
        expect(placeInTriangle(t, 'downTube', pack.l + more, pack.h, pack.slide).clearanceM).to.be.at.most(
          base + 0.0015,
        );
        expect(placeInTriangle(t, 'downTube', pack.l, pack.h + more, pack.slide).clearanceM).to.be.at.most(
          base + 0.0015,
        );
        expect(placeInTriangle(t, 'downTube', pack.l, pack.h, pack.slide + more).clearanceM).to.be.at.most(
          base + 0.0015,
        );
      }),
    );
  });
});

describe('the donor in side view', () => {
  it('keeps every size that was measured', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.5, noNaN: true }),
        fc.double({ min: 0.45, max: 0.55, noNaN: true }),
        fc.double({ min: 0.5, max: 0.6, noNaN: true }),
        (a, b, c) => {
          const { donor } = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
          const entry = (value: number) => ({
            value,
            typed: '',
            unit: 'mm',
            provenance: 'measured' as const,
            note: '',
          });
          donor.survey = {
            seatSide: entry(a),
            topSide: entry(b),
            downSide: entry(c),
            chainstayLength: entry(0.44),
            wheelbase: entry(1.05),
          };
          const g = donorGeometry(donor, 1.7);
          const t = g.triangle;
          if (!t) throw new Error('no triangle');
          const d = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y);
          expect(d(t.bracket, t.seat)).to.be.closeTo(a, 1e-9);
          expect(d(t.seat, t.head)).to.be.closeTo(b, 1e-9);
          expect(d(t.bracket, t.head)).to.be.closeTo(c, 1e-9);
          expect(d(g.bracket, g.rearAxle)).to.be.closeTo(0.44, 1e-9);
          expect(g.frontAxle.x).to.equal(1.05);
          expect(g.dimensions.find((l) => l.item === 'downSide')?.basis).to.equal('measured');
          expect(g.dimensions.find((l) => l.item === 'bracketHeight')?.basis).to.equal('assumed');
        },
      ),
    );
  });

  it('draws every kind from nothing, and says when sizes do not close', () => {
    for (const kind of vehicleKinds) {
      const { donor } = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
      donor.kind = kind;
      const g = donorGeometry(donor, 1.7);
      expect(g.problem, kind).to.equal(null);
      for (const tube of g.tubes)
        for (const p of tube.points) expect(Number.isFinite(p.x + p.y), `${kind} ${tube.name}`).to.equal(true);
      expect(g.dimensions.every((l) => l.basis === 'assumed')).to.equal(true);
    }
    const { donor } = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    const entry = (value: number) => ({ value, typed: '', unit: 'mm', provenance: 'measured' as const, note: '' });
    donor.survey = { seatSide: entry(0.2), topSide: entry(0.2), downSide: entry(0.7) };
    expect(donorGeometry(donor, 1.7).problem).to.match(/do not close/);
  });
});
