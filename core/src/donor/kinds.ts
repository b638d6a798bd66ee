/** How riders sit, by what of them stands in the wind. */
export const postures = [
  'tucked',
  'handsHigh',
  'flatBar',
  'upright',
  'tandem',
  'recumbentTrike',
  'uprightTrike',
] as const;
export type Posture = (typeof postures)[number];

/** What sets one kind of vehicle apart from another, as far as survey, drawing and rules care. */
export const vehicleKinds = [
  'diamond',
  'mixte',
  'stepThrough',
  'folding',
  'fullSuspension',
  'fat',
  'tandem',
  'longtail',
  'boxBike',
  'recumbent',
  'deltaTrike',
  'tadpoleTrike',
  'boxTrike',
  'recumbentDelta',
  'tandemTrike',
  'velomobile',
  'homeBuilt',
] as const;
export type VehicleKind = (typeof vehicleKinds)[number];

interface KindTraits {
  words: string;
  /** A main triangle that a pack could go in. */
  triangle: boolean;
  /** Two wheels side by side, and at which end. */
  paired: 'none' | 'front' | 'rear';
  /** A box or deck that belongs to the vehicle. */
  box: boolean;
  hinge: boolean;
  rearShock: boolean;
  /** Cranks for two riders. */
  twoCranks: boolean;
  /** Straddled on a saddle, or sat in. */
  seat: 'saddle' | 'seat';
  /** Cranks ahead of the rider on a boom, with a long chain. */
  boom: boolean;
  /** How it is ridden, unless the person says otherwise. */
  posture: Posture;
  /** Places in its box, on its bench or its deck, where nobody has counted. */
  places: number;
  /** Rider and drive inside a shell: little air, and hands reach nothing from outside. */
  shell: boolean;
}

const bike: KindTraits = {
  words: '',
  triangle: false,
  paired: 'none',
  box: false,
  hinge: false,
  rearShock: false,
  twoCranks: false,
  seat: 'saddle',
  boom: false,
  shell: false,
  posture: 'upright',
  places: 0,
};

export const kindTraits: Record<VehicleKind, KindTraits> = {
  diamond: { ...bike, words: 'Diamond frame', triangle: true },
  mixte: { ...bike, words: 'Mixte', triangle: true },
  stepThrough: { ...bike, words: 'Step-through' },
  folding: { ...bike, words: 'Folding bike', hinge: true },
  fullSuspension: { ...bike, words: 'Full suspension', triangle: true, rearShock: true },
  fat: { ...bike, words: 'Fat bike', triangle: true },
  tandem: { ...bike, words: 'Tandem', triangle: true, twoCranks: true, posture: 'tandem' },
  longtail: { ...bike, words: 'Longtail cargo bike', triangle: true, places: 2 },
  boxBike: { ...bike, words: 'Box bike, two wheels', box: true, places: 2 },
  recumbent: { ...bike, words: 'Recumbent, two wheels', seat: 'seat', boom: true, posture: 'tucked' },
  deltaTrike: {
    ...bike,
    words: 'Upright trike, two wheels behind',
    paired: 'rear',
    box: true,
    posture: 'uprightTrike',
    places: 2,
  },
  tadpoleTrike: {
    ...bike,
    words: 'Recumbent trike, two wheels in front',
    paired: 'front',
    seat: 'seat',
    boom: true,
    posture: 'recumbentTrike',
  },
  boxTrike: {
    ...bike,
    words: 'Box trike, two wheels in front',
    paired: 'front',
    box: true,
    posture: 'uprightTrike',
    places: 4,
  },
  recumbentDelta: {
    ...bike,
    words: 'Recumbent trike, two wheels behind',
    paired: 'rear',
    seat: 'seat',
    boom: true,
    posture: 'recumbentTrike',
  },
  tandemTrike: {
    ...bike,
    words: 'Tandem trike, two wheels behind',
    triangle: true,
    paired: 'rear',
    twoCranks: true,
    posture: 'tandem',
  },
  velomobile: {
    ...bike,
    words: 'Velomobile, a trike in a shell',
    paired: 'front',
    seat: 'seat',
    boom: true,
    shell: true,
    posture: 'recumbentTrike',
  },
  homeBuilt: { ...bike, words: 'Home-built, drawn by its corners' },
};

export const vehicleKindWords: Record<VehicleKind, string> = Object.fromEntries(
  vehicleKinds.map((kind) => [kind, kindTraits[kind].words]),
) as Record<VehicleKind, string>;

/** Whether a wheel sits between two ends, dropouts or fork tips, there: pairs run on an axle or on stubs. */
export function hasEnds(kind: VehicleKind, end: 'front' | 'rear'): boolean {
  return kindTraits[kind].paired !== end;
}

/** True for any vehicle on three wheels. */
export function isTrike(kind: VehicleKind): boolean {
  return kindTraits[kind].paired !== 'none';
}
