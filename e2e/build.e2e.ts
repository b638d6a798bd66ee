import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  axeFindings,
  chooseFile,
  fill,
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
import { getRaw, putRaw } from './support/store.ts';

const stageLine = (app: App): Promise<string> => textOf(app.page, '.decides');
const waitForLine = (app: App, pattern: RegExp): Promise<string> => waitForText(app.page, '.decides', pattern);
const standTitle = (app: App): Promise<string> => textOf(app.page, '.stand h2');

/** Opens a step's sheet from the list. */
async function openStep(app: App, id: string): Promise<void> {
  await app.page.$eval(`.step-place [data-step="${id}"]`, (row) => (row as HTMLElement).click());
  await app.page.waitForSelector(`[id="step-${id}"]`);
}

/** Goes on in the stand view until a step, by the space bar; whoever is asked to look has looked. */
async function doneUntil(app: App, pattern: RegExp): Promise<number> {
  for (let n = 0; n < 140; n++) {
    const title = await standTitle(app);
    if (pattern.test(title)) return n;
    const asked = await app.page.$('.stand-field input');
    if (asked) {
      await asked.type('Bo');
      await app.page.focus('.stand-body');
    }
    await app.page.keyboard.press('Space');
    await app.page.waitForFunction(
      (was) => (document.querySelector('.stand h2') as HTMLElement | null)?.innerText !== was,
      {},
      title,
    );
  }
  throw new Error(`never came to ${pattern.source}`);
}

describe('build, a mid-drive on a box bike', () => {
  const app = appAnew('/build/demo-box/build');

  it('from the first look to the second ring, then another kit half way', async () => {
    await part('says what can be begun now, and does it; undo takes it back', async () => {
      await waitForLine(app, /0 of \d+ done, \d+ can be begun now/);
      await fill(app.page, 'At the bench', 'Ada');
      expect(await textOf(app.page, '#step-title')).to.match(/^Look the donor over/);
      await app.page.$eval('.step-do button', (b) => (b as HTMLElement).click());
      await waitForLine(app, /^.*1 of \d+ done/);
      expect(await textOf(app.page, '#step-title')).not.to.match(/^Look the donor over/);
      await press(app.page, 'Undo');
      await waitForLine(app, /0 of \d+ done/);
      await press(app.page, 'Redo');
      await waitForLine(app, /1 of \d+ done/);
    });
    await part(
      'stand view: one step by space bar, arrows and a pedal’s keys; its watch runs on through a reload',
      async () => {
        await press(app.page, 'Stand view');
        const first = await standTitle(app);
        await app.page.keyboard.press('PageDown');
        expect(await standTitle(app)).not.to.equal(first);
        await app.page.keyboard.press('ArrowLeft');
        await app.page.keyboard.press('PageDown');
        await doneUntil(app, /^Pedals off/);
        await app.page.keyboard.press('t');
        await app.page.waitForFunction(() => /0:0[1-9]/.test(document.querySelector('.stand-head')?.textContent ?? ''));
        await app.page.reload();
        await app.page.waitForSelector('.step-pane');
        await waitForLine(app, /[1-9]\d? of \d+ done/);
        await openStep(app, 'pedals-off');
        await press(app.page, 'Stand view');
        expect(await standTitle(app)).to.match(/^Pedals off/);
        await app.page.waitForFunction(() =>
          /0:(0[2-9]|[1-5]\d)/.test(document.querySelector('.stand-head')?.textContent ?? ''),
        );
        expect(await app.page.$eval('.stand-small', (b) => b.getAttribute('aria-pressed'))).to.equal('true');
      },
    );
    await part('the drawing builds up: what is off is told and drawn off', async () => {
      await doneUntil(app, /^Unscrew the bracket/);
      await app.page.keyboard.press('Escape');
      await app.page.waitForFunction(() => !document.querySelector('.stand'));
      expect(await textOf(app.page, '.mark-key')).to.match(/Off the vehicle: .*chain.*cranks/);
      expect(await app.page.$$eval('.drawing .chain-run', (list) => list.length)).to.equal(0);
      expect(await app.page.$$eval('.drawing .motor', (list) => list.length)).to.equal(0);
    });
    await part('a photo and a note stay with their step through a reload', async () => {
      await openStep(app, 'pedals-off');
      const picture = join(app.downloads, 'pedals.png');
      await app.page.screenshot({ path: picture as `${string}.png` });
      await chooseFile(app, 'Add a photo', picture);
      await app.page.waitForSelector('.step-pane .photos img');
      await fill(app.page, 'Note', 'left one was cross-threaded');
      await app.page.waitForFunction(() => /saved/.test(document.querySelector('.build-card')?.textContent ?? ''));
      await app.page.reload();
      await app.page.waitForSelector('.step-pane');
      await openStep(app, 'pedals-off');
      await app.page.waitForSelector('.step-pane .photos img');
      const [build] = (await getRaw(app, 'builds')).filter((b) => (b as { id: string }).id === 'demo-box') as {
        bench: { done: Record<string, { note: string; by: string; place: string }> };
      }[];
      expect(build?.bench.done['pedals-off']).to.deep.include({
        note: 'left one was cross-threaded',
        by: 'Ada',
        place: 'bracket',
      });
    });
    await part('a second look is held until somebody else has looked', async () => {
      await press(app.page, 'Stand view');
      await doneUntil(app, /^Second ring against/);
      await app.page.keyboard.press('Space');
      await waitForText(app.page, '.stand [role="alert"]', /somebody else has looked/);
      expect(await standTitle(app)).to.match(/^Second ring against/);
      await app.page.type('.stand-field input', 'Bo');
      await app.page.focus('.stand-body');
      await app.page.keyboard.press('Space');
      await app.page.waitForFunction(() => !/Second ring/.test(document.querySelector('.stand h2')?.textContent ?? ''));
      await app.page.keyboard.press('Escape');
      await openStep(app, 'mid-locked');
      expect(await textOf(app.page, '.step-done-line')).to.match(/Ada; looked at by Bo/);
      expect(await textOf(app.page, '.mark-key')).to.match(/On and tight: .*motor/);
    });
    await part('another kind of kit half way: what is built is undone first, the last of it first', async () => {
      const [build] = (await getRaw(app, 'builds')).filter((b) => (b as { id: string }).id === 'demo-box') as {
        choice: { kitId: string };
        revision: number;
      }[];
      if (!build) throw new Error('no build');
      build.choice.kitId = 'linnet-f250';
      await visit(app, '/');
      await putRaw(app, 'builds', [build]);
      await visit(app, '/build/demo-box/build');
      const now = await waitForText(app.page, '.bench-lists .card', /Motor|cranks/);
      expect(now).to.match(/Motor’s cranks off|Chain off again|Pedals|Motor out of the shell/);
      expect(
        await app.page.$$eval('.step-row', (rows) => rows.map((r) => (r as HTMLElement).innerText).join('\n')),
      ).to.match(/Old bracket back in/);
    });
  });

  it('a shell measured wider than planned is judged again: plan and as-built side by side, and back', async () => {
    const before = await textOf(app.page, '.rail');
    await openStep(app, 'shell-measured');
    await app.page.$eval('.otherwise summary', (s) => (s as HTMLElement).click());
    await pick(app.page, 'What was otherwise', 'donor.survey.bracketWidth');
    await press(app.page, 'Keep it as built');
    await waitForText(app.page, '.tell', /Say why/);
    await fill(app.page, 'As built', '120 mm');
    await fill(app.page, 'Why', 'measured with the shell bare');
    await press(app.page, 'Keep it as built');
    await waitForText(app.page, '.told-row', /73\smm\s+→[\s\S]*120\smm/);
    await app.page.waitForFunction(
      (was) => (document.querySelector('.rail') as HTMLElement).innerText !== was,
      {},
      before,
    );
    await leg(app.page, 'As built');
    const table = await waitForText(app.page, '.beside-table', /Stop/);
    expect(table).to.match(/The whole\s+Measure\s+Stop/);
    await press(app.page, 'Back to the plan');
    await waitForText(app.page, '.as-built', /All as planned so far/);
    await leg(app.page, 'Steps');
  });

  it('what is read off a step is held against what it has to be, and judged again where the plan hangs on it', async () => {
    await openStep(app, 'volts-pack');
    await fill(app.page, 'Volts at rest, as it came', '12 V');
    await waitForText(app.page, '.reading-off', /too little/);
    await fill(app.page, 'Volts at rest, as it came', '38.5 V');
    await waitForText(app.page, '.readings', /as it has to be/);
    await openStep(app, 'circumference-set');
    await fill(app.page, 'One turn, valve to valve', '2000 mm');
    await app.page.$eval('.step-do button', (b) => (b as HTMLElement).click());
    await leg(app.page, 'As built');
    await waitForText(app.page, '.told-row', /read off at the bench/);
    await press(app.page, 'Back to the plan');
    await leg(app.page, 'Steps');
  });
});

describe('build, a front hub on a folder', () => {
  const app = appAnew('/build/folder/build', {
    lay: (app) => {
      const folder = JSON.parse(
        readFileSync(new URL('../web/public/demo/builds/demo-lockkeeper.json', import.meta.url), 'utf8'),
      ) as { id: string; name: string; donor: { kind: string } };
      Object.assign(folder, { id: 'folder', name: 'Ferry folder' });
      folder.donor.kind = 'folding';
      return putRaw(app, 'builds', [folder]);
    },
  });

  it('on a phone every plate is a knuckle wide, legible at arm’s length, with nothing that axe finds', async () => {
    for (const dark of [false, true]) {
      await setDevice(app.page, { dark, width: 390, height: 844 });
      await press(app.page, 'Stand view');
      await app.page.waitForSelector('.stand');
      for (let n = 0; n < 12; n++) await app.page.keyboard.press('PageDown');
      const small = await app.page.$$eval('.stand button, .stand input', (all) =>
        all
          .map((b) => b.getBoundingClientRect())
          .filter((r) => r.width > 0 && (r.width < 64 || r.height < 64))
          .map((r) => `${Math.round(r.width)}×${Math.round(r.height)}`),
      );
      expect(small).to.deep.equal([]);
      const letters = await app.page.$$eval('.stand h2, .stand-line', (all) =>
        all.map((e) => parseFloat(getComputedStyle(e).fontSize)),
      );
      expect(Math.min(...letters)).to.be.at.least(20);
      expect(await axeFindings(app.page, '.stand', true)).to.deep.equal([]);
      await app.page.keyboard.press('Escape');
      await app.page.waitForFunction(() => !document.querySelector('.stand'));
    }
    await setDevice(app.page, {});
  });

  it('its steps are this folder’s: the fold is tried before the leads are tied, no cogs, no bracket', async () => {
    const titles = await app.page.$$eval('.step-place .step-words', (all) => all.map((e) => e.textContent ?? ''));
    expect(titles.some((t) => /Fold it and unfold it/.test(t))).to.equal(true);
    expect(titles.some((t) => /cogs on the motor|Unscrew the bracket|hydraulic/.test(t))).to.equal(false);
  });

  it('a whole step left out says why, and goes back whole', async () => {
    await openStep(app, 'head-play');
    await app.page.$eval('.otherwise summary', (s) => (s as HTMLElement).click());
    await pick(app.page, 'What was otherwise', 'left out');
    await fill(app.page, 'Why', 'the bearing was new last week');
    await press(app.page, 'Keep it as built');
    await waitForText(app.page, '.step-done-line', /^Left out/);
    expect(await textOf(app.page, '.told-row')).to.match(/left out[\s\S]*new last week/);
    await press(app.page, 'Not done after all');
    await app.page.waitForFunction(() => !document.querySelector('.step-done-line, .told-row'));
  });

  it('keeps the screen on, speaks only when asked to, and takes a photo from the camera or from a file', async () => {
    await app.page.evaluate(() => {
      const seen = { spoken: [] as string[], locks: 0 };
      Object.assign(window, { seen });
      Object.defineProperty(window.speechSynthesis, 'speak', {
        value(words: SpeechSynthesisUtterance) {
          seen.spoken.push(words.text);
        },
      });
      Object.defineProperty(navigator, 'wakeLock', {
        value: {
          request() {
            seen.locks++;
            return Promise.resolve({ release: () => Promise.resolve() });
          },
        },
      });
    });
    const seen = (): Promise<{ spoken: string[]; locks: number }> =>
      app.page.evaluate(() => (window as unknown as { seen: { spoken: string[]; locks: number } }).seen);
    await press(app.page, 'Stand view');
    await app.page.waitForSelector('.stand');
    expect(await seen()).to.deep.equal({ spoken: [], locks: 1 });
    await press(app.page, 'Voice off');
    await press(app.page, 'Voice on');
    expect((await seen()).spoken).to.have.length(1);
    expect((await seen()).spoken[0]).to.include(await standTitle(app));
    await press(app.page, 'Stubborn, photo, note');
    expect(
      await app.page.$$eval('.stand input[type="file"]', (all) => all.map((i) => i.getAttribute('capture'))),
    ).to.deep.equal(['environment', null]);
    await app.page.keyboard.press('Escape');
    await app.page.waitForFunction(() => !document.querySelector('.stand'));
  });

  it('no arm for two, and why: the plan says what that comes to', async () => {
    await openStep(app, 'arms-ready');
    await app.page.$eval('.otherwise summary', (s) => (s as HTMLElement).click());
    await pick(app.page, 'What was otherwise', 'choice.torqueArms');
    await pick(app.page, 'As built', '0');
    await fill(app.page, 'Why', 'the arms came bored too wide');
    await press(app.page, 'Keep it as built');
    await leg(app.page, 'As built');
    await waitForText(app.page, '.beside-table', /torque arm/i);
    expect(await textOf(app.page, '.told-row')).to.match(/the arms came bored too wide/);
    await press(app.page, 'Undo');
    await waitForText(app.page, '.as-built', /All as planned so far/);
    await leg(app.page, 'Steps');
  });

  it('is built, signed and printed', async () => {
    await part(
      'from the first to the last by the space bar, then every step is signed and the job card prints',
      async () => {
        await fill(app.page, 'At the bench', 'Ada');
        await openStep(app, 'look-over');
        await press(app.page, 'Stand view');
        const done = await doneUntil(app, /^Label with volts/);
        expect(done).to.be.greaterThan(60);
        await app.page.keyboard.press('Space');
        await app.page.keyboard.press('Escape');
        await waitForLine(app, /all \d+ steps done/);
        expect(await textOf(app.page, '.mark-key')).to.match(/Sealed: leads/);
        expect(await textOf(app.page, '.mark-key')).not.to.match(/Off the vehicle|still loose/);
        await leg(app.page, 'As built');
        expect(await textOf(app.page, '.signed')).to.match(/seen by Bo/);
        await leg(app.page, 'Job card');
        const pages = async (): Promise<number> => {
          const pdf = Buffer.from(await app.page.pdf({ format: 'A4' })).toString('latin1');
          return (pdf.match(/\/Type\s*\/Page[^s]/g) ?? []).length;
        };
        const apprentice = await pages();
        await app.page.$eval('input[value="practised"]', (i) => (i as HTMLElement).click());
        await app.page.waitForSelector('.job-practised');
        const practised = await pages();
        expect(practised).to.be.within(1, 4);
        expect(apprentice).to.be.greaterThan(practised);
        expect(await stageLine(app)).to.match(/all \d+ steps done/);
      },
    );
    await part('no view of it has anything that axe finds, in either scheme, at a desk or on a phone', async () => {
      for (const [view, device] of [
        ['Steps', { dark: false }],
        ['As built', { dark: true }],
        ['Job card', { dark: false, width: 390, height: 844 }],
        ['Own pace', { dark: true, width: 390, height: 844 }],
        ['Steps', { dark: true, width: 390, height: 844 }],
      ] as const) {
        await setDevice(app.page, device);
        await leg(app.page, view);
        expect(await axeFindings(app.page, '#stage'), view).to.deep.equal([]);
        const wide = await app.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        expect(wide, `${view} is wider than the screen`).to.be.at.most(0);
      }
    });
  });
});
