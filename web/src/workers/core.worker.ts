import { planBuild, readGpx, whatWouldChange } from '@sprocket/core';
import { expose } from 'comlink';

/** The core's longer sums, off the page. */
const api = { planBuild, readGpx, whatWouldChange };
export type CoreWorker = typeof api;
expose(api);
