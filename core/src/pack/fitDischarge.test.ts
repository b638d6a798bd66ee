import { expect } from 'chai';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { steadySpeed } from '../ride/steady.ts';
import { newBuild } from '../build/build.ts';
import { cellVolts, countedAmps, packOhm, resistanceFactor, type PackModel } from './battery.ts';
import { fitDischarge, readDischarge, type DischargeReading } from './fitDischarge.ts';

const lead: PackModel = {
  chemistry: 'lead',
  series: 18,
  parallel: 1,
  cellAh: 18,
  cellOhm: 0.003,
  leadOhm: 0.03,
  cutoffVPerCell: 1.75,
  usable: 0.8,
  health: 1,
};

/** A discharge as a meter would read it, of a pack with a resistance, a rise and a health. */
function measured(of: PackModel, amps: number, steps: number): DischargeReading[] {
  const rated = of.parallel * of.cellAh;
  return Array.from({ length: steps }, (_, i) => {
    const ah = (i + 1) * 0.7;
    const s = 1 - (ah * countedAmps(of, amps, rated)) / amps / (rated * of.health);
    return { ah, amps, volts: of.series * cellVolts('lead', s) - amps * packOhm(of, s) };
  });
}

describe('a pack fitted to its measured discharge', () => {
  it('comes back as it was: resistance, rise and health', () => {
    const tired = { ...lead, cellOhm: 0.0052, resistanceRise: 3.4, health: 0.74 };
    const fit = fitDischarge(lead, measured(tired, 9, 11));
    if (typeof fit === 'string') throw new Error(fit);
    expect(fit.cellOhm).to.be.closeTo(0.0052, 0.0001);
    expect(fit.resistanceRise).to.be.closeTo(3.4, 0.1);
    expect(fit.health).to.be.closeTo(0.74, 0.011);
    expect(fit.errorV).to.be.below(0.02);
  });

  it('lets a drained 36 V set fade as its riders know: to some 0.85 of its speed at half of its amp-hours', () => {
    const build = newBuild('lead', 'Lead', '2026-01-01T00:00:00.000Z');
    build.choice.kitId = 'otter-r250';
    build.brief.temperatureC = 20;
    const own = starterShelf.pack.find((p) => p.id === 'ballast-36-18-pb');
    if (!own) throw new Error('no lead pack');
    const fade = (cellOhm: number, resistanceRise?: number): number => {
      build.ownParts = [{ ...own, cellOhm, resistanceRise }];
      build.choice.packId = own.id;
      const system = planContext(build, starterShelf).reckoning?.system;
      if (!system) throw new Error('nothing to ride');
      const alone = {
        ...system,
        rider: { ...system.rider, powerW: 0 },
        controller: { ...system.controller, assistLimitMs: undefined },
      };
      return steadySpeed(alone, 0, 0.5).speedMs / steadySpeed(alone, 0, 1).speedMs;
    };
    // New blocks by the chemistry's own figures hardly fade; a tired set as fitted does.
    expect(fade(own.cellOhm)).to.be.closeTo(0.94, 0.01);
    expect(fade(0.009, 5)).to.be.within(0.78, 0.88);
  });

  it('takes a steep and bent discharge as it is, within a fifth of a volt', () => {
    const rows = '0.7 37.4 9\n1.4 36.9 9\n2.1 36.3 9\n2.8 35.6 9\n3.5 34.9 9\n4.9 33.2 9';
    const read = readDischarge(rows);
    const fit = fitDischarge(lead, read.ok ? read.readings : []);
    if (typeof fit === 'string') throw new Error(fit);
    expect(fit.errorV).to.be.below(0.2);
    expect(fit.health).to.be.below(0.8);
    expect(fit.resistanceRise).to.be.greaterThan(2);
  });

  it('a measured rise takes the chemistry’s place, and none leaves it', () => {
    expect(resistanceFactor('lead', 0.5)).to.equal(1.75);
    expect(resistanceFactor('lead', 0.5, 4)).to.equal(3);
    expect(resistanceFactor('nmc', 0.5, 4)).to.equal(3);
    expect(resistanceFactor('nmc', 0.5)).to.equal(1);
  });

  it('says what the readings lack', () => {
    expect(fitDischarge(lead, measured(lead, 9, 3))).to.match(/at least 4/);
    expect(
      fitDischarge(
        lead,
        [0, 0.01, 0.02, 0.03, 0.04].map((ah) => ({ ah, volts: 37, amps: 9 })),
      ),
    ).to.match(/span/);
    expect(
      fitDischarge(
        lead,
        [1, 3, 5, 7].map((ah) => ({ ah, volts: 60, amps: 9 })),
      ),
    ).to.match(/do not fall/);
    expect(
      fitDischarge(
        lead,
        [1, 3, 5, 7].map((ah) => ({ ah, volts: 36, amps: 0 })),
      ),
    ).to.match(/under load/);
  });

  it('reads a meter’s rows by spaces, tabs, semicolons or decimal commas, and names a line that does not read', () => {
    const rows = {
      ok: true,
      readings: [
        { ah: 1.5, volts: 37.2, amps: 9 },
        { ah: 3, volts: 36.4, amps: 9.1 },
      ],
    };
    expect(readDischarge('1.5 37.2 9\n3 36.4 9.1')).to.deep.equal(rows);
    expect(readDischarge('Ah;V;A\n1,5;37,2;9\n\n3;36,4;9,1')).to.deep.equal(rows);
    expect(readDischarge('1.5\t37.2\t9\n3\t36.4\t9.1\n')).to.deep.equal(rows);
    expect(readDischarge('1.5 37.2 9\n3 36.4')).to.deep.equal({ ok: false, line: 2 });
    expect(readDischarge('1.5 -2 9')).to.deep.equal({ ok: false, line: 1 });
  });
});
