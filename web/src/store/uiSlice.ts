import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { FigureId, Finding, SurveyGroup, SurveyItemId, UnitSystem } from '@sprocket/core';

/** What the explanation panel shows. */
export type Explained = { kind: 'figure'; id: FigureId } | { kind: 'finding'; finding: Finding };

/** Which leg of the survey is on the Donor stage. */
export type DonorView =
  SurveyGroup | 'next' | 'quick' | 'condition' | 'derived' | 'worth' | 'frame-corners' | 'inside-drawn';

/** Which leg of the pack's work is on the Pack stage. */
export type PackView = 'place' | 'weight' | 'wheels' | 'make';

/** Which leg of the wiring is on the Wiring stage. */
export type WiringView = 'leads' | 'loom' | 'levers' | 'bar' | 'power' | 'settings' | 'checks';

/** Which leg of the bill is on the Parts stage. */
export type PartsView = 'bill' | 'time' | 'tools' | 'buying' | 'suppliers' | 'unpacking' | 'costs' | 'quotation';

/** Which leg of the work is on the Build stage. */
export type BuildView = 'steps' | 'built' | 'card' | 'pace';

/** Which leg of proving is on the Proving stage. */
export type ProvingView = 'road' | 'motor' | 'coast' | 'certificate';

/** Which leg of the vehicle’s life is on the Logbook stage. */
export type LogbookView = 'log' | 'rides' | 'today' | 'upkeep' | 'papers' | 'review';

export interface UiState {
  units: UnitSystem;
  /** The survey item whose dimension is lit on the drawing. */
  lit: SurveyItemId | null;
  explained: Explained | null;
  keysShown: boolean;
  tallyUp: boolean;
  saved: 'saved' | 'saving' | 'failed' | 'gone';
  /** Whether the browser's store answers: it does; nobody knows yet; not so far; it will keep nothing. */
  kept: 'open' | 'asked' | 'silent' | 'refused';
  donorView: DonorView;
  packView: PackView;
  wiringView: WiringView;
  partsView: PartsView;
  buildView: BuildView;
  provingView: ProvingView;
  logbookView: LogbookView;
}

const initialState: UiState = {
  units: 'metric',
  lit: null,
  explained: null,
  keysShown: false,
  tallyUp: false,
  saved: 'saved',
  kept: 'asked',
  donorView: 'quick',
  packView: 'place',
  wiringView: 'leads',
  partsView: 'bill',
  buildView: 'steps',
  provingView: 'road',
  logbookView: 'log',
};

const slice = createSlice({
  name: 'ui',
  initialState,
  reducers: {
    unitsChosen(state, action: PayloadAction<UnitSystem>) {
      state.units = action.payload;
    },
    unitsTurned(state) {
      state.units = state.units === 'metric' ? 'imperial' : 'metric';
    },
    itemLit(state, action: PayloadAction<SurveyItemId | null>) {
      state.lit = action.payload;
    },
    explained(state, action: PayloadAction<Explained | null>) {
      state.explained = action.payload as never;
    },
    donorViewed(state, action: PayloadAction<DonorView>) {
      state.donorView = action.payload;
    },
    packViewed(state, action: PayloadAction<PackView>) {
      state.packView = action.payload;
    },
    wiringViewed(state, action: PayloadAction<WiringView>) {
      state.wiringView = action.payload;
    },
    partsViewed(state, action: PayloadAction<PartsView>) {
      state.partsView = action.payload;
    },
    buildViewed(state, action: PayloadAction<BuildView>) {
      state.buildView = action.payload;
    },
    provingViewed(state, action: PayloadAction<ProvingView>) {
      state.provingView = action.payload;
    },
    logbookViewed(state, action: PayloadAction<LogbookView>) {
      state.logbookView = action.payload;
    },
    keysShown(state, action: PayloadAction<boolean>) {
      state.keysShown = action.payload;
    },
    tallyPulled(state, action: PayloadAction<boolean>) {
      state.tallyUp = action.payload;
    },
    storeFound(state, action: PayloadAction<UiState['kept']>) {
      state.kept = action.payload;
    },
    savedMarked(state, action: PayloadAction<UiState['saved']>) {
      state.saved = action.payload;
    },
  },
});

export const uiActions = slice.actions;
export const uiReducer = slice.reducer;
