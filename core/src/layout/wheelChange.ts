import type { Donor } from '../donor/donor.ts';
import type { DonorGeometry, Point } from '../donor/geometry.ts';
import { tyreCircumference, tyreRadius, type TyreSize } from '../quantity/tyre.ts';

/** Offset of a common fork's axle ahead of the steering axis, m. Source: project, common forks. */
const FORK_OFFSET = 0.045;
/** Pedal clearance that riders get used to, m; below it a pedal strikes in a lean. Source: workshop practice. */
export const PEDAL_CLEARANCE_WANTED = 0.1;
/** A shoe's toe ahead of the pedal's axle, m. Source: project, common shoes, ball of the foot on the axle. */
const TOE_AHEAD = 0.09;
/** Crank lengths that are sold, m. */
const CRANKS_SOLD = [0.175, 0.1725, 0.17, 0.165, 0.16, 0.155, 0.152, 0.15, 0.145, 0.14, 0.127, 0.114] as const;

/** A figure before and after. */
export interface Change {
  before: number;
  after: number;
}

/** What other wheels do to a vehicle. */
export interface WheelChange {
  rearRadiusM: Change;
  frontRadiusM: Change;
  /** Crank centre above the ground, m. */
  bracketHeightM: Change;
  /** Pedal above the ground, crank down, m. */
  pedalClearanceM: Change;
  /** Between a shoe's toe, crank level, and the front tyre, m; below zero they meet in a tight turn. */
  toeGapM: Change;
  headAngleRad: Change;
  seatAngleShiftRad: number;
  /** Trail: how far the contact lies behind where the steering axis meets the ground, m. */
  trailM: Change;
  /** Longest crank sold that keeps the clearance wanted, m; null where none does. */
  crankM: number | null;
  /** How far a rim brake's pads would have to move, down where positive, m; 0 where the rim is the same. */
  rearPadM: number;
  frontPadM: number;
  /** Circumference to set, m, of the wheel a sensor reads, and its share of the old. */
  circumferenceM: Change;
  /** Speeds in each gear become this share of what they were. */
  speedShare: number;
  /** New tyre against the room that was measured: null where it was not. */
  rearRoomM: number | null;
  frontRoomM: number | null;
  cautions: WheelCaution[];
}

/** What of a change wants care. */
export type WheelCaution = 'pedalsLow' | 'cranksTooLong' | 'padsMove' | 'tyreTight' | 'toesMeetTyre' | 'oddTrail';

/** Room a tyre wants each side, m, and trail that steers like a bicycle, m. Source: workshop practice. */
const TYRE_ROOM_WANTED = 0.004;
const TRAIL_USUAL = { least: 0.03, most: 0.085 };

function cautionsOf(c: Omit<WheelChange, 'cautions'>, crankM: number): WheelCaution[] {
  const low = c.pedalClearanceM.after < PEDAL_CLEARANCE_WANTED;
  const tight = (room: number | null): boolean => room !== null && room < TYRE_ROOM_WANTED;
  return [
    ...(low ? (['pedalsLow'] as const) : []),
    ...(low && c.crankM !== null && c.crankM < crankM ? (['cranksTooLong'] as const) : []),
    ...(c.rearPadM !== 0 || c.frontPadM !== 0 ? (['padsMove'] as const) : []),
    ...(tight(c.rearRoomM) || tight(c.frontRoomM) ? (['tyreTight'] as const) : []),
    ...(c.toeGapM.after < 0 ? (['toesMeetTyre'] as const) : []),
    ...(c.trailM.after < TRAIL_USUAL.least || c.trailM.after > TRAIL_USUAL.most ? (['oddTrail'] as const) : []),
  ];
}

/** Trail from wheel radius, head angle and fork offset. */
export function trailOf(radiusM: number, headAngleRad: number, offsetM = FORK_OFFSET): number {
  return (radiusM * Math.cos(headAngleRad) - offsetM) / Math.sin(headAngleRad);
}

/** Crank's circle with a toe on it, against the front tyre. */
function toeGap(bracket: Point, axle: Point, radiusM: number, crankM: number): number {
  return Math.hypot(axle.x - bracket.x, axle.y - bracket.y) - crankM - TOE_AHEAD - radiusM;
}

/**
 * Other wheels on the same frame: how it stands, steers and clears the ground. Small angles are turned exactly
 * about the contacts; the bracket's height to first order in the pitch (good to 1 mm for a 2 inch change).
 */
export function wheelChange(donor: Donor, g: DonorGeometry, rear: TyreSize, front: TyreSize): WheelChange {
  const base = g.frontAxle.x - g.rearAxle.x;
  const newRear = tyreRadius(rear);
  const newFront = tyreRadius(front);
  const dRear = newRear - g.rearRadiusM;
  const dFront = newFront - g.frontRadiusM;
  // Nose up where positive.
  const pitch = Math.atan2(dFront - dRear, base);
  const at = (g.bracket.x - g.rearAxle.x) / base;
  const bracket = g.bracket.y + dRear * (1 - at) + dFront * at;
  const crank = donor.survey.crankLength?.value ?? 0.17;
  const head = g.headAngleRad - pitch;
  const room = (id: 'rearTyreRoom' | 'frontTyreRoom', tyre: TyreSize): number | null => {
    const widest = donor.survey[id]?.value;
    return widest === undefined ? null : (widest - tyre.widthM) / 2;
  };
  const change = {
    rearRadiusM: { before: g.rearRadiusM, after: newRear },
    frontRadiusM: { before: g.frontRadiusM, after: newFront },
    bracketHeightM: { before: g.bracket.y, after: bracket },
    pedalClearanceM: { before: g.bracket.y - crank, after: bracket - crank },
    toeGapM: {
      before: toeGap(g.bracket, g.frontAxle, g.frontRadiusM, crank),
      after: toeGap({ x: g.bracket.x, y: bracket }, { x: g.frontAxle.x, y: newFront }, newFront, crank),
    },
    headAngleRad: { before: g.headAngleRad, after: head },
    seatAngleShiftRad: -pitch,
    trailM: { before: trailOf(g.frontRadiusM, g.headAngleRad), after: trailOf(newFront, head) },
    crankM: CRANKS_SOLD.find((c) => c <= crank + 1e-9 && bracket - c >= PEDAL_CLEARANCE_WANTED) ?? null,
    rearPadM: (g.rearTyre.beadM - rear.beadM) / 2,
    frontPadM: (g.frontTyre.beadM - front.beadM) / 2,
    circumferenceM: { before: tyreCircumference(g.rearTyre), after: tyreCircumference(rear) },
    speedShare: newRear / g.rearRadiusM,
    rearRoomM: room('rearTyreRoom', rear),
    frontRoomM: room('frontTyreRoom', front),
  };
  return { ...change, cautions: cautionsOf(change, crank) };
}
