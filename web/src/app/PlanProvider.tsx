import {
  planBuild,
  starterShelf,
  withParts,
  type Build,
  type BuildPlan,
  type Candidates,
  type Shelf,
} from '@sprocket/core';
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

/** Wait after the last edit before every other candidate is judged anew, ms: typing comes first. */
const WAIT = 260;

interface Job {
  build: Build;
  shelf: Shelf;
}

/** Candidates as they were last judged, and the job they were judged for. */
interface Judged extends Job {
  parts: Candidates;
}

const candidatesOf = ({ kits, families, packs }: BuildPlan): Candidates => ({ kits, families, packs });

/** Derives the plan from the build: the chosen parts' with the edit itself, every other candidate's from the worker. */
export function PlanProvider({ children }: { children: ReactNode }) {
  const build = useApp((state) => state.build.present.build);
  const shelf = useShelf();
  const [judged, setJudged] = useState<Judged | null>(null);
  const parts = judged?.parts;
  // In the same drawing as the edit, so that field and tally never disagree.
  const quick = useMemo(
    () => (build ? { build, plan: planBuild(build, shelf, parts) } : null),
    // New candidates are laid over it below; they are no reason to reckon anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [build, shelf],
  );
  const plan = useMemo(() => (quick && parts ? { ...quick.plan, ...parts } : (quick?.plan ?? null)), [quick, parts]);
  const [held, setHeld] = useState<(PlanState & { build: Build }) | null>(null);
  if (plan && quick && held?.plan !== plan) {
    // Changes are marked against the plan before the last edit, not before new candidates.
    setHeld({ plan, build: quick.build, previous: held?.build === quick.build ? held.previous : (held?.plan ?? null) });
  }

  useEffect(() => {
    if (plan) performance.mark('plan-ready');
  }, [plan]);

  // One sum at a time in the worker; of the edits made meanwhile only the last is judged.
  const busy = useRef(false);
  const waiting = useRef<Job | null>(null);
  useEffect(() => {
    const judge = async (first: Job): Promise<void> => {
      busy.current = true;
      for (let job: Job | null = first; job;) {
        let parts: Candidates;
        try {
          parts = await coreWorker().candidates(job.build, job.shelf);
        } catch {
          parts = candidatesOf(planBuild(job.build, job.shelf));
        }
        setJudged({ ...job, parts });
        job = waiting.current;
        waiting.current = null;
      }
      busy.current = false;
    };
    if (!build) return;
    const timer = setTimeout(() => {
      if (busy.current) waiting.current = { build, shelf };
      else void judge({ build, shelf });
    }, WAIT);
    return () => clearTimeout(timer);
  }, [build, shelf]);

  return <PlanContext value={held}>{children}</PlanContext>;
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
