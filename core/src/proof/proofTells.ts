import type { Build } from '../build/build.ts';
import { entriesOf } from '../build/log.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { wiringOf } from '../wiring/wiring.ts';
import type { FaultSearch } from '../build/proving.ts';
import type { FaultTool } from './faults/fault.ts';
import type { Search } from './faults/finder.ts';
import { symptomIds, type SymptomId } from './faults/symptoms.ts';
import { proofSheet, type ProofSheet } from './protocol.ts';
import { together, type Together } from './together.ts';

/** What a passed test takes off the odds of faults, and why. */
interface Tells {
  test: string;
  faults: readonly string[];
  times: number;
  why: string;
}

/** A passed test speaks against these. Source: project; what was tried can still go wrong afterwards, so none is zero. */
const passed: readonly Tells[] = [
  {
    test: 'plugs-home',
    faults: ['motor-plug', 'display-plug', 'throttle-plug', 'cadence-plug', 'cutoff-out'],
    times: 0.4,
    why: 'every plug was pressed home',
  },
  { test: 'fuse-amps', faults: ['fuse-blown'], times: 0.7, why: 'the fuse was seen' },
  {
    test: 'full-volts',
    faults: ['out-of-step', 'charger-wrong', 'charger-dead', 'charge-port', 'pack-flat'],
    times: 0.3,
    why: 'it charged full to its volts',
  },
  { test: 'first-power', faults: ['poles-crossed', 'display-dead'], times: 0.1, why: 'it woke, and all stayed cool' },
  {
    test: 'direction',
    faults: ['phase-order', 'direction-set', 'hub-flipped'],
    times: 0.05,
    why: 'it turned forward and quietly',
  },
  { test: 'cutoff-left', faults: ['cutoff-off', 'cutoff-core'], times: 0.4, why: 'the left lever cut it' },
  { test: 'cutoff-right', faults: ['cutoff-off', 'cutoff-core'], times: 0.4, why: 'the right lever cut it' },
  { test: 'cadence-starts', faults: ['cadence-turned', 'cadence-dead'], times: 0.1, why: 'the cranks brought help' },
  { test: 'throttle-ends', faults: ['throttle-stuck'], times: 0.4, why: 'it sprang home at every lock' },
  { test: 'limit-set', faults: ['limit-low'], times: 0.3, why: 'help ended at the limit set' },
  {
    test: 'speed-shown',
    faults: ['circumference-wrong', 'magnets-set', 'speed-magnet'],
    times: 0.15,
    why: 'the speed shown was true',
  },
  {
    test: 'wheels',
    faults: ['spokes-loose', 'wheel-crooked', 'bearing', 'rotor-rub'],
    times: 0.5,
    why: 'the wheels turned true and free',
  },
  { test: 'axle-marks', faults: ['axle-loose', 'axle-spun'], times: 0.4, why: 'the nuts were tight and marked' },
  { test: 'headset', faults: ['headset'], times: 0.3, why: 'the headset neither knocked nor bound' },
  { test: 'tyres', faults: ['tyre-soft', 'pinched-tube'], times: 0.5, why: 'pressures were looked at' },
  { test: 'sag', faults: ['pack-sag', 'weak-block', 'plug-small'], times: 0.3, why: 'the volts held at full power' },
  {
    test: 'no-load',
    faults: ['gears-worn', 'phase-broken', 'motor-drag'],
    times: 0.5,
    why: 'it ran freely in the air',
  },
  { test: 'weigh-in', faults: ['load-more'], times: 0.5, why: 'it was weighed' },
  { test: 'water', faults: ['plug-wet', 'throttle-water', 'water-motor'], times: 0.5, why: 'it was tried wet' },
];

/** A fault that was here before comes back more often than it comes. Source: project. */
const AGAIN = 3;
/** How far several readings may raise a fault that would explain them. Source: project. */
const MOST_RAISED = 6;

/** How much likelier than usual faults are on this vehicle, with what says so. */
export interface Likelier {
  times: Record<string, number>;
  because: Record<string, string[]>;
}

/** What Proving found, what was mended or written down here before, and what builds with the same parts had, as odds. */
export function likelierBy(
  build: Build,
  sheet: ProofSheet | null,
  joined: Together | null,
  others: Readonly<Record<string, number>> = {},
): Likelier {
  const times: Record<string, number> = {};
  const because: Record<string, string[]> = {};
  const by = (fault: string, factor: number, why: string): void => {
    times[fault] = (times[fault] ?? 1) * factor;
    (because[fault] ??= []).push(why);
  };
  for (const { test, faults, times: factor, why } of passed)
    if (sheet?.tests.find((t) => t.id === test)?.state === 'pass') for (const fault of faults) by(fault, factor, why);
  for (const { words, faults, p } of joined?.causes ?? [])
    // From as likely as not on: a cause that explains the readings raises its faults.
    if (faults.length > 0 && p > 0.15)
      for (const fault of faults)
        by(fault, 1 + (MOST_RAISED - 1) * p, `the readings say: ${words.charAt(0).toLowerCase()}${words.slice(1)}`);
  const before = new Set([
    ...build.proving.searches.flatMap(({ ended }) => (ended?.cured && ended.fault ? [ended.fault] : [])),
    ...entriesOf(build.log, 'fault').flatMap(({ fault }) => (fault === null ? [] : [fault])),
  ]);
  for (const fault of before) by(fault, AGAIN, 'it was here before');
  for (const [fault, factor] of Object.entries(others))
    if (factor > 1) by(fault, factor, 'other builds with this part had it');
  return { times, because };
}

/** All that a build itself tells the finder: what Proving found, what was here before, and how far it may be tried. */
export function toldBy(context: PlanContext): Pick<Search, 'most' | 'likelier'> {
  const sheet = proofSheet(context, wiringOf(context)?.checks ?? []);
  const { times } = likelierBy(context.build, sheet, sheet && together(context, sheet));
  return { most: sheet?.most ?? 'ride', likelier: times };
}

/** A kept search as the finder takes it. */
export function searchOf(
  kept: Pick<FaultSearch, 'symptom' | 'answers'>,
  facts: Search['facts'],
  tools: ReadonlySet<FaultTool> | null,
  most: Search['most'],
  likelier: Likelier | null,
): Search {
  const symptom = (symptomIds as readonly string[]).includes(kept.symptom) ? (kept.symptom as SymptomId) : 'dead';
  return { facts, symptom, answers: kept.answers, tools, most, ...(likelier ? { likelier: likelier.times } : {}) };
}
