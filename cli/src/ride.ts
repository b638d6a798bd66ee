import { readRideCase, runRideCase } from '@sprocket/core';
import { runCases } from './cases.ts';

/** `ride a.json b.json …`: simulates explicit systems over explicit roads. */
runCases('ride', readRideCase, runRideCase, process.argv.slice(2));
