import { parentPort, workerData } from 'node:worker_threads';
import { type Build, finish, type SearchOptions, ShelfSearch, starterShelf } from '@sprocket/core';

/** Searches the kits it is given, and sends back what it found. */
const { build, options } = workerData as { build: Build; options: SearchOptions };
parentPort?.postMessage(finish(new ShelfSearch(build, starterShelf, options).steps()));
