import { foundNames, isOn, onNames, type FoundName, type OnName } from '../../donor/items/found.ts';
import type { BrakeKind } from '../../donor/options.ts';
import { partById } from '../../parts/part.ts';
import type { RemedyPlace } from '../../build/remedy.ts';
import type { Fitting } from '../../parts/smallParts.ts';
import type { Kit } from '../../parts/kit.ts';
import type { Pack } from '../../parts/pack.ts';
import { rimStays } from '../../vehicle/rims.ts';
import type { PlanContext } from '../../vehicle/context.ts';

type Gives = NonNullable<Fitting['gives']>;

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

/** What a part taken brings, by its own data, and where it goes. */
const bringing = ({ taken, shelf }: PlanContext): { place: RemedyPlace; gives: Gives }[] =>
  taken.flatMap(({ part, place }) => {
    const found = partById(shelf, part);
    return found?.kind === 'fitting' && found.gives ? [{ place, gives: found.gives }] : [];
  });

/** Whether a brake of such a kind was taken for a wheel: bought alone, not with a fork that holds it; or has to go over to a new fork. */
function brakeTaken(context: PlanContext, end: 'front' | 'rear', ...kinds: BrakeKind[]): boolean {
  const own = context.build.donor.survey[`${end}Brake`]?.value;
  return bringing(context).some(({ place, gives }) => {
    // The donor's brake goes over to a fork that comes without one.
    if (gives.fork) return end === 'front' && gives.brake === undefined && own !== undefined && kinds.includes(own);
    return gives.brake !== undefined && kinds.includes(gives.brake) && (place === 'donor' || place === `${end} brake`);
  });
}
const bearing =
  (at: RemedyPlace) =>
  (context: PlanContext): boolean =>
    bringing(context).some(({ place, gives }) => place === at && gives.bearsKg !== undefined);
/** What it may ask of parts that were taken to mend what did not fit. */
const takenNames = {
  newFrontRim: (context) => brakeTaken(context, 'front', 'rim'),
  newFrontDisc: (context) => brakeTaken(context, 'front', 'discCable', 'discHydraulic'),
  newRearRim: (context) => brakeTaken(context, 'rear', 'rim'),
  newRearDisc: (context) => brakeTaken(context, 'rear', 'discCable', 'discHydraulic'),
  newFork: (context) => bringing(context).some(({ gives }) => gives.fork !== undefined),
  newRack: bearing('rack'),
  newStand: bearing('stand'),
  newTensioner: (context) => bringing(context).some(({ gives }) => gives.tensions === true),
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
