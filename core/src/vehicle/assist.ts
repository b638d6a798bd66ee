import type { Route } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { ASSIST_FADE_WIDTH, CLIMB_AT_LEAST, LEVEL_SHARES, LEVEL_WATTS_AT_TYRE, SURFACE_ROLLING } from '../constants.ts';
import type { HelpLaw, Kit, KitAssist } from '../parts/kit.ts';
import { steadyLoad } from '../ride/steady.ts';
import { steepestGrade, surfaceAt } from '../ride/route.ts';
import type { AssistLaw, RideSystem } from '../ride/system.ts';

/** How the motor helps on a build, and where among the kit's steps that is. */
export interface Help {
  law: AssistLaw;
  /** The kit's own ways, its usual one first. */
  can: KitAssist;
  /** Steps of the way that is used; empty where the legs go first. */
  steps: readonly number[];
  /** Which of them, 1 for the least; null where the legs go first. */
  step: number | null;
  /** Nobody chose the step: the least that holds cruise on the flat and climbs the road. */
  byItself: boolean;
  /** Watts at the tyre that cruise asks for on the flat, in still air; and the road's steepest stretch at 8 km/h. */
  cruiseW: number;
  hillW: number;
}

/** Steps of a kit whose maker names none: even shares of what its controller lets through to the tyre. */
function usualAssist(kit: Kit): KitAssist {
  const most = kit.nominalVolts * kit.controller.batteryLimitA * LEVEL_WATTS_AT_TYRE;
  return { laws: ['level'], levelsW: LEVEL_SHARES.map((share) => Math.round(share * most)) };
}

/** The same in still air on a surface. */
function rollingOn(system: RideSystem, surface: Route['surface']): RideSystem {
  const { vehicle, air } = system;
  const crr = vehicle.crr + SURFACE_ROLLING[surface];
  return { ...system, vehicle: { ...vehicle, crr }, air: { ...air, headwindMs: 0 } };
}

/**
 * How the motor helps: as the brief says where the kit can, else the kit's usual way, at the step that was chosen, else
 * at the least that holds cruise on the flat and climbs the road's steepest stretch at 8 km/h. A level holds cruise
 * where the motor alone does, since it drives whatever the legs do; uphill, and with help in proportion, legs count.
 * @param system the ride's system as it is without a law
 */
export function helpOf(build: Build, kit: Kit, system: RideSystem): Help {
  const { assist: wish, route, cruiseMs, thereAndBack } = build.brief;
  const can = kit.assist ?? usualAssist(kit);
  const limit = system.controller.assistLimitMs;
  const v = limit === undefined ? cruiseMs : Math.min(cruiseMs, Math.max(1, limit - ASSIST_FADE_WIDTH));
  const { vehicle } = system;
  const cruiseW = steadyLoad(rollingOn(system, route?.surface ?? 'asphalt'), v, 0, 0) * v;
  const hill = route ? steepestGrade(route, thereAndBack) : null;
  const hillW =
    route && hill && hill.grade > 0
      ? steadyLoad(rollingOn(system, surfaceAt(route, hill.atM)), CLIMB_AT_LEAST, hill.grade, 0) * CLIMB_AT_LEAST
      : 0;
  // A throttle gives what it is asked for, and its rider no legs; a frugal rider asks for what the legs leave.
  if ((build.choice.usesThrottle && kit.throttle) || wish?.law === 'frugal')
    return { law: { law: 'fill' }, can, steps: [], step: null, byItself: false, cruiseW, hillW };
  const chosen = wish && can.laws.includes(wish.law as HelpLaw) ? wish : null;
  // A torque sensor gives nothing to who gives nothing: such a rider takes a level where the kit has one.
  const usual = system.rider.powerW === 0 && can.laws.includes('level') ? 'level' : can.laws[0];
  const law = (chosen?.law ?? usual) as HelpLaw;
  const steps = (law === 'level' ? can.levelsW : can.gains) ?? [];
  const legsW = system.rider.powerW * vehicle.drivetrainEfficiency;
  const holds = (step: number): boolean =>
    law === 'level' ? step >= cruiseW && step + legsW >= hillW : (1 + step) * legsW >= Math.max(cruiseW, hillW);
  const found = steps.findIndex(holds);
  const asked = chosen?.step ?? null;
  const at = asked !== null ? Math.min(asked, steps.length) - 1 : found >= 0 ? found : steps.length - 1;
  const value = steps[at] as number;
  return {
    law: law === 'level' ? { law, levelW: value } : { law, gain: value },
    can,
    steps,
    step: at + 1,
    byItself: asked === null,
    cruiseW,
    hillW,
  };
}

/** How the motor helps, in a few words. */
export function helpWords({ law, step, steps, byItself }: Help): string {
  if (law.law === 'fill') return 'legs first, the motor gives what is missing';
  const what = law.law === 'level' ? `${law.levelW} W at the tyre` : `${law.gain} times the legs`;
  return `step ${step} of ${steps.length}, ${what}${byItself ? ', the least for this road' : ''}`;
}
