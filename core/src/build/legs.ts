import { EFFORT_WATTS } from '../constants.ts';
import type { Kit } from '../parts/kit.ts';
import { legalClass, type LegalClass } from '../parts/law.ts';
import { peopleAboard, type Brief } from './brief.ts';
import type { Build } from './build.ts';

/** Watts below which legs turn the cranks but hardly drive: a rider who is ill, old or short of breath. Source: project. */
export const WEAK_LEGS_W = 40;

/** Watts at the pedals of everybody aboard who has cranks and turns them. */
export function legsOf(brief: Brief): number {
  return peopleAboard(brief).reduce(
    (sum, { rider, pedals }) => sum + (pedals ? EFFORT_WATTS[rider.effort] * rider.factor : 0),
    0,
  );
}

/** Whether a throttle drives it on the road: the kit has one, the plan rides on it, and the class allows more than walking help. */
export function throttleDrives(
  { brief, choice }: Pick<Build, 'brief' | 'choice'>,
  kit: Kit,
  laws: readonly LegalClass[],
): boolean {
  const law = legalClass(brief.legalClass, laws);
  return kit.throttle && choice.usesThrottle && law?.throttle !== 'none beyond walking help';
}

/** Nobody pedals and no throttle drives it: it does not move on the road, whatever motor and battery could do. */
export const standsStill = (build: Pick<Build, 'brief' | 'choice'>, kit: Kit, laws: readonly LegalClass[]): boolean =>
  legsOf(build.brief) === 0 && !throttleDrives(build, kit, laws);
