import type { DrawResult, SpreadJob } from '@sprocket/core';
import { wrap, type Remote } from 'comlink';
import { newCoreWorker } from './core.ts';
import type { CoreWorker } from './core.worker.ts';

/** Draws handed to a worker at once: small enough to stop soon, large enough to be worth the post. */
const CHUNK = 8;
/** Workers at most; a phone's cores are not all ours. */
const MOST = 4;

interface Hand {
  worker: Worker;
  remote: Remote<CoreWorker>;
}

/** Called with the draws so far, with gaps where a worker is still at it, how many they are and how many were asked for. */
export type Progress = (results: readonly (DrawResult | undefined)[], done: number, of: number) => void;

let hands: Hand[] = [];
let run = 0;

function pool(): Hand[] {
  if (hands.length === 0) {
    const count = Math.max(1, Math.min(MOST, navigator.hardwareConcurrency || 2));
    hands = Array.from({ length: count }, (_, i) => {
      const worker = newCoreWorker(`spread ${i + 1}`);
      return { worker, remote: wrap<CoreWorker>(worker) };
    });
  }
  return hands;
}

/**
 * Rides a job's draws over all workers. Draw n is the same ride wherever it runs, so the answer does not
 * depend on how many there are. A newer call, or `cancelSpread`, ends an older one: it then resolves to null.
 */
export async function rideSpread(job: SpreadJob, count: number, progress: Progress): Promise<DrawResult[] | null> {
  const mine = ++run;
  const results: DrawResult[] = [];
  let next = 0;
  let done = 0;
  const work = async ({ remote }: Hand): Promise<void> => {
    while (mine === run && next < count) {
      const from = next;
      next = Math.min(count, from + CHUNK);
      const part = await remote.runDraws(job, from, next);
      if (mine !== run) return;
      part.forEach((r, i) => (results[from + i] = r));
      done += part.length;
      progress(results, done, count);
    }
  };
  await Promise.all(pool().map(work));
  return mine === run && done >= count ? results : null;
}

/** Ends whatever is being ridden at once: the workers are stopped, not waited for. */
export function cancelSpread(): void {
  run++;
  for (const { worker } of hands) worker.terminate();
  hands = [];
}

/** Workers alive, for whoever wants to see that none is left over. */
export function spreadWorkers(): number {
  return hands.length;
}
