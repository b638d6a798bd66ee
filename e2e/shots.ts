/** One current picture of each main view, from the demo's data, into docs/screenshots. */
import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { startApp, visit } from './support/app.ts';

interface Shot {
  name: string;
  path: string;
  width?: number;
  height?: number;
  dark?: boolean;
  click?: string;
  /** Where what is typed. */
  type?: [selector: string, words: string];
  scroll?: string;
  wait?: string;
  /** Pressed once what is waited for is there. */
  then?: string;
  /** Left alone so long before it is taken, ms. */
  pause?: number;
}

const shots: Shot[] = [
  { name: 'builds', path: '/' },
  { name: 'brief', path: '/build/demo-mixte/brief' },
  { name: 'donor', path: '/build/demo-mixte/donor' },
  {
    name: 'drive',
    path: '/build/demo-mixte/drive',
    height: 1150,
    click: '.proposals-ask button',
    wait: '.proposals[aria-busy="false"]',
  },
  { name: 'pack', path: '/build/demo-mixte/pack' },
  { name: 'gearing', path: '/build/demo-box/gearing', scroll: '#chain-title' },
  { name: 'ride', path: '/build/demo-mixte/ride', wait: '.tally[data-spread="drawn"]' },
  { name: 'build', path: '/build/demo-trike/build', wait: '.standing-now' },
  { name: 'wiring', path: '/build/demo-mixte/wiring' },
  { name: 'loom', path: '/build/demo-trike/wiring', click: '.walk .leg:nth-child(2)', wait: '.loom' },
  { name: 'parts', path: '/build/demo-box/parts' },
  { name: 'proving', path: '/build/demo-gravel/proving' },
  {
    name: 'faults',
    path: '/build/demo-gravel/faults?symptom=cutsOut',
    wait: '.plate:nth-child(3)',
    then: '.plate:nth-child(3)',
  },
  { name: 'logbook', path: '/build/demo-box/logbook' },
  { name: 'rides', path: '/build/demo-box/logbook', dark: true, click: '.walk .leg:nth-child(2)', wait: '.odd-list' },
  {
    name: 'compare',
    path: '/build/demo-mixte/compare?beside=build-demo-lockkeeper%20build-demo-box%20build-demo-trike',
    wait: '.compare-table',
    pause: 2500,
  },
  { name: 'stand', path: '/build/demo-trike/build', click: '.to-stand', wait: '.stand' },
  {
    name: 'start',
    path: '/',
    height: 1150,
    click: '.library-actions button',
    type: ['#start-line', 'steel mixte 28in, 82 kg, 12 km each way, one hill of 10 %, up to 900'],
    wait: '.measure-first li',
  },
  { name: 'donor-phone', path: '/build/demo-lockkeeper/donor', width: 390, height: 844 },
];

const folder = new URL('../docs/screenshots/', import.meta.url);
mkdirSync(folder, { recursive: true });
for (const dark of [false, true]) {
  const app = await startApp({ rides: true, demo: true, dark });
  await visit(app, '/');
  for (const shot of shots.filter((s) => (s.dark ?? false) === dark)) {
    await app.page.setViewport({ width: shot.width ?? 1280, height: shot.height ?? 800 });
    await visit(app, shot.path);
    if (shot.click) await (await app.page.waitForSelector(shot.click))?.click();
    if (shot.type) {
      await app.page.waitForSelector(shot.type[0]);
      await app.page.type(...shot.type);
    }
    if (shot.wait) await app.page.waitForSelector(shot.wait);
    if (shot.then) await app.page.click(shot.then);
    if (shot.scroll) await app.page.$eval(shot.scroll, (e) => e.scrollIntoView());
    await new Promise((done) => setTimeout(done, shot.pause ?? 500));
    await app.page.screenshot({ path: fileURLToPath(new URL(`${shot.name}.png`, folder)) as `${string}.png` });
    process.stdout.write(`docs/screenshots/${shot.name}.png\n`);
  }
  await app.close();
}
process.exit(0);
