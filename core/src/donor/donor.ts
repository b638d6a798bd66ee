import { z } from 'zod';
import { choiceEntry, numberEntry, teethEntry, tyreEntry } from './entry.ts';

export const vehicleKinds = ['diamond', 'mixte', 'stepThrough', 'deltaTrike', 'boxBike'] as const;
export type VehicleKind = (typeof vehicleKinds)[number];

export const vehicleKindWords: Record<VehicleKind, string> = {
  diamond: 'Diamond frame',
  mixte: 'Mixte',
  stepThrough: 'Step-through',
  deltaTrike: 'Upright trike, two wheels behind',
  boxBike: 'Box bike, two wheels',
};

export const materials = ['steel', 'aluminium', 'titanium', 'carbon'] as const;
export type Material = (typeof materials)[number];
export const bracketKinds = ['threadedIso', 'threadedItalian', 'pressFit', 'onePiece', 'eccentric'] as const;
export const axleHoldings = ['horizontalSlot', 'verticalSlot', 'throughAxle'] as const;
export type AxleHolding = (typeof axleHoldings)[number];
export const clusterKinds = ['freewheel', 'cassette', 'hubGear', 'single'] as const;
export type ClusterKind = (typeof clusterKinds)[number];
export const hubGearSpeeds = ['three', 'five', 'seven', 'eight'] as const;
export type HubGearSpeeds = (typeof hubGearSpeeds)[number];
export const brakeKinds = ['rim', 'discCable', 'discHydraulic', 'drum', 'roller', 'coaster', 'none'] as const;
export type BrakeKind = (typeof brakeKinds)[number];
export const forkKinds = ['rigid', 'suspension'] as const;

/** Everything surveyed so far. A key that is absent has not been looked at. */
export const surveySchema = z
  .object({
    frameMaterial: choiceEntry(materials),
    forkMaterial: choiceEntry(materials),
    dropoutMaterial: choiceEntry(materials),
    forkKind: choiceEntry(forkKinds),
    bracketKind: choiceEntry(bracketKinds),
    bracketWidth: numberEntry,
    bracketBore: numberEntry,
    rearDropoutSpacing: numberEntry,
    rearSlotWidth: numberEntry,
    rearDropoutThickness: numberEntry,
    rearAxleHolding: choiceEntry(axleHoldings),
    frontDropoutSpacing: numberEntry,
    frontSlotWidth: numberEntry,
    frontAxleHolding: choiceEntry(axleHoldings),
    rearTyre: tyreEntry,
    frontTyre: tyreEntry,
    rearBrake: choiceEntry(brakeKinds),
    frontBrake: choiceEntry(brakeKinds),
    clusterKind: choiceEntry(clusterKinds),
    hubGear: choiceEntry(hubGearSpeeds),
    cogTeeth: teethEntry,
    ringTeeth: teethEntry,
    seatSide: numberEntry,
    topSide: numberEntry,
    downSide: numberEntry,
    seatTubeLength: numberEntry,
    seatTubeAngle: numberEntry,
    chainstayLength: numberEntry,
    bracketHeight: numberEntry,
    wheelbase: numberEntry,
    track: numberEntry,
    vehicleMass: numberEntry,
    loadLimit: numberEntry,
    rackLimit: numberEntry,
  })
  .partial();
export type Survey = z.infer<typeof surveySchema>;
export type SurveyItemId = keyof Survey;

export const conditionGrades = ['sound', 'needsWork', 'reject'] as const;
export type ConditionGrade = (typeof conditionGrades)[number];
export const conditionItems = ['cracks', 'headset', 'hinge', 'wheels', 'brakes'] as const;
export type ConditionItem = (typeof conditionItems)[number];

const conditionEntry = z.object({ grade: z.enum(conditionGrades), note: z.string().max(2000).default('') });

/** A bike or trike to convert, as surveyed. */
export const donorSchema = z.object({
  kind: z.enum(vehicleKinds),
  description: z.string().max(500).default(''),
  survey: surveySchema,
  condition: z.partialRecord(z.enum(conditionItems), conditionEntry),
});
export type Donor = z.infer<typeof donorSchema>;

/** True for vehicles with two wheels side by side behind. */
export function hasPairedRearWheels(kind: VehicleKind): boolean {
  return kind === 'deltaTrike';
}

/** True where the frame has an inside that a battery could go in. */
export function hasMainTriangle(kind: VehicleKind): boolean {
  return kind === 'diamond' || kind === 'mixte';
}

/** True where a box or deck belongs to the vehicle. */
export function hasBox(kind: VehicleKind): boolean {
  return kind === 'boxBike' || kind === 'deltaTrike';
}
