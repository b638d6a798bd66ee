import { expect } from 'chai';
import { newBuild, type Build } from '../build/build.ts';
import { emptyDonor } from '../donor/donor.ts';
import { vehicleKinds } from '../donor/kinds.ts';
import { itemsFor } from '../donor/survey.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { judgeAbout, ruleById } from './judge.ts';

/** Every kit on every kind of vehicle with nothing measured at all. */
function* bare(): Generator<{ kind: string; kit: string; build: Build }> {
  for (const kind of vehicleKinds)
    for (const kit of starterShelf.kit) {
      const build = newBuild('bare', 'Bare', '2026-01-01T00:00:00.000Z');
      build.donor = { ...emptyDonor(), kind };
      build.choice.kitId = kit.id;
      build.choice.packId = 'kettle-36-13';
      yield { kind, kit: kit.id, build };
    }
}

describe('with nothing measured', () => {
  it('no rule that rests on a measurement says “fits”, whatever the kind and the kit', () => {
    const wrong = new Set<string>();
    for (const { kind, kit, build } of bare()) {
      const context = planContext(build, starterShelf);
      for (const about of ['donor', 'kit', 'pack', 'plan'] as const)
        for (const f of judgeAbout(about, context).findings) {
          const rule = ruleById(f.rule);
          if (f.verdict === 'fits' && rule && rule.uses.length > 0)
            wrong.add(`${f.rule}: ${f.title} (${kind}, ${kit})`);
        }
    }
    expect([...wrong].slice(0, 40)).to.deep.equal([]);
  });

  it('no “measure” asks for an item that this kind of vehicle does not have', () => {
    const dead = new Set<string>();
    for (const { kind, build } of bare()) {
      const context = planContext(build, starterShelf);
      const there = new Set(itemsFor(build.donor).map((item) => item.id));
      for (const about of ['donor', 'kit', 'pack', 'plan'] as const)
        for (const f of judgeAbout(about, context).findings)
          for (const remedy of f.remedies)
            if (remedy.item && !there.has(remedy.item)) dead.add(`${f.rule} asks ${remedy.item} of ${kind}`);
    }
    expect([...dead]).to.deep.equal([]);
  });

  it('every “measure” says how to get out of it', () => {
    const stuck = new Set<string>();
    for (const { kind, build } of bare())
      for (const about of ['donor', 'kit', 'pack', 'plan'] as const)
        for (const f of judgeAbout(about, planContext(build, starterShelf)).findings)
          if (f.verdict === 'measure' && f.remedies.length === 0) stuck.add(`${f.rule}: ${f.title} (${kind})`);
    expect([...stuck]).to.deep.equal([]);
  });
});
