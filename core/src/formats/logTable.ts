import { chargeSchema, loggedRideSchema, type EntryOf, type LogEntry, type Mapping } from '../build/log.ts';
import type { MeterSample } from '../proof/meter.ts';
import { isDate } from '../quantity/dates.ts';
import type { ReadProblem } from '../reading/problems.ts';
import { filledRows, MOST_COLUMNS, tableFault } from './table.ts';

/** What a column of a table of rides or charges can be, with the units it is read in; the first is usual. */
export const logColumns = {
  at: { words: 'When', units: { ISO: 1, 'd.m.y': 1, 'm/d/y': 1 }, head: /^(when|date|start|time ?stamp|day|at)\b/ },
  name: { words: 'Name', units: { text: 1 }, head: /^(name|title|route|ride|trip)\b/ },
  distanceM: { words: 'Way', units: { km: 1000, mi: 1609.344, m: 1 }, head: /^(distance|dist|way|km|miles|length)\b/ },
  timeS: {
    words: 'Time',
    units: { min: 60, 'h:m:s': 1, s: 1, h: 3600 },
    head: /^(time|duration|elapsed|total time)\b/,
  },
  movingS: { words: 'Time moving', units: { min: 60, 'h:m:s': 1, s: 1, h: 3600 }, head: /^(moving|ride time|riding)/ },
  energyWh: { words: 'Energy', units: { Wh: 1, kWh: 1000, Ah: NaN }, head: /^(energy|wh|used|consumption|kwh)\b/ },
  wallWh: { words: 'Energy at the wall', units: { Wh: 1, kWh: 1000 }, head: /^(wall|charged|socket|plug)/ },
  startCharge: {
    words: 'Charge at the start',
    units: { '%': 0.01, share: 1 },
    head: /^(start (charge|soc|%)|soc start|from\b|charge from)/,
  },
  endCharge: {
    words: 'Charge at the end',
    units: { '%': 0.01, share: 1 },
    head: /^(end (charge|soc|%)|soc end|to\b|charge to)/,
  },
  climbM: { words: 'Climb', units: { m: 1, ft: 0.3048 }, head: /^(climb|ascent|elevation|gain|rise)/ },
  temperatureC: { words: 'Temperature', units: { '°C': 1, '°F': 1 }, head: /^(temp|temperature|air)/ },
  headwindMs: { words: 'Headwind', units: { 'm/s': 1, 'km/h': 1 / 3.6, mph: 0.44704 }, head: /^(wind|headwind)/ },
  massKg: { words: 'All that moves', units: { kg: 1, lb: 0.45359237 }, head: /^(mass|weight|total kg)/ },
  stops: { words: 'Stops', units: { count: 1 }, head: /^stops?\b/ },
  note: { words: 'Note', units: { text: 1 }, head: /^(note|remark|comment)/ },
} as const satisfies Record<string, { words: string; units: Record<string, number>; head: RegExp }>;
export type LogColumn = keyof typeof logColumns;
export const isLogColumn = (text: string): text is LogColumn => Object.hasOwn(logColumns, text);

/** A table larger than this is another’s. */
const MOST_ROWS = 6000;
const MOST_PROBLEMS = 20;

/** Heads of a table, each by a name of its own: of two alike the second is told apart. */
function headsOf(rows: readonly (readonly string[])[]): string[] {
  const heads = (filledRows(rows)[0]?.cells ?? []).slice(0, MOST_COLUMNS).map((h) => h.trim().slice(0, 190));
  const seen = new Map<string, number>();
  return heads.map((head) => {
    const times = (seen.get(head) ?? 0) + 1;
    seen.set(head, times);
    return times === 1 ? head : `${head} #${times}`;
  });
}
const keyOf = (heads: readonly string[]): string => heads.join('|').toLowerCase().slice(0, 4000);

/** The unit a head names, in brackets or behind a blank; its column’s usual one where it names none. */
function unitIn(head: string, units: Record<string, number>): string {
  const said = head.toLowerCase();
  const words = said.split(/[\s()[\],/_]+/);
  const names = Object.keys(units);
  return (
    names.find((u) => words.includes(u.toLowerCase())) ??
    names.find((u) => u.includes('/') && said.includes(u.toLowerCase())) ??
    (names[0] as string)
  );
}

/**
 * What each column of a table is: as its heads were read before, else by name and unit, in any order. A head nobody
 * knows is left to its reader.
 */
export function matchColumns(rows: readonly (readonly string[])[], known: readonly Mapping[]): Mapping {
  const heads = headsOf(rows);
  const key = keyOf(heads);
  const before = known.find((m) => m.heads === key);
  if (before) {
    const was = new Map(before.columns.map((c) => [c.head, c]));
    return { heads: key, columns: heads.map((head) => was.get(head) ?? { head, of: '', unit: '' }) };
  }
  const taken = new Set<string>();
  return {
    heads: key,
    columns: heads.map((head) => {
      const plain = head.toLowerCase();
      const found = (Object.keys(logColumns) as LogColumn[]).find(
        (of) => !taken.has(of) && logColumns[of].head.test(plain),
      );
      if (!found) return { head, of: '', unit: '' };
      taken.add(found);
      return { head, of: found, unit: unitIn(plain, logColumns[found].units) };
    }),
  };
}

/** What is remembered of a table: the columns that mean something, each meaning once; the others are left out anew. */
export function rememberedColumns({ heads, columns }: Mapping): Mapping {
  const taken = new Set<string>();
  const means = columns.filter(({ of }) => isLogColumn(of) && !taken.has(of) && taken.add(of));
  return { heads, columns: means };
}

/** A local moment of a date, with a time where it has one. */
function momentOf(text: string, unit: string): string | null {
  const iso = /^(\d{4}-\d{2}-\d{2})(?:[T ](\d{2}:\d{2}))?/.exec(text);
  const [, a = '', b = '', c = '', clock = ''] =
    /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})(?:[T ,]+(\d{1,2}:\d{2}))?/.exec(text) ?? [];
  const two = (s: string): string => s.padStart(2, '0');
  const date = iso ? (iso[1] as string) : unit === 'm/d/y' ? `${c}-${two(a)}-${two(b)}` : `${c}-${two(b)}-${two(a)}`;
  if (!isDate(date)) return null;
  const time = iso ? (iso[2] ?? '12:00') : clock === '' ? '12:00' : clock.padStart(5, '0');
  return /^([01]\d|2[0-3]):[0-5]\d$/.test(time) ? `${date}T${time}` : null;
}

/** A figure in its unit as SI; NaN where it is none. A comma may stand for the point. */
function figureOf(text: string, of: LogColumn, unit: string): number {
  if (unit === 'h:m:s') {
    const parts = text.split(':').map(Number);
    return parts.length < 2 || parts.length > 3 || parts.some((p) => !Number.isFinite(p) || p < 0)
      ? NaN
      : parts.reduce((sum, p) => sum * 60 + p, 0) * (parts.length === 2 ? 60 : 1);
  }
  const bare = text.replace(/\s/g, '').replace(/(%|km|mi|wh|kg|lb|min|°c|°f)$/i, '');
  const number = bare === '' ? NaN : Number(bare.includes('.') ? bare : bare.replace(',', '.'));
  if (unit === '°F') return ((number - 32) * 5) / 9;
  return number * ((logColumns[of].units as Record<string, number>)[unit] ?? NaN);
}

/** What was read of a table: lines for the log, or every cell that is wrong by row and column. */
export type LogRead =
  { ok: true; entries: LogEntry[]; kind: 'ride' | 'charge' } | { ok: false; problems: ReadProblem[] };

/**
 * Reads a table of rides, a row each, or of charges where it tells energy at the wall and no way. Nothing is taken where
 * anything is wrong: a wrong cell is named by row and column.
 * @param idOf an id for each row
 */
export function readLogTable(
  rows: readonly (readonly string[])[],
  mapping: Mapping,
  idOf: (row: number) => string,
): LogRead {
  const filled = filledRows(rows);
  const fault = tableFault(filled, MOST_ROWS);
  if (fault) return { ok: false, problems: [fault] };
  const body = filled.slice(1);
  const refuse = (path: string, message: string): LogRead => ({ ok: false, problems: [{ path, message }] });
  if (body.length === 0) return refuse('row 2', 'no row below the heads');
  const at = new Map<LogColumn, { i: number; unit: string }>();
  mapping.columns.forEach(({ of, unit }, i) => {
    if (isLogColumn(of) && !at.has(of)) at.set(of, { i, unit });
  });
  const kind = at.has('distanceM') ? 'ride' : at.has('wallWh') ? 'charge' : null;
  if (kind === null)
    return refuse('row 1', 'has no column for the way of rides, or for the energy of charges at the wall');
  if (!at.has('at')) return refuse('row 1', 'has no column for when');
  if (at.get('energyWh')?.unit === 'Ah')
    return refuse('row 1', 'tells energy in Ah: multiply by the battery’s volts first');
  const problems: ReadProblem[] = [];
  const entries: LogEntry[] = [];
  for (const { cells, row } of body) {
    const place = (of: LogColumn): string => `row ${row}, column ${(at.get(of)?.i ?? 0) + 1}`;
    const say = (of: LogColumn, message: string): null => {
      if (problems.length < MOST_PROBLEMS) problems.push({ path: place(of), message });
      return null;
    };
    const cell = (of: LogColumn): string => {
      const column = at.get(of);
      return column ? (cells[column.i] ?? '').trim() : '';
    };
    const figure = (of: LogColumn): number | null => {
      const text = cell(of);
      if (text === '') return null;
      const value = figureOf(text, of, at.get(of)?.unit ?? '');
      return Number.isFinite(value) ? value : say(of, `“${text.slice(0, 40)}” is no figure`);
    };
    const wanted = (of: LogColumn): number => figure(of) ?? (cell(of) === '' ? (say(of, 'is empty'), 0) : 0);
    const moment = momentOf(cell('at'), at.get('at')?.unit ?? 'ISO');
    if (moment === null) say('at', `“${cell('at').slice(0, 40)}” is no date`);
    const common = { id: idOf(row), at: moment ?? '2000-01-01T12:00', note: cell('note').slice(0, 1000) };
    const raw =
      kind === 'ride'
        ? {
            kind,
            ...common,
            name: cell('name').slice(0, 120),
            from: 'file',
            distanceM: wanted('distanceM'),
            timeS: figure('timeS') ?? figure('movingS') ?? 0,
            movingS: figure('movingS'),
            stops: figure('stops'),
            energyWh: figure('energyWh') ?? figure('wallWh'),
            energyFrom:
              cell('energyWh') !== ''
                ? 'meter'
                : cell('wallWh') !== ''
                  ? 'wall'
                  : cell('endCharge') !== ''
                    ? 'gauge'
                    : 'meter',
            startCharge: figure('startCharge'),
            endCharge: figure('endCharge'),
            temperatureC: figure('temperatureC'),
            headwindMs: figure('headwindMs'),
            massKg: figure('massKg'),
            climbM: figure('climbM'),
          }
        : {
            kind,
            ...common,
            wallWh: wanted('wallWh'),
            from: figure('startCharge'),
            to: figure('endCharge'),
            minutes: figure('timeS') === null ? null : (figure('timeS') as number) / 60,
            temperatureC: figure('temperatureC'),
          };
    const read = (kind === 'ride' ? loggedRideSchema : chargeSchema).safeParse(raw);
    if (read.success) entries.push(read.data);
    else
      for (const issue of read.error.issues) {
        const of = String(issue.path[0]);
        const column = of === 'from' ? 'startCharge' : of === 'to' ? 'endCharge' : of === 'minutes' ? 'timeS' : of;
        if (isLogColumn(column)) say(column, `“${cell(column).slice(0, 40)}” lies out of bounds`);
        else problems.push({ path: `row ${row}`, message: 'cannot be read' });
      }
  }
  return problems.length > 0 ? { ok: false, problems } : { ok: true, entries, kind };
}

/** Rides and charges of a log as tables with heads that are read again. */
export function logRows(entries: readonly LogEntry[], kind: 'ride' | 'charge'): string[][] {
  const cell = (value: number | null, digits: number, by = 1): string =>
    value === null ? '' : (value / by).toFixed(digits);
  if (kind === 'charge')
    return [
      ['when', 'wall Wh', 'from %', 'to %', 'time min', 'temperature °C', 'note'],
      ...entries
        .filter((e): e is EntryOf<'charge'> => e.kind === 'charge')
        .map((c) => [
          c.at,
          c.wallWh.toFixed(1),
          cell(c.from, 1, 0.01),
          cell(c.to, 1, 0.01),
          cell(c.minutes, 0),
          cell(c.temperatureC, 1),
          c.note,
        ]),
    ];
  return [
    [
      'when',
      'name',
      'distance m',
      'time s',
      'moving s',
      'stops',
      'energy Wh',
      'wall Wh',
      'start charge %',
      'end charge %',
      'temperature °C',
      'headwind m/s',
      'mass kg',
      'climb m',
      'note',
    ],
    ...entries
      .filter((e): e is EntryOf<'ride'> => e.kind === 'ride')
      .map((r) => [
        r.at,
        r.name,
        r.distanceM.toFixed(0),
        r.timeS.toFixed(0),
        cell(r.movingS, 0),
        r.stops === null ? '' : String(r.stops),
        r.energyFrom === 'meter' ? cell(r.energyWh, 2) : '',
        r.energyFrom === 'wall' ? cell(r.energyWh, 2) : '',
        cell(r.startCharge, 1, 0.01),
        cell(r.endCharge, 1, 0.01),
        cell(r.temperatureC, 1),
        cell(r.headwindMs, 2),
        cell(r.massKg, 1),
        cell(r.climbM, 0),
        r.note,
      ]),
  ];
}

/** A ride off a meter’s table as a line of the log. */
export function rideFromSamples(
  samples: readonly MeterSample[],
  id: string,
  at: string,
  name: string,
): EntryOf<'ride'> | null {
  const first = samples[0];
  const last = samples.at(-1);
  if (!first || !last) return null;
  let movingS = 0;
  let stops = 0;
  let stood = 0;
  for (let i = 1; i < samples.length; i++) {
    const [a, b] = [samples[i - 1] as MeterSample, samples[i] as MeterSample];
    if (b.speedMs > 0.7) {
      movingS += b.timeS - a.timeS;
      if (stood >= 6 && b.distanceM > 0) stops++;
      stood = 0;
    } else stood += b.timeS - a.timeS;
  }
  const share = (c: number): number | null => (Number.isFinite(c) ? c : null);
  const read = loggedRideSchema.safeParse({
    kind: 'ride',
    id,
    at,
    name,
    from: 'file',
    distanceM: last.distanceM - first.distanceM,
    timeS: last.timeS - first.timeS,
    movingS,
    stops,
    energyWh: last.energyWh - first.energyWh,
    startCharge: share(first.charge),
    endCharge: share(last.charge),
  });
  return read.success ? read.data : null;
}
