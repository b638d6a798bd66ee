import { placesOf, readScheduleCase, runScheduleCase } from '@sprocket/core';
import { runCases } from './cases.ts';

/** `schedule case.json …`: when each task is done, so that the last is done soonest. */
runCases('schedule', readScheduleCase, runScheduleCase, process.argv.slice(2), placesOf);
