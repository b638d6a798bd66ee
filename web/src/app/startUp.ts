import { startAside } from '../storage/aside.ts';
import { startAutosave } from '../storage/autosave.ts';
import { db, readSetting, writeSetting } from '../storage/db.ts';
import { soundParts } from '../storage/sound.ts';
import { seedDemo } from '../storage/demo.ts';
import { shelfActions } from '../store/shelfSlice.ts';
import { store } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';

/** How long the page waits for the browser's store before it is shown all the same, ms. */
const PATIENCE = 4000;

/**
 * Opens what the browser keeps, fills a demo's empty store, and starts saving. A store that does not answer, or that is
 * refused, holds nothing up for longer than a moment: the first page says so.
 */
export async function startUp(patience = PATIENCE): Promise<void> {
  const opened = readStore();
  const late = new Promise<'late'>((done) => setTimeout(() => done('late'), patience));
  if ((await Promise.race([opened, late])) === 'late') store.dispatch(uiActions.storeFound('silent'));
}

async function readStore(): Promise<void> {
  try {
    await db.open();
  } catch {
    store.dispatch(uiActions.storeFound('refused'));
    return;
  }
  try {
    await seedDemo();
    const [units, kept] = await Promise.all([readSetting('units'), soundParts()]);
    if (units === 'imperial') store.dispatch(uiActions.unitsChosen('imperial'));
    store.dispatch(shelfActions.ownPartsRead(kept));
  } catch {
    store.dispatch(uiActions.savedMarked('failed'));
  }
  store.dispatch(uiActions.storeFound('open'));
  startAutosave();
  startAside();
  let { units } = store.getState().ui;
  store.subscribe(() => {
    const now = store.getState().ui.units;
    if (now === units) return;
    units = now;
    writeSetting('units', now).catch(() => undefined);
  });
}
