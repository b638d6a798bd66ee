import { expect } from 'chai';
import { usualBill, usualLine, type Bill, type LineChoice } from '../build/bill.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { world } from '../../test/world.ts';
import type { BillLine } from './bill.ts';
import { carriageOf, wholeCost } from './wholeCost.ts';

const line = (sum: number, choice: Partial<LineChoice> = {}, more: Partial<BillLine> = {}): BillLine => ({
  key: `k${sum}`,
  part: 'p',
  name: 'P',
  maker: '',
  kind: 'fitting',
  place: null,
  count: 1,
  price: sum,
  sum,
  massKg: 0,
  by: ['x'],
  why: 'chosen',
  stage: 'drive',
  state: choice.state ?? 'wanted',
  from: choice.from ?? 'order',
  wave: 'now',
  held: [],
  leftOver: null,
  choice: { ...usualLine, ...choice },
  ...more,
});
const from = (supplier: string, orderedOn: string, sum: number, state: LineChoice['state'] = 'ordered'): BillLine =>
  line(sum, { supplier, orderedOn, state });
const bill = (change: Partial<Bill> = {}): Bill => ({
  ...usualBill(),
  suppliers: [
    { id: 's 1', name: 'S', shipping: 5, freeFrom: 50, lithium: true, islands: 7 },
    { id: 't', name: 'T', shipping: 3, freeFrom: null, lithium: true, islands: null },
  ],
  ...change,
});

describe('carriage', () => {
  it('is paid an order, by supplier and day, and is free from the sum on', () => {
    expect(carriageOf([], bill())).to.equal(0);
    expect(carriageOf([line(20), line(20, { from: 'have', supplier: 't', state: 'arrived' })], bill())).to.equal(0);
    expect(carriageOf([from('s 1', '2026-03-01', 20), from('s 1', '2026-03-01', 29.99)], bill())).to.equal(5);
    expect(carriageOf([from('s 1', '2026-03-01', 20), from('s 1', '2026-03-01', 30)], bill())).to.equal(0);
    expect(carriageOf([from('s 1', '2026-03-01', 20), from('s 1', '2026-03-02', 30)], bill())).to.equal(10);
    expect(carriageOf([from('t', '2026-03-01', 900, 'fitted'), from('gone', '2026-03-01', 9)], bill())).to.equal(3);
    // What was sent back came all the same.
    expect(carriageOf([from('t', '2026-03-01', 9, 'returned')], bill())).to.equal(3);
  });

  it('to an island takes what that adds, where the supplier sends there', () => {
    const lines = [from('s 1', '2026-03-01', 20), from('t', '2026-03-01', 20)];
    expect(carriageOf(lines, bill({ island: true }))).to.equal(5 + 7 + 3);
  });
});

describe('what a conversion comes to', () => {
  it('adds up: parts, tools, carriage, donor, less what was sold', () => {
    const cost = wholeCost(
      [
        line(100),
        line(40, {}, { why: 'bench' }),
        from('t', '2026-03-01', 60),
        line(30, { state: 'sold', soldFor: 12.5 }, { why: 'notWanted' }),
        line(25, { state: 'returned' }, { why: 'notWanted' }),
      ],
      bill(),
      80,
      null,
    );
    expect(Object.fromEntries(cost.rows.map((r) => [r.id, r.sum]))).to.deep.equal({
      parts: 190,
      bench: 40,
      carriage: 3,
      donor: 80,
      sold: -12.5,
    });
    expect(cost.total).to.equal(300.5);
    expect(cost.withoutCarriage).to.equal(2);
    expect(cost.perKm).to.equal(null);
    expect(cost.readyMade).to.equal(null);
  });

  it('a kilometre: what is not got back, the wall’s energy, the battery’s wear, service', () => {
    const use = { kmAYear: 2000, years: 5, resale: 0.2, kWh: 0.3, service: 15 };
    const { perKm } = wholeCost([line(1000)], bill({ use }), 0, { whPerKm: 9, charged: 0.9, batteryPerKm: 0.05 });
    expect(perKm?.km).to.equal(10_000);
    expect(perKm?.buying).to.be.closeTo(0.08, 1e-12);
    expect(perKm?.energy).to.be.closeTo(0.003, 1e-12);
    expect(perKm?.service).to.be.closeTo(0.015, 1e-12);
    expect(perKm?.total).to.be.closeTo(0.148, 1e-12);
    const none = wholeCost([line(1000)], bill({ use: { ...use, kmAYear: 0 } }), 0, {
      whPerKm: 9,
      charged: 0.9,
      batteryPerKm: 0,
    });
    expect(none.perKm).to.equal(null);
  });

  it('against a ready-made: less or more now, and where it turns', () => {
    const riding = { whPerKm: 9, charged: 0.9, batteryPerKm: 0.05 };
    const use = { kmAYear: 2000, years: 5, resale: 0.2, kWh: 0.3, service: 15 };
    const held = (sale: number, perKm: number | null) =>
      wholeCost([line(1000)], bill({ use, readyMade: { list: sale + 500, sale, perKm } }), 0, riding).readyMade;
    // 6.8 cents a kilometre to run it against 4.8: the 200 saved are gone after 10 000 km.
    const cheaper = held(1200, 0.048);
    expect([cheaper?.lessThanSale, cheaper?.lessThanList]).to.deep.equal([200, 700]);
    expect(cheaper?.turnsAtKm).to.be.closeTo(10_000, 1e-6);
    // Cheaper to buy and to run, or dearer in both: it never turns.
    expect(held(1200, 0.08)?.turnsAtKm).to.equal(null);
    expect(held(900, 0.048)?.turnsAtKm).to.equal(null);
    expect(held(900, 0.078)?.turnsAtKm).to.be.closeTo(10_000, 1e-6);
    expect(held(1200, 0.068)?.turnsAtKm).to.equal(null);
    expect(held(1200, null)?.turnsAtKm).to.equal(null);
  });

  it('is the plan’s own: the tally’s price and the donor’s, with a ride’s energy and the battery’s wear', () => {
    const { build } = world({});
    build.donor.worth.donorPrice = 120;
    const plan = planChosen(planContext(build, starterShelf));
    expect(plan.parts.cost.total).to.be.closeTo(plan.money.conversion + 120, 1e-9);
    const whPerKm = planContext(build, starterShelf).reckoning?.toEmpty.whPerKm ?? 0;
    expect(plan.parts.cost.perKm?.energy).to.be.closeTo((whPerKm / 1000 / 0.9) * 0.3, 1e-12);
    build.choice.packId = null;
    expect(planChosen(planContext(build, starterShelf)).parts.cost.perKm).to.equal(null);
  });
});
