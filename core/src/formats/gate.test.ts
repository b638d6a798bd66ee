import { expect } from 'chai';
import fc from 'fast-check';
import equal from 'fast-deep-equal';
import { demos } from '../../test/attacks.ts';
import { harm, harmed } from '../../test/mutated.ts';
import { runs } from '../../test/runs.ts';
import { newBuild, type Build } from '../build/build.ts';
import { MOST_ENTRIES, type LogEntry } from '../build/log.ts';
import { mergeBuilds } from '../build/merge.ts';
import { faultsOf, faultsOfChange, readBuild } from './buildFile.ts';
import { admitted, readable } from './gate.ts';
import { mendBuild } from './mend.ts';
import { counted } from '../../test/counted.ts';

const NOW = '2026-06-01T12:00:00.000Z';
const note = (n: number, text = 'n'): LogEntry => ({
  kind: 'note',
  id: `note-${n}`,
  at: '2026-03-01T10:00',
  by: '',
  note: text,
});
const noted = (build: Build, entries: LogEntry[]): Build => ({ ...build, log: { ...build.log, entries } });
const fresh = newBuild('a', 'A', NOW);

/** A document with everything that is equal to what was before being the very same, as an edit leaves it. */
function sharing(before: unknown, after: unknown): unknown {
  if (equal(before, after)) return before;
  if (Array.isArray(after)) return after.map((v, i) => sharing((before as unknown[] | undefined)?.[i], v));
  if (typeof after !== 'object' || after === null) return after;
  return Object.fromEntries(
    Object.entries(after).map(([k, v]) => [k, sharing((before as Record<string, unknown> | null | undefined)?.[k], v)]),
  );
}

describe('the gate before every writing', () => {
  it('lets through what can be read, as it is', () => {
    const edited = { ...fresh, name: 'Another ' };
    expect(admitted(fresh, edited)).to.deep.equal({ build: edited, refused: [] });
    expect(admitted(fresh, edited).build).to.equal(edited);
  });

  it('whatever was done to a build, what comes out is readable, and what was refused is told with its place', () => {
    const met = counted();
    fc.assert(
      fc.property(fc.constantFrom(...demos), fc.array(harm, { minLength: 1, maxLength: 3 }), (build, changes) => {
        const sound = readBuild(build);
        if (!sound.ok) throw new Error('the demo');
        const after = sharing(sound.value, harmed(sound.value, changes)) as Build;
        const faulty = faultsOf(after).length > 0;
        expect(faultsOfChange([sound.value], after).length > 0).to.equal(faulty);
        const { build: kept, refused } = admitted(sound.value, after);
        expect(readBuild(kept).ok).to.equal(true);
        expect(refused.length > 0).to.equal(faulty);
        expect(refused.every((r) => r.message !== '')).to.equal(true);
        if (!faulty && met()) expect(kept).to.equal(after);
      }),
      { numRuns: runs(150, 8000) },
    );
    met.enough();
  });

  it('puts back the value that is wrong, and nothing beside it', () => {
    const rider = { ...(fresh.brief.riders[0] as Build['brief']['riders'][number]), massKg: 4000, name: 'Ada' };
    const { build, refused } = admitted(fresh, { ...fresh, brief: { ...fresh.brief, riders: [rider] } });
    expect(build.brief.riders[0]).to.deep.equal({ ...rider, massKg: fresh.brief.riders[0]?.massKg });
    expect(refused).to.deep.equal([
      { path: ['brief', 'riders', 0, 'massKg'], message: 'must be at most 250', value: 4000 },
    ]);
  });

  it('a new row with anything wrong in it is refused whole, by its name; its neighbours stay', () => {
    const bad = { ...note(2), at: 'yesterday' } as LogEntry;
    const { build, refused } = admitted(fresh, noted(fresh, [note(1), bad, note(3)]));
    expect(build.log.entries.map((e) => e.id)).to.deep.equal(['note-1', 'note-3']);
    expect(refused).to.deep.equal([
      { path: ['log', 'entries', { key: 'note-2' }], message: 'must be a local time', value: bad },
    ]);
  });

  it('a row that was there keeps what it had, wherever it stands now', () => {
    const before = noted(fresh, [note(1), note(2, 'as it was'), note(3)]);
    const bad = { ...note(2, 'x'.repeat(1001)), by: 'Ada' };
    const { build, refused } = admitted(before, noted(before, [bad, note(3)]));
    expect(build.log.entries).to.deep.equal([{ ...bad, note: 'as it was' }, note(3)]);
    expect(refused.map((r) => r.path)).to.deep.equal([['log', 'entries', { key: 'note-2' }, 'note']]);
  });

  it('rows at their limits from both sides are merged to what can be read, and each entry left out is told', () => {
    const rows = Array.from({ length: MOST_ENTRIES - 2 }, (_, i) => note(i));
    const base = noted(fresh, rows);
    const mine = noted(base, [...rows, note(10_001), note(10_002)]);
    const theirs = noted(base, [...rows, note(20_001), note(20_002)]);
    const { build } = mergeBuilds(base, mine, theirs);
    expect(build.log.entries).to.have.length(MOST_ENTRIES + 2);
    const kept = admitted(theirs, build, [mine]);
    expect(readBuild(kept.build).ok).to.equal(true);
    expect(kept.build.log.entries).to.have.length(MOST_ENTRIES);
    expect(kept.refused.map((r) => r.value)).to.deep.equal([note(10_001), note(10_002)]);
  });

  it('the same of every row that has a limit, whichever the build', () => {
    const long = (n: number, of: (i: number) => unknown): unknown[] => Array.from({ length: n }, (_, i) => of(i));
    const day = (i: number): string => new Date(Date.UTC(2026, 0, 1 + i)).toISOString().slice(0, 10);
    const rows: [(b: Build, row: unknown[]) => Build, number, (i: number) => unknown][] = [
      [(b, away) => ({ ...b, bench: { ...b.bench, away } }) as Build, 400, day],
      [
        (b, weekly) => ({ ...b, bench: { ...b.bench, weekly } }) as Build,
        42,
        (i) => ({ day: i % 7, from: '08:00', to: `09:${String(i % 60).padStart(2, '0')}` }),
      ],
      [
        (b, overrides) => ({ ...b, overrides }) as Build,
        200,
        (i) => ({ rule: `r${i}`, subject: 'plan', reason: 'a reason of words', on: '2026-01-01' }),
      ],
      [(b, changes) => ({ ...b, weights: { ...b.weights, changes } }) as Build, 60, (i) => ({ label: `x${i}`, kg: 1 })],
      [(b, mappings) => ({ ...b, log: { ...b.log, mappings } }) as Build, 20, (i) => ({ heads: `h${i}`, columns: [] })],
    ];
    for (const [put, most, of] of rows) {
      const all = long(most + 4, of);
      const base = put(fresh, all.slice(0, most - 2));
      const mine = put(base, all.slice(0, most));
      const theirs = put(base, [...all.slice(0, most - 2), ...all.slice(most, most + 2)]);
      const kept = admitted(theirs, mergeBuilds(base, mine, theirs).build, [mine]);
      expect(readable(kept.build)).to.equal(null);
      expect(kept.refused).to.have.length(2);
    }
  });

  it('what is no build at all leaves the build as it was', () => {
    for (const nothing of [null, 7, [], 'x', {}, { brief: 1 }]) {
      const { build, refused } = admitted(fresh, nothing as unknown as Build);
      expect(readBuild(build).ok).to.equal(true);
      expect(refused).not.to.have.length(0);
    }
  });
});

describe('what makes a check fall', () => {
  const told = (cov: unknown): unknown => ({
    ...fresh,
    tuned: {
      ...fresh.tuned,
      rides: { at: [0, 0, 0, 0], cov, count: 1, last: '2026-01-01T10:00', packId: null },
    },
  });
  it('is a problem of the build, and mended: never thrown', () => {
    const row = [0, 0, 0, 0];
    for (const cov of [[row, row, row], [row, row, row, [0]], [row, row, row, 7], [], 'x', null, [[], [], [], []]]) {
      const read = readBuild(told(cov));
      expect(read.ok, JSON.stringify(cov)).to.equal(false);
      if (!read.ok) expect(read.problems[0]?.path).to.match(/^tuned\.rides/);
      expect(readBuild(mendBuild(told(cov), 'a', NOW).build).ok).to.equal(true);
    }
    expect(readBuild(told([row, row, row, row])).ok).to.equal(true);
  });

  it('a getter that throws, and nesting past a reader’s stack, are told of too', () => {
    const trap = Object.defineProperty({ ...fresh }, 'donor', {
      enumerable: true,
      get: () => {
        throw new Error('trap');
      },
    });
    let deep: unknown = 'x';
    for (let i = 0; i < 50_000; i++) deep = [deep];
    for (const bad of [trap, { ...fresh, built: { otherwise: [{ changes: [{ was: deep }] }] } }]) {
      const read = readBuild(bad);
      expect(read.ok).to.equal(false);
      expect(readBuild(mendBuild(bad, 'a', NOW).build).ok).to.equal(true);
    }
  });

  it('mending a row that is too long keeps as much of it as there is room for', () => {
    const mended = mendBuild(
      noted(
        fresh,
        Array.from({ length: MOST_ENTRIES + 3 }, (_, i) => note(i)),
      ),
      'a',
      NOW,
    );
    expect(mended.build.log.entries).to.have.length(MOST_ENTRIES);
    expect(mended.lost).to.deep.equal([{ path: 'log.entries', message: 'must be at most 6000 entries' }]);
  });
});
