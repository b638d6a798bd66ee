import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { runs } from '../../test/runs.ts';
import type { Build } from '../build/build.ts';
import { rotate, type Point } from '../donor/frames/point.ts';
import { readBuildFile } from '../formats/buildFile.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { PlanContext } from '../vehicle/context.ts';
import { frameRoom } from './frameRoom.ts';
import { boxShape, packShape, turned, type LoadShape } from './packShape.ts';
import { AMPLE, bossSpans, obstaclesFor, placed, placementsOn, poseAt, reachOf, Trial, type Pose } from './place.ts';
import type { Mount, Room } from './room.ts';
import { gapBetween, hull, piece, type Piece } from './shapes.ts';
import { counted } from '../../test/counted.ts';

const demo = (name: string): Build => {
  const file = new URL(`../../../web/public/demo/builds/demo-${name}.json`, import.meta.url);
  const read = readBuildFile(readFileSync(file, 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.value;
};
const rooms = ['mixte', 'box', 'trike', 'lockkeeper', 'gravel'].map((name) => {
  const context = PlanContext.of(demo(name), starterShelf);
  return { name, room: frameRoom(context.build, context.geometry, context.kit).room };
});
/** The demo's vehicles with every pack of the shelf in each place it is made for. */
const pairs = rooms.flatMap(({ name, room }) =>
  room.mounts.flatMap((mount) =>
    starterShelf.pack
      .filter((pack) => pack.places.includes(mount.place))
      .map((pack) => ({ name: `${pack.id} on ${mount.name} of ${name}`, room, mount, shape: packShape(pack) })),
  ),
);
const anyPair = fc.constantFrom(...pairs);
const share = fc.double({ min: 0, max: 1, noNaN: true });

/** What each way of meeting needs less, m; written out again, so that a slip in the code's own table shows. */
const needsLess = { body: 0, leaving: 0.003, latch: 0.005, plug: 0.005 };

/** The least gap by measuring everything against everything, nothing passed over. */
function byHand(room: Room, mount: Mount, shape: LoadShape, pose: Pose): number {
  let least = AMPLE;
  const own: [number, readonly Piece[]][] = [
    [needsLess.body, shape.body],
    [needsLess.leaving, shape.leaving ?? []],
    [needsLess.latch, shape.latch ? [shape.latch] : []],
    [needsLess.plug, shape.plug ? [shape.plug] : []],
  ];
  for (const [allow, pieces] of own)
    for (const p of pieces) {
      const points = p.points.map((q) => placed(pose, q));
      const here = piece(points.length > 2 ? hull(points) : points, p.radiusM);
      for (const o of obstaclesFor(room, mount, shape))
        for (const other of o.pieces) least = Math.min(least, gapBetween(here, other) + allow);
    }
  return least;
}
const spot = (mount: Mount, shape: LoadShape, k: number): number => {
  const { from, to } = reachOf(mount, shape);
  return from + (to - from) * k;
};

/** A straight tube on which things lie to the left of its run. */
const straight = (from: Point, to: Point, bossesM: number[] | null = null): Mount => ({
  place: 'seatTube',
  name: 'a tube',
  face: [from, to],
  lengthM: Math.hypot(to.x - from.x, to.y - from.y),
  side: 1,
  tubeM: 0.03,
  bossesM,
  on: [],
  overhangM: 0,
});

describe('a gap with a limit', () => {
  const point = fc.record({
    x: fc.double({ min: -1, max: 1, noNaN: true }),
    y: fc.double({ min: -1, max: 1, noNaN: true }),
  });
  const anyPiece = fc.oneof(
    point.map((p) => piece([p], 0.1)),
    fc.tuple(point, point).map(([a, b]) => piece([a, b], 0.05)),
    fc
      .array(point, { minLength: 3, maxLength: 7 })
      .map((ps) => piece(hull(ps)))
      .filter((p) => p.points.length > 2),
  );

  it('is exact below it, and never says less than it where the gap is no less', () => {
    const met = counted();
    fc.assert(
      fc.property(anyPiece, anyPiece, fc.double({ min: -0.5, max: 1.5, noNaN: true }), (a, b, limit) => {
        const gap = gapBetween(a, b);
        const told = gapBetween(a, b, limit);
        if (gap < limit - 1e-12 && met()) expect(told).to.be.closeTo(gap, 1e-12);
        else expect(told).to.be.within(limit - 1e-12, Math.max(limit, gap) + 1e-12);
      }),
      { numRuns: runs(300, 5000) },
    );
    met.enough();
  });
});

describe('a pack tried along its mount', () => {
  it('has the gap that measuring all against all gives, whatever was tried before', () => {
    fc.assert(
      fc.property(
        anyPair,
        fc.boolean(),
        fc.array(share, { minLength: 2, maxLength: 5 }),
        ({ name, room, mount, shape }, turn, spots) => {
          const lying = turn ? turned(shape) : shape;
          const one = new Trial(room, mount, lying);
          for (const k of spots) {
            const s = spot(mount, lying, k);
            const pose = poseAt(mount, lying, s);
            const hand = byHand(room, mount, lying, pose);
            expect(one.at(pose).clearanceM, name).to.be.closeTo(hand, 1e-9);
            expect(one.along(s).clearanceM, name).to.be.closeTo(hand, 1e-9);
            // A fresh one says the same, and names the same thing.
            expect(new Trial(room, mount, lying).at(pose).tightest, name).to.deep.equal(one.at(pose).tightest);
          }
        },
      ),
      { numRuns: runs(60, 1500) },
    );
  });

  it('a finger’s breadth past its reach has the gap that is there', () => {
    fc.assert(
      fc.property(anyPair, fc.boolean(), share, ({ name, room, mount, shape }, before, k) => {
        const { from, to } = reachOf(mount, shape);
        const s = before ? from - 0.04 * k : to + 0.04 * k;
        const hand = byHand(room, mount, shape, poseAt(mount, shape, s));
        expect(new Trial(room, mount, shape).along(s).clearanceM, name).to.be.closeTo(hand, 1e-9);
      }),
      { numRuns: runs(60, 1500) },
    );
  });

  it('meets what is nearest by its very corner, just within the gap that anybody asks for', () => {
    const box = boxShape(0.1, 0.04, 0.06);
    const [out, far] = [{ x: 0.05, y: 0.02 }, Math.hypot(0.05, 0.02)];
    // From the middle of its case through a corner and on: a ball whose face is so far from the corner.
    const ball = (gapM: number): Piece => {
      const k = (far + gapM + 0.01) / far;
      return piece([{ x: 0.05 - out.x * k, y: 0.02 + out.y * k }], 0.01);
    };
    const mount = straight({ x: 0, y: 0 }, { x: 0.1, y: 0 });
    const gap = (gapM: number): number =>
      new Trial(
        { mounts: [mount], obstacles: [{ id: 'ball', name: 'a ball', pieces: [ball(gapM)] }] },
        mount,
        box,
      ).along(0).clearanceM;
    expect(gap(0.02)).to.be.closeTo(0.02, 1e-9);
    expect(gap(AMPLE - 0.001)).to.be.closeTo(AMPLE - 0.001, 1e-9);
    expect(gap(AMPLE + 0.001)).to.equal(AMPLE);
    // What nothing within its reach comes near is met past it all the same.
    const ahead: Room = {
      mounts: [mount],
      obstacles: [{ id: 'ball', name: 'a ball', pieces: [piece([{ x: 0.2, y: 0.02 }], 0.01)] }],
    };
    const trial = new Trial(ahead, mount, box);
    expect(trial.along(0).clearanceM).to.equal(AMPLE);
    const there = byHand(ahead, mount, box, poseAt(mount, box, 0.05));
    expect(there).to.be.below(0.02);
    expect(trial.along(0.05).clearanceM).to.be.closeTo(there, 1e-9);
  });

  it('lies where it is wanted most where all spots are as good, whichever way the tube runs', () => {
    const box = boxShape(0.1, 0.04, 0.06);
    const lies = (turnRad: number, low: number): number | undefined => {
      const at = (x: number, y: number): Point => rotate({ x, y }, turnRad);
      const mount = straight(at(0, 0), at(0.6, 0));
      // A tube level with the face, 80 mm above it: 40 mm of room all along. A second one may bar its first half.
      const level = piece([at(-1, 0.09), at(2, 0.09)], 0.01);
      const bar = piece([at(0, low), at(0.3, low)], 0);
      const room: Room = {
        mounts: [mount],
        obstacles: [{ id: 'level', name: 'the level tube', pieces: [level, bar] }],
      };
      return placementsOn(room, mount, box)[0]?.alongM;
    };
    fc.assert(
      fc.property(fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }), (turnRad) => {
        expect(lies(turnRad, 0.5)).to.be.closeTo(0.25, 1e-12);
        // Barred in the middle it gives way, no further than it must for what room there is.
        const moved = lies(turnRad, 0.06) ?? NaN;
        expect(moved).to.be.within(0.3 - 1e-9, 0.5 + 1e-9);
      }),
      { numRuns: runs(40, 400) },
    );
  });

  it('is bolted to the same bosses whichever way the tube runs, where all are as good or as bad', () => {
    const railed = starterShelf.pack.find((p) => p.id === 'kettle-48-14');
    if (!railed) throw new Error('no pack');
    const shape = packShape(railed);
    const bossesM = [0.2, 0.264, 0.328, 0.392, 0.456];
    const lies = (turnRad: number, aboveM: number): number | undefined => {
      const at = (x: number, y: number): Point => rotate({ x, y }, turnRad);
      const mount = straight(at(0, 0), at(0.9, 0), bossesM);
      const level = piece([at(-1, aboveM), at(2, aboveM)], 0.01);
      const room: Room = { mounts: [mount], obstacles: [{ id: 'level', name: 'the level tube', pieces: [level] }] };
      return placementsOn(room, mount, shape, [], ['bosses'])[0]?.alongM;
    };
    expect(bossSpans(straight({ x: 0, y: 0 }, { x: 0.9, y: 0 }, bossesM), shape).length).to.be.greaterThan(3);
    for (const aboveM of [shape.heightM * 0.5, shape.heightM + 0.03]) {
      const flat = lies(0, aboveM);
      for (let k = 1; k <= 40; k++) expect(lies(k * 0.37, aboveM), `${aboveM}, ${k}`).to.be.closeTo(flat ?? NaN, 1e-6);
    }
  });

  it('finds no worse a spot than a walk of two millimetres at a time, to 0.6 mm', () => {
    fc.assert(
      fc.property(anyPair, ({ name, room, mount, shape }) => {
        const found = placementsOn(room, mount, shape, [], [mount.tubeM === null ? 'stands' : 'clamps']);
        for (const p of found) {
          const lying = p.turned ? turned(shape) : shape;
          const trial = new Trial(room, mount, lying);
          const { from, to } = reachOf(mount, lying);
          let best = -Infinity;
          for (let s = from; s <= to; s += 0.002) best = Math.max(best, trial.along(s).clearanceM);
          expect(p.clearanceM, name).to.be.at.least(Math.min(best, AMPLE) - 0.0007);
        }
      }),
      { numRuns: runs(25, 400) },
    );
  });

  it('lies on its face: foot on it where it is straight, no corner of the face above the rail where it is bowed', () => {
    fc.assert(
      fc.property(anyPair, share, ({ name, mount, shape }, k) => {
        const s = spot(mount, shape, k);
        const pose = poseAt(mount, shape, s);
        expect(Math.hypot(pose.along.x, pose.along.y), name).to.be.closeTo(1, 1e-9);
        expect(pose.along.x * pose.normal.x + pose.along.y * pose.normal.y, name).to.be.closeTo(0, 1e-12);
        if (mount.face.length === 2) {
          expect(pose.hollowM, name).to.equal(0);
          return;
        }
        let way = 0;
        mount.face.forEach((q, i) => {
          const before = mount.face[i - 1];
          if (before) way += Math.hypot(q.x - before.x, q.y - before.y);
          if (way < s || way > s + shape.lengthM) return;
          const up = (q.x - pose.at.x) * pose.normal.x + (q.y - pose.at.y) * pose.normal.y;
          expect(up, `${name}, corner ${i}`).to.be.at.most(1e-9);
          expect(-up, `${name}, corner ${i}`).to.be.at.most(pose.hollowM + 1e-9);
        });
      }),
      { numRuns: runs(150, 3000) },
    );
  });
});
