import { expect } from 'chai';
import { axeFindings, fill, go, pick, press, setDevice, textOf, waitForText } from './support/app.ts';
import { appAnew } from './support/anew.ts';

describe('what is chosen is what is judged', () => {
  const app = appAnew('/build/demo-mixte/brief');

  const figure = async (id: string): Promise<number> =>
    parseFloat((await textOf(app.page, `[data-figure="${id}"] .big`)).replace(/[^\d.–]/g, ''));
  const changed = (id: string, from: number): Promise<unknown> =>
    app.page.waitForFunction(
      (f, before) =>
        parseFloat(
          (document.querySelector<HTMLElement>(`[data-figure="${f}"] .big`)?.innerText ?? '').replace(/[^\d.–]/g, ''),
        ) !== before,
      {},
      id,
      from,
    );
  const toggle = (words: string): Promise<void> =>
    app.page.evaluate((text) => {
      [...document.querySelectorAll<HTMLElement>('label')].find((l) => l.textContent?.trim() === text)?.click();
    }, words);

  it('a second person is put aboard with a seat, and all that moves counts them', async () => {
    await waitForText(app.page, '[data-figure="mass"] .big', /\d/);
    const alone = await figure('mass');
    await press(app.page, '+ another');
    await fill(app.page, 'Mass, dressed', '16 kg');
    expect(await figure('mass')).to.equal(alone);
    await pick(app.page, 'On this ride', 'childBehind');
    await changed('mass', alone);
    expect((await figure('mass')) - alone).to.be.closeTo(16, 0.11);
    expect(await textOf(app.page, '[aria-labelledby="brief-rider"]')).to.match(/Rider 2\s+child’s seat on the rack/);
    await waitForText(app.page, '.findings', /rack/i);
  });

  it('a trailer is a thing of its own, and its wheels bear it', async () => {
    const before = await figure('mass');
    await toggle('Tows a trailer');
    await waitForText(app.page, '[aria-labelledby="brief-trailer"]', /Coupling to axle/);
    await fill(app.page, 'Load in it', '30 kg');
    await changed('mass', before);
    await app.page.waitForFunction(
      (b) =>
        Math.abs(
          parseFloat(document.querySelector<HTMLElement>('[data-figure="mass"] .big')?.innerText ?? '') - b - 40,
        ) < 0.2,
      {},
      before,
    );
    await waitForText(app.page, '.findings', /The trailer’s own limit not read/);
    await fill(app.page, 'Its maker allows', '25 kg');
    await waitForText(app.page, '.findings', /Over the trailer’s own limit/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await setDevice(app.page, { width: 390, height: 844, dark: true });
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await setDevice(app.page, {});
    await go(app, '/build/demo-mixte/ride');
    await waitForText(app.page, 'main', /The trailer behind[\s\S]*presses on its coupling/);
  });

  it('a remedy taken is a part on the vehicle: the finding fits with it, and it can be taken back', async () => {
    await go(app, '/build/demo-mixte/drive');
    const open = (words: RegExp): Promise<void> =>
      app.page.evaluate((source) => {
        const findings = [...document.querySelectorAll<HTMLElement>('.finding-open')];
        findings.find((f) => new RegExp(source).test(f.innerText))?.click();
      }, words.source);
    await waitForText(app.page, '.findings', /Claw hanger on a motor axle/);
    const mass = await figure('mass');
    await open(/Claw hanger on a motor axle/);
    await waitForText(app.page, '.explain', /What would mend it/);
    await press(app.page, 'counted as usual');
    await waitForText(app.page, '.explain', /without it: Claw hanger on a motor axle[\s\S]*What mends it/);
    await waitForText(app.page, '.findings', /Fits with hanger bolt and plate|rework|Rework/);
    expect(await axeFindings(app.page, '.explain')).to.deep.equal([]);
    expect(await figure('mass')).to.be.at.least(mass);
    await press(app.page, 'taken');
    await waitForText(app.page, '.explain', /What would mend it/);
    await app.page.keyboard.press('Escape');
    await app.page.waitForSelector('.explain', { hidden: true });
  });

  it('a kit is judged again as it came', async () => {
    await go(app, '/build/demo-mixte/drive');
    await app.page.click('.arrival summary');
    await fill(app.page, 'Axle, round', '16 mm');
    await fill(app.page, 'Washers, bore', '14 mm');
    await waitForText(app.page, '.findings', /The washers do not go over the axle/);
    expect(await axeFindings(app.page, '.arrival')).to.deep.equal([]);
    await fill(app.page, 'Washers, bore', '16.2 mm');
    await app.page.waitForFunction(
      () => !/washers do not go/.test(document.querySelector<HTMLElement>('main')?.innerText ?? ''),
    );
    await waitForText(app.page, '.arrival summary', /2 measured, and judged with/);
  });

  it('a hub gear laced in gives gears, spokes and a price, and a rear motor refuses it', async () => {
    await go(app, '/build/demo-box/gearing');
    const price = await figure('price');
    await pick(app.page, 'Hub gear to lace in', 'hub-gear-eight');
    await waitForText(app.page, '[aria-labelledby="gear-table"]', /19 × 0\.53/);
    await waitForText(app.page, '[aria-labelledby="lacing"]', /3 crosses, spokes of \d+/);
    await changed('price', price);
    expect((await figure('price')) - price).to.be.at.least(230);
    expect(await axeFindings(app.page, '[aria-labelledby="lacing"]')).to.deep.equal([]);
    await go(app, '/build/demo-mixte/gearing');
    await pick(app.page, 'Hub gear to lace in', 'hub-gear-eight');
    await waitForText(app.page, '.findings', /Motor and hub gear want one wheel/);
  });

  it('a pack nobody knows can be entered, and is fitted to its discharge', async () => {
    await go(app, '/build/demo-lockkeeper/shelf');
    await press(app.page, 'Packs');
    const copy = await app.page.waitForSelector('[aria-label^="Copy Ballast 36"]');
    await copy?.click();
    await waitForText(app.page, '.part-form', /Fit it to a measured discharge/);
    await fill(app.page, 'Ah, V, A: a line each', '0.7 37.4 9');
    await press(app.page, 'Fit');
    await waitForText(app.page, '.part-form', /At least 4 readings under load are wanted\./);
    await fill(app.page, 'Protection board', ' ');
    await pick(app.page, 'Comes', 'used');
    expect(await axeFindings(app.page, '.part-form')).to.deep.equal([]);
    await press(app.page, 'Keep it');
    await app.page.waitForSelector('.part-form', { hidden: true });
  });
});
