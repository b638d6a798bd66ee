import { minutesOf, momentText, type LogEntry } from '@sprocket/core';
import { useMemo } from 'react';
import { useMinute } from './useMinute.ts';

/** The clock is looked at so often, min. */
const EVERY = 5;

/** Now, as a log is judged by: no earlier than a line that was just written; a day typed ahead is still ahead. */
export function useLogNow(entries: readonly LogEntry[]): string {
  const minute = useMinute(EVERY);
  return useMemo(() => {
    const now = momentText(minute).slice(0, 16);
    return entries.reduce((latest, { at }) => (at > latest && minutesOf(at) < minute + EVERY + 1 ? at : latest), now);
  }, [entries, minute]);
}
