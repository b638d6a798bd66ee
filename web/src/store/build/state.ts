import type { PayloadAction } from '@reduxjs/toolkit';
import type { Build } from '@sprocket/core';

/** The open build. Every edit carries the field it belongs to, so that undo goes back a field at a time. */
export interface BuildState {
  build: Build | null;
}

/** An edit with the field it was made in. */
export interface Edit<T> {
  field: string;
  value: T;
}

/** An edit of the open build: it changes the draft it is given and gives nothing, or gives another build in its place. */
type EditOf<Value> = (build: Build, value: Value) => unknown;

/** What a reducer is given of each edit. */
type Reducers<Edits> = {
  [Name in keyof Edits]: Edits[Name] extends EditOf<infer Value>
    ? (state: BuildState, action: PayloadAction<Edit<Value>>) => void
    : never;
};

/** Reducers of edits: each is given the open build and what was typed, and none is asked where no build is open. */
export function onOpen<Edits extends Record<string, EditOf<never>>>(edits: Edits): Reducers<Edits> {
  const lifted = Object.entries(edits).map(([name, edit]) => [
    name,
    (state: BuildState, { payload }: PayloadAction<Edit<never>>): void => {
      if (!state.build) return;
      const other = edit(state.build, payload.value);
      if (other !== undefined) state.build = other as Build;
    },
  ]);
  return Object.fromEntries(lifted) as Reducers<Edits>;
}

/**
 * An edit that puts changed fields into one part of the build, where it has that part.
 * @param part what of the build the fields belong to
 */
export const patched =
  <Change extends object>(part: (build: Build) => object | null | undefined) =>
  (build: Build, change: Change): void => {
    const into = part(build);
    if (into) Object.assign(into, change);
  };
