import { expect } from 'chai';
import fc from 'fast-check';
import { doneSchema, type Done } from '../../build/asBuilt.ts';
import { newBuild, type Build } from '../../build/build.ts';
import { knownOf, peopleOf } from '../../build/paces.ts';
import { inWorkshopOf } from '../../build/workshop.ts';
import { planContext } from '../../plan/context.ts';
import { planChosen } from '../../plan/planBuild.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { demoBuild } from '../../../test/demoBuild.ts';
import { atPace, paceOf } from './pace.ts';

const record = (more: Partial<Done> = {}): Done =>
  doneSchema.parse({ at: '2026-03-01T10:00', by: 'Ada', minutes: 20, told: 10, ...more });
const withDone = (done: Record<string, Done>): Build => {
  const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
  build.bench.done = done;
  return build;
};
const times = (n: number, more: Partial<Done> = {}): Build =>
  withDone(Object.fromEntries(Array.from({ length: n }, (_, i) => [`s${i}`, record(more)])));
const pace = (build: Build): number => paceOf(knownOf(build, 'Ada'));

describe('a person’s own pace', () => {
  it('is 1 where nothing was timed, and drawn toward 1 where little was', () => {
    expect(pace(times(0))).to.equal(1);
    expect(pace(times(1))).to.be.closeTo(2 ** (1 / 6), 1e-12);
    expect(pace(times(15))).to.be.closeTo(2 ** (15 / 20), 1e-12);
    // Twice as long and half as long even out.
    expect(pace(withDone({ a: record(), b: record({ minutes: 5 }) }))).to.be.closeTo(1, 1e-12);
    expect(pace(times(1, { minutes: 0 }))).to.equal(1);
    expect(pace(times(1, { told: null }))).to.equal(1);
  });

  it('lies between 1 and what was seen, and past three times nothing is believed', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 2.5, noNaN: true }), fc.integer({ min: 1, max: 30 }), (ratio, n) => {
        const found = pace(times(n, { minutes: 10 * ratio }));
        expect(found).to.be.within(Math.min(1, ratio) - 1e-9, Math.max(1, ratio) + 1e-9);
      }),
    );
    expect(pace(times(300, { minutes: 1000 }))).to.equal(3);
    expect(pace(times(300, { minutes: 0.1 }))).to.equal(1 / 3);
  });

  it('is of who is at the bench: others’ steps, and those left out or not timed, tell nothing of it', () => {
    const build = withDone({
      a: record({ minutes: 30 }),
      b: record({ by: 'Bo' }),
      c: record({ leftOut: true }),
      d: record({ minutes: null }),
    });
    expect(knownOf(build, 'Ada')).to.deep.equal({ sum: Math.log(3), count: 1 });
    expect(knownOf(build, 'Ada ')).to.deep.equal(knownOf(build, 'Ada'));
    expect(knownOf(build, 'Cy')).to.deep.equal({ sum: 0, count: 0 });
    expect(peopleOf(build)).to.deep.equal(['Ada', 'Bo']);
  });

  it('goes with its people to the next build in the workshop, and adds up there', () => {
    const first = times(15);
    first.built.builder = 'Ada';
    const next = inWorkshopOf(first, newBuild('b', 'B', '2026-01-01T00:00:00.000Z'));
    expect(next.built).to.deep.include({ builder: 'Ada', otherwise: [] });
    expect(pace(next)).to.be.closeTo(2 ** (15 / 20), 1e-12);
    next.bench.done = times(5).bench.done;
    expect(pace(next)).to.be.closeTo(2 ** (20 / 25), 1e-12);
    const third = inWorkshopOf(next, newBuild('c', 'C', '2026-01-01T00:00:00.000Z'));
    expect(pace(third)).to.be.closeTo(2 ** (20 / 25), 1e-12);
    expect(inWorkshopOf(times(0), newBuild('d', 'D', '2026-01-01T00:00:00.000Z')).built.paces).to.deep.equal([]);
  });

  it('sets the minutes of what is still to do, to the half minute, and of nothing else', () => {
    expect(atPace(10, 1.26)).to.equal(12.5);
    expect(atPace(0.5, 0.5)).to.equal(0.5);
    const build = demoBuild('lockkeeper');
    build.built.builder = 'Ada';
    const told = planChosen(planContext(build, starterShelf)).build.steps;
    build.bench.done = Object.fromEntries(
      told.slice(0, 5).map((s) => [s.id, record({ told: s.told, minutes: s.told * 2 })]),
    );
    const now = planChosen(planContext(build, starterShelf)).build.steps;
    now.forEach((s, i) => {
      expect(s.told, s.id).to.equal(told[i]?.told);
      expect(s.practised, s.id).to.equal(told[i]?.practised);
      expect(s.minutes, s.id).to.equal(s.doneOn === null ? atPace(s.told, 2 ** (5 / 10)) : s.told);
    });
  });
});
