import type { BuildPlan } from '@sprocket/core';

/** How far the bill is: lines that may be ordered now, else those that are held, else that all is here. */
export function BillState({ plan }: { plan: BuildPlan }) {
  const { lines } = plan.parts.bill;
  const of = (wave: string): number => lines.filter((l) => l.wave === wave && l.from === 'order').length;
  const now = of('now');
  const words =
    lines.length === 0 ? 'nothing' : now > 0 ? `order ${now}` : of('held') > 0 ? `${of('held')} held` : 'ordered';
  return <span className="link-state link-later num">{words}</span>;
}
