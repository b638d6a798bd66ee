import { wrap, type Remote } from 'comlink';
import { useEffect, useState, type DependencyList } from 'react';
import type { CoreWorker } from './core.worker.ts';
import { limited } from './limited.ts';
import workerUrl from './core.worker.ts?worker&url';

/** Address of the core's worker. It changes with the core's code, so that it also names the judgement's version. */
export const coreVersion: string = workerUrl;

/** A worker with the core in it. */
export function newCoreWorker(name: string): Worker {
  return new Worker(workerUrl, { type: 'module', name });
}

let remote: Remote<CoreWorker> | undefined;

/** The core in a worker of its own, started when first asked for. */
export function coreWorker(): Remote<CoreWorker> {
  remote ??= wrap<CoreWorker>(newCoreWorker('core'));
  return remote;
}

let benchRemote: Remote<CoreWorker> | undefined;

/** Another of its own for the bench's schedule: nobody who types waits behind it. */
export function benchWorker(): Remote<CoreWorker> {
  benchRemote ??= wrap<CoreWorker>(newCoreWorker('bench'));
  return benchRemote;
}

let logRemote: Remote<CoreWorker> | undefined;

/** Another for the logbook’s rides: tuning them takes seconds. */
export function logWorker(): Remote<CoreWorker> {
  logRemote ??= wrap<CoreWorker>(newCoreWorker('log'));
  return logRemote;
}

/** Longest a file may be read, ms: the largest track that is taken at all needs a third of it on a slow machine. */
const LONGEST_READ = 15_000;

/** Reads a file from outside in a worker of its own. */
export const readFile = limited<Remote<CoreWorker>>(LONGEST_READ, () => {
  const worker = newCoreWorker('reader');
  return { work: wrap<CoreWorker>(worker), end: () => worker.terminate() };
});

/**
 * An answer worked out in the worker, asked anew when one of `deps` changes; null until it is there, or when it
 * failed. An answer that comes after a newer question is dropped.
 * @param wait rest after a change before it is asked, ms
 * @param worker where it is asked
 */
export function useWorkerAnswer<T>(
  ask: (worker: Remote<CoreWorker>) => Promise<T>,
  deps: DependencyList,
  wait = 0,
  worker: () => Remote<CoreWorker> = coreWorker,
): T | null {
  const [answer, setAnswer] = useState<T | null>(null);
  useEffect(() => {
    let wanted = true;
    const timer = setTimeout(() => {
      ask(worker())
        .then((found) => {
          if (wanted) setAnswer(() => found);
        })
        .catch(() => undefined);
    }, wait);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
    // The question is made anew at each drawing; what it hangs on is what the caller names.
    // oxlint-disable-next-line react/exhaustive-deps
  }, deps);
  return answer;
}
