import { isObject, type Loose } from './loose.ts';

/** The schools a build of version 2 began with; written out, so that a later change of the usual ones does not reach back. */
const schoolsThen = {
  carbon: 'refuse',
  midArm: 'ifLoosens',
  hubGearMid: 'smooth',
  cutoffs: 'always',
  throttle: 'scaled',
  wheelSize: 'match',
  battery: 'frame',
  donorAge: 'oldSimple',
  kitSource: 'mix',
  leadAcid: 'lastResort',
  rimBrakes: 'upgraded',
};

/**
 * Version 1 → 2: the survey grew, so did the condition: "cracks, dents, rust-through" became three items
 * and "wheels true, spokes sound" two, each keeping the grade given to the one. Schools, overrides,
 * orders and own laws begin at their usual or empty state.
 */
export function fromVersion1(build: Loose): Loose {
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
    schools: { ...schoolsThen },
    overrides: [],
    orders: {},
  };
}
