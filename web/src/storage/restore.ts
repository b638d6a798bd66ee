import { parseJson, partSchema, readBuild, routeSchema, type Build, type ReadProblem } from '@sprocket/core';
import { Unzip, UnzipInflate, UnzipPassThrough } from 'fflate';
import { breathe, SCHEMA, VERSION, type PhotoHead, type Progress } from './backup.ts';
import { db, type BinnedBuild } from './db.ts';

/** Largest zip, file within one and number of files that are read: past any bench, short of what hangs a browser. */
const LARGEST_ZIP = 2_000_000_000;
const LARGEST_FILE = 200_000_000;
const LARGEST_WHOLE = 3_000_000_000;
const MOST_FILES = 50_000;
/** Longest picture text kept, as in a build's file. */
const LONGEST_PICTURE = 2_000_000;

const decoder = new TextDecoder();

function dataUrlOf(kind: string, bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return `data:image/${kind};base64,${btoa(text)}`;
}

/** What came of bringing a backup back. */
export interface Restored {
  builds: number;
  /** Builds that were on the bench already, as new or newer. */
  kept: number;
  photos: number;
  parts: number;
  roads: number;
  /** What could not be read, file by file. */
  faults: ReadProblem[];
}

/** Everything that can be read of a zip, file by file: a torn or altered one gives as much as is sound. */
async function filesOf(
  zip: Blob,
  progress: Progress,
): Promise<{ files: Map<string, Uint8Array>; faults: ReadProblem[] }> {
  const files = new Map<string, Uint8Array>();
  const faults: ReadProblem[] = [];
  let count = 0;
  let whole = 0;
  const unzip = new Unzip((file) => {
    if (file.name.endsWith('/') || ++count > MOST_FILES) return;
    const parts: Uint8Array[] = [];
    let size = 0;
    file.ondata = (error, chunk, final) => {
      size += chunk?.length ?? 0;
      whole += chunk?.length ?? 0;
      if (error) faults.push({ path: file.name, message: 'is damaged' });
      else if (size > LARGEST_FILE || whole > LARGEST_WHOLE) {
        if (parts.length > 0) faults.push({ path: file.name, message: 'is larger than any bench' });
        parts.length = 0;
        file.terminate();
      } else {
        parts.push(chunk);
        if (final) files.set(file.name, joined(parts, size));
      }
    };
    try {
      file.start();
    } catch {
      faults.push({ path: file.name, message: 'is packed in a way that is not known here' });
    }
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  const reader = zip.stream().getReader();
  let read = 0;
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (value) unzip.push(value, false);
      if (done) break;
      read += value.length;
      progress((0.5 * read) / zip.size);
      await breathe();
    }
    unzip.push(new Uint8Array(0), true);
  } catch {
    faults.push({ path: '(zip)', message: 'breaks off or is damaged; what came before it was read' });
  }
  return { files, faults };
}

function joined(parts: readonly Uint8Array[], size: number): Uint8Array {
  const whole = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/**
 * Brings a backup back onto the bench, merged by id and revision: what is missing is added; where the bench has a
 * build already the later revision stays on it and the other goes into the bin; of two alike in revision but not in
 * content both are kept, as of own parts and roads that differ. Nothing on the bench is lost, and one broken file never takes another with it.
 */
export async function readBackup(zip: Blob, progress: Progress = () => undefined): Promise<Restored> {
  const restored: Restored = { builds: 0, kept: 0, photos: 0, parts: 0, roads: 0, faults: [] };
  if (zip.size > LARGEST_ZIP) {
    restored.faults.push({ path: '(zip)', message: 'is larger than 2 GB' });
    return restored;
  }
  const { files, faults } = await filesOf(zip, progress);
  restored.faults.push(...faults);
  const json = (name: string): unknown => {
    const bytes = files.get(name);
    if (!bytes) return undefined;
    const read = parseJson(decoder.decode(bytes));
    if (read.ok) return read.value;
    const [slip] = read.problems;
    restored.faults.push({ path: name, message: `${slip?.path}: ${slip?.message}` });
    return undefined;
  };
  const rows = (name: string): unknown[] => {
    const value = json(name);
    return Array.isArray(value) ? value : [];
  };
  const head = json('backup.json') as { schema?: unknown; version?: unknown } | undefined;
  if (files.size === 0 || (head && head.schema !== SCHEMA)) {
    restored.faults.push({ path: 'backup.json', message: 'this is no backup of this app' });
    return restored;
  }
  if (typeof head?.version === 'number' && head.version > VERSION)
    restored.faults.push({
      path: 'backup.json',
      message: `is of a newer form (${head.version}); what is known was read`,
    });
  const names = [...files.keys()].filter((name) => /^builds\/[^/]+\.json$/.test(name));
  for (const [i, name] of names.entries()) {
    const raw = json(name);
    if (raw !== undefined) await bringBuild(raw, name, restored);
    progress(0.5 + (0.3 * (i + 1)) / names.length);
    if (i % 8 === 7) await breathe();
  }
  await bringPhotos(rows('photos.json'), files, restored, progress);
  for (const raw of rows('parts.json')) {
    const part = partSchema.safeParse(raw);
    if (!part.success) restored.faults.push({ path: 'parts.json', message: 'a part cannot be read' });
    else if (await addOrBeside(db.parts, partSchema, part.data)) restored.parts++;
  }
  for (const raw of rows('roads.json')) {
    const road = routeSchema.safeParse(raw);
    if (!road.success) restored.faults.push({ path: 'roads.json', message: 'a road cannot be read' });
    else if (await addOrBeside(db.routes, routeSchema, road.data)) restored.roads++;
  }
  for (const raw of rows('settings.json')) {
    const { key, value } = (raw ?? {}) as { key?: unknown; value?: unknown };
    if (typeof key === 'string' && typeof value === 'string' && (await db.settings.get(key)) === undefined)
      await db.settings.put({ key, value });
  }
  for (const raw of rows('bin.json')) {
    const { id, deletedAt } = (raw ?? {}) as Partial<BinnedBuild>;
    if (typeof id === 'string' && typeof deletedAt === 'string') await addMissing(db.bin, raw as BinnedBuild);
  }
  progress(1);
  return restored;
}

/** A table by the two things that are done with it here. */
interface Rows {
  get: (id: string) => PromiseLike<unknown>;
  put: (row: never) => PromiseLike<unknown>;
}

/** Adds a row where none of its id is there. */
async function addMissing<T extends { id: string }>(table: Rows, row: T): Promise<boolean> {
  if ((await table.get(row.id)) !== undefined) return false;
  await table.put(row as never);
  return true;
}

/** Adds a row; where another of its id is there that differs, beside it under a name of its own. */
async function addOrBeside<T extends { id: string; name: string }>(
  table: Rows,
  schema: { safeParse: (raw: unknown) => { data?: T } },
  row: T,
): Promise<boolean> {
  const there = await table.get(row.id);
  if (there === undefined) return addMissing(table, row);
  // Read by the same schema, so that the order of their fields tells nothing.
  if (JSON.stringify(schema.safeParse(there).data) === JSON.stringify(row)) return false;
  const id = `${row.id.slice(0, 48)}-from-backup`;
  return addMissing(table, { ...row, id, name: `${row.name.slice(0, 60)} (from the backup)` });
}

async function bringBuild(raw: unknown, name: string, restored: Restored): Promise<void> {
  const id = (raw as { id?: unknown } | null)?.id;
  if (typeof id !== 'string' || id === '' || id.length > 80) {
    restored.faults.push({ path: name, message: 'has no name to be kept by' });
    return;
  }
  await db.transaction('rw', db.builds, db.bin, async () => {
    const there: unknown = await db.builds.get(id);
    const read = readBuild(raw);
    if (!read.ok) {
      const [first] = read.problems;
      restored.faults.push({ path: `${name}: ${first?.path ?? ''}`, message: first?.message ?? 'cannot be read' });
      // As it is: the bench lists it, and it can be mended there.
      if (there === undefined) await db.builds.put(raw as Build);
      return;
    }
    const came = read.value;
    const here = there === undefined ? null : readBuild(there);
    if (here === null) {
      await db.builds.put(came);
      restored.builds++;
    } else if (!here.ok || came.revision > here.value.revision) {
      await db.bin.put({ id: `${id} before the backup`, deletedAt: new Date().toISOString(), raw: there });
      await db.builds.put(came);
      restored.builds++;
    } else if (came.revision === here.value.revision && came.updatedAt !== here.value.updatedAt) {
      const copy = crypto.randomUUID();
      await db.builds.put({ ...came, id: copy, name: `${came.name.slice(0, 100)} (from the backup)` });
      restored.builds++;
    } else restored.kept++;
  });
}

async function bringPhotos(
  heads: readonly unknown[],
  files: ReadonlyMap<string, Uint8Array>,
  restored: Restored,
  progress: Progress,
): Promise<void> {
  for (const [i, raw] of heads.entries()) {
    const { id, buildId, item, on, file } = (raw ?? {}) as Partial<PhotoHead>;
    const kind = /\.(jpg|png|webp)$/.exec(file ?? '')?.[1];
    const bytes = files.get(file ?? '');
    if (
      typeof id !== 'string' ||
      typeof buildId !== 'string' ||
      typeof item !== 'string' ||
      typeof on !== 'string' ||
      !kind
    )
      restored.faults.push({ path: `photos.json[${i}]`, message: 'is not a photo that can be kept' });
    else if (!bytes || bytes.length * 1.34 > LONGEST_PICTURE)
      restored.faults.push({ path: file ?? '', message: bytes ? 'is too large a picture' : 'is missing or damaged' });
    else {
      const dataUrl = dataUrlOf(kind === 'jpg' ? 'jpeg' : kind, bytes);
      if (await addMissing(db.photos, { id, buildId, item, on, dataUrl })) restored.photos++;
    }
    progress(0.8 + (0.2 * (i + 1)) / heads.length);
    if (i % 16 === 15) await breathe();
  }
}
