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
