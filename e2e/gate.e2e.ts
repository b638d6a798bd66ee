import { expect } from 'chai';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readBuild } from '../core/src/formats/buildFile.ts';
import {
  axeFindings,
  BUILT,
  chooseFile,
  fill,
  go,
  press,
  startApp,
  textOf,
  visit,
  waitForText,
  type App,
} from './support/app.ts';
import { appAnew } from './support/anew.ts';
import { getRaw, putRaw } from './support/store.ts';

const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const aside = {
  id: 'aside-1',
  buildId: 'demo-mixte',
  at: '2026-05-02T10:00:00.000Z',
  parts: [
    {
      path: ['log', 'entries', { key: 'n1' }],
      message: 'must be at most 6000 entries',
      value: { name: 'The ride home' },
    },
  ],
};
const nameField = (app: App): Promise<string> =>
  app.page.$eval('input[value], input', () => {
    const label = [...document.querySelectorAll('label')].find((l) => l.textContent?.trim() === 'Name');
    return (document.getElementById(label?.htmlFor ?? '') as HTMLInputElement | null)?.value ?? '';
  });

describe('the gate, as a person meets it', () => {
  const app = appAnew('/', { opens: true });

  it('a name can be emptied and typed anew; left empty, what was kept comes back', async () => {
    await visit(app, '/build/demo-box/brief');
    await waitForText(app.page, '.build-card strong', /./);
    const before = await textOf(app.page, '.build-card strong');
    await fill(app.page, 'Name', 'x');
    await app.page.keyboard.press('Backspace');
    expect(await nameField(app)).to.equal('');
    await waitForText(app.page, '.stage', /until then it stays “x”/);
    await app.page.keyboard.press('Tab');
    expect(await nameField(app)).to.equal('x');
    await fill(app.page, 'Name', before);
    await waitForText(app.page, '.build-card strong', new RegExp(before.slice(0, 8)));
    await waitForText(app.page, '.build-card', /· saved/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
  });

  it('a table of more columns than anybody needs is read, and its build opens again', async () => {
    const heads = [...Array.from({ length: 70 }, (_, i) => `sensor ${i}`), 'when', 'distance km', 'energy Wh'];
    const rows = [1, 2].map((d) => [...heads.slice(3).map(() => '7'), `2026-05-0${d}`, '12.5', '99'].join(','));
    const file = join(app.downloads, 'rides.csv');
    writeFileSync(file, `\uFEFF${[heads.join(','), ...rows].join('\n')}\n`);
    await visit(app, '/build/demo-box/logbook');
    await app.page.waitForSelector('.log-line');
    await chooseFile(app, 'Table or track…', file);
    await waitForText(app.page, '.mapping', /rides\.csv: 2 rows/);
    await press(app.page, 'Take them in');
    await waitForText(app.page, '.log-view', /2 rides kept/);
    await waitForText(app.page, '.build-card', /· saved/);
    for (const raw of await getRaw(app, 'builds')) expect(readBuild(raw).ok, String(raw.id)).to.equal(true);
    await visit(app, '/build/demo-box/logbook');
    await waitForText(app.page, '.log-lines', /12\.5/);
  });

  it('what was set aside is told by name, on the stage and in the stand view, and can be taken up or deleted', async () => {
    await putRaw(app, 'aside', [aside]);
    await visit(app, '/build/demo-mixte/build');
    await waitForText(
      app.page,
      '.keep-aside',
      /Not saved in the build[\s\S]*Logbook: a line, “The ride home”: there is room for 6000/,
    );
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await press(app.page, 'Stand view');
    await waitForText(app.page, '.stand .keep-aside', /The ride home/);
    expect(await axeFindings(app.page, '.stand', true)).to.deep.equal([]);
    await app.page.keyboard.press('Escape');
    await press(app.page, 'Delete it');
    await app.page.waitForFunction(() => document.querySelector('.keep-aside') === null);
    expect(await getRaw(app, 'aside')).to.deep.equal([]);
  });

  it('a photo that is refused in the stand view is said there, above it, in words', async () => {
    await visit(app, '/build/demo-mixte/build');
    await press(app.page, 'Stand view');
    await app.page.waitForSelector('.stand-more');
    await app.page.click('.stand-more');
    await app.page.evaluate(() => {
      // Photos alone find no room.
      const add = IDBObjectStore.prototype.add;
      IDBObjectStore.prototype.add = function (this: IDBObjectStore, ...args: Parameters<typeof add>) {
        if (this.name === 'photos') throw new DOMException('Quota exceeded.', 'QuotaExceededError');
        return add.apply(this, args);
      };
    });
    const file = join(app.downloads, 'valve.png');
    writeFileSync(file, PIXEL);
    const [chooser] = await Promise.all([
      app.page.waitForFileChooser(),
      app.page.$$eval('.stand-extra button', (all) =>
        all.find((b) => /Add a photo/.test(b.textContent ?? ''))?.click(),
      ),
    ]);
    await chooser.accept([file]);
    const said = await waitForText(app.page, '.mantine-Notification-root', /photo was not kept/);
    expect(said).to.match(/store is full\. Delete photos/);
    expect(said).not.to.match(/Quota/);
    const above = await app.page.$eval('.mantine-Notification-root', (note) => {
      const box = note.getBoundingClientRect();
      return note.contains(document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2));
    });
    expect(above).to.equal(true);
  });
});

describe('a part of the app that does not load', () => {
  it('offers to load anew once what was typed is kept', async () => {
    const app = await startApp({ demo: true });
    try {
      await visit(app, '/build/demo-mixte/brief');
      await app.page.setRequestInterception(true);
      let lost = true;
      app.page.on('request', (request) => {
        if (lost && /assets\/Wiring-/.test(request.url())) void request.respond({ status: 404, body: '' });
        else void request.continue();
      });
      await fill(app.page, 'Load carried', '31 kg');
      await app.page.evaluate(() => document.querySelector<HTMLElement>('.chain-link[href$="/wiring"]')?.click());
      await waitForText(app.page, 'h1', /This screen did not load/);
      const page = await textOf(app.page, 'main');
      expect(page).to.match(/Everything you typed is saved/);
      expect(page).not.to.match(/Unable to preload|dynamically imported|Not on this bench/);
      expect(await axeFindings(app.page)).to.deep.equal([]);
      lost = false;
      await press(app.page, 'Load anew');
      await waitForText(app.page, 'h1', /Wiring/);
      await go(app, '/build/demo-mixte/brief');
      const cargo = await app.page.$eval('input[name="cargo"]', (f) => (f as unknown as { value: string }).value);
      expect(cargo).to.match(/^31/);
    } finally {
      await app.close();
    }
  });
});

describe('a browser that keeps nothing', () => {
  for (const [how, words] of [
    ['refuses', /will not keep anything[\s\S]*Leave the private window/],
    ['never answers', /store does not answer[\s\S]*Close the other windows/],
  ] as const)
    it(`${how}: the first page says so`, async () => {
      const app = await startApp();
      try {
        await app.page.evaluateOnNewDocument((silent) => {
          IDBFactory.prototype.open = function () {
            if (!silent) throw new DOMException('denied', 'SecurityError');
            return new EventTarget() as IDBOpenDBRequest;
          };
        }, how === 'never answers');
        await app.page.goto(app.url);
        await waitForText(app.page, '[role="alert"]', words);
        expect(await textOf(app.page, 'main')).not.to.match(/Reading the bench/);
        expect(await axeFindings(app.page)).to.deep.equal([]);
      } finally {
        await app.close();
      }
    });
});

describe('a network that answers for the app', () => {
  const SIGN_IN = '<!doctype html><html><body><h1>Welcome, please sign in</h1></body></html>';
  for (const [what, put] of [
    ['the page', (dir: string) => writeFileSync(join(dir, 'index.html'), SIGN_IN)],
    ['a file', (dir: string) => writeFileSync(join(dir, 'mark.svg'), SIGN_IN)],
  ] as const)
    it(`is not kept as ${what} of it`, async () => {
      const appDir = mkdtempSync(join(tmpdir(), 'sprocket-built-'));
      cpSync(BUILT, appDir, { recursive: true });
      const app = await startApp({ demo: true, offline: true, appDir });
      try {
        await visit(app, '/');
        await app.page.evaluate(async () => void (await navigator.serviceWorker.ready));
        put(appDir);
        // Another version, in which each of them is another than the one that is kept.
        const sw = join(appDir, 'sw.js');
        writeFileSync(sw, readFileSync(sw, 'utf8').replace(/("?revision"?:\s*")[0-9a-f]{16}/g, `$1${'f'.repeat(16)}`));
        const ended = await app.page.evaluate(async () => {
          const kept = await navigator.serviceWorker.ready;
          const state = new Promise<string>((done) => {
            kept.addEventListener('updatefound', () => {
              const { installing } = kept;
              installing?.addEventListener('statechange', () => done(installing.state));
            });
          });
          await kept.update();
          return state;
        });
        expect(ended).to.equal('redundant');
        await app.stopServer();
        await visit(app, '/');
        expect(await app.page.$$eval('.build-row', (rows) => rows.length)).to.equal(5);
        expect(await textOf(app.page, 'body')).not.to.match(/sign in/);
      } finally {
        await app.close();
        rmSync(appDir, { recursive: true });
      }
    });
});
