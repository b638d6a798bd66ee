import 'fake-indexeddb/auto';
import { expect } from 'chai';
import { Dexie } from 'dexie';
import fc from 'fast-check';
import { mergeBuilds, newBuild, withValueAt, type Build, type MergeStep } from '@sprocket/core';
import { binBuild, binned, bringBack, readKept, renameKept } from './builds.ts';
import { db } from './db.ts';
import { Keeper, type Saved } from './keeper.ts';

/** Waits in short turns: on a machine that is held up, whatever is due between them gets as many turns. */
const wait = async (ms: number): Promise<void> => {
  for (let left = ms; left > 0; left -= 10) await new Promise((done) => setTimeout(done, Math.min(10, left)));
};
const first: Build = newBuild('a', 'Alder', '2026-01-01T00:00:00.000Z');
const CARGO: MergeStep[] = ['brief', 'cargoKg'];
const CRUISE: MergeStep[] = ['brief', 'cruiseMs'];

/** A window with one build open, as the app's store is to a keeper. */
class Window {
  build: Build | null = null;
  saved: Saved[] = [];
  readonly keeper: Keeper;
  private changed: () => void = () => undefined;

  constructor() {
    this.keeper = new Keeper({
      current: () => this.build,
      subscribe: (changed) => {
        this.changed = changed;
        return () => {
          this.changed = () => undefined;
        };
      },
      merge: (base, theirs) => {
        if (this.build) this.build = mergeBuilds(base, this.build, theirs).build;
        this.changed();
      },
      mark: (saved) => this.saved.push(saved),
    });
  }

  async open(id: string): Promise<void> {
    const kept = await readKept(id);
    if (!kept?.ok) throw new Error(`${id} does not open`);
    this.show(kept.build);
    if (this.saved.length === 0) this.keeper.start();
    await wait(20);
  }
  show(build: Build | null): void {
    this.build = build;
    this.changed();
  }
  type(path: MergeStep[], value: unknown): void {
    if (this.build) this.show(withValueAt(this.build, path, value));
  }
}

const kept = async (): Promise<Build> => {
  const found = await readKept('a');
  if (!found?.ok) throw new Error('not there');
  return found.build;
};
/** Long enough for what was typed to be written and heard of. */
const settled = (): Promise<void> => wait(420);

describe('a build kept as it is edited', () => {
  let windows: Window[] = [];
  const window = async (id: string | null = 'a'): Promise<Window> => {
    const made = new Window();
    windows.push(made);
    if (id) await made.open(id);
    else made.keeper.start();
    return made;
  };
  beforeEach(async () => {
    db.close();
    await Dexie.delete('jolly-sprocket');
    await db.open();
    await db.builds.put(first);
    windows = [];
  });
  afterEach(() => windows.forEach((w) => w.keeper.stop()));
  after(() => db.close());

  it('is written within 300 ms of the last key, one revision on, and called saved only then', async () => {
    const one = await window();
    one.type(CARGO, 7);
    expect(one.saved.at(-1)).to.equal('saving');
    expect((await kept()).brief.cargoKg).to.equal(5);
    await wait(280);
    expect((await kept()).brief.cargoKg).to.equal(7);
    expect((await kept()).revision).to.equal(1);
    expect(one.saved.at(-1)).to.equal('saved');
  });

  it('is written at least every second while the typing goes on', async () => {
    const one = await window();
    const start = Date.now();
    let oldest = 0;
    for (let kg = 10; Date.now() - start < 2400; kg++) {
      one.type(CARGO, kg);
      await wait(60);
      const behind = kg - (await kept()).brief.cargoKg;
      oldest = Math.max(oldest, behind);
    }
    // About 13 keys a second: none that was not written a second later.
    expect((await kept()).brief.cargoKg).to.be.greaterThan(10);
    expect(oldest * 60).to.be.lessThan(1000);
  });

  it('is left alone by a window that edits nothing', async () => {
    const one = await window();
    await one.keeper.flush();
    one.show(null);
    await settled();
    expect(await db.builds.get('a')).to.deep.equal(first);
    expect(one.saved).not.to.include('saving');
  });

  it('edited back to what is kept is not written', async () => {
    const one = await window();
    const before = one.build;
    one.type(CARGO, 8);
    one.show(before);
    await settled();
    expect((await kept()).revision).to.equal(0);
    expect(one.saved.at(-1)).to.equal('saved');
  });

  it('edited back while it is being written is written back too', async () => {
    const one = await window();
    const before = one.build;
    one.type(CARGO, 8);
    const writing = one.keeper.flush();
    await Promise.resolve();
    await Promise.resolve();
    one.show(before);
    await writing;
    await settled();
    expect((await kept()).brief.cargoKg).to.equal(5);
    expect(one.build?.brief.cargoKg).to.equal(5);
    expect(one.saved.at(-1)).to.equal('saved');
    one.type(CARGO, 9);
    await settled();
    expect((await kept()).brief.cargoKg).to.equal(9);
  });

  it('is written before another is opened, and the other is not', async () => {
    await db.builds.put({ ...first, id: 'b' });
    const one = await window();
    one.type(CARGO, 11);
    one.show({ ...first, id: 'b' });
    await settled();
    expect((await kept()).brief.cargoKg).to.equal(11);
    expect((await db.builds.get('b'))?.revision).to.equal(0);
  });

  describe('in two windows', () => {
    it('1: edits of different fields at the same moment are both kept and both shown', async () => {
      const [one, two] = [await window(), await window()];
      one.type(CARGO, 7);
      two.type(CRUISE, 8);
      await settled();
      const now = await kept();
      expect([now.brief.cargoKg, now.brief.cruiseMs]).to.deep.equal([7, 8]);
      for (const w of [one, two]) expect([w.build?.brief.cargoKg, w.build?.brief.cruiseMs]).to.deep.equal([7, 8]);
      expect(await db.clashes.count()).to.equal(0);
      for (const w of [one, two]) expect(w.saved.at(-1)).to.equal('saved');
    });

    it('2: an edit of one is seen in the other, which writes nothing', async () => {
      const [one, two] = [await window(), await window()];
      one.type(CARGO, 7);
      await settled();
      expect(two.build?.brief.cargoKg).to.equal(7);
      expect((await kept()).revision).to.equal(1);
    });

    it('3: one after the other, each on what it saw last, nothing goes back', async () => {
      const [one, two] = [await window(), await window()];
      for (let i = 1; i <= 3; i++) {
        one.type(CARGO, 10 + i);
        await settled();
        two.type(CRUISE, 4 + i);
        await settled();
      }
      const now = await kept();
      expect([now.brief.cargoKg, now.brief.cruiseMs, now.revision]).to.deep.equal([13, 7, 6]);
    });

    it('4: the same field at the same moment: one value is kept, the other told', async () => {
      const [one, two] = [await window(), await window()];
      one.type(CARGO, 7);
      two.type(CARGO, 9);
      await settled();
      const clashes = await db.clashes.toArray();
      expect(clashes.length).to.equal(1);
      expect(clashes[0]?.path).to.deep.equal(CARGO);
      const now = (await kept()).brief.cargoKg;
      expect([clashes[0]?.mine, clashes[0]?.theirs]).to.have.members([7, 9]);
      expect(clashes[0]?.mine).to.equal(now);
      for (const w of [one, two]) expect(w.build?.brief.cargoKg).to.equal(now);
    });

    it('5: what the other wrote while this one was typing is taken in, and the typing stays', async () => {
      const [one, two] = [await window(), await window()];
      two.type(CRUISE, 6);
      one.type(CARGO, 20);
      const keys = setInterval(() => one.type(CARGO, (one.build?.brief.cargoKg ?? 0) + 1), 50);
      await wait(1300);
      clearInterval(keys);
      expect(one.build?.brief.cruiseMs).to.equal(6);
      await settled();
      const now = await kept();
      expect(now.brief.cruiseMs).to.equal(6);
      expect(now.brief.cargoKg).to.equal(one.build?.brief.cargoKg);
    });

    it('6: deleted in one it is told in the other, not put back unasked, and its edits are not lost', async () => {
      const [one, two] = [await window(), await window()];
      await binBuild('a');
      await wait(60);
      expect(two.saved.at(-1)).to.equal('gone');
      two.type(CARGO, 14);
      await settled();
      expect(await db.builds.get('a')).to.equal(undefined);
      expect(two.saved.at(-1)).to.equal('gone');
      await two.keeper.putBack();
      expect((await kept()).brief.cargoKg).to.equal(14);
      expect(await binned()).to.deep.equal([]);
      expect(two.saved.at(-1)).to.equal('saved');
      await wait(60);
      expect(one.build?.brief.cargoKg).to.equal(14);
    });

    it('6b: deleted and brought back in one, the other goes on as if nothing had been', async () => {
      const two = await window();
      await binBuild('a');
      await wait(60);
      two.type(CARGO, 16);
      await settled();
      expect(two.saved.at(-1)).to.equal('gone');
      await bringBack('a');
      await settled();
      expect(two.saved.at(-1)).to.equal('saved');
      expect((await kept()).brief.cargoKg).to.equal(16);
    });

    it('6c: deleted in another, another build opened here is not said to be; last edits go into the bin', async () => {
      await db.builds.put({ ...first, id: 'b' });
      const two = await window();
      await binBuild('a');
      await wait(60);
      two.type(CARGO, 18);
      await settled();
      await two.open('b');
      await settled();
      expect(two.saved.at(-1)).to.equal('saved');
      expect(two.keeper.unsaved).to.deep.equal([]);
      expect(((await db.bin.get('a'))!.raw as Build).brief.cargoKg).to.equal(18);
      expect(await db.builds.get('a')).to.equal(undefined);
    });

    it('7: renamed from the bench of one it is renamed in the other, whose edits stay', async () => {
      const one = await window();
      one.type(CARGO, 15);
      await renameKept('a', 'Hazel');
      await settled();
      const now = await kept();
      expect([now.name, now.brief.cargoKg]).to.deep.equal(['Hazel', 15]);
      expect(one.build?.name).to.equal('Hazel');
    });

    it('8: one frozen with an old state for long writes only what it edited', async () => {
      const one = await window();
      const old = one.build;
      one.keeper.stop();
      const two = await window();
      two.type(CRUISE, 9);
      two.type(['name'], 'Rowan');
      await settled();
      // It wakes, still showing what it had.
      const again = new Window();
      windows.push(again);
      again.build = old;
      again.keeper.start();
      again.type(CARGO, 17);
      await settled();
      const now = await kept();
      expect([now.name, now.brief.cruiseMs, now.brief.cargoKg]).to.deep.equal(['Rowan', 9, 17]);
    });

    it('whatever is typed in either, in any order, every last value is kept or told', async () => {
      const runs = process.env.SPROCKET_LONG ? 40 : 4;
      await fc.assert(
        fc.asyncProperty(
          fc.array(
            fc.tuple(
              fc.nat(1),
              fc.constantFrom(CARGO, CRUISE, ['brief', 'reserve']),
              fc.integer({ min: 2, max: 19 }),
              fc.constantFrom(0, 10, 250),
            ),
            { minLength: 2, maxLength: 6 },
          ),
          async (edits) => {
            await db.builds.put(first);
            await db.clashes.clear();
            const both = [await window(), await window()];
            const last = new Map<string, Set<number>>();
            for (const [who, path, n, rest] of edits) {
              const value = path[1] === 'reserve' ? n / 20 : n;
              both[who]?.type(path, value);
              const field = path[1] as string;
              // A value one window had seen before it typed over it is gone on purpose; the last of each is not.
              last.set(field, new Set([...(last.get(field) ?? []), value]));
              await wait(rest);
            }
            await settled();
            const now = (await kept()).brief as unknown as Record<string, number>;
            const clashes = await db.clashes.toArray();
            const final = new Map<string, number>();
            for (const [, path, n] of edits) final.set(path[1] as string, path[1] === 'reserve' ? n / 20 : n);
            for (const [field, value] of final) {
              const told = clashes.filter((c) => c.path[1] === field).flatMap((c) => [c.mine, c.theirs]);
              expect([now[field], ...told], field).to.include(value);
            }
            for (const w of both) {
              expect((w.build!.brief as unknown as Record<string, number>).cargoKg).to.equal(now.cargoKg);
              w.keeper.stop();
            }
          },
        ),
        { numRuns: runs },
      );
    });
  });

  describe('where the store refuses', () => {
    const refusing = async (during: () => Promise<void>): Promise<void> => {
      const put = db.builds.put.bind(db.builds);
      db.builds.put = () => Promise.reject(new DOMException('full', 'QuotaExceededError')) as never;
      try {
        await during();
      } finally {
        db.builds.put = put as never;
      }
    };

    it('is never called saved, stays here, and is written by itself once it can be', async () => {
      const one = await window();
      await refusing(async () => {
        one.type(CARGO, 12);
        await wait(300);
        expect(one.saved.at(-1)).to.equal('failed');
        expect(one.keeper.unsaved.map((b) => b.brief.cargoKg)).to.deep.equal([12]);
        one.type(CRUISE, 6);
        await wait(300);
        expect(one.saved.at(-1)).to.equal('failed');
      });
      await wait(2300);
      const now = await kept();
      expect([now.brief.cargoKg, now.brief.cruiseMs]).to.deep.equal([12, 6]);
      expect(one.saved.at(-1)).to.equal('saved');
      expect(one.keeper.unsaved).to.deep.equal([]);
    });

    it('a clash met while it refuses is told once it can be', async () => {
      const one = await window();
      await refusing(async () => {
        one.type(CARGO, 12);
        await wait(250);
        // The other window’s writing goes in past the refusal.
        await db.builds.bulkPut([{ ...first, revision: 1, brief: { ...first.brief, cargoKg: 7 } }]);
        await wait(60);
        expect(one.build?.brief.cargoKg).to.equal(12);
      });
      await one.keeper.flush();
      expect((await kept()).brief.cargoKg).to.equal(12);
      expect((await db.clashes.toArray()).map((c) => [c.path, c.mine, c.theirs])).to.deep.equal([[CARGO, 12, 7]]);
    });

    it('keeps the edits of a build closed meanwhile, and writes them when it can', async () => {
      const one = await window();
      await refusing(async () => {
        one.type(CARGO, 13);
        one.show(null);
        await wait(60);
        expect(one.saved.at(-1)).to.equal('failed');
      });
      await one.keeper.flush();
      expect((await kept()).brief.cargoKg).to.equal(13);
    });

    it('shows refused edits again when their build is opened again, and writes them with what is typed then', async () => {
      const one = await window();
      await refusing(async () => {
        one.type(CARGO, 13);
        one.show(null);
        await wait(60);
        await one.open('a');
        expect(one.build?.brief.cargoKg).to.equal(13);
        one.type(CRUISE, 6);
        await wait(60);
      });
      await one.keeper.flush();
      expect([(await kept()).brief.cargoKg, (await kept()).brief.cruiseMs]).to.deep.equal([13, 6]);
      expect(one.saved.at(-1)).to.equal('saved');
    });

    it('a refused edit never comes over a later rename, nor brings a deleted build back', async () => {
      const one = await window();
      await refusing(async () => {
        one.type(CARGO, 13);
        one.show(null);
        await wait(60);
      });
      await renameKept('a', 'Hazel');
      await one.keeper.flush();
      expect([(await kept()).name, (await kept()).brief.cargoKg]).to.deep.equal(['Hazel', 13]);
      await one.open('a');
      await refusing(async () => {
        one.type(CARGO, 14);
        one.show(null);
        await wait(60);
      });
      await binBuild('a');
      one.keeper.forget('a');
      await one.keeper.flush();
      expect(await db.builds.get('a')).to.equal(undefined);
    });

    it('writes over what cannot be read only with that kept beside', async () => {
      const one = await window();
      const broken = { ...first, revision: 5, brief: 'torn' };
      await db.builds.put(broken as unknown as Build);
      one.type(CARGO, 16);
      await settled();
      expect((await kept()).brief.cargoKg).to.equal(16);
      expect((await binned())[0]?.raw).to.deep.equal(broken);
    });
  });
});
