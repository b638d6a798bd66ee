import { lineSteps } from '../../work/steps/lineSteps.ts';
import { benchOrder } from '../../work/steps/order.ts';
import { stepSheets, type StepSheet } from '../../work/steps/sheets.ts';
import type { BenchWork } from '../money.ts';
import type { PartsPart } from './parts.ts';
import { rulesOf, type PlanStage } from './stage.ts';
import type { WiringPart } from './wiring.ts';

/** What is done at the bench, with what, in which order. */
export interface BenchSheet extends BenchWork {
  /** Step that takes each line of the bill, by the line's key. */
  fits: Readonly<Record<string, string>>;
  /** All steps, as they are best done one after another, by id. */
  order: string[];
  /** What is said of each step besides, by id. */
  sheets: Readonly<Record<string, StepSheet>>;
}

export const buildStage: PlanStage<'build', BenchSheet, { parts: PartsPart; wiring: WiringPart }> = {
  id: 'build',
  rules: rulesOf('build'),
  plan: (context, { parts, wiring }, { work }) => ({
    ...work,
    fits: lineSteps(parts.bill.lines, work.steps),
    order: benchOrder(work.steps),
    sheets: stepSheets(context, work.steps, {
      leads: wiring.all?.leads ?? [],
      power: wiring.all?.power ?? null,
      settings: wiring.settings,
    }),
  }),
};
