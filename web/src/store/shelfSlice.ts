import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Part } from '@sprocket/core';

/** The person's own parts, kept in the browser and offered in every build. */
const slice = createSlice({
  name: 'shelf',
  initialState: { own: [] as Part[] },
  reducers: {
    ownPartsRead(state, action: PayloadAction<Part[]>) {
      state.own = action.payload;
    },
    ownPartSaved(state, action: PayloadAction<Part>) {
      state.own = [...state.own.filter((part) => part.id !== action.payload.id), action.payload];
    },
    ownPartRemoved(state, action: PayloadAction<string>) {
      state.own = state.own.filter((part) => part.id !== action.payload);
    },
  },
});

export const shelfActions = slice.actions;
export const shelfReducer = slice.reducer;
