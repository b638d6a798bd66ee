import { planBuild, starterShelf, withParts, type BuildPlan } from '@sprocket/core';
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
  const turn = useRef(0);

  useEffect(() => {
    if (!build) {
      setState(null);
      return;
    }
    const mine = ++turn.current;
    const settle = (plan: BuildPlan, cost: number): void => {
      lastCost.current = cost;
      if (mine !== turn.current) return;
      performance.mark('plan-ready');
      setState((before) => ({ plan, previous: before?.plan ?? null }));
    };
    if (lastCost.current <= FRAME) {
      const start = performance.now();
      const plan = planBuild(build, shelf);
      settle(plan, performance.now() - start);
      return;
    }
    const start = performance.now();
    coreWorker()
      .planBuild(build, shelf)
      .then((plan) => settle(plan, performance.now() - start))
      .catch(() => settle(planBuild(build, shelf), 0));
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
