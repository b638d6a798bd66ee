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
  textOf,
  waitForText,
} from './support/app.ts';
import { appAnew, part } from './support/anew.ts';

describe('parts', () => {
  const app = appAnew('/build/demo-mixte/parts');

  const number = (text: string): number => parseFloat(text.replace(/[^\d.]/g, ''));
  const rows = (): Promise<string[]> =>
    app.page.$$eval('.bill-line', (list) => list.map((r) => (r as HTMLElement).innerText));

  const sheet = (words: string): Promise<void> =>
    app.page.$$eval(
      '.mantine-SegmentedControl-label',
      (all, wanted) => {
        (all.find((l) => l.textContent === wanted) as HTMLElement | undefined)?.click();
      },
      words,
    );

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

  it('an order: asked for, split over suppliers, unpacked, changed, come, and asked for in an invoice', async () => {
    await part('asks the counter, which says that it is a stand-in, and finds the cheapest ways', async () => {
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
    await part('an order split over suppliers stands in the bill; one part comes, one at fault goes back', async () => {
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
    await part('what is missing from the kit’s box is a finding with whom to write to, until when', async () => {
      await leg(app.page, 'Unpacking');
      await app.page.waitForSelector('.unpack');
      await app.page.click('.unpack a');
      await app.page.waitForSelector('#as-it-came[open]');
      await waitForText(app.page, 'main', /1 thing of its box missing or at fault/);
      await go(app, '/build/demo-mixte/parts');
      await leg(app.page, 'The bill');
    });
    await part('another kit loses nothing of it: what came for the old one is said to be over', async () => {
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
    await part('an order goes on as simulated days pass, and says that they are a stand-in’s', async () => {
      await leg(app.page, 'Buying');
      await app.page.waitForSelector('.order-page');
      // What may still be bought is worked out above the orders, and pushes them down when it is there.
      await app.page.waitForFunction(() => !/Working it out/.test(document.querySelector('main')?.textContent ?? ''));
      const orders = await app.page.$$eval('.order-page', (list) => list.length);
      await press(app.page, 'Ask how they stand');
      await waitForText(app.page, '.standing-says', /0 come[\s\S]*stand-in/);
      for (let day = 0; day < 60 && (await app.page.$('.order-page')) !== null; day++) {
        const said = await textOf(app.page, '.standing-says');
        await press(app.page, 'A simulated day later');
        await app.page
          .waitForFunction(
            (before) => {
              const says = document.querySelector('.standing-says')?.textContent;
              return says === undefined || says !== before;
            },
            { timeout: 5000 },
            said,
          )
          .catch(() => undefined);
      }
      expect(orders).to.be.greaterThan(0);
      expect(await app.page.$('.order-page')).to.equal(null);
      await leg(app.page, 'The bill');
      await waitForText(app.page, '#group-here', /Here/);
    });
    await part('an invoice asks for what is here and the hours as worked, less what was paid', async () => {
      await leg(app.page, 'Quotation');
      await sheet('Invoice');
      await fill(app.page, 'Hours as worked', '2');
      await fill(app.page, 'Paid already, EUR', '50');
      await waitForText(app.page, '.quotation', /Invoice[\s\S]*2\.0 h[\s\S]*Paid on ordering\s*\S*50[\s\S]*To be paid/);
      expect(await axeFindings(app.page)).to.deep.equal([]);
      await sheet('Quotation');
      await waitForText(app.page, '.quotation', /Asked on ordering/);
    });
    await part('is as good in the dark and on a phone', async () => {
      for (const words of [
        'The bill',
        'Time',
        'Tools',
        'Buying',
        'Suppliers',
        'Unpacking',
        'What it costs',
        'Quotation',
      ]) {
        await leg(app.page, words);
        for (const device of [{ dark: true }, { width: 390, height: 844 }]) {
          await setDevice(app.page, device);
          expect(await axeFindings(app.page), `${words} ${JSON.stringify(device)}`).to.deep.equal([]);
          const wide = await app.page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
          expect(wide, words).to.be.at.most(0);
        }
        await setDevice(app.page, {});
      }
    });
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

  it('tools cost nothing until they are to be bought; then they are in bill, costs and tally alike', async () => {
    await leg(app.page, 'Tools');
    const tally = async (): Promise<number> => number(await textOf(app.page, '[data-figure="price"] .big'));
    await waitForText(app.page, '#tools + .quiet, .section-head', /not looked for yet/);
    const before = await tally();
    await pick(app.page, 'Where Work stand comes from', 'hire');
    await app.page.waitForFunction(
      (than) =>
        parseFloat(
          (document.querySelector<HTMLElement>('[data-figure="price"] .big')?.innerText ?? '').replace(/[^\d.]/g, ''),
        ) ===
        than + 8,
      {},
      before,
    );
    await press(app.page, 'All others are at hand');
    await waitForText(app.page, '.section-head', /all looked for; \S*8/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await leg(app.page, 'What it costs');
    await waitForText(app.page, '.costs', /Tools and supplies\s*\S*8[\s\S]*A kilometre/);
    await pick(app.page, 'What becomes of Brake levers', 'sold');
    await fill(app.page, 'For, EUR', '15');
    await waitForText(app.page, '.costs', /Won back by selling\s*-\S*15/);
    await press(app.page, 'Name one to hold it against');
    await fill(app.page, 'To be had for, EUR', '100');
    await waitForText(app.page, '.cost-cards', /more than the one that is to be had/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    await leg(app.page, 'The bill');
    expect((await rows()).some((r) => /Work stand[\s\S]*steps at the bench/.test(r))).to.equal(true);
  });

  it('steps lie in bench time off the page; one that is done is done, and what waits says for what', async () => {
    await leg(app.page, 'Time');
    await waitForText(app.page, '.bench-list', /Battery in last/);
    await waitForText(app.page, '.now', /Now[\s\S]*Waits/);
    const left = await textOf(app.page, '.sums');
    const first = await textOf(app.page, '.now-list label');
    await app.page.click('.now-list input[type="checkbox"]');
    await app.page.waitForFunction(
      (words) =>
        /1 step done/.test(document.body.innerText) &&
        !(document.querySelector('.now')?.textContent ?? '').includes(words),
      {},
      first.trim(),
    );
    expect(await textOf(app.page, '.sums')).not.to.equal(left);
    await app.page.$eval('.time-head input[type="date"]', (field) => {
      const input = field as HTMLInputElement;
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(input, '2099-01-01');
      input.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await waitForText(app.page, '.sums', /100 %/);
    await press(app.page, 'Save as a calendar');
    const text = await readFile(await downloaded(app, 'bench.ics'), 'utf8');
    expect(text).to.match(/SUMMARY:Bench: Bookbinder/);
    expect(text).to.match(/DTSTART:\d{8}T\d{6}\r\n/);
    expect(await axeFindings(app.page)).to.deep.equal([]);
    // No bench time at all is said, and nothing falls over.
    for (let i = 0; i < 3; i++) await app.page.click('.bench-times button');
    await waitForText(app.page, '.edge-measure', /no bench time is named yet/);
    await press(app.page, 'Add');
    await waitForText(app.page, '.bench-list', /Battery in last/);
  });

  it('a price somebody was told is noted with who asks it', async () => {
    await leg(app.page, 'Suppliers');
    await fill(app.page, 'Who asks it', 'Corner Forge');
    await press(app.page, 'Note this price');
    await waitForText(app.page, 'main', /How much\?/);
    await fill(app.page, 'Each, EUR', '12.5');
    await press(app.page, 'Note this price');
    await waitForText(app.page, 'table.bill', /Corner Forge/);
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
});
