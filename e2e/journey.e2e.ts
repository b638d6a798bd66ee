import { expect } from 'chai';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  chooseFile,
  downloaded,
  fill,
  leg,
  pick,
  press,
  startApp,
  textOf,
  type App,
  visit,
  waitForText,
} from './support/app.ts';
import { appAnew, part } from './support/anew.ts';
import { fillBench } from './support/store.ts';

const range = '[data-figure="range"]';

/** The tally's figures and notes, without the marks of what just changed. */
async function tallyOf(app: App): Promise<string[]> {
  await app.page.waitForSelector('.tally[data-spread="drawn"]');
  return app.page.$$eval('.tally-row .big, .tally-row .tally-note', (all) =>
    all.map((node) => (node as HTMLElement).innerText),
  );
}

describe('one donor in, one honest plan out', () => {
  const app = appAnew('/', { demo: false, rides: true });
  let file = '';

  it('from an empty bench to a plan, out as a file and in again', async () => {
    await part('starts empty, and teaches', async () => {
      await visit(app, '/');
      expect(await textOf(app.page, '.teach')).to.match(/Nothing on the bench yet/);
    });
    await part('makes a build and takes the brief in mixed units', async () => {
      await press(app.page, 'New build');
      await press(app.page, 'Skip to the full brief');
      await app.page.waitForSelector('[data-figure="mass"]');
      await fill(app.page, 'Mass, dressed', '11 st 4');
      await waitForText(app.page, '[data-figure="mass"]', /90\.7/);
      await fill(app.page, 'Mass, dressed', '70 kg');
      await fill(app.page, 'Range wanted', '15 mi');
      await waitForText(app.page, '.decides', /29\s*km with the reserve/);
      await fill(app.page, 'Flat distance, one way', '6 km');
      await waitForText(app.page, '.decides', /Road as described/);
    });
    await part('keeps what does not read, says why, and changes nothing', async () => {
      await fill(app.page, 'Load carried', 'two sacks');
      expect(await textOf(app.page, '.stage')).to.match(/is not a number/);
      await waitForText(app.page, '[data-figure="mass"]', /89\.0/);
      await fill(app.page, 'Load carried', '5 kg');
    });
    await part('surveys the donor; verdicts move from measure to what is found', async () => {
      await app.page.keyboard.press('Escape');
      await app.page.$eval('h1', (h) => (document.activeElement as HTMLElement | null)?.blur() ?? h);
      await app.page.keyboard.press('3');
      await waitForText(app.page, 'h1', /Drive/);
      await press(app.page, 'Choose Otter R250');
      await waitForText(app.page, '.findings', /Rear spacing not measured/);
      await app.page.keyboard.press('2');
      await waitForText(app.page, 'h1', /Donor/);
      await pick(app.page, 'Main frame', 'steel');
      await pick(app.page, 'Rear dropouts', 'steel');
      await fill(app.page, 'Rear dropout spacing', '5 5/16 in');
      await pick(app.page, 'Rear axle sits in', 'horizontalSlot');
      await fill(app.page, 'Rear tyre', '700 x 35');
      await pick(app.page, 'Rear brake', 'rim');
      await pick(app.page, 'Cogs are on', 'freewheel');
      await leg(app.page, 'Rear end');
      await fill(app.page, 'Rear slot width', '10.1');
      await leg(app.page, 'Rings and cogs');
      await fill(app.page, 'Cog teeth', '14-16-18-21-24-28');
      await fill(app.page, 'Ring teeth', '42');
      await leg(app.page, 'Mass and limits');
      await fill(app.page, 'Vehicle as it stands', '31 lb');
      await fill(app.page, 'All-up load limit', '130 kg');
      await leg(app.page, 'Frame lengths');
      await fill(app.page, 'Inside, seat tube', '450 mm');
      await fill(app.page, 'Inside, upper tube', '500 mm');
      await fill(app.page, 'Inside, down tube', '560 mm');
      await app.page.waitForFunction(() => document.querySelectorAll('.dimension-measured').length === 3);
    });
    await part('lights the dimension of the field in focus, and leads from a dimension to its field', async () => {
      await app.page.focus('#item-downSide');
      await app.page.waitForSelector('.dimension.lit');
      await app.page.waitForSelector('.dimension.lit[aria-label*="down tube, 560"]');
      await app.page.$eval('.dimension[aria-label^="Wheelbase"]', (g) => (g as unknown as HTMLElement).focus());
      await app.page.keyboard.press('Enter');
      await app.page.waitForFunction(() => document.activeElement?.id === 'item-wheelbase');
    });
    await part('judges the kit on what was measured', async () => {
      await app.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      await app.page.keyboard.press(']');
      await waitForText(app.page, 'h1', /Drive/);
      const words = await textOf(app.page, '.findings');
      expect(words).not.to.match(/Rear spacing not measured/);
      expect(words).to.match(/\d+\s*Fits/);
    });
    await part('takes a pack: the range appears with its band, and opens its sum', async () => {
      await app.page.keyboard.press('4');
      await waitForText(app.page, 'h1', /Pack/);
      expect(await textOf(app.page, range)).to.match(/choose a pack first/);
      await press(app.page, 'Choose Kettle 36 · 12.8 Ah');
      await waitForText(app.page, range, /\d+–\d+\s*km/);
      await app.page.click(range);
      await waitForText(
        app.page,
        '.explain',
        /usable charge gone[\s\S]*Rider adds at the tyre[\s\S]*What would change it/,
      );
      await app.page.keyboard.press('Escape');
      await app.page.waitForSelector('.explain', { hidden: true });
    });
    await part('marks what a change did, turns units, and undoes across stages', async () => {
      const before = await textOf(app.page, range);
      await app.page.keyboard.press('1');
      await waitForText(app.page, 'h1', /Brief/);
      await fill(app.page, 'Mass, dressed', '120 kg');
      await app.page.waitForFunction(
        (s, old) => document.querySelector<HTMLElement>(s)?.innerText !== old,
        {},
        range,
        before,
      );
      await waitForText(app.page, '[data-figure="mass"]', /\+50\.0/);
      await app.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      await app.page.keyboard.press('u');
      await waitForText(app.page, range, /mi/);
      await app.page.keyboard.press('u');
      await waitForText(app.page, range, /km/);
      await app.page.keyboard.press('5');
      await waitForText(app.page, 'h1', /Gearing/);
      await app.page.keyboard.down('Control');
      await app.page.keyboard.press('z');
      await app.page.keyboard.up('Control');
      await waitForText(app.page, '[data-figure="mass"]', /96\.0/);
      await press(app.page, 'Redo');
      await waitForText(app.page, '[data-figure="mass"]', /146\.0/);
      await press(app.page, 'Undo');
      await waitForText(app.page, '[data-figure="mass"]', /96\.0/);
    });
    await part('finds a field from anywhere', async () => {
      await app.page.keyboard.down('Control');
      await app.page.keyboard.press('k');
      await app.page.keyboard.up('Control');
      await app.page.waitForSelector('[aria-label="Find anything"]');
      await app.page.keyboard.type('crank centre to rear axle');
      await app.page.waitForFunction(() => document.querySelectorAll('.mantine-Spotlight-action').length === 1);
      await app.page.keyboard.press('Enter');
      await waitForText(app.page, 'h1', /Donor/);
      await app.page.waitForFunction(() => document.activeElement?.id === 'item-chainstayLength');
    });
    await part('is saved within a second, and a reload restores it exactly', async () => {
      await app.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      await waitForText(app.page, '.build-card', /saved/);
      const tally = await tallyOf(app);
      await app.page.reload({ waitUntil: 'networkidle0' });
      await app.page.waitForSelector(range);
      expect(await tallyOf(app)).to.deep.equal(tally);
      await leg(app.page, 'Quick look');
      expect(await app.page.$eval('#item-rearDropoutSpacing', (i) => (i as HTMLInputElement).value)).to.equal(
        '5 5/16 in',
      );
    });
    await part('goes out as a file', async () => {
      await visit(app, '/');
      await press(app.page, 'More for New build');
      await press(app.page, 'Save as a build file');
      file = await downloaded(app);
      const kept = JSON.parse(readFileSync(file, 'utf8')) as {
        schema: string;
        donor: { survey: { rearTyre: { value: { beadM: number } } } };
      };
      expect(kept.schema).to.equal('jolly-sprocket/build');
      expect(kept.donor.survey.rearTyre.value.beadM).to.equal(0.622);
    });
    await part('comes in on a clean profile with the same figures', async () => {
      const text = readFileSync(file, 'utf8');
      await visit(app, '/');
      await app.page.click('.build-open');
      await app.page.waitForSelector(range);
      const tally = await tallyOf(app);
      const other = await startApp({ rides: true });
      try {
        const copy = join(other.downloads, 'in.json');
        writeFileSync(copy, text);
        await visit(other, '/');
        await chooseFile(other, 'Bring in a build file', copy);
        await other.page.waitForSelector('.build-open');
        await other.page.click('.build-open');
        await other.page.waitForSelector(range);
        expect(await tallyOf(other)).to.deep.equal(tally);
        expect(other.complaints).to.deep.equal([]);
      } finally {
        await other.close();
      }
    });
    await part('refuses a broken file with the place of the fault, and keeps what is there', async () => {
      const broken = join(app.downloads, 'broken.json');
      const build = JSON.parse(readFileSync(file, 'utf8')) as { donor: { survey: Record<string, { value: unknown }> } };
      (build.donor.survey.rearSlotWidth as { value: unknown }).value = 'ten';
      writeFileSync(broken, JSON.stringify(build));
      await visit(app, '/');
      await chooseFile(app, 'Bring in a build file', broken);
      expect(await waitForText(app.page, '.problems', /was not read/)).to.match(/donor\.survey\.rearSlotWidth\.value/);
      expect(await app.page.$$eval('.build-row', (rows) => rows.length)).to.equal(1);
    });
    await part('duplicates, renames, deletes, and brings back', async () => {
      await visit(app, '/');
      await press(app.page, 'More for New build');
      await press(app.page, 'Duplicate');
      await app.page.waitForFunction(() => document.querySelectorAll('.build-row').length === 2);
      await press(app.page, 'More for New build, copy');
      await press(app.page, 'Rename');
      await fill(app.page, 'New name for New build, copy', 'Towpath bike');
      await app.page.keyboard.press('Enter');
      await app.page.waitForFunction(() => document.body.innerText.includes('Towpath bike'));
      await press(app.page, 'More for Towpath bike');
      await press(app.page, 'Delete');
      await app.page.waitForFunction(() => document.querySelectorAll('.build-row').length === 1);
      await press(app.page, 'Bring it back');
      await app.page.waitForFunction(() => document.querySelectorAll('.build-row').length === 2);
    });
  });
});

describe('a bench of sixty builds', () => {
  let app: App;
  before(async () => {
    app = await startApp({ demo: true });
    await visit(app, '/');
    await fillBench(app, 60);
  });
  after(() => app.close());
  const lines = (): Promise<string[]> =>
    app.page.$$eval('.build-row', (all) => all.map((row) => (row as HTMLElement).innerText.replace(/\s+/g, ' ')));

  it('gets a line for each, and shows them kept the next time with none worked out again', async () => {
    await visit(app, '/');
    await app.page.waitForFunction(() => document.querySelectorAll('.build-row[aria-busy="false"]').length === 60);
    const first = await lines();
    expect(first.filter((line) => /Stop|Rework|Measure|Fits/.test(line)).length).to.equal(60);
    // No worker can start any more: what shows was kept.
    await app.page.evaluateOnNewDocument(() => Reflect.deleteProperty(globalThis, 'Worker'));
    await visit(app, '/');
    await app.page.waitForFunction(() => document.querySelectorAll('.build-row[aria-busy="false"]').length === 60);
    expect(await lines()).to.deep.equal(first);
  });
});

describe('roads from files', () => {
  const app = appAnew('/build/demo-mixte/brief');

  it('reads a GPX track and reckons on it, and keeps it when another is refused', async () => {
    await part('reads a GPX track and reckons on it', async () => {
      await visit(app, '/build/demo-mixte/brief');
      const before = await textOf(app.page, range);
      const good = join(app.downloads, 'hill.gpx');
      const points = Array.from(
        { length: 120 },
        (_, i) => `<g:trkpt lat="${47 + i * 0.0005}" lon="-35"><g:ele>${20 + i}</g:ele></g:trkpt>`,
      ).join('');
      writeFileSync(
        good,
        `<?xml version="1.0"?><g:gpx version="1.1" xmlns:g="http://www.topografix.com/GPX/1/1"><g:trk><g:name>Orchard hill</g:name><g:trkseg>${points}</g:trkseg></g:trk></g:gpx>`,
      );
      await chooseFile(app, 'Choose a GPX file', good);
      await waitForText(app.page, '.decides', /Orchard hill/);
      await app.page.waitForFunction(
        (s, old) => document.querySelector<HTMLElement>(s)?.innerText !== old,
        {},
        range,
        before,
      );
    });
    await part('refuses a malformed one with line and column, the build untouched', async () => {
      const bad = join(app.downloads, 'bad.gpx');
      writeFileSync(
        bad,
        '<?xml version="1.0"?>\n<gpx>\n<trk><trkseg>\n<trkpt lat="north" lon="2"/><trkpt lat="1" lon="2"/>\n</trkseg></trk></gpx>',
      );
      await chooseFile(app, 'Choose a GPX file', bad);
      expect(await waitForText(app.page, '.problems', /was not read/)).to.match(/line 4, column \d+/);
      expect(await textOf(app.page, '.decides')).to.match(/Orchard hill/);
    });
  });

  it('refuses a document type', async () => {
    const sly = join(app.downloads, 'sly.gpx');
    writeFileSync(
      sly,
      '<?xml version="1.0"?>\n<!DOCTYPE gpx [<!ENTITY x "y">]>\n<gpx><trk><trkseg><trkpt lat="1" lon="2"/><trkpt lat="1.1" lon="2"/></trkseg></trk></gpx>',
    );
    await chooseFile(app, 'Choose a GPX file', sly);
    await waitForText(app.page, '.problems', /declares a document type/);
  });
});

describe('parts of one’s own', () => {
  const app = appAnew('/build/demo-mixte/shelf');

  it('copies a pack, changes its sheet, and uses it like any other', async () => {
    await press(app.page, 'Packs');
    await press(app.page, 'Copy Kettle 36 · 12.8 Ah');
    await fill(app.page, 'Name', 'Attic pack 36');
    await fill(app.page, 'Cells in parallel', '8');
    await press(app.page, 'Keep it');
    await waitForText(app.page, '.shelf-list', /Attic pack 36/);
    await app.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await app.page.keyboard.press('4');
    await waitForText(app.page, 'h1', /Pack/);
    const before = await textOf(app.page, range);
    await press(app.page, 'Choose Attic pack 36');
    await waitForText(app.page, '.decides', /Attic pack 36/);
    await app.page.waitForFunction(
      (s, old) => document.querySelector<HTMLElement>(s)?.innerText !== old,
      {},
      range,
      before,
    );
  });

  it('refuses a sheet that does not hold, at the field', async () => {
    await press(app.page, 'Rings');
    await press(app.page, 'Copy 32 teeth, 104 mm');
    await fill(app.page, 'Teeth', '400');
    await press(app.page, 'Keep it');
    await waitForText(app.page, '.part-form', /62/);
  });
});

describe('the demo’s five builds', () => {
  const app = appAnew('/');

  it('open with five different stories', async () => {
    await visit(app, '/');
    await app.page.waitForFunction(() => document.querySelectorAll('.build-row').length === 5);
    const rows = await app.page.$$eval('.build-row', (all) =>
      all.map((row) => (row as HTMLElement).innerText.replace(/\s+/g, ' ')),
    );
    const story = (name: string): string => rows.find((row) => row.startsWith(name)) ?? '';
    expect(story('Carbon gravel bike')).to.match(/Stop Carbon frame/);
    expect(story('Lock-keeper')).to.match(/Fits/);
    expect(story('Seedling stall')).to.match(/Measure Bottom bracket/);
    expect(story('Bookbinder')).to.match(/Rework/);
    expect(story('Tool library')).to.match(/Rework/);
    expect(new Set(rows.map((row) => /(Stop|Rework|Measure|Fits) (.*?) \d/.exec(row)?.[2])).size).to.equal(5);
  });

  it('are planned at once, while every kit on the shelf is judged off the page', async () => {
    await app.page.goto(`${app.url}/build/demo-trike/drive`, { waitUntil: 'load' });
    const first = await app.page.waitForSelector('.findings .finding-open');
    expect(first).not.to.equal(null);
    await app.page.waitForSelector('.candidates[aria-busy="false"] .candidate');
    expect(await app.page.$$eval('.candidate', (all) => all.length)).to.be.greaterThan(8);
    expect(await textOf(app.page, 'main')).not.to.match(/Judging every kit/);
  });

  it('the carbon one says why, and what instead', async () => {
    await visit(app, '/build/demo-gravel/drive');
    await app.page.click('.finding-open');
    await waitForText(app.page, '.explain', /the damage does not show[\s\S]*Convert another donor/);
  });

  it('the step-through finds rack, seat tube or basket by itself, and leaves its low tube alone', async () => {
    await visit(app, '/build/demo-lockkeeper/pack');
    const cards = await app.page.$$eval('.candidate', (all) => all.map((card) => (card as HTMLElement).innerText));
    expect(cards.filter((card) => /on the down tube/.test(card)).some((card) => /Fits/.test(card))).to.equal(false);
    expect(cards[0]).to.match(/on the rear rack[\s\S]*Fits|Fits[\s\S]*on the rear rack/);
  });
});
