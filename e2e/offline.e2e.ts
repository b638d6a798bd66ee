import { expect } from 'chai';
import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BUILT, fill, go, press, startApp, visit, waitForText, type App } from './support/app.ts';

/** Waits until the app is whole in the browser, and answers for its pages. */
async function keptWhole(app: App): Promise<void> {
  await app.page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await visit(app, '/');
  await app.page.waitForFunction(() => navigator.serviceWorker.controller !== null);
}

describe('the app without its server', () => {
  let app: App;
  before(async () => {
    app = await startApp({ demo: true, offline: true });
    await visit(app, '/');
    await keptWhole(app);
    await app.stopServer();
  });
  after(() => app.close());

  it('opens at the bench and at every stage, and on being loaded anew', async () => {
    await visit(app, '/');
    expect(await app.page.$$eval('.build-row', (rows) => rows.length)).to.equal(5);
    for (const [stage, words] of [
      ['brief', /Brief/],
      ['donor', /Donor/],
      ['drive', /Drive/],
      ['pack', /Pack/],
      ['gearing', /Gearing/],
      ['wiring', /Wiring/],
      ['ride', /Ride sheet/],
      ['shelf', /Shelf/],
    ] as const) {
      await go(app, `/build/demo-trike/${stage}`);
      await waitForText(app.page, 'h1', words);
    }
    await visit(app, '/build/demo-box/pack');
    await waitForText(app.page, 'h1', /Pack/);
    expect(app.complaints).to.deep.equal([]);
  });

  it('says that it is offline, and that all works on', async () => {
    await visit(app, '/');
    await app.page.setOfflineMode(true);
    try {
      await go(app, '/build/demo-trike/brief');
      await waitForText(app.page, '.rail', /Offline: all of it works on/);
    } finally {
      await app.page.setOfflineMode(false);
    }
    await app.page.waitForFunction(() => document.querySelector('.offline-sign') === null);
  });

  it('works: what is typed is reckoned and kept', async () => {
    await visit(app, '/build/demo-trike/brief');
    await fill(app.page, 'Load carried', '33 kg');
    await waitForText(app.page, '.build-card', /· saved/);
    await visit(app, '/build/demo-trike/brief');
    expect(
      await app.page.$eval('input[name="cargo"]', (field) => (field as unknown as { value: string }).value),
    ).to.match(/^33/);
  });

  it('lays out the demo’s builds', async () => {
    await visit(app, '/');
    await press(app.page, 'Lay out the demo’s builds');
    await waitForText(app.page, '.mantine-Notification-root', /5 builds of the demo/);
  });
});

describe('a new version', () => {
  const appDir = mkdtempSync(join(tmpdir(), 'sprocket-built-'));
  let app: App;
  before(async () => {
    cpSync(BUILT, appDir, { recursive: true });
    app = await startApp({ demo: true, offline: true, appDir });
    await visit(app, '/');
    await keptWhole(app);
  });
  after(async () => {
    await app.close();
    rmSync(appDir, { recursive: true });
  });

  it('is told when it is ready, waits for a word, and takes nothing that was typed', async () => {
    await visit(app, '/build/demo-mixte/brief');
    appendFileSync(join(appDir, 'sw.js'), '\n// another version\n');
    await app.page.evaluate(async () => {
      await (await navigator.serviceWorker.ready).update();
    });
    await waitForText(app.page, '.mantine-Notification-root', /A new version is ready/);
    // Nothing has changed under the hand that writes.
    await fill(app.page, 'Load carried', '27 kg');
    const before = await app.page.evaluate(() => performance.timeOrigin);
    await press(app.page, 'Start it now');
    await app.page.waitForFunction((origin) => performance.timeOrigin !== origin, {}, before);
    await app.page.waitForSelector('input[name="cargo"]');
    expect(
      await app.page.$eval('input[name="cargo"]', (field) => (field as unknown as { value: string }).value),
    ).to.match(/^27/);
    expect(app.complaints).to.deep.equal([]);
  });
});
