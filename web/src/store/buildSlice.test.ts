import { expect } from 'chai';
import {
  otherwiseSchema,
  newBuild,
  usualRider,
  type Build,
  type LegalClass,
  type Arrival,
  usualLine,
  usualTrailer,
} from '@sprocket/core';
import { buildActions, buildReducer, fieldOf } from './buildSlice.ts';
import { redo, store, undo } from './store.ts';

type Action = Parameters<typeof buildReducer>[1];
const start = (): Build => newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
/** The build after some edits. */
function after(...actions: Action[]): Build {
  const state = actions.reduce((s, a) => buildReducer(s, a), buildReducer(undefined, buildActions.opened(start())));
  if (!state.build) throw new Error('no build');
  return state.build;
}
const edit = <T>(value: T, field = 'f') => ({ field, value });

describe('edits of the brief', () => {
  it('change what they name and nothing else', () => {
    const b = after(buildActions.briefEdited(edit({ cargoKg: 12, panniers: true })));
    expect(b.brief).to.deep.equal({ ...start().brief, cargoKg: 12, panniers: true });
    expect(b.donor).to.deep.equal(start().donor);
  });

  it('seats people: who steers gives the saddle up, nobody sits twice, and somebody always steers', () => {
    const add = (name: string) => buildActions.riderAdded(edit({ ...usualRider(), name }));
    const sit = (rider: number, seat: 'main' | 'second' | 'box' | null, pedals = true) =>
      buildActions.riderSeated(edit({ rider, seat, pedals }));
    const aboard = (...actions: Parameters<typeof after>) =>
      after(...actions).brief.aboard.map((a) => [a.rider, a.seat]);
    const three = [add('B'), add('C')];
    expect(aboard(...three)).to.deep.equal([[0, 'main']]);
    expect(aboard(...three, sit(1, 'second'))).to.deep.equal([
      [0, 'main'],
      [1, 'second'],
    ]);
    // Who takes the saddle gives the other its old seat; who comes from the kerb sends them off.
    expect(aboard(...three, sit(1, 'second'), sit(1, 'main'))).to.deep.equal([
      [1, 'main'],
      [0, 'second'],
    ]);
    expect(aboard(...three, sit(2, 'main'))).to.deep.equal([[2, 'main']]);
    // Nobody else is put off: a seat too full for them is a finding.
    expect(aboard(...three, sit(1, 'box'), sit(2, 'box'))).to.deep.equal([
      [0, 'main'],
      [1, 'box'],
      [2, 'box'],
    ]);
    const five = [add('B'), add('C'), add('D'), add('E')];
    expect(aboard(...five, ...[1, 2, 3, 4].map((r) => sit(r, 'box'))).length).to.equal(5);
    expect(aboard(...three, sit(1, 'second'), sit(1, null))).to.deep.equal([[0, 'main']]);
    // Whoever steers gets off the list: the next moves to the saddle, and the others keep who they are.
    expect(aboard(...three, sit(2, 'second'), buildActions.riderRemoved(edit(0)))).to.deep.equal([[1, 'main']]);
    // No child out of the box while somebody else could steer; and where all sit, the heaviest.
    const child = (index: number) => buildActions.riderEdited(edit({ index, change: { massKg: 16 } }));
    expect(aboard(...three, child(1), sit(1, 'box'), buildActions.riderRemoved(edit(0)))).to.deep.equal([
      [1, 'main'],
      [0, 'box'],
    ]);
    expect(aboard(...three, child(1), sit(1, 'box'), sit(2, 'box'), buildActions.riderRemoved(edit(0)))).to.deep.equal([
      [1, 'main'],
      [0, 'box'],
    ]);
    expect(aboard(...three, sit(2, 'second'), buildActions.riderRemoved(edit(1)))).to.deep.equal([
      [0, 'main'],
      [1, 'second'],
    ]);
    expect(after(...three, sit(1, 'second', false)).brief.aboard[1]?.pedals).to.equal(false);
    expect(aboard(sit(0, null))).to.deep.equal([[0, 'main']]);
  });

  it('a trailer is edited only where there is one', () => {
    const change = buildActions.trailerEdited(edit({ loadKg: 12 }));
    expect(after(change)).to.deep.equal(start());
    const towing = buildActions.briefEdited(edit({ trailer: usualTrailer() }));
    expect(after(towing, change).brief.trailer).to.deep.equal({ ...usualTrailer(), loadKg: 12 });
  });

  it('what was measured on arrival is kept by part, and an emptied field goes', () => {
    const measured = (change: Arrival) => buildActions.arrivalMeasured(edit({ part: 'otter-r250', change }));
    expect(after(measured({ loomM: 1.4 }), measured({ plugM: 0.008 })).arrivals).to.deep.equal({
      'otter-r250': { loomM: 1.4, plugM: 0.008 },
    });
    expect(after(measured({ loomM: 1.4 }), measured({ loomM: undefined })).arrivals).to.deep.equal({});
  });

  it('riders come, change, go, and one always remains and rides', () => {
    const second = { ...usualRider(), name: 'B', massKg: 60 };
    const two = [buildActions.riderAdded(edit(second))];
    expect(after(...two).brief.riders.length).to.equal(2);
    expect(
      after(...two, buildActions.riderEdited(edit({ index: 1, change: { massKg: 61 } }))).brief.riders[1]?.massKg,
    ).to.equal(61);
    expect(after(...two, buildActions.riderRemoved(edit(0))).brief.riders.map((r) => r.name)).to.deep.equal(['B']);
    expect(after(...two, buildActions.riderRemoved(edit(1))).brief.aboard).to.deep.equal([
      { rider: 0, seat: 'main', pedals: true },
    ]);
    expect(after(buildActions.riderRemoved(edit(0))).brief.riders.length).to.equal(1);
    expect(after(buildActions.riderEdited(edit({ index: 7, change: { massKg: 1 } })))).to.deep.equal(start());
  });

  it('a road is taken, edited, and edits without one change nothing', () => {
    const route = {
      id: 'r',
      name: 'R',
      source: 'described' as const,
      points: [],
      surface: 'asphalt' as const,
      stopsPerKm: 0,
      rawClimbM: 0,
      notes: [],
      stretches: [],
      reversed: false,
    };
    expect(
      after(buildActions.routeChosen(edit(route)), buildActions.routeEdited(edit({ reversed: true }))).brief.route,
    ).to.deep.equal({ ...route, reversed: true });
    expect(after(buildActions.routeEdited(edit({ reversed: true })))).to.deep.equal(start());
    expect(after(buildActions.routeChosen(edit(route)), buildActions.routeChosen(edit(null))).brief.route).to.equal(
      null,
    );
  });
});

describe('edits of the donor', () => {
  const entry = { value: 0.135, typed: '135 mm', unit: 'mm', provenance: 'measured' as const, note: '' };
  it('a survey item is measured and taken away again', () => {
    const measured = buildActions.surveyed(edit({ id: 'rearDropoutSpacing', entry }));
    expect(after(measured).donor.survey).to.deep.equal({ rearDropoutSpacing: entry });
    expect(
      after(measured, buildActions.surveyed(edit({ id: 'rearDropoutSpacing', entry: null }))).donor.survey,
    ).to.deep.equal({});
  });

  it('a condition is marked, added to, and unmarked', () => {
    const rust = buildActions.conditionMarked(edit({ item: 'rust', entry: { grade: 'needsWork' } }));
    const noted = buildActions.conditionMarked(edit({ item: 'rust', entry: { note: 'under the shell', cost: 20 } }));
    expect(after(rust, noted).donor.condition.rust).to.deep.equal({
      grade: 'needsWork',
      note: 'under the shell',
      cost: 20,
    });
    expect(after(noted).donor.condition.rust?.grade).to.equal('sound');
    expect(
      after(rust, buildActions.conditionMarked(edit({ item: 'rust', entry: null }))).donor.condition,
    ).to.deep.equal({});
  });

  it('kind, words, worth, weights, frame and what stands in it', () => {
    const b = after(
      buildActions.kindChosen(edit('mixte')),
      buildActions.described(edit('grey')),
      buildActions.worthEdited(edit({ liking: 'loved' })),
      buildActions.weighed(edit({ changes: [{ label: 'wheel', kg: -2 }] })),
      buildActions.obstructionsNoted(edit([])),
      buildActions.assumed(edit({ rearDropoutSpacing: entry })),
      buildActions.renamed(edit({ name: 'B', variant: 'C' })),
    );
    expect([
      b.donor.kind,
      b.donor.description,
      b.donor.worth.liking,
      b.weights.changes.length,
      b.name,
      b.variant,
    ]).to.deep.equal(['mixte', 'grey', 'loved', 1, 'B', 'C']);
    expect(b.donor.survey.rearDropoutSpacing).to.deep.equal(entry);
  });

  it('what was assumed is taken back, what was measured stays', () => {
    const guess = { ...entry, provenance: 'assumed' as const };
    const b = after(
      buildActions.surveyed(edit({ id: 'rearDropoutSpacing', entry })),
      buildActions.assumed(edit({ frontDropoutSpacing: guess, wheelbase: guess })),
      buildActions.assumptionsDropped(edit(undefined)),
    );
    expect(b.donor.survey).to.deep.equal({ rearDropoutSpacing: entry });
  });
});

describe('what the builder decided', () => {
  const override = { rule: 'r', subject: 's', reason: 'long enough a reason', on: '2026-01-02' };
  it('an override replaces the one of the same finding alone, and closes', () => {
    const other = { ...override, subject: 't' };
    const b = after(
      buildActions.overridden(edit(override)),
      buildActions.overridden(edit(other)),
      buildActions.overridden(edit({ ...override, reason: 'another reason' })),
    );
    expect(b.overrides.map((o) => [o.subject, o.reason])).to.deep.equal([
      ['t', 'long enough a reason'],
      ['s', 'another reason'],
    ]);
    expect(
      after(
        buildActions.overridden(edit(override)),
        buildActions.overridden(edit(other)),
        buildActions.overrideClosed(edit({ rule: 'r', subject: 's' })),
      ).overrides,
    ).to.deep.equal([other]);
  });

  it('one remedy of a finding is taken at a time, and left again', () => {
    const fix = { rule: 'r', subject: 's', remedy: 'a', on: '2026-01-02' };
    const other = { ...fix, rule: 'q' };
    const b = after(
      buildActions.remedyTaken(edit(fix)),
      buildActions.remedyTaken(edit(other)),
      buildActions.remedyTaken(edit({ ...fix, remedy: 'b' })),
    );
    expect(b.fixes).to.deep.equal([other, { ...fix, remedy: 'b' }]);
    expect(
      after(
        buildActions.remedyTaken(edit(fix)),
        buildActions.remedyTaken(edit(other)),
        buildActions.remedyLeft(edit({ rule: 'r', subject: 's' })),
      ).fixes,
    ).to.deep.equal([other]);
  });

  it('lines of the bill are edited and cleared, alone and together', () => {
    const ordered = { state: 'ordered' as const, orderedOn: '2026-01-02', name: 'P' };
    const once = buildActions.lineEdited(edit({ key: 'p', change: ordered }));
    expect(after(once).bill.lines).to.deep.equal({ p: { ...usualLine, ...ordered } });
    expect(
      after(once, buildActions.linesEdited(edit([{ key: 'p', change: { state: 'arrived' } }]))).bill.lines.p,
    ).to.deep.include({ state: 'arrived', orderedOn: '2026-01-02' });
    expect(after(once, buildActions.lineCleared(edit('p'))).bill.lines).to.deep.equal({});
    expect(after(buildActions.billEdited(edit({ currency: 'GBP' }))).bill.currency).to.equal('GBP');
  });

  it('the bench: times are put, a step is done by somebody and not done after all', () => {
    const weekly = [{ day: 2, from: '18:00', to: '20:00' }];
    const put = buildActions.benchEdited(edit({ weekly, hands: 2 as const }));
    const step = { id: 'wheel-out', place: 'rear wheel' as const, part: null, undoes: null, told: 8 };
    const done = buildActions.stepMarked(edit({ step, as: { at: '2026-03-01T10:00', by: 'Ada', minutes: 9 } }));
    expect(after(put, done).bench).to.deep.include({ weekly, hands: 2, practised: false });
    expect(after(put, done).bench.done['wheel-out']).to.deep.include({
      at: '2026-03-01T10:00',
      by: 'Ada',
      minutes: 9,
      place: 'rear wheel',
      part: null,
      told: 8,
    });
    expect(after(done, buildActions.stepMarked(edit({ step, as: null }))).bench.done).to.deep.equal({});
    expect(after(buildActions.builtEdited(edit({ builder: 'Ada' }))).built.builder).to.equal('Ada');
  });

  it('a step done fits what lies here of it; not done after all, it is checked again; what is not here stays as it is', () => {
    const step = { id: 'wheel-in', place: 'rear wheel' as const, part: 'k', undoes: null, told: 8 };
    const line = buildActions.lineEdited(edit({ key: 'k', change: { state: 'arrived' as const, name: 'K' } }));
    const lines = [
      { key: 'k', state: 'fitted' as const },
      { key: 'nobody', state: 'fitted' as const },
    ];
    const done = buildActions.stepMarked(edit({ step, as: { at: '2026-03-01T10:00' }, lines }));
    expect(after(line, done).bill.lines.k?.state).to.equal('fitted');
    expect(Object.keys(after(line, done).bill.lines)).to.deep.equal(['k']);
    const back = buildActions.stepMarked(edit({ step, as: null, lines: [{ key: 'k', state: 'checked' as const }] }));
    expect(after(line, done, back).bill.lines.k?.state).to.equal('checked');
  });

  it('built otherwise, the build is as it was built; taken back, as it was planned, unless changed since', () => {
    const told = (is: number) =>
      otherwiseSchema.parse({
        id: 'o1',
        step: 'arms-ready',
        at: '2026-03-01T10:00',
        reason: 'only two came',
        changes: [{ path: 'choice.torqueArms', was: 1, is }],
      });
    const built = buildActions.builtOtherwise(edit(told(2)));
    expect(after(built).choice.torqueArms).to.equal(2);
    expect(after(built).built.otherwise).to.deep.equal([told(2)]);
    const back = buildActions.otherwiseTakenBack(edit('o1'));
    expect(after(built, back).choice.torqueArms).to.equal(1);
    expect(after(built, back).built.otherwise).to.deep.equal([]);
    const since = buildActions.chose(edit({ torqueArms: 0 }));
    expect(after(built, since, back).choice.torqueArms).to.equal(0);
    expect(after(built, since, back).built.otherwise).to.deep.equal([]);
    expect(after(buildActions.otherwiseTakenBack(edit('nobody'))).built.otherwise).to.deep.equal([]);
  });

  it('a step left out and then not left out after all: what that changed stands as planned again, both ways back', () => {
    const step = { id: 'arms-ready', place: 'rear axle' as const, part: 'k', undoes: null, told: 10 };
    const told = otherwiseSchema.parse({
      id: 'o2',
      step: step.id,
      at: '2026-03-01T10:00',
      reason: 'no arms came',
      changes: [{ path: 'choice.torqueArms', was: 1, is: 0 }],
      leftOut: true,
    });
    const left = [
      buildActions.builtOtherwise(edit(told)),
      buildActions.stepMarked(edit({ step, as: { at: '2026-03-01T10:00', leftOut: true } })),
    ];
    expect(after(...left).choice.torqueArms).to.equal(0);
    for (const back of [
      buildActions.otherwiseTakenBack(edit('o2')),
      buildActions.stepMarked(edit({ step, as: null })),
    ]) {
      const build = after(...left, back);
      expect(build.choice.torqueArms).to.equal(1);
      expect(build.bench.done).to.deep.equal({});
      expect(build.built.otherwise).to.deep.equal([]);
    }
  });

  it('suppliers go with what they ask; offers take the place of the same ones’ for the same part', () => {
    const quay = { id: 'quay', name: 'Quay', shipping: 5, freeFrom: null, lithium: true, islands: null };
    const offer = {
      supplier: 'quay',
      part: 'grease',
      price: 5,
      stock: null,
      leadDays: { low: 1, likely: 2, high: 3 },
      returnDays: 14,
    };
    const brought = buildActions.offersBrought(edit({ suppliers: [quay], offers: [offer] }));
    const again = buildActions.offersBrought(
      edit({ suppliers: [{ ...quay, shipping: 6 }], offers: [{ ...offer, price: 4 }] }),
    );
    const { bill } = after(brought, again);
    expect(bill.suppliers).to.deep.equal([{ ...quay, shipping: 6 }]);
    expect(bill.offers.map((o) => o.price)).to.deep.equal([4]);
    expect(after(brought, buildActions.supplierKept(edit({ ...quay, name: 'Q' }))).bill.suppliers[0]?.name).to.equal(
      'Q',
    );
    expect(after(brought, buildActions.supplierDropped(edit('quay'))).bill).to.deep.include({
      suppliers: [],
      offers: [],
    });
  });

  it('laws kept by id and dropped; schools chosen', () => {
    const law = { id: 'x', name: 'X' } as LegalClass;
    expect(
      after(buildActions.lawKept(edit(law)), buildActions.lawKept(edit({ ...law, name: 'Y' }))).ownLaws.map(
        (l) => l.name,
      ),
    ).to.deep.equal(['Y']);
    expect(after(buildActions.lawKept(edit(law)), buildActions.lawDropped(edit('x'))).ownLaws).to.deep.equal([]);
    expect(after(buildActions.schoolChosen(edit({ carbon: 'midOnly' }))).schools).to.deep.equal({
      ...start().schools,
      carbon: 'midOnly',
    });
    expect(after(buildActions.chose(edit({ kitId: 'k' }))).choice).to.deep.equal({ ...start().choice, kitId: 'k' });
  });

  it('another choice is taken with what is kept beside it in one edit; what is kept is noted on and dropped', () => {
    const choice = { ...start().choice, kitId: 'k', packId: 'p' };
    const kept = { id: 'a', note: 'Lightest', proposed: true, choice: { ...choice, kitId: 'l' } };
    const taken = buildActions.choiceTaken(edit({ choice, keptChoices: [kept] }));
    expect(after(taken).choice.kitId).to.equal('k');
    expect(after(taken).keptChoices).to.deep.equal([kept]);
    const more = buildActions.choiceKept(edit({ ...kept, id: 'b' }));
    expect(after(taken, more, more).keptChoices.map((k) => k.id)).to.deep.equal(['a', 'b']);
    // What somebody has written on is theirs, and gives way to no proposal.
    const noted = after(taken, more, buildActions.choiceNoted(edit({ id: 'a', note: 'for the hill' })));
    expect(noted.keptChoices.map(({ note, proposed }) => [note, proposed])).to.deep.equal([
      ['for the hill', false],
      ['Lightest', true],
    ]);
    expect(after(taken, more, buildActions.choiceDropped(edit('a'))).keptChoices.map((k) => k.id)).to.deep.equal(['b']);
    expect(after(taken, buildActions.choiceNoted(edit({ id: 'x', note: 'y' }))).keptChoices).to.deep.equal([kept]);
  });

  it('nothing happens where no build is open', () => {
    const none = buildReducer(undefined, buildActions.opened(null));
    for (const action of [
      buildActions.briefEdited(edit({ cargoKg: 1 })),
      buildActions.surveyed(edit({ id: 'valve', entry: null })),
      buildActions.overridden(edit(override)),
      buildActions.remedyTaken(edit({ rule: 'r', subject: 's', remedy: 'a', on: '2026-01-02' })),
      buildActions.chose(edit({ kitId: 'k' })),
      buildActions.kindChosen(edit('fat')),
    ])
      expect(buildReducer(none, action)).to.deep.equal({ build: null });
  });
});

describe('undo', () => {
  const cargo = (): number | undefined => store.getState().build.present.build?.brief.cargoKg;
  const mass = (): number | undefined => store.getState().build.present.build?.brief.riders[0]?.massKg;
  it('goes back a field at a time, redoes, and begins anew with another build', () => {
    store.dispatch(buildActions.opened(start()));
    for (const kg of [6, 7, 8]) store.dispatch(buildActions.briefEdited(edit({ cargoKg: kg }, 'cargo')));
    for (const kg of [80, 81])
      store.dispatch(buildActions.riderEdited(edit({ index: 0, change: { massKg: kg } }, 'mass')));
    expect([cargo(), mass()]).to.deep.equal([8, 81]);
    store.dispatch(undo());
    expect([cargo(), mass()]).to.deep.equal([8, 75]);
    store.dispatch(undo());
    expect([cargo(), mass()]).to.deep.equal([5, 75]);
    store.dispatch(redo());
    store.dispatch(redo());
    expect([cargo(), mass()]).to.deep.equal([8, 81]);
    store.dispatch(buildActions.opened({ ...start(), id: 'b' }));
    expect(store.getState().build.past.length).to.equal(0);
    store.dispatch(undo());
    expect(store.getState().build.present.build?.id).to.equal('b');
  });

  it('edits carry their field; opening has none', () => {
    expect(fieldOf(buildActions.briefEdited(edit({ cargoKg: 1 }, 'cargo')))).to.equal('cargo');
    expect(fieldOf(buildActions.opened(null))).to.equal(null);
    expect(fieldOf({ type: 'x' })).to.equal(null);
  });
});

describe('edits of wiring', () => {
  const wiring = (...edits: Parameters<typeof buildReducer>[1][]) => {
    let state = buildReducer(undefined, buildActions.opened(newBuild('a', 'A', '2026-01-01T00:00:00.000Z')));
    for (const edit of edits) state = buildReducer(state, edit);
    const { build } = state;
    if (!build) throw new Error('no build');
    return build.wiring;
  };
  const field = 'f';

  it('keep what was decided of one lead beside the others', () => {
    const leads = wiring(
      buildActions.leadEdited({ field, value: { lead: 'loom', change: { extension: 'extension-x' } } }),
      buildActions.leadEdited({ field, value: { lead: 'loom', change: { stringM: 1.2 } } }),
      buildActions.leadEdited({ field, value: { lead: 'display', change: { leftOff: true } } }),
    ).leads;
    expect(leads.loom).to.include({ extension: 'extension-x', stringM: 1.2, leftOff: false });
    expect(leads.display).to.include({ leftOff: true, extension: null });
  });

  it('put boxes and take them back, settings and checks alike', () => {
    const put = buildActions.boxPut({ field, value: { box: 'controller', at: { xM: 0.4, yM: 0.5 } } });
    expect(wiring(put).boxes).to.deep.equal({ controller: { xM: 0.4, yM: 0.5 } });
    expect(wiring(put, buildActions.boxPut({ field, value: { box: 'controller', at: null } })).boxes).to.deep.equal({});
    const set = buildActions.settingPut({ field, value: { batteryAmps: 12 } });
    expect(wiring(set).settings).to.deep.equal({ batteryAmps: 12 });
    expect(wiring(set, buildActions.settingPut({ field, value: { batteryAmps: undefined } })).settings).to.deep.equal(
      {},
    );
    const read = buildActions.checkRead({
      field,
      value: { check: 'pack', reading: { volts: 39.5, on: '2026-01-02' } },
    });
    expect(wiring(read).checks).to.deep.equal({ pack: { volts: 39.5, on: '2026-01-02' } });
    expect(
      wiring(read, buildActions.checkRead({ field, value: { check: 'pack', reading: null } })).checks,
    ).to.deep.equal({});
  });

  it('go to the hand, part or order they are of', () => {
    const w = wiring(
      buildActions.leverEdited({ field, value: { side: 'left', change: { restM: 0.001 } } }),
      buildActions.controlChosen({ field, value: { display: 'slate-5' } }),
      buildActions.barOrdered({ field, value: { right: ['lever', 'throttle'] } }),
      buildActions.powerEdited({ field, value: { precharge: 'precharge-22' } }),
      buildActions.sensorsEdited({ field, value: { cadenceGapM: 0.002 } }),
      buildActions.phasesTried({ field, value: [{ phases: 'ABC', halls: 'ABC', saw: 'growls' }] }),
    );
    expect(w.levers.left.restM).to.equal(0.001);
    expect(w.levers.right.restM).to.equal(null);
    expect(w.parts.display).to.equal('slate-5');
    expect(w.bar).to.deep.equal({ left: null, right: ['lever', 'throttle'] });
    expect(w.power.precharge).to.equal('precharge-22');
    expect(w.sensors.cadenceGapM).to.equal(0.002);
    expect(w.phases.length).to.equal(1);
  });
});
