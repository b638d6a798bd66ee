import { expect } from 'chai';
import fc from 'fast-check';
import { usualRider, usualTrailer, type Trailer } from '../build/brief.ts';
import { judgeAbout } from '../fit/judge.ts';
import { planContext } from '../plan/context.ts';
import { rideSheet } from '../plan/rideSheet.ts';
import { phraseText } from '../quantity/format.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { contextOf, measure, world } from '../../test/world.ts';
import { deceleration, stoppingOf } from './stopping.ts';
import { startCap } from './starting.ts';
import { OVERRUN_SHARE, trailerLoads, trailerPush, turningRoom } from './trailer.ts';

const G = 9.80665;
const trailer = (change: Partial<Trailer> = {}): Trailer => ({ ...usualTrailer(), loadKg: 40, ...change });

describe('a trailer by itself', () => {
  it('presses on its coupling by moments about its axle, and the rest stands on its wheels', () => {
    const t = trailer({ massKg: 10, loadKg: 40, drawbarM: 1, loadAheadM: 0.1 });
    const loads = trailerLoads(t, 0);
    expect(loads.hitchKg).to.be.closeTo(40 * 0.1 + 10 * 0.05, 1e-12);
    expect(loads.massKg).to.equal(50);
    expect(loads.hitchKg + loads.axleKg).to.be.closeTo(50, 1e-12);
    // A pack in it is part of its load.
    expect(trailerLoads(t, 20).hitchKg - loads.hitchKg).to.be.closeTo(2, 1e-12);
  });

  it('pushes with m·(a + g·sin θ − g·Crr·cos θ), a part of it sideways in a bend, less what brakes itself', () => {
    const t = trailer();
    const loads = trailerLoads(t, 0);
    const angle = Math.atan(0.08);
    const push = trailerPush(t, loads, 500, 3, 0.08, 0.008);
    const by = loads.massKg * (3 + G * (Math.sin(angle) - 0.008 * Math.cos(angle)));
    expect(push.pushN).to.be.closeTo(by, 1e-9);
    expect(push.sidewaysN).to.be.closeTo(by / 2, 1e-9);
    expect(push.holdsN).to.be.closeTo(200, 1e-9);
    expect(push.steadyN).to.be.closeTo(loads.massKg * G * (Math.sin(angle) - 0.008 * Math.cos(angle)), 1e-9);
    expect(trailerPush(t, loads, 500, 0, 0, 0.008).steadyN).to.equal(0);
    const braked = trailerPush({ ...t, brake: 'overrun' }, loads, 500, 3, 0.08, 0.008);
    expect(braked.pushN).to.be.closeTo(by * (1 - OVERRUN_SHARE), 1e-9);
  });

  it('cuts in by the circles of front wheel, rear wheel, coupling and its own axle', () => {
    const t = trailer({ drawbarM: 0.9, hitchBackM: 0.1, widthM: 0.7 });
    const lock = (40 * Math.PI) / 180;
    const rear = 1.1 / Math.tan(lock);
    const behind = Math.sqrt(rear ** 2 + 0.01 - 0.81);
    const room = turningRoom(1.1, t);
    expect(room.outerM).to.be.closeTo(1.1 / Math.sin(lock), 1e-12);
    expect(room.cutInM).to.be.closeTo(rear - behind, 1e-12);
    expect(room.wideM).to.be.closeTo(room.outerM - behind + 0.35, 1e-12);
    // A drawbar longer than the turn folds: its axle stands still in the middle.
    expect(turningRoom(1.1, { ...t, drawbarM: 3 }).innerM).to.be.closeTo(-0.35, 1e-12);
  });
});

describe('a trailer behind a bicycle', () => {
  const behind = (change: Partial<Trailer> = {}) => {
    const w = world({ survey: { frontBrake: 'rim', rearBrake: 'rim' } });
    w.build.brief.trailer = trailer(change);
    return w;
  };

  it('adds to all that moves, and to the bicycle’s wheels no more than what presses on the coupling', () => {
    const alone = contextOf(world({}));
    const towing = contextOf(behind());
    expect(towing.systemMassKg - alone.systemMassKg).to.be.closeTo(50, 1e-9);
    expect(towing.onWheelsKg - alone.onWheelsKg).to.be.closeTo(towing.trailer?.hitchKg ?? NaN, 1e-9);
    expect(towing.axleLoads.totalKg).to.be.closeTo(towing.onWheelsKg, 1e-9);
    // 46 kg behind once gave the front wheel −0.8 kg.
    expect(towing.axleLoads.frontKg).to.be.greaterThan(alone.axleLoads.frontKg * 0.95);
    expect(towing.axleLoads.rearKg).to.be.greaterThan(alone.axleLoads.rearKg);
  });

  it('its loads balance whatever it weighs and wherever it is coupled', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 150, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        fc.double({ min: -0.5, max: 1, noNaN: true }),
        fc.double({ min: -0.6, max: 0.8, noNaN: true }),
        (massKg, loadKg, loadAheadM, hitchBackM) => {
          const c = contextOf(behind({ massKg, loadKg, loadAheadM, hitchBackM }));
          const { frontKg, rearKg, totalKg } = c.axleLoads;
          expect(frontKg + rearKg).to.be.closeTo(totalKg, 1e-6);
          expect(totalKg + (c.trailer?.axleKg ?? 0)).to.be.closeTo(c.systemMassKg, 1e-6);
        },
      ),
      { numRuns: 50 },
    );
  });

  it('rolls on its own tyres, by the load on its axle', () => {
    const system = (change: Partial<Trailer>) => contextOf(behind(change)).reckoning?.system.vehicle;
    const narrow = system({ tyre: { beadM: 0.622, widthM: 0.037 } });
    const fat = system({ tyre: { beadM: 0.406, widthM: 0.1 } });
    // City tyres on both come to the city tyre's figure.
    expect(narrow?.crr).to.be.closeTo(0.007, 1e-12);
    const c = contextOf(behind({}));
    const share = (c.trailer?.axleKg ?? NaN) / c.systemMassKg;
    expect(fat?.crr).to.be.closeTo(0.007 * (1 - share) + 0.013 * share, 1e-9);
    expect(system({ wheels: 2 })?.rotatingKg).to.be.closeTo((system({ wheels: 1 })?.rotatingKg ?? NaN) + 0.5, 1e-12);
    expect((system({ cdaM2: 0.3 })?.cdaM2 ?? NaN) - (system({ cdaM2: 0.1 })?.cdaM2 ?? NaN)).to.be.closeTo(0.2, 1e-12);
  });

  it('lengthens the stop, less so where it brakes itself, and no brake grips more than its wheels carry', () => {
    const stop = (brake: Trailer['brake'] | null) => {
      const w = brake ? behind({ brake }) : world({ survey: { frontBrake: 'rim', rearBrake: 'rim' } });
      const { stopping } = contextOf(w);
      if (!stopping) throw new Error('no brakes');
      return deceleration(stopping).wet;
    };
    expect(stop('none')).to.be.below(stop('overrun'));
    expect(stop('overrun')).to.be.below(stop(null) + 1e-9);
    const discs = { front: 'discCable', rear: 'discCable', chromed: { front: false, rear: false } } as const;
    const loads = { massKg: 80, hitchKg: 5, axleKg: 75 };
    const heavy = stoppingOf(discs, 160, { xM: 0.5, hM: 0.9 }, 1.1, { brake: 'none', loads });
    // Wet: 0.4·g on 85 of 160 kg.
    expect(deceleration(heavy).wet).to.be.closeTo(0.4 * G * (85 / 160), 1e-9);
  });

  it('takes its share of a start: the pull of both on the grip of one, and back at the coupling’s height', () => {
    const at = { xM: 0.45, hM: 1.05 };
    const alone = startCap(at, 1.05, 'front', 0, 0.7);
    const towing = startCap(at, 1.05, 'front', 0, 0.7, { share: 0.5, rolling: 0, upM: 0.35 });
    expect(towing.grade).to.be.below(alone.grade);
    // Front drive: tanθ·(1 + s)·L = μ·(x − h·tanθ − s·u·tanθ).
    const tan = (0.7 * 0.45) / (1.5 * 1.05 + 0.7 * (1.05 + 0.5 * 0.35));
    expect(towing.grade).to.be.closeTo(tan, 1e-5);
    // Rear drive: the wheel lifts where x·cosθ = h·sinθ + s·u·sinθ.
    const lift = startCap(at, 1.05, 'rear', 0, 5, { share: 0.5, rolling: 0, upM: 0.35 });
    expect(lift.limit).to.equal('the front wheel lifts');
    expect(lift.grade).to.be.closeTo(0.45 / (1.05 + 0.5 * 0.35), 1e-5);
  });

  it('is a caution of its own on the ride sheet, with its numbers', () => {
    const sheet = rideSheet(contextOf(behind({ loadKg: 60 })));
    const caution = sheet?.cautions.find((c) => c.id === 'trailer');
    expect(caution?.lines.map((l) => l.label)).to.include('presses on its coupling');
    expect(phraseText(caution?.lines[0]?.value ?? [], 'metric')).to.match(/kg$/);
    expect(rideSheet(contextOf(world({})))?.cautions.some((c) => c.id === 'trailer')).to.equal(false);
    // Tail-heavy it lifts the rear wheel: not ridden so.
    expect(
      rideSheet(contextOf(behind({ loadAheadM: -0.2 })))?.cautions.find((c) => c.id === 'trailer')?.state,
    ).to.equal('stop');
  });

  it('carries the pack that lies on it: off the bicycle’s wheels, in the trailer’s load', () => {
    const w = behind({ loadKg: 0 });
    w.build.choice.packId = 'ballast-36-18-pb';
    w.build.choice.packPlace = 'trailer';
    const c = planContext(w.build, starterShelf);
    expect(c.added.pack.towed).to.equal(true);
    expect(c.trailer?.massKg).to.be.closeTo(10 + (c.pack?.massKg ?? NaN), 1e-9);
    const { rearKg } = c.axleLoads;
    w.build.choice.packPlace = 'rack';
    const onRack = planContext(w.build, starterShelf);
    expect(onRack.trailer?.massKg).to.equal(10);
    expect(onRack.axleLoads.rearKg).to.be.greaterThan(rearKg + 5);
    expect(onRack.systemMassKg).to.be.closeTo(c.systemMassKg, 1e-9);
    // It does not lean on the stand either.
    measure(w, 'standLimit', 25);
    expect(
      judgeAbout('kit', planContext(w.build, starterShelf)).findings.find((f) => f.rule === 'stand-load')?.verdict,
    ).to.equal('rework');
    w.build.choice.packPlace = 'trailer';
    expect(
      judgeAbout('kit', planContext(w.build, starterShelf)).findings.find((f) => f.rule === 'stand-load')?.verdict,
    ).to.equal('fits');
  });

  it('counts against no limit of the bicycle’s but by its coupling', () => {
    const w = behind({ loadKg: 40 });
    measure(w, 'loadLimit', contextOf(w).onWheelsKg + 1);
    expect(contextOf(w).systemMassKg).to.be.greaterThan(contextOf(w).onWheelsKg + 40);
  });
});

describe('everybody aboard', () => {
  const tandem = (second: boolean) => {
    const w = world({ kind: 'tandem' });
    w.build.brief.riders.push({ ...usualRider(), name: 'Stoker', massKg: 61, effort: 'steady' });
    if (second) w.build.brief.aboard.push({ rider: 1, seat: 'second', pedals: true });
    return w;
  };

  it('weighs, and pedals where there are cranks', () => {
    const one = contextOf(tandem(false));
    const two = contextOf(tandem(true));
    expect(two.systemMassKg - one.systemMassKg).to.be.closeTo(61, 1e-9);
    expect(one.reckoning?.system.rider.powerW).to.equal(50);
    expect(two.reckoning?.system.rider.powerW).to.equal(150);
    const w = tandem(true);
    const [, stoker] = w.build.brief.aboard;
    if (stoker) stoker.pedals = false;
    expect(contextOf(w).reckoning?.system.rider.powerW).to.equal(50);
  });

  it('sits where the seat is: captain ahead, stoker behind, a child over the rack', () => {
    const two = contextOf(tandem(true)).axleLoads;
    const one = contextOf(tandem(false)).axleLoads;
    expect(two.frontKg / two.totalKg).to.be.below(one.frontKg / one.totalKg);
    const city = world({});
    const without = contextOf(city).axleLoads;
    city.build.brief.riders.push({ ...usualRider(), name: 'Child', massKg: 16 });
    city.build.brief.aboard.push({ rider: 1, seat: 'childBehind', pedals: true });
    const c = contextOf(city);
    expect(c.axleLoads.rearKg - without.rearKg).to.be.greaterThan(12);
    // Nobody pedals in a child's seat, whatever was said, and it drags 0.05 m².
    expect(c.reckoning?.system.rider.powerW).to.equal(50);
    expect(
      (c.reckoning?.system.vehicle.cdaM2 ?? NaN) - (contextOf(world({})).reckoning?.system.vehicle.cdaM2 ?? NaN),
    ).to.be.closeTo(0.05, 1e-12);
  });

  it('goes less far with two who do not pedal, and stops later', () => {
    const w = tandem(true);
    const [, stoker] = w.build.brief.aboard;
    if (stoker) stoker.pedals = false;
    const [one, two] = [contextOf(tandem(false)), contextOf(w)];
    expect(two.reckoning?.toEmpty.distanceM ?? NaN).to.be.below(one.reckoning?.toEmpty.distanceM ?? NaN);
    const wet = (c: typeof one): number => (c.stopping ? deceleration(c.stopping).wet : NaN);
    expect(wet(two)).to.be.below(wet(one));
  });

  it('on a delta trike with a seat to sit in sits lower than on its saddle', () => {
    const of = (survey: Record<string, string>) =>
      contextOf(world({ kind: 'deltaTrike', kit: 'linnet-f250', survey })).axleLoads.hM;
    const saddle = of({ seatKind: 'saddle' });
    expect(of({ seatKind: 'seat', seatHeight: '480 mm' })).to.be.below(saddle - 0.1);
    expect(of({ seatKind: 'seat', seatHeight: '580 mm' })).to.be.greaterThan(
      of({ seatKind: 'seat', seatHeight: '480 mm' }),
    );
  });

  it('an empty place and a rider no longer listed count nothing', () => {
    const w = world({});
    w.build.brief.aboard.push({ rider: 5, seat: 'second', pedals: true });
    expect(contextOf(w).systemMassKg).to.equal(contextOf(world({})).systemMassKg);
  });
});
