import {
  likelierBy,
  likelierByOthers,
  proofSheet,
  together,
  type DrawnRides,
  type Likelier,
  type ProofSheet,
  type Together,
} from '@sprocket/core';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useApp, useBuild } from '../store/store.ts';
import { coreWorker } from '../workers/core.ts';
import { useLessons } from './useLessons.ts';
import { useTexts } from '../ui/Show.tsx';
import { usePlan, usePlanContext } from './PlanProvider.tsx';

/** The protocol as it stands, what its readings say together, and what that means for faults. */
export interface Proof {
  sheet: ProofSheet | null;
  joined: Together | null;
  likelier: Likelier;
}

/** Rides drawn for a day's bands. */
const DRAWN = 200;

/** Protocol of the open build. `rides`: the bands of use and range are drawn in the worker as well. */
export function useProof(rides = false): Proof {
  // A note that is typed must not wait for every band.
  const context = useDeferredValue(usePlanContext());
  const plan = useDeferredValue(usePlan());
  const { proving } = context.build;
  const own = useApp((state) => state.shelf.own);
  const day = useMemo(() => JSON.stringify(proving.day), [proving.day]);
  const [drawn, setDrawn] = useState<{ day: string; rides: DrawnRides } | null>(null);
  const build = useBuild();
  const vehicle = useMemo(
    () => JSON.stringify([build.brief, build.choice, build.donor, build.tuned, build.wiring.settings]),
    [build],
  );
  useEffect(() => {
    if (!rides) return;
    let wanted = true;
    const timer = setTimeout(() => {
      coreWorker()
        .ridesOn(context.build, own, context.build.proving.day, DRAWN)
        .then((found) => {
          if (wanted && found) setDrawn({ day, rides: found });
        })
        .catch(() => undefined);
    }, 600);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
    // Only what moves a ride draws it anew: a result that is typed does not.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [rides, vehicle, day, own]);
  const checks = plan.wiring.all?.checks;
  const sheet = useMemo(
    () =>
      proofSheet(context, checks ?? [], drawn?.day === day ? { conditions: proving.day, rides: drawn.rides } : null),
    [context, checks, drawn, day, proving.day],
  );
  const joined = useMemo(() => (sheet ? together(context, sheet) : null), [context, sheet]);
  const lessons = useLessons();
  const likelier = useMemo(
    () => likelierBy({ ...context.build, log: build.log }, sheet, joined, likelierByOthers(context.build, lessons)),
    [context, build.log, sheet, joined, lessons],
  );
  return useTexts(useMemo(() => ({ sheet, joined, likelier }), [sheet, joined, likelier]));
}
