import { expect } from 'chai';
import { inSlices } from './inSlices.ts';

/** Steps that each take a little, as told, and say when they were taken. */
function* slow(count: number, taken: number[]): Generator<void, string> {
  for (let i = 0; i < count; i++) {
    const start = performance.now();
    while (performance.now() - start < 5);
    taken.push(i);
    yield;
  }
  return 'done';
}

describe('a sum in slices', () => {
  it('comes to its answer, with others served in between', async () => {
    const taken: number[] = [];
    const seen: number[] = [];
    const watch = setInterval(() => seen.push(taken.length), 0);
    expect(await inSlices(slow(20, taken))).to.equal('done');
    clearInterval(watch);
    expect(taken).to.have.length(20);
    expect(seen.filter((n) => n > 0 && n < 20)).to.have.length.greaterThan(2);
  });
  it('ends where it is no longer wanted', async () => {
    const taken: number[] = [];
    expect(await inSlices(slow(1000, taken), () => taken.length < 5)).to.equal(undefined);
    expect(taken.length).to.be.within(5, 12);
  });
  it('tells of what went wrong', async () => {
    const failing = (function* (): Generator<void, number> {
      yield;
      throw new Error('no road');
    })();
    expect(await inSlices(failing).catch((error: unknown) => String(error))).to.equal('Error: no road');
  });
});
