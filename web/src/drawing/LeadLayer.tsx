import { alongLead, amount, amountText, type ChosenPlan, type RoutedLead } from '@sprocket/core';
import { useUnits } from '../app/store.ts';
import { pathOf, type Sheet } from './frame.ts';

/** How many ways of drawing a lead there are: each its own colour and its own run of dashes. */
const HUES = 8;
/** Dashes that tell leads apart without their colours, in widths of the line. */
const DASHES = ['', '7 3', '2 3', '10 3 2 3', '5 2', '12 4', '2 2 6 2', '1 3'] as const;

/** A lead's number, colour and dashes, by its place in the list. */
export const leadMark = (index: number): { number: number; hue: number; dash: string } => ({
  number: index + 1,
  hue: index % HUES,
  dash: DASHES[index % HUES] ?? '',
});

/** Dashes for a line of a width, drawing units. */
export const dashesOf = (dash: string, unit: number): string | undefined =>
  dash === ''
    ? undefined
    : dash
        .split(' ')
        .map((n) => Number(n) * unit)
        .join(' ');

/** One lead along its way, with its number on it. */
export function LeadLine({
  lead,
  index,
  px,
  lit,
  dim,
}: {
  lead: RoutedLead;
  index: number;
  px: number;
  lit: boolean;
  dim: boolean;
}) {
  const { number, hue, dash } = leadMark(index);
  const at = alongLead(lead, 0.3 + 0.4 * ((index * 0.37) % 1));
  const d = pathOf(lead.points);
  return (
    <g className={`wire hue-${hue}${lit ? ' wire-lit' : ''}${dim ? ' wire-dim' : ''}`}>
      <path d={d} className="wire-edge" strokeWidth={(lit ? 7 : 4.6) * px} />
      <path d={d} className="wire-core" strokeWidth={(lit ? 4 : 2.4) * px} strokeDasharray={dashesOf(dash, 2.4 * px)} />
      <g transform={`translate(${at.x} ${-at.y})`}>
        <circle r={7.5 * px} className="wire-tag" strokeWidth={1.4 * px} />
        <text fontSize={10.5 * px} y={3.7 * px} textAnchor="middle">
          {number}
        </text>
      </g>
    </g>
  );
}

/** The leads as they would run, each with its length. */
export function LeadLayer({ plan, sheet }: { plan: ChosenPlan; sheet: Sheet }) {
  const units = useUnits();
  const { px } = sheet;
  const leads = plan.wiring.all?.leads ?? [];
  return (
    <g className="leads" aria-hidden="true">
      {leads.map((lead, i) => (
        <LeadLine key={lead.id} lead={lead} index={i} px={px} lit={false} dim={false} />
      ))}
      {leads
        .filter((l) => l.id === 'battery' || l.id === 'motor' || l.id === 'loom')
        .map((lead, i) => {
          const at = alongLead(lead, 0.35 + i * 0.15);
          return (
            <text key={lead.id} x={at.x + 12 * px} y={-at.y - 6 * px} fontSize={11.5 * px} strokeWidth={4 * px}>
              {lead.what.toLowerCase()} {amountText(amount(lead.neededM, 'size', 0), units)}
            </text>
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
