import { lineStateWords, type BillLine, type BillSheet, type LineState, type StageId } from '@sprocket/core';

/** How the bill may be grouped. */
export const groupings = { wave: 'by wave', stage: 'by stage', supplier: 'by supplier' } as const;
export type Grouping = keyof typeof groupings;

export interface LineGroup {
  id: string;
  title: string;
  /** What the group asks of the builder. */
  says: string;
  lines: BillLine[];
}

const stageWords: Record<StageId, string> = {
  brief: 'Brief',
  donor: 'Donor',
  drive: 'Drive',
  pack: 'Pack',
  gearing: 'Gearing',
  wiring: 'Wiring',
  parts: 'No longer wanted',
  build: 'Build',
  proving: 'Proving',
  logbook: 'Logbook',
};

const isHere = (line: BillLine): boolean => ['arrived', 'checked', 'faulty'].includes(line.state);

/** Waves in the order in which a builder goes through them. */
const waveGroups: readonly { id: string; title: string; says: string; has: (line: BillLine) => boolean }[] = [
  {
    id: 'left',
    title: 'No longer wanted',
    says: 'ordered or here, but the plan wants it no more: send it back while you may, else keep or sell it',
    has: (l) => l.why === 'notWanted',
  },
  { id: 'here', title: 'Here', says: 'unpacked, checked or at fault; not on the bike yet', has: isHere },
  {
    id: 'way',
    title: 'On its way',
    says: 'ordered, not come yet',
    has: (l) => l.state === 'ordered' || l.state === 'promised',
  },
  {
    id: 'now',
    title: 'Order now',
    says: 'nothing that must fit is unmeasured',
    has: (l) => l.wave === 'now' && l.from === 'order',
  },
  {
    id: 'held',
    title: 'Measure first',
    says: 'held: would it not fit, it would have to go back',
    has: (l) => l.wave === 'held',
  },
  {
    id: 'open',
    title: 'Not yet',
    says: 'the usual remedy of a finding that nobody has decided yet',
    has: (l) => l.wave === 'open' && l.from === 'order',
  },
  {
    id: 'had',
    title: 'Had, borrowed, kept',
    says: 'costs nothing more',
    has: (l) => l.state === 'wanted' && l.from !== 'order',
  },
  {
    id: 'done',
    title: 'Fitted and done with',
    says: 'on the bike, sent back or sold',
    has: () => true,
  },
];

/** The bill's lines in groups, empty ones left out; each line in exactly one. */
export function groupsOf(bill: BillSheet, by: Grouping, suppliers: ReadonlyMap<string, string>): LineGroup[] {
  if (by === 'wave') {
    const left = new Set(bill.lines);
    return waveGroups.flatMap(({ id, title, says, has }) => {
      const lines = [...left].filter(has);
      lines.forEach((l) => left.delete(l));
      return lines.length > 0 ? [{ id, title, says, lines }] : [];
    });
  }
  const groups = new Map<string, LineGroup>();
  for (const line of bill.lines) {
    const id = by === 'stage' ? line.stage : (line.choice.supplier ?? '');
    const title = by === 'stage' ? stageWords[line.stage] : (suppliers.get(id) ?? 'No supplier yet');
    const group = groups.get(id) ?? { id: id || 'none', title, says: '', lines: [] };
    group.lines.push(line);
    groups.set(id, group);
  }
  return [...groups.values()];
}

/** How a line is marked on the drawing and in the table: wanted, on its way, here, fitted, or wanted no more. */
export type Mark = 'wanted' | 'held' | 'way' | 'here' | 'fitted' | 'fault' | 'gone';
export const markWords: Record<Mark, string> = {
  wanted: 'to be had',
  held: 'held: measure first',
  way: 'on its way',
  here: 'here',
  fitted: 'fitted',
  fault: 'at fault',
  gone: 'wanted no more',
};
export function markOf(line: BillLine): Mark {
  if (line.why === 'notWanted') return 'gone';
  if (line.state === 'fitted') return 'fitted';
  if (line.state === 'faulty' || line.state === 'returned') return 'fault';
  if (line.state === 'ordered' || line.state === 'promised') return 'way';
  if (line.state === 'arrived' || line.state === 'checked') return 'here';
  if (line.from === 'have' || line.from === 'donor') return 'here';
  return line.wave === 'held' ? 'held' : 'wanted';
}

/** States a line may be put to from the one it is in, in the order they are offered. */
export const nextState = (state: LineState): LineState | null =>
  (({ wanted: 'ordered', ordered: 'arrived', promised: 'arrived', arrived: 'checked', checked: 'fitted' }) as const)[
    state as 'wanted'
  ] ?? null;
export const stateWords = lineStateWords;
