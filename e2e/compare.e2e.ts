import { expect } from 'chai';
import { axeFindings, go, pick, press, visit, waitForText } from './support/app.ts';
import { appAnew } from './support/anew.ts';

describe('compare', () => {
  const app = appAnew('/build/demo-mixte/compare');

  const shows = (name: RegExp) => waitForText(app.page, '.compare-table thead', name);
  const tick = (name: string): Promise<void> =>
    app.page.$$eval(
      '.beside-one',
      (labels, wanted) => {
        const label = labels.find((l) => l.textContent?.includes(wanted));
        if (!label) throw new Error(`nothing named ${wanted}`);
        label.querySelector('input')?.click();
      },
      name,
    );

  it('keeps a choice, tries another, goes back to the first, and drops what is not wanted', async () => {
    await visit(app, '/build/demo-mixte/compare');
    await shows(/Otter R250[\s\S]*Carbon gravel bike/);
    await press(app.page, 'Keep this choice beside the next');
    await waitForText(app.page, '.beside', /Kept beside it/);
    // What is kept and chosen at once says the same on every line.
    await shows(/Otter R250[\s\S]*Otter R250/);
    await app.page.click('.only-differing input');
    await app.page.waitForFunction(() => document.querySelectorAll('.compare-table tbody').length === 0);
    await app.page.click('.only-differing input');

    await go(app, '/build/demo-mixte/gearing');
    await waitForText(app.page, 'main h1', /Gearing/);
    await pick(app.page, 'Ring', 'ring-32-bcd104');
    await waitForText(app.page, '.rail', /saved/);
    await go(app, '/build/demo-mixte/compare');
    await shows(/Otter R250[\s\S]*As it stands[\s\S]*Otter R250/);
    // A quiet line of the tally says whether it still stands beside what was kept.
    await waitForText(app.page, '.still-kept', /we would fit|as good as your choice/);
    const field = 'input[aria-label^="Kept for"]';
    await app.page.type(field, 'with the old ring');
    await waitForText(app.page, '.beside', /with the old ring/);
    await press(app.page, 'Take it: Otter R250 with Kettle 36 · 12.8 Ah');
    await waitForText(app.page, '.beside', /Chosen before/);
    await press(app.page, 'Undo');
    await waitForText(app.page, '.beside', /with the old ring/);
    await press(app.page, 'Drop: Otter R250 with Kettle 36 · 12.8 Ah');
    await app.page.waitForFunction(() => document.querySelector('.beside')?.textContent?.includes('Kept') === false);
    await press(app.page, 'Undo');
    await waitForText(app.page, '.beside', /with the old ring/);
  });

  it('sets any number of builds beside it, which the address remembers, on a phone too', async () => {
    for (const name of ['box bike', 'trike', 'step-through']) await tick(name);
    await shows(/Carbon gravel bike[\s\S]*step-through[\s\S]*box bike[\s\S]*trike/);
    await app.page.reload();
    await shows(/Carbon gravel bike[\s\S]*step-through[\s\S]*box bike[\s\S]*trike/);
    // One scale for all: every drawing covers the same ground.
    const boxes = await app.page.$$eval('.compare-table svg.mini', (all) => all.map((s) => s.getAttribute('viewBox')));
    expect(boxes).to.have.length(5);
    expect(new Set(boxes).size).to.equal(1);
    await app.page.setViewport({ width: 390, height: 844 });
    expect(await axeFindings(app.page)).to.deep.equal([]);
    expect(await app.page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth)).to.equal(false);
  });
});
