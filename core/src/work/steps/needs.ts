import { boughtStates, type Bill, type LineSource, type LineState } from '../../build/bill.ts';
import { partById, type Shelf } from '../../parts/part.ts';
import { lineKey } from '../lineKey.ts';
import type { Want } from '../wanted.ts';
import type { BuildStep } from './step.ts';

/** A tool or supply that steps ask for, and what was said of it. */
export interface BenchNeed {
  /** The bill's line of it. */
  key: string;
  part: string;
  name: string;
  kind: 'tool' | 'supply';
  /** Steps that ask for it. */
  steps: string[];
  /** Of a supply, how much all steps use, and in what. */
  amount: number | null;
  unit: string;
  /** How many to buy for that. */
  count: number;
  price: number | null;
  /** A day's hire, where it can be hired. */
  hire: number | null;
  /** Where it comes from; null: nobody has looked yet. */
  from: LineSource | null;
  state: LineState;
}

/**
 * Tools and supplies that the steps of a build ask for, each once, tools first, those asked for most before the others.
 * What the bill has already, wanted by a finding or the wiring, is not asked for again.
 * @param inBill ids of parts that are wanted anyway
 */
export function benchNeeds(
  steps: readonly BuildStep[],
  shelf: Shelf,
  bill: Bill,
  inBill: ReadonlySet<string>,
): BenchNeed[] {
  const needs = new Map<string, BenchNeed>();
  const need = (part: string, kind: BenchNeed['kind'], step: string, amount: number | null): void => {
    if (inBill.has(part)) return;
    const known = needs.get(part);
    if (known) {
      known.steps.push(step);
      if (amount !== null) known.amount = (known.amount ?? 0) + amount;
      return;
    }
    const found = partById(shelf, part);
    const key = lineKey({ part, place: 'bench' }, false);
    const choice = bill.lines[key];
    needs.set(part, {
      key,
      part,
      name: found?.name ?? part,
      kind,
      steps: [step],
      amount,
      unit: found?.kind === 'consumable' ? found.unit : '',
      count: 1,
      price: found?.price ?? null,
      hire: found?.kind === 'tool' ? (found.hire ?? null) : null,
      from: choice ? choice.from : null,
      state: choice?.state ?? 'wanted',
    });
  };
  for (const step of steps) {
    for (const tool of step.tools) need(tool, 'tool', step.id, null);
    for (const [supply, amount] of Object.entries(step.supplies)) need(supply, 'supply', step.id, amount ?? 0);
  }
  for (const n of needs.values()) {
    const part = partById(shelf, n.part);
    if (part?.kind === 'consumable' && n.amount !== null)
      n.count = Math.max(1, Math.ceil(n.amount / part.amount - 1e-9));
  }
  const rank = (n: BenchNeed): number => (n.kind === 'tool' ? 0 : 1);
  return [...needs.values()].sort(
    (a, b) => rank(a) - rank(b) || b.steps.length - a.steps.length || a.name.localeCompare(b.name, 'en'),
  );
}

/** What of it is bought, borrowed or hired: lines of the bill. What lies here already, or was not looked for, is none. */
export function benchWants(needs: readonly BenchNeed[]): Want[] {
  return needs.flatMap(({ part, count, from, state }): Want[] =>
    from === null || (from === 'have' && !boughtStates.includes(state))
      ? []
      : [{ taking: { part, count, place: 'bench' }, kind: 'bench', by: 'bench' }],
  );
}
