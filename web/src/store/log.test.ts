import { logEntrySchema, newBuild, type Build, type LogEntry } from '@sprocket/core';
import { expect } from 'chai';
import { buildActions } from './buildSlice.ts';
import { redo, store, undo } from './store.ts';

const note = (id: string, words = 'x'): LogEntry =>
  logEntrySchema.parse({ kind: 'note', id, at: '2026-05-01T08:00', note: words });
const present = (): Build => {
  const { build } = store.getState().build.present;
  if (!build) throw new Error('none');
  return build;
};
const ids = (): string[] => present().log.entries.map((e) => e.id);
const keep = (...entries: LogEntry[]): void => {
  store.dispatch(buildActions.entriesKept({ field: `log.entries.${entries[0]?.id ?? ''}`, value: entries }));
};
const ridden = {
  at: [0, 0, 0, 0],
  cov: [0, 1, 2, 3].map((i) => [0, 1, 2, 3].map((j) => (i === j ? 0.01 : 0))),
  count: 3,
  last: '2026-05-01T08:00',
  packId: null,
};

describe('edits of the log', () => {
  beforeEach(() => {
    store.dispatch(buildActions.opened(newBuild('a', 'A', '2026-01-01T00:00:00.000Z')));
  });

  it('put a line in its own place or after the others, and take it out', () => {
    keep(note('a'), note('b'));
    keep(note('a', 'y'));
    expect([ids(), present().log.entries[0]?.note]).to.deep.equal([['a', 'b'], 'y']);
    store.dispatch(buildActions.entryForgotten({ field: 'f', value: 'a' }));
    expect(ids()).to.deep.equal(['b']);
  });

  it('a table’s reading is remembered by its heads, the newest in place of an older, twenty at most', () => {
    const of = (heads: string, unit: string): void => {
      store.dispatch(
        buildActions.mappingKept({
          field: 'log.mappings',
          value: { heads, columns: [{ head: heads, of: 'distanceM', unit }] },
        }),
      );
    };
    of('km', 'km');
    of('km', 'mi');
    expect(present().log.mappings.map((m) => m.columns[0]?.unit)).to.deep.equal(['mi']);
    for (let i = 0; i < 25; i++) of(`h${i}`, 'km');
    expect([present().log.mappings.length, present().log.mappings[0]?.heads]).to.deep.equal([20, 'h5']);
  });

  it('undo takes a ride back at once: what the rides told is no step of its own, and redo brings it again', () => {
    keep(note('a'));
    keep(note('b'));
    store.dispatch(buildActions.riddenTo({ field: 'tuned.rides', value: ridden }));
    expect(present().tuned.rides?.count).to.equal(3);
    store.dispatch(undo());
    expect(ids()).to.deep.equal(['a']);
    // Told anew after the undo: what can be done again is still there.
    store.dispatch(buildActions.riddenTo({ field: 'tuned.rides', value: { ...ridden, count: 2 } }));
    expect(ids()).to.deep.equal(['a']);
    store.dispatch(redo());
    expect(ids()).to.deep.equal(['a', 'b']);
  });

  it('rides that are to tell no more are forgotten by every figure', () => {
    store.dispatch(buildActions.riddenTo({ field: 'tuned.rides', value: ridden }));
    store.dispatch(buildActions.byRidesSet({ field: 'tuned.byRides', value: false }));
    expect([present().tuned.byRides, present().tuned.rides]).to.deep.equal([false, null]);
  });

  it('handover and review are kept a field at a time', () => {
    store.dispatch(buildActions.handoverSaid({ field: 'log.handover.owner', value: { owner: 'Runa' } }));
    store.dispatch(buildActions.handoverSaid({ field: 'log.handover.maker', value: { maker: 'Shed' } }));
    expect(present().log.handover).to.deep.include({ owner: 'Runa', maker: 'Shed', guarantees: {} });
    const review = { at: '2026-05-01T08:00', by: '', again: 'no' as const, answers: {}, ratings: { hills: 2 } };
    store.dispatch(buildActions.reviewSaid({ field: 'log.review', value: review }));
    expect(present().log.review).to.deep.equal(review);
    store.dispatch(buildActions.reviewSaid({ field: 'log.review', value: null }));
    expect(present().log.review).to.equal(null);
  });
});
