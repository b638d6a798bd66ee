import { expect } from 'chai';
import { usualBench, type Bench } from '../build/bench.ts';
import { usualBill, usualLine, type Bill, type LineChoice } from '../build/bill.ts';
import { minutesOf, momentText } from '../quantity/dates.ts';
import { arrivalsOf, benchNow, benchWindows, buildTime, UNASKED } from './buildSchedule.ts';
import type { BillLine } from './bill.ts';
import type { BuildStep } from './steps/step.ts';

/** Saturday. */
const NOW = minutesOf('2026-03-07T10:00');
const TODAY = Math.floor(NOW / 1440);

const step = (id: string, minutes: number, more: Partial<BuildStep> = {}): BuildStep => ({
  id,
  group: 'look',
  place: 'frame',
  title: [id],
  minutes,
  practised: minutes,
  told: minutes,
  hands: 1,
  tools: [],
  supplies: {},
  after: [],
  wait: null,
  rule: null,
  undoes: null,
  part: null,
  doneOn: null,
  ...more,
});
const after = (...ids: string[]) => ids.map((id) => ({ step: id, why: 'so' }));
const line = (key: string, choice: Partial<LineChoice> = {}, more: Partial<BillLine> = {}): BillLine => ({
  key,
  part: key,
  name: key.toUpperCase(),
  maker: '',
  kind: 'fitting',
  place: null,
  count: 1,
  price: 1,
  sum: 1,
  massKg: 0,
  by: ['x'],
  why: 'usual',
  stage: 'parts',
  state: choice.state ?? 'wanted',
  from: choice.from ?? 'order',
  wave: 'now',
  held: [],
  leftOver: null,
  choice: { ...usualLine, ...choice },
  ...more,
});
const bench = (change: Partial<Bench> = {}): Bench => ({
  ...usualBench(),
  weekly: [{ day: 5, from: '09:00', to: '13:00' }],
  ...change,
});
const bill = (change: Partial<Bill> = {}): Bill => ({ ...usualBill(), ...change });
const timeOf = (
  steps: BuildStep[],
  lines: BillLine[] = [],
  fits: Record<string, string> = {},
  more: { bench?: Partial<Bench>; bill?: Partial<Bill>; now?: number } = {},
) => buildTime({ steps, needs: [], fits }, lines, bench(more.bench), bill(more.bill), more.now ?? NOW);
const words = (windows: { from: number; to: number }[]): string[] =>
  windows.map((w) => `${momentText(w.from)} ${momentText(w.to).slice(11)}`);

describe('bench time', () => {
  it('comes each week and on single days, from this minute on, and not on days away', () => {
    const made = bench({
      weekly: [
        { day: 5, from: '09:00', to: '13:00' },
        { day: 1, from: '19:00', to: '21:30' },
      ],
      once: [{ on: '2026-03-08', from: '20:00', to: '24:00' }],
      away: ['2026-03-14'],
    });
    expect(words(benchWindows(made, NOW, 15))).to.deep.equal([
      '2026-03-07T10:00 13:00',
      '2026-03-08T20:00 00:00',
      '2026-03-10T19:00 21:30',
      '2026-03-17T19:00 21:30',
      '2026-03-21T09:00 13:00',
    ]);
    expect(benchWindows(bench({ weekly: [] }), NOW)).to.deep.equal([]);
  });

  it('stretches that touch or overlap are one; one that ends now is none', () => {
    const day = (from: string, to: string) => ({ on: '2026-03-07', from, to });
    const once = [day('09:00', '10:00'), day('12:00', '14:00'), day('11:00', '12:00'), day('13:00', '13:30')];
    expect(words(benchWindows(bench({ weekly: [], once }), NOW, 3))).to.deep.equal(['2026-03-07T11:00 14:00']);
  });
});

describe('when parts come', () => {
  const only = (l: BillLine, b: Partial<Bill> = {}) => arrivalsOf([l], bill(b), NOW)[0];
  const offer = {
    supplier: 's',
    part: 'a',
    price: 1,
    stock: null,
    leadDays: { low: 2, likely: 4, high: 9 },
    returnDays: 14,
  };

  it('what lies here, is had or is wanted no more is not waited for', () => {
    for (const choice of [
      { state: 'arrived' },
      { state: 'fitted' },
      { from: 'have' },
      { from: 'donor' },
      { from: 'borrow' },
    ] as const)
      expect(only(line('a', choice)), JSON.stringify(choice)).to.equal(undefined);
    expect(only(line('a', { state: 'ordered' }, { why: 'notWanted' }))).to.equal(undefined);
  });

  it('by its promise, by its supplier’s days from the order, by the quickest offer as if ordered today, or unasked', () => {
    expect(only(line('a', { state: 'promised', promisedOn: '2026-03-12' }))).to.deep.include({
      likely: TODAY + 5,
      high: TODAY + 7,
      known: 'promised',
    });
    const two = [offer, { ...offer, supplier: 't', leadDays: { low: 1, likely: 2, high: 3 } }];
    const ordered = { state: 'ordered', supplier: 's', orderedOn: '2026-03-05' } as const;
    expect(only(line('a', ordered), { offers: two })).to.deep.include({
      low: TODAY,
      likely: TODAY + 2,
      high: TODAY + 7,
      known: 'ordered',
    });
    expect(only(line('a'), { offers: two })).to.deep.include({
      low: TODAY + 1,
      likely: TODAY + 2,
      high: TODAY + 3,
      known: 'offer',
    });
    expect(only(line('a'), { offers: two.map((o) => ({ ...o, stock: 0 })) })).to.deep.include({
      likely: TODAY + UNASKED.likely,
      known: 'unasked',
    });
  });

  it('fewer in stock than are wanted are no offer, just as many are', () => {
    const two = line('a', {}, { count: 2 });
    expect(only(two, { offers: [{ ...offer, stock: 1 }] })?.known).to.equal('unasked');
    expect(only(two, { offers: [{ ...offer, stock: 2 }] })?.known).to.equal('offer');
  });

  it('what should have come already comes today at the earliest, after the carrier’s round tomorrow', () => {
    const late = line('a', { state: 'promised', promisedOn: '2026-03-01' });
    expect(arrivalsOf([late], bill(), NOW)[0]).to.deep.include({ low: TODAY, likely: TODAY, high: TODAY });
    expect(arrivalsOf([late], bill(), minutesOf('2026-03-07T18:01'))[0]?.low).to.equal(TODAY + 1);
    expect(arrivalsOf([late], bill(), minutesOf('2026-03-07T18:00'))[0]?.low).to.equal(TODAY);
  });
});

describe('the time of a build', () => {
  it('steps lie in bench time after what comes before them, after what they wait for', () => {
    const time = timeOf(
      [step('a', 60), step('b', 60, { after: after('a') }), step('c', 30, { after: after('b') })],
      [line('part', { state: 'promised', promisedOn: '2026-03-10' })],
      { part: 'b' },
    );
    expect(time.schedule?.proven).to.equal(true);
    expect(time.schedule?.tasks.map((t) => `${t.id} ${momentText(t.start)}`)).to.deep.equal([
      'a 2026-03-07T10:00',
      'b 2026-03-14T09:00',
      'c 2026-03-14T10:00',
    ]);
    expect(time.ready).to.deep.equal(['a']);
    expect(time.minutes).to.equal(150);
  });

  it('now: what is done is over, what waits out or for a part is held with what it waits for', () => {
    const wait = { minutes: 360, why: 'glue' };
    const steps = [
      step('glue', 10, { wait, doneOn: '2026-03-07T06:00' }),
      step('press', 10, { after: after('glue') }),
      step('fit', 10),
      step('later', 10, { after: after('fit') }),
    ];
    const time = timeOf(steps, [line('part')], { part: 'fit' });
    expect(time.ready).to.deep.equal([]);
    expect(time.held).to.deep.equal([
      { step: 'press', lines: [], waits: ['glue'] },
      { step: 'fit', lines: ['part'], waits: [] },
    ]);
    expect(time.schedule?.tasks.find((t) => t.id === 'press')?.start).to.equal(minutesOf('2026-03-07T12:00'));
    // A minute before it has waited out it is held; then it can be begun.
    expect(timeOf(steps, [], {}, { now: minutesOf('2026-03-07T11:59') }).ready).to.deep.equal(['fit']);
    expect(timeOf(steps, [], {}, { now: minutesOf('2026-03-07T12:00') }).ready).to.have.members(['fit', 'press']);
  });

  it('what can be begun is known at once, without a schedule: the same as with one', () => {
    const steps = [step('a', 10), step('b', 10), step('c', 10, { after: after('a') })];
    const lines = [line('pack')];
    const given = { steps, needs: [], fits: { pack: 'b' } };
    const at = benchNow(given, lines, usualBill(), NOW);
    expect(at).to.deep.equal({ ready: ['a'], held: [{ step: 'b', lines: ['pack'], waits: [] }] });
    const whole = buildTime(given, lines, usualBench(), usualBill(), NOW);
    expect([whole.ready, whole.held]).to.deep.equal([at.ready, at.held]);
  });

  it('the best thing to begin with is the one the schedule begins with', () => {
    const steps = [step('short', 10), step('long', 200, { after: [] }), step('end', 10, { after: after('long') })];
    expect(timeOf(steps).ready).to.deep.equal(['long', 'short']);
  });

  it('what frees most: the part whose arrival alone lets most minutes begin', () => {
    const steps = [
      step('a', 20),
      step('b', 50),
      step('c', 40, { after: after('a', 'b') }),
      step('d', 40, { after: after('b') }),
    ];
    const lines = [line('x'), line('y')];
    expect(timeOf(steps, lines, { x: 'a', y: 'b' }).frees).to.deep.equal({
      key: 'y',
      name: 'Y',
      minutes: 90,
      steps: 2,
    });
    // Where every step waits for both, the one most wait for.
    const both = [step('a', 20), step('b', 50, { after: after('a') })];
    expect(timeOf(both, lines, { x: 'a', y: 'a' }).frees?.minutes).to.equal(70);
    expect(timeOf(steps).frees).to.equal(null);
  });

  it('a tool that is not here holds every step that asks for it', () => {
    const need = { key: 'puller@bench', steps: ['a', 'b'] } as never;
    const time = buildTime(
      { steps: [step('a', 10), step('b', 10), step('c', 10)], needs: [need], fits: { 'puller@bench': 'a' } },
      [line('puller@bench')],
      bench(),
      bill(),
      NOW,
    );
    expect(time.ready).to.deep.equal(['c']);
    expect(time.held.map((h) => h.step)).to.deep.equal(['a', 'b']);
  });

  it('no bench time, or too little of it, is said; alone, help is asked for', () => {
    expect(timeOf([step('a', 10)], [], {}, { bench: { weekly: [] } })).to.deep.include({
      schedule: null,
      refused: 'no bench time is named yet',
      chance: null,
    });
    const short = timeOf([step('a', 50)], [], {}, { bench: { weekly: [{ day: 5, from: '09:00', to: '09:30' }] } });
    expect(short.refused).to.match(/^a: no window is long enough/);
    const two = [step('a', 10, { hands: 2 })];
    expect(timeOf(two).helped).to.deep.equal(['a']);
    expect(timeOf(two).schedule?.tasks.length).to.equal(1);
    expect(timeOf(two, [], {}, { bench: { hands: 2 } }).helped).to.deep.equal([]);
    expect(timeOf([step('a', 10, { doneOn: '2026-03-06T10:00' })])).to.deep.include({
      schedule: null,
      refused: null,
      minutes: 0,
    });
  });

  it('the chance is the share of draws done by the day: nought, all, and rising with the day; the same each time', () => {
    const steps = [step('a', 100), step('b', 100, { after: after('a') })];
    const lines = [line('part')];
    const chance = (neededBy: string) => timeOf(steps, lines, { part: 'b' }, { bill: { neededBy } }).chance ?? -1;
    expect(chance('2026-03-08')).to.equal(0);
    expect(chance('2026-04-30')).to.equal(1);
    // It comes by the 14th’s Saturday in part of the draws only: 3 to 14 days from the 7th, in hand by the 13th.
    const some = chance('2026-03-14');
    expect(some).to.be.within(0.25, 0.45);
    expect(chance('2026-03-14')).to.equal(some);
    expect(chance('2026-03-21')).to.be.greaterThan(some);
  });

  it('drawn minutes are spread about their own: half are done within the mean, tenths apart', () => {
    const time = timeOf([step('a', 100)], [], {}, { bench: { weekly: [{ day: 5, from: '00:00', to: '24:00' }] } });
    const [p10, p50, p90] = (time.doneBy ?? []).map((m) => m - NOW) as [number, number, number];
    // Lognormal of √(0.25² + 0.2²) = 0.32 about a mean of 100: median 95, tenths 63 and 143.
    expect(p50).to.be.within(91, 99);
    expect(p10).to.be.within(59, 67);
    expect(p90).to.be.within(136, 150);
  });
});
