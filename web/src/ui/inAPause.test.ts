import { expect } from 'chai';
import { inAPause } from './inAPause.ts';

const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

describe('what can wait for a pause', () => {
  it('is done once, when nothing was typed for the while', async () => {
    const page = new EventTarget();
    let done = 0;
    inAPause(() => done++, 60, 10_000, page);
    await wait(40);
    page.dispatchEvent(new Event('keydown'));
    await wait(40);
    expect(done).to.equal(0);
    await wait(60);
    expect(done).to.equal(1);
    page.dispatchEvent(new Event('input'));
    await wait(100);
    expect(done).to.equal(1);
  });

  it('does not wait for ever for somebody who never stops', async () => {
    const page = new EventTarget();
    let done = 0;
    inAPause(() => done++, 80, 150, page);
    for (let key = 0; key < 8 && done === 0; key++) {
      page.dispatchEvent(new Event('input'));
      await wait(30);
    }
    expect(done).to.equal(1);
    await wait(120);
    expect(done).to.equal(1);
  });
});
