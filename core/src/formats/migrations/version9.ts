import type { Loose } from './loose.ts';

/** Version 9 → 10: nothing was proved, tuned or logged yet. */
export function fromVersion9(build: Loose): Loose {
  return {
    ...build,
    version: 10,
    proving: { results: [] },
    tuned: { massKg: null },
    log: { rides: [] },
  };
}
