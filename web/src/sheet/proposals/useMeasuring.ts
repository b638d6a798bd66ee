import {
  isDecided,
  wantedItems,
  weightsFor,
  contendersOf,
  type Build,
  type Finding,
  type WantedItem,
} from '@sprocket/core';
import { useMemo } from 'react';
import { useApp, useBuild } from '../../store/store.ts';
import { useWorkerAnswer } from '../../workers/core.ts';
import { useShelf } from '../PlanProvider.tsx';
import { useDrawn, type DrawnFor, type DrawnOf } from './useDrawn.ts';
import { foundLast, questionOf, useProposals } from './useProposals.ts';

/** Rest after a change before what is chosen is planned anew, ms. */
const REST = 250;

/** What to measure, and on whose account. */
export interface Measuring {
  /** By what it could change, on vehicles as this one might be; null while the first of them are drawn. */
  drawn: DrawnFor | null;
  /** What the findings of what is chosen still want before anything is ordered. */
  wanted: WantedItem[];
  decided: boolean;
}

const choicesOf = ({ choice, keptChoices }: Build): Build['choice'][] => [choice, ...keptChoices.map((k) => k.choice)];

/**
 * What to measure: for what is chosen and what is kept beside it, or, where nothing is chosen yet, for the best that the
 * shelf has. It is asked anew after each measurement, and what was answered last stays until then.
 */
export function useMeasuring(findings: readonly Finding[]): Measuring {
  const build = useBuild();
  const shelf = useShelf();
  const own = useApp((state) => state.shelf.own);
  const decided = isDecided(build.choice);
  const question = questionOf(build);
  const there = decided ? null : foundLast(build);
  const sought = useProposals(build, own, !decided && there === null);
  const found = there ?? (sought?.done ? sought : null);
  const weights = useMemo(() => weightsFor({ brief: build.brief }), [build.brief]);
  const choices = JSON.stringify(choicesOf(build));
  const chosen = useWorkerAnswer(
    async (worker) => ({
      front: await worker.candidatesOf(build, own, decided ? choicesOf(build) : []),
      same: choices,
      known: question,
    }),
    [question, choices, own],
    REST,
  );
  const of = useMemo((): DrawnOf | null => {
    if (decided) return chosen && chosen.front.length > 0 ? { ...chosen, places: chosen.front.map((_, i) => i) } : null;
    if (!found) return null;
    const { result } = found;
    return { front: result.front, places: contendersOf(result, weights, shelf), same: result.front, known: question };
  }, [decided, chosen, found, weights, shelf, question]);
  const drawn = useDrawn(build, own, shelf, of, weights);
  const wanted = useMemo(() => wantedItems(findings, build.donor), [findings, build.donor]);
  return { drawn, wanted, decided };
}
