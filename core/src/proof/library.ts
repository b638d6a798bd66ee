import type { ProofSpec } from './test.ts';
import { electricalTests } from './tests/electrical.ts';
import { hillTests } from './tests/hill.ts';
import { mechanicalTests } from './tests/mechanical.ts';
import { rangeTests } from './tests/range.ts';
import { slowTests } from './tests/slow.ts';
import { speedTests } from './tests/speed.ts';
import { standTests } from './tests/stand.ts';

/** All tests in their order: each is safe because of those before. */
export const proofLibrary: readonly ProofSpec[] = [
  ...mechanicalTests,
  ...electricalTests,
  ...standTests,
  ...slowTests,
  ...speedTests,
  ...hillTests,
  ...rangeTests,
];
