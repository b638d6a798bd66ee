import { stepGroups, type BuildStep } from './step.ts';

/** Steps that take a wheel out, and those that have it back in and tight. */
const DOWN = new Set(['wheel-out', 'undo:wheel-in']);
const UP = new Set(['axle-tight', 'undo:wheel-out']);

/** What waits so long is begun early, min. Source: project, a bench time's half. */
const LONG_WAIT = 60;

const groupRank = new Map(stepGroups.map((g, i) => [g, i]));

/**
 * An order in which all steps can be done, one after another: what was built for another plan undone first; what has to
 * wait out begun early; everything that can be done with both wheels in before one is taken out, and that one back
 * before anything else; work at one place together; the battery and what wants its volts last. Each step comes after
 * all that it comes after. Steps in a knot, if there were one, come at the end.
 * @returns ids
 */
export function benchOrder(steps: readonly BuildStep[]): string[] {
  const byId = new Map(steps.map((s, i) => [s.id, { step: s, index: i }]));
  const before = new Map(steps.map((s) => [s.id, s.after.map((a) => a.step).filter((id) => byId.has(id))]));
  const followers = new Map<string, string[]>(steps.map((s) => [s.id, []]));
  for (const [id, list] of before) for (const b of list) followers.get(b)?.push(id);
  const reach = (from: Iterable<string>, next: Map<string, string[]>): Set<string> => {
    const found = new Set(from);
    for (const id of found) for (const n of next.get(id) ?? []) found.add(n);
    return found;
  };
  const is = (of: Set<string>): string[] => steps.filter((s) => of.has(s.id)).map((s) => s.id);
  const [down, up] = [is(DOWN), is(UP)];
  const afterDown = reach(down, followers);
  const beforeUp = reach(up, before);
  // 0: with both wheels in; 1: while one is out; 2: once it is back.
  const phase = (id: string): number => (down.length === 0 || !afterDown.has(id) ? 0 : beforeUp.has(id) ? 1 : 2);

  const left = new Map([...before].map(([id, list]) => [id, list.length]));
  const open = new Set(steps.filter((s) => left.get(s.id) === 0).map((s) => s.id));
  const out: string[] = [];
  let place: string | null = null;
  const score = (id: string): number[] => {
    const { step, index } = byId.get(id) as { step: BuildStep; index: number };
    return [
      phase(id),
      step.undoes === null ? 1 : 0,
      (step.wait?.minutes ?? 0) >= LONG_WAIT ? 0 : 1,
      step.group === 'look' || step.group === 'mend' ? 0 : 1,
      step.place === place ? 0 : 1,
      step.place === 'pack' ? 1 : 0,
      groupRank.get(step.group) ?? 0,
      index,
    ];
  };
  while (open.size > 0) {
    let best: { id: string; score: number[] } | null = null;
    for (const id of open) {
      const here = score(id);
      if (best === null || isLess(here, best.score)) best = { id, score: here };
    }
    const { id } = best as { id: string };
    open.delete(id);
    out.push(id);
    place = byId.get(id)?.step.place ?? null;
    for (const f of followers.get(id) ?? []) {
      const n = (left.get(f) ?? 0) - 1;
      left.set(f, n);
      if (n === 0) open.add(f);
    }
  }
  const placed = new Set(out);
  return [...out, ...steps.filter((s) => !placed.has(s.id)).map((s) => s.id)];
}

function isLess(a: readonly number[], b: readonly number[]): boolean {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return (a[i] as number) < (b[i] as number);
  return false;
}
