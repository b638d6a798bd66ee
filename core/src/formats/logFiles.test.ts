import { expect } from 'chai';
import fc from 'fast-check';
import { entriesOf, type EntryOf } from '../build/log.ts';
import { demoBuild } from '../../test/demoBuild.ts';
import { utcSeconds } from './gpx.ts';
import { docHtml } from './docHtml.ts';
import { logRows, matchColumns, readLogTable, rideFromSamples } from './logTable.ts';
import { readTrackRide, simplified } from './trackRide.ts';

const take = (rows: string[][], mapping = matchColumns(rows, [])) => readLogTable(rows, mapping, (r) => `row-${r}`);
const rideOf = (rows: string[][]): EntryOf<'ride'> => {
  const read = take(rows);
  if (!read.ok || read.entries[0]?.kind !== 'ride') throw new Error(JSON.stringify(read));
  return read.entries[0];
};

/** A track due north at so many metres a second, a point a second, standing where it is told to. */
function track(seconds: number, speed: number, stands: readonly [number, number][] = [], ele = true): string {
  let lat = 46;
  const rows: string[] = [];
  for (let i = 0; i <= seconds; i++) {
    const still = stands.some(([from, to]) => i > from && i <= to);
    if (!still && i > 0) lat += speed / 111_150;
    const clock = new Date(Date.UTC(2026, 4, 2, 7, 0, i)).toISOString();
    rows.push(
      `<trkpt lat="${lat.toFixed(8)}" lon="-30">${ele ? `<ele>${(100 + 20 * Math.sin(i / 200)).toFixed(1)}</ele>` : ''}<time>${clock}</time></trkpt>`,
    );
  }
  return `<gpx><trk><name>North</name><trkseg>\n${rows.join('\n')}\n</trkseg></trk></gpx>`;
}

describe('a table of rides', () => {
  it('is matched by name and unit, in any order', () => {
    const ride = rideOf([
      ['Note', 'Energy (kWh)', 'Date', 'Distance mi', 'Duration min', 'Temp °F', 'odd one'],
      ['wet', '0.12', '02.05.2026 17:30', '10', '40', '50', 'x'],
    ]);
    expect(ride).to.deep.include({
      at: '2026-05-02T17:30',
      energyWh: 120,
      timeS: 2400,
      note: 'wet',
      temperatureC: 10,
      energyFrom: 'meter',
    });
    expect(ride.distanceM).to.be.closeTo(16_093.44, 0.01);
    expect(
      rideOf([
        ['when', 'way km', 'time h:m:s', 'wall Wh'],
        ['2026-05-02', '12,5', '1:02:30', '99'],
      ]),
    ).to.deep.include({ distanceM: 12_500, timeS: 3750, energyWh: 99, energyFrom: 'wall', at: '2026-05-02T12:00' });
  });

  it('remembers how a table was read before', () => {
    const rows = [
      ['when', 'km', 'juice'],
      ['2026-05-02', '10', '80'],
    ];
    const first = matchColumns(rows, []);
    expect(first.columns.map((c) => c.of)).to.deep.equal(['at', 'distanceM', '']);
    const told = {
      ...first,
      columns: first.columns.map((c) => (c.head === 'juice' ? { ...c, of: 'energyWh', unit: 'Wh' } : c)),
    };
    const again = matchColumns(rows, [told]);
    const read = take(rows, again);
    expect(read.ok && read.entries[0]).to.deep.include({ energyWh: 80 });
  });

  it('reads charges where it tells the wall and no way', () => {
    const read = take([
      ['when', 'wall Wh', 'from %', 'to %', 'time min'],
      ['2026-05-02', '420', '20', '100', '180'],
    ]);
    expect(read.ok && read.entries[0]).to.deep.include({ kind: 'charge', wallWh: 420, from: 0.2, to: 1, minutes: 180 });
  });

  it('refuses what is damaged by row and column, and takes nothing of it', () => {
    const refused = (rows: string[][]): string[] => {
      const read = take(rows);
      return read.ok ? [] : read.problems.map((p) => `${p.path}: ${p.message}`);
    };
    const heads = ['when', 'km', 'energy Wh', 'start charge %'];
    expect(refused([heads, ['2026-05-02', '10', '80', '100'], ['2026-13-02', 'ten', '', '140']])).to.deep.equal([
      'row 3, column 1: “2026-13-02” is no date',
      'row 3, column 2: “ten” is no figure',
      'row 3, column 4: “140” lies out of bounds',
    ]);
    expect(refused([heads, ['2026-05-02', '', '80', '']])[0]).to.equal('row 2, column 2: is empty');
    expect(refused([heads])[0]).to.match(/^row 2: no row/);
    expect(refused([[]])[0]).to.match(/^row 1/);
    expect(
      refused([
        ['when', 'colour'],
        ['2026-05-02', 'red'],
      ])[0],
    ).to.match(/^row 1: has no column for the way/);
    expect(refused([['km'], ['3']])[0]).to.match(/no column for when/);
    expect(
      refused([
        ['when', 'km', 'energy Ah'],
        ['2026-05-02', '3', '4'],
      ])[0],
    ).to.match(/Ah/);
  });

  it('comes back as it was written', () => {
    const { log } = demoBuild('box');
    for (const kind of ['ride', 'charge'] as const) {
      const read = take(logRows(log.entries, kind));
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      const before = entriesOf(log, kind);
      expect(read.entries.length).to.equal(before.length);
      read.entries.forEach((entry, i) => {
        const is = before[i];
        expect(entry.at).to.equal(is?.at);
        if (entry.kind === 'ride' && is?.kind === 'ride') {
          expect(entry.distanceM).to.equal(is.distanceM);
          expect(entry.energyWh).to.be.closeTo(is.energyWh ?? 0, 0.01);
          expect(entry.startCharge).to.be.closeTo(is.startCharge ?? 0, 0.001);
          expect(entry.headwindMs).to.equal(is.headwindMs);
        }
      });
    }
  });

  it('never throws, whatever the cells hold, and names a place in every refusal', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.array(
            fc.oneof(fc.string({ maxLength: 12 }), fc.constantFrom('when', 'km', 'energy Wh', '2026-05-02', '12')),
            { maxLength: 6 },
          ),
          { maxLength: 6 },
        ),
        (rows) => {
          const read = take(rows);
          if (!read.ok) for (const p of read.problems) expect(p.path).to.match(/^row \d+/);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('a meter’s table becomes a ride with its stops', () => {
    const speeds = [...Array<number>(60).fill(5), ...Array<number>(10).fill(0), ...Array<number>(60).fill(5)];
    let way = 0;
    const samples = speeds.map((speedMs, i) => ({
      timeS: i,
      speedMs,
      distanceM: (way += speedMs),
      volts: 36,
      amps: 2,
      energyWh: i * 0.02,
      charge: 1 - i / 1000,
    }));
    const ride = rideFromSamples(samples, 'a', '2026-05-02T08:00', 'Weir');
    expect([ride?.stops, ride?.distanceM, ride?.timeS]).to.deep.equal([1, 595, 129]);
    expect(ride?.movingS).to.equal(119);
    expect(rideFromSamples([], 'a', '2026-05-02T08:00', '')).to.equal(null);
  });
});

describe('a track with times', () => {
  const read = (text: string, zone = 0) => readTrackRide(text, 'a', 'track', () => zone);
  it('is a ride: way, time moving, stops, heights', () => {
    const found = read(
      track(1200, 5, [
        [300, 330],
        [700, 703],
      ]),
    );
    if (!found.ok) throw new Error(JSON.stringify(found.problems));
    const { ride } = found.value;
    expect(ride.name).to.equal('North');
    expect(ride.at).to.equal('2026-05-02T07:00');
    // A stand of three seconds is no stop.
    expect(ride.stops).to.equal(1);
    expect(ride.distanceM).to.be.within(5780, 5850);
    expect(ride.timeS).to.equal(1200);
    expect(ride.movingS).to.be.within(1160, 1180);
    expect(ride.profile.length).to.be.within(20, 120);
    expect(ride.climbM).to.be.within(30, 85);
    expect(
      read(track(1200, 5), 120).ok && (read(track(1200, 5), 120) as { value: { ride: { at: string } } }).value.ride.at,
    ).to.equal('2026-05-02T09:00');
  });

  it('says when heights are missing, and refuses what is damaged with its place', () => {
    const flat = read(track(200, 5, [], false));
    expect(flat.ok && flat.value.notes.join()).to.match(/no heights/);
    const wrong = (text: string): string => {
      const found = read(text);
      return found.ok ? '' : `${found.problems[0]?.path}: ${found.problems[0]?.message}`;
    };
    const good = track(60, 5);
    expect(wrong(good.replace('<time>2026-05-02T07:00:30.000Z</time>', ''))).to.equal(
      'point 31: has no time: a road is read in Brief, a ride wants its times',
    );
    expect(wrong(good.replace('07:00:30.000Z', 'noon'))).to.match(
      /^line 32, column \d+: point 31: “.*noon” is no time/,
    );
    expect(wrong(good.replace('07:00:30.000Z', '06:00:30.000Z'))).to.match(/^point 31: goes back in time/);
    expect(wrong(good.slice(0, 900))).to.match(/^line \d+, column \d+: /);
    expect(wrong(track(100, 0.01))).to.match(/nothing moved/);
    expect(wrong(good.replace('lat="46.0', 'lat="49.0'))).to.match(/^point \d+: lies \d+ m from the point before/);
    expect(wrong('<!DOCTYPE x><gpx/>')).to.match(/document type/);
  });

  it('never throws on a text cut or garbled anywhere', () => {
    const good = track(40, 5);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: good.length }), fc.string({ maxLength: 5 }), (at, junk) => {
        const found = read(good.slice(0, at) + junk + good.slice(at + 3));
        if (!found.ok) for (const p of found.problems) expect(p.path).to.match(/^(line|point|\()/);
      }),
      { numRuns: 120 },
    );
  });

  it('reads ISO times with zones, and no others', () => {
    expect(utcSeconds('1970-01-01T00:00:10Z')).to.equal(10);
    expect(utcSeconds('1970-01-01T02:00:10+02:00')).to.equal(10);
    expect(utcSeconds('1970-01-02T00:00:00.5')).to.equal(86_400.5);
    for (const bad of ['', 'now', '1970-02-30T00:00:00Z', '1970-01-01T00:60:00Z', '1970-01-01'])
      expect(utcSeconds(bad), bad).to.equal(null);
  });

  it('a profile keeps its ends and hills within a metre or so of few points', () => {
    const points = Array.from({ length: 2000 }, (_, i) => ({ distanceM: i * 30, elevationM: 40 * Math.sin(i / 120) }));
    const few = simplified(points, 120);
    expect(few.length).to.be.within(20, 120);
    expect(few[0]).to.deep.equal([0, 0]);
    expect(few.at(-1)?.[0]).to.equal(1999 * 30);
  });
});

describe('a paper as HTML', () => {
  it('never lets text be markup, nor a picture be anything else', () => {
    const html = docHtml(
      {
        title: '<script>x</script>',
        sub: ['"\'&'],
        blocks: [
          { kind: 'text', text: ['<img src=x onerror=y>'] },
          {
            kind: 'photos',
            photos: [
              { dataUrl: 'javascript:alert(1)', caption: 'bad' },
              { dataUrl: 'data:image/png;base64,AAAA', caption: '<b>' },
            ],
          },
          { kind: 'table', caption: '<i>', heads: ['<th>'], rows: [[['</table>']]] },
        ],
        foot: '</body>',
      },
      'metric',
    );
    expect(html).not.to.match(/<script|onerror=y>|javascript:|<b>|<i>|<\/body>\n<\/html>[^]*<\/body>/);
    expect(html.match(/<img /g)?.length).to.equal(1);
    expect(html).to.include('&lt;script&gt;');
    expect(html.match(/<\/table>/g)?.length).to.equal(1);
  });
});
