import { isObject, type Loose } from './loose.ts';

/**
 * Version 2 → 3: the frame's inside may be a free polygon, things may stand into it, a pack may be put by hand,
 * weights have a baseline: all begin empty. Sides keep their meaning; the head's side is new and unmeasured.
 */
export function fromVersion2(build: Loose): Loose {
  const donor = isObject(build.donor) ? build.donor : {};
  const choice = isObject(build.choice) ? build.choice : {};
  return {
    ...build,
    version: 3,
    donor: { ...donor, inside: null, mainTubePath: null, obstructions: [] },
    choice: { ...choice, packSpot: null, newWheels: { rear: null, front: null } },
    weights: { baseline: null, changes: [] },
  };
}
