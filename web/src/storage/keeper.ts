import { admitted, mergeBuilds, readBuild, type Build, type Clash } from '@sprocket/core';
import { liveQuery, type Subscription } from 'dexie';
import { bringBack } from './builds.ts';
import { asideOf, db, hasStill, noteEditDay } from './db.ts';
import { today } from '../ui/today.ts';

/**
 * From an edit to its writing, ms; what is typed meanwhile goes with it. A small part of the second that is promised,
 * since a page that is busy with plans comes late to every step of a writing, and the next waits for the last; and
 * less than there is between two keys, so that on such a page the writing is due before the next key and goes first.
 */
const GATHER = 30;
/** Waits before a refused writing is tried again, ms; the last of them again and again. */
const AGAIN = [1000, 2000, 5000, 15_000] as const;

/** How the edits stand: all in the store; on their way; refused by it; or their build deleted in another window. */
export type Saved = 'saved' | 'saving' | 'failed' | 'gone';

/** Where the open build is edited, as a keeper needs to know it. */
export interface Edited {
  current: () => Build | null;
  /** Calls back after every change; gives what ends that. */
  subscribe: (changed: () => void) => () => void;
  /** Takes in what the store has: `theirs` came of `base`, as the edits here did. */
  merge: (base: Build, theirs: Build) => void;
  mark: (saved: Saved) => void;
}

/** A build edited and not yet written, and what its edits began from: the build as the store last had it. */
interface Waiting {
  build: Build;
  base: Build;
  /** Found as another window's edits were taken in; kept with the next writing. */
  clashes: Clash[];
}

/**
 * Writes builds as they are edited, and takes in what other windows write. Every writing looks first at what the
 * store has: where another window was there meanwhile the two are merged, and a value changed on both sides is kept
 * as a clash until somebody decides. A window that edits nothing writes nothing. Nothing is called saved before the
 * store has said so; what it refuses stays here and is tried again.
 */
export class Keeper {
  private readonly edited: Edited;
  /** The open build as last seen, as it was when the store had just that, and as the store has it. */
  private seen: Build | null = null;
  private clean: Build | null = null;
  private base: Build | null = null;
  private readonly waiting = new Map<string, Waiting>();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private again: ReturnType<typeof setTimeout> | undefined;
  private refusals = 0;
  private gone = false;
  private noted = '';
  private queue: Promise<void> = Promise.resolve();
  private busy = false;
  private lookLater = false;
  /** The open build was in the store when last looked for; and went from it. */
  private there = false;
  private away = false;
  private merging = false;
  private live: Subscription | undefined;
  private unsubscribe: () => void = () => undefined;

  constructor(edited: Edited) {
    this.edited = edited;
  }

  start(): void {
    this.open(this.edited.current());
    this.unsubscribe = this.edited.subscribe(() => this.changed());
  }

  stop(): void {
    this.unsubscribe();
    this.live?.unsubscribe();
    clearTimeout(this.timer);
    clearTimeout(this.again);
  }

  /** Builds with edits that the store does not have. */
  get unsaved(): Build[] {
    return [...this.waiting.values()].map((item) => item.build);
  }

  /** True while the store refuses edits, or their build is gone: leaving now would lose them. */
  get stuck(): boolean {
    return this.waiting.size > 0 && (this.refusals > 0 || this.gone);
  }

  /** Writes all that waits; done once the store has it or has refused it. */
  flush(): Promise<void> {
    clearTimeout(this.timer);
    this.timer = undefined;
    this.queue = this.queue.then(async () => {
      for (const id of [...this.waiting.keys()]) await this.write(id);
    });
    return this.queue;
  }

  /** Lets go of edits whose build is deleted here. */
  forget(id: string): void {
    this.waiting.delete(id);
    if (this.waiting.size > 0) return;
    clearTimeout(this.timer);
    this.timer = undefined;
    clearTimeout(this.again);
    this.edited.mark('saved');
  }

  /** Puts the open build back on the bench after another window deleted it, with what was edited here since. */
  async putBack(): Promise<void> {
    const { base } = this;
    if (!base) return;
    if (!(await bringBack(base.id))) await db.builds.add(base);
    this.edited.mark(this.waiting.size > 0 ? 'saving' : 'saved');
    await this.flush();
  }

  private open(build: Build | null): void {
    this.live?.unsubscribe();
    this.live = undefined;
    this.seen = this.clean = this.base = build;
    if (!build) return;
    const { id } = build;
    const item = this.waiting.get(id);
    if (item) {
      // Edits that the store has refused so far are shown again, on what it has now.
      this.merge(item.base, item.build);
      this.base = build;
      if (this.seen) this.waiting.set(id, { ...item, build: this.seen, base: build });
    }
    this.there = this.away = false;
    // Ages alone are asked for: a build with years of rides in it is not read whole after each of one's own writings.
    this.live = liveQuery(() => db.builds.orderBy('updatedAt').primaryKeys()).subscribe({
      next: () => void this.look(id).catch(() => undefined),
      // A store that cannot be read is told of by what cannot be written.
      error: () => undefined,
    });
  }

  private changed(): void {
    const build = this.edited.current();
    if (build === this.seen || this.merging) return;
    if (build === null || build.id !== this.seen?.id) {
      // Another build was opened: what waits is written at once.
      void this.flush();
      this.open(build);
      if (this.waiting.size === 0) this.edited.mark('saved');
      return;
    }
    this.seen = build;
    if (this.base === null) return;
    if (build === this.clean && !this.busy) {
      // Undone back to what the store has, and is not just being told otherwise.
      this.forget(build.id);
      return;
    }
    this.waiting.set(build.id, { build, base: this.base, clashes: this.waiting.get(build.id)?.clashes ?? [] });
    this.edited.mark('saving');
    this.timer ??= setTimeout(() => void this.flush(), GATHER);
  }

  private async write(id: string): Promise<void> {
    const item = this.waiting.get(id);
    if (!item) return;
    const sent = item.build;
    this.busy = true;
    try {
      const found = await putMerged(item);
      if (found === 'gone') {
        // Deleted in another window: not put back unasked, and its edits are not thrown away.
        await this.lostFrom(id, sent);
        return;
      }
      this.written(id, sent, found);
    } catch {
      this.refused();
      return;
    } finally {
      this.busy = false;
      if (this.lookLater) void this.look(id).catch(() => undefined);
      this.lookLater = false;
    }
  }

  /** The open build is on the bench again. */
  private isBack(): void {
    this.gone = false;
    this.edited.mark(this.waiting.size > 0 ? 'saving' : 'saved');
    void this.flush();
  }

  /** A build that another window deleted: told while it is open; closed, its last edits go with it into the bin. */
  private async lostFrom(id: string, sent: Build): Promise<void> {
    if (this.seen?.id === id) {
      this.gone = true;
      this.edited.mark('gone');
      return;
    }
    await db.bin.put({ id, deletedAt: new Date().toISOString(), raw: sent });
    if (this.waiting.get(id)?.build === sent) this.forget(id);
  }

  private written(id: string, sent: Build, { build, merged }: Written): void {
    this.refusals = 0;
    this.gone = false;
    clearTimeout(this.again);
    this.noteDay();
    const done = this.waiting.get(id)?.build === sent;
    if (done) this.waiting.delete(id);
    if (this.seen?.id === id) {
      if (merged) this.merge(sent, build);
      else this.base = build;
      // With edits made since, no state of this window is just what the store has.
      this.clean = done ? this.seen : null;
    }
    const later = this.waiting.get(id);
    if (later) {
      later.clashes = [];
      later.base = build;
      if (this.seen?.id === id) later.build = this.seen;
    }
    if (this.waiting.size === 0) this.edited.mark('saved');
  }

  /** Once a day: what a reminder of a backup counts. */
  private noteDay(): void {
    const day = today();
    if (day === this.noted) return;
    this.noted = day;
    noteEditDay(day).catch(() => undefined);
  }

  private refused(): void {
    this.edited.mark('failed');
    clearTimeout(this.again);
    this.again = setTimeout(() => void this.flush(), AGAIN[Math.min(this.refusals, AGAIN.length - 1)]);
    this.refusals++;
  }

  /** Looks at what the store has of the open build, perhaps by another window. Not while it is being written. */
  private async look(id: string): Promise<void> {
    const known = this.busy || (this.base !== null && (await hasStill(this.base)));
    const raw: unknown = this.busy || known ? undefined : await db.builds.get(id);
    if (this.busy) this.lookLater = true;
    else if (this.seen?.id !== id) return;
    else if (known || raw !== undefined) {
      this.there = true;
      if (this.away) this.isBack();
      this.away = false;
      if (raw !== undefined) this.takeIn(this.seen, raw);
    } else if (this.there) {
      this.away = true;
      this.edited.mark('gone');
    }
  }

  private takeIn(seen: Build, raw: unknown): void {
    const { base } = this;
    if (!base || isStill(raw, base)) return;
    const read = readBuild(raw);
    if (!read.ok) return;
    const theirs = read.value;
    const item = this.waiting.get(seen.id);
    const clashes = item ? [...item.clashes, ...mergeBuilds(base, seen, theirs).clashes] : [];
    this.merge(base, theirs);
    if (!item) {
      this.clean = this.seen;
      this.edited.mark('saved');
    } else if (this.seen) this.waiting.set(seen.id, { build: this.seen, base: theirs, clashes });
  }

  private merge(base: Build, theirs: Build): void {
    this.merging = true;
    this.edited.merge(base, theirs);
    this.merging = false;
    this.seen = this.edited.current();
    this.base = theirs;
  }
}

interface Written {
  /** As the store has it now. */
  build: Build;
  /** It is not just what was sent: another window's edits are in it, or something of it was refused. */
  merged: boolean;
}

/** Writes a build over what its edits began from, merged with what another window wrote meanwhile. */
async function putMerged(item: Waiting): Promise<Written | 'gone'> {
  return (await putAtOnce(item)) ?? putOverOthers(item);
}

class Overtaken extends Error {}

/**
 * Writes on the guess that nobody else has: asked and put in one breath, since between an answer and the next question
 * a busy page lets a tenth of a second go by. Where the guess was wrong all is taken back, and null given.
 */
async function putAtOnce({ build: mine, base, clashes }: Waiting): Promise<Written | null> {
  if (clashes.length > 0) return null;
  const { build: sound, refused } = admitted(base, mine);
  if (refused.length > 0) return null;
  const build = stamped(sound, base);
  try {
    await db.transaction('rw', db.builds, async () => {
      const [still] = await Promise.all([hasStill(base), db.builds.put(build)]);
      if (!still) throw new Overtaken();
    });
  } catch (error) {
    if (error instanceof Overtaken) return null;
    throw error;
  }
  return { build, merged: false };
}

/** The same after a look at what the store has. */
async function putOverOthers({ build: edited, base, clashes }: Waiting): Promise<Written | 'gone'> {
  const { build: mine, refused: mineRefused } = admitted(base, edited);
  return db.transaction('rw', [db.builds, db.clashes, db.bin, db.aside], async () => {
    const raw: unknown = await db.builds.get(mine.id);
    if (raw === undefined) return 'gone';
    await keepClashes(mine.id, clashes);
    if (mineRefused.length > 0) await db.aside.put(asideOf(mine.id, mineRefused));
    if (isStill(raw, base)) {
      const build = stamped(mine, base);
      await db.builds.put(build);
      return { build, merged: mine !== edited };
    }
    const read = readBuild(raw);
    if (!read.ok) {
      // What cannot be read is not merged; it is kept beside, as it is.
      await db.bin.put({ id: `${mine.id} before it was written over`, deletedAt: new Date().toISOString(), raw });
      const build = stamped(mine, mine);
      await db.builds.put(build);
      return { build, merged: mine !== edited };
    }
    const made = mergeBuilds(base, mine, read.value);
    // Rows at their limits from both sides make one that could not be read again: what does not fit goes beside.
    const { build: fits, refused } = admitted(read.value, made.build, [mine]);
    const build = stamped(fits, read.value);
    await db.builds.put(build);
    await keepClashes(mine.id, made.clashes);
    if (refused.length > 0) await db.aside.put(asideOf(mine.id, refused));
    return { build, merged: true };
  });
}

/** True where the store still has what this window last knew it to have: nobody else has written. */
const isStill = (raw: unknown, { revision, updatedAt }: Build): boolean => {
  const there = raw as { revision?: unknown; updatedAt?: unknown };
  return there.revision === revision && there.updatedAt === updatedAt;
};

const stamped = (build: Build, { revision }: Build): Build => ({
  ...build,
  revision: revision + 1,
  updatedAt: new Date().toISOString(),
});

/** Keeps clashes until somebody decides; one of the same place takes an older one's. */
async function keepClashes(buildId: string, clashes: readonly Clash[]): Promise<void> {
  if (clashes.length === 0) return;
  await db.clashes.bulkPut(
    clashes.map(({ path, mine, theirs }) => ({
      id: `${buildId} ${JSON.stringify(path)}`,
      buildId,
      path,
      mine,
      theirs,
    })),
  );
}
