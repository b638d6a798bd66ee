import { expect } from 'chai';
import fc from 'fast-check';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { partById } from '../../parts/part.ts';
import { stepLibrary } from '../../work/steps/library.ts';
import { faultOf, faults, faultTestOf, faultTests, repairOf, repairs } from './data.ts';
import { LEAST_ELSE, lentThings, SOMETHING_ELSE, SURE, USUAL_ELSE, type FaultTest } from './fault.ts';
import { anyVehicle, type FaultFacts } from './faultFacts.ts';
import {
  allowedNow,
  answerWords,
  askable,
  bitsOf,
  causesAtFirst,
  causesNow,
  chancesOf,
  covered,
  likelihoodOf,
  rankedTests,
  reasonsOf,
  repairFor,
  ruledOut,
  searchNow,
  showing,
  wouldBe,
  type FaultAnswer,
  type Search,
} from './finder.ts';
import { symptomIds, symptoms, type SymptomId } from './symptoms.ts';
import { counted } from '../../../test/counted.ts';

const search = (
  symptom: SymptomId,
  answers: Record<string, string | null> = {},
  more: Partial<Search> = {},
): Search => ({
  facts: anyVehicle,
  symptom,
  answers: Object.entries(answers).map(([test, outcome]) => ({ test, outcome })),
  tools: null,
  most: 'ride',
  ...more,
});

const sum = (of: readonly { p: number }[]): number => of.reduce((all, { p }) => all + p, 0);

describe('fault tables', () => {
  it('hold at least 40 faults, 50 tests and 14 symptoms, each name once', () => {
    expect(faults.length).to.be.at.least(40);
    expect(faultTests.length).to.be.at.least(50);
    expect(symptoms.length).to.be.at.least(14);
    for (const list of [faults, faultTests, symptoms, repairs])
      expect(new Set(list.map((x) => x.id)).size).to.equal(list.length);
  });

  it('give each row chances that add up to one, one an outcome, for faults there are, each once', () => {
    for (const test of faultTests) {
      expect(new Set(test.outcomes.map((o) => o.id)).size, test.id).to.equal(test.outcomes.length);
      for (const { of, gives } of [{ of: [], gives: test.usual }, ...test.says]) {
        expect(gives.length, `${test.id} ${of.join()}`).to.equal(test.outcomes.length);
        expect(
          gives.reduce((a, b) => a + b, 0),
          `${test.id} ${of.join()}`,
        ).to.be.closeTo(1, 1e-9);
        for (const p of gives) expect(p, `${test.id} ${of.join()}`).to.be.within(0.001, 0.999);
      }
      const named = test.says.flatMap((r) => r.of);
      expect(new Set(named).size, test.id).to.equal(named.length);
      for (const id of named) expect(faultOf(id), `${test.id} ${id}`).to.not.equal(undefined);
    }
  });

  it('have each fault show itself with chances that add up to one, on any vehicle', () => {
    for (const unplugged of ['runs', 'cuts', null] as const)
      for (const pedalled of [true, false])
        for (const fault of faults) {
          const facts: FaultFacts = { ...anyVehicle, unplugged, pedalled };
          const all = symptomIds.reduce((s, id) => s + showing(fault, facts, id), 0);
          expect(all, fault.id).to.be.closeTo(1, 1e-9);
          expect(fault.odds).to.be.greaterThan(0);
          for (const text of [fault.often, fault.why, fault.words]) expect(text.length, fault.id).to.be.greaterThan(10);
        }
  });

  it('name tools, parts and steps that there are', () => {
    const met = counted();
    const known = new Set<string>([...starterShelf.tool.map((t) => t.id), ...Object.keys(lentThings)]);
    for (const test of faultTests)
      for (const tool of test.tools) expect(known.has(tool), `${test.id} ${tool}`).to.equal(true);
    const kinds = new Set(['kit', 'pack', 'charger', 'converter']);
    for (const repair of repairs) {
      for (const part of repair.parts)
        if (!kinds.has(part) && met())
          expect(partById(starterShelf, part), `${repair.id} ${part}`).to.not.equal(undefined);
      if (repair.step)
        expect(
          stepLibrary.some((s) => s.id === repair.step),
          `${repair.id} ${repair.step}`,
        ).to.equal(true);
    }
    for (const fault of faults) expect(repairOf(fault.repair), fault.id).to.not.equal(undefined);
    for (const repair of repairs)
      expect(repair.id === 'ask' || faults.some((f) => f.repair === repair.id), repair.id).to.equal(true);
    met.enough();
  });

  it('leave no symptom without a test, no test without a symptom in which it tells something', () => {
    for (const s of symptomIds) expect(rankedTests(search(s)).length, s).to.be.greaterThan(1);
    for (const test of faultTests)
      for (const s of test.asked)
        expect(bitsOf(test, causesAtFirst(search(s))), `${test.id} with ${s}`).to.be.greaterThan(0.002);
  });

  it('ask nothing riskier than its caution: what is dangerous on the road is not ridden', () => {
    for (const s of ['noCut', 'runsOn', 'stutters', 'backwards', 'hot', 'wobble', 'brakesWeak'] as const) {
      expect(symptoms.find((x) => x.id === s)).to.have.property('caution');
      for (const test of askable(search(s))) expect(['slow', 'ride'], test.id).to.not.include(test.risk);
    }
  });
});

describe('fault finder', () => {
  it('weighs causes by odds and by how they show themselves, with a share for what stands in no list', () => {
    const causes = causesAtFirst(search('noCut'));
    const weight = { 'cutoff-blind': 30, 'cutoff-out': 14 * 0.6, 'cutoff-core': 10 * 0.6, 'cutoff-off': 6 };
    const p = (id: string): number => causes.find((c) => c.id === id)?.p ?? NaN;
    // One against another, so that one more fault in the tables changes none of it.
    for (const [id, w] of Object.entries(weight))
      expect(p(id) / p('cutoff-blind'), id).to.be.closeTo(w / weight['cutoff-blind'], 1e-12);
    expect(sum(causes)).to.be.closeTo(1, 1e-12);
    expect(causes.find((c) => c.id === SOMETHING_ELSE)?.p).to.equal(USUAL_ELSE);
  });

  it('is Bayes by hand: brake sensor and its plug out', () => {
    const met = counted();
    const before = causesAtFirst(search('dead'));
    const test = faultTestOf('cutoffs-out');
    if (!test) throw new Error('no test');
    const raw = before.map((c) => ({ id: c.id, p: c.p * (chancesOf(test, c.id)[0] as number) }));
    const all = sum(raw);
    const now = causesNow(search('dead', { 'cutoffs-out': 'runs' }));
    const other = (raw.find((c) => c.id === SOMETHING_ELSE)?.p ?? 0) / all;
    const scale = other < LEAST_ELSE ? (1 - LEAST_ELSE) / (1 - other) : 1;
    for (const { id, p } of raw)
      if (id !== SOMETHING_ELSE && met())
        expect(now.find((c) => c.id === id)?.p, id).to.be.closeTo((p / all) * scale, 1e-12);
    expect(now[0]?.id).to.equal('cutoff-braking');
    met.enough();
  });

  it('never lets something else below two in a hundred, nor above what it is worth', () => {
    const now = causesNow(search('wrongSpeed', { 'speed-against': 'factor', 'speed-gap': 'right' }));
    expect(now.find((c) => c.id === SOMETHING_ELSE)?.p).to.be.closeTo(LEAST_ELSE, 1e-12);
    expect(sum(now)).to.be.closeTo(1, 1e-12);
    const odd = causesNow(
      search('flats', { 'hole-where': 'spoke', 'tape-look': 'covers', 'tyre-feel': 'clean', 'tyre-press': 'right' }),
    );
    expect(odd.find((c) => c.id === SOMETHING_ELSE)?.p).to.be.greaterThan(LEAST_ELSE);
  });

  it('asks what tells most a minute and two, ties to the earlier, and stops when one repair covers nine in ten', () => {
    const s = search('dead');
    const causes = causesNow(s);
    const best = askable(s)
      .map((t) => ({ id: t.id, worth: bitsOf(t, causes) / (t.minutes + 2) }))
      .reduce((a, b) => (b.worth > a.worth ? b : a));
    expect(searchNow(s).next?.test).to.equal(best.id);
    expect(searchNow(s).repair).to.equal(null);
    const sure = searchNow(search('dead', { 'lever-home': 'home', 'cutoffs-out': 'runs', 'gap-pulled': 'rest' }));
    expect(sure.leading.p).to.be.at.least(SURE);
    expect(sure).to.include({ repair: 'set-cutoff', next: null });
  });

  it('adds up faults that one repair cures: settings are one repair', () => {
    const now = searchNow(search('slow', { 'settings-look': 'differs' }));
    expect(now.repair).to.equal('settings');
    expect(now.causes[0]?.p).to.be.lessThan(SURE);
  });

  it('bits are zero for a test whose answer says nothing, and at most the entropy of the causes', () => {
    const causes = causesNow(search('cutsOut'));
    const entropy = causes.reduce((h, { p }) => h - p * Math.log2(p), 0);
    for (const t of faultTests) expect(bitsOf(t, causes), t.id).to.be.within(0, entropy);
    const when = faultTestOf('when-cuts');
    if (!when) throw new Error('no test');
    expect(bitsOf(when, [{ id: 'weak-block', p: 1 }])).to.be.closeTo(0, 1e-12);
  });

  it('no order of answers crashes it, none makes weights that do not add up to one, and order does not matter', () => {
    const met = counted();
    const anAnswer = fc
      .constantFrom(...faultTests)
      .chain((t) =>
        fc.record({ test: fc.constant(t.id), outcome: fc.constantFrom(...t.outcomes.map((o) => o.id), null) }),
      );
    fc.assert(
      fc.property(
        fc.constantFrom(...symptomIds),
        fc.uniqueArray(anAnswer, { selector: (a) => a.test, maxLength: 60 }),
        fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }),
        (symptom, answers, [throttle, cadence, cutoffs, hub, mid, board, clutch, display]) => {
          const facts = { ...anyVehicle, throttle, cadence, cutoffs, hub, mid, board, clutch, display } as FaultFacts;
          const one = searchNow(search(symptom, {}, { answers, facts }));
          expect(sum(one.causes)).to.be.closeTo(1, 1e-9);
          for (const { p } of one.causes) expect(p).to.be.within(0, 1);
          expect(one.causes.find((c) => c.id === SOMETHING_ELSE)?.p).to.be.at.least(LEAST_ELSE - 1e-12);
          const turned = searchNow(search(symptom, {}, { answers: [...answers].reverse(), facts }));
          one.causes.forEach((c) => expect(turned.causes.find((x) => x.id === c.id)?.p).to.be.closeTo(c.p, 1e-9));
          if (one.next && met()) expect(answers.some((a) => a.test === one.next?.test)).to.equal(false);
        },
      ),
      { numRuns: 200 },
    );
    met.enough();
  });

  it('a skipped test changes no weight and is not asked again', () => {
    const first = searchNow(search('dead'));
    const test = first.next?.test ?? '';
    const then = searchNow(search('dead', { [test]: null }));
    expect(then.causes).to.deep.equal(first.causes);
    expect(then.next?.test).to.not.equal(test);
  });

  it('a test that does not belong to the symptom or the vehicle tells nothing', () => {
    expect(causesNow(search('dead', { 'hole-where': 'spoke' }))).to.deep.equal(causesNow(search('dead')));
    const facts = { ...anyVehicle, shift: false };
    expect(causesNow(search('dead', { 'shift-out': 'gone' }, { facts }))).to.deep.equal(
      causesNow(search('dead', {}, { facts })),
    );
  });

  it('asks no test whose tool is missing', () => {
    const bare = askable(search('dead', {}, { tools: new Set() }));
    for (const t of bare) expect(t.tools, t.id).to.deep.equal([]);
    const metered = askable(search('dead', {}, { tools: new Set(['multimeter']) }));
    expect(metered.length).to.be.greaterThan(bare.length);
    expect(metered.some((t) => t.id === 'supply-5v')).to.equal(true);
    expect(metered.some((t) => t.tools.includes('card-2mm'))).to.equal(false);
  });

  it('asks no test riskier than the state allows, and what was seen can forbid more', () => {
    for (const t of askable(search('cutsOut', {}, { most: 'look' }))) expect(t.risk).to.equal('look');
    expect(allowedNow(search('cutsOut'))).to.equal('ride');
    expect(allowedNow(search('cutsOut', { 'leads-look': 'pinched' }))).to.equal('look');
    expect(allowedNow(search('cutsOut', { 'leads-look': 'whole' }))).to.equal('ride');
  });

  it('leaves out what a vehicle cannot have: no throttle, no throttle’s fault', () => {
    const causes = causesAtFirst(search('runsOn', {}, { facts: { ...anyVehicle, throttle: false } }));
    expect(causes.some((c) => c.id.startsWith('throttle'))).to.equal(false);
    expect(sum(causes)).to.be.closeTo(1, 1e-12);
    // Nothing it could be: then it is something else.
    const none = causesAtFirst(search('lamps', {}, { facts: { ...anyVehicle, lamps: false } }));
    expect(none).to.deep.equal([{ id: SOMETHING_ELSE, p: 1 }]);
  });

  it('takes what is likelier on this vehicle into account', () => {
    const usual = causesAtFirst(search('dead')).find((c) => c.id === 'motor-plug')?.p ?? 0;
    const more =
      causesAtFirst(search('dead', {}, { likelier: { 'motor-plug': 4 } })).find((c) => c.id === 'motor-plug')?.p ?? 0;
    expect(more).to.be.greaterThan(2 * usual);
  });

  it('says what each answer would bring and rule out, and then it does', () => {
    const s = search('dead');
    const would = wouldBe(s, 'cutoffs-out');
    expect(sum(would)).to.be.closeTo(1, 1e-9);
    for (const w of would) {
      const then = causesNow(search('dead', { 'cutoffs-out': w.outcome }));
      expect(then[0]?.id).to.equal(w.leads.id);
      expect(ruledOut(causesNow(s), then)).to.deep.equal(w.rulesOut);
    }
    expect(would[0]?.rulesOut).to.include('motor-plug');
    expect(would[1]?.rulesOut).to.include('cutoff-braking');
    expect(wouldBe(s, 'no-such-test')).to.deep.equal([]);
  });
});

describe('why a cause weighs what it weighs', () => {
  it('tells how often it is met and what each answer did, times the odds', () => {
    const s = search('dead', { 'lever-home': 'home', 'cutoffs-out': 'runs', 'supply-5v': null });
    const reasons = reasonsOf(s, 'cutoff-braking');
    expect(reasons.map((r) => r.test)).to.deep.equal([null, 'lever-home', 'cutoffs-out']);
    // Odds before, times what each answer did, are the odds after.
    const odds = (causes: readonly { id: string; p: number }[]): number => {
      const p = causes.find((c) => c.id === 'cutoff-braking')?.p ?? 0;
      return p / (1 - p);
    };
    const times = reasons.slice(1).reduce((all, r) => all * r.times, 1);
    const floor = causesNow(s).find((c) => c.id === SOMETHING_ELSE)?.p === LEAST_ELSE;
    expect(odds(causesAtFirst(s)) * times).to.be.closeTo(odds(causesNow(s)), floor ? odds(causesNow(s)) * 0.2 : 1e-6);
    expect(reasons[2]?.times).to.be.greaterThan(3);
    expect(reasonsOf(s, 'motor-plug')[2]?.times).to.be.lessThan(0.1);
    expect(reasonsOf(s, SOMETHING_ELSE).map((r) => r.test)).to.deep.equal(['lever-home', 'cutoffs-out']);
  });
});

/** Answers as the fault would usually give them, asked in the finder's own order. */
function played(
  symptom: SymptomId,
  fault: string,
  facts = anyVehicle,
  most = 4,
): { first: string; repair: string; asked: FaultAnswer[] } {
  const asked: FaultAnswer[] = [];
  for (let i = 0; i < most; i++) {
    const { next } = searchNow(search(symptom, {}, { answers: asked, facts }));
    const test = next && faultTestOf(next.test);
    if (!test) break;
    const chances = chancesOf(test, fault);
    asked.push({ test: test.id, outcome: (test.outcomes[chances.indexOf(Math.max(...chances))] as { id: string }).id });
  }
  const { causes } = searchNow(search(symptom, {}, { answers: asked, facts }));
  return { first: causes[0]?.id ?? '', repair: covered(causes)[0]?.id ?? '', asked };
}

describe('stories from practice', () => {
  const stories: [string, SymptomId, string][] = [
    ['the motor is dead until the brake sensor’s plug is out', 'dead', 'cutoff-braking'],
    ['it runs and will not stop for the brake', 'noCut', 'cutoff-blind'],
    ['it cuts out at half charge under load', 'cutsOut', 'weak-block'],
    ['flats always at the same hole', 'flats', 'rim-tape'],
    ['the charger’s lamp never changes', 'charge', 'out-of-step'],
    ['it spins but does not drive', 'spins', 'clutch'],
    ['pedals turn and nothing is driven', 'spins', 'freewheel-slack'],
    ['it runs backwards', 'backwards', 'hub-flipped'],
    ['it surges at one speed', 'surges', 'speed-magnet'],
    ['the display is dead, the battery good', 'blank', 'display-plug'],
    ['help comes only after a turn of the cranks', 'late', 'pulses-high'],
    ['a rubbing rotor', 'noise', 'rotor-rub'],
    ['it growls', 'stutters', 'phase-order'],
    ['it cuts out on hills by sag', 'cutsOut', 'pack-sag'],
    ['it cuts out on hills by heat', 'cutsOut', 'motor-hot'],
    ['a creak at the axle', 'noise', 'axle-loose'],
    ['the cadence ring slipped', 'pedalNone', 'cadence-slipped'],
  ];
  for (const [words, symptom, fault] of stories)
    it(`${words}: the cause stands first within four tests`, () => {
      expect(played(symptom, fault).first).to.equal(fault);
    });

  it('for nine faults in ten, by all they show, the repair leads within four tests', () => {
    let met = 0;
    let all = 0;
    for (const fault of faults)
      for (const s of symptomIds) {
        const share = showing(fault, anyVehicle, s);
        if (share === 0) continue;
        all += fault.odds * share;
        if (played(s, fault.id).repair === repairFor(fault.id)) met += fault.odds * share;
      }
    expect(met / all).to.be.greaterThan(0.95);
  });
});

describe('several answers where several hold', () => {
  const cutting = (outcome: string) =>
    causesNow({
      facts: anyVehicle,
      symptom: 'cutsOut',
      answers: [{ test: 'when-cuts', outcome }],
      tools: null,
      most: 'ride',
    });
  const weight = (outcome: string, ...ids: string[]): number =>
    cutting(outcome)
      .filter((c) => ids.includes(c.id))
      .reduce((sum, c) => sum + c.p, 0);

  it('full power and long climbs together point to heat, where full power alone points to sag', () => {
    expect(weight('power', 'pack-sag', 'board-trips')).to.be.greaterThan(
      weight('power', 'controller-hot', 'motor-hot'),
    );
    expect(weight('power+warm', 'controller-hot', 'motor-hot')).to.be.greaterThan(
      weight('power+warm', 'pack-sag', 'board-trips'),
    );
    // In whatever order they are ticked.
    expect(cutting('warm+power')).to.deep.equal(cutting('power+warm'));
    expect(answerWords('when-cuts', 'power+warm')).to.match(/full power.* and after minutes/);
  });

  it('the chances of all answers to a test add up to one, for every fault', () => {
    for (const test of faultTests.filter((t) => t.several)) {
      const ids = test.outcomes.map((o) => o.id);
      for (const fault of [SOMETHING_ELSE, ...test.says.flatMap((r) => r.of)]) {
        let sum = 0;
        for (let mask = 1; mask < 1 << ids.length; mask++)
          sum += likelihoodOf(test, fault, ids.filter((_, i) => mask & (1 << i)).join('+'));
        expect(sum, `${test.id} ${fault}`).to.be.closeTo(1, 0.02);
      }
    }
  });

  it('what is no outcome tells nothing, and a test of one answer takes no two', () => {
    expect(cutting('nonsense')).to.deep.equal(cutting('power+nonsense'));
    const single = faultTests.find((t) => !t.several && t.asked.includes('cutsOut')) as FaultTest;
    const both = single.outcomes.map((o) => o.id).join('+');
    expect(likelihoodOf(single, SOMETHING_ELSE, both)).to.equal(0);
  });
});
