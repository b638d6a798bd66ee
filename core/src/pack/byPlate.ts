import type { Chemistry } from '../parts/chemistry.ts';
import type { Pack } from '../parts/pack.ts';
import { NOMINAL_CELL_VOLTS } from './battery.ts';

/** What follows from a battery's label: its cells in a row and beside one another, and what one of them is like. */
export interface CellsOf {
  series: number;
  parallel: number;
  cellAh: number;
  cellOhm: number;
}

/** Volts that labels round to, by cells in a row, where they are not the nominal ones: a label of 36 V on 11 LFP cells. */
const LABELS: Partial<Record<Chemistry, Readonly<Record<number, number>>>> = {
  nmc: { 24: 7, 36: 10, 48: 13, 52: 14, 60: 16, 72: 20 },
  lfp: { 24: 8, 36: 11, 38: 12, 48: 15, 51: 16 },
  lead: { 24: 12, 36: 18, 48: 24, 60: 30, 72: 36 },
};

/** Cells of a common size by chemistry, A·h. Source: the shelf's packs. */
const USUAL_CELL_AH: Record<Chemistry, number> = { nmc: 3.2, lfp: 20, lead: 100 };
/** Ohm times ampere-hours of one cell: bigger cells resist less. Source: the shelf's packs. */
const OHM_AH: Record<Chemistry, number> = { nmc: 0.1, lfp: 0.08, lead: 0.045 };

/**
 * Cells of a battery from its label's volts and ampere-hours: in a row by the label, or by the nominal volts of a cell;
 * beside one another as many as make up its ampere-hours in cells of the common size.
 */
export function cellsByLabel(chemistry: Chemistry, volts: number, ah: number): CellsOf {
  const series =
    LABELS[chemistry]?.[Math.round(volts)] ?? Math.max(1, Math.round(volts / NOMINAL_CELL_VOLTS[chemistry]));
  const parallel = Math.max(1, Math.round(ah / USUAL_CELL_AH[chemistry]));
  const cellAh = ah / parallel;
  return { series, parallel, cellAh, cellOhm: OHM_AH[chemistry] / cellAh };
}

/** A battery's label: volts it is sold by and ampere-hours. */
export function labelOf({ chemistry, series, parallel, cellAh }: Pack): { volts: number; ah: number } {
  return { volts: NOMINAL_CELL_VOLTS[chemistry] * series, ah: parallel * cellAh };
}
