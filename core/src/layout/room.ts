import { beside, chainLength, lineOf, pointAlong } from '../donor/frames/chains.ts';
import type { Tube } from '../donor/frames/frame.ts';
import { add, left, lengthOf, scale, sub, unit, type Point } from '../donor/frames/point.ts';
import type { Donor, MainTube, SurveyItemId } from '../donor/donor.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import { kindTraits } from '../donor/kinds.ts';
import type { Trailer } from '../build/brief.ts';
import type { Kit } from '../parts/kit.ts';
import type { PackPlace } from '../parts/pack.ts';
import { tyreRadius } from '../quantity/tyre.ts';
import { kneePath } from './knees.ts';
import { chainPieces, hull, piece, type Piece } from './shapes.ts';
import { suspensionAt } from './suspension.ts';

/** Something a pack must keep clear of, with everything it passes over as it moves. */
export interface Obstacle {
  id: string;
  /** As said in a sentence: “the upper tube”. */
  name: string;
  pieces: Piece[];
  /** It stands beside the middle plane: it only meets loads wider than this, m. */
  beyondWidthM?: number;
  /** The width is assumed: measure this before trusting it. */
  widthItem?: SurveyItemId;
  /** It can be taken off. */
  removable?: boolean;
  /** What moves it. */
  moves?: 'suspension' | 'fork' | 'cranks';
}

/** A line that a pack may lie along. */
export interface Mount {
  place: PackPlace;
  /** As said in a sentence: “the down tube”. */
  name: string;
  /** Points of the carrying face, from its lower or rear end, m. */
  face: Point[];
  lengthM: number;
  /** Which side of the face's run the pack lies: 1 to the left, −1 to the right. */
  side: 1 | -1;
  /** Diameter of the tube, for clamps; null where it is no tube. */
  tubeM: number | null;
  /** Bosses from the start of the face, m; null where nobody has looked. */
  bossesM: number[] | null;
  /** Obstacles it lies on. */
  on: string[];
  /** How far a pack may stand out over an end, m. */
  overhangM: number;
}

/** All room in and round a frame. */
export interface Room {
  obstacles: Obstacle[];
  mounts: Mount[];
}

const tubeSaid: Record<string, string> = {
  'top tube': 'the upper tube',
  lateral: 'the upper tube',
  'low tube': 'the low tube',
  'seat tube': 'the seat tube',
  'down tube': 'the down tube',
  'head tube': 'the head tube',
  'seat stay': 'the seat stay',
  chainstay: 'the chainstay',
  'seat post': 'the seat post',
  fork: 'the fork',
  'fork leg': 'the fork',
  bar: 'the bar',
  stem: 'the stem',
  mast: 'the mast',
  beam: 'the beam',
  rocker: 'the rocker',
};

/** Stays that stand either side of the middle plane with a wheel between: only wide loads meet them. */
const STAYS = new Set([
  'seat stay',
  'chainstay',
  'deck stay',
  'basket stay',
  'fork',
  'fork leg',
  'stay',
  'front fork',
  'rocker',
]);
const STAY_GAP = 0.05;

/** Cranks' inner faces and knees where nobody measured, m. Source: project; common values of the survey. */
const CRANKS_APART = 0.15;
const KNEES_APART = 0.13;
/** A pedal with a shoe beyond the crank's end, m. Source: project. */
const PEDAL_REACH = 0.05;
const KNEE_RADIUS = 0.055;
/** A shock's body with its can, radius, m. Source: project, common sizes. */
const SHOCK_RADIUS = 0.024;
/** Under a load that hangs low: kerbs and ruts, m. Source: workshop practice. */
const GROUND_ROOM = 0.1;
const SHELL_RADIUS = 0.0205;
/** Steps in which travel is drawn out; between steps the way is bridged by hulls. */
const TRAVEL_STEPS = 12;

/** Half of a trailer’s bed, and how far it lies above its axle, m. Source: project, common cargo trailers. */
const BED_HALF = 0.4;
const BED_ABOVE_AXLE = 0.05;

/** What a room is made from. */
export interface RoomFrom {
  donor: Donor;
  geometry: DonorGeometry;
  statureM: number;
  kit: Kit | null;
  trailer: Trailer | null;
}

/** Obstacles and carrying faces of a vehicle, in its side view. */
export function roomOf({ donor, geometry: g, statureM, kit, trailer }: RoomFrom): Room {
  const mounts = mountsOf(donor, g, trailer);
  return {
    mounts,
    obstacles: [
      ...tubeObstacles(g),
      ...movingObstacles(donor, g),
      ...riderObstacles(donor, g, statureM),
      ...otherObstacles(donor, g, kit),
      ...obstructionObstacles(donor, mounts),
    ],
  };
}

function tubeObstacles(g: DonorGeometry): Obstacle[] {
  const moving = g.suspension ? new Set(['chainstay', 'seat stay', 'rocker']) : new Set<string>();
  return g.tubes
    .filter((t) => !moving.has(t.name))
    .map((t): Obstacle => {
      const pieces = chainPieces(lineOf(t), t.diameterM / 2);
      return {
        id: t.name,
        name: tubeSaid[t.name] ?? `the ${t.name}`,
        pieces,
        ...(STAYS.has(t.name) ? { beyondWidthM: STAY_GAP } : {}),
      };
    });
}

/** The hull of a piece and itself a step later: what it passes over between. */
function bridged(now: readonly Point[], then: readonly Point[], radiusM: number): Piece {
  return piece(hull([...now, ...then]), radiusM);
}

function movingObstacles(donor: Donor, g: DonorGeometry): Obstacle[] {
  const out: Obstacle[] = [];
  const travel = donor.survey.rearTravel?.value ?? 0.13;
  if (g.suspension) {
    const poses = Array.from({ length: TRAVEL_STEPS + 1 }, (_, i) => suspensionAt(g, travel, i / TRAVEL_STEPS)).filter(
      (p) => p !== null,
    );
    const through = (of: (p: (typeof poses)[number]) => readonly Point[] | null, radiusM: number): Piece[] =>
      poses.slice(1).flatMap((p, i) => {
        const a = of(poses[i] as (typeof poses)[number]);
        const b = of(p);
        return a && b ? [bridged(a, b, radiusM)] : [];
      });
    const count = poses[0]?.runs.length ?? 0;
    for (let k = 0; k < count; k++) {
      const run = poses[0]?.runs[k];
      if (!run) continue;
      out.push({
        id: `${run.name} moving ${k}`,
        name: `${tubeSaid[run.name] ?? `the ${run.name}`} in its travel`,
        moves: 'suspension',
        pieces: through((p) => {
          const moved = p.runs[k];
          return moved ? [moved.from, moved.to] : null;
        }, run.diameterM / 2),
        ...(STAYS.has(run.name) ? { beyondWidthM: STAY_GAP } : {}),
      });
    }
    if (g.shock)
      out.push({
        id: 'shock',
        name: 'the shock in its travel',
        moves: 'suspension',
        pieces: through((p) => (p.shock ? [p.shock.from, p.shock.to] : null), SHOCK_RADIUS),
      });
    out.push({
      id: 'rear wheel',
      name: 'the rear tyre at full compression',
      moves: 'suspension',
      pieces: through((p) => [p.axle], g.rearRadiusM),
    });
  } else if (!g.pairedRear) {
    out.push({ id: 'rear wheel', name: 'the rear tyre', pieces: [piece([g.rearAxle], g.rearRadiusM)] });
  } else {
    out.push({
      id: 'rear wheel',
      name: 'the rear wheels',
      beyondWidthM: Math.max(0.1, g.trackM - 0.1),
      pieces: [piece([g.rearAxle], g.rearRadiusM)],
    });
  }
  const dive = donor.survey.forkTravel?.value ?? (donor.survey.forkKind?.value === 'suspension' ? 0.1 : 0);
  const axis = unit(sub(g.headTop, g.headBottom));
  const topped = add(g.frontAxle, scale(axis, dive));
  out.push({
    id: 'front wheel',
    name: dive > 0 ? 'the front tyre at full compression' : 'the front tyre',
    ...(dive > 0 ? { moves: 'fork' as const } : {}),
    ...(g.pairedFront ? { beyondWidthM: Math.max(0.1, g.trackM - 0.1) } : {}),
    pieces: [piece(dive > 0 ? [g.frontAxle, topped] : [g.frontAxle], g.frontRadiusM)],
  });
  return out;
}

function riderObstacles(donor: Donor, g: DonorGeometry, statureM: number): Obstacle[] {
  const crankM = donor.survey.crankLength?.value ?? 0.17;
  const apart = donor.survey.crankWidth?.value;
  const knees = donor.survey.kneeWidth?.value;
  const pedals = (at: Point, id: string): Obstacle => ({
    id,
    name: 'the cranks and heels',
    moves: 'cranks',
    pieces: [piece([at], crankM + PEDAL_REACH)],
    beyondWidthM: apart ?? CRANKS_APART,
    ...(apart === undefined ? { widthItem: 'crankWidth' as const } : {}),
  });
  const out = [pedals(g.bracket, 'cranks')];
  if (g.secondCrank) out.push(pedals(g.secondCrank, 'front cranks'));
  if (!g.seat) {
    const path = kneePath(g, statureM, crankM);
    out.push({
      id: 'knees',
      name: 'the knees',
      moves: 'cranks',
      pieces: chainPieces(path, KNEE_RADIUS),
      beyondWidthM: knees ?? KNEES_APART,
      ...(knees === undefined ? { widthItem: 'kneeWidth' as const } : {}),
    });
    for (const [i, at] of [g.saddle, ...(g.secondSaddle ? [g.secondSaddle] : [])].entries())
      out.push({
        id: i === 0 ? 'saddle' : 'front saddle',
        name: 'the saddle',
        pieces: [piece([add(at, { x: -0.13, y: -0.02 }), add(at, { x: 0.13, y: -0.02 })], 0.025)],
      });
  } else out.push({ id: 'seat', name: 'the seat', pieces: chainPieces(g.seat, 0.012) });
  return out;
}

/** The case of a mid-drive: round the bracket and forward below the down tube. */
function midMotorPieces(g: DonorGeometry, hangsBelowM: number): Piece[] {
  const r = hangsBelowM * 0.6;
  const far = add(g.bracket, { x: r * 2.1, y: -hangsBelowM * 0.35 });
  return [piece([g.bracket], r), piece([far], hangsBelowM * 0.82)];
}

function otherObstacles(donor: Donor, g: DonorGeometry, kit: Kit | null): Obstacle[] {
  const out: Obstacle[] = [
    { id: 'shell', name: 'the bracket shell', pieces: [piece([g.bracket], SHELL_RADIUS)] },
    {
      id: 'ground',
      name: 'the ground less 100 mm',
      pieces: [
        piece(
          [
            { x: -6, y: -1 },
            { x: 8, y: -1 },
          ],
          1 + GROUND_ROOM,
        ),
      ],
    },
  ];
  if (kit?.mid) out.push({ id: 'motor', name: 'the motor', pieces: midMotorPieces(g, kit.mid.hangsBelowM) });
  if (g.hinge) out.push({ id: 'hinge', name: 'the hinge', pieces: [piece([g.hinge], 0.045)] });
  if (g.box) {
    const named = ['the box’s rear wall', 'the box’s floor', 'the box’s front wall'];
    g.box.slice(1).forEach((p, i) =>
      out.push({
        id: ['box back', 'box floor', 'box front'][i] ?? `box ${i}`,
        name: named[i] ?? 'the box',
        pieces: [piece([g.box?.[i] as Point, p], 0.006)],
      }),
    );
  }
  if (donor.survey.rackLimit || donor.kind === 'longtail' || kindTraits[donor.kind].paired === 'rear')
    out.push({ id: 'rack', name: 'the rack', pieces: [piece([g.rackDeck.from, g.rackDeck.to], 0.006)] });
  return out;
}

function obstructionObstacles(donor: Donor, mounts: readonly Mount[]): Obstacle[] {
  const placeOf: Record<MainTube, PackPlace> = { downTube: 'downTube', seatTube: 'seatTube', topTube: 'topTube' };
  return donor.obstructions.flatMap((o, i): Obstacle[] => {
    const mount = mounts.find((m) => m.place === placeOf[o.tube]);
    if (!mount) return [];
    const a = pointAlong(mount.face, o.alongM);
    const b = pointAlong(mount.face, o.alongM + o.lengthM);
    const n = scale(left(unit(sub(b, a))), mount.side * o.outM);
    const word = { bolt: 'bolt head', guide: 'cable guide', bag: 'bag', lock: 'lock', other: 'thing' }[o.kind];
    const tube = { downTube: 'down tube', seatTube: 'seat tube', topTube: 'upper tube' }[o.tube];
    return [
      {
        id: `obstruction ${i}`,
        name: `the ${word} on the ${tube}`,
        pieces: [piece(hull([a, b, add(a, n), add(b, n)]))],
        ...(o.removable ? { removable: true } : {}),
      },
    ];
  });
}

/** A face of a tube: its middle line moved out by its radius, cut where it begins and ends free. */
function faceOf(t: Tube, side: 1 | -1, from: number, to: number): Point[] {
  const line = beside(lineOf(t), (side * t.diameterM) / 2);
  const whole = chainLength(line);
  const inner = (way: number): Point => pointAlong(line, way);
  const start = Math.min(from, whole);
  const end = Math.max(start + 0.01, whole - to);
  const kept: Point[] = [inner(start)];
  let way = 0;
  for (let i = 1; i < line.length; i++) {
    way += lengthOf(sub(line[i] as Point, line[i - 1] as Point));
    if (way > start + 1e-6 && way < end - 1e-6) kept.push(line[i] as Point);
  }
  kept.push(inner(end));
  return kept;
}

function mountsOf(donor: Donor, g: DonorGeometry, trailer: Trailer | null): Mount[] {
  const { survey, kind } = donor;
  const out: Mount[] = [];
  const put = (m: Omit<Mount, 'lengthM' | 'overhangM' | 'bossesM' | 'tubeM'> & Partial<Mount>): void => {
    out.push({ tubeM: null, bossesM: null, overhangM: 0, ...m, lengthM: chainLength(m.face) });
  };
  const bossesAt = (tube: 'downTube' | 'seatTube'): number[] | null => {
    const where = survey.bosses?.value;
    if (where === undefined) return null;
    if (where !== 'both' && where !== tube) return [];
    const first = (tube === 'downTube' ? survey.bossDown : survey.bossSeat)?.value;
    const apart = survey.bossSpacing?.value;
    return first === undefined || apart === undefined ? null : [first, first + apart];
  };
  const named = (...names: string[]): Tube | undefined =>
    names.map((n) => g.tubes.find((t) => t.name === n)).find(Boolean);
  const main =
    named('low tube', 'beam', 'down tube', 'main beam') ?? longest(g.tubes.filter((t) => t.layer === 'frame'));
  const t = g.triangle;
  const down = g.tubeSizes.down;
  if (t) {
    const low = [t.bracket, ...t.outline.slice(t.outline.indexOf(t.head)).reverse()].filter(
      (p, i, all) => i === 0 || lengthOf(sub(p, all[i - 1] as Point)) > 1e-6,
    );
    put({
      place: 'downTube',
      name: 'the down tube',
      face: low,
      side: 1,
      tubeM: down,
      bossesM: bossesAt('downTube'),
      on: ['down tube'],
    });
    put({ place: 'frameBag', name: 'the frame bag', face: low, side: 1, on: ['down tube'] });
    put({
      place: 'seatTube',
      name: 'the seat tube',
      face: [t.bracket, t.seat],
      side: -1,
      tubeM: g.tubeSizes.seat,
      bossesM: bossesAt('seatTube'),
      on: [kindTraits[kind].twoCranks ? 'captain’s seat tube' : 'seat tube'],
    });
    const upper = t.outline.slice(1, t.outline.indexOf(t.headUp) + 1);
    put({
      place: 'topTube',
      name: 'the upper tube',
      face: upper,
      side: -1,
      tubeM: g.tubeSizes.top,
      on: ['top tube', 'lateral'],
    });
  } else if (main && !kindTraits[kind].boom) {
    put({
      place: 'downTube',
      name: tubeSaid[main.name] ?? 'the main tube',
      face: faceOf(main, 1, 0.03, 0.02),
      side: 1,
      tubeM: main.diameterM,
      bossesM: bossesAt('downTube'),
      on: [main.name],
    });
  }
  if (main)
    put({
      place: 'underDownTube',
      name: `${tubeSaid[main.name] ?? 'the main tube'}, below`,
      face: faceOf(main, -1, 0.03, 0.02),
      side: -1,
      tubeM: main.diameterM,
      on: [main.name],
    });
  const seatTube = named('seat tube');
  if (seatTube) {
    if (!t || kind === 'tandem') {
      if (!t)
        put({
          place: 'seatTube',
          name: 'the seat tube',
          face: faceOf(seatTube, -1, 0.03, 0),
          side: -1,
          tubeM: seatTube.diameterM,
          bossesM: bossesAt('seatTube'),
          on: ['seat tube'],
        });
    }
    put({
      place: 'behindSeatTube',
      name: 'the seat tube, behind',
      face: faceOf(seatTube, 1, 0.03, 0),
      side: 1,
      tubeM: seatTube.diameterM,
      on: ['seat tube'],
    });
  }
  const deck = g.rackDeck;
  put({
    place: 'rack',
    name: 'the rack',
    face: [add(deck.from, { x: 0, y: 0.006 }), add(deck.to, { x: 0, y: 0.006 })],
    side: 1,
    // Held by the swing arm’s stays alone it moves with the wheel, which then never comes nearer.
    on: [
      'rack',
      'deck',
      'box floor',
      ...(g.suspension && survey.rackHeldBy?.value !== 'swingArm' ? [] : ['rear wheel']),
    ],
    overhangM: 0.08,
  });
  if (g.seat && g.seat.length >= 6) {
    const [, , base, bend, , backTop] = g.seat as [Point, Point, Point, Point, Point, Point];
    put({ place: 'seatBack', name: 'the seat back', face: beside([bend, backTop], 0.012), side: 1, on: ['seat'] });
    const mid = g.seat[1] as Point;
    put({ place: 'underSeat', name: 'the seat, below', face: beside([base, mid], -0.012), side: -1, on: ['seat'] });
  } else if (!g.seat) {
    const under = add(g.saddle, { x: 0, y: -0.05 });
    put({
      place: 'underSeat',
      name: 'the saddle, below and behind',
      face: [add(under, { x: -0.19, y: 0 }), add(under, { x: -0.03, y: 0 })],
      side: -1,
      on: ['saddle'],
    });
  }
  if (survey.frontCarrier && survey.frontCarrier.value !== 'none') {
    const y = g.frontAxle.y + g.frontRadiusM + 0.06;
    put({
      place: 'basket',
      name: 'the front carrier',
      face: [
        { x: g.frontAxle.x - 0.1, y },
        { x: g.frontAxle.x + 0.22, y },
      ],
      side: 1,
      on: [],
      overhangM: 0.02,
    });
  }
  if (survey.hands?.value !== 'underSeat' && !kindTraits[kind].boom) {
    // A bag on the bar hangs ahead of the head tube, under the grips.
    const y = g.headTop.y - 0.1;
    put({
      place: 'bar',
      name: 'the bar bag',
      face: [
        { x: g.headTop.x + 0.06, y },
        { x: g.headTop.x + 0.32, y },
      ],
      side: 1,
      on: ['handlebar', 'stem', 'fork', 'head tube'],
    });
  }
  if (g.box && kindTraits[kind].box) {
    const floor = [g.box[1] as Point, g.box[2] as Point];
    put({
      place: 'box',
      name: 'the box’s floor',
      face: floor.map((p) => add(p, { x: 0, y: 0.006 })),
      side: 1,
      on: ['box floor', 'rack', 'main beam'],
    });
  }
  if (trailer) {
    const axle = g.rearAxle.x - trailer.hitchBackM - trailer.drawbarM;
    const y = tyreRadius(trailer.tyre) + BED_ABOVE_AXLE;
    put({
      place: 'trailer',
      name: 'the trailer’s bed',
      face: [
        { x: axle - BED_HALF, y },
        { x: Math.min(axle + BED_HALF, g.rearAxle.x - g.rearRadiusM - 0.05), y },
      ],
      side: 1,
      on: [],
    });
  }
  return out.filter((m) => m.lengthM > 0.05);
}

function longest(tubes: readonly Tube[]): Tube | undefined {
  return [...tubes].sort((a, b) => chainLength(lineOf(b)) - chainLength(lineOf(a)))[0];
}

/** The room mirrored left to right, as if photographed from the other side. */
export function mirroredRoom(room: Room): Room {
  const flip = (p: Point): Point => ({ x: -p.x, y: p.y });
  return {
    obstacles: room.obstacles.map((o) => ({
      ...o,
      pieces: o.pieces.map((p) =>
        piece(p.points.length < 3 ? p.points.map(flip) : [...p.points].map(flip).reverse(), p.radiusM),
      ),
    })),
    mounts: room.mounts.map((m) => ({ ...m, face: m.face.map(flip), side: (m.side * -1) as 1 | -1 })),
  };
}
