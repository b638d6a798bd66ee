import { expect } from 'chai';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { phraseText, type Amount } from '../quantity/format.ts';
import { contextOf, grade, world, type World, type WorldOf } from '../../test/world.ts';
import type { Figure, FigureId } from './figure.ts';
import { moneyOf } from './money.ts';
import { tallyFigures } from './figures.ts';
import { gearSheet } from './gearSheet.ts';
import { rideJob, rideSheet } from './rideSheet.ts';
import { sizeBackwards } from './sizing.ts';
import { summaryOf } from './summary.ts';
import { planChosen } from './planBuild.ts';
import { whatWouldChange } from './whatChanges.ts';
import { counted } from '../../test/counted.ts';

const G = 9.80665;
const made = (of: WorldOf = {}, rise = 0.05): World => {
  const w = world(of);
  grade(w, rise);
  return w;
};
const figures = (w: World): Record<FigureId, Figure> => {
  const c = contextOf(w);
  return Object.fromEntries(tallyFigures(c, moneyOf(c, []).money).map((f) => [f.id, f])) as Record<FigureId, Figure>;
};
const line = (f: Figure, label: string | RegExp): number => {
  const found = f.sum.find((l) => (typeof label === 'string' ? l.label === label : label.test(l.label)));
  if (!found || typeof found.value === 'string') throw new Error(`no sum line ${String(label)}`);
  return (found.value as Amount).si;
};

describe('the tally’s figures, by hand', () => {
  it('steepest start: peak torque through the wheel against the weight', () => {
    const w = made();
    const f = figures(w).startGrade;
    // (0.26 · 33 − 0.04) · 5 · 0.92 or the kit’s own figures.
    const m = w.kit.motor;
    const torque = (m.ktNmPerA * w.kit.controller.phaseLimitA - m.coulombNm) * m.reduction * m.gearEfficiency;
    expect(line(f, 'Peak torque at the wheel')).to.be.closeTo(torque, 1e-9);
    const radius = (0.622 + 2 * 0.95 * 0.037) / 2;
    const weight = contextOf(w).systemMassKg * G;
    // F = m·g·(crr·cos + sin): solved for the grade.
    const pull = torque / radius / weight;
    const theta = Math.asin(pull / Math.hypot(1, 0.007)) - Math.atan(0.007);
    expect(f.value?.si).to.be.closeTo(Math.tan(theta), 2e-3);
    expect(line(f, 'Shaft turns per wheel turn')).to.equal(m.reduction);
    expect(line(f, 'All that moves')).to.be.closeTo(contextOf(w).systemMassKg, 1e-9);
    expect(phraseText(f.note, 'metric')).to.match(/motor alone; the road has 5\.0\s%/);
  });

  it('steepest start of a mid-drive goes through ring and biggest cog', () => {
    const w = made({ kit: 'wren-m250' });
    const f = figures(w).startGrade;
    expect(line(f, 'Shaft turns per wheel turn')).to.be.closeTo((w.kit.motor.reduction * 28) / 42, 1e-9);
    const [rider] = w.build.brief.riders;
    if (rider) rider.neverShifts = true;
    expect(line(figures(w).startGrade, 'Shaft turns per wheel turn')).to.be.closeTo(
      (w.kit.motor.reduction * 18) / 42,
      1e-9,
    );
  });

  it('forces balance at the top speed and on the climb', () => {
    const all = figures(
      made({
        edit: ({ kit }) => {
          delete kit.assistLimitMs;
        },
      }),
    );
    for (const id of ['topSpeed', 'climb'] as const) {
      const f = all[id];
      const pulls = line(f, 'Motor pulls') + line(f, 'Rider pulls');
      const resists = line(f, 'Air resists') + line(f, 'Rolling resists') + line(f, 'Hill resists');
      expect(pulls, id).to.be.closeTo(resists, resists * 0.02);
    }
    expect(line(all.topSpeed, 'Hill resists')).to.be.closeTo(0, 1e-9);
    expect(phraseText(all.topSpeed.note, 'metric')).to.match(/no assist limit set/);
    expect(all.climb.label).to.equal('Holds on 5.0 %');
    expect(figures(made({}, 0.12)).climb.label).to.equal('Holds on 12 %');
    expect(figures(made({}, 0)).climb.label).to.equal('Holds on 6.0 %');
  });

  it('range: the energy out is what reached the tyre and what was lost', () => {
    const w = made();
    const f = figures(w).range;
    const r = contextOf(w).reckoning;
    const out = line(f, 'Out of the terminals');
    const parts =
      line(f, 'of it at the tyre') +
      line(f, 'lost as winding heat') +
      line(f, 'lost in gears and motor drag') +
      line(f, 'lost in controller and lamps');
    expect(out).to.be.closeTo(parts, out * 2e-3);
    expect(line(f, 'Distance to empty')).to.equal(r?.toEmpty.distanceM);
    expect(line(f, 'Use') * line(f, 'Distance to empty')).to.be.closeTo(out, out * 0.02);
    expect(f.band?.need?.si).to.be.closeTo(30_000 * 1.2, 1e-6);
    expect(line(f, /Capacity at 10/)).to.be.closeTo(w.pack.parallel * w.pack.cellAh * 0.95, 1e-9);
  });

  it('steady climb: what pulls is what resists, on the road’s own surface', () => {
    for (const surface of ['asphalt', 'setts', 'looseGravel'] as const) {
      const w = made({}, 0.07);
      if (w.build.brief.route) w.build.brief.route.surface = surface;
      const f = figures(w).climb;
      const pulls = line(f, 'Motor pulls') + line(f, 'Rider pulls');
      expect(line(f, 'Force wanted'), surface).to.be.closeTo(pulls, 0.1);
      expect(line(f, 'Air resists') + line(f, 'Rolling resists') + line(f, 'Hill resists')).to.be.closeTo(pulls, 0.1);
    }
  });

  it('mass: every line, and the least of the limits', () => {
    const w = made();
    const f = figures(w).mass;
    expect(f.value?.si).to.be.closeTo(contextOf(w).systemMassKg, 1e-9);
    expect(f.limit).to.equal('least limit 150 kg');
    const under = (w2: World): string => phraseText(figures(w2).mass.note, 'metric');
    expect(under(w)).to.match(/under the least limit/);
    w.kit.systemLimitKg = 90;
    expect(under(w)).to.match(/over the least limit/);
    const none = made({
      survey: { loadLimit: '' },
      edit: ({ kit }) => {
        delete kit.systemLimitKg;
      },
    });
    expect(under(none)).to.equal('load limit not known yet');
  });

  it('wait, and say for what, until both are chosen and go together', () => {
    const notes = (kitId: string | null, packId: string | null, series = 10): string => {
      const w = made();
      w.build.choice.kitId = kitId;
      w.build.choice.packId = packId;
      w.pack.series = series;
      return phraseText(figures(w).range.note, 'metric');
    };
    expect(notes(null, null)).to.equal('choose a kit and a pack first');
    expect(notes(null, 'kettle-36-13')).to.equal('choose a kit first');
    expect(notes('otter-r250', null)).to.equal('choose a pack first');
    expect(notes('otter-r250', 'kettle-36-13', 14)).to.equal('pack and kit do not go together');
  });

  it('price: parts and remedies apart, and their sum', () => {
    const c = contextOf(made({ survey: { valve: 'narrow' } }));
    const plan = planChosen(c);
    const f = plan.figures.find((x) => x.id === 'price');
    expect(f?.value?.si).to.equal(plan.money.conversion);
    expect(f?.sum.reduce((n, l) => n + (typeof l.value === 'string' ? 0 : l.value.si), 0)).to.equal(
      plan.money.conversion,
    );
    expect(phraseText(f?.note ?? [], 'metric')).to.match(/of parts, .* of remedies and mending/);
  });
});

describe('the gear sheet, by hand', () => {
  it('lays the chain’s lines, leans and lengths from the donor’s sizes', () => {
    const sheet = gearSheet(contextOf(made()));
    expect(sheet.rows.map((r) => r.cog)).to.deep.equal([14, 16, 18, 21, 24, 28]);
    expect(sheet.ringLineM).to.equal(0.045);
    expect(sheet.ringLineKnown).to.equal(false);
    for (const r of sheet.rows) expect(r.angleRad).to.be.closeTo(Math.atan((r.lineM - 0.045) / 0.44), 1e-9);
    const lines = sheet.rows.map((r) => r.lineM);
    expect(sheet.straightenM).to.be.closeTo((Math.max(...lines) + Math.min(...lines)) / 2 - 0.045, 1e-12);
    expect(sheet.growthM).to.equal(0);
    expect(sheet.links).to.equal(106);
    expect(sheet.cogMeans).to.equal('the smallest cog');
  });

  it('a mid-drive’s ring stands out by half the shell and its own figure', () => {
    const sheet = gearSheet(contextOf(made({ kit: 'wren-m250' })));
    expect(sheet.ringLineM).to.be.closeTo(0.034 + 0.012, 1e-12);
    expect(sheet.ringLineKnown).to.equal(true);
    expect(sheet.cogMeans).to.equal('the biggest cog');
    const cell = (ring: number, cog: number) => sheet.cells.find((c) => c.ring === ring && c.cog === cog);
    expect(cell(42, 28)?.ratio).to.equal(1.5);
    expect(cell(32, 34)?.startGrade ?? 0).to.be.greaterThan(cell(44, 24)?.startGrade ?? 1);
    const steep = gearSheet(contextOf(made({ kit: 'wren-m250' }, 0.3)));
    expect(steep.cells.some((c) => c.verdict === 'does not start')).to.equal(true);
    expect(steep.cells.filter((c) => (c.startGrade ?? 1) < 0.3).every((c) => c.verdict === 'does not start')).to.equal(
      true,
    );
  });

  it('a hub gear’s floor and torque bar rings and cogs', () => {
    const met = counted();
    const survey = {
      clusterKind: 'hubGear',
      hubGear: 'eight',
      cogTeeth: '19',
      hubGearRatioFloor: '2',
      hubGearTorque: '45 Nm',
    };
    const w = made({ kit: 'wren-m250', survey });
    const sheet = gearSheet(contextOf(w));
    const m = w.kit.motor;
    const atRing = (m.ktNmPerA * w.kit.controller.phaseLimitA - m.coulombNm) * m.reduction * m.gearEfficiency;
    for (const c of sheet.cells) {
      const expected =
        c.ring / c.cog < 2
          ? 'below the hub gear’s floor'
          : ((atRing + 60) * c.cog) / c.ring > 45
            ? 'over the hub gear’s torque'
            : null;
      if (expected && met()) expect(c.verdict, `${c.ring}/${c.cog}`).to.equal(expected);
      else expect(['goes', 'does not start']).to.include(c.verdict);
    }
    expect(sheet.cogMeans).to.equal('the hub gear’s cog');
    expect(sheet.rows.map((r) => r.cog)).to.deep.equal([19]);
    met.enough();
  });

  it('says whether legs can add at the motor’s own speed', () => {
    const at = gearSheet(contextOf(made())).cadenceAtMotor;
    expect(at?.rpm).to.be.closeTo(
      ((at?.speedMs ?? 0) * 60) / (2 * Math.PI * ((0.622 + 2 * 0.95 * 0.037) / 2) * 3),
      1e-6,
    );
    expect(at?.canAdd).to.equal(true);
    expect(gearSheet(contextOf(made({ survey: { ringTeeth: '22' } }))).cadenceAtMotor?.canAdd).to.equal(false);
    const none = made();
    none.build.choice.packId = null;
    expect(gearSheet(contextOf(none)).cadenceAtMotor).to.equal(null);
  });
});

describe('sized backwards, by hand', () => {
  it('energy, torque and power from the brief', () => {
    const w = made({}, 0.08);
    const c = contextOf(w);
    const sizing = sizeBackwards(c);
    const need = (id: string): number => sizing?.needs.find((n) => n.id === id)?.value.si ?? NaN;
    const whPerM = (c.reckoning?.toEmpty.whPerKm ?? NaN) / 1000;
    expect(need('energy')).to.be.closeTo((36_000 * whPerM) / 0.95 / 0.95 / 0.8, 1e-6);
    const radius = (0.622 + 2 * 0.95 * 0.037) / 2;
    expect(need('torque')).to.be.closeTo(c.systemMassKg * G * (Math.sin(Math.atan(0.08)) + 0.007) * radius * 1.1, 1e-6);
    expect(need('batteryAmps')).to.be.closeTo(need('power') / 0.76 / 36, 1e-9);
    const k = w.kit.motor.reduction;
    expect(need('volts')).to.be.closeTo(((w.kit.motor.ktNmPerA * k * (22 / 3.6)) / radius) * 1.17, 1e-9);
    expect(need('lowestGear')).to.be.NaN;
    const midNeed = sizeBackwards(contextOf(made({ kit: 'wren-m250' }, 0.08)));
    expect(midNeed?.needs.map((n) => n.id)).to.include('lowestGear');
  });

  it('names what each part of the shelf misses, those that miss nothing first', () => {
    const sizing = sizeBackwards(contextOf(made({}, 0.1)));
    const misses = sizing?.kits.map((k) => k.misses.length) ?? [];
    expect([...misses].sort((a, b) => a - b)).to.deep.equal(misses);
    const lead = sizing?.packs.find((p) => p.id === 'kettle-48-14');
    expect(phraseText(lead?.misses[0] ?? [], 'metric')).to.match(/and Otter R250 takes 36\sV/);
    expect(sizing?.kits.length).to.equal(starterShelf.kit.length);
  });
});

describe('the ride sheet, its job, what would change, and the line of a build', () => {
  it('are null or empty without kit and pack, and agree with the plan where they are chosen', () => {
    const w = made();
    const c = contextOf(w);
    expect(rideJob(c)?.wantedM).to.equal(36_000);
    expect(rideJob(c)?.job.system).to.deep.equal(c.reckoning?.system);
    const sheet = rideSheet(c);
    expect(sheet?.system).to.deep.equal(c.reckoning?.system);
    expect(sheet?.hills[0]?.grade).to.be.closeTo(0.05, 1e-6);
    expect(sheet?.cautions.map((x) => x.id)).to.deep.equal(['stopping', 'descent', 'cable']);
    expect(rideJob(c.with(null, null))).to.equal(null);
    expect(rideSheet(c.with(w.kit, null))).to.equal(null);
    expect(whatWouldChange(c.with(null, null), 'range')).to.deep.equal([]);
    expect(whatWouldChange(c, 'price')).to.deep.equal([]);
  });

  it('ten kilograms less is ten kilograms less, and the largest change comes first', () => {
    const c = contextOf(made());
    const mass = whatWouldChange(c, 'mass');
    expect(mass.find((m) => m.text === '10 kg less')?.delta.si).to.be.closeTo(-10, 1e-9);
    const range = whatWouldChange(c, 'range').map((m) => Math.abs(m.delta.si));
    expect([...range].sort((a, b) => b - a)).to.deep.equal(range);
    expect(range.length).to.be.greaterThan(3);
  });

  it('a line says what the plan says', () => {
    const plan = planChosen(contextOf(made({ survey: { valve: 'narrow' } })));
    const s = summaryOf(plan);
    expect(s.verdict).to.equal(plan.verdict);
    expect(s.worst).to.equal(plan.findings[0]?.title);
    expect(s.kitName).to.equal('Otter R250');
    expect(s.rangeM?.low).to.equal(plan.pack.band?.lowM);
    expect(s.drawing.geometry.tubes.length).to.equal(plan.drawing.geometry.tubes.length);
    expect(s.drawing.pack?.outline).to.deep.equal(plan.drawing.pack?.outline);
    expect(structuredClone(s)).to.deep.equal(s);
    expect(JSON.stringify(s).length).to.be.lessThan(12_000);
  });
});
