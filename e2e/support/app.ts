import { createServer } from '../../server/src/server.ts';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import puppeteer, { type Browser, type ElementHandle, type Page } from 'puppeteer-core';

const require = createRequire(import.meta.url);

/** How long a wait may last before it is a failure, ms: generous, since a busy machine is no fault of the app. */
const PATIENCE = Number(process.env.SPROCKET_PATIENCE || 300) * 1000;

/** A running app with a browser on a profile of its own. */
export interface App {
  url: string;
  page: Page;
  /** What the page complained of: errors, and anything the content policy stopped. */
  complaints: string[];
  downloads: string;
  /** Another window of the same browser, as wide as the first. */
  another: () => Promise<App>;
  /** Ends the browser as a power cut would, and opens another on what it left. */
  kill: () => Promise<void>;
  /** Stops the server, and starts it again where it was. */
  stopServer: () => Promise<void>;
  startServer: () => Promise<void>;
  close: () => Promise<void>;
}

/** The app as built. */
export const BUILT = fileURLToPath(new URL('../../web/dist', import.meta.url));

export async function launchBrowser(profile: string): Promise<Browser> {
  return puppeteer.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    userDataDir: profile,
    // Whoever waits says how long; the wire has no limit of its own below that.
    protocolTimeout: 2 * PATIENCE,
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}

/** Kills every process that was started for a profile; gives how many there still were. */
function killAll(profile: string): number {
  let found = 0;
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    try {
      if (!readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(profile)) continue;
      found++;
      process.kill(Number(pid), 'SIGKILL');
    } catch {
      // It ended meanwhile.
    }
  }
  return found;
}

/**
 * Serves the built app and opens it in a fresh browser profile. Only with `offline` is the app kept in the browser as
 * well: fetching all of it anew for every profile would take the processor from what is tested. Only with `rides` are
 * rides drawn in the background, five hundred an edit, for the band of the range.
 */
export async function startApp({
  demo = false,
  width = 1280,
  height = 800,
  dark = false,
  appDir = BUILT,
  offline = false,
  rides = false,
} = {}): Promise<App> {
  const profile = mkdtempSync(join(tmpdir(), 'sprocket-profile-'));
  const downloads = mkdtempSync(join(tmpdir(), 'sprocket-downloads-'));
  let server: Server = createServer({ appDir, demo }).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  let browser = await launchBrowser(profile);
  const complaints: string[] = [];
  const openPage = async (): Promise<Page> => {
    const page = await browser.newPage();
    page.setDefaultTimeout(PATIENCE);
    page.setDefaultNavigationTimeout(PATIENCE);
    await setDevice(page, { dark, width, height });
    const session = await page.createCDPSession();
    await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: downloads });
    // What the content policy stopped is told here even where whoever tried has caught it.
    await page.evaluateOnNewDocument(() => {
      addEventListener('securitypolicyviolation', (event) => {
        const { violatedDirective, blockedURI } = event as SecurityPolicyViolationEvent;
        console.error(`Content Security Policy: ${violatedDirective} ${blockedURI}`);
      });
    });
    if (!rides)
      await page.evaluateOnNewDocument(() => {
        // Hands that are asked and never answer.
        globalThis.Worker = new Proxy(Worker, {
          construct(target, args: ConstructorParameters<typeof Worker>) {
            if (!args[1]?.name?.startsWith('spread')) return new target(...args);
            return Object.assign(new MessageChannel().port1, { terminate: () => undefined });
          },
        });
      });
    if (!offline)
      await page.evaluateOnNewDocument(() => {
        Reflect.deleteProperty(Navigator.prototype, 'serviceWorker');
      });
    page.on('console', (message) => {
      // A page that is none of the app's, as a test opens to be at its address, has no icon, and the browser asks for one.
      if (message.location().url?.endsWith('/favicon.ico')) return;
      if (message.type() === 'error' || /Content Security Policy/.test(message.text())) complaints.push(message.text());
    });
    // A page with edits that the store refuses asks before it is left; a test leaves all the same.
    page.on('dialog', (dialog) => void dialog.accept());
    page.on('pageerror', (error) => complaints.push(String(error)));
    return page;
  };
  const app: App = {
    url,
    page: await openPage(),
    complaints,
    downloads,
    another: async () => ({ ...app, page: await openPage() }),
    kill: async () => {
      const gone = new Promise((done) => browser.process()?.once('exit', done));
      browser.process()?.kill('SIGKILL');
      await gone;
      // Its helpers outlive it for a moment, and one of them holds the store: a browser started meanwhile finds the
      // store locked and begins an empty one.
      while (killAll(profile) > 0) await new Promise((done) => setTimeout(done, 20));
      // The lock of a browser that is no more would keep the next one out.
      for (const lock of ['SingletonLock', 'SingletonCookie', 'SingletonSocket'])
        rmSync(join(profile, lock), { force: true });
      browser = await launchBrowser(profile);
      app.page = await openPage();
    },
    stopServer: async () => {
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
    },
    startServer: async () => {
      server = createServer({ appDir, demo }).listen(Number(new URL(url).port), '127.0.0.1');
      await new Promise((done) => server.once('listening', done));
    },
    close: async () => {
      await browser.close();
      if (server.listening) await app.stopServer();
      for (const folder of [profile, downloads]) rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
    },
  };
  return app;
}

/** Goes to an address of the app and waits until it has drawn, and has judged what it shows. */
export async function visit(app: App, path: string): Promise<void> {
  await app.page.goto(app.url + path, { waitUntil: 'load' });
  await app.page.waitForSelector('h1');
  await app.page.evaluate(() => document.fonts.ready.then(() => undefined));
  await drawn(app);
}

/** The same from within the app, as a link goes: nothing is loaded anew. For what does not hang on a fresh page. */
export async function go(app: App, path: string): Promise<void> {
  if (app.page.url() === app.url + path) return drawn(app);
  const before = await app.page.$('h1');
  await app.page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
  await app.page.waitForFunction((h1) => document.querySelector('h1') !== h1, {}, before);
  await drawn(app);
}

async function drawn(app: App): Promise<void> {
  await app.page.waitForFunction(
    () =>
      document.querySelector('h1') !== null &&
      !document.querySelector(
        '.candidates[aria-busy="true"], .build-row[aria-busy="true"], .stage[aria-busy="true"], .wait',
      ),
  );
}

/** Sets what a reader's device is like: light or dark, wide or narrow. */
export async function setDevice(page: Page, { dark = false, width = 1280, height = 800 }): Promise<void> {
  await page.setViewport({ width, height });
  await page.emulateMediaFeatures([
    { name: 'prefers-color-scheme', value: dark ? 'dark' : 'light' },
    { name: 'prefers-reduced-motion', value: 'reduce' },
  ]);
  await page.evaluate(async () => {
    await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
    // A colour on its way from one scheme to the other is neither; one that was dropped on its way never ends.
    await Promise.race([
      Promise.allSettled(document.getAnimations().map((a) => a.finished)),
      new Promise((over) => setTimeout(over, 2000)),
    ]);
  });
}

/** Clicks the button, link or option with exactly these words, or this accessible name. */
export async function press(page: Page, name: string): Promise<void> {
  await page.locator(`::-p-aria(${name})`).click();
}

/** Goes to a leg of the survey by its words. */
export async function leg(page: Page, words: string): Promise<void> {
  await page.$$eval(
    '.leg',
    (legs, name) => (legs.find((l) => l.textContent?.startsWith(name)) as HTMLElement | undefined)?.click(),
    words,
  );
  await page.waitForFunction(
    (name) => [...document.querySelectorAll('.leg[aria-pressed="true"]')].some((l) => l.textContent?.startsWith(name)),
    {},
    words,
  );
}

/** The control a visible label names, or that carries the name itself. */
async function labelled(page: Page, label: string): Promise<ElementHandle<HTMLElement>> {
  const handle = await page.waitForFunction(
    (name) => {
      for (const l of document.querySelectorAll('label')) {
        if (l.textContent?.trim() === name && l.htmlFor) return document.getElementById(l.htmlFor);
      }
      return document.querySelector<HTMLElement>(`[aria-label="${CSS.escape(name)}"]`);
    },
    {},
    label,
  );
  const element = handle.asElement();
  if (!element) throw new Error(`nothing is labelled ${label}`);
  return element as ElementHandle<HTMLElement>;
}

/** Replaces what a labelled field holds, the new text put in at once, as a paste or a dictated word comes. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  const field = await labelled(page, label);
  // Focused by itself, not by a click: what is laid out anew meanwhile would move it from under the pointer.
  await field.focus();
  await field.evaluate((input) => (input as HTMLInputElement).select());
  await page.keyboard.press('Backspace');
  await page.keyboard.sendCharacter(text);
}

/** Picks an option of a labelled list by its value. */
export async function pick(page: Page, label: string, value: string): Promise<void> {
  await (await labelled(page, label)).select(value);
}

/** Text of the first match, or an empty string. */
export async function textOf(page: Page, selector: string): Promise<string> {
  return page.$eval(selector, (node) => (node as unknown as { innerText: string }).innerText).catch(() => '');
}

/** Waits until a selector's text passes. */
export async function waitForText(page: Page, selector: string, pattern: RegExp): Promise<string> {
  await page.waitForFunction(
    (s, source) => new RegExp(source).test(document.querySelector<HTMLElement>(s)?.innerText ?? ''),
    { timeout: PATIENCE },
    selector,
    pattern.source,
  );
  return textOf(page, selector);
}

interface AxeViolation {
  id: string;
  impact: string | null;
  nodes: { target: string[]; failureSummary?: string }[];
}

let axeSource: string | undefined;

/**
 * Runs axe on the page as it stands, or on the part of it that is new; returns what it finds wrong, readable.
 * @param enhanced with the greater contrast that is asked of what is read at arm's length
 */
export async function axeFindings(page: Page, within = 'html', enhanced = false): Promise<string[]> {
  axeSource ??= await readFile(require.resolve('axe-core/axe.min.js'), 'utf8');
  // Once a page: put in again, all its code would be cold again, and the second look as slow as the first.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeSource);
  const violations = (await page.evaluate(
    async (selector, more) => {
      const axe = (
        window as unknown as { axe: { run: (where: string, options: object) => Promise<{ violations: unknown }> } }
      ).axe;
      const result = await axe.run(selector, {
        runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] },
        ...(more ? { rules: { 'color-contrast-enhanced': { enabled: true } } } : {}),
        // What passed need not be listed.
        resultTypes: ['violations'],
      });
      return result.violations;
    },
    within,
    enhanced,
  )) as AxeViolation[];
  return violations.flatMap((v) =>
    v.nodes.map(
      (n) =>
        `${v.id} (${v.impact ?? ''}): ${n.target.join(' ')}: ${(n.failureSummary ?? '').replace(/\s+/g, ' ').slice(0, 200)}`,
    ),
  );
}

export async function chooseFile(app: App, button: string, path: string): Promise<void> {
  const handle = await app.page.waitForSelector(`::-p-aria(${button})`);
  // Pressed by itself, not by the pointer: what is laid out meanwhile would move it away, and no file would be asked for.
  const [chooser] = await Promise.all([
    app.page.waitForFileChooser(),
    handle?.evaluate((element) => (element as HTMLElement).click()),
  ]);
  await chooser.accept([path]);
}

/** Waits for a finished download and gives its path. */
export async function downloaded(app: App, ending = '.json'): Promise<string> {
  for (let i = 0; i < 100; i++) {
    const file = readdirSync(app.downloads).find((name) => name.endsWith(ending));
    if (file) return join(app.downloads, file);
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error('nothing was downloaded');
}
