import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Refused } from '@sprocket/core';

/** Parts of a build that the gate refused together, on their way to where they are kept aside. */
export interface Aside {
  buildId: string;
  parts: Refused[];
}

/** What was refused and is not yet kept aside by the browser's store: nothing typed goes without being told. */
const slice = createSlice({
  name: 'aside',
  initialState: { waiting: [] as Aside[] },
  reducers: {
    /** The store has these, and shows them from there. */
    laidAside(state, action: PayloadAction<readonly Aside[]>) {
      state.waiting = (state.waiting as Aside[]).filter((aside) => !action.payload.includes(aside));
    },
  },
});

export const asideActions = slice.actions;
export const asideReducer = slice.reducer;
