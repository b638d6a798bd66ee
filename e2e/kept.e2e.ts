import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import {
  axeFindings,
  chooseFile,
  downloaded,
  fill,
  go,
  press,
  startApp,
  textOf,
  visit,
  waitForText,
} from './support/app.ts';
import { appAnew } from './support/anew.ts';
import { getRaw, layStore, putRaw } from './support/store.ts';
import { oldStores } from '../core/test/oldStores.ts';

const PICTURE =
  'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';

type Loose = Record<string, unknown>;
const trike = (): Loose =>
  JSON.parse(readFileSync(new URL('../web/public/demo/builds/demo-trike.json', import.meta.url), 'utf8')) as Loose;
const inside = (build: Loose, key: string): Loose => build[key] as Loose;

/** Kinds of damage: what a half-written record, a bad disk, an old or a foreign program leaves behind. */
const DAMAGE: Record<string, (build: Loose) => unknown> = {
  'no brief': (b) => delete b.brief,
  'brief null': (b) => (b.brief = null),
  'brief a text': (b) => (b.brief = 'to work and back'),
  'no donor': (b) => delete b.donor,
  'donor of no kind': (b) => (inside(b, 'donor').kind = 'unicycle'),
  'survey a list': (b) => (inside(b, 'donor').survey = []),
  'choice a number': (b) => (b.choice = 7),
  'cargo not a number': (b) => (inside(b, 'brief').cargoKg = 'heavy'),
  'cargo beyond all': (b) => (inside(b, 'brief').cargoKg = -1e308),
  'own parts broken': (b) => (b.ownParts = [{ id: 'x' }, null]),
  'no schema': (b) => delete b.schema,
  'of tomorrow': (b) => (b.version = 99),
  'updated never': (b) => (b.updatedAt = 12),
  'no name': (b) => delete b.name,
};
const damaged = Object.entries(DAMAGE).map(([what, harm], i) => {
  const build = { ...trike(), id: `broken-${i}`, name: `Broken: ${what}` };
  harm(build);
  return build;
});

describe('what is kept in the browser', () => {
  const app = appAnew('/', { lay: (app) => putRaw(app, 'builds', damaged) });

  it('fourteen damaged builds leave the bench usable, each listed with why', async () => {
    await app.page.waitForFunction(() => document.querySelectorAll('.build-damaged').length === 14);
    const rows = await app.page.$$eval('.build-row', (all) => all.map((row) => row.textContent ?? ''));
    expect(rows.length).to.equal(19);
    expect(
      rows.filter((row) => /range/.test(row) && !/no range yet/.test(row)).length,
      'sound ones, with their range',
    ).to.equal(5);
    expect(rows.filter((row) => /It cannot be read: [^:]+: /.test(row)).length).to.equal(14);
    expect(
      rows.some((row) => /broken-13/.test(row)),
      'one without a name goes by its id',
    ).to.equal(true);
    expect(await axeFindings(app.page, 'main')).to.deep.equal([]);
  });

  it('a damaged build is told of at its own address too', async () => {
    await visit(app, '/build/broken-0/brief');
    expect(await textOf(app.page, 'main')).to.match(/cannot be read: brief/);
  });

  it('mended, it opens, with all that was sound; what was there waits in the bin', async () => {
    await visit(app, '/');
    await press(app.page, 'Try to mend Broken: cargo not a number');
    await waitForText(app.page, '.mantine-Notification-root', /brief\.cargoKg/);
    await app.page.waitForFunction(() => document.querySelectorAll('.build-damaged').length === 13);
    const kept = (await getRaw(app, 'builds')).find((b) => b.name === 'Broken: cargo not a number') as Loose;
    expect(kept.donor).to.deep.equal(trike().donor);
    expect(typeof inside(kept, 'brief').cargoKg).to.equal('number');
    expect(inside((await getRaw(app, 'bin'))[0] as Loose, 'raw').brief).to.have.property('cargoKg', 'heavy');
    await visit(app, '/build/broken-7/drive');
    await waitForText(app.page, 'h1', /Drive/);
  });

  it('deleted, it goes into the bin, and comes back from there after a reload', async () => {
    await visit(app, '/');
    await press(app.page, 'More for Bookbinder’s mixte');
    await press(app.page, 'Delete');
    await app.page.waitForFunction(() => document.querySelectorAll('.build-row').length === 18);
    await visit(app, '/');
    await app.page.click('.bin summary');
    await press(app.page, 'Bring it back: Bookbinder’s mixte');
    await app.page.waitForFunction(() => document.querySelectorAll('.build-row').length === 19);
  });

  it('the bench goes into one file, and comes back from it onto an empty one', async () => {
    const before = await getRaw(app, 'builds');
    await putRaw(app, 'photos', [
      { id: 'p1', buildId: 'demo-trike', item: 'wheelbase', on: '2026-02-02', dataUrl: PICTURE },
    ]);
    await visit(app, '/settings');
    await press(app.page, 'Save a backup');
    await waitForText(app.page, '#root', /The bench is in bench-/);
    expect(await axeFindings(app.page, 'main')).to.deep.equal([]);
    const file = await downloaded(app, '.zip');
    const other = await startApp();
    try {
      await visit(other, '/settings');
      await chooseFile(other, 'Bring a backup back', file);
      await waitForText(other.page, '#root', /Back on the bench: 5 builds, 1 photo/);
      const after = await getRaw(other, 'builds');
      expect(after).to.deep.equal(before);
      expect((await getRaw(other, 'photos'))[0]).to.have.property('dataUrl', PICTURE);
      await visit(other, '/');
      expect(await other.page.$$eval('.build-row', (rows) => rows.length)).to.equal(19);
      expect(other.complaints).to.deep.equal([]);
    } finally {
      await other.close();
    }
  });

  it('after ten days of work without one, the bench says so once in a line', async () => {
    const days = Array.from({ length: 10 }, (_, i) => `2026-03-0${i}`).join(' ');
    await putRaw(app, 'settings', [{ key: 'edit-days', value: days }]);
    await visit(app, '/');
    await waitForText(app.page, '.remind', /10 days were worked on/);
  });
});

describe('a browser that kept things for an older version', () => {
  for (const old of oldStores)
    it(`of the store's version ${old.version}: every build opens, and what cannot be read is told of and left`, async () => {
      const app = await startApp();
      try {
        await layStore(app, old);
        await visit(app, '/');
        await app.page.waitForFunction(() => document.querySelectorAll('.build-row[aria-busy="false"]').length === 5);
        expect(
          await app.page.$$eval('.build-damaged .build-title', (all) => all.map((el) => el.textContent)),
        ).to.have.members(['Of a version to come', 'Damaged']);
        await waitForText(app.page, '.library', /Half a kit/);
        if (old.rows.routes) await waitForText(app.page, '.library', /Road to nowhere · a road · source/);
        // Each has its line, and so was read and planned; one of them is opened and edited.
        expect(await app.page.$$eval('.build-row .build-figures strong', (all) => all.length)).to.equal(3);
        await go(app, `/build/of-${Math.min(3, old.version)}/brief`);
        await fill(app.page, 'Load carried', '21 lb');
        await waitForText(app.page, '.build-card', /· saved/);
        expect(app.complaints).to.deep.equal([]);
      } finally {
        await app.close();
      }
    });
});
