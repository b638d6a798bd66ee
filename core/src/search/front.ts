import { aimKey, type AimId, type AimValues } from '../plan/aims.ts';

/** How one is placed by the aims wanted, on their grid, more always better. */
export type Keys = readonly number[];

/** Keys of a candidate; an aim that is not reckoned yet is taken as good as it could be. */
export function keysOf(wanted: readonly AimId[], values: Partial<AimValues>): number[] {
  return wanted.map((id) => (values[id] === undefined ? bestKey(id) : aimKey(id, values[id])));
}

/** The best an aim could come to: a chance is at most certain, all else is open. */
function bestKey(id: AimId): number {
  return id === 'chance' ? aimKey('chance', 1) : Infinity;
}

/** Whether one is at least as good on every aim. */
export function covers(a: Keys, b: Keys): boolean {
  for (let i = 0; i < a.length; i++) if ((a[i] as number) < (b[i] as number)) return false;
  return true;
}

/**
 * Those that nobody covers. Of several that are equal on every aim the first by `before` stays. The keys are whole
 * numbers on one scale, so that what covers is an order: what falls out by one that falls out itself falls out by a third.
 */
export class Front<T> {
  private members: { keys: Keys; of: T }[] = [];
  private readonly before: (a: T, b: T) => number;

  constructor(before: (a: T, b: T) => number) {
    this.before = before;
  }

  /** Whether somebody on it is at least as good on every aim, and would stay of the two. */
  beats(keys: Keys, of: T): boolean {
    return this.members.some((m) => covers(m.keys, keys) && (!covers(keys, m.keys) || this.before(m.of, of) <= 0));
  }

  /** Takes one on, and off whom it covers; false where it is beaten. */
  take(keys: Keys, of: T): boolean {
    if (this.beats(keys, of)) return false;
    this.members = this.members.filter((m) => !covers(keys, m.keys));
    this.members.push({ keys, of });
    return true;
  }

  get list(): T[] {
    return this.members.map((m) => m.of).sort(this.before);
  }
}
