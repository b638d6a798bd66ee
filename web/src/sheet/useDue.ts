import { momentText, upkeepOf } from '@sprocket/core';
import { useMemo } from 'react';
import { useBuild } from '../app/store.ts';
import { usePlanState } from './PlanProvider.tsx';
import { useMinute } from './useMinute.ts';

/** How many tasks of the upkeep are due: none before the log has begun. */
export function useDue(): number {
  const build = useBuild();
  const context = usePlanState()?.context;
  const hour = useMinute(60);
  return useMemo(
    () =>
      !context || build.log.entries.length === 0
        ? 0
        : upkeepOf(context, build, momentText(hour).slice(0, 16)).filter(
            (u) => u.nearness === 'late' || u.nearness === 'due',
          ).length,
    [build, context, hour],
  );
}
