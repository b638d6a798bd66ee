import type { PayloadAction } from '@reduxjs/toolkit';
import type { Choice, Part } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of what is chosen. */
export const choiceReducers = {
  chose(state: BuildState, action: PayloadAction<Edit<Partial<Choice>>>) {
    if (state.build) Object.assign(state.build.choice, action.payload.value);
  },
  ownPartKept(state: BuildState, action: PayloadAction<Edit<Part>>) {
    if (!state.build) return;
    const others = state.build.ownParts.filter((part) => part.id !== action.payload.value.id);
    state.build.ownParts = [...others, action.payload.value];
  },
};
