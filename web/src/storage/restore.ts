import { parseJson, partSchema, readBuild, routeSchema, type Build, type ReadProblem } from '@sprocket/core';
import { breathe, SCHEMA, VERSION, type PhotoHead, type Progress } from './backup.ts';
import { db, type BinnedBuild, type KeptAside } from './db.ts';
import { LARGEST_ZIP, unpacked } from './unpack.ts';

/** Longest picture text kept, as in a build's file. */
const LONGEST_PICTURE = 2_000_000;
/** Rows brought at once. */
const AT_ONCE = 64;

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
  const { files, faults } = await unpacked(zip, (share) => progress(0.5 * share));
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
    if (isText(key, 40) && isText(value, 8000)) {
      if ((await db.settings.get(key)) === undefined) await db.settings.put({ key, value });
    } else restored.faults.push({ path: 'settings.json', message: 'a setting cannot be read' });
  }
  for (const [i, raw] of rows('bin.json').entries()) {
    const row = binRow(raw);
    if (row) await addMissing(db.bin, row);
    else restored.faults.push({ path: `bin.json[${i}]`, message: 'is no deleted build that could be brought back' });
  }
  for (const [i, raw] of rows('aside.json').entries()) {
    const { id, buildId, at, parts } = (raw ?? {}) as Partial<KeptAside>;
    if (isText(id, 200) && isText(buildId, 80) && isMoment(at) && Array.isArray(parts) && parts.every(isRefused))
      await addMissing(db.aside, { id, buildId, at, parts });
    else restored.faults.push({ path: `aside.json[${i}]`, message: 'is nothing that was set aside' });
  }
  progress(1);
  return restored;
}

const isText = (value: unknown, longest: number): value is string =>
  typeof value === 'string' && value !== '' && value.length <= longest;
const isMoment = (value: unknown): value is string => isText(value, 40) && !Number.isNaN(Date.parse(value));
const isRefused = (part: unknown): boolean => {
  const { path, message } = (part ?? {}) as { path?: unknown; message?: unknown };
  return Array.isArray(path) && typeof message === 'string';
};

/** A row of the bin as it may stand there: a build with a name to be kept by, sound or damaged; null of anything else. */
function binRow(raw: unknown): BinnedBuild | null {
  const { id, deletedAt, raw: build } = (raw ?? {}) as Partial<BinnedBuild>;
  const own = (build as { id?: unknown } | null | undefined)?.id;
  return isText(id, 200) && isMoment(deletedAt) && isText(own, 80) ? { id, deletedAt, raw: build } : null;
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

/** How each kind of picture begins. Source: their standards (ISO 10918-1, ISO 15948, RFC 9649). */
const BEGINS: Record<string, (b: Uint8Array) => boolean> = {
  jpg: (b) => b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff,
  png: (b) => [0x89, 0x50, 0x4e, 0x47].every((x, i) => b[i] === x),
  webp: (b) => decoder.decode(b.subarray(0, 4)) === 'RIFF' && decoder.decode(b.subarray(8, 12)) === 'WEBP',
};

async function bringPhotos(
  heads: readonly unknown[],
  files: ReadonlyMap<string, Uint8Array>,
  restored: Restored,
  progress: Progress,
): Promise<void> {
  const fault = (path: string, message: string): void => void restored.faults.push({ path, message });
  for (let from = 0; from < heads.length; from += AT_ONCE) {
    const found = heads.slice(from, from + AT_ONCE).flatMap((raw, k) => {
      const { id, buildId, item, on, file } = (raw ?? {}) as Partial<PhotoHead>;
      const kind = /\.(jpg|png|webp)$/.exec(file ?? '')?.[1];
      const bytes = files.get(file ?? '');
      if (!isText(id, 80) || !isText(buildId, 80) || !isText(item, 200) || !isText(on, 10) || !kind) {
        fault(`photos.json[${from + k}]`, 'is not a photo that can be kept');
        return [];
      }
      if (!bytes) fault(file ?? '', 'is missing or damaged');
      else if (bytes.length * 1.34 > LONGEST_PICTURE) fault(file ?? '', 'is too large a picture');
      else if (!BEGINS[kind]?.(bytes)) fault(file ?? '', 'is not the picture its name says');
      else return [{ id, buildId, item, on, dataUrl: dataUrlOf(kind === 'jpg' ? 'jpeg' : kind, bytes) }];
      return [];
    });
    const there = new Set(
      await db.photos
        .where('id')
        .anyOf(found.map((p) => p.id))
        .primaryKeys(),
    );
    const fresh = found.filter((p, i) => !there.has(p.id) && found.findIndex((q) => q.id === p.id) === i);
    if (fresh.length > 0) await db.photos.bulkAdd(fresh);
    restored.photos += fresh.length;
    progress(0.8 + (0.2 * Math.min(heads.length, from + AT_ONCE)) / heads.length);
    await breathe();
  }
}
