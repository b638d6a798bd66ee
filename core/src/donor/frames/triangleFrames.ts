import type { SurveyItemId } from '../donor.ts';
import { isProven } from '../entry.ts';
import { fitInside } from '../inside.ts';
import { beside, bowed } from './chains.ts';
import { tube, type Basis, type FrameBase, type FrameParts, type InnerTriangle } from './frame.ts';
import { add, left, lengthOf, scale, sub, toward, unit, type Point } from './point.ts';

interface Inside {
  triangle: InnerTriangle;
  /** Middle line of the upper tube, from the seat tube to the head. */
  topLine: Point[];
  /** Middle line of the down tube, from the crank to the head. */
  downLine: Point[];
  topAtSeat: Point;
  topAtHead: Point;
  headJoin: Point;
  headBottom: Point;
  headTop: Point;
  axis: Point;
  problem?: string;
}

/** Standard errors a reading may lie from the fit before the sizes are said not to close. */
const CLOSES_WITHIN = 4;

/** Corners of a free polygon laid on the bracket's corner and the seat tube, facing forward. */
function layFree(corners: readonly { xM: number; yM: number }[], at: Point, seatDir: Point): Point[] {
  const raw = corners.map((c) => ({ x: c.xM, y: c.yM }));
  const o = raw[0] as Point;
  const u = unit(sub(raw[1] as Point, o));
  const side = raw.reduce((sum, p) => sum + (p.x - o.x) * u.y - (p.y - o.y) * u.x, 0) < 0 ? -1 : 1;
  const forward = { x: seatDir.y, y: -seatDir.x };
  return raw.map((p) => {
    const d = sub(p, o);
    return add(at, add(scale(seatDir, d.x * u.x + d.y * u.y), scale(forward, side * (d.x * u.y - d.y * u.x))));
  });
}

/** Index of the upper head corner in an outline: where the side furthest forward begins. */
function headIndex(outline: readonly Point[]): number {
  if (outline.length === 3) return 2;
  let best = 2;
  let reach = -Infinity;
  for (let i = 2; i < outline.length - 1; i++) {
    const least = Math.min((outline[i] as Point).x, (outline[i + 1] as Point).x);
    if (least > reach) {
      reach = least;
      best = i;
    }
  }
  return best;
}

/**
 * The inside as measured, standing on a crank centre, with the tubes round it: their inner faces are the
 * inside's sides, so that what is drawn is what the tape met.
 */
function insideOf(b: FrameBase, crank: Point): Inside {
  const { survey, common, seatDir, forkFoot, tubeSizes } = b;
  const fit = fitInside(survey, common, tubeSizes);
  const forward = { x: seatDir.y, y: -seatDir.x };
  const world = (p: Point): Point =>
    add(crank, add(scale(forward, p.x - fit.crank.x), scale(seatDir, p.y - fit.crank.y)));
  const inner = world(fit.bracket);
  let outline = [inner, world(fit.seat), world(fit.headUp), world(fit.headLow)];
  const sag = survey.downTubeShape?.value === 'curved' ? (survey.tubeSag?.value ?? 0) : 0;
  if (b.freeInside) outline = layFree(b.freeInside.corners, inner, seatDir);
  else if (b.mainTubePath) {
    const own = beside(
      b.mainTubePath.map((p) => add(crank, p)),
      tubeSizes.down / 2,
    ).slice(1, -1);
    outline = [...outline, ...own.reverse()];
  } else if (sag !== 0)
    outline = [
      ...outline.slice(0, 3),
      ...bowed(inner, outline[3] as Point, sag)
        .slice(1)
        .reverse(),
    ];
  const upAt = headIndex(outline);
  const seat = outline[1] as Point;
  const headUp = outline[upAt] as Point;
  const head = (outline.length === 3 ? headUp : outline[upAt + 1]) as Point;
  const downChain = [inner, ...outline.slice(upAt + 1).reverse()];
  if (outline.length === 3) downChain.push(headUp);
  const topChain = outline.slice(1, upAt + 1);
  const downEnd = unit(sub(head, downChain.at(-2) as Point));
  const topDir = unit(sub(headUp, topChain.at(-2) as Point));
  const downLine = [
    crank,
    ...beside(downChain, -tubeSizes.down / 2).slice(1, -1),
    add(add(head, scale(left(downEnd), -tubeSizes.down / 2)), scale(downEnd, 0.018)),
  ];
  const upper = beside(topChain, tubeSizes.top / 2);
  const topAtSeat = add(upper[0] as Point, scale(unit(sub(upper[1] as Point, upper[0] as Point)), -tubeSizes.seat / 2));
  const topAtHead = add(upper.at(-1) as Point, scale(topDir, 0.016));
  const headJoin = downLine.at(-1) as Point;
  const axis = unit(sub(headJoin, forkFoot));
  const off = fit.misfits[0];
  const problem =
    !b.freeInside && off && off.errors > CLOSES_WITHIN
      ? `The inside lengths do not close: “${itemWord[off.item] ?? off.item}” reads ${Math.abs(off.measured - off.fitted) < 0.5 && !off.item.endsWith('Angle') ? `${Math.round(Math.abs(off.measured - off.fitted) * 1000)} mm` : `${((Math.abs(off.measured - off.fitted) * 180) / Math.PI).toFixed(1)}°`} ${off.measured > off.fitted ? 'more' : 'less'} than the others leave room for; measure it again.`
      : undefined;
  const basis: Basis =
    b.freeInside !== null || (['seatSide', 'topSide', 'downSide'] as const).every((id) => isProven(survey[id]))
      ? 'measured'
      : 'assumed';
  const span = (p: Point, q: Point): number => lengthOf(sub(p, q));
  return {
    triangle: {
      bracket: inner,
      seat,
      headUp,
      head,
      outline,
      fit: b.freeInside ? null : fit,
      seatSideM: span(inner, seat),
      topSideM: span(seat, headUp),
      downSideM: span(inner, head),
      basis,
    },
    topLine: [topAtSeat, ...upper.slice(1, -1), topAtHead],
    downLine,
    topAtSeat,
    topAtHead,
    headJoin,
    headBottom: add(headJoin, scale(axis, -0.035)),
    headTop: add(headJoin, scale(axis, Math.max(0.045, lengthOf(sub(topAtHead, headJoin)) + 0.02))),
    axis,
    ...(problem === undefined ? {} : { problem }),
  };
}

const itemWord: Partial<Record<SurveyItemId, string>> = {
  seatSide: 'Inside, seat tube',
  topSide: 'Inside, upper tube',
  downSide: 'Inside, down tube',
  headSide: 'Inside, head tube',
  headDiagonal: 'Diagonal to the upper head corner',
  seatDiagonal: 'Diagonal to the lower head corner',
  seatDownAngle: 'Angle, seat to down tube',
  seatTopAngle: 'Angle, seat to upper tube',
  seatOutside: 'Outside, crank centre to top of the joint',
  topOutside: 'Outside, upper tube',
  downOutside: 'Outside, down tube',
};

const parts = (i: Inside): Pick<FrameParts, 'headBottom' | 'headTop' | 'triangle' | 'problem'> => ({
  headBottom: i.headBottom,
  headTop: i.headTop,
  triangle: i.triangle,
  ...(i.problem === undefined ? {} : { problem: i.problem }),
});

/** Diamond, fat and mixte: two thin laterals in a mixte run on to the dropouts. */
export function diamondFrame(b: FrameBase): FrameParts {
  const i = insideOf(b, b.bracket);
  const fat = b.kind === 'fat';
  const stayFrom = (share: number): Point => add(b.bracket, scale(b.seatDir, b.seatTubeM * share));
  return {
    ...parts(i),
    barStyle: b.kind === 'mixte' ? 'upright' : fat ? 'flat' : 'drop',
    tubes: [
      tube('down tube', 'frame', b.tubeSizes.down, i.downLine),
      ...(b.kind === 'mixte'
        ? [
            tube('lateral', 'frame', b.tubeSizes.top, [...[...i.topLine].reverse(), b.rearAxle]),
            tube('seat stay', 'behind', 0.014, [stayFrom(0.86), b.rearAxle]),
          ]
        : [
            tube('top tube', 'frame', b.tubeSizes.top, i.topLine),
            tube('seat stay', 'behind', 0.016, [stayFrom(0.93), b.rearAxle]),
          ]),
      tube('chainstay', 'behind', 0.02, [b.bracket, b.rearAxle]),
    ],
  };
}

/** Full suspension: a swinging arm, a rocker on the seat tube, and the shock where it was found. */
export function suspensionFrame(b: FrameBase): FrameParts {
  const i = insideOf(b, b.bracket);
  const pivot = add(b.bracket, { x: 0.015, y: 0.055 });
  const rocker = add(b.bracket, scale(b.seatDir, b.seatTubeM * 0.52));
  const rockerTail = add(rocker, { x: -0.062, y: 0.022 });
  const rockerNose = add(rocker, { x: 0.06, y: 0.03 });
  const where = b.survey.shockPlace?.value ?? 'inTriangle';
  const shock =
    where === 'inTriangle'
      ? { from: rockerNose, to: toward(b.bracket, i.headBottom, 0.42) }
      : where === 'behindSeatTube'
        ? { from: rockerTail, to: add(b.bracket, { x: -0.07, y: 0.09 }) }
        : where === 'underBeam'
          ? { from: add(pivot, { x: 0.02, y: -0.02 }), to: toward(b.bracket, i.headBottom, 0.3) }
          : undefined;
  return {
    ...parts(i),
    ...(shock ? { shock } : {}),
    suspension: {
      pivot,
      rocker,
      rockerTail,
      rockerNose,
      shockOn: { inTriangle: 'nose', behindSeatTube: 'tail', underBeam: 'arm', none: 'none' }[where] as
        'nose' | 'tail' | 'arm' | 'none',
    },
    barStyle: 'flat',
    tubes: [
      tube('chainstay', 'behind', 0.026, [pivot, b.rearAxle]),
      tube('seat stay', 'behind', 0.022, [b.rearAxle, rockerTail]),
      tube('down tube', 'frame', b.tubeSizes.down, i.downLine),
      tube('top tube', 'frame', b.tubeSizes.top, i.topLine),
      tube('rocker', 'frame', 0.024, [rockerTail, rocker, ...(where === 'inTriangle' ? [rockerNose] : [])]),
    ],
  };
}

/** Tandem: the captain's triangle ahead, the stoker's bay behind, a bottom tube between the cranks. */
export function tandemFrame(b: FrameBase): FrameParts {
  const captain = { x: b.bracket.x + Math.max(0.5, b.frontAxle.x - b.bracket.x - 0.6), y: b.bracket.y };
  const i = insideOf(b, captain);
  const captainSeat = add(captain, scale(b.seatDir, b.seatTubeM));
  const stokerTop = add(b.bracket, scale(b.seatDir, b.seatTubeM * 0.88));
  return {
    ...parts(i),
    barStyle: 'drop',
    secondCrank: captain,
    secondSaddle: add(captain, scale(b.seatDir, Math.max(0.7, b.seatTubeM + 0.12))),
    tubes: [
      tube('chainstay', 'behind', 0.02, [b.bracket, b.rearAxle]),
      tube('seat stay', 'behind', 0.016, [stokerTop, b.rearAxle]),
      tube('lateral', 'behind', 0.02, [add(i.headBottom, scale(i.axis, 0.05)), b.bracket]),
      tube('bottom tube', 'frame', 0.04, [b.bracket, captain]),
      tube('down tube', 'frame', b.tubeSizes.down, i.downLine),
      tube('stoker’s top tube', 'frame', 0.029, [stokerTop, toward(captain, captainSeat, 0.9)]),
      tube('top tube', 'frame', b.tubeSizes.top, i.topLine),
      tube('captain’s seat tube', 'frame', 0.031, [captain, captainSeat]),
      tube('captain’s seat post', 'bar', 0.025, [captainSeat, add(captainSeat, scale(b.seatDir, 0.1))]),
    ],
  };
}

/** A tandem on two rear wheels: its stays end at the axle's beam, with a deck over it. */
export function tandemTrikeFrame(b: FrameBase): FrameParts {
  const made = tandemFrame(b);
  const deckY = b.rearAxle.y + b.rearRadiusM + 0.05;
  return {
    ...made,
    barStyle: 'upright',
    rackDeck: { from: { x: -0.3, y: deckY }, to: { x: 0.16, y: deckY } },
    tubes: [
      ...made.tubes,
      tube('basket stay', 'behind', 0.018, [
        { x: b.rearAxle.x - 0.12, y: deckY - 0.03 },
        { x: b.rearAxle.x + 0.02, y: b.rearAxle.y + 0.02 },
      ]),
    ],
  };
}

/** Longtail: a small triangle ahead of a long deck over the rear wheel. */
export function longtailFrame(b: FrameBase): FrameParts {
  const i = insideOf(b, b.bracket);
  const deckY = b.rearAxle.y + b.rearRadiusM + 0.06;
  const deck = { from: { x: -0.34, y: deckY }, to: { x: b.bracket.x - 0.16, y: deckY } };
  return {
    ...parts(i),
    barStyle: 'upright',
    rackDeck: deck,
    tubes: [
      tube('chainstay', 'behind', 0.022, [b.bracket, b.rearAxle]),
      tube('deck stay', 'behind', 0.022, [{ x: deck.from.x + 0.08, y: deckY }, b.rearAxle]),
      tube('deck strut', 'behind', 0.02, [{ x: 0.2, y: deckY }, toward(b.rearAxle, b.bracket, 0.62)]),
      tube('deck', 'frame', 0.026, [
        deck.from,
        { x: b.bracket.x - 0.1, y: deckY },
        add(b.bracket, scale(b.seatDir, b.seatTubeM * 0.72)),
      ]),
      tube('down tube', 'frame', b.tubeSizes.down, i.downLine),
      tube('top tube', 'frame', b.tubeSizes.top, i.topLine),
    ],
  };
}
