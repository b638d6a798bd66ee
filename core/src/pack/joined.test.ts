import { expect } from 'chai';
import type { Member, WiringChoice } from '../build/wiring.ts';
import { moneyOf } from '../plan/money.ts';
import type { Pack } from '../parts/pack.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { contextOf, world } from '../../test/world.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { nominalVolts, nominalWh } from './battery.ts';
import { asJoined, cellsInRow, joinedBeyond, joinedHere, joinedOf, packsJoined, usualMembers } from './joined.ts';

const block: Member = {
  name: 'Block',
  chemistry: 'lead',
  volts: 12,
  ampHours: 18,
  amps: 30,
  ageYears: 1,
  restV: 12.7,
  series: 6,
};
const slab: Member = {
  ...block,
  name: 'Slab',
  chemistry: 'nmc',
  volts: 46.8,
  ampHours: 14,
  amps: 25,
  restV: 53,
  series: 13,
};
const join = (
  members: Member[],
  how: 'series' | 'parallel' = 'series',
  by: NonNullable<WiringChoice['packs']>['by'] = 'wires',
  pack: Pack | null = null,
) => joinedOf({ join: how, by, of: null, members }, pack);
const own = (id: string, change: Partial<Pack> = {}): Pack => {
  const found = starterShelf.pack.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return { ...found, ...change };
};
const jointed = own('kettle-48-14', { parallelJoint: true });

describe('joined packs', () => {
  it('four blocks of 12 V in a trailer: volts add, amp-hours and amps stay the least', () => {
    const four = join([block, block, block, { ...block, ampHours: 17.5, amps: 28 }]);
    expect(four).to.deep.include({ allowed: 'yes', volts: 48, ampHours: 17.5, amps: 28, energyWh: 840, reasons: [] });
  });

  it('in a row all must be alike in kind, age, charge and size', () => {
    const odd = (change: Partial<Member>) => join([block, block, block, { ...block, ...change }]);
    expect(odd({ restV: 12.8 }).allowed).to.equal('yes');
    expect(odd({ restV: 12.81 }).allowed).to.equal('no');
    expect(odd({ restV: 12.81 }).reasons.join()).to.match(/too far apart/);
    expect(odd({ ageYears: 1.5 }).allowed).to.equal('yes');
    expect(odd({ ageYears: 1.51 }).reasons.join()).to.match(/oldest/);
    expect(odd({ chemistry: 'lfp' }).reasons.join()).to.match(/chemistries/);
    expect(odd({ ampHours: 17.1 }).allowed).to.equal('yes');
    expect(odd({ ampHours: 17 }).reasons.join()).to.match(/amp-hours/);
    expect(odd({ restV: null })).to.deep.include({ allowed: 'measure', reasons: ['the volts each rests at'] });
    expect(odd({ ageYears: null }).allowed).to.equal('measure');
    // What is wrong is said before what is not known.
    expect(odd({ ageYears: null, chemistry: 'lfp' }).allowed).to.equal('no');
  });

  it('side by side only through the maker’s joint or diodes, at like volts', () => {
    expect(join([slab, slab], 'parallel').allowed).to.equal('no');
    expect(join([slab, slab], 'parallel').reasons.join()).to.match(/without limit/);
    for (const by of ['makersJoint', 'diodes'] as const) {
      const two = join([slab, { ...slab, amps: 20 }], 'parallel', by, jointed);
      expect(two).to.deep.include({ allowed: 'yes', ampHours: 28, amps: 40 });
      expect(two.volts).to.be.closeTo(46.8, 1e-9);
    }
    expect(join([slab, { ...slab, volts: 36, restV: 41 }], 'parallel', 'diodes').reasons.join()).to.match(
      /different volts/,
    );
    // A cell of lithium may rest 0.1 V from another: 1.3 V over thirteen.
    expect(join([slab, { ...slab, restV: 54.29 }], 'parallel', 'makersJoint', jointed).allowed).to.equal('yes');
    expect(join([slab, { ...slab, restV: 54.32 }], 'parallel', 'makersJoint', jointed).allowed).to.equal('no');
    // A diode each lets none feed another, however far apart they rest.
    expect(join([slab, { ...slab, restV: 54.6 }], 'parallel', 'diodes').allowed).to.equal('yes');
  });

  it('a maker’s joint counts only where the battery’s data says it has one', () => {
    const by = (pack: Pack | null) => join([slab, slab], 'parallel', 'makersJoint', pack);
    expect(by(jointed).allowed).to.equal('yes');
    expect(by(own('kettle-48-14', { parallelJoint: false })).reasons.join()).to.match(/no maker’s joint/);
    expect(by(null).allowed).to.equal('no');
    expect(join([block, block], 'parallel', 'diodes', jointed).reasons.join()).to.match(/another chemistry/);
  });

  it('starts from a pack’s own blocks, else from two of its kind; cells in a row follow the volts', () => {
    const crate = own('crate-48-26');
    const kettle = own('kettle-48-14');
    expect(usualMembers(kettle)).to.deep.include({ join: 'parallel', of: kettle.id });
    expect(usualMembers(kettle).members.map((m) => [m.volts, m.series])).to.deep.equal([
      [nominalVolts(kettle), 13],
      [nominalVolts(kettle), 13],
    ]);
    const blocks = own('ballast-48-18-pb');
    expect(usualMembers(blocks).members.map((m) => m.series)).to.deep.equal([6, 6, 6, 6]);
    expect(usualMembers(blocks).join).to.equal('series');
    expect(usualMembers(crate).by).to.equal(crate.parallelJoint ? 'makersJoint' : 'wires');
    expect(usualMembers(null).of).to.equal(null);
    expect([cellsInRow(48, 'nmc'), cellsInRow(52, 'nmc'), cellsInRow(36, 'nmc'), cellsInRow(12, 'lead')]).to.deep.equal(
      [13, 14, 10, 6],
    );
    expect(cellsInRow(1, 'nmc')).to.equal(1);
  });

  it('makes one vehicle: what is joined is what the plan rides, carries and is charged for', () => {
    const kettle = own('kettle-48-14', { parallelJoint: true });
    const two = usualMembers(kettle);
    const whole = asJoined(kettle, two);
    expect(nominalWh(whole)).to.be.closeTo(2 * nominalWh(kettle), 1e-6);
    expect(whole.massKg).to.be.closeTo(2 * kettle.massKg, 1e-9);
    expect(whole).to.include({ series: 13, parallel: 2 * kettle.parallel, boardA: 2 * (kettle.boardA ?? 0) });
    expect(joinedBeyond(kettle, joinedOf(two, kettle))).to.be.closeTo(1, 1e-9);
    // Its own blocks come to the very pack.
    const blocks = own('ballast-48-18-pb');
    const same = asJoined(blocks, usualMembers(blocks));
    expect(same.series).to.equal(24);
    expect(same.massKg).to.be.closeTo(blocks.massKg, 1e-9);
    expect(nominalWh(same)).to.be.closeTo(nominalWh(blocks), 1e-6);
    expect(packsJoined(blocks, usualMembers(blocks))).to.equal(1);
    // What nobody knew of one board is not known of two.
    expect(asJoined({ ...kettle, boardA: null }, two).boardA).to.equal(null);

    const w = world({ kit: 'heron-d1000', pack: 'kettle-48-14' });
    const cost = (c: PlanContext) => moneyOf(c, []).money.lines.find((l) => l.part === 'kettle-48-14');
    const alone = contextOf(w);
    expect(cost(alone)?.count).to.equal(1);
    w.build.wiring.packs = { ...two, by: 'diodes' };
    const joined = contextOf(w);
    expect(joined.pack?.massKg).to.be.closeTo((alone.pack?.massKg ?? 0) * 2, 1e-9);
    expect(joined.systemMassKg - alone.systemMassKg).to.be.closeTo(alone.pack?.massKg ?? 0, 1e-6);
    const far = (c: typeof alone) => c.reckoning?.toEmpty.distanceM ?? 0;
    expect(far(joined)).to.be.within(far(alone) * 1.7, far(alone) * 2.3);
    expect(cost(joined)?.count).to.equal(2);
    // Written down for another battery, they count no more.
    w.build.wiring.packs = { ...two, of: 'another' };
    expect(contextOf(w).pack?.massKg).to.equal(alone.pack?.massKg);
    expect(joinedHere(w.build.wiring.packs, 'kettle-48-14')).to.equal(null);
  });
});
