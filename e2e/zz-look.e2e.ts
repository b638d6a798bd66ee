import { setDevice, startApp, visit } from './support/app.ts';
import { mkdirSync } from 'node:fs';
const shots = (process.env.SHOTS ?? '').split(',');
describe('look', () => {
  it('takes pictures', async function () {
    this.timeout(300000);
    mkdirSync('/tmp/shots', { recursive: true });
    const app = await startApp({ demo: true });
    const { page } = app;
    const dark = process.env.DARK === '1';
    const width = Number(process.env.W ?? 1280);
    await setDevice(page, { dark, width, height: Number(process.env.H ?? 800) });
    for (const s of shots) {
      const [name, path, press] = s.split('|') as [string, string, string?];
      await visit(app, path);
      await new Promise((r) => setTimeout(r, 1500));
      if (press) for (const label of press.split('>')) {
        await page.evaluate((l) => { const b = [...document.querySelectorAll('button, a, summary')].find((x) => (x.textContent ?? '').trim().startsWith(l)); (b as HTMLElement | undefined)?.click(); }, label);
        await new Promise((r) => setTimeout(r, 3500));
      }
      await page.screenshot({ path: `/tmp/shots/${name}.png`, fullPage: process.env.FULL === '1' });
    }
    await app.close();
  });
});
