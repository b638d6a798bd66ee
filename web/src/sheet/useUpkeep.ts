import { upkeepOf, type Build, type PlanContext, type Upkeep } from '@sprocket/core';
import { useDeferredValue, useMemo } from 'react';
import { useBuild } from '../store/store.ts';
import { useTexts } from '../ui/Show.tsx';
import { usePlanState } from './PlanProvider.tsx';
import { useLogNow } from './useLogNow.ts';

/** Rail and stage ask the same: it is worked out once for both. */
let last: { context: PlanContext; log: Build['log']; now: string; upkeep: Upkeep[] } | null = null;

function upkeepAt(context: PlanContext, build: Build, now: string): Upkeep[] {
  if (last?.context !== context || last.log !== build.log || last.now !== now)
    last = { context, log: build.log, now, upkeep: upkeepOf(context, build, now) };
  return last.upkeep;
}

/** The due list of the open build, and the moment it is of; empty before its log has begun or its first plan is there. */
export function useUpkeep(): { upkeep: readonly Upkeep[]; now: string } {
  // A line that is kept stands in its list first; what it makes due follows.
  const build = useDeferredValue(useBuild());
  const context = usePlanState()?.context;
  const now = useLogNow(build.log.entries);
  const upkeep = useMemo(() => (context ? upkeepAt(context, build, now) : []), [context, build, now]);
  return { upkeep: useTexts(upkeep), now };
}

/** How many tasks of it are due: none before the log has begun. */
export function useDue(): number {
  const { entries } = useBuild().log;
  const { upkeep } = useUpkeep();
  return entries.length === 0 ? 0 : upkeep.filter((u) => u.nearness === 'late' || u.nearness === 'due').length;
}
