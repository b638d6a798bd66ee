import { drawn, seeded } from '../../quantity/random.ts';
import { faults, faultTestOf } from './data.ts';
import { SURE, type FaultTest } from './fault.ts';
import { holdsOf, type FaultFacts } from './faultFacts.ts';
import {
  askable,
  bitsOf,
  causesAtFirst,
  causesNow,
  chancesOf,
  covered,
  repairFor,
  searchNow,
  showing,
  type FaultAnswer,
  type Search,
} from './finder.ts';
import { symptomIds, type SymptomId } from './symptoms.ts';

/** A hidden fault and what it shows. */
export interface HiddenFault {
  fault: string;
  symptom: SymptomId;
}

/** Draws a fault of the list by its odds on this vehicle, and how it shows. */
export function hideFault(facts: FaultFacts, random: () => number): HiddenFault {
  const open = faults.filter((f) => holdsOf(f.when, facts));
  const fault = open[
    drawn(
      open.map((f) => f.odds),
      random(),
    )
  ] as (typeof open)[number];
  const symptom = symptomIds[
    drawn(
      symptomIds.map((s) => showing(fault, facts, s)),
      random(),
    )
  ] as SymptomId;
  return { fault: fault.id, symptom };
}

/** Answers a test as the hidden fault would, with the table's noise. */
export function answerOf(testId: string, fault: string, random: () => number): string {
  const test = faultTestOf(testId);
  if (!test) throw new RangeError(`no test ${testId}`);
  return (test.outcomes[drawn(chancesOf(test, fault), random())] as { id: string }).id;
}

/** One fault looked for in one way. */
export interface LabRun {
  tests: number;
  minutes: number;
  found: boolean;
}

const MOST_ASKED = 60;

/** Asks until one repair covers enough or nothing is left; `choose` says what comes next. */
function look(
  start: Omit<Search, 'answers'>,
  hidden: HiddenFault,
  random: () => number,
  choose: (search: Search) => string | null,
): LabRun {
  const answers: FaultAnswer[] = [];
  let minutes = 0;
  for (let i = 0; i < MOST_ASKED; i++) {
    const next = choose({ ...start, answers });
    if (next === null) break;
    answers.push({ test: next, outcome: answerOf(next, hidden.fault, random) });
    minutes += faultTestOf(next)?.minutes ?? 0;
  }
  const leading = covered(causesNow({ ...start, answers }))[0];
  return { tests: answers.length, minutes, found: leading?.id === repairFor(hidden.fault) };
}

/** The next of a fixed list that can tell anything at all, until one repair covers enough. */
function checklist(search: Search): string | null {
  const causes = causesNow(search);
  if ((covered(causes)[0]?.p ?? 0) >= SURE) return null;
  const first = causesAtFirst(search);
  return askable(search).find((test) => bitsOf(test, first) > 1e-3)?.id ?? null;
}

/** What a lab of hidden faults comes to. */
export interface LabResult {
  draws: number;
  /** Share whose repair is named. */
  found: number;
  meanTests: number;
  meanMinutes: number;
  checklist: { found: number; meanTests: number; meanMinutes: number };
  /** Minutes of the finder beside the checklist's. */
  minutesShare: number;
  /** Bits to be known at the start, bits an answer tells at most, the fewest tests that come of it, and how often that is needed. */
  entropy: { bits: number; bitsAnAnswer: number; leastTests: number; timesIt: number };
}

/** Draws hidden faults and looks for each with the finder and with a fixed checklist in the list's order. */
export function faultLab(facts: FaultFacts, draws: number, seed: number): LabResult {
  const sums = { found: 0, tests: 0, minutes: 0, listFound: 0, listTests: 0, listMinutes: 0, bits: 0, least: 0 };
  const random = seeded(seed);
  const bounds = new Map<SymptomId, { bits: number; least: number }>();
  for (let i = 0; i < draws; i++) {
    const hidden = hideFault(facts, random);
    const start: Omit<Search, 'answers'> = { facts, symptom: hidden.symptom, tools: null, most: 'ride' };
    const mine = look(start, hidden, random, (s) => searchNow(s).next?.test ?? null);
    const list = look(start, hidden, random, checklist);
    sums.found += mine.found ? 1 : 0;
    sums.tests += mine.tests;
    sums.minutes += mine.minutes;
    sums.listFound += list.found ? 1 : 0;
    sums.listTests += list.tests;
    sums.listMinutes += list.minutes;
    const bound = bounds.get(hidden.symptom) ?? boundOf(start);
    bounds.set(hidden.symptom, bound);
    sums.bits += bound.bits;
    sums.least += bound.least;
  }
  const meanTests = sums.tests / draws;
  const meanMinutes = sums.minutes / draws;
  const least = sums.least / draws;
  return {
    draws,
    found: sums.found / draws,
    meanTests,
    meanMinutes,
    checklist: {
      found: sums.listFound / draws,
      meanTests: sums.listTests / draws,
      meanMinutes: sums.listMinutes / draws,
    },
    minutesShare: meanMinutes / (sums.listMinutes / draws),
    entropy: {
      bits: sums.bits / draws,
      bitsAnAnswer: sums.bits / sums.least,
      leastTests: least,
      timesIt: meanTests / least,
    },
  };
}

/** Most bits one answer to a test can tell about these causes, whatever their weights: the capacity of its table. */
export function capacityOf(test: FaultTest, causes: readonly string[]): number {
  // Causes that answer alike are one letter.
  const rows = [...new Map(causes.map((id) => [chancesOf(test, id).join(), chancesOf(test, id)])).values()];
  let weights = rows.map(() => 1 / rows.length);
  let capacity = 0;
  // Blahut and Arimoto: the weights drift to those that tell most.
  for (let round = 0; round < 60; round++) {
    const told = test.outcomes.map((_, i) =>
      rows.reduce((sum, r, k) => sum + (weights[k] as number) * (r[i] as number), 0),
    );
    const gain = rows.map(
      (r) => 2 ** r.reduce((sum, p, i) => (p > 0 ? sum + p * Math.log2(p / (told[i] as number)) : sum), 0),
    );
    const sum = weights.reduce((all, w, k) => all + w * (gain[k] as number), 0);
    capacity = Math.log2(sum);
    weights = weights.map((w, k) => (w * (gain[k] as number)) / sum);
  }
  return capacity;
}

/**
 * Fewest tests that can tell the repair: bits at the start against what the tests that belong to the symptom can tell at
 * most, the best first, each asked once. No strategy needs fewer on the mean to be certain.
 */
function boundOf(start: Omit<Search, 'answers'>): { bits: number; least: number } {
  const search: Search = { ...start, answers: [] };
  const causes = causesNow(search);
  const bits = covered(causes).reduce((sum, { p }) => sum - p * Math.log2(p), 0);
  const ids = causes.map((c) => c.id);
  const capacities = askable(search)
    .map((t) => capacityOf(t, ids))
    .sort((a, b) => b - a);
  let left = bits;
  let least = 0;
  for (const c of capacities) {
    if (left <= c) return { bits, least: least + left / c };
    left -= c;
    least++;
  }
  return { bits, least };
}
