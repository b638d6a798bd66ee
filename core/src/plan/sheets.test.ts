import { holdGolden } from '../../test/golden.ts';
import { sheetBuilds, sheetsGolden } from '../../test/sheets.ts';

/** Gear, sizing and ride sheets and what else the stages show, as they were when last looked at: scripts/write-golden.ts. */
describe('every sheet of a build', () => {
  for (const [name, build] of Object.entries(sheetBuilds))
    it(`${name}: as its golden files have it`, () => holdGolden(`sheets/${name}`, sheetsGolden(build())));
});
