import type { Bill, LineChoice } from '../build/bill.ts';
import { takingKey, type Taking } from '../build/remedy.ts';

/** A line's name that stays whatever else of the plan changes: a part chosen by name by its id, any other by its place too. */
export const lineKey = (taking: Pick<Taking, 'part' | 'place'>, chosen: boolean): string =>
  chosen ? taking.part : takingKey({ ...taking, count: 1 });

/** What was decided of a line, by whichever of its two names it was written down under; null where nothing was. */
export function lineChoice(
  bill: Bill,
  taking: Pick<Taking, 'part' | 'place'>,
): { key: string; choice: LineChoice } | null {
  for (const key of [lineKey(taking, true), lineKey(taking, false)]) {
    const choice = bill.lines[key];
    if (choice) return { key, choice };
  }
  return null;
}
