import { EFFORT_WATTS } from '../constants.ts';
import { peopleAboard, type Brief } from './brief.ts';

/** Watts below which legs turn the cranks but hardly drive: a rider who is ill, old or short of breath. Source: project. */
export const WEAK_LEGS_W = 40;

/** Watts at the pedals of everybody aboard who has cranks and turns them. */
export function legsOf(brief: Brief): number {
  return peopleAboard(brief).reduce(
    (sum, { rider, pedals }) => sum + (pedals ? EFFORT_WATTS[rider.effort] * rider.factor : 0),
    0,
  );
}
