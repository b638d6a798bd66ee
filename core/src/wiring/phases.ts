import { phaseOrders, type PhaseOrder, type WiringChoice } from '../build/wiring.ts';

/** Three phases in an order: plug by plug, controller's A, B, C to the motor's named. */
const permutations: Record<PhaseOrder, readonly [number, number, number]> = {
  ABC: [0, 1, 2],
  BCA: [1, 2, 0],
  CAB: [2, 0, 1],
  ACB: [0, 2, 1],
  CBA: [2, 1, 0],
  BAC: [1, 0, 2],
};
/** Orders that are the first turned round; the others swap two. */
const turned = (o: PhaseOrder): boolean => o === 'ABC' || o === 'BCA' || o === 'CAB';

/** One try of phases and hall sensors. */
export interface PhaseTry {
  phases: PhaseOrder;
  halls: PhaseOrder;
}

const named = (p: readonly number[]): PhaseOrder =>
  phaseOrders.find((o) => permutations[o].every((v, i) => v === p[i])) ?? 'ABC';
const after = (a: PhaseOrder, b: PhaseOrder): PhaseOrder => {
  const [x, y] = [permutations[a], permutations[b]];
  return named([0, 1, 2].map((i) => x[y[i] as number] as number));
};

/**
 * A motor as its colours hide it: with halls turned round, phases must be `even` after the halls' order; with two
 * halls swapped, `odd` after it, and it runs the other way. Both are of one kind, turned or swapped: a mirror of one
 * is a mirror of the other.
 */
export interface PhaseTruth {
  even: PhaseOrder;
  odd: PhaseOrder;
  forwardIs: 'even' | 'odd';
}

export const phaseTruths: readonly PhaseTruth[] = phaseOrders.flatMap((even) =>
  phaseOrders
    .filter((odd) => turned(odd) === turned(even))
    .flatMap((odd) => (['even', 'odd'] as const).map((forwardIs) => ({ even, odd, forwardIs }))),
);

/** Whether, and which way, a try runs on a motor. */
export function phaseRuns(t: PhaseTruth, { phases, halls }: PhaseTry): 'forward' | 'backward' | 'no' {
  const kind = turned(halls) ? 'even' : 'odd';
  if (phases !== after(t[kind], halls)) return 'no';
  return t.forwardIs === kind ? 'forward' : 'backward';
}

/** What the tries so far leave, and what to try next. */
export interface PhaseFinding {
  /** Next try, by colour first; null where it is found or nothing fits what was seen. */
  next: PhaseTry | null;
  found: PhaseTry | null;
  /** How many of the 36 ways are still open. */
  left: number;
  /** What was seen contradicts itself: a loose plug or a broken hall. */
  contradicts: boolean;
  why: string;
}

const all: readonly PhaseTry[] = phaseOrders.flatMap((halls) => phaseOrders.map((phases) => ({ phases, halls })));
const same = (a: PhaseTry, b: PhaseTry): boolean => a.phases === b.phases && a.halls === b.halls;

/**
 * Finds the right combination by trying: plugs by colour first, then the phases alone in a safe order with the halls
 * left as they are, and, where it runs backwards, two halls swapped and the phases again. Each try is the one that leaves the
 * fewest ways open; wheel up, low throttle, a few seconds, amps noted.
 */
export function nextPhases(tries: WiringChoice['phases']): PhaseFinding {
  const fits = phaseTruths.filter((t) =>
    tries.every((seen) => {
      const runs = phaseRuns(t, seen);
      return seen.saw === 'forward' || seen.saw === 'backward' ? runs === seen.saw : runs === 'no';
    }),
  );
  const found = tries.find((t) => t.saw === 'forward');
  if (found)
    return {
      next: null,
      found,
      left: fits.length,
      contradicts: fits.length === 0,
      why: 'It runs forward: label both halves now.',
    };
  if (fits.length === 0)
    return {
      next: null,
      found: null,
      left: 0,
      contradicts: true,
      why: 'No wiring fits what was seen: look for a loose core or a dead hall sensor.',
    };
  const tried = (t: PhaseTry): boolean => tries.some((seen) => same(seen, t));
  const backward = tries.some((t) => t.saw === 'backward');
  const worth = (t: PhaseTry): number => fits.filter((f) => phaseRuns(f, t) === 'forward').length;
  const may = all.filter((t) => !tried(t) && worth(t) > 0);
  // Halls stay by colour until the phases have been found one way round; fewest plugs moved among equals.
  const first = may.filter((t) => backward || t.halls === 'ABC');
  const pool = first.length > 0 ? first : may;
  const next = [...pool].sort((a, b) => worth(b) - worth(a) || moved(a) - moved(b))[0] ?? null;
  return {
    next,
    found: null,
    left: fits.length,
    contradicts: false,
    why:
      tries.length === 0
        ? 'By colour first.'
        : backward
          ? 'It runs backwards: swap two hall wires, and find the phases that go with them.'
          : 'Growling or stopped: the halls stay, the phases change places.',
  };
}

const moved = ({ phases, halls }: PhaseTry): number => phaseOrders.indexOf(phases) + 10 * phaseOrders.indexOf(halls);
