import type { StepBefore } from '../step.ts';

/** A step before another, and the trouble where that is missed. */
export const after = (step: string, why: string): StepBefore => ({ step, why });

/** What needs the kit comes after it has been looked at. */
export const arrived = after('measure-kit', 'what is worked on does not go back');
/** Why most is taken off first. */
export const tidy = 'what is taken off first is out of the way';
