import { newBuild } from '../build/build.ts';
import type { DonorGeometry, Point } from '../donor/geometry.ts';
import type { VehicleKind } from '../donor/kinds.ts';
import type { Shelf } from '../parts/part.ts';
import { PlanContext } from '../vehicle/context.ts';
import type { Verdict } from '../verdict.ts';
import type { ChosenPlan } from './planBuild.ts';
import type { MotorDrawing } from './stages/drive.ts';

/** What a small side view of a build is drawn from. */
export interface MiniDrawing {
  geometry: Pick<
    DonorGeometry,
    'rearAxle' | 'frontAxle' | 'rearRadiusM' | 'frontRadiusM' | 'box' | 'shell' | 'saddle' | 'grip' | 'headTop'
  > & { tubes: readonly { name: string; points: Point[]; curved?: boolean }[] };
  motor: Pick<MotorDrawing, 'centre' | 'radiusM'> | null;
  pack: { outline: Point[]; verdict: Verdict } | null;
}

/** A build in a line, for a list of many: what it is, how it stands, how far it goes. Plain data, to be kept beside it. */
export interface BuildSummary {
  verdict: Verdict;
  /** The worst thing found; null where everything fits. */
  worst: string | null;
  kitName: string | null;
  packName: string | null;
  /** The range’s band, m; null where nothing is reckoned yet. */
  rangeM: { low: number; high: number } | null;
  drawing: MiniDrawing;
}

/** The line of a plan. */
export function summaryOf(plan: ChosenPlan): BuildSummary {
  const { geometry: g, motor, pack } = plan.drawing;
  // What the verdict is for: the gravest that is known.
  const worst = plan.findings.find((f) => f.verdict === plan.verdict && !f.override) ?? plan.findings[0];
  const { band } = plan.pack;
  return {
    verdict: plan.verdict,
    worst: worst && worst.verdict !== 'fits' ? worst.title : null,
    kitName: plan.chosen.kit?.name ?? null,
    packName: plan.chosen.pack?.name ?? null,
    rangeM: band && !band.hardly ? { low: band.lowM, high: band.highM } : null,
    drawing: miniDrawing(g, motor, pack),
  };
}

/** A small side view of a vehicle with a motor and a pack. */
export function miniDrawing(
  g: DonorGeometry,
  motor: MotorDrawing | null,
  pack: { outline: Point[]; verdict: Verdict } | null,
): MiniDrawing {
  return {
    geometry: {
      rearAxle: g.rearAxle,
      frontAxle: g.frontAxle,
      rearRadiusM: g.rearRadiusM,
      frontRadiusM: g.frontRadiusM,
      box: g.box,
      shell: g.shell,
      saddle: g.saddle,
      grip: g.grip,
      headTop: g.headTop,
      tubes: g.tubes.map((t) => ({ name: t.name, points: t.points, ...(t.curved ? { curved: true } : {}) })),
    },
    motor: motor ? { centre: motor.centre, radiusM: motor.radiusM } : null,
    pack: pack ? { outline: pack.outline, verdict: pack.verdict } : null,
  };
}

/** A kind of vehicle drawn small, from its common sizes. */
export function kindDrawing(kind: VehicleKind, shelf: Shelf): MiniDrawing {
  const build = newBuild(kind, kind, '2026-01-01T00:00:00.000Z');
  build.donor.kind = kind;
  return miniDrawing(PlanContext.of(build, shelf, false).geometry, null, null);
}
