import { dateAfter, offerSchema, starterShelf, supplierSchema, type Supplier } from '@sprocket/core';
import { expect } from 'chai';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { counterOn, standingsOn, type OrderStanding } from './counter.ts';
import { createServer } from './server.ts';
import { counted } from '../../core/test/counted.ts';

describe('server', () => {
  const appDir = mkdtempSync(join(tmpdir(), 'sprocket-app-'));
  let server: Server;
  let url: string;

  before(async () => {
    mkdirSync(join(appDir, 'assets'));
    writeFileSync(
      join(appDir, 'index.html'),
      '<meta name="csp-nonce" content="__NONCE__"><meta name="demo" content="__DEMO__">',
    );
    writeFileSync(join(appDir, 'assets', 'a.js'), 'export {};');
    server = createServer({ appDir, demo: true }).listen(0, '127.0.0.1');
    await new Promise((done) => server.once('listening', done));
    url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  after(() => {
    server.close();
    rmSync(appDir, { recursive: true });
  });

  it('says that it is well', async () => {
    expect(await (await fetch(`${url}/health`)).json()).to.deep.equal({ ok: true, demo: true });
  });

  it('serves the page at any address of the app, with a nonce that its policy names and no other page has', async () => {
    const nonces = await Promise.all(
      ['/', '/build/x/drive'].map(async (path) => {
        const answer = await fetch(url + path, { headers: { accept: 'text/html' } });
        const policy = answer.headers.get('content-security-policy') ?? '';
        const nonce = /csp-nonce" content="([^"]+)"/.exec(await answer.text())?.[1] ?? '';
        expect(nonce).to.have.length.greaterThan(20);
        expect(policy).to.include(`'nonce-${nonce}'`);
        expect(policy)
          .to.include("default-src 'none'")
          .and.to.include("script-src 'self'")
          .and.not.to.match(/(?<!wasm-)unsafe/);
        expect(answer.headers.get('x-content-type-options')).to.equal('nosniff');
        expect(answer.headers.get('x-powered-by')).to.equal(null);
        return nonce;
      }),
    );
    expect(new Set(nonces).size).to.equal(2);
  });

  it('never hands out the page with its marks unfilled', async () => {
    const answer = await fetch(`${url}/index.html`);
    expect(await answer.text()).not.to.include('__NONCE__');
  });

  it('answers 404 for assets that are not there, and to other methods', async () => {
    expect((await fetch(`${url}/assets/b.js`)).status).to.equal(404);
    expect((await fetch(`${url}/assets/a.js`)).status).to.equal(200);
    expect((await fetch(`${url}/`, { method: 'POST' })).status).to.equal(404);
    expect((await fetch(`${url}/assets/..%2f..%2fetc%2fpasswd`)).status).to.be.within(400, 404);
    // Neither the page, nor a word of where things lie.
    for (const path of ['/manifest.webmanifest', '/favicon.ico', '/demo/none.json', '/build/x/drive.html'])
      expect((await fetch(url + path, { headers: { accept: 'text/html' } })).status, path).to.equal(404);
  });

  it('tells of a fault by its number alone, never by its place in the code', async () => {
    for (const path of ['/assets/b.js', '/assets/..%2f..%2fetc%2fpasswd', '/assets/%', '/assets/a.js/x', '/assets/']) {
      const answer = await fetch(url + path, { headers: { accept: 'text/html' } });
      const text = await answer.text();
      expect(answer.status, path).to.be.within(400, 499);
      expect(text, path).not.to.match(/node_modules|\.ts|at [A-Z]\w+|sprocket-app|Error:/);
    }
  });

  it('asks nothing of the device, and answers for this machine’s own names only', async () => {
    const answer = await fetch(`${url}/health`);
    expect(answer.headers.get('permissions-policy')).to.match(/geolocation=\(\)/);
    const asked = (host: string): Promise<number> =>
      new Promise((done, failed) => {
        const { port } = server.address() as AddressInfo;
        request({ port, host: '127.0.0.1', path: '/health', headers: { host } }, (res) => {
          res.resume();
          done(res.statusCode ?? 0);
        })
          .on('error', failed)
          .end();
      });
    for (const host of ['localhost', '127.0.0.1:4173', '[::1]:80', 'LOCALHOST:1'])
      expect(await asked(host), host).to.equal(200);
    for (const host of ['elsewhere.example', '127.0.0.1.elsewhere.example', '10.0.0.1'])
      expect(await asked(host), host).to.equal(421);
  });

  it('has a parts counter that says it is a stand-in, the same for the same day, by the schema', async () => {
    const ask = async (day: string): Promise<{ status: number; body: Record<string, unknown> }> => {
      const answer = await fetch(`${url}/api/counter?day=${day}`);
      return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
    };
    const { status, body } = await ask('2026-03-07');
    expect(status).to.equal(200);
    expect(body.standIn).to.equal(true);
    expect(supplierSchema.array().safeParse(body.suppliers).error).to.equal(undefined);
    const offers = offerSchema.array().safeParse(body.offers);
    expect(offers.error).to.equal(undefined);
    expect((await ask('2026-03-07')).body).to.deep.equal(body);
    expect((await ask('2026-03-08')).body).not.to.deep.equal(body);
    // No battery from whoever does not send them.
    const packs = new Set(starterShelf.pack.map((p) => p.id));
    const silent = new Set((body.suppliers as Supplier[]).filter((s) => !s.lithium).map((s) => s.id));
    expect(offers.data?.filter((o) => packs.has(o.part) && silent.has(o.supplier))).to.deep.equal([]);
    expect((await ask('soon')).status).to.equal(400);
    expect((await ask('2026-02-30')).status).to.equal(400);
  });

  it('its orders go from taken to promised to come as days pass, each once, and never back', async () => {
    const met = counted();
    const orders = [
      { supplier: 'low-weir-direct', part: 'torque-arm', orderedOn: '2026-03-02' },
      { supplier: 'farquay-importers', part: 'grease', orderedOn: '2026-03-02' },
      { supplier: 'nobody', part: 'grease', orderedOn: '2026-03-02' },
    ];
    const on = async (day: string, sent: unknown = orders) => {
      const answer = await fetch(`${url}/api/counter/orders`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ day, orders: sent }),
      });
      return { status: answer.status, body: (await answer.json()) as { error?: string; orders?: OrderStanding[] } };
    };
    const rank = { ordered: 0, promised: 1, arrived: 2 };
    const last = new Map<string, number>();
    const seen = new Set<string>();
    for (let day = 2; day <= 31; day++) {
      const { body } = await on(`2026-03-${String(day).padStart(2, '0')}`);
      expect(body.orders?.map((o) => o.supplier)).to.deep.equal(['low-weir-direct', 'farquay-importers']);
      for (const o of body.orders ?? []) {
        expect(rank[o.state]).to.be.at.least(last.get(o.supplier) ?? 0);
        last.set(o.supplier, rank[o.state]);
        seen.add(`${o.supplier} ${o.state}`);
        if (o.state === 'promised' && met()) expect(o.promisedOn && o.promisedOn > '2026-03-02').to.equal(true);
        if (o.state === 'arrived')
          expect(o.arrivedOn && o.arrivedOn <= `2026-03-${String(day).padStart(2, '0')}`).to.equal(true);
      }
    }
    // 4 to 16 days, and, not in stock, 5 to 14 more.
    expect([...seen].filter((s) => s.startsWith('low-weir')).length).to.equal(3);
    expect((await on('2026-05-30')).body.orders?.every((o) => o.state === 'arrived')).to.equal(true);
    for (const [day, sent, error] of [
      ['soon', orders, /^day/],
      ['2026-03-02', 'all', /^orders/],
      ['2026-03-02', [null], /^orders\[0\]/],
      ['2026-03-02', [{ ...orders[0], orderedOn: 'x' }], /^orders\[0\]\.orderedOn/],
    ] as const) {
      const { status, body } = await on(day, sent);
      expect([status, error.test(body.error ?? '')], String(error)).to.deep.equal([400, true]);
    }
    met.enough();
  });

  it('of orders of as many days as there are asks for each part alone, and says what the counter said that day', () => {
    const days = Array.from({ length: 400 }, (_, i) => dateAfter('2026-01-01', i));
    const [kept] = counterOn('2026-01-01').offers;
    if (!kept) throw new Error('an empty counter');
    const { supplier, part } = kept;
    const orders = days.map((orderedOn) => ({ supplier, part, orderedOn }));
    const stand = standingsOn('2028-01-01', orders);
    expect(stand).to.have.length(400);
    for (const i of [0, 1, 7, 199, 399]) {
      const offer = counterOn(days[i] as string).offers.find((o) => o.supplier === supplier && o.part === part);
      const first = dateAfter(days[i] as string, offer?.leadDays.likely ?? NaN);
      expect(stand[i]?.promisedOn).to.equal(first);
    }
  });

  describe('ride meter', () => {
    const ride = {
      motor: {
        place: 'front',
        ktNmPerA: 1.1,
        resistanceOhm: 0.2,
        coulombNm: 0.4,
        viscousNmS: 0.01,
        reduction: 1,
        gearEfficiency: 1,
        freewheels: false,
        heat: { windingJPerK: 500, caseJPerK: 4000, windingToCaseKPerW: 0.15, caseToAirKPerW: 0.4 },
      },
      controller: { batteryLimitA: 20, phaseLimitA: 50, efficiency: 0.96, standingW: 3 },
      pack: {
        chemistry: 'nmc',
        series: 13,
        parallel: 5,
        cellAh: 3,
        cellOhm: 0.03,
        leadOhm: 0.02,
        cutoffVPerCell: 3,
        usable: 0.9,
        health: 1,
      },
      vehicle: {
        massKg: 110,
        rotatingKg: 2.5,
        cdaM2: 0.6,
        crr: 0.007,
        wheelRadiusM: 0.34,
        ring: 42,
        cogs: [18],
        fixedCog: null,
        drivetrainEfficiency: 0.95,
      },
      rider: { powerW: 60, maxCadenceRpm: 110 },
      air: { altitudeM: 0, temperatureC: 15, headwindMs: 0 },
      route: { segments: [{ lengthM: 600, grade: 0, targetMs: 6, stop: false }], repeat: false },
    };
    const ask = (body: unknown): Promise<globalThis.Response> =>
      fetch(`${url}/api/ride-meter`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
    /** Reads a stream until it ends or so much was read. */
    async function told(
      path: string,
      headers: Record<string, string> = {},
      most = Infinity,
    ): Promise<{ rows: number[][]; text: string }> {
      const answer = await fetch(url + path, { headers });
      expect(answer.headers.get('content-type')).to.include('text/event-stream');
      expect(answer.headers.get('content-encoding')).to.equal(null);
      const reader = (answer.body as ReadableStream<Uint8Array>).getReader();
      let text = '';
      for (;;) {
        const { done, value } = await reader.read();
        if (done) break;
        text += new TextDecoder().decode(value);
        if (text.length > most) {
          await reader.cancel();
          break;
        }
      }
      const rows = [...text.matchAll(/^data: (\[.*\])$/gm)].flatMap((m) => JSON.parse(m[1] as string) as number[][]);
      return { rows, text };
    }

    it('tells a build’s ride as events, says it is a stand-in, ends, and goes on where it was cut', async () => {
      const made = (await (await ask({ ride, seed: 3, speed: 60 })).json()) as {
        id: string;
        standIn: boolean;
        readings: number;
      };
      expect(made.standIn).to.equal(true);
      const all = await told(`/api/ride-meter/${made.id}`);
      expect(all.rows.map((r) => r[0])).to.deep.equal(Array.from({ length: made.readings }, (_, i) => i));
      expect(all.text).to.include('event: end');
      expect(all.rows.at(-1)?.[2]).to.be.closeTo(600, 10);
      const rest = await told(`/api/ride-meter/${made.id}`, { 'last-event-id': '40' });
      expect(rest.rows[0]?.[0]).to.equal(41);
      // A server that was started anew begins where the page says it was.
      const again = (await (await ask({ ride, seed: 3, speed: 60, from: 40 })).json()) as { id: string };
      const further = await told(`/api/ride-meter/${again.id}?after=39`);
      expect(further.rows[0]?.[0]).to.equal(40);
      expect(further.rows[5]).to.deep.equal(all.rows[45]);
    });

    it('refuses by path what is no ride, seed, fault or speed, and knows no ride it does not have', async () => {
      const refused = async (body: unknown): Promise<string> => {
        const answer = await ask(body);
        expect(answer.status).to.equal(400);
        return ((await answer.json()) as { error: string }).error;
      };
      expect(
        await refused({ ride: { ...ride, air: { ...ride.air, temperatureC: 'warm' } }, seed: 1, speed: 1 }),
      ).to.include('ride.air.temperatureC');
      expect(await refused({ ride, seed: 0.5, speed: 1 })).to.include('seed');
      expect(await refused({ ride, seed: 1, speed: 7 })).to.include('speed');
      expect(await refused({ ride, seed: 1, speed: 1, fault: 'dragon' })).to.include('fault');
      expect(await refused({ ride, seed: 1, speed: 1, from: -1 })).to.include('from');
      expect(await refused([])).to.be.a('string');
      const far = {
        ...ride,
        route: { segments: [{ lengthM: 500_000, grade: 0, targetMs: 6, stop: false }], repeat: false },
      };
      expect(await refused({ ride: far, seed: 1, speed: 1 })).to.include('ride.route');
      expect((await fetch(`${url}/api/ride-meter/none`)).status).to.equal(404);
    });
  });
});
