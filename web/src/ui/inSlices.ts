import type { Steps } from '@sprocket/core';

/** Longest a slice may hold the page, ms: a key pressed meanwhile is answered within a frame. */
const SLICE = 12;

/**
 * Takes a sum in steps to its end, leaving the page to others between slices of it.
 * @param wanted asked before each slice: false ends it
 * @returns the answer, or undefined where it was no longer wanted
 */
export async function inSlices<T>(steps: Steps<T>, wanted: () => boolean = () => true): Promise<T | undefined> {
  while (wanted()) {
    const start = performance.now();
    do {
      const step = steps.next();
      if (step.done) return step.value;
    } while (performance.now() - start < SLICE);
    await new Promise((done) => setTimeout(done));
  }
  return undefined;
}
