import {
  besidePlan,
  buildTime,
  buyingSheet,
  headOf,
  judgeCandidates,
  legsDo,
  lessonsOf,
  narrowed,
  readTrackRide,
  tellingRide,
  todayOn,
  toldOf,
  tuneLogInSteps,
  measureNext,
  planChosen,
  planContext,
  readBuild,
  readBuildFileWithPhotos,
  readGpx,
  readSvgOutline,
  ridesOn,
  runDraws,
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
  type Candidates,
  type Conditions,
  type Day,
  type LegsWay,
  type Lesson,
  type LogTuning,
  type TellingRide,
  type TodayForecast,
  type Told,
  type DrawnRides,
  type FigureId,
  type Finding,
  type NextItem,
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
  measureNext: (build: Build, own: readonly Part[]): NextItem[] => measureNext(contextOf(build, own)),
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
};
export type CoreWorker = typeof api;
expose(api);
