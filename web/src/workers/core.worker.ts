import { measureNext, planBuild, readGpx, runDraws, verdictEdges, whatWouldChange } from '@sprocket/core';
import { expose } from 'comlink';

/** The core's longer sums, off the page. */
const api = { measureNext, planBuild, readGpx, runDraws, verdictEdges, whatWouldChange };
export type CoreWorker = typeof api;
expose(api);
