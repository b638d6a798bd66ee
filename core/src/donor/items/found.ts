import type { Survey } from '../donor.ts';
import { isTrike, kindTraits, vehicleKinds, type VehicleKind } from '../kinds.ts';

const is = <K extends keyof Survey>(item: K, ...values: string[]): ((s: Survey) => boolean) => {
  return (s) => values.some((value) => value === s[item]?.value);
};
/** Found, and something else than none. */
const there = (item: 'bosses' | 'frontCarrier' | 'stand' | 'leftLever' | 'rightLever'): ((s: Survey) => boolean) => {
  return (s) => s[item] !== undefined && s[item].value !== 'none';
};
const inside = (by: string): ((s: Survey) => boolean) => is('insideScheme', by, 'all');
const disc = (end: 'frontBrake' | 'rearBrake'): ((s: Survey) => boolean) => is(end, 'discCable', 'discHydraulic');

/** What the catalogue's survey items may ask of what was found so far, by name. */
export const foundNames = {
  bosses: there('bosses'),
  bossesOnDownTube: is('bosses', 'downTube', 'both'),
  bossesOnSeatTube: is('bosses', 'seatTube', 'both'),
  cablesInside: is('cableRun', 'internal'),
  suspensionFork: is('forkKind', 'suspension'),
  bracketThreaded: is('bracketKind', 'threadedIso', 'threadedItalian', 'threadedFrench', 'eccentric'),
  insideByDiagonals: inside('diagonals'),
  insideByAngles: inside('angles'),
  insideFromOutside: inside('outside'),
  downTubeCurved: is('downTubeShape', 'curved'),
  onSaddle: is('seatKind', 'saddle', 'saddleBack'),
  rearThroughAxle: is('rearAxleHolding', 'throughAxle'),
  frontThroughAxle: is('frontAxleHolding', 'throughAxle'),
  freewheel: is('clusterKind', 'freewheel'),
  cassette: is('clusterKind', 'cassette'),
  singleCog: is('clusterKind', 'single'),
  hubGear: is('clusterKind', 'hubGear'),
  frontDisc: disc('frontBrake'),
  rearDisc: disc('rearBrake'),
  rearRim: is('rearBrake', 'rim'),
  rearBrakeUnknown: (s) => s.rearBrake === undefined,
  frontCarrier: there('frontCarrier'),
  leftLever: there('leftLever'),
  rightLever: there('rightLever'),
  frontRim: is('frontBrake', 'rim'),
  belt: is('finalDrive', 'belt'),
  formerMotor: is('formerMotor', 'partsLeft', 'whole'),
  stand: there('stand'),
} as const satisfies Record<string, (s: Survey) => boolean>;
export type FoundName = keyof typeof foundNames;

const traits = {
  triangle: (k) => kindTraits[k].triangle,
  pairedFront: (k) => kindTraits[k].paired === 'front',
  pairedRear: (k) => kindTraits[k].paired === 'rear',
  trike: isTrike,
  box: (k) => kindTraits[k].box,
  hinge: (k) => kindTraits[k].hinge,
  rearShock: (k) => kindTraits[k].rearShock,
  twoCranks: (k) => kindTraits[k].twoCranks,
  boom: (k) => kindTraits[k].boom,
  shell: (k) => kindTraits[k].shell,
} as const satisfies Record<string, (k: VehicleKind) => boolean>;

/** What they may ask of the kind of vehicle: a trait, or the kind itself. */
export type OnName = keyof typeof traits | VehicleKind;
export const onNames: readonly OnName[] = [...(Object.keys(traits) as (keyof typeof traits)[]), ...vehicleKinds];
export const isOn = (name: OnName, kind: VehicleKind): boolean =>
  name in traits ? traits[name as keyof typeof traits](kind) : name === kind;
