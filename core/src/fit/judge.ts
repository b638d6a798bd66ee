import type { Kit, Pack } from '../parts/part.ts';
import { worstFirst, worstOf, type Finding, type Verdict } from './finding.ts';
import type { DonorRule, FitContext, KitRule, PackRule } from './rule.ts';
import { axleSeat } from './rules/axleSeat.ts';
import { axleSlot } from './rules/axleSlot.ts';
import { bottomBracket } from './rules/bottomBracket.ts';
import { brakeKind } from './rules/brakeKind.ts';
import { clusterMount } from './rules/clusterMount.ts';
import { conditionRules } from './rules/condition.ts';
import { dropoutSpacing } from './rules/dropoutSpacing.ts';
import { frameMaterial } from './rules/frameMaterial.ts';
import { legal } from './rules/legal.ts';
import { loadLimit } from './rules/loadLimit.ts';
import { packAmps } from './rules/packAmps.ts';
import { packPlace } from './rules/packPlace.ts';
import { packVolts } from './rules/packVolts.ts';
import { wheelSize } from './rules/wheelSize.ts';

export const kitRules: readonly KitRule[] = [
  frameMaterial,
  bottomBracket,
  axleSlot,
  dropoutSpacing,
  axleSeat,
  wheelSize,
  brakeKind,
  clusterMount,
  loadLimit,
  legal,
];
export const packRules: readonly PackRule[] = [packPlace, packVolts, packAmps];
export const donorRules: readonly DonorRule[] = conditionRules;

/** Findings with the worst of their verdicts. */
export interface Judgement {
  verdict: Verdict;
  /** Worst first. */
  findings: Finding[];
}

function judgement(findings: (Finding | null)[]): Judgement {
  const all = worstFirst(findings.filter((f) => f !== null));
  return { verdict: worstOf(all), findings: all };
}

/** Every kit rule on one kit. */
export function judgeKit(context: FitContext, kit: Kit): Judgement {
  return judgement(kitRules.map((rule) => rule.judge(context, kit)));
}

/** Every pack rule on one pack, with the kit where one is chosen. */
export function judgePack(context: FitContext, pack: Pack, kit: Kit | null): Judgement {
  return judgement(packRules.map((rule) => rule.judge(context, pack, kit)));
}

/** Every rule on the donor alone. */
export function judgeDonor(context: FitContext): Judgement {
  return judgement(donorRules.map((rule) => rule.judge(context)));
}
