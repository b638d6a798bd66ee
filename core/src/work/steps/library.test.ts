import { expect } from 'chai';
import type { Build } from '../../build/build.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { planContext } from '../../plan/context.ts';
import { planChosen, type ChosenPlan } from '../../plan/planBuild.ts';
import { phraseText } from '../../quantity/format.ts';
import { derailleur9, hubGear } from '../../../test/city.ts';
import { demoBuild } from '../../../test/demoBuild.ts';
import { manyBuilds } from '../../../test/manyBuilds.ts';
import { world, type WorldOf } from '../../../test/world.ts';
import { stepFacts, type StepFacts } from './facts.ts';
import { stepLibrary } from './library.ts';
import { readingVerdict } from './sheets.ts';
import { stepGroups, type StepSpec } from './step.ts';
import { stepFigureIds } from './stepFigures.ts';
import { tightness, type TightnessId } from './tightness.ts';
import { counted } from '../../../test/counted.ts';

const planOf = (build: Build): ChosenPlan => planChosen(planContext(build, starterShelf));
const idsOf = (of: WorldOf): string[] => planOf(world(of).build).build.steps.map((s) => s.id);
const everyFacts = [...manyBuilds()].flatMap((build) => stepFacts(planContext(build, starterShelf)) ?? []);

describe('the step library', () => {
  it('holds a whole conversion: every group, and far more than a hundred steps', () => {
    expect(stepLibrary.length).to.be.at.least(120);
    for (const group of stepGroups)
      if (group !== 'mend')
        expect(
          stepLibrary.some((s) => s.group === group),
          group,
        ).to.equal(true);
  });

  it('every step says how it is known to be right, or what it is read by, held for or drawn', () => {
    const mute = stepLibrary.filter(
      (s) => !(s.right ?? s.hold ?? s.figure ?? s.stubborn ?? s.reads ?? s.caution ?? s.tightness),
    );
    expect(mute.map((s) => s.id)).to.have.length.at.most(stepLibrary.length * 0.12);
    for (const s of stepLibrary) if (s.caution) expect(s.caution.ask, s.id).not.to.equal('');
  });

  it('what is drawn tight has a figure with its spread and its source, and every one is used', () => {
    const used = new Set<TightnessId>();
    const [first] = everyFacts.filter((f) => f.hub === 'rear' && f.arms > 0) as [StepFacts];
    const odd = (['none', 'one'] as const).map((value): StepFacts => ({
      ...first,
      axleM: 0.01,
      survey: { ...first.survey, rearEyelets: { value, typed: '', unit: '', provenance: 'measured', note: '' } },
    }));
    odd.push(
      { ...first, brake: 'discCable', rotor: true },
      { ...first, cottered: true },
      { ...first, packPlace: 'box' },
      { ...first, packPlace: 'rack' },
    );
    for (const s of stepLibrary) {
      const lists = typeof s.tightness === 'function' ? [...everyFacts, ...odd].map(s.tightness) : [s.tightness ?? []];
      for (const id of lists.flat()) used.add(id);
    }
    expect(Object.keys(tightness).filter((id) => !used.has(id as TightnessId))).to.deep.equal([]);
    for (const [id, t] of Object.entries(tightness)) {
      expect(t.least < t.usual && t.usual < t.most, id).to.equal(true);
      expect(t.most / t.least, id).to.be.at.most(2.6);
      expect(t.source, id).not.to.equal('');
    }
  });

  it('every small drawing is of some step', () => {
    const used = new Set(stepLibrary.map((s) => s.figure));
    expect(stepFigureIds.filter((id) => !used.has(id))).to.deep.equal([]);
    expect(stepFigureIds.length).to.be.at.least(30);
  });

  it('every step applies somewhere, and what is left off or fitted can be undone', () => {
    const met = counted();
    const special: Record<string, WorldOf> = {
      folder: { kind: 'folding' },
      gears: { kit: 'wren-m250', survey: { ...derailleur9, frontDerailleur: 'yes', underBracket: 'bolt' } },
      coaster: { survey: { rearBrake: 'coaster', tensioner: 'yes', parkingLock: 'yes', leftPull: 'twoCables' } },
      tensioner: { kit: 'wren-m250', survey: { tensioner: 'yes', clusterKind: 'single' } },
      tandem: { kind: 'tandem', kit: 'wren-m250' },
      hub: { survey: { ...hubGear }, kit: 'otter-r250' },
      tape: { survey: { barTape: 'yes' }, edit: ({ build }) => void (build.choice.usesThrottle = true) },
      front: {
        kit: 'linnet-f250',
        survey: { frontTips: 'recessed', frontBrake: 'discHydraulic', frontRotorMount: 'sixBolt' },
      },
      hydraulic: { survey: { rearBrake: 'discHydraulic', rearRotorMount: 'sixBolt' } },
      cogs: {
        kit: 'wren-m250',
        edit: ({ build }) => void (build.choice.clusterId = starterShelf.cluster[0]?.id ?? null),
      },
      pair: { survey: { leftPull: 'twoCables' }, edit: ({ build }) => void (build.wiring.levers.left.by = 'newLever') },
      boom: { kind: 'tadpoleTrike', kit: 'wren-m250' },
      laced: {
        kit: 'wren-m250',
        edit: ({ build }) => void (build.choice.hubGearId = starterShelf.hubGear[0]?.id ?? null),
      },
      wired: {
        edit: ({ build }) => {
          build.schools.leads = 'inside';
          build.wiring.power.precharge = starterShelf.precharge[0]?.id ?? null;
          build.wiring.parts.frontLamp = starterShelf.control.find((c) => c.role === 'frontLamp')?.id ?? null;
          build.wiring.parts.horn = starterShelf.control.find((c) => c.role === 'horn')?.id ?? null;
          build.wiring.packs = { join: 'parallel', by: 'diodes', of: null, members: [] } as never;
          build.brief.trailer = {} as never;
        },
      },
    };
    const facts = [
      ...everyFacts,
      ...Object.values(special).flatMap((of) => {
        const w = world(of);
        // A trailer of no size is told by its being there alone.
        const { trailer } = w.build.brief;
        if (trailer) w.build.brief.trailer = null;
        const found = stepFacts(planContext(w.build, starterShelf));
        return found ? [{ ...found, trailer: trailer !== null }] : [];
      }),
      ...['mixte', 'trike', 'box', 'lockkeeper'].flatMap(
        (n) => stepFacts(planContext(demoBuild(n as 'box'), starterShelf)) ?? [],
      ),
    ];
    const never = (s: StepSpec): boolean => !facts.some((f) => s.when(f));
    expect(stepLibrary.filter(never).map((s) => s.id)).to.deep.equal(['trailer-socket']);
    for (const s of stepLibrary) {
      const leaves = facts.flatMap((f) => (s.when(f) ? (s.leaves?.(f) ?? []) : []));
      const needsUndo = leaves.some(([, state]) => state === 'off' || state === 'loose');
      if (needsUndo && met()) expect(s.undo, `${s.id} can be undone`).to.be.a('string');
    }
    met.enough();
  });

  it('nothing irrelevant: a coaster-brake roadster with a front hub never sees a cassette, a derailleur or a hose', () => {
    const ids = idsOf({
      kit: 'linnet-f250',
      survey: { clusterKind: 'single', rearBrake: 'coaster', frontBrake: 'rim', frontDerailleur: 'no' },
    });
    for (const id of [
      'cogs-off',
      'cogs-on',
      'cog-clear',
      'hanger-true',
      'gears-set',
      'derailleur-aside',
      'bleed',
      'rotor-on',
    ])
      expect(ids, id).not.to.include(id);
    expect(ids).to.include.members(['tips-look', 'pads-set', 'brake-open', 'wheel-in', 'head-play']);
    // Its coaster brake stays in the wheel that stays.
    expect(ids).not.to.include('brake-arm-off');
    expect(idsOf({ kit: 'otter-r250', survey: { rearBrake: 'coaster' } })).to.include('brake-arm-off');
  });

  it('asks for no tool that is not among the needs or the bill, and every remedy of work is a step', () => {
    for (const build of [
      ...['mixte', 'trike', 'box', 'lockkeeper', 'gravel'].map((n) => demoBuild(n as 'box')),
      ...manyBuilds(),
    ]) {
      const {
        build: bench,
        parts: { bill },
      } = planOf(build);
      const had = new Set([...bench.needs.map((n) => n.part), ...bill.lines.map((l) => l.part)]);
      for (const s of bench.steps) {
        for (const tool of s.tools) expect(had.has(tool), `${s.id} ${tool}`).to.equal(true);
        for (const supply of Object.keys(s.supplies)) expect(had.has(supply), `${s.id} ${supply}`).to.equal(true);
      }
    }
  });

  it('a step goes through what is there: leads the longest first, settings as advised, the box’s contents', () => {
    const build = demoBuild('box');
    build.fixes = [];
    const { sheets } = planOf(build).build;
    const leads = sheets['lay-leads']?.list.map((l) => phraseText(l, 'metric')) ?? [];
    const needs = leads.map((l) => Number(/needs ([\d\s]+)/.exec(l)?.[1]?.replace(/\s/g, '')));
    expect(leads.length).to.be.greaterThan(4);
    // What does not reach says so, and nothing else does.
    const short = planOf(build).wiring.all?.leads.filter((l) => l.verdict === 'short').length;
    expect(leads.filter((l) => /too short/.test(l)).length).to.equal(short);
    expect(short).to.be.greaterThan(0);
    expect([...needs].sort((a, b) => b - a)).to.deep.equal(needs);
    expect(sheets['measure-kit']?.list.length).to.equal(
      starterShelf.kit.find((k) => k.id === 'wren-m250')?.contents?.length,
    );
    expect(sheets['fuse-in']?.list.map((l) => phraseText(l, 'metric'))[0]).to.match(
      /^\d+\sA fuse, in [\d.]+ mm² of copper$/,
    );
    build.wiring.settings.circumference = 2.111;
    const set = planOf(build).build.sheets['circumference-set'];
    expect(set?.list.map((l) => phraseText(l, 'metric').replace(/\s/g, ' '))).to.deep.equal([
      'Wheel circumference: 2111 mm',
    ]);
    expect(set?.reads[0]).to.deep.include({ dimension: 'size' });
  });

  it('a reading is right on its bounds, and low or high just past them', () => {
    const bounds = { least: 10, most: 12 };
    expect([9.999, 10, 12, 12.001].map((v) => readingVerdict(bounds, v))).to.deep.equal([
      'low',
      'right',
      'right',
      'high',
    ]);
    expect(readingVerdict({ least: null, most: 12 }, -5)).to.equal('right');
    expect(readingVerdict({ least: null, most: 12 }, 13)).to.equal('high');
    expect(readingVerdict({ least: 10, most: null }, 9)).to.equal('low');
    expect(readingVerdict({ least: null, most: null }, 9)).to.equal('noted');
  });
});
