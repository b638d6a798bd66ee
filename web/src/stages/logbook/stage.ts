import { entryKindWords, upkeepTasks } from '@sprocket/core';
import type { Stage } from '../../sheet/stage.ts';

export const logbookStage: Stage = {
  id: 'logbook',
  label: 'Logbook',
  key: '0',
  decides: 'What it really uses on the road, and when to re-torque, check and service',
  screen: async () => ({ Component: (await import('./LogbookStage.tsx')).LogbookStage }),
  finds: (build) => [
    ...upkeepTasks.map((t) => ({
      id: `upkeep-${t.id}`,
      label: t.words,
      description: 'Logbook · Upkeep',
      path: `logbook#upkeep-${t.id}`,
    })),
    ...build.log.entries.slice(-200).flatMap((e) =>
      e.note === '' && e.kind !== 'fault'
        ? []
        : [
            {
              id: `log-${e.id}`,
              label: e.kind === 'fault' ? e.what : e.note,
              description: `Logbook · ${entryKindWords[e.kind]} of ${e.at.slice(0, 10)}`,
              path: `logbook#line-${e.id}`,
            },
          ],
    ),
  ],
};
