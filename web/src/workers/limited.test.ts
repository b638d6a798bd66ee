import { expect } from 'chai';
import type { ReadResult } from '@sprocket/core';
import { limited } from './limited.ts';

interface Work {
  n: number;
  read: (ms: number) => Promise<ReadResult<number>>;
}

/** Readers that take as long as they are told, and are counted as they are made and ended. */
function readers() {
  const ended: number[] = [];
  let made = 0;
  const read = limited<Work>(60, () => {
    const n = ++made;
    return {
      work: { n, read: (ms) => new Promise((done) => setTimeout(() => done({ ok: true, value: n }), ms)) },
      end: () => ended.push(n),
    };
  });
  return { read, ended, made: () => made };
}

describe('reading with a limit', () => {
  it('gives what was read, by one reader for all', async () => {
    const { read, ended, made } = readers();
    expect(await read((w) => w.read(1))).to.deep.equal({ ok: true, value: 1 });
    expect(await read((w) => w.read(40))).to.deep.equal({ ok: true, value: 1 });
    expect([made(), ended]).to.deep.equal([1, []]);
  });

  it('gives up what takes too long, ends its reader once, and reads the next with another', async () => {
    const { read, ended, made } = readers();
    const late = await read((w) => w.read(5000));
    expect(late).to.deep.equal({
      ok: false,
      problems: [
        {
          path: '(document)',
          message: 'is not read after 0.06 s, longer than any sound file takes; it was given up',
        },
      ],
    });
    expect([made(), ended]).to.deep.equal([1, [1]]);
    expect(await read((w) => w.read(1))).to.deep.equal({ ok: true, value: 2 });
  });

  it('lets nobody wait behind another: each has a reader, and one is kept', async () => {
    const { read, ended, made } = readers();
    const [slow, quick] = await Promise.all([read((w) => w.read(5000)), read((w) => w.read(1))]);
    expect([slow.ok, quick]).to.deep.equal([false, { ok: true, value: 2 }]);
    expect([made(), ended]).to.deep.equal([2, [1]]);
    const both = await Promise.all([read((w) => w.read(5)), read((w) => w.read(10))]);
    expect(both.map((r) => r.ok && r.value)).to.deep.equal([2, 3]);
    // Of two that are free one is enough.
    expect([made(), ended]).to.deep.equal([3, [1, 3]]);
  });

  it('a reader that falls is told of as what it is', async () => {
    const { read, ended } = readers();
    const failing = read(() => Promise.reject(new Error('no worker here')));
    expect(await failing.catch(String)).to.equal('Error: no worker here');
    expect(ended).to.deep.equal([1]);
    expect(await read((w) => w.read(1))).to.deep.equal({ ok: true, value: 2 });
  });
});
