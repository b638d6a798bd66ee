import { combineReducers, configureStore, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import undoable, { ActionCreators, newHistory, type StateWithHistory } from 'redux-undo';
import type { BuildState } from './build/state.ts';
import { buildActions, buildReducer, fieldOf } from './buildSlice.ts';
import { shelfReducer } from './shelfSlice.ts';
import { uiReducer } from './uiSlice.ts';

/** Steps of undo kept. */
const HISTORY = 200;

const undoableBuild = undoable(buildReducer, {
  limit: HISTORY,
  // Edits of one field, one after another, are one step.
  groupBy: (action) => fieldOf(action),
  // What the rides told follows from them: it is no step of its own, and undoing a ride does not stop at it.
  filter: (action) => !buildActions.riddenTo.match(action),
  syncFilter: true,
});

/** Edits with undo; opening another build starts a history of its own. */
function buildWithHistory(
  state: StateWithHistory<BuildState> | undefined,
  action: UnknownAction,
): StateWithHistory<BuildState> {
  if (buildActions.opened.match(action)) return newHistory([], { build: action.payload }, []);
  if (state && buildActions.merged.match(action)) {
    // Another window's edits were there all along: undoing one's own does not take them back.
    const take = (step: BuildState): BuildState => buildReducer(step, action);
    const present = take(state.present);
    // The history's own note of the present is what the next edit files away as past.
    const merged = { ...state, past: state.past.map(take), present, future: state.future.map(take) };
    return Object.assign(merged, { _latestUnfiltered: present });
  }
  return undoableBuild(state, action);
}

const rootReducer = combineReducers({ build: buildWithHistory, ui: uiReducer, shelf: shelfReducer });

export const store = configureStore({
  reducer: rootReducer,
  // A build is plain data checked at every border; walking a whole road on each key would only cost time.
  middleware: (getDefault) => getDefault({ serializableCheck: false, immutableCheck: false }),
});

export type RootState = ReturnType<typeof rootReducer>;
export const useApp = useSelector.withTypes<RootState>();
export const useSend = useDispatch.withTypes<typeof store.dispatch>();
export const undo = ActionCreators.undo;
export const redo = ActionCreators.redo;

/** The open build; only for screens inside one. */
export function useBuild() {
  const build = useApp((state) => state.build.present.build);
  if (!build) throw new Error('no build is open');
  return build;
}

export function useUnits() {
  return useApp((state) => state.ui.units);
}
