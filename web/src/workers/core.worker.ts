import {
  judgeCandidates,
  measureNext,
  planChosen,
  planContext,
  readGpx,
  runDraws,
  starterShelf,
  summaryOf,
  verdictEdges,
  whatWouldChange,
  withParts,
  type Build,
  type BuildSummary,
  type Candidates,
  type FigureId,
  type Finding,
  type NextItem,
  type Part,
  type PlanContext,
  type VerdictEdge,
  type WhatChange,
} from '@sprocket/core';
import { expose } from 'comlink';

/** A build comes as a copy, with the person's own parts: the starter shelf is here already. */
const contextOf = (build: Build, own: readonly Part[]): PlanContext => planContext(build, withParts(starterShelf, own));

/** The core's longer sums, off the page. */
const api = {
  /** What was not chosen, judged: the rest of a plan is reckoned on the page. */
  candidates: (build: Build, own: readonly Part[]): Candidates => judgeCandidates(contextOf(build, own)),
  summary: (build: Build, own: readonly Part[]): BuildSummary => summaryOf(planChosen(contextOf(build, own))),
  measureNext: (build: Build, own: readonly Part[]): NextItem[] => measureNext(contextOf(build, own)),
  verdictEdges: (
    build: Build,
    own: readonly Part[],
    finding: Pick<Finding, 'rule' | 'subject' | 'verdict'>,
  ): { edges: VerdictEdge[]; otherKits: string[] } => verdictEdges(contextOf(build, own), finding),
  whatWouldChange: (build: Build, own: readonly Part[], figure: FigureId): WhatChange[] =>
    whatWouldChange(contextOf(build, own), figure),
  readGpx,
  runDraws,
};
export type CoreWorker = typeof api;
expose(api);
