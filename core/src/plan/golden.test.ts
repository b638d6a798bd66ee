import { expect } from 'chai';
import { existsSync, readFileSync } from 'node:fs';
import { readBuildFile } from '../formats/buildFile.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planText } from '../../test/golden.ts';
import { planBuild } from './planBuild.ts';

const golden = new URL('../../test/golden/', import.meta.url);
const demos = new URL('../../../web/public/demo/builds/', import.meta.url);

/** Whole plans of the demo builds, as they were when last looked at. `node --import tsx scripts/write-golden.ts` after a change on purpose. */
describe('whole plans of the demo builds', () => {
  for (const name of ['mixte', 'box', 'trike', 'lockkeeper', 'gravel'])
    it(`${name} is planned as its golden file has it`, () => {
      const read = readBuildFile(readFileSync(new URL(`demo-${name}.json`, demos), 'utf8'));
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      const kept = new URL(`${name}.txt`, golden);
      expect(existsSync(kept), 'golden file').to.equal(true);
      const now = planText(planBuild(read.value, starterShelf)).split('\n');
      const then = readFileSync(kept, 'utf8').split('\n');
      // The lines that differ, not two walls of text.
      expect(
        now.filter((line) => !then.includes(line)),
        'new lines',
      ).to.deep.equal([]);
      expect(
        then.filter((line) => !now.includes(line)),
        'lost lines',
      ).to.deep.equal([]);
      expect(now, 'order of the lines').to.deep.equal(then);
    });
});
