import { expect } from 'chai';
import type { ElementHandle } from 'puppeteer-core';
import { axeFindings, press, textOf, visit, waitForText } from './support/app.ts';
import { appAnew } from './support/anew.ts';

describe('proposals', () => {
  const app = appAnew('/');

  it('stand on Drive of a build nobody has decided on, with nothing measured; one is taken and taken back', async () => {
    await visit(app, '/');
    await press(app.page, 'New build');
    await waitForText(app.page, 'main h1', /What are you turning electric/);
    await app.page.$eval('a[href$="/drive"]', (link) => (link as HTMLElement).click());
    await waitForText(app.page, '.pick-first', /The one we would fit/);
    await app.page.waitForSelector('.proposals[aria-busy="false"]');
    // What is picked is settled once the vehicles are drawn: some of it goes on too few of them.
    await waitForText(app.page, '.drawn-for', /this one\.$/);
    expect(await textOf(app.page, '.pick-first')).to.match(/Comes home after[\s\S]*to measure/);
    const said = await textOf(app.page, '.proposals .section-head');
    expect(said).to.match(/conversions, [\d,]+ that nothing stops, \d+ that none of the others beats$/);
    const kit = await textOf(app.page, '.pick-first h3');
    await app.page.click('.pick-first button');
    await waitForText(app.page, 'main', new RegExp(`Which kit drives it: ${kit}`));
    await waitForText(app.page, '.pick-first', /Taken/);
    await waitForText(app.page, '.tally', /Range[\s\S]*\d+–\d+/);
    // What it was proposed with is kept beside it, to be compared.
    await app.page.$eval('a[href$="/compare"]', (link) => (link as HTMLElement).click());
    await app.page.waitForFunction(() => document.querySelectorAll('.compare-table .side-kept').length > 1);
    expect(await textOf(app.page, '.side-here')).to.contain(kit);
    await app.page.$eval('a[href$="/drive"]', (link) => (link as HTMLElement).click());
    await waitForText(app.page, '.pick-first', /Taken/);
    await press(app.page, 'Undo');
    await waitForText(app.page, 'main', /none chosen yet/);

    // They move as the weights do, say why not another kind, and are gone through by key.
    await waitForText(app.page, '.why-not', /Front hub[\s\S]*Mid-drive/);
    const sliders = await app.page.$$('.weights input');
    await waitForText(app.page, '.measure-first', /min · (settles|shows) \d+ of 100/);
    await waitForText(app.page, '.pick-first', /Goes on vehicles like this\s*\d+ of 100/);
    const before = await textOf(app.page, '.pick-first .pick-facts');
    // All on the start on the hill, nothing on the others.
    for (const [i, slider] of sliders.entries()) {
      await slider.focus();
      await app.page.keyboard.press(i === 3 ? 'End' : 'Home');
    }
    await app.page.waitForFunction(
      (was) => (document.querySelector<HTMLElement>('.pick-first .pick-facts')?.innerText ?? was) !== was,
      {},
      before,
    );
    await press(app.page, 'As usual for this purpose');
    await app.page.waitForFunction(
      (was) => document.querySelector<HTMLElement>('.pick-first .pick-facts')?.innerText === was,
      {},
      before,
    );
    await app.page.focus('.front-plot');
    await app.page.keyboard.press('ArrowRight');
    await app.page.keyboard.press('ArrowRight');
    await waitForText(app.page, '.front-one', / with [\s\S]*price with all it needs/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
  });

  it('are searched for a build that has chosen only when somebody asks, and hold on a phone', async () => {
    await app.page.setViewport({ width: 390, height: 844 });
    await visit(app, '/build/demo-mixte/drive');
    await waitForText(app.page, '.proposals-ask', /Search the shelf/);
    expect(await app.page.$('.picks')).to.equal(null);
    await press(app.page, 'Search the shelf');
    await waitForText(app.page, '.pick-first', /The one we would fit/);
    // Once all is searched, what was chosen is held against it.
    await waitForText(app.page, '.still-best', /we would fit|as good as your choice|stops your choice/);
    const wider = await app.page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth);
    expect(wider).to.equal(false);
  });

  for (const width of [1280, 390])
    it(`from “New build” to a proposal by one line of words, ${width} px wide`, async () => {
      await app.page.setViewport({ width, height: 844 });
      await visit(app, '/');
      await press(app.page, 'New build');
      await app.page.waitForSelector('#start-line');
      expect(await app.page.$('.picks')).to.equal(null);
      await app.page.type('#start-line', 'steel mixte 28in, 82 kg, 12 km each way, one hill of 10 %, up to 900');
      await waitForText(app.page, '.start-chips', /Mixte[\s\S]*rider 82\s*kg[\s\S]*load 5\s*kg\s*guess/);
      await waitForText(app.page, '.pick-first', /The one we would fit/);
      expect(await axeFindings(app.page)).to.deep.equal([]);
      expect(await app.page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth)).to.equal(false);
      await app.page.$eval('.pill:nth-child(2) input', (pill) => (pill as HTMLElement).click());
      await app.page.waitForSelector('.chip button');
      await app.page.$eval('.chip button', (chip) => (chip as HTMLElement).click());
      await waitForText(app.page, '.start-chips', /tyres [\s\S]*guess/);
      // A track takes the place of the road in words, and what is no track is refused with a word on why.
      const upload = async (name: string): Promise<void> => {
        const input = await app.page.waitForSelector('.start-way input[type="file"]');
        await (input as ElementHandle<HTMLInputElement>).uploadFile(name);
      };
      await upload('web/public/demo/roads/gorge-road.gpx');
      await waitForText(app.page, '.start-chips', /Gorge road/);
      await upload('package.json');
      await waitForText(app.page, '.start-answers', /package\.json was not read/);
      expect(await textOf(app.page, '.start-chips')).to.match(/Gorge road/);
    });
});
