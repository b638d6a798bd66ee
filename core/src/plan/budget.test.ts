import { expect } from 'chai';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { phraseText } from '../quantity/format.ts';
import { contextOf, world } from '../../test/world.ts';
import { wiringOf } from '../wiring/wiring.ts';
import { planContext } from './context.ts';
import { planBuild, planChosen } from './planBuild.ts';
import { rideSheet } from './rideSheet.ts';

describe('the budget', () => {
  const plan = (budget: number | null, edit: (b: ReturnType<typeof world>['build']) => void = () => undefined) => {
    const { build } = world({ survey: { hanger: 'claw' } });
    build.brief.budget = budget;
    edit(build);
    return planChosen(planContext(build, starterShelf));
  };
  const said = (...of: Parameters<typeof plan>) => plan(...of).findings.find((f) => f.rule === 'budget');

  it('is held against the whole conversion, just under and just over', () => {
    const { conversion, parts } = plan(null).money;
    expect(conversion).to.be.greaterThan(parts);
    expect(said(conversion)?.verdict).to.equal('fits');
    expect(said(conversion - 0.01)?.verdict).to.equal('rework');
    expect(phraseText(said(conversion - 10)?.why ?? [], 'metric')).to.match(/: 10 more than/);
    // The kit alone would have been within it.
    expect(said(parts)?.verdict).to.equal('rework');
  });

  it('is open while no battery is chosen, and says nothing where none was named or no kit is chosen', () => {
    expect(said(5000, (b) => (b.choice.packId = null))?.verdict).to.equal('measure');
    expect(said(null)).to.equal(undefined);
    expect(said(5000, (b) => (b.choice.kitId = null))).to.equal(undefined);
  });

  it('can be set aside with a reason like any other', () => {
    const f = said(1, (b) => {
      b.overrides = [{ rule: 'budget', subject: 'plan', reason: 'a gift pays the rest', on: '2026-01-01' }];
    });
    expect(f?.override?.reason).to.equal('a gift pays the rest');
  });
});

describe('one length of a lead', () => {
  it('is the rule’s evidence, the table’s and the drawing’s alike, and what the cable’s drop is reckoned over', () => {
    const c = contextOf(world({ survey: { headToBracket: '900 mm', lockSlack: '60 mm' } }));
    const plan = planChosen(c);
    const leads = plan.wiring.all?.leads ?? [];
    expect(leads).to.deep.equal(wiringOf(c)?.leads);
    const said = plan.findings.find((f) => f.rule === 'lead-lengths');
    const needs = said?.evidence.find((e) => e.label === 'It needs')?.value;
    expect(leads.map((l) => l.neededM)).to.include(typeof needs === 'object' ? needs.si : NaN);
    const battery = leads.find((l) => l.id === 'battery');
    const cable = rideSheet(c)?.cautions.find((x) => x.id === 'cable');
    const text = phraseText(cable?.lines.find((l) => l.label === 'cable, and at least')?.value ?? [], 'metric');
    const over = Math.max(battery?.neededM ?? NaN, battery?.suppliedM ?? NaN);
    expect(text).to.match(new RegExp(`over ${Math.round(over * 1000)}\\u00a0mm`));
    expect(plan.wiring.all?.power?.lengthM).to.equal(over);
  });
});

describe('what comes through the gears', () => {
  const efficiency = (clusterKind: 'freewheel' | 'hubGear', hubGear = '') =>
    contextOf(
      world({
        kit: 'wren-m250',
        survey: { clusterKind, hubGear, cogTeeth: clusterKind === 'hubGear' ? '19' : '14-18-24' },
      }),
    ).reckoning?.system.vehicle.drivetrainEfficiency;

  it('is 0.95 by chain and derailleur, 0.91 by a hub gear, 0.87 by a stepless hub', () => {
    expect(efficiency('freewheel')).to.equal(0.95);
    expect(efficiency('hubGear', 'eight')).to.equal(0.91);
    expect(efficiency('hubGear', 'stepless')).to.equal(0.87);
  });
});

describe('the pack as it is', () => {
  const rangeOf = (edit: (w: ReturnType<typeof world>) => void) => {
    const w = world({});
    edit(w);
    return contextOf(w).reckoning?.toEmpty.distanceM ?? NaN;
  };

  it('goes as far as what is left of it: four fifths with 0.8, and seven tenths where nobody tried a used one', () => {
    const full = rangeOf(() => undefined);
    expect(rangeOf(({ pack }) => void (pack.health = 0.8)) / full).to.be.closeTo(0.8, 0.01);
    expect(rangeOf(({ pack }) => void (pack.origin = 'used')) / full).to.be.closeTo(0.7, 0.01);
    expect(rangeOf(({ pack }) => void Object.assign(pack, { origin: 'used', health: 0.95 })) / full).to.be.closeTo(
      0.95,
      0.01,
    );
    expect(rangeOf(({ pack }) => void (pack.origin = 'new'))).to.equal(full);
  });
});

describe('the nearest kit', () => {
  it('is named from a dozen measurements on, not from eleven', () => {
    const named = (count: number): string => {
      const { build } = world({});
      build.choice.kitId = null;
      build.donor.survey = Object.fromEntries(
        Object.entries(build.donor.survey).slice(0, count),
      ) as typeof build.donor.survey;
      return phraseText(planBuild(build, starterShelf).can.why, 'metric');
    };
    expect(named(11)).to.match(/too little is measured to name one/);
    expect(named(12)).to.match(/comes nearest/);
  });
});
