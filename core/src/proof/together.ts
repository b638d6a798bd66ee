import { NORMAL_90 } from '../constants.ts';
import { simulate } from '../ride/simulate.ts';
import { steadySpeed } from '../ride/steady.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { DaySystem } from './conditions.ts';
import { alone, cruiseWatts, fullLoadVolts, heldNoLoad, asDriven } from './foretold.ts';
import { bandsFrom, conditionsFor, type ProofSheet } from './protocol.ts';
import type { BandFrom, Signal } from './test.ts';

/** What the plan foretells of each signal; null where it cannot. */
const foretold: Record<Signal, (from: BandFrom) => number | null> = {
  noLoadSpeed: ({ on }) => heldNoLoad(on).speedMs,
  noLoadAmps: ({ on }) => heldNoLoad(on).packA,
  topFull: (from) => steadySpeed(asDriven(from).system, 0, from.on.charge).speedMs,
  topHalf: (from) =>
    steadySpeed(
      asDriven(from).system,
      0,
      from.conditions.charge === null && from.conditions.restV === null ? 0.5 : from.on.charge,
    ).speedMs,
  cruiseWatts: (from) => {
    const v = Math.min(from.context.build.brief.cruiseMs, from.context.fastest.ms * 0.95);
    const watts = cruiseWatts(alone(from.on), v);
    return Number.isFinite(watts) ? watts : null;
  },
  sag: ({ on }) => fullLoadVolts(on),
  hillSpeed: (from) => steadySpeed(asDriven(from).system, from.context.climbGrade, from.on.charge).speedMs,
  whPerKm: (from) =>
    simulate(from.on.system, from.context.road, { repeat: false, fine: true, startCharge: 1 }).whPerKm / 1000,
  rangeM: (from) =>
    simulate(from.on.system, from.context.road, { repeat: true, fine: true, startCharge: from.on.charge }).distanceM,
  coastRolling: ({ on }) => on.system.vehicle.crr,
  coastDrag: ({ on }) => on.system.vehicle.cdaM2,
  stopFull: () => null,
  massKg: ({ on }) => on.system.vehicle.massKg,
};

const speeds: readonly Signal[] = ['noLoadSpeed', 'topFull', 'topHalf', 'hillSpeed'];

/** One cause that would move several readings at once, in sizes it comes in. */
export interface CommonCause {
  id: string;
  words: string;
  /** How likely before anything is read, against the others. Source: project. */
  prior: number;
  sizes: readonly number[];
  /** The vehicle as it would be. */
  moved: (on: DaySystem, size: number) => DaySystem;
  /** The display shows speeds so many times too great. */
  shows?: (size: number) => number;
  /** Faults it would be, for the fault finder. */
  faults: readonly string[];
  /** What to do first. */
  first: string;
}

const vehicle = (on: DaySystem, change: Partial<DaySystem['system']['vehicle']>): DaySystem => ({
  ...on,
  system: { ...on.system, vehicle: { ...on.system.vehicle, ...change } },
});
const pack = (on: DaySystem, change: Partial<DaySystem['system']['pack']>): DaySystem => ({
  ...on,
  system: { ...on.system, pack: { ...on.system.pack, ...change } },
});
const motor = (on: DaySystem, change: Partial<DaySystem['system']['motor']>): DaySystem => ({
  ...on,
  system: { ...on.system, motor: { ...on.system.motor, ...change } },
});

const NOTHING = 'nothing';

export const commonCauses: readonly CommonCause[] = [
  {
    id: NOTHING,
    words: 'Nothing in common: chance, or readings',
    prior: 6,
    sizes: [1],
    moved: (on) => on,
    faults: [],
    first: 'Try the odd one again.',
  },
  {
    id: 'rolling',
    words: 'It rolls more heavily than planned',
    prior: 3,
    sizes: [1.4, 1.9],
    moved: (on, x) => vehicle(on, { crr: on.system.vehicle.crr * x }),
    faults: ['tyre-soft', 'rotor-rub', 'wheel-crooked', 'bearing'],
    first: 'Tyre pressures, then spin each wheel: brakes, bearings.',
  },
  {
    id: 'air',
    words: 'The air holds it more than planned',
    prior: 2,
    sizes: [1.2, 1.45],
    moved: (on, x) => vehicle(on, { cdaM2: on.system.vehicle.cdaM2 * x }),
    faults: ['load-more'],
    first: 'Luggage, clothes, posture; a wind that was not felt.',
  },
  {
    id: 'mass',
    words: 'It weighs more than planned',
    prior: 2,
    sizes: [1.1, 1.25],
    moved: (on, x) => vehicle(on, { massKg: on.system.vehicle.massKg * x }),
    faults: ['load-more'],
    first: 'The weigh-in.',
  },
  {
    id: 'battery-ohms',
    words: 'The battery gives way under load',
    prior: 3,
    sizes: [1.8, 3],
    moved: (on, x) => pack(on, { cellOhm: on.system.pack.cellOhm * x }),
    faults: ['weak-block', 'pack-sag', 'cold-pack', 'contacts', 'plug-small'],
    first: 'Each block’s volts, then plug and contacts.',
  },
  {
    id: 'battery-holds-less',
    words: 'The battery holds less than planned',
    prior: 2,
    sizes: [0.8, 0.6],
    moved: (on, x) => pack(on, { health: on.system.pack.health * x }),
    faults: ['pack-old', 'out-of-step', 'weak-block', 'lowvolts-high'],
    first: 'Volts when full; energy back into it by the wall meter.',
  },
  {
    id: 'less-current',
    words: 'The controller gives less than the kit’s most',
    prior: 3,
    sizes: [0.75, 0.5],
    moved: (on, x) => ({
      ...on,
      system: {
        ...on.system,
        controller: {
          ...on.system.controller,
          batteryLimitA: on.system.controller.batteryLimitA * x,
          phaseLimitA: on.system.controller.phaseLimitA * x,
        },
      },
    }),
    faults: ['level-low', 'throttle-limited'],
    first: 'Settings: current, level, start strength, throttle.',
  },
  {
    id: 'motor-losses',
    words: 'The motor or its gears drag',
    prior: 1.5,
    sizes: [2.2, 4],
    moved: (on, x) =>
      motor(on, { coulombNm: on.system.motor.coulombNm * x, viscousNmS: on.system.motor.viscousNmS * x }),
    faults: ['gears-worn', 'water-motor', 'bearing'],
    first: 'Ear to the motor, turned by hand.',
  },
  {
    id: 'other-winding',
    words: 'The motor turns slower or faster than its data',
    prior: 1,
    sizes: [1.12, 0.89],
    moved: (on, x) => motor(on, { ktNmPerA: on.system.motor.ktNmPerA * x }),
    faults: [],
    first: 'Its label against the order: another winding was delivered.',
  },
  {
    id: 'speed-shown',
    words: 'The display shows speeds wrong',
    prior: 2,
    sizes: [0.93, 1.07],
    moved: (on) => on,
    shows: (x) => x,
    faults: ['circumference-wrong', 'speed-magnet'],
    first: 'A turn of the wheel rolled out; speed beside another measure.',
  },
];

/** A reading among those judged together. */
export interface SignalRead {
  signal: Signal;
  test: string;
  what: string;
  value: number;
  /** So many standard deviations off what was foretold. */
  z: number;
  side: 'low' | 'inside' | 'high';
}

/** What several readings say together. */
export interface Together {
  read: SignalRead[];
  /** Causes by weight, likeliest first; they add up to 1. */
  causes: { id: string; words: string; first: string; faults: readonly string[]; p: number }[];
  /** In a line: what is low, what is high, what that means. */
  words: string;
}

/**
 * Judges readings together: each cause is put into the vehicle, everything is foretold anew, and the readings say how
 * well it fits them (normal in the readings' own standard deviations, sizes of a cause equally likely). Null with fewer
 * than two readings or none outside its band.
 */
export function together(context: PlanContext, sheet: ProofSheet): Together | null {
  const read = sheet.tests.flatMap((test) =>
    test.readings.flatMap((r) => {
      if (r.signal === undefined || r.value === null || !r.band || r.side === null || r.signal === 'stopFull')
        return [];
      const sd = (r.band.high - r.band.low) / 2 / NORMAL_90;
      const from = bandsFrom(
        context,
        sheet.facts,
        conditionsFor(test, test.result?.conditions ?? context.build.proving.day),
      );
      return from && sd > 0
        ? [{ signal: r.signal, test: test.id, what: r.what, value: r.value, mid: r.band.mid, sd, side: r.side, from }]
        : [];
    }),
  );
  if (read.length < 2 || read.every((r) => r.side === 'inside')) return null;
  const scores = commonCauses.map((cause) => {
    const fits = cause.sizes.map((size) => {
      const miss = read.reduce((sum, r) => {
        const base = foretold[r.signal](r.from);
        const then = foretold[r.signal]({ ...r.from, on: cause.moved(r.from.on, size) });
        // A cause moves what was foretold; that itself stands where the band has its middle.
        const shift = base === null || then === null ? 0 : then - base;
        const shown = speeds.includes(r.signal) ? (cause.shows?.(size) ?? 1) : 1;
        return sum + (((r.mid + shift) * shown - r.value) / r.sd) ** 2;
      }, 0);
      return Math.exp(-Math.min(miss, 1200) / 2);
    });
    return { cause, weight: (cause.prior * fits.reduce((a, b) => a + b, 0)) / fits.length };
  });
  const sum = scores.reduce((all, s) => all + s.weight, 0);
  const causes = scores
    .map(({ cause: { id, words, first, faults }, weight }) => ({
      id,
      words,
      first,
      faults,
      // So far off that no cause explains it: then nothing in common does.
      p: sum > 0 ? weight / sum : id === NOTHING ? 1 : 0,
    }))
    .sort((a, b) => b.p - a.p);
  const list = (side: 'low' | 'high' | 'inside'): string =>
    read
      .filter((r) => r.side === side)
      .map((r) => r.what.charAt(0).toLowerCase() + r.what.slice(1))
      .join(', ');
  const [low, high, fine] = [list('low'), list('high'), list('inside')];
  const lead = causes[0] as (typeof causes)[number];
  return {
    read: read.map(({ signal, test, what, value, mid, sd, side }) => ({
      signal,
      test,
      what,
      value,
      z: (value - mid) / sd,
      side,
    })),
    causes,
    words: `${[low ? `Low: ${low}.` : '', high ? `High: ${high}.` : '', fine ? `As foretold: ${fine}.` : ''].filter((t) => t !== '').join(' ')} ${lead.words}.`,
  };
}
