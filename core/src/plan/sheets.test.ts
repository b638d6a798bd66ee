import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { sheetBuilds, sheetsText } from '../../test/sheets.ts';

/** Gear, sizing and ride sheets and what else the stages show, as they were when last looked at: scripts/write-golden.ts. */
describe('every sheet of a build', () => {
  for (const [name, build] of Object.entries(sheetBuilds))
    it(`${name}: as its golden file has it`, () => {
      const then = readFileSync(new URL(`../../test/golden/sheets/${name}.txt`, import.meta.url), 'utf8').split('\n');
      const now = sheetsText(build()).split('\n');
      expect(
        now.filter((line) => !then.includes(line)),
        'new lines',
      ).to.deep.equal([]);
      expect(now, 'the lines').to.deep.equal(then);
    });
});
