/** Ints the store begins with; it doubles as it fills. */
const FIRST_ROOM = 1 << 16;

/**
 * What was tried before, by what was begun then: of each only states of which none is better than another in every
 * figure. A state is a list of whole numbers, less being better, as long for every state of one key.
 */
export class TriedStates {
  private readonly heads = new Map<number, number>();
  /** Records one after another: where the next of the same key is, -1 at the last; then the figures. */
  private pool = new Int32Array(FIRST_ROOM);
  private used = 0;

  /** Whether a state tried before with the same key was no worse in anything; if none was, this one is kept. */
  outdone(key: number, state: Int32Array, length: number): boolean {
    const head = this.heads.get(key) ?? -1;
    for (let p = head; p >= 0; p = this.pool[p] as number) if (this.noWorse(p, state, length)) return true;
    // What the new one outdoes is forgotten; it takes the place of the first of those.
    let place = -1;
    let before = -1;
    let first = head;
    for (let p = head; p >= 0;) {
      const next = this.pool[p] as number;
      if (!this.outdoes(p, state, length)) before = p;
      else if (place < 0) {
        place = p;
        before = p;
      } else if (before < 0) first = next;
      else this.pool[before] = next;
      p = next;
    }
    if (place < 0) {
      place = this.room(length);
      this.pool[place] = first;
      this.heads.set(key, place);
    }
    for (let k = 0; k < length; k++) this.pool[place + 1 + k] = state[k] as number;
    return false;
  }

  private noWorse(p: number, state: Int32Array, length: number): boolean {
    const { pool } = this;
    for (let k = 0; k < length; k++) if ((pool[p + 1 + k] as number) > (state[k] as number)) return false;
    return true;
  }

  private outdoes(p: number, state: Int32Array, length: number): boolean {
    const { pool } = this;
    for (let k = 0; k < length; k++) if ((state[k] as number) > (pool[p + 1 + k] as number)) return false;
    return true;
  }

  private room(length: number): number {
    const place = this.used;
    this.used += length + 1;
    if (this.used > this.pool.length) {
      const more = new Int32Array(this.pool.length * 2);
      more.set(this.pool);
      this.pool = more;
    }
    return place;
  }
}
