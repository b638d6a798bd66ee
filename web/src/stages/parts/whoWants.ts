import { leftOverOf, ruleCatalog, type BillLine, type RepairTaken } from '@sprocket/core';
import { today } from '../../ui/today.ts';

const ruleWords = new Map(ruleCatalog.map((rule) => [rule.id, rule.words.toLowerCase()]));
const byWords: Readonly<Record<string, string>> = {
  choice: 'your choice',
  charger: 'the battery comes without one',
  bench: 'steps at the bench',
};
/** A repair that the fault finder came to. */
const repairWords = (by: string, repairs: readonly RepairTaken[]): string | undefined => {
  const words = repairs.find((r) => `repair:${r.repair}` === by)?.words.toLowerCase();
  return words === undefined ? undefined : `repair: ${words}`;
};
/** Who wants a line, in words. */
export const whoWants = (line: BillLine, repairs: readonly RepairTaken[]): string =>
  line.why === 'notWanted' && line.from === 'donor'
    ? 'of the donor, off it'
    : line.why === 'notWanted'
      ? leftOverOf(line.choice, today()) === 'sendBack'
        ? 'nothing any more: cancel it or send it back'
        : 'nothing any more: a spare'
      : line.by.map((by) => ruleWords.get(by) ?? byWords[by] ?? repairWords(by, repairs) ?? by).join(', ');
