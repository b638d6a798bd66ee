import { planBuild, starterShelf, withParts, type Build, type BuildPlan, type Shelf } from '@sprocket/core';
import { createContext, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { coreWorker } from '../workers/core.ts';
import { useApp } from './store.ts';

/** The plan of the open build, and the one before the last edit. */
interface PlanState {
  plan: BuildPlan;
  previous: BuildPlan | null;
}

const PlanContext = createContext<PlanState | null>(null);

/** The shelf the open build chooses from: the starter's, the person's own, the file's own. */
export function useShelf() {
  const own = useApp((state) => state.shelf.own);
  return useMemo(() => withParts(starterShelf, own), [own]);
}

interface Job {
  build: Build;
  shelf: Shelf;
}

/** Derives the plan from the build: the chosen parts' at once, every other candidate's from the worker. */
export function PlanProvider({ children }: { children: ReactNode }) {
  const build = useApp((state) => state.build.present.build);
  const shelf = useShelf();
  const [state, setState] = useState<PlanState | null>(null);
  const busy = useRef(false);
  const waiting = useRef<Job | null>(null);

  const latest = useRef<BuildPlan | null>(null);

  useEffect(() => {
    const settle = (plan: BuildPlan): void => {
      latest.current = plan;
      performance.mark('plan-ready');
      setState((before) => ({ plan, previous: before?.plan ?? null }));
    };
    // One sum at a time in the worker; of the edits made meanwhile only the last is reckoned.
    const candidates = async (first: Job): Promise<void> => {
      busy.current = true;
      for (let job: Job | null = first; job;) {
        let whole: BuildPlan;
        try {
          whole = await coreWorker().planBuild(job.build, job.shelf);
        } catch {
          whole = planBuild(job.build, job.shelf);
        }
        const newer: Job | null = waiting.current;
        waiting.current = null;
        // An edit made meanwhile has a newer plan standing: only the candidates are taken from this one.
        const now = latest.current;
        if (newer === null || now === null) settleQuietly(whole);
        else settleQuietly({ ...now, kits: whole.kits, families: whole.families, packs: whole.packs });
        job = newer;
      }
      busy.current = false;
    };
    const settleQuietly = (plan: BuildPlan): void => {
      latest.current = plan;
      // The figures are as they were: what changed stays marked against the plan before the edit.
      setState((before) => ({ plan, previous: before?.previous ?? null }));
    };
    if (!build) return;
    const before = latest.current;
    if (before === null) {
      settle(planBuild(build, shelf));
      return;
    }
    // What is chosen is reckoned at once, for the tally; every other kit and pack follows from the worker.
    settle(planBuild(build, shelf, before));
    if (busy.current) waiting.current = { build, shelf };
    else void candidates({ build, shelf });
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
