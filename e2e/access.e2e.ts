import { stageIds, starterShelf } from '@sprocket/core';
import { expect } from 'chai';
import { axeFindings, go, leg, press, setDevice, startApp, visit, waitForText, type App } from './support/app.ts';

const views = [
  '/',
  '/settings',
  '/kinds',
  '/build/demo-mixte/brief',
  '/build/demo-mixte/donor',
  '/build/demo-mixte/drive',
  '/build/demo-mixte/pack',
  '/build/demo-box/gearing',
  '/build/demo-trike/donor',
  '/build/demo-mixte/ride',
  '/build/demo-gravel/schools',
  '/build/demo-mixte/compare',
  '/build/demo-mixte/wiring',
  '/build/demo-mixte/shelf',
];

const devices = [
  { name: 'light, wide', dark: false, width: 1280, height: 800 },
  { name: 'dark, wide', dark: true, width: 1280, height: 800 },
  { name: 'dark, narrow', dark: true, width: 390, height: 844 },
  { name: 'light, narrow', dark: false, width: 390, height: 844 },
] as const;

/** Both schemes and both widths once each: what axe finds hangs on the one or the other, not on the pair. */
const looked = (device: (typeof devices)[number]): boolean => device.dark === device.width < 800;

/** A measure in metric units; a cross-section in mm² is one in every country. */
const METRIC = /[\d.][\s\u00a0](?:mm|cm|km|kg|km\/h|m\/s|°C|N·m)(?![\p{L}\p{N}²³/·])/u;
/** A point before decimals, or a month or day as files have it. */
const PLAIN = /\d\.\d|(?:19|20)\d\d-\d\d|(?<![\d-])[01]\d-[0-3]\d(?![\d-])/;
const namesLike = (shape: RegExp): string[] =>
  Object.values(starterShelf)
    .flat()
    .map((part: { name?: string }) => part.name ?? '')
    .filter((name) => shape.test(name))
    .toSorted((a, b) => b.length - a.length);
const names = namesLike(METRIC);
const plainNames = namesLike(PLAIN);

/** Every text of a page as it stands: what is read, what drawings say, and what names and hints say. */
function textsOn(app: App): Promise<string[]> {
  return app.page.evaluate(() => {
    const attributes = ['aria-label', 'placeholder', 'title'];
    return [
      ...document.body.innerText.split('\n'),
      ...[...document.querySelectorAll('svg text')].map((text) => text.textContent ?? ''),
      ...[...document.querySelectorAll(attributes.map((a) => `[${a}]`).join())].flatMap((element) =>
        attributes.map((a) => element.getAttribute(a) ?? ''),
      ),
    ];
  });
}

describe('every view, light and dark, wide and narrow', () => {
  let app: App;
  before(async () => {
    app = await startApp({ demo: true });
    await visit(app, '/');
  });
  after(() => app.close());

  for (const view of views) {
    it(`${view}: axe finds nothing, nothing spills sideways, nothing is complained of`, async () => {
      if (view !== '/') await go(app, view);
      for (const device of devices.filter(looked)) {
        await setDevice(app.page, device);
        expect(await axeFindings(app.page), device.name).to.deep.equal([]);
        const spill = await app.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        expect(spill, device.name).to.be.at.most(0);
      }
      expect(app.complaints).to.deep.equal([]);
    });
  }

  for (const words of [
    'Measure first',
    'Bottom bracket',
    'Brakes and levers',
    'Condition',
    'What follows',
    'Worth it',
    'Photo and fittings',
  ]) {
    it(`the survey’s “${words}”: axe finds nothing, nothing spills`, async () => {
      // One page, from leg to leg, as a person walks round.
      if (!app.page.url().endsWith('/demo-lockkeeper/donor')) await go(app, '/build/demo-lockkeeper/donor');
      await leg(app.page, words);
      for (const device of devices.filter(looked)) {
        await setDevice(app.page, device);
        expect(await axeFindings(app.page, 'main'), device.name).to.deep.equal([]);
        const spill = await app.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        expect(spill, device.name).to.be.at.most(0);
      }
    });
  }

  for (const words of ['Weight', 'Other wheels', 'Drawings to make by']) {
    it(`the pack’s “${words}”: axe finds nothing, nothing spills`, async () => {
      if (!app.page.url().endsWith('/demo-trike/pack')) await go(app, '/build/demo-trike/pack');
      await leg(app.page, words);
      for (const device of devices.filter(looked)) {
        await setDevice(app.page, device);
        expect(await axeFindings(app.page, 'main'), device.name).to.deep.equal([]);
        const spill = await app.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        expect(spill, device.name).to.be.at.most(0);
      }
    });
  }

  it('the matrix of kits and rules: axe finds nothing', async () => {
    await go(app, '/build/demo-box/drive');
    await leg(app.page, 'Matrix');
    await setDevice(app.page, devices[0]);
    expect(await axeFindings(app.page, 'main'), devices[0].name).to.deep.equal([]);
    // Some seventeen hundred cells, all alike: in the other scheme its first rows are enough.
    await app.page.$$eval('.matrix tbody tr', (rows) => rows.slice(6).forEach((row) => row.remove()));
    await setDevice(app.page, devices[2]);
    expect(await axeFindings(app.page, 'main'), devices[2].name).to.deep.equal([]);
  });

  for (const device of devices.filter(looked)) {
    it(`an opened sum, the finder and the list of keys, ${device.name}: axe finds nothing`, async () => {
      await setDevice(app.page, device);
      await visit(app, '/build/demo-mixte/drive');
      if (device.width < 800) await app.page.click('.tally-handle');
      await app.page.click('[data-figure="range"]');
      await app.page.waitForSelector('.sum');
      expect(await axeFindings(app.page, '.explain')).to.deep.equal([]);
      await app.page.keyboard.press('Escape');
      await app.page.waitForSelector('.explain', { hidden: true });
      if (device.width < 800) await app.page.click('.tally-handle');
      await app.page.$eval('.finding-open', (b) => b.scrollIntoView({ block: 'center' }));
      await app.page.click('.finding-open');
      await app.page.waitForSelector('.explain-verdict');
      expect(await axeFindings(app.page, '.explain')).to.deep.equal([]);
      await app.page.keyboard.press('Escape');
      await app.page.waitForSelector('.explain', { hidden: true });
      // A narrow screen has no keyboard to name a key of.
      await press(app.page, device.width < 800 ? 'Find' : 'Find Ctrl K');
      await app.page.waitForSelector('[aria-label="Find anything"]');
      expect(await axeFindings(app.page)).to.deep.equal([]);
      await app.page.keyboard.press('Escape');
      await app.page.waitForSelector('[aria-label="Find anything"]', { hidden: true });
      await app.page.keyboard.type('?');
      await app.page.waitForSelector('.keys');
      expect(await axeFindings(app.page, '.keys')).to.deep.equal([]);
      expect(app.complaints).to.deep.equal([]);
    });
  }

  it('in inches and miles, no stage of a build tells a measure in metric units', async () => {
    await setDevice(app.page, devices[0]);
    await go(app, '/build/demo-mixte/brief');
    await app.page.keyboard.press('u');
    await waitForText(app.page, '.stage', /in · mi/);
    const found: string[] = [];
    let read = 0;
    for (const id of stageIds) {
      await go(app, `/build/demo-mixte/${id}`);
      const legs = await app.page.$$eval('.leg', (all) => all.length);
      for (let i = 0; i < Math.max(1, legs); i++) {
        await app.page.evaluate((n) => document.querySelectorAll<HTMLElement>('.leg')[n]?.click(), i);
        await app.page.evaluate(
          () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
        );
        const texts = await textsOn(app);
        read += texts.length;
        for (const text of texts) {
          if (!METRIC.test(text)) continue;
          // Names are as their sellers write them; a drawing to cut by has its rule of 100 mm to prove it.
          const rest = names.reduce((left, name) => left.replaceAll(name, ''), text);
          if (METRIC.test(rest) && !/rule (of|is) 100 mm/.test(rest)) found.push(`${id}: ${rest}`);
        }
      }
    }
    expect(read).to.be.above(2000);
    expect([...new Set(found)]).to.deep.equal([]);
    await app.page.keyboard.press('u');
  });

  it('to a reader who writes a comma, no view of a build writes a point or a day of the standard’s', async () => {
    const page = await app.another();
    try {
      const session = await page.page.createCDPSession();
      const userAgent = await page.page.evaluate(() => navigator.userAgent);
      await session.send('Emulation.setUserAgentOverride', { userAgent, acceptLanguage: 'de-DE' });
      await visit(page, '/build/demo-mixte/brief');
      const found = new Set<string>();
      let read = 0;
      // A build half planned, one that has been ridden for half a year, one that is being proved.
      const paths = [
        ...stageIds.map((id) => `demo-mixte/${id}`),
        'demo-box/logbook',
        'demo-gravel/proving',
        'demo-mixte/schools',
        'demo-mixte/ride',
      ];
      for (const path of paths) {
        await go(page, `/build/${path}`);
        const legs = await page.page.$$eval('.leg', (all) => all.length);
        for (let i = 0; i < Math.max(1, legs); i++) {
          await page.page.evaluate((n) => document.querySelectorAll<HTMLElement>('.leg')[n]?.click(), i);
          await page.page.evaluate(
            () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
          );
          const texts = await textsOn(page);
          read += texts.length;
          for (const text of texts) {
            // Names are as their sellers write them; money has its points between thousands.
            const sums = text.replace(/\d[\d.]*(?:,\d+)?\u00a0€/g, '');
            const rest = plainNames.reduce((left, name) => left.replaceAll(name, ''), sums);
            if (PLAIN.test(rest)) found.add(`${path}: ${rest}`);
          }
        }
      }
      expect(read).to.be.above(2000);
      expect([...found]).to.deep.equal([]);
    } finally {
      await page.page.close();
    }
  });
});
