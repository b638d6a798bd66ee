import { expect } from 'chai';
import fc from 'fast-check';
import { allowedOffers, buy as buyBy, type Bought, type BuyCase, type BuyOffer, type IntegerSolver } from './buy.ts';
import { readBuyCase } from './buyCase.ts';
import { integerSolver } from './highs.ts';
import { dateAfter } from '../quantity/dates.ts';
import { chanceWithin, daysAt } from './leadTime.ts';
import { counted } from '../../test/counted.ts';

const sure = (days: number) => ({ low: days, likely: days, high: days });
const offer = (supplier: string, line: string, price: number, leadDays = sure(3)): BuyOffer => ({
  supplier,
  line,
  price,
  leadDays,
});
const base: BuyCase = {
  lines: ['a', 'b', 'c'].map((id) => ({ id, count: 1, neededBy: '2026-03-11' })),
  suppliers: [
    { id: 'north', shipping: 5, freeFrom: null },
    { id: 'south', shipping: 4, freeFrom: 50 },
  ],
  offers: [
    offer('north', 'a', 20),
    offer('south', 'a', 22),
    offer('north', 'b', 10),
    offer('south', 'b', 12),
    offer('north', 'c', 15),
    offer('south', 'c', 16),
  ],
  orderedOn: '2026-03-01',
  chance: 0.8,
};

/** Every assignment tried, the slow plain way; null where there is none. */
function plain(given: BuyCase): number | null {
  const allowed = allowedOffers(given);
  const lines = given.lines.filter((l) => (allowed.get(l.id)?.size ?? 0) > 0);
  let best = Infinity;
  const go = (i: number, goods: Map<string, number>): void => {
    const line = lines[i];
    if (!line) {
      let sum = 0;
      for (const s of given.suppliers) {
        const here = goods.get(s.id);
        if (here !== undefined) sum += here + (s.freeFrom !== null && here >= s.freeFrom - 1e-9 ? 0 : s.shipping);
      }
      best = Math.min(best, sum);
      return;
    }
    for (const [supplier, price] of allowed.get(line.id) as Map<string, number>) {
      const before = goods.get(supplier);
      goods.set(supplier, (before ?? 0) + price * line.count);
      go(i + 1, goods);
      if (before === undefined) goods.delete(supplier);
      else goods.set(supplier, before);
    }
  };
  go(0, new Map());
  return best === Infinity ? null : best;
}

const caseOf = (most: { lines: number; suppliers: number }): fc.Arbitrary<BuyCase> =>
  fc
    .record({
      lines: fc.array(fc.record({ count: fc.integer({ min: 1, max: 4 }), days: fc.integer({ min: 1, max: 20 }) }), {
        minLength: 1,
        maxLength: most.lines,
      }),
      suppliers: fc.array(
        fc.record({
          shipping: fc.integer({ min: 0, max: 2000 }),
          freeFrom: fc.option(fc.integer({ min: 0, max: 20_000 }), { nil: null }),
        }),
        { minLength: 1, maxLength: most.suppliers },
      ),
      chance: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      seeds: fc.array(
        fc.record({
          here: fc.integer({ min: 0, max: 9 }),
          price: fc.integer({ min: 1, max: 9000 }),
          low: fc.integer({ min: 0, max: 9 }),
          more: fc.integer({ min: 0, max: 9 }),
          most: fc.integer({ min: 0, max: 9 }),
        }),
        { minLength: most.lines * most.suppliers, maxLength: most.lines * most.suppliers },
      ),
    })
    .map(({ lines, suppliers, chance, seeds }) => ({
      lines: lines.map((l, i) => ({ id: `l${i}`, count: l.count, neededBy: dateAfter('2026-01-01', l.days) })),
      suppliers: suppliers.map((s, i) => ({
        id: `s${i}`,
        shipping: s.shipping / 100,
        freeFrom: s.freeFrom === null ? null : s.freeFrom / 100,
      })),
      offers: lines.flatMap((_, l) =>
        suppliers.flatMap((__, s): BuyOffer[] => {
          const seed = seeds[l * most.suppliers + s];
          if (!seed || seed.here > 7) return [];
          const { low, more, most: wide } = seed;
          return [offer(`s${s}`, `l${l}`, seed.price / 100, { low, likely: low + more, high: low + more + wide })];
        }),
      ),
      orderedOn: '2026-01-01',
      chance,
    }));

describe('buying', () => {
  let solve: IntegerSolver;
  before(async () => {
    solve = await integerSolver();
  });
  const buy = (given: BuyCase, others = 0): Bought => buyBy(given, solve, others);

  it('takes one carriage where two would cost more, and goods up to free sending where that pays', () => {
    // North alone 45 + 5; south alone 50, sent free from 50: the same; with north's c at 14, 44 + 5.
    expect(buy(base)).to.deep.include({ total: 50, infeasible: [] });
    const cheaper = { ...base, offers: [...base.offers, offer('north', 'c', 14)] };
    expect(buy(cheaper)).to.deep.include({ total: 49, goods: 44, shipping: 5 });
    expect(buy(cheaper).choice).to.deep.equal({ a: 'north', b: 'north', c: 'north' });
    // A cent under the sum and sending is paid.
    const short = {
      ...base,
      offers: base.offers.map((o) => (o.line === 'c' && o.supplier === 'south' ? { ...o, price: 15.99 } : o)),
    };
    expect(buy({ ...short, offers: short.offers.filter((o) => o.supplier === 'south') })).to.deep.include({
      total: 53.99,
      shipping: 4,
    });
  });

  it('shares lines out so that a dearer offer brings free sending', () => {
    const given: BuyCase = {
      ...base,
      suppliers: [
        { id: 'north', shipping: 0, freeFrom: null },
        { id: 'south', shipping: 9, freeFrom: 40 },
      ],
      offers: [
        offer('south', 'a', 30),
        offer('north', 'b', 9),
        offer('south', 'b', 10),
        offer('north', 'c', 9),
        offer('south', 'c', 14),
      ],
    };
    expect(buy(given)).to.deep.include({ total: 49, goods: 49, shipping: 0 });
    expect(buy(given).choice).to.deep.equal({ a: 'south', b: 'south', c: 'north' });
  });

  it('counts what a supplier asks for all of a line, each priced', () => {
    const three = { ...base, lines: base.lines.map((l) => ({ ...l, count: 3 })) };
    expect(buy(three)).to.deep.include({ goods: 135, shipping: 5, total: 140 });
  });

  it('allows what comes by its day with the wanted chance, and names what nobody sends in time', () => {
    // A triangle from 2 to 10 with its peak at 4: four fifths have come by 10 − √(0.2 · 8 · 6) = 6.902 days.
    const wide = { low: 2, likely: 4, high: 10 };
    expect(daysAt(wide, 0.8)).to.be.closeTo(6.9016, 1e-4);
    expect(daysAt(wide, 0.1)).to.be.closeTo(2 + Math.sqrt(0.1 * 8 * 2), 1e-9);
    const by = (neededBy: string) =>
      buy({ ...base, lines: [{ id: 'a', count: 1, neededBy }], offers: [offer('north', 'a', 1, wide)] });
    expect(by('2026-03-08').infeasible).to.deep.equal([]);
    expect(by('2026-03-07')).to.deep.equal({
      total: 0,
      goods: 0,
      shipping: 0,
      choice: {},
      infeasible: ['a'],
      others: [],
    });
    expect(buy({ ...base, offers: [] }).infeasible).to.deep.equal(['a', 'b', 'c']);
  });

  it('a chance and its days are each other’s inverse', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9 }),
        fc.integer({ min: 0, max: 9 }),
        fc.integer({ min: 1, max: 9 }),
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        (low, more, most, chance) => {
          const d = { low, likely: low + more, high: low + more + most };
          expect(chanceWithin(d, daysAt(d, chance))).to.be.closeTo(chance, 1e-6);
        },
      ),
    );
    expect(daysAt(sure(4), 0.5)).to.equal(4);
    expect(chanceWithin(sure(4), 3.99)).to.equal(0);
    expect(chanceWithin(sure(4), 4)).to.equal(1);
  });

  it('is never dearer than any assignment there is, and keeps every rule', () => {
    const met = counted();
    fc.assert(
      fc.property(caseOf({ lines: 6, suppliers: 4 }), (given) => {
        const found = buy(given, 2);
        const best = plain(given);
        expect(found.total).to.be.closeTo(best ?? 0, 1e-6);
        const allowed = allowedOffers(given);
        for (const line of given.lines) {
          const prices = allowed.get(line.id) as Map<string, number>;
          if (prices.size === 0 && met()) expect(found.infeasible).to.include(line.id);
          else expect(prices.has(found.choice[line.id] as string), line.id).to.equal(true);
        }
        expect(found.goods + found.shipping).to.be.closeTo(found.total, 1e-6);
        // The next ways are by other suppliers, and none is cheaper.
        const sets = [found, ...found.others].map((w) => [...new Set(Object.values(w.choice))].sort().join());
        expect(new Set(sets).size).to.equal(sets.length);
        found.others.reduce((least, w) => {
          expect(w.total).to.be.at.least(least - 1e-6);
          return w.total;
        }, found.total);
      }),
      { numRuns: 60 },
    );
    met.enough();
  });

  it('is refused by path where a case is malformed', () => {
    const fault = (change: object): string[] => {
      const read = readBuyCase({ ...base, ...change });
      return read.ok ? [] : read.problems.map((p) => `${p.path}: ${p.message}`);
    };
    expect(readBuyCase(base)).to.deep.equal({ ok: true, value: base });
    expect(fault({ offers: [offer('west', 'a', 1)] })).to.deep.equal(['offers[0].supplier: no supplier west']);
    expect(fault({ offers: [offer('north', 'z', 1)] })).to.deep.equal(['offers[0].line: no line z']);
    expect(fault({ lines: [...base.lines, base.lines[0]] })[0]).to.match(/^lines\[3\]\.id: a stands twice/);
    expect(fault({ suppliers: [base.suppliers[0], base.suppliers[0]] })[0]).to.match(/^suppliers\[1\]\.id/);
    expect(fault({ chance: 1 })[0]).to.match(/^chance/);
    expect(fault({ orderedOn: 'soon' })[0]).to.match(/^orderedOn/);
    expect(fault({ offers: [offer('north', 'a', 1, { low: 3, likely: 2, high: 5 })] })[0]).to.match(
      /^offers\[0\]\.leadDays/,
    );
    expect(fault({ lines: [{ id: 'a', count: 0, neededBy: '2026-03-11' }] })[0]).to.match(/^lines\[0\]\.count/);
  });
});
