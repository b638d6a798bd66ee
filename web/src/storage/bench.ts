import { headOf, type BuildHead, type BuildSummary, type Part } from '@sprocket/core';
import { db, type KeptLine } from './db.ts';

/** A build as its line on the bench shows it. */
export interface BenchLine extends BuildHead {
  id: string;
  updatedAt: string;
  /** How it stands; null while it is being worked out, and where it cannot be. */
  summary: BuildSummary | null;
  /** Why it cannot be read or planned, in words; null where it can, or where nobody knows yet. */
  fault: string | null;
  /** To be worked out anew. */
  stale: boolean;
}

/** What is worked out for a line. */
export type LineWork = Pick<KeptLine, 'head' | 'summary' | 'fault'>;

/** What a build's line hangs on: its last edit, the person's own parts, and the code that judges. */
export function madeOf(updatedAt: string, own: readonly Part[], version: string): string {
  return `${updatedAt}|${own.length === 0 ? '' : hash(JSON.stringify(own))}|${version}`;
}

/** A short name for a text: FNV-1a, 32 bits. Two shelves that share one by chance cost a stale line, no more. */
function hash(text: string): string {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return (h >>> 0).toString(36);
}

/**
 * All builds as lines, the last edited first. Kept lines are enough for those that are up to date: only the keys of
 * their builds are read, so that a bench of hundreds opens at once. Nothing here trusts what a build holds.
 */
export async function benchLines(own: readonly Part[], version: string): Promise<BenchLine[]> {
  const [ids, ages, kept] = await Promise.all([db.builds.toCollection().primaryKeys(), readAges(), db.lines.toArray()]);
  const lines = new Map(kept.map((line) => [line.id, line]));
  const isStale = (id: string): boolean => lines.get(id)?.madeOf !== madeOf(ages.get(id) ?? '', own, version);
  const changed = ids.filter(isStale);
  const heads = new Map((await db.builds.bulkGet(changed)).map((raw, i) => [changed[i] as string, headOf(raw)]));
  return ids
    .map((id): BenchLine => {
      const line = lines.get(id);
      const head = heads.get(id) ?? line?.head ?? headOf(null);
      return {
        id,
        ...head,
        updatedAt: ages.get(id) ?? '',
        summary: line?.summary ?? null,
        fault: line?.fault ?? null,
        stale: heads.has(id),
      };
    })
    .sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : a.updatedAt > b.updatedAt ? -1 : 0));
}

/** When each build was last edited, from the index alone. */
async function readAges(): Promise<Map<string, string>> {
  const ages = new Map<string, string>();
  await db.builds.orderBy('updatedAt').eachKey((updatedAt, { primaryKey }) => {
    if (typeof updatedAt === 'string') ages.set(primaryKey, updatedAt);
  });
  return ages;
}

/** How many lines are kept at once while many are worked out: each time brings the whole list round again. */
const AT_ONCE = 8;

/**
 * Works lines out, one after another, and keeps them. A build that cannot be planned is kept with why: the others
 * still get theirs, and it is not tried again until something about it changes.
 * @param work a line from what is kept of a build and the person's own parts, off the page
 * @param wanted asked before each: false ends the round
 */
export async function refreshLines(
  lines: readonly Pick<BenchLine, 'id' | 'updatedAt'>[],
  own: readonly Part[],
  version: string,
  work: (kept: unknown, own: readonly Part[]) => Promise<LineWork>,
  wanted: () => boolean = () => true,
): Promise<void> {
  let made: KeptLine[] = [];
  const keep = async (): Promise<void> => {
    if (made.length > 0) await db.lines.bulkPut(made);
    made = [];
  };
  for (const [i, { id, updatedAt }] of lines.entries()) {
    if (!wanted()) break;
    const kept: unknown = await db.builds.get(id);
    if (kept === undefined) continue;
    const found = await worked(work, kept, own);
    made.push({ id, madeOf: madeOf(updatedAt, own, version), ...found });
    // The first few as they come, so that something is seen at once.
    if (i < AT_ONCE || made.length >= AT_ONCE) await keep();
  }
  await keep();
}

async function worked(
  work: (kept: unknown, own: readonly Part[]) => Promise<LineWork>,
  kept: unknown,
  own: readonly Part[],
): Promise<LineWork> {
  try {
    return await work(kept, own);
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return { head: headOf(kept), summary: null, fault: `It cannot be worked out: ${why}.` };
  }
}
