import { planContext } from './context.ts';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { newBuild, type Build } from '../build/build.ts';
import { readBuildFile } from '../formats/buildFile.ts';
import { clusterSchema, ringSchema } from '../parts/gearParts.ts';
import { kitSchema } from '../parts/kit.ts';
import { packSchema, type Pack } from '../parts/pack.ts';
import { withParts } from '../parts/part.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planBuild } from './planBuild.ts';
import { whatWouldChange } from './whatChanges.ts';

function demo(name: string): Build {
  const read = readBuildFile(
    readFileSync(new URL(`../../../web/public/demo/builds/demo-${name}.json`, import.meta.url), 'utf8'),
  );
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}
const figure = (b: Build, id: string): number =>
  planBuild(b, starterShelf).figures.find((f) => f.id === id)?.value?.si ?? NaN;

describe('the starter shelf', () => {
  it('holds to its own schemas, with no id twice', () => {
    for (const kit of starterShelf.kit) expect(kitSchema.safeParse(kit).error, kit.id).to.equal(undefined);
    for (const pack of starterShelf.pack) expect(packSchema.safeParse(pack).error, pack.id).to.equal(undefined);
    for (const ring of starterShelf.ring) expect(ringSchema.safeParse(ring).error, ring.id).to.equal(undefined);
    for (const cluster of starterShelf.cluster)
      expect(clusterSchema.safeParse(cluster).error, cluster.id).to.equal(undefined);
    const ids = [...starterShelf.kit, ...starterShelf.pack, ...starterShelf.ring, ...starterShelf.cluster].map(
      (p) => p.id,
    );
    expect(new Set(ids).size).to.equal(ids.length);
    expect(new Set(starterShelf.pack.map((p) => p.chemistry)).size).to.equal(3);
    expect(new Set(starterShelf.kit.map((k) => k.family)).size).to.equal(5);
  });
});

describe('planBuild', () => {
  it('plans an empty build: nothing fits, everything is to be measured or chosen', () => {
    const plan = planBuild(newBuild('a', 'A', '2026-01-01T00:00:00.000Z'), starterShelf);
    expect(plan.verdict).to.equal('measure');
    expect(plan.figures.filter((f) => f.value === null).map((f) => f.id)).to.deep.equal([
      'range',
      'topSpeed',
      'startGrade',
      'climb',
    ]);
    expect(plan.kits.some((k) => k.verdict === 'fits')).to.equal(false);
    expect(plan.packs.some((p) => p.verdict === 'fits')).to.equal(false);
  });

  it('is pure: the same answer twice, the build untouched, plain data throughout', () => {
    const build = demo('mixte');
    const before = JSON.stringify(build);
    const plan = planBuild(build, starterShelf);
    expect(planBuild(build, starterShelf)).to.deep.equal(plan);
    expect(JSON.stringify(build)).to.equal(before);
    expect(structuredClone(plan)).to.deep.equal(plan);
  });

  it('tells the demo’s five stories from the rules', () => {
    const verdicts = Object.fromEntries(
      ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'].map((name) => [name, planBuild(demo(name), starterShelf)]),
    );
    expect(verdicts.mixte?.verdict).to.equal('rework');
    expect(verdicts.trike?.verdict).to.equal('rework');
    expect(verdicts.box?.verdict).to.equal('measure');
    expect(verdicts.lockkeeper?.verdict).to.equal('fits');
    expect(verdicts.gravel?.verdict).to.equal('stop');
    expect(
      verdicts.gravel?.kits.every((k) => k.verdict === 'stop'),
      'no kit on carbon',
    ).to.equal(true);
    const lock = verdicts.lockkeeper;
    // The low curved tube carries nothing by itself: rack, seat tube or basket are found instead.
    const goes = lock?.packs.filter((p) => p.verdict === 'fits') ?? [];
    expect(goes.length).to.be.greaterThan(1);
    for (const p of goes) expect(['rack', 'seatTube', 'behindSeatTube', 'basket'], p.pack.name).to.include(p.place);
    expect(verdicts.trike?.kits.filter((k) => k.kit.hub?.place === 'rear').every((k) => k.verdict === 'stop')).to.equal(
      true,
    );
  });

  it('follows the rider, the load and the ring the way the road does', () => {
    const base = demo('box');
    const heavier = structuredClone(base);
    const [rider] = heavier.brief.riders;
    if (rider) rider.massKg += 20;
    for (const id of ['range', 'startGrade', 'climb']) expect(figure(heavier, id), id).to.be.lessThan(figure(base, id));
    expect(figure(heavier, 'mass')).to.be.closeTo(figure(base, 'mass') + 20, 1e-9);
    const taller = structuredClone(base);
    taller.choice.ringId = 'ring-44-bcd104';
    expect(figure(taller, 'startGrade')).to.be.lessThan(figure(base, 'startGrade'));
  });

  it('refuses a ring, a cluster and volts that do not go together', () => {
    const build = demo('box');
    build.choice.ringId = 'ring-46-bcd130';
    build.choice.clusterId = 'freewheel-6-14-28';
    build.choice.packId = 'kettle-48-14';
    const plan = planBuild(build, starterShelf);
    const rule = (id: string): string | undefined => plan.findings.find((f) => f.rule === id)?.verdict;
    expect(rule('ring-mount')).to.equal('stop');
    expect(rule('cluster-choice')).to.equal('stop');
    expect(rule('pack-volts')).to.equal('stop');
    expect(plan.figures[0]?.value).to.equal(null);
  });

  it('takes a person’s own part like any other', () => {
    const build = demo('mixte');
    const [like] = starterShelf.pack;
    if (!like) throw new Error('empty shelf');
    const own: Pack = { ...like, id: 'own-attic', name: 'Attic pack', parallel: 8 };
    const before = figure(build, 'range');
    build.ownParts = [own];
    build.choice.packId = 'own-attic';
    expect(planBuild(build, starterShelf).chosen.pack?.name).to.equal('Attic pack');
    expect(figure(build, 'range')).to.be.greaterThan(before * 1.8);
    expect(withParts(starterShelf, [own]).pack.length).to.equal(starterShelf.pack.length + 1);
  });

  it('the band holds the middle, and names its causes largest first', () => {
    const { band } = planBuild(demo('mixte'), starterShelf).pack;
    if (!band) throw new Error('no band');
    expect(band.lowM).to.be.lessThan(band.midM);
    expect(band.highM).to.be.greaterThan(band.midM);
    expect([...band.causes].sort((a, b) => b.share - a.share)).to.deep.equal(band.causes);
  });

  it('every figure that has a value has a sum; every sum’s masses add up', () => {
    for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel']) {
      for (const f of planBuild(demo(name), starterShelf).figures) {
        expect(f.sum.length, `${name} ${f.id}`).to.be.greaterThan(0);
        if (f.id !== 'mass') continue;
        const parts = f.sum
          .filter((l) => !/limit/.test(l.label))
          .reduce((sum, l) => sum + (typeof l.value === 'string' ? 0 : l.value.si), 0);
        expect(parts).to.be.closeTo(f.value?.si ?? NaN, 1e-9);
      }
    }
  });

  it('says what would change a figure, and by how much', () => {
    const build = demo('box');
    const changes = whatWouldChange(planContext(build, starterShelf), 'startGrade');
    const ring = changes.find((c) => /ring of 30/.test(c.text));
    expect(ring?.delta.si).to.be.greaterThan(0);
    const lighter = structuredClone(build);
    const [rider] = lighter.brief.riders;
    if (rider) rider.massKg -= 10;
    expect(changes.find((c) => c.text === '10 kg less')?.value.si).to.be.closeTo(figure(lighter, 'startGrade'), 1e-9);
  });
});
