import { asideActions, type Aside } from '../store/asideSlice.ts';
import { store, type AppStore } from '../store/store.ts';
import { asideOf, db } from './db.ts';

/**
 * Lays what the gate refuses aside as it comes, where it outlives the page. What the store does not take stays on the
 * page, and is tried again with the next.
 */
export function startAside(of: AppStore = store): () => void {
  let busy = false;
  const lay = async (): Promise<void> => {
    const { waiting } = of.getState().aside;
    if (busy || waiting.length === 0) return;
    busy = true;
    try {
      await db.aside.bulkPut(waiting.map(({ buildId, parts }: Aside) => asideOf(buildId, parts)));
      of.dispatch(asideActions.laidAside(waiting));
    } catch {
      // Shown from where it is.
    } finally {
      busy = false;
    }
  };
  return of.subscribe(() => void lay());
}
