import { expect } from 'chai';

/** Says that a case was met, and is true, so that it can stand in the condition it counts. */
export interface Counted {
  (which?: number): true;
  /** Fails where one of the cases was never met: what was to be shown of it was not. */
  enough: () => void;
}

/**
 * Counts cases that only some turns of a loop meet: `if (kit.hub && met()) expect(…)`, and at the test's end
 * `met.enough()`. An assertion that is never reached would pass whatever is wrong.
 * @param cases how many there are in the test, told apart by number
 */
export function counted(cases = 1): Counted {
  const times = Array.from({ length: cases }, () => 0);
  const met = (which = 0): true => {
    times[which] = (times[which] ?? 0) + 1;
    return true;
  };
  const enough = (): void => times.forEach((n, i) => expect(n, `case ${i} of ${cases} was met`).to.be.above(0));
  return Object.assign(met, { enough });
}
