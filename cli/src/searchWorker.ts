import { parentPort, workerData } from 'node:worker_threads';
import {
  type Build,
  type Choice,
  drawsInSteps,
  finish,
  type SearchOptions,
  ShelfSearch,
  starterShelf,
} from '@sprocket/core';

/** What one worker is asked: to search some kits, or to hold some choices against the vehicles of some seeds. */
export type Asked = { build: Build } & ({ options: SearchOptions } | { choices: Choice[]; seeds: number[] });

const asked = workerData as Asked;
const { build } = asked;
parentPort?.postMessage(
  'options' in asked
    ? finish(new ShelfSearch(build, starterShelf, asked.options).steps())
    : finish(drawsInSteps(build, starterShelf, asked.choices, asked.seeds)),
);
