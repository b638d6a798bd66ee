import { expect } from 'chai';
import { demoBuild } from '../../test/demoBuild.ts';
import { readRide, rideRows, rideHeads } from '../formats/rideTable.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { routeSegments } from '../ride/route.ts';
import { livePlan } from './livePlan.ts';
import { isMeterFault, liveNow, standInRide, type LivePlan, type MeterFault, type MeterSample } from './meter.ts';

const build = demoBuild('mixte');
const context = planContext(build, starterShelf);
const plan = livePlan(context) as LivePlan;
const system = context.reckoning?.system;
if (!system || !build.brief.route) throw new Error('no ride');
const segments = routeSegments(build.brief.route, build.brief);
const ride = (seed: number, fault: MeterFault = 'none'): MeterSample[] => standInRide(system, segments, seed, fault);

describe('ride meter stand-in', () => {
  it('rides the build’s road a reading a second, the same for the same seed', () => {
    const one = ride(3);
    expect(ride(3)).to.deep.equal(one);
    expect(ride(4)).to.not.deep.equal(one);
    one.forEach((s, i) => expect(s.timeS).to.equal(i));
    expect(one.at(-1)?.distanceM).to.be.closeTo(plan.roadM, 20);
    for (let i = 1; i < one.length; i++) {
      const [a, b] = [one[i - 1] as MeterSample, one[i] as MeterSample];
      expect(b.distanceM).to.be.at.least(a.distanceM);
      expect(b.charge).to.be.at.most(a.charge + 1e-9);
    }
    // Volts times amps, summed up, is the energy told.
    const sum = one.reduce((all, s) => all + (s.volts * s.amps) / 3600, 0);
    expect(one.at(-1)?.energyWh).to.be.closeTo(sum, sum * 0.01);
    expect(one.at(-1)?.energyWh).to.be.closeTo(
      plan.foretold.at(-1)?.energyWh ?? 0,
      (plan.foretold.at(-1)?.energyWh ?? 0) * 0.12,
    );
  });

  it('stands at its stops', () => {
    const wanted = segments.slice(1).filter((s) => s.stop).length;
    const one = ride(1);
    const stands = one.filter(
      (s, i) => i > 0 && s.distanceM === one[i - 1]?.distanceM && one[i - 2]?.distanceM !== s.distanceM,
    ).length;
    expect(stands).to.be.within(wanted * 0.8, wanted + 1);
  });

  it('hides a fault: a soft tyre takes more, a loose plug drops out, a weak block ends it, a magnet loses the speed', () => {
    const plain = ride(2);
    const energy = (s: MeterSample[]): number => s.at(-1)?.energyWh ?? 0;
    expect(energy(ride(2, 'softTyre'))).to.be.greaterThan(energy(plain) * 1.05);
    const idle = (s: MeterSample[]): number => s.filter((x) => x.speedMs > 1 && x.amps < 1).length;
    expect(idle(ride(2, 'cutsOut'))).to.be.greaterThan(idle(plain) + 10);
    const zero = (s: MeterSample[]): number =>
      s.filter((x, i) => x.speedMs === 0 && x.distanceM > (s[i - 1]?.distanceM ?? 0) + 2).length;
    expect(zero(ride(2, 'speedMagnet'))).to.be.greaterThan(20);
    expect(zero(plain)).to.equal(0);
    expect(isMeterFault('softTyre')).to.equal(true);
    expect(isMeterFault('toString')).to.equal(false);
  });
});

describe('a ride going on', () => {
  it('knows nothing without a reading, the plan’s own use at the start, the ride’s after a while', () => {
    expect(liveNow([], plan)).to.equal(null);
    const heavy = ride(2, 'softTyre');
    const first = liveNow(heavy.slice(0, 2), plan);
    expect(first?.useNow).to.equal(null);
    expect(first?.left.mid).to.be.closeTo(plan.usableWh / plan.use.mid, (plan.usableWh / plan.use.mid) * 0.05);
    const last = liveNow(heavy, plan);
    const plainLast = liveNow(ride(2), plan);
    expect(last?.useMean).to.be.greaterThan(plainLast?.useMean ?? 1);
    // Drawn to what was ridden: with a soft tyre there is less left for the same charge.
    const leftAtHalf = (samples: MeterSample[]): number => {
      const now = liveNow(samples.slice(0, Math.floor(samples.length / 2)), plan);
      return now ? now.left.mid / Math.max(0.01, now.charge) : 0;
    };
    expect(leftAtHalf(heavy)).to.be.lessThan(leftAtHalf(ride(2)));
    for (const now of [first, last]) {
      expect(now?.left.low).to.be.at.most(now?.left.mid ?? 0);
      expect(now?.left.high).to.be.at.least(now?.left.mid ?? 0);
    }
  });

  it('names where to turn back at the latest, and that it is past it', () => {
    const at = (distanceM: number, charge: number): MeterSample => ({
      timeS: 600,
      distanceM,
      speedMs: 5,
      volts: 36,
      amps: 5,
      energyWh: distanceM * plan.use.mid,
      charge,
    });
    const road = { ...plan, thereAndBack: true, roadM: 400_000 };
    const far = liveNow([at(0, 1), at(10_000, 0.5)], road);
    expect(far?.turnBackM).to.be.closeTo((10_000 + (far?.left.low ?? 0)) / 2, 1e-6);
    expect(far?.past).to.equal(false);
    expect(liveNow([at(0, 1), at(30_000, 0.2)], road)?.past).to.equal(true);
    // It reaches all the way, or the road does not lead back: nothing to say.
    expect(liveNow([at(0, 1), at(1000, 1)], { ...road, roadM: 2000 })?.turnBackM).to.equal(null);
    expect(liveNow([at(0, 1), at(10_000, 0.5)], { ...road, thereAndBack: false })?.turnBackM).to.equal(null);
  });

  it('a meter without a gauge is told by what was taken out', () => {
    const sample: MeterSample = {
      timeS: 60,
      distanceM: 1000,
      speedMs: 5,
      volts: 36,
      amps: 5,
      energyWh: plan.usableWh / 2,
      charge: NaN,
    };
    expect(liveNow([sample], plan)?.charge).to.be.closeTo(1 - (1 - plan.emptyAt) / 2, 1e-9);
  });
});

describe('a ride as a table', () => {
  it('comes back as it was written, to the last digit written', () => {
    const one = ride(5).slice(0, 400);
    const back = readRide(rideRows(one));
    if (!back.ok) throw new Error('refused');
    expect(back.without).to.deep.equal([]);
    back.samples.forEach((s, i) => {
      const was = one[i] as MeterSample;
      expect(s.distanceM).to.be.closeTo(was.distanceM, 0.06);
      expect(s.speedMs).to.be.closeTo(was.speedMs, 0.002);
      expect(s.energyWh).to.be.closeTo(was.energyWh, 0.001);
      expect(s.charge).to.be.closeTo(was.charge, 0.001);
    });
    expect(rideRows([])).to.deep.equal([[...rideHeads]]);
  });

  it('takes columns in any order and unit, and sums up what is missing', () => {
    const back = readRide([
      ['Current (mA)', 'Time [min]', 'Speed mph', 'Voltage'],
      ['1000', '0', '10', '36'],
      ['2000', '1', '10', '36'],
    ]);
    if (!back.ok) throw new Error('refused');
    expect(back.without).to.deep.equal(['charge', 'energy', 'distance']);
    expect(back.samples[1]?.timeS).to.equal(60);
    expect(back.samples[1]?.amps).to.equal(2);
    expect(back.samples[1]?.distanceM).to.be.closeTo(4.4704 * 60, 1e-9);
    expect(back.samples[1]?.energyWh).to.be.closeTo((36 * 2 * 60) / 3600, 1e-9);
    expect(back.samples[1]?.charge).to.be.NaN;
  });

  it('refuses by row and column, and loses nothing by it', () => {
    const bad = readRide([
      ['time s', 'volts', 'amps', 'speed'],
      ['0', '36', '1', '10'],
      ['1', 'many', '1', '10'],
      ['0', '36', '', '10'],
    ]);
    expect(bad).to.deep.equal({
      ok: false,
      problems: [
        { path: 'row 3, column 2', message: '“many” is no figure' },
        { path: 'row 4, column 3', message: '“” is no figure' },
        { path: 'row 4, column 1', message: 'goes back in time' },
      ],
    });
    expect(readRide([['time s', 'volts']])).to.deep.include({ ok: false });
    expect(
      readRide([
        ['time s', 'volts', 'amps'],
        ['0', '1', '1'],
        ['1', '1', '1'],
      ]),
    ).to.deep.equal({
      ok: false,
      problems: [{ path: 'row 1', message: 'has no column for speed or distance' }],
    });
    expect(
      readRide([
        ['time s', 'volts', 'amps', 'speed'],
        ['0', '1', '1', '1'],
      ]),
    ).to.deep.include({ ok: false });
    expect(readRide([])).to.deep.include({ ok: false });
  });
});
