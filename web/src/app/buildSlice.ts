import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type {
  Brief,
  Build,
  Choice,
  ConditionGrade,
  ConditionItem,
  Part,
  Rider,
  Route,
  Survey,
  SurveyItemId,
  VehicleKind,
} from '@sprocket/core';

/** The open build. Every edit carries the field it belongs to, so that undo goes back a field at a time. */
export interface BuildState {
  build: Build | null;
}

/** An edit with the field it was made in. */
interface Edit<T> {
  field: string;
  value: T;
}

const initialState: BuildState = { build: null };

const slice = createSlice({
  name: 'build',
  initialState,
  reducers: {
    opened(state, action: PayloadAction<Build | null>) {
      state.build = action.payload;
    },
    renamed(state, action: PayloadAction<Edit<{ name?: string; variant?: string }>>) {
      if (state.build) Object.assign(state.build, action.payload.value);
    },
    briefEdited(state, action: PayloadAction<Edit<Partial<Omit<Brief, 'riders' | 'route'>>>>) {
      if (state.build) Object.assign(state.build.brief, action.payload.value);
    },
    routeChosen(state, action: PayloadAction<Edit<Route | null>>) {
      if (state.build) state.build.brief.route = action.payload.value;
    },
    routeEdited(state, action: PayloadAction<Edit<Partial<Pick<Route, 'surface' | 'stopsPerKm' | 'name'>>>>) {
      if (state.build?.brief.route) Object.assign(state.build.brief.route, action.payload.value);
    },
    riderEdited(state, action: PayloadAction<Edit<{ index: number; change: Partial<Rider> }>>) {
      const rider = state.build?.brief.riders[action.payload.value.index];
      if (rider) Object.assign(rider, action.payload.value.change);
    },
    riderAdded(state, action: PayloadAction<Edit<Rider>>) {
      if (!state.build) return;
      state.build.brief.riders.push(action.payload.value);
      state.build.brief.riding = state.build.brief.riders.length - 1;
    },
    riderRemoved(state, action: PayloadAction<Edit<number>>) {
      const brief = state.build?.brief;
      if (!brief || brief.riders.length < 2) return;
      brief.riders.splice(action.payload.value, 1);
      brief.riding = Math.min(brief.riding, brief.riders.length - 1);
    },
    kindChosen(state, action: PayloadAction<Edit<VehicleKind>>) {
      if (state.build) state.build.donor.kind = action.payload.value;
    },
    surveyed(state, action: PayloadAction<Edit<{ id: SurveyItemId; entry: Survey[SurveyItemId] | null }>>) {
      if (!state.build) return;
      const { id, entry } = action.payload.value;
      const survey = state.build.donor.survey as Record<string, unknown>;
      if (entry === null || entry === undefined) Reflect.deleteProperty(survey, id);
      else survey[id] = entry;
    },
    conditionMarked(
      state,
      action: PayloadAction<Edit<{ item: ConditionItem; grade: ConditionGrade | null; note?: string }>>,
    ) {
      if (!state.build) return;
      const { item, grade, note } = action.payload.value;
      const { condition } = state.build.donor;
      if (grade === null) Reflect.deleteProperty(condition, item);
      else condition[item] = { grade, note: note ?? condition[item]?.note ?? '' };
    },
    chose(state, action: PayloadAction<Edit<Partial<Choice>>>) {
      if (state.build) Object.assign(state.build.choice, action.payload.value);
    },
    ownPartKept(state, action: PayloadAction<Edit<Part>>) {
      if (!state.build) return;
      const others = state.build.ownParts.filter((part) => part.id !== action.payload.value.id);
      state.build.ownParts = [...others, action.payload.value];
    },
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
