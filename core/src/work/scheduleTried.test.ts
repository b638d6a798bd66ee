import { expect } from 'chai';
import fc from 'fast-check';
import { TriedStates } from './scheduleTried.ts';

const noWorse = (a: readonly number[], b: readonly number[]): boolean => a.every((x, i) => x <= (b[i] as number));

describe('states tried before', () => {
  it('outdo what is no better in anything, key by key', () => {
    const tried = new TriedStates();
    const ask = (key: number, ...state: number[]): boolean => tried.outdone(key, Int32Array.from(state), state.length);
    expect(ask(1, 5, 5)).to.equal(false);
    expect(ask(1, 5, 5), 'the same again').to.equal(true);
    expect(ask(1, 5, 6), 'worse in one').to.equal(true);
    expect(ask(1, 4, 6), 'better in one').to.equal(false);
    expect(ask(2, 9, 9), 'another key').to.equal(false);
    // Better than both in everything: it takes their places.
    expect(ask(1, 3, 3)).to.equal(false);
    expect(ask(1, 4, 6)).to.equal(true);
    expect(ask(1, 5, 5)).to.equal(true);
    expect(ask(1, 2, 9)).to.equal(false);
    expect(ask(2, 9, 9)).to.equal(true);
  });

  it('answer as a list of all of them does, however many', () => {
    const state = fc.array(fc.nat(4), { minLength: 3, maxLength: 3 });
    fc.assert(
      fc.property(fc.array(fc.record({ key: fc.nat(2), state }), { maxLength: 400 }), (asked) => {
        const tried = new TriedStates();
        const all = new Map<number, number[][]>();
        for (const { key, state: s } of asked) {
          const before = all.get(key) ?? [];
          expect(tried.outdone(key, Int32Array.from(s), 3)).to.equal(before.some((b) => noWorse(b, s)));
          all.set(key, [...before, s]);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('outgrow their first room', () => {
    const tried = new TriedStates();
    const of = (k: number): Int32Array => Int32Array.from([k, 40_000 - k]);
    // None of them is better than another in both.
    for (let k = 0; k < 40_000; k++) expect(tried.outdone(k % 5000, of(k), 2)).to.equal(false);
    for (let k = 0; k < 40_000; k += 777) expect(tried.outdone(k % 5000, of(k), 2)).to.equal(true);
  });
});
