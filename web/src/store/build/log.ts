import { original, type PayloadAction } from '@reduxjs/toolkit';
import type { Handover, LogEntry, Mapping, Review, Ridden } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of the logbook: lines kept and forgotten, remembered tables, the review, what rides told. */
export const logReducers = {
  /** Lines put in place of those of their ids, or after the others. What is past the most that are kept, the gate tells of. */
  entriesKept(state: BuildState, action: PayloadAction<Edit<readonly LogEntry[]>>) {
    if (!state.build) return;
    const { log } = state.build;
    // Looked up in what lies under the draft: thousands of lines need no drafts of their own.
    const at = new Map((original(log)?.entries ?? log.entries).map((e, i) => [e.id, i]));
    for (const entry of action.payload.value) {
      const here = at.get(entry.id);
      if (here !== undefined) log.entries[here] = entry;
      else {
        at.set(entry.id, log.entries.length);
        log.entries.push(entry);
      }
    }
  },
  entryForgotten(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (!state.build) return;
    const { log } = state.build;
    const here = (original(log)?.entries ?? log.entries).findIndex((e) => e.id === action.payload.value);
    if (here >= 0) log.entries.splice(here, 1);
  },
  /** Columns of a table, remembered by its heads; the twenty last. */
  mappingKept(state: BuildState, action: PayloadAction<Edit<Mapping>>) {
    if (!state.build) return;
    const { log } = state.build;
    log.mappings = [...log.mappings.filter((m) => m.heads !== action.payload.value.heads), action.payload.value].slice(
      -20,
    );
  },
  reviewSaid(state: BuildState, action: PayloadAction<Edit<Review | null>>) {
    if (state.build) state.build.log.review = action.payload.value;
  },
  /** What the handover sheet says besides what the plan knows. */
  handoverSaid(state: BuildState, action: PayloadAction<Edit<Partial<Handover>>>) {
    if (state.build) Object.assign(state.build.log.handover, action.payload.value);
  },
  /** What the rides told; null: nothing yet. */
  riddenTo(state: BuildState, action: PayloadAction<Edit<Ridden | null>>) {
    if (state.build) state.build.tuned.rides = action.payload.value;
  },
  /** Whether figures go by the rides. */
  byRidesSet(state: BuildState, action: PayloadAction<Edit<boolean>>) {
    if (!state.build) return;
    state.build.tuned.byRides = action.payload.value;
    if (!action.payload.value) state.build.tuned.rides = null;
  },
};
