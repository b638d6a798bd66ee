import {
  faresOf,
  USUAL_DRAWS,
  weighedUp,
  type AimWeights,
  type Build,
  type Candidate,
  type Drawn,
  type Fares,
  type MeasureFirst,
  type Part,
  type Shelf,
} from '@sprocket/core';
import { proxy } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { drawAll } from '../../workers/drawPool.ts';
import { seekers } from './useProposals.ts';

/** What vehicles as this one might be tell of a front. */
export interface DrawnFor {
  front: readonly Candidate[];
  /** What of it they were drawn for. */
  places: readonly number[];
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

/** What vehicles are drawn for: some of a front, on a build of which so much is known. */
export interface DrawnOf {
  front: DrawnFor['front'];
  places: readonly number[];
  /** The same while the same conversions are asked about, */
  same: unknown;
  /** another where something was measured since. */
  known: unknown;
}

type Told = Pick<DrawnFor, 'done'> & { of: DrawnOf; drawn: Drawn[] };

/** What was drawn last: gone back to, it is not drawn anew. */
let last: Told | null = null;

const sameQuestion = (a: DrawnOf, b: DrawnOf): boolean => a.same === b.same && a.known === b.known;

/**
 * Some of a front held against vehicles as this one might be, growing while they are drawn, and then what to measure first.
 * Null before there is anything to tell; what was told last stays while it is drawn anew for the same ones.
 */
export function useDrawn(
  build: Build,
  own: readonly Part[],
  shelf: Shelf,
  of: DrawnOf | null,
  weights: AimWeights,
): DrawnFor | null {
  const [told, setTold] = useState<Told | null>(last);
  const [first, setFirst] = useState<{ of: unknown; list: MeasureFirst[] } | null>(null);
  useEffect(() => {
    if (!of || of.front.length === 0) return;
    if (last && sameQuestion(last.of, of)) {
      setTold(last);
      return;
    }
    const choices = of.places.flatMap((i) => of.front[i]?.choice ?? []);
    return drawAll(
      seekers().map((worker) => ({
        draw: (seeds, tell) => worker.draw(build, own, choices, seeds, proxy(tell)),
      })),
      USUAL_DRAWS,
      (drawn, done) => {
        // Too few tell little; none, where all workers broke, tell nothing.
        if (drawn.length < FEWEST) return;
        const now = { of, drawn, done };
        if (done) last = now;
        setTold(now);
      },
    );
    // The question holds what of the build is asked about; weights only order what was drawn for.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [of?.same, of?.known]);
  const now = of && told && told.of.same === of.same ? told : null;
  const fares = useMemo(
    () => now && faresOf(now.of.front, now.of.places, now.drawn, weights, shelf),
    [now, weights, shelf],
  );
  useEffect(() => {
    if (!now?.done || !fares) return;
    let wanted = true;
    const timer = setTimeout(() => {
      const [worker] = seekers();
      void worker
        ?.measureFirst(build.donor, now.drawn, weighedUp(now.of.front, now.of.places, weights, shelf))
        .then((list) => wanted && setFirst({ of: now.of.same, list }));
    }, REST);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
    // The donor is the one that was drawn for.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [now, fares]);
  const list = now && first !== null && first.of === now.of.same ? first.list : null;
  const done = now?.done === true && of !== null && sameQuestion(now.of, of);
  // One object while nothing of it changes: what is drawn from it need not be drawn anew.
  return useMemo(
    () =>
      now && fares
        ? { front: now.of.front, places: now.of.places, fares, of: now.drawn.length, done, first: list }
        : null,
    [now, fares, done, list],
  );
}
