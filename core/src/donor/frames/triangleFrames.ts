import {
  add,
  HALF_TUBE,
  left,
  lengthOf,
  pick,
  rotate,
  scale,
  sub,
  toward,
  tube,
  unit,
  type Basis,
  type FrameBase,
  type FrameParts,
  type InnerTriangle,
  type Point,
} from './frame.ts';

interface Inside {
  triangle: InnerTriangle;
  topAtSeat: Point;
  topAtHead: Point;
  headJoin: Point;
  headBottom: Point;
  headTop: Point;
  axis: Point;
  problem?: string;
}

/** The inside from its three lengths (law of cosines), standing on a crank centre, with the head it leads to. */
function insideOf(b: FrameBase, crank: Point): Inside {
  const { survey, common, seatDir, forkFoot } = b;
  const a = pick(survey.seatSide, common.seatSide);
  const top = pick(survey.topSide, common.topSide);
  const c = pick(survey.downSide, common.downSide);
  let cosine = (a.value ** 2 + c.value ** 2 - top.value ** 2) / (2 * a.value * c.value);
  let problem: string | undefined;
  if (Math.abs(cosine) >= 1) {
    problem = 'The three inside lengths do not close to a triangle; measure them again.';
    cosine = Math.max(-0.95, Math.min(0.95, cosine));
  }
  const angle = Math.acos(cosine);
  // Down tube direction: the seat tube's turned forward by the angle between them.
  const downDir = rotate(seatDir, -angle);
  const inner = add(crank, scale(unit(add(seatDir, downDir)), HALF_TUBE / Math.max(0.2, Math.sin(angle / 2))));
  const p1 = add(inner, scale(seatDir, a.value));
  const p2 = add(inner, scale(downDir, c.value));
  const basis: Basis = [a, top, c].every((side) => side.basis === 'measured') ? 'measured' : 'assumed';
  const topDir = unit(sub(p2, p1));
  const topOut = left(topDir);
  const topAtSeat = add(add(p1, scale(topOut, HALF_TUBE * 0.9)), scale(topDir, -HALF_TUBE));
  const headJoin = add(p2, scale(downDir, HALF_TUBE * 1.2));
  const axis = unit(sub(headJoin, forkFoot));
  const topAtHead = add(add(p2, scale(topOut, HALF_TUBE * 0.9)), scale(topDir, HALF_TUBE));
  return {
    triangle: {
      bracket: inner,
      seat: p1,
      head: p2,
      seatSideM: a.value,
      topSideM: top.value,
      downSideM: c.value,
      basis,
    },
    topAtSeat,
    topAtHead,
    headJoin,
    headBottom: add(headJoin, scale(axis, -0.035)),
    headTop: add(headJoin, scale(axis, Math.max(0.045, lengthOf(sub(topAtHead, headJoin)) + 0.02))),
    axis,
    ...(problem === undefined ? {} : { problem }),
  };
}

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
      tube('down tube', 'frame', fat ? 0.048 : 0.034, [b.bracket, add(i.headBottom, scale(i.axis, 0.022))]),
      ...(b.kind === 'mixte'
        ? [
            tube('lateral', 'frame', 0.018, [i.topAtHead, i.topAtSeat, b.rearAxle]),
            tube('seat stay', 'behind', 0.014, [stayFrom(0.86), b.rearAxle]),
          ]
        : [
            tube('top tube', 'frame', fat ? 0.04 : 0.029, [i.topAtSeat, i.topAtHead]),
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
    barStyle: 'flat',
    tubes: [
      tube('chainstay', 'behind', 0.026, [pivot, b.rearAxle]),
      tube('seat stay', 'behind', 0.022, [b.rearAxle, rockerTail]),
      tube('down tube', 'frame', 0.05, [b.bracket, add(i.headBottom, scale(i.axis, 0.022))]),
      tube('top tube', 'frame', 0.038, [i.topAtSeat, i.topAtHead]),
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
      tube('down tube', 'frame', 0.036, [captain, add(i.headBottom, scale(i.axis, 0.022))]),
      tube('stoker’s top tube', 'frame', 0.029, [stokerTop, toward(captain, captainSeat, 0.9)]),
      tube('top tube', 'frame', 0.03, [i.topAtSeat, i.topAtHead]),
      tube('captain’s seat tube', 'frame', 0.031, [captain, captainSeat]),
      tube('captain’s seat post', 'bar', 0.025, [captainSeat, add(captainSeat, scale(b.seatDir, 0.1))]),
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
      tube('down tube', 'frame', 0.042, [b.bracket, add(i.headBottom, scale(i.axis, 0.022))]),
      tube('top tube', 'frame', 0.032, [i.topAtSeat, i.topAtHead]),
    ],
  };
}
