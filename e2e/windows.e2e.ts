import { expect } from 'chai';
import { axeFindings, fill, press, startApp, visit, waitForText, type App } from './support/app.ts';
import { appAnew } from './support/anew.ts';
import { getRaw, putRaw } from './support/store.ts';

const MIXTE = '/build/demo-mixte/brief';
const value = (app: App, name: string): Promise<string | undefined> =>
  app.page.$eval(`input[name="${name}"]`, (field) => (field as unknown as { value: string }).value);
const saved = (app: App): Promise<string> => waitForText(app.page, '.build-card', /· saved/);
interface Kept {
  id: string;
  name: string;
  revision?: number;
  brief: { cargoKg: number; cruiseMs: number };
}
const kept = async (app: App, id = 'demo-mixte'): Promise<Kept> =>
  (await getRaw(app, 'builds')).find((b) => b.id === id) as unknown as Kept;

/** The browser's store refuses whatever it is given, as on a full disk, until `makeRoom` is called in the page. */
async function fillStore(app: App): Promise<void> {
  await app.page.evaluate(() => {
    const { put, add } = IDBObjectStore.prototype;
    // Methods, since a named function would carry the compiler's helper into the page.
    Object.assign(window, {
      makeRoom() {
        Object.assign(IDBObjectStore.prototype, { put, add });
      },
    });
    Object.assign(IDBObjectStore.prototype, {
      put() {
        throw new DOMException('The disk is full', 'QuotaExceededError');
      },
      add() {
        throw new DOMException('The disk is full', 'QuotaExceededError');
      },
    });
  });
}

describe('one build in two windows', () => {
  const one = appAnew(MIXTE, { mayComplain: /busy|Abort/ });
  let two: App;
  beforeEach(async () => {
    two = await one.another();
    await visit(two, MIXTE);
  });
  afterEach(() => two.page.close());

  it('each sees what the other types, and neither loses its own', async () => {
    await fill(two.page, 'Cruising speed', '19 km/h');
    await one.page.bringToFront();
    await fill(one.page, 'Load carried', '8 kg');
    await saved(one);
    await two.page.bringToFront();
    await two.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input[name="cargo"]')?.value === '8.0 kg',
    );
    expect(await value(one, 'cruise')).to.match(/^19/);
    const now = await kept(one);
    expect([now.brief.cargoKg, Math.round(now.brief.cruiseMs * 36) / 10]).to.deep.equal([8, 19]);
    expect(await one.page.$('.keep-notice')).to.equal(null);
  });

  it('the same field in both: told in words with both values, and either can be had', async () => {
    // The second window's writing is held back until the first has written too.
    await fillStore(two);
    await fill(two.page, 'Load carried', '12 kg');
    await waitForText(two.page, '.keep', /Not saved/);
    await one.page.bringToFront();
    await fill(one.page, 'Load carried', '7 kg');
    await saved(one);
    await two.page.bringToFront();
    await two.page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom());
    // It tries again by itself as well, and may have been quicker.
    await two.page.evaluate(() => {
      [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === 'Try now')?.click();
    });
    const words = await waitForText(two.page, '.keep', /Changed in two windows/);
    expect(words).to.match(/Brief: Load carried: this build has 12\.0\skg, the other window had 7\.0\skg/);
    expect(await axeFindings(two.page, '.keep')).to.deep.equal([]);
    await waitForText(one.page, '.keep', /Changed in two windows/);
    await two.page.click('.keep-clash button:last-of-type');
    await two.page.waitForFunction(() => document.querySelector('.keep-notice') === null);
    await saved(two);
    await one.page.bringToFront();
    await one.page.waitForFunction(() => document.querySelector('.keep-notice') === null);
    expect((await kept(one)).brief.cargoKg).to.equal(7);
  });

  it('deleted in one it is told in the other, and can be put back with what was typed since', async () => {
    await two.page.bringToFront();
    await visit(two, '/');
    await press(two.page, 'More for Bookbinder’s mixte');
    await press(two.page, 'Delete');
    await one.page.bringToFront();
    await waitForText(one.page, '.keep', /Deleted in another window/);
    await fill(one.page, 'Load carried', '15 kg');
    await waitForText(one.page, '.build-card', /deleted elsewhere/);
    expect(await kept(one)).to.equal(undefined);
    await press(one.page, 'Put it back on the bench');
    await saved(one);
    expect((await kept(one)).brief.cargoKg).to.equal(15);
    await two.page.bringToFront();
    await waitForText(two.page, '.build-list', /Bookbinder’s mixte/);
  });

  it('a window that only looks on writes nothing', async () => {
    const { revision } = await kept(two);
    await visit(two, MIXTE);
    await visit(two, '/build/demo-mixte/pack');
    await visit(two, '/');
    await new Promise((done) => setTimeout(done, 400));
    expect((await kept(two)).revision).to.equal(revision);
  });
});

describe('a store that is full', () => {
  let app: App;
  before(async () => {
    app = await startApp({ demo: true });
    await visit(app, MIXTE);
    await fillStore(app);
  });
  after(() => app.close());

  it('is never called saved: the edit is told of, stays, and goes in by itself once there is room', async () => {
    await fill(app.page, 'Load carried', '21 kg');
    await waitForText(app.page, '.keep', /Not saved/);
    expect(await app.page.$eval('.build-card', (card) => card.textContent)).to.match(/not saved/);
    expect(await axeFindings(app.page, '.keep')).to.deep.equal([]);
    expect((await kept(app)).brief.cargoKg).not.to.equal(21);
    // It goes on being typed at, and is still not called saved.
    await fill(app.page, 'Load carried', '22 kg');
    await new Promise((done) => setTimeout(done, 600));
    await waitForText(app.page, '.keep', /Not saved/);
    await app.page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom());
    await saved(app);
    expect((await kept(app)).brief.cargoKg).to.equal(22);
    expect(await app.page.$('.keep-notice')).to.equal(null);
  });
});

describe('a browser that is killed', () => {
  let app: App;
  before(async () => {
    app = await startApp({ demo: true, rides: true });
  });
  after(() => app.close());

  it('loses nothing older than a second, and leaves nothing torn', async () => {
    const kills = process.env.SPROCKET_LONG ? 200 : 3;
    // The browser notes only half a minute after a first visit that an address has a store at all. Killed before, it
    // now and then forgets the store whole, with what was written long before: that kill tells nothing of the app.
    let forgotten = 0;
    for (let kill = 0; kill < kills; kill++) {
      await visit(app, MIXTE);
      await putRaw(app, 'settings', [{ key: 'written-before', value: 'yes' }]);
      // What is promised is of a page in use, not of one whose first drawing still has the processor.
      await app.page.evaluate(() => new Promise((idle) => requestIdleCallback(idle)));
      // A key about every 90 ms; each says which it is. The wait before the power goes is another each time.
      const typed = await app.page.evaluateHandle(
        async (base) => {
          const field = document.querySelector<HTMLInputElement>('input[name="cargo"]');
          const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
          const keys: { n: number; at: number }[] = [];
          let n = base;
          Object.assign(window, { keys });
          setInterval(() => {
            n = n >= base + 90 ? base : n + 1;
            keys.push({ n, at: Date.now() });
            set?.call(field, `${n} kg`);
            field?.dispatchEvent(new Event('input', { bubbles: true }));
          }, 90);
          return keys;
        },
        10 + (kill % 2) * 100,
      );
      await new Promise((done) => setTimeout(done, 1300 + ((kill * 377) % 900)));
      const keys = (await typed.jsonValue()) as { n: number; at: number }[];
      const at = Date.now();
      await app.kill();
      await visit(app, '/');
      if (!(await getRaw(app, 'settings')).some((row) => row.key === 'written-before')) {
        expect(++forgotten, 'the store was forgotten whole, again and again').to.be.at.most(kills);
        kill--;
        continue;
      }
      const now = await kept(app);
      // A second of a page that keeps up with the typing: where other work has the processor, keys come late too.
      const late = Math.max(1, (at - (keys[0]?.at ?? at)) / (keys.length * 90));
      const old = keys.filter((key) => key.at < at - 1000 * late).at(-1);
      const found = keys.findIndex((key) => key.n === now.brief.cargoKg);
      expect(found, `kill ${kill}: ${now.brief.cargoKg} kg kept, ${old?.n} kg typed a second before`).to.be.at.least(
        keys.findIndex((key) => key.n === old?.n),
      );
      expect(await app.page.$$eval('.build-row', (rows) => rows.length)).to.equal(5);
      expect(await app.page.$('.build-damaged')).to.equal(null);
    }
  }).timeout(3_600_000);
});
