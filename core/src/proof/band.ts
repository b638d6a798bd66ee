import { NORMAL_90 } from '../constants.ts';
import type { SumLine } from '../quantity/sum.ts';
import type { DaySystem, Unsure } from './conditions.ts';

/** What an instrument adds, added in quadrature to the half band. Source: models, §13. */
export const INSTRUMENT = {
  volts: 0.005,
  amps: 0.02,
  speed: 0.03,
  /** Rise over run, absolute. */
  slope: 0.01,
  stopwatchS: 0.3,
  scaleKg: 0.5,
  tape: 0.02,
} as const;

/** A reading foretold: the middle, what the plan's own spread leaves, and that widened by the instrument. SI. */
export interface Band {
  low: number;
  mid: number;
  high: number;
  /** 10 to 90 % of the plan's spread alone. */
  spread: { p10: number; p90: number };
  /** What widens it most, first: half band of each. */
  causes: { words: string; half: number }[];
  /** Half band the instrument adds. */
  instrument: number;
  sum: SumLine[];
}

/** Share of a half band below which a cause is not named. */
const NAMED = 0.03;

/**
 * Foretells a reading: `f` at the conditions, and moved by one standard deviation of each thing that is unsure, both
 * ways; the shifts are added as squares and laid as 10 to 90 % (±1.28 σ), then the instrument's error in quadrature.
 * First order: good while each shift stays under about a fifth.
 * @param instrument absolute error of the instrument at the middle
 */
export function bandOf(
  on: DaySystem,
  unsure: readonly Unsure[],
  f: (on: DaySystem) => number,
  instrument: (mid: number) => number,
  sum: SumLine[] = [],
): Band {
  const mid = f(on);
  const causes = unsure
    .map(({ words, moved }) => ({ words, half: (NORMAL_90 * Math.abs(f(moved(on, 1)) - f(moved(on, -1)))) / 2 }))
    .sort((a, b) => b.half - a.half);
  const half = Math.sqrt(causes.reduce((all, c) => all + c.half ** 2, 0));
  return widened(mid, half, instrument(mid), causes, sum);
}

/** A band from its middle, the half the plan leaves, and the instrument's error. */
export function widened(
  mid: number,
  half: number,
  instrument: number,
  causes: Band['causes'] = [],
  sum: SumLine[] = [],
): Band {
  const whole = Math.hypot(half, instrument);
  return {
    low: mid - whole,
    mid,
    high: mid + whole,
    spread: { p10: mid - half, p90: mid + half },
    causes: causes.filter((c) => c.half > NAMED * whole),
    instrument,
    sum,
  };
}
