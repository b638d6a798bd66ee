import { faultOf, faults, faultTestOf, faultTests } from './data.ts';
import {
  ASKING_MINUTES,
  LEAST_ELSE,
  SOMETHING_ELSE,
  SURE,
  USUAL_ELSE,
  type Fault,
  type FaultTest,
  type FaultTool,
} from './fault.ts';
import { holdsOf, type FaultFacts } from './faultFacts.ts';
import { risks, symptoms, type Risk, type SymptomId } from './symptoms.ts';

/** An answer to a test; null: it was skipped, which tells nothing. */
export interface FaultAnswer {
  test: string;
  outcome: string | null;
}

/** A search as it stands: what is known of the vehicle, what was noticed, what was answered, what is at hand. */
export interface Search {
  facts: FaultFacts;
  symptom: SymptomId;
  answers: readonly FaultAnswer[];
  /** Tools at hand; null: all. */
  tools: ReadonlySet<FaultTool> | null;
  /** How far the vehicle may be tried besides what the symptom allows. */
  most: Risk;
  /** How much likelier than usual some faults are, by what was found and by history; 1 where absent. */
  likelier?: Readonly<Record<string, number>>;
}

/** One cause with its weight. */
export interface Cause {
  id: string;
  p: number;
}

/** A test that can be asked, with what it would tell. */
export interface NextTest {
  test: string;
  bits: number;
  minutes: number;
}

/** A repair with how much of the weight it covers. */
export interface Covering {
  id: string;
  p: number;
}

const level = (risk: Risk): number => risks.indexOf(risk);
const lesser = (a: Risk, b: Risk): Risk => (level(a) <= level(b) ? a : b);

/** How likely a symptom is where a fault is there, on this vehicle. */
export function showing(fault: Fault, facts: FaultFacts, symptom: SymptomId): number {
  const { shows } = fault;
  const gives = Array.isArray(shows) ? shows.find((s) => holdsOf(s.when, facts))?.gives : shows;
  return gives?.[symptom] ?? 0;
}

/** Chances of a test's outcomes where a fault is there, in their order. */
export function chancesOf(test: FaultTest, fault: string): readonly number[] {
  if (fault === SOMETHING_ELSE) return test.outcomes.map(() => 1 / test.outcomes.length);
  return test.says.find((row) => row.of.includes(fault))?.gives ?? test.usual;
}

/** Outcomes of one answer; of a test where several hold, joined by a plus. */
export const heldIn = (outcome: string): string[] => outcome.split('+');

/** An answer in words: each outcome that holds. */
export function answerWords(test: string, outcome: string): string {
  const { outcomes } = faultTestOf(test) ?? { outcomes: [] };
  return heldIn(outcome)
    .flatMap((id) => outcomes.find((o) => o.id === id)?.words ?? [])
    .join(' and ');
}

/** Whether somebody who means one outcome ticks another besides: where it goes with it, and by chance. Source: project. */
const TICKED_WITH = 0.5;
const TICKED_BESIDES = 0.04;

/**
 * How likely an answer is where a fault is there. One outcome by the table; of several, one of them is what it is, by the
 * table, and the others are ticked besides: half the time where they go with it, rarely where they do not. Zero for what
 * is no outcome.
 */
export function likelihoodOf(test: FaultTest, fault: string, answer: string): number {
  const chances = chancesOf(test, fault);
  const held = new Set(heldIn(answer));
  if ([...held].some((id) => !test.outcomes.some((o) => o.id === id))) return 0;
  if (test.several !== true) return chances[test.outcomes.findIndex((o) => o.id === answer)] ?? 0;
  return test.outcomes.reduce((sum, main, i) => {
    if (!held.has(main.id)) return sum;
    const besides = test.outcomes.reduce((p, o) => {
      if (o.id === main.id) return p;
      const ticked = main.with?.includes(o.id) ? TICKED_WITH : TICKED_BESIDES;
      return p * (held.has(o.id) ? ticked : 1 - ticked);
    }, 1);
    return sum + (chances[i] as number) * besides;
  }, 0);
}

/** Repair that cures a fault; somebody who knows it, where it stands in no list. */
export const repairFor = (fault: string): string => faultOf(fault)?.repair ?? 'ask';

/** Causes before any answer: odds × how likely the symptom, with `USUAL_ELSE` for what stands in no list. */
export function causesAtFirst({
  facts,
  symptom,
  likelier = {},
}: Pick<Search, 'facts' | 'symptom' | 'likelier'>): Cause[] {
  const weighed = faults
    .filter((fault) => holdsOf(fault.when, facts))
    .map((fault) => ({ id: fault.id, p: fault.odds * showing(fault, facts, symptom) * (likelier[fault.id] ?? 1) }))
    .filter(({ p }) => p > 0);
  const sum = weighed.reduce((all, { p }) => all + p, 0);
  if (sum === 0) return [{ id: SOMETHING_ELSE, p: 1 }];
  return [
    ...weighed.map(({ id, p }) => ({ id, p: (p / sum) * (1 - USUAL_ELSE) })),
    { id: SOMETHING_ELSE, p: USUAL_ELSE },
  ];
}

/** Whether a test can tell anything with a symptom on a vehicle. */
export const applies = (test: FaultTest, { facts, symptom }: Pick<Search, 'facts' | 'symptom'>): boolean =>
  test.asked.includes(symptom) && holdsOf(test.when, facts);

/**
 * Causes after the answers, likeliest first; they add up to 1. Bayes with one fault at a time; the order of answers
 * does not matter. Something else never falls below `LEAST_ELSE`. Skipped tests, and tests that do not belong to the
 * symptom or the vehicle, tell nothing. Source: models, §14.
 */
export function causesNow(search: Search): Cause[] {
  let causes = causesAtFirst(search);
  for (const { test: id, outcome } of search.answers) {
    const test = faultTestOf(id);
    if (!test || outcome === null || !applies(test, search)) continue;
    const weighed = causes.map((c) => ({ id: c.id, p: c.p * likelihoodOf(test, c.id, outcome) }));
    // What is no outcome of it tells nothing.
    if (weighed.every((c) => c.p === 0)) continue;
    causes = weighed;
    // Kept in scale, so that a hundred answers do not run out of digits.
    const sum = causes.reduce((all, c) => all + c.p, 0);
    causes = causes.map((c) => ({ id: c.id, p: c.p / sum }));
  }
  const other = causes.find((c) => c.id === SOMETHING_ELSE) as Cause;
  if (other.p < LEAST_ELSE) {
    const scale = (1 - LEAST_ELSE) / (1 - other.p);
    causes = causes.map((c) => ({ id: c.id, p: c.id === SOMETHING_ELSE ? LEAST_ELSE : c.p * scale }));
  }
  return causes.sort((a, b) => b.p - a.p);
}

/** Repairs by how much of the weight each covers, most first. */
export function covered(causes: readonly Cause[]): Covering[] {
  const by = new Map<string, number>();
  for (const { id, p } of causes) by.set(repairFor(id), (by.get(repairFor(id)) ?? 0) + p);
  return [...by].map(([id, p]) => ({ id, p })).sort((a, b) => b.p - a.p);
}

/** How far the vehicle may be tried now: what the symptom, the state and what was seen allow. */
export function allowedNow(search: Pick<Search, 'symptom' | 'answers' | 'most'>): Risk {
  let most = lesser(search.most, symptoms.find((s) => s.id === search.symptom)?.most ?? 'look');
  for (const { test, outcome } of search.answers) {
    for (const { id, most: seen } of faultTestOf(test)?.outcomes ?? [])
      if (seen && outcome !== null && heldIn(outcome).includes(id)) most = lesser(most, seen);
  }
  return most;
}

const entropy = (chances: readonly number[]): number =>
  chances.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);

/** Bits a test is expected to tell about the cause: entropy of its outcome less what is chance in it. */
export function bitsOf(test: FaultTest, causes: readonly Cause[]): number {
  const told = test.outcomes.map(() => 0);
  let noise = 0;
  for (const { id, p } of causes) {
    const chances = chancesOf(test, id);
    chances.forEach((chance, i) => (told[i] = (told[i] as number) + p * chance));
    noise += p * entropy(chances);
  }
  return Math.max(0, entropy(told) - noise);
}

/** Tests that can be asked now, in the list's order. */
export function askable(search: Search): FaultTest[] {
  const { tools, answers } = search;
  const most = level(allowedNow(search));
  return faultTests.filter(
    (test) =>
      applies(test, search) &&
      level(test.risk) <= most &&
      (tools === null || test.tools.every((t) => tools.has(t))) &&
      !answers.some((a) => a.test === test.id),
  );
}

/** Tests by what they tell a minute, best first; ties to the earlier in the list. Source: models, §14. */
export function rankedTests(search: Search, causes = causesNow(search)): NextTest[] {
  return askable(search)
    .map((test) => ({ test: test.id, bits: bitsOf(test, causes), minutes: test.minutes }))
    .filter(({ bits }) => bits > 1e-6)
    .sort((a, b) => b.bits / (b.minutes + ASKING_MINUTES) - a.bits / (a.minutes + ASKING_MINUTES));
}

/** What the search says now. */
export interface SearchFinding {
  causes: Cause[];
  next: NextTest | null;
  /** The one repair that covers enough, if one does. */
  repair: string | null;
  /** The repair that covers most, and how much. */
  leading: Covering;
}

/** Causes, the next test and the repair: the search ends when one repair covers `SURE`, or nothing is left to ask. */
export function searchNow(search: Search): SearchFinding {
  const causes = causesNow(search);
  const leading = covered(causes)[0] as Covering;
  const sure = leading.p >= SURE;
  return {
    causes,
    leading,
    repair: sure ? leading.id : null,
    next: sure ? null : (rankedTests(search, causes)[0] ?? null),
  };
}

/** What an answer would change: how likely it is, what would lead then, and what it would rule out. */
export interface WouldBe {
  outcome: string;
  p: number;
  leads: Cause;
  repair: string | null;
  /** Causes that it takes from likely to nearly impossible. */
  rulesOut: string[];
}

/** A cause counts while it has this weight; ruled out is what falls to a sixth of its weight and under it. Source: project. */
const COUNTS = 0.02;

/** What each answer to a test would say. */
export function wouldBe(search: Search, testId: string): WouldBe[] {
  const test = faultTestOf(testId);
  if (!test) return [];
  const before = causesNow(search);
  return test.outcomes.map((outcome, i) => {
    const p = before.reduce((sum, c) => sum + c.p * (chancesOf(test, c.id)[i] as number), 0);
    const then = causesNow({ ...search, answers: [...search.answers, { test: testId, outcome: outcome.id }] });
    const leading = covered(then)[0] as Covering;
    return {
      outcome: outcome.id,
      p,
      leads: then[0] as Cause,
      repair: leading.p >= SURE ? leading.id : null,
      rulesOut: ruledOut(before, then),
    };
  });
}

/** Causes that counted before and do not any more. */
export function ruledOut(before: readonly Cause[], then: readonly Cause[]): string[] {
  return before
    .filter(({ id, p }) => {
      const now = then.find((c) => c.id === id)?.p ?? 0;
      return id !== SOMETHING_ELSE && p >= COUNTS && now < COUNTS && now < p / 6;
    })
    .map((c) => c.id);
}

/** Something that speaks for or against a cause. */
export interface Reason {
  /** Test whose answer it is; null: how often it is met. */
  test: string | null;
  words: string;
  /** How many times likelier it made the cause, against all others together. */
  times: number;
}

/** Why a cause has the weight it has: how often it is met, and what each answer did to it. */
export function reasonsOf(search: Search, id: string): Reason[] {
  const fault = faultOf(id);
  const reasons: Reason[] = fault ? [{ test: null, words: fault.often, times: search.likelier?.[id] ?? 1 }] : [];
  search.answers.forEach(({ test: testId, outcome }, i) => {
    const test = faultTestOf(testId);
    const at = test?.outcomes.findIndex((o) => o.id === outcome) ?? -1;
    if (!test || at < 0 || !applies(test, search)) return;
    const before = causesNow({ ...search, answers: search.answers.slice(0, i) });
    const own = chancesOf(test, id)[at] as number;
    const others = before.filter((c) => c.id !== id);
    const rest = others.reduce((sum, c) => sum + c.p, 0);
    const mean = others.reduce((sum, c) => sum + c.p * (chancesOf(test, c.id)[at] as number), 0) / Math.max(rest, 1e-9);
    const row = test.says.find((r) => r.of.includes(id));
    reasons.push({
      test: testId,
      words: row?.why ?? 'It would not do that by itself.',
      times: mean > 0 ? own / mean : 1,
    });
  });
  return reasons;
}
