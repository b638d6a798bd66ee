import type { Point } from './point.ts';
import type { InsidePolygon, Survey } from '../donor.ts';
import type { InsideFit, TubeSizes } from '../inside.ts';
import { isProven, type Entry } from '../entry.ts';
import type { CommonFrame } from '../common.ts';
import type { VehicleKind } from '../kinds.ts';

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

/** The frame's inside: corners at the bracket, at the seat tube's upper end, and the two at the head. */
export interface InnerTriangle {
  bracket: Point;
  seat: Point;
  /** Upper corner at the head, where the upper tube ends. */
  headUp: Point;
  /** Lower corner at the head, where the down tube ends. */
  head: Point;
  /** All corners in order from the bracket up the seat tube; more than four where a side is bowed or drawn freely. */
  outline: Point[];
  /** How the corners were come by, with their errors; null where a free polygon gave them. */
  fit: InsideFit | null;
  seatSideM: number;
  topSideM: number;
  downSideM: number;
  basis: Basis;
}

/** A figure and how it is known. */
export interface Picked {
  value: number;
  basis: Basis;
}

/** The entry's value, or the common one where there is none. */
export function pick(e: Entry<number> | undefined, otherwise: number): Picked {
  return e === undefined
    ? { value: otherwise, basis: 'assumed' }
    : { value: e.value, basis: isProven(e) ? 'measured' : 'assumed' };
}

/** What every kind's frame is drawn from. */
export interface FrameBase {
  kind: VehicleKind;
  survey: Survey;
  common: CommonFrame;
  /** Diameters of the tubes round the inside, m. */
  tubeSizes: TubeSizes;
  /** The inside as a free polygon, where it was taken so. */
  freeInside: InsidePolygon | null;
  /** The main tube's own line, m from the crank centre. */
  mainTubePath: Point[] | null;
  rearAxle: Point;
  frontAxle: Point;
  bracket: Point;
  rearRadiusM: number;
  frontRadiusM: number;
  /** Unit vector up the seat tube. */
  seatDir: Point;
  seatTop: Point;
  seatTubeM: number;
  /** Where the steering axis' foot lies: behind the front axle by the fork's offset. */
  forkFoot: Point;
}

/** Joints of a swinging rear end, at rest. */
export interface SuspensionLinks {
  /** About which the arm with the axle turns. */
  pivot: Point;
  /** Rocker's bearing on the seat tube, and its two ends. */
  rocker: Point;
  rockerTail: Point;
  rockerNose: Point;
  /** End of the shock that moves, and on what. */
  shockOn: 'nose' | 'tail' | 'arm' | 'none';
}

/** What a kind adds to the base: tubes, head, and whatever only it has. */
export interface FrameParts {
  tubes: Tube[];
  headBottom: Point;
  headTop: Point;
  triangle?: InnerTriangle;
  box?: Point[];
  /** Outline of a shell round rider and drive, closed. */
  shell?: Point[];
  seat?: Point[];
  /** Where the rider sits and holds, if not on saddle and bars as usual. */
  sitAt?: Point;
  holdAt?: Point;
  secondCrank?: Point;
  secondSaddle?: Point;
  shock?: { from: Point; to: Point };
  suspension?: SuspensionLinks;
  hinge?: Point;
  rackDeck?: { from: Point; to: Point };
  /** The kind draws its own fork and bars. */
  ownFork?: boolean;
  ownBars?: boolean;
  barStyle?: 'drop' | 'upright' | 'flat';
  problem?: string;
}

/** Shorthand for a tube. */
export function tube(name: string, layer: Tube['layer'], diameterM: number, points: Point[], curved = false): Tube {
  return { name, layer, diameterM, points, ...(curved ? { curved } : {}) };
}

/** Unit vector up a steering axis of an angle from the ground, degrees. */
export function steeringAxis(degrees: number): Point {
  const angle = (degrees * Math.PI) / 180;
  return { x: -Math.cos(angle), y: Math.sin(angle) };
}
