import { useLiveQuery } from 'dexie-react-hooks';
import { EDIT_DAYS, readSetting } from '../storage/db.ts';

/** Days edited on since the last backup; 0 while they are being counted. */
export function useEditDays(): number {
  const days = useLiveQuery(async () => (await readSetting(EDIT_DAYS)) ?? '', []);
  return (days ?? '').split(' ').filter((day) => day !== '').length;
}
