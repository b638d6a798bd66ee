import type { Build } from '../build/build.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import type { Kit } from '../parts/kit.ts';

/** What the loom loses to plugs and loops, m. Source: project. */
const LOOPS = 0.12;
/** Lead that a folder's fold takes up where nobody measured it, m. Source: project. */
const COMMON_FOLD = 0.18;
/** Of the way from head tube to bracket that a front motor's lead does not go. Source: project. */
const FRONT_SAVES = 0.45;

/**
 * Length of loom wanted from the bar to the motor's or controller's plug, m: the way along the tubes, full lock, the
 * fold of a folder, plugs and a drip loop. Null while way or lock are not measured.
 */
export function loomWanted({ donor }: Pick<Build, 'donor'>, geometry: DonorGeometry, kit: Kit): number | null {
  const { survey, kind } = donor;
  const path = survey.headToBracket?.value;
  const lock = survey.lockSlack?.value;
  if (path === undefined || lock === undefined) return null;
  const fold = kind === 'folding' ? (survey.foldSlack?.value ?? COMMON_FOLD) : 0;
  const { bracket, rearAxle } = geometry;
  const beyond =
    kit.hub?.place === 'rear'
      ? Math.hypot(bracket.x - rearAxle.x, bracket.y - rearAxle.y)
      : kit.hub?.place === 'front'
        ? -path * FRONT_SAVES
        : 0;
  return path + beyond + lock + fold + LOOPS;
}
