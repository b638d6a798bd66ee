import { original } from '@reduxjs/toolkit';
import type { Build, Handover, LogEntry, Mapping, Review, Ridden } from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** Edits of the logbook: lines kept and forgotten, remembered tables, the review, what rides told. */
export const logReducers = onOpen({
  /** Lines put in place of those of their ids, or after the others. What is past the most that are kept, the gate tells of. */
  entriesKept(build: Build, value: readonly LogEntry[]) {
    const { log } = build;
    // Looked up in what lies under the draft: thousands of lines need no drafts of their own.
    const at = new Map((original(log)?.entries ?? log.entries).map((e, i) => [e.id, i]));
    for (const entry of value) {
      const here = at.get(entry.id);
      if (here !== undefined) log.entries[here] = entry;
      else {
        at.set(entry.id, log.entries.length);
        log.entries.push(entry);
      }
    }
  },
  entryForgotten(build: Build, value: string) {
    const { log } = build;
    const here = (original(log)?.entries ?? log.entries).findIndex((e) => e.id === value);
    if (here >= 0) log.entries.splice(here, 1);
  },
  /** Columns of a table, remembered by its heads; the twenty last. */
  mappingKept(build: Build, value: Mapping) {
    const { log } = build;
    log.mappings = [...log.mappings.filter((m) => m.heads !== value.heads), value].slice(-20);
  },
  reviewSaid(build: Build, value: Review | null) {
    build.log.review = value;
  },
  /** What the handover sheet says besides what the plan knows. */
  handoverSaid: patched<Partial<Handover>>((build) => build.log.handover),
  /** What the rides told; null: nothing yet. */
  riddenTo(build: Build, value: Ridden | null) {
    build.tuned.rides = value;
  },
  /** Whether figures go by the rides. */
  byRidesSet(build: Build, value: boolean) {
    build.tuned.byRides = value;
    if (!value) build.tuned.rides = null;
  },
});
