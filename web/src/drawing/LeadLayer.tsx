import { amount, amountText, pointAlong, type ChosenPlan } from '@sprocket/core';
import { useUnits } from '../app/store.ts';
import { curveOf, pathOf, type Sheet } from './frame.ts';

/** The leads as they would run, each with its length. */
export function LeadLayer({ plan, sheet }: { plan: ChosenPlan; sheet: Sheet }) {
  const units = useUnits();
  const { px } = sheet;
  return (
    <g className="leads" aria-hidden="true">
      {plan.pack.layout.leads.map((lead, i) => {
        const label = pointAlong(lead.points, (lead.lengthM - 0.1) * (0.35 + i * 0.15));
        return (
          <g key={lead.id} className={`lead lead-${lead.id}`}>
            <path d={lead.points.length > 2 ? curveOf(lead.points) : pathOf(lead.points)} strokeWidth={2.6 * px} />
            <text x={label.x + 8 * px} y={-label.y - 6 * px} fontSize={11.5 * px} strokeWidth={4 * px}>
              {lead.name} {amountText(amount(lead.lengthM, 'height'), units)}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** The controller's box where it would go. */
export function ControllerMark({ plan, sheet }: { plan: ChosenPlan; sheet: Sheet }) {
  const { controller } = plan.pack.layout;
  if (!controller) return null;
  const { px } = sheet;
  const middle = controller.outline.reduce(
    (m, p) => ({ x: m.x + p.x / controller.outline.length, y: m.y + p.y / controller.outline.length }),
    { x: 0, y: 0 },
  );
  return (
    <g className={controller.airy ? 'controller' : 'controller controller-tight'} aria-hidden="true">
      <path d={pathOf(controller.outline, true)} strokeWidth={1.6 * px} />
      <circle cx={middle.x} cy={-middle.y} r={3 * px} strokeWidth={px} />
    </g>
  );
}
