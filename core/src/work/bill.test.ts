import { expect } from 'chai';
import { lineStates, usualLine, type LineChoice, type LineState } from '../build/bill.ts';
import type { Build } from '../build/build.ts';
import { ruleById } from '../fit/judge.ts';
import { mates } from '../parts/leads.ts';
import { partById } from '../parts/part.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { demoBuild } from '../../test/demoBuild.ts';
import { manyBuilds } from '../../test/manyBuilds.ts';
import { world } from '../../test/world.ts';
import { doingsOf } from './steps/steps.ts';
import { leftOverOf } from './bill.ts';
import { chargerFor } from '../pack/charger.ts';
import { invoiceOf, quotationOf } from './quotation.ts';
import { counted } from '../../test/counted.ts';

const planOf = (build: Build) => planChosen(planContext(build, starterShelf));
const line = (change: Partial<LineChoice>): LineChoice => ({ ...usualLine, ...change });
const demos = ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'] as const;

describe('the bill', () => {
  it('is the tally’s own lines: to the cent the same, none twice, each with who wants it', () => {
    for (const name of demos) {
      const {
        parts: { bill },
        money,
      } = planOf(demoBuild(name));
      expect(bill.sums.wanted, name).to.be.closeTo(money.conversion, 1e-9);
      expect(bill.lines.length, name).to.equal(money.lines.length);
      expect(new Set(bill.lines.map((l) => l.key)).size, name).to.equal(bill.lines.length);
      for (const l of bill.lines) {
        expect(l.by, l.key).not.to.deep.equal([]);
        if (l.wave === 'held')
          expect(
            l.held.every((h) => ruleById(h.rule)?.fitCritical),
            l.key,
          ).to.equal(true);
      }
    }
  });

  it('on any donor every fix is a line with price and mass and a step or minutes of its own; none twice', () => {
    for (const build of [...demos.map(demoBuild), ...manyBuilds()]) {
      const plan = planOf(build);
      const name = `${build.donor.kind} ${build.choice.kitId ?? ''}`;
      const keys = plan.parts.bill.lines.map((l) => l.key);
      expect(new Set(keys).size, name).to.equal(keys.length);
      const wished = plan.parts.bill.lines.map((l) => `${l.part}@${l.place ?? ''}`);
      expect(new Set(wished).size, name).to.equal(wished.length);
      for (const { finding, remedy } of doingsOf(build, plan.findings)) {
        for (const taking of remedy.takes) {
          const line = plan.parts.bill.lines.find((l) => l.part === taking.part && l.place === taking.place);
          expect(line?.price, `${name} ${finding.rule} ${taking.part}`).to.be.a('number');
          expect(line?.count, `${name} ${finding.rule} ${taking.part}`).to.be.at.least(taking.count);
          expect(line?.massKg, `${name} ${finding.rule} ${taking.part}`).to.be.at.least(0);
          expect(line?.by, `${name} ${finding.rule} ${taking.part}`).to.include(finding.rule);
        }
        expect(remedy.work, `${name} ${finding.rule}`).to.be.at.least(0);
      }
      expect(plan.parts.bill.sums.wanted, name).to.be.closeTo(plan.money.conversion, 1e-9);
      expect(plan.figures.find((f) => f.id === 'price')?.value?.si, name).to.be.closeTo(plan.money.conversion, 1e-9);
    }
  });

  it('what is had, kept or borrowed costs nothing, a price of one’s own counts, in bill and tally alike', () => {
    const { build } = world({ pack: 'loaf-36-17' });
    const before = planOf(build);
    const charger = before.parts.bill.lines.find((l) => l.kind === 'charger');
    expect(charger?.price).to.be.greaterThan(0);
    build.bill.lines['loaf-36-17'] = line({ from: 'have' });
    build.bill.lines['otter-r250'] = line({ price: 100.25 });
    const after = planOf(build);
    const priceOf = (id: string): number => partById(starterShelf, id)?.price ?? 0;
    const less = priceOf('loaf-36-17') + priceOf('otter-r250') - 100.25;
    expect(before.money.conversion - after.money.conversion).to.be.closeTo(less, 1e-9);
    expect(after.parts.bill.sums.wanted).to.be.closeTo(after.money.conversion, 1e-9);
    expect(after.figures.find((f) => f.id === 'price')?.value?.si).to.be.closeTo(after.money.conversion, 1e-9);
  });

  it('changing the kit after parts have come loses no state, and says what is over', () => {
    const { build } = world({});
    build.bill.lines['otter-r250'] = line({ state: 'arrived', arrivedOn: '2026-03-01', name: 'Otter' });
    build.bill.lines['torque-arm@rear axle'] = line({ state: 'fitted', name: 'Arm' });
    build.bill.lines['kettle-36-13'] = line({ state: 'ordered' });
    const first = planOf(build).parts.bill;
    expect(first.lines.filter((l) => l.why === 'notWanted').map((l) => l.key)).to.deep.equal([]);
    build.choice.kitId = 'wren-m250';
    const {
      parts: { bill },
    } = planOf(build);
    const over = bill.lines.filter((l) => l.why === 'notWanted');
    expect(over.map((l) => [l.key, l.name, l.state, l.leftOver])).to.deep.equal([
      ['otter-r250', 'Otter', 'arrived', 'spare'],
      ['torque-arm@rear axle', 'Arm', 'fitted', 'spare'],
    ]);
    expect(bill.lines.find((l) => l.key === 'kettle-36-13')?.state).to.equal('ordered');
    // What is over is paid for, and is not in what the plan costs.
    expect(bill.sums.spent).to.be.greaterThan(0);
    expect(bill.sums.wanted).to.be.closeTo(planOf(build).money.conversion, 1e-9);
    // Back again, they are as they were.
    build.choice.kitId = 'otter-r250';
    expect(planOf(build).parts.bill).to.deep.equal(first);
  });

  it('every state is counted once: to come, on its way, or here', () => {
    const { build } = world({});
    const paid: Record<string, LineState[]> = { toCome: [], committed: [], spent: [], none: [] };
    for (const state of lineStates) {
      build.bill.lines['kettle-36-13'] = line({ state, soldFor: 10 });
      const { sums, lines } = planOf(build).parts.bill;
      const pack = lines.find((l) => l.key === 'kettle-36-13')?.sum ?? 0;
      const rest = sums.wanted - pack;
      const where = sums.spent > 0 ? 'spent' : sums.committed > 0 ? 'committed' : 'toCome';
      (paid[where] as LineState[]).push(state);
      expect(sums[where as 'spent'], state).to.be.closeTo(where === 'toCome' ? rest + pack : pack, 1e-9);
      expect(sums.sold, state).to.equal(state === 'sold' ? 10 : 0);
    }
    expect(paid).to.deep.equal({
      toCome: ['wanted', 'returned'],
      committed: ['ordered', 'promised'],
      spent: ['arrived', 'checked', 'fitted', 'faulty', 'spare', 'forSale', 'sold'],
      none: [],
    });
  });

  it('sent back and still wanted it may be ordered again; left over it goes back until its day', () => {
    const { build } = world({});
    build.bill.lines['kettle-36-13'] = line({ state: 'returned' });
    expect(planOf(build).parts.bill.lines.find((l) => l.key === 'kettle-36-13')?.wave).to.equal('now');
    const come = line({ state: 'arrived', arrivedOn: '2026-03-01', returnBy: '2026-03-15' });
    expect(leftOverOf(come, '2026-03-15')).to.equal('sendBack');
    expect(leftOverOf(come, '2026-03-16')).to.equal('spare');
    expect(leftOverOf(come, null)).to.equal('spare');
    expect(leftOverOf(line({ state: 'sold' }), '2026-03-01')).to.equal(null);
  });

  it('a line is held while what must fit is unmeasured, and only while it is wanted', () => {
    const { build } = world({ survey: { rearDropoutSpacing: '' } });
    const held = () => planOf(build).parts.bill.lines.find((l) => l.key === 'otter-r250');
    expect(held()?.wave).to.equal('held');
    expect(held()?.held.length).to.be.greaterThan(0);
    build.bill.lines['otter-r250'] = line({ state: 'ordered', reason: 'The shop measured it' });
    expect(held()).to.deep.include({ wave: 'past', held: [] });
  });

  it('small parts and tools to choose from: more than 120, each with a price', () => {
    const small = [...starterShelf.fitting, ...starterShelf.consumable, ...starterShelf.tool];
    expect(small.length).to.be.at.least(120);
    for (const part of small) expect(part.price, part.id).to.be.greaterThan(0);
  });
});

describe('a charger', () => {
  it('is of the pack’s chemistry and cells, by its plug; none where the pack brings one', () => {
    const met = counted(3);
    for (const pack of starterShelf.pack) {
      const found = chargerFor(pack, starterShelf);
      if (pack.withCharger && met(0)) expect(found, pack.id).to.equal(null);
      else {
        expect(found, pack.id).to.include({ chemistry: pack.chemistry, series: pack.series });
        if (pack.charge && found && met(1)) expect(mates(found.plug, pack.charge.plug), pack.id).to.equal(true);
      }
    }
    expect(starterShelf.pack.some((p) => p.withCharger)).to.equal(true);
    const [pack] = starterShelf.pack;
    if (pack && met(2)) expect(chargerFor({ ...pack, withCharger: false, series: 9 }, starterShelf)).to.equal(null);
    met.enough();
  });
});

describe('a quotation', () => {
  it('adds up as printed: parts, hours, tax, deposit', () => {
    const {
      parts: { bill },
    } = planOf(demoBuild('mixte'));
    const shop = { name: 'Shop', hour: 45, deposit: 0.3, tax: 0.2, invoice: null };
    const sheet = quotationOf(bill, 125, shop);
    // 125 min are 2.1 h to the tenth: 94.50.
    expect([sheet.hours, sheet.work]).to.deep.equal([2.1, 94.5]);
    const goods = sheet.parts.reduce((sum, l) => sum + l.sum, 0);
    expect(sheet.net).to.be.closeTo(goods + 94.5, 1e-9);
    expect(sheet.tax).to.be.closeTo(Math.round(sheet.net * 20) / 100, 1e-9);
    expect(sheet.total).to.be.closeTo(sheet.net + sheet.tax, 1e-9);
    expect(sheet.deposit).to.be.closeTo(Math.round(sheet.total * 30) / 100, 1e-9);
  });

  it('tools stay the shop’s own, bought or hired', () => {
    const { build } = world({});
    const shop = { name: '', hour: 40, deposit: 0.3, tax: 0.25, invoice: null };
    const before = quotationOf(planOf(build).parts.bill, 60, shop).net;
    build.bill.lines['big-torque-wrench@bench'] = line({});
    expect(planOf(build).parts.bill.lines.some((l) => l.kind === 'tool')).to.equal(true);
    expect(quotationOf(planOf(build).parts.bill, 60, shop).net).to.equal(before);
  });

  it('an invoice asks for what is here or fitted and the hours as worked, less what was paid', () => {
    const { build } = world({});
    const shop = { name: '', hour: 40, deposit: 0.3, tax: 0.25, invoice: null };
    expect(invoiceOf(planOf(build).parts.bill, shop)).to.equal(null);
    build.bill.lines['otter-r250'] = line({ state: 'fitted', price: 300 });
    build.bill.lines['kettle-36-13'] = line({ state: 'arrived', price: 280.5 });
    build.bill.lines['torque-arm@rear axle'] = line({ state: 'ordered' });
    build.bill.lines['wren-m250'] = line({ state: 'arrived', price: 99 });
    const sheet = invoiceOf(planOf(build).parts.bill, {
      ...shop,
      invoice: { number: '7', on: '2026-04-01', hours: 3.5, paid: 200 },
    });
    expect(sheet?.parts.map((l) => l.key)).to.deep.equal(['otter-r250', 'kettle-36-13']);
    expect(sheet?.net).to.equal(300 + 280.5 + 140);
    expect(sheet?.total).to.be.closeTo(720.5 * 1.25, 0.005);
    expect(sheet?.due).to.be.closeTo(720.5 * 1.25 - 200, 0.01);
  });
});
