import {
  LEAD_PEUKERT,
  LEAD_REFERENCE_HOURS,
  LEAD_RESISTANCE_RISE,
  LITHIUM_EMPTY_RESISTANCE,
  LITHIUM_RISE_BELOW,
} from '../constants.ts';
import type { Chemistry } from '../parts/chemistry.ts';

/** What a pack is made of, as the models need it. Currents in A, resistances in Ω, `usable` and `health` as shares. */
export interface PackModel {
  chemistry: Chemistry;
  series: number;
  parallel: number;
  cellAh: number;
  cellOhm: number;
  leadOhm: number;
  cutoffVPerCell: number;
  usable: number;
  health: number;
  /** Rise of its resistance from full to empty where it was measured; absent: its chemistry’s. */
  resistanceRise?: number | undefined;
}

/**
 * Open-circuit volts of one cell at charge 0, 0.1 … 1, straight lines between.
 * Source: typical discharge curves at rest; the trade's figures, ±0.03 V.
 */
export const OPEN_CIRCUIT: Record<Chemistry, readonly number[]> = {
  nmc: [3.0, 3.45, 3.55, 3.61, 3.66, 3.71, 3.78, 3.87, 3.96, 4.06, 4.18],
  lfp: [2.6, 3.15, 3.22, 3.25, 3.27, 3.28, 3.29, 3.3, 3.32, 3.33, 3.42],
  lead: [1.93, 1.96, 1.98, 2.0, 2.02, 2.03, 2.05, 2.07, 2.08, 2.1, 2.13],
};

/** Share of rated capacity left in the cold: [°C, factor] pairs. Source: typical cells; flat outside the ends. */
const COLD_CAPACITY: Record<Chemistry, readonly (readonly [number, number])[]> = {
  nmc: [
    [-20, 0.7],
    [-10, 0.8],
    [0, 0.88],
    [10, 0.95],
    [25, 1],
  ],
  lfp: [
    [-20, 0.55],
    [-10, 0.7],
    [0, 0.82],
    [10, 0.93],
    [25, 1],
  ],
  lead: [
    [-20, 0.45],
    [-10, 0.6],
    [0, 0.75],
    [10, 0.87],
    [25, 1],
  ],
};

/** Cycles to 80 % of the first capacity. Source: typical data sheets, middle of their ranges. */
export const CYCLE_LIFE: Record<Chemistry, number> = { nmc: 650, lfp: 2000, lead: 250 };

/** Open-circuit volts of one cell at charge `s` (0–1, clamped). */
export function cellVolts(chemistry: Chemistry, s: number): number {
  const table = OPEN_CIRCUIT[chemistry];
  const x = s <= 0 ? 0 : s >= 1 ? 10 : s * 10;
  const i = x >= 10 ? 9 : x | 0;
  const low = table[i] as number;
  return low + ((table[i + 1] as number) - low) * (x - i);
}

/** Open-circuit volts of the whole pack at charge `s`. */
export function packVolts(pack: PackModel, s: number): number {
  return pack.series * cellVolts(pack.chemistry, s);
}

/** Factor on a cell's resistance at charge `s`: lithium rises to 1.5 below a tenth, lead all the way down. */
export function resistanceFactor(chemistry: Chemistry, s: number, rise?: number): number {
  if (rise !== undefined) return 1 + rise * (1 - s);
  if (chemistry === 'lead') return 1 + LEAD_RESISTANCE_RISE * (1 - s);
  if (s >= LITHIUM_RISE_BELOW) return 1;
  const share = Math.max(0, s) / LITHIUM_RISE_BELOW;
  return LITHIUM_EMPTY_RESISTANCE + (1 - LITHIUM_EMPTY_RESISTANCE) * share;
}

/** Resistance of the pack with its leads, Ω, at charge `s`. */
export function packOhm(pack: PackModel, s: number): number {
  return (
    (pack.series / pack.parallel) * pack.cellOhm * resistanceFactor(pack.chemistry, s, pack.resistanceRise) +
    pack.leadOhm
  );
}

/** Share of rated capacity available at `temperatureC`. Linear between the table's points, flat outside. */
export function coldFactor(chemistry: Chemistry, temperatureC: number): number {
  const table = COLD_CAPACITY[chemistry];
  const first = table[0] as readonly [number, number];
  if (temperatureC <= first[0]) return first[1];
  for (let i = 1; i < table.length; i++) {
    const [t1, f1] = table[i] as readonly [number, number];
    if (temperatureC <= t1) {
      const [t0, f0] = table[i - 1] as readonly [number, number];
      return f0 + ((f1 - f0) * (temperatureC - t0)) / (t1 - t0);
    }
  }
  return 1;
}

/** Capacity in Ah at a temperature and the pack's present health. */
export function capacityAh(pack: PackModel, temperatureC: number): number {
  return pack.parallel * pack.cellAh * coldFactor(pack.chemistry, temperatureC) * pack.health;
}

/**
 * Rate at which charge is counted for a pack current, A: the current itself for lithium;
 * for lead-acid I·(I/I20)^0.18 above the 20-hour rate of the rated capacity (Peukert).
 */
export function countedAmps(pack: PackModel, amps: number, ratedAh: number): number {
  if (pack.chemistry !== 'lead') return amps;
  const reference = ratedAh / LEAD_REFERENCE_HOURS;
  return amps > reference ? amps * (amps / reference) ** LEAD_PEUKERT : amps;
}

/** Current, A, the pack gives when `watts` are drawn at its terminals; NaN when it cannot give them. */
export function ampsForWatts(openVolts: number, ohm: number, watts: number): number {
  return (openVolts - Math.sqrt(openVolts * openVolts - 4 * ohm * watts)) / (2 * ohm);
}

/** Rated energy, Wh, as a seller counts it: nominal cell volts × capacity. */
export function nominalWh(pack: Pick<PackModel, 'chemistry' | 'series' | 'parallel' | 'cellAh'>): number {
  return nominalVolts(pack) * pack.parallel * pack.cellAh;
}

/** Volts a cell is sold by. */
export const NOMINAL_CELL_VOLTS: Record<Chemistry, number> = { nmc: 3.6, lfp: 3.2, lead: 2 };
const FULL_CELL_VOLTS: Record<Chemistry, number> = { nmc: 4.2, lfp: 3.65, lead: 2.13 };
const OFF_CHARGER_VOLTS: Record<Chemistry, number> = { nmc: 4.2, lfp: 3.65, lead: 2.4 };

/** Volts a pack is sold by: nominal cell volts × series (NMC 3.6, LFP 3.2, lead 2.0). */
export function nominalVolts(pack: Pick<PackModel, 'chemistry' | 'series'>): number {
  return NOMINAL_CELL_VOLTS[pack.chemistry] * pack.series;
}

/**
 * Full volts the controller's ceiling must bear: lithium straight off the charger, NMC 4.2, LFP 3.65 a cell; lead-acid
 * rested, 2.13 a cell, since its 2.4 off the charger is surface charge that goes within the hour or the first metres.
 */
export function fullVolts(pack: Pick<PackModel, 'chemistry' | 'series'>): number {
  return FULL_CELL_VOLTS[pack.chemistry] * pack.series;
}

/** Volts while it hangs on the charger, and for a moment after. */
export function chargerVolts(pack: Pick<PackModel, 'chemistry' | 'series'>): number {
  return OFF_CHARGER_VOLTS[pack.chemistry] * pack.series;
}
