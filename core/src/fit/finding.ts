import type { StageId } from '../build/stage.ts';
import type { Remedy } from '../build/remedy.ts';
import type { SchoolId } from '../build/schools.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import type { Provenance } from '../donor/entry.ts';
import type { Amount, Phrase } from '../quantity/format.ts';
import type { Verdict } from '../verdict.ts';

/** One number or fact a verdict rests on, and where it came from. */
export interface Evidence {
  label: string;
  value: Amount | string;
  provenance: Provenance | 'part data' | 'rule';
  /** The survey item it came from, so that the field can be found. */
  item?: SurveyItemId;
}

/** What a rule says of a build. Plain data. */
export interface Finding {
  rule: string;
  /** The stage it is shown on; follows from the rule's group. */
  stage: StageId;
  verdict: Verdict;
  title: string;
  /** Why, with the numbers in it. */
  why: Phrase;
  evidence: Evidence[];
  /** Alternatives, the usual one first. Which was taken stands in the build’s `fixes`. */
  remedies: Remedy[];
  /** What the rule leans on: a standard, workshop practice, a formula. */
  source: string;
  /** Id of the part it is about, or "donor" or "plan". */
  subject?: string;
  /** True where a wrong part would have to go back: its order waits for the measurement. */
  fitCritical?: boolean;
  school?: SchoolId;
  /** A remedy taken for it: which, when, what the finding was before and why. The verdict is with it. */
  fixed?: { remedy: string; on: string; was: Verdict; because: string };
  /** A small remedy that is on the bill by itself settles it: which, what the finding was before and why. */
  mended?: { remedy: string; was: Verdict; because: string };
  /** Set aside by the person, with a reason; it stays visible. */
  override?: { reason: string; on: string };
}

/** Whether taking a remedy settles a finding: what is bought, worked or set does; choosing otherwise is the choice's own. */
export function canBeTaken(finding: Pick<Finding, 'verdict'>, remedy: Remedy): boolean {
  return (
    (finding.verdict === 'rework' || finding.verdict === 'stop') &&
    (remedy.does === 'buy' || remedy.does === 'work' || remedy.does === 'set') &&
    remedy.sets === undefined
  );
}
