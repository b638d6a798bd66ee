import { expect } from 'chai';
import { newBuild, type Build } from '../build/build.ts';
import { emptyDonor } from '../donor/donor.ts';
import { vehicleKinds, type VehicleKind } from '../donor/kinds.ts';
import { itemsFor } from '../donor/survey.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { phraseText } from '../quantity/format.ts';
import type { Finding } from './finding.ts';
import { judgeAbout, ruleById } from './judge.ts';

/** A vehicle of a kind with nothing measured at all. */
function bare(kind: VehicleKind): Build {
  const build = newBuild('bare', 'Bare', '2026-01-01T00:00:00.000Z');
  build.donor = { ...emptyDonor(), kind };
  build.choice.packId = 'kettle-36-13';
  return build;
}

describe('with nothing measured, on every kind with every kit', () => {
  const said: { kind: VehicleKind; kit: string; finding: Finding }[] = [];
  before(function () {
    for (const kind of vehicleKinds) {
      const ground = planContext(bare(kind), starterShelf);
      for (const about of ['donor', 'plan'] as const)
        for (const finding of judgeAbout(about, ground).findings) said.push({ kind, kit: 'none', finding });
      for (const kit of starterShelf.kit) {
        const context = ground.with(kit, ground.pack, false);
        for (const about of ['kit', 'pack', 'plan'] as const)
          for (const finding of judgeAbout(about, context).findings) said.push({ kind, kit: kit.id, finding });
      }
    }
  });

  it('no rule that rests on a measurement says “fits”', () => {
    const wrong = said.filter(({ finding: f }) => f.verdict === 'fits' && (ruleById(f.rule)?.uses.length ?? 0) > 0);
    expect(wrong.map(({ kind, kit, finding: f }) => `${f.rule}: ${f.title} (${kind}, ${kit})`)).to.deep.equal([]);
  });

  it('no “measure” asks for an item that this kind of vehicle does not have', () => {
    const there = new Map(vehicleKinds.map((kind) => [kind, new Set(itemsFor(bare(kind).donor).map((i) => i.id))]));
    const dead = said.flatMap(({ kind, finding }) =>
      finding.remedies.flatMap((r) =>
        r.item && !there.get(kind)?.has(r.item) ? [`${finding.rule} asks ${r.item} of ${kind}`] : [],
      ),
    );
    expect([...new Set(dead)]).to.deep.equal([]);
  });

  it('every “measure” says how to get out of it', () => {
    const stuck = said.filter(({ finding: f }) => f.verdict === 'measure' && f.remedies.length === 0);
    expect(stuck.map(({ kind, finding: f }) => `${f.rule}: ${f.title} (${kind})`)).to.deep.equal([]);
  });

  it('every title and reason begins with a capital or a figure, and names no negative spare', () => {
    const low = said.filter(
      ({ finding: f }) => /^[a-zà-ž]/.test(f.title) || /^[a-zà-ž]/.test(phraseText(f.why, 'metric')),
    );
    expect([
      ...new Set(low.map(({ finding: f }) => `${f.rule}: ${f.title} | ${phraseText(f.why, 'metric')}`)),
    ]).to.deep.equal([]);
  });
});
