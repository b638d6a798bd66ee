import {
  contendersOf,
  faresOf,
  USUAL_DRAWS,
  weighedUp,
  type AimWeights,
  type Build,
  type Drawn,
  type Fares,
  type MeasureFirst,
  type Part,
  type Shelf,
} from '@sprocket/core';
import { proxy } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { drawAll } from '../../workers/drawPool.ts';
import type { Sought } from '../../workers/searchPool.ts';
import { seekers } from './useProposals.ts';

/** What vehicles as this one might be tell of a front. */
export interface DrawnFor {
  front: Sought['result']['front'];
  /** What of it they were drawn for. */
  places: number[];
  fares: Fares;
  of: number;
  done: boolean;
  /** What to measure first; null until all are drawn. */
  first: MeasureFirst[] | null;
}

/** Vehicles from which on a share is shown: fewer tell little. */
const FEWEST = 20;
/** Rest after a weight was moved before it is asked anew what to measure, ms. */
const REST = 300;

/**
 * The best of a front held against vehicles as this one might be, growing while they are drawn, and then what to measure
 * first. Null before there is anything to tell.
 */
export function useDrawn(
  build: Build,
  own: readonly Part[],
  shelf: Shelf,
  sought: Sought | null,
  weights: AimWeights,
): DrawnFor | null {
  const [told, setTold] = useState<(Pick<DrawnFor, 'front' | 'places' | 'done'> & { drawn: Drawn[] }) | null>(null);
  const [first, setFirst] = useState<{ of: object; list: MeasureFirst[] } | null>(null);
  const front = sought?.done === true ? sought.result.front : null;
  useEffect(() => {
    if (!front || front.length === 0 || !sought) return;
    const places = contendersOf(sought.result, weights, shelf);
    const choices = places.flatMap((i) => front[i]?.choice ?? []);
    return drawAll(
      seekers().map((worker) => ({
        draw: (seeds, tell) => worker.draw(build, own, choices, seeds, proxy(tell)),
      })),
      USUAL_DRAWS,
      (drawn, done) => {
        // Too few tell little; none, where all workers broke, tell nothing.
        if (drawn.length >= FEWEST) setTold({ front, places, drawn, done });
      },
    );
    // A front is of one build and its shelf; weights only order what was drawn for.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [front]);
  const now = told && told.front === front ? told : null;
  const fares = useMemo(() => now && faresOf(now.front, now.places, now.drawn, weights, shelf), [now, weights, shelf]);
  useEffect(() => {
    if (!now?.done || !fares) return;
    let wanted = true;
    const timer = setTimeout(() => {
      const [worker] = seekers();
      void worker
        ?.measureFirst(build.donor, now.drawn, weighedUp(now.front, now.places, weights, shelf))
        .then((list) => wanted && setFirst({ of: fares, list }));
    }, REST);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
    // The donor is the one that was drawn for.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [now, fares]);
  return (
    now &&
    fares && {
      front: now.front,
      places: now.places,
      fares,
      of: now.drawn.length,
      done: now.done,
      first: first?.of === fares ? first.list : null,
    }
  );
}
