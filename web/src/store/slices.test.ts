import { expect } from 'chai';
import { starterShelf, type Part } from '@sprocket/core';
import { shelfActions, shelfReducer } from './shelfSlice.ts';
import { uiActions, uiReducer } from './uiSlice.ts';

describe('the person’s own parts', () => {
  const [one, two] = starterShelf.pack as [Part, Part];
  const empty = shelfReducer(undefined, { type: 'start' });

  it('are read, saved once by id, and removed', () => {
    expect(empty.own).to.deep.equal([]);
    const read = shelfReducer(empty, shelfActions.ownPartsRead([one]));
    const both = shelfReducer(read, shelfActions.ownPartSaved(two));
    expect(both.own.map((p) => p.id)).to.deep.equal([one.id, two.id]);
    const renamed = shelfReducer(both, shelfActions.ownPartSaved({ ...one, name: 'Mine' }));
    expect(renamed.own.map((p) => p.name)).to.deep.equal([two.name, 'Mine']);
    expect(shelfReducer(renamed, shelfActions.ownPartRemoved(one.id)).own.map((p) => p.id)).to.deep.equal([two.id]);
    expect(shelfReducer(renamed, shelfActions.ownPartRemoved('no-such')).own).to.deep.equal(renamed.own);
  });
});

describe('what is shown', () => {
  const start = uiReducer(undefined, { type: 'start' });

  it('starts metric, on the quick look, with nothing opened', () => {
    expect(start).to.deep.include({
      units: 'metric',
      donorView: 'quick',
      packView: 'place',
      explained: null,
      lit: null,
    });
  });

  it('turns units there and back, and takes one by name', () => {
    const once = uiReducer(start, uiActions.unitsTurned());
    expect(once.units).to.equal('imperial');
    expect(uiReducer(once, uiActions.unitsTurned()).units).to.equal('metric');
    expect(uiReducer(start, uiActions.unitsChosen('imperial')).units).to.equal('imperial');
  });

  it('changes one thing at a time', () => {
    const steps = [
      [uiActions.itemLit('wheelbase'), { lit: 'wheelbase' }],
      [uiActions.explained({ kind: 'figure', id: 'range' }), { explained: { kind: 'figure', id: 'range' } }],
      [uiActions.donorViewed('worth'), { donorView: 'worth' }],
      [uiActions.packViewed('make'), { packView: 'make' }],
      [uiActions.keysShown(true), { keysShown: true }],
      [uiActions.tallyPulled(true), { tallyUp: true }],
      [uiActions.savedMarked('failed'), { saved: 'failed' }],
    ] as const;
    for (const [action, change] of steps) expect(uiReducer(start, action)).to.deep.equal({ ...start, ...change });
  });
});
