import { decimals } from '@sprocket/core';
/** A weight in words and tenths: never a bare percentage. */
export function weightWords(p: number): string {
  if (p >= 0.95) return 'nearly sure';
  if (p >= 0.05) return `${Math.max(1, Math.round(p * 10))} in 10`;
  return p >= 0.01 ? `${Math.max(1, Math.round(p * 100))} in 100` : 'hardly';
}

/** How an answer moved a cause. */
export function timesWords(times: number): string {
  if (times >= 1.15) return `${times >= 10 ? Math.round(times) : decimals(times, 1)} times likelier`;
  if (times <= 0.87) {
    const less = 1 / Math.max(times, 1e-4);
    return `${less >= 10 ? Math.round(less) : decimals(less, 1)} times less likely`;
  }
  return 'no likelier, no less';
}
