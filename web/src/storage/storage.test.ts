import 'fake-indexeddb/auto';
import { expect } from 'chai';
import { Dexie } from 'dexie';
import {
  headOf,
  newBuild,
  planChosen,
  planContext,
  starterShelf,
  summaryOf,
  type Build,
  type Part,
} from '@sprocket/core';
import { buildActions } from '../store/buildSlice.ts';
import { store, undo } from '../store/store.ts';
import { startAutosave } from './autosave.ts';
import { benchLines, madeOf, refreshLines, type LineWork } from './bench.ts';
import {
  binBuild,
  binned,
  bringBack,
  clearAway,
  beginHere,
  copyKept,
  mendKept,
  readableBuilds,
  readAhead,
  readKept,
  renameKept,
} from './builds.ts';
import { oldStores } from '../../../core/test/oldStores.ts';
import { soundParts, soundPhotos, soundRoads, unsound } from './sound.ts';
import { asideOf, db, readSetting, writeSetting, type KeptLine } from './db.ts';

const build = (id: string, updatedAt = '2026-01-01T00:00:00.000Z'): Build => ({
  ...newBuild(id, id.toUpperCase(), updatedAt),
  id,
});
/** The version that a build of any older one opens as. */
const today = build('a').version;
/** What the worker makes of a build's line. */
const work = (kept: unknown): LineWork => ({
  head: headOf(kept),
  summary: summaryOf(planChosen(planContext(kept as Build, starterShelf))),
  fault: null,
});
const line = (b: Build, made = 'x'): KeptLine => ({ id: b.id, madeOf: made, ...work(b) });
describe('the browser’s store', () => {
  beforeEach(async () => {
    db.close();
    await Dexie.delete('jolly-sprocket');
  });
  after(() => db.close());

  for (const { version, tables, rows } of oldStores)
    it(`of version ${version} opens with builds of every version, and with what it cannot read left as it was`, async () => {
      const then = new Dexie('jolly-sprocket');
      then.version(version).stores(tables);
      for (const [table, list] of Object.entries(rows)) await then.table(table).bulkPut(list);
      then.close();
      await db.open();
      for (const [id, name] of [
        ['of-1', 'Of version 1'],
        ['of-2', 'Of version 2'],
        ['of-3', 'Of version 3'],
      ] as const) {
        const read = await readKept(id);
        expect(read?.ok && [read.build.version, read.build.name]).to.deep.equal([today, name]);
      }
      const lines = await benchLines([], 'v1');
      expect(lines.map((l) => l.name)).to.have.members((rows.builds as Build[]).map((b) => b.name));
      const left = (rows.builds as Build[]).slice(3);
      for (const build of left) expect(await db.builds.get(build.id)).to.deep.equal(build);
      expect((await soundParts()).map((part) => part.id)).to.deep.equal(['own-ring']);
      expect(await soundRoads()).to.deep.equal([]);
      expect((await unsound()).map((u) => [u.table, u.name, u.why.split(':')[0]])).to.deep.equal([
        ['parts', 'Half a kit', 'maker'],
        ...(rows.routes ? [['routes', 'Road to nowhere', 'source']] : []),
      ]);
      expect((await soundPhotos({ buildId: 'of-1' })).map((p) => p.id)).to.deep.equal(rows.photos ? ['p1'] : []);
      expect(await db.photos.count()).to.equal(rows.photos?.length ?? 0);
      expect([await readSetting('units'), await readSetting('last-build')]).to.deep.equal(['imperial', undefined]);
    });

  it('of version 4, with lines of the bench as they were then, opens and works them out anew', async () => {
    const fourth = new Dexie('jolly-sprocket');
    fourth.version(4).stores({
      builds: 'id, name, updatedAt',
      parts: 'id, kind',
      settings: 'key',
      photos: 'id, buildId, [buildId+item]',
      routes: 'id, name',
      summaries: 'id',
    });
    await fourth.table('builds').put(build('a'));
    await fourth.table('summaries').put({ id: 'a', madeOf: 'old', summary: {} });
    fourth.close();
    await db.open();
    expect((await benchLines([], 'v1')).map((l) => [l.id, l.name, l.stale, l.summary])).to.deep.equal([
      ['a', 'A', true, null],
    ]);
  });

  it('keeps settings, and clears away the photos and lines of builds that are gone for good', async () => {
    await db.open();
    await writeSetting('units', 'imperial');
    expect(await readSetting('units')).to.equal('imperial');
    expect(await readSetting('nothing')).to.equal(undefined);
    await db.builds.bulkPut([build('a'), build('b')]);
    const photo = { item: 'valve', on: '2026-01-01', dataUrl: 'data:,' };
    await db.photos.bulkPut(
      ['a', 'b', 'gone', 'long gone'].map((buildId) => ({ id: `p ${buildId}`, buildId, ...photo })),
    );
    await db.lines.bulkPut([line(build('a')), line(build('b')), line(build('gone'))]);
    await binBuild('b');
    await db.bin.put({ id: 'long gone', deletedAt: '2026-01-01T00:00:00.000Z', raw: {}, waitedMs: 31 * 86_400_000 });
    await db.aside.bulkPut([asideOf('a', []), asideOf('gone', [])]);
    await clearAway();
    expect((await db.aside.toArray()).map((kept) => kept.buildId)).to.deep.equal(['a']);
    expect(await db.photos.toCollection().primaryKeys()).to.deep.equal(['p a', 'p b']);
    expect(await db.lines.toCollection().primaryKeys()).to.deep.equal(['a']);
    expect((await binned()).map((b) => b.id)).to.deep.equal(['b']);
  });
});

describe('builds in the store', () => {
  beforeEach(async () => {
    db.close();
    await Dexie.delete('jolly-sprocket');
    await db.open();
    await db.builds.bulkPut([build('a'), build('b')]);
    await db.photos.put({ id: 'p', buildId: 'a', item: 'valve', on: '2026-01-01', dataUrl: 'data:,x' });
  });
  after(() => db.close());

  it('a new one begins in the workshop of the one worked on last; the first as every first one does', async () => {
    await db.builds.clear();
    const fresh = build('new');
    expect(await beginHere(fresh)).to.deep.equal(fresh);
    const at = (id: string, updatedAt: string, currency: string): Build => ({
      ...build(id),
      updatedAt,
      bill: { ...build(id).bill, currency },
    });
    await db.builds.bulkPut([
      at('old', '2026-01-02T00:00:00.000Z', 'SEK'),
      at('last', '2026-01-04T00:00:00.000Z', 'GBP'),
      at('mid', '2026-01-03T00:00:00.000Z', 'CHF'),
      { id: 'broken' } as unknown as Build,
    ]);
    expect((await beginHere(fresh)).bill.currency).to.equal('GBP');
  });

  it('are read as their files would be: checked, and brought up to date', async () => {
    const old = oldStores[0]?.rows.builds?.[1] as Build;
    await db.builds.put(old);
    const { id } = old;
    const kept = await readKept(id);
    expect(kept?.ok && kept.build.version).to.equal(today);
    await db.builds.put({ ...build('c'), brief: { heavy: true } } as unknown as Build);
    const broken = await readKept('c');
    expect(broken?.ok).to.equal(false);
    if (broken && !broken.ok) expect(broken.problems[0]?.path).to.match(/^brief/);
    expect(await readKept('none')).to.equal(undefined);
    expect((await readableBuilds()).map((b) => b.id)).to.deep.equal(['a', 'b', id]);
  });

  it('read ahead is given as it is only while the store has just that', async () => {
    await writeSetting('last-build', 'a');
    await readAhead();
    await db.builds.put({ ...build('a'), name: 'Later', revision: 9, updatedAt: '2026-02-02T00:00:00.000Z' });
    expect((await readKept('a'))?.ok && (await readableBuilds())[0]?.name).to.equal('B');
    const kept = await readKept('a');
    expect(kept?.ok && kept.build.name).to.equal('Later');
    await readAhead();
    const same = await readKept('a');
    expect(same?.ok && same.build.revision).to.equal(9);
    // Once it is handed out it is read again.
    const again = await readKept('a');
    expect(again?.ok && same?.ok && again.build !== same.build).to.equal(true);
  });

  it('wait in the bin for a month of days that went by; a clock that jumps ahead, or back, takes none of them', async () => {
    const DAY = 86_400_000;
    let clock = Date.parse('2026-03-01T12:00:00Z');
    await binBuild('a');
    await clearAway(clock);
    // A flat cell on the board: the year 2040, and back again.
    for (const jump of [14 * 365 * DAY, -14 * 365 * DAY]) await clearAway((clock += jump));
    expect((await binned()).map((b) => b.id)).to.deep.equal(['a']);
    let days = 0;
    while ((await binned()).length > 0 && days < 60) {
      await clearAway((clock += DAY));
      days++;
    }
    expect(days).to.be.within(28, 31);
  });

  it('go into the bin and come back as they were, photos too', async () => {
    const before = await db.builds.get('a');
    await binBuild('a');
    expect(await db.builds.get('a')).to.equal(undefined);
    await clearAway();
    expect(await bringBack('a')).to.equal(true);
    expect(await db.builds.get('a')).to.deep.equal(before);
    expect(await db.photos.where({ buildId: 'a' }).count()).to.equal(1);
    expect(await binned()).to.deep.equal([]);
    expect(await bringBack('a')).to.equal(false);
    await binBuild('none');
    expect(await binned()).to.deep.equal([]);
  });

  it('brought back never overwrites one made anew under its id', async () => {
    await binBuild('a');
    await db.builds.put({ ...build('a'), name: 'Anew' });
    expect(await bringBack('a')).to.equal(true);
    expect((await db.builds.get('a'))?.name).to.equal('Anew');
  });

  it('are copied with their photos, their names never past what can be kept', async () => {
    const copy = await copyKept('a', false);
    expect(copy?.name).to.equal('A, copy');
    expect(await db.photos.where({ buildId: copy?.id ?? '' }).count()).to.equal(1);
    expect((await copyKept('a', true))?.variant).to.equal('B');
    await renameKept('a', 'n'.repeat(118));
    const long = await copyKept('a', false);
    expect(long?.name.length).to.equal(120);
    expect(long?.name.endsWith(', copy')).to.equal(true);
    expect((await readKept(long?.id ?? ''))?.ok).to.equal(true);
    expect(await copyKept('none', false)).to.equal(undefined);
  });

  it('are renamed only while they are there', async () => {
    await renameKept('a', 'Alder');
    expect((await db.builds.get('a'))?.name).to.equal('Alder');
    await binBuild('b');
    await renameKept('b', 'Back from the bin');
    expect(await db.builds.get('b')).to.equal(undefined);
  });

  it('are mended where they lie, and what was there is kept', async () => {
    const broken = { ...build('c'), choice: 'anything' };
    await db.builds.put(broken as unknown as Build);
    expect(await mendKept('c')).to.deep.equal([{ path: 'choice', message: 'must be a group of fields' }]);
    expect((await readKept('c'))?.ok).to.equal(true);
    expect((await binned())[0]?.raw).to.deep.equal(broken);
    expect(await mendKept('none')).to.equal(undefined);
  });
});

describe('the bench’s lines', () => {
  beforeEach(async () => {
    db.close();
    await Dexie.delete('jolly-sprocket');
    await db.open();
  });
  after(() => db.close());
  const stale = async (own: readonly Part[] = [], version = 'v1'): Promise<string[]> =>
    (await benchLines(own, version)).filter((l) => l.stale).map((l) => l.id);

  it('are stale when the build, the own parts or the judgement changed', async () => {
    const b = build('a');
    const part = starterShelf.ring[0] as Part;
    await db.builds.put(b);
    expect(await stale()).to.deep.equal(['a']);
    await db.lines.put(line(b, madeOf(b.updatedAt, [], 'v1')));
    expect(await stale()).to.deep.equal([]);
    expect(await stale([part])).to.deep.equal(['a']);
    expect(await stale([], 'v2')).to.deep.equal(['a']);
    await db.lines.put(line(b, madeOf(b.updatedAt, [part], 'v1')));
    expect(await stale([part])).to.deep.equal([]);
    expect(await stale([{ ...part, price: 99 }])).to.deep.equal(['a']);
    await db.builds.put({ ...b, updatedAt: '2026-02-01T00:00:00.000Z' });
    expect(await stale([part])).to.deep.equal(['a']);
  });

  it('come last edited first, by their own names, whatever the builds are like', async () => {
    await db.builds.bulkPut([
      build('a'),
      build('b', '2026-03-01T00:00:00.000Z'),
      { id: 'c', name: 'Broken', updatedAt: 7 } as unknown as Build,
      { id: 'd' } as unknown as Build,
      { ...build('e'), brief: null } as unknown as Build,
    ]);
    const lines = await benchLines([], 'v1');
    expect(lines.map((l) => l.name)).to.deep.equal(['B', 'A', 'E', 'Broken', 'd']);
    await refreshLines(lines, [], 'v1', (kept) => Promise.resolve(work(kept)));
    const now = await benchLines([], 'v1');
    expect(now.map((l) => [l.name, l.stale, l.summary !== null, l.fault !== null])).to.deep.equal([
      ['B', false, true, false],
      ['A', false, true, false],
      ['E', false, false, true],
      ['Broken', false, false, true],
      ['d', false, false, true],
    ]);
  });

  it('are worked out one after another; one that fails is kept with why, and leaves the others theirs', async () => {
    const builds = ['a', 'b', 'c'].map((id) => build(id));
    await db.builds.bulkPut(builds);
    await refreshLines(await benchLines([], 'v1'), [], 'v1', (kept) =>
      (kept as Build).id === 'b' ? Promise.reject(new Error('no wheel to stand on')) : Promise.resolve(work(kept)),
    );
    const lines = new Map((await benchLines([], 'v1')).map((l) => [l.id, l]));
    expect([...lines.values()].filter((l) => l.stale)).to.deep.equal([]);
    expect(lines.get('a')?.summary).to.deep.equal(work(build('a')).summary);
    expect(lines.get('b')?.summary).to.equal(null);
    expect(lines.get('b')?.fault).to.match(/no wheel to stand on/);
  });

  it('of many are all kept, and none for a build that went meanwhile', async () => {
    const ids = Array.from({ length: 21 }, (_, i) => `b${String(i).padStart(2, '0')}`);
    await db.builds.bulkPut(ids.map((id) => build(id)));
    const lines = await benchLines([], 'v1');
    await db.builds.delete('b20');
    await refreshLines(lines, [], 'v1', (kept) => Promise.resolve({ ...work(kept), summary: null }));
    expect((await db.lines.toCollection().primaryKeys()).sort()).to.deep.equal(ids.slice(0, 20));
  });

  it('stop when nobody wants them any more', async () => {
    await db.builds.bulkPut(['a', 'b', 'c'].map((id) => build(id)));
    let left = 1;
    await refreshLines(
      await benchLines([], 'v1'),
      [],
      'v1',
      (kept) => Promise.resolve(work(kept)),
      () => left-- > 0,
    );
    expect(await db.lines.count()).to.equal(1);
  });
});

describe('saving as it is typed', () => {
  const listeners = new Map<string, () => void>();
  const page = {
    visibilityState: 'visible',
    addEventListener: (type: string, f: () => void) => listeners.set(type, f),
    removeEventListener: (type: string) => listeners.delete(type),
  };
  const window = {
    addEventListener: (type: string, f: () => void) => listeners.set(type, f),
    removeEventListener: (type: string) => listeners.delete(type),
  };
  let stop = (): void => undefined;
  const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
  const cargo = async (): Promise<number | undefined> => (await db.builds.get('a'))?.brief.cargoKg;
  const type = (kg: number): void => {
    store.dispatch(buildActions.briefEdited({ field: 'cargo', value: { cargoKg: kg } }));
  };

  beforeEach(async () => {
    db.close();
    await Dexie.delete('jolly-sprocket');
    await db.open();
    Object.assign(globalThis, { document: page, window });
    await db.builds.put(build('a'));
    store.dispatch(buildActions.opened(build('a')));
    stop = startAutosave();
  });
  afterEach(() => {
    stop();
    Reflect.deleteProperty(globalThis, 'document');
    Reflect.deleteProperty(globalThis, 'window');
  });
  after(() => db.close());

  it('writes once the typing rests, says so, and stamps the build', async () => {
    type(6);
    expect(store.getState().ui.saved).to.equal('saving');
    type(7);
    await wait(5);
    expect(await cargo()).to.equal(5);
    await wait(300);
    expect(await cargo()).to.equal(7);
    expect(store.getState().ui.saved).to.equal('saved');
    expect((await db.builds.get('a'))?.updatedAt).not.to.equal('2026-01-01T00:00:00.000Z');
  });

  it('writes at once when the page is hidden or left', async () => {
    type(8);
    page.visibilityState = 'hidden';
    listeners.get('visibilitychange')?.();
    page.visibilityState = 'visible';
    await wait(30);
    expect(await cargo()).to.equal(8);
    type(9);
    listeners.get('pagehide')?.();
    await wait(30);
    expect(await cargo()).to.equal(9);
  });

  it('an edit of one build is written before another is opened', async () => {
    type(11);
    store.dispatch(buildActions.opened(build('b')));
    await wait(40);
    expect(await cargo()).to.equal(11);
    expect(store.getState().build.present.build?.id).to.equal('b');
    expect(await db.builds.get('b')).to.equal(undefined);
  });

  it('an edit is written before the bench closes the build', async () => {
    type(14);
    store.dispatch(buildActions.opened(null));
    await wait(40);
    expect(await cargo()).to.equal(14);
  });

  it('asks before the page is left with edits that the store refuses, and writes all others as it goes', async () => {
    const ask = (): boolean => {
      let asked = false;
      (listeners.get('beforeunload') as unknown as (e: { preventDefault: () => void }) => void)({
        preventDefault: () => (asked = true),
      });
      return asked;
    };
    expect(ask()).to.equal(false);
    const put = db.builds.put.bind(db.builds);
    db.builds.put = () => Promise.reject(new Error('full')) as never;
    type(15);
    await wait(250);
    expect(ask()).to.equal(true);
    db.builds.put = put as never;
    // Leaving tries once more; what goes in then needs no asking.
    listeners.get('pagehide')?.();
    await wait(60);
    expect(await cargo()).to.equal(15);
    expect(ask()).to.equal(false);
    type(16);
    expect(ask()).to.equal(false);
    await wait(60);
    expect(await cargo()).to.equal(16);
  });

  it('another window’s edit is taken in, and undo takes back only one’s own', async () => {
    type(6);
    await wait(350);
    const there = (await db.builds.get('a')) as Build;
    await db.builds.put({ ...there, name: 'Hazel', revision: there.revision + 1 });
    await wait(80);
    expect(store.getState().build.present.build?.name).to.equal('Hazel');
    store.dispatch(buildActions.briefEdited({ field: 'cruise', value: { cruiseMs: 6 } }));
    store.dispatch(undo());
    expect(store.getState().build.present.build?.name).to.equal('Hazel');
    expect(store.getState().build.present.build?.brief.cargoKg).to.equal(6);
    store.dispatch(undo());
    expect(store.getState().build.present.build?.name).to.equal('Hazel');
    expect(store.getState().build.present.build?.brief.cargoKg).to.equal(5);
    await wait(350);
    expect(await cargo()).to.equal(5);
    expect((await db.builds.get('a'))?.name).to.equal('Hazel');
  });

  it('undone back to what is kept, nothing is written', async () => {
    type(16);
    store.dispatch(undo());
    expect(store.getState().ui.saved).to.equal('saved');
    await wait(340);
    expect((await db.builds.get('a'))?.updatedAt).to.equal('2026-01-01T00:00:00.000Z');
  });
});
