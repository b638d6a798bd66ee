import { runs } from '../../test/runs.ts';
import { expect } from 'chai';
import fc from 'fast-check';
import { newBuild, type Build } from '../build/build.ts';
import { BATTERY_CLEARANCE_WANTED } from '../constants.ts';
import type { Point } from '../donor/frames/point.ts';
import { donorGeometry } from '../donor/geometry.ts';
import { vehicleKinds } from '../donor/kinds.ts';
import type { Survey } from '../donor/donor.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import type { Pack } from '../parts/pack.ts';
import { FrameRoom, whatIsMissing } from './frameRoom.ts';
import { packShape, turned, type LoadShape } from './packShape.ts';
import {
  bodyOf,
  clearancesOf,
  obstaclesFor,
  outlineOf,
  placed,
  placementsOn,
  poseAt,
  reachOf,
  type Placement,
} from './place.ts';
import { mirroredRoom, type Mount, type Obstacle, type Room } from './room.ts';
import { convexPieces, gapBetween, hull, piece, type Piece } from './shapes.ts';
import { suspensionAt } from './suspension.ts';
import { counted } from '../../test/counted.ts';

const entry = <T>(value: T) => ({ value, typed: '', unit: '', provenance: 'measured' as const, note: '' });

function buildOf(change: (b: Build) => void): Build {
  const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
  change(b);
  return b;
}

/** A diamond frame from its four sides. */
function frameOf(
  seat: number,
  top: number,
  down: number,
  head: number,
  more: Survey = {},
): { build: Build; room: Room } {
  const build = buildOf((b) => {
    b.donor.survey = {
      seatSide: entry(seat),
      topSide: entry(top),
      downSide: entry(down),
      headSide: entry(head),
      seatTubeDiameter: entry(0.0286),
      downTubeDiameter: entry(0.035),
      topTubeDiameter: entry(0.0286),
      ...more,
    };
  });
  return { build, room: new FrameRoom(build, donorGeometry(build.donor, 1.72), null).room };
}

const mountOf = (room: Room, place: Mount['place']): Mount => {
  const mount = room.mounts.find((m) => m.place === place);
  if (!mount) throw new Error(`no ${place}`);
  return mount;
};

const packOf = (id: string): Pack => {
  const pack = starterShelf.pack.find((p) => p.id === id);
  if (!pack) throw new Error(id);
  return pack;
};

/** Frames that close: two sides and the angle between them, with a head side. */
const anyFrame = fc
  .record({
    seat: fc.double({ min: 0.28, max: 0.54, noNaN: true }),
    down: fc.double({ min: 0.44, max: 0.66, noNaN: true }),
    angle: fc.double({ min: 0.75, max: 1.1, noNaN: true }),
    head: fc.double({ min: 0.01, max: 0.1, noNaN: true }),
  })
  .map(({ seat, down, angle, head }) => {
    const x = down * Math.sin(angle);
    const y = down * Math.cos(angle) + head;
    return { seat, down, head, top: Math.hypot(x, y - seat) };
  });
const anyPack = fc.constantFrom(...starterShelf.pack.filter((p) => p.places.includes('downTube')));
const anyPlace = fc.constantFrom(
  'downTube' as const,
  'seatTube' as const,
  'topTube' as const,
  'underDownTube' as const,
);

// --- An independent check: shapes as dense outlines, distances point by point. ---

/** Points round a piece, its radius drawn out. */
function rim(p: Piece, step = 0.0015): Point[] {
  const ring = p.points;
  const out: Point[] = [];
  const n = ring.length;
  const arc = (c: Point): void => {
    if (p.radiusM === 0) out.push(c);
    else
      for (let a = 0; a < 2 * Math.PI; a += step / p.radiusM)
        out.push({ x: c.x + p.radiusM * Math.cos(a), y: c.y + p.radiusM * Math.sin(a) });
  };
  for (let i = 0; i < n; i++) {
    const a = ring[i] as Point;
    const b = ring[(i + 1) % n] as Point;
    arc(a);
    const d = Math.hypot(b.x - a.x, b.y - a.y);
    if (n === 1 || d === 0) continue;
    const nx = (b.y - a.y) / d;
    const ny = -(b.x - a.x) / d;
    for (let s = 0; s <= d; s += step)
      for (const side of p.radiusM > 0 ? [1, -1] : [0])
        out.push({
          x: a.x + ((b.x - a.x) * s) / d + nx * p.radiusM * side,
          y: a.y + ((b.y - a.y) * s) / d + ny * p.radiusM * side,
        });
  }
  return out;
}

/** Signed distance of a point from an outline by winding: another road than the search takes. */
function fromOutline(ring: readonly Point[], p: Point): number {
  let best = Infinity;
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const a = ring[i] as Point;
    const b = ring[j] as Point;
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
    const ex = b.x - a.x;
    const ey = b.y - a.y;
    const t = Math.max(0, Math.min(1, ((p.x - a.x) * ex + (p.y - a.y) * ey) / (ex * ex + ey * ey || 1)));
    best = Math.min(best, Math.hypot(p.x - a.x - ex * t, p.y - a.y - ey * t));
  }
  return inside ? -best : best;
}

function fromSegment(a: Point, b: Point, q: Point): number {
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  if (long === 0) return Math.hypot(q.x - a.x, q.y - a.y);
  const t = ((q.x - a.x) * (b.x - a.x) + (q.y - a.y) * (b.y - a.y)) / long;
  const aside = Math.abs((q.x - a.x) * (b.y - a.y) - (q.y - a.y) * (b.x - a.x)) / long;
  return t < 0 ? Math.hypot(t, aside) : t > long ? Math.hypot(t - long, aside) : aside;
}

interface Dense {
  obstacle: Obstacle;
  rim: Point[];
}
/** Only what lies near the mount: no pack reaches further. */
const near = (mount: Mount, all: readonly Dense[]): Dense[] => {
  const xs = mount.face.map((p) => p.x);
  const ys = mount.face.map((p) => p.y);
  const [left, right, low, high] = [
    Math.min(...xs) - 0.3,
    Math.max(...xs) + 0.3,
    Math.min(...ys) - 0.3,
    Math.max(...ys) + 0.3,
  ];
  return all.map((d) => ({ ...d, rim: d.rim.filter((p) => p.x > left && p.x < right && p.y > low && p.y < high) }));
};
const dense = (obstacles: readonly Obstacle[]): Dense[] =>
  obstacles
    .filter((o) => o.id !== 'ground')
    .map((obstacle) => ({ obstacle, rim: obstacle.pieces.flatMap((p) => rim(p, 0.003)) }));

/** Least signed distance of dense obstacles from a drawn outline. */
function denseGap(outline: readonly Point[], around: readonly Dense[]): number {
  let best = Infinity;
  let left = Infinity;
  let right = -Infinity;
  let low = Infinity;
  let high = -Infinity;
  for (const p of outline) {
    left = Math.min(left, p.x);
    right = Math.max(right, p.x);
    low = Math.min(low, p.y);
    high = Math.max(high, p.y);
  }
  for (const { rim: points } of around)
    for (const p of points) {
      const away = Math.max(left - p.x, p.x - right, low - p.y, p.y - high);
      if (away >= best) continue;
      best = Math.min(best, fromOutline(outline, p));
    }
  // And the other way: the outline's own corners from each obstacle.
  for (const { obstacle } of around)
    for (const p of obstacle.pieces)
      for (const q of outline) {
        const [a, b] = [p.points[0] as Point, (p.points[1] ?? p.points[0]) as Point];
        const from = p.points.length > 2 ? fromOutline(p.points, q) : fromSegment(a, b, q);
        best = Math.min(best, from - p.radiusM);
      }
  return best;
}

/** A placement's outline, moved part of its way off. */
const along = (shape: LoadShape, mount: Mount, way: number, turn: boolean, off: number): Point[] => {
  const lying = turn ? turned(shape) : shape;
  return outlineOf(shape, { pose: poseAt(mount, lying, way), turned: turn }, off);
};

describe('gaps between shapes', () => {
  const anyShape = fc.oneof(
    fc
      .record({
        x: fc.double({ min: -1, max: 1, noNaN: true }),
        y: fc.double({ min: -1, max: 1, noNaN: true }),
        r: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
      })
      .map(({ x, y, r }) => piece([{ x, y }], r)),
    fc
      .array(
        fc.record({ x: fc.double({ min: -1, max: 1, noNaN: true }), y: fc.double({ min: -1, max: 1, noNaN: true }) }),
        { minLength: 3, maxLength: 7 },
      )
      .map((ps) => piece(hull(ps), 0))
      .filter((p) => p.points.length >= 3),
  );
  const moved = (p: Piece, x: number, y: number): Piece =>
    piece(
      p.points.map((q) => ({ x: q.x + x, y: q.y + y })),
      p.radiusM,
    );

  it('are the same both ways round, and change no faster than the shapes move', () => {
    fc.assert(
      fc.property(
        anyShape,
        anyShape,
        fc.double({ min: -0.3, max: 0.3, noNaN: true }),
        fc.double({ min: -0.3, max: 0.3, noNaN: true }),
        (a, b, x, y) => {
          const gap = gapBetween(a, b);
          expect(gapBetween(b, a)).to.be.closeTo(gap, 1e-9);
          expect(Math.abs(gapBetween(moved(a, x, y), b) - gap)).to.be.at.most(Math.hypot(x, y) + 1e-9);
        },
      ),
    );
  });

  it('agree with a ruler laid point by point', () => {
    fc.assert(
      fc.property(anyShape, anyShape, (a, b) => {
        const gap = gapBetween(a, b);
        if (gap < 0.01) return;
        let least = Infinity;
        const there = rim(b, 0.01);
        for (const p of rim(a, 0.01)) for (const q of there) least = Math.min(least, Math.hypot(p.x - q.x, p.y - q.y));
        expect(least).to.be.closeTo(gap, 0.012);
      }),
      { numRuns: 60 },
    );
  });

  it('say how far to move apart what overlaps', () => {
    const square = piece(
      hull([
        { x: 0, y: 0 },
        { x: 1, y: 0 },
        { x: 1, y: 1 },
        { x: 0, y: 1 },
      ]),
    );
    expect(gapBetween(square, moved(square, 0.9, 0))).to.be.closeTo(-0.1, 1e-12);
    expect(gapBetween(square, piece([{ x: 0.5, y: 0.8 }], 0.1))).to.be.closeTo(-0.3, 1e-12);
    const cross = gapBetween(
      piece(
        [
          { x: -1, y: 0 },
          { x: 1, y: 0 },
        ],
        0.02,
      ),
      piece(
        [
          { x: 0, y: -1 },
          { x: 0, y: 1 },
        ],
        0.02,
      ),
    );
    expect(cross).to.be.below(0);
  });

  it('take hollow outlines apart into convex pieces of the same area', () => {
    const hollow = [
      { x: 0, y: 0 },
      { x: 0.3, y: 0 },
      { x: 0.3, y: 0.1 },
      { x: 0.2, y: 0.1 },
      { x: 0.2, y: 0.04 },
      { x: 0.1, y: 0.04 },
      { x: 0.1, y: 0.1 },
      { x: 0, y: 0.1 },
    ];
    const area = (ring: readonly Point[]): number =>
      ring.reduce((sum, p, i) => {
        const q = ring[(i + 1) % ring.length] as Point;
        return sum + (p.x * q.y - q.x * p.y) / 2;
      }, 0);
    const pieces = convexPieces(hollow);
    expect(pieces.reduce((sum, p) => sum + area(p.points), 0)).to.be.closeTo(area(hollow), 1e-9);
    for (const p of pieces) expect(hull(p.points).length).to.equal(p.points.length);
  });
});

describe('placement solved', () => {
  it('overlaps nothing that it calls free, at rest or anywhere along its way off', () => {
    fc.assert(
      fc.property(anyFrame, anyPack, anyPlace, ({ seat, top, down, head }, pack, place) => {
        const { room } = frameOf(seat, top, down, head);
        const mount = mountOf(room, place);
        const shape = packShape(pack);
        for (const p of placementsOn(room, mount, shape)) {
          if (p.clearanceM < 0) continue;
          const around = dense(obstaclesFor(room, mount, shape));
          expect(denseGap(outlineOf(shape, p), around)).to.be.at.least(p.clearanceM - 1e-4);
          if (!shape.leaving) continue;
          for (const share of [0.25, 0.5, 0.75, 1])
            expect(denseGap(outlineOf(shape, p, share), around)).to.be.at.least(p.clearanceM - 0.003 - 1e-4);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('is never more than a millimetre worse than the best of a fine grid, and misses none, over many frames', () => {
    const met = counted(3);
    let frames = 0;
    let fitted = 0;
    fc.assert(
      fc.property(anyFrame, anyPack, fc.boolean(), ({ seat, top, down, head }, pack, onDown) => {
        frames++;
        const { room } = frameOf(seat, top, down, head);
        const mount = mountOf(room, onDown ? 'downTube' : 'seatTube');
        // The grid looks at the drawn outline only: rooms for latch and plug are left to the other tests.
        const shape = { ...packShape(pack), latch: null, plug: null };
        const found = placementsOn(room, mount, shape)[0] as Placement;
        const around = near(mount, dense(obstaclesFor(room, mount, shape)));
        let best = -Infinity;
        for (const turn of [false, true]) {
          const reach = reachOf(mount, shape);
          for (let s = reach.from; s <= reach.to; s += 0.002) {
            const rest = denseGap(along(shape, mount, s, turn, 0), around);
            if (rest <= best) continue;
            const off = shape.leaving
              ? Math.min(...[0.5, 1].map((k) => denseGap(along(shape, mount, s, turn, k), around)))
              : Infinity;
            best = Math.max(best, Math.min(rest, off + 0.003));
          }
        }
        if (best > 0) fitted++;
        if (best > 0.0015 && best < 0.058 && met(0)) expect(found.clearanceM).to.be.at.least(best - 0.001);
        if (best > BATTERY_CLEARANCE_WANTED + 0.001 && met(1))
          expect(found.clearanceM).to.be.above(BATTERY_CLEARANCE_WANTED);
        if (found.clearanceM > 0 && met(2)) expect(best).to.be.at.least(found.clearanceM - 0.003);
      }),
      { numRuns: runs(60, 600), endOnFailure: true },
    );
    expect(frames).to.be.at.least(runs(60, 600));
    expect(fitted).to.be.greaterThan(runs(15, 150));
    met.enough();
  });

  it('never loses a place when the frame grows', () => {
    const met = counted();
    fc.assert(
      fc.property(
        anyFrame,
        anyPack,
        fc.double({ min: 1.01, max: 1.25, noNaN: true }),
        ({ seat, top, down, head }, pack, k) => {
          const shape = packShape(pack);
          const best = (scale: number): number => {
            const { room } = frameOf(seat * scale, top * scale, down * scale, head * scale);
            // Tubes only: a bigger frame leaves the rider where they were, and knees do not grow.
            const tubes: Room = {
              ...room,
              obstacles: room.obstacles.filter((o) =>
                ['down tube', 'seat tube', 'top tube', 'head tube', 'shell'].includes(o.id),
              ),
            };
            return placementsOn(tubes, mountOf(tubes, 'downTube'), shape)[0]?.clearanceM ?? -1;
          };
          const before = best(1);
          if (before > 0 && met()) expect(best(k)).to.be.at.least(before - 0.0015);
        },
      ),
      { numRuns: 60 },
    );
    met.enough();
  });

  it('mirrors with the vehicle', () => {
    fc.assert(
      fc.property(anyFrame, anyPack, anyPlace, ({ seat, top, down, head }, pack, place) => {
        const { room } = frameOf(seat, top, down, head);
        const other = mirroredRoom(room);
        const shape = packShape(pack);
        const here = placementsOn(room, mountOf(room, place), shape);
        const there = placementsOn(other, mountOf(other, place), shape);
        expect(there.length).to.equal(here.length);
        for (const [i, p] of here.entries()) {
          const q = there[i] as Placement;
          expect(q.clearanceM).to.be.closeTo(p.clearanceM, 0.0007);
          if (Math.abs(q.alongM - p.alongM) > 1e-6) continue;
          const corner = placed(p.pose, { x: 0.1, y: 0.05 });
          const mirrored = placed(q.pose, { x: 0.1, y: 0.05 });
          expect(mirrored.x).to.be.closeTo(-corner.x, 1e-9);
          expect(mirrored.y).to.be.closeTo(corner.y, 1e-9);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('puts a rail’s holes on the bosses, to the slots, wherever it says it is bolted', () => {
    fc.assert(
      fc.property(
        anyFrame,
        anyPack,
        fc.double({ min: 0.08, max: 0.3, noNaN: true }),
        ({ seat, top, down, head }, pack, first) => {
          const { room } = frameOf(seat, top, down, head, {
            bosses: entry('downTube' as const),
            bossSpacing: entry(0.064),
            bossDown: entry(first),
          });
          const shape = packShape(pack);
          for (const p of placementsOn(room, mountOf(room, 'downTube'), shape)) {
            if (p.fixing !== 'bosses') continue;
            expect(p.holes.length).to.be.at.least(2);
            for (const h of p.holes) {
              expect(Math.abs(h.offM)).to.be.at.most(shape.slotM / 2 + 1e-6);
              expect(p.alongM + h.holeM).to.be.closeTo(h.bossM + h.offM, 1e-9);
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('says to the millimetre what is missing, and what would let it in', () => {
    const { room } = frameOf(0.36, 0.47, 0.5, 0.03);
    const mount = mountOf(room, 'downTube');
    const shape = packShape(packOf('slab-52-20'));
    expect(placementsOn(room, mount, shape)[0]?.clearanceM).to.be.below(0);
    const missing = whatIsMissing(room, mount, shape, 'clamps');
    const { shorterM } = missing;
    if (shorterM === null) throw new Error('nothing would do');
    const cut = packOf('slab-52-20');
    const shorter = { ...cut, outline: { ...cut.outline, lengthM: cut.outline.lengthM - shorterM } };
    const longer = { ...cut, outline: { ...cut.outline, lengthM: cut.outline.lengthM - shorterM + 0.003 } };
    expect(placementsOn(room, mount, packShape(shorter))[0]?.clearanceM).to.be.at.least(
      BATTERY_CLEARANCE_WANTED - 0.0015,
    );
    expect(placementsOn(room, mount, packShape(longer))[0]?.clearanceM).to.be.below(BATTERY_CLEARANCE_WANTED);
  });

  it('names the thing that would have to come off', () => {
    const build = buildOf((b) => {
      b.donor.survey = { seatSide: entry(0.42), topSide: entry(0.5), downSide: entry(0.56), headSide: entry(0.05) };
      b.donor.obstructions = [
        { kind: 'bolt', tube: 'downTube', alongM: 0.22, lengthM: 0.012, outM: 0.03, removable: true },
      ];
    });
    const { room } = new FrameRoom(build, donorGeometry(build.donor, 1.72), null);
    const missing = whatIsMissing(room, mountOf(room, 'downTube'), packShape(packOf('kettle-36-17')), 'clamps');
    expect(missing.without).to.deep.equal(['the bolt head on the down tube']);
  });
});

describe('awkward frames', () => {
  it('a shock in the triangle: what goes, goes clear of it through its whole travel', () => {
    const build = buildOf((b) => {
      b.donor.kind = 'fullSuspension';
      b.donor.survey = {
        seatSide: entry(0.43),
        topSide: entry(0.56),
        downSide: entry(0.66),
        headSide: entry(0.03),
        shockPlace: entry('inTriangle' as const),
        rearTravel: entry(0.14),
      };
    });
    const geometry = donorGeometry(build.donor, 1.78);
    const { room } = new FrameRoom(build, geometry, null);
    const mount = mountOf(room, 'downTube');
    let went = 0;
    for (const pack of starterShelf.pack.filter((p) => p.places.includes('downTube'))) {
      const shape = packShape(pack);
      const best = placementsOn(room, mount, shape)[0] as Placement;
      if (best.clearanceM < 0) continue;
      went++;
      for (let i = 0; i <= 60; i++) {
        const pose = suspensionAt(geometry, 0.14, i / 60);
        if (!pose?.shock) throw new Error('no shock');
        const shock = piece([pose.shock.from, pose.shock.to], 0.024);
        for (const own of [...bodyOf(shape, best), ...bodyOf(shape, best, true)])
          expect(gapBetween(own, shock), `${pack.name} at ${i}`).to.be.at.least(-0.0005);
      }
    }
    expect(went).to.be.greaterThan(0);
    // The shock is what a tall slab meets.
    const slab = packShape(packOf('slab-52-20'));
    const met = clearancesOf(room, mount, slab, placementsOn(room, mount, slab)[0] as Placement);
    expect(met.slice(0, 4).map((c) => c.obstacle)).to.include('shock');
  });

  it('a swinging arm keeps the length of its links, and rises by its travel', () => {
    const build = buildOf((b) => (b.donor.kind = 'fullSuspension'));
    const g = donorGeometry(build.donor, 1.78);
    const s = g.suspension;
    if (!s) throw new Error('no links');
    const d = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y);
    for (let i = 0; i <= 10; i++) {
      const pose = suspensionAt(g, 0.13, i / 10);
      if (!pose) throw new Error('no pose');
      expect(d(pose.axle, s.pivot)).to.be.closeTo(d(g.rearAxle, s.pivot), 1e-9);
      expect(pose.axle.y - g.rearAxle.y).to.be.closeTo(0.13 * (i / 10), 1e-9);
      const stay = pose.runs.find((r) => r.name === 'seat stay');
      if (!stay) throw new Error('no stay');
      expect(d(stay.from, stay.to)).to.be.closeTo(d(g.rearAxle, s.rockerTail), 1e-9);
    }
  });

  it('a tiny frame takes the short pack or none, and says by how much it misses', () => {
    const { room } = frameOf(0.24, 0.4, 0.44, 0.01);
    const mount = mountOf(room, 'downTube');
    const big = packShape(packOf('kettle-36-17'));
    expect(placementsOn(room, mount, big)[0]?.clearanceM).to.be.below(0);
    const { shorterM, flatterM } = whatIsMissing(room, mount, big, 'clamps');
    expect(shorterM ?? flatterM).to.not.equal(null);
    const flask = placementsOn(room, mount, packShape(packOf('flask-36-9')))[0] as Placement;
    expect(flask.clearanceM).to.be.above(0);
  });

  it('an S-bent down tube: a straight rail bridges the hollow and is told so', () => {
    const build = buildOf((b) => {
      b.donor.survey = { seatSide: entry(0.44), topSide: entry(0.52), downSide: entry(0.58), headSide: entry(0.05) };
      b.donor.mainTubePath = {
        points: [
          { xM: 0, yM: 0 },
          { xM: 0.1, yM: 0.03 },
          { xM: 0.2, yM: 0.115 },
          { xM: 0.33, yM: 0.265 },
          { xM: 0.4, yM: 0.38 },
        ],
      };
    });
    const { room } = new FrameRoom(build, donorGeometry(build.donor, 1.72), null);
    const mount = mountOf(room, 'downTube');
    expect(mount.face.length).to.be.greaterThan(3);
    const shape = packShape(packOf('kettle-36-10'));
    const best = placementsOn(room, mount, shape)[0] as Placement;
    expect(best.pose.hollowM).to.be.greaterThan(0.004);
    const tube = room.obstacles.find((o) => o.id === 'down tube') as Obstacle;
    for (const own of bodyOf(shape, best))
      for (const t of tube.pieces) expect(gapBetween(own, t)).to.be.at.least(-0.002);
  });

  it('every kind of vehicle has a place, and every place holds still', () => {
    for (const kind of vehicleKinds) {
      const build = buildOf((b) => (b.donor.kind = kind));
      const { room } = new FrameRoom(build, donorGeometry(build.donor, 1.72), null);
      expect(room.mounts.length, kind).to.be.greaterThan(0);
      const any = room.mounts.some((mount) =>
        starterShelf.pack.some(
          (pack) =>
            pack.places.includes(mount.place) &&
            (placementsOn(room, mount, packShape(pack))[0]?.clearanceM ?? -1) > 0.005,
        ),
      );
      expect(any, `${kind} has somewhere`).to.equal(true);
    }
  });
});
