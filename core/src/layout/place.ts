import type { fixings } from '../build/choice.ts';
import { BATTERY_CLEARANCE_WANTED } from '../constants.ts';
import { laidChain, pointOn } from '../donor/frames/chains.ts';
import { hypotenuse, type Point } from '../donor/frames/point.ts';
import type { PackPlace } from '../parts/pack.ts';
import { turned, type LoadShape } from './packShape.ts';
import type { Mount, Obstacle, Room } from './room.ts';
import { edgesOf, gapBetween, piece, type Piece } from './shapes.ts';
import { SlidingPair } from './slide.ts';

/** Where a shape lies: its low end's foot, the way along its rail, the way off it. */
export interface Pose {
  at: Point;
  along: Point;
  normal: Point;
  /** How far the face falls away under a straight rail, m: what blocks must fill. */
  hollowM: number;
}

/** When a gap is smallest. */
export type GapWhen = 'at rest' | 'coming off its rail' | 'room for the latch' | 'room for the plug';

/** What sets a placement's clearance. */
export interface Tightest {
  obstacle: string;
  name: string;
  when: GapWhen;
}

/** A gap to one obstacle, m. */
export interface Clearance {
  obstacle: string;
  name: string;
  restM: number;
  /** Least while it comes off; null where it leaves sideways. */
  leavingM: number | null;
}

export type Fixing = (typeof fixings)[number];
export const fixingWords: Record<Fixing, string> = {
  bosses: 'bolted to the bosses',
  clamps: 'clamped round the tube',
  straps: 'strapped',
  stands: 'standing, held down',
};

/** One way a shape can lie. */
export interface Placement {
  place: PackPlace;
  /** What carries it, in words. */
  on: string;
  fixing: Fixing;
  /** From the start of the carrying face to the pack's low end, m. */
  alongM: number;
  /** Turned end for end: its latch is at the other end, its plug on the other hand. */
  turned: boolean;
  pose: Pose;
  /** Smallest gap, each lessened by what it needs less than a standing one, m; below zero, what is missing. */
  clearanceM: number;
  tightest: Tightest;
  /** Rail holes used: distance from the low end, and how far off the hole's middle the boss lies, m. */
  holes: { holeM: number; bossM: number; offM: number }[];
}

/** What each way of meeting needs less than a standing gap, m. Source: project. */
const ALLOW: Record<GapWhen, number> = {
  'at rest': 0,
  // Passing, it needs no foam: 2 mm is enough.
  'coming off its rail': 0.003,
  // Their room holds the fingers already.
  'room for the latch': BATTERY_CLEARANCE_WANTED,
  'room for the plug': BATTERY_CLEARANCE_WANTED,
};
/** A gap past which nobody asks, m: places with this much are alike, and the one nearest the wheels' middle is taken. */
export const AMPLE = 0.06;
/** How near the greatest clearance the search comes, m. */
const SEARCH_WITHIN = 0.0006;
/** Poses looked at along a bowed tube for how fast a shape turns there, and what is added for those between. */
const POSES_LOOKED_AT = 32;
const BETWEEN_POSES = 1.25;
const MOST_TRIALS = 900;
/** Far below any reading, m. */
const BARELY = 1e-12;
/** More than any rounding of a gap, less than any reading, m. */
const ROUNDING = 1e-9;

/** A shape's pose with its low end a way along a face. A stiff rail bridges hollows and rides on humps. */
export function poseAt(mount: Mount, shape: LoadShape, alongM: number): Pose {
  const { face, side } = mount;
  const chain = laidChain(face);
  const a = pointOn(chain, alongM);
  const b = pointOn(chain, alongM + shape.lengthM);
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  const d = Math.sqrt(dx * dx + dy * dy) || 1e-9;
  const along = { x: dx / d, y: dy / d };
  const normal = { x: -along.y * side, y: along.x * side };
  if (face.length === 2) return { at: a, along, normal, hollowM: 0 };
  const { waysM } = chain;
  let lift = 0;
  let hollow = 0;
  // Corners of the face under the rail, its first and last among them.
  for (let i = 0; i < face.length; i++) {
    const way = waysM[i] as number;
    if (way < alongM) continue;
    if (way > alongM + shape.lengthM) break;
    const r = face[i] as Point;
    const up = (r.x - a.x) * normal.x + (r.y - a.y) * normal.y;
    if (up > lift) lift = up;
    if (-up > hollow) hollow = -up;
  }
  return {
    at: { x: a.x + normal.x * lift, y: a.y + normal.y * lift },
    along,
    normal,
    hollowM: hollow + lift,
  };
}

/** A point of the shape on the vehicle. */
export function placed(pose: Pose, p: Point): Point {
  return {
    x: pose.at.x + pose.along.x * p.x + pose.normal.x * p.y,
    y: pose.at.y + pose.along.y * p.x + pose.normal.y * p.y,
  };
}

function placedPiece(pose: Pose, p: Piece): Piece {
  const n = p.points.length;
  // A face looked at from its right mirrors the shape; the order of its corners must turn with it.
  const mirrored = pose.along.x * pose.normal.y - pose.along.y * pose.normal.x < 0;
  const points = new Array<Point>(n);
  for (let i = 0; i < n; i++) points[mirrored ? n - 1 - i : i] = placed(pose, p.points[i] as Point);
  const centre = placed(pose, p.centre);
  // Its edges are turned with it, which is quicker than to find them again.
  const { at, along, normal } = pose;
  const lines = edgesOf(p);
  const edges = new Array<number>(lines.length);
  for (let i = 0; i < lines.length; i += 3) {
    const x = along.x * (lines[i] as number) + normal.x * (lines[i + 1] as number);
    const y = along.y * (lines[i] as number) + normal.y * (lines[i + 1] as number);
    edges[i] = x;
    edges[i + 1] = y;
    edges[i + 2] = (lines[i + 2] as number) + x * at.x + y * at.y;
  }
  return { points, radiusM: p.radiusM, centre, reach: p.reach, edges };
}

/** Whether a load of a width meets an obstacle on a mount. */
function meets(o: Obstacle, mount: Mount, shape: LoadShape): boolean {
  return !mount.on.includes(o.id) && (o.beyondWidthM === undefined || shape.widthM > o.beyondWidthM);
}

/** Obstacles that a load of a width meets on a mount. */
export function obstaclesFor(room: Room, mount: Mount, shape: LoadShape): Obstacle[] {
  return room.obstacles.filter((o) => meets(o, mount, shape));
}

interface Pair {
  when: GapWhen;
  allow: number;
  obstacle: Obstacle;
  own: Piece;
  other: Piece;
  slide: SlidingPair | null;
}

/** Pairs that slide by one another, with what tells the far ones apart in one run of numbers. */
interface Pairs {
  list: Pair[];
  /** Four a pair: where its own circle's middle lies from the other's at the face's start, x and y; both radii; what it is allowed. m. */
  circles: Float64Array;
  /** The stretch of the face for which the list is whole. */
  from: number;
  to: number;
}

/** A shape on a mount among obstacles, made ready to be tried at many places. */
export class Trial {
  readonly mount: Mount;
  readonly shape: LoadShape;
  private readonly near: { obstacle: Obstacle; piece: Piece }[] = [];
  /** Three a near piece: its circle's middle, x and y, and radius, m. */
  private readonly circles: Float64Array;
  private readonly parts: { when: GapWhen; pieces: readonly Piece[] }[];
  private pairs: Pairs | null = null;
  /** What set the clearance the last time: near the last place it is close again, and spares looking at the rest. */
  private lastMet: { own: Piece; other: Piece; allow: number } | null = null;
  private lastPair: Pair | null = null;
  private steep: number | null = null;
  /** The shape with its low end at the face's start. */
  private readonly start: Pose;

  constructor(room: Room, mount: Mount, shape: LoadShape, without: readonly string[] = []) {
    this.mount = mount;
    this.shape = shape;
    this.start = poseAt(mount, shape, 0);
    // What no spot on this mount comes near to is left out at once: the circle round all spots tells.
    const reach = reachOf(mount, shape);
    const [a, b] = [poseAt(mount, shape, reach.from).at, poseAt(mount, shape, reach.to).at];
    const [x, y] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
    const bow = mount.face.length > 2 ? mount.lengthM * 0.3 : 0;
    const leaving = hypotenuse(shape.leavingBy.x, shape.leavingBy.y);
    const far = shape.lengthM + shape.heightM + leaving + 0.05 + AMPLE + bow + hypotenuse(a.x - b.x, a.y - b.y) / 2;
    for (const o of room.obstacles) {
      if (!meets(o, mount, shape) || without.includes(o.id)) continue;
      for (const p of o.pieces) {
        const [dx, dy, least] = [x - p.centre.x, y - p.centre.y, far + p.reach];
        if (dx * dx + dy * dy < least * least) this.near.push({ obstacle: o, piece: p });
      }
    }
    this.circles = new Float64Array(3 * this.near.length);
    this.near.forEach(({ piece: { centre, reach } }, i) => {
      this.circles.set([centre.x, centre.y, reach], 3 * i);
    });
    this.parts = [
      { when: 'at rest', pieces: shape.body },
      ...(shape.leaving ? [{ when: 'coming off its rail' as const, pieces: shape.leaving }] : []),
      ...(shape.latch ? [{ when: 'room for the latch' as const, pieces: [shape.latch] }] : []),
      ...(shape.plug ? [{ when: 'room for the plug' as const, pieces: [shape.plug] }] : []),
    ];
  }

  /** The smallest gap of any pose, with what sets it. */
  at(pose: Pose): { clearanceM: number; tightest: Tightest } {
    const { lastMet, near, circles } = this;
    // A bound just past that gap, so that the first of all as close as it is found as ever.
    const lastHere = lastMet && placedPiece(pose, lastMet.own);
    let best =
      lastMet && lastHere ? Math.min(AMPLE, gapBetween(lastHere, lastMet.other) + lastMet.allow + BARELY) : AMPLE;
    let tightest: Tightest = NOTHING_NEAR;
    const { at, along, normal } = pose;
    for (const part of this.parts) {
      const allow = ALLOW[part.when];
      for (const own of part.pieces) {
        const x = at.x + along.x * own.centre.x + normal.x * own.centre.y;
        const y = at.y + along.y * own.centre.x + normal.y * own.centre.y;
        let here = own === lastMet?.own ? lastHere : null;
        for (let i = 0, k = 0; i < near.length; i++, k += 3) {
          // Circles round both tell most pairs apart before anything is turned into place.
          const dx = x - (circles[k] as number);
          const dy = y - (circles[k + 1] as number);
          const least = best - allow + own.reach + (circles[k + 2] as number);
          if (least <= 0 || dx * dx + dy * dy >= least * least) continue;
          const { obstacle, piece: other } = near[i] as { obstacle: Obstacle; piece: Piece };
          here ??= placedPiece(pose, own);
          const gap = gapBetween(here, other, best - allow) + allow;
          if (gap < best) {
            best = gap;
            tightest = { obstacle: obstacle.id, name: obstacle.name, when: part.when };
            this.lastMet = { own, other, allow };
          }
        }
      }
    }
    return { clearanceM: best, tightest };
  }

  /** The same by distance along the face. On a straight one the pairs slide, which is quicker. */
  along(alongM: number): { clearanceM: number; tightest: Tightest } {
    if (this.mount.face.length !== 2) return this.at(poseAt(this.mount, this.shape, alongM));
    const { list, circles, from, to } = (this.pairs ??= this.slidingPairs());
    if (alongM < from || alongM > to) return this.at(poseAt(this.mount, this.shape, alongM));
    const { along: u } = this.start;
    const { lastPair } = this;
    const [sx, sy] = [u.x * alongM, u.y * alongM];
    let best = lastPair?.slide ? Math.min(AMPLE, lastPair.slide.gap(alongM, AMPLE) + lastPair.allow + BARELY) : AMPLE;
    let found: Pair | null = null;
    for (let i = 0, k = 0; i < list.length; i++, k += 4) {
      // Circles round both tell most pairs apart before anything is worked out for them.
      const dx = (circles[k] as number) + sx;
      const dy = (circles[k + 1] as number) + sy;
      const least = best - (circles[k + 3] as number) + (circles[k + 2] as number);
      if (least <= 0 || dx * dx + dy * dy >= least * least) continue;
      const pair = list[i] as Pair;
      pair.slide ??= new SlidingPair(pair.own, pair.other, u);
      const gap = pair.slide.gap(alongM, best - pair.allow) + pair.allow;
      if (gap < best) {
        best = gap;
        found = pair;
      }
    }
    this.lastPair = found;
    return {
      clearanceM: best,
      tightest: found ? { obstacle: found.obstacle.id, name: found.obstacle.name, when: found.when } : NOTHING_NEAR,
    };
  }

  /**
   * How much faster than it slides any point of the shape moves, at most: 1 on a straight face; on a bowed one, where
   * a rail tilts and rises, from poses along it. A gap cannot change faster than that.
   */
  steepness(): number {
    if (this.mount.face.length === 2) return 1;
    return (this.steep ??= steepnessOn(this.mount, this.shape));
  }

  /** Pairs that come near one another anywhere a shape may lie on the face, by reach or by bosses. */
  private slidingPairs(): Pairs {
    const { mount, shape } = this;
    const { along: u } = this.start;
    let { from, to } = reachOf(mount, shape);
    for (const span of bossSpans(mount, shape)) {
      from = Math.min(from, span.from);
      to = Math.max(to, span.to);
    }
    const list: Pair[] = [];
    const numbers: number[] = [];
    for (const { when, pieces } of this.parts) {
      const allow = ALLOW[when];
      for (const shape of pieces) {
        const own = placedPiece(this.start, shape);
        for (const { obstacle, piece: other } of this.near) {
          const x = own.centre.x - other.centre.x;
          const y = own.centre.y - other.centre.y;
          const reach = own.reach + other.reach;
          // Where their circles are nearest, within the stretch.
          const s = Math.min(to, Math.max(from, -(x * u.x + y * u.y)));
          const [dx, dy, least] = [x + u.x * s, y + u.y * s, AMPLE - allow + reach + BARELY];
          if (least <= 0 || dx * dx + dy * dy >= least * least) continue;
          list.push({ when, allow, obstacle, own, other, slide: null });
          numbers.push(x, y, reach, allow);
        }
      }
    }
    return { list, circles: new Float64Array(numbers), from, to };
  }
}

function steepnessOn(mount: Mount, shape: LoadShape): number {
  const { from, to } = reachOf(mount, shape);
  const step = (to - from) / POSES_LOOKED_AT;
  if (step < 1e-9) return 1;
  // How far a rigid shape's points move is greatest at the corners of what holds it all.
  const points = [
    ...shape.body,
    ...(shape.leaving ?? []),
    ...(shape.latch ? [shape.latch] : []),
    ...(shape.plug ? [shape.plug] : []),
  ].flatMap((p) => p.points);
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const corners = [Math.min(...xs), Math.max(...xs)].flatMap((x) =>
    [Math.min(...ys), Math.max(...ys)].map((y) => ({ x, y })),
  );
  let most = 1;
  let before: Point[] | null = null;
  for (let i = 0; i <= POSES_LOOKED_AT; i++) {
    const pose = poseAt(mount, shape, from + i * step);
    const here = corners.map((p) => placed(pose, p));
    here.forEach((p, k) => {
      const q = before?.[k];
      if (q) most = Math.max(most, hypotenuse(p.x - q.x, p.y - q.y) / step);
    });
    before = here;
  }
  return most * BETWEEN_POSES;
}

const NOTHING_NEAR: Tightest = { obstacle: '', name: 'anything near', when: 'at rest' };

interface Span {
  a: number;
  fa: number;
  b: number;
  fb: number;
  most: number;
}

/**
 * The place along a span with the greatest clearance, to within 0.4 mm of the best there is: a gap cannot change
 * faster than the pack slides, so whole stretches are passed over once they cannot hold it (Piyavskii's search).
 */
function bestAlong(
  trial: Trial,
  from: number,
  to: number,
  enough = AMPLE,
  atLeast = -Infinity,
): { alongM: number; clearanceM: number } {
  const steep = trial.steepness();
  const best: Best = { alongM: from, clearanceM: -Infinity };
  // The spot wanted most comes first: where there is room in plenty it is taken.
  const first = Math.min(to, Math.max(from, preferred(trial.mount, trial.shape)));
  const middle = tried(trial, first, best);
  if (to - from < 1e-6 || best.clearanceM >= enough) return best;
  const open: Span[] = [];
  if (first > from) open.push(spanOf(from, tried(trial, from, best), first, middle, steep));
  if (first < to) open.push(spanOf(first, middle, to, tried(trial, to, best), steep));
  for (let tries = 0; tries < MOST_TRIALS && best.clearanceM < enough; tries++) {
    let k = -1;
    let most = Math.max(best.clearanceM + SEARCH_WITHIN, atLeast);
    for (let i = 0; i < open.length; i++) {
      const span = open[i] as Span;
      if (span.most > most) {
        most = span.most;
        k = i;
      }
    }
    if (k < 0) break;
    const span = open[k] as Span;
    // Where the two slopes from the ends meet is the highest the span could reach.
    const s = Math.min(span.b, Math.max(span.a, (span.a + span.b) / 2 + (span.fb - span.fa) / (2 * steep)));
    const f = tried(trial, s, best);
    open[k] = spanOf(span.a, span.fa, s, f, steep);
    open.push(spanOf(s, f, span.b, span.fb, steep));
  }
  return best;
}

interface Best {
  alongM: number;
  clearanceM: number;
}

/** The clearance at a spot, kept where it is better than the best so far by more than rounding: along a tube that lies level with the rail all spots are as good. */
function tried(trial: Trial, s: number, best: Best): number {
  const { clearanceM } = trial.along(s);
  if (clearanceM > best.clearanceM + ROUNDING) {
    best.alongM = s;
    best.clearanceM = clearanceM;
  }
  return clearanceM;
}

function spanOf(a: number, fa: number, b: number, fb: number, steep: number): Span {
  return { a, fa, b, fb, most: (fa + fb + steep * (b - a)) / 2 };
}

/** Where a shape would lie if nothing were in its way: on a deck at its fore end, on a tube in its middle. */
function preferred(mount: Mount, shape: LoadShape): number {
  const spare = mount.lengthM - shape.lengthM;
  return mount.tubeM === null && mount.place !== 'seatBack' ? Math.max(0, spare) : spare / 2;
}

/** Whether a shape goes on a mount at all with a clearance, which is settled sooner than how well. */
export function goesOn(
  room: Room,
  mount: Mount,
  shape: LoadShape,
  fixing: Fixing,
  clearanceM = BATTERY_CLEARANCE_WANTED,
  without: readonly string[] = [],
): boolean {
  return [false, true].some((turn) => {
    const lying = turn ? turned(shape) : shape;
    const trial = new Trial(room, mount, lying, without);
    const spans = fixing === 'bosses' ? bossSpans(mount, lying) : [reachOf(mount, lying)];
    return spans.some((s) => bestAlong(trial, s.from, s.to, clearanceM, clearanceM).clearanceM >= clearanceM);
  });
}

/** Stretches of a face on which two of a rail's holes lie on bosses. */
export function bossSpans(mount: Mount, shape: LoadShape): { from: number; to: number }[] {
  const bosses = mount.bossesM ?? [];
  const spans: { from: number; to: number }[] = [];
  const half = shape.slotM / 2;
  for (let i = 0; i < bosses.length; i++)
    for (let j = i + 1; j < bosses.length; j++)
      for (let p = 0; p < shape.holesM.length; p++)
        for (let q = p + 1; q < shape.holesM.length; q++) {
          const one = (bosses[i] as number) - (shape.holesM[p] as number);
          const two = (bosses[j] as number) - (shape.holesM[q] as number);
          const from = Math.max(one, two) - half;
          const to = Math.min(one, two) + half;
          if (from <= to) spans.push({ from, to });
        }
  return spans;
}

/** The stretch along a face in which a shape may lie at all. */
export function reachOf(mount: Mount, shape: LoadShape): { from: number; to: number } {
  const spare = mount.lengthM - shape.lengthM;
  return { from: Math.min(0, spare) - mount.overhangM, to: Math.max(0, spare) + mount.overhangM };
}

function holesOn(mount: Mount, shape: LoadShape, alongM: number): Placement['holes'] {
  return (mount.bossesM ?? []).flatMap((bossM) => {
    const near = shape.holesM
      .map((holeM) => ({ holeM, bossM, offM: alongM + holeM - bossM }))
      .sort((a, b) => Math.abs(a.offM) - Math.abs(b.offM))[0];
    return near && Math.abs(near.offM) <= shape.slotM / 2 + 1e-6 ? [near] : [];
  });
}

/** A placement at a place along a mount that somebody chose, whether good or not. */
export function placementAt(
  room: Room,
  mount: Mount,
  shape: LoadShape,
  spot: { alongM: number; turned: boolean; fixing: Fixing },
  without: readonly string[] = [],
): Placement {
  const lying = spot.turned ? turned(shape) : shape;
  const pose = poseAt(mount, lying, spot.alongM);
  const { clearanceM, tightest } = new Trial(room, mount, lying, without).at(pose);
  return {
    place: mount.place,
    on: mount.name,
    fixing: spot.fixing,
    alongM: spot.alongM,
    turned: spot.turned,
    pose,
    clearanceM,
    tightest,
    holes: spot.fixing === 'bosses' ? holesOn(mount, lying, spot.alongM) : [],
  };
}

/** How a shape can be held on a mount. */
export function fixingsOn(mount: Mount, shape: LoadShape): Fixing[] {
  if (mount.tubeM === null) return ['stands'];
  if (!shape.stiff) return ['straps'];
  return shape.holesM.length > 0 && mount.bossesM !== null && mount.bossesM.length >= 2
    ? ['bosses', 'clamps']
    : ['clamps'];
}

/**
 * The best placement on one mount, each way round and each way of holding it, best first.
 * @param without ids of obstacles taken away
 * @returns at least one placement, with a clearance below zero where it does not go; none only where no rail hole meets the bosses and that was all that was asked
 */
export function placementsOn(
  room: Room,
  mount: Mount,
  shape: LoadShape,
  without: readonly string[] = [],
  fixings: readonly Fixing[] = fixingsOn(mount, shape),
): Placement[] {
  const out: Placement[] = [];
  for (const turn of [false, true]) {
    const lying = turn ? turned(shape) : shape;
    const trial = new Trial(room, mount, lying, without);
    const reach = reachOf(mount, lying);
    for (const fixing of fixings) {
      const spans = fixing === 'bosses' ? bossSpans(mount, lying) : [reach];
      let best: { alongM: number; clearanceM: number } | null = null;
      for (const span of spans) {
        const found = bestAlong(trial, span.from, span.to);
        if (best === null || found.clearanceM > best.clearanceM + ROUNDING) best = found;
      }
      if (best === null) continue;
      const { tightest } = trial.along(best.alongM);
      const pose = poseAt(mount, lying, best.alongM);
      out.push({
        place: mount.place,
        on: mount.name,
        fixing,
        alongM: best.alongM,
        turned: turn,
        pose,
        clearanceM: best.clearanceM,
        tightest,
        holes: fixing === 'bosses' ? holesOn(mount, lying, best.alongM) : [],
      });
    }
  }
  // Alike to a millimetre: the latch low, where it is made to be.
  return out.sort((a, b) =>
    Math.abs(a.clearanceM - b.clearanceM) < 0.001 ? Number(a.turned) - Number(b.turned) : b.clearanceM - a.clearanceM,
  );
}

/** Every gap of a placement, tightest first, m. */
export function clearancesOf(room: Room, mount: Mount, shape: LoadShape, p: Placement): Clearance[] {
  const lying = p.turned ? turned(shape) : shape;
  const least = (pieces: readonly Piece[], o: Obstacle): number => {
    let best = Infinity;
    for (const own of pieces) {
      const here = placedPiece(p.pose, own);
      for (const other of o.pieces) best = Math.min(best, gapBetween(here, other));
    }
    return best;
  };
  return obstaclesFor(room, mount, lying)
    .map((o) => ({
      obstacle: o.id,
      name: o.name,
      restM: least(lying.body, o),
      leavingM: lying.leaving ? least(lying.leaving, o) : null,
    }))
    .sort((a, b) => Math.min(a.restM, a.leavingM ?? a.restM) - Math.min(b.restM, b.leavingM ?? b.restM));
}

/** A placement's outline on the vehicle; with a share of its way off the rail. */
export function outlineOf(shape: LoadShape, p: Pick<Placement, 'pose' | 'turned'>, off = 0): Point[] {
  const lying = p.turned ? turned(shape) : shape;
  return lying.outline.map((q) =>
    placed(p.pose, { x: q.x + lying.leavingBy.x * off, y: q.y + lying.leavingBy.y * off }),
  );
}

/** The placed pieces of a placement, for whoever checks them another way. */
export function bodyOf(shape: LoadShape, p: Pick<Placement, 'pose' | 'turned'>, leaving = false): Piece[] {
  const lying = p.turned ? turned(shape) : shape;
  return (leaving ? (lying.leaving ?? lying.body) : lying.body).map((own) => {
    const there = placedPiece(p.pose, own);
    return piece(there.points, there.radiusM);
  });
}
