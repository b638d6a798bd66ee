import { entriesOf, type Ridden } from '@sprocket/core';
import { proxy } from 'comlink';
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { store, useApp, useBuild, useSend } from '../../store/store.ts';
import { logWorker } from '../../workers/core.ts';
import type { LogTold } from '../../workers/core.worker.ts';
import { tenths } from '../../workers/tenths.ts';

/** Rest after an edit before the rides are asked anew, ms. */
const WAIT = 350;

const same = (a: Ridden | null, b: Ridden | null): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What the rides told, asked anew whenever log or vehicle change; with how far it is, and how to stop it. */
export function useLogTuning(): {
  told: LogTold | null;
  progress: number | null;
  stopped: boolean;
  stop: () => void;
  again: () => void;
} {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const send = useSend();
  const [told, setTold] = useState<LogTold | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [stopped, setStopped] = useState(false);
  const [turn, setTurn] = useState(0);
  const { tuned, log, brief, donor, choice, ownParts, wiring, weights, fixes, built, arrivals } = build;
  // What the rides told is written into the build by this itself: it asks nothing anew.
  const { entries } = log;
  const { massKg, rolledM, dragArea, rolling, byRides } = tuned;
  const asked = useRef(build);
  useEffect(() => {
    asked.current = build;
  });
  useEffect(() => {
    let wanted = true;
    setStopped(false);
    const rides = entriesOf({ entries }, 'ride').length;
    const whole = choice.kitId !== null && choice.packId !== null;
    const timer = setTimeout(() => {
      if (rides === 0 || !whole) {
        setTold(null);
        setProgress(null);
        if (asked.current.tuned.rides !== null) send(buildActions.riddenTo({ field: 'tuned.rides', value: null }));
        return;
      }
      setProgress(0);
      const worth = tenths();
      logWorker()
        .tuneLog(
          asked.current,
          own,
          proxy((share: number) => {
            if (wanted && worth(share)) startTransition(() => setProgress(share));
          }),
        )
        .then((found) => {
          if (!wanted) return;
          setProgress(null);
          if (!found) {
            setStopped(true);
            return;
          }
          setTold(found);
          const now = store.getState().build.present.build;
          const ridden = byRides ? found.ridden : null;
          if (now?.id === asked.current.id && !same(now.tuned.rides, ridden))
            send(buildActions.riddenTo({ field: 'tuned.rides', value: ridden }));
        })
        .catch(() => {
          if (wanted) setProgress(null);
        });
    }, WAIT);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [
    entries,
    brief,
    donor,
    choice,
    ownParts,
    wiring,
    weights,
    fixes,
    built,
    arrivals,
    massKg,
    rolledM,
    dragArea,
    rolling,
    byRides,
    own,
    send,
    turn,
  ]);
  const stop = useCallback(() => {
    void logWorker().stopTuning();
  }, []);
  const again = useCallback(() => setTurn((t) => t + 1), []);
  return { told, progress, stopped, stop, again };
}
