import {
  judgeCandidates,
  planChosen,
  planContext,
  starterShelf,
  wholePlan,
  withoutLog,
  withParts,
  type Build,
  type BuildPlan,
  type Candidates,
  type PlanContext,
  type Part,
  type Shelf,
} from '@sprocket/core';
import {
  createContext,
  startTransition,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { useApp } from '../store/store.ts';
import { coreWorker } from '../workers/core.ts';
import { useTexts } from '../ui/Show.tsx';
import { planned as plannedIn, type Quick } from './planAhead.ts';

/** The plan of the open build, what it was made from, and the plan before the last edit. */
interface PlanState {
  plan: BuildPlan;
  context: PlanContext;
  previous: BuildPlan | null;
}

const Plan = createContext<PlanState | null>(null);

/** The shelf the open build chooses from: the starter's, the person's own, the file's own. */
export function useShelf() {
  const own = useApp((state) => state.shelf.own);
  return useMemo(() => withParts(starterShelf, own), [own]);
}

/** Wait after the last edit before every other candidate is judged anew, ms: typing comes first. */
const WAIT = 260;

interface Job {
  build: Build;
  own: readonly Part[];
}

/** Whether two states of a build differ in nothing but their log. */
function sameButLog(a: Build, b: Build): boolean {
  return (Object.keys(b) as (keyof Build)[]).every(
    (key) => a[key] === b[key] || key === 'log' || key === 'updatedAt' || key === 'revision',
  );
}

/** Derives the plan from the build: the chosen parts' with the edit itself, every other candidate's from the worker. */
export function PlanProvider({ children }: { children: ReactNode }) {
  const build = useApp((state) => state.build.present.build);
  const own = useApp((state) => state.shelf.own);
  const shelf = useShelf();
  const [candidates, setCandidates] = useState<Candidates | null>(null);
  // A line in the log changes no plan: what the rides told does, and that stands elsewhere.
  const [last, setLast] = useState(build);
  const planned = build && last && sameButLog(last, build) ? last : build;
  if (planned !== last) setLast(planned);
  const opened = useFirstPlan(planned, shelf);
  // In the same drawing as the edit, so that field and tally never disagree.
  const quick = useMemo((): Quick | null => {
    if (!planned || !opened) return null;
    if (opened.build === planned && opened.shelf === shelf) return opened;
    const context = planContext(planned, shelf);
    return { build: planned, shelf, context, chosen: planChosen(context) };
  }, [planned, shelf, opened]);
  const plan = useMemo(() => (quick ? wholePlan(quick.build, quick.chosen, candidates) : null), [quick, candidates]);
  const [held, setHeld] = useState<(PlanState & { build: Build }) | null>(null);
  if (plan && quick && held?.plan !== plan) {
    // Changes are marked against the plan before the last edit, not before new candidates.
    setHeld({
      plan,
      context: quick.context,
      build: quick.build,
      previous: held === null ? null : held.build === quick.build ? held.previous : held.plan,
    });
  }

  useEffect(() => {
    if (plan) performance.mark('plan-ready');
  }, [plan]);

  // One sum at a time in the worker; of the edits made meanwhile only the last is judged.
  const busy = useRef(false);
  const waiting = useRef<Job | null>(null);
  const first = useRef(true);
  useEffect(() => {
    const judge = async (start: Job): Promise<void> => {
      busy.current = true;
      for (let job: Job | null = start; job;) {
        let found: Candidates;
        try {
          found = await coreWorker().candidates(withoutLog(job.build), job.own);
        } catch {
          found = judgeCandidates(planContext(job.build, withParts(starterShelf, job.own)));
        }
        // Drawn when there is nothing more urgent: a list of kits must not hold up a key.
        startTransition(() => setCandidates(found));
        job = waiting.current;
        waiting.current = null;
      }
      busy.current = false;
    };
    if (!planned) return;
    const timer = setTimeout(
      () => {
        if (busy.current) waiting.current = { build: planned, own };
        else void judge({ build: planned, own });
      },
      first.current ? 0 : WAIT,
    );
    first.current = false;
    return () => clearTimeout(timer);
  }, [planned, own]);

  // What the plan says is said in the reader's units; what it was made from stays as it is.
  const said = useTexts(held?.plan ?? null);
  const shown = useMemo(() => (held && said ? { ...held, plan: said } : null), [held, said]);
  return <Plan value={shown}>{children}</Plan>;
}

/** The first plan of the build that was opened, worked out in slices; null until it is there. */
function useFirstPlan(build: Build | null, shelf: Shelf): Quick | null {
  const [first, setFirst] = useState<Quick | null>(null);
  const [failed, setFailed] = useState<Error | null>(null);
  const done = first !== null;
  useEffect(() => {
    if (done || !build) return;
    let wanted = true;
    plannedIn(build, shelf, () => wanted)
      .then((quick) => {
        if (quick) startTransition(() => setFirst(quick));
      })
      .catch((error: unknown) => setFailed(error instanceof Error ? error : new Error(String(error))));
    return () => {
      wanted = false;
    };
  }, [done, build, shelf]);
  if (failed) throw failed;
  return first;
}

/** The plan, or null until the first one is there. */
export function usePlanState(): PlanState | null {
  return useContext(Plan);
}

/** The plan; only below a screen that waits for it. */
export function usePlan(): BuildPlan {
  return useThere().plan;
}

/** What the plan was made from, for sheets that reckon further on it. */
export function usePlanContext(): PlanContext {
  return useThere().context;
}

function useThere(): PlanState {
  const state = useContext(Plan);
  if (!state) throw new Error('no plan yet');
  return state;
}
