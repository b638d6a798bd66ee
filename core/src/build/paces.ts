import type { Build } from './build.ts';

/** What is known of a pace: Σ ln(took ÷ told), over so many steps. */
export interface Known {
  sum: number;
  count: number;
}

/**
 * What the steps done by a person tell of their pace, with what builds before this one told; steps left out, not timed
 * or of others tell nothing.
 */
export function knownOf({ bench, built }: Pick<Build, 'bench' | 'built'>, name: string): Known {
  // A name is kept without the space somebody is still typing after it.
  const by = name.trim();
  const before = built.paces.find((p) => p.by === by);
  const known: Known = { sum: before?.sum ?? 0, count: before?.count ?? 0 };
  for (const d of Object.values(bench.done))
    if (d.by === by && !d.leftOut && d.minutes !== null && d.minutes > 0 && d.told !== null && d.told > 0) {
      known.sum += Math.log(d.minutes / d.told);
      known.count++;
    }
  return known;
}

/** Everybody of whose pace something is known, by name. */
export function peopleOf({ bench, built }: Pick<Build, 'bench' | 'built'>): string[] {
  const names = new Set([...built.paces.map((p) => p.by), ...Object.values(bench.done).map((d) => d.by)]);
  return [...names].sort((a, b) => a.localeCompare(b, 'en'));
}
