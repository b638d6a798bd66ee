import { ridesSpread } from '../vehicle/told.ts';
import { expect } from 'chai';
import fc from 'fast-check';
import { demoBuild } from '../../test/demoBuild.ts';
import { manyBuilds } from '../../test/manyBuilds.ts';
import type { Build } from '../build/build.ts';
import { conditionsSchema, type Conditions, type Proving, type Result } from '../build/proving.ts';
import { NORMAL_90 } from '../constants.ts';
import { packVolts } from '../pack/battery.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { stepLibrary } from '../work/steps/library.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { drawnRide, drawOf, runDraws, spreadInputs } from '../ride/spread.ts';
import { steadySpeed } from '../ride/steady.ts';
import { flatRoute } from '../ride/route.ts';
import { wiringOf } from '../wiring/wiring.ts';
import { bandOf, widened } from './band.ts';
import { chargeAtRest, systemOn, unsureOf } from './conditions.ts';
import { symptomIds } from './faults/symptoms.ts';
import { alone, asDriven, cruiseWatts, heldNoLoad, heldSpeed } from './foretold.ts';
import { drawnRides } from './foretoldRange.ts';
import { proofLibrary } from './library.ts';
import { noLoad } from './noLoad.ts';
import { bandsFrom, mayTry, proofSheet, readingSays, type ProofSheet } from './protocol.ts';
import { proofFacts } from './proofFacts.ts';
import { gateIds, type BandFrom } from './test.ts';

const day: Conditions = conditionsSchema.parse({});
const AT = '2026-05-02T10:00';

const contextOf = (build: Build) => planContext(build, starterShelf);
function sheetOf(build: Build): ProofSheet {
  const context = contextOf(build);
  const sheet = proofSheet(context, wiringOf(context)?.checks ?? []);
  if (!sheet) throw new Error('no sheet');
  return sheet;
}
const proving = (build: Build, more: Partial<Proving>): Build => ({ ...build, proving: { ...build.proving, ...more } });
const result = (test: string, more: Partial<Result> = {}): Result => ({
  id: `r-${test}-${more.id ?? ''}`,
  test,
  at: AT,
  by: '',
  conditions: day,
  readings: {},
  saw: null,
  note: '',
  witness: null,
  ...more,
});
function from(build: Build, conditions: Partial<Conditions> = {}): BandFrom {
  const context = contextOf(build);
  const facts = proofFacts(context);
  const made = facts && bandsFrom(context, facts, { ...day, ...conditions });
  if (!made) throw new Error('nothing foretold');
  return made;
}
/** Every test of the gates up to one, passed. */
function passedUpTo(build: Build, last: (typeof gateIds)[number]): Build {
  const sheet = sheetOf(build);
  const upTo = gateIds.slice(0, gateIds.indexOf(last) + 1);
  const wiring = {
    ...build.wiring,
    checks: Object.fromEntries(
      sheet.tests.flatMap((t) =>
        t.meter ? [[t.meter, { volts: t.readings[0]?.band?.mid ?? 0, on: '2026-05-02', of: null }]] : [],
      ),
    ),
  };
  const results = sheet.tests
    .filter((t) => t.meter === null && upTo.includes(t.gate))
    .map((t) =>
      result(t.id, {
        saw: t.sees?.[0]?.id ?? null,
        readings: Object.fromEntries(t.readings.map((r) => [r.id, r.band?.mid ?? 1])),
      }),
    );
  return proving({ ...build, wiring }, { results });
}

describe('what is foretold', () => {
  const trike = demoBuild('trike');

  it('the wheel in the air by hand: volts, shaft, wheel and both currents', () => {
    const { on } = from(trike);
    const found = noLoad(on.system, 1);
    const { motor, controller, vehicle, pack } = on.system;
    const kt = motor.ktNmPerA;
    const shaft =
      (found.volts - (motor.resistanceOhm * motor.coulombNm) / kt) /
      (kt + (motor.resistanceOhm * motor.viscousNmS) / kt);
    expect(found.shaftRadS).to.be.closeTo(shaft, 1e-9);
    expect(found.wheelRadS).to.be.closeTo(shaft / motor.reduction, 1e-9);
    expect(found.speedMs).to.be.closeTo((shaft / motor.reduction) * vehicle.wheelRadiusM, 1e-9);
    expect(found.motorA).to.be.closeTo((motor.coulombNm + motor.viscousNmS * shaft) / kt, 1e-9);
    // What goes in is what turns, heats and is lost in the controller.
    const watts =
      (kt * shaft * found.motorA + motor.resistanceOhm * found.motorA ** 2) / controller.efficiency +
      controller.standingW;
    expect(found.packA * found.volts).to.be.closeTo(watts, 1e-6);
    expect(found.openV).to.equal(packVolts(pack, 1));
    // The motor's own balance: volts = back-volts + R·I.
    expect(found.volts).to.be.closeTo(kt * shaft + motor.resistanceOhm * found.motorA, 1e-9);
  });

  it('a limit holds the wheel in the air, with the current of that speed', () => {
    const { on } = from(trike);
    const free = noLoad(on.system, 1);
    const limit = free.speedMs * 0.7;
    const held = heldNoLoad({
      ...on,
      system: { ...on.system, controller: { ...on.system.controller, assistLimitMs: limit } },
    });
    expect(held.limited).to.equal(true);
    expect(held.speedMs).to.equal(limit);
    expect(held.motorA).to.be.lessThan(free.motorA);
    const none = { ...on.system.controller, assistLimitMs: free.speedMs * 1.01 };
    expect(heldNoLoad({ ...on, system: { ...on.system, controller: none } }).limited).to.equal(false);
  });

  it('a mid-drive turns the wheel by its cog', () => {
    const { on } = from(demoBuild('gravel'));
    const { cogs } = on.system.vehicle;
    const small = noLoad(on.system, 1, Math.min(...cogs));
    const large = noLoad(on.system, 1, Math.max(...cogs));
    expect(small.speedMs / large.speedMs).to.be.closeTo(Math.max(...cogs) / Math.min(...cogs), 1e-9);
  });

  it('charge is read backwards off the volts at rest', () => {
    const { pack } = from(trike).on.system;
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), (s) => {
        expect(chargeAtRest(pack, packVolts(pack, s))).to.be.closeTo(s, 1e-6);
      }),
    );
    expect(chargeAtRest(pack, 1)).to.equal(0);
    expect(chargeAtRest(pack, 500)).to.equal(1);
  });

  it('conditions recorded stand in the vehicle of that day, and narrow what is unsure', () => {
    const context = contextOf(trike);
    const on = systemOn(context, {
      ...day,
      massKg: 150,
      headwindMs: 2,
      temperatureC: 3,
      surface: 'packedGravel',
      charge: 0.4,
      cog: 14,
    });
    const plan = systemOn(context, day);
    expect(on?.system.vehicle).to.include({ massKg: 150, fixedCog: 14 });
    expect(on?.system.vehicle.crr).to.be.closeTo((plan?.system.vehicle.crr ?? 0) + 0.005, 1e-12);
    expect(on?.system.air).to.include({ headwindMs: 2, temperatureC: 3 });
    expect(on?.charge).to.equal(0.4);
    const words = (c: Partial<Conditions>): string =>
      unsureOf({ ...day, ...c })
        .map((u) => u.words)
        .join(', ');
    expect(words({})).to.include('wind ±1.5 m/s').and.to.include('mass ±3 %');
    expect(words({ headwindMs: 0 })).to.include('wind ±0.7 m/s');
    expect(words({ massKg: 150 })).to.include('mass ±0.5 %');
    expect(words({ restV: 50 })).to.include('volts at rest ±0.5 %');
    const wide = heldSpeed(from(demoBuild('mixte')));
    const narrow = heldSpeed(from(demoBuild('mixte'), { headwindMs: 0, massKg: 95, temperatureC: 15 }));
    expect(narrow.high - narrow.low).to.be.lessThan(wide.high - wide.low);
  });

  it('adds what is unsure as squares, lays it to 10 and 90 %, and the instrument in quadrature', () => {
    const { on } = from(trike);
    const moved = (by: number) => (d: typeof on, z: number) => ({ ...d, charge: d.charge + by * z });
    const band = bandOf(
      { ...on, charge: 10 },
      [
        { id: 'load', words: 'a', moved: moved(0.3) },
        { id: 'wind', words: 'b', moved: moved(0.4) },
      ],
      (d) => d.charge,
      () => 1,
    );
    expect(band.mid).to.equal(10);
    expect(band.spread.p90 - 10).to.be.closeTo(NORMAL_90 * 0.5, 1e-12);
    expect(band.high - 10).to.be.closeTo(Math.hypot(NORMAL_90 * 0.5, 1), 1e-12);
    expect(10 - band.low).to.be.closeTo(band.high - 10, 1e-12);
    expect(band.causes.map((c) => c.words)).to.deep.equal(['b', 'a']);
  });

  it('a reading just inside passes, just outside asks; on the dangerous side it stops, on the harmless it passes', () => {
    const band = widened(10, 1, 0);
    expect(readingSays({ band }, 9)).to.deep.equal({ side: 'inside', verdict: 'pass' });
    expect(readingSays({ band }, 8.999)).to.deep.equal({ side: 'low', verdict: 'question' });
    expect(readingSays({ band }, 11)?.verdict).to.equal('pass');
    expect(readingSays({ band, stop: 'above' }, 11.001)).to.deep.equal({ side: 'high', verdict: 'stop' });
    expect(readingSays({ band, stop: 'above' }, 8.999)?.verdict).to.equal('question');
    expect(readingSays({ band, stop: 'below' }, 8.999)?.verdict).to.equal('stop');
    expect(readingSays({ band, stop: 'both' }, 11.001)?.verdict).to.equal('stop');
    expect(readingSays({ band, harmless: 'above' }, 11.001)).to.deep.equal({ side: 'high', verdict: 'pass' });
    expect(readingSays({ band: null }, 5)).to.equal(null);
  });

  it('rides drawn for a day fall between its 10 and 90 % four times in five, whatever the seed', () => {
    let inside = 0;
    let all = 0;
    for (const name of ['mixte', 'box', 'lockkeeper'] as const) {
      const f = from(demoBuild(name));
      const told = drawnRides(f, 200, 5);
      const brief = f.context.build.brief;
      const job = {
        start: { steepest: 0, rolling: 0, capGrade: 1, driven: 'rear' as const },
        system: f.on.system,
        route: brief.route ?? flatRoute,
        brief: { ...brief, route: null },
        seed: 99,
        told: ridesSpread(f.context.build),
      };
      for (const ride of runDraws(job, 0, 150)) {
        all += 1;
        if (ride.rangeM >= told.way.p10 && ride.rangeM <= told.way.p90) inside += 1;
      }
    }
    expect(inside / all).to.be.within(0.75, 0.85);
  });

  it('speeds of drawn vehicles fall between their 10 and 90 % four times in five', () => {
    // Nothing limits them: then it is the road that decides.
    const build = demoBuild('gravel');
    const f = from({ ...build, choice: { ...build.choice, assistLimitMs: 20 } }, { charge: 0.8 });
    const driven = asDriven(f);
    for (const grade of [0, 0.05]) {
      const band = heldSpeed({ ...f, unsure: f.unsure.filter((u) => u.id !== 'charge' && u.id !== 'wind') }, grade);
      const job = { system: driven.system, route: flatRoute, brief: { ...build.brief, route: null } };
      let inside = 0;
      for (let i = 0; i < 300; i++) {
        const draw = drawOf(3, i);
        for (const input of spreadInputs) if (input === 'windSpeed' || input === 'windDirection') draw[input] = 0;
        const v = steadySpeed(drawnRide(job, draw).system, grade, 0.8).speedMs;
        if (v >= band.spread.p10 && v <= band.spread.p90) inside++;
      }
      expect(inside / 300, `at ${grade}`).to.be.within(0.75, 0.85);
    }
  });

  it('watts at cruise are what the same speed takes by the ride’s own forces', () => {
    const { on } = from(trike);
    const still = alone(on);
    const v = 5;
    const watts = cruiseWatts(still, v);
    const { vehicle, air } = still.system;
    // At least the road’s own, and what a motor of fair efficiency makes of it.
    const road = (9.80665 * vehicle.massKg * vehicle.crr + 0.6 * vehicle.cdaM2 * (v + air.headwindMs) ** 2) * v;
    expect(watts).to.be.within(road * 1.05, road * 1.7);
    expect(cruiseWatts(still, 6)).to.be.greaterThan(watts);
    expect(cruiseWatts(still, 200)).to.be.NaN;
  });
});

describe('protocol', () => {
  it('has at least 45 tests, each name once, in gates that follow one another, each told', () => {
    expect(proofLibrary.length).to.be.at.least(45);
    expect(new Set(proofLibrary.map((t) => t.id)).size).to.equal(proofLibrary.length);
    const order = proofLibrary.map((t) => gateIds.indexOf(t.gate));
    expect(order).to.deep.equal([...order].sort((a, b) => a - b));
    for (const t of proofLibrary) {
      expect((t.sees?.length ?? 0) > 1 || t.reads !== undefined, t.id).to.equal(true);
      expect(t.how.length, t.id).to.be.greaterThan(3);
      expect(t.why.length, t.id).to.be.greaterThan(10);
      expect(t.outside.length, t.id).to.be.greaterThan(0);
      for (const o of t.outside) if (o.symptom) expect(symptomIds).to.include(o.symptom);
      if (t.sees) {
        expect(t.sees[0]?.is, t.id).to.equal('pass');
        expect(new Set(t.sees.map((s) => s.id)).size, t.id).to.equal(t.sees.length);
      }
    }
  });

  it('asks at least 45 of every kit on every donor, nothing that does not apply, brakes first and range last', () => {
    for (const build of [
      ...(['mixte', 'trike', 'box', 'lockkeeper', 'gravel'] as const).map(demoBuild),
      ...manyBuilds(),
    ]) {
      const context = contextOf(build);
      const sheet = proofSheet(context, []);
      if (!sheet) throw new Error('no sheet');
      expect(sheet.tests.length, context.kit?.id).to.be.at.least(45);
      const ids = sheet.tests.map((t) => t.id);
      expect(ids.includes('mid-firm')).to.equal(context.kit?.mid !== undefined);
      expect(ids.includes('throttle-ends')).to.equal(sheet.facts.throttle);
      expect(ids.includes('hinge')).to.equal(sheet.facts.hinge);
      expect(ids.includes('axle-marks')).to.equal(context.kit?.hub !== undefined);
      expect(ids.includes('cutoff-left')).to.equal(sheet.facts.cutoffs);
      expect(ids.includes('no-cutoffs')).to.equal(!sheet.facts.cutoffs);
      expect(sheet.tests[0]?.gate).to.equal('mechanical');
      expect(sheet.tests.at(-1)?.gate).to.equal('range');
      for (const t of sheet.tests)
        for (const r of t.readings)
          if (r.band) {
            expect(r.band.low, `${context.kit?.id} ${t.id} ${r.id}`).to.be.at.most(r.band.mid);
            expect(r.band.high, `${context.kit?.id} ${t.id} ${r.id}`).to.be.at.least(r.band.mid);
            expect(Number.isFinite(r.band.high + r.band.low), `${context.kit?.id} ${t.id} ${r.id}`).to.equal(true);
            expect(r.band.sum.length + (t.meter ? 1 : 0), t.id).to.be.greaterThan(0);
          }
    }
  });

  it('knows no test without a kit', () => {
    const build = demoBuild('mixte');
    expect(proofSheet(contextOf({ ...build, choice: { ...build.choice, kitId: null } }), [])).to.equal(null);
  });

  it('opens gate after gate, and a press passes none', () => {
    const build = demoBuild('mixte');
    const bare = sheetOf(proving(build, { results: [] }));
    expect(bare.gates[0]?.state).to.equal('open');
    expect(bare.gates.slice(1).every((g) => g.state === 'ahead')).to.equal(true);
    expect(bare.next).to.equal('front-brake');
    expect(mayTry(bare, 'no-load')).to.deep.include({ may: false, gate: 'mechanical' });
    expect(mayTry(bare, 'front-brake')).to.deep.equal({ may: true });
    expect(mayTry(bare, 'no such test').may).to.equal(false);
    const stood = sheetOf(passedUpTo(build, 'electrical'));
    expect(stood.gates.slice(0, 3).map((g) => g.state)).to.deep.equal(['through', 'through', 'open']);
    expect(mayTry(stood, 'no-load').may).to.equal(true);
    expect(mayTry(stood, 'top-full')).to.deep.include({ may: false, gate: 'stand' });
    const all = sheetOf(passedUpTo(build, 'range'));
    expect(all.next).to.equal(null);
    expect(all.gates.every((g) => g.state === 'through')).to.equal(true);
    expect(all.stops).to.deep.equal([]);
  });

  it('holds a gate at a stop until it is tried again, or gone past with a reason and somebody who stood by', () => {
    const build = passedUpTo(demoBuild('mixte'), 'range');
    const bad = result('front-brake', { id: 'bad', saw: 'gives' });
    const stopped = proving(build, { results: [...build.proving.results, bad] });
    const sheet = sheetOf(stopped);
    expect(sheet.gates[0]).to.deep.include({ state: 'held', by: ['front-brake'] });
    expect(sheet.stops).to.deep.equal(['front-brake']);
    expect(sheet.next).to.equal('front-brake');
    expect(sheet.most).to.equal('stand');
    expect(mayTry(sheet, 'use').may).to.equal(false);
    // What stopped decides how far it may be tried at all: brakes that do not hold on the hill leave a walking pace.
    const rolls = result('hill-hold', { id: 'rolls', saw: 'not' });
    const onHill = sheetOf(proving(build, { results: [...build.proving.results, rolls] }));
    expect([onHill.stops, onHill.most]).to.deep.equal([['hill-hold'], 'slow']);
    const test = sheet.tests.find((t) => t.id === 'front-brake');
    expect(test?.earlier).to.equal(1);
    expect(test?.means.map((m) => m.symptom)).to.include('brakesWeak');
    const past = {
      id: bad.id,
      test: 'front-brake',
      reason: 'walked home with it',
      at: AT,
      by: 'a',
      witness: { by: 'b', at: AT },
    };
    const gone = sheetOf(proving(stopped, { wentPast: [past] }));
    expect(gone.gates[0]?.state).to.equal('through');
    expect(gone.tests.find((t) => t.id === 'front-brake')?.state).to.equal('wentPast');
    // Another bad result is another matter.
    const again = proving(stopped, {
      results: [...stopped.proving.results, result('front-brake', { id: 'worse', saw: 'gives' })],
      wentPast: [past],
    });
    expect(sheetOf(again).stops).to.deep.equal(['front-brake']);
    const mended = proving(stopped, {
      results: [...stopped.proving.results, result('front-brake', { id: 'good', saw: 'holds' })],
    });
    expect(sheetOf(mended).stops).to.deep.equal([]);
  });

  it('an untried test wants a reason; one of safety somebody who stood by as well', () => {
    const build = demoBuild('mixte');
    const not = (id: string, witness: boolean) => ({
      id,
      reason: 'no scales at hand',
      at: AT,
      by: '',
      witness: witness ? { by: 'b', at: AT } : null,
    });
    const sheet = sheetOf(
      proving(build, { notTried: [not('weigh-in', false), not('front-brake', false), not('rear-brake', true)] }),
    );
    const state = (id: string) => sheet.tests.find((t) => t.id === id)?.state;
    expect(state('weigh-in')).to.equal('notTried');
    expect(state('front-brake')).to.equal('open');
    expect(state('rear-brake')).to.equal('notTried');
  });

  it('what is on the meter is what Wiring read, and crossed poles stop', () => {
    const build = demoBuild('mixte');
    const id = sheetOf(build).tests.find((t) => t.meter)?.meter ?? '';
    const at = (volts: number) =>
      sheetOf({
        ...build,
        wiring: { ...build.wiring, checks: { [id]: { volts, on: '2026-05-02', of: null } } },
      }).tests.find((t) => t.meter === id);
    const band = at(1)?.readings[0]?.band;
    expect(at(band?.mid ?? 0)?.state).to.equal('pass');
    expect(at((band?.high ?? 0) + 0.01)?.state).to.equal('stop');
    expect(at(-(band?.mid ?? 0))?.state).to.equal('stop');
    expect(at(band?.low ?? 0)?.state).to.equal('pass');
  });

  it('a band goes by the conditions of its own result, not by those of today', () => {
    const build = demoBuild('gravel');
    const read = result('rest-volts', { conditions: { ...day, charge: 0.5 }, readings: { volts: 47 } });
    const sheet = sheetOf(proving(build, { results: [read], day: { ...day, charge: 1 } }));
    const test = sheet.tests.find((t) => t.id === 'rest-volts');
    const { pack } = from(build).on.system;
    expect(test?.readings[0]?.band?.mid).to.be.closeTo(packVolts(pack, 0.5), 1e-9);
  });

  it('passes nothing that was read or seen in part, and what is amiss says so at once', () => {
    const build = demoBuild('mixte');
    const state = (results: Result[], id: string) =>
      sheetOf(proving(build, { results })).tests.find((t) => t.id === id);
    const band = (id: string, reading: string) =>
      sheetOf(build)
        .tests.find((t) => t.id === id)
        ?.readings.find((r) => r.id === reading)?.band;
    const speed = band('no-load', 'speed')?.mid ?? 0;
    const amps = band('no-load', 'amps');
    const half = result('no-load', { readings: { speed } });
    expect(state([half], 'no-load')?.state).to.equal('open');
    expect(state([half], 'no-load')?.result).to.deep.equal(half);
    expect(state([result('no-load', { readings: { speed, amps: amps?.mid ?? 0 } })], 'no-load')?.state).to.equal(
      'pass',
    );
    expect(state([result('no-load', { readings: { amps: (amps?.high ?? 0) * 1.5 } })], 'no-load')?.state).to.equal(
      'question',
    );
    // Volts read and the lamp not looked at, or the other way round.
    const volts = band('full-volts', 'volts')?.mid ?? 0;
    expect(state([result('full-volts', { readings: { volts } })], 'full-volts')?.state).to.equal('open');
    expect(state([result('full-volts', { saw: 'changed' })], 'full-volts')?.state).to.equal('open');
    expect(state([result('full-volts', { saw: 'changed', readings: { volts } })], 'full-volts')?.state).to.equal(
      'pass',
    );
    expect(state([result('full-volts', { saw: 'hot' })], 'full-volts')?.state).to.equal('stop');
  });

  it('adds up what is a sum, and lets it be read whole', () => {
    const build = demoBuild('mixte');
    const total = (readings: Record<string, number>) =>
      sheetOf(proving(build, { results: [result('weigh-in', { readings })] }))
        .tests.find((t) => t.id === 'weigh-in')
        ?.readings.find((r) => r.id === 'total')?.value;
    expect(total({ front: 30, rear: 65 })).to.equal(95);
    expect(total({ front: 30 })).to.equal(null);
    expect(total({ total: 96 })).to.equal(96);
  });

  it('a motor that never ran proves no cut-off', () => {
    const build = passedUpTo(demoBuild('mixte'), 'range');
    const sheet = sheetOf(
      proving(build, { results: [...build.proving.results, result('cutoff-left', { id: 'x', saw: 'dead' })] }),
    );
    expect(sheet.stops).to.deep.equal(['cutoff-left']);
  });

  it('a wind that was looked at counts as none where it is ridden both ways, and narrows the band', () => {
    const build = demoBuild('mixte');
    const band = (id: string, headwindMs: number | null) =>
      sheetOf(proving(build, { results: [result(id, { conditions: { ...day, headwindMs } })] }))
        .tests.find((t) => t.id === id)
        ?.readings.find((r) => r.id === 'speed')?.band;
    expect(band('top-full', 4)?.mid).to.equal(band('top-full', 0)?.mid);
    expect(band('hill-run', 4)?.mid).to.be.lessThan(band('hill-run', 0)?.mid ?? 0);
    expect(band('hill-run', 4)?.mid).to.not.equal(band('hill-run', null)?.mid);
  });

  it('a stop that nothing was foretold of, its brakes not looked at, asks and does not pass', () => {
    const plain = demoBuild('mixte');
    const survey = { ...plain.donor.survey };
    delete survey.frontBrake;
    const build = { ...plain, donor: { ...plain.donor, survey } };
    const test = (b: Build) =>
      sheetOf(proving(b, { results: [result('stop-15', { readings: { way: 3 } })] })).tests.find(
        (t) => t.id === 'stop-15',
      );
    expect(test(plain)?.state).to.equal('pass');
    expect(test(build)?.readings[0]).to.deep.include({ band: null, value: 3, verdict: 'question' });
    expect(test(build)?.state).to.equal('question');
    expect(test(build)?.means.at(-1)?.words).to.match(/measure what it goes by/);
  });

  it('a result of a battery that is gone passes nothing', () => {
    const build = proving(demoBuild('mixte'), { results: [result('top-full', { readings: { speed: 6.8 } })] });
    const bare = { ...build, choice: { ...build.choice, packId: null } };
    expect(sheetOf(bare).tests.find((t) => t.id === 'top-full')?.state).to.equal('open');
  });

  it('names only parts, tools and places there are, and no step twice', () => {
    expect(new Set(stepLibrary.map((s) => s.id)).size).to.equal(stepLibrary.length);
    const {
      parts: { spots },
    } = planChosen(contextOf(demoBuild('trike')));
    for (const t of sheetOf(demoBuild('trike')).tests)
      expect(t.place === 'bench' || t.place in spots, `${t.id} ${t.place}`).to.equal(true);
  });
});
