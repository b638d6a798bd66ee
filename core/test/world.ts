import { newBuild, type Build } from '../src/build/build.ts';
import type { Taking } from '../src/build/remedy.ts';
import type { SurveyItemId } from '../src/donor/donor.ts';
import type { VehicleKind } from '../src/donor/kinds.ts';
import { judgeAbout, ruleById } from '../src/fit/judge.ts';
import type { Finding } from '../src/fit/finding.ts';
import type { Kit } from '../src/parts/kit.ts';
import type { Pack } from '../src/parts/pack.ts';
import type { Shelf } from '../src/parts/part.ts';
import { starterShelf } from '../src/parts/shelf/starterShelf.ts';
import { referencePack } from '../src/plan/candidates.ts';
import { PlanContext } from '../src/vehicle/context.ts';
import { city } from './city.ts';
import { typedSurvey, type Typed } from './typed.ts';

/** A build with a kit and a pack on it that a test may change as it likes. */
export interface World {
  build: Build;
  kit: Kit;
  pack: Pack;
  /** Parts of remedies that were taken. */
  taken?: Taking[];
}

export interface WorldOf {
  kind?: VehicleKind;
  kit?: string;
  pack?: string;
  survey?: Typed;
  taken?: Taking[];
  edit?: (world: World) => void;
}

export const kitNamed = (id: string): Kit => {
  const found = starterShelf.kit.find((k) => k.id === id);
  if (!found) throw new Error(`no kit ${id}`);
  return structuredClone(found);
};
export const packNamed = (id: string): Pack => {
  const found = starterShelf.pack.find((p) => p.id === id);
  if (!found) throw new Error(`no pack ${id}`);
  return structuredClone(found);
};

/** The city bike with what a case changes; every part a copy. */
export function world({
  kind = 'diamond',
  kit = 'otter-r250',
  pack = 'kettle-36-13',
  survey = {},
  taken = [],
  edit,
}: WorldOf): World {
  const build = newBuild('case', 'Case', '2026-01-01T00:00:00.000Z');
  build.donor.kind = kind;
  build.donor.survey = typedSurvey({ ...city, ...survey });
  build.choice.kitId = kit;
  build.choice.packId = pack;
  build.closing[kit] = { others: [], nothingElse: true };
  const [rider] = build.brief.riders;
  if (rider) rider.ageYears = 40;
  const made: World = { build, kit: kitNamed(kit), pack: packNamed(pack), taken };
  edit?.(made);
  return made;
}

/** The world’s context; its own kit and pack stand in place of the shelf’s. */
export function contextOf({ build, kit, pack, taken = [] }: World): PlanContext {
  const shelf = {
    ...starterShelf,
    kit: [kit, ...starterShelf.kit.filter((k) => k.id !== kit.id)],
    pack: [pack, ...starterShelf.pack.filter((p) => p.id !== pack.id)],
  };
  const context = PlanContext.of(build, shelf, false);
  return taken.length === 0 ? context : context.having([{ subject: kit.id, takes: taken }]);
}

/** What one rule says of a world; null where it does not apply. */
export function judged(rule: string, made: World): Finding | null {
  const found = ruleById(rule);
  if (!found) throw new Error(`no rule ${rule}`);
  return found.judge(contextOf(made));
}

/** Measures one item of a world at a value, SI. */
export function measure(made: World, id: SurveyItemId, value: unknown): void {
  (made.build.donor.survey as Record<string, unknown>)[id] = {
    value,
    typed: '',
    unit: '',
    provenance: 'measured',
    note: '',
  };
}

/** Sets a hub’s or mid-drive’s peak torque, N·m: (kt·I − loss)·G·η solved for the phase current. */
export function torque({ kit }: World, nm: number): void {
  const { ktNmPerA, coulombNm, reduction, gearEfficiency } = kit.motor;
  kit.controller.phaseLimitA = (nm / (reduction * gearEfficiency) + coulombNm) / ktNmPerA;
}

/** A road of one grade, so that the steepest stretch is known. */
export function grade({ build }: World, rise: number): void {
  build.brief.route = {
    id: 'even',
    name: 'Even road',
    source: 'described',
    points: [
      { distanceM: 0, elevationM: 0 },
      { distanceM: 1000, elevationM: 1000 * rise },
    ],
    surface: 'asphalt',
    stopsPerKm: 0,
    rawClimbM: 1000 * rise,
    notes: [],
    stretches: [],
    reversed: false,
  };
}

/** Halves down to where a rising function passes a value. */
export function whereIs(value: number, of: (x: number) => number, low: number, high: number): number {
  let a = low;
  let b = high;
  for (let i = 0; i < 60; i++) {
    const middle = (a + b) / 2;
    if (of(middle) < value) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/** Every kit rule's finding on a build, by rule, with the first pack given that suits the kit: no other kit is judged. */
export function kitFindings(build: Build, shelf: Shelf, kitId: string): Map<string, Finding> {
  const kit = shelf.kit.find((k) => k.id === kitId);
  if (!kit) throw new Error(`no kit ${kitId}`);
  const context = PlanContext.of(build, shelf);
  const judgedKit = judgeAbout('kit', context.with(kit, referencePack(context, kit)));
  return new Map(judgedKit.findings.map((f) => [f.rule, f]));
}
