import { rideJob, summariseDraws, type Spread } from '@sprocket/core';
import {
  createContext,
  startTransition,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { spread as pool } from '../workers/spread.ts';
import { tenths } from '../workers/tenths.ts';
import { usePlanState } from './PlanProvider.tsx';

/** Draws of a full spread, and after how many the first partial answer is shown. */
const DRAWS = 500;
const FIRST = 60;
/** Wait after the last edit before it is ridden anew, ms. */
const WAIT = 200;

interface SpreadState {
  /** The spread so far; null before the first answer, or where kit or pack are missing. */
  spread: Spread | null;
  /** 0 to 1 while it is ridden; null when it stands or was stopped. */
  progress: number | null;
  stopped: boolean;
  stop: () => void;
  again: () => void;
}

const SpreadContext = createContext<SpreadState | null>(null);

/** Rides the spread of the open build in the background, anew after every edit that touches the ride. */
export function SpreadProvider({ children }: { children: ReactNode }) {
  const context = usePlanState()?.context ?? null;
  const ride = useMemo(() => (context ? rideJob(context) : null), [context]);
  const [spread, setSpread] = useState<Spread | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [stopped, setStopped] = useState(false);
  const [turn, setTurn] = useState(0);
  // An edit that leaves the ride as it was, a name or a note, rides nothing anew.
  const route = ride?.job.route;
  const key = ride ? JSON.stringify([ride.job.system, ride.job.brief, ride.wantedM]) : '';
  const latest = useRef(ride);
  useEffect(() => {
    latest.current = ride;
  }, [ride]);

  useEffect(() => {
    const now = latest.current;
    if (!now || key === '') {
      setSpread(null);
      setProgress(null);
      return;
    }
    let wanted = true;
    let answered = false;
    const worth = tenths();
    setStopped(false);
    const timer = setTimeout(() => {
      setProgress(0);
      pool
        .ride(now.job, DRAWS, (results, done, of) => {
          if (!wanted) return;
          const first = done >= FIRST && !answered;
          if (!worth(done / of) && !first) return;
          // Never ahead of what a person asked for meanwhile.
          startTransition(() => setProgress(done / of));
          if (done < FIRST) return;
          if (first) performance.mark('spread-first');
          answered = true;
          const sofar = summariseDraws(
            results.filter((r) => r !== undefined),
            now.wantedM,
          );
          startTransition(() => setSpread(sofar));
        })
        .then((all) => {
          if (!wanted || !all) return;
          performance.mark('spread-ready');
          startTransition(() => {
            setSpread(summariseDraws(all, now.wantedM));
            setProgress(null);
          });
        })
        .catch(() => {
          if (wanted) setProgress(null);
        });
    }, WAIT);
    return () => {
      wanted = false;
      clearTimeout(timer);
      // What nobody waits for any more must not take the cores from whoever is typing.
      pool.rest();
    };
  }, [key, route, turn]);

  const stop = useCallback(() => {
    pool.cancel();
    setProgress(null);
    setStopped(true);
  }, []);
  const again = useCallback(() => setTurn((t) => t + 1), []);
  const value = useMemo(() => ({ spread, progress, stopped, stop, again }), [spread, progress, stopped, stop, again]);
  return <SpreadContext value={value}>{children}</SpreadContext>;
}

export function useSpread(): SpreadState {
  const state = useContext(SpreadContext);
  if (!state) throw new Error('no spread here');
  return state;
}
