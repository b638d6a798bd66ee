import { startApp, visit, go, pick, setDevice } from './support/app.ts';
const app = await startApp({ demo: true });
const { page } = app;
const shot = async (name: string) => page.screenshot({ path: `/tmp/pix-${name}.png` });
const scrollTo = (sel: string) =>
  page.evaluate((s) => document.querySelector(s)?.scrollIntoView({ block: 'start' }), sel);
await visit(app, '/build/demo-box/brief');
await new Promise((r) => setTimeout(r, 800));
await page.evaluate(() =>
  [...document.querySelectorAll('label')].find((l) => /Tows a trailer/.test(l.textContent ?? ''))?.click(),
);
await new Promise((r) => setTimeout(r, 500));
await scrollTo('#brief-name');
await page.evaluate(() => window.scrollBy(0, -80));
await shot('brief1');
await scrollTo('#brief-trailer');
await page.evaluate(() => window.scrollBy(0, -80));
await shot('brief2');
await page.evaluate(() => window.scrollTo(0, 0));
await setDevice(page, { width: 390, height: 844 });
await scrollTo('#brief-rider');
await page.evaluate(() => window.scrollBy(0, -120));
await shot('brief390');
await setDevice(page, { dark: true });
await go(app, '/build/demo-mixte/drive');
await new Promise((r) => setTimeout(r, 1500));
await scrollTo('#drive-setup');
await page.evaluate(() => window.scrollBy(0, -60));
await shot('drive-dark');
await setDevice(page, {});
await page.evaluate(() => document.querySelector<HTMLElement>('.arrival summary')?.click());
await scrollTo('.arrival');
await page.evaluate(() => window.scrollBy(0, -60));
await new Promise((r) => setTimeout(r, 300));
await shot('arrival');
await page.evaluate(() =>
  [...document.querySelectorAll<HTMLElement>('.findings .finding-open')]
    .find((b) => /hanger/i.test(b.textContent ?? ''))
    ?.click(),
);
await new Promise((r) => setTimeout(r, 800));
await shot('finding');
await page.evaluate(() => [...document.querySelectorAll<HTMLElement>('.explain .pill-small')][0]?.click());
await new Promise((r) => setTimeout(r, 800));
await shot('finding2');
await page.keyboard.press('Escape');
await go(app, '/build/demo-box/gearing');
await new Promise((r) => setTimeout(r, 800));
await pick(page, 'Hub gear to lace in', 'hub-gear-eight');
await new Promise((r) => setTimeout(r, 800));
await scrollTo('#gear-choose');
await page.evaluate(() => window.scrollBy(0, -80));
await shot('gearing1');
await scrollTo('#lacing');
await page.evaluate(() => window.scrollBy(0, -80));
await shot('gearing2');
await app.close();
