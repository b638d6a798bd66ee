import type { PayloadAction } from '@reduxjs/toolkit';
import { withStepMarked, type Bench, type BuildStep, type Built, type StepMarking } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of the bench: who works and when, and what is done. */
export const benchReducers = {
  benchEdited(state: BuildState, action: PayloadAction<Edit<Partial<Omit<Bench, 'done'>>>>) {
    if (state.build) Object.assign(state.build.bench, action.payload.value);
  },
  /** A step marked done, or not done after all. */
  stepMarked(
    state: BuildState,
    action: PayloadAction<Edit<{ step: Pick<BuildStep, 'id' | 'place' | 'part' | 'undoes'>; as: StepMarking | null }>>,
  ) {
    if (!state.build) return;
    const { step, as } = action.payload.value;
    state.build.bench.done = withStepMarked(state.build.bench.done, step, as);
  },
  builtEdited(state: BuildState, action: PayloadAction<Edit<Partial<Built>>>) {
    if (state.build) Object.assign(state.build.built, action.payload.value);
  },
};
