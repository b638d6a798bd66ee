import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import type { ScheduleCase, Task } from '../src/work/scheduled.ts';

const LONGEST_WAITS = [15, 60, 600, 1440];

/**
 * A made-up case of two pairs of hands with everything at once: chains, waits, gates inside and outside of bench time,
 * shared tools, tasks for two, long tasks in short evenings, some that may be split. The same for the same seed.
 */
export function nastyCase(seed: number, count: number): ScheduleCase {
  const random = xoroshiro128plus(seed);
  const int = (low: number, high: number): number => uniformInt(random, low, high);
  const chance = (percent: number): boolean => int(1, 100) <= percent;
  const unit = [1, 5, 5, 15][int(0, 3)] as number;
  const minutes = (low: number, high: number): number => Math.max(unit, Math.round(int(low, high) / unit) * unit);
  const [both, linked, toolled, waits, splits, gated] = [
    int(0, 50),
    int(0, 12),
    int(0, 60),
    int(0, 25),
    chance(50) ? 0 : int(0, 40),
    int(0, 40),
  ] as [number, number, number, number, number, number];
  const longest = int(45, 110);
  const least = Math.max(longest, int(90, 150));
  const most = least + int(0, 120);
  const tasks = Array.from({ length: count }, (_, i): Task => {
    const after = Array.from({ length: i }, (__, k) => `t${k}`).filter(() => chance(linked));
    return {
      id: `t${i}`,
      minutes: Math.min(minutes(5, longest), least),
      hands: chance(both) ? 2 : 1,
      after: after.slice(0, 3),
      waitMinutes: chance(waits) ? (LONGEST_WAITS[int(0, 3)] as number) : 0,
      needs: chance(gated) ? [`gate${int(0, 2)}`] : [],
      tools: chance(toolled) ? [`tool${int(0, 2)}`] : [],
      splittable: chance(splits),
    };
  });
  const windows = Array.from({ length: 120 }, (_, day) => day * 1440 + 1080).flatMap((from) =>
    chance(20) ? [] : [{ from, to: from + minutes(least, most) }],
  );
  const gates = [0, 1, 2].map((g) => ({ id: `gate${g}`, from: int(0, 4) * 1440 + int(600, 1200) }));
  return { hands: 2, windows, gates, tasks };
}
