import {
  planContext,
  planInSteps,
  starterShelf,
  type Build,
  type ChosenPlan,
  type PlanContext,
  type Shelf,
} from '@sprocket/core';
import { inSlices } from '../ui/inSlices.ts';

/** What is chosen, planned, and what for. */
export interface Quick {
  build: Build;
  shelf: Shelf;
  context: PlanContext;
  chosen: ChosenPlan;
}

/** A plan made before anybody asked for it. */
let ahead: Quick | null = null;

/** A build's plan, worked out in slices; undefined where it was no longer wanted. */
export async function planned(build: Build, shelf: Shelf, wanted?: () => boolean): Promise<Quick | undefined> {
  if (ahead?.build === build && ahead.shelf === shelf) return ahead;
  const context = planContext(build, shelf);
  const chosen = await inSlices(planInSteps(context), wanted);
  return chosen && { build, shelf, context, chosen };
}

/** Plans a build while there is nothing else to do: opened next, it is there at once. */
export async function planAhead(build: Build): Promise<void> {
  ahead = (await planned(build, starterShelf)) ?? null;
}
