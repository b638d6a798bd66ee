/**
 * What comes into a worker is a copy each time. A part of it that is as it was before is given back as it was before,
 * frozen: all that was drawn and placed on it is kept with it, and need not be drawn and placed again.
 */
export class Sections<T extends object> {
  private readonly last = new Map<keyof T, { text: string; value: T[keyof T] }>();

  /** The same thing, with each of its sections as before where that is equal. */
  settle(fresh: T): T {
    const out = { ...fresh };
    for (const key of Object.keys(fresh) as (keyof T)[]) {
      const value = fresh[key];
      if (typeof value !== 'object' || value === null) continue;
      const text = JSON.stringify(value);
      const before = this.last.get(key);
      if (before?.text === text) out[key] = before.value;
      else this.last.set(key, { text, value: frozen(value) });
    }
    return out;
  }
}

/** A value frozen through and through. */
function frozen<V>(value: V): V {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return value;
  Object.values(value).forEach(frozen);
  return Object.freeze(value);
}
