import { kindTraits, type VehicleKind } from '../../donor/kinds.ts';
import type { BrakeKind, BracketKind } from '../../donor/options.ts';
import type { Survey } from '../../donor/donor.ts';
import { fullVolts, nominalVolts } from '../../pack/battery.ts';
import type { PackPlace } from '../../parts/pack.ts';
import { rolledOut } from '../../vehicle/asSet.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { chosenControls } from '../../wiring/asWired.ts';
import { leverSheets } from '../../wiring/levers.ts';
import { cadenceSensorOf } from '../../wiring/sensors.ts';

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
  /** It is whole, and goes on over the axle’s end; one in two halves closes round it with the crank on. */
  cadenceWhole: boolean;
  speed: boolean;
  shift: boolean;
  lamps: boolean;
  pack: boolean;
  packFixing: 'bosses' | 'clamps' | 'straps' | 'stands' | null;
  barTape: boolean;
  kind: VehicleKind;
  /** Where the battery goes. */
  packPlace: PackPlace | null;
  packsJoined: boolean;
  /** Volts of the battery: nearly empty, as it comes, full. */
  volts: { least: number; nominal: number; full: number } | null;
  /** Threads of the motor's axle, m. */
  axleM: number | null;
  /** The brake of the donor's wheel that comes out. */
  oldBrake: BrakeKind | undefined;
  /** How the chain is kept tight at the rear wheel: by a derailleur, by where the wheel sits, by a tensioner. */
  chainBy: 'derailleur' | 'slot' | 'tensioner';
  hubGear: boolean;
  recessedTips: boolean;
  cottered: boolean;
  /** What the donor's bracket is held by; undefined where nobody looked. */
  bracket: BracketKind | undefined;
  /** Cups of the donor's bracket that unscrew to the right on the drive side. */
  leftCup: boolean;
  underBracket: boolean;
  keypad: boolean;
  horn: boolean;
  hydraulicLevers: boolean;
  twoCables: boolean;
  parking: boolean;
  /** Leads go through the frame. */
  inside: boolean;
  lengthened: boolean;
  folds: boolean;
  rearShock: boolean;
  boom: boolean;
  twoCranks: boolean;
  box: boolean;
  trailer: boolean;
  stands: boolean;
  /** What is set besides: current, lowest volts, magnets at the wheel. */
  precharge: boolean;
  freewheels: boolean;
  /** What a turn of the wheel comes to, m, as reckoned from its size. */
  rolledM: number;
  limitMs: number | null;
  /** Empty mass with everything on it, kg, as reckoned. */
  unladenKg: number;
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
    cadenceWhole: cadenceSensorOf(build, kit, shelf)?.ring !== 'split',
    speed: parts.has('speed') || wiring?.speed === 'atStay',
    shift: parts.has('shift') || mid?.shiftSensor === true,
    lamps: parts.has('frontLamp') || parts.has('rearLamp'),
    pack: pack !== null,
    packFixing: build.choice.packSpot?.fixing ?? null,
    barTape: survey.barTape?.value === 'yes',
    kind,
    packPlace: context.packPlace,
    packsJoined: build.wiring.packs !== null,
    volts: pack
      ? { least: pack.series * pack.cutoffVPerCell, nominal: nominalVolts(pack), full: fullVolts(pack) }
      : null,
    axleM: hub?.axleDiameterM ?? null,
    oldBrake: hub ? survey[hub.place === 'front' ? 'frontBrake' : 'rearBrake']?.value : undefined,
    chainBy:
      had === 'freewheel' || had === 'cassette'
        ? 'derailleur'
        : survey.tensioner?.value === 'yes'
          ? 'tensioner'
          : 'slot',
    hubGear: chosen.hubGear !== null || had === 'hubGear',
    recessedTips: hub?.place === 'front' && survey.frontTips?.value === 'recessed',
    cottered: survey.crankFit?.value === 'cottered',
    bracket: survey.bracketKind?.value,
    leftCup: survey.bracketThreadHand?.value === 'left',
    underBracket: survey.underBracket !== undefined && survey.underBracket.value !== 'nothing',
    keypad: parts.has('keypad') || (controls?.keypadM ?? 0) > 0,
    horn: parts.has('horn'),
    hydraulicLevers: brakes.front === 'discHydraulic' || brakes.rear === 'discHydraulic',
    twoCables: survey.leftPull?.value === 'twoCables' || survey.rightPull?.value === 'twoCables',
    parking: survey.parkingLock?.value === 'yes',
    inside: build.schools.leads === 'inside' || Object.values(build.wiring.leads).some((l) => l.inside === true),
    lengthened: Object.values(build.wiring.leads).some((l) => l.extension !== null || l.spliceM !== null),
    folds: traits.hinge,
    rearShock: traits.rearShock,
    boom: traits.boom,
    twoCranks: traits.twoCranks,
    box: traits.box,
    trailer: build.brief.trailer !== null,
    stands: survey.stand !== undefined && survey.stand.value !== 'none',
    precharge: build.wiring.power.precharge !== null,
    freewheels: kit.motor.freewheels,
    rolledM: build.wiring.settings.circumference ?? rolledOut(build, kit),
    limitMs: build.choice.assistLimitMs ?? kit.assistLimitMs ?? null,
    unladenKg: context.unladenKg,
  };
}
