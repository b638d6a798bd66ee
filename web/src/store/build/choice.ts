import type { PayloadAction } from '@reduxjs/toolkit';
import type { Arrival, Choice, Part } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of what is chosen. */
export const choiceReducers = {
  chose(state: BuildState, action: PayloadAction<Edit<Partial<Choice>>>) {
    if (state.build) Object.assign(state.build.choice, action.payload.value);
  },
  /** What was measured of a part on the bench; a field left empty is as its data says. */
  arrivalMeasured(state: BuildState, action: PayloadAction<Edit<{ part: string; change: Partial<Arrival> }>>) {
    if (!state.build) return;
    const { part, change } = action.payload.value;
    const next = { ...state.build.arrivals[part], ...change };
    const kept = Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as Arrival;
    if (Object.keys(kept).length === 0) Reflect.deleteProperty(state.build.arrivals, part);
    else state.build.arrivals[part] = kept;
  },
  ownPartKept(state: BuildState, action: PayloadAction<Edit<Part>>) {
    if (!state.build) return;
    const others = state.build.ownParts.filter((part) => part.id !== action.payload.value.id);
    state.build.ownParts = [...others, action.payload.value];
  },
};
