import type { PayloadAction } from '@reduxjs/toolkit';
import type { Brief, Rider, Route } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of the brief: riders, load, road. */
export const briefReducers = {
  briefEdited(state: BuildState, action: PayloadAction<Edit<Partial<Omit<Brief, 'riders' | 'route'>>>>) {
    if (state.build) Object.assign(state.build.brief, action.payload.value);
  },
  routeChosen(state: BuildState, action: PayloadAction<Edit<Route | null>>) {
    if (state.build) state.build.brief.route = action.payload.value;
  },
  routeEdited(state: BuildState, action: PayloadAction<Edit<Partial<Omit<Route, 'points'>>>>) {
    if (state.build?.brief.route) Object.assign(state.build.brief.route, action.payload.value);
  },
  riderEdited(state: BuildState, action: PayloadAction<Edit<{ index: number; change: Partial<Rider> }>>) {
    const rider = state.build?.brief.riders[action.payload.value.index];
    if (rider) Object.assign(rider, action.payload.value.change);
  },
  riderAdded(state: BuildState, action: PayloadAction<Edit<Rider>>) {
    if (!state.build) return;
    state.build.brief.riders.push(action.payload.value);
    state.build.brief.riding = state.build.brief.riders.length - 1;
  },
  riderRemoved(state: BuildState, action: PayloadAction<Edit<number>>) {
    const brief = state.build?.brief;
    if (!brief || brief.riders.length < 2) return;
    brief.riders.splice(action.payload.value, 1);
    brief.riding = Math.min(brief.riding, brief.riders.length - 1);
  },
};
