import { expect } from 'chai';
import fc from 'fast-check';
import type { Build } from '../../build/build.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { planContext } from '../../plan/context.ts';
import { planChosen, type ChosenPlan } from '../../plan/planBuild.ts';
import { demoBuild } from '../../../test/demoBuild.ts';
import { manyBuilds } from '../../../test/manyBuilds.ts';
import { benchOrder } from './order.ts';
import { thingsNow } from './sheets.ts';
import type { BuildStep } from './step.ts';

const demos = (['mixte', 'trike', 'box', 'lockkeeper', 'gravel'] as const).map(demoBuild);
const planOf = (build: Build): ChosenPlan => planChosen(planContext(build, starterShelf));
let made: { build: Build; bench: ChosenPlan['build'] }[] | undefined;
/** Every demo build and every kit on three donors, each planned once. */
const all = (): NonNullable<typeof made> =>
  (made ??= [...demos, ...manyBuilds()].map((build) => ({ build, bench: planOf(build).build })));
const step = (id: string, more: Partial<BuildStep> = {}): BuildStep => ({
  id,
  group: 'frame',
  place: 'frame',
  title: [id],
  minutes: 1,
  practised: 1,
  told: 1,
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
const after = (...ids: string[]): BuildStep['after'] => ids.map((id) => ({ step: id, why: 'so' }));

describe('the order of a build', () => {
  it('holds every step once, each after all it comes after, on any donor with any kit', () => {
    for (const { bench } of all()) {
      const { steps, order } = bench;
      expect([...order].sort()).to.deep.equal(steps.map((s) => s.id).sort());
      const at = new Map(order.map((id, i) => [id, i]));
      for (const s of steps)
        for (const a of s.after) expect(at.get(a.step), `${a.step} before ${s.id}`).to.be.lessThan(at.get(s.id) ?? -1);
    }
  });

  it('any steps at all are put in a lawful order', () => {
    const rows = fc.array(
      fc.record({ before: fc.array(fc.nat(30), { maxLength: 3 }), place: fc.constantFrom('pack', 'frame', 'chain') }),
      { maxLength: 25 },
    );
    fc.assert(
      fc.property(rows, (list) => {
        const steps = list.map((r, i) =>
          step(`s${i}`, {
            place: r.place as BuildStep['place'],
            after: i === 0 ? [] : after(...r.before.map((b) => `s${b % i}`)),
          }),
        );
        const order = benchOrder(steps);
        for (const s of steps)
          for (const a of s.after) expect(order.indexOf(a.step)).to.be.lessThan(order.indexOf(s.id));
        expect(new Set(order).size).to.equal(steps.length);
      }),
    );
  });

  it('stands on both wheels as long as it can: with one out, nothing is done that the wheel does not wait for', () => {
    for (const { bench } of all()) {
      const { steps, order } = bench;
      const [out, back] = [order.indexOf('wheel-out'), order.indexOf('axle-tight')];
      if (out < 0) continue;
      const byId = new Map(steps.map((s) => [s.id, s]));
      const needed = new Set(['axle-tight']);
      for (const id of needed) for (const a of byId.get(id)?.after ?? []) needed.add(a.step);
      for (const id of order.slice(out, back)) expect(needed.has(id), id).to.equal(true);
    }
  });

  it('what waits is begun early, work at one place stays together, the battery’s volts come last', () => {
    const order = benchOrder([
      step('a', { place: 'chain' }),
      step('b', { place: 'bar' }),
      step('c', { place: 'chain' }),
      step('glue', { place: 'seat', wait: { minutes: 59, why: 'it sets' } }),
      step('paint', { place: 'rack', wait: { minutes: 60, why: 'it dries' } }),
      step('volts', { place: 'pack' }),
    ]);
    expect(order).to.deep.equal(['paint', 'a', 'c', 'b', 'glue', 'volts']);
    for (const build of demos) {
      const { order: whole, steps } = planOf(build).build;
      const last = whole.indexOf('first-power');
      for (const s of steps)
        if (['strip', 'frame', 'motor', 'wheel', 'sensors'].includes(s.group))
          expect(whole.indexOf(s.id), s.id).to.be.lessThan(last);
      // Going from place to place is what costs time: never more often than every other step.
      const at = new Map(steps.map((s) => [s.id, s.place]));
      const moves = whole.filter((id, i) => i > 0 && at.get(id) !== at.get(whole[i - 1] ?? '')).length;
      expect(moves / whole.length).to.be.lessThan(0.65);
    }
  });

  it('a knot, if there were one, loses no step', () => {
    expect(benchOrder([step('a', { after: after('b') }), step('b', { after: after('a') }), step('c')])).to.deep.equal([
      'c',
      'a',
      'b',
    ]);
  });

  it('everything taken off goes back on, everything loose is drawn tight, on any donor with any kit', () => {
    for (const { build, bench } of all()) {
      const { order, sheets } = bench;
      const now = thingsNow(order, sheets, () => true);
      for (const [thing, state] of Object.entries(now))
        expect(['tight', 'sealed'], `${build.choice.kitId ?? ''} ${thing}`).to.include(state);
      expect(thingsNow(order, sheets, () => false)).to.deep.equal({});
    }
  });
});
