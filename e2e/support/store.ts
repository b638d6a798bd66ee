import type { OldStore } from '../../core/test/oldStores.ts';
import type { App } from './app.ts';

/** Fills the browser's store with builds up to a count: copies of the demo's, each a little heavier than the last. */
export async function fillBench(app: App, count: number): Promise<void> {
  await app.page.evaluate(async (wanted) => {
    // A method, since a named arrow would carry the compiler's helper into the page.
    const ask = {
      for<T>(request: IDBRequest<T>): Promise<T> {
        return new Promise((done, failed) => {
          request.onsuccess = () => done(request.result);
          request.onerror = () => failed(request.error ?? new Error('the store refused'));
        });
      },
    };
    const db = await ask.for(indexedDB.open('jolly-sprocket'));
    const builds = db.transaction('builds', 'readwrite').objectStore('builds');
    const kept = (await ask.for(builds.getAll())) as { id: string; name: string; brief: { cargoKg: number } }[];
    for (let i = kept.length; i < wanted; i++) {
      const from = kept[i % kept.length];
      if (!from) continue;
      const brief = { ...from.brief, cargoKg: from.brief.cargoKg + i / 10 };
      await ask.for(builds.put({ ...from, id: `${from.id}-${i}`, name: `${from.name} ${i}`, brief }));
    }
    db.close();
  }, count);
}

/** Puts records into a table of the browser's store as they are, past the app and its checks. */
export async function putRaw(app: App, table: string, records: readonly unknown[]): Promise<void> {
  await app.page.evaluate(
    async (name, rows) => {
      await new Promise<void>((done, failed) => {
        const opening = indexedDB.open('jolly-sprocket');
        opening.onerror = () => failed(new Error('the store does not open'));
        opening.onsuccess = () => {
          const db = opening.result;
          const change = db.transaction(name, 'readwrite');
          for (const row of rows) change.objectStore(name).put(row);
          change.oncomplete = () => {
            db.close();
            done();
          };
          change.onabort = () => failed(change.error ?? new Error('the store refused'));
        };
      });
    },
    table,
    records as never[],
  );
}

/** Lays a store as an older version had it into a browser that has none yet, before the app is opened. */
export async function layStore(app: App, { version, tables, rows }: OldStore): Promise<void> {
  // A page of the same address that runs nothing of the app.
  await app.page.goto(`${app.url}/mark.svg`);
  await app.page.evaluate(
    async (number, schemas, records) => {
      await new Promise<void>((done, failed) => {
        const opening = indexedDB.open('jolly-sprocket', number * 10);
        opening.onerror = () => failed(new Error('the store does not open'));
        opening.onupgradeneeded = () => {
          for (const [name, schema] of Object.entries(schemas)) {
            const [key = '', ...indexes] = schema.split(', ');
            const table = opening.result.createObjectStore(name, { keyPath: key });
            for (const index of indexes)
              table.createIndex(index, index.startsWith('[') ? index.slice(1, -1).split('+') : index);
          }
        };
        opening.onsuccess = () => {
          const change = opening.result.transaction(Object.keys(records), 'readwrite');
          for (const [name, list] of Object.entries(records)) for (const row of list) change.objectStore(name).put(row);
          change.oncomplete = () => {
            opening.result.close();
            done();
          };
          change.onabort = () => failed(change.error ?? new Error('the store refused'));
        };
      });
    },
    version,
    tables,
    rows as Record<string, never[]>,
  );
}

/** What a table of the browser's store holds. */
export async function getRaw(app: App, table: string): Promise<Record<string, unknown>[]> {
  return app.page.evaluate(
    (name) =>
      new Promise<Record<string, unknown>[]>((done, failed) => {
        const opening = indexedDB.open('jolly-sprocket');
        opening.onerror = () => failed(new Error('the store does not open'));
        opening.onsuccess = () => {
          const db = opening.result;
          const all = db.transaction(name).objectStore(name).getAll();
          all.onerror = () => failed(new Error('the store does not read'));
          all.onsuccess = () => {
            db.close();
            done(all.result as Record<string, unknown>[]);
          };
        };
      }),
    table,
  );
}

/** What a browser keeps for the app: the store's tables, row by row, and the two small stores beside it. */
export interface Kept {
  tables?: Record<string, unknown[]>;
  small?: Record<string, string>;
}

/** All that is kept, to be laid back with `layBack`. */
export async function keptOf(app: App): Promise<Kept> {
  return app.page.evaluate(
    () =>
      new Promise<Kept>((done, failed) => {
        const opening = indexedDB.open('jolly-sprocket');
        opening.onerror = () => failed(new Error('the store does not open'));
        opening.onsuccess = () => {
          const db = opening.result;
          const reading = db.transaction([...db.objectStoreNames]);
          const tables: Record<string, unknown[]> = {};
          for (const name of db.objectStoreNames) {
            const all = reading.objectStore(name).getAll();
            all.onsuccess = () => (tables[name] = all.result);
          }
          reading.onabort = () => failed(reading.error ?? new Error('the store does not read'));
          reading.oncomplete = () => {
            db.close();
            done({ tables, small: Object.fromEntries(Object.entries<string>(localStorage)) });
          };
        };
      }),
  );
}

/** Lays back what was kept, and nothing else: called on a page that runs nothing of the app. */
export async function layBack(app: App, kept: Kept): Promise<void> {
  await app.page.evaluate(
    ({ tables = {}, small = {} }) =>
      new Promise<void>((done, failed) => {
        sessionStorage.clear();
        localStorage.clear();
        for (const [key, value] of Object.entries(small)) localStorage.setItem(key, value);
        const opening = indexedDB.open('jolly-sprocket');
        opening.onerror = () => failed(new Error('the store does not open'));
        opening.onsuccess = () => {
          const db = opening.result;
          const change = db.transaction([...db.objectStoreNames], 'readwrite');
          for (const name of db.objectStoreNames) {
            change.objectStore(name).clear();
            for (const row of tables[name] ?? []) change.objectStore(name).put(row);
          }
          change.onabort = () => failed(change.error ?? new Error('the store refused'));
          change.oncomplete = () => {
            db.close();
            done();
          };
        };
      }),
    kept as { tables?: Record<string, never[]>; small?: Record<string, string> },
  );
}
