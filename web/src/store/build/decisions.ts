import type { PayloadAction } from '@reduxjs/toolkit';
import type { LegalClass, Override, Schools, Fix } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of what the builder decided: schools, overrides, remedies taken, laws of one’s own. */
export const decisionsReducers = {
  schoolChosen(state: BuildState, action: PayloadAction<Edit<Partial<Schools>>>) {
    if (state.build) Object.assign(state.build.schools, action.payload.value);
  },
  overridden(state: BuildState, action: PayloadAction<Edit<Override>>) {
    if (!state.build) return;
    const { rule, subject } = action.payload.value;
    const others = state.build.overrides.filter((o) => o.rule !== rule || o.subject !== subject);
    state.build.overrides = [...others, action.payload.value];
  },
  overrideClosed(state: BuildState, action: PayloadAction<Edit<Pick<Override, 'rule' | 'subject'>>>) {
    if (!state.build) return;
    const { rule, subject } = action.payload.value;
    state.build.overrides = state.build.overrides.filter((o) => o.rule !== rule || o.subject !== subject);
  },
  lawKept(state: BuildState, action: PayloadAction<Edit<LegalClass>>) {
    if (!state.build) return;
    const { value } = action.payload;
    const at = state.build.ownLaws.findIndex((law) => law.id === value.id);
    // In its own place, so that a list does not turn over while one of its names is typed.
    if (at < 0) state.build.ownLaws.push(value);
    else state.build.ownLaws[at] = value;
  },
  lawDropped(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (state.build) state.build.ownLaws = state.build.ownLaws.filter((law) => law.id !== action.payload.value);
  },
  remedyTaken(state: BuildState, action: PayloadAction<Edit<Fix>>) {
    if (!state.build) return;
    const { rule, subject } = action.payload.value;
    const others = state.build.fixes.filter((f) => f.rule !== rule || f.subject !== subject);
    state.build.fixes = [...others, action.payload.value];
  },
  remedyLeft(state: BuildState, action: PayloadAction<Edit<Pick<Fix, 'rule' | 'subject'>>>) {
    if (!state.build) return;
    const { rule, subject } = action.payload.value;
    state.build.fixes = state.build.fixes.filter((f) => f.rule !== rule || f.subject !== subject);
  },
};
