import { expect } from 'chai';
import fc from 'fast-check';
import { newBuild, type Build } from './build.ts';
import { mergeBuilds, withValueAt, type MergeStep } from './merge.ts';

const base: Build = {
  ...newBuild('b', 'Barrow', '2026-01-01T00:00:00.000Z'),
  fixes: [{ rule: 'axle-slot', subject: 'otter', remedy: 'file', on: '2026-01-01' }],
};
const rider = base.brief.riders[0] as Build['brief']['riders'][number];
const measured = (value: number, typed: string) => ({
  value,
  typed,
  unit: 'mm',
  provenance: 'measured' as const,
  note: '',
});
const brief = (build: Build, change: Partial<Build['brief']>): Build => ({
  ...build,
  brief: { ...build.brief, ...change },
});
const survey = (build: Build, change: Partial<Build['donor']['survey']>): Build => ({
  ...build,
  donor: { ...build.donor, survey: { ...build.donor.survey, ...change } },
});
const fix = (rule: string): Build['fixes'][number] => ({ rule, subject: 'otter', remedy: 'plain', on: '2026-02-02' });
/** As the store gives it back: equal, but nothing of it the same object. */
const kept = (build: Build): Build => JSON.parse(JSON.stringify(build)) as Build;

describe('two versions of one build', () => {
  it('take each other’s edits of different fields, in one section too', () => {
    const mine = brief(base, { cargoKg: 9 });
    const theirs = kept(brief(survey(base, { wheelbase: measured(1.05, '1050') }), { cruiseMs: 7 }));
    const { build, clashes } = mergeBuilds(base, mine, theirs);
    expect(clashes).to.deep.equal([]);
    expect([build.brief.cargoKg, build.brief.cruiseMs, build.donor.survey.wheelbase?.typed]).to.deep.equal([
      9,
      7,
      '1050',
    ]);
  });

  it('tell a field changed on both sides, and keep mine', () => {
    const { build, clashes } = mergeBuilds(base, brief(base, { cargoKg: 9 }), kept(brief(base, { cargoKg: 7 })));
    expect(build.brief.cargoKg).to.equal(9);
    expect(clashes).to.deep.equal([{ path: ['brief', 'cargoKg'], mine: 9, theirs: 7 }]);
  });

  it('changed alike on both sides is no clash', () => {
    const { build, clashes } = mergeBuilds(base, brief(base, { cargoKg: 9 }), kept(brief(base, { cargoKg: 9 })));
    expect([build.brief.cargoKg, clashes.length]).to.deep.equal([9, 0]);
  });

  it('never mix the halves of one measurement', () => {
    const mine = survey(base, { wheelbase: measured(1.05, '1050') });
    const theirs = kept(survey(base, { wheelbase: { ...measured(1.06, '106'), unit: 'cm' } }));
    const { build, clashes } = mergeBuilds(base, mine, theirs);
    expect(build.donor.survey.wheelbase).to.deep.equal(measured(1.05, '1050'));
    expect(clashes.map((c) => c.path)).to.deep.equal([['donor', 'survey', 'wheelbase']]);
  });

  it('taken away on one side and worked on at the other: the work stays, and the clash is told', () => {
    const with5 = survey(base, { wheelbase: measured(1.05, '1050') });
    const without = { ...with5, donor: { ...with5.donor, survey: {} } };
    const worked = survey(with5, { wheelbase: measured(1.07, '1070') });
    for (const [mine, theirs] of [
      [without, worked],
      [worked, without],
    ] as const) {
      const { build, clashes } = mergeBuilds(with5, mine, kept(theirs));
      expect(build.donor.survey.wheelbase?.typed).to.equal('1070');
      expect(clashes.length).to.equal(1);
    }
    expect(mergeBuilds(with5, without, kept(with5)).build.donor.survey).to.deep.equal({});
    expect(mergeBuilds(with5, with5, kept(without)).build.donor.survey).to.deep.equal({});
  });

  it('rows of named entries: additions of both, one’s removal, one’s change', () => {
    const mine = { ...base, fixes: [...base.fixes, fix('pack-place')] };
    const theirs = kept({ ...base, fixes: [fix('motor-room')] });
    const { build, clashes } = mergeBuilds(base, mine, theirs);
    expect(build.fixes.map((f) => f.rule)).to.deep.equal(['motor-room', 'pack-place']);
    expect(clashes).to.deep.equal([]);
    const changed = { ...base, fixes: base.fixes.map((f) => ({ ...f, remedy: 'ramp' })) };
    const other = kept({ ...base, fixes: base.fixes.map((f) => ({ ...f, remedy: 'slot' })) });
    expect(mergeBuilds(base, changed, other).clashes).to.deep.equal([
      { path: ['fixes', { key: 'axle-slot otter' }, 'remedy'], mine: 'ramp', theirs: 'slot' },
    ]);
  });

  it('rows without names: place by place, additions of both, the same addition once', () => {
    const second = { ...rider, name: 'Second' };
    const mine = brief(base, { riders: [{ ...rider, massKg: 80 }, second] });
    const theirs = kept(brief(base, { riders: [{ ...rider, statureM: 1.9 }, { ...rider, name: 'Third' }, second] }));
    const { build, clashes } = mergeBuilds(base, mine, theirs);
    expect(build.brief.riders.map((r) => [r.name, r.massKg, r.statureM])).to.deep.equal([
      [rider.name, 80, 1.9],
      ['Third', rider.massKg, rider.statureM],
      ['Second', rider.massKg, rider.statureM],
    ]);
    expect(clashes).to.deep.equal([]);
  });

  it('a row shortened on one side and changed on the other clashes whole', () => {
    const two = brief(base, { riders: [rider, { ...rider, name: 'Second' }] });
    const mine = brief(two, { riders: [{ ...rider, massKg: 80 }, two.brief.riders[1] as typeof rider] });
    const theirs = kept(brief(two, { riders: [rider] }));
    const { build, clashes } = mergeBuilds(two, mine, theirs);
    expect(build.brief.riders.length).to.equal(2);
    expect(clashes.map((c) => c.path)).to.deep.equal([['brief', 'riders']]);
  });

  it('a road, an inside drawn, a spot of the pack are one thing each', () => {
    const spot = (alongM: number) => ({ alongM, turned: false, fixing: 'clamps' as const });
    const mine = { ...base, choice: { ...base.choice, packSpot: spot(0.1) } };
    const theirs = kept({ ...base, choice: { ...base.choice, packSpot: { ...spot(0), turned: true } } });
    expect(mergeBuilds(base, mine, theirs).build.choice.packSpot).to.deep.equal(spot(0.1));
    expect(mergeBuilds(base, mine, theirs).clashes.map((c) => c.path)).to.deep.equal([['choice', 'packSpot']]);
  });

  it('stamps are the other’s, whatever mine say', () => {
    const theirs = kept({ ...base, revision: 8, updatedAt: '2026-05-05T00:00:00.000Z' });
    const { build, clashes } = mergeBuilds(base, { ...base, revision: 3, name: 'Mine' }, theirs);
    expect([build.revision, build.updatedAt, build.name, clashes.length]).to.deep.equal([
      8,
      '2026-05-05T00:00:00.000Z',
      'Mine',
      0,
    ]);
  });

  it('what did not change stays the very same object', () => {
    const mine = brief(base, { cargoKg: 9 });
    const { build } = mergeBuilds(base, mine, kept(survey(base, { wheelbase: measured(1.05, '1050') })));
    expect(build.brief).to.equal(mine.brief);
    expect(build.choice).to.equal(mine.choice);
  });

  // Edits of single places, as fields make them.
  const places: readonly [MergeStep[], fc.Arbitrary<unknown>][] = [
    [['brief', 'cargoKg'], fc.nat(300)],
    [['brief', 'cruiseMs'], fc.integer({ min: 2, max: 20 })],
    [['brief', 'riders', 0, 'massKg'], fc.integer({ min: 10, max: 250 })],
    [
      ['donor', 'survey', 'wheelbase'],
      fc.option(
        fc.nat(2000).map((n) => measured(n / 1000, String(n))),
        { nil: undefined },
      ),
    ],
    [
      ['donor', 'survey', 'bossDown'],
      fc.option(
        fc.nat(400).map((n) => measured(n / 1000, String(n))),
        { nil: undefined },
      ),
    ],
    [['choice', 'kitId'], fc.constantFrom(null, 'otter-r250', 'wren-m250')],
    [['schools', 'carbon'], fc.constantFrom('refuse', 'midOnly')],
    [['name'], fc.constantFrom('Barrow', 'Alder', 'Hazel')],
  ];
  const edit = fc.nat(places.length - 1).chain((at) => {
    const [path, value] = places[at] as (typeof places)[number];
    return value.map((v) => ({ at, path, v }));
  });
  const edited = (edits: readonly { path: MergeStep[]; v: unknown }[]): Build =>
    edits.reduce((build, { path, v }) => withValueAt(build, path, v), base);

  const at = (build: Build, path: readonly MergeStep[]): unknown =>
    path.reduce<unknown>((here, step) => (here as Record<string, unknown>)[step as string], kept(build));

  it('hold, place by place, what was changed there, and clash just where both changed it differently', () => {
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 5 }), fc.array(edit, { maxLength: 5 }), (a, b) => {
        const mine = edited(a);
        const theirs = edited(b);
        const { build, clashes } = mergeBuilds(base, mine, kept(theirs));
        for (const [path] of places) {
          const [was, my, their, now] = [base, mine, theirs, build].map((x) => JSON.stringify(at(x, path)));
          const clashing = my !== was && their !== was && my !== their;
          expect(now).to.equal(my === was || (my === undefined && clashing) ? their : my);
          expect(clashes.filter((c) => JSON.stringify(c.path) === JSON.stringify(path)).length).to.equal(
            clashing ? 1 : 0,
          );
        }
      }),
    );
  });

  it('with nothing changed on one side are the other', () => {
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 5 }), (a) => {
        const mine = edited(a);
        expect(mergeBuilds(base, mine, kept(base)).build).to.equal(mine);
        expect(kept(mergeBuilds(base, base, kept(mine)).build)).to.deep.equal(kept(mine));
      }),
    );
  });
});

describe('a value put in its place', () => {
  it('goes into fields, rows and named entries, and is taken away where it is undefined', () => {
    expect(withValueAt(base, ['brief', 'cargoKg'], 12).brief.cargoKg).to.equal(12);
    expect(withValueAt(base, ['brief', 'riders', 0, 'massKg'], 61).brief.riders[0]?.massKg).to.equal(61);
    expect(withValueAt(base, ['fixes', { key: 'axle-slot otter' }, 'remedy'], 'ramp').fixes[0]?.remedy).to.equal(
      'ramp',
    );
    expect(withValueAt(base, ['fixes', { key: 'axle-slot otter' }], undefined).fixes).to.deep.equal([]);
    expect(withValueAt(base, ['fixes', { key: 'pack-place otter' }], fix('pack-place')).fixes.length).to.equal(2);
    const sized = survey(base, { wheelbase: measured(1.05, '1050') });
    expect(withValueAt(sized, ['donor', 'survey', 'wheelbase'], undefined).donor.survey).to.deep.equal({});
  });

  it('changes nothing where the steps lead nowhere', () => {
    expect(withValueAt(base, ['fixes', { key: 'none' }, 'remedy'], 'ramp')).to.deep.equal(base);
    expect(withValueAt(base, ['name', 'first'], 'ramp')).to.deep.equal(base);
    expect(withValueAt(base, ['brief', { key: 'x' }], 1)).to.deep.equal(base);
  });

  it('lines of the log from both sides stay, and what rides told of either is no quarrel', () => {
    const ridden = (count: number): Build['tuned']['rides'] => ({
      at: [count / 100, 0, 0, 0],
      cov: [0, 1, 2, 3].map((i) => [0, 1, 2, 3].map((j) => (i === j ? 0.01 : 0))),
      count,
      last: '2026-05-01T08:00',
      packId: null,
    });
    const base = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    const side = (id: string, count: number): Build => ({
      ...base,
      log: { ...base.log, entries: [{ kind: 'note', id, at: '2026-05-01T08:00', by: '', note: id }] },
      tuned: { ...base.tuned, rides: ridden(count) },
    });
    const { build, clashes } = mergeBuilds(base, side('mine', 3), side('theirs', 4));
    expect(build.log.entries.map((e) => e.id)).to.have.members(['mine', 'theirs']);
    expect(clashes).to.deep.equal([]);
    expect(build.tuned.rides?.count).to.equal(3);
  });
});
