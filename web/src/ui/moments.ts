import { dateOf, momentText } from '@sprocket/core';
import { english, language } from './manner.ts';

const reader = english(language());
const day = new Intl.DateTimeFormat(reader, { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
const short = new Intl.DateTimeFormat(reader, { weekday: 'short', day: 'numeric', timeZone: 'UTC' });

/** A day since 1970 in words: “Sat 7 Mar”. */
export const dayWords = (days: number): string => day.format(new Date(`${dateOf(days)}T00:00:00Z`)).replace(',', '');
/** The same without its month. */
export const shortDay = (days: number): string => short.format(new Date(`${dateOf(days)}T00:00:00Z`)).replace(',', '');
/** The clock of a moment: “19:30”. */
export const clockWords = (minute: number): string => momentText(Math.round(minute)).slice(11, 16);
/** A moment in words: “Sat 7 Mar, 19:30”. */
export const momentWords = (minute: number): string => `${dayWords(Math.floor(minute / 1440))}, ${clockWords(minute)}`;
/** Minutes as hours and minutes. */
export const longWords = (minutes: number): string => {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  return hours === 0 ? `${whole} min` : whole % 60 === 0 ? `${hours} h` : `${hours} h ${whole % 60}`;
};
