import { expect } from 'chai';
import type { Member, WiringChoice } from '../build/wiring.ts';
import { joinedOf } from './joined.ts';

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
) => joinedOf({ join: how, by, members });

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
      const two = join([slab, { ...slab, amps: 20 }], 'parallel', by);
      expect(two).to.deep.include({ allowed: 'yes', volts: 46.8, ampHours: 28, amps: 40 });
    }
    expect(join([slab, { ...slab, volts: 36, restV: 41 }], 'parallel', 'diodes').reasons.join()).to.match(
      /different volts/,
    );
    // A cell of lithium may rest 0.1 V from another: 1.3 V over thirteen.
    expect(join([slab, { ...slab, restV: 54.29 }], 'parallel', 'diodes').allowed).to.equal('yes');
    expect(join([slab, { ...slab, restV: 54.32 }], 'parallel', 'diodes').allowed).to.equal('no');
  });
});
