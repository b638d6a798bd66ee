import type { PayloadAction } from '@reduxjs/toolkit';
import type { Bench } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of the bench: who works and when, and what is done. */
export const benchReducers = {
  benchEdited(state: BuildState, action: PayloadAction<Edit<Partial<Omit<Bench, 'done'>>>>) {
    if (state.build) Object.assign(state.build.bench, action.payload.value);
  },
  /** A step done at a moment of the local clock, or not done after all. */
  stepDone(state: BuildState, action: PayloadAction<Edit<{ step: string; at: string | null }>>) {
    if (!state.build) return;
    const { step, at } = action.payload.value;
    if (at === null) Reflect.deleteProperty(state.build.bench.done, step);
    else state.build.bench.done[step] = at;
  },
};
