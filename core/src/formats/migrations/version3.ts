import type { Loose } from './loose.ts';

/** Version 3 → 4: a build records which alternative of a finding was taken; none was. */
export function fromVersion3(build: Loose): Loose {
  return { ...build, version: 4, fixes: [] };
}
