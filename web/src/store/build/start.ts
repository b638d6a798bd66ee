import type { Build } from '@sprocket/core';
import { onOpen } from './state.ts';

/** What the start sheet writes: what was said, and the sections it was put into. */
export type Started = Pick<Build, 'brief' | 'donor' | 'start'>;

/** Edits of the start sheet. What a line of words comes to is worked out there: nobody else has to load it. */
export const startReducers = onOpen({
  started(build: Build, { brief, donor, start }: Started) {
    Object.assign(build, { brief, donor, start });
  },
});
