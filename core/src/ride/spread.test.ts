import { planContext } from '../plan/context.ts';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import type { Build } from '../build/build.ts';
import { readBuildFile } from '../formats/buildFile.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { rideJob, rideSheet } from '../plan/rideSheet.ts';
import { sizeBackwards } from '../plan/sizing.ts';
import { shedsW, tipCaution } from '../safety/going.ts';
import { stoppingDistance, brakeLimits } from '../safety/stopping.ts';
import { explainPoint } from './explainPoint.ts';
import { describedRoute, headwindOn, routeSegments } from './route.ts';
import { drawOf, rideDraw, runDraws, spreadInputs, summariseDraws, type SpreadJob } from './spread.ts';
import { counted } from '../../test/counted.ts';

function demo(name: string): Build {
  const read = readBuildFile(
    readFileSync(new URL(`../../../web/public/demo/builds/demo-${name}.json`, import.meta.url), 'utf8'),
  );
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}
function sheetOf(build: Build) {
  const sheet = rideSheet(planContext(build, starterShelf));
  if (!sheet) throw new Error('no sheet');
  return sheet;
}
const job: SpreadJob = sheetOf(demo('mixte')).job;

describe('the spread', () => {
  it('draws standard normals: middle near 0, spread near 1, inputs apart from one another', () => {
    const draws = Array.from({ length: 4000 }, (_, i) => drawOf(7, i));
    for (const input of spreadInputs) {
      const zs = draws.map((d) => d[input]);
      const mean = zs.reduce((a, b) => a + b, 0) / zs.length;
      const variance = zs.reduce((a, b) => a + (b - mean) ** 2, 0) / zs.length;
      expect(mean, input).to.be.closeTo(0, 0.06);
      expect(variance, input).to.be.closeTo(1, 0.09);
    }
    const both = draws.reduce((sum, d) => sum + d.dragArea * d.rolling, 0) / draws.length;
    expect(both).to.be.closeTo(0, 0.06);
  });

  it('gives the same answer however it is cut up among workers', () => {
    const whole = runDraws(job, 0, 24);
    const cut = [...runDraws(job, 0, 7), ...runDraws(job, 7, 8), ...runDraws(job, 8, 24)];
    expect(cut).to.deep.equal(whole);
    expect(summariseDraws(cut, 42_000)).to.deep.equal(summariseDraws(whole, 42_000));
    expect(runDraws({ ...job, seed: job.seed + 1 }, 0, 3)).not.to.deep.equal(whole.slice(0, 3));
  });

  it('with nothing drawn is the single run, and each input moves the range its own way', () => {
    const none = Object.fromEntries(spreadInputs.map((i) => [i, 0])) as ReturnType<typeof drawOf>;
    const base = rideDraw(job, none).rangeM;
    const moved = (input: (typeof spreadInputs)[number], z: number): number =>
      rideDraw(job, { ...none, [input]: z }).rangeM;
    expect(moved('dragArea', 1)).to.be.lessThan(base);
    expect(moved('rolling', 1)).to.be.lessThan(base);
    expect(moved('riderPower', 1)).to.be.greaterThan(base);
    expect(moved('load', 1)).to.be.lessThan(base);
    expect(moved('temperature', -1)).to.be.lessThan(base);
    expect(moved('health', -1)).to.be.lessThan(base);
    expect(moved('stops', 1)).to.be.lessThan(base);
  });

  it('orders its percentiles, and its causes add up', () => {
    const spread = summariseDraws(runDraws(job, 0, 120), 42_000);
    expect(spread.rangeM.p10).to.be.lessThan(spread.rangeM.p50);
    expect(spread.rangeM.p50).to.be.lessThan(spread.rangeM.p90);
    expect(spread.causes.reduce((sum, c) => sum + c.share, 0)).to.be.closeTo(1, 1e-9);
    expect(spread.chance).to.be.within(0, 1);
    expect(spread.causes[0]?.share).to.be.greaterThan(spread.causes.at(-1)?.share ?? 1);
  });
});

describe('wind and stretches', () => {
  it('stands against, from behind or from the side by its direction', () => {
    expect(headwindOn(0, 5, 0)).to.be.closeTo(5, 1e-9);
    expect(headwindOn(180, 5, 0)).to.be.closeTo(-5, 1e-9);
    expect(headwindOn(90, 5, 0)).to.be.closeTo(0, 1e-9);
  });

  it('comes from the other side on the way home, whichever way round the road is ridden', () => {
    const build = demo('mixte');
    const { route } = build.brief;
    if (!route) throw new Error('no road');
    const brief = { ...build.brief, windFrom: 45, headwindMs: 4, thereAndBack: true };
    for (const reversed of [false, true]) {
      const segments = routeSegments({ ...route, reversed }, brief);
      const half = segments.length / 2;
      const mean = (part: typeof segments): number =>
        part.reduce((sum, s) => sum + (s.headwindMs ?? 0) * s.lengthM, 0) / part.reduce((sum, s) => sum + s.lengthM, 0);
      expect(mean(segments.slice(0, half))).to.be.closeTo(-mean(segments.slice(half)), 0.05);
      expect(Math.sign(mean(segments.slice(0, half)))).to.equal(reversed ? -1 : 1);
    }
  });

  it('takes a stretch’s surface, limit and stops where it lies, and no further', () => {
    const met = counted(2);
    const build = demo('mixte');
    const { route } = build.brief;
    if (!route) throw new Error('no road');
    const stretches = [{ fromM: 1000, toM: 2000, surface: 'softSand' as const, limitMs: 2, stopsPerKm: 0 }];
    const segments = routeSegments({ ...route, stretches }, { ...build.brief, thereAndBack: false });
    let at = 0;
    for (const s of segments) {
      const middle = at + s.lengthM / 2;
      at += s.lengthM;
      const inside = middle > 1040 && middle < 1960;
      const outside = middle < 960 || middle > 2040;
      if (inside && met(0)) expect([s.surfaceCrr, s.targetMs, s.stop]).to.deep.equal([0.1, 2, false]);
      if (outside && met(1)) expect(s.targetMs).to.equal(build.brief.cruiseMs);
    }
    met.enough();
  });
});

describe('the ride sheet', () => {
  it('accounts for every watt-hour, on every demo build', () => {
    for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel']) {
      const { account } = sheetOf(demo(name));
      const spent =
        account.wheel +
        account.copper +
        account.gear +
        account.motorMechanical +
        account.controller +
        account.standing -
        account.regenerated;
      expect(spent, name).to.be.closeTo(account.battery, Math.abs(account.battery) * 0.001);
    }
  });

  it('finds the road’s hills, and tells a run-up from a start from rest', () => {
    const sheet = sheetOf(demo('mixte'));
    expect(sheet.hills[0]?.grade).to.be.closeTo(0.117, 0.004);
    expect(sheet.hills[0]?.atM).to.be.within(900, 1200);
    expect(sheet.hills[0]?.fromRest).to.equal('with the legs');
    expect(sheet.hills.every((h) => !h.walked)).to.equal(true);
  });

  it('goes less far in every worse scenario, least far when all comes at once', () => {
    const met = counted();
    const list = sheetOf(demo('lockkeeper')).scenarios;
    const planned = list.find((s) => s.id === 'asPlanned')?.rangeM ?? 0;
    for (const s of list.slice(1))
      if (s.id === 'frugal' && met()) expect(s.rangeM).to.be.greaterThan(planned);
      else expect(s.rangeM, s.id).to.be.lessThan(planned);
    expect(Math.min(...list.map((s) => s.rangeM))).to.equal(list.find((s) => s.id === 'allAtOnce')?.rangeM);
    met.enough();
  });

  it('explains points in words that name what holds', () => {
    const sheet = sheetOf(demo('mixte'));
    const steep = sheet.trace.grade.indexOf(Math.max(...sheet.trace.grade));
    expect(JSON.stringify(explainPoint(sheet.system, sheet.trace, steep).words)).to.match(
      /all it gives|as wished|the level gives/,
    );
    const down = sheet.trace.motorW.findIndex((w, i) => w < 1 && (sheet.trace.riderW[i] ?? 1) < 1);
    expect(JSON.stringify(explainPoint(sheet.system, sheet.trace, down).words)).to.match(/nobody pushes/);
  });

  it('uses what riders recognise: an easy rider on a 36 V hub 5 to 11 Wh/km on this hilly road', () => {
    expect(sheetOf(demo('mixte')).once.whPerKm).to.be.within(5, 11);
  });
});

describe('the band of the range', () => {
  it('begins and ends where drawn rides do: within a tenth of their 10 and 90 % on every demo build, most of them nearer', () => {
    const off: number[] = [];
    for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel']) {
      const build = demo(name);
      const context = planContext(build, starterShelf);
      const { band } = context;
      const rides = rideJob(context);
      if (!band || !rides) throw new Error(name);
      const { rangeM } = summariseDraws(runDraws(rides.job, 0, 300), rides.wantedM);
      for (const [ours, theirs] of [
        [band.lowM, rangeM.p10],
        [band.highM, rangeM.p90],
      ] as const) {
        off.push(Math.abs(Math.log(ours / theirs)));
        expect(off.at(-1), `${name}: ${ours} beside ${theirs}`).to.be.lessThan(0.12);
      }
      expect(band.lowM).to.be.at.most(band.midM);
      expect(band.highM).to.be.at.least(band.midM);
      // Doubts are the drawn ride's own, named as there.
      expect(band.causes.length).to.be.within(6, 9);
      for (let i = 1; i < band.causes.length; i++)
        expect(band.causes[i]?.share).to.be.at.most(band.causes[i - 1]?.share ?? 0);
    }
    expect(off.filter((o) => o < 0.04).length).to.be.at.least(7);
  });
});

describe('figures a converter would recognise', () => {
  it('a heavy throttle-only tandem uses 20 to 30 Wh/km and more at 30 km/h', () => {
    const build = demo('mixte');
    build.donor.kind = 'tandem';
    build.brief.posture = 'tandem';
    build.brief.cruiseMs = 30 / 3.6;
    build.brief.headwindMs = 0;
    build.brief.cargoKg = 20;
    build.brief.riders = [
      {
        name: 'two',
        massKg: 165,
        statureM: 1.75,
        effort: 'none',
        factor: 1,
        neverShifts: true,
        inseamM: null,
        mounting: 'any',
        ageYears: null,
      },
    ];
    Object.assign(build.choice, {
      kitId: 'heron-d1000',
      packId: 'kettle-48-14',
      assistLimitMs: null,
      usesThrottle: true,
    });
    build.brief.legalClass = 'private';
    expect(sheetOf(build).once.whPerKm).to.be.within(18, 34);
  });

  it('a mid-drive in 1.6:1 stalls from rest on a grade that it passes with a run-up', () => {
    const build = demo('box');
    build.choice.ringId = null;
    build.donor.survey.cogTeeth = { value: [26], typed: '26', unit: '', provenance: 'measured', note: '' };
    build.brief.route = describedRoute('d', 'Ramp', 400, [{ heightM: 9, lengthM: 90 }], 'asphalt', 0);
    build.brief.thereAndBack = false;
    build.brief.cruiseMs = 24 / 3.6;
    const sheet = sheetOf(build);
    expect(sheet.hills[0]?.walked).to.equal(false);
    expect(sheet.hills[0]?.fromRest).not.to.equal('motor alone');
  });
});

describe('sizing backwards', () => {
  it('asks for more energy with a longer way, more torque with a steeper road or more load', () => {
    const base = demo('box');
    const need = (b: Build, id: string): number =>
      sizeBackwards(planContext(b, starterShelf))?.needs.find((n) => n.id === id)?.value.si ?? NaN;
    const far = structuredClone(base);
    far.brief.rangeWantedM *= 2;
    expect(need(far, 'energy')).to.be.closeTo(2 * need(base, 'energy'), need(base, 'energy') * 0.01);
    const heavy = structuredClone(base);
    heavy.brief.cargoKg += 40;
    expect(need(heavy, 'torque')).to.be.greaterThan(need(base, 'torque'));
    expect(need(heavy, 'batteryAmps')).to.be.greaterThan(need(base, 'batteryAmps'));
  });

  it('parts that meet it come first, and each other says what it misses', () => {
    const sizing = sizeBackwards(planContext(demo('mixte'), starterShelf));
    expect(sizing?.kits[0]?.misses).to.have.length(0);
    const counts = sizing?.kits.map((k) => k.misses.length) ?? [];
    expect([...counts].sort((a, b) => a - b)).to.deep.equal(counts);
    expect(sizing?.packs.some((p) => p.misses.length > 0)).to.equal(true);
  });
});

describe('going safely, by hand', () => {
  it('stops from 25 km/h in 17 m on wet rims at 100 kg', () => {
    expect(stoppingDistance(25 / 3.6, brakeLimits('rim', 'rim').wet)).to.be.closeTo(6.944 + 48.225 / 5, 0.01);
  });
  it('sheds 250 W a 160 mm rotor, 400 W a rim', () => {
    expect(shedsW('discCable', 0.16) + shedsW('rim', undefined)).to.equal(650);
  });
  it('tips a trike where the centre of mass leaves the line between its wheels', () => {
    const g = {
      trackM: 0.7,
      frontAxle: { x: 1.2, y: 0.3 },
      rearAxle: { x: 0, y: 0.3 },
      pairedRear: true,
      pairedFront: false,
    };
    const caution = tipCaution(g as never, { xM: 0.4, hM: 0.8 });
    // d = 0.8 · 0.35 ÷ √(1.2² + 0.35²) = 0.224 m; a = 9.81 · 0.224 ÷ 0.8 = 2.75 m/s²; 5 m corner: 3.71 m/s.
    expect(JSON.stringify(caution?.lines[0]?.value)).to.match(/2\.7/);
    const five = caution?.lines[2]?.value[0];
    expect(typeof five === 'object' ? five.si : NaN).to.be.closeTo(3.706, 0.01);
  });
});
