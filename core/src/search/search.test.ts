import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import type { Build } from '../build/build.ts';
import { readBuildFile } from '../formats/buildFile.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import type { Shelf } from '../parts/part.ts';
import { aimIds, aims, planAims, usualAims } from '../plan/aims.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { finish } from '../steps.ts';
import { seeded } from '../../test/randomDonor.ts';
import { runs } from '../../test/runs.ts';
import { covers, keysOf } from './front.ts';
import { searchedTogether, ShelfSearch, usualSearch, type Candidate, type SearchResult } from './search.ts';

function demo(name: string): Build {
  const url = new URL(`../../../web/public/demo/builds/demo-${name}.json`, import.meta.url);
  const read = readBuildFile(readFileSync(url, 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.value;
}

/** A shelf with a few kits and packs only: every conversion of it can be planned one by one. */
const small = (kits: readonly string[], packs: readonly string[], rings = 2): Shelf => ({
  ...starterShelf,
  kit: starterShelf.kit.filter((k) => kits.includes(k.id)),
  pack: starterShelf.pack.filter((p) => packs.includes(p.id)),
  ring: starterShelf.ring.slice(0, rings),
  cluster: starterShelf.cluster.filter((c) => c.id === 'freewheel-7-14-34' || c.id === 'cassette-9-11-34'),
  hubGear: starterShelf.hubGear.filter((h) => h.id === 'hub-gear-eight'),
});

const search = (build: Build, shelf: Shelf, more: Partial<typeof usualSearch> = {}): SearchResult =>
  finish(new ShelfSearch(build, shelf, { ...usualSearch, ...more }).steps());

/** The same put into the file and planned alone. */
function plannedAlone(build: Build, shelf: Shelf, { choice }: Pick<Candidate, 'choice'>) {
  const own = { ...build, choice };
  const context = planContext(own, shelf);
  const plan = planChosen(context);
  return { plan, aims: planAims(context, plan) };
}

function sameAsAlone(build: Build, shelf: Shelf, candidate: Candidate): void {
  const { plan, aims: alone } = plannedAlone(build, shelf, candidate);
  const where = `${build.id} ${JSON.stringify(candidate.choice)}`;
  expect(candidate.verdict, where).to.equal(plan.verdict);
  for (const id of aimIds) {
    const [a, b] = [candidate.aims[id], alone[id]];
    if (a === null || b === null) expect(a, `${where} ${id}`).to.equal(b);
    else expect(a, `${where} ${id}`).to.be.closeTo(b, 1e-9 * Math.max(1, Math.abs(b)));
  }
}

const KITS = ['otter-r250', 'linnet-f250', 'wren-m250', 'hobby-s250', 'heron-d500'];
const PACKS = ['kettle-36-13', 'satchel-36-16', 'kettle-48-14'];

const DEMOS = ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'];

describe('search over the shelf', () => {
  for (const name of DEMOS) {
    it(`${name}: each on the front, put into the file and planned alone, is judged alike and comes to the same`, () => {
      const build = demo(name);
      const shelf = small(KITS, PACKS);
      const { front, counted, standing, ridden } = search(build, shelf);
      expect(counted).to.be.greaterThan(standing - 1);
      expect(ridden).to.be.at.most(standing);
      for (const candidate of front) sameAsAlone(build, shelf, candidate);
    });

    it(`${name}: the front is the one of all, ridden one by one`, () => {
      const build = demo(name);
      const shelf = small(KITS.slice(0, 3), PACKS, 1);
      const quick = search(build, shelf);
      const all = search(build, shelf, { all: true });
      expect(quick.front).to.deep.equal(all.front);
      expect(all.ridden).to.equal(all.standing);
    });
  }

  it('nothing on a vehicle half measured is judged otherwise than alone, or comes to something else', () => {
    const shelf = small(KITS, PACKS, 1);
    const found = DEMOS.map(demo);
    let met = 0;
    for (let seed = 1; seed <= runs(10, 200); seed++) {
      const next = seeded(seed);
      const build = structuredClone(found[seed % found.length] as Build);
      for (const id of Object.keys(build.donor.survey))
        if (next() < 0.5) Reflect.deleteProperty(build.donor.survey, id);
      build.brief.budget = next() < 0.5 ? 800 : null;
      build.choice.usesThrottle = next() < 0.3;
      if (next() < 0.5) build.fixes = [];
      // By every aim nearly each that stands is on the front.
      const { front } = search(build, shelf, { aims: aimIds, kits: [KITS[(seed * 7) % KITS.length] as string] });
      for (const candidate of front.slice(0, 6)) {
        sameAsAlone(build, shelf, candidate);
        met++;
      }
    }
    expect(met).to.be.greaterThan(runs(10, 200));
  });

  it('what no finding stops is found, and what one stops is not', () => {
    const build = demo('mixte');
    const shelf = small(KITS, PACKS);
    const { front } = search(build, shelf);
    const keys = front.map((c) => keysOf(usualAims, c.aims));
    const next = seeded(7);
    const pick = <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)] as T;
    let stood = 0;
    for (let n = 0; n < runs(60, 1000); n++) {
      const pack = pick(shelf.pack);
      const choice = {
        ...build.choice,
        kitId: pick(shelf.kit).id,
        packId: pack.id,
        packPlace: pick(pack.places),
        ringId: pick([null, ...shelf.ring.map((r) => r.id)]),
        clusterId: pick([null, ...shelf.cluster.map((c) => c.id)]),
        torqueArms: pick([0, 1, 2]),
      };
      const { plan, aims: drawn } = plannedAlone(build, shelf, { choice });
      if (plan.verdict === 'stop') continue;
      stood++;
      const own = keysOf(usualAims, drawn);
      const beaten = front.filter((_, i) => covers(own, keys[i] as number[]) && !covers(keys[i] as number[], own));
      expect(
        beaten.map((c) => c.choice),
        JSON.stringify(choice),
      ).to.deep.equal([]);
    }
    expect(stood).to.be.greaterThan(5);
  });

  it('parts of a search are together what it is in one piece, whatever comes first', () => {
    const build = demo('mixte');
    const shelf = small(KITS, PACKS);
    const whole = search(build, shelf);
    const parts = KITS.map((id) => search(build, shelf, { kits: [id] }));
    for (const order of [parts, [...parts].reverse()]) {
      const joined = searchedTogether(order, usualAims);
      expect(joined.front).to.deep.equal(whole.front);
      expect(joined.counted).to.equal(whole.counted);
    }
  });

  it('a front by other aims is a front by those', () => {
    const build = demo('gravel');
    const shelf = small(['ouzel-m750', 'kelpie-r750'], ['kettle-48-14', 'satchel-48-12']);
    const { front } = search(build, shelf, { aims: ['price', 'winding'] });
    for (const a of front)
      for (const b of front)
        if (a !== b)
          expect(covers(keysOf(['price', 'winding'], a.aims), keysOf(['price', 'winding'], b.aims))).to.equal(false);
    expect(Object.keys(aims)).to.have.length(aimIds.length);
  });
});
