import type { Build } from '../build/build.ts';
import { entriesOf } from '../build/log.ts';

/** What builds tell of a part: of so many that have it, so many wanted the same cure. */
export interface Lesson {
  part: string;
  fault: string | null;
  /** What was wrong, and what cured it, in the words of whoever wrote it down first. */
  what: string;
  cure: string;
  /** Builds that had it, of those with the part. */
  of: { id: string; name: string }[];
  having: number;
}

/** Parts a build has by its choice and wiring: what a fault can be of. */
export function partsOf(build: Build): Set<string> {
  const { choice, wiring, proving } = build;
  const parts = new Set<string>();
  const add = (id: string | null | undefined): void => {
    if (id) parts.add(id);
  };
  add(choice.kitId);
  add(choice.packId);
  add(choice.ringId);
  add(choice.clusterId);
  add(choice.hubGearId);
  Object.values(wiring.parts).forEach(add);
  add(wiring.levers.left.part);
  add(wiring.levers.right.part);
  proving.repairs.forEach((r) => r.takes.forEach((t) => add(t.part)));
  build.fixes.forEach((f) => add(f.subject));
  for (const f of entriesOf(build.log, 'fault')) add(f.part);
  return parts;
}

interface Told {
  line: string;
  part: string;
  fault: string | null;
  what: string;
  cure: string;
}

/** What a build’s log and its searches tell of its parts; a search that cured tells of the kit, unless a line says otherwise. */
function toldBy(build: Build): Told[] {
  const lines = entriesOf(build.log, 'fault');
  const fromLines = lines.flatMap((f) =>
    f.part === null ? [] : [{ line: f.id, part: f.part, fault: f.fault, what: f.what, cure: f.cure }],
  );
  const inLines = new Set(lines.flatMap((f) => (f.search === null ? [] : [f.search])));
  const { kitId } = build.choice;
  const fromSearches = build.proving.searches.flatMap((s) =>
    s.ended?.cured && s.ended.fault !== null && kitId !== null && !inLines.has(s.id)
      ? [{ line: s.id, part: kitId, fault: s.ended.fault, what: '', cure: s.ended.repair ?? '' }]
      : [],
  );
  return [...fromLines, ...fromSearches];
}

/** Words without what sets two hands apart: case, spaces, full stops. */
const same = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{N} ]/gu, '')
    .replace(/\s+/g, ' ')
    .trim();

/**
 * Lessons of all builds by part, the most frequent first: a fault counts once a build, however often it came, and a cure
 * is the same where fault and words are.
 */
export function lessonsOf(builds: readonly Build[]): Lesson[] {
  const having = new Map<string, number>();
  for (const build of builds) for (const part of partsOf(build)) having.set(part, (having.get(part) ?? 0) + 1);
  const found = new Map<string, Lesson>();
  // A copy of a build brings the lines of the one it was copied from: each line teaches once.
  const seen = new Set<string>();
  for (const build of builds)
    for (const { line, part, fault, what, cure } of toldBy(build)) {
      if (seen.has(line)) continue;
      seen.add(line);
      const key = `${part}|${fault ?? same(what)}|${fault === null ? same(cure) : ''}`;
      const lesson = found.get(key) ?? { part, fault, what, cure, of: [], having: having.get(part) ?? 1 };
      if (lesson.what === '') lesson.what = what;
      if (lesson.cure === '') lesson.cure = cure;
      if (!lesson.of.some((b) => b.id === build.id)) lesson.of.push({ id: build.id, name: build.name });
      found.set(key, lesson);
    }
  return [...found.values()].sort(
    (a, b) => b.of.length - a.of.length || a.part.localeCompare(b.part) || a.what.localeCompare(b.what),
  );
}

/** How much likelier a fault is on a build with parts that others had it with: one more in so many is a step, never past fivefold. Source: project. */
const MOST = 5;

/** Odds of the finder’s faults by what builds with the same parts had; this build’s own history counts elsewhere. */
export function likelierByOthers(build: Build, lessons: readonly Lesson[]): Record<string, number> {
  const parts = partsOf(build);
  const out: Record<string, number> = {};
  for (const { part, fault, of, having } of lessons) {
    const others = of.filter((b) => b.id !== build.id).length;
    if (fault === null || others === 0 || !parts.has(part)) continue;
    // One of one is a hint, three of three near the most: the share with two builds without it thought in.
    const share = others / (Math.max(having, others) + 2);
    out[fault] = Math.max(out[fault] ?? 1, 1 + (MOST - 1) * share);
  }
  return out;
}
