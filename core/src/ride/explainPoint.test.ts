import { expect } from 'chai';
import { contextOf, grade, world, type WorldOf } from '../../test/world.ts';
import { FOLD_BACK_STARTS_C } from '../constants.ts';
import { rideSheet, type RideSheet } from '../plan/rideSheet.ts';
import { phraseText } from '../quantity/format.ts';
import { explainPoint } from './explainPoint.ts';
import type { RideTrace } from './simulate.ts';
import type { RideSystem } from './system.ts';
import { fullDrive, steadyLoad } from './steady.ts';

const sheetOf = (edit: NonNullable<WorldOf['edit']>): RideSheet => {
  const sheet = rideSheet(contextOf(world({ edit })));
  if (!sheet) throw new Error('nothing to ride');
  return sheet;
};
const plain = sheetOf(() => undefined);
/** A trace of one point. */
const at = (of: Partial<Record<keyof RideTrace, number>>): RideTrace => ({
  distanceM: [of.distanceM ?? 1200],
  speedMs: [of.speedMs ?? 5],
  charge: [of.charge ?? 0.8],
  windingC: [of.windingC ?? 40],
  riderW: [of.riderW ?? 0],
  motorW: [of.motorW ?? 0],
  volts: [of.volts ?? 37],
  grade: [of.grade ?? 0],
  timeS: [0],
  packW: [of.packW ?? 100],
  walked: [of.walked ?? 0],
});
/** Without a level in the way: what the motor can at its most. */
const full: RideSystem = { ...plain.system, rider: { ...plain.system.rider, assist: undefined } };
const told = (of: Partial<Record<keyof RideTrace, number>>, system = full): string =>
  phraseText(explainPoint(system, at(of), 0).words, 'metric');

describe('a point of the road, told', () => {
  it('says who pushes, and what holds it back', () => {
    expect(told({ walked: 1, grade: 0.3, speedMs: 0.5 })).to.match(
      /^1\.2.km, 30.*walked\. Full force, .* is less than/,
    );
    expect(told({})).to.match(/rolling at 18.*nobody pushes/);
    expect(told({ riderW: 60 })).to.match(/legs alone hold 18.* with 60.W/);
    expect(told({ riderW: 60, motorW: 40 })).to.match(/as wished: motor 40.W, legs 60.W/);
    const most = fullDrive(plain.system, 5, 0.8, 40).motorN * 5;
    expect(told({ motorW: most * 0.94 })).to.match(/is all it gives: /);
    expect(told({ motorW: most * 0.92 })).to.match(/as wished/);
  });

  it('says where the level gives all that it gives, and where it does not yet', () => {
    const level = { ...full, rider: { ...full.rider, assist: { law: 'level' as const, levelW: 100 } } };
    expect(told({ motorW: 98.1, riderW: 60 }, level)).to.match(/the level gives its 100.W, legs 60.W/);
    expect(told({ motorW: 97.9, riderW: 60 }, level)).to.match(/as wished/);
  });

  it('folds back once the winding is past where that starts, not at it', () => {
    expect(told({ motorW: 50, windingC: FOLD_BACK_STARTS_C })).to.match(/as wished/);
    expect(told({ motorW: 50, windingC: FOLD_BACK_STARTS_C + 0.1 })).to.match(/winding is at 110.*folded back/);
  });

  it('a watt is the least that counts as pushing', () => {
    expect(told({ motorW: 0.99, riderW: 0.99 })).to.match(/nobody pushes/);
    expect(told({ motorW: 0.99, riderW: 1.01 })).to.match(/legs alone/);
    expect(told({ motorW: 1.01, riderW: 0 })).to.match(/as wished/);
  });

  it('shares the load between air and the rest, which add up', () => {
    const p = explainPoint(plain.system, at({ speedMs: 6, grade: 0.02, motorW: 50 }), 0);
    const drive = fullDrive(plain.system, 6, 0.8, 40);
    const load = steadyLoad(plain.system, 6, 0.02, drive.dragN) * 6;
    expect(p.airW + p.rollingAndHillW).to.be.closeTo(load, 1e-9);
    const { vehicle } = plain.system;
    // ½·ρ·CdA·v³ with air of 1.25 kg/m³, good to a few per cent.
    expect(p.airW).to.be.closeTo(0.5 * 1.24 * vehicle.cdaM2 * 6 ** 3, p.airW * 0.03);
    const weight = vehicle.massKg * 9.81;
    const a = Math.atan(0.02);
    expect(p.rollingAndHillW).to.be.closeTo(weight * (Math.sin(a) + vehicle.crr * Math.cos(a)) * 6, 1);
  });

  it('a point before the first or past the last is the first or the last', () => {
    const { system, trace } = plain;
    expect(explainPoint(system, trace, -5)).to.deep.equal(explainPoint(system, trace, 0));
    const last = trace.distanceM.length - 1;
    expect(explainPoint(system, trace, last + 9)).to.deep.equal(explainPoint(system, trace, last));
  });
});

describe('the ride sheet', () => {
  it('lists hills from 3.5 % and 40 m, steepest first, six at most', () => {
    const hills = (rise: number): number => sheetOf((w) => grade(w, rise)).hills.length;
    expect(hills(0.034)).to.equal(0);
    expect(hills(0.036)).to.equal(1);
    const bumpy = sheetOf((w) => {
      grade(w, 0);
      const { route } = w.build.brief;
      if (!route) throw new Error('no road');
      let z = 0;
      route.points = Array.from({ length: 33 }, (_, i) => {
        const point = { distanceM: i * 100, elevationM: z };
        // Eight hills, each half a per cent steeper than the last, with a flat hundred metres behind it.
        if (i % 4 === 1) z += 4 + i / 8;
        return point;
      });
    });
    expect(bumpy.hills.length).to.equal(6);
    const grades = bumpy.hills.map((h) => h.grade);
    expect(grades).to.deep.equal([...grades].sort((a, b) => b - a));
    expect(grades[0]).to.be.greaterThan(0.07);
    for (const h of bumpy.hills) expect(h.lengthM).to.be.at.least(40);
  });

  it('says from rest what the motor does alone, what the legs add, and what neither can', () => {
    const from = (rise: number): string | undefined => sheetOf((w) => grade(w, rise)).hills[0]?.fromRest;
    const alone = plain.system;
    expect(from(0.04)).to.equal('motor alone');
    expect(from(0.45)).to.equal('not at all');
    // Between the two there is a grade where legs and motor do it together.
    const between = [0.08, 0.1, 0.12, 0.14, 0.16, 0.18, 0.2, 0.22, 0.24, 0.26, 0.28, 0.3].map(from);
    expect(alone.rider.powerW).to.be.greaterThan(0);
    expect(between).to.include('with the legs');
    expect(between.indexOf('with the legs')).to.be.greaterThan(between.lastIndexOf('motor alone'));
  });

  it('names the point to turn back at where half the usable charge is gone, and none on a short road', () => {
    expect(sheetOf((w) => grade(w, 0)).turnBackM).to.equal(null);
    const { trace, turnBackM, system } = sheetOf((w) => {
      grade(w, 0);
      const { route } = w.build.brief;
      if (route) route.points = [0, 40_000].map((distanceM) => ({ distanceM, elevationM: 0 }));
    });
    const i = trace.distanceM.indexOf(turnBackM ?? -1);
    const half = 1 - system.pack.usable / 2;
    expect(trace.charge[i]).to.be.at.most(half);
    expect(trace.charge[i - 1]).to.be.greaterThan(half);
  });
});

describe('the same ride going otherwise', () => {
  const list = plain.scenarios;
  const of = (id: string) => {
    const found = list.find((s) => s.id === id);
    if (!found) throw new Error(id);
    return found;
  };

  it('each thing that goes worse costs range, and all at once costs most', () => {
    const planned = of('asPlanned').rangeM;
    for (const id of ['cold', 'agedPack', 'headwindHome', 'throttleOnly', 'allAtOnce'])
      expect(of(id).rangeM, id).to.be.lessThan(planned);
    for (const s of list.filter((x) => x.id !== 'allAtOnce'))
      expect(of('allAtOnce').rangeM, s.id).to.be.lessThan(s.rangeM);
  });

  it('a pack at 80 % of its health goes four fifths as far, near enough', () => {
    const health = plain.system.pack.health;
    expect(of('agedPack').rangeM / of('asPlanned').rangeM).to.be.closeTo(0.8 / health, 0.03);
  });

  it('the heaviest rider is one only where another rides', () => {
    expect(list.some((s) => s.id === 'heaviest')).to.equal(false);
    const two = sheetOf((w) => {
      const [first] = w.build.brief.riders;
      if (first) w.build.brief.riders.push({ ...first, name: 'B', massKg: first.massKg + 25 });
    });
    const heavy = two.scenarios.find((s) => s.id === 'heaviest');
    expect(heavy?.rangeM).to.be.lessThan(two.scenarios[0]?.rangeM ?? 0);
  });

  it('is enough where it reaches the wanted way, reserve and all', () => {
    for (const s of list) expect(s.enough, s.id).to.equal(s.rangeM >= plain.wantedM);
  });
});
