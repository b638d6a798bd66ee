import { expect } from 'chai';
import fc from 'fast-check';
import { attacks } from '../../test/attacks.ts';
import { runs } from '../../test/runs.ts';

/** Dear kinds are tried less often. */
const OFTEN: Record<string, number> = {
  'build files, every kit and pack judged': 12,
  'edits and merges through the gate': 20,
  'own packs whose outlines cross themselves': 20,
  'buying cases': 20,
  outlines: 80,
  tracks: 80,
};

/** Whatever stands in a file: it is refused with its place, or used to the end with figures that are figures. */
describe('files with anything in them', () => {
  for (const { name, tries } of attacks)
    it(`${name}: are refused with their places or used to the end, every figure finite`, () => {
      const few = OFTEN[name] ?? 60;
      fc.assert(
        fc.property(tries, (attempt) => {
          expect(attempt()).to.equal(null);
        }),
        { numRuns: runs(few, few * 60) },
      );
    });
});
