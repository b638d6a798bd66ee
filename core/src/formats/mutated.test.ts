import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { harm, harmed, notFinite } from '../../test/mutated.ts';
import { readBuild, readBuildFile } from './buildFile.ts';
import { mendBuild } from './mend.ts';

const RUNS = process.env.SPROCKET_LONG ? 20_000 : 120;
const NOW = '2026-06-01T12:00:00.000Z';
const demos = ['mixte', 'box', 'trike', 'lockkeeper', 'gravel'].map(
  (name) =>
    JSON.parse(
      readFileSync(new URL(`../../../web/public/demo/builds/demo-${name}.json`, import.meta.url), 'utf8'),
    ) as unknown,
);

/** Whatever stands in a file: it is refused with its place, or planned with figures that are figures. */
describe('build files with anything in them', () => {
  const harms = fc.tuple(fc.nat(demos.length - 1), fc.array(harm, { minLength: 1, maxLength: 4 }));

  it('are refused with their places or planned to the end, every figure finite', () => {
    let read = 0;
    fc.assert(
      fc.property(harms, ([which, changes]) => {
        const found = readBuild(harmed(demos[which], changes));
        if (!found.ok) {
          expect(found.problems.length).to.be.greaterThan(0);
          for (const { path, message } of found.problems) {
            expect(path.length).to.be.greaterThan(0);
            expect(message).not.to.match(/Invalid|expected|received|undefined/);
          }
          return;
        }
        read++;
        const { figures, money, gearing, pack, findings } = planChosen(planContext(found.value, starterShelf));
        const { balance, budget, leads } = pack.layout;
        const told = findings.map((f) => [f.why, f.evidence, f.remedies]);
        expect(notFinite({ figures, money, gearing, band: pack.band, balance, budget, leads, told })).to.equal(null);
      }),
      { numRuns: RUNS },
    );
    expect(read, 'some are read').to.be.greaterThan(RUNS / 50);
  });

  it('are mended to a build that can be read and planned', () => {
    fc.assert(
      fc.property(harms, ([which, changes]) => {
        const { build } = mendBuild(harmed(demos[which], changes), 'mended', NOW);
        expect(readBuild(build).ok).to.equal(true);
        planChosen(planContext(build, starterShelf));
      }),
      { numRuns: Math.ceil(RUNS / 3) },
    );
  });

  it('cut off or altered as text say where, and never throw', () => {
    const text = JSON.stringify(demos[0], null, 2);
    fc.assert(
      fc.property(fc.nat(text.length - 1), fc.string({ maxLength: 3 }), fc.boolean(), (at, put, cut) => {
        const read = readBuildFile(cut ? text.slice(0, at) + put : text.slice(0, at) + put + text.slice(at + 1));
        if (!read.ok) expect(read.problems[0]?.path).to.match(/./);
      }),
      { numRuns: RUNS },
    );
  });
});
