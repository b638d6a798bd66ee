import { expect } from 'chai';
import type { Build } from '../../build/build.ts';
import { partById } from '../../parts/part.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { planContext } from '../../plan/context.ts';
import { planChosen, type ChosenPlan } from '../../plan/planBuild.ts';
import { knotOf } from '../scheduleCase.ts';
import { manyBuilds } from '../../../test/manyBuilds.ts';
import { demoBuild } from '../../../test/demoBuild.ts';
import { contextOf, world } from '../../../test/world.ts';
import { usualBill, usualLine } from '../../build/bill.ts';
import { benchNeeds } from './needs.ts';
import type { BuildStep } from './step.ts';
import { stepLibrary } from './library.ts';
import { specOf, stepsOf } from './steps.ts';
import { stepSheets } from './sheets.ts';
import { phraseText } from '../../quantity/format.ts';
import { counted } from '../../../test/counted.ts';

const planOf = (build: Build): ChosenPlan => planChosen(planContext(build, starterShelf));
const idsOf = (build: Build): string[] => planOf(build).build.steps.map((s) => s.id);
const demos = ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'] as const;

describe('the steps of a build', () => {
  it('the library names each step once, and comes after steps there are, with no knot', () => {
    const ids = stepLibrary.map((s) => s.id);
    expect(new Set(ids).size).to.equal(ids.length);
    for (const step of stepLibrary) {
      for (const { step: before, why } of step.after ?? []) {
        expect(ids, `${step.id} after`).to.include(before);
        expect(why, step.id).not.to.equal('');
      }
      expect(step.minutes[0], step.id).to.be.greaterThan(step.minutes[1]);
      for (const supply of Object.keys(step.supplies ?? {}))
        expect(partById(starterShelf, supply)?.kind, supply).to.equal('consumable');
    }
    expect(knotOf(stepLibrary.map((s) => ({ id: s.id, after: (s.after ?? []).map((a) => a.step) })))).to.equal(null);
  });

  it('on any donor with any kit: no knot, each after steps of this build, every line of the bill fitted by one of them', () => {
    const met = counted();
    for (const build of [...demos.map(demoBuild), ...manyBuilds()]) {
      const {
        build: bench,
        parts: { bill },
      } = planOf(build);
      const name = `${build.donor.kind} ${build.choice.kitId ?? ''}`;
      const ids = bench.steps.map((s) => s.id);
      expect(new Set(ids).size, name).to.equal(ids.length);
      for (const step of bench.steps) for (const a of step.after) expect(ids, `${name} ${step.id}`).to.include(a.step);
      expect(knotOf(bench.steps.map((s) => ({ id: s.id, after: s.after.map((a) => a.step) }))), name).to.equal(null);
      for (const line of bill.lines)
        if (line.why !== 'notWanted' && met()) expect(ids, `${name} ${line.key}`).to.include(bench.fits[line.key]);
      // The battery goes in last, and the last look comes after everything.
      const followers = (id: string): string[] =>
        bench.steps.flatMap((s) => (s.after.some((a) => a.step === id) ? [s.id, ...followers(s.id)] : []));
      expect(followers('first-power'), name).to.include('tighten-again');
    }
    met.enough();
  });

  it('a cadence ring in two halves leaves the crank on; a whole one has it off and back', () => {
    const cranks = (part: string | null): string[] => {
      const { build } = world({ kit: 'otter-r250' });
      build.wiring.parts.cadence = part;
      return idsOf(build).filter((id) => ['crank-aside', 'cadence-ring', 'crank-back'].includes(id));
    };
    expect(cranks('ring-12-left')).to.have.members(['crank-aside', 'cadence-ring', 'crank-back']);
    expect(cranks('ring-24-split')).to.deep.equal(['cadence-ring']);
  });

  it('nothing that does not concern it: no cogs for a front hub, no bracket for a hub, no axle for a mid-drive', () => {
    const front = idsOf(demoBuild('lockkeeper'));
    expect(front).to.include.members(['wheel-out', 'tape-rim', 'wheel-in', 'axle-tight']);
    expect(front).not.to.include.members(['cogs-off']);
    for (const id of ['cogs-off', 'cogs-on', 'bracket-out', 'mid-in', 'side-chain', 'gears-set'])
      expect(front, id).not.to.include(id);
    const mid = idsOf(demoBuild('box'));
    expect(mid).to.include.members(['bracket-out', 'mid-in', 'mid-tight', 'cranks-on']);
    for (const id of ['wheel-out', 'tape-rim', 'axle-tight', 'arms-ready', 'cadence-ring'])
      expect(mid, id).not.to.include(id);
    const side = starterShelf.kit.find((k) => k.side);
    expect(idsOf(world({ kit: side?.id ?? '' }).build)).to.include.members([
      'side-clamps',
      'side-sprocket',
      'side-chain',
    ]);
    const { build } = world({});
    build.choice.kitId = null;
    expect(idsOf(build)).to.deep.equal([]);
  });

  it('what comes after a step that does not apply comes after what that one would have come after', () => {
    const { build: bench } = planOf(demoBuild('lockkeeper'));
    const wheelIn = bench.steps.find((s) => s.id === 'wheel-in');
    // No cogs here: what they would have waited for, the kit itself, it waits for all the same.
    expect(wheelIn?.after.map((a) => a.step)).to.include('measure-kit');
    expect(wheelIn?.after.map((a) => a.step)).not.to.include('cogs-on');
  });

  it('a remedy taken is a step with its own minutes, before the part goes there; set aside it is none', () => {
    const build = demoBuild('mixte');
    const plan = planOf(build);
    const fix = plan.build.steps.find((s) => s.id === 'fix:dropout-spacing@otter-r250');
    expect(fix?.practised).to.equal(45);
    expect(fix?.minutes).to.equal(113);
    expect(fix?.after.map((a) => a.step)).to.deep.equal(['wheel-out']);
    expect(plan.build.steps.find((s) => s.id === 'try-axle')?.after.map((a) => a.step)).to.include(fix?.id);
    build.bench.practised = true;
    expect(planOf(build).build.steps.find((s) => s.id === fix?.id)?.minutes).to.equal(45);
    build.overrides.push({
      rule: 'dropout-spacing',
      subject: 'otter-r250',
      reason: 'spread already',
      on: '2026-03-01',
      verdict: 'rework',
    } as never);
    expect(idsOf(build)).not.to.include(fix?.id);
  });

  it('two findings that ask for the same work at the same place have it done once, the longer', () => {
    const { build } = world({});
    const context = planContext(build, starterShelf);
    const [finding] = planChosen(context).findings;
    if (!finding) throw new Error('no finding');
    const doing = (rule: string, work: number, place: 'frame' | 'fork') => ({
      finding: { ...finding, rule },
      remedy: {
        id: 'r',
        does: 'work',
        text: ['File it.'],
        takes: [{ part: 'grease', count: 1, place }],
        work,
        tools: [],
      },
      taken: true,
    });
    const steps = stepsOf(context, [doing('a', 10, 'frame'), doing('b', 30, 'frame'), doing('c', 10, 'fork')] as never);
    expect(steps.filter((s) => s.rule !== null).map((s) => [s.rule, s.practised])).to.deep.equal([
      ['b', 30],
      ['c', 10],
    ]);
  });

  it('what is painted or sealed waits until it is dry, the longest of what it takes', () => {
    const { build } = world({});
    const context = planContext(build, starterShelf);
    const [finding] = planChosen(context).findings;
    if (!finding) throw new Error('no finding');
    const waitOf = (...parts: string[]): number | undefined =>
      stepsOf(context, [
        {
          finding: { ...finding, rule: 'dry' },
          remedy: {
            id: 'r',
            does: 'work',
            text: ['Paint it.'],
            takes: parts.map((part) => ({ part, count: 1, place: 'frame' })),
            work: 10,
            tools: [],
          },
          taken: true,
        },
      ] as never).find((s) => s.rule === 'dry')?.wait?.minutes;
    expect(waitOf('touch-up-paint')).to.equal(120);
    expect(waitOf('touch-up-paint', 'rust-kit')).to.equal(1440);
    expect(waitOf('silicone', 'touch-up-paint')).to.equal(720);
    expect(waitOf('grease')).to.equal(undefined);
  });

  it('one to two hours of practised work for a whole kit, four to eight for a beginner, remedies and repairs apart', () => {
    for (const name of demos) {
      const own = planOf(demoBuild(name)).build.steps.filter((s) => s.rule === null && !s.id.startsWith('repair:'));
      const sum = (of: (s: (typeof own)[number]) => number): number => own.reduce((all, s) => all + of(s), 0) / 60;
      expect(
        sum((s) => s.practised),
        name,
      ).to.be.within(1, 2.4);
      expect(
        sum((s) => s.minutes),
        name,
      ).to.be.within(4, 8.2);
    }
  });
});

describe('tools and supplies for the bench', () => {
  it('supplies are bought in whole packets: what all steps use together, rounded up', () => {
    const grease = partById(starterShelf, 'grease');
    const holds = grease?.kind === 'consumable' ? grease.amount : NaN;
    const packets = (...uses: number[]): number | undefined => {
      const steps = uses.map((amount, i) => ({ id: `s${i}`, tools: [], supplies: { grease: amount } }));
      return benchNeeds(steps as unknown as BuildStep[], starterShelf, usualBill(), new Set()).find(
        (n) => n.part === 'grease',
      )?.count;
    };
    expect(packets(1)).to.equal(1);
    expect(packets(holds)).to.equal(1);
    expect(packets(holds * 0.6, holds * 0.3)).to.equal(1);
    expect(packets(holds * 0.6, holds * 0.6)).to.equal(2);
    expect(packets(holds, holds, 1)).to.equal(3);
  });

  it('each is asked for once, and costs nothing until somebody says it is to be bought or hired', () => {
    const { build } = world({});
    const before = planOf(build);
    const needs = before.build.needs;
    expect(new Set(needs.map((n) => n.part)).size).to.equal(needs.length);
    expect(needs.every((n) => n.from === null)).to.equal(true);
    expect(before.money.bench).to.equal(0);
    const big = needs.find((n) => n.part === 'big-torque-wrench');
    expect(big).to.deep.include({ kind: 'tool', price: 70, hire: 8, count: 1 });
    const of = (from: 'order' | 'hire' | 'have' | 'borrow'): ChosenPlan => {
      build.bill.lines['big-torque-wrench@bench'] = { ...usualLine, from };
      return planOf(build);
    };
    for (const [from, price, lines] of [
      ['order', 70, 1],
      ['hire', 8, 1],
      ['borrow', 0, 1],
      ['have', 0, 0],
    ] as const) {
      const plan = of(from);
      expect(plan.money.bench, from).to.equal(price);
      expect(plan.money.conversion - before.money.conversion, from).to.be.closeTo(price, 1e-9);
      expect(plan.parts.bill.lines.filter((l) => l.part === 'big-torque-wrench').length, from).to.equal(lines);
      expect(plan.parts.bill.sums.wanted, from).to.be.closeTo(plan.money.conversion, 1e-9);
      expect(plan.build.needs.find((n) => n.part === 'big-torque-wrench')?.from, from).to.equal(from);
    }
  });

  it('supplies by amount: as many as hold what all steps use', () => {
    const { build } = world({});
    const needs = planOf(build).build.needs;
    const rags = needs.find((n) => n.part === 'rags');
    expect(rags).to.deep.include({ kind: 'supply', unit: 'piece', count: 1 });
    expect(rags?.amount).to.equal(rags?.steps.length);
    // Tape that a finding wants on the same rim is not asked for twice.
    const twice = planOf(demoBuild('trike'));
    expect(twice.parts.bill.lines.some((l) => l.part === 'rim-tape')).to.equal(true);
    expect(twice.build.needs.some((n) => n.part === 'rim-tape')).to.equal(false);
  });
});

describe('steps of the bracket that is there', () => {
  const stepsOn = (kind: string) => {
    const made = world({ kit: 'wren-m250', survey: { bracketKind: kind } });
    const context = contextOf(made);
    const steps = stepsOf(context, []);
    return { steps, sheets: stepSheets(context, steps, { leads: [], power: null, settings: [] }) };
  };
  const said = (kind: string): string => {
    const { steps, sheets } = stepsOn(kind);
    return steps
      .filter((s) => s.id === 'bracket-out' || s.id === 'shell-clean')
      .map((s) => [phraseText(s.title, 'metric'), sheets[s.id]?.thread, sheets[s.id]?.right].join(' '))
      .join(' ');
  };

  it('no shell without a thread is unscrewed or its threads cleaned; only an ISO shell is told left-handed', () => {
    for (const kind of ['pressFit', 'onePiece']) expect(said(kind), kind).not.to.match(/[Uu]nscrew|’s threads|ISO/);
    expect(said('threadedIso')).to.match(/Unscrew.*ISO thread/);
    for (const kind of ['threadedItalian', 'threadedFrench', 'eccentric'])
      expect(said(kind), kind).not.to.match(/usual ISO thread/);
    for (const kind of ['pressFit', 'onePiece', 'threadedIso', 'eccentric'])
      expect(said(kind).length, kind).to.be.greaterThan(80);
  });

  it('a reason is the step’s own or none: never one of a step that is not there', () => {
    for (const kit of starterShelf.kit) {
      const steps = stepsOf(contextOf(world({ kit: kit.id })), []);
      for (const step of steps)
        for (const { step: before, why } of step.after) {
          const own = specOf(step.id)?.after?.find((a) => a.step === before);
          expect(why, `${step.id} after ${before}`).to.equal(own?.why ?? '');
        }
    }
  });
});
