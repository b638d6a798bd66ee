import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { db, type BuildPhoto } from './db.ts';

/** What a backup calls itself, and the newest form this app reads. */
export const SCHEMA = 'jolly-sprocket/backup';
export const VERSION = 1;

/** Told now and then how far along a backup is, from 0 to 1. */
export type Progress = (share: number) => void;

/** A photo's own part of a backup; its picture lies beside. */
export type PhotoHead = Omit<BuildPhoto, 'dataUrl'> & { file: string };

const encoder = new TextEncoder();

/** Lets the page breathe between pieces of a long work. */
export const breathe = (): Promise<void> => new Promise((done) => setTimeout(done));

/** A picture text as bytes with their kind; null where it is none. */
function bytesOf(dataUrl: string): { kind: string; bytes: Uint8Array } | null {
  const found = /^data:image\/(jpeg|png|webp);base64,(.*)$/s.exec(dataUrl);
  if (!found) return null;
  let text: string;
  try {
    text = atob(found[2] ?? '');
  } catch {
    return null;
  }
  return { kind: found[1] ?? '', bytes: Uint8Array.from(text, (c) => c.charCodeAt(0)) };
}

/**
 * Writes the whole bench, or some of its builds with their photos, into one zip: a file a build and a picture, all in
 * open formats. Builds that cannot be read go in as they are.
 * @param only ids of builds; left out, everything: parts, roads, settings and the bin too
 */
export async function writeBackup(progress: Progress = () => undefined, only?: readonly string[]): Promise<Blob> {
  const chunks: BlobPart[] = [];
  let fault: Error | null = null;
  const zip = new Zip((error, chunk) => {
    if (error) fault = error;
    // A copy of its own: a Blob does not hold on to what may be written over.
    else chunks.push(chunk.slice());
  });
  const add = (name: string, bytes: Uint8Array, packed: boolean): void => {
    const file = packed ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    zip.add(file);
    file.push(bytes, true);
  };
  const addJson = (name: string, value: unknown): void => {
    add(name, encoder.encode(JSON.stringify(value, null, 1) + '\n'), true);
  };
  const all = await db.builds.toCollection().primaryKeys();
  const ids = only ? all.filter((id) => only.includes(id)) : all;
  const photoIds = only
    ? await db.photos
        .where('buildId')
        .anyOf([...only])
        .primaryKeys()
    : await db.photos.toCollection().primaryKeys();
  addJson('backup.json', {
    schema: SCHEMA,
    version: VERSION,
    madeAt: new Date().toISOString(),
    builds: ids.length,
    photos: photoIds.length,
  });
  const steps = ids.length + photoIds.length || 1;
  let done = 0;
  const step = async (): Promise<void> => {
    progress(++done / steps);
    if (done % 8 === 0) await breathe();
  };
  for (const [i, id] of ids.entries()) {
    addJson(`builds/${i + 1}.json`, await db.builds.get(id));
    await step();
  }
  const heads: PhotoHead[] = [];
  /** Photos that are no pictures: as they are, since a backup leaves nothing out. */
  const unread: BuildPhoto[] = [];
  for (const [i, id] of photoIds.entries()) {
    const photo = await db.photos.get(id);
    const picture = photo ? bytesOf(photo.dataUrl) : null;
    if (photo && picture) {
      const file = `photos/${i + 1}.${picture.kind === 'jpeg' ? 'jpg' : picture.kind}`;
      heads.push({ id: photo.id, buildId: photo.buildId, item: photo.item, on: photo.on, file });
      add(file, picture.bytes, false);
    } else if (photo) unread.push(photo);
    await step();
  }
  addJson('photos.json', heads);
  if (unread.length > 0) addJson('unread.json', unread);
  if (!only) {
    addJson('parts.json', await db.parts.toArray());
    addJson('roads.json', await db.routes.toArray());
    addJson('settings.json', await db.settings.toArray());
    addJson('bin.json', await db.bin.toArray());
    addJson('aside.json', await db.aside.toArray());
  }
  zip.end();
  // Set by a callback, which the compiler does not see.
  const failed = fault as Error | null;
  if (failed) throw failed;
  return new Blob(chunks, { type: 'application/zip' });
}
