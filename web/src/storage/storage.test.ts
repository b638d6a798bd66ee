import 'fake-indexeddb/auto';
import { expect } from 'chai';
import { Dexie } from 'dexie';
import { readFileSync } from 'node:fs';
import { newBuild, planChosen, planContext, starterShelf, summaryOf, type Build, type Part } from '@sprocket/core';
import { buildActions } from '../app/buildSlice.ts';
import { store, undo } from '../app/store.ts';
import { startAutosave } from './autosave.ts';
import { db, dropOrphanPhotos, readSetting, writeSetting, type KeptSummary } from './db.ts';
import { dropOrphanSummaries, madeOf, refreshSummaries, stale } from './summaries.ts';

const build = (id: string, updatedAt = '2026-01-01T00:00:00.000Z'): Build => ({
  ...newBuild(id, id.toUpperCase(), updatedAt),
  id,
});
const summary = (b: Build) => summaryOf(planChosen(planContext(b, starterShelf)));
const old = (version: number): unknown =>
  JSON.parse(readFileSync(new URL(`../../../core/test/builds/version-${version}.json`, import.meta.url), 'utf8'));

describe('the browser’s store', () => {
  beforeEach(async () => {
    db.close();
    await Dexie.delete('jolly-sprocket');
  });
  after(() => db.close());

  it('of its first version opens today, its builds brought up to date', async () => {
    const first = new Dexie('jolly-sprocket');
    first.version(1).stores({ builds: 'id, name, updatedAt', parts: 'id, kind', settings: 'key' });
    await first.table('builds').put(old(1));
    await first.table('settings').put({ key: 'units', value: 'imperial' });
    first.close();
    await db.open();
    const kept = await db.builds.toArray();
    expect(kept.map((b) => b.version)).to.deep.equal([4]);
    expect(await readSetting('units')).to.equal('imperial');
    expect(await db.summaries.count()).to.equal(0);
  });

  it('of version 3, whose builds were never brought up to date, has them so when they are opened', async () => {
    const third = new Dexie('jolly-sprocket');
    third.version(3).stores({
      builds: 'id, name, updatedAt',
      parts: 'id, kind',
      settings: 'key',
      photos: 'id, buildId, [buildId+item]',
      routes: 'id, name',
    });
    await third.table('builds').put(old(3));
    third.close();
    await db.open();
    expect((await db.builds.toArray()).map((b) => [b.version, b.fixes])).to.deep.equal([[4, []]]);
  });

  it('keeps settings, and drops the photos and lines of builds that are gone', async () => {
    await db.open();
    await writeSetting('units', 'imperial');
    expect(await readSetting('units')).to.equal('imperial');
    expect(await readSetting('nothing')).to.equal(undefined);
    await db.builds.put(build('a'));
    const photo = { item: 'valve', on: '2026-01-01', dataUrl: 'data:,' };
    await db.photos.bulkPut([
      { id: '1', buildId: 'a', ...photo },
      { id: '2', buildId: 'gone', ...photo },
    ]);
    await db.summaries.bulkPut([
      { id: 'a', madeOf: 'x', summary: summary(build('a')) },
      { id: 'gone', madeOf: 'x', summary: summary(build('a')) },
    ]);
    await dropOrphanPhotos();
    await dropOrphanSummaries();
    expect(await db.photos.toCollection().primaryKeys()).to.deep.equal(['1']);
    expect(await db.summaries.toCollection().primaryKeys()).to.deep.equal(['a']);
  });
});

describe('the bench’s lines', () => {
  beforeEach(async () => {
    db.close();
    await Dexie.delete('jolly-sprocket');
    await db.open();
  });
  after(() => db.close());
  const kept = async (): Promise<Map<string, KeptSummary>> =>
    new Map((await db.summaries.toArray()).map((s) => [s.id, s]));

  it('are stale when the build, the own parts or the judgement changed', () => {
    const b = build('a');
    const part = starterShelf.ring[0] as Part;
    const line = (own: readonly Part[], version: string): Map<string, KeptSummary> =>
      new Map([['a', { id: 'a', madeOf: madeOf(b, own, version), summary: summary(b) }]]);
    expect(stale([b], new Map(), [], 'v1')).to.deep.equal([b]);
    expect(stale([b], line([], 'v1'), [], 'v1')).to.deep.equal([]);
    expect(stale([{ ...b, updatedAt: '2026-02-01T00:00:00.000Z' }], line([], 'v1'), [], 'v1').length).to.equal(1);
    expect(stale([b], line([], 'v1'), [part], 'v1').length).to.equal(1);
    expect(stale([b], line([part], 'v1'), [{ ...part, price: 99 }], 'v1').length).to.equal(1);
    expect(stale([b], line([part], 'v1'), [part], 'v1')).to.deep.equal([]);
    expect(stale([b], line([], 'v1'), [], 'v2').length).to.equal(1);
  });

  it('are worked out one after another; one that fails leaves the others theirs', async () => {
    const builds = ['a', 'b', 'c'].map((id) => build(id));
    await refreshSummaries(builds, [], 'v1', (b) =>
      b.id === 'b' ? Promise.reject(new Error('cannot be planned')) : Promise.resolve(summary(b)),
    );
    const lines = await kept();
    expect([...lines.keys()]).to.deep.equal(['a', 'c']);
    expect(stale(builds, lines, [], 'v1').map((b) => b.id)).to.deep.equal(['b']);
    expect(lines.get('a')?.summary).to.deep.equal(summary(build('a')));
  });

  it('stop when nobody wants them any more', async () => {
    let left = 1;
    await refreshSummaries(
      ['a', 'b', 'c'].map((id) => build(id)),
      [],
      'v1',
      (b) => Promise.resolve(summary(b)),
      () => left-- > 0,
    );
    expect([...(await kept()).keys()]).to.deep.equal(['a']);
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
    await wait(120);
    expect(await cargo()).to.equal(5);
    await wait(400);
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

  it('says that it failed when the store refuses, and writes with the next edit', async () => {
    const put = db.builds.put.bind(db.builds);
    db.builds.put = () => Promise.reject(new Error('full')) as never;
    type(12);
    await wait(420);
    expect(store.getState().ui.saved).to.equal('failed');
    db.builds.put = put as never;
    type(13);
    await wait(420);
    expect(await cargo()).to.equal(13);
    expect(store.getState().ui.saved).to.equal('saved');
  });

  it('what the store refused is written as the page is left, and nothing is called saved before', async () => {
    const put = db.builds.put.bind(db.builds);
    db.builds.put = () => Promise.reject(new Error('full')) as never;
    type(15);
    await wait(350);
    listeners.get('pagehide')?.();
    await wait(20);
    expect(store.getState().ui.saved).to.equal('failed');
    db.builds.put = put as never;
    listeners.get('pagehide')?.();
    await wait(30);
    expect(await cargo()).to.equal(15);
    expect(store.getState().ui.saved).to.equal('saved');
  });

  it('undone back to what is kept, nothing is written', async () => {
    type(16);
    store.dispatch(undo());
    expect(store.getState().ui.saved).to.equal('saved');
    await wait(340);
    expect((await db.builds.get('a'))?.updatedAt).to.equal('2026-01-01T00:00:00.000Z');
  });
});
