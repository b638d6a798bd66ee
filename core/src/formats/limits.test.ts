import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { newBuild } from '../build/build.ts';
import { parseQuantity } from '../quantity/parse.ts';
import type { ReadProblem } from '../reading/problems.ts';
import { readRideCase } from '../ride/case.ts';
import { readBuildFileWithPhotos, writeBuildFile } from './buildFile.ts';
import { readGpx } from './gpx.ts';
import { matchColumns, readLogTable, rememberedColumns } from './logTable.ts';
import { readOffers } from './offersTable.ts';
import { readRide } from './rideTable.ts';
import { readSvgOutline } from './svgOutline.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';

const said = (read: { ok: boolean; problems?: readonly ReadProblem[] }): string => {
  const [first] = read.problems ?? [];
  return read.ok || !first ? 'was taken' : `${first.path}: ${first.message}`;
};
const svg = (inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" viewBox="0 0 300 300">${inside}</svg>`;
/** A star of so many points drawn without lifting the pen: each side crosses most others. */
const star = (count: number, turn: number): string =>
  Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * ((i * turn) % count)) / count;
    return `${(150 + 140 * Math.cos(angle)).toFixed(2)},${(150 + 140 * Math.sin(angle)).toFixed(2)}`;
  }).join(' ');

describe('what a reader bounds, it names', () => {
  it('a build file with photos, after a mark of the byte order', () => {
    const photos = [{ item: 'valve', on: '2026-01-02', dataUrl: 'data:image/png;base64,iVBORw0KGgo=' }];
    const text = writeBuildFile(newBuild('a', 'A', '2026-01-01T00:00:00.000Z'), photos);
    const read = readBuildFileWithPhotos(`\uFEFF${text}`);
    expect(read.ok && read.value.photos).to.deep.equal(photos);
  });

  it('an outline’s crossings, points, nesting and coordinates', () => {
    expect(readSvgOutline(svg(`<polygon points="${star(7, 3)}"/>`)).ok).to.equal(true);
    expect(said(readSvgOutline(svg(`<polygon points="${star(401, 200)}"/>`)))).to.match(
      /crosses itself more than 20000 times/,
    );
    expect(said(readSvgOutline(svg('<circle cx="100" cy="100" r="80"/>'.repeat(600))))).to.match(
      /draws more than 10000 points/,
    );
    expect(said(readSvgOutline(svg(`${'<g>'.repeat(50)}${'</g>'.repeat(50)}`)))).to.match(/nested too deep/);
    for (const far of ['1e308', '1e9', '-2e8'])
      expect(said(readSvgOutline(svg(`<path d="M0 0 L${far} 0 L100 100 Z"/>`))), far).to.match(/100 m from the sheet/);
  });

  it('a track’s nesting', () => {
    const deep = (levels: number): string =>
      `<gpx>${'<x>'.repeat(levels)}${'</x>'.repeat(levels)}<trk><trkseg><trkpt lat="50" lon="7"/><trkpt lat="50.01" lon="7"/></trkseg></trk></gpx>`;
    expect(readGpx(deep(30), 'a', 'A').ok).to.equal(true);
    expect(said(readGpx(deep(100_000), 'a', 'A'))).to.match(/nested deeper than 40 levels/);
  });

  it('a table’s cells and columns, by their row in the file', () => {
    const long = 'x'.repeat(8001);
    const rides = [['when', 'distance km'], [''], ['2026-05-01', long]];
    expect(said(readLogTable(rides, matchColumns(rides, []), String))).to.match(
      /^row 3, column 2: holds 8001 characters/,
    );
    expect(said(readRide([['time s'], [long]]))).to.match(/^row 2, column 1: holds/);
    const meter = [['time s', 'volts', 'amps', 'speed km/h'], ['0', '36', '5', '20'], ['']];
    expect(said(readRide([...meter, ['1', 'full', '5', '20']]))).to.equal('row 4, column 2: “full” is no figure');
    expect(said(readRide([...meter, ['-1', '36', '5', '20']]))).to.equal('row 4, column 1: goes back in time');
    const offers = readOffers([['supplier', 'part', 'price'], Array.from({ length: 401 }, () => 'x')], starterShelf);
    expect(offers.problems[0]?.message).to.match(/has 401 columns/);
    // An empty row before it moves no number.
    const priced = readOffers(
      [
        ['supplier', 'part', 'price'],
        ['', '', ''],
        ['Q', 'nothing', '1'],
      ],
      starterShelf,
    );
    expect(priced.problems[0]?.path).to.equal('row 3');
  });

  it('a table of many columns remembers those that mean something, and knows it again', () => {
    const heads = [...Array.from({ length: 59 }, (_, i) => `x${i}`), 'when', 'distance km', 'x0'];
    const rows = [heads, [...Array.from({ length: 59 }, () => ''), '2026-05-01', '9', '']];
    const mapping = matchColumns(rows, []);
    expect(mapping.columns).to.have.length(62);
    const kept = rememberedColumns({
      ...mapping,
      columns: mapping.columns.map((c, i) => (i === 61 ? { ...c, of: 'note', unit: 'text' } : c)),
    });
    expect(kept.columns.map((c) => [c.head, c.of])).to.deep.equal([
      ['when', 'at'],
      ['distance km', 'distanceM'],
      ['x0 #2', 'note'],
    ]);
    const again = matchColumns(rows, [kept]);
    expect(again.columns.flatMap((c, i) => (c.of === '' ? [] : [[i, c.of]]))).to.deep.equal([
      [59, 'at'],
      [60, 'distanceM'],
      [61, 'note'],
    ]);
    expect(readLogTable(rows, again, String).ok).to.equal(true);
  });

  it('a ride case’s figures and its road', () => {
    const good = JSON.parse(
      readFileSync(new URL('../../test/cases/assist-level-roadster.json', import.meta.url), 'utf8'),
    ) as { motor: object; route: { segments: { lengthM: number }[]; repeat: boolean } };
    const told = (change: object): string => said(readRideCase({ ...good, ...change }));
    expect(told({})).to.equal('was taken');
    expect(told({ motor: { ...good.motor, ktNmPerA: 1e308 } })).to.equal('motor.ktNmPerA: must be at most 100');
    const [segment] = good.route.segments;
    const road = (lengthM: number, count: number, repeat: boolean): object => ({
      route: { repeat, segments: Array.from({ length: count }, () => ({ ...segment, lengthM })) },
    });
    expect(told(road(1e6, 3, false))).to.equal('route.segments: make a road of 3000 km; 2000 km at most are ridden');
    expect(told(road(0.5, 40, true))).to.equal(
      'route.segments: are 0.500 m long on average; a road that is repeated needs 1 m',
    );
    expect(told(road(0.5, 40, false))).to.equal('was taken');
  });

  it('what is typed past any size', () => {
    for (const typed of ['9'.repeat(400), '1 in 0'])
      expect(parseQuantity(typed, typed.startsWith('1 in') ? 'grade' : 'size', 'metric').ok, typed).to.equal(false);
  });
});
