import { expect } from 'chai';
import { usualBill, usualLine, type Bill } from '../build/bill.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { world } from '../../test/world.ts';
import type { BillLine } from './bill.ts';
import { orderFrom, purchaseOrders, putLine, remindersOf } from './lineMoves.ts';

const { lines } = planChosen(planContext(world({}).build, starterShelf)).parts.bill;
const pack = lines.find((l) => l.key === 'kettle-36-13') as BillLine;
const bill: Bill = {
  ...usualBill(),
  suppliers: [{ id: 'quay', name: 'The Quay', shipping: 6, freeFrom: 300, lithium: true, islands: 9 }],
  offers: [
    {
      supplier: 'quay',
      part: 'kettle-36-13',
      price: 299.5,
      stock: 2,
      leadDays: { low: 1, likely: 3, high: 6 },
      returnDays: 14,
    },
  ],
};
const at = (line: BillLine, change: Partial<BillLine['choice']>): BillLine => {
  const choice = { ...line.choice, ...change };
  return { ...line, choice, state: choice.state, price: choice.price ?? line.price, sum: choice.price ?? line.sum };
};

describe('a line on its way through the states', () => {
  it('ordered by an offer: its price, its day, the day it should come; come, the day it may go back until', () => {
    const change = orderFrom(pack, bill, 'quay', '2026-03-01');
    expect(change).to.deep.include({
      state: 'ordered',
      supplier: 'quay',
      price: 299.5,
      orderedOn: '2026-03-01',
      promisedOn: '2026-03-04',
      name: pack.name,
      count: 1,
    });
    const ordered = at(pack, change);
    const come = putLine(ordered, bill, 'arrived', '2026-03-05');
    expect(come).to.deep.include({ arrivedOn: '2026-03-05', returnBy: '2026-03-19' });
    expect(putLine(at(ordered, come), bill, 'arrived', '2026-03-09').arrivedOn).to.equal('2026-03-05');
    expect(putLine(at(ordered, come), bill, 'checked', '2026-03-09')).to.deep.equal({
      state: 'checked',
      name: pack.name,
      count: 1,
    });
    expect(putLine(at(ordered, come), bill, 'wanted', '2026-03-09')).to.deep.include({
      orderedOn: null,
      arrivedOn: null,
      returnBy: null,
    });
    // Sent back and ordered again, it begins its days anew.
    const back = at(at(ordered, come), { state: 'returned' });
    expect(putLine(back, bill, 'ordered', '2026-03-10')).to.deep.include({
      orderedOn: '2026-03-10',
      promisedOn: '2026-03-13',
      arrivedOn: null,
      returnBy: null,
    });
    // Where nobody takes anything back there is no such day.
    const none = { ...bill, offers: bill.offers.map((o) => ({ ...o, returnDays: 0 })) };
    expect(putLine(ordered, none, 'arrived', '2026-03-05').returnBy).to.equal(null);
  });

  it('is on its supplier’s order until it has come; carriage is free from the sum', () => {
    const ordered = at(pack, orderFrom(pack, bill, 'quay', '2026-03-01'));
    expect(purchaseOrders([ordered], bill)).to.deep.include({
      supplier: 'quay',
      name: 'The Quay',
      lines: [ordered],
      goods: 299.5,
      shipping: 6,
      total: 305.5,
    });
    const exact = at(ordered, { price: 300 });
    expect(purchaseOrders([exact], bill)[0]?.shipping).to.equal(0);
    expect(purchaseOrders([ordered], { ...bill, island: true })[0]?.shipping).to.equal(15);
    expect(purchaseOrders([at(ordered, { state: 'arrived' })], bill)).to.deep.equal([]);
  });

  it('is in the calendar while there is something to be reminded of', () => {
    const ordered = at(pack, orderFrom(pack, bill, 'quay', '2026-03-01'));
    const come = at(ordered, putLine(ordered, bill, 'arrived', '2026-03-05'));
    expect(remindersOf([ordered]).map((r) => [r.on, r.what])).to.deep.equal([
      ['2026-03-04', `${pack.name} should come`],
    ]);
    expect(remindersOf([come]).map((r) => [r.on, r.what])).to.deep.equal([
      ['2026-03-19', `Last day to send back ${pack.name}`],
    ]);
    expect(remindersOf([at(come, { state: 'fitted' }), { ...pack, choice: usualLine }])).to.deep.equal([]);
  });
});
