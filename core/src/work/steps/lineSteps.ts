import type { BillLine } from '../bill.ts';
import { stepLibrary } from './library.ts';
import { fitting } from './steps.ts';
import type { BuildStep, StepUse } from './step.ts';

const usedBy = (use: string): string[] => stepLibrary.filter((s) => s.uses?.includes(use as StepUse)).map((s) => s.id);

/**
 * The step that takes each line of the bill, by the line's key: a remedy's parts its own step, a part of the choice the
 * step that first looks at it or fits it, any other the step its place is fitted in. A line the plan wants no more has none.
 */
export function lineSteps(lines: readonly BillLine[], steps: readonly BuildStep[]): Record<string, string> {
  const here = new Set(steps.map((s) => s.id));
  const found: Record<string, string> = {};
  for (const line of lines) {
    if (line.why === 'notWanted') continue;
    const { part, kind, place, by, why } = line;
    const ways = [
      ...(why === 'bench'
        ? steps.filter((s) => s.tools.includes(part as never) || part in s.supplies).map((s) => s.id)
        : []),
      ...steps.filter((s) => s.rule !== null && by.includes(s.rule)).map((s) => s.id),
      ...usedBy(why === 'chosen' ? kind : part),
      ...(place ? fitting[place] : []),
      'tighten-again',
    ];
    const step = ways.find((id) => here.has(id));
    if (step !== undefined) found[line.key] = step;
  }
  return found;
}
