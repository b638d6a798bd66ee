import { usualSchools } from '../fit/schools.ts';

type Loose = Record<string, unknown>;

const isObject = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Version 1 → 2: the survey grew, so did the condition: "cracks, dents, rust-through" became three items
 * and "wheels true, spokes sound" two, each keeping the grade given to the one. Schools, overrides,
 * orders and own laws begin at their usual or empty state.
 */
function fromVersion1(build: Loose): Loose {
  const donor = isObject(build.donor) ? build.donor : {};
  const condition = isObject(donor.condition) ? donor.condition : {};
  const split = { ...condition };
  for (const [from, to] of [
    ['cracks', 'rust'],
    ['cracks', 'dents'],
    ['wheels', 'spokes'],
  ] as const) {
    if (from in condition && !(to in condition)) split[to] = condition[from];
  }
  return {
    ...build,
    version: 2,
    donor: { ...donor, condition: split },
    ownLaws: [],
    schools: { ...usualSchools },
    overrides: [],
    orders: {},
  };
}

/**
 * Version 2 → 3: the frame's inside may be a free polygon, things may stand into it, a pack may be put by hand,
 * weights have a baseline: all begin empty. Sides keep their meaning; the head's side is new and unmeasured.
 */
function fromVersion2(build: Loose): Loose {
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

/** Takes a parsed build file of an older version up to today's, a version at a time. Newer fields get their usual values. */
export function broughtUpToDate(document: unknown, version: number): unknown {
  if (!isObject(document)) return document;
  let now = document;
  if (version < 2) now = fromVersion1(now);
  if (version < 3) now = fromVersion2(now);
  return now;
}
