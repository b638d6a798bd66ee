import {
  type Build,
  type Coast,
  type Conditions,
  type FaultSearch,
  type NotTried,
  type RepairTaken,
  type Result,
  type Tuned,
  type WentPast,
} from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** A row put in place of the one of its id, or after the others. */
function put<T extends { id: string }>(rows: readonly T[], row: T): T[] {
  return rows.some((r) => r.id === row.id) ? rows.map((r) => (r.id === row.id ? row : r)) : [...rows, row];
}
const without = <T extends { id: string }>(rows: readonly T[], id: string): T[] => rows.filter((r) => r.id !== id);

/** Edits of Proving: conditions of the day, results, what was gone past, searches, repairs, coast-downs, tunings, rides. */
export const provingReducers = onOpen({
  daySet: patched<Partial<Conditions>>((build) => build.proving.day),
  /** A test as it was tried: kept after those before it, and no longer untried. */
  resultKept(build: Build, value: Result) {
    const { proving } = build;
    const result = value;
    proving.results = put(proving.results, result);
    proving.notTried = without(proving.notTried, result.test);
  },
  resultTakenBack(build: Build, value: string) {
    const { proving } = build;
    proving.results = without(proving.results, value);
    proving.wentPast = without(proving.wentPast, value);
  },
  /** Gone past untried, with the reason; null takes it back. */
  notTriedSaid(build: Build, value: { test: string; as: NotTried | null }) {
    const { test, as } = value;
    const { proving } = build;
    proving.notTried = as === null ? without(proving.notTried, test) : put(proving.notTried, as);
  },
  /** A stop gone past; null takes it back. */
  wentPastSaid(build: Build, value: { result: string; as: WentPast | null }) {
    const { result, as } = value;
    const { proving } = build;
    proving.wentPast = as === null ? without(proving.wentPast, result) : put(proving.wentPast, as);
  },
  /** A search begun or gone on with. */
  searchKept(build: Build, value: FaultSearch) {
    build.proving.searches = put(build.proving.searches, value);
  },
  searchForgotten(build: Build, value: string) {
    build.proving.searches = without(build.proving.searches, value);
  },
  /** A repair decided on: its parts go to the bill, its work to the bench. */
  repairKept(build: Build, value: RepairTaken) {
    build.proving.repairs = put(build.proving.repairs, value);
  },
  repairForgotten(build: Build, value: string) {
    build.proving.repairs = without(build.proving.repairs, value);
    Reflect.deleteProperty(build.bench.done, `repair:${value}`);
  },
  coastKept(build: Build, value: Coast) {
    build.proving.coasts = put(build.proving.coasts, value);
  },
  coastForgotten(build: Build, value: string) {
    build.proving.coasts = without(build.proving.coasts, value);
  },
  /** What tests told of the vehicle: null of a line goes back to what was reckoned. */
  tunedTo: patched<Partial<Tuned>>((build) => build.tuned),
});
