import { BUILD_SCHEMA, BUILD_VERSION, newBuild, type Build } from '../build/build.ts';
import { dottedPath, type ReadProblem } from '../reading/problems.ts';
import { faultsOf, readBuild } from './buildFile.ts';
import { headOf } from './head.ts';
import { broughtUpToDate } from './migrate.ts';

/** A damaged build made readable, and each place where something was given up for it. */
export interface Mended {
  build: Build;
  /** Where, and what was wrong there. Empty where nothing was. */
  lost: ReadProblem[];
}

type Branch = Record<string, unknown>;

/** Repairs after which a document is given up as a whole. */
const MOST_REPAIRS = 400;

const isBranch = (value: unknown): value is Branch => typeof value === 'object' && value !== null;

/**
 * Makes a build of whatever is left of one: each faulty value goes back to what an empty build has there, an entry
 * of a list or survey that cannot be understood is taken out, what a list has too many is left off, and all else stays. Never throws.
 * @param given what was kept or read; @param id name it is kept by; @param now ISO date and time
 */
export function mendBuild(given: unknown, id: string, now: string): Mended {
  const kept = copyOf(given);
  const plain = newBuild(id, headOf(kept).name.slice(0, 120), now);
  const sound = readBuild(kept);
  if (sound.ok) return { build: sound.value, lost: [] };
  const lost: ReadProblem[] = [];
  const document = startOf(kept, plain, lost);
  const tries = new Map<string, number>();
  for (let repairs = 0; repairs < MOST_REPAIRS; repairs++) {
    const faults = faultsOf(document);
    const fault = faults[0];
    if (fault === undefined) {
      const read = readBuild(document);
      if (read.ok) return { build: read.value, lost };
      break;
    }
    const place = dottedPath(fault.path);
    // A place that is faulty again once repaired is faulty for what surrounds it: that is repaired instead.
    const before = tries.get(place) ?? 0;
    tries.set(place, before + 1);
    if (before === 0) lost.push({ path: place, message: fault.message });
    if (fault.most !== undefined && before === 0) shorten(document, fault.path, fault.most);
    else repair(document, plain as unknown as Branch, fault.path.slice(0, Math.max(1, fault.path.length - before)));
  }
  return { build: plain, lost: [...lost, { path: '(document)', message: 'too little of it can be understood' }] };
}

/** A plain copy; null of what cannot be written down. */
function copyOf(given: unknown): unknown {
  try {
    return JSON.parse(JSON.stringify(given));
  } catch {
    return null;
  }
}

/** The document to repair: what was kept, brought up to date where it is old and sound enough for that. */
function startOf(kept: unknown, plain: Build, lost: ReadProblem[]): Branch {
  let copy = kept;
  if (!isBranch(copy) || Array.isArray(copy)) {
    lost.push({ path: '(document)', message: 'not a build at all' });
    return { ...plain };
  }
  const version = copy.version;
  if (typeof version === 'number' && version < BUILD_VERSION) {
    try {
      const today = broughtUpToDate(copy, version);
      if (isBranch(today)) copy = today;
    } catch {
      lost.push({ path: 'version', message: `of version ${version}, and too damaged to be brought up to date whole` });
    }
  } else if (version !== BUILD_VERSION) {
    lost.push({ path: 'version', message: 'not a version this one knows; read as if it were its own' });
  }
  return { ...(copy as Branch), schema: BUILD_SCHEMA, version: BUILD_VERSION };
}

/** Keeps of a row that is too long as many entries as it may have. */
function shorten(document: Branch, path: readonly PropertyKey[], most: number): void {
  const row = path.reduce<unknown>((here, key) => (isBranch(here) ? here[key as string] : undefined), document);
  if (Array.isArray(row)) row.length = most;
}

/** Puts right what stands at a path: as an empty build has it, or not at all. */
function repair(document: Branch, plain: Branch, path: readonly PropertyKey[]): void {
  let here: unknown = document;
  let there: unknown = plain;
  for (const key of path.slice(0, -1)) {
    here = isBranch(here) ? here[key as string] : undefined;
    there = isBranch(there) ? there[key as string] : undefined;
  }
  const last = path.at(-1) as string | number | undefined;
  if (last === undefined || !isBranch(here)) return;
  if (Array.isArray(here)) here.splice(Number(last), 1);
  else if (isBranch(there) && last in there) here[last] = JSON.parse(JSON.stringify(there[last])) as unknown;
  else Reflect.deleteProperty(here, last);
}
