import { expect } from 'chai';
import { legalClasses, newBuild, type Build } from '@sprocket/core';
import { edits } from '../../test/edits.ts';
import { buildActions, buildReducer } from './buildSlice.ts';

type Action = Parameters<typeof buildReducer>[1];
type Name = keyof typeof edits;

/** An edit as a screen sends it: `n` tells one row from the next. */
const sent = (name: Name, n: number, words = `word ${n}`): Action =>
  (buildActions[name] as (payload: { field: string; value: unknown }) => Action)({
    field: 'f',
    value: edits[name](n, words),
  });
const as = (name: Name, value: unknown): Action =>
  (buildActions[name] as (payload: { field: string; value: unknown }) => Action)({ field: 'f', value });

function after(...actions: Action[]): Build {
  const opened = buildActions.opened(newBuild('a', 'A', '2026-01-01T00:00:00.000Z'));
  const { build } = actions.reduce((state, action) => buildReducer(state, action), buildReducer(undefined, opened));
  if (!build) throw new Error('no build');
  return build;
}

const supplier = (id: string, name = id) => ({ ...after().bill.suppliers[0], id, name });
const offer = (of: string, part: string, price: number) => ({ supplier: of, part, price });
const law = (id: string, name = id) => ({ ...legalClasses[0], id, name });
const found = (rule: string, subject: string) => ({ rule, subject, reason: 'a reason of words', remedy: 'a', on: '' });
const coast = (id: string, grade: number | null = null) => ({ ...(edits.coastKept(1, id) as object), id, grade });

/** Rows that are put and taken out one by one: by what they are put and taken, and where they stand. */
const rows: {
  what: string;
  put: Name;
  row: (id: string, other?: boolean) => unknown;
  drop?: Name;
  dropped?: (id: string) => unknown;
  of: (build: Build) => readonly unknown[];
  /** A row put again stands where it stood; else it comes last. */
  stays: boolean;
}[] = [
  {
    what: 'suppliers',
    put: 'supplierKept',
    row: (id, other) => supplier(id, other ? 'other' : id),
    drop: 'supplierDropped',
    of: (b) => b.bill.suppliers,
    stays: true,
  },
  {
    what: 'laws of one’s own',
    put: 'lawKept',
    row: (id, other) => law(id, other ? 'other' : id),
    drop: 'lawDropped',
    of: (b) => b.ownLaws,
    stays: true,
  },
  {
    what: 'overrides, by rule',
    put: 'overridden',
    row: (id, other) => ({ ...found(id, 'plan'), reason: other ? 'another reason' : 'a reason of words' }),
    drop: 'overrideClosed',
    dropped: (id) => ({ rule: id, subject: 'plan' }),
    of: (b) => b.overrides,
    stays: false,
  },
  {
    what: 'overrides, by subject',
    put: 'overridden',
    row: (id, other) => ({ ...found('axle', id), reason: other ? 'another reason' : 'a reason of words' }),
    drop: 'overrideClosed',
    dropped: (id) => ({ rule: 'axle', subject: id }),
    of: (b) => b.overrides,
    stays: false,
  },
  {
    what: 'remedies, by rule',
    put: 'remedyTaken',
    row: (id, other) => ({ ...found(id, 'plan'), remedy: other ? 'b' : 'a' }),
    drop: 'remedyLeft',
    dropped: (id) => ({ rule: id, subject: 'plan' }),
    of: (b) => b.fixes,
    stays: false,
  },
  {
    what: 'remedies, by subject',
    put: 'remedyTaken',
    row: (id, other) => ({ ...found('axle', id), remedy: other ? 'b' : 'a' }),
    drop: 'remedyLeft',
    dropped: (id) => ({ rule: 'axle', subject: id }),
    of: (b) => b.fixes,
    stays: false,
  },
  {
    what: 'lines of the log',
    put: 'entriesKept',
    row: (id, other) => [{ kind: 'note', id, at: '', by: '', note: other ? 'other' : id }],
    drop: 'entryForgotten',
    of: (b) => b.log.entries,
    stays: true,
  },
  {
    what: 'searches',
    put: 'searchKept',
    row: (id, other) => ({ ...(edits.searchKept(1, id) as object), id, symptom: other ? 'weak' : 'dead' }),
    drop: 'searchForgotten',
    of: (b) => b.proving.searches,
    stays: true,
  },
  {
    what: 'repairs',
    put: 'repairKept',
    row: (id, other) => ({ ...(edits.repairKept(1, id) as object), id, minutes: other ? 30 : 20 }),
    drop: 'repairForgotten',
    of: (b) => b.proving.repairs,
    stays: true,
  },
  {
    what: 'coast-downs',
    put: 'coastKept',
    row: (id, other) => coast(id, other ? 0.01 : null),
    drop: 'coastForgotten',
    of: (b) => b.proving.coasts,
    stays: true,
  },
  {
    what: 'parts of one’s own',
    put: 'ownPartKept',
    row: (id, other) => ({ ...(edits.ownPartKept(1, id) as object), id, name: other ? 'other' : id }),
    of: (b) => b.ownParts,
    stays: false,
  },
];

describe('an edit of one of several', () => {
  for (const { what, put, row, drop, dropped, of, stays } of rows) {
    const one = (id: string, other?: boolean): unknown => [row(id, other)].flat()[0];
    const three = ['a', 'b', 'c'].map((id) => as(put, row(id)));
    it(`${what}: each put stands after the others; put again it ${stays ? 'stays where it was' : 'comes last'}`, () => {
      expect(of(after(...three))).to.deep.equal([one('a'), one('b'), one('c')]);
      expect(of(after(...three, as(put, row('b', true))))).to.deep.equal(
        stays ? [one('a'), one('b', true), one('c')] : [one('a'), one('c'), one('b', true)],
      );
    });
    if (drop)
      it(`${what}: one taken out leaves the others, and one that is not there leaves all`, () => {
        const gone = (id: string): Action => as(drop, dropped?.(id) ?? id);
        expect(of(after(...three, gone('b')))).to.deep.equal([one('a'), one('c')]);
        expect(of(after(...three, gone('x')))).to.deep.equal([one('a'), one('b'), one('c')]);
      });
  }

  it('offers go with their supplier alone, and a new price takes the place of the same part’s at the same one', () => {
    const brought = as('offersBrought', {
      suppliers: [supplier('quay'), supplier('mill')],
      offers: [offer('quay', 'p', 1), offer('quay', 'q', 2), offer('mill', 'p', 3)],
    });
    const again = as('offersBrought', { suppliers: [supplier('mill', 'Mill')], offers: [offer('mill', 'p', 4)] });
    const { bill } = after(brought, again);
    expect(bill.suppliers.map((s) => s.name)).to.deep.equal(['quay', 'Mill']);
    expect(bill.offers.map((o) => [o.supplier, o.part, o.price])).to.deep.equal([
      ['quay', 'p', 1],
      ['quay', 'q', 2],
      ['mill', 'p', 4],
    ]);
    const { bill: left } = after(brought, as('supplierDropped', 'quay'));
    expect(left.suppliers.map((s) => s.id)).to.deep.equal(['mill']);
    expect(left.offers.map((o) => o.supplier)).to.deep.equal(['mill']);
  });

  it('what is one thing alone is put in the place of what was there', () => {
    const frame = { joints: [], tubes: [] };
    const inside = { readings: {} };
    const path = [{ x: 0, y: 0 }];
    const noted = [{ name: 'bottle', points: [], radiusM: 0.01 }];
    const { donor, wiring } = after(
      as('freeFrameDrawn', frame),
      as('insideTaken', inside),
      as('mainTubeDrawn', path),
      as('obstructionsNoted', noted),
      as('packsJoined', { join: 'parallel' }),
      as('phasesTried', ['ABC']),
    );
    expect([donor.freeFrame, donor.inside, donor.mainTubePath, donor.obstructions]).to.deep.equal([
      frame,
      inside,
      path,
      noted,
    ]);
    expect([wiring.packs, wiring.phases]).to.deep.equal([{ join: 'parallel' }, ['ABC']]);
  });

  it('a rider who goes takes no other’s seat along, and the first sits down where nobody is left', () => {
    const add = [sent('riderAdded', 1), sent('riderAdded', 2), sent('riderAdded', 3)];
    const sit = (rider: number, seat: string | null): Action => as('riderSeated', { rider, seat, pedals: false });
    const aboard = (...actions: Action[]) => after(...add, ...actions).brief.aboard.map((a) => [a.rider, a.seat]);
    expect(aboard(sit(1, 'second'), sit(3, 'childBehind'), as('riderRemoved', 2))).to.deep.equal([
      [0, 'main'],
      [1, 'second'],
      [2, 'childBehind'],
    ]);
    expect(after(...add, sit(0, null)).brief.aboard).to.deep.equal([{ rider: 0, seat: 'main', pedals: true }]);
  });

  it('every edit sent where no build is open leaves it so', () => {
    for (const name of Object.keys(edits) as Name[])
      expect(buildReducer({ build: null }, sent(name, 1)), name).to.deep.equal({ build: null });
  });
});
