import {
  alongLead,
  amount,
  amountText,
  chainLength,
  type ChosenPlan,
  type Point,
  type RoutedLead,
} from '@sprocket/core';
import { useUnits } from '../store/store.ts';
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

/** Leads on one tube lie side by side, this far apart, px. */
const LANE = 3.4;
/** A lead drawn shorter than this has its number beside it on a thread, px. */
const SHORT = 70;
const THREAD = 40;
/** Every other one stands so much further off; and a number wants so much to the sheet's edge, px. */
const FURTHER = 20;
const TAG_ROOM = 12;
/** Numbers want so much between them, px; places along a lead that are tried for it. */
const APART = 20;
const SHARES = [0.3, 0.5, 0.7, 0.4, 0.6, 0.2, 0.8, 0.15, 0.85, 0.25, 0.35, 0.45, 0.55, 0.65, 0.75];
/** The fan such numbers stand in, rad. */
const FAN = 2.1;

/** A line moved sideways, its ends left where the boxes are. */
function beside(points: readonly Point[], by: number): Point[] {
  return points.map((p, i) => {
    const a = points[i - 1];
    const b = points[i + 1];
    if (!a || !b) return p;
    const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    return { x: p.x - ((b.y - a.y) / long) * by, y: p.y + ((b.x - a.x) / long) * by };
  });
}

/**
 * Where each lead's number stands: on it where it is long, as far as may be from the others' numbers; fanned out ahead of
 * the bar where it is short.
 */
function tagsOf(leads: readonly RoutedLead[], sheet: Sheet): { at: Point; thread: Point | null }[] {
  const { px } = sheet;
  const short = leads.filter((l) => chainLength(l.points) < SHORT * px);
  const fanned = short.map((lead, k) => fannedTag(lead.points.at(-1) as Point, k, short.length, sheet));
  const placed = fanned.map((f) => f.at);
  return leads.map((lead, i) => {
    const k = short.indexOf(lead);
    if (k >= 0) return fanned[k] as (typeof fanned)[number];
    const first = 0.22 + 0.56 * ((i * 0.382) % 1);
    const free = (share: number): { at: Point; room: number } => {
      const at = alongLead(lead, share);
      return { at, room: Math.min(APART * px, ...placed.map((p) => Math.hypot(p.x - at.x, p.y - at.y))) };
    };
    // The first place with room enough; where none has, the one with most.
    const { at } = [first, ...SHARES].map(free).reduce((best, next) => (next.room > best.room + 1e-9 ? next : best));
    placed.push(at);
    return { at, thread: null };
  });
}

/** The number of a short lead on a thread: ahead of the bar, where nothing else is written, and no higher than the sheet. */
function fannedTag(end: Point, k: number, count: number, { px, top }: Sheet): { at: Point; thread: Point } {
  const room = (top - end.y) / px - TAG_ROOM;
  const highest = Math.min(FAN / 2, Math.asin(Math.max(-1, Math.min(1, room / (THREAD + FURTHER)))));
  const share = count === 1 ? 0.5 : k / (count - 1);
  const angle = share * (highest + FAN / 2) - FAN / 2;
  const far = (THREAD + (k % 2) * FURTHER) * px;
  return { at: { x: end.x + Math.cos(angle) * far, y: end.y + Math.sin(angle) * far }, thread: end };
}

/** One lead along its way. */
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
  const { hue, dash } = leadMark(index);
  const lane = ((index % 5) - 2) * LANE * px;
  const line = beside(lead.points, lane);
  const d = pathOf(line);
  return (
    <g className={`wire hue-${hue}${lit ? ' wire-lit' : ''}${dim ? ' wire-dim' : ''}`}>
      <path d={d} className="wire-edge" strokeWidth={(lit ? 7 : 4.2) * px} />
      <path d={d} className="wire-core" strokeWidth={(lit ? 4 : 2.4) * px} strokeDasharray={dashesOf(dash, 2.4 * px)} />
    </g>
  );
}

/** The leads' numbers, above all lines so that none is hidden. */
export function LeadTags({ leads, sheet, lit }: { leads: readonly RoutedLead[]; sheet: Sheet; lit: string | null }) {
  const tags = tagsOf(leads, sheet);
  const { px } = sheet;
  return (
    <g className="wire-tags" aria-hidden="true">
      {leads.map((lead, i) => {
        const { number, hue } = leadMark(i);
        const { at, thread } = tags[i] as (typeof tags)[number];
        return (
          <g key={lead.id} className={`wire hue-${hue}${lit !== null && lit !== lead.id ? ' wire-dim' : ''}`}>
            {thread ? <path d={pathOf([thread, at])} className="wire-core" strokeWidth={0.9 * px} /> : null}
            <g transform={`translate(${at.x} ${-at.y})`}>
              <circle r={8 * px} className="wire-tag" strokeWidth={1.5 * px} />
              <text fontSize={11 * px} y={3.9 * px} textAnchor="middle">
                {number}
              </text>
            </g>
          </g>
        );
      })}
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
      <LeadTags leads={leads} sheet={sheet} lit={null} />
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
