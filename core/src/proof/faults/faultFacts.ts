import { holds, type Condition } from '../../catalogue/condition.ts';
import { isTrike, kindTraits } from '../../donor/kinds.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { chosenControls } from '../../wiring/asWired.ts';
import { cadenceSheet, speedSheet } from '../../wiring/sensors.ts';
import { leverSheets } from '../../wiring/levers.ts';

/** What of a vehicle decides which faults it can have and which tests can be asked. */
export interface FaultFacts {
  throttle: boolean;
  cadence: boolean;
  torque: boolean;
  /** Something besides the throttle that brings help. */
  pedalled: boolean;
  /** A magnet at the spokes. */
  speedMagnet: boolean;
  halls: boolean;
  /** Phases come in three plugs of their own, not in one moulded. */
  loosePhases: boolean;
  cutoffs: boolean;
  cutoffMagnet: boolean;
  /** The motor with a lever's lead out; null: nobody says. */
  unplugged: 'runs' | 'cuts' | null;
  shift: boolean;
  lamps: boolean;
  hub: boolean;
  mid: boolean;
  side: boolean;
  /** A motor that freewheels by a clutch of its own. */
  clutch: boolean;
  /** Drives through the chain, or its cogs screw on. */
  chainDriven: boolean;
  board: boolean;
  /** Blocks or cells whose volts can be reached. */
  blocks: boolean;
  rail: boolean;
  controllerBox: boolean;
  disc: boolean;
  cableBrake: boolean;
  hydraulic: boolean;
  derailleur: boolean;
  pedals: boolean;
  trike: boolean;
  display: boolean;
}

/** What the conditions of the catalogue's faults and tests may name: a fact that is either so or not. */
export const faultFactNames = [
  'throttle',
  'cadence',
  'torque',
  'pedalled',
  'speedMagnet',
  'halls',
  'loosePhases',
  'cutoffs',
  'cutoffMagnet',
  'cutsUnplugged',
  'runsUnplugged',
  'shift',
  'lamps',
  'hub',
  'mid',
  'side',
  'clutch',
  'chainDriven',
  'board',
  'blocks',
  'rail',
  'controllerBox',
  'disc',
  'cableBrake',
  'hydraulic',
  'derailleur',
  'pedals',
  'trike',
  'display',
] as const;
export type FaultFact = (typeof faultFactNames)[number];

/** Whether a condition of the catalogue holds of a vehicle. */
export const holdsOf = (condition: Condition<FaultFact> | undefined, facts: FaultFacts): boolean =>
  holds(condition, (name) =>
    name === 'cutsUnplugged'
      ? facts.unplugged === 'cuts'
      : name === 'runsUnplugged'
        ? facts.unplugged === 'runs'
        : facts[name],
  );

/** Nothing known of the vehicle: every fault is open. */
export const anyVehicle: FaultFacts = {
  throttle: true,
  cadence: true,
  torque: true,
  pedalled: true,
  speedMagnet: true,
  halls: true,
  loosePhases: true,
  cutoffs: true,
  cutoffMagnet: true,
  unplugged: null,
  shift: true,
  lamps: true,
  hub: true,
  mid: true,
  side: true,
  clutch: true,
  chainDriven: true,
  board: true,
  blocks: true,
  rail: true,
  controllerBox: true,
  disc: true,
  cableBrake: true,
  hydraulic: true,
  derailleur: true,
  pedals: true,
  trike: true,
  display: true,
};

/** Facts of the vehicle as it will be; without a kit nothing is known of its drive. */
export function faultFacts(context: PlanContext): FaultFacts {
  const { kit, pack, build, shelf } = context;
  const { brakes } = context.asItWillBe;
  const { survey, kind } = build.donor;
  const gears = survey.clusterKind?.value;
  const stops = [brakes.front, brakes.rear];
  const unseen = stops.some((b) => b === undefined);
  const known = {
    disc: unseen || stops.some((b) => b === 'discCable' || b === 'discHydraulic'),
    hydraulic: unseen || stops.includes('discHydraulic'),
    cableBrake: unseen || stops.some((b) => b !== undefined && b !== 'discHydraulic' && b !== 'none'),
    derailleur: gears === undefined || gears === 'freewheel' || gears === 'cassette',
    pedals: true,
    trike: isTrike(kind) || kindTraits[kind].box,
    lamps: (['frontLamp', 'rearLamp'] as const).some((l) => chosenControls(build, shelf).has(l)),
  };
  if (!kit) return { ...anyVehicle, ...known };
  const parts = chosenControls(build, shelf);
  const cadence = cadenceSheet(build, kit, shelf, {
    wheelRadiusM: 0.34,
    ring: context.gearing.ring,
    cog: context.gearing.gears[0]?.cog ?? 20,
  });
  const levers = leverSheets(build, kit, shelf).filter((l) => l.by !== 'none');
  const torque = kit.assist?.laws.includes('proportional') === true;
  const leads = kit.wiring?.leads ?? [];
  const halls = kit.wiring
    ? leads.some((l) => l.id === 'halls' || l.cores?.some((c) => c.what.startsWith('hall')) === true)
    : true;
  const pedalled = torque || cadence.is === 'fitted' || cadence.is === 'inside';
  return {
    ...known,
    throttle: parts.has('throttle') || (build.choice.usesThrottle && kit.throttle),
    cadence: cadence.is === 'fitted',
    torque,
    pedalled,
    speedMagnet: speedSheet(build, kit).at !== 'inMotor',
    halls,
    loosePhases: leads.some((l) => l.id === 'halls'),
    cutoffs: levers.length > 0,
    cutoffMagnet: levers.some((l) => l.acts === 'cutsWhenAway' || l.acts === 'cutsWhenNear'),
    unplugged: unpluggedOf(levers[0]?.sheet?.states.find((s) => s.state === 'unplugged')?.motor),
    shift: parts.has('shift') || kit.mid?.shiftSensor === true,
    hub: kit.hub !== undefined,
    mid: kit.mid !== undefined,
    side: kit.side !== undefined,
    clutch: kit.motor.freewheels,
    chainDriven: kit.mid !== undefined || kit.side !== undefined || kit.hub?.clusterMount === 'freewheel',
    board: pack ? pack.chemistry !== 'lead' : true,
    blocks: pack ? pack.blocks !== undefined || pack.chemistry === 'lead' || build.wiring.packs !== null : true,
    rail: pack ? pack.railHolesM !== undefined : true,
    controllerBox: kit.controller.place === 'its own box',
    display: parts.has('display') || (kit.controls?.displayM ?? 0) > 0,
  };
}

const unpluggedOf = (motor: 'runs' | 'still' | 'unknown' | undefined): FaultFacts['unplugged'] =>
  motor === 'runs' ? 'runs' : motor === 'still' ? 'cuts' : null;
