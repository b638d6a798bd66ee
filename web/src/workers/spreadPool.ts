import type { DrawResult, SpreadJob } from '@sprocket/core';

/** Draws handed to a worker at once: small enough to stop soon, large enough to be worth the post. */
const CHUNK = 8;
/** Workers at most; a phone's cores are not all ours. */
export const MOST_HANDS = 4;

/** One worker that rides draws, and how to end it. */
export interface Hand {
  runDraws: (job: SpreadJob, from: number, to: number) => Promise<DrawResult[]>;
  terminate: () => void;
}

/** Called with the draws so far, with gaps where a worker is still at it, how many they are and how many were asked for. */
export type Progress = (results: readonly (DrawResult | undefined)[], done: number, of: number) => void;

/** Rides draws over several hands; one job at a time, the newest. */
export interface SpreadPool {
  /**
   * Rides a job's draws over all hands. Draw n is the same ride wherever it runs, so the answer does not depend on
   * how many there are. A newer call, or `cancel`, ends an older one: it then resolves to null.
   */
  ride: (job: SpreadJob, count: number, progress: Progress) => Promise<DrawResult[] | null>;
  /** Lets whatever is being ridden run out: no more of its draws are handed out, and its ride resolves to null. */
  rest: () => void;
  /** Ends whatever is being ridden at once: the hands are stopped, not waited for. */
  cancel: () => void;
  /** Hands alive, for whoever wants to see that none is left over. */
  alive: () => number;
}

/** A pool of so many hands, made when first needed and anew after they were stopped. */
export function spreadPool(count: () => number, make: (n: number) => Hand): SpreadPool {
  let hands: Hand[] = [];
  let run = 0;
  return {
    async ride(job, draws, progress) {
      const mine = ++run;
      if (hands.length === 0)
        hands = Array.from({ length: Math.max(1, Math.min(MOST_HANDS, count())) }, (_, i) => make(i + 1));
      const results: DrawResult[] = [];
      let next = 0;
      let done = 0;
      const work = async (hand: Hand): Promise<void> => {
        while (mine === run && next < draws) {
          const from = next;
          next = Math.min(draws, from + CHUNK);
          const part = await hand.runDraws(job, from, next);
          if (mine !== run) return;
          part.forEach((r, i) => (results[from + i] = r));
          done += part.length;
          progress(results, done, draws);
        }
      };
      await Promise.all(hands.map(work));
      return mine === run && done >= draws ? results : null;
    },
    rest() {
      run++;
    },
    cancel() {
      run++;
      for (const hand of hands) hand.terminate();
      hands = [];
    },
    alive: () => hands.length,
  };
}
