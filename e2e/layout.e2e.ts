import { expect } from 'chai';
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fill, leg, press, waitForText, type App, go } from './support/app.ts';
import { appAnew } from './support/anew.ts';

/** What the pack says of where it lies. */
const lies = (app: App): Promise<string> => app.page.$eval('.pack-held', (g) => g.getAttribute('aria-valuetext') ?? '');
const along = (app: App): Promise<number> =>
  app.page.$eval('.pack-held', (g) => Number(g.getAttribute('aria-valuenow')));
const tool = (app: App, words: string): Promise<void> =>
  app.page.$$eval(
    '.board-tools button',
    (all, name) => (all.find((b) => b.textContent === name) as HTMLElement | undefined)?.click(),
    words,
  );

/** Waits for a download with an ending, and gives its text. */
async function downloadedText(app: App, ending: string): Promise<string> {
  for (let i = 0; i < 200; i++) {
    const name = readdirSync(app.downloads).find((f) => f.endsWith(ending));
    if (name) return readFileSync(join(app.downloads, name), 'utf8');
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error(`no ${ending} came`);
}

describe('where the battery goes', () => {
  const app = appAnew('/');

  it('moves by keyboard a millimetre at a time, keeps its spot, and goes back to the best', async () => {
    await go(app, '/build/demo-mixte/pack');
    await app.page.waitForSelector('.pack-held');
    const best = await along(app);
    await app.page.$eval('.pack-held', (g) => (g as SVGElement).focus());
    for (let i = 0; i < 3; i++) await app.page.keyboard.press('ArrowRight');
    await app.page.waitForFunction(
      (n) => document.querySelector('.pack-held')?.getAttribute('aria-valuenow') === String(n),
      {},
      best + 3,
    );
    expect(await lies(app)).to.match(/on the down tube, \d+ mm along, clamped round the tube; \d+\smm to/);
    await waitForText(app.page, '.build-switch, .rail', /saved/);
    await go(app, '/build/demo-mixte/pack');
    await app.page.waitForSelector('.pack-held');
    expect(await along(app)).to.equal(best + 3);
    await press(app.page, 'back to the best spot');
    await app.page.waitForFunction(
      (n) => document.querySelector('.pack-held')?.getAttribute('aria-valuenow') === String(n),
      {},
      best,
    );
    await app.page.$eval('.pack-held', (g) => (g as SVGElement).focus());
    await app.page.keyboard.press('t');
    await app.page.waitForFunction(() =>
      /clamped/.test(document.querySelector('.pack-held')?.getAttribute('aria-valuetext') ?? ''),
    );
    await app.page.$eval('.pack-held', (g) => (g as SVGElement).focus());
    await app.page.keyboard.press('Home');
    await app.page.waitForFunction(
      (n) => document.querySelector('.pack-held')?.getAttribute('aria-valuenow') === String(n),
      {},
      best,
    );
  });

  it('is dragged along its rail, the gap following, and into a tube it says stop', async () => {
    await go(app, '/build/demo-mixte/pack');
    const held = await app.page.waitForSelector('.pack-held .pack-body');
    await held?.evaluate((e) => e.scrollIntoView({ block: 'center' }));
    const box = await held?.boundingBox();
    if (!box) throw new Error('no pack');
    const before = await along(app);
    const { mouse } = app.page;
    await mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await mouse.down();
    await mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2 - 70, { steps: 12 });
    await waitForText(app.page, '.drawing', /into the/);
    expect(await app.page.$('.pack-held.tone-stop')).to.not.equal(null);
    await mouse.up();
    await waitForText(app.page, '.answer.chosen', /Stop|Rework/);
    expect(await along(app)).to.be.greaterThan(before + 20);
    await press(app.page, 'Undo');
    await app.page.waitForFunction(
      (n) => document.querySelector('.pack-held')?.getAttribute('aria-valuenow') === String(n),
      {},
      before,
    );
  });

  it('says what is missing to the millimetre, and puts it elsewhere on request', async () => {
    await go(app, '/build/demo-mixte/pack');
    await app.page.$eval('button[aria-label="Choose Kettle 48 · 14 Ah"]', (b) => (b as HTMLElement).click());
    await waitForText(app.page, '.answers', /too long: a pack that much shorter would go/);
    await app.page.$eval('button[aria-label="Choose Kettle 36 · 12.8 Ah"]', (b) => (b as HTMLElement).click());
    await waitForText(app.page, '.answer.chosen', /on the down tube/);
    await press(app.page, 'Put it under the down tube');
    await waitForText(app.page, '.answer.chosen', /under the down tube/);
    await press(app.page, 'Undo');
  });

  it('shows masses, leads, other ways, from above and the bar, and saves the drawing', async () => {
    await go(app, '/build/demo-trike/pack');
    await app.page.waitForSelector('.pack-held');
    for (const words of ['Masses', 'Leads', 'Other ways', 'Sizes']) await tool(app, words);
    await app.page.waitForSelector('.masses .centre');
    await app.page.waitForSelector('.leads .wire');
    await app.page.waitForSelector('.dimension');
    await tool(app, 'SVG');
    const svg = await downloadedText(app, 'drawing.svg');
    expect(svg).to.match(/^<svg[^>]*xmlns="http:\/\/www.w3.org\/2000\/svg"/);
    expect(svg).not.to.include('var(--');
    await tool(app, 'PNG');
    await downloadedText(app, 'drawing.png');
    await tool(app, 'Above');
    await app.page.waitForSelector('.tip-triangle');
    await waitForText(app.page, '.drawing', /track 690/);
    await tool(app, 'Bar');
    await waitForText(app.page, '.bars', /straight bar/);
  });

  it('moves the suspension and slides the pack off', async () => {
    await go(app, '/build/demo-gravel/donor');
    await app.page.select('select:has(option[value="fullSuspension"])', 'fullSuspension');
    await waitForText(app.page, '.rail', /saved/);
    await go(app, '/build/demo-gravel/pack');
    await app.page.waitForSelector('.pack-held');
    const shock = (): Promise<string> => app.page.$eval('.shock', (e) => e.outerHTML);
    const still = await shock();
    await tool(app, 'Suspension');
    await app.page.waitForFunction((old) => document.querySelector('.shock')?.outerHTML !== old, {}, still);
    await tool(app, 'Suspension');
  });

  it('prints pages that measure true, and gives SVG and DXF to cut by', async () => {
    await go(app, '/build/demo-mixte/pack');
    await leg(app.page, 'Drawings to make by');
    const page = await app.page.waitForSelector('.make-page svg');
    expect(await page?.evaluate((s) => s.getAttribute('width'))).to.equal('297mm');
    // As printed: one CSS millimetre is a millimetre, and the rule spans a hundred of them.
    const mm = await app.page.evaluate(() => {
      const holder = document.createElement('div');
      holder.style.position = 'absolute';
      holder.innerHTML = document.querySelector('.make-page')?.innerHTML ?? '';
      document.body.append(holder);
      const rule = holder.querySelector('.check-rule path') as SVGGraphicsElement;
      const wide = rule.getBoundingClientRect().width;
      holder.remove();
      return (wide / 96) * 25.4;
    });
    expect(mm).to.be.closeTo(100, 0.05);
    await app.page.$$eval('.make-buttons button', (all) =>
      (all.find((b) => b.textContent === 'DXF') as HTMLElement).click(),
    );
    expect(await downloadedText(app, '.dxf')).to.match(/EOF\s*$/);
    await app.page.$$eval('.make-buttons button', (all) =>
      (all.find((b) => b.textContent === 'SVG') as HTMLElement).click(),
    );
    expect(await downloadedText(app, 'template.svg')).to.match(/width="[\d.]+mm"/);
    // The printer's own PDF: the page is A4 on its side, in points.
    await app.page.evaluate(() => {
      window.print = () => undefined;
    });
    await app.page.$$eval('.make-buttons button', (all) =>
      (all.find((b) => b.textContent?.startsWith('Print')) as HTMLElement).click(),
    );
    await app.page.waitForSelector('.print-job', { hidden: true });
    const pdf = Buffer.from(await app.page.pdf({ preferCSSPageSize: true, printBackground: true })).toString('latin1');
    const box = /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(pdf);
    expect((Number(box?.[1]) / 72) * 25.4).to.be.closeTo(297, 0.5);
    await app.page.evaluate(() => dispatchEvent(new Event('afterprint')));
  });

  it('takes the frame’s inside from a photo', async () => {
    await go(app, '/build/demo-mixte/donor');
    await leg(app.page, 'Photo and fittings');
    // A made-up photo: 1000 × 600 px with a board of 1000 mm along its foot, a millimetre a pixel.
    const data = await app.page.evaluate(() => {
      const canvas = document.createElement('canvas');
      canvas.width = 1000;
      canvas.height = 600;
      const pen = canvas.getContext('2d');
      if (pen) {
        pen.fillStyle = '#ccd';
        pen.fillRect(0, 0, 1000, 600);
      }
      return canvas.toDataURL('image/png');
    });
    const file = join(app.downloads, 'side.png');
    writeFileSync(file, Buffer.from(data.split(',')[1] ?? '', 'base64'));
    const input = (await app.page.$('.photo-trace input[type="file"]')) as unknown as {
      uploadFile: (path: string) => Promise<void>;
    };
    await input.uploadFile(file);
    await app.page.waitForSelector('.photo-sheet');
    await app.page.$eval('.photo-sheet', (e) => e.scrollIntoView({ block: 'center' }));
    const mark = async (x: number, y: number): Promise<void> => {
      const rect = await app.page.$eval('.photo-sheet', (e) => {
        const r = e.getBoundingClientRect();
        return { x: r.x, y: r.y, w: r.width, h: r.height };
      });
      await app.page.mouse.click(rect.x + (x / 1000) * rect.w, rect.y + (y / 600) * rect.h);
    };
    await mark(0.5, 590);
    await mark(999, 590);
    await fill(app.page, 'The known distance', '1000 mm');
    await app.page.$$eval('.photo-trace .pill', (all) =>
      (all.find((b) => b.textContent?.startsWith('Frame’s corners')) as HTMLElement).click(),
    );
    for (const [x, y] of [
      [300, 500],
      [250, 180],
      [700, 150],
      [720, 200],
    ] as const)
      await mark(x, y);
    await waitForText(app.page, '.photo-trace', /1 to 2[\s\S]*32\d\smm/);
    await press(app.page, 'Take this as the frame’s inside');
    await waitForText(app.page, '.inside-sheet', /Taken from a photo: 4 corners/);
    await press(app.page, 'Go back to the measured sides');
    await waitForText(app.page, '.inside-sheet', /good to/);
  });

  it('reads a pack’s outline from an SVG, and refuses one that carries a script', async () => {
    await go(app, '/build/demo-mixte/shelf');
    await app.page.$$eval('button, [role="tab"]', (all) =>
      (all.find((b) => b.textContent === 'Packs') as HTMLElement | undefined)?.click(),
    );
    await app.page.waitForFunction(() => /Kettle/.test(document.body.innerText));
    await app.page.$$eval('button', (all) =>
      (all.find((b) => /copy|Copy/.test(b.textContent ?? '')) as HTMLElement | undefined)?.click(),
    );
    await app.page.waitForSelector('.outline-editor');
    const bad = join(app.downloads, 'bad.svg');
    const good = join(app.downloads, 'good.svg');
    writeFileSync(bad, '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>');
    writeFileSync(
      good,
      '<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="90mm" viewBox="0 0 300 90"><path d="M0 90H300V40L240 0H30L0 30Z"/></svg>',
    );
    const input = (await app.page.$('.outline-editor input[type="file"]')) as unknown as {
      uploadFile: (path: string) => Promise<void>;
    };
    await input.uploadFile(bad);
    await waitForText(app.page, '.outline-editor', /carries a script/);
    await input.uploadFile(good);
    await app.page.waitForFunction(() => document.querySelectorAll('.outline-pad circle').length === 6);
  });

  it('freezes the weight, counts what comes off, and shows what other wheels do', async () => {
    await go(app, '/build/demo-mixte/pack');
    await leg(app.page, 'Weight');
    await press(app.page, 'Freeze the beginning');
    await waitForText(app.page, '.weight-grid', /Vehicle as weighed[\s\S]*frozen 20/);
    await fill(app.page, 'Part', 'old rear wheel');
    await fill(app.page, 'Its mass', '2.1 kg');
    await press(app.page, 'Note it');
    await waitForText(app.page, '.weight-grid', /taken off 2\.1/);
    await leg(app.page, 'Other wheels');
    await fill(app.page, 'Rear tyre thought of', '37-559');
    await waitForText(app.page, '.plain-list', /Every gear goes at 9\d/);
  });
});
