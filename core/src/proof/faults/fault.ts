import { remedyPlaces } from '../../build/remedy.ts';
import { conditionSchema } from '../../catalogue/condition.ts';
import type { ToolId } from '../../parts/shelf/ids.ts';
import { z } from '../../reading/zod.ts';
import { faultFactNames } from './faultFacts.ts';
import { risks, symptomIds, type SymptomId } from './symptoms.ts';

/** What of the vehicle a fault sits in. */
const faultAreas = [
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

const words = z.string().min(1).max(400);
const when = conditionSchema(faultFactNames).optional();
const chance = z.number().min(0).max(1);
const symptom = z.enum(symptomIds as [SymptomId, ...SymptomId[]]);

/** How likely each symptom is where a fault is; together 1. */
const shows = z.partialRecord(symptom, chance);
export type Shows = z.infer<typeof shows>;

/** One thing that can be wrong: data alone. */
export const faultSchema = z.object({
  area: z.enum(faultAreas),
  words,
  /** How often it is met against the others: out of about a thousand troubles of first rides and first years. */
  odds: z.number().positive().max(1000),
  /** Why it is so often or so seldom met. Source: the trade’s own stories and the makers’ service notes, weighed by the project. */
  often: words,
  /** Whether this vehicle can have it at all. */
  when,
  /** How likely each symptom is where it is there: the first of several whose condition holds. */
  shows: z.union([z.array(z.object({ when, gives: shows })).min(1), shows]),
  /** What goes on, for whoever learns. */
  why: words,
  repair: z.string(),
});
export type Fault = z.infer<typeof faultSchema> & { id: string };

/** What cures a fault: with which parts, and the step of the bench that does it. */
export const repairSchema = z.object({
  words,
  /** How it is done, in a line or two. */
  how: words,
  /** Parts it takes, of the shelf; `kit`, `pack` or `charger` where that itself is exchanged or goes back to its maker. */
  parts: z.array(z.string()),
  /** Step of the library it is done anew with. */
  step: z.string().nullable(),
  place: z.enum(remedyPlaces),
  minutes: z.number().min(0).max(600),
  /** Where it can hurt, and whom to ask. */
  caution: words.optional(),
});
export type Repair = z.infer<typeof repairSchema> & { id: string };

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

/** One question put to the vehicle. */
export const faultTestSchema = z.object({
  area: z.enum(faultAreas),
  /** The question, short. */
  ask: words,
  /** How it is found out. */
  how: words,
  minutes: z.number().min(0).max(600),
  tools: z.array(z.string() as unknown as z.ZodType<FaultTool>),
  risk: z.enum(risks),
  /** Symptoms it is asked with: with others it tells nothing. */
  asked: z.array(symptom).min(1),
  when,
  /** What an answer can be; one that was seen may forbid more than a risk until it is mended. */
  /** Several of its outcomes can hold at once: when it happens, where it is heard. */
  several: z.literal(true).optional(),
  outcomes: z
    .array(
      z.object({
        id: z.string(),
        words,
        most: z.enum(risks).optional(),
        /** Of several: outcomes that are as often as not true besides where this is what it is. */
        with: z.array(z.string()).optional(),
      }),
    )
    .min(2),
  /** Chances where none of the faults below is there, in the order of the outcomes, together 1. */
  usual: z.array(chance),
  /** What it gives where certain faults are, and why. */
  says: z.array(z.object({ of: z.array(z.string()).min(1), gives: z.array(chance), why: words })),
});
export type FaultTest = z.infer<typeof faultTestSchema> & { id: string };

/** A cause that stands in no list. Its outcomes are evenly likely, and it never falls below `LEAST_ELSE`. */
export const SOMETHING_ELSE = 'something-else';
export const LEAST_ELSE = 0.02;
/** Its odds before any answer, as a share. Source: project. */
export const USUAL_ELSE = 0.03;
/** One repair that covers so much ends the search. Source: models, §14. */
export const SURE = 0.9;
/** Added to a test's minutes, so that a quick look is not asked for ever. Source: models, §14. */
export const ASKING_MINUTES = 2;
