import { tyreRadius, type TyreSize } from '../quantity/tyre.ts';
import { commonFrame } from './common.ts';
import type { TubeSizes } from './inside.ts';
import type { Donor, Survey, SurveyItemId } from './donor.ts';
import { isProven, type Entry } from './entry.ts';
import { recumbentFrame, tadpoleFrame, velomobileFrame } from './frames/boomFrames.ts';
import {
  pick,
  tube,
  type Basis,
  type FrameBase,
  type FrameParts,
  type InnerTriangle,
  type Picked,
  type SuspensionLinks,
  type Tube,
} from './frames/frame.ts';
import { add, scale, sub, unit, type Point } from './frames/point.ts';
import { freeFrame } from './frames/freeFrame.ts';
import { boxFrame, boxTrikeFrame, deltaFrame, foldingFrame, stepThroughFrame } from './frames/openFrames.ts';
import {
  diamondFrame,
  longtailFrame,
  suspensionFrame,
  tandemFrame,
  tandemTrikeFrame,
} from './frames/triangleFrames.ts';
import { kindTraits, type VehicleKind } from './kinds.ts';

export type { Basis, InnerTriangle, SuspensionLinks, Tube } from './frames/frame.ts';
export type { Point } from './frames/point.ts';

export interface DimensionLine {
  item: SurveyItemId;
  from: Point;
  to: Point;
  valueM: number;
  basis: Basis;
  /** Offset of the line from the feature, m, to the left of from→to. */
  offsetM: number;
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
  /** Outline of a slung seat's shell, from nose to the top of its back; null on saddles. */
  seat: Point[] | null;
  /** A tandem's front cranks and saddle. */
  secondCrank: Point | null;
  secondSaddle: Point | null;
  shock: { from: Point; to: Point } | null;
  suspension: SuspensionLinks | null;
  hinge: Point | null;
  rearRadiusM: number;
  frontRadiusM: number;
  rearTyre: TyreSize;
  frontTyre: TyreSize;
  triangle: InnerTriangle | null;
  tubes: Tube[];
  /** Diameters of seat, upper and down (or low) tube, m, as measured or common. */
  tubeSizes: TubeSizes;
  /** Where a rear rack's deck stands, if the kind has one: from, to. */
  rackDeck: { from: Point; to: Point };
  box: Point[] | null;
  /** Outline of the shell a rider sits in, closed; null without one. */
  shell: Point[] | null;
  dimensions: DimensionLine[];
  /** Distance between paired wheels, m; 0 for two-wheelers. */
  trackM: number;
  pairedRear: boolean;
  pairedFront: boolean;
  /** Head angle that the sizes come to, rad; a check on the tape. */
  headAngleRad: number;
  /** Why the sizes cannot be drawn as typed, if so. */
  problem: string | null;
}

/** Common thickness of a kind's main tubes, m. Source: project, over common frames. */
const commonTubes: Partial<Record<VehicleKind, Partial<TubeSizes>>> = {
  mixte: { top: 0.018, down: 0.0318 },
  fat: { top: 0.04, down: 0.048 },
  fullSuspension: { top: 0.038, down: 0.05 },
  longtail: { top: 0.0318, down: 0.042 },
  tandem: { top: 0.0318, down: 0.035 },
  stepThrough: { down: 0.052 },
  folding: { down: 0.058 },
  deltaTrike: { down: 0.045 },
  tandemTrike: { top: 0.0318, down: 0.035 },
  boxBike: { down: 0.036 },
};

function tubeSizesOf({ kind, survey }: Donor): TubeSizes {
  const common = { seat: 0.0305, top: 0.0286, down: 0.034, ...commonTubes[kind] };
  return {
    seat: survey.seatTubeDiameter?.value ?? common.seat,
    top: survey.topTubeDiameter?.value ?? common.top,
    down: survey.downTubeDiameter?.value ?? common.down,
  };
}

function partsOf(donor: Donor, base: FrameBase): FrameParts {
  const byKind: Record<VehicleKind, (b: FrameBase) => FrameParts> = {
    diamond: diamondFrame,
    mixte: diamondFrame,
    fat: diamondFrame,
    fullSuspension: suspensionFrame,
    tandem: tandemFrame,
    longtail: longtailFrame,
    stepThrough: stepThroughFrame,
    folding: foldingFrame,
    boxBike: boxFrame,
    deltaTrike: deltaFrame,
    recumbent: recumbentFrame,
    tadpoleTrike: tadpoleFrame,
    boxTrike: boxTrikeFrame,
    recumbentDelta: recumbentFrame,
    tandemTrike: tandemTrikeFrame,
    velomobile: velomobileFrame,
    homeBuilt: (b) => freeFrame(b, donor.freeFrame),
  };
  return byKind[donor.kind](base);
}

/**
 * Side-view geometry of a donor. Angles from the law of cosines on the three inside lengths; the
 * saddle from the rider's stature (0.47 of it as inseam, 0.885 of that above the bracket, both
 * workshop rules of thumb). Positions are as good as the tape, about ±5 mm where measured.
 * @param statureM rider's height, m
 */
export function donorGeometry(donor: Donor, statureM: number): DonorGeometry {
  // What is frozen cannot change: its drawing is made once, and all that is placed on it is kept with it.
  if (!Object.isFrozen(donor)) return drawDonor(donor, statureM);
  let byStature = drawn.get(donor);
  if (!byStature) drawn.set(donor, (byStature = new Map()));
  let made = byStature.get(statureM);
  if (!made) byStature.set(statureM, (made = drawDonor(donor, statureM)));
  return made;
}

const drawn = new WeakMap<Donor, Map<number, DonorGeometry>>();

function drawDonor(donor: Donor, statureM: number): DonorGeometry {
  const { kind, survey } = donor;
  const common = commonFrame[kind];
  const traits = kindTraits[kind];
  const rearTyre = survey.rearTyre?.value ?? common.tyre;
  const frontTyre =
    survey.frontTyre?.value ??
    (survey.rearTyre && common.tyre.beadM === common.frontTyre.beadM ? survey.rearTyre.value : common.frontTyre);
  const rearRadiusM = tyreRadius(rearTyre);
  const frontRadiusM = tyreRadius(frontTyre);
  const chainstay = pick(survey.chainstayLength, common.chainstayLength);
  const bracketHeight = pick(survey.bracketHeight, common.bracketHeight);
  const wheelbase = pick(survey.wheelbase, common.wheelbase);
  const bracketReach = pick(survey.bracketReach, common.wheelbase + 0.35);
  const seatTube = pick(survey.seatTubeLength, common.seatTubeLength);
  const seatAngle = pick(survey.seatTubeAngle, (common.seatTubeAngleDeg * Math.PI) / 180);

  let problem: string | null = null;
  const rearAxle = { x: 0, y: rearRadiusM };
  const frontAxle = { x: wheelbase.value, y: frontRadiusM };
  let bracketX = bracketReach.value;
  if (!traits.boom) {
    const reach2 = chainstay.value ** 2 - (bracketHeight.value - rearRadiusM) ** 2;
    if (reach2 <= 0) problem = 'The crank centre cannot be that high with so short a chainstay; measure both again.';
    bracketX = Math.sqrt(Math.max(0.01, reach2));
  }
  const bracket = { x: bracketX, y: bracketHeight.value };
  const seatDir = { x: -Math.cos(seatAngle.value), y: Math.sin(seatAngle.value) };
  const seatTop = add(bracket, scale(seatDir, seatTube.value));
  const tubeSizes = tubeSizesOf(donor);
  const parts = partsOf(donor, {
    kind,
    tubeSizes,
    freeInside: donor.inside,
    mainTubePath: donor.mainTubePath?.points.map((p) => ({ x: p.xM, y: p.yM })) ?? null,
    survey,
    common,
    rearAxle,
    frontAxle,
    bracket,
    rearRadiusM,
    frontRadiusM,
    seatDir,
    seatTop,
    seatTubeM: seatTube.value,
    forkFoot: { x: frontAxle.x - 0.045, y: frontAxle.y + 0.01 },
  });
  problem ??= parts.problem ?? null;

  const { headBottom, headTop } = parts;
  const tubes = [...parts.tubes];
  const axis = unit(sub(headTop, headBottom));
  if (!traits.boom) tubes.push(tube('seat tube', 'frame', tubeSizes.seat, [bracket, seatTop]));
  if (!parts.ownFork) {
    const crown = add(headBottom, scale(axis, 0.004));
    const foot = { x: frontAxle.x - 0.045, y: frontAxle.y + 0.01 };
    const sprung = survey.forkKind?.value === 'suspension' || (!survey.forkKind && kind === 'fullSuspension');
    if (sprung) tubes.push(tube('fork leg', 'fork', 0.036, [add(crown, scale(sub(foot, crown), 0.5)), frontAxle]));
    const bend = add(crown, scale(sub(foot, crown), 0.72));
    tubes.push(tube('fork', 'fork', 0.024, sprung ? [crown, frontAxle] : [crown, bend, frontAxle], !sprung));
  }
  if (traits.paired !== 'front') tubes.push(tube('head tube', 'frame', 0.036, [headBottom, headTop]));

  let grip = parts.holdAt ?? headTop;
  if (!parts.ownBars) {
    const bars = barTubes(headTop, axis, survey.barShape?.value === 'drop' ? 'drop' : barStyleOf(survey, parts));
    tubes.push(...bars.tubes);
    grip = bars.grip;
  }

  // Saddle: above the seat tube's top at least; inseam rule otherwise.
  const saddleUp = Math.max(0.885 * 0.47 * statureM, seatTube.value + 0.06);
  const saddle = parts.sitAt ?? add(bracket, scale(seatDir, saddleUp));
  if (!parts.sitAt) tubes.push(tube('seat post', 'bar', 0.025, [seatTop, add(saddle, scale(seatDir, -0.05))]));
  const crankM = survey.crankLength?.value ?? 0.17;
  const pedal = add(bracket, { x: crankM * Math.cos(0.9), y: -crankM * Math.sin(0.9) });
  const deckY = rearAxle.y + rearRadiusM + 0.045;

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
    seat: parts.seat ?? null,
    secondCrank: parts.secondCrank ?? null,
    secondSaddle: parts.secondSaddle ?? null,
    shock: parts.shock ?? null,
    suspension: parts.suspension ?? null,
    tubeSizes,
    hinge: parts.hinge ?? null,
    rearRadiusM,
    frontRadiusM,
    rearTyre,
    frontTyre,
    triangle: parts.triangle ?? null,
    tubes,
    rackDeck: parts.rackDeck ?? {
      from: { x: -0.24, y: deckY },
      to: { x: traits.boom ? 0.12 : Math.min(0.16, seatTop.x - 0.12), y: deckY },
    },
    box: parts.box ?? null,
    shell: parts.shell ?? null,
    dimensions: dimensionLines(survey, {
      boom: traits.boom,
      rearAxle,
      frontAxle,
      bracket,
      seatTop,
      triangle: parts.triangle ?? null,
      seatTube,
      chainstay,
      bracketHeight,
      bracketReach,
      wheelbase,
    }),
    trackM: traits.paired === 'none' ? 0 : (survey.track?.value ?? common.track),
    pairedRear: traits.paired === 'rear',
    pairedFront: traits.paired === 'front',
    headAngleRad: Math.atan2(axis.y, -axis.x),
    problem,
  };
}

function barStyleOf(survey: Survey, parts: FrameParts): 'drop' | 'upright' | 'flat' {
  const shape = survey.barShape?.value;
  if (shape === 'flat') return 'flat';
  if (shape === 'swept' || shape === 'tall' || shape === 'loop') return 'upright';
  return parts.barStyle ?? 'upright';
}

/** Stem and bar above a head, as the bar's shape has them. */
function barTubes(headTop: Point, axis: Point, style: 'drop' | 'upright' | 'flat'): { tubes: Tube[]; grip: Point } {
  const upright = style === 'upright';
  const stemTop = add(headTop, scale(axis, upright ? 0.1 : 0.05));
  const clamp = add(stemTop, { x: upright ? 0.03 : 0.07, y: 0.025 });
  const stem = tube('stem', 'bar', 0.022, [headTop, stemTop, clamp]);
  if (upright) {
    const grip = add(stemTop, { x: -0.17, y: 0.085 });
    const bar = tube(
      'bar',
      'bar',
      0.022,
      [clamp, add(clamp, { x: 0.035, y: 0.045 }), add(clamp, { x: -0.03, y: 0.075 }), grip],
      true,
    );
    return { tubes: [stem, bar], grip };
  }
  if (style === 'flat') {
    const grip = add(clamp, { x: -0.065, y: 0.02 });
    return { tubes: [stem, tube('bar', 'bar', 0.022, [clamp, add(clamp, { x: -0.02, y: 0.012 }), grip])], grip };
  }
  const bend = [
    add(clamp, { x: 0, y: 0.005 }),
    add(clamp, { x: 0.07, y: 0.012 }),
    add(clamp, { x: 0.085, y: -0.06 }),
    add(clamp, { x: 0.03, y: -0.11 }),
    add(clamp, { x: -0.02, y: -0.11 }),
  ];
  return { tubes: [stem, tube('bar', 'bar', 0.022, bend, true)], grip: add(clamp, { x: 0.035, y: 0.035 }) };
}

interface LineSources {
  boom: boolean;
  bracketReach: Picked;
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
    ...(g.boom
      ? [
          {
            item: 'bracketReach' as const,
            from: { x: g.rearAxle.x, y: 0 },
            to: { x: g.bracket.x, y: 0 },
            valueM: g.bracketReach.value,
            basis: g.bracketReach.basis,
            offsetM: -0.2,
          },
        ]
      : seatLines(g)),
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
      {
        item: 'topSide',
        from: t.seat,
        to: t.headUp,
        valueM: t.topSideM,
        basis: basisOf(survey.topSide),
        offsetM: 0.065,
      },
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

function seatLines(g: LineSources): DimensionLine[] {
  return [
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
}
