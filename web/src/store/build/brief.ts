import type { Build, Aboard, Brief, Rider, Route, Seat, Trailer } from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** Whoever steers comes first; where nobody does any more, the first of the others takes the saddle, or the first rider. */
function withHead(aboard: Aboard[]): Aboard[] {
  const main = aboard.find((a) => a.seat === 'main');
  if (main) return [main, ...aboard.filter((a) => a !== main)];
  const [first, ...rest] = aboard;
  return first ? [{ ...first, seat: 'main' }, ...rest] : [{ rider: 0, seat: 'main', pedals: true }];
}

/** Edits of the brief: riders, load, road. */
export const briefReducers = onOpen({
  briefEdited: patched<Partial<Omit<Brief, 'riders' | 'route'>>>((build) => build.brief),
  routeChosen(build: Build, value: Route | null) {
    build.brief.route = value;
  },
  routeEdited: patched<Partial<Omit<Route, 'points'>>>((build) => build.brief.route),
  riderEdited(build: Build, value: { index: number; change: Partial<Rider> }) {
    const rider = build.brief.riders[value.index];
    if (rider) Object.assign(rider, value.change);
  },
  riderAdded(build: Build, value: Rider) {
    build.brief.riders.push(value);
  },
  riderRemoved(build: Build, gone: number) {
    const { brief } = build;
    if (brief.riders.length < 2) return;
    brief.riders.splice(gone, 1);
    const left = brief.aboard
      .filter((a) => a.rider !== gone)
      .map((a) => ({ ...a, rider: a.rider > gone ? a.rider - 1 : a.rider }));
    brief.aboard = withHead(left);
  },
  /** Seats a rider, or lets them get off; whoever steered before changes places with the new one. */
  riderSeated(build: Build, value: { rider: number; seat: Seat | null; pedals: boolean }) {
    const { brief } = build;
    const { rider, seat, pedals } = value;
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
  trailerEdited: patched<Partial<Trailer>>((build) => build.brief.trailer),
});
