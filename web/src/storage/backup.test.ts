import 'fake-indexeddb/auto';
import { expect } from 'chai';
import { Dexie } from 'dexie';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { BlobReader, ZipReader } from '@zip.js/zip.js/lib/zip-core-native.js';
import { newBuild, starterShelf, type Build, type Part } from '@sprocket/core';
import { writeBackup } from './backup.ts';
import { readBackup } from './restore.ts';
import { binBuild, bringBack } from './builds.ts';
import { asideOf, db, writeSetting } from './db.ts';
import { counted } from '../../../core/test/counted.ts';

const PICTURE =
  'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
const build = (id: string, more: Partial<Build> = {}): Build => ({
  ...newBuild(id, id.toUpperCase(), '2026-01-01T00:00:00.000Z'),
  ...more,
});
const ring = { ...starterShelf.ring[0], id: 'own-ring' } as Part;

async function empty(): Promise<void> {
  db.close();
  await Dexie.delete('jolly-sprocket');
  await db.open();
}
async function bench(): Promise<Record<string, unknown[]>> {
  const tables = ['builds', 'photos', 'parts', 'routes', 'settings', 'bin'] as const;
  const rows = await Promise.all(tables.map(async (t) => [t, await db.table(t).toArray()] as const));
  return Object.fromEntries(rows);
}
async function fill(): Promise<void> {
  await db.builds.bulkPut([build('a'), build('b', { revision: 4 }), build('c')]);
  await db.builds.put({ id: 'torn', name: 'Torn', brief: 7 } as unknown as Build);
  await db.photos.bulkPut(
    ['a', 'b', 'b'].map((buildId, i) => ({
      id: `p${i}`,
      buildId,
      item: 'wheelbase',
      on: '2026-01-01',
      dataUrl: PICTURE,
    })),
  );
  await db.parts.put(ring);
  await writeSetting('units', 'imperial');
  await binBuild('c');
}

describe('a backup of the bench', () => {
  beforeEach(async () => {
    await empty();
    await fill();
  });
  after(() => db.close());

  it('comes back on an empty bench as it went out: builds, photos, parts, settings, bin', async () => {
    const before = await bench();
    const told: number[] = [];
    const zip = await writeBackup((share) => told.push(share));
    expect(told.at(-1)).to.equal(1);
    await empty();
    const restored = await readBackup(zip, (share) => told.push(share));
    expect(await bench()).to.deep.equal(before);
    expect([restored.builds, restored.photos, restored.parts]).to.deep.equal([2, 3, 1]);
    expect(restored.faults.map((f) => f.path)).to.deep.equal(['builds/3.json: schema']);
    expect(told.every((share) => share >= 0 && share <= 1)).to.equal(true);
  });

  it('is an ordinary zip of JSON and pictures', async () => {
    const files = unzipSync(new Uint8Array(await (await writeBackup()).arrayBuffer()));
    expect(Object.keys(files)).to.include.members([
      'backup.json',
      'builds/1.json',
      'photos/1.png',
      'photos.json',
      'parts.json',
    ]);
    expect([...(files['photos/1.png'] ?? [])].slice(1, 4)).to.deep.equal([0x50, 0x4e, 0x47]);
  });

  it('of one build has its photos and nothing of another', async () => {
    const zip = await writeBackup(() => undefined, ['b']);
    await empty();
    await readBackup(zip);
    const now = await bench();
    expect(now.builds?.map((b) => (b as Build).id)).to.deep.equal(['b']);
    expect(now.photos?.length).to.equal(2);
    expect([now.parts, now.settings, now.bin]).to.deep.equal([[], [], []]);
  });

  it('changes nothing where all of it is there already', async () => {
    const before = await bench();
    const restored = await readBackup(await writeBackup());
    expect(await bench()).to.deep.equal(before);
    expect([restored.builds, restored.kept, restored.photos]).to.deep.equal([0, 2, 0]);
  });

  it('merges by revision: the later stays on the bench, the other is in the bin, of two alike both are kept', async () => {
    const zip = await writeBackup();
    await db.builds.bulkPut([
      build('a', { name: 'A later', revision: 5 }),
      build('b', { name: 'B earlier', revision: 2 }),
    ]);
    await readBackup(zip);
    expect((await db.builds.get('a'))?.name).to.equal('A later');
    expect((await db.builds.get('b'))?.name).to.equal('B');
    expect(((await db.bin.get('b before the backup'))!.raw as Build).name).to.equal('B earlier');
    await db.builds.put(build('b', { name: 'B otherwise', revision: 4, updatedAt: '2026-03-03T00:00:00.000Z' }));
    await readBackup(zip);
    expect((await db.builds.toArray()).map((b) => b.name)).to.include.members(['B otherwise', 'B (from the backup)']);
  });

  it('keeps own parts that differ from the bench’s beside them, once', async () => {
    const zip = await writeBackup();
    const [part] = await db.parts.toArray();
    if (!part) throw new Error('no own part');
    await db.parts.put({ ...part, price: part.price + 50 });
    for (const brought of [1, 0]) {
      expect((await readBackup(zip)).parts).to.equal(brought);
      expect((await db.parts.toArray()).map((p) => [p.id, p.price, p.name])).to.have.deep.members([
        [part.id, part.price + 50, part.name],
        [`${part.id}-from-backup`, part.price, `${part.name} (from the backup)`],
      ]);
    }
  });

  it('mends nothing and hides nothing: what is no backup is refused with why', async () => {
    for (const zip of [
      new Blob(['not a zip']),
      new Blob([]),
      new Blob([zipSync({ 'x.txt': strToU8('x'), 'backup.json': strToU8('{"schema":"other"}') })]),
    ]) {
      const before = await bench();
      const restored = await readBackup(zip);
      expect(restored.faults.length).to.be.greaterThan(0);
      expect(await bench()).to.deep.equal(before);
    }
  });

  it('cut off anywhere or altered anywhere still gives what is sound, and never fails or hangs', async () => {
    const met = counted();
    const whole = new Uint8Array(await (await writeBackup()).arrayBuffer());
    const runs = process.env.SPROCKET_LONG ? 400 : 25;
    await fc.assert(
      fc.asyncProperty(fc.nat(whole.length - 1), fc.nat(255), fc.boolean(), async (at, byte, cut) => {
        await empty();
        const harmed = cut ? whole.slice(0, at) : whole.slice();
        if (!cut) harmed[at] = byte;
        const restored = await readBackup(new Blob([harmed]));
        for (const kept of await db.builds.toArray()) expect(typeof kept.id).to.equal('string');
        if (cut && at > whole.length * 0.9 && met()) expect(restored.builds).to.equal(2);
      }),
      // One near the end in any case, which chance may leave out.
      { numRuns: runs, examples: [[Math.floor(whole.length * 0.95), 0, true]] },
    );
    met.enough();
  });

  it('takes no picture that is none, and no file from outside its folders', async () => {
    await empty();
    const zip = zipSync({
      'backup.json': strToU8('{"schema":"jolly-sprocket/backup","version":1}'),
      'builds/../../x.json': strToU8(JSON.stringify(build('evil'))),
      'builds/1.json': strToU8(JSON.stringify(build('good'))),
      'photos/1.svg': strToU8('<svg onload="alert(1)"/>'),
      'photos.json': strToU8(
        JSON.stringify([{ id: 'p', buildId: 'good', item: 'x', on: '2026-01-01', file: 'photos/1.svg' }, null, 7]),
      ),
      'parts.json': strToU8(JSON.stringify([{ id: 'x' }, ring])),
      'roads.json': strToU8('{"not":"a list"}'),
    });
    const restored = await readBackup(new Blob([zip]));
    const now = await bench();
    expect(now.builds?.map((b) => (b as Build).id)).to.deep.equal(['good']);
    expect(now.photos).to.deep.equal([]);
    expect(now.parts?.length).to.equal(1);
    expect(restored.faults.map((f) => f.path)).to.deep.equal([
      'builds/../../x.json',
      'photos.json[0]',
      'photos.json[1]',
      'photos.json[2]',
      'parts.json',
    ]);
  });

  it('looks at checksums: a changed file is told by name and not taken, and the others are', async () => {
    const whole = new Uint8Array(await (await writeBackup()).arrayBuffer());
    const entries = await new ZipReader(new BlobReader(new Blob([whole]))).getEntries();
    for (const { filename, offset, compressedSize } of entries) {
      // In the middle of what is packed, past the head of the file.
      const harmed = whole.slice();
      const at = offset + 30 + filename.length + Math.floor(compressedSize / 2);
      harmed[at] = (harmed[at] ?? 0) ^ 0x21;
      await empty();
      const { faults } = await readBackup(new Blob([harmed]));
      const told = faults.find((f) => f.path === filename);
      expect(told?.message ?? '', filename).to.match(/checksum|damaged/);
    }
  });

  it('tells a name that stands twice, and takes the first', async () => {
    await empty();
    const one = zipSync({
      'backup.json': strToU8('{"schema":"jolly-sprocket/backup","version":1}'),
      'builds/1.json': strToU8(JSON.stringify(build('a', { name: 'First' }))),
      'builds/2.json': strToU8(JSON.stringify(build('a', { name: 'Second' }))),
    });
    // The second file's name is written over with the first's, in its head and in the list.
    const text = Buffer.from(one).toString('latin1').replaceAll('builds/2.json', 'builds/1.json');
    const { faults } = await readBackup(new Blob([Buffer.from(text, 'latin1')]));
    expect(faults.map((f) => `${f.path} ${f.message}`)).to.deep.equal([
      'builds/1.json stands in the archive twice; the first was read',
    ]);
    expect((await db.builds.get('a'))?.name).to.equal('First');
  });

  it('of a torn archive names what broke off', async () => {
    const whole = new Uint8Array(await (await writeBackup()).arrayBuffer());
    const entries = await new ZipReader(new BlobReader(new Blob([whole]))).getEntries();
    const last = entries.at(-1);
    if (!last) throw new Error('nothing');
    const { faults } = await readBackup(new Blob([whole.slice(0, last.offset + 30 + last.filename.length + 3)]));
    expect(faults.map((f) => f.path)).to.include.members(['(zip)', last.filename]);
  });

  it('takes no row of the bin that could not come back, and brings nothing back under another name', async () => {
    await empty();
    const sound = { id: 'old', deletedAt: '2026-01-01T00:00:00.000Z', raw: build('old') };
    const zip = zipSync({
      'backup.json': strToU8('{"schema":"jolly-sprocket/backup","version":1}'),
      'bin.json': strToU8(
        JSON.stringify([
          sound,
          { ...sound, id: 'x', raw: null },
          { ...sound, id: 'y', raw: 'text' },
          { ...sound, id: 'z', deletedAt: 'yesterday' },
          { ...sound, id: 'other' },
          7,
        ]),
      ),
    });
    const { faults } = await readBackup(new Blob([zip]));
    expect(faults.map((f) => f.path)).to.deep.equal(['bin.json[1]', 'bin.json[2]', 'bin.json[3]', 'bin.json[5]']);
    expect((await db.bin.toCollection().primaryKeys()).sort()).to.deep.equal(['old', 'other']);
    expect(await bringBack('old')).to.equal(true);
    expect(await bringBack('other').catch(String)).to.match(/cannot go back on the bench/);
    expect(await db.bin.get('other')).not.to.equal(undefined);
  });

  it('of thousands of small files is read whole', async () => {
    await empty();
    const files: Record<string, Uint8Array> = {
      'backup.json': strToU8('{"schema":"jolly-sprocket/backup","version":1}'),
    };
    const photos = Array.from({ length: 4000 }, (_, i) => {
      files[`photos/${i}.png`] = Uint8Array.from([0x89, 0x50, 0x4e, 0x47, i & 255]);
      return { id: `p${i}`, buildId: 'a', item: 'valve', on: '2026-01-01', file: `photos/${i}.png` };
    });
    files['photos.json'] = strToU8(JSON.stringify(photos));
    const restored = await readBackup(new Blob([zipSync(files, { level: 0 })]));
    expect([restored.photos, restored.faults]).to.deep.equal([4000, []]);
  });

  it('carries what was set aside', async () => {
    await db.aside.put(
      asideOf('a', [{ path: ['log', 'entries', { key: 'x' }], message: 'no room', value: { note: 'n' } }]),
    );
    const before = await db.aside.toArray();
    const zip = await writeBackup();
    await empty();
    await readBackup(zip);
    expect(await db.aside.toArray()).to.deep.equal(before);
  });
});
