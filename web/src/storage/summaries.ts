import type { Build, BuildSummary, Part } from '@sprocket/core';
import { db, type KeptSummary } from './db.ts';

/** What a build's line hangs on: its last edit, the person's own parts, and the code that judges. */
export function madeOf(build: Pick<Build, 'updatedAt'>, own: readonly Part[], version: string): string {
  return `${build.updatedAt}|${own.length === 0 ? '' : hash(JSON.stringify(own))}|${version}`;
}

/** A short name for a text: FNV-1a, 32 bits. Two shelves that share one by chance cost a stale line, no more. */
function hash(text: string): string {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return (h >>> 0).toString(36);
}

/** The builds whose kept line is missing or no longer true, in the order given. */
export function stale(
  builds: readonly Build[],
  kept: ReadonlyMap<string, KeptSummary>,
  own: readonly Part[],
  version: string,
): Build[] {
  return builds.filter((build) => kept.get(build.id)?.madeOf !== madeOf(build, own, version));
}

/**
 * Works the stale lines out, one after another, and keeps each as it comes. A build that cannot be planned is
 * passed over: the others still get theirs.
 * @param work a line from a build and the person's own parts, off the page
 * @param wanted asked before each: false ends the round
 */
export async function refreshSummaries(
  builds: readonly Build[],
  own: readonly Part[],
  version: string,
  work: (build: Build, own: readonly Part[]) => Promise<BuildSummary>,
  wanted: () => boolean = () => true,
): Promise<void> {
  for (const build of builds) {
    if (!wanted()) return;
    try {
      const summary = await work(build, own);
      await db.summaries.put({ id: build.id, madeOf: madeOf(build, own, version), summary });
    } catch {
      // Its row stays as it was; the list does not wait for it.
    }
  }
}

/** Lines of builds that are no longer there. Run at the start. */
export async function dropOrphanSummaries(): Promise<void> {
  const kept = new Set(await db.builds.toCollection().primaryKeys());
  const gone = (await db.summaries.toCollection().primaryKeys()).filter((id) => !kept.has(id));
  if (gone.length > 0) await db.summaries.bulkDelete(gone);
}
