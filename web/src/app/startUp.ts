import { partSchema } from '@sprocket/core';
import { startAutosave } from '../storage/autosave.ts';
import { db, dropOrphanPhotos, readSetting, writeSetting } from '../storage/db.ts';
import { dropOrphanSummaries } from '../storage/summaries.ts';
import { seedDemo } from '../storage/demo.ts';
import { shelfActions } from './shelfSlice.ts';
import { store } from './store.ts';
import { uiActions } from './uiSlice.ts';

/** Reads what the browser keeps, fills a demo's empty store, and starts saving. */
export async function startUp(): Promise<void> {
  try {
    await seedDemo();
    await dropOrphanPhotos();
    await dropOrphanSummaries();
    const units = await readSetting('units');
    if (units === 'imperial') store.dispatch(uiActions.unitsChosen('imperial'));
    const kept = await db.parts.toArray();
    store.dispatch(shelfActions.ownPartsRead(kept.filter((part) => partSchema.safeParse(part).success)));
  } catch {
    store.dispatch(uiActions.savedMarked('failed'));
  }
  startAutosave();
  let { units } = store.getState().ui;
  store.subscribe(() => {
    const now = store.getState().ui.units;
    if (now === units) return;
    units = now;
    void writeSetting('units', now);
  });
}
