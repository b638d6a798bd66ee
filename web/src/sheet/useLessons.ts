import type { Lesson } from '@sprocket/core';
import { useEffect, useState } from 'react';
import { db } from '../storage/db.ts';
import { coreWorker } from '../workers/core.ts';

/** What the builds of this bench taught, looked up when a screen that asks is opened. */
export function useLessons(): readonly Lesson[] {
  const [lessons, setLessons] = useState<readonly Lesson[]>([]);
  useEffect(() => {
    let wanted = true;
    db.builds
      .toArray()
      .then((kept: unknown[]) => coreWorker().lessons(kept))
      .then((found) => {
        if (wanted) setLessons(found);
      })
      // Without a store nothing was taught.
      .catch(() => undefined);
    return () => {
      wanted = false;
    };
  }, []);
  return lessons;
}
