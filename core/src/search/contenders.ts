import type { Shelf } from '../parts/part.ts';
import { goesOn, type Drawn, type GoesOn } from './draws.ts';
import { worthTable, type Contender } from './measureFirst.ts';
import { ableOf, picksOf, regrets, type AimWeights } from './picks.ts';
import type { Candidate, SearchResult } from './search.ts';
import { familyFates } from './whyNot.ts';

/** Conversions that are drawn for: more cost a page too long. Source: project. */
const MOST = 16;

/** What is got for a kit that went on nothing, as a share of what it cost. Source: project, second hand and unused. */
const SOLD_ON = 0.5;

/**
 * Places in a front of what is worth holding against vehicles as this one might be: the picks, the best of each family, then
 * the best of each kit and place by what they are regretted.
 */
export function contendersOf(result: SearchResult, weights: AimWeights, shelf: Shelf): number[] {
  const { front } = result;
  const picks = picksOf(front, weights);
  const out = new Set<number>(Object.values(picks));
  const able = new Set(
    ableOf(
      front,
      front.map((_, i) => i),
    ),
  );
  for (const { best } of familyFates(result, picks.fit ?? null, shelf, weights))
    if (best !== null && able.has(best)) out.add(best);
  const regret = regrets(front, weights);
  const order = [...able].sort((a, b) => (regret[a] as number) - (regret[b] as number));
  const seen = new Set<string>();
  for (const i of order) {
    const { kitId, packPlace } = (front[i] as Candidate).choice;
    const key = `${kitId ?? ''} ${packPlace ?? ''}`;
    if (out.size >= MOST) break;
    if (!seen.has(key)) out.add(i);
    seen.add(key);
  }
  return [...out].slice(0, MOST);
}

/** Some of a front as measuring weighs them. */
export function weighedUp(
  front: readonly Candidate[],
  places: readonly number[],
  weights: AimWeights,
  shelf: Shelf,
): Contender[] {
  const all = Object.values(weights).reduce((a, b) => a + b, 0) || 1;
  const regret = regrets(front, weights);
  const prices = front.flatMap(({ aims }) => (aims.price === null ? [] : [aims.price]));
  const span = Math.max(1, Math.max(...prices) - Math.min(...prices));
  return places.map((i) => {
    const { choice, aims } = front[i] as Candidate;
    const price = aims.price ?? 0;
    const kit = shelf.kit.find((k) => k.id === choice.kitId);
    return {
      regret: (regret[i] as number) / all,
      lost: ((kit?.price ?? price) * SOLD_ON) / Math.max(1, price),
      price,
      perPrice: (weights.price ?? 0) / all / span,
    };
  });
}

/** How one fares over the vehicles drawn, and what it is worth there on average. */
export type Fare = GoesOn & { worth: number };

/** How those that were drawn for fare, by their place in the front. */
export type Fares = ReadonlyMap<number, Fare>;

/** Fares of some of a front, by the same worth that measuring weighs: what is picked is what measuring could change. */
export function faresOf(
  front: readonly Candidate[],
  places: readonly number[],
  drawn: readonly Drawn[],
  weights: AimWeights,
  shelf: Shelf,
): Fares {
  const table = worthTable(drawn, weighedUp(front, places, weights, shelf));
  return new Map(
    places.map((at, c) => [
      at,
      {
        ...goesOn(drawn, c),
        worth: table.reduce((sum, own) => sum + (own[c] as number), 0) / Math.max(1, table.length),
      },
    ]),
  );
}
