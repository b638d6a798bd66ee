import { z } from '../reading/zod.ts';
import { donorSchema, emptyDonor } from '../donor/donor.ts';
import { legalClassSchema } from '../parts/law.ts';
import { partSchema } from '../parts/part.ts';
import { arrivalSchema } from './arrivals.ts';
import { builtSchema, usualBuilt } from './asBuilt.ts';
import { benchSchema, usualBench } from './bench.ts';
import { billSchema, usualBill } from './bill.ts';
import { briefSchema, usualBrief } from './brief.ts';
import { closingSchema } from './closing.ts';
import { choiceSchema, usualChoice } from './choice.ts';
import { fixSchema } from './fixes.ts';
import { keptChoiceSchema } from './kept.ts';
import { logSchema, usualLog } from './log.ts';
import { overrideSchema } from './overrides.ts';
import { provingSchema, usualProving } from './proving.ts';
import { schoolsSchema, usualSchools } from './schools.ts';
import { startSchema, usualStart } from './start.ts';
import { tunedSchema, usualTuned } from './tuned.ts';
import { usualWeights, weightsSchema } from './weights.ts';
import { usualWiring, wiringSchema } from './wiring.ts';

export const BUILD_SCHEMA = 'jolly-sprocket/build';
export const BUILD_VERSION = 15;

/** Everything a person said, measured and chose, a section a file. The only truth: plans are derived from it. */
export const buildSchema = z.object({
  schema: z.literal(BUILD_SCHEMA),
  version: z.literal(BUILD_VERSION),
  id: z.string().min(1).max(80),
  name: z.string().trim().min(1).max(120),
  variant: z.string().max(80),
  /** How it began: a line of words, and which answers were given. */
  start: startSchema.prefault({}),
  brief: briefSchema,
  donor: donorSchema,
  choice: choiceSchema,
  /** Choices kept beside it, to be compared with it. */
  keptChoices: z.array(keptChoiceSchema).max(200).default([]),
  /** The person's own parts, so that a file carries what it needs. */
  ownParts: z.array(partSchema).max(200),
  /** Legal classes the person wrote or corrected; one with a shelf id takes its place. */
  ownLaws: z.array(legalClassSchema).max(40),
  schools: schoolsSchema,
  /** Leads, plugs, levers, sensors, bar and settings. */
  wiring: wiringSchema.prefault({}),
  weights: weightsSchema.default({ baseline: null, changes: [] }),
  /** Findings overridden, each with a written reason. */
  overrides: z.array(overrideSchema).max(200),
  /** Alternatives taken of findings that hold more than one. */
  fixes: z.array(fixSchema).max(400),
  /** Parts, money and time: what is ordered, here, fitted; suppliers and what they ask. */
  bill: billSchema.prefault({}),
  /** Who works on it and when, and which steps are done. */
  bench: benchSchema.prefault({}),
  /** What was built otherwise than planned. */
  built: builtSchema.prefault({}),
  /** What was tried, seen, searched for and mended. */
  proving: provingSchema.prefault({}),
  /** What tests told of the vehicle itself. */
  tuned: tunedSchema.prefault({}),
  /** The vehicle in use: rides, charges, faults, service. */
  log: logSchema.prefault({}),
  /** What was measured of parts when they arrived, by part id: it counts above their data. */
  arrivals: z.record(z.string().max(80), arrivalSchema).default({}),
  /** The last question for a kit, by its id: what else is where it goes. */
  closing: z.record(z.string().max(80), closingSchema).default({}),
  /** How often it was written, by whoever wrote it: two versions of one build are told apart and merged by it. */
  revision: z.int().min(0).default(0),
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime(),
});
export type Build = z.infer<typeof buildSchema>;

/** An empty build: every section at its default, nothing surveyed, nothing chosen. */
export function newBuild(id: string, name: string, now: string): Build {
  return {
    schema: BUILD_SCHEMA,
    version: BUILD_VERSION,
    id,
    name,
    variant: 'A',
    start: usualStart(),
    brief: usualBrief(),
    donor: emptyDonor(),
    choice: usualChoice(),
    keptChoices: [],
    ownParts: [],
    ownLaws: [],
    schools: { ...usualSchools },
    wiring: usualWiring(),
    weights: usualWeights(),
    overrides: [],
    fixes: [],
    bill: usualBill(),
    bench: usualBench(),
    built: usualBuilt(),
    proving: usualProving(),
    tuned: usualTuned(),
    log: usualLog(),
    arrivals: {},
    closing: {},
    revision: 0,
    createdAt: now,
    updatedAt: now,
  };
}

/**
 * The same build with nothing written in its log. No plan and no judgement hangs on the log itself (what its rides told
 * stands in `tuned`), and where a build is copied, thousands of its lines need not be.
 */
export function withoutLog(build: Build): Build {
  return { ...build, log: usualLog() };
}
