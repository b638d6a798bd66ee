import { z } from '../../reading/zod.ts';
import { problemsOf, type ReadResult } from '../../reading/problems.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { faultOf, faults, faultTestOf, faultTests, repairOf, repairs } from './data.ts';
import { lentThings, SOMETHING_ELSE, type FaultTool } from './fault.ts';
import type { FaultFacts } from './faultFacts.ts';
import { applies, heldIn, searchNow, type Search } from './finder.ts';
import { riskWords, symptomIds, symptoms, type SymptomId } from './symptoms.ts';

const toolIds = new Set<string>([...starterShelf.tool.map((t) => t.id), ...Object.keys(lentThings)]);

const caseSchema = z
  .object({
    build: z.string().min(1).nullable(),
    symptom: z.string(),
    answers: z.array(z.object({ test: z.string(), outcome: z.string().nullable() })).max(500),
    tools: z.array(z.string()).max(500),
  })
  .check(({ value: { symptom, answers, tools }, issues }) => {
    const say = (path: (string | number)[], message: string, input: unknown): void => {
      issues.push({ code: 'custom', path, message, input });
    };
    if (!(symptomIds as readonly string[]).includes(symptom)) say(['symptom'], `no symptom ${symptom}`, symptom);
    answers.forEach(({ test: id, outcome }, i) => {
      const test = faultTestOf(id);
      if (!test) say(['answers', i, 'test'], `no test ${id}`, id);
      else if (
        outcome !== null &&
        outcome !== SKIPPED &&
        !(test.several ? heldIn(outcome) : [outcome]).every((id) => test.outcomes.some((o) => o.id === id))
      )
        say(
          ['answers', i, 'outcome'],
          `${id} has no outcome ${outcome}; it has ${test.outcomes.map((o) => o.id).join(', ')}`,
          outcome,
        );
      if (answers.findIndex((a) => a.test === id) < i) say(['answers', i, 'test'], `${id} is answered twice`, id);
    });
    tools.forEach((tool, i) => {
      if (!toolIds.has(tool)) say(['tools', i], `no tool ${tool}`, tool);
    });
  });

/** Told in place of an outcome where a test was passed by. */
const SKIPPED = 'skipped';

/** A case of the fault finder as read: a path to a build file, or none. */
export type FaultCase = Pick<Search, 'symptom' | 'answers'> & { build: string | null; tools: ReadonlySet<FaultTool> };

/** Reads a fault case (docs/models.md): every wrong field with its path, or the case. */
export function readFaultCase(value: unknown): ReadResult<FaultCase> {
  const read = caseSchema.safeParse(value);
  if (!read.success) return { ok: false, problems: problemsOf(read.error) };
  const { build, symptom, answers, tools } = read.data;
  return {
    ok: true,
    value: {
      build,
      symptom: symptom as SymptomId,
      answers: answers.map((a) => ({ test: a.test, outcome: a.outcome === SKIPPED ? null : a.outcome })),
      tools: new Set(tools as FaultTool[]),
    },
  };
}

/**
 * Runs a fault case on a vehicle: causes with their weights, the next test, the repair.
 * @param told what the vehicle’s own build tells besides: how far it may be tried, and which faults are likelier
 */
export function runFaultCase(
  given: FaultCase,
  facts: FaultFacts,
  told: Pick<Search, 'most' | 'likelier'> = { most: 'ride' },
): object {
  const search: Search = { ...given, facts, ...told };
  const found = searchNow(search);
  return {
    faults: found.causes,
    next: found.next,
    repair: found.repair,
    leading: found.leading,
    // Answers that tell nothing of this symptom on this vehicle.
    toldNothing: given.answers
      .filter((a) => {
        const test = faultTestOf(a.test);
        return a.outcome === null || !test || !applies(test, search);
      })
      .map((a) => a.test),
  };
}

/** All symptoms, faults, tests with their outcomes and chances, repairs and tools, with ids and plain words. */
export function faultList(): object {
  return {
    symptoms: symptoms.map((s) => ({ id: s.id, words: s.words, most: riskWords[s.most] })),
    faults: faults.map(({ id, area, words, odds, often, why, repair }) => ({
      id,
      area,
      words,
      odds,
      often,
      why,
      repair,
    })),
    tests: faultTests.map((t) => ({
      id: t.id,
      area: t.area,
      words: t.ask,
      how: t.how,
      minutes: t.minutes,
      tools: t.tools,
      risk: riskWords[t.risk],
      symptoms: t.asked,
      outcomes: t.outcomes.map((o) => ({ id: o.id, words: o.words })),
      usual: t.usual,
      chances: t.says.map(({ of, gives, why }) => ({ of, gives, why })),
    })),
    repairs: repairs.map(({ id, words, how, minutes, parts, step }) => ({ id, words, how, minutes, parts, step })),
    tools: [
      ...starterShelf.tool.map((t) => ({ id: t.id, words: t.name })),
      ...Object.entries(lentThings).map(([id, words]) => ({ id, words })),
    ],
    somethingElse: SOMETHING_ELSE,
  };
}

/** Words of a fault, of the list or out of it. */
export const faultWords = (id: string): string => faultOf(id)?.words ?? 'Something that stands in no list';
export const repairWords = (id: string): string => repairOf(id)?.words ?? id;
