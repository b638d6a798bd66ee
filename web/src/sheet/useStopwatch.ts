import { useEffect, useState } from 'react';
import { elapsed, minutesRun, readWatch, turned, type Stopwatch } from '../ui/stopwatch.ts';

const KEPT = 'jolly-sprocket-watch';

function kept(): string | null {
  try {
    return localStorage.getItem(KEPT);
  } catch {
    return null;
  }
}

function keep(watch: Stopwatch): void {
  try {
    localStorage.setItem(KEPT, JSON.stringify(watch));
  } catch {
    // Without a store it runs on for as long as the page is open.
  }
}

/** One step's watch: by the clock, kept through reload and sleep. There is one for all; another step begins it anew. */
export function useStopwatch(of: string): {
  running: boolean;
  ms: number;
  turn: () => void;
  minutes: () => number | null;
  clear: () => void;
} {
  const [watch, setWatch] = useState(() => readWatch(kept(), of));
  const [now, setNow] = useState(() => Date.now());
  const mine = watch.of === of ? watch : readWatch(kept(), of);
  if (mine !== watch) setWatch(mine);
  const running = mine.since !== null;
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, [running]);
  const put = (next: Stopwatch): void => {
    keep(next);
    setNow(Date.now());
    setWatch(next);
  };
  return {
    running,
    ms: elapsed(mine, now),
    turn: () => put(turned(mine, Date.now())),
    minutes: () => minutesRun(mine, Date.now()),
    clear: () => put({ of, since: null, ran: 0 }),
  };
}
