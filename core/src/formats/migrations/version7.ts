import type { Loose } from './loose.ts';

/** Version 7 → 8: nothing was said of the bench yet. */
export function fromVersion7(build: Loose): Loose {
  return {
    ...build,
    version: 8,
    bench: { hands: 1, practised: false, weekly: [], once: [], away: [], done: {} },
  };
}
