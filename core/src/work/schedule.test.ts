import { expect } from 'chai';
import fc from 'fast-check';
import { Calendar } from './calendar.ts';
import { nastyCase } from '../../test/benchCases.ts';
import { NoRoom, planOf, schedule } from './schedule.ts';
import { Bench } from './scheduleBench.ts';
import { inOrder } from './scheduleBound.ts';
import { gridOf, onGrid } from './scheduleGrid.ts';
import type { Schedule, ScheduleCase, Task } from './scheduled.ts';
import { minutesOf, momentText } from '../quantity/dates.ts';
import { placesOf, readScheduleCase, runScheduleCase } from './scheduleCase.ts';
import { inserted } from './scheduleSearch.ts';

const task = (id: string, minutes: number, more: Partial<Task> = {}): Task => ({
  id,
  minutes,
  hands: 1,
  after: [],
  waitMinutes: 0,
  needs: [],
  tools: [],
  splittable: false,
  ...more,
});
/** Evenings of so many minutes from 18:00, day after day. */
const evenings = (minutes: number, days = 12) =>
  Array.from({ length: days }, (_, d) => ({ from: d * 1440 + 1080, to: d * 1440 + 1080 + minutes }));
const of = (tasks: Task[], change: Partial<ScheduleCase> = {}): ScheduleCase => ({
  hands: 1,
  windows: evenings(120),
  gates: [],
  tasks,
  ...change,
});
const starts = (s: Schedule): Record<string, number> => Object.fromEntries(s.tasks.map((t) => [t.id, t.start]));

/** What a schedule breaks of the rules, in words; the slow plain way, minute by minute. */
function broken(given: ScheduleCase, found: Schedule): string[] {
  const out: string[] = [];
  const slots = new Map(found.tasks.map((t) => [t.id, t]));
  const inside = (m: number): boolean => given.windows.some((w) => w.from <= m && m < w.to);
  const busy = new Map<number, Task[]>();
  for (const t of given.tasks) {
    const slot = slots.get(t.id);
    if (!slot) {
      out.push(`${t.id} is missing`);
      continue;
    }
    const worked: number[] = [];
    for (let m = slot.start; m < slot.finish; m++) if (inside(m)) worked.push(m);
    if (worked.length !== t.minutes) out.push(`${t.id} is worked ${worked.length} of ${t.minutes} minutes`);
    if (!t.splittable && worked.length !== slot.finish - slot.start) out.push(`${t.id} runs over a window’s end`);
    for (const m of worked) busy.set(m, [...(busy.get(m) ?? []), t]);
    for (const before of t.after) {
      const b = slots.get(before);
      const wait = given.tasks.find((x) => x.id === before)?.waitMinutes ?? 0;
      if (b && b.finish + wait > slot.start) out.push(`${t.id} begins before ${before} has waited out`);
    }
    for (const gate of t.needs)
      if ((given.gates.find((g) => g.id === gate)?.from ?? 0) > slot.start) out.push(`${t.id} begins before ${gate}`);
  }
  for (const [m, here] of busy) {
    if (here.reduce((sum, t) => sum + t.hands, 0) > given.hands) out.push(`too few hands at ${m}`);
    const tools = here.flatMap((t) => [...new Set(t.tools)]);
    if (new Set(tools).size < tools.length) out.push(`a tool is in two places at ${m}`);
  }
  if (Math.max(...found.tasks.map((t) => t.finish)) !== found.finish) out.push('the finish is not the last');
  return out;
}

/** Where an order puts its tasks, the slow plain way: minute by minute from the first, until nothing is in the way. */
function plainly({ windows, hands, tasks, gates }: ScheduleCase, order: readonly number[]): number[] | null {
  const inside = (m: number): boolean => windows.some((w) => w.from <= m && m < w.to);
  const held = new Map<number, { hands: number; tools: string[] }>();
  const starts: number[] = [];
  const ends = new Map<string, number>();
  const last = Math.max(...windows.map((w) => w.to));
  for (const i of order) {
    const t = tasks[i] as Task;
    const ready = Math.max(
      0,
      ...t.needs.map((id) => gates.find((g) => g.id === id)?.from ?? 0),
      ...t.after.map((id) => (ends.get(id) ?? 0) + (tasks.find((x) => x.id === id)?.waitMinutes ?? 0)),
    );
    let found: number[] | null = null;
    for (let at = ready; at < last && !found; at++) {
      if (!inside(at)) continue;
      const worked: number[] = [];
      for (let m = at; m < last && worked.length < t.minutes; m++) {
        if (inside(m)) worked.push(m);
        else if (!t.splittable) break;
      }
      const goes = worked.every((m) => {
        const here = held.get(m);
        return !here || (here.hands + t.hands <= hands && !t.tools.some((k) => here.tools.includes(k)));
      });
      if (goes && worked.length === t.minutes) found = worked;
    }
    if (!found) return null;
    for (const m of found) {
      const here = held.get(m) ?? { hands: 0, tools: [] };
      held.set(m, { hands: here.hands + t.hands, tools: [...here.tools, ...t.tools] });
    }
    starts[i] = found[0] as number;
    ends.set(t.id, (found.at(-1) as number) + 1);
  }
  return starts;
}

/** The least finish over every order of putting tasks in; every active schedule is among them. */
function plain(given: ScheduleCase): number {
  const plan = planOf(given);
  let best = Infinity;
  const go = (order: number[]): void => {
    if (order.length === plan.tasks.length) {
      best = Math.min(best, inserted(plan, order)?.finish ?? Infinity);
      return;
    }
    for (const t of plan.tasks)
      if (!order.includes(t.index) && t.before.every((b) => order.includes(b))) go([...order, t.index]);
  };
  go([]);
  return best;
}

const caseOf = (most: number): fc.Arbitrary<ScheduleCase> =>
  fc
    .record({
      hands: fc.constantFrom(1 as const, 2 as const),
      long: fc.array(fc.integer({ min: 20, max: 60 }), { minLength: 4, maxLength: 4 }),
      gate: fc.integer({ min: 0, max: 3000 }),
      rows: fc.array(
        fc.record({
          minutes: fc.integer({ min: 1, max: 20 }),
          both: fc.boolean(),
          after: fc.array(fc.nat(20), { maxLength: 2 }),
          wait: fc.constantFrom(0, 0, 0, 15, 1500),
          gated: fc.integer({ min: 0, max: 5 }),
          tool: fc.integer({ min: 0, max: 3 }),
          splittable: fc.boolean(),
        }),
        { minLength: 1, maxLength: most },
      ),
    })
    .map(({ hands, long, gate, rows }) =>
      of(
        rows.map((r, i) =>
          task(`t${i}`, r.minutes, {
            hands: hands === 2 && r.both ? 2 : 1,
            after: i === 0 ? [] : r.after.map((k) => `t${k % i}`),
            waitMinutes: r.wait,
            needs: r.gated === 0 ? ['gate'] : [],
            tools: r.tool < 2 ? [`tool${r.tool}`] : [],
            splittable: r.splittable,
          }),
        ),
        {
          hands,
          windows: Array.from({ length: 24 }, (_, d) => ({
            from: d * 1440 + 1080,
            to: d * 1440 + 1080 + (long[d % 4] as number),
          })),
          gates: [{ id: 'gate', from: gate }],
        },
      ),
    );

describe('bench time', () => {
  const calendar = new Calendar([
    { from: 100, to: 160 },
    { from: 200, to: 230 },
  ]);
  it('starts whole in one window, or split from any moment in one', () => {
    expect(calendar.start(0, 60, false)).to.equal(100);
    expect(calendar.start(101, 60, false)).to.equal(Infinity);
    expect(calendar.start(140, 30, false)).to.equal(200);
    expect(calendar.start(140, 30, true)).to.equal(140);
    expect(calendar.start(160, 30, true)).to.equal(200);
    expect(calendar.start(140, 51, true)).to.equal(Infinity);
  });
  it('goes on at the next window', () => {
    expect(calendar.after(140, 20)).to.equal(160);
    expect(calendar.after(140, 21)).to.equal(201);
    expect(calendar.after(140, 50)).to.equal(230);
    expect(calendar.after(140, 51)).to.equal(Infinity);
    expect([0, 130, 160, 180, 210, 999].map((m) => calendar.worked(m))).to.deep.equal([0, 30, 60, 60, 70, 90]);
  });
});

describe('the schedule', () => {
  it('two evenings by hand: what does not fit whole waits for the next', () => {
    const found = schedule(of([task('a', 70), task('b', 60, { after: ['a'] }), task('c', 50)]));
    // 70 and 50 fill the first evening; 60 wait for the second.
    expect(found).to.include({ finish: 1440 + 1080 + 60, proven: true });
    expect(starts(found)).to.deep.equal({ a: 1080, c: 1150, b: 2520 });
    expect(broken(of([task('a', 70), task('b', 60, { after: ['a'] }), task('c', 50)]), found)).to.deep.equal([]);
  });

  it('split, it goes on where it was left; glue sets overnight; a part opens its gate', () => {
    expect(schedule(of([task('a', 130, { splittable: true })])).finish).to.equal(1440 + 1080 + 10);
    const glue = [task('glue', 20, { waitMinutes: 600 }), task('ride', 10, { after: ['glue'] })];
    expect(schedule(of(glue)).finish).to.equal(2520 + 10);
    const gated = of([task('fit', 30, { needs: ['pack'] })], { gates: [{ id: 'pack', from: 2520 + 45 }] });
    expect(schedule(gated).finish).to.equal(2520 + 75);
  });

  it('two pairs of hands work side by side, but one tool is in one place', () => {
    const both = [task('a', 60), task('b', 60)];
    expect(schedule(of(both, { hands: 2 })).finish).to.equal(1140);
    expect(
      schedule(
        of(
          both.map((t) => ({ ...t, tools: ['puller'] })),
          { hands: 2 },
        ),
      ).finish,
    ).to.equal(1200);
    expect(schedule(of([task('a', 60, { hands: 2 }), task('b', 60)], { hands: 2 })).finish).to.equal(1200);
  });

  it('the critical chain is what leaves no play', () => {
    const found = schedule(
      of([task('long', 100), task('end', 20, { after: ['long'] }), task('short', 5)], { hands: 2 }),
    );
    expect(found.critical).to.deep.equal(['long', 'end']);
    expect(found).to.include({ finish: 1200, bound: 1200, proven: true });
  });

  it('a task that fits no window, or needs hands there are not, is refused by name', () => {
    const over = of([task('a', 10), task('lace', 121)]);
    expect(() => schedule(over)).to.throw(NoRoom, /^lace: no window/);
    expect(() => schedule(of([task('a', 120)]))).not.to.throw();
    expect(() => schedule(of([task('lift', 10, { hands: 2 })]))).to.throw(NoRoom, /^lift: two pairs/);
    expect(() => schedule(of([task('a', 100), task('b', 100)], { windows: evenings(120, 1) }))).to.throw(NoRoom, /end/);
    try {
      schedule(over);
    } catch (error) {
      expect(placesOf(over, error)?.[0]?.path).to.equal('tasks[1]');
    }
    expect(placesOf(over, new Error('x'))).to.equal(null);
    expect(schedule(of([])).tasks).to.deep.equal([]);
  });

  it('is the least there is, for few tasks against every order', () => {
    fc.assert(
      fc.property(caseOf(6), (given) => {
        const least = plain(given);
        if (least === Infinity) return;
        const found = schedule(given);
        expect(broken(given, found)).to.deep.equal([]);
        expect(found).to.include({ finish: least, proven: true, bound: least });
      }),
      { numRuns: 120 },
    );
  });

  it('puts tasks of an order where going through it minute by minute does', () => {
    fc.assert(
      fc.property(caseOf(14), fc.infiniteStream(fc.nat(1000)), (given, picks) => {
        const plan = planOf(given);
        // An order in which each comes after those before it, otherwise any.
        const order: number[] = [];
        while (order.length < plan.tasks.length) {
          const open = plan.tasks.filter((t) => !order.includes(t.index) && t.before.every((b) => order.includes(b)));
          const pick = open[(picks.next().value as number) % open.length];
          if (pick) order.push(pick.index);
        }
        expect(inserted(plan, order)?.starts ?? null).to.deep.equal(plainly(given, order));
      }),
      { numRuns: 60 },
    );
  });

  it('gives up an order that must come after a limit, and none that need not', () => {
    fc.assert(
      fc.property(caseOf(12), fc.integer({ min: -40, max: 40 }), (given, off) => {
        const plan = planOf(given);
        const bench = new Bench(plan);
        const order = inOrder(plan.tasks);
        const finish = bench.lay(order);
        if (finish === Infinity) return;
        expect(bench.lay(order, finish + off)).to.equal(off >= 0 ? finish : Infinity);
        // What lay there before is gone.
        expect(bench.lay(order)).to.equal(finish);
      }),
      { numRuns: 60 },
    );
  });

  it('is the same in minutes and in steps of five: only the clock differs', () => {
    fc.assert(
      fc.property(caseOf(9), (given) => {
        const five = (m: number): number => m * 5;
        const longer: ScheduleCase = {
          hands: given.hands,
          windows: given.windows.map((w) => ({ from: five(w.from), to: five(w.to) })),
          gates: given.gates.map((g) => ({ ...g, from: five(g.from) })),
          tasks: given.tasks.map((t) => ({ ...t, minutes: five(t.minutes), waitMinutes: five(t.waitMinutes) })),
        };
        let plain: Schedule;
        try {
          plain = schedule(given);
        } catch {
          expect(() => schedule(longer)).to.throw(NoRoom);
          return;
        }
        expect(schedule(longer)).to.include({ finish: five(plain.finish), bound: five(plain.bound), proven: true });
      }),
      { numRuns: 60 },
    );
  });

  it('proves twenty nasty tasks for two, breaking no rule', function () {
    for (const seed of [1, 2, 3, 4, 10, 41]) {
      const given = nastyCase(seed, 20);
      const found = schedule(given);
      expect(broken(given, found), `seed ${seed}`).to.deep.equal([]);
      expect(found.proven, `seed ${seed}`).to.equal(true);
    }
  });

  it('comes within 5 % of its bound with sixty, breaking no rule', function () {
    const given = nastyCase(0, 60);
    const found = schedule(given);
    const begin = given.windows[0]?.from ?? 0;
    expect(broken(given, found)).to.deep.equal([]);
    expect(found.finish - begin).to.be.at.most(1.05 * (found.bound - begin));
  });

  it('takes tasks alike in everything in one order, and so proves two dozen of them', () => {
    // Three of 35 go into an evening of 119 on each of two hands: 24 take four evenings, by work alone 3.5.
    const many = Array.from({ length: 24 }, (_, i) => task(`t${i}`, 35));
    const found = schedule(of(many, { hands: 2, windows: evenings(119) }));
    expect(found).to.include({ finish: 3 * 1440 + 1080 + 105, proven: true });
  });

  it('breaks no rule, and its bound is never above its finish, for more of them', () => {
    fc.assert(
      fc.property(caseOf(14), (given) => {
        let found: Schedule;
        try {
          found = schedule(given);
        } catch (error) {
          expect(error).to.be.instanceOf(NoRoom);
          return;
        }
        expect(broken(given, found)).to.deep.equal([]);
        expect(found.bound).to.be.at.most(found.finish);
        expect(found.proven).to.equal(found.bound === found.finish);
        expect(schedule(given)).to.deep.equal(found);
      }),
      { numRuns: 40 },
    );
  });

  it('works with parts of minutes too', () => {
    const found = schedule(of([task('a', 7.5), task('b', 2.25)]));
    expect(found).to.include({ finish: 1089.75, proven: true });
  });
});

describe('the grid of a case', () => {
  const quarters = [task('a', 30, { waitMinutes: 60 }), task('b', 45, { needs: ['pack'] })];
  const step = (tasks: Task[], change: Partial<ScheduleCase> = {}): number | null =>
    gridOf(of(tasks, change))?.step ?? null;
  const gate = (from: number): Partial<ScheduleCase> => ({ gates: [{ id: 'pack', from }] });

  it('is the widest that windows, tasks, waits and gates all lie on', () => {
    expect(step(quarters)).to.equal(15);
    expect(step([...quarters, task('c', 40)])).to.equal(5);
    expect(step([...quarters, task('c', 15, { waitMinutes: 70 })])).to.equal(5);
    expect(step([...quarters, task('c', 31)])).to.equal(null);
    expect(step([...quarters, task('c', 7.5)])).to.equal(null);
    expect(
      step(quarters, {
        windows: [
          { from: 7, to: 99 },
          { from: 37, to: 199 },
        ],
      }),
    ).to.equal(15);
    expect(
      step(quarters, {
        windows: [
          { from: 7, to: 99 },
          { from: 112, to: 199 },
        ],
      }),
    ).to.equal(15);
    expect(
      step(quarters, {
        windows: [
          { from: 7, to: 99 },
          { from: 113, to: 199 },
        ],
      }),
    ).to.equal(null);
    expect(step(quarters, { windows: [] })).to.equal(null);
  });

  it('heeds a gate where one waits for it and it opens in bench time', () => {
    expect(step(quarters, gate(1080 + 20))).to.equal(5);
    expect(step(quarters, gate(1080))).to.equal(15);
    expect(step(quarters, gate(1079))).to.equal(15);
    expect(step(quarters, gate(1080 + 119))).to.equal(null);
    expect(step(quarters, gate(1080 + 120))).to.equal(15);
    expect(step([task('a', 30)], gate(1080 + 7))).to.equal(30);
    expect(schedule(of(quarters, gate(1079))).finish).to.equal(1080 + 75);
    expect(schedule(of(quarters, gate(1080 + 20))).finish).to.equal(1080 + 75);
    expect(schedule(of(quarters, gate(1080 + 31))).finish).to.equal(1080 + 76);
  });

  it('heeds where a window ends only for what is split there or takes no time', () => {
    const windows = evenings(118);
    expect(step(quarters, { windows })).to.equal(15);
    expect(step([...quarters, task('c', 15, { splittable: true })], { windows })).to.equal(null);
    expect(step([...quarters, task('c', 0)], { windows })).to.equal(null);
    const whole = onGrid(of(quarters, { windows, ...gate(1081) }), { origin: 1080, step: 15 });
    expect(whole.windows[0]).to.deep.equal({ from: 0, to: 7 });
    expect(whole.gates[0]?.from).to.equal(1);
    // A window of less than a step is none.
    const short = of(quarters, {
      windows: [
        { from: 0, to: 14 },
        { from: 15, to: 99 },
      ],
    });
    expect(onGrid(short, { origin: 0, step: 15 }).windows).to.deep.equal([{ from: 1, to: 6 }]);
  });
});

describe('a schedule case', () => {
  const good = {
    hands: 1,
    windows: [{ from: '2026-03-07T09:00', to: '2026-03-07T12:00' }],
    gates: [{ id: 'pack', from: '2026-03-07T10:00' }],
    tasks: [
      { id: 'strip', minutes: 30 },
      { id: 'fit', minutes: 45, after: ['strip'], needs: ['pack'] },
    ],
  };
  const faults = (change: object): string[] => {
    const read = readScheduleCase({ ...good, ...change });
    return read.ok ? [] : read.problems.map((p) => `${p.path}: ${p.message}`);
  };

  it('is read, run and told in local time', () => {
    const read = readScheduleCase(good);
    if (!read.ok) throw new Error('refused');
    expect(runScheduleCase(read.value)).to.deep.equal({
      finish: '2026-03-07T10:45',
      tasks: [
        { id: 'strip', start: '2026-03-07T09:00', finish: '2026-03-07T09:30' },
        { id: 'fit', start: '2026-03-07T10:00', finish: '2026-03-07T10:45' },
      ],
      critical: ['fit'],
      bound: '2026-03-07T10:45',
      proven: true,
    });
    expect(momentText(minutesOf('2026-03-07T09:00:30'))).to.equal('2026-03-07T09:00:30');
  });

  it('is refused by path where it is malformed', () => {
    const [strip] = good.tasks;
    expect(faults({})).to.deep.equal([]);
    expect(faults({ hands: 3 })[0]).to.match(/^hands/);
    expect(faults({ windows: [{ from: '2026-03-07T09:00', to: '2026-03-07T09:00' }] })[0]).to.match(
      /^windows\[0\]\.to: must come after/,
    );
    expect(faults({ windows: [...good.windows, { from: '2026-03-07T11:00', to: '2026-03-07T13:00' }] })[0]).to.match(
      /^windows\[1\]\.from/,
    );
    expect(faults({ windows: [{ from: 'noon', to: '2026-03-07T13:00' }] })[0]).to.match(/^windows\[0\]\.from/);
    expect(faults({ windows: [{ from: '2026-13-07T09:00', to: '2026-12-07T13:00' }] })[0]).to.match(/^windows\[0\]/);
    expect(faults({ tasks: [strip, strip] })[0]).to.match(/^tasks\[1\]\.id: strip stands twice/);
    expect(faults({ tasks: [{ ...strip, after: ['x'] }] })[0]).to.equal('tasks[0].after[0]: no task x');
    expect(faults({ tasks: [{ ...strip, needs: ['x'] }] })[0]).to.equal('tasks[0].needs[0]: no gate x');
    expect(faults({ tasks: [{ ...strip, minutes: -1 }] })[0]).to.match(/^tasks\[0\]\.minutes/);
    expect(
      faults({
        tasks: [
          { ...strip, after: ['fit'] },
          { id: 'fit', minutes: 1, after: ['strip'] },
        ],
      })[0],
    ).to.equal('tasks[0].after: waits for itself: strip after fit after strip');
  });
});
