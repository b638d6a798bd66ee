import type { Known } from '../../build/paces.ts';

/** As many steps that took just what was told stand against what was seen. Source: project; a few steps tell little. */
const SHRINK = 5;
/** No pace is believed past these. Source: project. */
const SLOWEST = 3;
const QUICKEST = 1 / 3;

/**
 * A person's own pace: how many times what is told their steps take, drawn toward 1 as if five more had taken just what
 * was told. The middle is taken of the ratios' logarithms, so that twice and half as long even out. 1 where nothing is
 * known.
 */
export function paceOf({ sum, count }: Known): number {
  return Math.min(SLOWEST, Math.max(QUICKEST, Math.exp(sum / (count + SHRINK))));
}

/** Minutes at a pace, to the half minute. */
export const atPace = (told: number, pace: number): number => Math.max(0.5, Math.round(told * pace * 2) / 2);
