import { openOf, planAims, usualAims } from '../plan/aims.ts';
import type { ChosenPlan } from '../plan/planBuild.ts';
import type { Phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { covers, keysOf } from './front.ts';
import { regrets, type AimWeights } from './picks.ts';
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

/** Whether a choice is still the best there is. */
export interface StillBest {
  /** Something stops it as it stands. */
  stopped: boolean;
  /** Place in the front of one that is at least as good in all and better in some; null where there is none. */
  beatenBy: number | null;
  /** What that one gains, by how much; empty where none does. */
  by: Phrase;
}

/** What is chosen against a front: of those that beat it in every way the one that is regretted least. */
export function stillBest(front: readonly Candidate[], chosen: Candidate, weights: AimWeights): StillBest {
  const own = keysOf(usualAims, chosen.aims);
  const beating = front.flatMap((c, i) => {
    const keys = keysOf(usualAims, c.aims);
    return covers(keys, own) && !covers(own, keys) ? [i] : [];
  });
  const scores = regrets(
    beating.map((i) => front[i] as Candidate),
    weights,
  );
  const best = beating[scores.indexOf(Math.min(...scores))] ?? null;
  return {
    stopped: chosen.verdict === 'stop',
    beatenBy: best,
    by: best === null ? [] : against(front[best] as Candidate, chosen),
  };
}
