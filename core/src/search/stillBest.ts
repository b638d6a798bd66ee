import { openOf, planAims, usualAims } from '../plan/aims.ts';
import type { ChosenPlan } from '../plan/planBuild.ts';
import type { Phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { covers, keysOf } from './front.ts';
import { picksOf, regrets, type AimWeights } from './picks.ts';
import { lawOf, type Candidate } from './search.ts';
import { against } from './whyNot.ts';

/** What is chosen, as a candidate is: by the plan's own bill, steps and findings; null before kit and battery are. */
export function chosenCandidate(context: PlanContext, plan: ChosenPlan): Candidate | null {
  if (!context.kit || !context.pack) return null;
  const { band, start } = context;
  return {
    choice: context.build.choice,
    verdict: plan.verdict,
    aims: planAims(context, plan),
    range: band && { lowM: band.lowM, midM: band.midM, highM: band.highM },
    startGrade: start && start.grade,
    open: { ...openOf(plan.findings), law: lawOf(plan.findings) },
  };
}

/**
 * How a choice stands beside some others: something stops it, one of them is at least as good in all and better in some, one
 * is what we would fit by what counts here, or it is still that itself.
 */
export interface StillBest {
  stands: 'stopped' | 'beaten' | 'outweighed' | 'best';
  /** Which of the others, by its place among them; null where none. */
  other: number | null;
  /** What that one gains and loses, by how much; empty where none. */
  by: Phrase;
}

/** What is chosen beside others: of those that beat it in every way the one that is regretted least, else what we would fit. */
export function stillBest(others: readonly Candidate[], chosen: Candidate, weights: AimWeights): StillBest {
  const to = (stands: StillBest['stands'], other: number | null): StillBest => ({
    stands,
    other,
    by: other === null ? [] : against(others[other] as Candidate, chosen),
  });
  const standing = others.map(({ verdict }) => verdict !== 'stop');
  const own = keysOf(usualAims, chosen.aims);
  const beating = others.flatMap((c, i) => {
    const keys = keysOf(usualAims, c.aims);
    return standing[i] === true && covers(keys, own) && !covers(own, keys) ? [i] : [];
  });
  const scores = regrets(
    beating.map((i) => others[i] as Candidate),
    weights,
  );
  const beaten = beating[scores.indexOf(Math.min(...scores))] ?? null;
  // What is stopped is no choice, whatever its aims say.
  const able = others.flatMap((_, i) => (standing[i] === true ? [i] : []));
  const stopped = chosen.verdict === 'stop';
  const { fit } = picksOf([...(stopped ? [] : [chosen]), ...able.map((i) => others[i] as Candidate)], weights);
  const first = fit === undefined ? null : (able[fit - (stopped ? 0 : 1)] ?? null);
  if (stopped) return to('stopped', first);
  if (beaten !== null) return to('beaten', beaten);
  return first === null ? to('best', null) : to('outweighed', first);
}
