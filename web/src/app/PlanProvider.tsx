import { planBuild, starterShelf, withParts, type Build, type BuildPlan, type Shelf } from '@sprocket/core';
import { createContext, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { coreWorker } from '../workers/core.ts';
import { useApp } from './store.ts';

/** The plan of the open build, the one before it, and how long the sums took. */
interface PlanState {
  plan: BuildPlan;
  previous: BuildPlan | null;
}

const PlanContext = createContext<PlanState | null>(null);

/** Sums longer than this go to the worker, ms: one frame. */
const FRAME = 16;

/** The shelf the open build chooses from: the starter's, the person's own, the file's own. */
export function useShelf() {
  const own = useApp((state) => state.shelf.own);
  return useMemo(() => withParts(starterShelf, own), [own]);
}

/** Derives the plan from the build: at once while that fits in a frame, in the worker when it does not. */
export function PlanProvider({ children }: { children: ReactNode }) {
  const build = useApp((state) => state.build.present.build);
  const shelf = useShelf();
  const [state, setState] = useState<PlanState | null>(null);
  const lastCost = useRef(0);
  const busy = useRef(false);
  const waiting = useRef<{ build: Build; shelf: Shelf } | null>(null);

  useEffect(() => {
    const settle = (plan: BuildPlan, cost: number): void => {
      lastCost.current = cost;
      performance.mark('plan-ready');
      setState((before) => ({ plan, previous: before?.plan ?? null }));
    };
    const here = (job: { build: Build; shelf: Shelf }): void => {
      const start = performance.now();
      const plan = planBuild(job.build, job.shelf);
      settle(plan, performance.now() - start);
    };
    // One sum at a time in the worker; of the edits made meanwhile only the last is reckoned.
    const away = async (first: { build: Build; shelf: Shelf }): Promise<void> => {
      busy.current = true;
      for (let job: typeof first | null = first; job;) {
        const start = performance.now();
        try {
          settle(await coreWorker().planBuild(job.build, job.shelf), performance.now() - start);
        } catch {
          here(job);
        }
        job = waiting.current;
        waiting.current = null;
      }
      busy.current = false;
    };
    if (!build) return;
    if (busy.current) waiting.current = { build, shelf };
    else if (lastCost.current <= FRAME) here({ build, shelf });
    else void away({ build, shelf });
  }, [build, shelf]);

  return <PlanContext value={state}>{children}</PlanContext>;
}

/** The plan, or null until the first one is there. */
export function usePlanState(): PlanState | null {
  return useContext(PlanContext);
}

/** The plan; only below a screen that waits for it. */
export function usePlan(): BuildPlan {
  const state = useContext(PlanContext);
  if (!state) throw new Error('no plan yet');
  return state.plan;
}
