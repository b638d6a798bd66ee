import type fc from 'fast-check';

/** A kind of harmed file, and how one is tried. */
export interface Attack {
  name: string;
  /** One try, told by what was changed: what came of it that should not have, or null. */
  tries: fc.Arbitrary<() => string | null>;
}
