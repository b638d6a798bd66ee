import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chooseFile, downloaded, fill, leg, pick, press, textOf, visit, waitForText, go } from './support/app.ts';
import { appAnew } from './support/anew.ts';

describe('the judgement of fit', () => {
  const app = appAnew('/');

  it('ranks what to measure first, and follows what is found', async () => {
    await go(app, '/build/demo-mixte/donor');
    await leg(app.page, 'Rear end');
    await fill(app.page, 'Rear dropout spacing', ' ');
    await leg(app.page, 'Measure first');
    // On vehicles like this one the width decides whether the hub goes in; with nothing known of it an order waits.
    await waitForText(app.page, '.survey-left', /Rear dropout spacing[\s\S]*\d+ min/);
    await waitForText(app.page, '.survey-left', /(settles|shows) \d+ of 100/);
    await fill(app.page, 'Rear dropout spacing', '131 mm');
    await app.page.waitForFunction(
      () => !/Rear dropout spacing/.test(document.querySelector<HTMLElement>('.survey-left')?.innerText ?? ''),
    );
  });

  it('shows how to take an item, tells look-alikes apart, and says what hangs on it', async () => {
    await go(app, '/build/demo-mixte/donor');
    await leg(app.page, 'Rings and cogs');
    await app.page.focus('#item-clusterKind');
    const words = await waitForText(app.page, '.howto', /Spin the cogs backwards/);
    expect(words).to.match(/Freewheel[\s\S]*Cassette/);
    expect(words).to.match(/Decides:[\s\S]*cogs on the hub/);
    expect(await app.page.$('.howto-figure')).not.to.equal(null);
  });

  it('holds an order back while what must fit is unmeasured, and takes a reason', async () => {
    await go(app, '/build/demo-box/drive');
    await waitForText(app.page, '.order-held', /Hold the order:[\s\S]*bottom bracket not proven/i);
    await fill(app.page, 'Reason for ordering Wren M250 all the same', 'the shop takes it back');
    await press(app.page, 'Order with this reason');
    await waitForText(app.page, '.order', /Ordered[\s\S]*the shop takes it back/);
    await press(app.page, 'Not ordered after all');
    await app.page.waitForSelector('.order-held');
  });

  it('asks what else is there before an order, and judges what is named', async () => {
    await go(app, '/build/demo-mixte/drive');
    // Another kit is chosen: the question was answered for the first.
    await app.page.waitForSelector('.candidates[aria-busy="false"]');
    await press(app.page, 'Choose Dipper R250 slim');
    await waitForText(app.page, '.order-held', /what else is there/);
    await fill(app.page, 'Something else that is there', 'Foot pegs on the axle');
    await press(app.page, 'Add it');
    await waitForText(app.page, '.order-held', /[Nn]ot judged yet: [Ff]oot pegs on the axle/);
    await pick(app.page, 'How it stands: Foot pegs on the axle', 'moves');
    await fill(app.page, 'Where it moves to', 'Off, and into the drawer');
    await app.page.click('.last-question input[type="checkbox"]');
    await app.page.waitForFunction(
      () => !/What else|Not judged/i.test(document.querySelector<HTMLElement>('.order-held')?.innerText ?? ''),
    );
    await waitForText(app.page, '.findings', /To be moved: Foot pegs on the axle/);
    await press(app.page, 'Strike it off');
    await app.page.waitForFunction(
      () => !/To be moved/.test(document.querySelector<HTMLElement>('.findings')?.innerText ?? ''),
    );
  });

  it('shows each part against each thing, and opens what a pair comes to', async () => {
    await go(app, '/build/demo-box/schools');
    const words = await waitForText(app.page, '.crossings', /25 parts, \d+ pairs/);
    expect(words).to.match(/bracket shell[\s\S]*passes through, replaces it[\s\S]*Bracket width and bore/);
    await app.page.click('.crossings .pill:nth-child(2)');
    await waitForText(app.page, '.crossings', /It leaves the front wheel as it is/);
    await app.page.click('.crossings .pill:nth-child(1)');
    await pick(app.page, 'Part', 'cutOffs');
    await waitForText(app.page, '.crossings', /brake levers and what they pull[\s\S]*Brake cut-offs/);
    await app.page.click('.crossings .pair');
    await waitForText(app.page, '.explain', /lever/i);
    await app.page.keyboard.press('Escape');
  });

  it('asks what each lever pulls, and finds answers that contradict one another', async () => {
    await go(app, '/build/demo-box/donor');
    await leg(app.page, 'Brakes and levers');
    await pick(app.page, 'Rear brake', 'discHydraulic');
    await waitForText(app.page, '.findings', /A hydraulic brake, and no lever with a hose/);
    await pick(app.page, 'Left lever pulls', 'hose');
    await app.page.waitForFunction(
      () =>
        !/no lever with a hose/.test(
          [...document.querySelectorAll<HTMLElement>('.findings')].map((f) => f.innerText).join(' '),
        ),
    );
  });

  it('opens any cell of the matrix, says what would change it, and overrides with a reason', async () => {
    await go(app, '/build/demo-mixte/drive');
    await leg(app.page, 'Matrix');
    await app.page.click('.cell[aria-label^="Otter R250, dropout spacing"]');
    await waitForText(app.page, '.explain', /What would change this[\s\S]*Rear dropout spacing from 134/);
    await app.page.click('.explain .opinion summary');
    await fill(app.page, 'Override with a reason', 'cold-set last winter, checked with a string');
    await press(app.page, 'Override');
    await waitForText(app.page, '.explain', /Overridden[\s\S]*cold-set last winter/);
    await app.page.keyboard.press('Escape');
    await app.page.waitForSelector('.explain', { hidden: true });
    await waitForText(app.page, '.findings', /overridden: cold-set last winter/);
    await app.page.keyboard.down('Control');
    await app.page.keyboard.press('z');
    await app.page.keyboard.up('Control');
    await app.page.waitForFunction(
      () => !/overridden/.test(document.querySelector<HTMLElement>('.findings')?.innerText ?? ''),
    );
  });

  it('counts the usual remedy, or the one that is taken', async () => {
    await go(app, '/build/demo-trike/drive');
    const price = (): Promise<number> =>
      textOf(app.page, '[data-figure="price"] .big').then((t) => Number(t.replace(/\D/g, '')));
    const usual = await price();
    await app.page.evaluate(() => {
      const findings = [...document.querySelectorAll<HTMLElement>('.findings .finding-open')];
      findings.find((f) => /brake/i.test(f.innerText) && !/lever/i.test(f.innerText))?.click();
    });
    await waitForText(app.page, '.remedies', /disc brake[\s\S]*counted as usual[\s\S]*take this one/i);
    await press(app.page, 'take this one');
    await waitForText(app.page, '.remedies', /taken/);
    expect(usual - (await price())).to.equal(75);
    await press(app.page, 'taken');
    await waitForText(app.page, '.remedies', /counted as usual/);
    expect(await price()).to.equal(usual);
  });

  it('shows both sides of a school and what each says of this build', async () => {
    await go(app, '/build/demo-gravel/schools');
    const carbon = await waitForText(app.page, '#carbon', /Refuse[\s\S]*Mid-drive only/i);
    expect(carbon).to.match(/Stop/);
    await app.page.click('#cutoffs .school-side:not(.chosen) input');
    await app.page.waitForFunction(
      () => document.querySelector('#cutoffs .school-side.chosen')?.textContent?.includes('throttle') === true,
    );
  });

  it('corrects a legal class, and the verdict follows', async () => {
    await go(app, '/build/demo-gravel/schools');
    await app.page.$eval('button[aria-label^="Correct Pedal assist, 250"]', (b) => (b as HTMLElement).click());
    await fill(app.page, 'Rated power allowed', '750 W');
    await waitForText(app.page, '.build-card', /· saved/);
    await go(app, '/build/demo-gravel/drive');
    const words = await textOf(app.page, '.findings');
    expect(words).not.to.match(/More rated power than its class/);
  });

  it('answers whether it is worth it, by what was said', async () => {
    await go(app, '/build/demo-lockkeeper/donor');
    await waitForText(app.page, '.two-answers', /It can[\s\S]*Worth it/);
    await leg(app.page, 'Worth it');
    await pick(app.page, 'Does it fit its rider?', 'poor');
    await waitForText(app.page, '.two-answers', /Not worth it/);
  });

  it('holds two donors against one brief', async () => {
    await go(app, '/build/demo-mixte/compare');
    await waitForText(app.page, '.compare-table', /Otter R250[\s\S]*Carbon gravel bike[\s\S]*Not like this/);
  });

  it('keeps a photo with an item, and sends it out and in with the build', async () => {
    const picture = join(app.downloads, 'slot.png');
    await app.page.screenshot({ path: picture as `${string}.png` });
    await go(app, '/build/demo-trike/donor');
    await app.page.focus('#item-bracketWidth');
    await waitForText(app.page, '.howto', /Shell width/);
    await chooseFile(app, 'Add a photo', picture);
    await app.page.waitForSelector('.photos img');
    await visit(app, '/');
    await press(app.page, 'More for Tool library’s trike');
    await press(app.page, 'Save as a build file');
    const file = await downloaded(app);
    const kept = JSON.parse(readFileSync(file, 'utf8')) as { photos: { item: string; dataUrl: string }[] };
    expect(kept.photos.map((p) => p.item)).to.deep.equal(['bracketWidth']);
    expect(kept.photos[0]?.dataUrl).to.match(/^data:image\/jpeg;base64,/);
    await chooseFile(app, 'Bring in a build file', file);
    await waitForText(app.page, '.build-list', /trike \(brought in\)/);
  });

  it('takes a home-built frame by its corners', async () => {
    await go(app, '/build/demo-mixte/donor');
    await pick(app.page, 'Kind of vehicle', 'homeBuilt');
    await leg(app.page, 'Frame by its corners');
    await press(app.page, 'Begin with four corners');
    await press(app.page, 'Add a corner');
    await app.page.waitForFunction(() => document.querySelectorAll('.free-rows:first-of-type li').length === 5);
  });

  it('says at the field what is wrong with a size, and blanks nothing else', async () => {
    await go(app, '/build/demo-lockkeeper/donor');
    await leg(app.page, 'Front end');
    const before = await app.page.$eval('#item-frontSlotWidth', (i) => (i as HTMLInputElement).value);
    for (const bad of ['-3 mm', 'ten-ish', '12 kg']) {
      await fill(app.page, 'Front dropout spacing', bad);
      await app.page.waitForFunction(
        () => (document.getElementById('item-frontDropoutSpacing')?.getAttribute('aria-invalid') ?? '') === 'true',
      );
    }
    await fill(app.page, 'Front dropout spacing', '230 mm');
    await waitForText(app.page, '.survey-group', /Unusual/);
    await fill(app.page, 'Front dropout spacing', '9 m');
    await waitForText(app.page, '.survey-group', /Too large/);
    expect(await app.page.$eval('#item-frontSlotWidth', (i) => (i as HTMLInputElement).value)).to.equal(before);
  });
});
