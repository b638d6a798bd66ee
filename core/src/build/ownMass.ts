import { commonFrame } from '../donor/common.ts';
import type { Build } from './build.ts';

/** The vehicle by itself, kg, before kit and pack, and whether anybody weighed it. */
export interface OwnMass {
  kg: number;
  known: boolean;
}

/**
 * What the vehicle weighs by itself: as frozen at the beginning, else as weighed, else a common one of its kind; with
 * what was taken off and put on since, and what the weigh-in at Proving found besides. The one place that says so.
 */
export function ownMass({ donor, weights, tuned }: Pick<Build, 'donor' | 'weights' | 'tuned'>): OwnMass {
  const weighed = weights.baseline?.kg ?? donor.survey.vehicleMass?.value;
  const changed = weights.changes.reduce((sum, change) => sum + change.kg, 0);
  const found = tuned.massKg?.by ?? 0;
  return {
    kg: Math.max(1, (weighed ?? commonFrame[donor.kind].vehicleMass) + changed + found),
    known: weighed !== undefined || tuned.massKg !== null,
  };
}
