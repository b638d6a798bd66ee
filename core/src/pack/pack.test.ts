import { expect } from 'chai';
import { packNamed, kitNamed } from '../../test/world.ts';
import {
  ampsForWatts,
  capacityAh,
  cellVolts,
  coldFactor,
  countedAmps,
  chargerVolts,
  fullVolts,
  nominalVolts,
  nominalWh,
  packOhm,
  packVolts,
  resistanceFactor,
} from './battery.ts';
import { packLife } from './life.ts';
import { voltsStanding, voltsSuit } from './volts.ts';

const model = (chemistry: 'nmc' | 'lfp' | 'lead') => ({
  chemistry,
  series: 10,
  parallel: 4,
  cellAh: 3.2,
  cellOhm: 0.032,
  leadOhm: 0.02,
  cutoffVPerCell: 3,
  usable: 0.95,
  health: 0.9,
});

describe('cells and packs', () => {
  it('rest volts stand on the table, straight between, and hold at the ends', () => {
    expect(cellVolts('nmc', 0.5)).to.equal(3.71);
    expect(cellVolts('nmc', 0.55)).to.be.closeTo((3.71 + 3.78) / 2, 1e-12);
    expect(cellVolts('nmc', -1)).to.equal(3);
    expect(cellVolts('nmc', 2)).to.equal(4.18);
    expect(cellVolts('lfp', 0.1)).to.equal(3.15);
    expect(cellVolts('lead', 1)).to.equal(2.13);
    expect(packVolts(model('nmc'), 1)).to.be.closeTo(41.8, 1e-12);
  });

  it('resistance: lithium rises below a tenth to half as much again, lead all the way', () => {
    expect(resistanceFactor('nmc', 1)).to.equal(1);
    expect(resistanceFactor('nmc', 0.1)).to.equal(1);
    expect(resistanceFactor('nmc', 0.05)).to.be.closeTo(1.25, 1e-12);
    expect(resistanceFactor('nmc', 0)).to.equal(1.5);
    expect(resistanceFactor('nmc', -0.2)).to.equal(1.5);
    expect(resistanceFactor('lead', 0.4)).to.be.closeTo(1.9, 1e-12);
    // 10/4 of 32 mΩ and 20 mΩ of leads.
    expect(packOhm(model('nmc'), 1)).to.be.closeTo(0.1, 1e-12);
  });

  it('cold takes capacity by the table, health by its share', () => {
    expect(coldFactor('nmc', 10)).to.equal(0.95);
    expect(coldFactor('nmc', 5)).to.be.closeTo(0.915, 1e-12);
    expect(coldFactor('nmc', -30)).to.equal(0.7);
    expect(coldFactor('nmc', 40)).to.equal(1);
    expect(coldFactor('lead', -20)).to.equal(0.45);
    expect(coldFactor('lfp', 17.5)).to.be.closeTo(0.965, 1e-12);
    expect(capacityAh(model('nmc'), 10)).to.be.closeTo(12.8 * 0.95 * 0.9, 1e-12);
  });

  it('lead counts more than it gives above its twenty-hour rate, lithium what it gives', () => {
    expect(countedAmps(model('nmc'), 30, 20)).to.equal(30);
    expect(countedAmps(model('lead'), 1, 20)).to.equal(1);
    expect(countedAmps(model('lead'), 0.9, 20)).to.equal(0.9);
    expect(countedAmps(model('lead'), 10, 20)).to.be.closeTo(10 * 10 ** 0.18, 1e-12);
  });

  it('amps for watts solve V·I − R·I² = P, and cannot be had past the peak', () => {
    const amps = ampsForWatts(36, 0.1, 500);
    expect(36 * amps - 0.1 * amps * amps).to.be.closeTo(500, 1e-9);
    expect(amps).to.be.lessThan(180);
    expect(ampsForWatts(36, 0.1, 3300)).to.be.NaN;
  });

  it('names a pack’s volts and energy as sellers do', () => {
    expect(nominalVolts(model('nmc'))).to.equal(36);
    expect(nominalVolts(model('lfp'))).to.equal(32);
    expect(nominalVolts(model('lead'))).to.equal(20);
    expect(fullVolts(model('nmc'))).to.equal(42);
    expect(fullVolts(model('lfp'))).to.be.closeTo(36.5, 1e-12);
    // Rested; what stands on it off the charger is surface charge.
    expect(fullVolts(model('lead'))).to.be.closeTo(21.3, 1e-9);
    expect(chargerVolts(model('lead'))).to.equal(24);
    expect(chargerVolts(model('nmc'))).to.equal(fullVolts(model('nmc')));
    expect(nominalWh(model('nmc'))).to.be.closeTo(460.8, 1e-9);
  });

  it('stand to a controller’s volts: over its ceiling, under its class, or suiting', () => {
    const kit = kitNamed('otter-r250');
    const pack = packNamed('kettle-36-13');
    expect(voltsStanding(kit, pack)).to.equal('suits');
    expect(voltsSuit(kit, pack)).to.equal(true);
    expect(voltsStanding(kit, { ...pack, series: 11 })).to.equal('over');
    // Nine cells are 32.4 V of 31.68 V at least; eight are not.
    expect(voltsStanding(kit, { ...pack, series: 9 })).to.equal('suits');
    expect(voltsStanding(kit, { ...pack, series: 8 })).to.equal('under');
    expect(voltsSuit(kit, { ...pack, series: 8 })).to.equal(false);
  });

  it('life: cycles, price a kilometre, hours on the charger, and how to keep it', () => {
    const pack = { ...packNamed('kettle-36-13'), price: 390 };
    const wh = 36 * pack.parallel * pack.cellAh;
    const life = packLife(pack, 10, 10, null);
    expect(life.cycles).to.equal(650);
    expect(life.pricePerKm).to.be.closeTo(390 / ((650 * wh * 0.95) / 10), 1e-9);
    expect(life.chargerA).to.equal(2);
    expect(life.chargeHours).to.be.closeTo((pack.parallel * pack.cellAh) / 2 / 0.9, 1e-9);
    expect(life.advice.length).to.equal(2);
    expect(packLife(pack, 10, 4.9, null).advice.length).to.equal(3);
    expect(packLife(pack, 10, 5, null).advice.length).to.equal(2);
    expect(packLife({ ...pack, cellAh: 15 / pack.parallel }, 10, 10, null).chargerA).to.equal(2);
    expect(packLife({ ...pack, cellAh: 15.1 / pack.parallel }, 10, 10, null).chargerA).to.equal(4);
    const lead = packNamed('ballast-36-18-pb');
    const old = packLife(lead, 10, 10, null);
    expect(old.cycles).to.equal(250);
    expect(old.chargerA).to.equal(Math.max(1, Math.round((lead.parallel * lead.cellAh) / 8)));
    expect(old.chargeHours).to.be.closeTo((lead.parallel * lead.cellAh) / old.chargerA / 0.75, 1e-9);
    expect(JSON.stringify(old.advice)).to.match(/left flat it is dead/);
    expect(packLife({ ...pack, chemistry: 'lfp' }, 10, 10, null).cycles).to.equal(2000);
    expect(JSON.stringify(packLife({ ...pack, chemistry: 'lfp' }, 10, 10, null).advice)).to.match(/cells balance/);
    // Nothing used is no division by nothing.
    expect(packLife(pack, 0, 10, null).pricePerKm).to.be.closeTo(390 / ((650 * wh * 0.95) / 0.1), 1e-9);
  });
});
