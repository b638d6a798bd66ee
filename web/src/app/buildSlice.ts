import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type {
  Brief,
  Build,
  Choice,
  ConditionEntry,
  ConditionItem,
  Donor,
  FreeFrame,
  LegalClass,
  Obstruction,
  Order,
  Override,
  Part,
  Rider,
  Route,
  Schools,
  Survey,
  SurveyItemId,
  VehicleKind,
  Weights,
  Worth,
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
    routeEdited(state, action: PayloadAction<Edit<Partial<Omit<Route, 'points'>>>>) {
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
    described(state, action: PayloadAction<Edit<string>>) {
      if (state.build) state.build.donor.description = action.payload.value;
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
      action: PayloadAction<Edit<{ item: ConditionItem; entry: Partial<ConditionEntry> | null }>>,
    ) {
      if (!state.build) return;
      const { item, entry } = action.payload.value;
      const { condition } = state.build.donor;
      if (entry === null) Reflect.deleteProperty(condition, item);
      else condition[item] = { grade: 'sound', note: '', ...condition[item], ...entry };
    },
    /** Common values, marked assumed, for whatever is still open. */
    assumed(state, action: PayloadAction<Edit<Survey>>) {
      if (state.build) Object.assign(state.build.donor.survey, action.payload.value);
    },
    worthEdited(state, action: PayloadAction<Edit<Partial<Worth>>>) {
      if (state.build) Object.assign(state.build.donor.worth, action.payload.value);
    },
    freeFrameDrawn(state, action: PayloadAction<Edit<FreeFrame | null>>) {
      if (state.build) state.build.donor.freeFrame = action.payload.value;
    },
    insideTaken(state, action: PayloadAction<Edit<Donor['inside']>>) {
      if (state.build) state.build.donor.inside = action.payload.value;
    },
    mainTubeDrawn(state, action: PayloadAction<Edit<Donor['mainTubePath']>>) {
      if (state.build) state.build.donor.mainTubePath = action.payload.value;
    },
    obstructionsNoted(state, action: PayloadAction<Edit<Obstruction[]>>) {
      if (state.build) state.build.donor.obstructions = action.payload.value;
    },
    weighed(state, action: PayloadAction<Edit<Partial<Weights>>>) {
      if (state.build) Object.assign(state.build.weights, action.payload.value);
    },
    schoolChosen(state, action: PayloadAction<Edit<Partial<Schools>>>) {
      if (state.build) Object.assign(state.build.schools, action.payload.value);
    },
    overridden(state, action: PayloadAction<Edit<Override>>) {
      if (!state.build) return;
      const { rule, subject } = action.payload.value;
      const others = state.build.overrides.filter((o) => o.rule !== rule || o.subject !== subject);
      state.build.overrides = [...others, action.payload.value];
    },
    overrideClosed(state, action: PayloadAction<Edit<Pick<Override, 'rule' | 'subject'>>>) {
      if (!state.build) return;
      const { rule, subject } = action.payload.value;
      state.build.overrides = state.build.overrides.filter((o) => o.rule !== rule || o.subject !== subject);
    },
    ordered(state, action: PayloadAction<Edit<{ part: string; order: Order | null }>>) {
      if (!state.build) return;
      const { part, order } = action.payload.value;
      if (order === null) Reflect.deleteProperty(state.build.orders, part);
      else state.build.orders[part] = order;
    },
    lawKept(state, action: PayloadAction<Edit<LegalClass>>) {
      if (!state.build) return;
      const others = state.build.ownLaws.filter((law) => law.id !== action.payload.value.id);
      state.build.ownLaws = [...others, action.payload.value];
    },
    lawDropped(state, action: PayloadAction<Edit<string>>) {
      if (state.build) state.build.ownLaws = state.build.ownLaws.filter((law) => law.id !== action.payload.value);
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
