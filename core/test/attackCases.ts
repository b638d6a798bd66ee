import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { amount } from '../src/quantity/format.ts';
import { parseQuantity, parseTeeth } from '../src/quantity/parse.ts';
import { parseTyre } from '../src/quantity/tyre.ts';
import type { Dimension } from '../src/quantity/units.ts';
import { fitDischarge, readDischarge } from '../src/pack/fitDischarge.ts';
import { offerHeads, readOffers } from '../src/formats/offersTable.ts';
import { logRows, matchColumns, readLogTable, rememberedColumns, rideFromSamples } from '../src/formats/logTable.ts';
import { readRide, rideRows } from '../src/formats/rideTable.ts';
import { readTrackRide } from '../src/formats/trackRide.ts';
import { readTuneCase, runTuneCase } from '../src/log/tuneCase.ts';
import { starterShelf } from '../src/parts/shelf/starterShelf.ts';
import { anyVehicle } from '../src/proof/faults/faultFacts.ts';
import { readFaultCase, runFaultCase } from '../src/proof/faults/case.ts';
import { notFinite } from '../src/reading/finite.ts';
import { parseJson, type ReadProblem, type ReadResult } from '../src/reading/problems.ts';
import { readRideCase, runRideCase } from '../src/ride/case.ts';
import { readScheduleCase, runScheduleCase } from '../src/work/scheduleCase.ts';
import { readBuyCase } from '../src/work/buyCase.ts';
import { buy } from '../src/work/buy.ts';
import { integerSolver } from '../src/work/highs.ts';
import { NoRoom } from '../src/work/schedule.ts';
import { harm, harmed, harmedText, textHarm } from './mutated.ts';
import type { Attack } from './attackKind.ts';
import { refusal } from './refusal.ts';

const text = (path: string): string => readFileSync(new URL(path, import.meta.url), 'utf8');
const rideCases = ['assist-level-roadster', 'direct-front-cargo-trike', 'mid-drive-best-gear'].map(
  (name) => JSON.parse(text(`./cases/${name}.json`)) as Record<string, unknown>,
);
const one = <T>(of: readonly T[]): fc.Arbitrary<T> => fc.constantFrom(...of);
const changes = fc.array(harm, { minLength: 1, maxLength: 4 });
const textChanges = fc.array(textHarm, { minLength: 1, maxLength: 3 });
const solve = await integerSolver();

/** A case read and run: refused in words, or with figures that are. */
function runCase<T>(read: ReadResult<T>, run: (given: T) => unknown): string | null {
  if (!read.ok) return refusal(read.problems);
  try {
    return notFinite(run(read.value));
  } catch (error) {
    if (error instanceof NoRoom) return null;
    throw error;
  }
}

/** A case as its file: harmed as data, or as text. */
const caseTries = (
  documents: readonly object[],
  run: (document: unknown) => string | null,
): fc.Arbitrary<() => string | null> =>
  fc.oneof(
    fc.tuple(one(documents), changes).map(
      ([document, c]) =>
        () =>
          run(harmed(document, c)),
    ),
    fc.tuple(one(documents), textChanges).map(([document, c]) => () => {
      const read = parseJson(harmedText(JSON.stringify(document), c));
      return read.ok ? run(read.value) : refusal(read.problems);
    }),
  );

const schedules = [
  {
    hands: 2,
    windows: ['07', '08', '09', '10'].map((d) => ({ from: `2026-03-${d}T09:00`, to: `2026-03-${d}T13:00` })),
    gates: [{ id: 'parts', from: '2026-03-08T10:00' }],
    tasks: Array.from({ length: 14 }, (_, i) => ({
      id: `t${i}`,
      minutes: 10 + i * 4,
      hands: i % 5 === 0 ? 2 : 1,
      after: i < 3 ? [] : [`t${i - 3}`],
      waitMinutes: i === 6 ? 120 : 0,
      needs: i === 7 ? ['parts'] : [],
      tools: i % 4 === 1 ? ['stand'] : [],
      splittable: i % 3 === 0,
    })),
  },
];
const buys = [
  {
    lines: ['a', 'b', 'c'].map((id, i) => ({ id, count: i + 1, neededBy: '2026-03-20' })),
    suppliers: [
      { id: 'north', shipping: 6, freeFrom: 60 },
      { id: 'quay', shipping: 9.5, freeFrom: null },
    ],
    offers: ['a', 'b', 'c'].flatMap((line, i) =>
      ['north', 'quay'].map((supplier, k) => ({
        supplier,
        line,
        price: 10 + i * 7 - k,
        leadDays: { low: 1, likely: 3 + k, high: 9 },
      })),
    ),
    orderedOn: '2026-03-07',
    chance: 0.8,
  },
];
const faultCases = [
  {
    build: null,
    symptom: 'dead',
    answers: [] as unknown[],
    tools: ['multimeter'],
  },
];
const [first] = rideCases;
const { route, air, ...system } = (first ?? {}) as { route: unknown; air: unknown };
const tunes = [
  {
    system,
    prior: { cdaM2: 0.08, crr: 0.2, riderPowerW: 0.3, health: 0.05 },
    rides: [1, 1.1].map((times) => ({ route, air, loadKg: 0, startCharge: 1, energyWh: 90 * times, energySd: 0.03 })),
    forecast: [{ route, air, loadKg: 4, startCharge: 0.9 }],
  },
];

const track = (() => {
  const points = Array.from({ length: 90 }, (_, i) => {
    const at = new Date(Date.UTC(2026, 4, 1, 8, 0, i * 4)).toISOString();
    return `<trkpt lat="${(50 + i * 0.0002).toFixed(5)}" lon="7.5"><ele>${100 + (i % 9)}</ele><time>${at}</time></trkpt>`;
  });
  return `<gpx xmlns="http://www.topografix.com/GPX/1/1"><trk><name>A ride</name><trkseg>${points.join('')}</trkseg></trk></gpx>`;
})();

const meter = rideRows(
  Array.from({ length: 40 }, (_, i) => ({
    timeS: i,
    distanceM: i * 6,
    speedMs: 6,
    volts: 38,
    amps: 7,
    energyWh: i / 10,
    charge: 0.9,
  })),
);
const rideTable = logRows(
  Array.from({ length: 6 }, (_, i) => ({
    kind: 'ride' as const,
    id: `r${i}`,
    at: `2026-05-0${i + 1}T08:00`,
    by: '',
    note: 'n',
    name: 'Gorge',
    from: 'typed' as const,
    distanceM: 9000 + i,
    timeS: 1800,
    movingS: 1700,
    stops: 4,
    energyWh: 90,
    energyFrom: 'meter' as const,
    startCharge: 1,
    endCharge: 0.7,
    temperatureC: 12,
    headwindMs: 1,
    massKg: 110,
    loadKg: null,
    ownRoad: true,
    climbM: 60,
    profile: [],
    counts: null,
  })),
  'ride',
);
const priceList = [
  [...offerHeads],
  ...['grease', 'blue-lock', 'inner-cable'].map((part, i) =>
    ['The Quay', part, String(4 + i), '3', '1', '2', '5', '30', '5.9', '', 'no'].slice(0, offerHeads.length),
  ),
];
const tabled = (rows: readonly (readonly string[])[]): string => rows.map((row) => row.join('\t')).join('\n');
const cells = (table: string): string[][] => table.split('\n').map((row) => row.split('\t'));
const tableTries = (
  rows: readonly (readonly string[])[],
  run: (rows: string[][]) => string | null,
): fc.Arbitrary<() => string | null> => textChanges.map((c) => () => run(cells(harmedText(tabled(rows), c))));
const refused = (read: { ok: boolean; problems?: readonly ReadProblem[] }): string | null =>
  read.ok ? null : refusal(read.problems ?? []);

const dimensions: readonly Dimension[] = ['size', 'way', 'mass', 'speed', 'grade', 'temperature', 'voltage'];
const typedText = fc.oneof(
  fc.string({ maxLength: 60 }),
  fc
    .array(fc.constantFrom('1', '9', '0', ' ', '/', ',', '.', '-', 'in', 'ft', 'mm', '"', 'x', '°F', 'e'), {
      maxLength: 400,
    })
    .map((signs) => signs.join('')),
);

/** Cases of the commands, tables, tracks and what is typed, with anything in them. */
export const caseAttacks: readonly Attack[] = [
  { name: 'ride cases', tries: caseTries(rideCases, (d) => runCase(readRideCase(d), runRideCase)) },
  { name: 'tuning cases', tries: caseTries(tunes, (d) => runCase(readTuneCase(d), runTuneCase)) },
  { name: 'schedule cases', tries: caseTries(schedules, (d) => runCase(readScheduleCase(d), runScheduleCase)) },
  { name: 'buying cases', tries: caseTries(buys, (d) => runCase(readBuyCase(d), (given) => buy(given, solve))) },
  {
    name: 'fault cases',
    tries: caseTries(faultCases, (d) => runCase(readFaultCase(d), (given) => runFaultCase(given, anyVehicle))),
  },
  {
    name: 'rides as tracks',
    tries: textChanges.map((c) => () => {
      const read = readTrackRide(harmedText(track, c), 'a', 'A ride', () => 60);
      return read.ok ? notFinite(read.value) : refusal(read.problems);
    }),
  },
  {
    name: 'a meter’s tables',
    tries: tableTries(meter, (rows) => {
      const read = readRide(rows);
      if (!read.ok) return refusal(read.problems);
      const { samples } = read;
      return (
        notFinite(samples.map(({ charge, ...s }) => ({ ...s, charge: Number.isNaN(charge) ? 0 : charge }))) ??
        notFinite(rideFromSamples(samples, 'a', '2026-05-01T08:00', 'A'))
      );
    }),
  },
  {
    name: 'tables of rides',
    tries: tableTries(rideTable, (rows) => {
      const mapping = matchColumns(rows, []);
      const read = readLogTable(rows, mapping, (n) => `r${n}`);
      return refused(read) ?? notFinite([read, rememberedColumns(mapping)]);
    }),
  },
  {
    name: 'price lists',
    tries: tableTries(priceList, (rows) => {
      const read = readOffers(rows, starterShelf);
      return read.problems.length > 0 ? refusal(read.problems) : notFinite(read);
    }),
  },
  {
    name: 'what is typed',
    tries: fc
      .tuple(typedText, one(dimensions), one(['metric', 'imperial'] as const))
      .map(([typed, dimension, units]) => () => {
        const [pack] = starterShelf.pack;
        const quantity = parseQuantity(typed, dimension, units);
        const discharge = readDischarge(typed);
        return notFinite([
          quantity.ok ? amount(quantity.value, dimension) : null,
          parseTeeth(typed),
          parseTyre(typed),
          discharge.ok && pack ? fitDischarge({ ...pack, health: 1 }, discharge.readings) : null,
        ]);
      }),
  },
];
