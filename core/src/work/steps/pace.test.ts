import { expect } from 'chai';
import fc from 'fast-check';
import { doneSchema } from '../../build/asBuilt.ts';
import { planContext } from '../../plan/context.ts';
import { planChosen } from '../../plan/planBuild.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { demoBuild } from '../../../test/demoBuild.ts';
import { atPace, paceOf, timedOf } from './pace.ts';

describe('a person’s own pace', () => {
  it('is 1 where nothing was timed, and drawn toward 1 where little was', () => {
    expect(paceOf([])).to.equal(1);
    expect(paceOf([{ told: 10, took: 20 }])).to.be.closeTo(2 ** (1 / 6), 1e-12);
    expect(paceOf(Array.from({ length: 15 }, () => ({ told: 10, took: 20 })))).to.be.closeTo(2 ** (15 / 20), 1e-12);
    // Twice as long and half as long even out.
    expect(
      paceOf([
        { told: 10, took: 20 },
        { told: 10, took: 5 },
      ]),
    ).to.be.closeTo(1, 1e-12);
    expect(paceOf([{ told: 10, took: 0 }])).to.equal(1);
  });

  it('lies between 1 and what was seen, and past three times nothing is believed', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 2.5, noNaN: true }), fc.integer({ min: 1, max: 30 }), (ratio, n) => {
        const pace = paceOf(Array.from({ length: n }, () => ({ told: 8, took: 8 * ratio })));
        expect(pace).to.be.within(Math.min(1, ratio) - 1e-9, Math.max(1, ratio) + 1e-9);
      }),
    );
    const far = (ratio: number): number => paceOf(Array.from({ length: 500 }, () => ({ told: 1, took: ratio })));
    expect(far(100)).to.equal(3);
    expect(far(0.01)).to.equal(1 / 3);
  });

  it('is of who is at the bench: others’ steps, and those left out, tell nothing of it', () => {
    const record = (more: object) => doneSchema.parse({ at: '2026-03-01T10:00', by: 'Ada', minutes: 30, ...more });
    const steps = ['a', 'b', 'c', 'd', 'e'].map((id) => ({ id, told: 10 }));
    const done = {
      a: record({}),
      b: record({ by: 'Bo' }),
      c: record({ leftOut: true }),
      d: record({ minutes: null }),
    };
    expect(timedOf(steps, done, 'Ada')).to.deep.equal([{ told: 10, took: 30 }]);
  });

  it('sets the minutes of what is still to do, to the half minute, and of nothing else', () => {
    expect(atPace(10, 1.26)).to.equal(12.5);
    expect(atPace(0.5, 0.5)).to.equal(0.5);
    const build = demoBuild('lockkeeper');
    build.built.builder = 'Ada';
    const told = planChosen(planContext(build, starterShelf)).bench.steps;
    build.bench.done = Object.fromEntries(
      told.slice(0, 5).map((s) => [s.id, doneSchema.parse({ at: '2026-03-01T10:00', by: 'Ada', minutes: s.told * 2 })]),
    );
    const now = planChosen(planContext(build, starterShelf)).bench.steps;
    const pace = 2 ** (5 / 10);
    now.forEach((s, i) => {
      expect(s.told, s.id).to.equal(told[i]?.told);
      expect(s.practised, s.id).to.equal(told[i]?.practised);
      expect(s.minutes, s.id).to.equal(s.doneOn === null ? atPace(s.told, pace) : s.told);
    });
  });
});
