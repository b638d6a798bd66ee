/** A stretch of time at the bench: minutes since 1970 of the local clock, the end not in it. */
export interface Window {
  from: number;
  to: number;
}

/** Bench time as windows in order, apart; all sums of time that is worked stand here. Minutes throughout. */
export class Calendar {
  readonly windows: readonly Window[];
  /** Minutes worked in all windows before each. */
  private readonly before: number[] = [];

  constructor(windows: readonly Window[]) {
    this.windows = windows;
    let sum = 0;
    for (const { from, to } of windows) {
      this.before.push(sum);
      sum += to - from;
    }
  }

  /** The first window that ends after a moment; as many as there are where none does. */
  at(moment: number): number {
    let [low, high] = [0, this.windows.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.windows[middle] as Window).to > moment) high = middle;
      else low = middle + 1;
    }
    return low;
  }

  /** Bench minutes from the first window's start to a moment. */
  worked(moment: number): number {
    const i = this.at(moment);
    const window = this.windows[i];
    if (!window) return (this.before.at(-1) ?? 0) + this.lengthOf(this.windows.length - 1);
    return (this.before[i] as number) + Math.max(0, moment - window.from);
  }

  /** The moment by which so many minutes more have been worked after another; infinite where the windows end before. */
  after(moment: number, minutes: number): number {
    let left = minutes;
    for (let i = this.at(moment); i < this.windows.length; i++) {
      const { from, to } = this.windows[i] as Window;
      const start = Math.max(from, moment);
      if (left <= to - start) return start + left;
      left -= to - start;
    }
    return left <= 0 ? moment : Infinity;
  }

  /**
   * The earliest start from a moment on of so many minutes: all in one window, or, where it may be split, from any
   * moment in one. Infinite where none is left.
   */
  start(moment: number, minutes: number, splittable: boolean): number {
    for (let i = this.at(moment); i < this.windows.length; i++) {
      const { from, to } = this.windows[i] as Window;
      const start = Math.max(from, moment);
      if (to - start >= minutes || (splittable && to > start)) {
        return this.after(start, minutes) < Infinity ? start : Infinity;
      }
    }
    return Infinity;
  }

  /**
   * The latest start by which so many minutes are done at a moment: in one window, or split over some. Minus infinity
   * where there is none.
   */
  latest(moment: number, minutes: number, splittable: boolean): number {
    let left = minutes;
    for (let i = Math.min(this.at(moment), this.windows.length - 1); i >= 0; i--) {
      const { from, to } = this.windows[i] as Window;
      const end = Math.min(to, moment);
      if (end < from || (end === from && minutes > 0)) continue;
      if (left <= end - from) return end - left;
      if (splittable) left -= end - from;
    }
    return -Infinity;
  }

  private lengthOf(i: number): number {
    const window = this.windows[i];
    return window ? window.to - window.from : 0;
  }
}
