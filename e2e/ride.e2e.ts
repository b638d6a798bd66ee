import { expect } from 'chai';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chooseFile, fill, leg, pick, press, textOf, waitForText, go } from './support/app.ts';
import { appAnew } from './support/anew.ts';

const range = '[data-figure="range"]';

/** A rolling track of 30 km with many points, heading north-east. */
function longTrack(points: number): string {
  const rows = Array.from(
    { length: points },
    (_, i) =>
      `<trkpt lat="${(46 + (i * 0.19) / points).toFixed(6)}" lon="${(-30 + (i * 0.27) / points).toFixed(6)}"><ele>${(120 + 35 * Math.sin((i / points) * 40)).toFixed(1)}</ele></trkpt>`,
  );
  return `<gpx><trk><name>Long ridge</name><trkseg>${rows.join('')}</trkseg></trk></gpx>`;
}

describe('the ride', () => {
  const app = appAnew('/', { rides: true });

  it('shows chain line, chain length and the rings that would do', async () => {
    await go(app, '/build/demo-box/gearing');
    await waitForText(app.page, '.stage', /Chain line and length[\s\S]*links[\s\S]*Rings and cogs that would do/);
    expect(await app.page.$$eval('.pair-not', (cells) => cells.length)).to.be.greaterThan(3);
  });

  it('draws its rides in the background, and ends with the chance and its causes', async () => {
    await go(app, '/build/demo-mixte/ride');
    await waitForText(app.page, '.stage', /500 rides drawn, the same each time/);
    expect(await textOf(app.page, '.chance')).to.match(/\d+ in 100/);
    expect(await textOf(app.page, '.causes')).to.match(/wind|rider/);
    await waitForText(app.page, range, /met \d+ times in 100/);
  });

  it('gives the same answer again', async () => {
    await go(app, '/build/demo-mixte/ride');
    await waitForText(app.page, '.stage', /500 rides drawn/);
    const first = await textOf(app.page, '.spread');
    await app.page.reload({ waitUntil: 'load' });
    await waitForText(app.page, '.stage', /500 rides drawn/);
    expect(await textOf(app.page, '.spread')).to.equal(first);
  });

  it('explains the point under the cursor in words', async () => {
    await go(app, '/build/demo-mixte/ride');
    await waitForText(app.page, '.ride-told', /is all it gives|as wished|the level gives/);
    await app.page.focus('.ride-slider input');
    const before = await textOf(app.page, '.ride-told');
    for (let i = 0; i < 12; i++) await app.page.keyboard.press('ArrowRight');
    await app.page.waitForFunction(
      (old) => document.querySelector<HTMLElement>('.ride-told')?.innerText !== old,
      {},
      before,
    );
    await leg(app.page, 'Winding');
    await app.page.waitForSelector('.recharts-reference-line');
  });

  it('stops when asked, and rides again', async () => {
    await go(app, '/build/demo-gravel/ride');
    await app.page.waitForFunction(() =>
      [...document.querySelectorAll('button')].some((b) => b.textContent === 'Stop'),
    );
    await app.page.evaluate(() =>
      ([...document.querySelectorAll('button')].find((b) => b.textContent === 'Stop') as HTMLElement).click(),
    );
    await waitForText(app.page, '.stage', /stopped/);
    // Nothing goes on behind: the count stands still, and no worker of the spread is left.
    const count = await textOf(app.page, '.spread-progress');
    await new Promise((done) => setTimeout(done, 700));
    expect(await textOf(app.page, '.spread-progress')).to.equal(count);
    expect(app.page.workers().filter((w) => /spread/.test(w.url()) || false)).to.have.length(0);
    await press(app.page, 'Ride them again');
    await waitForText(app.page, '.stage', /500 rides drawn/);
  });

  it('reckons a changed wind against each leg’s direction', async () => {
    await go(app, '/build/demo-mixte/brief');
    await pick(app.page, 'Wind comes from', '1');
    await fill(app.page, 'Wind’s speed', '30 km/h');
    const against = await waitForText(app.page, range, /\d+–\d+/);
    await app.page.waitForSelector('.wind-rose .rose-wind');
    await press(app.page, 'There and back');
    await pick(app.page, 'Wind comes from', '5');
    await app.page.waitForFunction(
      (s, old) => document.querySelector<HTMLElement>(s)?.innerText !== old,
      {},
      range,
      against,
    );
  });

  it('takes stretches with surfaces of their own, and draws them', async () => {
    await go(app, '/build/demo-lockkeeper/brief');
    await press(app.page, 'Add a stretch');
    await app.page.waitForSelector('.road-surface.road-setts');
    await waitForText(app.page, '.stretches', /Surface/);
    await press(app.page, 'Keep it for other builds');
    await waitForText(app.page, 'body', /is kept for other builds/);
    await go(app, '/build/demo-box/brief');
    await waitForText(app.page, '.road-picker', /Kept from other builds[\s\S]*Towpath/);
  });

  it('loads a dropped track of a hundred thousand points without freezing the page', async () => {
    const file = join(app.downloads, 'long.gpx');
    writeFileSync(file, longTrack(100_000));
    expect(readFileSync(file).length).to.be.greaterThan(5_000_000);
    await go(app, '/build/demo-box/brief');
    await app.page.evaluate(() => {
      const w = window as unknown as { longest: number; beat: number };
      w.longest = 0;
      w.beat = performance.now();
      setInterval(() => {
        const now = performance.now();
        w.longest = Math.max(w.longest, now - w.beat);
        w.beat = now;
      }, 20);
    });
    await chooseFile(app, 'Choose a GPX file', file);
    await waitForText(app.page, '.decides', /Long ridge/);
    const longest = await app.page.evaluate(() => (window as unknown as { longest: number }).longest);
    expect(longest, 'longest time the page did not answer, ms').to.be.lessThan(1500);
    await waitForText(app.page, range, /met \d+ times in 100/);
  });

  it('takes a GPX file that is dropped on the card', async () => {
    await go(app, '/build/demo-trike/brief');
    await app.page.evaluate(
      (text) => {
        const data = new DataTransfer();
        data.items.add(new File([text], 'dropped.gpx', { type: 'application/gpx+xml' }));
        document
          .querySelector('.road-picker')
          ?.dispatchEvent(new DragEvent('drop', { bubbles: true, dataTransfer: data }));
      },
      longTrack(400).replace('Long ridge', 'Dropped ridge'),
    );
    await waitForText(app.page, '.decides', /Dropped ridge/);
    await app.page.waitForSelector('.wind-rose .rose-petal');
  });
});
