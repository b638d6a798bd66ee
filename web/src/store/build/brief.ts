import type { Build, Aboard, Brief, Rider, Route, Seat, Trailer } from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/**
 * Whoever steers comes first. Where nobody does any more: who sits on the second saddle, else a rider who was not
 * aboard, else the heaviest of those who are, so that no child out of the box takes the bar while others could.
 */
function withHead(aboard: readonly Aboard[], riders: readonly Rider[]): Aboard[] {
  const others = (steers: Aboard): Aboard[] => aboard.filter((a) => a.rider !== steers.rider);
  const main = aboard.find((a) => a.seat === 'main');
  if (main) return [main, ...others(main)];
  const kg = (a: Aboard): number => riders[a.rider]?.massKg ?? 0;
  const kerb = riders.findIndex((_, i) => !aboard.some((a) => a.rider === i));
  const next =
    aboard.find((a) => a.seat === 'second') ??
    (kerb >= 0 ? { rider: kerb, seat: 'main' as const, pedals: true } : [...aboard].sort((a, b) => kg(b) - kg(a))[0]);
  const head: Aboard = { ...(next ?? { rider: 0, pedals: true }), seat: 'main' };
  return [head, ...others(head)];
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
    brief.aboard = withHead(left, brief.riders);
  },
  /**
   * Seats a rider, or lets them get off; whoever steered before changes places with the new one. Nobody else is moved:
   * whether a seat has room for all who are put there is a finding’s to say.
   */
  riderSeated(build: Build, value: { rider: number; seat: Seat | null; pedals: boolean }) {
    const { brief } = build;
    const { rider, seat, pedals } = value;
    const before = brief.aboard.find((a) => a.rider === rider);
    const others = brief.aboard.filter((a) => a.rider !== rider);
    if (seat === null) {
      brief.aboard = withHead(others, brief.riders);
      return;
    }
    // One steers: whoever did takes the newcomer’s old seat, or gets off, as the field says.
    const moved = others.flatMap((a) =>
      seat !== 'main' || a.seat !== 'main' ? [a] : before ? [{ ...a, seat: before.seat }] : [],
    );
    brief.aboard = withHead([...moved, { rider, seat, pedals }], brief.riders);
  },
  trailerEdited: patched<Partial<Trailer>>((build) => build.brief.trailer),
});
