import { combineReducers, configureStore, freeze, type UnknownAction } from '@reduxjs/toolkit';
import { admitted, withoutControls, type Build, type Refused } from '@sprocket/core';
import equal from 'fast-deep-equal';
import { useDispatch, useSelector } from 'react-redux';
import undoable, { ActionCreators, newHistory, type StateWithHistory } from 'redux-undo';
import { asideReducer } from './asideSlice.ts';
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

type History = StateWithHistory<BuildState>;

/** The history with another present: its own note of the present is what the next edit files away as past. */
const withPresent = (history: History, present: BuildState): History =>
  Object.assign({ ...history, present }, { _latestUnfiltered: present });

/** Edits with undo; opening another build starts a history of its own. */
function buildWithHistory(state: History | undefined, action: UnknownAction): History {
  if (buildActions.opened.match(action)) return newHistory([], { build: action.payload }, []);
  if (state && buildActions.merged.match(action)) {
    // Another window's edits were there all along: undoing one's own does not take them back.
    const { theirs } = action.payload;
    const take = (step: BuildState): BuildState => throughGate(theirs, step, buildReducer(step, action), []);
    const merged = { ...state, past: state.past.map(take), future: state.future.map(take) };
    return withPresent(merged, buildReducer(state.present, action));
  }
  return undoableBuild(state, action);
}

/** A state with nothing in it that could not be read again; what was refused is added to a list. */
function throughGate(before: Build, known: BuildState, next: BuildState, refused: Refused[]): BuildState {
  if (!next.build || next.build === known.build) return next;
  const found = admitted(before, next.build, known.build ? [known.build] : []);
  refused.push(...found.refused);
  return found.refused.length > 0 ? { build: found.build } : next;
}

/** Every edit goes through the gate: what of it could not be read again stays as it was, and is told. */
function gatedHistory(state: History | undefined, typed: UnknownAction, refused: Refused[]): History {
  // Pasted from elsewhere, a text may hold what no one can see.
  const action = fieldOf(typed) === null ? typed : withoutControls(typed);
  let next: History;
  try {
    next = buildWithHistory(state, action);
  } catch {
    // An edit that comes to grief leaves all as it was, and is told like any other that is refused.
    if (!state) throw new Error('the app’s store does not begin');
    refused.push({ path: [], message: 'could not be done', value: action });
    return state;
  }
  const before = state?.present.build;
  if (!before || before.id !== next.present.build?.id) return next;
  const sound = buildActions.merged.match(action) ? action.payload.theirs : before;
  const present = throughGate(sound, state.present, next.present, refused);
  if (present === next.present) return next;
  // Refused whole, it is no step of the history.
  return equal(present.build, before) ? state : withPresent(next, present);
}

const rest = combineReducers({ ui: uiReducer, shelf: shelfReducer, aside: asideReducer });

type State = ReturnType<typeof rest> & { build: History };

function rootReducer(state: State | undefined, action: UnknownAction): State {
  const refused: Refused[] = [];
  const build = gatedHistory(state?.build, action, refused);
  const { ui, shelf, aside } = rest(state && { ui: state.ui, shelf: state.shelf, aside: state.aside }, action);
  const buildId = build.present.build?.id ?? '';
  const told = refused.length === 0 ? aside : { waiting: [...aside.waiting, { buildId, parts: refused }] };
  return state?.build === build && state.ui === ui && state.shelf === shelf && state.aside === told
    ? state
    : { build, ui, shelf, aside: told };
}

/** A store of its own: the app has one, and a test as many as windows. */
export const makeStore = () =>
  configureStore({
    reducer: rootReducer,
    // A build is plain data checked at every border; walking a whole road on each key would only cost time.
    middleware: (getDefault) => getDefault({ serializableCheck: false, immutableCheck: false }),
  });
export type AppStore = ReturnType<typeof makeStore>;
export const store = makeStore();

/** Rest after a build is opened before its data is frozen, ms. */
const FROZEN_AFTER = 120;
// Reducers freeze what they make, and with a build's first edit all that it was opened with: of years of rides that takes
// longer than a key should. It is done ahead, once the build is on the screen.
store.subscribe(
  ((): (() => void) => {
    let seen: string | undefined;
    return () => {
      const { build } = store.getState().build.present;
      if (build?.id === seen) return;
      seen = build?.id;
      if (build) setTimeout(() => freeze(build, true), FROZEN_AFTER);
    };
  })(),
);

export type RootState = State;
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
