/** Spokes: how long, how many crosses, how tight. */

/** Diameter of a spoke's hole in a flange, m. Source: the trade, 2 mm spokes. */
const SPOKE_HOLE = 0.0026;
/** Mass of a 2 mm steel spoke, kg a metre: 7850 kg/m³ · π · 1 mm². */
const SPOKE_KG_PER_M = 7850 * Math.PI * 0.001 ** 2;
/** Tension wanted on the tighter side, N. Source: workshop practice, 36 spokes under a motor. */
export const SPOKE_TENSION = 1000;
/** Least angle between spoke and rim that a nipple bears, as its lean off straight, rad. */
export const MOST_LEAN = (12 * Math.PI) / 180;

/**
 * Length of a spoke, m: √(a² + b² + c² − 2ab·cos(720°·x/n)) − d/2, docs/models.md §8.
 * @param flangeM radius of the flange's hole circle
 * @param erdM the rim's effective diameter
 * @param outM from the hub's middle to the flange
 */
export function spokeLength(flangeM: number, erdM: number, outM: number, crosses: number, spokes: number): number {
  const turn = (4 * Math.PI * crosses) / spokes;
  const rim = erdM / 2;
  return Math.sqrt(flangeM ** 2 + rim ** 2 + outM ** 2 - 2 * flangeM * rim * Math.cos(turn)) - SPOKE_HOLE / 2;
}

/** How far off the rim's radius a spoke reaches it, rad. */
export function spokeLean(flangeM: number, rimRadiusM: number, crosses: number, spokes: number): number {
  const turn = (2 * Math.PI * crosses) / (spokes / 2);
  const along = Math.sqrt(flangeM ** 2 + rimRadiusM ** 2 - 2 * flangeM * rimRadiusM * Math.cos(turn));
  return Math.asin(Math.min(1, (flangeM * Math.sin(turn)) / along));
}

/** Most crosses at which a spoke still reaches the rim straight enough. */
export function bestCrosses(flangeM: number, rimRadiusM: number, spokes: number): number {
  return [3, 2, 1, 0].find((x) => spokeLean(flangeM, rimRadiusM, x, spokes) <= MOST_LEAN) ?? 0;
}

/** Pitch of a plucked spoke, Hz: √(T/μ) ÷ 2L. */
export function spokePitch(tensionN: number, freeM: number): number {
  return Math.sqrt(tensionN / SPOKE_KG_PER_M) / (2 * freeM);
}

/** A hub to be laced, m. */
export interface LacedHub {
  flangeRadiusM: number;
  flangeOutM: { left: number; right: number };
  spokes: number;
}

/** One way to lace it. */
export interface LacingRow {
  crosses: number;
  leftM: number;
  rightM: number;
  leanRad: number;
  straight: boolean;
}

/** Every way to lace a hub into a rim, and the tightness its spokes want. */
export interface Lacing {
  rows: LacingRow[];
  best: number;
  /** The side whose flange stands nearer the middle is the tighter; N and Hz by side. */
  tension: { left: number; right: number };
  pitchHz: { left: number; right: number };
}

/** Spoke lengths for no to three crosses, by half millimetres of certainty where the rim's diameter is known. */
export function lacingOf(hub: LacedHub, erdM: number): Lacing {
  const { flangeRadiusM: a, flangeOutM: out, spokes } = hub;
  const rows = [0, 1, 2, 3].map((crosses): LacingRow => {
    const leanRad = spokeLean(a, erdM / 2, crosses, spokes);
    return {
      crosses,
      leftM: spokeLength(a, erdM, out.left, crosses, spokes),
      rightM: spokeLength(a, erdM, out.right, crosses, spokes),
      leanRad,
      straight: leanRad <= MOST_LEAN,
    };
  });
  const best = bestCrosses(a, erdM / 2, spokes);
  const at = rows[best] as LacingRow;
  // Both sides pull the rim to the middle: tension goes as the other side's sine.
  const sine = { left: out.left / at.leftM, right: out.right / at.rightM };
  const most = Math.max(sine.left, sine.right);
  const tension = {
    left: SPOKE_TENSION * (sine.right / most),
    right: SPOKE_TENSION * (sine.left / most),
  };
  return {
    rows,
    best,
    tension,
    pitchHz: { left: spokePitch(tension.left, at.leftM), right: spokePitch(tension.right, at.rightM) },
  };
}
