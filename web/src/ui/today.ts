import { isDate } from '@sprocket/core';

/** This minute of the local clock, `2026-03-07T09:30`. */
export function thisMinute(now = new Date()): string {
  // oxlint-disable-next-line sprocket/day-of-the-place -- moved by the zone before it is cut
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

/** Today's date of the local clock, ISO. */
export const today = (): string => thisMinute().slice(0, 10);

/** A day as a date field gives it: null where it was emptied, undefined where it is no day the build can keep. */
export const dayTyped = (text: string): string | null | undefined =>
  text === '' ? null : isDate(text) ? text : undefined;
