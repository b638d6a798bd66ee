import { startAside } from '../storage/aside.ts';
import { startAutosave } from '../storage/autosave.ts';
import { readSetting, writeSetting } from '../storage/db.ts';
import { soundParts } from '../storage/sound.ts';
import { seedDemo } from '../storage/demo.ts';
import { shelfActions } from './shelfSlice.ts';
import { store } from './store.ts';
import { uiActions } from './uiSlice.ts';

/** Reads what the browser keeps, fills a demo's empty store, and starts saving. */
export async function startUp(): Promise<void> {
  try {
    await seedDemo();
    const [units, kept] = await Promise.all([readSetting('units'), soundParts()]);
    if (units === 'imperial') store.dispatch(uiActions.unitsChosen('imperial'));
    store.dispatch(shelfActions.ownPartsRead(kept));
  } catch {
    store.dispatch(uiActions.savedMarked('failed'));
  }
  startAutosave();
  startAside();
  let { units } = store.getState().ui;
  store.subscribe(() => {
    const now = store.getState().ui.units;
    if (now === units) return;
    units = now;
    void writeSetting('units', now);
  });
}
