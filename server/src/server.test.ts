import { expect } from 'chai';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createServer } from './server.ts';

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
          .and.not.to.match(/unsafe/);
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
  });
});
