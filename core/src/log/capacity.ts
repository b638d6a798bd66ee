import type { Build } from '../build/build.ts';
import { byTime, entriesOf } from '../build/log.ts';
import { CHARGE_EFFICIENCY, NORMAL_90 } from '../constants.ts';
import { coldFactor, CYCLE_LIFE, nominalWh } from '../pack/battery.ts';
import type { Pack } from '../parts/pack.ts';
import { dateAfter, daysBetween } from '../quantity/dates.ts';
import { Matrix, inverse } from 'ml-matrix';
import { energyRead } from './energyRead.ts';

/** A capacity that was found out, as a share of what the battery was sold with. */
export interface CapacitySeen {
  id: string;
  at: string;
  share: number;
  /** One standard deviation of it. */
  sd: number;
  from: 'measured' | 'ride to empty' | 'charge';
  wh: number;
}

/** A gauge’s per cent is trusted so far at each end of a charge. Source: models, §15, live page. */
const GAUGE_SD = 0.04;
/** A charge of less of the battery than this tells nothing of the whole. Source: project. */
const LEAST_CHARGE = 0.4;
/** A ride counts as to empty from so full down to so little. */
const FULL = 0.97;
const EMPTY = 0.05;

/** What of the log tells the battery’s capacity: readings, rides to empty, and long charges at the wall. */
export function capacitiesSeen(build: Build, pack: Pack): CapacitySeen[] {
  const sold = nominalWh(pack);
  const warm = (temperatureC: number | null): number => coldFactor(pack.chemistry, temperatureC ?? 20);
  const out: CapacitySeen[] = [];
  for (const m of entriesOf(build.log, 'measurement'))
    if (m.what === 'capacity' && m.value > 0)
      out.push({ id: m.id, at: m.at, share: m.value / sold, sd: 0.03, from: 'measured', wh: m.value });
  for (const ride of entriesOf(build.log, 'ride')) {
    if ((ride.startCharge ?? 0) < FULL || (ride.endCharge ?? 1) > EMPTY || ride.energyFrom === 'gauge') continue;
    const read = energyRead(ride, { ...pack, health: 1 });
    if ('not' in read) continue;
    // Cold lends less: it is put back to what it would give in the warm.
    const wh = read.wh / warm(ride.temperatureC);
    out.push({
      id: ride.id,
      at: ride.at,
      share: wh / (sold * pack.usable),
      sd: Math.hypot(read.sd, 0.03),
      from: 'ride to empty',
      wh,
    });
  }
  for (const { id, at, wallWh, from, to } of entriesOf(build.log, 'charge')) {
    if (from === null || to === null || to - from < LEAST_CHARGE || wallWh <= 0) continue;
    const wh = (wallWh * CHARGE_EFFICIENCY[pack.chemistry]) / (to - from);
    out.push({
      id,
      at,
      share: wh / sold,
      sd: Math.hypot(0.07, (Math.SQRT2 * GAUGE_SD) / (to - from)),
      from: 'charge',
      wh,
    });
  }
  return out.sort(byTime);
}

/** How a battery ages: what it holds now and in a year, as shares of new. */
export interface Ageing {
  /** Share held on a day, with one standard deviation. */
  now: { share: number; sd: number };
  /** A year on, at this use. */
  inAYear: { low: number; mid: number; high: number };
  /** Day by which it will hold 80 % of new, likeliest; null: not within fifteen years. */
  worn: string | null;
  /** Lost a year of standing, and a hundred full cycles, shares. */
  perYear: number;
  perCycles: number;
  cycles: number;
  seen: CapacitySeen[];
}

/** Lost a year by standing alone, and how far that is known. Source: typical data sheets, room temperature, mostly charged. */
const STANDING_LOSS = { nmc: 0.025, lfp: 0.015, lead: 0.08 } as const;
const STANDING_SD = 0.6;
const CYCLE_SD = 0.4;
const START_SD = 0.03;
const WORN = 0.8;
const YEARS = 15;

/**
 * What a battery holds over months: start less standing less cycles, a straight line with its chemistry’s prior, drawn
 * to what was seen. Full cycles are the energy ridden over what it holds new. Null before the first line of the log.
 */
export function ageingOf(build: Build, pack: Pack, now: string): Ageing | null {
  const lines = [...build.log.entries].sort(byTime);
  const first = lines[0]?.at;
  if (first === undefined) return null;
  const sold = nominalWh(pack);
  const rides = entriesOf(build.log, 'ride').map((r) => {
    const read = energyRead(r, { ...pack, health: 1 });
    return { at: r.at, wh: 'not' in read ? 0 : read.wh };
  });
  const charged = entriesOf(build.log, 'charge').map((c) => ({
    at: c.at,
    wh: c.wallWh * CHARGE_EFFICIENCY[pack.chemistry],
  }));
  const upTo = (rows: { at: string; wh: number }[], at: string): number =>
    rows.reduce((sum, r) => sum + (r.at <= at ? r.wh : 0), 0);
  // Rides nobody read and charges nobody wrote: whichever tells more.
  const cyclesAt = (at: string): number => Math.max(upTo(rides, at), upTo(charged, at)) / sold;
  const yearsAt = (at: string): number => daysBetween(first, at) / 365.25;
  const seen = capacitiesSeen(build, pack);
  const perYear = STANDING_LOSS[pack.chemistry];
  const perCycle = (1 - WORN) / CYCLE_LIFE[pack.chemistry];
  const start = pack.health ?? 1;
  const mean = Matrix.columnVector([start, perYear, perCycle]);
  const precision = Matrix.diag([START_SD, perYear * STANDING_SD, perCycle * CYCLE_SD].map((sd) => 1 / sd ** 2));
  const right = precision.mmul(mean);
  for (const { at, share, sd } of seen) {
    const row = [1, -yearsAt(at), -cyclesAt(at)];
    row.forEach((a, i) => {
      right.set(i, 0, right.get(i, 0) + (a * share) / sd ** 2);
      row.forEach((b, j) => precision.set(i, j, precision.get(i, j) + (a * b) / sd ** 2));
    });
  }
  const cov = inverse(precision);
  const fit = cov.mmul(right).to1DArray() as [number, number, number];
  const at = (years: number, cycles: number): { share: number; sd: number } => {
    const row = Matrix.rowVector([1, -years, -cycles]);
    return {
      share: fit[0] - fit[1] * years - fit[2] * cycles,
      sd: Math.sqrt(Math.max(0, row.mmul(cov).mmul(row.transpose()).get(0, 0))),
    };
  };
  const years = yearsAt(now);
  const cycles = cyclesAt(now);
  const pace = years > 0.05 ? cycles / years : 0;
  const next = at(years + 1, cycles + pace);
  const perAnnum = fit[1] + fit[2] * pace;
  const here = at(years, cycles);
  const left = perAnnum > 0 ? (here.share - WORN) / perAnnum : Infinity;
  return {
    now: here,
    inAYear: {
      low: next.share - NORMAL_90 * next.sd,
      mid: next.share,
      high: next.share + NORMAL_90 * next.sd,
    },
    worn: left > YEARS ? null : dayAfter(now, Math.max(0, left)),
    perYear: fit[1],
    perCycles: fit[2] * 100,
    cycles,
    seen,
  };
}

const dayAfter = (now: string, years: number): string => dateAfter(now.slice(0, 10), Math.round(years * 365.25));
