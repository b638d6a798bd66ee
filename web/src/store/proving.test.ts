import {
  conditionsSchema,
  MOST_RESULTS,
  newBuild,
  type Build,
  type FaultSearch,
  type RepairTaken,
  type Result,
} from '@sprocket/core';
import { expect } from 'chai';
import { buildActions, buildReducer } from './buildSlice.ts';
import { store } from './store.ts';

type Action = Parameters<typeof buildReducer>[1];
const AT = '2026-05-02T10:00';
function after(...actions: Action[]): Build {
  const first = buildReducer(undefined, buildActions.opened(newBuild('a', 'A', '2026-01-01T00:00:00.000Z')));
  const { build } = actions.reduce((s, a) => buildReducer(s, a), first);
  if (!build) throw new Error('no build');
  return build;
}
const edit = <T>(value: T, field = 'f') => ({ field, value });
const result = (id: string, test = 'front-brake'): Result => ({
  id,
  test,
  at: AT,
  by: 'Ada',
  conditions: conditionsSchema.parse({}),
  readings: {},
  saw: 'holds',
  note: '',
  witness: null,
});

describe('edits of Proving', () => {
  it('conditions are carried, one at a time', () => {
    const b = after(
      buildActions.daySet(edit({ charge: 0.8 })),
      buildActions.daySet(edit({ headwindMs: 2, charge: null })),
    );
    expect(b.proving.day).to.deep.equal({ ...conditionsSchema.parse({}), headwindMs: 2 });
  });

  it('a result is kept after those before it, a note on it stays on it, and taken back it takes what went past it along', () => {
    const kept = [buildActions.resultKept(edit(result('1'))), buildActions.resultKept(edit(result('2')))];
    expect(after(...kept).proving.results.map((r) => r.id)).to.deep.equal(['1', '2']);
    const noted = after(...kept, buildActions.resultKept(edit({ ...result('1'), note: 'damp' })));
    expect(noted.proving.results.map((r) => r.note)).to.deep.equal(['damp', '']);
    const past = {
      id: '2',
      test: 'front-brake',
      reason: 'walked it home',
      at: AT,
      by: '',
      witness: { by: 'Bo', at: AT },
    };
    const gone = buildActions.wentPastSaid(edit({ result: '2', as: past }));
    expect(after(...kept, gone).proving.wentPast).to.deep.equal([past]);
    const back = after(...kept, gone, buildActions.resultTakenBack(edit('2')));
    expect([back.proving.results.length, back.proving.wentPast.length]).to.deep.equal([1, 0]);
    expect(
      after(...kept, gone, buildActions.wentPastSaid(edit({ result: '2', as: null }))).proving.wentPast,
    ).to.deep.equal([]);
  });

  it('a test that is tried is no longer left untried', () => {
    const not = { id: 'front-brake', reason: 'no time today', at: AT, by: '', witness: null };
    const said = buildActions.notTriedSaid(edit({ test: 'front-brake', as: not }));
    expect(after(said).proving.notTried).to.deep.equal([not]);
    expect(
      after(said, buildActions.notTriedSaid(edit({ test: 'front-brake', as: null }))).proving.notTried,
    ).to.deep.equal([]);
    expect(after(said, buildActions.resultKept(edit(result('1')))).proving.notTried).to.deep.equal([]);
    expect(after(said, buildActions.resultKept(edit(result('1', 'rear-brake')))).proving.notTried).to.deep.equal([not]);
  });

  it('no more results are kept than a file carries, and those kept can still be corrected', () => {
    store.dispatch(buildActions.opened(newBuild('a', 'A', '2026-01-01T00:00:00.000Z')));
    for (let i = 0; i <= MOST_RESULTS; i++) store.dispatch(buildActions.resultKept(edit(result(String(i)))));
    store.dispatch(buildActions.resultKept(edit({ ...result('3'), note: 'again' })));
    const full = store.getState().build.present.build as Build;
    // The one too many is set aside, and told.
    expect(
      store
        .getState()
        .aside.waiting.at(-1)
        ?.parts.map((part) => part.path),
    ).to.deep.equal([['proving', 'results', { key: String(MOST_RESULTS) }]]);
    expect(full.proving.results.length).to.equal(MOST_RESULTS);
    expect(full.proving.results[3]?.note).to.equal('again');
  });

  it('a search goes on, is forgotten; a repair decided on is taken back with what was done of it', () => {
    const search: FaultSearch = { id: 's', at: AT, by: '', symptom: 'dead', from: null, answers: [], ended: null };
    const answered = { ...search, answers: [{ test: 'lever-home', outcome: 'home' }] };
    const kept = [buildActions.searchKept(edit(search)), buildActions.searchKept(edit(answered))];
    expect(after(...kept).proving.searches).to.deep.equal([answered]);
    expect(after(...kept, buildActions.searchForgotten(edit('s'))).proving.searches).to.deep.equal([]);
    const repair: RepairTaken = {
      id: 'r',
      repair: 'tape',
      words: 'Tape',
      how: '',
      place: 'rear wheel',
      minutes: 30,
      takes: [],
      search: 's',
      at: AT,
    };
    const step = { id: 'repair:r', place: 'rear wheel' as const, part: null, undoes: null, told: 30 };
    const done = [buildActions.repairKept(edit(repair)), buildActions.stepMarked(edit({ step, as: { at: AT } }))];
    expect(Object.keys(after(...done).bench.done)).to.deep.equal(['repair:r']);
    const back = after(...done, buildActions.repairForgotten(edit('r')));
    expect([back.proving.repairs, back.bench.done]).to.deep.equal([[], {}]);
  });

  it('coasts, tunings and rides are kept and taken back', () => {
    const coast = { id: 'c', at: AT, way: 'there' as const, grade: null, points: [] };
    expect(after(buildActions.coastKept(edit(coast))).proving.coasts).to.deep.equal([coast]);
    expect(
      after(buildActions.coastKept(edit(coast)), buildActions.coastForgotten(edit('c'))).proving.coasts,
    ).to.deep.equal([]);
    const from = { test: 'roll-out', at: AT };
    const tuned = after(
      buildActions.tunedTo(edit({ rolledM: { is: 2.1, from } })),
      buildActions.tunedTo(edit({ massKg: { by: 3, from } })),
    );
    expect(tuned.tuned).to.deep.include({ rolledM: { is: 2.1, from }, massKg: { by: 3, from } });
    expect(
      after(buildActions.tunedTo(edit({ rolledM: { is: 2.1, from } })), buildActions.tunedTo(edit({ rolledM: null })))
        .tuned.rolledM,
    ).to.equal(null);
    const ride = {
      kind: 'ride' as const,
      by: '',
      movingS: null,
      stops: null,
      energyFrom: 'meter' as const,
      loadKg: null,
      climbM: null,
      profile: [],
      counts: null,
      id: 'x',
      at: AT,
      name: '',
      from: 'standIn' as const,
      distanceM: 1000,
      timeS: 200,
      energyWh: 9,
      startCharge: 1,
      endCharge: 0.9,
      temperatureC: 10,
      headwindMs: 0,
      massKg: 100,
      ownRoad: true,
      note: '',
    };
    expect(
      after(buildActions.entriesKept(edit([ride])), buildActions.entriesKept(edit([ride]))).log.entries,
    ).to.deep.equal([ride]);
  });
});
