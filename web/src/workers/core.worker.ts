import {
  judgeCandidates,
  measureNext,
  planChosen,
  planContext,
  readGpx,
  runDraws,
  summaryOf,
  verdictEdges,
  whatWouldChange,
  type Build,
  type BuildSummary,
  type Candidates,
  type FigureId,
  type Finding,
  type NextItem,
  type Shelf,
  type VerdictEdge,
  type WhatChange,
} from '@sprocket/core';
import { expose } from 'comlink';

/** The core's longer sums, off the page. Each works its context out anew: builds come as copies. */
const api = {
  /** What was not chosen, judged: the rest of a plan is reckoned on the page. */
  candidates: (build: Build, shelf: Shelf): Candidates => judgeCandidates(planContext(build, shelf)),
  summary: (build: Build, shelf: Shelf): BuildSummary => summaryOf(planChosen(planContext(build, shelf))),
  measureNext: (build: Build, shelf: Shelf): NextItem[] => measureNext(planContext(build, shelf)),
  verdictEdges: (
    build: Build,
    shelf: Shelf,
    finding: Pick<Finding, 'rule' | 'subject' | 'verdict'>,
  ): { edges: VerdictEdge[]; otherKits: string[] } => verdictEdges(planContext(build, shelf), finding),
  whatWouldChange: (build: Build, shelf: Shelf, figure: FigureId): WhatChange[] =>
    whatWouldChange(planContext(build, shelf), figure),
  readGpx,
  runDraws,
};
export type CoreWorker = typeof api;
expose(api);
