import type { Dimension } from '../quantity/units.ts';
import type { TyreSize } from '../quantity/tyre.ts';
import {
  axleHoldings,
  bracketKinds,
  brakeKinds,
  clusterKinds,
  forkKinds,
  hubGearSpeeds,
  hasMainTriangle,
  hasPairedRearWheels,
  materials,
  vehicleKinds,
  type ConditionItem,
  type Donor,
  type SurveyItemId,
  type VehicleKind,
} from './donor.ts';
import { isProven } from './entry.ts';

interface ItemBase {
  id: SurveyItemId;
  group: SurveyGroup;
  label: string;
  /** Where to put the tape or caliper, or what to look at. */
  how: string;
  /** What goes wrong if it is skipped. */
  why: string;
  tool: 'tape' | 'caliper' | 'scale' | 'eye' | 'angle finder';
  kinds: readonly VehicleKind[];
}
export interface NumberItem extends ItemBase {
  type: 'number';
  dimension: Dimension;
  /** Plausible range, SI; outside it the field asks, and still keeps what was typed. */
  low: number;
  high: number;
  common: readonly number[];
}
export interface ChoiceItem extends ItemBase {
  type: 'choice';
  options: readonly { value: string; label: string }[];
}
export interface TeethItem extends ItemBase {
  type: 'teeth';
}
export interface TyreItem extends ItemBase {
  type: 'tyre';
}
export type SurveyItem = NumberItem | ChoiceItem | TeethItem | TyreItem;

export const surveyGroups = ['frame', 'bracket', 'inside', 'rear', 'front', 'gears', 'loads'] as const;
export type SurveyGroup = (typeof surveyGroups)[number];
export const surveyGroupWords: Record<SurveyGroup, string> = {
  frame: 'Frame',
  bracket: 'Bottom bracket',
  rear: 'Rear end',
  front: 'Front end',
  gears: 'Rings and cogs',
  inside: 'Frame lengths',
  loads: 'Mass and limits',
};

const all = vehicleKinds;
const withTriangle = vehicleKinds.filter(hasMainTriangle);
const paired = vehicleKinds.filter(hasPairedRearWheels);
const opts = (labels: Record<string, string>, keys: readonly string[]) =>
  keys.map((value) => ({ value, label: labels[value] ?? value }));

export const choiceWords: Record<string, string> = {
  steel: 'steel',
  aluminium: 'aluminium',
  titanium: 'titanium',
  carbon: 'carbon',
  rigid: 'rigid',
  suspension: 'suspension',
  threadedIso: 'threaded, ISO',
  threadedItalian: 'threaded, Italian',
  pressFit: 'press-fit',
  onePiece: 'one-piece crank',
  eccentric: 'eccentric',
  horizontalSlot: 'slot, horizontal',
  verticalSlot: 'slot, vertical',
  throughAxle: 'through-axle hole',
  freewheel: 'freewheel, threaded on',
  cassette: 'cassette, splined',
  hubGear: 'hub gear',
  single: 'single cog',
  rim: 'rim',
  discCable: 'disc, cable',
  discHydraulic: 'disc, hydraulic',
  drum: 'drum',
  roller: 'roller',
  coaster: 'coaster',
  none: 'none',
  three: 'three speeds',
  five: 'five speeds',
  seven: 'seven speeds',
  eight: 'eight speeds',
};

const mm = (...sizes: number[]): number[] => sizes.map((size) => size / 1000);

/** The first survey: what to measure, how, and what goes wrong if it is skipped. */
export const surveyItems: readonly SurveyItem[] = [
  {
    id: 'frameMaterial',
    type: 'choice',
    group: 'frame',
    label: 'Main frame',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, materials),
    how: 'A magnet clings to steel only. Aluminium has fat tubes and wide welds; carbon sounds dull when tapped.',
    why: 'Clamps and reaction torque crush carbon; aluminium forgives no spreading.',
  },
  {
    id: 'forkMaterial',
    type: 'choice',
    group: 'front',
    label: 'Fork',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, materials),
    how: 'Magnet at the fork tips, not at the crown.',
    why: 'A front hub twists the fork tips; carbon there is refused.',
  },
  {
    id: 'forkKind',
    type: 'choice',
    group: 'front',
    label: 'Fork kind',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, forkKinds),
    how: 'Lean on the bars: legs that slide are suspension.',
    why: 'Suspension fork tips are cast and crack under a hub motor’s torque.',
  },
  {
    id: 'dropoutMaterial',
    type: 'choice',
    group: 'rear',
    label: 'Rear dropouts',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, materials),
    how: 'Magnet on the plate the axle sits in; it may differ from the tubes.',
    why: 'It decides how many torque arms a hub needs and how far the ends may be spread.',
  },
  {
    id: 'bracketKind',
    type: 'choice',
    group: 'bracket',
    label: 'Shell kind',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, bracketKinds),
    how: 'Look into the shell’s edge: threads, or a smooth pressed cup. An eccentric shell has a pinch bolt.',
    why: 'A mid-drive passes through this shell; not every kind lets it.',
  },
  {
    id: 'bracketWidth',
    type: 'number',
    dimension: 'size',
    group: 'bracket',
    label: 'Shell width',
    tool: 'caliper',
    kinds: all,
    low: 0.06,
    high: 0.14,
    common: mm(68, 70, 73, 83, 86.5, 92, 100, 120),
    how: 'Caliper across the bare faces of the shell; keep bearing flanges out of it.',
    why: 'A mid-drive’s axle is made for one range of widths; spacers fill only upward.',
  },
  {
    id: 'bracketBore',
    type: 'number',
    dimension: 'size',
    group: 'bracket',
    label: 'Shell bore',
    tool: 'caliper',
    kinds: all,
    low: 0.03,
    high: 0.06,
    common: mm(33.7, 36, 41, 46, 51),
    how: 'Inside diameter of the bare shell; about 34 for ISO thread. With the bearing still in, leave it open.',
    why: 'Width alone says nothing: a press-fit shell of the right width still needs an adapter.',
  },
  {
    id: 'rearDropoutSpacing',
    type: 'number',
    dimension: 'size',
    group: 'rear',
    label: 'Rear dropout spacing',
    tool: 'tape',
    kinds: all,
    low: 0.1,
    high: 0.2,
    common: mm(120, 126, 130, 135, 141, 142, 148),
    how: 'Wheel out or nuts loose; between the inner faces of the two ends.',
    why: 'A hub of another width must be sprung or spaced in, and not every frame may be sprung.',
  },
  {
    id: 'rearSlotWidth',
    type: 'number',
    dimension: 'size',
    group: 'rear',
    label: 'Rear slot width',
    tool: 'caliper',
    kinds: all,
    low: 0.008,
    high: 0.022,
    common: mm(10, 10.2, 12),
    how: 'Caliper in the open mouth of the slot, paint scraped off.',
    why: 'The flats of the motor’s axle must enter it, and fill it, or they turn.',
  },
  {
    id: 'rearDropoutThickness',
    type: 'number',
    dimension: 'size',
    group: 'rear',
    label: 'Rear dropout thickness',
    tool: 'caliper',
    kinds: all,
    low: 0.003,
    high: 0.02,
    common: mm(5, 6, 7),
    how: 'Caliper on the plate beside the slot.',
    why: 'Thin plates yield where the flats press; it sets the need for torque arms.',
  },
  {
    id: 'rearAxleHolding',
    type: 'choice',
    group: 'rear',
    label: 'Rear axle sits in',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, axleHoldings),
    how: 'A slot open to the rear or front is horizontal; open downward, vertical; a closed round hole is for a through-axle.',
    why: 'Hub motors have a solid axle with flats: a closed hole takes none of them.',
  },
  {
    id: 'frontDropoutSpacing',
    type: 'number',
    dimension: 'size',
    group: 'front',
    label: 'Front dropout spacing',
    tool: 'tape',
    kinds: all,
    low: 0.07,
    high: 0.155,
    common: mm(74, 100, 110, 135),
    how: 'Between the inner faces of the fork tips.',
    why: 'A front motor is made for one width; a fork must not be sprung.',
  },
  {
    id: 'frontSlotWidth',
    type: 'number',
    dimension: 'size',
    group: 'front',
    label: 'Front slot width',
    tool: 'caliper',
    kinds: all,
    low: 0.007,
    high: 0.022,
    common: mm(9, 10),
    how: 'Caliper in the mouth of the slot at a fork tip.',
    why: 'Many forks are slotted for a thinner axle than a motor’s, and want filing.',
  },
  {
    id: 'frontAxleHolding',
    type: 'choice',
    group: 'front',
    label: 'Front axle sits in',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, ['verticalSlot', 'throughAxle']),
    how: 'An open slot at the tips, or a closed round hole.',
    why: 'A closed hole takes no hub motor’s axle.',
  },
  {
    id: 'rearTyre',
    type: 'tyre',
    group: 'rear',
    label: 'Rear tyre',
    tool: 'eye',
    kinds: all,
    how: 'Read the sidewall; the ETRTO figure, such as 37-622, is the surest.',
    why: 'The kit’s wheel must match, or ride height, brakes and speed reading all move.',
  },
  {
    id: 'frontTyre',
    type: 'tyre',
    group: 'front',
    label: 'Front tyre',
    tool: 'eye',
    kinds: all,
    how: 'Read the sidewall; it may differ from the rear.',
    why: 'A front motor’s wheel must match it, and the drawing needs it.',
  },
  {
    id: 'rearBrake',
    type: 'choice',
    group: 'rear',
    label: 'Rear brake',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, brakeKinds),
    how: 'Look at what grips: the rim, a rotor, or inside the hub. A coaster brakes by pedalling back.',
    why: 'A kit wheel brings its own rim and hub: a brake inside the old hub is lost.',
  },
  {
    id: 'frontBrake',
    type: 'choice',
    group: 'front',
    label: 'Front brake',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, brakeKinds),
    how: 'Look at what grips the front wheel.',
    why: 'The front brake does most of the stopping, and a motor asks more of it.',
  },
  {
    id: 'clusterKind',
    type: 'choice',
    group: 'gears',
    label: 'Cogs are on',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, clusterKinds),
    how: 'Spin the cogs backwards: if the tool fitting turns with them it is a cassette, if it stands still, a freewheel.',
    why: 'A rear motor takes one kind or the other, and only so many cogs.',
  },
  {
    id: 'hubGear',
    type: 'choice',
    group: 'gears',
    label: 'Hub gear',
    tool: 'eye',
    kinds: all,
    options: opts(choiceWords, hubGearSpeeds),
    how: 'Count the clicks of the shifter.',
    why: 'Its ratios set the speeds; it also limits what torque may be put in.',
  },
  {
    id: 'cogTeeth',
    type: 'teeth',
    group: 'gears',
    label: 'Cog teeth',
    tool: 'eye',
    kinds: all,
    how: 'Count each cog, or read the stamp; 14-16-18-21-24-28. One figure for a hub gear.',
    why: 'They decide what a mid-drive can climb and whether legs keep up at speed.',
  },
  {
    id: 'ringTeeth',
    type: 'teeth',
    group: 'gears',
    label: 'Ring teeth',
    tool: 'eye',
    kinds: all,
    how: 'Count the teeth of the front ring, or of each.',
    why: 'With the cogs it sets cadence at every speed.',
  },
  {
    id: 'seatSide',
    type: 'number',
    dimension: 'size',
    group: 'inside',
    label: 'Inside, seat tube',
    tool: 'tape',
    kinds: withTriangle,
    low: 0.1,
    high: 0.7,
    common: [],
    how: 'Inside the frame, from the corner at the bottom bracket up to the next tube.',
    why: 'The three inside lengths decide whether a battery goes in, and comes out again.',
  },
  {
    id: 'topSide',
    type: 'number',
    dimension: 'size',
    group: 'inside',
    label: 'Inside, upper tube',
    tool: 'tape',
    kinds: withTriangle,
    low: 0.15,
    high: 0.75,
    common: [],
    how: 'Inside, from the corner at the seat tube to the corner at the head.',
    why: 'The three inside lengths decide whether a battery goes in, and comes out again.',
  },
  {
    id: 'downSide',
    type: 'number',
    dimension: 'size',
    group: 'inside',
    label: 'Inside, down tube',
    tool: 'tape',
    kinds: withTriangle,
    low: 0.2,
    high: 0.8,
    common: [],
    how: 'Inside, from the corner at the bottom bracket to the corner at the head.',
    why: 'Most battery rails sit on this tube.',
  },
  {
    id: 'seatTubeLength',
    type: 'number',
    dimension: 'size',
    group: 'inside',
    label: 'Seat tube',
    tool: 'tape',
    kinds: all,
    low: 0.2,
    high: 0.75,
    common: [],
    how: 'Crank centre to the top edge of the tube, along it.',
    why: 'It sets the drawing’s scale, and the room behind the seat tube.',
  },
  {
    id: 'seatTubeAngle',
    type: 'number',
    dimension: 'angle',
    group: 'inside',
    label: 'Seat tube angle',
    tool: 'angle finder',
    kinds: all,
    low: 1.0,
    high: 1.48,
    common: [],
    how: 'Angle finder or phone on the seat tube, wheels on level ground.',
    why: 'It places the saddle and the battery on the drawing.',
  },
  {
    id: 'chainstayLength',
    type: 'number',
    dimension: 'size',
    group: 'inside',
    label: 'Chainstay',
    tool: 'tape',
    kinds: all,
    low: 0.35,
    high: 1.2,
    common: [],
    how: 'Crank centre to rear axle centre.',
    why: 'Chain length and chain angle come from it.',
  },
  {
    id: 'bracketHeight',
    type: 'number',
    dimension: 'size',
    group: 'inside',
    label: 'Crank centre height',
    tool: 'tape',
    kinds: all,
    low: 0.2,
    high: 0.45,
    common: [],
    how: 'Ground to crank centre, tyres pumped.',
    why: 'A mid-drive hangs below it; kerbs are not far.',
  },
  {
    id: 'wheelbase',
    type: 'number',
    dimension: 'size',
    group: 'inside',
    label: 'Wheelbase',
    tool: 'tape',
    kinds: all,
    low: 0.8,
    high: 2.4,
    common: [],
    how: 'Axle centre to axle centre, wheels straight.',
    why: 'The load on each wheel comes from it.',
  },
  {
    id: 'track',
    type: 'number',
    dimension: 'size',
    group: 'inside',
    label: 'Track',
    tool: 'tape',
    kinds: paired,
    low: 0.4,
    high: 1.1,
    common: [],
    how: 'Between the centres of the two rear tyres, at the ground.',
    why: 'It decides how fast a corner may be taken.',
  },
  {
    id: 'vehicleMass',
    type: 'number',
    dimension: 'mass',
    group: 'loads',
    label: 'Vehicle as it stands',
    tool: 'scale',
    kinds: all,
    low: 6,
    high: 90,
    common: [],
    how: 'Bathroom scale: yourself holding it, less yourself; or each wheel in turn.',
    why: 'Every hill and every load limit starts from it.',
  },
  {
    id: 'loadLimit',
    type: 'number',
    dimension: 'mass',
    group: 'loads',
    label: 'All-up load limit',
    tool: 'eye',
    kinds: all,
    low: 70,
    high: 400,
    common: [],
    how: 'The maker’s plate or manual: vehicle, rider and load together.',
    why: 'Kit and battery eat into it before the rider sits down.',
  },
  {
    id: 'rackLimit',
    type: 'number',
    dimension: 'mass',
    group: 'loads',
    label: 'Rack limit',
    tool: 'eye',
    kinds: all,
    low: 3,
    high: 120,
    common: [10, 18, 25],
    how: 'Stamped on the rack. No rack, leave it open.',
    why: 'A battery on the rack counts against it, and leaves less for bags.',
  },
];

const itemById = new Map(surveyItems.map((item) => [item.id, item]));

/** The survey item of an id. */
export function surveyItem(id: SurveyItemId): SurveyItem {
  const item = itemById.get(id);
  if (!item) throw new RangeError(`no survey item ${id}`);
  return item;
}

/** Items that exist on this vehicle, in the order they are walked round. */
export function itemsFor(donor: Pick<Donor, 'kind' | 'survey'>): SurveyItem[] {
  return surveyItems.filter(
    (item) =>
      item.kinds.includes(donor.kind) && (item.id !== 'hubGear' || donor.survey.clusterKind?.value === 'hubGear'),
  );
}

/** How much of the survey rests on measurement. */
export interface SurveyProgress {
  /** Dimensions (numbers, tyres, teeth) measured or from a data sheet, of all that exist here. */
  proven: number;
  total: number;
  open: SurveyItemId[];
}

export function surveyProgress(donor: Donor): SurveyProgress {
  const items = itemsFor(donor);
  const open = items.filter((item) => !isProven(donor.survey[item.id])).map((item) => item.id);
  return { proven: items.length - open.length, total: items.length, open };
}

export const conditionWords: Record<ConditionItem, { label: string; how: string }> = {
  cracks: {
    label: 'Cracks, dents, rust-through',
    how: 'Clean the welds and look at each under a lamp; run a nail round them.',
  },
  headset: {
    label: 'Play in the headset',
    how: 'Front brake on, rock the vehicle: a knock you feel at the head is play.',
  },
  hinge: { label: 'Play in a hinge', how: 'Fold or rock it at the hinge; sound if there is none.' },
  wheels: { label: 'Wheels true, spokes sound', how: 'Spin each and watch the gap at the brake; pluck the spokes.' },
  brakes: { label: 'Brakes stop it now', how: 'Push hard against each brake with the wheel loaded.' },
};

/** Common values that stand in for what nobody has measured, per kind: for the drawing, never for a verdict. */
export const commonFrame: Record<VehicleKind, CommonFrame> = {
  diamond: {
    seatSide: 0.45,
    topSide: 0.5,
    downSide: 0.56,
    seatTubeLength: 0.53,
    seatTubeAngleDeg: 73,
    chainstayLength: 0.44,
    bracketHeight: 0.285,
    wheelbase: 1.05,
    track: 0,
    vehicleMass: 14,
    tyre: { beadM: 0.622, widthM: 0.037 },
    frontTyre: { beadM: 0.622, widthM: 0.037 },
  },
  mixte: {
    seatSide: 0.3,
    topSide: 0.48,
    downSide: 0.51,
    seatTubeLength: 0.5,
    seatTubeAngleDeg: 71,
    chainstayLength: 0.45,
    bracketHeight: 0.285,
    wheelbase: 1.065,
    track: 0,
    vehicleMass: 15.5,
    tyre: { beadM: 0.622, widthM: 0.037 },
    frontTyre: { beadM: 0.622, widthM: 0.037 },
  },
  stepThrough: {
    seatSide: 0,
    topSide: 0,
    downSide: 0,
    seatTubeLength: 0.46,
    seatTubeAngleDeg: 69,
    chainstayLength: 0.46,
    bracketHeight: 0.28,
    wheelbase: 1.09,
    track: 0,
    vehicleMass: 16.5,
    tyre: { beadM: 0.559, widthM: 0.047 },
    frontTyre: { beadM: 0.559, widthM: 0.047 },
  },
  deltaTrike: {
    seatSide: 0,
    topSide: 0,
    downSide: 0,
    seatTubeLength: 0.42,
    seatTubeAngleDeg: 70,
    chainstayLength: 0.62,
    bracketHeight: 0.27,
    wheelbase: 1.22,
    track: 0.68,
    vehicleMass: 26,
    tyre: { beadM: 0.507, widthM: 0.047 },
    frontTyre: { beadM: 0.507, widthM: 0.047 },
  },
  boxBike: {
    seatSide: 0,
    topSide: 0,
    downSide: 0,
    seatTubeLength: 0.47,
    seatTubeAngleDeg: 70,
    chainstayLength: 0.46,
    bracketHeight: 0.29,
    wheelbase: 1.98,
    track: 0,
    vehicleMass: 36,
    tyre: { beadM: 0.559, widthM: 0.05 },
    frontTyre: { beadM: 0.406, widthM: 0.05 },
  },
};

export interface CommonFrame {
  seatSide: number;
  topSide: number;
  downSide: number;
  seatTubeLength: number;
  seatTubeAngleDeg: number;
  chainstayLength: number;
  bracketHeight: number;
  wheelbase: number;
  track: number;
  vehicleMass: number;
  tyre: TyreSize;
  frontTyre: TyreSize;
}
