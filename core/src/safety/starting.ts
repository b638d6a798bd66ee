import type { AxleLoads } from './axleLoads.ts';

/** The steepest grade that tyre and balance let a vehicle set off on, however strong its motor. */
export interface StartCap {
  /** Rise over run. */
  grade: number;
  limit: 'the tyre slips' | 'the front wheel lifts';
}

/** A trailer behind, as a start feels it. */
export interface Towing {
  /** Weight on its own axle ÷ weight on the vehicle’s wheels. */
  share: number;
  /** Crr of its tyres with the surface’s. */
  rolling: number;
  /** Height of the coupling, m. */
  upM: number;
}

/** Steeper than any road, rise over run: where nothing caps a start before, this does. */
const STEEPEST = 2;

/**
 * The steepest start that the driven tyre's grip and, with a rear drive, the front wheel's load allow, at a steady creep:
 * the pull that holds the grade, F = m·g·(Crr·cosθ + sinθ), against μ times the load on the driven axle there; and what
 * is left on the front wheel, which is nothing past tan θ = x/h (docs/models.md). The hill's share of F is its own lever
 * about the rear contact: it is counted once. Halved to 1e-6 of grade.
 * @param wheelbaseM m
 * @param rolling Crr with the surface's
 * @param friction μ of tyre on that surface, dry or wet
 * @param towing what is behind, by the weight on the vehicle's own wheels
 */
export function startCap(
  { xM, hM }: Pick<AxleLoads, 'xM' | 'hM'>,
  wheelbaseM: number,
  driven: 'front' | 'rear',
  rolling: number,
  friction: number,
  towing: Towing | null = null,
): StartCap {
  const at = (grade: number): StartCap['limit'] | null => {
    const angle = Math.atan(grade);
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    // All by the weight m·g, which cancels out.
    const tow = towing ? towing.share * (towing.rolling * cos + sin) : 0;
    const pull = rolling * cos + sin + tow;
    // The coupling pulls back at its height, which takes load off the front.
    const front = (xM * cos - hM * sin - (towing ? tow * towing.upM : 0)) / wheelbaseM;
    const load = driven === 'front' ? front : cos - front;
    if (pull > friction * Math.max(0, load)) return 'the tyre slips';
    return driven === 'rear' && front < 0 ? 'the front wheel lifts' : null;
  };
  const level = at(0);
  if (level !== null) return { grade: 0, limit: level };
  let low = 0;
  let high = STEEPEST;
  let limit: StartCap['limit'] = at(high) ?? 'the tyre slips';
  while (high - low > 1e-6) {
    const middle = (low + high) / 2;
    const found = at(middle);
    if (found === null) low = middle;
    else {
      high = middle;
      limit = found;
    }
  }
  return { grade: low, limit };
}
