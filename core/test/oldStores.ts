import { readFileSync } from 'node:fs';

/** For tests: the browser's store as each released version laid it out, and what somebody kept in it. */
export interface OldStore {
  version: number;
  /** Tables by name: their key and their indexes, as Dexie writes them. */
  tables: Record<string, string>;
  rows: Record<string, unknown[]>;
}

const oldBuild = (version: number): object =>
  JSON.parse(readFileSync(new URL(`./builds/version-${version}.json`, import.meta.url), 'utf8')) as object;

/** A build of every version, one of a version to come, and one that is damaged. */
const builds = [
  ...[1, 2, 3].map((version) => ({ ...oldBuild(version), id: `of-${version}`, name: `Of version ${version}` })),
  { ...oldBuild(3), id: 'to-come', name: 'Of a version to come', version: 99 },
  { ...oldBuild(3), id: 'damaged', name: 'Damaged', donor: 'a bike' },
];
const picture =
  'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
const photos = [
  { id: 'p1', buildId: 'of-1', item: 'valve', on: '2026-01-02', dataUrl: picture },
  { id: 'p2', buildId: 'of-1', item: 'valve', on: '2026-01-02', dataUrl: 7 },
];
const ring = {
  id: 'own-ring',
  kind: 'ring',
  name: 'Own ring',
  maker: 'Shed',
  massKg: 0.1,
  price: 20,
  note: '',
  teeth: 38,
  mount: 'bcd104',
};
const first = { builds: 'id, name, updatedAt', parts: 'id, kind', settings: 'key' };
const second = { ...first, photos: 'id, buildId, [buildId+item]' };
const third = { ...second, routes: 'id, name' };
const kept = {
  builds,
  parts: [ring, { id: 'broken-part', kind: 'kit', name: 'Half a kit' }],
  settings: [
    { key: 'units', value: 'imperial' },
    { key: 'last-build', value: 12 },
  ],
};
const roads = [{ id: 'broken-road', name: 'Road to nowhere', points: 'lost' }];

/** Every version of the store that was ever out, with builds of every version in it. */
export const oldStores: readonly OldStore[] = [
  { version: 1, tables: first, rows: kept },
  { version: 2, tables: second, rows: { ...kept, photos } },
  { version: 3, tables: third, rows: { ...kept, photos, routes: roads } },
  {
    version: 4,
    tables: { ...third, summaries: 'id' },
    rows: { ...kept, photos, routes: roads, summaries: [{ id: 'of-1', madeOf: 'old', summary: {} }] },
  },
  {
    version: 5,
    tables: { ...third, lines: 'id', bin: 'id, deletedAt', clashes: 'id, buildId' },
    rows: {
      ...kept,
      photos,
      routes: roads,
      lines: [{ id: 'of-1', madeOf: 'old', head: {}, summary: null, fault: null }],
      bin: [{ id: 'binned', deletedAt: '2026-01-03T00:00:00.000Z', raw: { ...oldBuild(3), id: 'binned' } }],
      clashes: [{ id: 'of-1 ["name"]', buildId: 'of-1', path: ['name'], mine: 'A', theirs: 'B' }],
    },
  },
];
