import type { BuildTime } from '@sprocket/core';
import { useMemo } from 'react';
import { useBuild } from '../store/store.ts';
import { useMinute } from './useMinute.ts';
import { usePlan } from './PlanProvider.tsx';
import { benchWorker, useWorkerAnswer } from '../workers/core.ts';

/** The clock as the bench needs it, min since 1970, local: a new answer every so often. */
const EVERY = 5;

/** What is reckoned off the page, and whether a newer answer is on its way. The last one stays meanwhile. */
export function useBuildTime(): { time: BuildTime | null; stale: boolean } {
  const { bench: choice, bill: choices } = useBuild();
  const {
    parts: { bill },
    build: planned,
  } = usePlan();
  const now = useMinute(EVERY);
  // The words of the steps are not needed there, and are long.
  const bench = useMemo(
    () => ({ steps: planned.steps, needs: planned.needs, fits: planned.fits }),
    [planned.steps, planned.needs, planned.fits],
  );
  // A plan is made anew with every edit; what the schedule hangs on often is the same, and is told by its text.
  const asked = useMemo(
    () => JSON.stringify([bench, bill.lines, choice, choices, now]),
    [bench, bill.lines, choice, choices, now],
  );
  const answer = useWorkerAnswer(
    async (worker) => ({ asked, time: await worker.buildTime(bench, bill.lines, choice, choices, now) }),
    [asked],
    150,
    benchWorker,
  );
  return { time: answer?.time ?? null, stale: answer !== null && answer.asked !== asked };
}
