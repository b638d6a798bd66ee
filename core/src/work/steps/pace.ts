import type { Done } from '../../build/asBuilt.ts';

/** As many steps that took just what was told stand against what was seen. Source: project; a few steps tell little. */
const SHRINK = 5;
/** No pace is believed past these. Source: project. */
const SLOWEST = 3;
const QUICKEST = 1 / 3;

/** One step's time as told and as it took, min. */
export interface Timed {
  told: number;
  took: number;
}

/**
 * A person's own pace: how many times what is told their steps take, from those that were timed, drawn toward 1 as if
 * five more had taken just what was told. The middle is taken of the ratios' logarithms, so that twice and half as
 * long even out. 1 where nothing was timed.
 */
export function paceOf(timed: readonly Timed[]): number {
  const logs = timed.filter((t) => t.told > 0 && t.took > 0).map((t) => Math.log(t.took / t.told));
  if (logs.length === 0) return 1;
  const pace = Math.exp(logs.reduce((sum, l) => sum + l, 0) / (logs.length + SHRINK));
  return Math.min(SLOWEST, Math.max(QUICKEST, pace));
}

/** What of the steps done by a person was timed; steps left out and of others are none. */
export function timedOf(
  steps: readonly { id: string; told: number }[],
  done: Readonly<Record<string, Done>>,
  builder: string,
): Timed[] {
  return steps.flatMap(({ id, told }): Timed[] => {
    const record = done[id];
    return record && !record.leftOut && record.minutes !== null && record.by === builder
      ? [{ told, took: record.minutes }]
      : [];
  });
}

/** Minutes at a pace, to the half minute. */
export const atPace = (told: number, pace: number): number => Math.max(0.5, Math.round(told * pace * 2) / 2);
