import type { AimId, SearchOptions, SearchResult } from '@sprocket/core';

/** One worker that searches some kits, and how to have it leave off. */
export interface Seeker {
  search: (options: SearchOptions, tell: (soFar: SearchResult) => void) => Promise<SearchResult | null>;
  stop: () => void;
}

/** What a search has so far, and whether that is all. */
export interface Sought {
  result: SearchResult;
  done: boolean;
  /** Some of it broke off: what is there is not all. */
  broken: boolean;
}

/**
 * Searches a shelf with several seekers, each its own kits, dealt out one after another since those of a family cost alike.
 * @param join how the parts are one
 * @param tell called with all parts together whenever one has more
 * @returns what ends it at once; nothing is told after that
 */
export function searchAll(
  seekers: readonly Seeker[],
  kits: readonly string[],
  options: SearchOptions,
  join: (parts: readonly SearchResult[], aims: readonly AimId[]) => SearchResult,
  tell: (sought: Sought) => void,
): () => void {
  const parts: (SearchResult | undefined)[] = seekers.map(() => undefined);
  let open = seekers.length;
  let wanted = true;
  let broken = false;
  const say = (): void => {
    if (wanted)
      tell({
        result: join(
          parts.filter((p) => p !== undefined),
          options.aims,
        ),
        done: open === 0,
        broken,
      });
  };
  seekers.forEach((seeker, n) => {
    const own = { ...options, kits: kits.filter((_, i) => i % seekers.length === n) };
    seeker
      .search(own, (soFar) => {
        parts[n] = soFar;
        say();
      })
      .then((whole) => {
        if (whole === null) return;
        parts[n] = whole;
        open--;
        say();
      })
      .catch(() => {
        broken = true;
        open--;
        say();
      });
  });
  return () => {
    wanted = false;
    for (const seeker of seekers) seeker.stop();
  };
}
