import 'fake-indexeddb/auto';
import { expect } from 'chai';
import { Dexie } from 'dexie';
import fc from 'fast-check';
import { readBuild, readBuildFile, writeBuildFile, type Build } from '@sprocket/core';
import { zones } from '../../test/zones.ts';
import { editNames, edits, nearLimits, type EditName } from '../../test/edits.ts';
import { harm, harmed, type Harm } from '../../../core/test/mutated.ts';
import { runs } from '../../../core/test/runs.ts';
import { buildActions } from '../store/buildSlice.ts';
import { makeStore, redo, undo, type AppStore } from '../store/store.ts';
import { startAside } from './aside.ts';
import { editedIn } from './autosave.ts';
import { writeBackup } from './backup.ts';
import { binBuild, bringBack, clearAway, copyKept, mendKept, putBuild, readKept, renameKept } from './builds.ts';
import { asideOf, db } from './db.ts';
import { Keeper } from './keeper.ts';
import { readBackup } from './restore.ts';
import { counted } from '../../../core/test/counted.ts';

const RealDate = Date;
const DAY = 86_400_000;
/** How far the machine's clock is off, ms. */
let off = 0;
class OffDate extends RealDate {
  constructor(...args: unknown[]) {
    super(...((args.length === 0 ? [RealDate.now() + off] : args) as [number]));
  }
  static override now(): number {
    return RealDate.now() + off;
  }
}

/** A window with a store, a history and a keeper of its own, as the app has them. */
class Window {
  readonly store: AppStore = makeStore();
  readonly keeper = new Keeper(editedIn(this.store));
  private readonly stopAside = startAside(this.store);
  private started = false;

  async open(id: string): Promise<void> {
    await this.keeper.flush();
    const kept = await readKept(id);
    if (!kept?.ok) return;
    // As the bench does: one build is closed before another, or the same, is opened.
    this.store.dispatch(buildActions.opened(null));
    this.store.dispatch(buildActions.opened(kept.build));
    if (!this.started) this.keeper.start();
    this.started = true;
  }
  get build(): Build | null {
    return this.store.getState().build.present.build;
  }
  /** Every build of its history. */
  get builds(): Build[] {
    const { past, present, future } = this.store.getState().build;
    return [...past, present, ...future].flatMap(({ build }) => build ?? []);
  }
  stop(): void {
    this.keeper.stop();
    this.stopAside();
  }
}

/** The bench as it is tried: two windows, what the world does to them, and what was typed that must not be lost. */
interface World {
  windows: [Window, Window];
  refusing: (() => void) | null;
  n: number;
  /** Words typed where nothing types over them. */
  typed: Set<string>;
  backup: Blob | null;
}

const KEPT = ['builds', 'bin', 'clashes', 'aside'] as const;
const wordsIn = (value: unknown): string => JSON.stringify(value) ?? '';
/** All that is kept, as one text. */
const inTheStore = async (): Promise<string> =>
  wordsIn(await Promise.all(KEPT.map((table) => db.table(table).toArray())));
/** All that is on a window's screen, or waits there for the store. */
const inWindow = ({ store, keeper }: Window): string => {
  const { build, aside } = store.getState();
  return wordsIn([build.present, aside.waiting, keeper.unsaved]);
};

/** What must hold after every step. */
async function holds(world: World): Promise<void> {
  for (const raw of await db.builds.toArray()) {
    const read = readBuild(raw);
    expect(read.ok, read.ok ? '' : `in the store: ${read.problems[0]?.path} ${read.problems[0]?.message}`).to.equal(
      true,
    );
  }
  const seen = new Set<Build>();
  for (const build of world.windows.flatMap((w) => w.builds)) {
    if (seen.has(build)) continue;
    seen.add(build);
    const read = readBuild(build);
    expect(read.ok, read.ok ? '' : `in a window: ${read.problems[0]?.path} ${read.problems[0]?.message}`).to.equal(
      true,
    );
  }
  await nothingGone(world, world.windows);
}

/** Every word is kept, or in one of the windows. */
async function nothingGone(world: World, windows: readonly Window[]): Promise<void> {
  const all = (await inTheStore()) + windows.map(inWindow).join('');
  for (const words of world.typed) expect(all.includes(words), `${words} is gone`).to.equal(true);
}

/** Writes all that waits, and lets each window hear of it. */
async function settle({ windows }: World): Promise<void> {
  for (const w of windows) await w.keeper.flush();
  await new Promise((done) => setTimeout(done, 2));
  for (const w of windows) await w.keeper.flush();
}

/** Edits whose words stay in a row of their own: nothing but taking them back removes them. */
const STAYS: readonly EditName[] = [
  'overridden',
  'resultKept',
  'entriesKept',
  'coastKept',
  'supplierKept',
  'repairKept',
];

type Step = fc.AsyncCommand<object, World>;
const step = (name: string, run: (world: World) => Promise<void>): Step => ({
  check: () => true,
  run: async (_, world) => {
    await run(world);
    await holds(world);
  },
  toString: () => name,
});

/** What an edit, undo or redo takes out of its own window by intent need not be there any more. */
function withdrawing(world: World, w: Window, act: () => void): void {
  const before = inWindow(w);
  act();
  const after = inWindow(w);
  for (const words of world.typed) if (before.includes(words) && !after.includes(words)) world.typed.delete(words);
}

const of = (world: World, second: boolean): Window => world.windows[second ? 1 : 0];

/** Values of a payload harmed, its shape left: what a slip, a reader or an old build may put there. */
function slipped(payload: unknown, harms: readonly Harm[]): unknown {
  const held = harmed(
    { payload },
    harms.map((h) => ({ ...h, how: h.how === 'scale' ? 'scale' : 'put' })),
  ) as { payload: unknown };
  return held.payload;
}

const steps: fc.Arbitrary<Step>[] = [
  fc.tuple(fc.constantFrom(...editNames), fc.boolean(), fc.boolean()).map(([name, second, waits]) =>
    step(`${name} in ${second ? 'two' : 'one'}${waits ? ', not written yet' : ''}`, async (world) => {
      const w = of(world, second);
      if (!w.build) return;
      const n = ++world.n;
      const words = `word-${n}-`;
      const value = edits[name](n, words);
      withdrawing(world, w, () => void w.store.dispatch(buildActions[name]({ field: `${name}-${n}`, value } as never)));
      if (STAYS.includes(name)) world.typed.add(words);
      if (!waits) await settle(world);
    }),
  ),
  fc
    .tuple(fc.constantFrom(...editNames), fc.array(harm, { minLength: 1, maxLength: 2 }), fc.boolean())
    .map(([name, harms, second]) =>
      step(`${name}, with a slip, in ${second ? 'two' : 'one'}`, async (world) => {
        const w = of(world, second);
        if (!w.build) return;
        const n = ++world.n;
        const value = slipped(edits[name](n, `slip-${n}-`), harms);
        withdrawing(world, w, () => void w.store.dispatch(buildActions[name]({ field: `x-${n}`, value } as never)));
      }),
    ),
  fc.tuple(fc.constantFrom('back', 'on'), fc.boolean()).map(([way, second]) =>
    step(`undo ${way} in ${second ? 'two' : 'one'}`, async (world) => {
      const w = of(world, second);
      withdrawing(world, w, () => void w.store.dispatch(way === 'back' ? undo() : redo()));
    }),
  ),
  fc.constant(step('all is written', settle)),
  fc.tuple(fc.constantFrom(...STAYS), fc.integer({ min: 1, max: 2 })).map(([name, each]) =>
    step(`${name} in both at once, ${each} each`, async (world) => {
      for (let i = 0; i < each; i++)
        for (const w of world.windows) {
          if (!w.build) continue;
          const n = ++world.n;
          const words = `word-${n}-`;
          w.store.dispatch(buildActions[name]({ field: `${name}-${n}`, value: edits[name](n, words) } as never));
          world.typed.add(words);
        }
      await settle(world);
    }),
  ),
  fc.boolean().map((second) =>
    step(`another store refuses in ${second ? 'two' : 'one'}`, async (world) => {
      if (world.refusing) {
        world.refusing();
        world.refusing = null;
        await settle(world);
        return;
      }
      const refuse = (): never => {
        throw new Dexie.QuotaExceededError('full');
      };
      db.builds.hook('creating', refuse);
      db.builds.hook('updating', refuse);
      world.refusing = () => {
        db.builds.hook('creating').unsubscribe(refuse);
        db.builds.hook('updating').unsubscribe(refuse);
      };
    }),
  ),
  fc.constantFrom(40 * DAY, -40 * DAY, 5000 * DAY, 1).map((by) =>
    step(`the clock jumps ${by} ms, and the app is started`, async () => {
      off += by;
      await clearAway();
    }),
  ),
  fc.constantFrom(...zones).map((zone) =>
    step(`in ${zone}`, async () => {
      process.env.TZ = zone;
    }),
  ),
  fc.tuple(fc.array(harm, { maxLength: 2 }), fc.boolean()).map(([harms, own]) =>
    step('a build file is brought in', async (world) => {
      const [raw] = await db.builds.toArray();
      const read = raw && readBuild(raw);
      if (!read?.ok) return;
      const text = writeBuildFile(harmed(own ? nearLimits('a') : read.value, harms) as Build);
      const found = readBuildFile(text);
      if (!found.ok) return;
      await putBuild({ ...found.value, id: `in-${++world.n}` }).catch(() => undefined);
    }),
  ),
  fc.boolean().map((save) =>
    step(save ? 'a backup is made' : 'a backup is brought back', async (world) => {
      if (save || !world.backup) world.backup = await writeBackup();
      // Where two versions differ both stay: on the bench, or in the bin.
      else await readBackup(world.backup).catch(() => undefined);
    }),
  ),
  fc.constantFrom('bin', 'back', 'copy', 'name', 'clear', 'mend').map((what) =>
    step(`at the bench: ${what}`, async (world) => {
      const ids = await db.builds.toCollection().primaryKeys();
      const id = ids[world.n % Math.max(1, ids.length)] ?? 'a';
      const open = world.windows.some((w) => w.build?.id === id);
      const doing = {
        bin: () => (open ? Promise.resolve() : binBuild(id)),
        back: async () => {
          for (const row of await db.bin.toArray()) await bringBack(row.id).catch(() => undefined);
        },
        copy: () => copyKept(id, world.n % 2 === 0),
        name: () => renameKept(id, `Named ${world.n}`),
        // A month of mornings, whatever the clock says, is not in one step: nothing in the bin may go.
        clear: () => clearAway(),
        mend: () => mendKept(id),
      }[what];
      await doing?.().catch(() => undefined);
    }),
  ),
  fc.boolean().map((second) =>
    step(`${second ? 'two' : 'one'} is opened anew`, async (world) => {
      await of(world, second).open('a');
    }),
  ),
];

describe('a bench on which anything happens', () => {
  beforeEach(() => {
    globalThis.Date = OffDate as DateConstructor;
  });
  afterEach(() => {
    globalThis.Date = RealDate;
    off = 0;
    Reflect.deleteProperty(process.env, 'TZ');
  });
  after(() => db.close());

  it('every edit there is, is tried', () => {
    const all = Object.keys(buildActions).filter((name) => !['opened', 'merged', 'decided'].includes(name));
    expect([...editNames].sort()).to.deep.equal(all.sort());
  });

  it('each edit as a screen sends it is kept, or told where a row is full', () => {
    const met = counted();
    const store = makeStore();
    store.dispatch(buildActions.opened(nearLimits('a')));
    for (let n = 1; n < 9; n++)
      for (const name of editNames) {
        const before = store.getState().build.present.build as Build;
        const told = store.getState().aside.waiting.length;
        store.dispatch(buildActions[name]({ field: `${name}-${n}`, value: edits[name](n, `w${n}`) } as never));
        const after = store.getState().build.present.build as Build;
        const waiting = store.getState().aside.waiting.slice(told);
        const read = readBuild(after);
        expect(read.ok, `${name} ${n}`).to.equal(true);
        if (waiting.length > 0)
          expect(name, JSON.stringify(waiting).slice(0, 400)).to.be.oneOf([
            'weighed',
            'mappingKept',
            'benchEdited',
            'riddenTo',
            'supplierKept',
            'offersBrought',
            'coastKept',
          ]);
        else if (before === after && met()) expect(waiting).to.deep.equal([]);
      }
    met.enough();
  });

  it('the store stays readable, and nothing typed is gone in silence', async () => {
    await fc.assert(
      fc.asyncProperty(fc.commands(steps, { maxCommands: runs(36, 60), size: 'max' }), async (commands) => {
        db.close();
        await Dexie.delete('jolly-sprocket');
        await db.open();
        await db.builds.put(nearLimits('a'));
        off = 0;
        const world: World = {
          windows: [new Window(), new Window()],
          refusing: null,
          n: 0,
          typed: new Set(),
          backup: null,
        };
        for (const w of world.windows) await w.open('a');
        await clearAway();
        await db.bin.put({
          id: 'old',
          deletedAt: new Date().toISOString(),
          raw: { ...nearLimits('old'), variant: 'kept-in-the-bin' },
        });
        world.typed.add('kept-in-the-bin');
        await db.aside.put(asideOf('a', [{ path: ['log'], message: 'no room', value: 'kept-aside' }]));
        world.typed.add('kept-aside');
        try {
          await fc.asyncModelRun(() => ({ model: {}, real: world }), commands);
          world.refusing?.();
          world.refusing = null;
          await settle(world);
          await holds(world);
          // With all windows closed it is there still.
          await nothingGone(world, []);
        } finally {
          world.refusing?.();
          for (const w of world.windows) w.stop();
        }
      }),
      { numRuns: runs(30, 1200), seed: 20260504 },
    );
  });
});
