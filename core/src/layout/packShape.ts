import type { Point } from '../donor/frames/point.ts';
import type { Pack } from '../parts/pack.ts';
import { convexPieces, hull, piece, swept, type Piece } from './shapes.ts';

/**
 * A thing to be placed, in its own axes: x along its rail from its low end, y away from what carries it.
 * The rail's foot lies on y = 0. All m.
 */
export interface LoadShape {
  lengthM: number;
  heightM: number;
  widthM: number;
  /** As drawn. */
  outline: Point[];
  /** The same as convex pieces. */
  body: Piece[];
  /** What it passes over as it comes off its rail; null where it leaves sideways, out of the frame. */
  leaving: Piece[] | null;
  /** The way it moves then. */
  leavingBy: Point;
  /** Room for a key and two fingers beyond the latch. */
  latch: Piece | null;
  /** Room for a plug's head and its lead's bend. */
  plug: Piece | null;
  /** Middles of its rail's holes from the low end, and how far a slot lets each vary, whole. */
  holesM: number[];
  slotM: number;
  /** A rail is stiff and bridges a hollow; a bag lies down in it. */
  stiff: boolean;
}

/** A key and a finger beside it: how far it stands out, and how wide it is. m. Source: project. */
const LATCH_ROOM = { out: 0.022, wide: 0.025 };
/** A round plug's head with the bend of its lead. m. Source: project, common plugs of 40 A. */
const PLUG_ROOM = { out: 0.035, wide: 0.022 };

function formOutline(pack: Pack): Point[] {
  const { lengthM: L, heightM: h } = pack.outline;
  const p = (x: number, y: number): Point => ({ x, y });
  switch (pack.form ?? 'slab') {
    case 'wedge':
      // Thin at its low end, where it passes the crank; cut back at the top, where it meets the upper tube.
      return [p(0, 0), p(L, 0), p(L, h * 0.62), p(L - h * 0.42, h), p(h * 0.55, h), p(0, h * 0.48)];
    case 'tubeCase':
      return [p(0, 0), p(L, 0), p(L, h * 0.7), p(L - h * 0.3, h), p(h * 0.3, h), p(0, h * 0.7)];
    case 'bag':
      return [p(0, 0), p(L, 0), p(L * 0.985, h * 0.55), p(L * 0.9, h), p(L * 0.1, h), p(L * 0.015, h * 0.55)];
    case 'brick': {
      const c = Math.min(0.012, h * 0.15);
      return [p(0, 0), p(L, 0), p(L, h - c), p(L - c, h), p(c, h), p(0, h - c)];
    }
    case 'custom':
      if (pack.points) return pack.points.map((q) => p(q.xM, q.yM));
      return [p(0, 0), p(L, 0), p(L, h), p(0, h)];
    case 'slab':
      return [p(0, 0), p(L, 0), p(L, h), p(0, h)];
  }
}

/** Room taken up beyond an end of a case, about halfway up it. */
function endRoom(
  outline: readonly Point[],
  lengthM: number,
  high: boolean,
  room: { out: number; wide: number },
): Piece {
  const end = outline.filter((q) => Math.abs(q.x - (high ? lengthM : 0)) < lengthM * 0.02).map((q) => q.y);
  const middle = end.length > 0 ? (Math.max(...end) + Math.min(...end)) / 2 : room.wide;
  const from = high ? lengthM : -room.out;
  return piece([
    { x: from, y: middle - room.wide / 2 },
    { x: from + room.out, y: middle - room.wide / 2 },
    { x: from + room.out, y: middle + room.wide / 2 },
    { x: from, y: middle + room.wide / 2 },
  ]);
}

/** A pack as a shape to be placed. */
export function packShape(pack: Pack): LoadShape {
  const outline = formOutline(pack);
  const xs = outline.map((q) => q.x);
  const ys = outline.map((q) => q.y);
  const custom = pack.form === 'custom' && pack.points !== undefined;
  const lengthM = custom ? Math.max(...xs) : pack.outline.lengthM;
  const heightM = custom ? Math.max(...ys) : pack.outline.heightM;
  const body = convexPieces(outline);
  const leaves = pack.leaves ?? (pack.slideOffM > 0 ? 'along' : 'off');
  const latchLow = (pack.latchEnd ?? 'low') === 'low';
  const lift = pack.slideOffM > 0 ? pack.slideOffM : 0.01;
  const leavingBy =
    leaves === 'sideways'
      ? { x: 0, y: 0 }
      : leaves === 'off'
        ? { x: 0, y: lift }
        : { x: latchLow ? pack.slideOffM : -pack.slideOffM, y: 0 };
  const railed = pack.railHolesM;
  const count = railed ? (pack.holes?.count ?? 4) : 0;
  const span = railed ? railed.spacing * (count - 1) : 0;
  const first = pack.holes?.firstM ?? Math.max(0.02, (lengthM - span) / 2);
  return {
    lengthM,
    heightM,
    widthM: pack.outline.widthM,
    outline,
    body,
    leaving: leaves === 'sideways' ? null : body.map((p) => swept(p, leavingBy)),
    leavingBy,
    latch: railed ? endRoom(outline, lengthM, !latchLow, LATCH_ROOM) : null,
    plug:
      pack.plugAt === 'side' || pack.plugAt === undefined
        ? null
        : endRoom(outline, lengthM, pack.plugAt === 'high', PLUG_ROOM),
    holesM: railed ? Array.from({ length: count }, (_, i) => first + i * railed.spacing) : [],
    slotM: railed?.slot ?? 0,
    stiff: pack.form !== 'bag',
  };
}

/** A plain box, such as a controller, with air round it taken as part of what is asked for later. */
export function boxShape(lengthM: number, heightM: number, widthM: number): LoadShape {
  const outline = [
    { x: 0, y: 0 },
    { x: lengthM, y: 0 },
    { x: lengthM, y: heightM },
    { x: 0, y: heightM },
  ];
  return {
    lengthM,
    heightM,
    widthM,
    outline,
    body: [piece(outline)],
    leaving: null,
    leavingBy: { x: 0, y: 0 },
    latch: null,
    // Its leads leave at the high end and want a hand's bend.
    plug: endRoom(outline, lengthM, true, { out: 0.03, wide: Math.min(heightM, 0.025) }),
    holesM: [],
    slotM: 0,
    stiff: true,
  };
}

/** The shape turned end for end on its rail. */
export function turned(shape: LoadShape): LoadShape {
  const flip = (q: Point): Point => ({ x: shape.lengthM - q.x, y: q.y });
  const flipPiece = (p: Piece): Piece => piece(hull(p.points.map(flip)), p.radiusM);
  return {
    ...shape,
    outline: shape.outline.map(flip).reverse(),
    body: shape.body.map(flipPiece),
    leaving: shape.leaving?.map(flipPiece) ?? null,
    leavingBy: { x: -shape.leavingBy.x, y: shape.leavingBy.y },
    latch: shape.latch ? flipPiece(shape.latch) : null,
    plug: shape.plug ? flipPiece(shape.plug) : null,
    holesM: shape.holesM.map((x) => shape.lengthM - x).reverse(),
  };
}

/** The shape grown by lengths along and away from the rail; below zero, cut down. For saying what is missing. */
export function resized(shape: LoadShape, longer: number, higher: number): LoadShape {
  const kx = Math.max(0.05, (shape.lengthM + longer) / shape.lengthM);
  const ky = Math.max(0.05, (shape.heightM + higher) / shape.heightM);
  const grow = (q: Point): Point => ({ x: q.x * kx, y: q.y * ky });
  const growPiece = (p: Piece): Piece => piece(p.points.map(grow), p.radiusM);
  const body = shape.body.map(growPiece);
  return {
    ...shape,
    lengthM: shape.lengthM * kx,
    heightM: shape.heightM * ky,
    outline: shape.outline.map(grow),
    body,
    leaving: shape.leaving ? body.map((p) => swept(p, shape.leavingBy)) : null,
    latch: shape.latch
      ? piece(shape.latch.points.map((q) => ({ x: q.x > shape.lengthM / 2 ? q.x + longer : q.x, y: q.y * ky })))
      : null,
    plug: shape.plug
      ? piece(shape.plug.points.map((q) => ({ x: q.x > shape.lengthM / 2 ? q.x + longer : q.x, y: q.y * ky })))
      : null,
    holesM: shape.holesM.map((x) => x * kx),
  };
}
