import type { SurveyItemId } from '../donor/donor.ts';
import type { Kit, Pack } from '../parts/part.ts';
import { surveyItem } from '../donor/survey.ts';
import { donorRules, kitRules, packRules } from './allRules.ts';
import { worstFirst, worstOf, type Finding, type Verdict } from './finding.ts';
import { withOverride } from './override.ts';
import type { FitContext, RuleMeta } from './rule.ts';
import { measureIt } from './rule.ts';

export { donorRules, kitRules, packRules } from './allRules.ts';

/** Findings with the worst of their verdicts. */
export interface Judgement {
  verdict: Verdict;
  /** Worst first. */
  findings: Finding[];
}

/** Subject of findings about the vehicle itself. */
export const DONOR = 'donor';

/** The rules' names, groups and needs, for matrices and for the survey's "why it matters". */
export const ruleCatalog: readonly RuleMeta[] = [...donorRules, ...kitRules, ...packRules];

/** Which rules look at a survey item, by their names. */
export function rulesUsing(id: SurveyItemId): string[] {
  return ruleCatalog.filter((rule) => rule.uses.includes(id)).map((rule) => rule.words);
}

/**
 * A verdict that rests on an assumed value alone is a guess: where the rule would say something else
 * without the value, "stop" and "rework" become "measure", with what it would be said as well.
 */
export function tempered(
  finding: Finding | null,
  context: FitContext,
  again: (without: FitContext) => Finding | null,
): Finding | null {
  if (finding === null || (finding.verdict !== 'stop' && finding.verdict !== 'rework')) return finding;
  const { build } = context;
  const { survey } = build.donor;
  const guessed = finding.evidence.flatMap((e) => (e.item && survey[e.item]?.provenance === 'assumed' ? [e.item] : []));
  if (guessed.length === 0) return finding;
  const known = { ...survey };
  for (const id of guessed) Reflect.deleteProperty(known, id);
  const without = again({ ...context, build: { ...build, donor: { ...build.donor, survey: known } } });
  if (without?.verdict === finding.verdict) return finding;
  return {
    ...finding,
    verdict: 'measure',
    title: `${finding.title}, if the guess is right`,
    why: [
      ...finding.why,
      ` That rests on a guess: ${guessed.map((id) => surveyItem(id).label.toLowerCase()).join(', ')} is assumed.`,
    ],
    remedies: [...guessed.map(measureIt), ...finding.remedies],
  };
}

function judged<R extends RuleMeta>(
  rules: readonly R[],
  context: FitContext,
  subject: string,
  run: (rule: R, context: FitContext) => Finding | null,
): Judgement {
  const { overrides } = context.build;
  const all: Finding[] = [];
  for (const rule of rules) {
    const finding = tempered(run(rule, context), context, (without) => run(rule, without));
    if (finding === null) continue;
    const whole: Finding = {
      ...finding,
      subject,
      ...(rule.fitCritical ? { fitCritical: true } : {}),
      ...(rule.school ? { school: rule.school } : {}),
    };
    all.push(overrides.length > 0 ? withOverride(whole, overrides) : whole);
  }
  return { verdict: standing(all), findings: worstFirst(all) };
}

/** The worst verdict that stands: what was overridden, with its reason, no longer counts. */
export function standing(findings: readonly Finding[]): Verdict {
  const open = findings.filter((f) => !f.override);
  return open.length === 0 && findings.length > 0 ? 'fits' : worstOf(open);
}

/** Every kit rule on one kit. */
export function judgeKit(context: FitContext, kit: Kit): Judgement {
  return judged(kitRules, context, kit.id, (rule, c) => rule.judge(c, kit));
}

/** Every pack rule on one pack, with the kit where one is chosen. */
export function judgePack(context: FitContext, pack: Pack, kit: Kit | null): Judgement {
  return judged(packRules, context, pack.id, (rule, c) => rule.judge(c, pack, kit));
}

/** Every rule on the donor alone. */
export function judgeDonor(context: FitContext): Judgement {
  return judged(donorRules, context, DONOR, (rule, c) => rule.judge(c));
}
