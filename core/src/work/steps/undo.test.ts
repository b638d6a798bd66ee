import { expect } from 'chai';
import { doneSchema } from '../../build/asBuilt.ts';
import type { Build } from '../../build/build.ts';
import { planContext } from '../../plan/context.ts';
import { planChosen, type ChosenPlan } from '../../plan/planBuild.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { knotOf } from '../scheduleCase.ts';
import { world } from '../../../test/world.ts';
import { doneAfter, withStepMarked } from './marking.ts';

const bench = (build: Build): ChosenPlan['build'] => planChosen(planContext(build, starterShelf)).build;

/** A build with its steps done in order, up to and with one. */
function doneUpTo(of: Parameters<typeof world>[0], last: string): Build {
  const { build } = world(of);
  const { order, steps } = bench(build);
  for (const id of order.slice(0, order.indexOf(last) + 1)) {
    const step = steps.find((s) => s.id === id);
    if (step) build.bench.done = withStepMarked(build.bench.done, step, { at: '2026-03-01T10:00' });
  }
  return build;
}
const undone = (build: Build): string[] =>
  bench(build)
    .steps.filter((s) => s.undoes !== null)
    .map((s) => s.id);

describe('a build half done whose plan changes', () => {
  it('steps done stay done where they still apply', () => {
    const build = doneUpTo({ kit: 'otter-r250' }, 'axle-tight');
    const before = bench(build).steps.filter((s) => s.doneOn !== null).length;
    expect(before).to.be.greaterThan(20);
    expect(undone(build)).to.deep.equal([]);
    build.brief.cargoKg = 30;
    const now = bench(build);
    expect(now.steps.filter((s) => s.doneOn !== null).length).to.equal(before);
    expect(undone(build)).to.deep.equal([]);
    // No battery any more: its holder comes off, all else stays done.
    build.choice.packId = null;
    expect(undone(build)).to.deep.equal(['undo:pack-holder']);
    expect(bench(build).steps.find((s) => s.id === 'axle-tight')?.doneOn).to.equal('2026-03-01T10:00');
  });

  it('another motor in the same wheel: that wheel comes out first, its tyre goes over, the old wheel stays away', () => {
    const build = doneUpTo({ kit: 'otter-r250' }, 'axle-tight');
    const other = starterShelf.kit.find(
      (k) => k.hub?.place === 'rear' && k.id !== 'otter-r250' && k.hub.beadsM.length > 0,
    );
    build.choice.kitId = other?.id ?? '';
    const { steps, order } = bench(build);
    expect(undone(build)).to.include.members(['undo:wheel-in', 'undo:tyre-on']);
    expect(undone(build)).not.to.include('undo:wheel-out');
    const at = (id: string): number => order.indexOf(id);
    expect(at('undo:wheel-in')).to.be.lessThan(at('undo:tyre-on'));
    expect(at('undo:wheel-in')).to.be.lessThan(at('wheel-in'));
    expect(steps.find((s) => s.id === 'wheel-out')?.doneOn).not.to.equal(null);
    expect(steps.find((s) => s.id === 'wheel-in')?.doneOn).to.equal(null);
    expect(knotOf(steps.map((s) => ({ id: s.id, after: s.after.map((a) => a.step) })))).to.equal(null);
  });

  it('from a hub to a mid-drive: the last put on comes off first, and the old wheel goes back in', () => {
    const build = doneUpTo({ kit: 'otter-r250' }, 'first-power');
    build.choice.kitId = 'wren-m250';
    const { order } = bench(build);
    const at = (id: string): number => order.indexOf(id);
    for (const id of ['undo:first-power', 'undo:wheel-in', 'undo:tyre-on', 'undo:wheel-out', 'undo:tyre-off'])
      expect(at(id), id).to.be.greaterThan(-1);
    expect(at('undo:first-power')).to.be.lessThan(at('undo:wheel-in'));
    expect(at('undo:wheel-in')).to.be.lessThan(at('undo:wheel-out'));
    expect(at('undo:tyre-off')).to.be.lessThan(at('undo:wheel-out'));
    expect(at('undo:wheel-out')).to.be.lessThan(at('first-power'));
    // The battery is the same one: it comes out, its holder stays.
    expect(undone(build)).not.to.include('undo:pack-holder');
    build.choice.packId = 'loaf-36-17';
    expect(undone(build)).to.include('undo:pack-holder');
  });

  it('the other wheel is another wheel', () => {
    const build = doneUpTo({ kit: 'otter-r250' }, 'wheel-out');
    build.choice.kitId = 'linnet-f250';
    const { steps } = bench(build);
    expect(undone(build)).to.include('undo:wheel-out');
    expect(steps.find((s) => s.id === 'undo:wheel-out')?.place).to.equal('rear wheel');
    expect(steps.find((s) => s.id === 'wheel-out')).to.deep.include({ place: 'front wheel', doneOn: null });
  });

  it('undone, it is done no more, and the undoing is off the list', () => {
    const build = doneUpTo({ kit: 'otter-r250' }, 'wheel-out');
    build.choice.kitId = 'wren-m250';
    const undo = bench(build).steps.find((s) => s.id === 'undo:wheel-out');
    if (!undo) throw new Error('nothing to undo');
    expect(withStepMarked(build.bench.done, undo, null)).to.equal(build.bench.done);
    build.bench.done = withStepMarked(build.bench.done, undo, { at: '2026-03-02T10:00' });
    expect(build.bench.done['wheel-out']).to.equal(undefined);
    expect(build.bench.done['undo:wheel-out']).to.equal(undefined);
    expect(undone(build)).not.to.include('undo:wheel-out');
  });

  it('what was left out, and what an older file tells without its place, asks for no undoing by itself', () => {
    const { build } = world({ kit: 'otter-r250' });
    build.bench.done['wheel-out'] = doneSchema.parse({ at: '2026-03-01T10:00' });
    expect(bench(build).steps.find((s) => s.id === 'wheel-out')?.doneOn).to.equal('2026-03-01T10:00');
    build.choice.kitId = 'wren-m250';
    expect(undone(build)).to.deep.equal(['undo:wheel-out']);
    build.bench.done['wheel-out'] = doneSchema.parse({ at: '2026-03-01T10:00', leftOut: true });
    expect(undone(build)).to.deep.equal([]);
  });
});

describe('marking a step', () => {
  it('keeps what was said of it, and takes it back with what was done after it', () => {
    const build = doneUpTo({ kit: 'otter-r250' }, 'tyre-on');
    const { steps } = bench(build);
    const rim = steps.find((s) => s.id === 'tape-rim');
    if (!rim) throw new Error('no rim');
    expect(build.bench.done['tape-rim']).to.deep.include({ place: 'rear wheel', part: 'otter-r250', minutes: null });
    const said = withStepMarked(build.bench.done, rim, { at: '2026-03-01T11:00', note: 'two layers' });
    const again = withStepMarked(said, rim, { at: '2026-03-01T12:00', minutes: 9 });
    expect(again['tape-rim']).to.deep.include({ note: 'two layers', minutes: 9, at: '2026-03-01T12:00' });
    const other = withStepMarked(said, { ...rim, part: 'heron-d250' }, { at: '2026-03-01T12:00' });
    expect(other['tape-rim']).to.deep.include({ note: '', part: 'heron-d250' });
    expect(doneAfter(steps, 'tape-rim')).to.deep.equal(['tyre-on']);
    expect(doneAfter(steps, 'tyre-on')).to.deep.equal([]);
    expect(Object.keys(withStepMarked(again, rim, null))).not.to.include('tape-rim');
  });
});
