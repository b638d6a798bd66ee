import { ASSIST_FADE_WIDTH } from '../constants.ts';
import type { Tuned } from '../build/tuned.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import { steadySpeed } from '../ride/steady.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { DaySystem } from './conditions.ts';
import { alone, asDriven, cruiseWatts } from './foretold.ts';
import { bandsFrom, conditionsFor, type ProofSheet } from './protocol.ts';

/** What a reading would change in the plan, or why it cannot. */
export type Tuning = { tuned: Partial<Tuned>; words: Phrase } | { not: string };

const LEAST = 0.3;
const MOST = 3;

/** Where a falling function meets a value, between two ends of a factor; null where it does not. */
function meets(f: (times: number) => number, value: number): number | null {
  let low = LEAST;
  let high = MOST;
  const rises = f(high) > f(low);
  const past = (x: number): boolean => (rises ? f(x) > value : f(x) < value);
  if (past(low) || !past(high)) return null;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (past(middle)) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

const vehicle = (on: DaySystem, change: Partial<DaySystem['system']['vehicle']>): DaySystem => ({
  ...on,
  system: { ...on.system, vehicle: { ...on.system.vehicle, ...change } },
});

/**
 * What a test's reading tells of the vehicle: mass weighed, wheel rolled out, drag area that gives the top speed,
 * rolling that gives the watts, both from coast-downs. Null where the test has none, or was not tried.
 */
export function tuningOf(context: PlanContext, sheet: ProofSheet, testId: string, at: string): Tuning | null {
  const test = sheet.tests.find((t) => t.id === testId);
  const { result } = test ?? {};
  if (!test || !result) return null;
  const { tuned } = context.build;
  const from = bandsFrom(context, sheet.facts, conditionsFor(test, result.conditions));
  if (!from) return null;
  const source = { test: testId, at };
  const reading = test.readings.find((r) => r.tune !== undefined && r.value !== null);
  const value = reading?.value;
  if (!reading || value === null || value === undefined) return null;
  const { crr, cdaM2 } = from.on.system.vehicle;
  switch (reading.tune) {
    case 'mass': {
      const by = value - context.axleLoads.totalKg + (tuned.massKg?.by ?? 0);
      return by < -100 || by > 200
        ? { not: 'It is so far off that something is amiss: weigh it again.' }
        : {
            tuned: { massKg: { by, from: source } },
            words: phrase`The vehicle counts ${amount(by, 'mass', 1)} more than reckoned from now on.`,
          };
    }
    case 'circumference':
      return {
        tuned: { rolledM: { is: value, from: source } },
        words: phrase`A turn of the wheel counts ${amount(value, 'size', 0)} from now on.`,
      };
    case 'topSpeed': {
      const on = asDriven(from);
      const limit = on.system.controller.assistLimitMs;
      if (limit !== undefined && value > limit - 2 * ASSIST_FADE_WIDTH)
        return { not: 'The limit held it, not the air: nothing can be told from it.' };
      const times = meets((x) => steadySpeed(vehicle(on, { cdaM2: cdaM2 * x }).system, 0, on.charge).speedMs, value);
      return times === null
        ? { not: 'No drag area gives that speed: look for a fault first.' }
        : {
            tuned: { dragArea: { times: (tuned.dragArea?.times ?? 1) * times, from: source } },
            words: phrase`Drag area × ${times.toFixed(2)}: that gives the speed that was held.`,
          };
    }
    case 'cruiseWatts': {
      const on = alone(from.on);
      const v = Math.min(context.build.brief.cruiseMs, context.fastest.ms * 0.95);
      const times = meets((x) => cruiseWatts(vehicle(on, { crr: crr * x }), v), value);
      return times === null
        ? { not: 'No rolling gives those watts: look for a fault first.' }
        : {
            tuned: { rolling: { times: (tuned.rolling?.times ?? 1) * times, from: source } },
            words: phrase`Rolling × ${times.toFixed(2)}: that gives the watts that were read.`,
          };
    }
    case 'coast': {
      const of = (id: string): number | null => test.readings.find((r) => r.id === id)?.value ?? null;
      const [newCrr, newCda] = [of('crr'), of('cda')];
      if (newCrr === null || newCda === null) return null;
      const rolling = newCrr / crr;
      const air = newCda / cdaM2;
      if ([rolling, air].some((x) => x < LEAST || x > MOST))
        return { not: 'It is so far off that wind, slope or mass were not as recorded: coast again.' };
      return {
        tuned: {
          rolling: { times: (tuned.rolling?.times ?? 1) * rolling, from: source },
          dragArea: { times: (tuned.dragArea?.times ?? 1) * air, from: source },
        },
        words: phrase`Rolling × ${rolling.toFixed(2)}, drag area × ${air.toFixed(2)}, as it coasted.`,
      };
    }
    default:
      return null;
  }
}
