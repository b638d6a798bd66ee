import type { PlanContext } from '../vehicle/context.ts';
import { emptyTrace, simulate } from '../ride/simulate.ts';
import type { RideCase } from '../ride/case.ts';
import { flatRoute, routeSegments } from '../ride/route.ts';
import type { LivePlan } from './meter.ts';

/** What the live page holds a ride against; null where nothing can be ridden. */
export function livePlan(context: PlanContext): LivePlan | null {
  const { reckoning, band, build, road } = context;
  if (!reckoning || !band) return null;
  const { system, toEmpty } = reckoning;
  const trace = emptyTrace();
  simulate(system, road, { repeat: false, fine: true, trace });
  let energyWh = 0;
  let before = 0;
  const foretold = trace.distanceM.map((distanceM, i) => {
    const timeS = trace.timeS[i] as number;
    energyWh += ((trace.packW[i] as number) * (timeS - before)) / 3600;
    before = timeS;
    return { distanceM, energyWh };
  });
  const use = toEmpty.energyWh / Math.max(1, toEmpty.distanceM);
  return {
    use: { mid: use, low: (use * band.midM) / band.highM, high: (use * band.midM) / band.lowM },
    usableWh: toEmpty.energyWh,
    emptyAt: toEmpty.endCharge,
    roadM: reckoning.routeM,
    thereAndBack: build.brief.thereAndBack,
    foretold,
  };
}

/** The build's own ride as a case, for whoever rides it elsewhere; null where nothing can be ridden. */
export function rideCaseOf({ reckoning, build }: PlanContext): RideCase | null {
  if (!reckoning) return null;
  const { motor, controller, pack, vehicle, rider, air } = reckoning.system;
  return {
    motor: { ...motor },
    controller: { ...controller },
    pack: {
      chemistry: pack.chemistry,
      series: pack.series,
      parallel: pack.parallel,
      cellAh: pack.cellAh,
      cellOhm: pack.cellOhm,
      leadOhm: pack.leadOhm,
      cutoffVPerCell: pack.cutoffVPerCell,
      usable: pack.usable,
      health: pack.health,
    },
    vehicle: { ...vehicle, cogs: [...vehicle.cogs] },
    rider: { ...rider },
    air: { ...air },
    route: { segments: routeSegments(build.brief.route ?? flatRoute, build.brief), repeat: false },
  };
}
