import { useLiveQuery } from 'dexie-react-hooks';
import { db, EDIT_DAYS } from '../storage/db.ts';

/** Days edited on since the last backup; 0 while they are being counted. */
export function useEditDays(): number {
  const days = useLiveQuery(async () => (await db.settings.get(EDIT_DAYS))?.value ?? '', []);
  return (days ?? '').split(' ').filter((day) => day !== '').length;
}
