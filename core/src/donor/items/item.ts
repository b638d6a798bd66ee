import type { Dimension } from '../../quantity/units.ts';
import type { Survey, SurveyItemId } from '../donor.ts';
import { vehicleKinds, type VehicleKind } from '../kinds.ts';

export const surveyGroups = [
  'frame',
  'bracket',
  'inside',
  'rear',
  'front',
  'wheels',
  'gears',
  'brakes',
  'controls',
  'loads',
] as const;
export type SurveyGroup = (typeof surveyGroups)[number];
export const surveyGroupWords: Record<SurveyGroup, string> = {
  frame: 'Frame',
  bracket: 'Bottom bracket',
  inside: 'Frame lengths',
  rear: 'Rear end',
  front: 'Front end',
  wheels: 'Wheels and rims',
  gears: 'Rings and cogs',
  brakes: 'Brakes and levers',
  controls: 'Bars and controls',
  loads: 'Mass and limits',
};

/** Small drawings of how to take a measurement; the interface draws each. */
export const surveyFigures = [
  'magnet',
  'lean',
  'shell',
  'bore',
  'spacing',
  'slotWidth',
  'slotDepth',
  'thickness',
  'holding',
  'sidewall',
  'brakeKinds',
  'cogs',
  'teeth',
  'clicks',
  'inside',
  'tubeLength',
  'angle',
  'height',
  'span',
  'track',
  'scale',
  'plate',
  'round',
  'bosses',
  'cable',
  'crank',
  'boltCircle',
  'room',
  'tyreRoom',
  'rim',
  'rotor',
  'caliper',
  'lever',
  'bar',
  'fork',
  'shock',
  'stand',
  'slack',
  'driven',
  'timing',
] as const;
export type SurveyFigure = (typeof surveyFigures)[number];

/** Pairs that are taken for one another, and the test that tells them apart. */
export const lookAlikeIds = ['cluster', 'bracket', 'rotor', 'metal', 'dropout', 'valve', 'lever'] as const;
export type LookAlikeId = (typeof lookAlikeIds)[number];

export type SurveyTool = 'tape' | 'caliper' | 'scale' | 'eye' | 'angle finder';

interface ItemBase {
  id: SurveyItemId;
  group: SurveyGroup;
  label: string;
  /** Where to put the tape or caliper, or what to look at. */
  how: string;
  /** What goes wrong if it is skipped. */
  why: string;
  tool: SurveyTool;
  kinds: readonly VehicleKind[];
  figure: SurveyFigure;
  /** Belongs to the quick look, which decides go or no-go and what kit families remain. */
  quick: boolean;
  lookAlike?: LookAlikeId;
  /** Asked only where this holds of what was found so far. */
  when?: (survey: Survey) => boolean;
}
export interface NumberItem extends ItemBase {
  type: 'number';
  dimension: Dimension;
  /** Plausible range, SI; outside it the field asks, and still keeps what was typed. */
  low: number;
  high: number;
  /** Values met most often, most common first; the first is what "assume" puts in. */
  common: readonly number[];
}

/**
 * The range within which a number is taken at all, SI, in fields and files alike: four times what is plausible, so
 * that the odd vehicle goes in and a slip of the point or a broken file does not.
 */
export function takenRange({ low, high }: Pick<NumberItem, 'low' | 'high'>): { min: number; max: number } {
  return { min: low > 0 ? low / 4 : low * 4, max: high * 4 };
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

interface Rest {
  tool?: SurveyTool;
  kinds?: readonly VehicleKind[];
  figure: SurveyFigure;
  quick?: boolean;
  lookAlike?: LookAlikeId;
  when?: (survey: Survey) => boolean;
}

const base = (
  id: SurveyItemId,
  group: SurveyGroup,
  label: string,
  how: string,
  why: string,
  tool: SurveyTool,
  r: Rest,
) => ({
  id,
  group,
  label,
  how,
  why,
  tool: r.tool ?? tool,
  kinds: r.kinds ?? vehicleKinds,
  figure: r.figure,
  quick: r.quick ?? false,
  ...(r.lookAlike ? { lookAlike: r.lookAlike } : {}),
  ...(r.when ? { when: r.when } : {}),
});

type Make<Extra extends unknown[], T> = (
  id: SurveyItemId,
  group: SurveyGroup,
  label: string,
  how: string,
  why: string,
  ...extra: Extra
) => T;

/** A size in millimetres: plausible from, to, common values. */
export const size: Make<[number, number, number[], Rest], NumberItem> = (
  id,
  g,
  label,
  how,
  why,
  low,
  high,
  common,
  r,
) => ({
  ...base(id, g, label, how, why, 'tape', r),
  type: 'number',
  dimension: 'size',
  low: low / 1000,
  high: high / 1000,
  common: common.map((c) => c / 1000),
});

/** Any other number, in SI. */
export const figureOf: Make<[Dimension, number, number, number[], Rest], NumberItem> = (
  id,
  g,
  label,
  how,
  why,
  dimension,
  low,
  high,
  common,
  r,
) => ({ ...base(id, g, label, how, why, 'eye', r), type: 'number', dimension, low, high, common });

/** One of several kinds, told by looking. */
export const choice: Make<[readonly string[], Rest], ChoiceItem> = (id, g, label, how, why, keys, r) => ({
  ...base(id, g, label, how, why, 'eye', r),
  type: 'choice',
  options: keys.map((value) => ({ value, label: choiceWords[value] ?? value })),
});

export const teeth: Make<[Rest], TeethItem> = (id, g, label, how, why, r) => ({
  ...base(id, g, label, how, why, 'eye', r),
  type: 'teeth',
});
export const tyre: Make<[Rest], TyreItem> = (id, g, label, how, why, r) => ({
  ...base(id, g, label, how, why, 'eye', r),
  type: 'tyre',
});

/** What each choice is called, in the trade's words. */
export const choiceWords: Record<string, string> = {
  steel: 'steel',
  aluminium: 'aluminium',
  titanium: 'titanium',
  carbon: 'carbon',
  rigid: 'rigid',
  suspension: 'suspension',
  sides: 'its four sides',
  diagonals: 'sides and diagonals',
  angles: 'sides and angles',
  outside: 'tubes from outside, and how thick they are',
  all: 'all of these: they check one another',
  basket: 'basket',
  rack: 'rack',
  straight: 'straight',
  curved: 'S-bent or curved',
  threadedIso: 'threaded, ISO',
  threadedItalian: 'threaded, Italian',
  threadedFrench: 'threaded, French',
  spanish: 'smooth, 37 mm Spanish',
  pressFit: 'press-fit',
  onePiece: 'one-piece crank',
  eccentric: 'eccentric',
  left: 'left-handed',
  right: 'right-handed',
  nothing: 'nothing, bare shell',
  cableGuide: 'plastic cable guide',
  openCables: 'cables in bare grooves',
  bolt: 'bolt or boss that stands proud',
  standPlate: 'kickstand plate',
  squareTaper: 'square taper',
  splined: 'splined',
  cottered: 'cottered',
  horizontalSlot: 'slot, horizontal',
  verticalSlot: 'slot, vertical',
  throughAxle: 'through-axle hole',
  flat: 'flat',
  recessed: 'recessed, with lips',
  builtIn: 'part of the dropout',
  replaceable: 'bolted on, replaceable',
  claw: 'claw under the axle nut',
  one: 'one',
  two: 'two',
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
  eleven: 'eleven speeds',
  fourteen: 'fourteen speeds',
  stepless: 'stepless',
  sixBolt: 'six bolts',
  yes: 'yes',
  no: 'no',
  downTube: 'on the down tube',
  seatTube: 'on the seat tube',
  both: 'on both tubes',
  top: 'along the top tube',
  down: 'along the down tube',
  internal: 'inside the tubes',
  underBracket: 'under the bracket shell',
  swept: 'swept back',
  drop: 'drop',
  loop: 'looped round',
  tall: 'tall, above the shoulders',
  sideSticks: 'a stick at each side',
  separate: 'on its own clamp',
  withShifter: 'joined with the shifter',
  hydraulic: 'hydraulic',
  dropBar: 'drop-bar lever',
  trigger: 'trigger',
  twist: 'twist grip',
  thumb: 'thumb lever',
  barEnd: 'in the bar’s end',
  onFrame: 'on the frame',
  side: 'side stand',
  centre: 'centre stand',
  twoLegged: 'two legs, wide',
  narrow: 'narrow, 6.5 mm hole',
  wide: 'wide, 8.5 mm hole',
  rear: 'the rear wheel',
  rearLeft: 'left rear wheel only',
  rearRight: 'right rear wheel only',
  bothRear: 'both rear wheels',
  front: 'the front wheel',
  sameSide: 'same side as the drive chain',
  crossover: 'crosses over to the left',
  inTriangle: 'inside the triangle',
  behindSeatTube: 'behind the seat tube',
  underBeam: 'under the beam',
  above: 'on bars above the lap',
  underSeat: 'on bars under the seat',
  smooth: 'smooth or with eyelets',
  sharp: 'sharp edges',
  centred: 'in one line',
  staggered: 'in two lines',
  saddle: 'a saddle',
  seat: 'a seat with a back',
  swingArm: 'the swing arm’s stays alone',
  mainFrame: 'the main frame or seat post alone',
  bridges: 'the main frame and the swing arm',
};
