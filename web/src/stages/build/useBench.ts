import { benchNow, type BuildStep } from '@sprocket/core';
import { useMemo } from 'react';
import { useBuild } from '../../store/store.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useMinute } from '../../sheet/useMinute.ts';

export type Standing = 'done' | 'now' | 'held' | 'later';

/** The steps in the order of the bench, and how each stands at this minute. */
export interface BenchNow {
  /** In the order of the bench. */
  steps: BuildStep[];
  byId: ReadonlyMap<string, BuildStep>;
  /** Still to do, what can be begun now first. */
  ahead: BuildStep[];
  ready: readonly string[];
  standing: (step: BuildStep) => Standing;
  /** What a step waits for that is not here or not over, in words. */
  waits: (step: BuildStep) => string[];
}

/** How the bench stands at this minute: what lies here, what has waited out, what comes before what. */
export function useBench(): BenchNow {
  const {
    build: bench,
    parts: { bill },
  } = usePlan();
  const { bill: choices } = useBuild();
  const now = useMinute();
  return useMemo(() => {
    const byId = new Map(bench.steps.map((s) => [s.id, s]));
    const steps = bench.order.flatMap((id) => byId.get(id) ?? []);
    const names = new Map(bill.lines.map((l) => [l.key, l.name]));
    const held = new Map(benchNow(bench, bill.lines, choices, now).held.map((h) => [h.step, h]));
    const standing = (s: BuildStep): Standing =>
      s.doneOn !== null
        ? 'done'
        : s.after.some((a) => byId.get(a.step)?.doneOn === null)
          ? 'later'
          : held.has(s.id)
            ? 'held'
            : 'now';
    const left = steps.filter((s) => s.doneOn === null);
    const ready = left.filter((s) => standing(s) === 'now');
    return {
      steps,
      byId,
      ahead: [...ready, ...left.filter((s) => standing(s) !== 'now')],
      ready: ready.map((s) => s.id),
      standing,
      waits: (s) => {
        const found = held.get(s.id);
        return found
          ? [
              ...found.lines.map((key) => `for ${names.get(key) ?? key}`),
              ...found.waits.map((id) => `until ${byId.get(id)?.wait?.why ?? 'it has waited out'}`),
            ]
          : [];
      },
    };
  }, [bench, bill, choices, now]);
}
