import { expect } from 'chai';
import type { DrawResult, SpreadJob } from '@sprocket/core';
import { MOST_HANDS, spreadPool, type Hand } from './spreadPool.ts';

const job = {} as SpreadJob;
const draw = (n: number): DrawResult => ({ rangeM: n }) as DrawResult;

/** Hands that answer when told to, and remember what they were asked. */
function bench(count: number) {
  const asked: [from: number, to: number][] = [];
  const ended: number[] = [];
  let made = 0;
  let hold: Promise<void> | null = null;
  const pool = spreadPool(
    () => count,
    (n): Hand => {
      made++;
      return {
        runDraws: async (_job, from, to) => {
          asked.push([from, to]);
          if (hold) await hold;
          return Array.from({ length: to - from }, (_, i) => draw(from + i));
        },
        terminate: () => ended.push(n),
      };
    },
  );
  const holdOn = (until: Promise<void>): void => {
    hold = until;
  };
  return { pool, asked, ended, made: () => made, holdOn };
}

describe('riding a spread over workers', () => {
  it('gives every draw once, in order, however many hands there are', async () => {
    for (const hands of [1, 2, 3, 9]) {
      const b = bench(hands);
      const all = await b.pool.ride(job, 50, () => undefined);
      expect(all?.map((r) => r.rangeM)).to.deep.equal(Array.from({ length: 50 }, (_, i) => i));
      expect(b.made()).to.equal(Math.min(hands, MOST_HANDS));
      const drawn = b.asked.flatMap(([from, to]) => Array.from({ length: to - from }, (_, i) => from + i));
      expect(drawn.sort((x, y) => x - y)).to.deep.equal(Array.from({ length: 50 }, (_, i) => i));
      expect(b.asked.every(([from, to]) => to - from <= 8)).to.equal(true);
    }
  });

  it('tells how far it is, up to the whole', async () => {
    const seen: number[] = [];
    await bench(2).pool.ride(job, 20, (_r, done, of) => seen.push(done / of));
    expect(seen.at(-1)).to.equal(1);
    expect([...seen].sort((a, b) => a - b)).to.deep.equal(seen);
  });

  it('put to rest it hands out no more, keeps its hands, and rides again when asked', async () => {
    const b = bench(2);
    let go = (): void => undefined;
    b.holdOn(new Promise((done) => (go = done)));
    const old = b.pool.ride(job, 80, () => undefined);
    b.pool.rest();
    go();
    expect(await old).to.equal(null);
    expect(b.asked).to.have.length(2);
    expect(b.ended).to.deep.equal([]);
    expect(await b.pool.ride(job, 20, () => undefined)).to.have.length(20);
    expect(b.made()).to.equal(2);
  });

  it('a newer ride ends the older, which answers null', async () => {
    const b = bench(2);
    let go = (): void => undefined;
    b.holdOn(new Promise((done) => (go = done)));
    const told: number[] = [];
    const old = b.pool.ride(job, 40, (_r, done) => told.push(done));
    const young = b.pool.ride(job, 16, () => undefined);
    go();
    expect(await old).to.equal(null);
    expect(told).to.deep.equal([]);
    expect((await young)?.length).to.equal(16);
  });

  it('cancelling stops the hands, leaves none, and makes new ones when next asked', async () => {
    const b = bench(2);
    let go = (): void => undefined;
    b.holdOn(new Promise((done) => (go = done)));
    const ride = b.pool.ride(job, 40, () => undefined);
    expect(b.pool.alive()).to.equal(2);
    b.pool.cancel();
    expect(b.ended).to.deep.equal([1, 2]);
    expect(b.pool.alive()).to.equal(0);
    go();
    expect(await ride).to.equal(null);
    expect((await b.pool.ride(job, 8, () => undefined))?.length).to.equal(8);
    expect(b.made()).to.equal(4);
  });

  it('a machine that does not know its cores has one hand at least', async () => {
    const b = bench(0);
    await b.pool.ride(job, 3, () => undefined);
    expect(b.made()).to.equal(1);
  });
});
