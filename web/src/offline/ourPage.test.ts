import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { asBuilt } from './ourPage.ts';

const built = readFileSync(new URL('../../index.html', import.meta.url), 'utf8').replace(
  '</head>',
  '<meta property="csp-nonce" nonce="__NONCE__"><link rel="stylesheet" nonce="__NONCE__" href="/a.css"></head>',
);
const served = (nonce: string, demo: string): string => built.replaceAll('__NONCE__', nonce).replace('__DEMO__', demo);

describe('the page that is kept', () => {
  it('is told again as built, whatever nonce it was served with', () => {
    for (const nonce of ['AbC+/=12', '$&$1', 'x'.repeat(24)])
      for (const demo of ['yes', 'no']) expect(asBuilt(served(nonce, demo))).to.equal(built);
  });

  it('is no other page, nor one with anything added', () => {
    for (const page of [
      '<html><body>Sign in</body></html>',
      '',
      served('n1', 'no').replace('</body>', '<p>ad</p></body>'),
    ])
      expect(asBuilt(page)).not.to.equal(built);
  });
});
