import type { PayloadAction } from '@reduxjs/toolkit';
import {
  takenBack,
  withReading,
  withStepMarked,
  withValue,
  type Bench,
  type Build,
  type Built,
  type MarkedStep,
  type Otherwise,
  type ReadingTaken,
  type StepMarking,
} from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** How a line of the bill stands once the step that takes it is done, or is not done after all. */
export interface LineMoved {
  key: string;
  state: 'fitted' | 'checked';
}

/** Edits of the bench: who works and when, and what is done. */
export const benchReducers = {
  benchEdited(state: BuildState, action: PayloadAction<Edit<Partial<Omit<Bench, 'done'>>>>) {
    if (state.build) Object.assign(state.build.bench, action.payload.value);
  },
  /** A step marked done, or not done after all. */
  stepMarked(
    state: BuildState,
    action: PayloadAction<
      Edit<{
        step: MarkedStep;
        as: StepMarking | null;
        lines?: readonly LineMoved[];
      }>
    >,
  ) {
    if (!state.build) return;
    const { step, as, lines } = action.payload.value;
    // Done after all, a step that was left out takes what that changed back with it.
    const left = as === null ? state.build.built.otherwise.find((o) => o.leftOut && o.step === step.id) : undefined;
    if (left) state.build = takenBack(state.build as Build, left.id);
    state.build.bench.done = withStepMarked(state.build.bench.done, step, as);
    for (const { key, state: stands } of lines ?? []) {
      const line = state.build.bill.lines[key];
      if (line) line.state = stands;
    }
  },
  /** A reading taken at a step: kept with it, and the plan is judged with it where it is the measure of something planned. */
  readingTaken(state: BuildState, action: PayloadAction<Edit<ReadingTaken>>) {
    if (state.build) state.build = withReading(state.build as Build, action.payload.value);
  },
  /** Something built otherwise than planned: kept with its reason, and the build is as it was built. */
  builtOtherwise(state: BuildState, action: PayloadAction<Edit<Otherwise>>) {
    if (!state.build) return;
    const told = action.payload.value;
    const build = told.changes.reduce((b, { path, is }) => withValue(b, path, is), state.build as Build);
    state.build = { ...build, built: { ...build.built, otherwise: [...build.built.otherwise, told] } };
  },
  /** Taken back: what was planned stands again, unless it was changed since. */
  otherwiseTakenBack(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (state.build) state.build = takenBack(state.build as Build, action.payload.value);
  },
  builtEdited(state: BuildState, action: PayloadAction<Edit<Partial<Built>>>) {
    if (state.build) Object.assign(state.build.built, action.payload.value);
  },
};
