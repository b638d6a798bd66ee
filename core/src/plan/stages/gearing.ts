import { BRISK_CADENCE_RPM, EASY_CADENCE_RPM } from '../../constants.ts';
import { tyreRadius } from '../../quantity/tyre.ts';
import { cadenceAt, speedAtCadence, startGrade, steadySpeed } from '../../ride/steady.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import type { Gearing } from '../../vehicle/gearing.ts';
import { rulesOf, type PlanStage } from './stage.ts';

/** One gear: speeds at two cadences, cadence at cruise, and for each what it starts on and holds. */
export interface GearRow {
  label: string;
  cog: number;
  ratio: number;
  easyMs: number;
  briskMs: number;
  cadenceAtCruise: number;
  startGrade: number | null;
  climbMs: number | null;
}

/** What the gearing comes to: ring and gears it would ride with, and what each gear does. */
export interface GearingPart extends Gearing {
  rows: GearRow[];
}

export const gearingStage: PlanStage<'gearing', GearingPart> = {
  id: 'gearing',
  rules: rulesOf('gearing'),
  plan: (context) => ({ ...context.gearing, rows: gearRows(context) }),
};

function gearRows(context: PlanContext): GearRow[] {
  const { build, gearing, reckoning, climbGrade, asItWillBe } = context;
  const cap = reckoning ? context.startCap.grade : 0;
  const system = reckoning?.hill ?? null;
  const wheelRadiusM = system?.vehicle.wheelRadiusM ?? tyreRadius(asItWillBe.tyres.rear);
  return gearing.gears.map((gear): GearRow => {
    const one = system ? { ...system, vehicle: { ...system.vehicle, fixedCog: gear.cog } } : null;
    return {
      label: gear.label,
      cog: gear.cog,
      ratio: gearing.ring / gear.cog,
      easyMs: speedAtCadence(wheelRadiusM, gearing.ring, gear.cog, EASY_CADENCE_RPM),
      briskMs: speedAtCadence(wheelRadiusM, gearing.ring, gear.cog, BRISK_CADENCE_RPM),
      cadenceAtCruise: cadenceAt(build.brief.cruiseMs, wheelRadiusM, gearing.ring, gear.cog),
      startGrade: one ? Math.min(startGrade(one), cap) : null,
      climbMs: one ? steadySpeed(one, climbGrade, 1).speedMs : null,
    };
  });
}
