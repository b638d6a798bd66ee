import { keyOf, type MergeStep } from '../build/merge.ts';
import type { Build } from '../build/build.ts';
import { faultsOfChange, readBuild, type BuildFault } from './buildFile.ts';

/** A part of a build that could not be kept, and why: as it was to be, so that whoever wrote it can take it up again. */
export interface Refused {
  path: MergeStep[];
  message: string;
  value: unknown;
}

/** What came through the gate. */
export interface Admitted {
  /** Readable, whatever was asked: each part refused is as it was before. */
  build: Build;
  refused: Refused[];
}

/** Repairs after which a change is refused as a whole. */
const MOST_REPAIRS = 400;

/**
 * The one gate before every writing: a build that came of readable ones, by an edit, an import, a merge or a tuning, is
 * looked at as its file would be read. Whatever could not be read again is put back as it was and told of with its
 * place; all else is kept. What none of `known` has is all that is looked at. Never throws.
 * @param before the build as it was: what is refused goes back to it
 * @param after as it is to be
 * @param known further builds known to be readable, whose parts need no second look
 */
export function admitted(before: Build, after: Build, known: readonly Build[] = []): Admitted {
  const sound = [before, ...known];
  const refused: Refused[] = [];
  const tries = new Map<string, number>();
  let build = after;
  try {
    for (let repairs = 0; repairs < MOST_REPAIRS; repairs++) {
      const [fault] = faultsOfChange(sound, build);
      if (!fault) return { build, refused };
      const place = JSON.stringify(fault.path.map(String));
      // A place that is faulty again once put back is faulty for what surrounds it: that is put back instead.
      const earlier = tries.get(place) ?? 0;
      tries.set(place, earlier + 1);
      build = putBack(before, build, fault, fault.path.length - earlier, refused);
    }
  } catch {
    // Not even its shape can be looked at.
  }
  return { build: before, refused: [{ path: [], message: 'cannot be kept', value: after }] };
}

/** A build that came from elsewhere, as a whole: its first problem where it cannot be read again. */
export function readable(build: Build): string | null {
  const read = readBuild(build);
  const [first] = read.ok ? [] : read.problems;
  return first ? `${first.path}: ${first.message}` : null;
}

type Branch = Record<string, unknown>;
const isBranch = (value: unknown): value is Branch =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The build with one faulty place as it was before, or without it where it was not there. */
function putBack(before: Build, build: Build, fault: BuildFault, depth: number, refused: Refused[]): Build {
  const steps = fault.path.slice(0, Math.max(0, depth));
  if (steps.length === 0) {
    refused.push({ path: [], message: fault.message, value: build });
    return before;
  }
  return put(before, build, steps, [], fault, refused) as Build;
}

function put(
  was: unknown,
  is: unknown,
  [step, ...rest]: readonly PropertyKey[],
  path: MergeStep[],
  fault: BuildFault,
  refused: Refused[],
): unknown {
  const say = (at: MergeStep[], value: unknown): void => {
    refused.push({ path: at, message: fault.message, value });
  };
  if (step === undefined) {
    // A row that has grown too long loses what came last, an entry told of each.
    if (fault.most !== undefined && Array.isArray(is) && Array.isArray(was) && was.length <= fault.most)
      return shortened(was, is, fault.most, (entry) => say([...path, stepTo(entry, is)], entry));
    say(path, is);
    return was;
  }
  if (Array.isArray(is)) {
    const entry: unknown = is[Number(step)];
    const there = partner(was, is, Number(step));
    const here = [...path, stepTo(entry, is)];
    const stays = there === undefined || !isBranch(entry) || !isBranch(there) || rest.length === 0;
    if (stays) say(here, entry);
    const next = stays ? there : put(there, entry, rest, here, fault, refused);
    return next === undefined
      ? is.filter((_, i) => i !== Number(step))
      : is.map((e, i) => (i === Number(step) ? next : e));
  }
  if (!isBranch(is)) {
    say(path, is);
    return was;
  }
  const key = String(step);
  const there = isBranch(was) && Object.hasOwn(was, key) ? was[key] : undefined;
  const here = [...path, key];
  const entry = is[key];
  const goesOn =
    rest.length > 0 && typeof there === 'object' && there !== null && typeof entry === 'object' && entry !== null;
  const ends = rest.length === 0 && there !== undefined;
  if (!goesOn && !ends) say(here, entry);
  const next = goesOn || ends ? put(there, entry, rest, here, fault, refused) : there;
  if (next !== undefined) return { ...is, [key]: next };
  return Object.fromEntries(Object.entries(is).filter(([k]) => k !== key));
}

/** A row's own step to one of its entries: by the name it goes by, else by its place. */
const stepTo = (entry: unknown, row: readonly unknown[]): MergeStep => {
  const key = keyOf(entry);
  return key === null ? row.indexOf(entry) : { key };
};

/** What an entry of a row was before: the one of its name, or at its place where the row only changed there. */
function partner(was: unknown, is: readonly unknown[], at: number): unknown {
  if (!Array.isArray(was)) return undefined;
  const key = keyOf(is[at]);
  if (key !== null) return was.find((entry) => keyOf(entry) === key) as unknown;
  return was.length === is.length ? (was[at] as unknown) : undefined;
}

/** A row without its last new entries, as many as it has too many. */
function shortened(
  was: readonly unknown[],
  is: readonly unknown[],
  most: number,
  say: (entry: unknown) => void,
): unknown[] {
  const old = new Set(was);
  const names = new Set(was.map(keyOf).filter((key) => key !== null));
  const isOld = (entry: unknown): boolean => old.has(entry) || names.has(keyOf(entry) ?? '');
  let over = is.length - most;
  const out = new Set<number>();
  for (let i = is.length - 1; i >= 0 && over > 0; i--)
    if (!isOld(is[i])) {
      out.add(i);
      over--;
    }
  is.forEach((entry, i) => {
    if (out.has(i)) say(entry);
  });
  return is.filter((_, i) => !out.has(i));
}
