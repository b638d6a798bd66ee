import type { RemedyPlace } from '../../build/remedy.ts';
import type { ToolId } from '../../parts/shelf/ids.ts';
import type { FaultFacts } from './faultFacts.ts';
import type { Risk, SymptomId } from './symptoms.ts';

/** What of the vehicle a fault sits in. */
export const faultAreas = [
  'motor',
  'sensors',
  'levers',
  'throttle',
  'display',
  'settings',
  'pack',
  'charger',
  'wiring',
  'wheel',
  'brakes',
  'drivetrain',
] as const;
export type FaultArea = (typeof faultAreas)[number];

/** How likely each symptom is where a fault is; together 1. */
export type Shows = Partial<Record<SymptomId, number>>;

/** One thing that can be wrong: data alone. */
export interface Fault {
  id: string;
  area: FaultArea;
  words: string;
  /** How often it is met against the others: out of about a thousand troubles of first rides and first years. */
  odds: number;
  /** Why it is so often or so seldom met. Source: the trade’s own stories and the makers’ service notes, weighed by the project. */
  often: string;
  /** Whether this vehicle can have it at all. */
  when?: (facts: FaultFacts) => boolean;
  /** How likely each symptom is where it is there. */
  shows: Shows | ((facts: FaultFacts) => Shows);
  /** What goes on, for whoever learns. */
  why: string;
  repair: string;
}

/** What cures a fault: with which parts, and the step of the bench that does it. */
export interface Repair {
  id: string;
  words: string;
  /** How it is done, in a line or two. */
  how: string;
  /** Parts it takes, of the shelf; `kit` or `pack` where that part itself is exchanged or goes back to its maker. */
  parts: readonly string[];
  /** Step of the library it is done anew with. */
  step: string | null;
  place: RemedyPlace;
  minutes: number;
  /** Where it can hurt, and whom to ask. */
  caution?: string;
}

/** Things a test may need besides the bench's tools. */
export const lentThings = {
  'second-pack': 'Another battery of the same volts',
  'second-display': 'Another display of the kit',
  'wall-meter': 'Energy meter for the mains socket',
  'pump-gauge': 'Pump with a gauge',
  scales: 'Bathroom scales',
  'card-2mm': 'Card or feeler, 2 mm',
  'loose-magnet': 'A loose magnet',
} as const;
export type LentId = keyof typeof lentThings;
export type FaultTool = ToolId | LentId;

/** What an answer can be. */
export interface Outcome {
  id: string;
  words: string;
  /** Seen, it forbids more than this until it is mended. */
  most?: Risk;
}

/** What a test gives where certain faults are: chances in the order of its outcomes, together 1, and why. */
export interface Gives {
  of: readonly string[];
  gives: readonly number[];
  why: string;
}

/** One question put to the vehicle. */
export interface FaultTest {
  id: string;
  area: FaultArea;
  /** The question, short. */
  ask: string;
  /** How it is found out. */
  how: string;
  minutes: number;
  tools: readonly FaultTool[];
  risk: Risk;
  /** Symptoms it is asked with: with others it tells nothing. */
  asked: readonly SymptomId[];
  when?: (facts: FaultFacts) => boolean;
  outcomes: readonly Outcome[];
  /** Chances where none of the faults below is there. */
  usual: readonly number[];
  says: readonly Gives[];
}

/** A cause that stands in no list. Its outcomes are evenly likely, and it never falls below `LEAST_ELSE`. */
export const SOMETHING_ELSE = 'something-else';
export const LEAST_ELSE = 0.02;
/** Its odds before any answer, as a share. Source: project. */
export const USUAL_ELSE = 0.03;
/** One repair that covers so much ends the search. Source: models, §14. */
export const SURE = 0.9;
/** Added to a test's minutes, so that a quick look is not asked for ever. Source: models, §14. */
export const ASKING_MINUTES = 2;
