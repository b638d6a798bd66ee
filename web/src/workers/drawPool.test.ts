import { expect } from 'chai';
import type { Drawn } from '@sprocket/core';
import { drawAll, type Drawer } from './drawPool.ts';

const vehicle = (seed: number): Drawn => ({ seed, donor: {} as Drawn['donor'], fates: [] });
const rest = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

/** A drawer that is answered by hand. */
function drawer() {
  const made = {
    seeds: [] as readonly number[],
    tell: (_: Drawn[]): void => undefined,
    done: (_: Drawn[] | null): void => undefined,
    fail: (): void => undefined,
    as: {} as Drawer,
  };
  made.as = {
    draw: (seeds, tell) => {
      made.seeds = seeds;
      made.tell = tell;
      return new Promise((done, failed) => {
        made.done = done;
        made.fail = () => failed(new Error('broke'));
      });
    },
  };
  return made;
}

describe('vehicles drawn over several workers', () => {
  it('deals the seeds out, tells all in the order of their seeds, and is done when each is', async () => {
    const [a, b] = [drawer(), drawer()];
    const told: [number[], boolean][] = [];
    drawAll([a.as, b.as], 5, (drawn, done) => told.push([drawn.map((d) => d.seed), done]));
    expect([a.seeds, b.seeds]).to.deep.equal([
      [0, 2, 4],
      [1, 3],
    ]);
    b.tell([vehicle(1)]);
    a.tell([vehicle(0)]);
    b.done([vehicle(1), vehicle(3)]);
    await rest();
    a.done([vehicle(0), vehicle(2), vehicle(4)]);
    await rest();
    expect(told).to.deep.equal([
      [[1], false],
      [[0, 1], false],
      [[0, 1, 3], false],
      [[0, 1, 2, 3, 4], true],
    ]);
  });

  it('once ended tells nothing; one that breaks leaves what the others drew; one that is overtaken is never done', async () => {
    const [a, b] = [drawer(), drawer()];
    const told: boolean[] = [];
    const end = drawAll([a.as, b.as], 2, (_, done) => told.push(done));
    a.fail();
    await rest();
    b.done([vehicle(1)]);
    await rest();
    expect(told).to.deep.equal([false, true]);
    end();
    b.tell([vehicle(1)]);
    expect(told).to.have.length(2);
    const late = drawer();
    drawAll([late.as], 1, (_, done) => told.push(done));
    late.done(null);
    await rest();
    expect(told).to.have.length(2);
  });
});
