import faultRows from '@sprocket/catalogue/faults/faults.json' with { type: 'json' };
import repairRows from '@sprocket/catalogue/faults/repairs.json' with { type: 'json' };
import testRows from '@sprocket/catalogue/faults/tests.json' with { type: 'json' };
import { rowsOf } from '../../catalogue/rows.ts';
import type { Fault, FaultTest, Repair } from './fault.ts';

/** All faults that are known, all tests in the order of a fixed checklist, and all repairs: the catalogue's. */
export const faults = rowsOf<Fault>(faultRows);
export const faultTests = rowsOf<FaultTest>(testRows);
export const repairs = rowsOf<Repair>(repairRows);

const repairsById = new Map(repairs.map((r) => [r.id, r]));
const faultsById = new Map(faults.map((f) => [f.id, f]));
const testsById = new Map(faultTests.map((t) => [t.id, t]));
export const repairOf = (id: string): Repair | undefined => repairsById.get(id);
export const faultOf = (id: string): Fault | undefined => faultsById.get(id);
export const faultTestOf = (id: string): FaultTest | undefined => testsById.get(id);
