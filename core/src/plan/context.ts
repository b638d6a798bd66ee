import type { Build } from '../build/build.ts';
import { takenBy } from '../fit/judge.ts';
import type { Shelf } from '../parts/part.ts';
import { PlanContext } from '../vehicle/context.ts';

/**
 * The one context of a build: what it chose, the vehicle as it is and as it will be, geometry, road, gearing and
 * laws. Rules, figures, sheets and "what would change this" all take it.
 * @param starter parts to choose from, besides the build's own
 */
export function planContext(build: Build, starter: Shelf): PlanContext {
  const bare = PlanContext.of(build, starter);
  if (build.fixes.length === 0) return bare;
  // A remedy taken is found by its rule on the vehicle without it; its parts then weigh on everything. What only shows
  // once those are on, an axle too short for the arm say, is found in a second pass.
  const first = takenBy(bare);
  if (first.length === 0) return bare;
  const once = bare.having(first);
  if (first.length === build.fixes.length) return once;
  const second = takenBy(once);
  return second.length === first.length ? once : bare.having(second);
}
