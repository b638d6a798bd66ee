import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { newBuild, type Build } from '../build/build.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { readBuild } from './buildFile.ts';
import { headOf } from './head.ts';
import { mendBuild } from './mend.ts';

const NOW = '2026-06-01T12:00:00.000Z';
type Loose = Record<string, unknown>;
const demo = (name: string): Loose =>
  JSON.parse(
    readFileSync(new URL(`../../../web/public/demo/builds/demo-${name}.json`, import.meta.url), 'utf8'),
  ) as Loose;
const old = (version: number): Loose =>
  JSON.parse(readFileSync(new URL(`../../test/builds/version-${version}.json`, import.meta.url), 'utf8')) as Loose;
const at = (build: unknown, ...path: (string | number)[]): Loose =>
  path.reduce<Loose>((here, key) => here[key as string] as Loose, build as Loose);

/** Damage of every kind a store or a hand has been seen to do, and where it must be told. */
const DAMAGE: readonly { what: string; harm: (b: Loose) => void; told: string }[] = [
  { what: 'a section gone', harm: (b) => delete b.brief, told: 'brief' },
  { what: 'a section null', harm: (b) => (b.choice = null), told: 'choice' },
  { what: 'a section a text', harm: (b) => (b.donor = 'a trike'), told: 'donor' },
  { what: 'a mass that is no number', harm: (b) => (at(b, 'brief').cargoKg = 'heavy'), told: 'brief.cargoKg' },
  { what: 'a mass not finite', harm: (b) => (at(b, 'brief').cargoKg = Infinity), told: 'brief.cargoKg' },
  { what: 'an unknown kind of vehicle', harm: (b) => (at(b, 'donor').kind = 'unicycle'), told: 'donor.kind' },
  {
    what: 'a size without its value',
    harm: (b) => delete at(b, 'donor', 'survey', 'wheelbase').value,
    told: 'donor.survey.wheelbase.value',
  },
  {
    what: 'a size as a text',
    harm: (b) => (at(b, 'donor', 'survey').wheelbase = '1050 mm'),
    told: 'donor.survey.wheelbase',
  },
  { what: 'an own part of no kind', harm: (b) => (b.ownParts = [{ id: 'x' }]), told: 'ownParts[0]' },
  { what: 'fixes as an object', harm: (b) => (b.fixes = {}), told: 'fixes' },
  {
    what: 'an override without its reason',
    harm: (b) => (b.overrides = [{ rule: 'axle-slot' }]),
    told: 'overrides[0]',
  },
  { what: 'a day that is none', harm: (b) => (b.updatedAt = 'yesterday'), told: 'updatedAt' },
  { what: 'a name of spaces', harm: (b) => (b.name = '   '), told: 'name' },
  { what: 'a name too long', harm: (b) => (b.name = 'n'.repeat(500)), told: 'name' },
  { what: 'a version from tomorrow', harm: (b) => (b.version = 99), told: 'version' },
  { what: 'no version', harm: (b) => delete b.version, told: 'version' },
  { what: 'another schema', harm: (b) => (b.schema = 'something/else'), told: '' },
];

describe('mending a damaged build', () => {
  it('leaves a sound one as it is', () => {
    const mended = mendBuild(demo('trike'), 'demo-trike', NOW);
    expect(mended.lost).to.deep.equal([]);
    expect(readBuild(demo('trike'))).to.deep.equal({ ok: true, value: mended.build });
  });

  for (const { what, harm, told } of DAMAGE)
    it(`${what}: told where, and all else kept`, () => {
      const kept = demo('trike');
      const whole = JSON.parse(JSON.stringify(kept)) as Loose;
      harm(kept);
      expect(readBuild(kept).ok).to.equal(false);
      const { build, lost } = mendBuild(kept, 'demo-trike', NOW);
      expect(readBuild(build).ok).to.equal(true);
      if (told !== '') expect(lost[0]?.path.startsWith(told), lost[0]?.path).to.equal(true);
      const section = told.split(/[.[]/)[0];
      for (const key of Object.keys(whole).filter((k) => k !== section && k !== 'version' && k !== 'schema'))
        expect(build[key as keyof Build], key).to.deep.equal(whole[key]);
      // Within a section, what was sound is still there.
      if (told.startsWith('donor.survey'))
        expect(Object.keys(build.donor.survey).length).to.equal(Object.keys(at(whole, 'donor', 'survey')).length - 1);
    });

  it('takes one faulty own part out of three, and keeps the others in their order', () => {
    const part = starterShelf.ring[0];
    const ring = starterShelf.ring[1];
    const { build, lost } = mendBuild({ ...demo('box'), ownParts: [part, { id: 'x' }, ring] }, 'demo-box', NOW);
    expect(build.ownParts.map((p) => p.id)).to.deep.equal([part?.id, ring?.id]);
    expect(lost.map((l) => l.path)).to.deep.equal(['ownParts[1]']);
  });

  it('brings an old one up to date as it mends it', () => {
    for (const version of [1, 2, 3]) {
      const kept = old(version);
      const sound = readBuild(kept);
      if (!sound.ok) throw new Error('not sound');
      at(kept, 'brief').headwindMs = 'a gale';
      const { build, lost } = mendBuild(kept, 'old', NOW);
      expect(lost.map((l) => l.path)).to.deep.equal(['brief.headwindMs']);
      expect(build.donor).to.deep.equal(sound.value.donor);
      expect(build.brief.headwindMs).to.equal(newBuild('x', 'x', NOW).brief.headwindMs);
    }
  });

  it('a road that goes backwards is given up alone', () => {
    const kept = demo('mixte');
    const road = at(kept, 'brief', 'route');
    (road.points as Loose[]).reverse();
    const { build, lost } = mendBuild(kept, 'demo-mixte', NOW);
    expect(lost[0]?.path).to.equal('brief.route.points');
    expect(build.brief.route).to.equal(null);
    expect(build.brief.headwindMs).to.equal(at(demo('mixte'), 'brief').headwindMs);
  });

  it('makes an empty build of what is none, under the name it is kept by', () => {
    for (const kept of [null, 3, 'text', [], [1], {}, { name: 'Left over' }, undefined, () => 1]) {
      const { build, lost } = mendBuild(kept, 'kept-id', NOW);
      expect(readBuild(build).ok).to.equal(true);
      expect(build.id.length).to.be.greaterThan(0);
      expect(lost.length).to.be.greaterThan(0);
    }
    expect(mendBuild({ name: 'Left over' }, 'kept-id', NOW).build.name).to.equal('Left over');
    expect(mendBuild({ name: 'Left over' }, 'kept-id', NOW).build.id).to.equal('kept-id');
  });

  it('always ends with a build that can be read, whatever stands anywhere in it', () => {
    const places = (value: unknown, path: (string | number)[] = []): (string | number)[][] =>
      typeof value === 'object' && value !== null
        ? [
            path,
            ...Object.entries(value).flatMap(([k, v]) => places(v, [...path, Array.isArray(value) ? Number(k) : k])),
          ]
        : [path];
    const whole = demo('gravel');
    const all = places(whole).filter((p) => p.length > 0);
    const runs = process.env.SPROCKET_LONG ? 3000 : 60;
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.nat(all.length - 1), fc.oneof(fc.jsonValue(), fc.constantFrom(-1e308, 1e300, NaN, undefined))),
          {
            minLength: 1,
            maxLength: 5,
          },
        ),
        (harms) => {
          const kept = JSON.parse(JSON.stringify(whole)) as Loose;
          for (const [index, value] of harms) {
            const path = all[index] as (string | number)[];
            const parent = path
              .slice(0, -1)
              .reduce<unknown>((here, key) => (here as Loose | undefined)?.[key as string], kept);
            if (typeof parent === 'object' && parent !== null) (parent as Loose)[path.at(-1) as string] = value;
          }
          const { build } = mendBuild(kept, 'g', NOW);
          const read = readBuild(build);
          expect(read.ok, JSON.stringify(read)).to.equal(true);
        },
      ),
      { numRuns: runs },
    );
  });
});

describe('the head of a build', () => {
  it('is read of a sound one', () => {
    expect(headOf(demo('trike'))).to.deep.equal({
      name: at(demo('trike')).name,
      variant: 'A',
      kind: 'deltaTrike',
      hasKit: true,
    });
    expect(headOf(newBuild('a', 'Alder', NOW)).hasKit).to.equal(false);
  });

  it('is whatever can still be told of a damaged one', () => {
    expect(headOf({ id: 'b7', name: 5, donor: { kind: 'unicycle' } })).to.deep.equal({
      name: 'b7',
      variant: '',
      kind: null,
      hasKit: false,
    });
    expect(headOf({ name: ' ' }).name).to.equal('A build without a name');
    expect(headOf({ name: 'n'.repeat(999) }).name.length).to.equal(200);
    for (const kept of [null, undefined, 4, 'x', [], { donor: null, choice: 3 }]) headOf(kept);
  });
});
