import {
  drawsInSteps,
  finish,
  measureFirst,
  staysBestInSteps,
  type Choice,
  type Drawn,
  type ScenarioId,
  type Stays,
  besidePlan,
  buildTime,
  buyingSheet,
  chosenCandidate,
  compared,
  headOf,
  judgeCandidates,
  legsDo,
  lessonsOf,
  likelyKits,
  narrowed,
  readTrackRide,
  tellingRide,
  todayOn,
  toldOf,
  tuneLogInSteps,
  planChosen,
  planContext,
  readBuild,
  readBuildFileWithPhotos,
  readGpx,
  readSvgOutline,
  ridesOn,
  runDraws,
  type SearchOptions,
  type SearchResult,
  ShelfSearch,
  settingEffects,
  starterShelf,
  summaryOf,
  verdictEdges,
  whatWouldChange,
  withParts,
  type BesidePlan,
  type Bill,
  type BillLine,
  type Build,
  type BuyingSheet,
  type Candidate,
  type Candidates,
  type Compared,
  type Conditions,
  type Day,
  type LegsWay,
  type Lesson,
  type LikelyKits,
  type LogTuning,
  type TellingRide,
  type TodayForecast,
  type Told,
  type DrawnRides,
  type FigureId,
  type Finding,
  type Part,
  type PlanContext,
  type SettingEffect,
  type ReadProblem,
  type VerdictEdge,
  type WhatChange,
} from '@sprocket/core';
import { expose } from 'comlink';
import { Sections } from './sections.ts';
import type { LineWork } from '../storage/bench.ts';

const builds = new Sections<Build>();
const parts = new Sections<Record<string, Part>>();

/** A build comes as a copy, with the person's own parts: the starter shelf is here already. */
const contextOf = (build: Build, own: readonly Part[]): PlanContext => {
  const kept = parts.settle(Object.fromEntries(own.map((part) => [part.id, part])));
  return planContext(builds.settle(build), withParts(starterShelf, Object.values(kept)));
};

/** Works so long at a time while it tunes, ms. */
const SLICE = 40;
/** The tuning that was asked for last. */
let tuning = 0;

/** Tells so often what a search has so far, ms. */
const TELL_EVERY = 250;
/** The search that was asked for last. */
let searching = 0;

/** What the rides told, and what they leave open. */
export type LogTold = LogTuning & { told: Told[]; telling: TellingRide | null; width: ReturnType<typeof narrowed> };

const wordsOf = ([first, ...more]: readonly ReadProblem[]): string =>
  `${first?.path ?? ''}: ${first?.message ?? ''}${more.length > 0 ? `, and ${more.length} more` : ''}.`;

/** The core's longer sums, off the page. */
const api = {
  /** What was not chosen, judged: the rest of a plan is reckoned on the page. */
  candidates: (build: Build, own: readonly Part[]): Candidates => judgeCandidates(contextOf(build, own)),
  /** A build's line for the bench, from whatever the store has of it. */
  benchLine: (kept: unknown, own: readonly Part[]): LineWork => {
    const head = headOf(kept);
    const read = readBuild(kept);
    if (!read.ok) return { head, summary: null, fault: `It cannot be read: ${wordsOf(read.problems)}` };
    return { head, summary: summaryOf(planChosen(contextOf(read.value, own))), fault: null };
  },
  /** Any number of builds side by side, each planned whole. */
  compared: (builds: readonly Build[], own: readonly Part[]): Compared =>
    compared(builds, withParts(starterShelf, own)),
  verdictEdges: (
    build: Build,
    own: readonly Part[],
    finding: Pick<Finding, 'rule' | 'subject' | 'verdict'>,
  ): { edges: VerdictEdge[]; otherKits: string[] } => verdictEdges(contextOf(build, own), finding),
  whatWouldChange: (build: Build, own: readonly Part[], figure: FigureId): WhatChange[] =>
    whatWouldChange(contextOf(build, own), figure),
  /** What each setting of the chosen kit does to the plan: a dozen rides. */
  settingEffects: (build: Build, own: readonly Part[]): SettingEffect[] =>
    settingEffects(build, withParts(starterShelf, own)),
  /** The best ways of buying what is to be ordered now; the solver is loaded when it is first asked for. */
  buying: async (lines: readonly BillLine[], bill: Bill, orderedOn: string): Promise<BuyingSheet> => {
    const { solver } = await import('./solver.ts');
    return buyingSheet(lines, bill, orderedOn, await solver());
  },
  /** What the legs do under each way of helping: a ride or two for each. */
  legsDo: (build: Build, own: readonly Part[]): LegsWay[] => legsDo(contextOf(build, own)),
  /** Plan and as-built side by side: two whole plans. */
  besidePlan: (build: Build, own: readonly Part[]): BesidePlan | null =>
    besidePlan(build, withParts(starterShelf, own)),
  /** The bench's schedule and its chance: seconds for a large build. */
  buildTime,
  /** What the rides of a log told, with how far it is as it goes; null where nothing can be ridden, or it was stopped. */
  tuneLog: async (build: Build, own: readonly Part[], progress: (share: number) => void): Promise<LogTold | null> => {
    const mine = ++tuning;
    const context = contextOf(build, own);
    const steps = tuneLogInSteps(context);
    let since = performance.now();
    for (;;) {
      const step = steps.next();
      if (step.done)
        return (
          step.value && {
            ...step.value,
            told: toldOf(step.value.belief),
            telling: tellingRide(context, step.value.belief),
            width: narrowed(context, step.value.belief),
          }
        );
      if (performance.now() - since < SLICE) continue;
      progress(step.value);
      // A question to stop, or a newer log, gets its turn.
      await new Promise((next) => setTimeout(next, 0));
      if (mine !== tuning) return null;
      since = performance.now();
    }
  },
  stopTuning: (): void => {
    tuning++;
  },
  todayOn: (build: Build, own: readonly Part[], day: Day, draws: number): TodayForecast | null =>
    todayOn(contextOf(build, own), day, draws),
  /** Lessons of every build in the store: what cannot be read teaches nothing. */
  lessons: (kept: readonly unknown[]): Lesson[] =>
    lessonsOf(
      kept.flatMap((k) => {
        const read = readBuild(k);
        return read.ok ? [read.value] : [];
      }),
    ),
  /** By the clock of the place on the day of the ride: summer time then is not summer time now. */
  readTrackRide: (text: string, id: string, fallbackName: string) =>
    readTrackRide(text, id, fallbackName, (timeS) => -new Date(timeS * 1000).getTimezoneOffset()),
  readBuildFileWithPhotos,
  readGpx,
  readSvgOutline,
  /** Rides of a day, drawn for the bands of Proving. */
  ridesOn: (build: Build, own: readonly Part[], day: Conditions, count: number): DrawnRides | null =>
    ridesOn(contextOf(build, own), day, count),
  runDraws,
  /** Kits that go on a vehicle such as this one usually is. */
  likelyKits: (build: Build, own: readonly Part[]): LikelyKits => likelyKits(build, withParts(starterShelf, own)),
  /** Some choices as candidates are, each planned whole; those without kit or battery are left out. */
  candidatesOf: (build: Build, own: readonly Part[], choices: readonly Choice[]): Candidate[] =>
    choices.flatMap((choice) => {
      const context = contextOf({ ...build, choice }, own);
      const one = chosenCandidate(context, planChosen(context));
      // Where nobody said where the battery goes, it goes where the plan puts it.
      const packPlace = choice.packPlace ?? context.placement?.place ?? null;
      return one ? [{ ...one, choice: { ...one.choice, packPlace } }] : [];
    }),
  /** What is chosen, as a candidate is; null before kit and battery are. */
  chosenCandidate: (build: Build, own: readonly Part[]): Candidate | null => {
    const context = contextOf(build, own);
    return chosenCandidate(context, planChosen(context));
  },
  /** Searches some kits of the shelf, telling what it has so far; null where it was stopped, or a newer search began. */
  search: async (
    build: Build,
    own: readonly Part[],
    options: SearchOptions,
    tell: (soFar: SearchResult) => void,
  ): Promise<SearchResult | null> => {
    const mine = ++searching;
    const search = new ShelfSearch(build, withParts(starterShelf, own), options);
    const steps = search.steps();
    let since = performance.now();
    while (!steps.next().done) {
      if (performance.now() - since < TELL_EVERY) continue;
      tell(search.result);
      // A question to stop, or a newer build, gets its turn.
      await new Promise((next) => setTimeout(next, 0));
      if (mine !== searching) return null;
      since = performance.now();
    }
    return mine === searching ? search.result : null;
  },
  stopSearch: (): void => {
    searching++;
  },
  /** Conversions held against vehicles as this one might be, a vehicle a seed; null where a newer question came. */
  draw: async (
    build: Build,
    own: readonly Part[],
    choices: readonly Choice[],
    seeds: readonly number[],
    tell: (soFar: Drawn[]) => void,
  ): Promise<Drawn[] | null> => {
    const mine = ++searching;
    const drawn: Drawn[] = [];
    let since = performance.now();
    for (const seed of seeds) {
      drawn.push(...finish(drawsInSteps(build, withParts(starterShelf, own), choices, [seed])));
      if (performance.now() - since < TELL_EVERY) continue;
      tell(drawn);
      await new Promise((next) => setTimeout(next, 0));
      if (mine !== searching) return null;
      since = performance.now();
    }
    return mine === searching ? drawn : null;
  },
  measureFirst,
  /** What some conversions do where things come otherwise than planned. */
  staysBest: (build: Build, own: readonly Part[], choices: readonly Choice[]): Record<ScenarioId, Stays[]> =>
    finish(staysBestInSteps(build, withParts(starterShelf, own), choices)),
};
export type CoreWorker = typeof api;
expose(api);
