import { wrap } from 'comlink';
import { newCoreWorker } from './core.ts';
import type { CoreWorker } from './core.worker.ts';
import { spreadPool } from './spreadPool.ts';

/** The page's pool: a worker a core. */
export const spread = spreadPool(
  () => navigator.hardwareConcurrency || 2,
  (n) => {
    const worker = newCoreWorker(`spread ${n}`);
    const remote = wrap<CoreWorker>(worker);
    return { runDraws: (job, from, to) => remote.runDraws(job, from, to), terminate: () => worker.terminate() };
  },
);
