import type { Build } from '../build/build.ts';
import { heaviestRider } from '../build/brief.ts';
import { usualChoice, type Choice } from '../build/choice.ts';
import type { Donor } from '../donor/donor.ts';
import { drawnDonor } from '../donor/population.ts';
import { contradictions } from '../fit/crossings/contradictions.ts';
import { seatsAboard } from '../fit/rules/seatsAboard.ts';
import type { Shelf } from '../parts/part.ts';
import { seeded } from '../quantity/random.ts';
import type { Steps } from '../steps.ts';
import { PlanContext } from '../vehicle/context.ts';
import { costOf, judgedOn, unriddenRules } from './search.ts';
import { Bench, type Position } from './tracked.ts';

/** Vehicles drawn where nobody says otherwise. */
export const USUAL_DRAWS = 200;

/** How a conversion fares on one vehicle drawn: what stops it, by the finding’s title, or what it comes to there. */
export type DrawnFate = { stoppedBy: string } | { price: number; hours: number };

/** A vehicle as this one might be, and how each of some conversions fares on it. */
export interface Drawn {
  seed: number;
  donor: Donor;
  fates: DrawnFate[];
}

/** Tries at a vehicle whose sizes contradict one another before it is taken as it is. */
const MOST_TRIES = 8;

/** Of those who mean to carry so much, one in so many has a vehicle that does not bear it even today. Source: project. */
const OVERLOADS = 0.15;

/** Whether a vehicle as it is, without kit or battery, bears by its own limits what the brief puts on it. */
export function bearsItsLoad(context: PlanContext): boolean {
  const { build, onWheelsKg, axleLoads, geometry } = context;
  const { loadLimit, wheelLimit, seatLimit } = build.donor.survey;
  const wheel = Math.max(
    axleLoads.frontKg / (geometry.pairedFront ? 2 : 1),
    axleLoads.rearKg / (geometry.pairedRear ? 2 : 1),
  );
  return (
    onWheelsKg <= (loadLimit?.value ?? Infinity) &&
    wheel <= (wheelLimit?.value ?? Infinity) &&
    heaviestRider(build.brief) <= (seatLimit?.value ?? Infinity) &&
    seatsAboard.judge(context)?.verdict !== 'stop'
  );
}

/**
 * The vehicle of a seed: one in which nothing contradicts anything that was not measured so, and which as a rule bears
 * today what it is said to carry: who carries much has a vehicle for it.
 */
function donorOf(build: Build, shelf: Shelf, seed: number): Donor {
  let donor = build.donor;
  const next = seeded(seed);
  for (let n = 0; n < MOST_TRIES; n++) {
    donor = drawnDonor(build.donor, seed * MOST_TRIES + n).donor;
    const context = PlanContext.of({ ...build, donor, choice: usualChoice() }, shelf, false);
    if (contradictions.some((rule) => rule.judge(context) !== null)) continue;
    if (next() < OVERLOADS || bearsItsLoad(context)) break;
  }
  return donor;
}

/** A conversion as the bench is set to it; null where kit, pack or place is not chosen. */
export function positionOf(choice: Choice): Position | null {
  const { kitId, packId, packPlace: place } = choice;
  if (kitId === null || packId === null || place === null) return null;
  return {
    kitId,
    packId,
    place,
    hubGearId: choice.hubGearId,
    clusterId: choice.clusterId,
    ringId: choice.ringId,
    limitMs: choice.assistLimitMs,
    arms: choice.torqueArms,
  };
}

/**
 * Conversions judged on vehicles such as this one might be, a vehicle for each seed: the same for the same seeds, so that
 * all of them are held against the same vehicles. What a ride shows is left out: it hangs on the brief, hardly on what is
 * drawn. A vehicle a step.
 * @param choices each with kit, pack and place
 */
export function* drawsInSteps(
  build: Build,
  starter: Shelf,
  choices: readonly Choice[],
  seeds: readonly number[],
): Steps<Drawn[]> {
  const positions = choices.map((choice) => {
    const position = positionOf(choice);
    if (!position) throw new RangeError('a conversion is a kit, a battery and its place');
    return position;
  });
  const out: Drawn[] = [];
  for (const seed of seeds) {
    const donor = donorOf(build, starter, seed);
    const bench = new Bench({ ...build, donor }, starter);
    const order = [...unriddenRules];
    const fates = positions.map((position): DrawnFate => {
      const context = bench.set(position);
      const answer = judgedOn(context, order);
      return 'by' in answer ? { stoppedBy: answer.by } : costOf(context, answer.findings);
    });
    out.push({ seed, donor, fates });
    yield;
  }
  return out;
}

/** How a conversion fares over all vehicles drawn. */
export interface GoesOn {
  /** Of how many vehicles. */
  of: number;
  /** Share of them it goes on, remedies and all. */
  share: number;
  /** Price and hours there, a tenth of them below and a tenth above; null where it goes on none. */
  price: { low: number; high: number } | null;
  hours: { low: number; high: number } | null;
  /** What stops it on the others, by title with its share of all, most often first. */
  stops: { title: string; share: number }[];
}

/** A value with a share of sorted values below it, in a straight line between two. */
function quantile(sorted: readonly number[], share: number): number {
  const at = share * (sorted.length - 1);
  const low = sorted[Math.floor(at)] as number;
  return low + ((sorted[Math.ceil(at)] as number) - low) * (at - Math.floor(at));
}

function band(values: readonly number[]): { low: number; high: number } | null {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted.length === 0 ? null : { low: quantile(sorted, 0.1), high: quantile(sorted, 0.9) };
}

/** How the conversion at a place of the list fares over the vehicles drawn. */
export function goesOn(drawn: readonly Drawn[], at: number): GoesOn {
  const fates = drawn.map((d) => d.fates[at] as DrawnFate);
  const going = fates.flatMap((f) => ('stoppedBy' in f ? [] : [f]));
  const stops = new Map<string, number>();
  for (const f of fates) if ('stoppedBy' in f) stops.set(f.stoppedBy, (stops.get(f.stoppedBy) ?? 0) + 1);
  return {
    of: fates.length,
    share: fates.length === 0 ? 0 : going.length / fates.length,
    price: band(going.map((f) => f.price)),
    hours: band(going.map((f) => f.hours)),
    stops: [...stops]
      .map(([title, n]) => ({ title, share: n / fates.length }))
      .sort((a, b) => b.share - a.share || a.title.localeCompare(b.title, 'en')),
  };
}
