import {
  measureNext,
  planBuild,
  readGpx,
  runDraws,
  verdictEdges,
  whatWouldChange,
  type Build,
  type Candidates,
  type Shelf,
} from '@sprocket/core';
import { expose } from 'comlink';

/** The candidates of a plan alone: the rest of it is reckoned on the page, and posting it would cost time there. */
function candidates(build: Build, shelf: Shelf): Candidates {
  const { kits, families, packs } = planBuild(build, shelf);
  return { kits, families, packs };
}

/** The core's longer sums, off the page. */
const api = { candidates, measureNext, readGpx, runDraws, verdictEdges, whatWouldChange };
export type CoreWorker = typeof api;
expose(api);
