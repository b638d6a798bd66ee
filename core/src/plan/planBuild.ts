import { isProven } from '../donor/entry.ts';
import type { StageId } from '../build/stage.ts';
import { budgetFinding } from './budget.ts';
import type { Build } from '../build/build.ts';
import type { DonorGeometry, Point } from '../donor/geometry.ts';
import type { Finding } from '../fit/finding.ts';
import { headOf, judgeInSteps } from '../fit/judge.ts';
import { groupStages } from '../fit/rule.ts';
import { canIt, worthIt, type CanIt, type WorthIt } from '../fit/worth.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack, PackPlace } from '../parts/pack.ts';
import type { Shelf } from '../parts/part.ts';
import { finish, type Steps } from '../steps.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { worstFirst, type Verdict } from '../verdict.ts';
import { judgeCandidates, type Candidates } from './candidates.ts';
import { planContext } from './context.ts';
import type { Figure } from './figure.ts';
import { tallyFigures } from './figures.ts';
import { moneyOf, type Money } from './money.ts';
import { planStages, type JudgedStageId, type StageParts } from './stages.ts';
import type { MotorDrawing } from './stages/drive.ts';
import type { Judged } from './stages/stage.ts';

/** What the drawing shows besides the donor. */
export interface PlanDrawing {
  geometry: DonorGeometry;
  motor: MotorDrawing | null;
  pack: {
    name: string;
    verdict: Verdict;
    clearanceM: number | null;
    outline: Point[];
    slidOff: Point[] | null;
    place: PackPlace;
  } | null;
  ringRadiusM: number;
  cogRadiusM: number;
}

/** How a stage stands: its worst verdict, and how many of each. */
export interface StageStanding {
  verdict: Verdict;
  counts: Record<Verdict, number>;
}

/** The plan of what is chosen: quick enough for every keystroke. Each stage's part stands under its name. */
export interface ChosenPlan extends StageParts {
  figures: Figure[];
  findings: Finding[];
  stages: Record<JudgedStageId, StageStanding>;
  verdict: Verdict;
  chosen: { kit: Kit | null; pack: Pack | null };
  money: Money;
  drawing: PlanDrawing;
}

/** The two answers: can it take a kit, and is it worth one. */
export interface Answers {
  can: CanIt;
  worth: WorthIt;
}

/** Everything the screens show. Derived from a build and a shelf, never edited, never stored. */
export interface BuildPlan extends ChosenPlan, Candidates, Answers {
  /** False until the candidates have been judged: then `kits`, `packs` and `families` are empty. */
  judged: boolean;
}

/** The plan of what is chosen, one pure call over the list of stages; no other candidate is looked at. */
export function planChosen(context: PlanContext): ChosenPlan {
  return finish(planInSteps(context));
}

/** The same in steps of one rule or one stage: for a page that opens a build while its code is still cold. */
export function* planInSteps(context: PlanContext): Steps<ChosenPlan> {
  const { kit, pack } = context;
  // Among equals the brief comes first, then the vehicle, its parts, and what the plan as a whole comes to.
  const whole = (yield* judgeInSteps('plan', context)).findings;
  const judged = worstFirst([
    ...whole.filter((f) => f.stage === 'brief'),
    ...(yield* judgeInSteps('donor', context)).findings,
    ...(yield* judgeInSteps('kit', context)).findings,
    ...(yield* judgeInSteps('pack', context)).findings,
    ...whole.filter((f) => f.stage !== 'brief'),
  ]);
  const { money, work } = moneyOf(context, judged);
  // The budget is held against the whole conversion, which only stands once everything is judged.
  const findings = worstFirst([...judged, ...budgetFinding(context, money)]);
  const parts: Partial<StageParts> = {};
  for (const stage of planStages) {
    if (!('plan' in stage)) continue;
    const here = findings.filter((f) => f.stage === stage.id);
    // Each stage says in its type which earlier parts it reads; the list's order is what makes them be there.
    const plan = stage.plan as (c: PlanContext, earlier: Partial<StageParts>, judged: Judged) => unknown;
    Object.assign(parts, { [stage.id]: plan(context, parts, { here, all: findings, money, work }) });
    yield;
  }
  return {
    ...(parts as StageParts),
    figures: tallyFigures(context, money),
    findings,
    stages: standings(findings),
    verdict: headOf(findings).verdict,
    chosen: { kit, pack },
    money,
    drawing: drawingOf(context, parts as StageParts),
  };
}

/** How each stage stands that rules are shown on, in the order of the work. */
function standings(findings: readonly Finding[]): ChosenPlan['stages'] {
  const judged = new Set<string>(Object.values(groupStages));
  const rows = planStages.filter(({ id }) => judged.has(id)).map(({ id }) => [id, standingOf(id, findings)]);
  return Object.fromEntries(rows) as ChosenPlan['stages'];
}

/** How a stage stands by its findings; "measure" where it has none, since nothing was shown to fit. */
function standingOf(id: StageId, findings: readonly Finding[]): StageStanding {
  const here = findings.filter((f) => f.stage === id);
  const counts: Record<Verdict, number> = { stop: 0, rework: 0, measure: 0, fits: 0 };
  for (const f of here) if (!f.override) counts[f.verdict]++;
  return { verdict: here.length === 0 ? 'measure' : headOf(here).verdict, counts };
}

/** Measurements from which on a nearest kit is named. Source: project. */
const NAMES_A_KIT_FROM = 12;

/** The two answers from a plan and, once judged, what else is on the shelf. */
function answersOf(build: Build, plan: ChosenPlan, candidates: Candidates | null): Answers {
  const { kit } = plan.chosen;
  // A nearest kit is only named once there is something to be near to.
  const known = Object.values(build.donor.survey).filter((entry) => isProven(entry)).length >= NAMES_A_KIT_FROM;
  const best = known ? candidates?.kits[0] : undefined;
  const { parts, remedies, mending, bench, conversion, donor, minutes } = plan.money;
  return {
    can: canIt(plan.findings, kit, best ? { name: best.kit.name, verdict: best.verdict } : null),
    worth: worthIt(
      build,
      plan.findings,
      { parts, remedies, mending, bench, donor, total: conversion + donor, minutes },
      candidates ? candidates.kits.filter((k) => k.verdict !== 'stop').length : null,
    ),
  };
}

/** A plan of what is chosen with the candidates, or without them while they are being judged. */
export function wholePlan(build: Build, plan: ChosenPlan, candidates: Candidates | null): BuildPlan {
  return {
    ...plan,
    ...(candidates ?? { kits: [], families: [], packs: [] }),
    ...answersOf(build, plan, candidates),
    judged: candidates !== null,
  };
}

/**
 * The whole judgement and arithmetic of one build, one pure call: the chosen plan and every candidate.
 * @param build what the person said, measured and chose
 * @param starter parts to choose from
 * @returns figures with their sums, findings, candidates, gears and the drawing; all plain data
 */
export function planBuild(build: Build, starter: Shelf): BuildPlan {
  const context = planContext(build, starter);
  return wholePlan(build, planChosen(context), judgeCandidates(context));
}

/** Half an inch of chain, half of it: what a sprocket's radius comes from, m. Source: ISO 606. */
const HALF_PITCH = 0.00635;
/** Smallest sprocket drawn, and what a hub gear's cog ÷ ratio is drawn as, teeth. */
const LEAST_DRAWN = 11;
const HUB_GEAR_DRAWN = 19;
const MOST_DRAWN = 50;

function drawingOf(context: PlanContext, parts: StageParts): PlanDrawing {
  const { geometry, gearing, pack } = context;
  const toothRadius = (teeth: number): number => HALF_PITCH / Math.sin(Math.PI / teeth);
  const taken = parts.pack.layout.pack?.taken;
  const biggest = Math.max(...gearing.gears.map((g) => g.cog));
  return {
    geometry,
    motor: parts.drive.motor,
    pack:
      pack && taken
        ? {
            name: pack.name,
            verdict: taken.verdict,
            clearanceM: taken.clearanceM,
            outline: taken.outline,
            slidOff: taken.slidOff,
            place: taken.place,
          }
        : null,
    ringRadiusM: toothRadius(gearing.ring),
    cogRadiusM: toothRadius(Math.max(LEAST_DRAWN, Math.round(biggest > MOST_DRAWN ? HUB_GEAR_DRAWN : biggest))),
  };
}
