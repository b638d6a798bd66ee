import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import { axeFindings, downloaded, fill, go, leg, pick, press, setDevice, textOf, waitForText } from './support/app.ts';
import { appAnew, part } from './support/anew.ts';

describe('wiring', () => {
  const app = appAnew('/build/demo-mixte/wiring');

  const price = async (): Promise<number> =>
    parseFloat((await textOf(app.page, '[data-figure="price"] .big')).replace(/[^\d.]/g, ''));
  const dearer = (than: number): Promise<unknown> =>
    app.page.waitForFunction(
      (before) =>
        parseFloat(
          (document.querySelector<HTMLElement>('[data-figure="price"] .big')?.innerText ?? '').replace(/[^\d.]/g, ''),
        ) > before,
      {},
      than,
    );
  /** What is drawn is no HTML element, and takes the focus all the same. */
  const focus = (selector: string): Promise<void> =>
    app.page.$eval(selector, (node) => (node as unknown as SVGElement).focus());
  const row = (lead: string): Promise<string> => textOf(app.page, `#lead-${lead}`);

  it('shows every lead on its way and in a table; one in hand says what it needs, has and has over', async () => {
    await waitForText(app.page, '.lead-table', /Battery lead[\s\S]*too short/);
    const count = await app.page.$$eval('.wire-hit', (g) => g.length);
    expect(count).to.equal((await app.page.$$('.leads-of tbody tr')).length);
    await focus('.wire-hit[aria-label^="Lead 1,"]');
    await waitForText(app.page, '.board-says', /1 Battery lead needs .* ± .*, has .*short/);
    // The one length everywhere: the table's is the drawing's.
    const needs = /needs (\d+)/.exec(await textOf(app.page, '.board-says'))?.[1];
    expect(await row('battery')).to.match(new RegExp(`\\b${needs}\\s*mm`));
    expect(await axeFindings(app.page)).to.deep.equal([]);
  });

  it('every lead’s number can be read: inside of the sheet, and none on another', async () => {
    for (const name of ['demo-box', 'demo-trike', 'demo-lockkeeper', 'demo-gravel', 'demo-mixte']) {
      await go(app, `/build/${name}/wiring`);
      await app.page.waitForSelector('.wire-tags circle');
      const told = await app.page.$eval('.wire-board', (board) => {
        const box = board.querySelector('.wire-tags')?.closest('svg')?.getBoundingClientRect();
        const tags = [...board.querySelectorAll('.wire-tags circle')].map((c) => c.getBoundingClientRect());
        const out: string[] = box && tags.length > 4 ? [] : ['no numbers'];
        tags.forEach((a, i) => {
          if (box && (a.top < box.top || a.left < box.left || a.right > box.right || a.bottom > box.bottom))
            out.push(`${i + 1} is cut off`);
          tags.slice(0, i).forEach((b, k) => {
            if (Math.hypot(a.x - b.x, a.y - b.y) < a.width * 0.9) out.push(`${i + 1} lies on ${k + 1}`);
          });
        });
        return out;
      });
      expect(told, name).to.deep.equal([]);
    }
  });

  it('is sorted and filtered, and saved as CSV as it stands', async () => {
    await press(app.page, 'Needs');
    const needs = await app.page.$$eval('.leads-of tbody tr', (rows) =>
      rows.map((r) => Number(r.children[4]?.textContent?.replace(/\D/g, ''))),
    );
    const risen = [...needs].sort((a, b) => a - b);
    expect([risen, [...risen].reverse()]).to.deep.include(needs);
    await fill(app.page, 'Show leads with these words', 'cut-off');
    await app.page.waitForFunction(() => document.querySelectorAll('.leads-of tbody tr').length === 2);
    await press(app.page, 'CSV');
    const text = await readFile(await downloaded(app, '.csv'), 'utf8');
    expect(text.split('\r\n')[0]).to.equal('No.,Lead,Along,Plug,Needs,Has,Over,So,Then');
    expect(text).to.match(/Left cut-off/);
    expect(text).to.not.match(/Battery/);
    await fill(app.page, 'Show leads with these words', ' ');
  });

  it('a box that is moved moves its leads with it, by the keyboard too, and goes back', async () => {
    const before = await row('motor');
    await focus('.wire-handle[aria-label^="controller"]');
    for (let i = 0; i < 8; i++) {
      await app.page.keyboard.down('Shift');
      await app.page.keyboard.press('ArrowUp');
      await app.page.keyboard.up('Shift');
    }
    await app.page.waitForFunction(
      (was) => document.querySelector<HTMLElement>('#lead-motor')?.innerText !== was,
      {},
      before,
    );
    await focus('.wire-handle[aria-label^="controller"]');
    await app.page.keyboard.press('Home');
    await app.page.waitForFunction(
      (was) => document.querySelector<HTMLElement>('#lead-motor')?.innerText === was,
      {},
      before,
    );
  });

  it('an extension chosen makes it reach, and lies between its boxes on the loom sheet', async () => {
    await part('an extension chosen makes it reach, and the tally’s price moves with it', async () => {
      await press(app.page, 'Battery lead');
      await waitForText(app.page, '.lead-card', /along the tubes[\s\S]*needs/);
      const before = await price();
      await pick(app.page, 'Extension', 'extension-flat-pair-2-1200');
      await waitForText(app.page, '#lead-battery', /with extension, flat pair/);
      await dearer(before);
      expect(await textOf(app.page, '.findings')).to.not.match(/Battery lead too short/);
      expect(await axeFindings(app.page, '.lead-card')).to.deep.equal([]);
    });
    await part('the loom sheet has it between its boxes, is saved as SVG and prints on one page', async () => {
      await leg(app.page, 'Loom sheet');
      await app.page.waitForSelector('.loom-extension');
      expect(await axeFindings(app.page)).to.deep.equal([]);
      // No smaller than can be read at arm's length.
      const least = await app.page.$$eval('.loom text', (texts) =>
        Math.min(...texts.map((t) => t.getBoundingClientRect().height)),
      );
      expect(least).to.be.greaterThan(10);
      await press(app.page, 'SVG');
      const svg = await readFile(await downloaded(app, '.svg'), 'utf8');
      expect(svg).to.match(/extension/);
      expect(svg).to.not.match(/var\(/);
      const pdf = Buffer.from(await app.page.pdf({ format: 'A4', landscape: true })).toString('latin1');
      expect(pdf).to.match(/\/Type\s*\/Page\b/);
    });
  });

  it('a dead motor is foreseen by the lever’s sheet, with which way to move the magnet', async () => {
    await leg(app.page, 'Levers and sensors');
    await fill(app.page, 'Gap at rest', '5 mm');
    await fill(app.page, 'Gap pulled', '9 mm');
    await pick(app.page, 'The sensor', 'cutsWhenAway');
    await waitForText(app.page, '.lever', /never runs[\s\S]*nearer the sensor at rest/);
    await waitForText(app.page, '.findings', /Left lever keeps the motor dead/);
    await fill(app.page, 'Gap at rest', '1 mm');
    await waitForText(app.page, '.lever', /runs and cuts/);
    await fill(app.page, 'Gap pulled', '2 mm');
    await waitForText(app.page, '.findings', /Left lever does not cut the motor/);
    await fill(app.page, 'Gap pulled', '9 mm');
    await waitForText(app.page, '.lever', /runs and cuts/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await setDevice(app.page, { dark: true });
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await setDevice(app.page, {});
  });

  it('things on the bar change places by the arrows; settings say what they do; checks take volts', async () => {
    await leg(app.page, 'Bar');
    await focus('.on-bar-free[aria-label^="bell"]');
    await app.page.keyboard.press('ArrowLeft');
    await app.page.waitForFunction(
      () =>
        (document.querySelector('.on-bar-free[aria-label^="bell"] rect')?.getBoundingClientRect().x ?? NaN) <
        (document.querySelector('.on-bar-free[aria-label^="keypad"] rect')?.getBoundingClientRect().x ?? NaN),
    );
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await leg(app.page, 'Settings');
    await waitForText(app.page, '.settings-sheet', /range .*→/);
    await fill(app.page, 'Battery current as set', '10 A');
    await waitForText(app.page, '.settings-sheet', /15\s*A → 10\s*A/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await leg(app.page, 'Meter checks');
    await fill(app.page, 'Volts read', '-39');
    await waitForText(app.page, '.checks', /Crossed: join nothing/);
    await fill(app.page, 'Volts read', '39');
    await app.page.waitForSelector('.check.edge-fits');
    await press(app.page, 'Note it');
    await waitForText(app.page, '[aria-labelledby="phases"]', /Try 2/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await leg(app.page, 'Power and lamps');
    await pick(app.page, 'Front lamp', 'beacon-f');
    await waitForText(app.page, '[aria-labelledby="lamps-card"]', /4 W together/);
    await press(app.page, 'Join a second pack');
    await waitForText(app.page, '[aria-labelledby="joined-card"]', /may not be joined[\s\S]*without limit/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await setDevice(app.page, { width: 390, height: 844, dark: true });
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await setDevice(app.page, {});
  });

  it('from a new build: without a kit it says what to do first', async () => {
    await go(app, '/');
    await press(app.page, 'New build');
    await waitForText(app.page, 'h1', /What are you turning electric/);
    const id = /build\/([^/]+)/.exec(app.page.url())?.[1] ?? '';
    await go(app, `/build/${id}/wiring`);
    await waitForText(app.page, 'main', /Choose a kit first/);
  });
});
