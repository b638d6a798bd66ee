import type { Trailer } from '../build/brief.ts';
import { GRAVITY } from '../constants.ts';

/** A trailer's weight split between coupling and axle, kg. */
export interface TrailerLoads {
  /** Trailer, load and a pack that rides on it. */
  massKg: number;
  /** What presses on the coupling; below 0 it lifts the bicycle's rear. */
  hitchKg: number;
  /** On its own axle. */
  axleKg: number;
}

/**
 * How a trailer stands on the level: its own mass over its axle, the load ahead of it as described, by moments about
 * the axle. Good to about a kilogram where the load's middle is known to 50 mm.
 * @param packKg mass of a pack that rides on it, taken as part of its load
 */
export function trailerLoads(trailer: Trailer, packKg: number): TrailerLoads {
  const load = trailer.loadKg + packKg;
  const massKg = trailer.massKg + load;
  // The drawbar's own weight lies ahead: an empty trailer presses with a twentieth of its mass. Source: project.
  const hitchKg = (load * trailer.loadAheadM) / trailer.drawbarM + trailer.massKg * EMPTY_ON_HITCH;
  return { massKg, hitchKg, axleKg: massKg - hitchKg };
}

/** Share of an empty trailer's mass on its coupling. Source: project. */
const EMPTY_ON_HITCH = 0.05;
/** Share of its own weight's braking that an overrun brake does by itself. Source: project, cable or rod overrun on drums. */
export const OVERRUN_SHARE = 0.7;
/** A bend between bicycle and trailer at which the push is judged, rad. Source: project, a street corner. */
const BEND = Math.PI / 6;
/** Friction of a tyre in the wet. Source: docs/models.md, going safely. */
const WET = 0.4;

/** What a trailer does to braking, on the flat and on a descent. Forces in N. */
export interface TrailerPush {
  /** Its share of the mass that the bicycle's own brakes must stop; 0 for what brakes itself. */
  brakedShare: number;
  /** Push on the coupling while braking at the deceleration given on the grade given. */
  pushN: number;
  /** Push held at steady speed on the descent. */
  steadyN: number;
  /** Sideways part of the push in a bend of 30°, and what the rear tyre holds sideways in the wet. */
  sidewaysN: number;
  holdsN: number;
}

/**
 * Push of a trailer on its bicycle: m·(a + g·(sinθ − Crr·cosθ)), less what its own brake does. In a bend the push's
 * sideways part, sin 30° of it, must be held by the rear tyre beside the braking it does itself: past that it jack-knifes.
 * @param loads the trailer's own
 * @param rearN load on the bicycle's rear tyre while braking, N
 * @param deceleration m/s²
 * @param grade steepest descent, rise over run, positive
 * @param rolling Crr of its tyres with the surface's
 */
export function trailerPush(
  trailer: Trailer,
  loads: TrailerLoads,
  rearN: number,
  deceleration: number,
  grade: number,
  rolling: number,
): TrailerPush {
  const angle = Math.atan(grade);
  const itself = trailer.brake === 'overrun' ? OVERRUN_SHARE : 0;
  const down = GRAVITY * (Math.sin(angle) - rolling * Math.cos(angle));
  const push = (a: number): number => Math.max(0, loads.massKg * (a + down)) * (1 - itself);
  const pushN = push(deceleration);
  return {
    brakedShare: 1 - itself,
    pushN,
    steadyN: push(0),
    sidewaysN: pushN * Math.sin(BEND),
    holdsN: WET * Math.max(0, rearN),
  };
}

/** Room a turn takes with a trailer, m. */
export interface TurningRoom {
  /** Circle of the front wheel at the lock given. */
  outerM: number;
  /** Of the trailer's inner side. */
  innerM: number;
  /** Between them: what a gateway must leave. */
  wideM: number;
  /** How far the trailer cuts in behind the rear wheel. */
  cutInM: number;
}

/** Widest lock at walking pace, rad. Source: project; 40° at the ground. */
const LOCK = (40 * Math.PI) / 180;

/**
 * A steady turn at full lock: rear wheel on L ÷ tan δ, its coupling on √(R² + b²), the trailer's axle on
 * √(R² + b² − l²). A trailer longer than the turn allows would fold: its axle's radius is 0 then.
 */
export function turningRoom(wheelbaseM: number, trailer: Trailer): TurningRoom {
  const rear = wheelbaseM / Math.tan(LOCK);
  const outerM = wheelbaseM / Math.sin(LOCK);
  const behind = Math.sqrt(Math.max(0, rear ** 2 + trailer.hitchBackM ** 2 - trailer.drawbarM ** 2));
  const innerM = behind - trailer.widthM / 2;
  return { outerM, innerM, wideM: outerM - innerM, cutInM: rear - behind };
}
