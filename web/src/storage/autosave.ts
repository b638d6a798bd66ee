import type { Build } from '@sprocket/core';
import { store } from '../app/store.ts';
import { uiActions } from '../app/uiSlice.ts';
import { db } from './db.ts';

/** Wait after the last edit before the build is written, ms; well under a second. */
const WAIT = 300;

/** Saves the open build as it is edited, and at once when the page is hidden or left. */
export function startAutosave(): () => void {
  let written: Build | null = store.getState().build.present.build;
  let waiting: Build | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const flush = (): void => {
    clearTimeout(timer);
    timer = undefined;
    const { build } = store.getState().build.present;
    waiting = null;
    if (!build || build === written) {
      // Undone back to what is kept already.
      store.dispatch(uiActions.savedMarked('saved'));
      return;
    }
    written = build;
    db.builds
      .put({ ...build, updatedAt: new Date().toISOString() })
      .then(() => store.dispatch(uiActions.savedMarked('saved')))
      .catch(() => {
        written = null;
        store.dispatch(uiActions.savedMarked('failed'));
      });
  };
  const stop = store.subscribe(() => {
    const { build } = store.getState().build.present;
    if (!build || build === written) return;
    if (written === null || build.id !== written.id) {
      // Another build was opened: it comes from the store as it is.
      if (timer !== undefined) flush();
      written = build;
      return;
    }
    if (build === waiting) return;
    waiting = build;
    clearTimeout(timer);
    timer = setTimeout(flush, WAIT);
    // Last, since it comes round to this subscriber again.
    store.dispatch(uiActions.savedMarked('saving'));
  });
  const onHide = (): void => {
    if (document.visibilityState === 'hidden') flush();
  };
  document.addEventListener('visibilitychange', onHide);
  window.addEventListener('pagehide', flush);
  return () => {
    flush();
    stop();
    document.removeEventListener('visibilitychange', onHide);
    window.removeEventListener('pagehide', flush);
  };
}

/** Writes the open build now; waits until it is kept. */
export async function saveNow(): Promise<void> {
  const { build } = store.getState().build.present;
  if (build) await db.builds.put({ ...build, updatedAt: new Date().toISOString() });
}
