import { ridesSpread } from '../vehicle/told.ts';
import type { Conditions, NotTried, Result, WentPast } from '../build/proving.ts';
import type { RemedyPlace } from '../build/remedy.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { MeterCheck } from '../wiring/checks.ts';
import { widened } from './band.ts';
import { systemOn, unsureOf } from './conditions.ts';
import type { Risk } from './faults/symptoms.ts';
import { drawnRides } from './foretoldRange.ts';
import { proofLibrary } from './library.ts';
import { proofFacts, type ProofFacts } from './proofFacts.ts';
import {
  gateIds,
  gateWords,
  proofVerdicts,
  type BandFrom,
  type DrawnRides,
  type GateId,
  type OutOf,
  type ProofSpec,
  type ProofVerdict,
  type ReadingSpec,
} from './test.ts';

/** How a test stands. */
export type ProofState = 'open' | 'pass' | 'question' | 'stop' | 'wentPast' | 'notTried';

/** A reading with where it fell. */
export interface JudgedReading extends ReadingSpec {
  value: number | null;
  side: 'low' | 'inside' | 'high' | null;
  verdict: ProofVerdict | null;
}

/** A test of this build, with what was tried of it. */
export interface ProofTest extends Omit<ProofSpec, 'when' | 'reads' | 'place'> {
  place: RemedyPlace;
  readings: JudgedReading[];
  state: ProofState;
  /** The last result; and how many there were before it. */
  result: Result | null;
  earlier: number;
  notTried: NotTried | null;
  wentPast: WentPast | null;
  /** What a result outside means here. */
  means: OutOf[];
  /** The meter check of Wiring that it is; its reading is kept there. */
  meter: string | null;
}

/** A gate: passed when all before it is. */
export interface ProofGate {
  id: GateId;
  name: string;
  what: string;
  /** Through; open to be worked on; held by a stop; or not reached yet. */
  state: 'through' | 'open' | 'held' | 'ahead';
  /** Tests that keep it from being through. */
  by: string[];
  tried: number;
  total: number;
}

/** The protocol of one build. */
export interface ProofSheet {
  facts: ProofFacts;
  tests: ProofTest[];
  gates: ProofGate[];
  /** The test to do next; null: all done. */
  next: string | null;
  tried: number;
  stops: string[];
  questions: string[];
  /** How far the vehicle may be tried as it stands. */
  most: Risk;
}

const worst = (verdicts: readonly ProofVerdict[]): ProofVerdict | null =>
  proofVerdicts.find((v) => verdicts.includes(v)) ?? null;

/** What a reading says: inside its band passes, outside is a question, on a dangerous side a stop. */
export function readingSays(
  { band, stop, harmless }: Pick<ReadingSpec, 'band' | 'stop' | 'harmless'>,
  value: number,
): { side: 'low' | 'inside' | 'high'; verdict: ProofVerdict } | null {
  if (!band) return null;
  const side = value < band.low ? 'low' : value > band.high ? 'high' : 'inside';
  if (side === 'inside') return { side, verdict: 'pass' };
  const where = side === 'low' ? 'below' : 'above';
  if (stop === where || stop === 'both') return { side, verdict: 'stop' };
  return { side, verdict: harmless === where ? 'pass' : 'question' };
}

/** A reading as it was taken, or as those it is the sum of were. */
function valueOf(
  { id, sumOf }: Pick<ReadingSpec, 'id' | 'sumOf'>,
  taken: Readonly<Record<string, number>>,
): number | null {
  const own = taken[id];
  if (own !== undefined) return own;
  const parts = (sumOf ?? []).map((part) => taken[part]);
  return parts.length > 0 && parts.every((part) => part !== undefined)
    ? parts.reduce((sum, part) => sum + part, 0)
    : null;
}

/** What the bands of a test are worked out from under some conditions; null without kit or pack. */
export function bandsFrom(
  context: PlanContext,
  facts: ProofFacts,
  conditions: Conditions,
  drawn: DrawnRides | null = null,
): BandFrom | null {
  const on = systemOn(context, conditions);
  return on && { context, facts, on, conditions, unsure: unsureOf(conditions, ridesSpread(context.build)), drawn };
}

const driven = (place: ProofSpec['place'], facts: ProofFacts): RemedyPlace =>
  place === 'motor wheel' ? `${facts.driven} wheel` : place === 'motor axle' ? `${facts.driven} axle` : place;

/** A meter check of Wiring as a test: what it reads is kept where it was asked. */
function meterTest(check: MeterCheck): ProofTest {
  const { id, where, how, lowV, highV, otherwise, read, verdict } = check;
  const is: ProofVerdict | null = read === null ? null : verdict === 'fits' ? 'pass' : 'stop';
  const value = read?.volts ?? null;
  return {
    id: `meter:${id}`,
    meter: id,
    gate: 'electrical',
    place: id === 'supply' || id === 'halls' ? 'leads' : 'pack',
    title: where,
    how,
    why: 'Crossed or wrong, it burns at the first joining.',
    minutes: 2,
    tools: ['multimeter'],
    safety: true,
    outside: [],
    means: [{ side: 'seen', words: otherwise }],
    caution: {
      text: 'Probes apart, one hand where it can be; join nothing until it is right.',
      ask: 'anybody with a meter',
    },
    readings: [
      {
        id: 'volts',
        what: 'Volts, red on plus',
        dimension: 'voltage',
        digits: 1,
        band: widened((lowV + highV) / 2, (highV - lowV) / 2, 0, [], []),
        stop: 'both',
        value,
        side: value === null ? null : value < lowV ? 'low' : value > highV ? 'high' : 'inside',
        verdict: is,
      },
    ],
    state: is ?? 'open',
    result: null,
    earlier: 0,
    notTried: null,
    wentPast: null,
  };
}

/** Said of a figure without a band. */
const NOTHING_FORETOLD: OutOf = {
  side: 'seen',
  words:
    'Nothing was foretold of it: measure what it goes by at Donor first (brakes, tyre, sensor), then it is judged.',
};

/** Conditions a test is foretold under: over a stretch ridden both ways a wind that was looked at counts as none. */
export const conditionsFor = ({ bothWays }: Pick<ProofSpec, 'bothWays'>, conditions: Conditions): Conditions =>
  bothWays && conditions.headwindMs !== null ? { ...conditions, headwindMs: 0 } : conditions;

/** A test as it stands: its bands under the conditions of its result, or of the day. */
function testNow(
  context: PlanContext,
  spec: ProofSpec,
  facts: ProofFacts,
  bands: (conditions: Conditions) => BandFrom | null,
): ProofTest {
  const { proving } = context.build;
  const results = proving.results.filter((r) => r.test === spec.id);
  const result = results.at(-1) ?? null;
  const from = bands(conditionsFor(spec, result?.conditions ?? proving.day));
  const readings = (from && spec.reads ? spec.reads(from) : []).map((reading): JudgedReading => {
    const value = valueOf(reading, result?.readings ?? {});
    const says = value === null ? null : readingSays(reading, value);
    // A figure that nothing was foretold of passes nothing: what it goes by is to be measured first.
    const verdict = says?.verdict ?? (value === null ? null : 'question');
    return { ...reading, value, side: says?.side ?? null, verdict };
  });
  const seen = spec.sees?.find((s) => s.id === result?.saw);
  const says = worst([...readings.flatMap((r) => r.verdict ?? []), ...(seen ? [seen.is] : [])]);
  // Nothing passes that was not read and seen whole; what is amiss says so at once.
  const whole =
    result !== null &&
    (spec.sees === undefined || seen !== undefined) &&
    (spec.reads === undefined || readings.length > 0) &&
    readings.every((r) => r.value !== null);
  const said = says === null || says === 'pass' ? (whole ? 'pass' : null) : says;
  const wentPast = (result && proving.wentPast.find((w) => w.id === result.id)) ?? null;
  const notTried = proving.notTried.find((n) => n.id === spec.id) ?? null;
  const state: ProofState =
    said === 'stop' && wentPast
      ? 'wentPast'
      : (said ?? (notTried && (!spec.safety || notTried.witness) ? 'notTried' : 'open'));
  const sides = new Set(readings.flatMap((r) => (r.side === 'low' || r.side === 'high' ? [r.side] : [])));
  const { id, gate, title, how, why, minutes, tools, safety, sees, asks, bothWays, outside, caution } = spec;
  return {
    id,
    gate,
    place: driven(spec.place, facts),
    title,
    how,
    why,
    minutes,
    ...(tools ? { tools } : {}),
    ...(safety ? { safety } : {}),
    ...(sees ? { sees } : {}),
    ...(asks ? { asks } : {}),
    ...(bothWays ? { bothWays } : {}),
    ...(caution ? { caution } : {}),
    outside,
    readings,
    state,
    result,
    earlier: Math.max(0, results.length - 1),
    notTried,
    wentPast,
    means: [
      ...outside.filter((o) => (o.side === 'seen' ? seen !== undefined && seen.is !== 'pass' : sides.has(o.side))),
      ...(readings.some((r) => r.value !== null && r.band === null) ? [NOTHING_FORETOLD] : []),
    ],
    meter: null,
  };
}

/** A test that lets its gate through. */
const isThrough = ({ state }: Pick<ProofTest, 'state'>): boolean => state !== 'open' && state !== 'stop';

/**
 * The protocol for this build: only tests that apply, each with its band at the conditions recorded and how it stands,
 * gate after gate. Null without a kit: then there is nothing to prove.
 * @param checks meter checks of Wiring; they stand first in the electrical gate
 * @param drawn rides drawn for one day’s conditions, where there are any
 */
export function proofSheet(
  context: PlanContext,
  checks: readonly MeterCheck[],
  drawn: { conditions: Conditions; rides: DrawnRides } | null = null,
): ProofSheet | null {
  const facts = proofFacts(context);
  if (!facts) return null;
  // Most tests share the conditions of the day: the vehicle on that day is made once.
  const made = new Map<string, BandFrom | null>();
  const bands = (conditions: Conditions): BandFrom | null => {
    const key = JSON.stringify(conditions);
    let from = made.get(key);
    if (from === undefined) {
      const rides = drawn && JSON.stringify(drawn.conditions) === key ? drawn.rides : null;
      made.set(key, (from = bandsFrom(context, facts, conditions, rides)));
    }
    return from;
  };
  const ours = proofLibrary.filter((s) => s.when?.(facts) ?? true).map((spec) => testNow(context, spec, facts, bands));
  const { notTried, wentPast } = context.build.proving;
  const meters = checks.map(meterTest).map((t): ProofTest => {
    const not = notTried.find((n) => n.id === t.id) ?? null;
    const past = wentPast.find((w) => w.id === `${t.id}=${t.readings[0]?.value}`) ?? null;
    return {
      ...t,
      notTried: not,
      wentPast: past,
      state: t.state === 'stop' && past ? 'wentPast' : t.state === 'open' && not?.witness ? 'notTried' : t.state,
    };
  });
  const tests = gateIds.flatMap((gate) => [
    ...(gate === 'electrical' ? meters : []),
    ...ours.filter((t) => t.gate === gate),
  ]);
  return { facts, tests, ...standing(tests) };
}

function standing(tests: ProofTest[]): Omit<ProofSheet, 'facts' | 'tests'> {
  let reached = true;
  let next: string | null = null;
  const gates = gateIds.map((id): ProofGate => {
    const here = tests.filter((t) => t.gate === id);
    const by = here.filter((t) => !isThrough(t));
    const stopped = by.some((t) => t.state === 'stop');
    const state = !reached ? 'ahead' : by.length === 0 ? 'through' : stopped ? 'held' : 'open';
    if (reached && by.length > 0) {
      next = (by.find((t) => t.state === 'stop') ?? by[0])?.id ?? null;
      reached = false;
    }
    return {
      id,
      ...gateWords[id],
      state,
      by: by.map((t) => t.id),
      tried: here.filter((t) => t.state !== 'open').length,
      total: here.length,
    };
  });
  const stops = tests.filter((t) => t.state === 'stop');
  const holds = (...of: GateId[]): boolean => stops.some((t) => of.includes(t.gate));
  return {
    gates,
    next,
    tried: tests.filter((t) => t.state !== 'open').length,
    stops: stops.map((t) => t.id),
    questions: tests.filter((t) => t.state === 'question').map((t) => t.id),
    most: holds('electrical')
      ? 'live'
      : holds('mechanical', 'stand', 'slow')
        ? 'stand'
        : holds('speed', 'hill')
          ? 'slow'
          : 'ride',
  };
}

/** Whether a test may be tried now, and if not, which gate keeps it: a press passes none. */
export function mayTry(
  sheet: Pick<ProofSheet, 'gates' | 'tests'>,
  testId: string,
): { may: true } | { may: false; gate: GateId; by: string[] } {
  const test = sheet.tests.find((t) => t.id === testId);
  if (!test) return { may: false, gate: 'mechanical', by: [] };
  for (const gate of sheet.gates) {
    if (gate.id === test.gate) return { may: true };
    if (gate.state !== 'through') return { may: false, gate: gate.id, by: gate.by };
  }
  return { may: true };
}

/** Seed of the rides drawn for a day: the same day gives the same bands. */
const SEED = 20_261;

/** Rides of a day drawn by the plan's own spread, for the bands of use and range; null where nothing can be ridden. */
export function ridesOn(context: PlanContext, conditions: Conditions, count: number): DrawnRides | null {
  const facts = proofFacts(context);
  const from = facts && bandsFrom(context, facts, conditions);
  return from && context.band && !context.band.hardly ? drawnRides(from, count, SEED) : null;
}
