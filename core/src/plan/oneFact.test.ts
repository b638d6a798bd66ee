import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import type { Build } from '../build/build.ts';
import { derivedSizes } from '../donor/derived.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { readBuildFile } from '../formats/buildFile.ts';
import { settingRows } from '../wiring/settings.ts';
import { reportDoc } from './papers/report.ts';
import type { Finding } from '../fit/finding.ts';
import { tyreCircumference } from '../quantity/tyre.ts';
import { extensionsFor } from '../wiring/extensions.ts';
import { wiringOf } from '../wiring/wiring.ts';
import { judged, world } from '../../test/world.ts';
import { neededRange } from '../build/brief.ts';
import { doingsOf, minutesOf } from '../work/steps/steps.ts';
import { chanceOf, planAims } from './aims.ts';
import { planContext } from './context.ts';
import { gearSheet } from './gearSheet.ts';
import { legsDo } from './legsDo.ts';
import { handoverDoc } from './papers/handover.ts';
import { planBuild, planChosen } from './planBuild.ts';
import { rideSheet } from './rideSheet.ts';

const demos = ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'] as const;
function demo(name: string): Build {
  const read = readBuildFile(
    readFileSync(new URL(`../../../web/public/demo/builds/demo-${name}.json`, import.meta.url), 'utf8'),
  );
  if (!read.ok) throw new Error(name);
  return read.value;
}

/** Every figure with a name that is told anywhere in a value, by name and dimension. */
function told(where: string, value: unknown, into: Map<string, Map<string, string>>): void {
  if (Array.isArray(value)) return value.forEach((v, i) => told(`${where}.${i}`, v, into));
  if (typeof value !== 'object' || value === null) return;
  const row = value as Record<string, unknown>;
  const label = row.label ?? row.words;
  const figure = row.value as { si?: number; dimension?: string } | undefined;
  if (typeof label === 'string' && typeof figure === 'object' && figure !== null && typeof figure.si === 'number') {
    const key = `${label.toLowerCase()} [${figure.dimension ?? ''}]`;
    const here = into.get(key) ?? new Map<string, string>();
    here.set(figure.si.toPrecision(6), where);
    into.set(key, here);
  }
  for (const [k, v] of Object.entries(row)) told(`${where}.${k}`, v, into);
}

/** Names that belong to the sum they stand in: forces at that sum's speed, a place's own gap, a bar's own side. */
const OF_THEIR_SUM =
  /^(motor pulls|motor drags|rider pulls|(air|rolling|hill) resists|give or take|tightest gap|together)/;

describe('one quantity, told once', () => {
  for (const name of demos) {
    const build = demo(name);
    const context = planContext(build, starterShelf);
    const plan = planChosen(context);
    const ride = rideSheet(context);
    const paper = handoverDoc(context, plan, build);

    it(`${name}: no name stands for two figures in plan, ride, papers and sizes`, () => {
      const all = new Map<string, Map<string, string>>();
      told('plan', plan, all);
      told('ride', ride, all);
      told('handover', paper, all);
      told('report', reportDoc(context, planBuild(build, starterShelf), build, '2026-06-01T08:00'), all);
      told('derived', derivedSizes(build.donor), all);
      told('gears', gearSheet(context), all);
      told('legs', legsDo(context), all);
      const twice = [...all].filter(([k, values]) => values.size > 1 && !OF_THEIR_SUM.test(k));
      expect(twice.map(([k, v]) => `${k}: ${[...v].join(' | ')}`)).to.deep.equal([]);
      expect(all.size).to.be.greaterThan(100);
    });

    it(`${name}: what has several names is one figure under all of them`, () => {
      const found = (rule: string): Finding | undefined => plan.findings.find((f) => f.rule === rule);
      const figure = (id: string) => plan.figures.find((f) => f.id === id);
      const evidence = (f: Finding | undefined, label: string): number | undefined => {
        const value = f?.evidence.find((e) => e.label === label)?.value;
        return typeof value === 'object' ? value.si : undefined;
      };
      const same = (what: string, ...values: (number | undefined)[]): void => {
        const known = values.filter((v) => v !== undefined);
        for (const v of known) expect(v, what).to.be.closeTo(known[0] as number, 1e-9);
      };
      // The charger on the bill is the one that hours are told by.
      const charger = starterShelf.charger.find((c) => plan.money.lines.some((l) => l.part === c.id));
      expect(ride?.life.charger ?? null).to.equal(ride ? (charger?.name ?? null) : null);
      if (charger) same('amps', ride?.life.chargerA, charger.amps);
      // One wheel rolls one way: on the Donor, in the settings, by the sum they share.
      const { kit } = context;
      const tyre = kit?.hub?.place === 'front' ? context.asItIs.tyres.front : context.asItIs.tyres.rear;
      const advised = kit && settingRows(build, kit, context.pack).find((r) => r.id === 'circumference')?.advised;
      if (typeof advised === 'object' && advised !== null && !build.tuned.rolledM)
        same('turn', advised.si, tyreCircumference(tyre));
      if (kit?.hub?.place !== 'front' && typeof advised === 'object' && advised !== null && !build.tuned.rolledM)
        same(
          'turn',
          advised.si,
          derivedSizes(build.donor).find((d) => d.dimension === 'size' && /in a turn/.test(d.label))?.value,
        );
      same(
        'low end',
        figure('range')?.band?.low.si,
        evidence(found('range-need'), 'Low end of the band'),
        context.band?.lowM,
      );
      same('mass', figure('mass')?.value?.si, evidence(found('brakes-enough'), 'All that moves'), context.systemMassKg);
      same('price', figure('price')?.value?.si, plan.money.conversion);
      same('start', figure('startGrade')?.value?.si, context.start?.grade);
      // What the command line and proposals weigh is what the tally, the quotation and the bench tell.
      const weighed = planAims(context, plan);
      same('weighed price', weighed.price ?? undefined, plan.money.conversion);
      same('weighed use', weighed.whPerKm ?? undefined, context.reckoning?.toEmpty.whPerKm);
      const minutes = plan.build.steps.reduce((sum, step) => sum + step.minutes, 0);
      same('weighed hours', (weighed.hours ?? 0) * 60, minutes, minutesOf(context, doingsOf(build, plan.findings)));
      if (context.start) same('weighed start', weighed.start ?? undefined, context.start.grade - context.steepest);
      if (context.band)
        same('weighed chance', weighed.chance ?? undefined, chanceOf(context.band, neededRange(build.brief)));
    });
  }

  it('an extension that wiring asks for is on the bill at once, on ways not measured yet too', () => {
    const build = demo('mixte');
    Reflect.deleteProperty(build.donor.survey, 'headToBracket');
    build.fixes = [];
    const context = planContext(build, starterShelf);
    const plan = planChosen(context);
    const asked = extensionsFor(wiringOf(context)?.leads ?? []);
    expect(plan.findings.find((f) => f.rule === 'lead-lengths')?.verdict).to.equal('measure');
    expect(asked.length).to.be.greaterThan(0);
    for (const { part, count } of asked) {
      const line = plan.money.lines.find((l) => l.part === part);
      expect(line?.count, part).to.equal(count);
      expect(line?.kind, part).to.equal('usual');
    }
  });

  it('copper too thin for the fuse is told beside a plug too weak for it, and both are on the bill', () => {
    const made = world({
      edit: ({ build, kit }) => {
        kit.controller.batteryLimitA = 40;
        build.wiring.power.mm2 = 4;
      },
    });
    const found = judged('power-lead', made);
    expect(found?.title).to.equal('Plug and cable weaker than the fuse');
    const parts = found?.remedies[0]?.takes.map((t) => t.part) ?? [];
    expect(parts).to.include('plug-bullet-pair-2');
    expect(parts.some((part) => part.startsWith('cable-'))).to.equal(true);
  });
});
