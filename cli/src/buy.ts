import { buy, integerSolver, readBuyCase } from '@sprocket/core';
import { runCases } from './cases.ts';

/** `buy case.json …`: which supplier sends which line, at least cost, in time. */
const solve = await integerSolver();
runCases('buy', readBuyCase, (given) => buy(given, solve), process.argv.slice(2));
