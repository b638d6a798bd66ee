import { planContext, readBuildFile, starterShelf } from '@sprocket/core';
import { expect } from 'chai';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { loggedRideSchema } from '../core/src/build/log.ts';
import { rideRoadOf } from '../core/src/log/rideRoad.ts';
import { energyOf } from '../core/src/log/tune.ts';
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
  visit,
  waitForText,
  type App,
} from './support/app.ts';
import { appAnew, part } from './support/anew.ts';

const line = (app: App, pattern: RegExp): Promise<string> => waitForText(app.page, '.decides', pattern);
const views = ['Log', 'What rides told', 'Today', 'Upkeep', 'Handover and report', 'Half a year on'];

/** Types a line at the door and keeps it. */
async function door(app: App, text: string): Promise<void> {
  await fill(app.page, 'At the door', text);
  await app.page.keyboard.press('Enter');
  await app.page.waitForFunction(() => document.querySelector<HTMLInputElement>('.door-field input')?.value === '');
}

/** What the mixte takes for a ride when it rolls and is pedalled otherwise than planned, Wh. */
function mixteTakes(): (distanceM: number, climbM: number, times?: number) => number {
  const read = readBuildFile(
    readFileSync(new URL('../web/public/demo/builds/demo-mixte.json', import.meta.url), 'utf8'),
  );
  if (!read.ok) throw new Error('no mixte');
  const context = planContext(read.value, starterShelf);
  const system = context.reckoning?.system;
  if (!system) throw new Error('nothing to ride');
  return (distanceM, climbM, times = 1) => {
    const ride = loggedRideSchema.parse({
      kind: 'ride',
      id: 'a',
      at: '2026-05-01T08:00',
      from: 'typed',
      distanceM,
      climbM,
      timeS: 0,
      energyWh: 1,
      temperatureC: 15,
      headwindMs: 0,
      massKg: system.vehicle.massKg,
    });
    const road = rideRoadOf(read.value, system, ride);
    if (!road) throw new Error('no road');
    return energyOf({ system, fine: true }, road.ride, [0.08, 0.2, -0.25, 0]) * times;
  };
}

describe('the logbook', () => {
  const app = appAnew('/build/demo-box/logbook', { rides: true });

  it('stands full of its half year, clean of axe in every view, light and dark, wide and narrow', async () => {
    await line(app, /482\skm in 54 rides/);
    for (const view of views) {
      await leg(app.page, view);
      await app.page.waitForFunction(() => !document.querySelector('.wait'));
      expect(await axeFindings(app.page), view).to.deep.equal([]);
    }
    await setDevice(app.page, { dark: true, width: 390, height: 844 });
    for (const view of views) {
      await leg(app.page, view);
      await app.page.waitForFunction(() => !document.querySelector('.wait'));
      expect(await axeFindings(app.page, '.stage'), view).to.deep.equal([]);
      const over = await app.page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
      expect(over, `${view}: wider than the screen`).to.be.at.most(0);
    }
    await setDevice(app.page, {});
  });

  it('explains the odd ride by its likeliest reason, and shows what the rides told', async () => {
    await leg(app.page, 'What rides told');
    await waitForText(app.page, '.odd-list', /Likeliest: a soft tyre would do it/);
    await waitForText(app.page, '.rides-view', /53 rides tell, 1 odd left out[\s\S]*One ride that would tell/);
    await waitForText(app.page, '.tally', /from 53 rides|met \d+ times/);
    await press(app.page, 'Let it tell all the same');
    await app.page.waitForFunction(() => !document.querySelector('.odd-list'));
    await waitForText(app.page, '.rides-view', /54 rides tell, 0 odd/);
    await press(app.page, 'Undo');
    await waitForText(app.page, '.odd-list', /Likeliest/);
  });

  it('foretells today from the weather stand-in, and where to turn with less charge', async () => {
    await leg(app.page, 'Today');
    await press(app.page, 'Take today’s weather');
    await waitForText(app.page, '.today', /Stand-in, made up for \w+ \w+,? \d{4}/);
    await waitForText(app.page, '.today-words', /Yes, there and back/);
    await app.page.focus('.today [role="slider"]');
    for (let i = 0; i < 13; i++) await app.page.keyboard.press('ArrowLeft');
    await waitForText(app.page, '.today', /Charge now: 35\s%/);
    await waitForText(app.page, '.today-words', /Not|Likely/);
    await waitForText(app.page, '.today .facts', /Turn back at the latest\s+\d+\.\d\skm/);
  });

  it('the due list is done from the stand view, with a knuckle', async () => {
    await leg(app.page, 'Upkeep');
    const before = await textOf(app.page, '.due-what');
    expect(before).to.match(/Due now|Overdue/);
    await press(app.page, 'Stand view');
    await app.page.waitForSelector('.stand');
    expect(await axeFindings(app.page, '.stand', true)).to.deep.equal([]);
    const sizes = await app.page.$$eval('.stand button', (all) => all.map((b) => b.getBoundingClientRect().height));
    expect(Math.min(...sizes)).to.be.at.least(64);
    await app.page.keyboard.press('Space');
    await app.page.keyboard.press('Escape');
    await app.page.waitForFunction(() => !document.querySelector('.stand'));
    await app.page.waitForFunction(
      (was) => document.querySelector<HTMLElement>('.due-what')?.innerText !== was,
      {},
      before,
    );
    const history = await app.page.$$eval('.due-row summary', (all) => all.map((s) => s.textContent ?? '').join());
    expect(history).to.match(/done/);
  });

  it('reminders leave as a calendar', async () => {
    await leg(app.page, 'Upkeep');
    await press(app.page, 'Reminders as calendar');
    const text = readFileSync(await downloaded(app, '-upkeep.ics'), 'utf8');
    expect((text.match(/BEGIN:VEVENT/g) ?? []).length).to.be.greaterThan(6);
    expect(text).to.match(/SUMMARY:Axle nuts/);
  });

  it('handover sheet and report print as pages in both units, and leave as one file', async () => {
    await leg(app.page, 'Handover and report');
    await fill(app.page, 'Handed over to', 'The stall');
    await waitForText(app.page, '.paper', /Handover sheet for The stall/);
    for (const [paper, least, most] of [
      ['Handover sheet', 2, 4],
      ['Report of the build', 5, 30],
    ] as const) {
      await press(app.page, paper);
      for (const units of ['metric', 'imperial']) {
        await waitForText(app.page, '.paper', units === 'metric' ? /\d\skm\b/ : /\d\smi\b/);
        const pdf = Buffer.from(await app.page.pdf({ format: 'A4' })).toString('latin1');
        expect((pdf.match(/\/Type\s*\/Page[^s]/g) ?? []).length, `${paper}, ${units}`).to.be.within(least, most);
        expect(pdf, 'its own fonts').to.match(/BaseFont\s*\/[A-Z]+\+AtkinsonHyperlegible/);
        expect(pdf).to.match(/FontName\s*\/[A-Z]+\+BricolageGrotesque/);
        expect(pdf, 'no other but for signs').not.to.match(/FontName\s*\/[A-Z]+\+(?!Atkinson|Bricolage|DejaVu)/);
        // On the paper's width no table is cut at its edge, and no row across two pages.
        await app.page.emulateMediaType('print');
        await app.page.setViewport({ width: 718, height: 1000 });
        const cut = await app.page.$$eval('.paper table', (all) =>
          all
            .filter((t) => {
              const edge = t.closest('.paper')?.getBoundingClientRect().right ?? 0;
              return (
                t.getBoundingClientRect().right > edge + 1 ||
                getComputedStyle(t.querySelector('tr') ?? t).breakInside !== 'avoid'
              );
            })
            .map((t) => t.querySelector('caption')?.textContent),
        );
        expect(cut, `${paper}, ${units}`).to.deep.equal([]);
        await app.page.emulateMediaType('screen');
        await setDevice(app.page, {});
        await app.page.$eval('h1', (h) => (h as HTMLElement).click());
        await app.page.keyboard.press('u');
      }
    }
    await press(app.page, 'Keep as one file');
    const html = readFileSync(await downloaded(app, '-report.html'), 'utf8');
    expect(html).to.match(/^<!doctype html>[\s\S]*font\/woff2;base64[\s\S]*Seedling stall/);
    expect(html).not.to.match(/<script|https?:(?!\/\/www\.w3\.org)/);
  });

  it('the review is written, and Compare shows it', async () => {
    await leg(app.page, 'Half a year on');
    await press(app.page, 'Yes, otherwise');
    await press(app.page, 'Hills: 4 of 5');
    await go(app, '/build/demo-box/compare');
    await waitForText(app.page, '.compare-table', /Do it again\?\s+Yes, otherwise/);
  });
});

describe('a log begun', () => {
  const app = appAnew('/build/demo-mixte/logbook', { rides: true });
  const takes = mixteTakes();

  it('rides typed, taken in from tables and a track, mended and taken out again', async () => {
    await part('begins with a ride at the door, and says what does not read', async () => {
      await line(app, /Nothing ridden yet/);
      await fill(app.page, 'At the door', 'puncture');
      await waitForText(app.page, '.door-read', /A puncture wants its wheel/);
      await door(app, `9 km ${takes(9000, 40).toFixed(1)} Wh 15 °C 40 m 0 m/s to the ferry`);
      await waitForText(app.page, '.log-lines', /Ride[\s\S]*9\.0\skm, to the ferry/);
      await line(app, /9\skm in one ride/);
      await door(app, 'charged 420 Wh 20 % 100 %');
      await waitForText(app.page, '.log-lines', /420\sWh at the wall from 20\s% to 100\s%/);
    });
    await part(
      'ten rides in, by a table whose columns are told once, the forecast has narrowed and the odd one is explained',
      async () => {
        const rows = Array.from({ length: 9 }, (_, i) => {
          const [way, climb] = [6000 + 900 * i, 20 + 9 * i];
          return `2026-0${4 + Math.floor(i / 4)}-1${i},${(way / 1000).toFixed(2)},${takes(way, climb, i === 6 ? 1.45 : 1).toFixed(1)},15,0,${climb},Round ${i}`;
        });
        const file = join(app.downloads, 'rides.csv');
        writeFileSync(file, ['when,km,juice,temp °C,wind m/s,climb m,route', ...rows].join('\n'));
        await chooseFile(app, 'Table or track…', file);
        await waitForText(app.page, '.mapping', /9 rows/);
        await pick(app.page, 'What “juice” is', 'energyWh');
        await press(app.page, 'Take them in');
        await line(app, /in 10 rides/);
        await leg(app.page, 'What rides told');
        await waitForText(app.page, '.odd-list', /Round 6[\s\S]*Likeliest/);
        const told = await waitForText(app.page, '.rides-view', /foretold to ±[\d.]+\s%; before any ride it was ±/);
        const [now = 1, before = 0] = (/foretold to ±([\d.]+) %; before any ride it was ±([\d.]+)/.exec(told) ?? [])
          .slice(1)
          .map(Number);
        expect(now).to.be.lessThan(before * 0.6);
        await app.page.waitForFunction(
          () =>
            /from 9 rides/.test(document.querySelector('.tally')?.textContent ?? '') ||
            /times in/.test(document.querySelector('.tally')?.textContent ?? ''),
        );
        // The same heads again: what “juice” is is known.
        await leg(app.page, 'Log');
        await chooseFile(app, 'Table or track…', file);
        await app.page.waitForFunction(() =>
          [...document.querySelectorAll<HTMLSelectElement>('.mapping select')].some((s) => s.value === 'energyWh'),
        );
        await press(app.page, 'Take them in');
        await waitForText(app.page, '.log-view', /0 rides kept, 9 were here already/);
        await line(app, /in 10 rides/);
      },
    );
    await part(
      'refuses a damaged table by row and column, and a damaged track by line, and loses nothing',
      async () => {
        const bad = join(app.downloads, 'bad.csv');
        writeFileSync(bad, 'when,km,energy Wh\n2026-05-01,10,80\n2026-05-02,ten,80\n');
        await chooseFile(app, 'Table or track…', bad);
        await press(app.page, 'Take them in');
        await waitForText(app.page, '.problems', /row 3, column 2 “ten” is no figure/);
        await press(app.page, 'Close');
        await press(app.page, 'Leave it');
        const gpx = join(app.downloads, 'bad.gpx');
        writeFileSync(gpx, '<gpx><trk><trkseg>\n<trkpt lat="46" lon="x"><time>2026-05-01T08:00:00Z</time></trkpt>\n');
        await chooseFile(app, 'Table or track…', gpx);
        await waitForText(app.page, '.problems', /line 2, column \d+ point 1: “lon”/);
        await press(app.page, 'Close');
        await line(app, /in 10 rides/);
      },
    );
    await part('a track with times comes in as a ride, and rides leave as a table', async () => {
      const rows = Array.from({ length: 900 }, (_, i) => {
        const clock = new Date(Date.UTC(2026, 4, 3, 7, 0, i)).toISOString();
        return `<trkpt lat="${(46 + i * 5e-5).toFixed(6)}" lon="-30"><ele>${(100 + 10 * Math.sin(i / 90)).toFixed(1)}</ele><time>${clock}</time></trkpt>`;
      });
      const file = join(app.downloads, 'north.gpx');
      writeFileSync(file, `<gpx><trk><name>North bank</name><trkseg>${rows.join('')}</trkseg></trk></gpx>`);
      await chooseFile(app, 'Table or track…', file);
      await line(app, /in 11 rides/);
      await waitForText(app.page, '.log-lines', /5\.0\skm, North bank/);
      await press(app.page, 'Rides as CSV');
      const csv = readFileSync(await downloaded(app, '-rides.csv'), 'utf8');
      expect(csv.split('\n').length).to.equal(12);
      expect(csv).to.match(/North bank/);
    });
    await part('a line is put right in its form, taken out, and comes back by undo', async () => {
      await app.page.$eval('.log-charge .log-open', (b) => (b as HTMLElement).click());
      await fill(app.page, 'Energy at the wall', '430 Wh');
      await press(app.page, 'Keep the line');
      await waitForText(app.page, '.log-lines', /430\sWh at the wall/);
      await app.page.$eval('.log-charge .log-forget', (b) => (b as HTMLElement).click());
      await app.page.waitForFunction(() => !document.querySelector('.log-charge'));
      await press(app.page, 'Undo');
      await waitForText(app.page, '.log-lines', /430\sWh at the wall/);
    });
  });

  it('a line begun at the door goes on in all its fields, and is still there when they are left', async () => {
    const value = (label: string) =>
      app.page.evaluate((name) => {
        const of = [...document.querySelectorAll('label')].find((l) => l.textContent === name)?.htmlFor ?? '';
        return (document.getElementById(of) as HTMLInputElement | null)?.value;
      }, label);
    await fill(app.page, 'At the door', 'changed chain to 114 links');
    await waitForText(app.page, '.door', /new: the chain/);
    await press(app.page, 'All its fields…');
    expect(await value('What')).to.equal('chain');
    expect(await value('Now')).to.equal('114 links');
    expect(await value('What is new')).to.equal('chain');
    await press(app.page, 'Leave');
    await app.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('.door-field input')?.value === 'changed chain to 114 links',
    );
    await press(app.page, 'All its fields…');
    await fill(app.page, 'What', 'the greasy thing');
    await press(app.page, 'Keep the line');
    await waitForText(app.page, '.log-lines', /the greasy thing: 114 links/);
    expect(await app.page.$eval('.door-field input', (input) => (input as HTMLInputElement).value)).to.equal('');
  });

  it('a fault logged of a part is seen where the next build chooses it', async () => {
    await press(app.page, 'All its fields…');
    await pick(app.page, 'Kind of line', 'fault');
    await fill(app.page, 'What failed', 'Hums at a walking pace');
    await pick(app.page, 'Which part', 'otter-r250');
    await fill(app.page, 'Cure', 'a firmer axle nut');
    await press(app.page, 'Keep the line');
    await waitForText(app.page, '.log-lines', /Hums at a walking pace; a firmer axle nut/);
    await app.page.waitForFunction(() => /saved/.test(document.querySelector('.build-card')?.textContent ?? ''));
    await visit(app, '/build/demo-trike/drive');
    expect(await app.page.$('.lessons')).to.equal(null);
    await press(app.page, 'Choose Otter R250');
    await waitForText(
      app.page,
      '.lessons',
      /1 of \d+ with Otter R250: hums at a walking pace; cured by a firmer axle nut/,
    );
  });
});
