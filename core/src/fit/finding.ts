import type { SurveyItemId } from '../donor/donor.ts';
import type { Provenance } from '../donor/entry.ts';
import type { Amount, Phrase } from '../quantity/format.ts';
import type { SchoolId } from './schools.ts';

/** Verdicts from worst to best. An unmeasured thing is "measure", never "fits". */
export const verdicts = ['stop', 'rework', 'measure', 'fits'] as const;
export type Verdict = (typeof verdicts)[number];
export const verdictWords: Record<Verdict, string> = {
  stop: 'Stop',
  rework: 'Rework',
  measure: 'Measure',
  fits: 'Fits',
};

/** The stage a finding belongs to. */
export type Area = 'brief' | 'donor' | 'drive' | 'pack' | 'gearing';

/** One number or fact a verdict rests on, and where it came from. */
export interface Evidence {
  label: string;
  value: Amount | string;
  provenance: Provenance | 'part data' | 'rule';
  /** The survey item it came from, so that the field can be found. */
  item?: SurveyItemId;
}

/** Something that would mend it. */
export interface Remedy {
  text: Phrase;
  /** Working time, tool and part it takes, so that steps and the bill can be drawn up from it. */
  minutes?: number;
  tool?: string;
  part?: string;
  /** Rough cost in the build's currency, where known. */
  cost?: number;
  item?: SurveyItemId;
}

export interface Finding {
  rule: string;
  area: Area;
  verdict: Verdict;
  title: string;
  /** Why, with the numbers in it. */
  why: Phrase;
  evidence: Evidence[];
  remedies: Remedy[];
  /** What the rule leans on: a standard, workshop practice, a formula. */
  source: string;
  /** Id of the part it is about, or "donor" or "plan". */
  subject?: string;
  /** True where a wrong part would have to go back: its order waits for the measurement. */
  fitCritical?: boolean;
  school?: SchoolId;
  /** Set aside by the person, with a reason; it stays visible. */
  override?: { reason: string; on: string };
}

const rank: Record<Verdict, number> = { stop: 0, rework: 1, measure: 2, fits: 3 };

/** The worse of two verdicts. */
export function worse(a: Verdict, b: Verdict): Verdict {
  return rank[a] <= rank[b] ? a : b;
}

/** The worst verdict among findings; "measure" of none, since nothing was shown to fit. */
export function worstOf(findings: readonly { verdict: Verdict }[]): Verdict {
  return findings.length === 0 ? 'measure' : findings.map((f) => f.verdict).reduce(worse);
}

/** Sorts worst first, keeping the rules' order among equals. */
export function worstFirst<T extends { verdict: Verdict }>(items: readonly T[]): T[] {
  return [...items].sort((a, b) => rank[a.verdict] - rank[b.verdict]);
}
