import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { mergeBuilds, withValueAt, type Build, type MergeStep } from '@sprocket/core';
import { briefReducers } from './build/brief.ts';
import { choiceReducers } from './build/choice.ts';
import { decisionsReducers } from './build/decisions.ts';
import { donorReducers } from './build/donor.ts';
import type { BuildState, Edit } from './build/state.ts';
import { benchReducers } from './build/bench.ts';
import { billReducers } from './build/bill.ts';
import { logReducers } from './build/log.ts';
import { provingReducers } from './build/proving.ts';
import { startReducers } from './build/start.ts';
import { wiringReducers } from './build/wiring.ts';

const initialState: BuildState = { build: null };

/** Every edit of the open build, a section a file. */
const slice = createSlice({
  name: 'build',
  initialState,
  reducers: {
    opened(state, action: PayloadAction<Build | null>) {
      state.build = action.payload;
    },
    /** What the store has, taken into this state and, by the store of the app, into every state of the history. */
    merged(state, { payload: { base, theirs } }: PayloadAction<{ base: Build; theirs: Build }>) {
      if (state.build?.id === theirs.id) state.build = mergeBuilds(base, state.build as Build, theirs).build;
    },
    /** A value put where two windows disagreed. */
    decided(state, action: PayloadAction<Edit<{ path: readonly MergeStep[]; value: unknown }>>) {
      const { path, value } = action.payload.value;
      if (state.build) state.build = withValueAt(state.build as Build, path, value);
    },
    renamed(state, action: PayloadAction<Edit<{ name?: string; variant?: string }>>) {
      if (state.build) Object.assign(state.build, action.payload.value);
    },
    ...briefReducers,
    ...donorReducers,
    ...choiceReducers,
    ...decisionsReducers,
    ...provingReducers,
    ...logReducers,
    ...wiringReducers,
    ...billReducers,
    ...benchReducers,
    ...startReducers,
  },
});

export const buildActions = slice.actions;
export const buildReducer = slice.reducer;

/** Every edit's field; opening a build has none. */
export function fieldOf(action: object): string | null {
  const payload: unknown = 'payload' in action ? action.payload : undefined;
  return typeof payload === 'object' && payload !== null && 'field' in payload && typeof payload.field === 'string'
    ? payload.field
    : null;
}
