import { expect } from 'chai';
import fc from 'fast-check';
import { newBuild } from '../build/build.ts';
import { usualChoice } from '../build/choice.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { phraseText } from '../quantity/format.ts';
import { planAims } from '../plan/aims.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { boardOf, candidateDrawing } from './board.ts';
import type { Fare } from './contenders.ts';
import { Front, keysOf } from './front.ts';
import { DOES_IT, picksOf, regrets, weightsFor } from './picks.ts';
import { likelyKits } from './likely.ts';
import type { Candidate, SearchResult } from './search.ts';
import { chosenCandidate, stillBest } from './stillBest.ts';
import { against, familyFates } from './whyNot.ts';

const build = newBuild('b', 'B', '2026-01-01T00:00:00.000Z');

/** A candidate by what matters here. */
function candidate(kitId: string, of: Partial<Candidate['aims']> = {}, more: Partial<Candidate> = {}): Candidate {
  return {
    choice: { ...usualChoice(), kitId, packId: 'kettle-36-13', packPlace: 'downTube' },
    verdict: 'rework',
    aims: {
      price: 800,
      hours: 15,
      mass: 7,
      chance: 0.95,
      start: 0,
      climb: 3,
      winding: 60,
      whPerKm: 9,
      handling: 0,
      yearly: 100,
      open: 5.003,
      ...of,
    },
    range: { lowM: 40_000, midM: 45_000, highM: 50_000 },
    startGrade: 0.1,
    open: { rework: 5, measure: 3, law: 0 },
    ...more,
  };
}

const result = (front: Candidate[], kits: SearchResult['kits'] = []): SearchResult => ({
  counted: 10,
  standing: 5,
  ridden: 5,
  front,
  kits,
});

const goes = (share: number, price: number, hours: number): Fare => ({
  worth: share - price / 10_000,
  of: 200,
  share,
  price: { low: price - 50, high: price + 50 },
  hours: { low: hours - 1, high: hours + 1 },
  stops: [],
});

describe('picks over vehicles drawn', () => {
  const front = [candidate('a', { price: 500 }), candidate('b', { price: 700 }), candidate('c', { price: 900 })];
  it('are what goes on often enough, and cheapest by what it comes to there', () => {
    const fares = [goes(0.2, 500, 10), goes(0.8, 900, 20), goes(0.9, 850, 25)];
    const picks = picksOf(front, { price: 1 }, (i) => fares[i]);
    expect(picks).to.deep.include({ cheapest: 2, leastWork: 1 });
    expect(Object.values(picks)).not.to.include(0);
    expect(picksOf(front, { price: 1 }).cheapest).to.equal(0);
  });
  it('leave out what was not drawn for', () => {
    const picks = picksOf(front, { price: 1 }, (i) => (i === 1 ? goes(0.5, 700, 9) : undefined));
    expect(new Set(Object.values(picks))).to.deep.equal(new Set([1]));
  });
});

describe('picks of a front', () => {
  const cheap = candidate('linnet-f250', { price: 600, chance: 0.4 });
  const able = candidate('otter-r250', { price: 700, chance: 0.92, start: -0.01 }, { startGrade: 0.09 });
  const strong = candidate('wren-m250', { price: 950, start: 0.08, hours: 13, mass: 8 }, { startGrade: 0.18 });
  const far = candidate('wren-m500', { price: 1100, chance: 1 }, { range: { lowM: 7e4, midM: 8e4, highM: 9e4 } });
  const front = [cheap, able, strong, far];

  it('come from what comes home nine times in ten; where nothing does, from the likeliest', () => {
    expect(picksOf(front, weightsFor(build)).cheapest).to.equal(1);
    const weak = [cheap, candidate('otter-r250', { price: 700, chance: 0.6 })];
    expect(picksOf(weak, weightsFor(build)).cheapest).to.equal(1);
    expect(DOES_IT).to.equal(0.9);
    expect(picksOf([], weightsFor(build))).to.deep.equal({});
  });

  it('each are best at what they are picked for', () => {
    const picks = picksOf(front, weightsFor(build));
    expect(picks).to.include({ leastWork: 2, hills: 2, farthest: 3, lightest: 1 });
  });

  it('what the class does not allow is proposed only where it allows nothing', () => {
    const open = { rework: 1, measure: 0, law: 1 };
    const fast = candidate('ouzel-m750', { price: 100, open: 1 }, { open });
    expect(Object.values(picksOf([...front, fast], weightsFor(build)))).to.not.include(4);
    expect(picksOf([fast], weightsFor(build)).fit).to.equal(0);
  });

  it('move with the weights at once: all on price is the cheapest, all on the start the strongest', () => {
    expect(picksOf(front, { price: 5 }).fit).to.equal(1);
    expect(picksOf(front, { start: 5 }).fit).to.equal(2);
  });

  it('regret is nothing for what is best in all, and never below', () => {
    const best = candidate('wren-m250', { price: 1, hours: 1, mass: 1, chance: 1, start: 1, climb: 9, open: 0 });
    const sums = regrets([best, ...front], weightsFor(build));
    expect(sums[0]).to.equal(0);
    expect(Math.min(...sums.slice(1))).to.be.greaterThan(0);
  });

  it('are shown once each on the board, the one we would fit first, all but one against it', () => {
    const { picks } = boardOf(result(front), weightsFor(build), starterShelf);
    expect(picks[0]?.for[0]).to.equal('fit');
    expect(new Set(picks.map((p) => p.at)).size).to.equal(picks.length);
    const names = picks.flatMap((p) => p.for);
    expect(new Set(names).size).to.equal(names.length);
    for (const p of picks.slice(1)) expect(phraseText(p.against ?? [], 'metric'), p.kit.id).to.match(/\.$/);
  });
});

describe('why not', () => {
  const pick = candidate('wren-m250', {}, { startGrade: 0.18 });

  it('says what is gained and lost by how much, and leaves out what nobody would choose by', () => {
    const hub = candidate('otter-r250', { price: 600, mass: 7.1, chance: 0.94 }, { startGrade: 0.1 });
    const told = (a: Candidate, b: Candidate): string => phraseText(against(a, b), 'metric').replace(/\s/g, ' ');
    expect(told(hub, pick)).to.equal('200 cheaper, but starts on 10.0 % instead of 18.0 %.');
    expect(told(pick, hub)).to.equal('starts on 18.0 % instead of 10.0 %, but 200 dearer.');
    expect(told(pick, pick)).to.equal('no difference that one would choose by.');
  });

  it('names for every family on the shelf its best, or the one reason most of its kits are out', () => {
    const kits = starterShelf.kit.map((k) => ({
      kit: k.id,
      standing: k.family === 'rearDirect' ? 3 : 0,
      stoppedBy: k.family === 'frontHub' ? 'Fork ends too thin' : null,
    }));
    const fates = familyFates(result([pick], kits), 0, starterShelf, weightsFor(build));
    const why = Object.fromEntries(fates.map((f) => [f.family, phraseText(f.why, 'metric')]));
    const fronts = starterShelf.kit.filter((k) => k.family === 'frontHub').length;
    expect(why.frontHub).to.equal(`Fork ends too thin: ${fronts} of ${fronts} kits.`);
    expect(why.rearDirect).to.match(/^Goes on, but something else/);
    expect(why.midDrive).to.equal('This is the one we would fit.');
    expect(fates.find((f) => f.family === 'midDrive')?.best).to.equal(0);
  });
});

describe('a front', () => {
  it('keeps those that nobody covers, in whatever order they come', () => {
    const one = fc.record({ price: fc.nat(6), chance: fc.nat(4).map((n) => n / 4), name: fc.string({ maxLength: 3 }) });
    fc.assert(
      fc.property(fc.uniqueArray(one, { selector: (o) => o.name, maxLength: 14 }), fc.nat(), (all, turn) => {
        const before = (a: (typeof all)[number], b: (typeof all)[number]): number =>
          a.price - b.price || (a.name < b.name ? -1 : 1);
        const keys = (o: (typeof all)[number]) => keysOf(['price', 'chance'], { price: o.price, chance: o.chance });
        const build = (list: typeof all): typeof all => {
          const front = new Front<(typeof all)[number]>(before);
          for (const o of list) front.take(keys(o), o);
          return front.list;
        };
        const at = all.length === 0 ? 0 : turn % all.length;
        const front = build(all);
        expect(build([...all.slice(at), ...all.slice(0, at)])).to.deep.equal(front);
        const beats = (a: (typeof all)[number], b: (typeof all)[number]): boolean =>
          a.price <= b.price && a.chance >= b.chance && (a.price < b.price || a.chance > b.chance);
        for (const f of front) expect(all.some((o) => beats(o, f))).to.equal(false);
        for (const o of all)
          expect(front.some((f) => f === o || beats(f, o) || (f.price === o.price && f.chance === o.chance))).to.equal(
            true,
          );
      }),
    );
  });

  it('takes what no ride has shown yet as good as it could be: a chance as certain, all else as open', () => {
    expect(keysOf(['chance', 'winding'], {})).to.deep.equal([1000, Infinity]);
  });
});

describe('a candidate drawn small', () => {
  it('has its motor at its place and its pack where it lies', () => {
    const drawn = candidateDrawing(build, starterShelf, candidate('otter-r250'));
    expect(drawn.motor?.centre).to.deep.equal(drawn.geometry.rearAxle);
    expect(drawn.pack?.outline.length).to.be.greaterThan(3);
  });
});

describe('kits worth proposing', () => {
  it('are those that a vehicle of its kind usually takes, each kit in one list', () => {
    const { kits, unlikely } = likelyKits(build, starterShelf);
    expect([...kits, ...unlikely.map((u) => u.kit)].sort()).to.deep.equal(starterShelf.kit.map((k) => k.id).sort());
    // An ordinary bicycle: no kit for fat frames, none for small wheels.
    expect(kits).to.include.members(['otter-r250', 'linnet-f250', 'wren-m250']);
    expect(unlikely.map((u) => u.kit)).to.include.members(['kelpie-r750', 'linnet-f250-s']);
    for (const { stoppedBy } of unlikely) expect(stoppedBy).to.be.a('string').and.not.equal('');
    // Nobody measured anything: what is usual is said to be no more than that.
    expect(unlikely.every((u) => u.usually)).to.equal(true);
    const fates = familyFates(result([candidate('wren-m250')], unlikely), 0, starterShelf, weightsFor(build));
    const side = fates.find((f) => f.family === 'sideChain');
    expect(phraseText(side?.why ?? [], 'metric')).to.match(/^By the usual sizes of such a vehicle, not measured here/);
  });

  it('what was measured counts before what is usual', () => {
    const folder = structuredClone(build);
    folder.donor.survey.frontTyre = {
      value: { beadM: 0.406, widthM: 0.047 },
      typed: '47-406',
      unit: '',
      provenance: 'measured',
      note: '',
    };
    const { kits } = likelyKits(folder, starterShelf);
    expect(kits).to.include('linnet-f250-s');
  });
});

describe('whether a choice is still the best', () => {
  const mine = candidate('otter-r250');
  const front = [
    candidate('linnet-f250', { price: 700, mass: 6 }),
    candidate('wren-m250', { price: 900, start: 0.1 }, { startGrade: 0.2 }),
  ];

  it('names what is as good in all and better in some, and by how much', () => {
    const found = stillBest(front, mine, weightsFor(build));
    expect(found).to.include({ stands: 'beaten', other: 0 });
    expect(phraseText(found.by, 'metric').replace(/\s/g, ' ')).to.equal('100 cheaper and 1.0 kg lighter.');
    expect(stillBest([mine], mine, weightsFor(build))).to.deep.equal({ stands: 'best', other: null, by: [] });
    expect(stillBest([], mine, weightsFor(build))).to.deep.equal({ stands: 'best', other: null, by: [] });
    const stopped = { ...mine, verdict: 'stop' as const };
    expect(stillBest(front, stopped, weightsFor(build))).to.include({ stands: 'stopped' });
    expect(stillBest([], stopped, weightsFor(build))).to.deep.equal({ stands: 'stopped', other: null, by: [] });
    // What is stopped beats nobody.
    expect(stillBest([{ ...front[0], verdict: 'stop' } as Candidate], mine, weightsFor(build)).stands).to.equal('best');
  });

  it('else names what we would fit by what counts, which moves with the weights', () => {
    const [, dearer] = front;
    const onHills = stillBest([dearer as Candidate], mine, { start: 4, price: 1 });
    expect(onHills).to.include({ stands: 'outweighed', other: 0 });
    expect(phraseText(onHills.by, 'metric')).to.match(/starts on 20\.0\s%.*but .*dearer/);
    expect(stillBest([dearer as Candidate], mine, { start: 1, price: 4 })).to.include({ stands: 'best', other: null });
  });

  it('what is chosen is weighed as a candidate is, and nothing is before kit and battery are chosen', () => {
    const chosen = structuredClone(build);
    chosen.choice = { ...mine.choice };
    const context = planContext(chosen, starterShelf);
    const plan = planChosen(context);
    const found = chosenCandidate(context, plan);
    expect(found?.aims).to.deep.equal(planAims(context, plan));
    expect(found?.verdict).to.equal(plan.verdict);
    expect(found?.open.measure).to.equal(plan.findings.filter((f) => f.verdict === 'measure').length);
    const bare = planContext(build, starterShelf);
    expect(chosenCandidate(bare, planChosen(bare))).to.equal(null);
  });
});
