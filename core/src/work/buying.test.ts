import { expect } from 'chai';
import { usualBill, type Bill, type Offer } from '../build/bill.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { world } from '../../test/world.ts';
import type { BillLine } from './bill.ts';
import type { IntegerSolver } from './buy.ts';
import { buyingCase, buyingSheet } from './buying.ts';
import { integerSolver } from './highs.ts';

const { lines } = planChosen(planContext(world({}).build, starterShelf)).parts.bill;
const now = lines.filter((l) => l.wave === 'now');
const supplier = (id: string, change: Partial<Bill['suppliers'][number]> = {}) => ({
  id,
  name: id,
  shipping: 5,
  freeFrom: null,
  lithium: true,
  islands: 10,
  ...change,
});
const offer = (who: string, part: string, price: number, days = 3, stock: number | null = null): Offer => ({
  supplier: who,
  part,
  price,
  stock,
  leadDays: { low: days, likely: days, high: days },
  returnDays: 14,
});
const billWith = (change: Partial<Bill>): Bill => ({ ...usualBill(), ...change });
const all = (who: string, factor: number, days: number): Offer[] =>
  now.map((l) => offer(who, l.part, (l.price ?? 1) * factor, days));

describe('what a bill is bought by', () => {
  let solve: IntegerSolver;
  before(async () => {
    solve = await integerSolver();
  });

  it('asks for what may be ordered now, of those who may send it and have enough', () => {
    const bill = billWith({
      suppliers: [
        supplier('near'),
        supplier('no-batteries', { lithium: false }),
        supplier('mainland', { islands: null }),
      ],
      offers: [
        ...all('near', 1, 2),
        ...all('no-batteries', 0.5, 2),
        ...all('mainland', 0.4, 2),
        offer('near', 'not wanted', 1),
      ],
    });
    const { given, nobody } = buyingCase(lines, bill, '2026-03-01');
    expect(nobody).to.deep.equal([]);
    expect(given.lines.map((l) => l.id)).to.have.members(now.map((l) => l.key));
    expect(given.lines[0]?.neededBy).to.equal('2026-03-22');
    const pack = now.find((l) => l.kind === 'pack')?.key;
    expect(given.offers.filter((o) => o.line === pack).map((o) => o.supplier)).to.have.members(['near', 'mainland']);
    const island = buyingCase(lines, { ...bill, island: true }, '2026-03-01').given;
    expect(island.suppliers.map((s) => [s.id, s.shipping])).to.deep.equal([
      ['near', 15],
      ['no-batteries', 15],
    ]);
    expect(island.offers.some((o) => o.supplier === 'mainland')).to.equal(false);
  });

  it('does not ask for work that others do', () => {
    const lacing = { ...(now[0] as BillLine), key: 'lacing', part: 'lacing', kind: 'service' as const };
    expect(buyingCase([lacing], usualBill(), '2026-03-01')).to.deep.include({ nobody: [] });
  });

  it('one too few in stock is none at all', () => {
    const arm = now.find((l) => l.count > 1) ?? now[0];
    if (!arm) throw new Error('no line');
    const asked = (stock: number) =>
      buyingCase(
        [arm],
        billWith({ suppliers: [supplier('near')], offers: [offer('near', arm.part, 1, 2, stock)] }),
        '2026-03-01',
      ).nobody;
    expect(asked(arm.count)).to.deep.equal([]);
    expect(asked(arm.count - 1)).to.deep.equal([arm.key]);
  });

  it('says what each day sooner costs, and what each supplier saves', () => {
    const bill = billWith({
      neededBy: '2026-03-11',
      suppliers: [supplier('near', { shipping: 3 }), supplier('far', { shipping: 0 })],
      offers: [...all('near', 1, 2), ...all('far', 0.8, 8)],
    });
    const sheet = buyingSheet(lines, bill, '2026-03-01', solve);
    const goods = now.reduce((sum, l) => sum + l.sum, 0);
    expect(sheet.best.total).to.be.closeTo(goods * 0.8, 0.01);
    // Far takes eight days: on the eighth, two days sooner, still; three days sooner near alone, with its carriage.
    expect(sheet.sooner.map((s) => s.total && Math.round(s.total * 100))).to.deep.equal(
      [0.8, 0.8, 1, 1, 1, 1].map((f) => Math.round((goods * f + (f === 1 ? 3 : 0)) * 100)),
    );
    expect(sheet.without).to.have.length(1);
    expect(sheet.without[0]?.dearer).to.be.closeTo(goods * 0.2 + 3, 0.011);
    const tight = buyingSheet(lines, { ...bill, neededBy: '2026-03-04' }, '2026-03-01', solve);
    expect(tight.sooner.map((s) => s.total === null)).to.deep.equal([false, true]);
    const alone = { ...bill, suppliers: bill.suppliers.slice(0, 1), offers: all('near', 1, 2) };
    expect(buyingSheet(lines, alone, '2026-03-01', solve).without[0]?.dearer).to.equal(null);
  });

  it('has nothing to say where nobody is known', () => {
    const sheet = buyingSheet(lines, usualBill(), '2026-03-01', solve);
    expect(sheet.best.choice).to.deep.equal({});
    expect(sheet.nobody).to.have.members(now.map((l) => l.key));
  });
});
