import type { Build } from '@sprocket/core';
import { store } from '../app/store.ts';
import { uiActions } from '../app/uiSlice.ts';
import { db } from './db.ts';

/** Wait after the last edit before the build is written, ms; well under a second. */
const WAIT = 300;

const stamped = (build: Build): Build => ({ ...build, updatedAt: new Date().toISOString() });

/** Saves builds as they are edited: when the typing rests, when another is opened, and when the page is hidden or left. */
export function startAutosave(): () => void {
  let seen: Build | null = store.getState().build.present.build;
  /** The open build as last handed to the browser's store. */
  let kept: Build | null = seen;
  /** Edited and not yet written, by id; what the browser refuses stays here and is tried again. */
  const waiting = new Map<string, Build>();
  let timer: ReturnType<typeof setTimeout> | undefined;

  const write = async (build: Build): Promise<void> => {
    if (seen?.id === build.id) kept = build;
    try {
      await db.builds.put(stamped(build));
      if (waiting.size === 0) store.dispatch(uiActions.savedMarked('saved'));
    } catch {
      if (kept === build) kept = null;
      if (!waiting.has(build.id)) waiting.set(build.id, build);
      store.dispatch(uiActions.savedMarked('failed'));
    }
  };
  const flush = (): void => {
    clearTimeout(timer);
    const builds = [...waiting.values()];
    waiting.clear();
    for (const build of builds) void write(build);
  };
  const stop = store.subscribe(() => {
    const { build } = store.getState().build.present;
    if (build === seen) return;
    const before = seen;
    seen = build;
    if (build === null || build.id !== before?.id) {
      // Another build was opened: it comes from the browser as it is kept there.
      kept = build;
      flush();
      return;
    }
    clearTimeout(timer);
    if (build === kept) {
      // Undone back to what is kept already.
      waiting.delete(build.id);
      if (waiting.size === 0) store.dispatch(uiActions.savedMarked('saved'));
      return;
    }
    waiting.set(build.id, build);
    timer = setTimeout(flush, WAIT);
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
  if (build) await db.builds.put(stamped(build));
}
