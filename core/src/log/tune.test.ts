import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { lowerOf, normalAt, normalDraws, weighed } from '../quantity/normals.ts';
import { readRideCase, type RideCase } from '../ride/case.ts';
import { finish } from '../steps.ts';
import { beliefBefore, energyOf, foretell, tuneInSteps, type TuneJob, type TuneSeen } from './tune.ts';
import { readTuneCase, runTuneCase, tuneJobOf, type TuneCase } from './tuneCase.ts';
import { tuneLab, usualPrior } from './tuneLab.ts';

const caseOf = (name: string): RideCase => {
  const read = readRideCase(
    JSON.parse(readFileSync(new URL(`../../test/cases/${name}.json`, import.meta.url), 'utf8')),
  );
  if (!read.ok) throw new Error(name);
  return read.value;
};
const roadster = caseOf('geared-rear-roadster');
const { air, route, ...system } = roadster;

/** A log of rides over the case’s own road and some others, exact but for what is said. */
function logOf(
  truth: readonly number[],
  count: number,
  change: (r: TuneCase['rides'][number], i: number) => void = () => undefined,
): TuneCase {
  const rides = Array.from({ length: count }, (_, i) => ({
    route: {
      repeat: false,
      segments: route.segments.map((s) => ({ ...s, grade: s.grade * (i % 3), targetMs: 4 + (i % 4) })),
    },
    air: { ...air, headwindMs: (i % 5) - 2 },
    loadKg: (i % 2) * 8,
    startCharge: 1,
    energyWh: 1,
    energySd: 0.03,
  }));
  const given: TuneCase = {
    system,
    prior: { ...usualPrior },
    rides,
    forecast: [{ ...(rides[0] as (typeof rides)[0]) }],
  };
  const job = tuneJobOf(given);
  rides.forEach((r, i) => {
    r.energyWh = energyOf(job, job.rides[i] as TuneSeen, truth);
    change(r, i);
  });
  return given;
}

describe('tuning to rides', () => {
  it('finds the truth behind exact rides, and leaves what they cannot tell as it was', () => {
    const truth = [0.1, -0.12, 0.15, 0.02];
    const out = runTuneCase(logOf(truth, 10));
    const job = tuneJobOf(logOf(truth, 10));
    const is = energyOf(job, job.forecast[0] as TuneSeen, truth);
    const { p10, p50, p90 } = out.forecast[0]?.energyWh ?? { p10: 0, p50: 0, p90: 0 };
    expect(p50 / is).to.be.closeTo(1, 0.015);
    expect(p10).to.be.lessThan(is);
    expect(p90).to.be.greaterThan(is);
    expect(out.posterior.riderPowerW.mean / system.rider.powerW).to.be.closeTo(Math.exp(0.15), 0.12);
    expect(out.posterior.riderPowerW.sd).to.be.lessThan(usualPrior.riderPowerW / 2);
    // Energy of a part of the charge hardly hangs on health.
    expect(out.posterior.health.sd).to.be.closeTo(usualPrior.health, 0.001);
  });

  it('tells a first ride from the prior alone, and each from those before it', () => {
    const given = logOf([0.05, 0.1, -0.2, 0], 5);
    const out = runTuneCase(given);
    const alone = runTuneCase({ ...given, rides: given.rides.slice(0, 1) });
    expect(out.rides[0]?.forecastWh).to.equal(alone.rides[0]?.forecastWh);
    const job = tuneJobOf(given);
    expect(out.rides[0]?.forecastWh).to.be.closeTo(energyOf(job, job.rides[0] as TuneSeen, [0, 0, 0, 0]), 0.6);
    const off = out.rides.map((r, i) => Math.abs(Math.log((given.rides[i]?.energyWh ?? 1) / r.forecastWh)));
    expect(off[4] ?? 1).to.be.lessThan((off[0] ?? 0) / 2);
    for (const r of out.rides) expect(r.sd).to.be.at.least(0.03);
  });

  it('flags a planted ride, first or last, and lets it tell nothing', () => {
    for (const odd of [0, 3, 7]) {
      const clean = logOf([0, 0, 0, 0], 8);
      const given = logOf([0, 0, 0, 0], 8, (r, i) => {
        if (i === odd) r.energyWh *= 1.5;
      });
      const out = runTuneCase(given);
      expect(out.rides.map((r) => r.odd)).to.deep.equal(given.rides.map((_, i) => i === odd));
      const without = runTuneCase({ ...clean, rides: clean.rides.filter((_, i) => i !== odd) });
      expect(out.posterior.crr.mean).to.be.closeTo(without.posterior.crr.mean, 2e-4);
    }
  });

  it('draws the line at three standard deviations', () => {
    const oddAt = (times: number): { odd: boolean; z: number } => {
      const given = logOf([0, 0, 0, 0], 6, (r, i) => {
        if (i === 5) r.energyWh *= times;
      });
      const told = finish(tuneInSteps(tuneJobOf(given))).rides[5];
      return { odd: told?.odd ?? false, z: told?.zOthers ?? 0 };
    };
    let [low, high] = [1, 1.5];
    for (let i = 0; i < 9; i++) {
      const middle = (low + high) / 2;
      if (oddAt(middle).odd) high = middle;
      else low = middle;
    }
    expect(oddAt(low).z).to.be.closeTo(3, 0.1);
    expect(oddAt(high).z).to.be.closeTo(3, 0.1);
    expect(oddAt(high * 1.01).odd).to.equal(true);
    expect(oddAt(low / 1.01).odd).to.equal(false);
  });

  it('keeps a ride in, or leaves it out, as somebody says', () => {
    const given = logOf([0, 0, 0, 0], 8, (r, i) => {
      if (i === 5) r.energyWh *= 1.5;
    });
    const job = tuneJobOf(given);
    const said = (counts: boolean | null): boolean | undefined =>
      finish(tuneInSteps({ ...job, rides: job.rides.map((r, i) => (i === 5 ? { ...r, counts } : r)) })).rides[5]?.odd;
    expect([said(null), said(true), said(false)]).to.deep.equal([true, false, true]);
  });

  it('gives the same for the same log, and reads what it wrote', () => {
    const given = logOf([0.02, 0.1, 0.1, 0], 3);
    expect(runTuneCase(given)).to.deep.equal(runTuneCase(given));
    const read = readTuneCase(JSON.parse(JSON.stringify(given)));
    expect(read.ok && runTuneCase(read.value)).to.deep.equal(runTuneCase(given));
  });

  it('stands still with legs that give nothing, nothing unknown, and no rides', () => {
    const still = { ...system, rider: { ...system.rider, powerW: 0 } };
    const given = { ...logOf([0, 0, 0, 0], 2), system: still };
    const out = runTuneCase(given);
    expect(out.posterior.riderPowerW).to.deep.equal({ mean: 0, sd: usualPrior.riderPowerW });
    const fast = runTuneCase({ ...given, prior: { cdaM2: 0, crr: 0, riderPowerW: 0, health: 0 } });
    expect(fast.posterior.crr).to.deep.equal({ mean: still.vehicle.crr, sd: 0 });
    expect(fast.forecast[0]?.energyWh.p10).to.equal(fast.forecast[0]?.energyWh.p90);
    const none = runTuneCase({ ...given, rides: [] });
    expect(none.rides).to.deep.equal([]);
    expect(none.posterior.cdaM2.sd).to.be.closeTo(0.08, 1e-12);
  });

  it('names what is wrong with a log', () => {
    const given = JSON.parse(JSON.stringify(logOf([0, 0, 0, 0], 2))) as TuneCase;
    const wrong = (change: (g: TuneCase) => void): string => {
      const g = structuredClone(given);
      change(g);
      const read = readTuneCase(g);
      return read.ok ? '' : (read.problems[0]?.path ?? '');
    };
    const ride = (g: TuneCase): TuneCase['rides'][number] => g.rides[1] as TuneCase['rides'][number];
    expect(wrong((g) => (ride(g).energyWh = -1))).to.equal('rides[1].energyWh');
    expect(wrong((g) => (ride(g).energySd = 0))).to.equal('rides[1].energySd');
    expect(wrong((g) => (ride(g).startCharge = 1.2))).to.equal('rides[1].startCharge');
    expect(wrong((g) => (ride(g).loadKg = -(g.system.vehicle.massKg + 1)))).to.equal('rides[1].loadKg');
    expect(wrong((g) => (g.prior.crr = -0.1))).to.equal('prior.crr');
    expect(wrong((g) => (g.system.motor.ktNmPerA = 0))).to.equal('system.motor.ktNmPerA');
    expect(wrong(() => undefined)).to.equal('');
  });

  it('holds up on made-up logs', () => {
    // The hundreds are run by `npm run tune -- --lab`; what they gave stands in docs/models.md.
    const lab = tuneLab(system, 4, 11);
    expect(lab.errorAfter).to.be.lessThan(lab.errorBefore / 2);
    expect(lab.oddFound).to.equal(1);
    expect(lab.falseAlarms).to.be.lessThan(0.05);
    expect(lab.inBand).to.be.within(0.6, 0.95);
    expect(lab.inBandBefore).to.be.within(0.6, 0.95);
    expect(tuneLab(system, 1, 4)).to.deep.equal(tuneLab(system, 1, 4));
  });
});

describe('normals', () => {
  it('weigh a row against what was believed before: the hand’s answer', () => {
    // One unknown, prior 0 ± 0.1, seen once as 0.3 ± 0.1: the middle, half the variance.
    const { step, cov } = weighed([{ slopes: [1], rest: 0.3, weight: 100 }], [0], { at: [0], cov: [[0.01]] });
    expect(step[0]).to.be.closeTo(0.15, 1e-12);
    expect(cov[0]?.[0]).to.be.closeTo(0.005, 1e-12);
  });

  it('take the covariance apart and put it together again', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 9, maxLength: 9 }), (x) => {
        const a = [x.slice(0, 3), x.slice(3, 6), x.slice(6, 9)] as number[][];
        const cov = a.map((r, i) =>
          a.map((c, j) => r.reduce((s, v, k) => s + v * (c[k] as number), 0) + (i === j ? 0.1 : 0)),
        );
        const l = lowerOf(cov);
        cov.forEach((row, i) =>
          row.forEach((v, j) =>
            expect((l[i] as number[]).reduce((s, e, k) => s + e * ((l[j] as number[])[k] as number), 0)).to.be.closeTo(
              v,
              1e-9,
            ),
          ),
        );
      }),
      { numRuns: 50 },
    );
  });

  it('draw with the spread they were asked for', () => {
    expect([0.5, 0.9, 0.1, 0.001].map((p) => Number(normalAt(p).toFixed(4)))).to.deep.equal([
      0, 1.2816, -1.2816, -3.0902,
    ]);
    const draws = normalDraws(
      {
        at: [1, 2],
        cov: [
          [0.04, 0.03],
          [0.03, 0.09],
        ],
      },
      2000,
    );
    const mean = (f: (d: number[]) => number): number => draws.reduce((s, d) => s + f(d), 0) / draws.length;
    expect(mean((d) => d[0] ?? 0)).to.be.closeTo(1, 0.005);
    expect(mean((d) => ((d[0] ?? 0) - 1) ** 2)).to.be.closeTo(0.04, 0.001);
    expect(mean((d) => ((d[0] ?? 0) - 1) * ((d[1] ?? 0) - 2))).to.be.closeTo(0.03, 0.001);
  });

  it('a forecast’s band is the spread of the unknowns alone', () => {
    const job: Pick<TuneJob, 'system' | 'fine'> = { system, fine: false };
    const given = tuneJobOf(logOf([0, 0, 0, 0], 1));
    const ride = given.forecast[0] as TuneSeen;
    const none = foretell(job, ride, {
      at: [0, 0, 0, 0],
      cov: beliefBefore({ cdaM2: 0, crr: 0, riderPowerW: 0, health: 0 }).cov,
    });
    expect(none.p10).to.equal(none.p90);
    const wide = foretell(job, ride, beliefBefore(usualPrior));
    expect(Math.log(wide.p90 / wide.p10)).to.be.greaterThan(0.1);
  });
});
