import type { PayloadAction } from '@reduxjs/toolkit';
import type { Aboard, Brief, Rider, Route, Seat, Trailer } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Whoever steers comes first; where nobody does any more, the first of the others takes the saddle, or the first rider. */
function withHead(aboard: Aboard[]): Aboard[] {
  const main = aboard.find((a) => a.seat === 'main');
  if (main) return [main, ...aboard.filter((a) => a !== main)];
  const [first, ...rest] = aboard;
  return first ? [{ ...first, seat: 'main' }, ...rest] : [{ rider: 0, seat: 'main', pedals: true }];
}

/** Edits of the brief: riders, load, road. */
export const briefReducers = {
  briefEdited(state: BuildState, action: PayloadAction<Edit<Partial<Omit<Brief, 'riders' | 'route'>>>>) {
    if (state.build) Object.assign(state.build.brief, action.payload.value);
  },
  routeChosen(state: BuildState, action: PayloadAction<Edit<Route | null>>) {
    if (state.build) state.build.brief.route = action.payload.value;
  },
  routeEdited(state: BuildState, action: PayloadAction<Edit<Partial<Omit<Route, 'points'>>>>) {
    if (state.build?.brief.route) Object.assign(state.build.brief.route, action.payload.value);
  },
  riderEdited(state: BuildState, action: PayloadAction<Edit<{ index: number; change: Partial<Rider> }>>) {
    const rider = state.build?.brief.riders[action.payload.value.index];
    if (rider) Object.assign(rider, action.payload.value.change);
  },
  riderAdded(state: BuildState, action: PayloadAction<Edit<Rider>>) {
    if (!state.build) return;
    state.build.brief.riders.push(action.payload.value);
  },
  riderRemoved(state: BuildState, action: PayloadAction<Edit<number>>) {
    const brief = state.build?.brief;
    if (!brief || brief.riders.length < 2) return;
    const gone = action.payload.value;
    brief.riders.splice(gone, 1);
    const left = brief.aboard
      .filter((a) => a.rider !== gone)
      .map((a) => ({ ...a, rider: a.rider > gone ? a.rider - 1 : a.rider }));
    brief.aboard = withHead(left);
  },
  /** Seats a rider, or lets them get off; whoever steered before changes places with the new one. */
  riderSeated(state: BuildState, action: PayloadAction<Edit<{ rider: number; seat: Seat | null; pedals: boolean }>>) {
    const brief = state.build?.brief;
    if (!brief) return;
    const { rider, seat, pedals } = action.payload.value;
    const before = brief.aboard.find((a) => a.rider === rider);
    const others = brief.aboard.filter((a) => a.rider !== rider);
    if (seat === null) {
      brief.aboard = withHead(others);
      return;
    }
    // Nobody sits on another’s lap: who had the seat takes the newcomer’s old one, or gets off.
    const moved = others.flatMap((a) => (a.seat !== seat ? [a] : before ? [{ ...a, seat: before.seat }] : []));
    brief.aboard = withHead([...moved, { rider, seat, pedals }].slice(-4));
  },
  trailerEdited(state: BuildState, action: PayloadAction<Edit<Partial<Trailer>>>) {
    if (state.build?.brief.trailer) Object.assign(state.build.brief.trailer, action.payload.value);
  },
};
