import { tyreRadius, type TyreSize } from '../quantity/tyre.ts';
import { hasMainTriangle, hasPairedRearWheels, type Donor, type Survey, type SurveyItemId } from './donor.ts';
import { isProven, type Entry } from './entry.ts';
import { commonFrame } from './survey.ts';

/** A point in the side view, m: x forward from the rear axle, y up from the ground. */
export interface Point {
  x: number;
  y: number;
}

/** How sure a drawn figure is. */
export type Basis = 'measured' | 'assumed';

export interface Tube {
  name: string;
  points: Point[];
  diameterM: number;
  /** Smooth curve through the points rather than straight runs. */
  curved?: boolean;
  layer: 'behind' | 'frame' | 'fork' | 'bar';
}

export interface DimensionLine {
  item: SurveyItemId;
  from: Point;
  to: Point;
  valueM: number;
  basis: Basis;
  /** Offset of the line from the feature, m, to the left of from→to. */
  offsetM: number;
}

/** The frame's inside: corners at the bracket, at the seat tube's upper end, at the head. */
export interface InnerTriangle {
  bracket: Point;
  seat: Point;
  head: Point;
  seatSideM: number;
  topSideM: number;
  downSideM: number;
  basis: Basis;
}

/** The donor in side view, m, from what was measured, with common values where it was not. */
export interface DonorGeometry {
  rearAxle: Point;
  frontAxle: Point;
  bracket: Point;
  seatTop: Point;
  headTop: Point;
  headBottom: Point;
  saddle: Point;
  grip: Point;
  pedal: Point;
  rearRadiusM: number;
  frontRadiusM: number;
  rearTyre: TyreSize;
  frontTyre: TyreSize;
  triangle: InnerTriangle | null;
  tubes: Tube[];
  /** Where a rear rack's deck stands, if the kind has one: from, to. */
  rackDeck: { from: Point; to: Point };
  box: Point[] | null;
  dimensions: DimensionLine[];
  /** Distance between paired rear wheels, m; 0 for two-wheelers. */
  trackM: number;
  pairedRear: boolean;
  /** Head angle that the sizes come to, rad; a check on the tape. */
  headAngleRad: number;
  /** Why the sizes cannot be drawn as typed, if so. */
  problem: string | null;
}

const TUBE = 0.0155; // half of a common 31 mm tube, for lines of the drawing only

const add = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
const sub = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
const scale = (a: Point, k: number): Point => ({ x: a.x * k, y: a.y * k });
const length = (a: Point): number => Math.hypot(a.x, a.y);
const unit = (a: Point): Point => scale(a, 1 / (length(a) || 1));
const left = (a: Point): Point => ({ x: -a.y, y: a.x });

interface Picked {
  value: number;
  basis: Basis;
}

/**
 * Side-view geometry of a donor. Angles from the law of cosines on the three inside lengths; the
 * saddle from the rider's stature (0.47 of it as inseam, 0.885 of that above the bracket, both
 * workshop rules of thumb). Positions are as good as the tape, about ±5 mm where measured.
 * @param statureM rider's height, m
 */
export function donorGeometry(donor: Donor, statureM: number): DonorGeometry {
  const { kind, survey } = donor;
  const common = commonFrame[kind];
  const pick = (e: Entry<number> | undefined, otherwise: number): Picked =>
    e === undefined
      ? { value: otherwise, basis: 'assumed' }
      : { value: e.value, basis: isProven(e) ? 'measured' : 'assumed' };

  const rearTyre = survey.rearTyre?.value ?? common.tyre;
  const frontTyre =
    survey.frontTyre?.value ??
    (survey.rearTyre && common.tyre.beadM === common.frontTyre.beadM ? survey.rearTyre.value : common.frontTyre);
  const rearRadiusM = tyreRadius(rearTyre);
  const frontRadiusM = tyreRadius(frontTyre);
  const chainstay = pick(survey.chainstayLength, common.chainstayLength);
  const bracketHeight = pick(survey.bracketHeight, common.bracketHeight);
  const wheelbase = pick(survey.wheelbase, common.wheelbase);
  const seatTube = pick(survey.seatTubeLength, common.seatTubeLength);
  const seatAngle = pick(survey.seatTubeAngle, (common.seatTubeAngleDeg * Math.PI) / 180);

  let problem: string | null = null;
  const rearAxle = { x: 0, y: rearRadiusM };
  const frontAxle = { x: wheelbase.value, y: frontRadiusM };
  const drop = bracketHeight.value - rearRadiusM;
  const reach2 = chainstay.value ** 2 - drop ** 2;
  if (reach2 <= 0) problem = 'The crank centre cannot be that high with so short a chainstay; measure both again.';
  const bracket = { x: Math.sqrt(Math.max(0.01, reach2)), y: bracketHeight.value };
  const seatDir = { x: -Math.cos(seatAngle.value), y: Math.sin(seatAngle.value) };
  const seatTop = add(bracket, scale(seatDir, seatTube.value));

  const tubes: Tube[] = [];
  let triangle: InnerTriangle | null = null;
  let headBottom: Point;
  let headTop: Point;
  let headAngleRad: number;
  const forkFoot = { x: frontAxle.x - 0.045, y: frontAxle.y + 0.01 };

  if (hasMainTriangle(kind)) {
    const a = pick(survey.seatSide, common.seatSide);
    const b = pick(survey.topSide, common.topSide);
    const c = pick(survey.downSide, common.downSide);
    let cosine = (a.value ** 2 + c.value ** 2 - b.value ** 2) / (2 * a.value * c.value);
    if (Math.abs(cosine) >= 1) {
      problem ??= 'The three inside lengths do not close to a triangle; measure them again.';
      cosine = Math.max(-0.95, Math.min(0.95, cosine));
    }
    const angle = Math.acos(cosine);
    // Down tube direction: the seat tube's turned forward by the angle between them.
    const downDir = rotate(seatDir, -angle);
    const halfSine = Math.sin(angle / 2);
    const bisector = unit(add(seatDir, downDir));
    const inner = add(bracket, scale(bisector, TUBE / Math.max(0.2, halfSine)));
    const p1 = add(inner, scale(seatDir, a.value));
    const p2 = add(inner, scale(downDir, c.value));
    const basis: Basis = [a, b, c].every((side) => side.basis === 'measured') ? 'measured' : 'assumed';
    triangle = { bracket: inner, seat: p1, head: p2, seatSideM: a.value, topSideM: b.value, downSideM: c.value, basis };
    const topDir = unit(sub(p2, p1));
    const topOut = left(topDir);
    const topAtSeat = add(add(p1, scale(topOut, TUBE * 0.9)), scale(topDir, -TUBE));
    const headJoin = add(p2, scale(downDir, TUBE * 1.2));
    const axis = unit(sub(headJoin, forkFoot));
    headAngleRad = Math.atan2(axis.y, -axis.x);
    headBottom = add(headJoin, scale(axis, -0.035));
    const topAtHead = add(add(p2, scale(topOut, TUBE * 0.9)), scale(topDir, TUBE));
    headTop = add(headJoin, scale(axis, Math.max(0.045, length(sub(topAtHead, headJoin)) + 0.02)));
    const downFrom = bracket;
    tubes.push({
      name: 'down tube',
      points: [downFrom, add(headBottom, scale(axis, 0.022))],
      diameterM: 0.034,
      layer: 'frame',
    });
    if (kind === 'mixte') {
      tubes.push({ name: 'lateral', points: [topAtHead, topAtSeat, rearAxle], diameterM: 0.018, layer: 'frame' });
      tubes.push({
        name: 'seat stay',
        points: [add(bracket, scale(seatDir, seatTube.value * 0.86)), rearAxle],
        diameterM: 0.014,
        layer: 'behind',
      });
    } else {
      tubes.push({ name: 'top tube', points: [topAtSeat, topAtHead], diameterM: 0.029, layer: 'frame' });
      tubes.push({
        name: 'seat stay',
        points: [add(bracket, scale(seatDir, seatTube.value * 0.93)), rearAxle],
        diameterM: 0.016,
        layer: 'behind',
      });
    }
    tubes.push({ name: 'chainstay', points: [bracket, rearAxle], diameterM: 0.02, layer: 'behind' });
  } else if (kind === 'stepThrough') {
    headAngleRad = (68.5 * Math.PI) / 180;
    const axis = { x: -Math.cos(headAngleRad), y: Math.sin(headAngleRad) };
    headBottom = add(forkFoot, scale(axis, frontRadiusM + 0.075));
    headTop = add(headBottom, scale(axis, 0.19));
    const low = { x: bracket.x + 0.06, y: bracket.y + 0.03 };
    tubes.push({
      name: 'low tube',
      curved: true,
      points: [
        bracket,
        low,
        { x: bracket.x + 0.24, y: bracket.y + 0.115 },
        { x: headBottom.x - 0.15, y: headBottom.y - 0.16 },
        add(headBottom, scale(axis, 0.06)),
      ],
      diameterM: 0.052,
      layer: 'frame',
    });
    tubes.push({
      name: 'seat stay',
      points: [add(bracket, scale(seatDir, seatTube.value * 0.78)), rearAxle],
      diameterM: 0.018,
      layer: 'behind',
    });
    tubes.push({ name: 'chainstay', points: [bracket, rearAxle], diameterM: 0.022, layer: 'behind' });
  } else if (kind === 'deltaTrike') {
    headAngleRad = (69 * Math.PI) / 180;
    const axis = { x: -Math.cos(headAngleRad), y: Math.sin(headAngleRad) };
    headBottom = add(forkFoot, scale(axis, frontRadiusM + 0.06));
    headTop = add(headBottom, scale(axis, 0.2));
    const seatFoot = add(bracket, scale(seatDir, 0.06));
    tubes.push({
      name: 'low tube',
      curved: true,
      points: [
        seatFoot,
        { x: bracket.x + 0.14, y: bracket.y + 0.075 },
        { x: headBottom.x - 0.13, y: headBottom.y - 0.1 },
        add(headBottom, scale(axis, 0.05)),
      ],
      diameterM: 0.045,
      layer: 'frame',
    });
    tubes.push({
      name: 'upper tube',
      curved: true,
      points: [
        add(bracket, scale(seatDir, 0.2)),
        { x: bracket.x + 0.13, y: bracket.y + 0.2 },
        add(headTop, scale(axis, -0.04)),
      ],
      diameterM: 0.025,
      layer: 'frame',
    });
    tubes.push({
      name: 'axle beam',
      points: [bracket, { x: rearAxle.x, y: rearAxle.y + 0.01 }],
      diameterM: 0.03,
      layer: 'behind',
    });
    tubes.push({
      name: 'basket stay',
      points: [add(bracket, scale(seatDir, seatTube.value * 0.72)), { x: rearAxle.x + 0.02, y: rearAxle.y + 0.02 }],
      diameterM: 0.018,
      layer: 'behind',
    });
  } else {
    headAngleRad = (71 * Math.PI) / 180;
    const steer = { x: bracket.x + 0.5, y: bracket.y + 0.46 };
    const axis = { x: -Math.cos(headAngleRad), y: Math.sin(headAngleRad) };
    headBottom = add(steer, scale(axis, -0.09));
    headTop = add(steer, scale(axis, 0.12));
    const beamFoot = { x: bracket.x + 0.42, y: bracket.y - 0.02 };
    const frontHead = { x: frontAxle.x - 0.07, y: frontAxle.y + frontRadiusM + 0.06 };
    tubes.push({ name: 'down tube', points: [bracket, headBottom], diameterM: 0.036, layer: 'frame' });
    tubes.push({
      name: 'upper tube',
      points: [add(bracket, scale(seatDir, seatTube.value * 0.62)), steer],
      diameterM: 0.03,
      layer: 'frame',
    });
    tubes.push({
      name: 'main beam',
      curved: true,
      points: [bracket, beamFoot, { x: frontAxle.x - frontRadiusM - 0.17, y: bracket.y - 0.02 }, frontHead],
      diameterM: 0.05,
      layer: 'frame',
    });
    tubes.push({ name: 'front fork', points: [frontHead, frontAxle], diameterM: 0.024, layer: 'fork' });
    tubes.push({
      name: 'seat stay',
      points: [add(bracket, scale(seatDir, seatTube.value * 0.9)), rearAxle],
      diameterM: 0.018,
      layer: 'behind',
    });
    tubes.push({ name: 'chainstay', points: [bracket, rearAxle], diameterM: 0.022, layer: 'behind' });
    tubes.push({ name: 'head strut', points: [beamFoot, headBottom], diameterM: 0.03, layer: 'frame' });
  }
  tubes.push({ name: 'seat tube', points: [bracket, seatTop], diameterM: 0.031, layer: 'frame' });

  const axis = unit(sub(headTop, headBottom));
  if (kind !== 'boxBike') {
    const crown = add(headBottom, scale(axis, 0.004));
    const bend = add(crown, scale(sub(forkFoot, crown), 0.72));
    tubes.push({ name: 'fork', curved: true, points: [crown, bend, frontAxle], diameterM: 0.024, layer: 'fork' });
  }
  tubes.push({ name: 'head tube', points: [headBottom, headTop], diameterM: 0.036, layer: 'frame' });
  const upright = kind !== 'diamond';
  const stemTop = add(headTop, scale(axis, upright ? 0.1 : 0.05));
  const clamp = add(stemTop, { x: upright ? 0.03 : 0.07, y: 0.025 });
  const grip = upright ? add(stemTop, { x: -0.17, y: 0.085 }) : add(clamp, { x: 0.035, y: 0.035 });
  tubes.push({ name: 'stem', points: [headTop, stemTop, clamp], diameterM: 0.022, layer: 'bar' });
  tubes.push(
    upright
      ? {
          name: 'bar',
          curved: true,
          points: [clamp, add(clamp, { x: 0.035, y: 0.045 }), add(clamp, { x: -0.03, y: 0.075 }), grip],
          diameterM: 0.022,
          layer: 'bar',
        }
      : {
          name: 'bar',
          curved: true,
          points: [
            add(clamp, { x: 0, y: 0.005 }),
            add(clamp, { x: 0.07, y: 0.012 }),
            add(clamp, { x: 0.085, y: -0.06 }),
            add(clamp, { x: 0.03, y: -0.11 }),
            add(clamp, { x: -0.02, y: -0.11 }),
          ],
          diameterM: 0.022,
          layer: 'bar',
        },
  );

  // Saddle: above the seat tube's top at least; inseam rule otherwise.
  const saddleUp = Math.max(0.885 * 0.47 * statureM - 0.0, seatTube.value + 0.06);
  const saddle = add(bracket, scale(seatDir, saddleUp));
  tubes.push({
    name: 'seat post',
    points: [seatTop, add(saddle, scale(seatDir, -0.05))],
    diameterM: 0.025,
    layer: 'bar',
  });
  const pedal = add(bracket, { x: 0.17 * Math.cos(0.9), y: -0.17 * Math.sin(0.9) });

  const deckY = rearAxle.y + rearRadiusM + (hasPairedRearWheels(kind) ? -0.06 : 0.045);
  const deckFrom = kind === 'deltaTrike' ? { x: -0.3, y: rearAxle.y + 0.09 } : { x: -0.24, y: deckY };
  const deckTo =
    kind === 'deltaTrike' ? { x: 0.24, y: rearAxle.y + 0.09 } : { x: Math.min(0.16, seatTop.x - 0.12), y: deckY };
  const box =
    kind === 'boxBike'
      ? [
          { x: bracket.x + 0.62, y: bracket.y + 0.4 },
          { x: bracket.x + 0.66, y: bracket.y + 0.02 },
          { x: frontAxle.x - frontRadiusM - 0.1, y: bracket.y + 0.02 },
          { x: frontAxle.x - frontRadiusM + 0.02, y: bracket.y + 0.36 },
        ]
      : kind === 'deltaTrike'
        ? [
            { x: -0.32, y: rearAxle.y + 0.4 },
            { x: -0.29, y: rearAxle.y + 0.11 },
            { x: 0.2, y: rearAxle.y + 0.11 },
            { x: 0.23, y: rearAxle.y + 0.4 },
          ]
        : null;

  return {
    rearAxle,
    frontAxle,
    bracket,
    seatTop,
    headTop,
    headBottom,
    saddle,
    grip,
    pedal,
    rearRadiusM,
    frontRadiusM,
    rearTyre,
    frontTyre,
    triangle,
    tubes,
    rackDeck: { from: deckFrom, to: deckTo },
    box,
    dimensions: dimensionLines(survey, {
      rearAxle,
      frontAxle,
      bracket,
      seatTop,
      triangle,
      seatTube,
      chainstay,
      bracketHeight,
      wheelbase,
    }),
    trackM: hasPairedRearWheels(kind) ? (survey.track?.value ?? common.track) : 0,
    pairedRear: hasPairedRearWheels(kind),
    headAngleRad,
    problem,
  };
}

function rotate(a: Point, by: number): Point {
  const c = Math.cos(by);
  const s = Math.sin(by);
  return { x: a.x * c - a.y * s, y: a.x * s + a.y * c };
}

interface LineSources {
  rearAxle: Point;
  frontAxle: Point;
  bracket: Point;
  seatTop: Point;
  triangle: InnerTriangle | null;
  seatTube: Picked;
  chainstay: Picked;
  bracketHeight: Picked;
  wheelbase: Picked;
}

function dimensionLines(survey: Survey, g: LineSources): DimensionLine[] {
  const lines: DimensionLine[] = [
    {
      item: 'wheelbase',
      from: { x: g.rearAxle.x, y: 0 },
      to: { x: g.frontAxle.x, y: 0 },
      valueM: g.wheelbase.value,
      basis: g.wheelbase.basis,
      offsetM: -0.1,
    },
    {
      item: 'bracketHeight',
      from: { x: g.bracket.x, y: 0 },
      to: { x: g.bracket.x, y: g.bracket.y },
      valueM: g.bracketHeight.value,
      basis: g.bracketHeight.basis,
      offsetM: -0.16,
    },
    {
      item: 'chainstayLength',
      from: g.rearAxle,
      to: g.bracket,
      valueM: g.chainstay.value,
      basis: g.chainstay.basis,
      offsetM: -0.13,
    },
    {
      item: 'seatTubeLength',
      from: g.bracket,
      to: g.seatTop,
      valueM: g.seatTube.value,
      basis: g.seatTube.basis,
      offsetM: 0.075,
    },
  ];
  const t = g.triangle;
  if (t) {
    const basisOf = (e: Entry<number> | undefined): Basis => (isProven(e) ? 'measured' : 'assumed');
    lines.push(
      {
        item: 'downSide',
        from: t.bracket,
        to: t.head,
        valueM: t.downSideM,
        basis: basisOf(survey.downSide),
        offsetM: -0.085,
      },
      { item: 'topSide', from: t.seat, to: t.head, valueM: t.topSideM, basis: basisOf(survey.topSide), offsetM: 0.065 },
      {
        item: 'seatSide',
        from: t.bracket,
        to: t.seat,
        valueM: t.seatSideM,
        basis: basisOf(survey.seatSide),
        offsetM: -0.03,
      },
    );
  }
  return lines;
}
