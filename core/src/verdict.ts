/** Verdicts from worst to best, the one order of them. An unmeasured thing is "measure", never "fits". */
export const verdicts = ['stop', 'rework', 'measure', 'fits'] as const;
export type Verdict = (typeof verdicts)[number];

export const verdictWords: Record<Verdict, string> = {
  stop: 'Stop',
  rework: 'Rework',
  measure: 'Measure',
  fits: 'Fits',
};

/** Place in that order: 0 the worst, 3 the best. */
export const verdictRank = Object.fromEntries(verdicts.map((v, i) => [v, i])) as Record<Verdict, number>;

/** The worse of two verdicts. */
export function worse(a: Verdict, b: Verdict): Verdict {
  return verdictRank[a] <= verdictRank[b] ? a : b;
}

/** The worst verdict among findings; "measure" of none, since nothing was shown to fit. */
export function worstOf(findings: readonly { verdict: Verdict }[]): Verdict {
  return findings.length === 0 ? 'measure' : findings.map((f) => f.verdict).reduce(worse);
}

/** Sorts worst first, keeping the given order among equals. */
export function worstFirst<T extends { verdict: Verdict }>(items: readonly T[]): T[] {
  return [...items].sort((a, b) => verdictRank[a.verdict] - verdictRank[b.verdict]);
}

/** Sorts best first, keeping the given order among equals. */
export function bestFirst<T extends { verdict: Verdict }>(items: readonly T[]): T[] {
  return [...items].sort((a, b) => verdictRank[b.verdict] - verdictRank[a.verdict]);
}
