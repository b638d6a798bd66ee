import { mergedTakings, type Remedy } from '../build/remedy.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import { isProven } from '../donor/entry.ts';
import { surveyItem } from '../donor/survey.ts';
import { finish, type Steps } from '../steps.ts';
import { partById } from '../parts/part.ts';
import type { PlanContext, TakenFix } from '../vehicle/context.ts';
import { worstFirst, worstOf, type Verdict } from '../verdict.ts';
import { donorRules, kitRules, packRules, planRules } from './allRules.ts';
import { canBeTaken, type Finding } from './finding.ts';
import { isOverridden, withOverride } from './override.ts';
import { measureIt } from './remedies.ts';
import type { Rule, RuleGroup, RuleMeta, RuleSubject } from './rule.ts';

/** Findings with the worst of their verdicts. */
export interface Judgement {
  verdict: Verdict;
  /** Worst first. */
  findings: Finding[];
}

/** Subject of findings about the vehicle itself, and of those about the plan as a whole. */
export const DONOR = 'donor';
export const PLAN = 'plan';

/** Every rule there is, by what it is about. */
export const rulesAbout: Record<RuleSubject, readonly Rule[]> = {
  donor: donorRules,
  kit: kitRules,
  pack: packRules,
  plan: planRules,
};

/** The rules' names, groups and needs, for matrices and for the survey's "why it matters". */
export const ruleCatalog: readonly RuleMeta[] = [...donorRules, ...kitRules, ...packRules, ...planRules];

/** The rule of an id; undefined where there is none of that name any more. */
export function ruleById(id: string): Rule | undefined {
  return (ruleCatalog as readonly Rule[]).find((rule) => rule.id === id);
}

/** Which rules look at a survey item, by their names. */
export function rulesUsing(id: SurveyItemId): string[] {
  return ruleCatalog.filter((rule) => rule.uses.includes(id)).map((rule) => rule.words);
}

/**
 * A verdict that rests on an assumed value alone is a guess: where the rule would say something else
 * without the value, "stop" and "rework" become "measure", with what it would be said as well.
 */
export function tempered(rule: Rule, context: PlanContext): Finding | null {
  const finding = rule.judge(context);
  if (finding === null || (finding.verdict !== 'stop' && finding.verdict !== 'rework')) return finding;
  const { build } = context;
  const { survey } = build.donor;
  const guessed = finding.evidence.flatMap((e) => (e.item && survey[e.item]?.provenance === 'assumed' ? [e.item] : []));
  if (guessed.length === 0) return finding;
  const known = { ...survey };
  for (const id of guessed) Reflect.deleteProperty(known, id);
  const without = rule.judge(context.on({ ...build, donor: { ...build.donor, survey: known } }));
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

/** Who a finding is about: a part's id, the donor or the plan. */
function subjectOf(rule: RuleMeta, context: PlanContext): string {
  if (rule.about === 'donor') return DONOR;
  if (rule.about === 'plan') return PLAN;
  return (rule.about === 'kit' ? context.kit?.id : context.pack?.id) ?? PLAN;
}

/**
 * A finding with the remedy that was taken for it. The rule has judged the vehicle with the part on: where it now fits,
 * it fits with that part; where it still asks for the very same, the part is one the rule cannot see, and settles
 * rework but never a stop; where it asks for something else, that stands.
 */
function settled(rule: Rule, context: PlanContext, found: Finding, subject: string): Finding {
  const fix = context.build.fixes.find((f) => f.rule === rule.id && f.subject === subject);
  if (!fix || isOverridden(context.build.overrides, rule.id, subject)) return found;
  // Before anything was taken; what only shows with other parts on had no before.
  const before = (context.bare === context ? found : tempered(rule, context.bare)) ?? found;
  const remedy = before.remedies.find((r) => r.id === fix.remedy) ?? found.remedies.find((r) => r.id === fix.remedy);
  if (!remedy || !canBeTaken(before, remedy)) return found;
  const stays = found.verdict === 'rework' && found.remedies.some((r) => r.id === fix.remedy);
  const fixed = { remedy: remedy.id, on: fix.on, was: before.verdict, because: before.title };
  if (found.verdict === 'fits') return { ...found, remedies: before.remedies, fixed };
  if (!stays) {
    const others = found.remedies.filter((r) => r.id !== remedy.id);
    return { ...found, remedies: [...others, remedy], ...(found.verdict === 'measure' ? { fixed } : {}) };
  }
  return {
    ...found,
    verdict: 'fits',
    title: `Fits with ${withWords(remedy, context)}`,
    why: [...found.why, ' To be mended so: ', ...remedy.text],
    fixed,
  };
}

/** A remedy so small that it is no rework: its price below this, its practised minutes up to that. Source: project. */
const SMALL_PRICE = 15;
const SMALL_MINUTES = 10;
/** Groups whose parts hold no axle, no brake and no current, and where nothing is a question of law or of the rider. */
const LIGHT_GROUPS: ReadonlySet<RuleGroup> = new Set(['frame', 'wheel', 'drivetrain', 'controls', 'load']);
const LIGHT_RULES: ReadonlySet<string> = new Set(['cable-run', 'lead-way']);

/** Rework that one cheap part and a few minutes settle, which the bill holds already: it fits with that part. */
function mended(rule: Rule, finding: Finding, context: PlanContext, subject: string): Finding {
  const usual = finding.remedies[0];
  if (isOverridden(context.build.overrides, rule.id, subject)) return finding;
  if (finding.verdict !== 'rework' || finding.fixed || !usual || usual.takes.length === 0 || usual.sets) return finding;
  if (!LIGHT_GROUPS.has(rule.group) && !LIGHT_RULES.has(rule.id)) return finding;
  // What rests on something nobody looked at may need more than that part.
  const { survey } = context.build.donor;
  if (finding.evidence.some(({ item }) => item !== undefined && !isProven(survey[item]))) return finding;
  const price = usual.takes.reduce(
    (sum, t) => sum + t.count * (t.price ?? partById(context.shelf, t.part)?.price ?? Infinity),
    0,
  );
  if (price >= SMALL_PRICE || usual.work > SMALL_MINUTES) return finding;
  return {
    ...finding,
    verdict: 'fits',
    title: `Fits with ${withWords(usual, context)}`,
    why: [...finding.why, ' It is on the bill: ', ...usual.text],
    mended: { remedy: usual.id, was: 'rework', because: finding.title },
  };
}

/** What a taken remedy brings, in a few words. */
function withWords(remedy: Remedy, { shelf }: PlanContext): string {
  const names = mergedTakings(remedy.takes).map(({ part, count }) => {
    const name = (partById(shelf, part)?.name ?? part).toLowerCase();
    return count > 1 ? `${count} × ${name}` : name;
  });
  if (names.length > 0) return names.join(' and ');
  return remedy.does === 'set' ? 'it set as said' : 'the work done';
}

/** One rule on one context, tempered, with its subject and any override. */
export function judgeBy(rule: Rule, context: PlanContext): Finding | null {
  const found = tempered(rule, context);
  if (found === null) return null;
  const { overrides } = context.build;
  const subject = subjectOf(rule, context);
  const finding = mended(rule, settled(rule, context, found, subject), context, subject);
  // Field by field: a plan has thousands, and a spread object costs ten times as much.
  const whole: Finding = {
    rule: finding.rule,
    stage: finding.stage,
    verdict: finding.verdict,
    title: finding.title,
    why: finding.why,
    evidence: finding.evidence,
    remedies: finding.remedies,
    source: finding.source,
    subject,
  };
  if (rule.fitCritical) whole.fitCritical = true;
  if (rule.school) whole.school = rule.school;
  if (finding.fixed) whole.fixed = finding.fixed;
  if (finding.mended) whole.mended = finding.mended;
  return overrides.length > 0 ? withOverride(whole, overrides) : whole;
}

/** Findings as a judgement: worst first, with the verdict that stands. */
export function judgement(findings: readonly Finding[]): Judgement {
  return { verdict: standing(findings), findings: worstFirst(findings) };
}

/** Every rule about one thing on a context: the kit or pack in question, the donor, the plan. */
export function judgeAbout(about: RuleSubject, context: PlanContext): Judgement {
  return finish(judgeInSteps(about, context));
}

/** The same, a rule a step. */
export function* judgeInSteps(about: RuleSubject, context: PlanContext): Steps<Judgement> {
  const findings: Finding[] = [];
  for (const rule of rulesAbout[about]) {
    const finding = judgeBy(rule, context);
    if (finding !== null) findings.push(finding);
    yield;
  }
  return judgement(findings);
}

/** The worst verdict that stands: what was overridden, with its reason, no longer counts. */
export function standing(findings: readonly Finding[]): Verdict {
  const open = findings.filter((f) => !f.override);
  return open.length === 0 && findings.length > 0 ? 'fits' : worstOf(open);
}

/** How findings are headed: the verdict for the head, and what is open in a few words. */
export interface Heading {
  verdict: Verdict;
  /** “2 to rework, 9 to measure”; empty where nothing is open. */
  words: string;
}

/** A head over findings: the gravest that is known leads, and what else is open is counted beside it. */
export function headOf(findings: readonly Finding[]): Heading {
  const open = findings.filter((f) => !f.override);
  const count = (verdict: Verdict): number => open.filter((f) => f.verdict === verdict).length;
  const [stops, reworks, measures] = [count('stop'), count('rework'), count('measure')];
  const words = [
    stops > 0 ? `${stops} to stop` : '',
    reworks > 0 ? `${reworks} to rework` : '',
    measures > 0 ? `${measures} to measure` : '',
  ];
  return {
    verdict: standing(findings),
    words: words.filter((w) => w !== '').join(', '),
  };
}

/** The same rules with the cheap ones first: a stop found early saves laying packs out and riding roads. */
const cheapFirst = (rules: readonly Rule[]): readonly Rule[] =>
  [...rules].sort((a, b) => Number(a.dear === true) - Number(b.dear === true));
const screening: Record<RuleSubject, readonly Rule[]> = {
  donor: cheapFirst(donorRules),
  kit: cheapFirst(kitRules),
  pack: cheapFirst(packRules),
  plan: cheapFirst(planRules),
};

/** The first rule that stops a candidate and is not overridden; null where none does. Cheap rules are asked first. */
export function firstStop(about: RuleSubject, context: PlanContext): Finding | null {
  for (const rule of screening[about]) {
    const finding = judgeBy(rule, context);
    if (finding?.verdict === 'stop' && !finding.override) return finding;
  }
  return null;
}

/** Parts of the remedies a build has taken, found again by rule, subject and remedy; what no longer applies is left out. */
export function takenBy(context: PlanContext): TakenFix[] {
  return context.build.fixes.flatMap((fix): TakenFix[] => {
    const rule = ruleById(fix.rule);
    const finding = rule ? judgeBy(rule, context) : null;
    if (finding?.subject !== fix.subject || finding.override) return [];
    const takes = finding.remedies.find((r) => r.id === fix.remedy)?.takes ?? [];
    return takes.length === 0 ? [] : [{ subject: fix.subject, takes }];
  });
}
