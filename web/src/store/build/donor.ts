import type { PayloadAction } from '@reduxjs/toolkit';
import type {
  ConditionEntry,
  ConditionItem,
  Donor,
  FreeFrame,
  Obstruction,
  Survey,
  SurveyItemId,
  VehicleKind,
  Weights,
  Worth,
} from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of the donor: survey, condition, frame, weights. */
export const donorReducers = {
  kindChosen(state: BuildState, action: PayloadAction<Edit<VehicleKind>>) {
    if (state.build) state.build.donor.kind = action.payload.value;
  },
  described(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (state.build) state.build.donor.description = action.payload.value;
  },
  surveyed(state: BuildState, action: PayloadAction<Edit<{ id: SurveyItemId; entry: Survey[SurveyItemId] | null }>>) {
    if (!state.build) return;
    const { id, entry } = action.payload.value;
    const survey = state.build.donor.survey as Record<string, unknown>;
    if (entry === null || entry === undefined) Reflect.deleteProperty(survey, id);
    else survey[id] = entry;
  },
  conditionMarked(
    state: BuildState,
    action: PayloadAction<Edit<{ item: ConditionItem; entry: Partial<ConditionEntry> | null }>>,
  ) {
    if (!state.build) return;
    const { item, entry } = action.payload.value;
    const { condition } = state.build.donor;
    if (entry === null) Reflect.deleteProperty(condition, item);
    else condition[item] = { grade: 'sound', note: '', ...condition[item], ...entry };
  },
  /** Common values, marked assumed, for whatever is still open. */
  assumed(state: BuildState, action: PayloadAction<Edit<Survey>>) {
    if (state.build) Object.assign(state.build.donor.survey, action.payload.value);
  },
  worthEdited(state: BuildState, action: PayloadAction<Edit<Partial<Worth>>>) {
    if (state.build) Object.assign(state.build.donor.worth, action.payload.value);
  },
  freeFrameDrawn(state: BuildState, action: PayloadAction<Edit<FreeFrame | null>>) {
    if (state.build) state.build.donor.freeFrame = action.payload.value;
  },
  insideTaken(state: BuildState, action: PayloadAction<Edit<Donor['inside']>>) {
    if (state.build) state.build.donor.inside = action.payload.value;
  },
  mainTubeDrawn(state: BuildState, action: PayloadAction<Edit<Donor['mainTubePath']>>) {
    if (state.build) state.build.donor.mainTubePath = action.payload.value;
  },
  obstructionsNoted(state: BuildState, action: PayloadAction<Edit<Obstruction[]>>) {
    if (state.build) state.build.donor.obstructions = action.payload.value;
  },
  weighed(state: BuildState, action: PayloadAction<Edit<Partial<Weights>>>) {
    if (state.build) Object.assign(state.build.weights, action.payload.value);
  },
};
