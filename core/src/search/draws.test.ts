import { expect } from 'chai';
import type { Choice } from '../build/choice.ts';
import { emptyDonor, type Donor, type Survey } from '../donor/donor.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { finish } from '../steps.ts';
import { demoBuild } from '../../test/demoBuild.ts';
import { newBuild } from '../build/build.ts';
import { planContext } from '../plan/context.ts';
import { bearsItsLoad, drawsInSteps, goesOn, type Drawn, type DrawnFate } from './draws.ts';
import { measureFirst, type Contender } from './measureFirst.ts';
import { scenarioIds, staysBestInSteps } from './staysBest.ts';
import { ShelfSearch, usualSearch } from './search.ts';

const choiceOf = (change: Partial<Choice>): Choice => ({
  ...newBuild('a', 'A', '2026-01-01T00:00:00.000Z').choice,
  ...change,
});
const otter = choiceOf({ kitId: 'otter-r250', packId: 'kettle-36-13', packPlace: 'downTube' });
const linnet = choiceOf({ kitId: 'linnet-f250', packId: 'kettle-36-13', packPlace: 'downTube' });

describe('vehicles drawn for conversions', () => {
  it('are the same for the same seeds, whoever draws them, and say what stops each or what it comes to', () => {
    const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    const whole = finish(drawsInSteps(build, starterShelf, [otter, linnet], [0, 1, 2, 3, 4, 5, 6, 7]));
    const late = finish(drawsInSteps(build, starterShelf, [otter, linnet], [6]));
    expect(late[0]).to.deep.equal(whole[6]);
    const fares = goesOn(whole, 1);
    const going = whole.filter((d) => 'price' in (d.fates[1] as DrawnFate)).length;
    expect([fares.of, fares.share]).to.deep.equal([8, going / 8]);
    expect(fares.stops.reduce((sum, s) => sum + s.share, 0) + fares.share).to.be.closeTo(1, 1e-9);
    if (fares.price) expect(fares.price.low).to.be.at.most(fares.price.high);
    expect(() => finish(drawsInSteps(build, starterShelf, [choiceOf({ kitId: 'otter-r250' })], [0]))).to.throw(
      RangeError,
    );
  });

  it('of a donor that is known, what stands in the search goes on at its own price', () => {
    const build = demoBuild('mixte');
    const search = new ShelfSearch(build, starterShelf, { ...usualSearch, kits: ['otter-r250'] });
    const [best] = finish(search.steps()).front;
    if (!best) throw new Error('nothing on the front');
    // Every item that is open keeps being drawn: what was measured stays, and none of it stops the conversion.
    const fates = finish(drawsInSteps(build, starterShelf, [best.choice], [0, 1, 2, 3])).map((d) => d.fates[0]);
    for (const fate of fates)
      if (fate && 'price' in fate) expect(fate.price).to.be.within(best.aims.price ?? 0, (best.aims.price ?? 0) * 1.6);
    expect(fates.some((f) => f && 'price' in f)).to.equal(true);
  });
});

const entry = (value: unknown): object => ({ value, typed: '', unit: '', provenance: 'measured', note: '' });
const contender: Contender = { regret: 0, lost: 0.4, price: 500, perPrice: 0 };
const go: DrawnFate = { price: 500, hours: 5 };
const stop: DrawnFate = { stoppedBy: 'It does not fit' };

/** Vehicles of every pair of answers, so many of each: the first conversion goes on steel, the second on aluminium. */
function vehicles(each: number): Drawn[] {
  const out: Drawn[] = [];
  for (const frameMaterial of ['steel', 'aluminium'])
    for (const forkKind of ['rigid', 'suspension'])
      for (let n = 0; n < each; n++) {
        const survey = { frameMaterial: entry(frameMaterial), forkKind: entry(forkKind) } as unknown as Survey;
        const donor: Donor = { ...emptyDonor(), survey };
        out.push({ seed: out.length, donor, fates: frameMaterial === 'steel' ? [go, stop] : [stop, go] });
      }
  return out;
}

describe('what to measure first', () => {
  it('is what tells the conversions apart, settles all that is open, and says what each answer leads to', () => {
    const second = { ...contender, regret: 0.1 };
    const first = measureFirst(emptyDonor(), vehicles(25), [contender, second]);
    expect(first.map((m) => m.items)).to.deep.equal([['frameMaterial']]);
    expect(first[0]?.settles).to.be.closeTo(1, 1e-9);
    expect(first[0]?.outcomes).to.deep.equal([
      { answer: ['steel'], share: 0.5, best: 0 },
      { answer: ['aluminium'], share: 0.5, best: 1 },
    ]);
  });

  it('agrees with choosing by hand for every answer', () => {
    // Of a hundred, 70 are steel; the first conversion goes on steel, the second on all but is regretted by 0.3.
    const all = vehicles(25)
      .filter((d, i) => d.donor.survey.frameMaterial?.value === 'steel' || i % 5 < 2)
      .map((d): Drawn => ({ ...d, fates: [d.fates[0] as DrawnFate, go] }));
    const second = { ...contender, regret: 0.3 };
    const steel = all.filter((d) => 'price' in (d.fates[0] as DrawnFate)).length / all.length;
    const now = Math.max(steel - (1 - steel) * 0.4, 0.7);
    const after = steel * 1 + (1 - steel) * 0.7;
    const first = measureFirst(emptyDonor(), all, [contender, second]);
    expect(first[0]?.items).to.deep.equal(['frameMaterial']);
    // Nothing is left open once it is known: its gain is all there is.
    expect(after - now).to.be.above(0);
    expect(first[0]?.settles).to.be.closeTo(1, 1e-9);
  });

  it('takes no chance for knowledge, and has nothing to say where nothing is open', () => {
    expect(measureFirst(emptyDonor(), vehicles(25), [])).to.deep.equal([]);
    const sure = vehicles(25).map((d): Drawn => ({ ...d, fates: [go, stop] }));
    expect(measureFirst(emptyDonor(), sure, [contender, contender])).to.deep.equal([]);
    const known = { ...emptyDonor(), survey: { frameMaterial: entry('steel') } as unknown as Survey };
    expect(measureFirst(known, vehicles(25), [contender, contender]).map((m) => m.items)).to.deep.equal([]);
  });
});

describe('what stays best', () => {
  it('holds each pick against every scenario: none of them is better than as planned', () => {
    const build = demoBuild('mixte');
    const stays = finish(staysBestInSteps(build, starterShelf, [otter]));
    expect(Object.keys(stays)).to.deep.equal([...scenarioIds]);
    const planned = stays.asPlanned[0]?.chance ?? 0;
    expect(planned).to.be.above(0);
    for (const id of scenarioIds) expect(stays[id][0]?.chance, id).to.be.at.most(planned + 1e-9);
    expect(stays.aged[0]?.chance).to.be.below(planned);
  });
});

describe('vehicles drawn for a load', () => {
  const shareBearing = (massKg: number): number => {
    const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    build.donor.kind = 'deltaTrike';
    build.brief.cargoKg = massKg;
    const drawn = finish(
      drawsInSteps(
        build,
        starterShelf,
        [otter],
        Array.from({ length: 60 }, (_, i) => i),
      ),
    );
    return (
      drawn.filter(({ donor }) => bearsItsLoad(planContext({ ...build, donor, choice: choiceOf({}) }, starterShelf)))
        .length / drawn.length
    );
  };

  it('bear it as a rule, as it is today: whoever carries much has a vehicle for it', () => {
    expect(shareBearing(5)).to.be.above(0.9);
    // Not all: some do overload what they have.
    expect(shareBearing(70)).to.be.within(0.5, 0.97);
  });

  it('keep a limit that was read off a plate, however much is carried', () => {
    const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    build.donor.survey = { loadLimit: entry(110) } as unknown as Survey;
    build.brief.cargoKg = 60;
    for (const { donor } of finish(drawsInSteps(build, starterShelf, [otter], [0, 1, 2])))
      expect(donor.survey.loadLimit?.value).to.equal(110);
  });
});
