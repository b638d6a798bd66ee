import { expect } from 'chai';
import { createServer } from './server.ts';
import { weatherOn } from './weather.ts';
import type { AddressInfo } from 'node:net';

describe('the weather stand-in', () => {
  it('is the same each time a day is asked for, mild in summer, raw in winter, within what weather does', () => {
    expect(weatherOn('2026-05-01')).to.deep.equal(weatherOn('2026-05-01'));
    const mean = (month: string): number =>
      Array.from(
        { length: 28 },
        (_, i) => weatherOn(`2026-${month}-${String(i + 1).padStart(2, '0')}`).temperatureC,
      ).reduce((a, b) => a + b, 0) / 28;
    expect(mean('07')).to.be.greaterThan(mean('01') + 10);
    for (let i = 1; i <= 28; i++) {
      const day = weatherOn(`2026-02-${String(i).padStart(2, '0')}`);
      expect(day.temperatureC).to.be.within(-20, 35);
      expect(day.windMs).to.be.within(0.5, 7);
      expect(day.windFrom).to.be.within(0, 359);
    }
  });

  it('answers at its address, says that it is a stand-in, and refuses what is no day', async () => {
    const server = createServer({ appDir: '.', demo: false }).listen(0, '127.0.0.1');
    await new Promise((done) => server.once('listening', done));
    const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/weather`;
    try {
      const good = await fetch(`${url}?day=2026-05-01`);
      expect(await good.json()).to.deep.equal({ standIn: true, ...weatherOn('2026-05-01') });
      for (const bad of ['', '?day=', '?day=2026-02-30', '?day=2026-05-01&day=2026-05-02']) {
        const refused = await fetch(url + bad);
        expect(refused.status, bad).to.equal(400);
      }
    } finally {
      server.close();
    }
  });
});
