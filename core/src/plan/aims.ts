import { CHARGE_EFFICIENCY, NORMAL_90 } from '../constants.ts';
import { neededRange } from '../build/brief.ts';
import { chargerFor } from '../pack/charger.ts';
import { packLife } from '../pack/life.ts';
import { normalShare } from '../quantity/normal.ts';
import type { ChosenPlan } from './planBuild.ts';
import type { Finding } from '../fit/finding.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { RangeBand } from '../vehicle/reckon.ts';
import { massOf } from '../vehicle/vehicle.ts';

/** What a conversion is weighed by. */
export const aimIds = [
  'price',
  'hours',
  'mass',
  'chance',
  'start',
  'climb',
  'winding',
  'whPerKm',
  'handling',
  'yearly',
  'open',
] as const;
export type AimId = (typeof aimIds)[number];

/** Which way an aim is better, its unit, and the step below which two values count as one. */
export interface Aim {
  id: AimId;
  better: 'less' | 'more';
  /** SI or the build's money; `share` 0..1, `grade` rise over run. */
  unit: 'money' | 'h' | 'kg' | 'share' | 'grade' | 'm/s' | '°C' | 'Wh/km' | 'findings';
  /** In the aim's own unit; of what is larger than a thousand of them, a thousandth counts as one. */
  grain: number;
  words: string;
}

/** The aims. Grains: what nobody would choose by. Source: project. */
export const aims: Readonly<Record<AimId, Aim>> = {
  price: { id: 'price', better: 'less', unit: 'money', grain: 0.01, words: 'Price with all it needs' },
  hours: { id: 'hours', better: 'less', unit: 'h', grain: 0.01, words: 'Hours at the bench' },
  mass: { id: 'mass', better: 'less', unit: 'kg', grain: 0.01, words: 'Weight it adds' },
  chance: { id: 'chance', better: 'more', unit: 'share', grain: 0.001, words: 'Chance of the way and its reserve' },
  start: { id: 'start', better: 'more', unit: 'grade', grain: 0.0001, words: 'Start beyond the steepest' },
  climb: { id: 'climb', better: 'more', unit: 'm/s', grain: 0.001, words: 'Speed on the steepest' },
  winding: { id: 'winding', better: 'less', unit: '°C', grain: 0.1, words: 'Hottest winding' },
  whPerKm: { id: 'whPerKm', better: 'less', unit: 'Wh/km', grain: 0.01, words: 'Use' },
  handling: { id: 'handling', better: 'less', unit: 'share', grain: 0.001, words: 'Weight off its best place' },
  yearly: { id: 'yearly', better: 'less', unit: 'money', grain: 0.01, words: 'Cost of a year’s use' },
  open: { id: 'open', better: 'less', unit: 'findings', grain: 0.001, words: 'Findings open' },
};

/** What is wanted where nobody says otherwise. */
export const usualAims: readonly AimId[] = ['price', 'hours', 'chance', 'start', 'climb', 'mass', 'open'];

/** A conversion by its aims; null where it is not known or cannot be ridden. */
export type AimValues = Record<AimId, number | null>;

/** Chance that a range is at least `needM`, the band's two halves each taken as lognormal. Source: models, ride spread. */
export function chanceOf({ lowM, midM, highM }: Pick<RangeBand, 'lowM' | 'midM' | 'highM'>, needM: number): number {
  if (needM <= 0) return 1;
  if (!(midM > 0)) return 0;
  const off = Math.log(midM / needM);
  const half = off >= 0 ? Math.log(midM / Math.max(lowM, 1)) : Math.log(highM / midM);
  if (!(half > 0)) return off >= 0 ? 1 : 0;
  return normalShare((off * NORMAL_90) / half);
}

/** Share of the weight that stands best on the rear wheels, and the least on a driven wheel. Source: project, common bikes and trikes. */
const REAR_BEST = 0.58;
const DRIVEN_LEAST = 0.42;

/** How far the weight stands off its best: beyond the usual share on the rear, or short of what the driven wheel wants. */
function handlingOf({ axleLoads: { frontKg, totalKg }, kit }: PlanContext): number {
  const rear = 1 - frontKg / totalKg;
  const driven = kit?.hub?.place === 'front' ? 1 - rear : rear;
  return Math.max(0, rear - REAR_BEST) + Math.max(0, DRIVEN_LEAST - driven);
}

/** What needs no ride to its end. */
export type StandingAims = Pick<AimValues, 'mass' | 'start' | 'climb' | 'handling'>;
/** What a ride to its end tells. */
export type RiddenAims = Pick<AimValues, 'chance' | 'winding' | 'whPerKm' | 'yearly'>;

/** Mass, start, climb and handling of a plan's kit and pack. */
export function standingAims(context: PlanContext): StandingAims {
  const { steady: at } = context;
  return {
    mass: massOf(context.asItWillBe, 'kit', 'pack', 'fittings'),
    start: at && Math.min(at.startGrade, context.startCap.grade) - context.steepest,
    climb: at && at.climb.speedMs,
    handling: context.kit && context.pack ? handlingOf(context) : null,
  };
}

/** Cost of a year’s use, at so much a kilometre. */
function yearlyOf({ pack, build, shelf }: PlanContext, whPerKm: number): number | null {
  if (!pack) return null;
  const { use } = build.bill;
  const { pricePerKm } = packLife(pack, whPerKm, build.brief.temperatureC, chargerFor(pack, shelf));
  const perKm = (whPerKm / 1000 / CHARGE_EFFICIENCY[pack.chemistry]) * use.kWh + pricePerKm + use.service / 1000;
  return perKm * use.kmAYear;
}

/** What the ride of a plan's kit and pack comes to. */
export function riddenAims(context: PlanContext): RiddenAims {
  const { reckoning, band, build } = context;
  if (!reckoning || !band) return { chance: null, winding: null, whPerKm: null, yearly: null };
  const { whPerKm, maxWindingC } = reckoning.toEmpty;
  return {
    chance: chanceOf(band, neededRange(build.brief)),
    winding: maxWindingC,
    whPerKm,
    yearly: yearlyOf(context, whPerKm),
  };
}

/**
 * The same by one ride to empty, without its band: a chance at its best. Whatever the band, of a ride that ends short of
 * what is needed it is less than even; of any other it is at most certain.
 */
export function aimsOfOneRide(context: PlanContext): RiddenAims {
  const { reckoning, build } = context;
  if (!reckoning) return { chance: null, winding: null, whPerKm: null, yearly: null };
  const { whPerKm, maxWindingC, distanceM } = reckoning.toEmpty;
  return {
    chance: distanceM < neededRange(build.brief) ? 0.5 : 1,
    winding: maxWindingC,
    whPerKm,
    yearly: yearlyOf(context, whPerKm),
  };
}

/** Findings that are open. */
export interface OpenFindings {
  rework: number;
  measure: number;
}

/** What of some findings is open; what was set aside with a reason is not. */
export function openOf(findings: readonly Finding[]): OpenFindings {
  const count = (verdict: Finding['verdict']): number =>
    findings.reduce((n, f) => (f.verdict === verdict && !f.override ? n + 1 : n), 0);
  return { rework: count('rework'), measure: count('measure') };
}

/** The same as one number: each to rework as one, each to measure as a thousandth. */
export const openAim = ({ rework, measure }: OpenFindings): number => rework + measure / 1000;

/**
 * A whole plan by its aims, from its own bill, its own steps and its own findings: what a search comes to for every
 * candidate by the same sums.
 */
export function planAims(context: PlanContext, plan: Pick<ChosenPlan, 'money' | 'build' | 'findings'>): AimValues {
  return {
    price: plan.money.conversion,
    hours: plan.build.steps.reduce((sum, step) => sum + step.minutes, 0) / 60,
    ...standingAims(context),
    ...riddenAims(context),
    open: openAim(openOf(plan.findings)),
  };
}

/** An aim's value on the grid that decides what counts as equal, more always better; null as worst of all. */
export function aimKey(id: AimId, value: number | null): number {
  if (value === null || Number.isNaN(value)) return -Infinity;
  const { better, grain } = aims[id];
  const turns = 1000 * grain;
  // Straight up to a thousand grains, then by thousandths: one even, rising scale.
  const size = Math.abs(value);
  const key = Math.round(size <= turns ? size / grain : 1000 * (1 + Math.log(size / turns)));
  const signed = value < 0 ? -key : key;
  return better === 'more' ? signed : 0 - signed;
}
