import { expect } from 'chai';
import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setDevice, startApp, visit, type App } from './app.ts';
import { keptOf, layBack, type Kept } from './store.ts';

/** How a describe's tests begin. */
interface Beginning {
  /** What is laid into the store before the first test, past what the demo lays out. */
  lay?: (app: App) => Promise<void>;
  /** Each test opens a page of its own. */
  opens?: boolean;
  /** What the page may complain of. */
  mayComplain?: RegExp;
  demo?: boolean;
  /** Rides are drawn in the background. */
  rides?: boolean;
}

/**
 * An app for the tests of one describe. Each begins with the store as it was laid out, on a page loaded anew at
 * `path`, whatever became of the test before it, and ends with nothing complained of.
 */
export function appAnew(
  path: string,
  { lay, opens = false, mayComplain, demo = true, rides = false }: Beginning = {},
): App {
  const app = {} as App;
  let kept: Kept = {};
  let untouched = false;
  before(async () => {
    Object.assign(app, await startApp({ demo, rides }));
    await visit(app, '/');
    await lay?.(app);
    kept = await keptOf(app);
    untouched = true;
  });
  beforeEach(async () => {
    // A page of the same address that runs nothing of the app, and so writes nothing.
    await app.page.goto(`${app.url}/mark.svg`);
    // Before the first test the store is as it was laid out.
    if (!untouched) await layBack(app, kept);
    untouched = false;
    for (const name of readdirSync(app.downloads)) rmSync(join(app.downloads, name), { recursive: true });
    app.complaints.length = 0;
    await app.page.emulateMediaType('screen');
    await setDevice(app.page, {});
    if (!opens) await visit(app, path);
  });
  afterEach(function () {
    if (this.currentTest?.state === 'failed') return;
    expect(
      app.complaints.filter((said) => !mayComplain?.test(said)),
      'the page complained',
    ).to.deep.equal([]);
  });
  after(() => app.close());
  return app;
}

/** A named part of a test that walks on from part to part: whatever fails in it says in which. */
export async function part(words: string, walk: () => Promise<void>): Promise<void> {
  try {
    await walk();
  } catch (error) {
    if (error instanceof Error) error.message = `${words}: ${error.message}`;
    throw error;
  }
}
