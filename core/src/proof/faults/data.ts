import { electricTests } from './data/electricTests.ts';
import { powerFaults } from './data/power.ts';
import { powerTests } from './data/powerTests.ts';
import { repairs } from './data/repairs.ts';
import { runningFaults } from './data/running.ts';
import { runningTests } from './data/runningTests.ts';
import { sensingFaults } from './data/sensing.ts';
import type { Fault, FaultTest, Repair } from './fault.ts';

/** All faults that are known, all tests in the order of a fixed checklist, and all repairs. */
export const faults: readonly Fault[] = [...sensingFaults, ...powerFaults, ...runningFaults];
export const faultTests: readonly FaultTest[] = [...electricTests, ...powerTests, ...runningTests];
export { repairs };

const repairsById = new Map(repairs.map((r) => [r.id, r]));
const faultsById = new Map(faults.map((f) => [f.id, f]));
const testsById = new Map(faultTests.map((t) => [t.id, t]));
export const repairOf = (id: string): Repair | undefined => repairsById.get(id);
export const faultOf = (id: string): Fault | undefined => faultsById.get(id);
export const faultTestOf = (id: string): FaultTest | undefined => testsById.get(id);
