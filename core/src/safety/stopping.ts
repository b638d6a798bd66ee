import { GRAVITY } from '../constants.ts';
import type { BrakeKind } from '../donor/donor.ts';
import { OVERRUN_SHARE, type TrailerLoads } from './trailer.ts';

/** Time before the brakes bite, s. Source: project. */
const REACTION = 1;
/** Friction of a tyre, dry and wet. Source: project. */
export const GRIP = { dry: 0.8, wet: 0.4 } as const;

/** Deceleration of a 100 kg bicycle by its brakes, m/s². Source: docs/models.md, going safely. */
export function brakeLimits(front: BrakeKind, rear: BrakeKind): { dry: number; wet: number } {
  const disc = (b: BrakeKind): boolean => b === 'discCable' || b === 'discHydraulic';
  const hub = (b: BrakeKind): boolean => b === 'drum' || b === 'roller' || b === 'coaster';
  if (front === 'none') return { dry: 2.5, wet: 2 };
  if (disc(front) && disc(rear)) return { dry: 6, wet: 5 };
  if (disc(front) || disc(rear)) return { dry: 5.5, wet: 4 };
  if (hub(front) || hub(rear)) return { dry: 4, wet: 2.5 };
  return { dry: 5, wet: 2.5 };
}

/** Wet grip of pads on chromed steel by that on aluminium. Source: project, cautious: the first metres do nothing. */
const CHROME_WET = 0.4;

/** The brakes of a vehicle; undefined where nobody has looked. */
export interface Brakes {
  front: BrakeKind | undefined;
  rear: BrakeKind | undefined;
  frontRotorM: number | undefined;
  rearRotorM: number | undefined;
}

/** What must be stopped, by what, on what. */
export interface Stopping {
  front: BrakeKind;
  rear: BrakeKind;
  /** Rim brakes on chromed steel, which fail in the wet. */
  chromed: { front: boolean; rear: boolean };
  /** Mass that its own brakes must stop, kg: all that moves, less what a trailer’s own brake stops. */
  brakedKg: number;
  /** Share of that on the wheels that brake. */
  onWheels: number;
  /** Deceleration at which it tips over the front, m/s². */
  tipsAt: number;
}

/** All that is told of stopping, of a vehicle with what it tows: the one place these are put together. */
export function stoppingOf(
  brakes: Pick<Stopping, 'front' | 'rear' | 'chromed'>,
  massKg: number,
  loads: { xM: number; hM: number },
  frontAxleX: number,
  trailer: { brake: 'none' | 'overrun'; loads: TrailerLoads } | null,
): Stopping {
  const itself = trailer?.brake === 'overrun' ? OVERRUN_SHARE * trailer.loads.massKg : 0;
  const brakedKg = massKg - itself;
  const onOwn = massKg - (trailer?.loads.axleKg ?? 0);
  return {
    ...brakes,
    brakedKg,
    onWheels: Math.min(1, onOwn / brakedKg),
    tipsAt: (GRAVITY * (frontAxleX - loads.xM)) / loads.hM,
  };
}

/** Deceleration dry and wet, m/s²: the least of the road’s grip, the brakes by the mass they stop, and tipping over. */
export function deceleration({ front, rear, chromed, brakedKg, onWheels, tipsAt }: Stopping): {
  dry: number;
  wet: number;
} {
  const own = brakeLimits(front, rear);
  // The front does most of it: two thirds, as far as a rim grips at all.
  const lost = (1 - CHROME_WET) * ((chromed.front ? 2 : 0) + (chromed.rear ? 1 : 0));
  const scale = Math.min(1, 100 / brakedKg);
  const least = (brakes: number, grip: number): number => Math.min(grip * GRAVITY * onWheels, brakes * scale, tipsAt);
  return { dry: least(own.dry, GRIP.dry), wet: least(own.wet * (1 - lost / 3), GRIP.wet) };
}

/** Way to stop, m: v·t + v²/2a. @param reactionS time until the brakes bite; a surprised rider's where none is given */
export function stoppingDistance(speedMs: number, deceleration: number, reactionS = REACTION): number {
  return speedMs * reactionS + (speedMs * speedMs) / (2 * deceleration);
}
