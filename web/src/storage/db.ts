import { Dexie, type EntityTable, type Transaction } from 'dexie';
import {
  readBuild,
  type Build,
  type BuildHead,
  type BuildSummary,
  type Clash,
  type Part,
  type Refused,
  type Route,
} from '@sprocket/core';

/** A photo of one survey item. */
export interface BuildPhoto {
  id: string;
  buildId: string;
  item: string;
  /** Day it was added. */
  on: string;
  dataUrl: string;
}

/** A build's line for the bench list, and what it was worked out from. */
export interface KeptLine {
  id: string;
  /** The build's age, the person's own parts and the judgement's version: another of any of them makes it stale. */
  madeOf: string;
  head: BuildHead;
  summary: BuildSummary | null;
  fault: string | null;
}

/** A deleted build, as it was: its photos stay with it until it is cleared away. */
export interface BinnedBuild {
  id: string;
  /** ISO date and time. */
  deletedAt: string;
  raw: unknown;
  /** How long it has waited, ms, of time that is believed; none where it was put in since that was last counted. */
  waitedMs?: number;
}

/** A value that two windows changed differently: the build holds `mine` until somebody decides. */
export interface KeptClash extends Clash {
  id: string;
  buildId: string;
}

/** Parts of a build that could not be kept in it, as they were to be: until somebody takes them up or lets them go. */
export interface KeptAside {
  id: string;
  buildId: string;
  /** ISO date and time. */
  at: string;
  parts: Refused[];
}

interface Setting {
  key: string;
  value: string;
}

/** The browser's store: builds as they are, the person's own parts, and a few settings. */
export const db = new Dexie('jolly-sprocket') as Dexie & {
  builds: EntityTable<Build, 'id'>;
  parts: EntityTable<Part, 'id'>;
  settings: EntityTable<Setting, 'key'>;
  photos: EntityTable<BuildPhoto, 'id'>;
  routes: EntityTable<Route, 'id'>;
  lines: EntityTable<KeptLine, 'id'>;
  bin: EntityTable<BinnedBuild, 'id'>;
  clashes: EntityTable<KeptClash, 'id'>;
  aside: EntityTable<KeptAside, 'id'>;
};

/** Builds kept by an older version are brought up to date as their files would be; one that cannot be read is left as it is. */
async function bringBuildsUpToDate(change: Transaction): Promise<void> {
  const kept = (await change.table('builds').toArray()) as { id: string }[];
  for (const build of kept) {
    const read = readBuild(build);
    if (read.ok) await change.table('builds').put(read.value);
  }
}

/** Index of a build's state: every writing has another. */
const BUILD_STATE = '[id+revision+updatedAt]';

db.version(1).stores({ builds: 'id, name, updatedAt', parts: 'id, kind', settings: 'key' });
db.version(2).stores({ photos: 'id, buildId, [buildId+item]' }).upgrade(bringBuildsUpToDate);

db.version(3).stores({ routes: 'id, name' });

db.version(4).stores({ summaries: 'id' }).upgrade(bringBuildsUpToDate);

// Lines of the bench carry the build's head and what is wrong with it; the old ones are worked out anew. What is
// deleted waits in the bin; what two windows changed differently waits for a decision.
db.version(5).stores({ summaries: null, lines: 'id', bin: 'id, deletedAt', clashes: 'id, buildId' });

// What the gate refuses of an edit or a merge waits beside its build. A build's state is told by its index alone, without
// reading years of rides.
db.version(6).stores({ builds: `id, name, updatedAt, ${BUILD_STATE}`, aside: 'id, buildId' });

/** Whether the store has just this state of a build still, told by its index alone. */
export const hasStill = async ({ id, revision, updatedAt }: Build): Promise<boolean> =>
  (await db.builds.where(BUILD_STATE).equals([id, revision, updatedAt]).count()) > 0;

/** A record of parts refused together, for the table they wait in. */
export function asideOf(buildId: string, parts: readonly Refused[]): KeptAside {
  return { id: crypto.randomUUID(), buildId, at: new Date().toISOString(), parts: [...parts] };
}

export async function readSetting(key: string): Promise<string | undefined> {
  const value: unknown = (await db.settings.get(key))?.value;
  return typeof value === 'string' ? value : undefined;
}

/** Days edited on since the last backup, and how many of them make a reminder. */
export const EDIT_DAYS = 'edit-days';
export const DAYS_TO_REMIND = 10;

/** Notes today as a day that was edited on. */
export async function noteEditDay(today: string): Promise<void> {
  const days = new Set((await readSetting(EDIT_DAYS))?.split(' ').filter((day) => day !== '') ?? []);
  if (days.has(today)) return;
  await writeSetting(EDIT_DAYS, [...days, today].slice(-400).join(' '));
}

export async function writeSetting(key: string, value: string): Promise<void> {
  await db.settings.put({ key, value });
}
