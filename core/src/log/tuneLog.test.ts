import { expect } from 'chai';
import { demoBuild } from '../../test/demoBuild.ts';
import type { Build } from '../build/build.ts';
import { entriesOf, loggedRideSchema, logEntrySchema, type LoggedRide } from '../build/log.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { rideJob } from '../plan/rideSheet.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { systemOf } from '../vehicle/system.ts';
import { untold } from '../vehicle/told.ts';
import { rideRoadOf, type RideRoad } from './rideRoad.ts';
import { tellingRide, toldOf, narrowed } from './tells.ts';
import { SURE_HOME, todayOn, type Day } from './today.ts';
import { beliefBefore, energyOf } from './tune.ts';
import { usualPrior } from './tuneLab.ts';
import { changed, tuneLogInSteps, type LogTuning } from './tuneLog.ts';

const told = (build: Build): LogTuning => {
  const steps = tuneLogInSteps(planContext(build, starterShelf));
  let last = 0;
  for (;;) {
    const step = steps.next();
    if (step.done) {
      if (!step.value) throw new Error('nothing to ride');
      return step.value;
    }
    expect(step.value).to.be.within(0, 1);
    expect(step.value).to.be.at.least(last - 1e-9);
    last = step.value;
  }
};
const bare = (name: Parameters<typeof demoBuild>[0]): Build => {
  const build = demoBuild(name);
  return { ...build, log: { ...build.log, entries: [] }, tuned: { ...build.tuned, rides: null } };
};
const keeper = bare('lockkeeper');
const nominalOf = (build: Build) => {
  const context = planContext(untold(build), starterShelf);
  return systemOf(context.build, context.asItWillBe);
};
const nominal = nominalOf(keeper);
const ride = (id: string, more: object = {}): LoggedRide =>
  loggedRideSchema.parse({
    kind: 'ride',
    id,
    at: `2026-05-${id.padStart(2, '0')}T08:00`,
    from: 'meter',
    distanceM: 19_955,
    timeS: 0,
    energyWh: 150,
    headwindMs: 0,
    temperatureC: 15,
    massKg: nominal.vehicle.massKg,
    ownRoad: true,
    ...more,
  });
const road = (r: LoggedRide, build = keeper): RideRoad => {
  const found = rideRoadOf(build, nominal, r);
  if (!found) throw new Error('no road');
  return found;
};
const logged = (...entries: Build['log']['entries']): Build => ({ ...keeper, log: { ...keeper.log, entries } });
const job = { system: nominal, fine: true };
/** Rides as they are with the unknowns at a truth. */
const rides = (truth: number[], count: number, odd = -1): LoggedRide[] =>
  Array.from({ length: count }, (_, i) => {
    const r = ride(String(i + 1), {
      headwindMs: (i % 3) - 1,
      ...(i % 2 === 0 ? {} : { ownRoad: false, distanceM: 8000, climbM: 60 }),
    });
    return { ...r, energyWh: energyOf(job, road(r).ride, truth) * (i === odd ? 1.35 : 1) };
  });

describe('a ride’s road', () => {
  it('is the build’s own, one way or both, its track, or its way and rise', () => {
    const of = (more: object): string => road(ride('1', more)).from;
    expect(of({})).to.equal('own road');
    expect(of({ distanceM: 9977 })).to.equal('own road, one way');
    expect(of({ distanceM: 19_955 * 1.11 })).to.equal('own road');
    expect(of({ distanceM: 19_955 * 1.13, climbM: 40 })).to.equal('its way and rise');
    expect(of({ ownRoad: false })).to.equal('its way, taken as flat');
    expect(
      of({
        ownRoad: false,
        profile: [
          [0, 10],
          [500, 40],
          [9000, 10],
        ],
      }),
    ).to.equal('its track');
    expect(rideRoadOf(keeper, nominal, ride('1', { distanceM: 999 }))).to.equal(null);
    expect(rideRoadOf(keeper, nominal, ride('1', { distanceM: 1000, ownRoad: false }))).not.to.equal(null);
  });

  it('is ridden as fast as it was, carries what was aboard, and is the less known the less was looked at', () => {
    const slow = road(ride('1', { movingS: 19_955 / 4 }));
    const fast = road(ride('1', { movingS: 19_955 / 6 }));
    expect(energyOf(job, slow.ride, [0, 0, 0, 0])).to.be.lessThan(energyOf(job, fast.ride, [0, 0, 0, 0]));
    expect(road(ride('1', { massKg: nominal.vehicle.massKg + 12 })).ride.loadKg).to.be.closeTo(12, 1e-9);
    expect(road(ride('1', { massKg: null, loadKg: 7 })).ride.loadKg).to.equal(7);
    expect(road(ride('1', { headwindMs: null, massKg: null })).daySd).to.be.greaterThan(road(ride('1')).daySd);
    expect(road(ride('1', { ownRoad: false })).daySd).to.be.at.least(0.12);
    const more = energyOf(job, road(ride('1')).windier(6), [0, 0, 0, 0]);
    expect(more).to.be.greaterThan(energyOf(job, road(ride('1')).ride, [0, 0, 0, 0]));
  });
});

describe('a log’s tuning', () => {
  it('narrows the forecast and comes to the truth', () => {
    const truth = [0.05, 0.1, -0.15, 0];
    const build = logged(...rides(truth, 10));
    const found = told(build);
    expect([found.count, found.odd]).to.deep.equal([10, 0]);
    const width = narrowed(planContext(build, starterShelf), found.belief);
    expect(width?.now).to.be.lessThan((width?.before ?? 0) / 2);
    const own = road(ride('1'));
    expect(energyOf(job, own.ride, found.belief.at) / energyOf(job, own.ride, truth)).to.be.closeTo(1, 0.02);
    expect(found.ridden?.packId).to.equal('loaf-36-17');
    expect(found.ridden?.count).to.equal(10);
  });

  it('explains an odd ride by what is likeliest, keeps it out, and in when told', () => {
    const all = rides([0, 0, 0, 0], 9, 6);
    const found = told(logged(...all));
    const odd = found.rides[6];
    expect(odd?.told?.odd).to.equal(true);
    expect(found.odd).to.equal(1);
    expect(odd?.reasons.map((r) => r.id)).to.include('tyre');
    for (let i = 1; i < (odd?.reasons.length ?? 0); i++)
      expect(odd?.reasons[i]?.takes).to.be.at.least(odd?.reasons[i - 1]?.takes ?? 0);
    const kept = told(logged(...all.map((r, i) => (i === 6 ? { ...r, counts: true } : r))));
    expect(kept.count).to.equal(9);
    const out = told(logged(...all.map((r, i) => (i === 2 ? { ...r, counts: false } : r))));
    expect(out.rides[2]?.not).to.match(/by hand/);
    expect(out.rides[2]?.told?.odd).to.equal(false);
  });

  it('says why a ride tells nothing', () => {
    const found = told(logged(ride('1', { energyWh: null }), ride('2', { distanceM: 300 }), ride('3')));
    expect(found.rides.map((r) => r.not)).to.deep.equal(['no energy was read', 'too short to tell anything', null]);
    expect(found.count).to.equal(1);
    expect(told(logged()).ridden).to.equal(null);
  });

  it('a change splits the log for what it touches alone', () => {
    const belief = {
      at: [0.1, 0.2, 0.3, 0],
      cov: [
        [0.001, 0.0005, 0, 0],
        [0.0005, 0.001, 0, 0],
        [0, 0, 0.001, 0],
        [0, 0, 0, 0.0009],
      ],
    };
    const after = changed(belief, ['crr']);
    expect(after.at).to.deep.equal([0.1, 0, 0.3, 0]);
    expect(after.cov[1]).to.deep.equal([0, usualPrior.crr ** 2, 0, 0]);
    expect(after.cov[0]).to.deep.equal([0.001, 0, 0, 0]);
    // After a tyre that rolls much easier the old rides would mislead; split there, they do not.
    const before = rides([0, 0.25, 0, 0], 8);
    const later = rides([0, -0.25, 0, 0], 8).map((r, i) => ({
      ...r,
      id: `n${i}`,
      at: `2026-06-${String(i + 1).padStart(2, '0')}T08:00`,
    }));
    const change = logEntrySchema.parse({
      kind: 'change',
      id: 'c',
      at: '2026-05-30T08:00',
      of: 'part',
      what: 'Rear tyre',
      touches: ['crr'],
    });
    const split = told(logged(...before, change, ...later));
    expect(split.belief.at[1]).to.be.lessThan(-0.1);
    expect(split.splits.map((s) => s.what)).to.deep.equal(['Rear tyre']);
    expect(split.odd).to.equal(0);
  });

  it('tells nothing without kit and pack', () => {
    const steps = tuneLogInSteps(
      planContext({ ...logged(ride('1')), choice: { ...keeper.choice, kitId: null } }, starterShelf),
    );
    expect(steps.next()).to.deep.equal({ value: null, done: true });
  });
});

describe('what rides leave open', () => {
  const build = demoBuild('box');
  const context = planContext(build, starterShelf);
  it('goes into every figure: range’s band, drawn rides, and says from how many rides', () => {
    const plain = planContext(untold(build), starterShelf);
    expect(context.band?.causes.map((c) => c.label)).to.include('vehicle and legs, from 53 rides');
    expect(Math.log((context.band?.highM ?? 1) / (context.band?.lowM ?? 1))).to.be.lessThan(
      Math.log((plain.band?.highM ?? 1) / (plain.band?.lowM ?? 1)),
    );
    expect(rideJob(context)?.job.told?.rides).to.equal(53);
    expect(rideJob(plain)?.job.told).to.equal(undefined);
    const factor = Math.exp(build.tuned.rides?.at[1] ?? 0);
    expect(context.reckoning?.system.vehicle.crr).to.be.closeTo(
      (plain.reckoning?.system.vehicle.crr ?? 0) * factor,
      1e-12,
    );
  });

  it('health is told of the battery the rides were ridden with, and of no other', () => {
    const health = (b: Build): number | undefined => planContext(b, starterShelf).reckoning?.system.pack.health;
    const rides = build.tuned.rides;
    if (!rides) throw new Error();
    const worn = { ...build, tuned: { ...build.tuned, rides: { ...rides, at: [0, 0, 0, -0.1] } } };
    expect(health(worn)).to.be.closeTo(Math.exp(-0.1), 1e-9);
    expect(health({ ...worn, choice: { ...worn.choice, packId: 'hearth-36-15-lfp' } }) ?? 1).to.equal(1);
  });

  it('says what they cannot tell, and names a ride that would narrow it', () => {
    const first = beliefBefore(usualPrior);
    expect(toldOf(first).every((t) => t.open)).to.equal(true);
    const ride = tellingRide(context, first);
    expect(ride?.after).to.be.lessThan((ride?.now ?? 0) * 0.92);
    const known = { at: [0, 0, 0, 0], cov: first.cov.map((r) => r.map((x) => x * 1e-4)) };
    expect(toldOf(known).some((t) => t.open)).to.equal(false);
    expect(tellingRide(context, known)).to.equal(null);
  });
});

describe('today', () => {
  const context: PlanContext = planContext(demoBuild('box'), starterShelf);
  const day: Day = { temperatureC: 15, windMs: 0, windFrom: null, loadKg: 0, charge: 1, looked: true };
  it('a full battery goes there and back, a nearly empty one says where to turn', () => {
    const full = todayOn(context, day, 40);
    expect(full?.chance).to.equal(1);
    expect(full?.turnBackM).to.equal(null);
    const low = todayOn(context, { ...day, charge: 0.45 }, 40);
    expect(low?.chance).to.be.lessThan(SURE_HOME);
    expect(low?.turnBackM).to.be.within(100, (low?.roadM ?? 0) / 2);
    const lower = todayOn(context, { ...day, charge: 0.38 }, 40);
    expect(lower?.turnBackM ?? 0).to.be.lessThan(low?.turnBackM ?? 0);
  });

  it('a road longer than the battery is turned on well before its far end, by what the way home takes', () => {
    const box = demoBuild('box');
    const { route } = box.brief;
    if (!route) throw new Error();
    // Level, four times as far as it goes: half of what is sure lies out.
    const points = [0, 20_000, 40_000].map((distanceM) => ({ distanceM, elevationM: 0 }));
    const far = planContext(
      { ...box, brief: { ...box.brief, headwindMs: 0, windFrom: null, route: { ...route, points, stretches: [] } } },
      starterShelf,
    );
    const told = todayOn(far, day, 60);
    expect(told?.chance).to.equal(0);
    expect(told?.rangeM.p90).to.be.lessThan(40_000);
    expect(told?.turnBackM ?? 0).to.be.within((told?.rangeM.p10 ?? 0) * 0.42, (told?.rangeM.p10 ?? 0) * 0.52);
  });

  it('load, cold and wind take from it; the same day gives the same answer', () => {
    const left = (more: Partial<Day>): number => todayOn(context, { ...day, ...more }, 30)?.rangeM.p50 ?? 0;
    for (const worse of [{ loadKg: 40 }, { temperatureC: -10 }, { windMs: 8 }])
      expect(left(worse)).to.be.lessThan(left({}));
    expect(todayOn(context, day, 20)).to.deep.equal(todayOn(context, day, 20));
    const wide = todayOn(context, { ...day, looked: false }, 60)?.energyWh;
    const sure = todayOn(context, day, 60)?.energyWh;
    expect((wide?.p90 ?? 0) / (wide?.p10 ?? 1)).to.be.greaterThan((sure?.p90 ?? 0) / (sure?.p10 ?? 1));
  });

  it('is silent where nothing can be ridden', () => {
    const build = demoBuild('box');
    expect(
      todayOn(planContext({ ...build, choice: { ...build.choice, packId: null } }, starterShelf), day, 5),
    ).to.equal(null);
    expect(entriesOf(build.log, 'ride').length).to.equal(54);
  });
});
