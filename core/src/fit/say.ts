import type { Survey, SurveyItemId } from '../donor/donor.ts';
import { isProven, provenanceWords } from '../donor/entry.ts';
import { surveyItem } from '../donor/survey.ts';
import type { Kit, Pack } from '../parts/part.ts';
import { phrase, type Phrase } from '../quantity/format.ts';
import type { Area, Evidence, Finding, Remedy, Verdict } from './finding.ts';
import {
  measureIt,
  surveyed,
  type DonorRule,
  type FitContext,
  type KitRule,
  type PackRule,
  type RuleMeta,
} from './rule.ts';

type Value<K extends SurveyItemId> = NonNullable<Survey[K]>['value'];

/** What a rule answers with. It collects the evidence as the rule looks, and keeps "fits" honest. */
export interface Say {
  /** An item the verdict rests on: without proof of it nothing fits. */
  need<K extends SurveyItemId>(id: K): Value<K> | undefined;
  /** An item that is looked at but does not have to be proven. */
  look<K extends SurveyItemId>(id: K): Value<K> | undefined;
  because(...evidence: Evidence[]): void;
  /** "Fits", or "measure" where something needed is missing or unproven. */
  fits(title: string, why: Phrase): Finding;
  rework(title: string, why: Phrase, ...remedies: Remedy[]): Finding;
  stop(title: string, why: Phrase, ...remedies: Remedy[]): Finding;
  /** "Measure" for what is missing of the needed items, or for the remedies given. */
  open(title: string, why: Phrase, ...remedies: Remedy[]): Finding;
}

interface Spec extends RuleMeta {
  area: Area;
  source: string;
}

/** A remedy in one line. */
export function remedy(text: Phrase, rest: Omit<Remedy, 'text'> = {}): Remedy {
  return { text, ...rest };
}

/** Ask the maker or seller for a figure the part's data lacks. */
export function askFor(what: string): Remedy {
  return remedy(phrase`Ask the seller for ${what}, in writing, before ordering.`);
}

/** One rule's answer in the making. A class, since thousands are made in every plan. */
class Speaker implements Say {
  private readonly evidence: Evidence[] = [];
  private readonly needed: SurveyItemId[] = [];
  private readonly spec: Spec;
  private readonly context: FitContext;

  constructor(spec: Spec, context: FitContext) {
    this.spec = spec;
    this.context = context;
  }

  need<K extends SurveyItemId>(id: K): Value<K> | undefined {
    this.needed.push(id);
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
    const { id, area, source } = this.spec;
    return { rule: id, area, verdict, title, why, evidence: this.evidence, remedies, source };
  }
}

type SpecOf = Omit<Spec, 'area'> & { area?: Area };

/** A rule about a kit on the donor. */
export function kitRule(spec: SpecOf, judge: (context: FitContext, kit: Kit, say: Say) => Finding | null): KitRule {
  const full: Spec = { area: 'drive', ...spec };
  return { ...full, judge: (context, kit) => judge(context, kit, new Speaker(full, context)) };
}

/** A rule about a pack, with the kit where one is chosen. */
export function packRule(
  spec: SpecOf,
  judge: (context: FitContext, pack: Pack, kit: Kit | null, say: Say) => Finding | null,
): PackRule {
  const full: Spec = { area: 'pack', ...spec };
  return { ...full, judge: (context, pack, kit) => judge(context, pack, kit, new Speaker(full, context)) };
}

/** A rule about the donor and its riders alone. */
export function donorRule(spec: SpecOf, judge: (context: FitContext, say: Say) => Finding | null): DonorRule {
  const full: Spec = { area: 'donor', ...spec };
  return { ...full, judge: (context) => judge(context, new Speaker(full, context)) };
}
