import { expect } from 'chai';
import fc from 'fast-check';
import type { Taking } from '../build/remedy.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { priceOf, remedyFacts, wantedParts, type Want, priceAsPaid } from './wanted.ts';
import { usualLine } from '../build/bill.ts';
import { priceToday } from '../../test/prices.ts';

const want = (taking: Taking, kind: Want['kind'] = 'usual', by = 'rule'): Want => ({ taking, kind, by });
const arm = (count: number, place: Taking['place'] = 'rear axle'): Taking => ({ part: 'torque-arm', count, place });

describe('parts wanted', () => {
  it('two findings that want the same part at one place want it once, as many as the greater asks', () => {
    const [line, ...rest] = wantedParts(starterShelf, [
      want(arm(1), 'usual', 'axle-seat'),
      want(arm(2), 'planned', 'choice'),
      want(arm(1), 'taken', 'axle-stress'),
      want(arm(1), 'usual', 'axle-seat'),
    ]);
    expect(rest).to.deep.equal([]);
    expect(line).to.deep.include({
      part: 'torque-arm',
      count: 2,
      price: priceToday('torque-arm'),
      massKg: 0.14,
      kind: 'planned',
    });
    expect(line?.by).to.deep.equal(['axle-seat', 'choice', 'axle-stress']);
  });

  it('the same part at two places is two', () => {
    const lines = wantedParts(starterShelf, [want(arm(1)), want(arm(1, 'front axle'))]);
    expect(lines.map((l) => l.place)).to.deep.equal(['rear axle', 'front axle']);
    expect(priceOf(lines)).to.equal(2 * priceToday('torque-arm'));
  });

  it('a price of its own wins over the shelf’s; what nobody sells has none and counts nothing', () => {
    const lines = wantedParts(starterShelf, [
      want({ part: 'bore-adapter', count: 1, place: 'bracket', price: 44 }),
      want({ part: 'no-such-part', count: 3, place: 'frame' }),
    ]);
    expect(lines.map((l) => [l.name, l.price])).to.deep.equal([
      ['Bracket bore adapter', 44],
      ['no-such-part', null],
    ]);
    expect(priceOf(lines)).to.equal(44);
  });

  it('hired, a tool costs its day; what has no hire costs itself; a price of one’s own wins', () => {
    const hired = { ...usualLine, from: 'hire' as const };
    expect(priceAsPaid(hired, 45, 6)).to.equal(6);
    expect(priceAsPaid(hired, 45)).to.equal(45);
    expect(priceAsPaid({ ...hired, price: 4 }, 45, 6)).to.equal(4);
    expect(priceAsPaid({ ...usualLine, from: 'borrow' }, 45, 6)).to.equal(0);
    expect(priceAsPaid(undefined, 45, 6)).to.equal(45);
  });

  it('prices by kind add up to the whole', () => {
    const kinds = ['chosen', 'planned', 'taken', 'usual', 'mending'] as const;
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            part: fc.constantFrom(...starterShelf.fitting.map((f) => f.id)),
            kind: fc.constantFrom(...kinds),
            count: fc.integer({ min: 1, max: 4 }),
          }),
        ),
        (rows) => {
          const lines = wantedParts(
            starterShelf,
            rows.map((r) => want({ part: r.part, count: r.count, place: 'frame' }, r.kind)),
          );
          expect(kinds.reduce((sum, k) => sum + priceOf(lines, k), 0)).to.be.closeTo(priceOf(lines), 1e-9);
          expect(new Set(lines.map((l) => l.part)).size).to.equal(lines.length);
          for (const l of lines)
            expect(l.count).to.equal(Math.max(...rows.filter((r) => r.part === l.part).map((r) => r.count)));
        },
      ),
    );
  });

  it('the firmest wish names the line, whichever comes first', () => {
    for (const [first, second, named] of [
      ['usual', 'chosen', 'chosen'],
      ['chosen', 'usual', 'chosen'],
      ['taken', 'planned', 'planned'],
      ['usual', 'mending', 'mending'],
      ['mending', 'taken', 'taken'],
    ] as const)
      expect(wantedParts(starterShelf, [want(arm(1), first), want(arm(1), second)])[0]?.kind).to.equal(named);
  });

  it('says of a remedy what it costs, takes and wants', () => {
    expect(
      remedyFacts(
        { takes: [arm(2), { part: 'touch-up-paint', count: 1, place: 'frame' }], work: 40, tools: ['flat-file'] },
        starterShelf,
      ),
    ).to.deep.equal({
      price: 2 * priceToday('torque-arm') + priceToday('touch-up-paint'),
      minutes: 40,
      parts: ['2 × Torque arm, 4 mm steel', 'Touch-up paint and brush'],
      tools: ['Flat file, fine'],
    });
  });
});
