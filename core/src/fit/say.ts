import type { Remedy } from '../build/remedy.ts';
import type { StageId } from '../build/stage.ts';
import type { Survey, SurveyItemId } from '../donor/donor.ts';
import { isProven, provenanceWords } from '../donor/entry.ts';
import { hasEnds } from '../donor/kinds.ts';
import { surveyItem } from '../donor/survey.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';
import type { Phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { Verdict } from '../verdict.ts';
import type { Evidence, Finding } from './finding.ts';
import { measureIt } from './remedies.ts';
import { groupStages, surveyed, type Rule, type RuleGroup, type RuleMeta } from './rule.ts';

type Value<K extends SurveyItemId> = NonNullable<Survey[K]>['value'];

/**
 * Items of the donor that a conversion may replace: rings, cogs, hub gears, tyres. A rule reads what will be there
 * (gearsThatWillBe), and cannot ask for the donor's own by mistake; `asItIs` says that it means to.
 */
export type Replaceable =
  | 'cogTeeth'
  | 'ringTeeth'
  | 'clusterKind'
  | 'hubGear'
  | 'hubGearRatioFloor'
  | 'hubGearRatioCeiling'
  | 'hubGearTorque'
  | 'hubGearLargestCog'
  | 'rearTyre'
  | 'frontTyre';
type Kept = Exclude<SurveyItemId, Replaceable>;

/** What a rule answers with. It collects the evidence as the rule looks, and keeps "fits" honest. */
export interface Say {
  /** An item the verdict rests on: without proof of it nothing fits. */
  need<K extends Kept>(id: K): Value<K> | undefined;
  /** An item that is looked at but does not have to be proven. */
  look<K extends Kept>(id: K): Value<K> | undefined;
  /** What the donor had before, where that is meant: what is taken off or left behind. */
  asItIs<K extends SurveyItemId>(id: K): Value<K> | undefined;
  /** The donor's own of what a conversion may replace, needed; for the readers of what will be alone. */
  needOwn<K extends SurveyItemId>(id: K): Value<K> | undefined;
  because(...evidence: Evidence[]): void;
  /** "Fits", or "measure" where something needed is missing or unproven. */
  fits(title: string, why: Phrase): Finding;
  rework(title: string, why: Phrase, ...remedies: Remedy[]): Finding;
  stop(title: string, why: Phrase, ...remedies: Remedy[]): Finding;
  /** "Measure" for what is missing of the needed items, or for the remedies given. */
  open(title: string, why: Phrase, ...remedies: Remedy[]): Finding;
}

/** A rule before it is told what it is about. */
export interface Spec extends Omit<RuleMeta, 'about'> {
  /** What it leans on: a standard, workshop practice, a formula. */
  source: string;
}

/** One rule's answer in the making. A class, since thousands are made in every plan. */
class Speaker implements Say {
  private readonly evidence: Evidence[] = [];
  private readonly needed: SurveyItemId[] = [];
  private readonly spec: Spec;
  private readonly context: PlanContext;

  constructor(spec: Spec, context: PlanContext) {
    this.spec = spec;
    this.context = context;
  }

  need<K extends SurveyItemId>(id: K): Value<K> | undefined {
    this.needed.push(id);
    return this.look(id);
  }

  needOwn<K extends SurveyItemId>(id: K): Value<K> | undefined {
    return this.need(id);
  }

  asItIs<K extends SurveyItemId>(id: K): Value<K> | undefined {
    return this.look(id);
  }

  look<K extends SurveyItemId>(id: K): Value<K> | undefined {
    this.evidence.push(surveyed(this.context, id));
    return this.context.build.donor.survey[id]?.value as Value<K> | undefined;
  }

  because(...more: Evidence[]): void {
    this.evidence.push(...more);
  }

  fits(title: string, why: Phrase): Finding {
    const open = this.unproven();
    if (open.length === 0) return this.finding('fits', title, why, []);
    const { survey } = this.context.build.donor;
    const named = open.map((id) => {
      const entry = survey[id];
      const label = surveyItem(id).label.toLowerCase();
      return entry ? `${label} is ${provenanceWords[entry.provenance]}` : `${label} is not measured`;
    });
    return this.finding(
      'measure',
      `${title}, if it proves so`,
      [...why, ` But ${named.join(', ')}.`],
      open.map(measureIt),
    );
  }

  rework(title: string, why: Phrase, ...remedies: Remedy[]): Finding {
    return this.finding('rework', title, why, remedies);
  }

  stop(title: string, why: Phrase, ...remedies: Remedy[]): Finding {
    return this.finding('stop', title, why, remedies);
  }

  open(title: string, why: Phrase, ...remedies: Remedy[]): Finding {
    return this.finding('measure', title, why, remedies.length > 0 ? remedies : this.unproven().map(measureIt));
  }

  private unproven(): SurveyItemId[] {
    const { survey } = this.context.build.donor;
    return this.needed.filter((id) => !isProven(survey[id]));
  }

  private finding(verdict: Verdict, title: string, why: Phrase, remedies: Remedy[]): Finding {
    const { id, group, source } = this.spec;
    const stage: StageId = groupStages[group];
    return { rule: id, stage, verdict, title, why, evidence: this.evidence, remedies, source };
  }
}

/** A rule’s answer in the making, for rules that are asked more than one question. */
export function speak(spec: Spec, context: PlanContext): Say {
  return new Speaker(spec, context);
}

/** Groups of rules that look at the ends a hub's axle sits in. */
const ASKS_ENDS: ReadonlySet<RuleGroup> = new Set<RuleGroup>(['axle', 'wheel']);

/** A rule about a kit on the donor: the kit in question of the context. */
export function kitRule(spec: Spec, judge: (context: PlanContext, kit: Kit, say: Say) => Finding | null): Rule {
  return {
    ...spec,
    about: 'kit',
    judge: (context) => {
      const { kit } = context;
      if (!kit) return null;
      // What a wheel's ends are like is asked only where it has any; that it has none is the driven wheels' verdict.
      if (kit.hub && ASKS_ENDS.has(spec.group) && !hasEnds(context.build.donor.kind, kit.hub.place)) return null;
      return judge(context, kit, new Speaker(spec, context));
    },
  };
}

/** A rule about a pack, with the kit where one is in question. */
export function packRule(
  spec: Spec,
  judge: (context: PlanContext, pack: Pack, kit: Kit | null, say: Say) => Finding | null,
): Rule {
  return {
    ...spec,
    about: 'pack',
    judge: (context) => (context.pack ? judge(context, context.pack, context.kit, new Speaker(spec, context)) : null),
  };
}

/** A rule about the donor and its riders alone. */
export function donorRule(spec: Spec, judge: (context: PlanContext, say: Say) => Finding | null): Rule {
  return { ...spec, about: 'donor', judge: (context) => judge(context, new Speaker(spec, context)) };
}

/** A rule about the plan as a whole: what the brief asks, and whether what was chosen goes together. */
export function planRule(spec: Spec, judge: (context: PlanContext, say: Say) => Finding | null): Rule {
  return { ...spec, about: 'plan', judge: (context) => judge(context, new Speaker(spec, context)) };
}
