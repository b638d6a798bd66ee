import { buildActions } from '../store/buildSlice.ts';
import { store, type AppStore } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';
import { Keeper, type Edited } from './keeper.ts';

let asked = false;
/** Once there is work to lose, the browser is asked not to clear it away of itself. */
function askToStay(): void {
  if (asked || typeof navigator === 'undefined') return;
  asked = true;
  // Older browsers have no such thing to ask.
  (navigator.storage as StorageManager | undefined)?.persist?.().catch(() => undefined);
}

/** A window's store as a keeper of its open build needs to know it. */
export const editedIn = (of: AppStore): Edited => ({
  current: () => of.getState().build.present.build,
  subscribe: (changed) => of.subscribe(changed),
  merge: (base, theirs) => void of.dispatch(buildActions.merged({ base, theirs })),
  mark: (saved) => {
    if (saved === 'saved') askToStay();
    if (of.getState().ui.saved !== saved) of.dispatch(uiActions.savedMarked(saved));
  },
});

/** Keeps the app's open build. */
export const keeper = new Keeper(editedIn(store));

/** Saves builds as they are edited: when the typing rests, at least every second, and when the page is hidden or left. */
export function startAutosave(): () => void {
  keeper.start();
  const flush = (): void => void keeper.flush();
  const onHide = (): void => {
    if (document.visibilityState === 'hidden') flush();
  };
  const onLeave = (event: Event): void => {
    flush();
    // What the store refuses would go with the page: it asks first.
    if (keeper.stuck) event.preventDefault();
  };
  document.addEventListener('visibilitychange', onHide);
  window.addEventListener('pagehide', flush);
  window.addEventListener('beforeunload', onLeave);
  return () => {
    flush();
    keeper.stop();
    document.removeEventListener('visibilitychange', onHide);
    window.removeEventListener('pagehide', flush);
    window.removeEventListener('beforeunload', onLeave);
  };
}
