import { Matrix, inverse } from 'ml-matrix';
import { CALIPER_TOLERANCE, TAPE_TOLERANCE } from '../constants.ts';
import type { CommonFrame } from './common.ts';
import type { Survey, SurveyItemId } from './donor.ts';
import { isProven, type Entry } from './entry.ts';
import type { Point } from './frames/point.ts';

/**
 * The frame's inside from whatever was measured of it: four sides, diagonals, angles, tubes taken from
 * outside with their thickness. More than enough is fitted by least squares, less than enough is filled from
 * common values held loosely, and the errors of both come out with the corners.
 *
 * Local axes: origin at the inside corner at the bracket, y up along the seat tube, x towards the head.
 */
export interface InsideFit {
  /** Corner at the bracket (the origin), at the seat tube's top, upper and lower at the head; m. */
  bracket: Point;
  seat: Point;
  headUp: Point;
  headLow: Point;
  /** Crank centre in the same axes: where the middle lines of seat and down tube meet. */
  crank: Point;
  /** One standard error of each corner's place, m. */
  errorM: { seat: number; headUp: number; headLow: number };
  /** How far each measured figure lies from the fitted one, m or rad, worst first; empty where nothing is measured twice. */
  misfits: Misfit[];
  /** Root mean square of the misfits over their errors: about 1 or less when the tape was read well. */
  misfit: number;
}

export interface Misfit {
  item: SurveyItemId;
  measured: number;
  fitted: number;
  /** In standard errors of the reading. */
  errors: number;
}

/** Diameters of the tubes round the inside, m. */
export interface TubeSizes {
  seat: number;
  top: number;
  down: number;
}

/** a: seat side, c: down side, phi: between them, h: head side, psi: head side's lean forward of the seat tube. */
type Unknowns = [a: number, c: number, phi: number, h: number, psi: number];

/** One standard error of a tape reading, m: half its stated reading error. */
const TAPE_ERROR = TAPE_TOLERANCE / 2;
const ANGLE_ERROR = (0.4 * Math.PI) / 180;
/** How far a remembered, and a merely common, length may be off, as a share and at least, m. Source: project. */
const RECALLED = { share: 0.015, least: 0.006 };
const COMMON = { share: 0.07, least: 0.02 };
/** Head and seat tube are parallel to this, rad. Source: project, over common frames. */
const PARALLEL_ERROR = (2 * Math.PI) / 180;

const hyp = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y);

function cornersOf([a, c, phi, h, psi]: Unknowns): Pick<InsideFit, 'bracket' | 'seat' | 'headUp' | 'headLow'> {
  const headLow = { x: c * Math.sin(phi), y: c * Math.cos(phi) };
  return {
    bracket: { x: 0, y: 0 },
    seat: { x: 0, y: a },
    headLow,
    headUp: { x: headLow.x - h * Math.sin(psi), y: headLow.y + h * Math.cos(psi) },
  };
}

/** Where two lines meet, each given by a point and a direction. */
function meet(p: Point, u: Point, q: Point, v: Point): Point {
  const cross = u.x * v.y - u.y * v.x || 1e-12;
  const t = ((q.x - p.x) * v.y - (q.y - p.y) * v.x) / cross;
  return { x: p.x + u.x * t, y: p.y + u.y * t };
}

function unitTo(from: Point, to: Point): Point {
  const d = hyp(from, to) || 1e-12;
  return { x: (to.x - from.x) / d, y: (to.y - from.y) / d };
}

/** Moved to the right of a direction: outward, for sides walked so that the inside is on the left. */
const outward = (p: Point, u: Point, by: number): Point => ({ x: p.x + u.y * by, y: p.y - u.x * by });

function outsideOf(x: Unknowns, tubes: TubeSizes): { seat: number; top: number; down: number; crank: Point } {
  const k = cornersOf(x);
  const seatDir = { x: 0, y: 1 };
  const downDir = { x: Math.sin(x[2]), y: Math.cos(x[2]) };
  const topDir = unitTo(k.headUp, k.seat);
  const headDir = { x: -Math.sin(x[4]), y: Math.cos(x[4]) };
  // Middle lines of seat tube (left of its inside face) and down tube (right of it, looking up) meet at the crank.
  const crank = meet({ x: -tubes.seat / 2, y: 0 }, seatDir, outward(k.bracket, downDir, tubes.down / 2), downDir);
  const topEdge = outward(k.headUp, topDir, tubes.top);
  const topAtSeat = meet(topEdge, topDir, k.seat, seatDir);
  const topAtHead = meet(topEdge, topDir, k.headUp, headDir);
  const topOverSeat = meet(topEdge, topDir, { x: -tubes.seat / 2, y: 0 }, seatDir);
  const lowEdge = outward(k.bracket, downDir, tubes.down);
  const lowAtHead = meet(lowEdge, downDir, k.headLow, headDir);
  const along = (lowAtHead.x - crank.x) * downDir.x + (lowAtHead.y - crank.y) * downDir.y;
  return { seat: hyp(crank, topOverSeat), top: hyp(topAtSeat, topAtHead), down: along, crank };
}

interface Reading {
  item: SurveyItemId | null;
  value: number;
  error: number;
  measured: boolean;
  of: (x: Unknowns) => number;
}

const READ: readonly {
  item: SurveyItemId;
  of: Reading['of'];
  common: 'seatSide' | 'downSide' | 'topSide' | 'headSide' | null;
  tool: number;
}[] = [
  { item: 'seatSide', of: (x) => x[0], common: 'seatSide', tool: TAPE_ERROR },
  { item: 'downSide', of: (x) => x[1], common: 'downSide', tool: TAPE_ERROR },
  { item: 'topSide', of: (x) => sideOf(x, 'seat', 'headUp'), common: 'topSide', tool: TAPE_ERROR },
  { item: 'headSide', of: (x) => x[3], common: 'headSide', tool: TAPE_ERROR },
  { item: 'headDiagonal', of: (x) => sideOf(x, 'bracket', 'headUp'), common: null, tool: TAPE_ERROR },
  { item: 'seatDiagonal', of: (x) => sideOf(x, 'seat', 'headLow'), common: null, tool: TAPE_ERROR },
  { item: 'seatDownAngle', of: (x) => x[2], common: null, tool: ANGLE_ERROR },
  { item: 'seatTopAngle', of: seatTopAngle, common: null, tool: ANGLE_ERROR },
];
const READ_OUTSIDE: readonly { item: SurveyItemId; of: (o: ReturnType<typeof outsideOf>) => number }[] = [
  { item: 'seatOutside', of: (o) => o.seat },
  { item: 'topOutside', of: (o) => o.top },
  { item: 'downOutside', of: (o) => o.down },
];

function readings(survey: Survey, common: CommonFrame, tubes: TubeSizes): Reading[] {
  const out: Reading[] = [];
  for (const { item, of, common: key, tool } of READ) {
    const otherwise = key === null ? null : common[key];
    const entry = survey[item] as Entry<number> | undefined;
    if (entry !== undefined) {
      const loose = Math.max(RECALLED.least, entry.value * RECALLED.share);
      const assumed = Math.max(COMMON.least, entry.value * COMMON.share);
      const error = isProven(entry) ? tool : entry.provenance === 'recalled' ? loose : assumed;
      out.push({ item, value: entry.value, error, measured: isProven(entry), of });
    } else if (otherwise !== null) {
      out.push({
        item,
        value: otherwise,
        error: Math.max(COMMON.least, otherwise * COMMON.share),
        measured: false,
        of,
      });
    }
  }
  for (const { item, of } of READ_OUTSIDE) {
    const entry = survey[item] as Entry<number> | undefined;
    if (entry === undefined) continue;
    const loose = Math.max(RECALLED.least, entry.value * RECALLED.share);
    out.push({
      item,
      value: entry.value,
      error: isProven(entry) ? Math.hypot(TAPE_ERROR, CALIPER_TOLERANCE) : loose,
      measured: isProven(entry),
      of: (x) => of(outsideOf(x, tubes)),
    });
  }
  out.push({ item: null, value: 0, error: PARALLEL_ERROR, measured: false, of: (x) => x[4] });
  return out;
}

function sideOf(x: Unknowns, from: 'bracket' | 'seat', to: 'headUp' | 'headLow'): number {
  const k = cornersOf(x);
  return hyp(k[from], k[to]);
}

function seatTopAngle(x: Unknowns): number {
  const k = cornersOf(x);
  const u = unitTo(k.seat, k.headUp);
  return Math.acos(Math.max(-1, Math.min(1, -u.y)));
}

function scoreOf(list: readonly Reading[], at: Unknowns): number {
  let sum = 0;
  for (const r of list) sum += ((r.value - r.of(at)) / r.error) ** 2;
  return sum;
}

const STEPS: Unknowns = [1e-6, 1e-6, 1e-6, 1e-6, 1e-6];

/**
 * Fits the inside's four corners to what was measured.
 * @param survey sizes in m and rad; unmeasured ones are taken from `common`, loosely
 * @param tubes diameters of the tubes round it, m, for lengths taken from outside
 * @returns corners with their errors; a Gauss–Newton fit, converged to 1e-10 m; errors to first order
 */
export function fitInside(survey: Survey, common: CommonFrame, tubes: TubeSizes): InsideFit {
  const list = readings(survey, common, tubes);
  const key = [
    tubes.seat,
    tubes.top,
    tubes.down,
    ...list.map((r) => `${r.item} ${r.value} ${r.error} ${r.measured}`),
  ].join();
  let made = fitted.get(key);
  if (!made) {
    made = fitTo(list, tubes);
    if (fitted.size >= FITS_KEPT) fitted.delete(fitted.keys().next().value as string);
    fitted.set(key, made);
  }
  return made;
}

/** Fits made before, by all they rest on: a size away from the inside is tried again and again with the same one. */
const fitted = new Map<string, InsideFit>();
const FITS_KEPT = 64;

function fitTo(list: readonly Reading[], tubes: TubeSizes): InsideFit {
  const first = (item: SurveyItemId, otherwise: number): number =>
    list.find((r) => r.item === item)?.value ?? otherwise;
  const a = first('seatSide', 0.45);
  const c = first('downSide', 0.56);
  const t = first('topSide', 0.5);
  const h = first('headSide', 0.05);
  const cosine = (a * a + (c + h * 0.5) ** 2 - t * t) / (2 * a * (c + h * 0.5));
  let x: Unknowns = [a, c, Math.acos(Math.max(-0.9, Math.min(0.97, cosine))), h, 0];
  const weights = list.map((r) => 1 / r.error);
  let normal = Matrix.eye(5);
  let now = scoreOf(list, x);
  for (let round = 0; round < 40; round++) {
    const jacobian = list.map((r, i) =>
      STEPS.map((step, k) => {
        const up = [...x] as Unknowns;
        const down = [...x] as Unknowns;
        up[k] = (up[k] as number) + step;
        down[k] = (down[k] as number) - step;
        return ((r.of(up) - r.of(down)) / (2 * step)) * (weights[i] as number);
      }),
    );
    const J = new Matrix(jacobian);
    const rest = Matrix.columnVector(list.map((r, i) => (r.value - r.of(x)) * (weights[i] as number)));
    normal = J.transpose().mmul(J);
    // A trace of damping keeps a flat triangle's fit from running away; it does not move the answer.
    for (let k = 0; k < 5; k++) normal.set(k, k, normal.get(k, k) * (1 + 1e-9) + 1e-9);
    const step = inverse(normal).mmul(J.transpose().mmul(rest));
    let share = 1;
    let next = x;
    let after = now;
    for (let half = 0; half < 12; half++, share /= 2) {
      next = x.map((value, k) => value + step.get(k, 0) * share) as Unknowns;
      next[2] = Math.max(0.15, Math.min(2.6, next[2]));
      next[3] = Math.max(0, next[3]);
      after = scoreOf(list, next);
      if (after <= now) break;
    }
    const moved = Math.max(...next.map((value, k) => Math.abs(value - (x[k] as number))));
    if (after <= now) {
      x = next;
      now = after;
    }
    if (moved < 1e-11 || after > now) break;
  }
  const covariance = inverse(normal);
  const errorOf = (pick: (k: ReturnType<typeof cornersOf>) => Point): number => {
    const slopes = STEPS.map((step, k) => {
      const up = [...x] as Unknowns;
      up[k] = (up[k] as number) + step;
      const p = pick(cornersOf(up));
      const q = pick(cornersOf(x));
      return { x: (p.x - q.x) / step, y: (p.y - q.y) / step };
    });
    let square = 0;
    for (let i = 0; i < 5; i++)
      for (let j = 0; j < 5; j++) {
        const s = slopes[i] as Point;
        const u = slopes[j] as Point;
        square += covariance.get(i, j) * (s.x * u.x + s.y * u.y);
      }
    return Math.sqrt(Math.max(0, square));
  };
  const misfits = list
    .flatMap((r): Misfit[] =>
      r.item !== null && r.measured
        ? [{ item: r.item, measured: r.value, fitted: r.of(x), errors: Math.abs(r.value - r.of(x)) / r.error }]
        : [],
    )
    .sort((p, q) => q.errors - p.errors);
  const spare = misfits.length;
  return {
    ...cornersOf(x),
    crank: outsideOf(x, tubes).crank,
    errorM: { seat: errorOf((k) => k.seat), headUp: errorOf((k) => k.headUp), headLow: errorOf((k) => k.headLow) },
    misfits: spare > 4 ? misfits : misfits.filter((m) => m.errors > 1),
    misfit: spare === 0 ? 0 : Math.sqrt(misfits.reduce((sum, m) => sum + m.errors ** 2, 0) / spare),
  };
}
