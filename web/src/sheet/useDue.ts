import { upkeepOf } from '@sprocket/core';
import { useMemo } from 'react';
import { useBuild } from '../app/store.ts';
import { usePlanState } from './PlanProvider.tsx';
import { useLogNow } from './useLogNow.ts';

/** How many tasks of the upkeep are due: none before the log has begun. */
export function useDue(): number {
  const build = useBuild();
  const context = usePlanState()?.context;
  const now = useLogNow(build.log.entries);
  return useMemo(
    () =>
      !context || build.log.entries.length === 0
        ? 0
        : upkeepOf(context, build, now).filter((u) => u.nearness === 'late' || u.nearness === 'due').length,
    [build, context, now],
  );
}
