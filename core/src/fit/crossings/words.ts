import { foundNames, isOn, onNames, type FoundName, type OnName } from '../../donor/items/found.ts';
import type { BrakeKind } from '../../donor/options.ts';
import { partById } from '../../parts/part.ts';
import type { Kit } from '../../parts/kit.ts';
import type { Pack } from '../../parts/pack.ts';
import { rimStays } from '../../vehicle/rims.ts';
import type { PlanContext } from '../../vehicle/context.ts';

/** What a crossing's row may ask of the kit and the vehicle it meets, by name. */
const kitNames = {
  kit: () => true,
  frontHub: (_, kit) => kit?.hub?.place === 'front',
  rearHub: (_, kit) => kit?.hub?.place === 'rear',
  midDrive: (_, kit) => kit?.mid !== undefined,
  sideChain: (_, kit) => kit?.side !== undefined,
  display: (_, kit) => (kit?.controls?.displayM ?? 0) > 0,
  controllerBox: (_, kit) => kit?.controller.place === 'its own box',
  rearRimBrakeStays: (context, kit) => rimBrakeStays(context, kit, 'rear'),
  frontRimBrakeStays: (context, kit) => rimBrakeStays(context, kit, 'front'),
} as const satisfies Record<string, (context: PlanContext, kit: Kit | null) => boolean>;

/** Whether a brake of such a kind was taken for a wheel: bought alone, not with a fork that holds it; or has to go over to a new fork. */
function brakeTaken({ taken, shelf, build }: PlanContext, end: 'front' | 'rear', ...kinds: BrakeKind[]): boolean {
  const own = build.donor.survey[`${end}Brake`]?.value;
  // The donor's brake goes over to a fork that comes without one.
  if (end === 'front' && taken.some(({ part }) => part === 'steel-fork') && own && kinds.includes(own)) return true;
  return taken.some(({ part, place }) => {
    const found = partById(shelf, part);
    const brake = found?.kind === 'fitting' ? found.gives?.brake : undefined;
    if (brake === undefined || place === 'fork') return false;
    return kinds.includes(brake) && (place === 'donor' || place === `${end} brake`);
  });
}
const takenAt =
  (...parts: string[]) =>
  ({ taken }: PlanContext): boolean =>
    taken.some(({ part }) => parts.includes(part));
/** What it may ask of parts that were taken to mend what did not fit. */
const takenNames = {
  newFrontRim: (context) => brakeTaken(context, 'front', 'rim'),
  newFrontDisc: (context) => brakeTaken(context, 'front', 'discCable', 'discHydraulic'),
  newRearRim: (context) => brakeTaken(context, 'rear', 'rim'),
  newRearDisc: (context) => brakeTaken(context, 'rear', 'discCable', 'discHydraulic'),
  newFork: takenAt('steel-fork', 'disc-fork'),
  newRack: takenAt('rear-rack'),
  newStand: takenAt('twin-stand'),
  newTensioner: takenAt('chain-tensioner'),
} as const satisfies Record<string, (context: PlanContext) => boolean>;

/** What it may ask of the battery in question. */
const packNames = {
  usedPack: (_, pack) => (pack?.origin ?? 'new') !== 'new',
  onRack: (context, pack) => pack !== null && context.packPlace === 'rack',
  onSeatTube: (context, pack) => pack !== null && context.packPlace === 'seatTube',
  behindSeatTube: (context, pack) => pack !== null && context.packPlace === 'behindSeatTube',
  underSeat: (context, pack) => pack !== null && context.packPlace === 'underSeat',
} as const satisfies Record<string, (context: PlanContext, pack: Pack | null) => boolean>;

/** A rim brake whose rim is not replaced. */
function rimBrakeStays({ build, asItWillBe }: PlanContext, kit: Kit | null, end: 'front' | 'rear'): boolean {
  return build.donor.survey[`${end}Brake`]?.value === 'rim' && rimStays(kit, end, asItWillBe.tyres[end]);
}

export type CrossingName =
  keyof typeof kitNames | keyof typeof packNames | keyof typeof takenNames | FoundName | OnName;
export const crossingNames: readonly CrossingName[] = [
  ...new Set<CrossingName>([
    ...(Object.keys(kitNames) as (keyof typeof kitNames)[]),
    ...(Object.keys(packNames) as (keyof typeof packNames)[]),
    ...(Object.keys(takenNames) as (keyof typeof takenNames)[]),
    ...(Object.keys(foundNames) as FoundName[]),
    ...onNames,
  ]),
];

/** Whether a name holds for the kit and battery in question on this vehicle. */
export function crossingHolds(name: CrossingName, context: PlanContext): boolean {
  if (name in kitNames) return kitNames[name as keyof typeof kitNames](context, context.kit);
  if (name in packNames) return packNames[name as keyof typeof packNames](context, context.pack);
  if (name in takenNames) return takenNames[name as keyof typeof takenNames](context);
  const { donor } = context.build;
  if (name in foundNames) return foundNames[name as FoundName](donor.survey);
  return isOn(name as OnName, donor.kind);
}
