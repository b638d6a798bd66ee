import type { PayloadAction } from '@reduxjs/toolkit';
import {
  type Coast,
  type Conditions,
  type FaultSearch,
  type NotTried,
  type RepairTaken,
  type Result,
  type Tuned,
  type WentPast,
} from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** A row put in place of the one of its id, or after the others. */
function put<T extends { id: string }>(rows: readonly T[], row: T): T[] {
  return rows.some((r) => r.id === row.id) ? rows.map((r) => (r.id === row.id ? row : r)) : [...rows, row];
}
const without = <T extends { id: string }>(rows: readonly T[], id: string): T[] => rows.filter((r) => r.id !== id);

/** Edits of Proving: conditions of the day, results, what was gone past, searches, repairs, coast-downs, tunings, rides. */
export const provingReducers = {
  daySet(state: BuildState, action: PayloadAction<Edit<Partial<Conditions>>>) {
    if (state.build) Object.assign(state.build.proving.day, action.payload.value);
  },
  /** A test as it was tried: kept after those before it, and no longer untried. */
  resultKept(state: BuildState, action: PayloadAction<Edit<Result>>) {
    if (!state.build) return;
    const { proving } = state.build;
    const result = action.payload.value;
    proving.results = put(proving.results, result);
    proving.notTried = without(proving.notTried, result.test);
  },
  resultTakenBack(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (!state.build) return;
    const { proving } = state.build;
    proving.results = without(proving.results, action.payload.value);
    proving.wentPast = without(proving.wentPast, action.payload.value);
  },
  /** Gone past untried, with the reason; null takes it back. */
  notTriedSaid(state: BuildState, action: PayloadAction<Edit<{ test: string; as: NotTried | null }>>) {
    if (!state.build) return;
    const { test, as } = action.payload.value;
    const { proving } = state.build;
    proving.notTried = as === null ? without(proving.notTried, test) : put(proving.notTried, as);
  },
  /** A stop gone past; null takes it back. */
  wentPastSaid(state: BuildState, action: PayloadAction<Edit<{ result: string; as: WentPast | null }>>) {
    if (!state.build) return;
    const { result, as } = action.payload.value;
    const { proving } = state.build;
    proving.wentPast = as === null ? without(proving.wentPast, result) : put(proving.wentPast, as);
  },
  /** A search begun or gone on with. */
  searchKept(state: BuildState, action: PayloadAction<Edit<FaultSearch>>) {
    if (state.build) state.build.proving.searches = put(state.build.proving.searches, action.payload.value);
  },
  searchForgotten(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (state.build) state.build.proving.searches = without(state.build.proving.searches, action.payload.value);
  },
  /** A repair decided on: its parts go to the bill, its work to the bench. */
  repairKept(state: BuildState, action: PayloadAction<Edit<RepairTaken>>) {
    if (state.build) state.build.proving.repairs = put(state.build.proving.repairs, action.payload.value);
  },
  repairForgotten(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (!state.build) return;
    state.build.proving.repairs = without(state.build.proving.repairs, action.payload.value);
    Reflect.deleteProperty(state.build.bench.done, `repair:${action.payload.value}`);
  },
  coastKept(state: BuildState, action: PayloadAction<Edit<Coast>>) {
    if (state.build) state.build.proving.coasts = put(state.build.proving.coasts, action.payload.value);
  },
  coastForgotten(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (state.build) state.build.proving.coasts = without(state.build.proving.coasts, action.payload.value);
  },
  /** What tests told of the vehicle: null of a line goes back to what was reckoned. */
  tunedTo(state: BuildState, action: PayloadAction<Edit<Partial<Tuned>>>) {
    if (state.build) Object.assign(state.build.tuned, action.payload.value);
  },
};
