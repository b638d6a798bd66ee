import type { RemedyPlace } from '../build/remedy.ts';
import type { Conditions } from '../build/proving.ts';
import type { ToolId } from '../parts/shelf/ids.ts';
import type { Dimension } from '../quantity/units.ts';
import type { Band3 } from '../ride/spread.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { Band } from './band.ts';
import type { DaySystem, Unsure } from './conditions.ts';
import type { SymptomId } from './faults/symptoms.ts';
import type { ProofFacts } from './proofFacts.ts';

/** The road of proving, gate after gate: nothing of a later one is tried while an earlier one stands at stop. */
export const gateIds = ['mechanical', 'electrical', 'stand', 'slow', 'speed', 'hill', 'range'] as const;
export type GateId = (typeof gateIds)[number];
export const gateWords: Record<GateId, { name: string; what: string }> = {
  mechanical: { name: 'Mechanical', what: 'It must stop and hold together before it goes.' },
  electrical: { name: 'Electrical', what: 'Poles and volts are known before anything is switched on.' },
  stand: { name: 'On the stand', what: 'The motor turns with the wheel in the air, and ends when it is told to.' },
  slow: { name: 'Walking pace', what: 'First metres, where a foot can stop it.' },
  speed: { name: 'Speed', what: 'Stops first, then speed, step by step.' },
  hill: { name: 'Hill', what: 'Standing and running, up and down.' },
  range: { name: 'Range', what: 'How far it goes, and what is left to look at.' },
};

/** What a result says. */
export const proofVerdicts = ['stop', 'question', 'pass'] as const;
export type ProofVerdict = (typeof proofVerdicts)[number];

/** Something seen, and what it says. */
export interface Sight {
  id: string;
  words: string;
  is: ProofVerdict;
}

/** Percentiles of rides drawn for a day: the way until it fades, m, and the use, Wh/m. */
export interface DrawnRides {
  way: Band3;
  use: Band3;
}

/** What the bands of a test are worked out from. */
export interface BandFrom {
  context: PlanContext;
  facts: ProofFacts;
  on: DaySystem;
  unsure: readonly Unsure[];
  conditions: Conditions;
  /** Rides drawn for just these conditions, where somebody took the time. */
  drawn: DrawnRides | null;
}

/** Readings that tell something about the vehicle when they are judged together. */
export const signals = [
  'noLoadSpeed',
  'noLoadAmps',
  'topFull',
  'topHalf',
  'cruiseWatts',
  'sag',
  'hillSpeed',
  'whPerKm',
  'rangeM',
  'coastRolling',
  'coastDrag',
  'stopFull',
  'massKg',
] as const;
export type Signal = (typeof signals)[number];

/** What of a vehicle a reading can tune. */
export type TuneKind = 'mass' | 'circumference' | 'topSpeed' | 'cruiseWatts' | 'coast';

/** A reading a test asks for. */
export interface ReadingSpec {
  id: string;
  what: string;
  dimension: Dimension;
  digits?: number;
  /** What is right; null where the plan foretells nothing and the reading is only kept. */
  band: Band | null;
  /** A side on which being outside means stop. */
  stop?: 'below' | 'above' | 'both';
  /** A side on which being outside is no harm. */
  harmless?: 'below' | 'above';
  /** Which of the plan's figures it is, where results are judged together. */
  signal?: Signal;
  tune?: TuneKind;
  /** It is these readings together: not asked for by itself. */
  sumOf?: readonly string[];
}

/** What moves a reading out of its band on one side. */
export interface OutOf {
  side: 'low' | 'high' | 'seen';
  words: string;
  /** Where the fault finder starts. */
  symptom?: SymptomId;
}

/** One test of the protocol: data, and its bands from the plan. */
export interface ProofSpec {
  id: string;
  gate: GateId;
  place: RemedyPlace | 'motor wheel' | 'motor axle';
  title: string;
  how: string;
  /** What makes it safe by now, or what is lost without it. */
  why: string;
  minutes: number;
  tools?: readonly ToolId[];
  when?: (facts: ProofFacts) => boolean;
  /** Not done, it holds the gate as a stop does. */
  safety?: boolean;
  sees?: readonly Sight[];
  reads?: (from: BandFrom) => readonly ReadingSpec[];
  /** Ridden both ways over one stretch: wind along it cancels, and is not taken off. */
  bothWays?: boolean;
  /** Conditions that move its band: asked for with it. */
  asks?: readonly (keyof Conditions)[];
  /** A result outside, by side, ranked. */
  outside: readonly OutOf[];
  caution?: { text: string; ask: string };
}
