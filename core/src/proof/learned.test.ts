import { expect } from 'chai';
import { inverse, Matrix } from 'ml-matrix';
import { demoBuild } from '../../test/demoBuild.ts';
import type { Build } from '../build/build.ts';
import {
  conditionsSchema,
  usualProving,
  type Coast,
  type Conditions,
  type Proving,
  type Result,
} from '../build/proving.ts';
import { GRAVITY } from '../constants.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { airDensity } from '../ride/roadLoad.ts';
import type { RideSystem } from '../ride/system.ts';
import { fitCoasts } from './coast.ts';
import { systemOn } from './conditions.ts';
import { repairs } from './faults/data.ts';
import { seeded } from '../quantity/random.ts';
import { proofFacts } from './proofFacts.ts';
import { likelierBy, searchOf } from './proofTells.ts';
import { proofSheet, type ProofSheet } from './protocol.ts';
import { repairTaken } from './repairTaken.ts';
import { commonCauses, together } from './together.ts';
import { tuningOf } from './tune.ts';

const day: Conditions = conditionsSchema.parse({});
const AT = '2026-05-02T10:00';
const contextOf = (build: Build) => planContext(build, starterShelf);
function sheetOf(build: Build): ProofSheet {
  const sheet = proofSheet(contextOf(build), []);
  if (!sheet) throw new Error('no sheet');
  return sheet;
}
const proving = (build: Build, more: Partial<Proving>): Build => ({ ...build, proving: { ...build.proving, ...more } });
const result = (test: string, readings: Record<string, number>, conditions: Partial<Conditions> = {}): Result => ({
  id: `r-${test}`,
  test,
  at: AT,
  by: '',
  conditions: { ...day, ...conditions },
  readings,
  saw: null,
  note: '',
  witness: null,
});
/** A mid-drive with a throttle and no limit: then every reading can move. */
function free(): Build {
  const build = demoBuild('gravel');
  return {
    ...build,
    proving: usualProving(),
    choice: { ...build.choice, assistLimitMs: 20, usesThrottle: true },
  };
}

/** Middle of a reading's band on a build. */
function middle(build: Build, test: string, reading: string): number {
  const band = sheetOf(build)
    .tests.find((t) => t.id === test)
    ?.readings.find((r) => r.id === reading)?.band;
  if (!band) throw new Error(`no band for ${test}`);
  return band.mid;
}

describe('results judged together', () => {
  const asked: [string, string][] = [
    ['no-load', 'speed'],
    ['no-load', 'amps'],
    ['top-full', 'speed'],
    ['hill-run', 'speed'],
    ['sag', 'volts'],
  ];
  /** Readings as a vehicle would give them that is otherwise than planned. */
  function readOn(moved: (build: Build) => Build, times: Record<string, number> = {}): Result[] {
    const other = moved(free());
    const byTest = new Map<string, Record<string, number>>();
    for (const [test, reading] of asked)
      byTest.set(test, {
        ...byTest.get(test),
        [reading]: middle(other, test, reading) * (times[`${test} ${reading}`] ?? 1),
      });
    return [...byTest].map(([test, readings]) => result(test, readings));
  }
  const joined = (results: Result[]) => {
    const build = proving(free(), { results });
    return together(contextOf(build), sheetOf(build));
  };

  it('says nothing while all is as foretold, or one reading stands alone', () => {
    expect(joined(readOn((b) => b))).to.equal(null);
    expect(joined([result('top-full', { speed: 5 })])).to.equal(null);
  });

  it('speeds low and volts fine: it rolls heavily, or the air holds it', () => {
    const heavy = joined(
      readOn((b) => ({ ...b, tuned: { ...b.tuned, dragArea: { times: 1.45, from: { test: 'x', at: AT } } } })),
    );
    expect(heavy?.causes[0]?.id).to.equal('air');
    expect(heavy?.words).to.match(/Low: .*speed held.* As foretold: .*volts/);
    expect(heavy?.causes.reduce((sum, c) => sum + c.p, 0)).to.be.closeTo(1, 1e-9);
  });

  it('volts low and speeds with them: the battery gives way', () => {
    const own = (b: Build): Build => {
      const pack = contextOf(b).pack;
      if (!pack) throw new Error('no pack');
      return {
        ...b,
        ownParts: [...b.ownParts.filter((p) => p.id !== pack.id), { ...pack, cellOhm: pack.cellOhm * 2.4 }],
      };
    };
    expect(joined(readOn(own))?.causes[0]?.id).to.equal('battery-ohms');
  });

  it('every speed off by the same share: it is the display', () => {
    const times = { 'no-load speed': 0.93, 'top-full speed': 0.93, 'hill-run speed': 0.93 };
    expect(joined(readOn((b) => b, times))?.causes[0]?.id).to.equal('speed-shown');
  });

  it('current high in the air and all else fine: the motor drags', () => {
    expect(joined(readOn((b) => b, { 'no-load amps': 2.3 }))?.causes[0]?.id).to.equal('motor-losses');
  });

  it('readings that nothing explains are put down to nothing in common', () => {
    expect(joined(readOn((b) => b, { 'no-load amps': 40, 'sag volts': 0.2 }))?.causes[0]?.id).to.equal('nothing');
    expect(new Set(commonCauses.map((c) => c.id)).size).to.equal(commonCauses.length);
  });
});

describe('tuning by a test', () => {
  const tuned = (build: Build, test: string): ReturnType<typeof tuningOf> =>
    tuningOf(contextOf(build), sheetOf(build), test, AT);
  const taken = (build: Build, test: string): Build => {
    const found = tuned(build, test);
    if (!found || !('tuned' in found)) throw new Error(JSON.stringify(found));
    return { ...build, tuned: { ...build.tuned, ...found.tuned } };
  };

  it('top speed: afterwards the plan foretells the speed that was held', () => {
    const v = middle(free(), 'top-full', 'speed') * 0.94;
    const build = proving(free(), { results: [result('top-full', { speed: v })] });
    const after = taken(build, 'top-full');
    expect(after.tuned.dragArea?.times).to.be.greaterThan(1.05);
    expect(middle(after, 'top-full', 'speed')).to.be.closeTo(v, 1e-3);
    // A second press changes nothing.
    expect(taken(after, 'top-full').tuned.dragArea?.times).to.be.closeTo(after.tuned.dragArea?.times ?? 0, 1e-4);
  });

  it('a speed held by the limit tells nothing, one that no air explains is a fault', () => {
    const build = free();
    const limit = { ...build, choice: { ...build.choice, assistLimitMs: 6 } };
    expect(tuned(proving(limit, { results: [result('top-full', { speed: 5.9 })] }), 'top-full')).to.have.property(
      'not',
    );
    expect(tuned(proving(build, { results: [result('top-full', { speed: 2 })] }), 'top-full')).to.have.property('not');
    expect(tuned(build, 'top-full')).to.equal(null);
    expect(tuned(build, 'front-brake')).to.equal(null);
  });

  it('watts at cruise: afterwards the plan foretells them', () => {
    const watts = middle(free(), 'cruise-watts', 'watts') * 1.12;
    const build = proving(free(), { results: [result('cruise-watts', { watts })] });
    expect(middle(taken(build, 'cruise-watts'), 'cruise-watts', 'watts')).to.be.closeTo(watts, 0.05);
  });

  it('mass: every figure counts it, once', () => {
    const total = middle(free(), 'weigh-in', 'total') + 7;
    const build = proving(free(), { results: [result('weigh-in', { total })] });
    const after = taken(build, 'weigh-in');
    expect(after.tuned.massKg?.by).to.be.closeTo(7, 1e-9);
    expect(contextOf(after).systemMassKg).to.be.closeTo(contextOf(build).systemMassKg + 7, 1e-9);
    expect(contextOf(after).axleLoads.totalKg).to.be.closeTo(total, 1e-9);
    expect(taken(after, 'weigh-in').tuned.massKg?.by).to.be.closeTo(7, 1e-9);
    expect(
      tuned(proving(free(), { results: [result('weigh-in', { total: total + 400 })] }), 'weigh-in'),
    ).to.have.property('not');
  });

  it('circumference: the wheel rolls as it was rolled out, and the settings advise it', () => {
    const build = proving(free(), { results: [result('roll-out', { turn: 2.1 })] });
    const after = taken(build, 'roll-out');
    const context = contextOf(after);
    expect(context.reckoning?.system.vehicle.wheelRadiusM).to.be.closeTo(2.1 / (2 * Math.PI), 1e-12);
    const advised = planChosen(context).wiring.settings.find((r) => r.id === 'circumference')?.advised;
    expect(advised).to.deep.include({ si: 2.1 });
  });

  it('coast-downs: both at once', () => {
    const { crr, cdaM2 } = systemOn(contextOf(free()), day)?.system.vehicle ?? { crr: 0, cdaM2: 0 };
    const build = proving(free(), { results: [result('coast', { crr: crr * 1.2, cda: cdaM2 * 0.9 })] });
    const after = taken(build, 'coast');
    expect(after.tuned.rolling?.times).to.be.closeTo(1.2, 1e-9);
    expect(after.tuned.dragArea?.times).to.be.closeTo(0.9, 1e-9);
    expect(
      tuned(proving(free(), { results: [result('coast', { crr: crr * 9, cda: cdaM2 })] }), 'coast'),
    ).to.have.property('not');
  });
});

/** Rolls down by the true forces, read every two seconds with a meter's steps. */
function coasted(
  system: RideSystem,
  way: Coast['way'],
  crr: number,
  cdaM2: number,
  noise: number,
  random: () => number,
  grade = 0,
): Coast {
  const { vehicle, air } = system;
  const rho = airDensity(air.altitudeM, air.temperatureC);
  const wind = (way === 'there' ? 1 : -1) * air.headwindMs;
  let v = 8;
  const points: Coast['points'] = [];
  for (let i = 0; i <= 6000 && v > 1; i++) {
    if (i % 200 === 0) points.push({ timeS: i / 100, speedMs: v + noise * (random() - 0.5) * 3.46 });
    const va = v + wind;
    const force = vehicle.massKg * GRAVITY * (crr + grade) + 0.5 * rho * cdaM2 * va * Math.abs(va);
    v -= (force / (vehicle.massKg + vehicle.rotatingKg)) * 0.01;
  }
  return { id: way, at: AT, way, grade: grade === 0 ? null : grade, points };
}

describe('coast-down', () => {
  const on = systemOn(contextOf(free()), { ...day, headwindMs: 0.8 });
  if (!on) throw new Error('no system');
  const { system } = on;

  it('finds rolling and drag again from clean readings, wind and slope taken off', () => {
    const none = () => 0.5;
    const fit = fitCoasts(
      [coasted(system, 'there', 0.0065, 0.48, 0, none, 0.004), coasted(system, 'back', 0.0065, 0.48, 0, none, -0.004)],
      system,
    );
    expect(fit?.crr).to.be.closeTo(0.0065, 0.0065 * 0.02);
    expect(fit?.cdaM2).to.be.closeTo(0.48, 0.48 * 0.02);
    expect(fit?.correlation).to.be.within(-1, 0);
  });

  it('tells its own errors: the truth lies within two of them nineteen times in twenty', () => {
    const random = seeded(4);
    let inside = 0;
    for (let i = 0; i < 60; i++) {
      const fit = fitCoasts(
        [coasted(system, 'there', 0.007, 0.5, 0.1, random), coasted(system, 'back', 0.007, 0.5, 0.1, random)],
        system,
      );
      if (fit && Math.abs(fit.crr - 0.007) < 2 * fit.crrSd && Math.abs(fit.cdaM2 - 0.5) < 2 * fit.cdaSd) inside++;
    }
    expect(inside / 60).to.be.within(0.8, 1);
  });

  it('tells the errors of least squares with two unknowns, from few readings too', () => {
    const random = seeded(11);
    const few = (['there', 'back'] as const).map((way) => {
      const coast = coasted(system, way, 0.007, 0.5, 0.2, random);
      return { ...coast, points: coast.points.slice(0, 7) };
    });
    const { vehicle, air } = system;
    const rows = few.flatMap(({ way, points }) =>
      points.slice(1).map((p, i) => {
        const before = points[i] as (typeof points)[number];
        const va = (p.speedMs + before.speedMs) / 2 + (way === 'there' ? 1 : -1) * air.headwindMs;
        const span = p.timeS - before.timeS;
        return {
          y: ((vehicle.massKg + vehicle.rotatingKg) * (before.speedMs - p.speedMs)) / span,
          x: [vehicle.massKg * GRAVITY, 0.5 * airDensity(air.altitudeM, air.temperatureC) * va * Math.abs(va)],
          span,
        };
      }),
    );
    expect(rows.length).to.equal(12);
    const x = new Matrix(rows.map((r) => r.x));
    const weighed = new Matrix(rows.map((r) => r.x.map((v) => v * r.span)));
    const inner = inverse(weighed.transpose().mmul(x));
    const at = inner.mmul(weighed.transpose()).mmul(Matrix.columnVector(rows.map((r) => r.y)));
    const off = rows.reduce((sum, r, i) => sum + r.span * (r.y - x.getRowVector(i).mmul(at).get(0, 0)) ** 2, 0);
    const fit = fitCoasts(few, system);
    expect(fit?.crr).to.be.closeTo(at.get(0, 0), 1e-9);
    expect(fit?.crrSd).to.be.closeTo(Math.sqrt((off / 10) * inner.get(0, 0)), 1e-9);
    expect(fit?.cdaSd).to.be.closeTo(Math.sqrt((off / 10) * inner.get(1, 1)), 1e-9);
  });

  it('wants both ways, and speeds that range', () => {
    const there = coasted(system, 'there', 0.007, 0.5, 0, () => 0.5);
    expect(fitCoasts([there], system)).to.equal(null);
    expect(fitCoasts([], system)).to.equal(null);
    const flat = (way: Coast['way']): Coast => ({
      id: way,
      at: AT,
      way,
      grade: null,
      points: [0, 2, 4, 6].map((timeS) => ({ timeS, speedMs: 5 })),
    });
    expect(fitCoasts([flat('there'), flat('back')], system)).to.equal(null);
  });
});

describe('what Proving tells the fault finder', () => {
  it('a passed test speaks against its faults, what was here before for it', () => {
    const build = demoBuild('mixte');
    const bare = likelierBy(build, sheetOf(build), null);
    expect(bare.times['phase-order']).to.equal(undefined);
    const passed = proving(build, {
      results: [{ ...result('direction', {}), saw: 'forward' }],
      searches: [
        {
          id: 's',
          at: AT,
          by: '',
          symptom: 'dead',
          from: null,
          answers: [],
          ended: { at: AT, fault: 'motor-plug', repair: 'plug-motor', cured: true },
        },
      ],
    });
    const told = likelierBy(passed, sheetOf(passed), null);
    expect(told.times['phase-order']).to.be.lessThan(0.2);
    expect(told.times['motor-plug']).to.equal(3);
    expect(told.because['motor-plug']).to.deep.equal(['it was here before']);
    const facts = proofFacts(contextOf(build));
    if (!facts) throw new Error('no facts');
    const search = searchOf({ symptom: 'no such', answers: [] }, facts, null, 'ride', told);
    expect(search).to.deep.include({ symptom: 'dead', likelier: told.times });
  });

  it('readings that have a common cause raise its faults', () => {
    const joined = {
      read: [],
      words: '',
      causes: [
        { id: 'rolling', words: 'It rolls', first: '', faults: ['tyre-soft'], p: 0.8 },
        { id: 'x', words: 'y', first: '', faults: ['bearing'], p: 0.1 },
      ],
    };
    const told = likelierBy(demoBuild('mixte'), null, joined);
    expect(told.times['tyre-soft']).to.be.closeTo(5, 1e-9);
    expect(told.times.bearing).to.equal(undefined);
  });
});

describe('a repair decided on', () => {
  it('stands in the bill with its price and among the steps, for every repair there is', () => {
    for (const name of ['trike', 'box'] as const) {
      const build = demoBuild(name);
      const context = contextOf(build);
      const before = planChosen(context);
      for (const repair of repairs) {
        const taken = repairTaken(context, repair.id, 'rep-1', AT, null);
        if (!taken) throw new Error(repair.id);
        if (!repair.parts.includes('kit') && !repair.parts.includes('pack'))
          expect(taken.takes.length, repair.id).to.equal(
            repair.parts.filter((p) => p !== 'converter').length || taken.takes.length,
          );
        if (!['new-pads', 'fuse', 'tape', 'set-cutoff'].includes(repair.id)) continue;
        const plan = planChosen(contextOf(proving(build, { repairs: [taken] })));
        for (const take of taken.takes) {
          const line = plan.money.lines.find((l) => l.part === take.part && l.by.includes(`repair:${repair.id}`));
          expect(line?.price, `${repair.id} ${take.part}`).to.not.equal(undefined);
        }
        const step = plan.build.steps.find((s) => s.id === 'repair:rep-1');
        expect(step).to.deep.include({ practised: repair.minutes, title: [repair.words] });
        expect(plan.build.order).to.include('repair:rep-1');
        expect(plan.build.steps.length).to.equal(before.build.steps.length + 1);
      }
    }
  });

  it('is done at the motor’s own wheel, and knows no repair that there is not', () => {
    const front = contextOf(demoBuild('trike'));
    expect(front.kit?.hub?.place).to.equal('front');
    expect(repairTaken(front, 'tighten-axle', 'a', AT, null)?.place).to.equal('front axle');
    expect(repairTaken(front, 'tape', 'a', AT, null)?.place).to.equal('rear wheel');
    expect(repairTaken(front, 'no-such', 'a', AT, null)).to.equal(null);
  });
});
