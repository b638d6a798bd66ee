import type { MeterSample } from '../proof/meter.ts';
import type { ReadProblem } from '../reading/problems.ts';
import { filledRows, tableFault } from './table.ts';

/** Heads of a ride's table as it is written: name and unit. */
export const rideHeads = ['time s', 'distance m', 'speed km/h', 'volts V', 'amps A', 'energy Wh', 'charge %'] as const;

/** A ride as rows of text, heads first. */
export function rideRows(samples: readonly MeterSample[]): string[][] {
  return [
    [...rideHeads],
    ...samples.map((s) => [
      s.timeS.toFixed(1),
      s.distanceM.toFixed(1),
      (s.speedMs * 3.6).toFixed(2),
      s.volts.toFixed(2),
      s.amps.toFixed(2),
      s.energyWh.toFixed(3),
      (s.charge * 100).toFixed(1),
    ]),
  ];
}

/** What of a sample a column is, by the words and units meters use; times the factor to SI. */
const columns: { of: keyof MeterSample; head: RegExp; factor: (unit: string) => number }[] = [
  {
    of: 'timeS',
    head: /^(time|seconds|elapsed|t)\b/,
    factor: (u) => (/min/.test(u) ? 60 : /\bms\b|milli/.test(u) ? 0.001 : 1),
  },
  {
    of: 'distanceM',
    head: /^(distance|dist|way|odo)/,
    factor: (u) => (/km/.test(u) ? 1000 : /mi\b|mile/.test(u) ? 1609.344 : 1),
  },
  {
    of: 'speedMs',
    head: /^(speed|velocity|v_?kmh)/,
    factor: (u) => (/km/.test(u) ? 1 / 3.6 : /mph|mi/.test(u) ? 0.44704 : 1),
  },
  { of: 'volts', head: /^(volts?|voltage|u)\b/, factor: () => 1 },
  { of: 'amps', head: /^(amps?|current|i)\b/, factor: (u) => (/\bma\b/.test(u) ? 0.001 : 1) },
  { of: 'energyWh', head: /^(energy|wh|used)/, factor: (u) => (/kwh/.test(u) ? 1000 : 1) },
  { of: 'charge', head: /^(charge|soc|gauge)/, factor: () => 0.01 },
];

const MOST_ROWS = 100_000;

/** What was read of a ride's table. */
export type RideRead = { ok: true; samples: MeterSample[]; without: string[] } | { ok: false; problems: ReadProblem[] };

/**
 * Reads a ride from rows of a meter's table, heads first, columns by name and unit in any order. Time, volts and amps
 * are needed, and speed or distance; energy and way are summed up where they are missing. A row that is no figure is
 * refused by its number and column.
 */
export function readRide(rows: readonly (readonly string[])[]): RideRead {
  const filled = filledRows(rows);
  const fault = tableFault(filled, MOST_ROWS);
  if (fault) return { ok: false, problems: [fault] };
  const [first, ...body] = filled;
  const heads = (first?.cells ?? []).map((h) => h.trim().toLowerCase());
  const at = new Map<keyof MeterSample, { i: number; factor: number }>();
  heads.forEach((head, i) => {
    const column = columns.find((c) => c.head.test(head) && !at.has(c.of));
    if (column) at.set(column.of, { i, factor: column.factor(head) });
  });
  const missing = (['timeS', 'volts', 'amps'] as const)
    .filter((c) => !at.has(c))
    .map((c) => ({ timeS: 'time', volts: 'volts', amps: 'amps' })[c]);
  if (!at.has('speedMs') && !at.has('distanceM')) missing.push('speed or distance');
  if (missing.length > 0)
    return {
      ok: false,
      problems: [{ path: `row ${first?.row ?? 1}`, message: `has no column for ${missing.join(', ')}` }],
    };
  if (body.length < 2) return { ok: false, problems: [{ path: 'row 2', message: 'a ride wants two rows at least' }] };
  const problems: ReadProblem[] = [];
  const samples: MeterSample[] = [];
  let before: MeterSample | null = null;
  body.forEach(({ cells: row, row: line }) => {
    const value = (of: keyof MeterSample): number | null => {
      const column = at.get(of);
      if (!column) return null;
      const text = (row[column.i] ?? '').trim().replace(/\s/g, '').replace(',', '.');
      const number = text === '' ? NaN : Number(text);
      if (!Number.isFinite(number) || Math.abs(number) > 1e7) {
        if (problems.length < 20)
          problems.push({
            path: `row ${line}, column ${column.i + 1}`,
            message: `“${(row[column.i] ?? '').slice(0, 40)}” is no figure`,
          });
        return null;
      }
      return number * column.factor;
    };
    const timeS = value('timeS') ?? 0;
    const volts = value('volts') ?? 0;
    const amps = value('amps') ?? 0;
    const speed = value('speedMs');
    const way = value('distanceM');
    const energy = value('energyWh');
    const charge = value('charge');
    if (before && timeS < before.timeS && problems.length < 20)
      problems.push({ path: `row ${line}, column ${(at.get('timeS')?.i ?? 0) + 1}`, message: 'goes back in time' });
    const span: number = before ? Math.max(0, timeS - before.timeS) : 0;
    const speedMs: number = speed ?? (before && span > 0 && way !== null ? (way - before.distanceM) / span : 0);
    const sample: MeterSample = {
      timeS,
      speedMs,
      volts,
      amps,
      distanceM: way ?? (before ? before.distanceM + speedMs * span : 0),
      energyWh: energy ?? (before ? before.energyWh + (volts * amps * span) / 3600 : 0),
      charge: charge === null ? NaN : Math.max(0, Math.min(1, charge)),
    };
    samples.push(sample);
    before = sample;
  });
  if (problems.length > 0) return { ok: false, problems };
  const without = [
    ...(at.has('charge') ? [] : ['charge']),
    ...(at.has('energyWh') ? [] : ['energy']),
    ...(at.has('distanceM') ? [] : ['distance']),
  ];
  return { ok: true, samples, without };
}
