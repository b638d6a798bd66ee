import type { Build } from '../build/build.ts';
import { aims as allAims, type AimId } from '../plan/aims.ts';
import { verdictRank } from '../verdict.ts';
import type { GoesOn } from './draws.ts';
import type { Candidate } from './search.ts';

/** What one is picked for. */
export const pickIds = ['fit', 'cheapest', 'leastWork', 'lightest', 'hills', 'farthest', 'surest'] as const;
export type PickId = (typeof pickIds)[number];
export const pickWords: Record<PickId, string> = {
  fit: 'The one we would fit',
  cheapest: 'Cheapest that does it',
  leastWork: 'Least work',
  lightest: 'Lightest',
  hills: 'Best on the hill',
  farthest: 'Goes farthest',
  surest: 'Surest with what is measured',
};

/** How much each aim weighs; nought leaves it out. */
export type AimWeights = Readonly<Partial<Record<AimId, number>>>;

/** Nine rides in ten come home: from there on a conversion does the way. Source: project, as the tally’s band. */
export const DOES_IT = 0.9;

/** AimWeights by what the vehicle is for. Source: project. */
const BY_PURPOSE: Readonly<Partial<Record<Build['brief']['purpose'], AimWeights>>> = {
  load: { price: 2, hours: 1, chance: 4, start: 3, climb: 2, mass: 0, open: 1 },
  touring: { price: 1, hours: 1, chance: 5, start: 2, climb: 2, mass: 2, open: 1 },
  trail: { price: 1, hours: 1, chance: 3, start: 3, climb: 2, mass: 3, open: 1 },
  easy: { price: 2, hours: 1, chance: 4, start: 4, climb: 2, mass: 1, open: 1 },
  twoUp: { price: 2, hours: 1, chance: 4, start: 4, climb: 2, mass: 0, open: 1 },
  folder: { price: 2, hours: 1, chance: 3, start: 1, climb: 1, mass: 5, open: 1 },
  cheap: { price: 6, hours: 1, chance: 3, start: 1, climb: 1, mass: 0, open: 1 },
};
const USUAL: AimWeights = { price: 3, hours: 1, chance: 4, start: 2, climb: 1, mass: 1, open: 2 };

/** What the aims weigh on a build, where its rider says nothing else. */
export const weightsFor = ({ brief }: Pick<Build, 'brief'>): AimWeights => BY_PURPOSE[brief.purpose] ?? USUAL;

/** Beyond its goal an aim counts no more: a start twice as steep as the road’s steepest is none the better. */
const ENOUGH: Partial<Record<AimId, (value: number) => number>> = {
  start: (over) => Math.min(over, 0.04),
  climb: (ms) => Math.min(ms, 5),
};

/**
 * How much each of some candidates is regretted: for every aim how far it stands from the best of them, as a share of
 * their span (of a chance, of the whole), times the aim's weight; 0 for one that is best in all.
 */
export function regrets(candidates: readonly Candidate[], weights: AimWeights): number[] {
  const sums = candidates.map(() => 0);
  for (const id of Object.keys(weights) as AimId[]) {
    const weight = weights[id] ?? 0;
    const sign = allAims[id].better === 'more' ? 1 : -1;
    const values = candidates.map(({ aims }) => {
      const value = aims[id];
      return value === null ? null : sign * (ENOUGH[id]?.(value) ?? value);
    });
    const known = values.filter((v) => v !== null);
    if (known.length === 0 || weight === 0) continue;
    const best = Math.max(...known);
    const span = id === 'chance' ? 1 : best - Math.min(...known);
    values.forEach(
      (v, i) => (sums[i] = (sums[i] as number) + weight * (v === null ? 1 : span > 0 ? (best - v) / span : 0)),
    );
  }
  return sums;
}

/** Place in the front of what is picked for each reason; one may be picked for several. None of an empty front. */
export type Picks = Partial<Record<PickId, number>>;

/**
 * Those of some places in a front that may be picked: what the class does not allow only where it allows nothing, and of
 * those what comes home nine times in ten; where nothing does, the likeliest.
 */
export function ableOf(front: readonly Candidate[], places: readonly number[]): number[] {
  const at = (i: number): Candidate => front[i] as Candidate;
  const leastLaw = Math.min(...places.map((i) => at(i).open.law));
  const lawful = places.filter((i) => at(i).open.law === leastLaw);
  const chance = (i: number): number => at(i).aims.chance ?? 0;
  const likeliest = Math.max(...lawful.map(chance));
  return lawful.filter((i) => chance(i) >= DOES_IT || (likeliest < DOES_IT && chance(i) >= likeliest - 0.05));
}

/** What goes on so much seldomer than the surest is not proposed. Source: project. */
const SELDOM = 0.5;

/**
 * The picks of a front, taken from what may be picked.
 * @param weights for the one we would fit
 * @param drawn how each fares on vehicles as this one might be, where some were drawn: then only what was drawn for, and
 * goes on at least half as often as the surest, is picked, by what it comes to and is worth there
 */
export function picksOf(
  front: readonly Candidate[],
  weights: AimWeights,
  drawn?: (at: number) => (GoesOn & { worth: number }) | undefined,
): Picks {
  if (front.length === 0) return {};
  const goes = (i: number): number => (drawn ? (drawn(i)?.share ?? 0) : 1);
  const surest = Math.max(...front.map((_, i) => goes(i)));
  const able = ableOf(
    front,
    front.flatMap((_, i) => (goes(i) >= SELDOM * surest && (!drawn || drawn(i) !== undefined) ? [i] : [])),
  );
  const at = (i: number): Candidate => front[i] as Candidate;
  const least = (of: (c: Candidate) => number): number =>
    able.reduce((best, i) => (of(at(i)) < of(at(best)) ? i : best), able[0] as number);
  const by = (id: AimId): number => {
    const sign = allAims[id].better === 'more' ? -1 : 1;
    return least(({ aims }) => (aims[id] === null ? Infinity : sign * aims[id]));
  };
  const byBand = (id: 'price' | 'hours'): number => {
    if (!drawn) return by(id);
    const middle = (i: number): number => {
      const band = drawn(i)?.[id];
      return band ? (band.low + band.high) / 2 : Infinity;
    };
    return able.reduce((best, i) => (middle(i) < middle(best) ? i : best), able[0] as number);
  };
  // A worth is a share of all weights, a regret their sum.
  const all = Object.values(weights).reduce((sum, weight) => sum + weight, 0) || 1;
  const regret = regrets(
    able.map((i) => at(i)),
    weights,
  ).map((r, k) => (drawn ? -(drawn(able[k] as number)?.worth ?? 0) * all : r));
  // Among those that are nearly as good, a better verdict decides: what fits before what wants rework.
  const lowest = Math.min(...regret);
  const close = able.filter((_, k) => (regret[k] as number) <= lowest + NEARLY);
  const fit = close.reduce(
    (best, i) => (verdictRank[at(i).verdict] > verdictRank[at(best).verdict] ? i : best),
    able[regret.indexOf(lowest)] as number,
  );
  return {
    fit,
    cheapest: byBand('price'),
    leastWork: byBand('hours'),
    lightest: by('mass'),
    hills: least(({ aims }) => -(aims.start ?? -1) - (aims.climb ?? 0) / 1000),
    farthest: least((c) => -(c.range?.midM ?? 0)),
    surest: least((c) => (c.aims.open ?? 0) + (c.aims.price ?? 0) * 1e-9),
  };
}

/** Regret that nobody would choose by. Source: project. */
const NEARLY = 0.05;
