import { expect } from 'chai';
import { phraseText } from '../quantity/format.ts';
import { contextOf, measure, world } from '../../test/world.ts';
import { axleLoads, massPoints, NOTHING_ADDED, tipDistance } from './axleLoads.ts';
import { descentCaution, shedsW, stoppingCaution, tipCaution } from './going.ts';
import { brakeLimits, deceleration, stoppingDistance, stoppingOf } from './stopping.ts';

const G = 9.80665;

describe('going safely', () => {
  it('brakes by their kinds, the better pair first', () => {
    expect(brakeLimits('discCable', 'discHydraulic')).to.deep.equal({ dry: 6, wet: 5 });
    expect(brakeLimits('discCable', 'rim')).to.deep.equal({ dry: 5.5, wet: 4 });
    expect(brakeLimits('rim', 'discHydraulic')).to.deep.equal({ dry: 5.5, wet: 4 });
    expect(brakeLimits('rim', 'rim')).to.deep.equal({ dry: 5, wet: 2.5 });
    for (const hub of ['drum', 'roller', 'coaster'] as const)
      expect(brakeLimits('rim', hub)).to.deep.equal({ dry: 4, wet: 2.5 });
    expect(brakeLimits('none', 'rim')).to.deep.equal({ dry: 2.5, wet: 2 });
  });

  it('pads on chromed steel lose most of their grip in the wet, two thirds of it in front; a built kit wheel has none', () => {
    const wet = (survey: object, kit = 'linnet-f250'): number => {
      const { stopping } = contextOf(world({ kit, survey }));
      if (!stopping) throw new Error('no brakes');
      return deceleration(stopping).wet;
    };
    const chrome = { rearRimSurface: 'chromed', frontRimSurface: 'chromed' };
    const both = wet({}, 'wren-m250');
    expect(wet(chrome, 'wren-m250')).to.be.closeTo(both * 0.4, 1e-9);
    // The front motor’s wheel is built anew: only the rear is chromed, a third of 60 % lost.
    expect(wet(chrome)).to.be.closeTo(wet({}) * (1 - 0.6 / 3), 1e-9);
    expect(wet({ ...chrome, rearBrake: 'discCable', frontBrake: 'discCable' }, 'wren-m250')).to.be.greaterThan(both);
  });

  it('what each brake sheds, rotors by size with an edge at each', () => {
    expect(shedsW('none', undefined)).to.equal(0);
    expect(shedsW('rim', undefined)).to.equal(400);
    expect(shedsW('roller', undefined)).to.equal(120);
    expect(shedsW('discCable', undefined)).to.equal(250);
    expect([0.174, 0.175, 0.199, 0.2].map((r) => shedsW('discHydraulic', r))).to.deep.equal([250, 330, 330, 420]);
  });

  it('stops by the least of grip, brakes and tipping', () => {
    expect(stoppingDistance(10, 5)).to.equal(20);
    const w = world({ survey: { frontBrake: 'discCable', rearBrake: 'discCable' } });
    const c = contextOf(w);
    const base = c.geometry.frontAxle.x;
    const say = (massKg: number, hM: number) =>
      stoppingCaution(
        stoppingOf(
          { front: 'discCable', rear: 'discCable', chromed: { front: false, rear: false } },
          massKg,
          { xM: base / 2, hM },
          base,
          null,
        ),
        massKg,
        25 / 3.6,
      );
    const decel = (x: ReturnType<typeof say>): string => phraseText(x.lines[2]?.value ?? [], 'metric');
    // Grip 0.8 and 0.4 of g: 7.8 and 3.9; brakes 6 and 5; tipping far off.
    expect(decel(say(100, 0.5))).to.equal('6.0 and 3.9 m/s²');
    expect(decel(say(200, 0.5))).to.equal('3.0 and 2.5 m/s²');
    expect(decel(say(50, 0.5))).to.equal('6.0 and 3.9 m/s²');
    expect(decel(say(100, base))).to.equal(`4.9 and 3.9 m/s²`);
    expect(say(100, 0.5).state).to.equal('fine');
    // 5 · 100 ÷ m < 2.2 from 227.3 kg.
    expect(say(227, 0.5).state).to.equal('fine');
    expect(say(228, 0.5).state).to.equal('care');
    expect(c.stopping).not.to.equal(null);
    Reflect.deleteProperty(w.build.donor.survey, 'frontBrake');
    expect(contextOf(w).stopping).to.equal(null);
    expect(stoppingCaution(null, 100, 7).state).to.equal('unknown');
  });

  it('a long descent heats the brakes by m·g·sin θ less air and rolling; a short ramp does not', () => {
    const brakes = { front: 'rim', rear: 'roller', frontRotorM: undefined, rearRotorM: undefined } as const;
    const held = 25 / 3.6;
    const watts = (m: number, slope: number): number =>
      (m * G * Math.sin(Math.atan(slope)) -
        m * G * 0.007 * Math.cos(Math.atan(slope)) -
        0.5 * 1.2 * 0.6 * held * held) *
      held;
    const on = (m: number, slope: number, lengthM: number) =>
      descentCaution(brakes, m, 0.6, 0.007, [{ lengthM, grade: -slope, targetMs: held, stop: false }], 1.2);
    expect(phraseText(on(120, 0.08, 400).lines[1]?.value ?? [], 'metric')).to.match(
      new RegExp(`^${Math.round(watts(120, 0.08))}\\b`),
    );
    expect(on(120, 0.08, 149).state).to.equal('fine');
    expect(phraseText(on(120, 0.08, 149).lines[0]?.value ?? [], 'metric')).to.equal('none that warms them');
    expect(phraseText(on(120, 0.08, 150).lines[0]?.value ?? [], 'metric')).not.to.equal('none that warms them');
    // 520 W shed: care from 416, stop from 676.
    const state = (w2: number): string => {
      const m = 100;
      const slope = Math.tan(Math.asin((w2 / held + 0.5 * 1.2 * 0.6 * held * held) / (m * G)) + 0.007);
      return on(m, slope, 500).state;
    };
    expect([405, 430, 660, 700].map(state)).to.deep.equal(['fine', 'care', 'care', 'stop']);
    // Held at the speed the plan rides there: faster, more of it.
    const ridden = (targetMs: number): string =>
      phraseText(
        descentCaution(brakes, 120, 0.6, 0.007, [{ lengthM: 500, grade: -0.08, targetMs, stop: false }], 1.2).lines[1]
          ?.value ?? [],
        'metric',
      );
    const at = (v: number): number =>
      Math.round(
        (120 * G * Math.sin(Math.atan(0.08)) - 120 * G * 0.007 * Math.cos(Math.atan(0.08)) - 0.36 * v * v) * v,
      );
    for (const v of [4, 8]) expect(ridden(v)).to.match(new RegExp(`^${at(v)}\\b`));
    // A slope under 1.5 % is no descent, and a level stretch ends one.
    expect(on(300, 0.0149, 900).lines[0]?.value).to.deep.equal(['none that warms them']);
    const broken = descentCaution(
      brakes,
      120,
      0.6,
      0.007,
      [
        { lengthM: 100, grade: -0.08, targetMs: 7, stop: false },
        { lengthM: 10, grade: 0, targetMs: 7, stop: false },
        { lengthM: 100, grade: -0.08, targetMs: 7, stop: false },
      ],
      1.2,
    );
    expect(broken.lines[0]?.value).to.deep.equal(['none that warms them']);
  });

  it('tips at g·d ÷ h, slower high up; two wheels have no such caution', () => {
    const trike = contextOf(world({ kind: 'deltaTrike', kit: 'linnet-f250', survey: { track: '700 mm' } })).geometry;
    const base = trike.frontAxle.x;
    const d = ((base - 0.4) * 0.35) / Math.hypot(base, 0.35);
    expect(tipDistance(trike, 0.4)).to.be.closeTo(d, 1e-9);
    const caution = tipCaution(trike, { xM: 0.4, hM: 0.8 });
    expect(phraseText(caution?.lines[0]?.value ?? [], 'metric')).to.equal(
      `${((G * d) / 0.8).toFixed(1)} m/s² sideways`,
    );
    const edge = (G * d * 5) / (12 / 3.6) ** 2;
    expect(tipCaution(trike, { xM: 0.4, hM: edge * 0.99 })?.state).to.equal('fine');
    expect(tipCaution(trike, { xM: 0.4, hM: edge * 1.01 })?.state).to.equal('care');
    expect(tipCaution(contextOf(world({})).geometry, { xM: 0.4, hM: 0.8 })).to.equal(null);
    const tadpole = contextOf(world({ kind: 'tadpoleTrike', kit: 'otter-r250' })).geometry;
    expect(tipDistance(tadpole, 0.8)).to.be.greaterThan(tipDistance(tadpole, 0.4));
  });
});

describe('where the weight stands', () => {
  it('moments of every mass add up; fittings ride with the motor', () => {
    const w = world({});
    const c = contextOf(w);
    const points = massPoints(w.build, c.geometry, {
      kit: w.kit,
      fittingsKg: 0.5,
      pack: { kg: 2, at: { x: 0.3, y: 0.5 } },
    });
    expect(points.map((p) => p.id)).to.deep.equal(['rider', 'vehicle', 'load', 'kit', 'pack']);
    expect(points.find((p) => p.id === 'kit')).to.deep.include({ kg: w.kit.massKg + 0.5, x: 0 });
    const loads = axleLoads(w.build, c.geometry, {
      kit: w.kit,
      fittingsKg: 0.5,
      pack: { kg: 2, at: { x: 0.3, y: 0.5 } },
    });
    const total = points.reduce((n, p) => n + p.kg, 0);
    expect(loads.totalKg).to.be.closeTo(total, 1e-9);
    expect(loads.xM).to.be.closeTo(points.reduce((n, p) => n + p.kg * p.x, 0) / total, 1e-9);
    expect(loads.hM).to.be.closeTo(points.reduce((n, p) => n + p.kg * p.h, 0) / total, 1e-9);
    expect(loads.frontKg * c.geometry.frontAxle.x).to.be.closeTo(total * loads.xM, 1e-6);
  });

  it('a front hub stands over the front axle, a mid-drive at the bracket', () => {
    const at = (kit: string) => {
      const w = world({ kit });
      const g = contextOf(w).geometry;
      return [
        massPoints(w.build, g, { kit: w.kit, fittingsKg: 0, pack: { kg: 0, at: null } }).find((p) => p.id === 'kit')?.x,
        g,
      ] as const;
    };
    const [front, g] = at('linnet-f250');
    expect(front).to.equal(g.frontAxle.x - g.rearAxle.x);
    expect(at('wren-m250')[0]).to.equal(at('wren-m250')[1].bracket.x);
  });

  it('what was weighed at the rear takes the place of what is reckoned of rider and vehicle', () => {
    const w = world({});
    measure(w, 'rearWheelShare', 60);
    const g = contextOf(w).geometry;
    const base = g.frontAxle.x - g.rearAxle.x;
    w.build.brief.cargoKg = 0;
    const loads = axleLoads(w.build, g, NOTHING_ADDED);
    // 75 and 15 kg, 60 of them behind.
    expect(loads.rearKg).to.be.closeTo(60, 1e-9);
    expect(loads.frontKg).to.be.closeTo(30, 1e-9);
    expect(loads.xM).to.be.closeTo((30 * base) / 90, 1e-9);
  });
});
