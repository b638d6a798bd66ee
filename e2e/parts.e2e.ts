import { expect } from 'chai';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import {
  axeFindings,
  chooseFile,
  downloaded,
  fill,
  go,
  leg,
  pick,
  press,
  setDevice,
  startApp,
  textOf,
  visit,
  waitForText,
  type App,
} from './support/app.ts';

describe('parts', () => {
  let app: App;
  before(async () => {
    app = await startApp({ demo: true });
    await visit(app, '/build/demo-mixte/parts');
  });
  after(() => app.close());

  const number = (text: string): number => parseFloat(text.replace(/[^\d.]/g, ''));
  const rows = (): Promise<string[]> =>
    app.page.$$eval('.bill-line', (list) => list.map((r) => (r as HTMLElement).innerText));

  it('the bill draws itself up from the plan, and comes to the tally’s price', async () => {
    await waitForText(app.page, '#bill', /The bill/);
    const all = await textOf(app.page, '.sums');
    const tally = number(await textOf(app.page, '[data-figure="price"] .big'));
    expect(Math.round(number(/In all\s*(\S+)/.exec(all)?.[1] ?? ''))).to.equal(tally);
    expect((await rows()).some((r) => /Kettle 36/.test(r))).to.equal(true);
    await fill(app.page, 'Search the bill', 'torque arm');
    await app.page.waitForFunction(() => document.querySelectorAll('.bill-line').length === 1);
    await fill(app.page, 'Search the bill', ' ');
    expect(await axeFindings(app.page)).to.deep.equal([]);
  });

  it('had already, a part costs nothing, in bill and tally', async () => {
    const before = number(await textOf(app.page, '[data-figure="price"] .big'));
    await pick(app.page, 'Where Cable ties, black comes from', 'have');
    await app.page.waitForFunction(
      (than) =>
        parseFloat(
          (document.querySelector<HTMLElement>('[data-figure="price"] .big')?.innerText ?? '').replace(/[^\d.]/g, ''),
        ) < than,
      {},
      before,
    );
    await waitForText(app.page, '#group-had', /Had/);
  });

  it('asks the counter, which says that it is a stand-in, and finds the cheapest ways', async () => {
    await leg(app.page, 'Suppliers');
    await press(app.page, 'Ask the parts counter');
    await waitForText(app.page, '.counter-says', /prices of 4 invented suppliers/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await leg(app.page, 'Buying');
    await app.page.waitForSelector('.way');
    const totals = await app.page.$$eval('.way-total', (list) => list.map((t) => t.textContent ?? ''));
    expect(totals.map(number)).to.deep.equal([...totals.map(number)].sort((a, b) => a - b));
    await waitForText(app.page, '.buying-notes', /Without[\s\S]*sooner/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
  });

  it('an order split over suppliers stands in the bill; one part comes, one at fault goes back', async () => {
    const senders = await app.page.$$eval('.way:first-of-type li strong', (list) => list.map((s) => s.textContent));
    expect(senders.length).to.be.greaterThan(1);
    await press(app.page, 'Mark as ordered like this');
    // An order for each supplier, a page each.
    await app.page.waitForFunction(
      (count) => document.querySelectorAll('.order-page').length === count,
      {},
      senders.length,
    );
    const pdf = Buffer.from(await app.page.pdf({ format: 'A4' })).toString('latin1');
    expect((pdf.match(/\/Type\s*\/Page[^s]/g) ?? []).length).to.equal(senders.length);
    await leg(app.page, 'The bill');
    await waitForText(app.page, '#group-way', /On its way/);
    await leg(app.page, 'Unpacking');
    await waitForText(app.page, '.unpack', /Kettle 36/);
    // The kit’s box is ticked off thing by thing.
    await app.page.$eval('.box-list', (box) => box.setAttribute('open', ''));
    await pick(app.page, 'Axle nuts in the box', 'present');
    await pick(app.page, 'Display in the box', 'missing');
    await waitForText(app.page, '.box-list summary', /2 of \d+ looked for, 1 missing/);
    const put = (what: RegExp, to: string): Promise<void> =>
      app.page.$$eval(
        '.unpack > li',
        (list, source, value) => {
          const line = list.find((l) => new RegExp(source).test(l.querySelector('h3')?.textContent ?? ''));
          line?.querySelector<HTMLInputElement>(`input[value="${value}"]`)?.click();
        },
        what.source,
        to,
      );
    await put(/Kettle/, 'checked');
    await put(/Torque arm/, 'faulty');
    await waitForText(app.page, '.unpack .edge-stop', /Torque arm/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    const calendar = async (): Promise<string> => {
      await leg(app.page, 'The bill');
      await press(app.page, 'Days for the calendar');
      return readFile(await downloaded(app, '.ics'), 'utf8');
    };
    const days = await calendar();
    expect(days).to.match(/^BEGIN:VCALENDAR/);
    expect(days).to.match(/SUMMARY:.* should come/);
    await leg(app.page, 'Unpacking');
    await put(/Torque arm/, 'returned');
    await leg(app.page, 'The bill');
    // Sent back, it is still wanted: it counts among what is to come.
    await waitForText(app.page, '#group-here', /Here/);
    expect(number(/Still to come\s*(\S+)/.exec(await textOf(app.page, '.sums'))?.[1] ?? '')).to.be.greaterThan(0);
    await press(app.page, 'Save as CSV');
    const text = await readFile(await downloaded(app, 'bill.csv'), 'utf8');
    expect(text.split('\r\n')[0]).to.match(/^part,name,place,count,price/);
    expect(text).to.match(/kettle-36-13,.*,checked,/);
    expect(text).to.match(/torque-arm.*sent back/);
  });

  it('another kit loses nothing of it: what came for the old one is said to be over', async () => {
    await go(app, '/build/demo-mixte/drive');
    await app.page.waitForSelector('.candidates[aria-busy="false"] .candidate');
    await app.page.$$eval('.candidate button, button.candidate', (all) => {
      const other = all.find(
        (b) => b.getAttribute('aria-pressed') !== 'true' && !/Otter R250/.test(b.textContent ?? ''),
      );
      (other as HTMLElement | undefined)?.click();
    });
    await go(app, '/build/demo-mixte/parts');
    const left = await waitForText(app.page, '#group-left', /No longer wanted/);
    expect(left).to.match(/No longer wanted/);
    expect((await rows()).some((r) => /Otter R250[\s\S]*cancel it or send it back/.test(r))).to.equal(true);
    await press(app.page, 'Undo');
    await app.page.waitForFunction(() => !document.querySelector('#group-left'));
    expect((await rows()).some((r) => /Kettle 36/.test(r))).to.equal(true);
  });

  it('a price list is brought in; a row that is not understood is named, the others are taken', async () => {
    await leg(app.page, 'Suppliers');
    const file = join(app.downloads, 'list.csv');
    await writeFile(file, 'supplier,part,price\nHarbour,grease,4\nHarbour,no such part,4\nHarbour,rags,dear\n');
    await chooseFile(app, 'Bring in a price list (CSV)', file);
    await waitForText(app.page, '.counter-says', /1 prices taken from list\.csv, 2 rows not understood/);
    await waitForText(app.page, '.tone-text-rework', /row 3[\s\S]*no such part[\s\S]*row 4[\s\S]*price/);
    expect(await textOf(app.page, 'table.bill')).to.match(/Harbour/);
  });

  it('a quotation adds up and prints on its page', async () => {
    await leg(app.page, 'Quotation');
    await fill(app.page, 'Shop', 'Lock Lane Cycles');
    await waitForText(app.page, '.quotation h3', /Lock Lane Cycles/);
    const foot = await textOf(app.page, '.quotation tfoot');
    const [net, tax, total] = [/Before tax\s*(\S+)/, /%\s*(\S+)/, /In all\s*(\S+)/].map((r) =>
      number(r.exec(foot)?.[1] ?? ''),
    ) as [number, number, number];
    expect(net + tax).to.be.closeTo(total, 0.011);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    const pdf = Buffer.from(await app.page.pdf({ format: 'A4' })).toString('latin1');
    expect((pdf.match(/\/Type\s*\/Page[^s]/g) ?? []).length).to.equal(1);
    await app.page.emulateMediaType('screen');
  });

  it('is as good in the dark and on a phone', async () => {
    for (const words of ['The bill', 'Buying', 'Unpacking']) {
      await leg(app.page, words);
      for (const device of [{ dark: true }, { width: 390, height: 844 }]) {
        await setDevice(app.page, device);
        expect(await axeFindings(app.page), `${words} ${JSON.stringify(device)}`).to.deep.equal([]);
        const wide = await app.page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
        expect(wide, words).to.be.at.most(0);
      }
      await setDevice(app.page, {});
    }
    expect(app.complaints).to.deep.equal([]);
  });
});
