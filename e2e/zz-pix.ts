import { startApp, visit, setDevice } from './support/app.ts';
const app = await startApp({ demo: true });
const words: Record<string, string> = {
  leads: 'Leads',
  loom: 'Loom sheet',
  levers: 'Levers and sensors',
  bar: 'Bar',
  power: 'Power and lamps',
  settings: 'Settings',
  checks: 'Meter checks',
};
const shot = async (build: string, view: string, name: string, scroll = 0) => {
  await visit(app, `/build/demo-${build}/wiring`);
  await app.page.waitForSelector('.walk .leg');
  await app.page.evaluate((w) => {
    for (const b of document.querySelectorAll('.walk .leg')) if (b.textContent === w) (b as HTMLElement).click();
  }, words[view]!);
  await new Promise((r) => setTimeout(r, view === 'settings' ? 3000 : 1000));
  await app.page.evaluate((y) => {
    document.querySelector('#stage')!.scrollTo(0, y);
    window.scrollTo(0, y);
  }, scroll);
  await new Promise((r) => setTimeout(r, 200));
  await app.page.screenshot({ path: `/tmp/pix/${name}.png` });
};
try {
  await shot('mixte', 'leads', 'a1');
  await shot('mixte', 'loom', 'a2');
  await shot('trike', 'levers', 'a3');
  await shot('box', 'levers', 'a4', 500);
  await shot('box', 'loom', 'a5');
  await setDevice(app.page, { dark: true });
  await shot('trike', 'loom', 'a6');
  await shot('box', 'levers', 'a7');
  await shot('trike', 'leads', 'a8');
  await setDevice(app.page, { width: 390, height: 844 });
  await shot('mixte', 'leads', 'b1');
  await shot('mixte', 'leads', 'b2', 600);
  await shot('mixte', 'loom', 'b3');
  await shot('box', 'levers', 'b4', 200);
  await shot('trike', 'settings', 'b5');
  console.log(app.complaints);
} finally {
  await app.close();
}
