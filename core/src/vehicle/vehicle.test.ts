import { expect } from 'chai';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { hubGear } from '../../test/city.ts';
import { contextOf, grade, kitNamed, packNamed, world } from '../../test/world.ts';
import { hubGearRatios } from './gearing.ts';
import { climbGradeOf } from './reckon.ts';
import { assistLimit, systemOf, tyreRolling } from './system.ts';
import { massOf, plannedArms } from './vehicle.ts';

describe('the vehicle as it is and as it will be', () => {
  it('adds kit, pack and planned arms to what is there, line by line', () => {
    const w = world({});
    w.build.choice.torqueArms = 2;
    const c = contextOf(w);
    // Rider 75, load 5, vehicle 15; Otter 3.9, two arms of 0.14.
    expect(c.asItIs.massKg).to.equal(95);
    expect(c.asItIs.kit).to.equal(null);
    expect(c.systemMassKg).to.be.closeTo(95 + 3.9 + w.pack.massKg + 0.28, 1e-9);
    expect(c.asItWillBe.masses.map((m) => m.id)).to.deep.equal(['rider', 'load', 'vehicle', 'kit', 'pack', 'fittings']);
    expect(massOf(c.asItWillBe, 'fittings')).to.be.closeTo(0.28, 1e-9);
    expect(c.unladenKg).to.be.closeTo(15 + 3.9 + w.pack.massKg + 0.28, 1e-9);
    expect(c.with(w.kit, null).unladenKg).to.be.closeTo(15 + 3.9 + 3 + 0.28, 1e-9);
    expect(c.added.fittingsKg).to.be.closeTo(0.28, 1e-9);
    expect(c.axleLoads.totalKg).to.be.closeTo(c.systemMassKg, 1e-9);
  });

  it('an arm both planned and wanted by a remedy is one arm, here as in the price', () => {
    const w = world({ edit: (x) => void (x.build.choice.torqueArms = 1) });
    const one = contextOf(w);
    const arm = { part: 'torque-arm', place: 'rear axle' } as const;
    const kg = (count: number, place: 'rear axle' | 'front axle' = 'rear axle'): number =>
      one.having([{ subject: 'donor', takes: [{ ...arm, count, place }] }]).systemMassKg - one.systemMassKg;
    const each = starterShelf.fitting.find((f) => f.id === 'torque-arm')?.massKg ?? NaN;
    expect(kg(1)).to.equal(0);
    expect(kg(2)).to.be.closeTo(each, 1e-9);
    expect(kg(1, 'front axle')).to.be.closeTo(each, 1e-9);
  });

  it('plans arms on a hub’s own axle, one on a mid-drive whose school asks, none elsewhere', () => {
    const { build } = world({});
    build.choice.torqueArms = 2;
    const planned = (id: string) => plannedArms(build, kitNamed(id)).map((t) => [t.part, t.count, t.place]);
    expect(planned('otter-r250')).to.deep.equal([['torque-arm', 2, 'rear axle']]);
    expect(planned('linnet-f250')).to.deep.equal([['torque-arm', 2, 'front axle']]);
    expect(planned('wren-m250')).to.deep.equal([]);
    build.schools.midArm = 'always';
    expect(planned('wren-m250')).to.deep.equal([['reaction-arm', 1, 'bracket']]);
    expect(planned('hobby-s350')).to.deep.equal([]);
    expect(plannedArms(build, null)).to.deep.equal([]);
    build.choice.torqueArms = 0;
    expect(planned('otter-r250')).to.deep.equal([]);
  });

  it('rides the ring that was chosen, else the motor’s, else the donor’s largest, else a common one', () => {
    const of = (edit: (w: ReturnType<typeof world>) => void, kit = 'otter-r250', survey = {}) => {
      const w = world({ kit, survey });
      edit(w);
      return contextOf(w).gearing;
    };
    expect(of(() => undefined).ring).to.equal(42);
    expect(of(() => undefined, 'otter-r250', { ringTeeth: '52-39-30' }).ring).to.equal(52);
    expect(of(() => undefined, 'wren-m250', { ringTeeth: '52' })).to.deep.include({
      ring: 42,
      ringFrom: 'comes with the kit',
    });
    expect(of((w) => (w.build.choice.ringId = 'ring-38-bcd104'), 'wren-m250')).to.deep.include({
      ring: 38,
      ringFrom: 'chosen ring',
    });
    const none = of(() => undefined, 'otter-r250', { ringTeeth: '' });
    expect(none).to.deep.include({ ring: 42, ringFrom: 'a common size, not counted', counted: false });
  });

  it('a ring chosen for one kit is not another’s', () => {
    const w = world({ kit: 'wren-m250' });
    w.build.choice.ringId = 'ring-38-bcd104';
    const c = contextOf(w);
    expect(c.gearing.ring).to.equal(38);
    expect(c.with(kitNamed('ouzel-m250-pf'), null).gearing.ringFrom).to.equal('comes with the kit');
  });

  it('gears: chosen cogs, else the hub gear’s by its ratios unless the motor takes its place, else the donor’s, largest first', () => {
    const w = world({ kit: 'wren-m250', survey: hubGear });
    const geared = contextOf(w).gearing;
    expect(geared.drivetrain).to.equal('hubGear');
    expect(geared.gears.length).to.equal(8);
    expect(geared.gears[0]).to.deep.equal({ label: '19 × 0.53', cog: 19 / 0.53 });
    expect(contextOf(world({ kit: 'otter-r250', survey: hubGear })).gearing.drivetrain).to.equal('derailleur');
    w.build.choice.clusterId = 'freewheel-6-14-28';
    expect(contextOf(w).gearing).to.deep.include({ drivetrain: 'derailleur', gearsFrom: 'chosen cluster' });
    expect(contextOf(world({})).gearing.gears.map((g) => g.cog)).to.deep.equal([28, 24, 21, 18, 16, 14]);
    expect(contextOf(world({ survey: { cogTeeth: '' } })).gearing).to.deep.include({
      counted: false,
      gearsFrom: 'common cogs, not counted',
    });
    expect(hubGearRatios(starterShelf.hubGear, 'three')).to.deep.equal([0.75, 1, 1.333]);
    expect(hubGearRatios([], 'three')).to.deep.equal([1]);
  });

  it('hands the ride model the tyre that is driven, the limit as set, the higher cut-off, the middle gear', () => {
    const w = world({ kit: 'linnet-f250', survey: { frontTyre: '47-559' } });
    const front = systemOf(w.build, contextOf(w).asItWillBe);
    expect(front.vehicle.wheelRadiusM).to.be.closeTo((0.559 + 2 * 0.95 * 0.047) / 2, 1e-9);
    expect(systemOf(world({}).build, contextOf(world({})).asItWillBe).vehicle.wheelRadiusM).to.be.closeTo(
      (0.622 + 2 * 0.95 * 0.037) / 2,
      1e-9,
    );
    expect(front.controller.assistLimitMs).to.be.closeTo(25 / 3.6, 1e-9);
    w.build.choice.assistLimitMs = 5;
    expect(assistLimit(w.build, { kit: w.kit })).to.equal(5);
    // 30 V of ten cells is 3 V each, the pack’s own.
    expect(front.pack.cutoffVPerCell).to.equal(3);
    w.kit.controller.cutoffVolts = 33;
    const cut = contextOf(w);
    expect(systemOf(w.build, cut.asItWillBe).pack.cutoffVPerCell).to.be.closeTo(3.3, 1e-9);
    const [rider] = w.build.brief.riders;
    if (rider) rider.neverShifts = true;
    expect(systemOf(w.build, cut.asItWillBe).vehicle.fixedCog).to.equal(18);
    w.build.choice.usesThrottle = true;
    expect(systemOf(w.build, cut.asItWillBe).rider.powerW).to.equal(50);
    w.kit.throttle = true;
    expect(systemOf(w.build, contextOf(w).asItWillBe).rider.powerW).to.equal(0);
    expect(() => systemOf(w.build, cut.with(null, null).asItWillBe)).to.throw(RangeError);
  });

  it('rolls by tyre width with an edge at each class, and by small wheels a fifth worse', () => {
    const at = (mm: number, beadM = 0.622): number => tyreRolling({ beadM, widthM: mm / 1000 });
    expect([at(34), at(34.1), at(50), at(50.1), at(70), at(70.1)]).to.deep.equal([
      0.005, 0.007, 0.007, 0.01, 0.01, 0.013,
    ]);
    expect(at(47, 0.399)).to.be.closeTo(0.007 * 1.2, 1e-12);
    expect(at(47, 0.4)).to.equal(0.007);
  });

  it('works each thing out once, shares the ground, and keeps the road when only the survey moves', () => {
    const w = world({});
    grade(w, 0.05);
    const c = contextOf(w);
    expect(c.steepest).to.equal(0.05);
    const other = c.with(kitNamed('wren-m250'), packNamed('kettle-36-13'));
    expect(other.geometry).to.equal(c.geometry);
    expect(other.road).to.equal(c.road);
    expect(c.reckoning).to.equal(c.reckoning);
    const moved = c.on({ ...w.build, donor: { ...w.build.donor, survey: {} } });
    expect(moved.road).to.equal(c.road);
    expect(moved.geometry).not.to.equal(c.geometry);
    const elsewhere = c.on({ ...w.build, brief: { ...w.build.brief, route: null } });
    expect(elsewhere.steepest).to.equal(0);
    expect(c.with(kitNamed('otter-r250'), { ...packNamed('kettle-36-13'), series: 14 }).reckoning).to.equal(null);
    expect(c.with(null, null).band).to.equal(null);
    expect([0.0199, 0.02, 0.08].map(climbGradeOf)).to.deep.equal([0.06, 0.02, 0.08]);
  });
});
