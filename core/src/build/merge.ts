import equal from 'fast-deep-equal';
import type { Build } from './build.ts';

/** A step to a value within a build: a field's name, a place in a row, or the name an entry of a row goes by. */
export type MergeStep = string | number | { key: string };

/** One value changed to two different ones, on two sides. */
export interface Clash {
  path: MergeStep[];
  /** As each side has it; undefined where a side took it away. */
  mine: unknown;
  theirs: unknown;
}

/** Two versions of a build made one. */
export interface Merge {
  build: Build;
  /** Values changed on both sides: `build` holds mine. */
  clashes: Clash[];
}

type Branch = Record<string, unknown>;

/** What changes with every writing and belongs to nobody's edit. */
const STAMPS = new Set(['revision', 'updatedAt', 'createdAt', 'version', 'schema', 'id']);
/** Values that are one thing: half of one side's and half of the other's would be neither's. */
const WHOLE = new Set(['brief.route', 'choice.packSpot', 'donor.inside', 'donor.mainTubePath', 'donor.freeFrame']);

/** What follows from the rest and is worked out anew from it: two answers are no quarrel. */
const FOLLOWS = new Set(['tuned.rides']);

const isBranch = (value: unknown): value is Branch =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A path of plain steps as text; one that goes through a row's entry has none. */
const dotted = (path: readonly MergeStep[]): string =>
  path.every((step) => typeof step !== 'object') ? path.join('.') : '';

/** A measurement, a tyre or an answer goes with how it was come by. */
const isWhole = (path: readonly MergeStep[], value: unknown): boolean =>
  WHOLE.has(dotted(path)) || (isBranch(value) && ('provenance' in value || 'beadM' in value));

/** The name an entry of a row goes by; null for rows whose entries have none. */
export function keyOf(entry: unknown): string | null {
  if (!isBranch(entry)) return null;
  if (typeof entry.rule === 'string' && typeof entry.subject === 'string') return `${entry.rule} ${entry.subject}`;
  return typeof entry.id === 'string' ? entry.id : null;
}

/** Names of all entries of a row; null where one has none, or two share one. */
function keysOf(row: readonly unknown[]): string[] | null {
  const keys = row.map(keyOf);
  return keys.includes(null) || new Set(keys).size < keys.length ? null : (keys as string[]);
}

/**
 * Makes two versions of a build one: what only one side changed since `base` is taken from that side, down to
 * single fields, and entries of rows that have names. Where both changed the same value differently, mine stays
 * and the clash is told with both. Stamps (revision, times) are theirs. Pure; unchanged parts keep their identity.
 * @param base what both sides began from
 */
export function mergeBuilds(base: Build, mine: Build, theirs: Build): Merge {
  const clashes: Clash[] = [];
  const build = merge(base, mine, theirs, [], clashes) as Build;
  return { build, clashes };
}

function merge(base: unknown, mine: unknown, theirs: unknown, path: MergeStep[], clashes: Clash[]): unknown {
  const last = path.at(-1);
  if (path.length === 1 && typeof last === 'string' && STAMPS.has(last)) return theirs;
  if (equal(base, theirs) || equal(mine, theirs)) return mine;
  if (equal(base, mine)) return theirs;
  if (FOLLOWS.has(dotted(path))) return mine;
  if (isBranch(mine) && isBranch(theirs) && !isWhole(path, mine) && !isWhole(path, theirs))
    return mergeBranch(isBranch(base) ? base : {}, mine, theirs, path, clashes);
  if (Array.isArray(mine) && Array.isArray(theirs) && Array.isArray(base) && !WHOLE.has(dotted(path))) {
    const merged = mergeRows(base, mine, theirs, path, clashes);
    if (merged) return merged;
  }
  clashes.push({ path, mine, theirs });
  // What one side took away and the other worked on is not lost with it.
  return mine === undefined ? theirs : mine;
}

function mergeBranch(base: Branch, mine: Branch, theirs: Branch, path: MergeStep[], clashes: Clash[]): Branch {
  const merged: Branch = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const value = merge(base[key], mine[key], theirs[key], [...path, key], clashes);
    if (value !== undefined) merged[key] = value;
  }
  return merged;
}

/** Rows by the names of their entries, else place by place where nothing was taken out; null where neither will do. */
function mergeRows(
  base: readonly unknown[],
  mine: readonly unknown[],
  theirs: readonly unknown[],
  path: MergeStep[],
  clashes: Clash[],
): unknown[] | null {
  const names = [base, mine, theirs].map(keysOf);
  const [of, my, their] = names;
  if (of && my && their) {
    const find = (row: readonly unknown[], keys: readonly string[], key: string): unknown => row[keys.indexOf(key)];
    return [...new Set([...their, ...my])].flatMap((key) => {
      const value = merge(
        find(base, of, key),
        find(mine, my, key),
        find(theirs, their, key),
        [...path, { key }],
        clashes,
      );
      return value === undefined ? [] : [value];
    });
  }
  if (mine.length < base.length || theirs.length < base.length) return null;
  return [
    ...base.map((value, i) => merge(value, mine[i], theirs[i], [...path, i], clashes)),
    ...theirs.slice(base.length),
    ...mine.slice(base.length).filter((added) => !theirs.slice(base.length).some((other) => equal(added, other))),
  ];
}

/** A build with one value put in its place, or taken away where it is undefined. Steps that lead nowhere change nothing. */
export function withValueAt(build: Build, path: readonly MergeStep[], value: unknown): Build {
  return put(build, path, value) as Build;
}

function put(here: unknown, [step, ...rest]: readonly MergeStep[], value: unknown): unknown {
  if (step === undefined) return value;
  if (Array.isArray(here)) {
    const found = typeof step === 'object' ? here.findIndex((entry) => keyOf(entry) === step.key) : Number(step);
    const at = found < 0 ? here.length : found;
    if (at >= here.length && rest.length > 0) return here;
    const next = put(here[at], rest, value);
    return next === undefined ? here.filter((_, i) => i !== at) : [...here.slice(0, at), next, ...here.slice(at + 1)];
  }
  if (!isBranch(here) || typeof step === 'object') return here;
  const next = put(here[step], rest, value);
  if (next !== undefined) return { ...here, [step]: next };
  return Object.fromEntries(Object.entries(here).filter(([key]) => key !== step));
}
