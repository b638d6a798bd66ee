import type { ReadProblem } from '@sprocket/core';
import { BlobReader, configure, ZipReader, type Entry, type FileEntry } from '@zip.js/zip.js/lib/zip-core-native.js';
import { Unzip, UnzipInflate, UnzipPassThrough } from 'fflate';
import { breathe, type Progress } from './backup.ts';

// The page's policy runs no worker made of text, and a backup is read once in a while.
configure({ useWebWorkers: false });

/** Largest zip, file within one and number of files that are read: past any bench, short of what hangs a browser. */
export const LARGEST_ZIP = 2_000_000_000;
const LARGEST_FILE = 200_000_000;
const LARGEST_WHOLE = 3_000_000_000;
const MOST_FILES = 50_000;
/** Files read between two breaths. */
const AT_ONCE = 50;

/** Files of an archive by their names, and what is wrong with it, file by file. */
export interface Unpacked {
  files: Map<string, Uint8Array>;
  faults: ReadProblem[];
}

/**
 * Everything of a zip that is sound: each file's checksum is looked at, and one that does not agree is told by its name
 * and not taken. Of a torn archive, which has lost its list of contents at its end, whatever comes before the tear.
 */
export async function unpacked(zip: Blob, progress: Progress): Promise<Unpacked> {
  let entries: Entry[];
  try {
    entries = await new ZipReader(new BlobReader(zip)).getEntries({ filenameValidation: 'tolerant' });
  } catch {
    return salvaged(zip, progress);
  }
  const files = new Map<string, Uint8Array>();
  const faults: ReadProblem[] = [];
  const seen = new Set<string>();
  let whole = 0;
  if (entries.length > MOST_FILES)
    faults.push({ path: '(zip)', message: `has ${entries.length} files; the first ${MOST_FILES} were read` });
  for (const [i, entry] of entries.slice(0, MOST_FILES).entries()) {
    const path = entry.filename;
    if (entry.directory) continue;
    if (seen.has(path)) faults.push({ path, message: 'stands in the archive twice; the first was read' });
    // Names are names here, never places on a disk; one that leads elsewhere comes from no bench all the same.
    else if (/(^|[\\/])\.\.([\\/]|$)|^[\\/]/.test(path)) faults.push({ path, message: 'lies outside of the archive' });
    else if (entry.encrypted) faults.push({ path, message: 'is encrypted' });
    else {
      const bytes = await bytesOf(entry, Math.min(LARGEST_FILE, LARGEST_WHOLE - whole));
      if (typeof bytes === 'string') faults.push({ path, message: bytes });
      else {
        files.set(path, bytes);
        whole += bytes.length;
      }
    }
    seen.add(path);
    if (i % AT_ONCE === AT_ONCE - 1) {
      progress((i + 1) / entries.length);
      await breathe();
    }
  }
  return { files, faults };
}

class TooLarge extends Error {}

/** A file's bytes as its checksum says they are; or what is wrong with it. */
async function bytesOf(entry: FileEntry, largest: number): Promise<Uint8Array | string> {
  const parts: Uint8Array[] = [];
  let size = 0;
  const sink = new WritableStream<Uint8Array>({
    write(chunk) {
      size += chunk.length;
      // What it says of its own size is not trusted.
      if (size > largest) throw new TooLarge();
      parts.push(chunk);
    },
  });
  try {
    await entry.getData(sink, { checkSignature: true });
  } catch {
    return size > largest ? 'is larger than any bench' : 'is damaged: its checksum does not agree';
  }
  return joined(parts, size);
}

/** What can be read of a torn archive from its beginning on, without its list of contents. */
async function salvaged(zip: Blob, progress: Progress): Promise<Unpacked> {
  const files = new Map<string, Uint8Array>();
  const faults: ReadProblem[] = [];
  const begun = new Set<string>();
  let whole = 0;
  const unzip = new Unzip((file) => {
    if (file.name.endsWith('/')) return;
    if (begun.has(file.name)) {
      faults.push({ path: file.name, message: 'stands in the archive twice; the first was read' });
      return;
    }
    if (begun.size >= MOST_FILES) return;
    begun.add(file.name);
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
      progress(read / zip.size);
      await breathe();
    }
    unzip.push(new Uint8Array(0), true);
  } catch {
    // The tear: told below.
  }
  faults.push({ path: '(zip)', message: 'breaks off or is damaged; what came before the damage was read' });
  const known = new Set([...files.keys(), ...faults.map((f) => f.path)]);
  for (const path of begun) if (!known.has(path)) faults.push({ path, message: 'breaks off' });
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
