import { expect } from 'chai';
import { usualSearch, type SearchResult } from '@sprocket/core';
import { searchAll, type Seeker, type Sought } from './searchPool.ts';

const found = (counted: number): SearchResult => ({ counted, standing: 0, ridden: 0, front: [], kits: [] });
const sum = (parts: readonly SearchResult[]): SearchResult => found(parts.reduce((n, p) => n + p.counted, 0));

/** A seeker that is answered by hand. */
function seeker() {
  const made = {
    kits: [] as readonly string[],
    stopped: 0,
    tell: (_: SearchResult): void => undefined,
    done: (_: SearchResult | null): void => undefined,
    fail: (): void => undefined,
    as: {} as Seeker,
  };
  made.as = {
    search: (options, tell) => {
      made.kits = options.kits ?? [];
      made.tell = tell;
      return new Promise((done, failed) => {
        made.done = done;
        made.fail = () => failed(new Error('broke'));
      });
    },
    stop: () => made.stopped++,
  };
  return made;
}
const rest = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

describe('a search over several workers', () => {
  it('deals the kits out, tells all parts as one, and is done when each is', async () => {
    const [a, b] = [seeker(), seeker()];
    const told: Sought[] = [];
    searchAll([a.as, b.as], ['k1', 'k2', 'k3'], usualSearch, sum, (s) => told.push(s));
    expect([a.kits, b.kits]).to.deep.equal([['k1', 'k3'], ['k2']]);
    a.tell(found(2));
    b.tell(found(5));
    a.done(found(3));
    await rest();
    b.done(found(7));
    await rest();
    expect(told.map((t) => [t.result.counted, t.done])).to.deep.equal([
      [2, false],
      [7, false],
      [8, false],
      [10, true],
    ]);
    expect(told.every((t) => !t.broken)).to.equal(true);
  });

  it('once ended tells nothing more, and has its seekers leave off', async () => {
    const a = seeker();
    const told: Sought[] = [];
    const end = searchAll([a.as], ['k1'], usualSearch, sum, (s) => told.push(s));
    end();
    a.tell(found(1));
    a.done(found(1));
    await rest();
    expect([told.length, a.stopped]).to.deep.equal([0, 1]);
  });

  it('one that breaks is said, with what the others found', async () => {
    const [a, b] = [seeker(), seeker()];
    const told: Sought[] = [];
    searchAll([a.as, b.as], ['k1', 'k2'], usualSearch, sum, (s) => told.push(s));
    a.fail();
    b.done(found(4));
    await rest();
    expect(told.at(-1)).to.deep.include({ done: true, broken: true });
    expect(told.at(-1)?.result.counted).to.equal(4);
  });
});
