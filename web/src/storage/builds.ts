import { inWorkshopOf, mendBuild, plainText, readable, readBuild, type Build, type ReadProblem } from '@sprocket/core';
import { Told } from '../ui/attempt.ts';
import { db, hasStill, readSetting, type BinnedBuild } from './db.ts';

/** A build as the store has it: read, or as it is with what is wrong. */
export type KeptBuild = { ok: true; build: Build } | { ok: false; raw: unknown; problems: ReadProblem[] };

/** A build read before anybody asked for it. */
let ahead: Build | null = null;

/**
 * Reads the build that was open last, or any where none was, while there is nothing else to do: years of rides take a
 * moment to be checked. Null where there is none, or it cannot be read.
 */
export async function readAhead(): Promise<Build | null> {
  const id = (await readSetting('last-build')) ?? (await db.builds.toCollection().primaryKeys())[0];
  const kept = id === undefined ? undefined : await readKept(id);
  return (ahead = kept?.ok ? kept.build : null);
}

/**
 * Reads a build from the store as its file would be read: checked, and brought up to date if it is old.
 * @returns undefined where none is kept under this id
 */
export async function readKept(id: string): Promise<KeptBuild | undefined> {
  const before = ahead;
  ahead = null;
  if (before?.id === id && (await hasStill(before))) return { ok: true, build: before };
  const raw: unknown = await db.builds.get(id);
  if (raw === undefined) return undefined;
  const read = readBuild(raw);
  return read.ok ? { ok: true, build: read.value } : { ok: false, raw, problems: read.problems };
}

/** Puts a build in the store that came as a whole: made here, brought in, copied. What could not be read again is refused. */
export async function putBuild(build: Build): Promise<string> {
  const fault = readable(build);
  if (fault) throw new Told(`it could not be read again (${fault})`);
  return db.builds.put(build);
}

/** All builds that can be read, in the order of their names. */
export async function readableBuilds(): Promise<Build[]> {
  const kept: unknown[] = await db.builds.toArray();
  return kept
    .map(readBuild)
    .flatMap((read) => (read.ok ? [read.value] : []))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/**
 * A new build as it begins in this workshop: with the hands, bench times, tools and money of the build worked on last.
 * Where none can be read it begins as every first one does.
 */
export async function beginHere(build: Build): Promise<Build> {
  const last = (await readableBuilds()).sort((a, b) => b.updatedAt.localeCompare(a.updatedAt))[0];
  return last ? inWorkshopOf(last, build) : build;
}

/** Gives a build another name, if it is still there and can be read. */
export async function renameKept(id: string, name: string): Promise<void> {
  await db.transaction('rw', db.builds, async () => {
    const kept = await readKept(id);
    if (kept?.ok)
      await putBuild({ ...kept.build, name: plainText(name), revision: kept.build.revision + 1, updatedAt: now() });
  });
}

/**
 * Puts a copy of a build, with its photos, beside it: one more variant of it, or a build of its own.
 * @returns the copy; undefined where the build is gone or cannot be read
 */
export async function copyKept(id: string, variant: boolean): Promise<Build | undefined> {
  return db.transaction('rw', db.builds, db.photos, async () => {
    const kept = await readKept(id);
    if (!kept?.ok) return undefined;
    const { build } = kept;
    const at = now();
    const copy: Build = {
      ...build,
      id: crypto.randomUUID(),
      name: variant ? build.name : copyName(build.name),
      variant: variant ? String.fromCharCode((build.variant.charCodeAt(0) || 64) + 1) : build.variant,
      revision: 0,
      createdAt: at,
      updatedAt: at,
    };
    await putBuild(copy);
    const photos = await db.photos.where({ buildId: id }).toArray();
    await db.photos.bulkAdd(photos.map((p) => ({ ...p, id: crypto.randomUUID(), buildId: copy.id })));
    return copy;
  });
}

const COPY = ', copy';
/** Longest name of a build, characters, as its schema has it. */
const LONGEST_NAME = 120;

/** A copy's name, cut where it would grow past what can be kept. */
function copyName(name: string): string {
  return `${name.slice(0, LONGEST_NAME - COPY.length).trimEnd()}${COPY}`;
}

/** Takes a build off the bench into the bin; its photos stay where they are. */
export async function binBuild(id: string): Promise<void> {
  await db.transaction('rw', db.builds, db.bin, async () => {
    const raw: unknown = await db.builds.get(id);
    if (raw === undefined) return;
    await db.bin.put({ id, deletedAt: now(), raw });
    await db.builds.delete(id);
  });
}

/** Puts a build back on the bench as it was, photos and all. False where the bin no longer has it. */
export async function bringBack(id: string): Promise<boolean> {
  return db.transaction('rw', db.builds, db.bin, async () => {
    const binned = await db.bin.get(id);
    if (!binned) return false;
    const { id: own } = (binned.raw ?? {}) as { id?: unknown };
    if (own !== id) throw new Told('it cannot go back on the bench as it is. Save its file, and open that.');
    if ((await db.builds.get(id)) === undefined) await db.builds.put(binned.raw as Build);
    await db.bin.delete(id);
    return true;
  });
}

/** Days a deleted build waits in the bin. */
const DAYS_KEPT = 30;

/** What the bin has, the last deleted first. */
export async function binned(): Promise<BinnedBuild[]> {
  return db.bin.orderBy('deletedAt').reverse().toArray();
}

/** When the bin's waiting was last counted. */
const COUNTED = 'bin-counted';
/** The most that is believed to have gone by between two countings: a clock that jumps ahead empties no bin. */
const BELIEVED_MS = 2 * 86_400_000;

/** Counts how long each build in the bin has waited, and clears away what has waited long enough. */
async function ageBin(now: number): Promise<void> {
  const last = Number((await db.settings.get(COUNTED))?.value ?? NaN);
  const passed = Number.isFinite(last) ? Math.min(BELIEVED_MS, Math.max(0, now - last)) : 0;
  await db.settings.put({ key: COUNTED, value: String(now) });
  const rows = await db.bin.toArray();
  const aged = rows.map((row) => ({ ...row, waitedMs: (row.waitedMs ?? 0) + passed }));
  const over = aged.filter((row) => row.waitedMs > DAYS_KEPT * 86_400_000);
  await db.bin.bulkDelete(over.map((row) => row.id));
  if (passed > 0) await db.bin.bulkPut(aged.filter((row) => !over.includes(row)));
}

/** What was left behind by builds deleted for good: in the bin for long, photos and lines that nothing names. */
export async function clearAway(at = Date.now()): Promise<void> {
  await db.transaction('rw', [db.builds, db.bin, db.photos, db.lines, db.clashes, db.aside, db.settings], async () => {
    await ageBin(at);
    const builds = new Set(await db.builds.toCollection().primaryKeys());
    const known = new Set([...builds, ...(await db.bin.toCollection().primaryKeys())]);
    const photographed = (await db.photos.orderBy('buildId').uniqueKeys()) as string[];
    const gone = photographed.filter((id) => !known.has(id));
    if (gone.length > 0) await db.photos.where('buildId').anyOf(gone).delete();
    const clashing = (await db.clashes.orderBy('buildId').uniqueKeys()) as string[];
    const settled = clashing.filter((id) => !known.has(id));
    if (settled.length > 0) await db.clashes.where('buildId').anyOf(settled).delete();
    const laid = (await db.aside.orderBy('buildId').uniqueKeys()) as string[];
    const past = laid.filter((id) => !known.has(id));
    if (past.length > 0) await db.aside.where('buildId').anyOf(past).delete();
    const lines = await db.lines.toCollection().primaryKeys();
    await db.lines.bulkDelete(lines.filter((id) => !builds.has(id)));
  });
}

/**
 * Mends a build that cannot be read: the mended one takes its place, and what was there goes into the bin as it is.
 * @returns what had to be given up; undefined where nothing is kept under this id
 */
export async function mendKept(id: string): Promise<ReadProblem[] | undefined> {
  return db.transaction('rw', db.builds, db.bin, async () => {
    const raw: unknown = await db.builds.get(id);
    if (raw === undefined) return undefined;
    const { build, lost } = mendBuild(raw, id, now());
    await db.bin.put({ id: `${id} before it was mended`, deletedAt: now(), raw });
    await db.builds.put({ ...build, id, revision: build.revision + 1, updatedAt: now() });
    return lost;
  });
}

const now = (): string => new Date().toISOString();
