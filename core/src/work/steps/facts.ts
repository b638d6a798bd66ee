import { kindTraits } from '../../donor/kinds.ts';
import type { BrakeKind } from '../../donor/options.ts';
import type { Survey } from '../../donor/donor.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { chosenControls } from '../../wiring/asWired.ts';
import { leverSheets } from '../../wiring/levers.ts';

/** What the vehicle as it will be asks of the bench: all that decides whether a step applies. */
export interface StepFacts {
  survey: Survey;
  /** Wheel the motor is in, if it is in one. */
  hub: 'front' | 'rear' | null;
  /** A motor without a rim, laced to order; or a hub gear laced in. */
  lacing: boolean;
  mid: boolean;
  side: boolean;
  /** Cogs are changed, or go from the old wheel to the motor's. */
  cogs: 'new' | 'moved' | 'none';
  /** The motor's own seat for cogs. */
  clusterMount: 'freewheel' | 'cassette' | 'none';
  ring: boolean;
  derailleur: boolean;
  frontDerailleur: boolean;
  /** The brake at the motor's wheel. */
  brake: BrakeKind | undefined;
  /** A rotor that goes over to the motor's wheel. */
  rotor: boolean;
  arms: number;
  hinge: boolean;
  /** A folding frame or a suspension that moves the leads. */
  moves: boolean;
  controllerBox: boolean;
  display: boolean;
  throttle: boolean;
  /** Levers that are exchanged, and cut-offs set at the levers that stay. */
  newLevers: boolean;
  magnets: boolean;
  /** A cadence ring at the bracket's axle, none where the motor feels the cranks itself. */
  cadence: boolean;
  speed: boolean;
  shift: boolean;
  lamps: boolean;
  pack: boolean;
  packFixing: 'bosses' | 'clamps' | 'straps' | 'stands' | null;
  barTape: boolean;
}

/** Facts of what is chosen; null without a kit, for then there is nothing to build yet. */
export function stepFacts(context: PlanContext): StepFacts | null {
  const { kit, pack, build, chosen, shelf } = context;
  if (!kit) return null;
  const { survey, kind } = build.donor;
  const { hub, mid, side, wiring, controls } = kit;
  const traits = kindTraits[kind];
  const parts = chosenControls(build, shelf);
  const levers = leverSheets(build, kit, shelf);
  const own = hub?.place === 'rear' ? hub.clusterMount : 'none';
  const had = survey.clusterKind?.value;
  const brakes = context.asItWillBe.brakes;
  const brake = hub ? brakes[hub.place] : undefined;
  const disc = brake === 'discCable' || brake === 'discHydraulic';
  const newCogs = chosen.cluster !== null || (own !== 'none' && had !== own);
  return {
    survey,
    hub: hub?.place ?? null,
    lacing: (hub !== undefined && hub.beadsM.length === 0) || chosen.hubGear !== null,
    mid: mid !== undefined,
    side: side !== undefined,
    cogs: own === 'none' ? (chosen.cluster ? 'new' : 'none') : newCogs ? 'new' : 'moved',
    clusterMount: own,
    ring: chosen.ring !== null,
    derailleur: had === 'freewheel' || had === 'cassette',
    frontDerailleur: survey.frontDerailleur?.value === 'yes',
    brake,
    rotor: disc && survey[hub?.place === 'front' ? 'frontBrake' : 'rearBrake']?.value === brake,
    arms: hub ? build.choice.torqueArms : 0,
    hinge: traits.hinge,
    moves: traits.hinge || traits.rearShock,
    controllerBox: kit.controller.place === 'its own box',
    display: parts.has('display') || (controls?.displayM ?? 0) > 0,
    throttle: parts.has('throttle') || (build.choice.usesThrottle && kit.throttle),
    newLevers: levers.some((l) => l.by === 'kitLever' || l.by === 'newLever'),
    magnets: levers.some((l) => l.by === 'magnet' || l.by === 'inLine' || l.by === 'switch'),
    cadence: parts.has('cadence') || (!mid && wiring !== undefined && wiring.cadence !== null),
    speed: parts.has('speed') || wiring?.speed === 'atStay',
    shift: parts.has('shift') || mid?.shiftSensor === true,
    lamps: parts.has('frontLamp') || parts.has('rearLamp'),
    pack: pack !== null,
    packFixing: build.choice.packSpot?.fixing ?? null,
    barTape: survey.barTape?.value === 'yes',
  };
}
