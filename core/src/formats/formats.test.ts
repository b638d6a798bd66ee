import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { newBuild } from '../build/build.ts';
import { totalClimb } from '../ride/route.ts';
import { buildFileSchema, readBuildFile, writeBuildFile } from './buildFile.ts';
import { groundDistance, readGpx } from './gpx.ts';

const track = (points: string, head = '<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">'): string =>
  `<?xml version="1.0" encoding="UTF-8"?>\n${head}\n<trk><name>Test</name><trkseg>\n${points}\n</trkseg></trk>\n</gpx>`;
const point = (i: number, ele?: number | string): string =>
  `<trkpt lat="${(47 + i * 0.0004).toFixed(6)}" lon="-35.1">${ele === undefined ? '' : `<ele>${ele}</ele>`}</trkpt>`;
const many = (n: number, ele: (i: number) => number | string | undefined): string =>
  Array.from({ length: n }, (_, i) => point(i, ele(i))).join('\n');

function refused(text: string): { path: string; message: string }[] {
  const read = readGpx(text, 'id', 'fallback');
  expect(read.ok, 'was read').to.equal(false);
  return read.ok ? [] : read.problems;
}

describe('GPX', () => {
  it('measures distance on the ellipsoid', () => {
    // One degree of latitude at the equator and at 60°: 110.574 and 111.412 km on WGS 84.
    expect(groundDistance(-0.005, 0, 0.005, 0) * 100).to.be.closeTo(110_574, 5);
    expect(groundDistance(59.995, 0, 60.005, 0) * 100).to.be.closeTo(111_412, 5);
    expect(groundDistance(60, 179.999, 60, -179.999)).to.be.closeTo(111.6, 0.3);
  });

  it('reads a plain track, a prefixed namespace, no namespace, and a route', () => {
    const body = many(60, (i) => 100 + i);
    const plain = readGpx(track(body), 'id', 'x');
    expect(plain.ok && plain.value.name).to.equal('Test');
    const length = plain.ok ? (plain.value.points.at(-1)?.distanceM ?? 0) : 0;
    expect(length).to.be.closeTo(59 * groundDistance(47, 0, 47.0004, 0), 1);
    const prefixed = readGpx(
      `<g:gpx xmlns:g="http://www.topografix.com/GPX/1/1">${track(body)
        .replace(/[\s\S]*<trk>/, '<trk>')
        .replace('</gpx>', '')}</g:gpx>`.replace(/<(\/?)(trk|trkseg|trkpt|ele|name)\b/g, '<$1g:$2'),
      'id',
      'x',
    );
    expect(prefixed.ok && prefixed.value.points.length).to.equal(plain.ok && plain.value.points.length);
    expect(readGpx(track(body, '<gpx version="1.0">'), 'id', 'x').ok).to.equal(true);
    const route = `<gpx><rte>${body.replaceAll('trkpt', 'rtept')}</rte></gpx>`;
    expect(readGpx(route, 'id', 'x').ok).to.equal(true);
  });

  it('fills missing elevations along the way, and says so', () => {
    const read = readGpx(track(many(80, (i) => (i % 3 === 1 ? undefined : 100 + i))), 'id', 'x');
    expect(read.ok && read.value.notes.join(' ')).to.match(/missing elevations filled/);
    if (read.ok)
      for (let i = 1; i < read.value.points.length; i++)
        expect((read.value.points[i]?.elevationM ?? 0) - (read.value.points[i - 1]?.elevationM ?? 0)).to.be.greaterThan(
          -0.01,
        );
    const none = readGpx(track(many(40, () => undefined)), 'id', 'x');
    expect(none.ok && none.value.notes.join(' ')).to.match(/no elevations: taken as flat/);
  });

  it('drops duplicate points without losing their height', () => {
    const body = many(40, (i) => 50 + i).replace(/(<trkpt[^]*?<\/trkpt>)/g, '$1\n$1');
    const read = readGpx(track(body), 'id', 'x');
    expect(read.ok && read.value.notes.join(' ')).to.match(/40 duplicate points dropped/);
  });

  it('smooths a recorder’s jitter and keeps the hill', () => {
    const noisy = Array.from(
      { length: 900 },
      (_, i) =>
        `<trkpt lat="${(47 + i * 0.0001).toFixed(6)}" lon="-35"><ele>${(100 + i / 9 + 1.5 * Math.sin(i * 2.4)).toFixed(2)}</ele></trkpt>`,
    );
    const read = readGpx(track(noisy.join('\n')), 'id', 'x');
    if (!read.ok) throw new Error('not read');
    expect(read.value.rawClimbM).to.be.greaterThan(400);
    expect(totalClimb(read.value.points)).to.be.within(90, 130);
  });

  it('refuses with the place of the fault', () => {
    expect(refused(track('<trkpt lat="95" lon="1"/>\n<trkpt lat="1" lon="2"/>'))[0]).to.deep.include({
      path: 'line 4, column 25',
    });
    expect(refused(track('<trkpt lon="1"/><trkpt lat="1" lon="2"/>'))[0]?.message).to.match(
      /point 1: “lat” is missing/,
    );
    expect(refused(track(many(3, (i) => (i === 1 ? 'high' : 5))))[0]?.message).to.match(/point 2: elevation “high”/);
    expect(refused('<gpx><trk>')[0]?.path).to.match(/line 1/);
    expect(refused('not xml at all')[0]?.message).to.match(/not well-formed XML/);
    expect(refused('<kml/>')[0]?.message).to.match(/not “gpx”/);
    expect(refused(track(point(1, 5)))[0]?.message).to.match(/two points or more/);
    expect(refused(track(`${point(1)}${point(1)}`))[0]?.message).to.match(/one place/);
    expect(refused(track('<trkpt lat="1" lon="1"/><trkpt lat="40" lon="1"/>'))[0]?.path).to.equal('point 2');
  });

  it('refuses document types and entities', () => {
    const sly = `<?xml version="1.0"?>\n<!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]>\n<gpx><trk><name>&b;</name><trkseg>${many(3, () => 1)}</trkseg></trk></gpx>`;
    expect(refused(sly)[0]?.message).to.match(/declares a document type/);
    expect(refused(track(`<trkpt lat="1" lon="1"><ele>&evil;</ele></trkpt>${point(2)}`))[0]?.message).to.match(
      /not well-formed/,
    );
  });

  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string().map((s) => track(s)),
          fc.string().map((s) => track(`<trkpt lat="${s}" lon="1"/>`)),
        ),
        (text) => {
          readGpx(text, 'id', 'x');
        },
      ),
    );
  });
});

describe('build files', () => {
  const folder = new URL('../../../web/public/demo/builds/', import.meta.url);
  const fixtures = new URL('../../test/builds/', import.meta.url);

  it('come back as they went out', () => {
    const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    const read = readBuildFile(writeBuildFile(build));
    expect(read.ok && read.value).to.deep.equal(build);
    for (const name of readdirSync(folder)) {
      const text = readFileSync(new URL(name, folder), 'utf8');
      const demo = readBuildFile(text);
      expect(demo.ok && (JSON.parse(writeBuildFile(demo.value)) as unknown), name).to.deep.equal(JSON.parse(text));
    }
  });

  it('of every old version still open', () => {
    const names = readdirSync(fixtures);
    expect(names).to.include('version-1.json');
    for (const name of names)
      expect(readBuildFile(readFileSync(new URL(name, fixtures), 'utf8')).ok, name).to.equal(true);
  });

  it('are refused with the place of each fault', () => {
    const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    const broken = readBuildFile(JSON.stringify({ ...build, brief: { ...build.brief, cruiseMs: 'fast', riders: [] } }));
    expect(broken.ok ? [] : broken.problems.map((p) => p.path)).to.have.members(['brief.riders', 'brief.cruiseMs']);
    expect(readBuildFile('{ "schema": 1 }').ok).to.equal(false);
    const newer = readBuildFile(JSON.stringify({ ...build, version: 99 }));
    expect(newer.ok ? '' : newer.problems[0]?.message).to.match(/newer version/);
    const cut = readBuildFile('{\n "schema": "jolly-sprocket/build",\n "version": 1,\n');
    expect(cut.ok).to.equal(false);
  });

  it('have their schema published as it stands', () => {
    const published = JSON.parse(
      readFileSync(new URL('../../../docs/build-file.schema.json', import.meta.url), 'utf8'),
    ) as unknown;
    expect(published).to.deep.equal(JSON.parse(JSON.stringify(buildFileSchema())));
  });
});
