import { Dexie, type EntityTable } from 'dexie';
import type { Build, Part } from '@sprocket/core';

interface Setting {
  key: string;
  value: string;
}

/** The browser's store: builds as they are, the person's own parts, and a few settings. */
export const db = new Dexie('jolly-sprocket') as Dexie & {
  builds: EntityTable<Build, 'id'>;
  parts: EntityTable<Part, 'id'>;
  settings: EntityTable<Setting, 'key'>;
};

db.version(1).stores({ builds: 'id, name, updatedAt', parts: 'id, kind', settings: 'key' });

export async function readSetting(key: string): Promise<string | undefined> {
  return (await db.settings.get(key))?.value;
}

export async function writeSetting(key: string, value: string): Promise<void> {
  await db.settings.put({ key, value });
}
