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
};

export const kindTraits: Record<VehicleKind, KindTraits> = {
  diamond: { ...bike, words: 'Diamond frame', triangle: true },
  mixte: { ...bike, words: 'Mixte', triangle: true },
  stepThrough: { ...bike, words: 'Step-through' },
  folding: { ...bike, words: 'Folding bike', hinge: true },
  fullSuspension: { ...bike, words: 'Full suspension', triangle: true, rearShock: true },
  fat: { ...bike, words: 'Fat bike', triangle: true },
  tandem: { ...bike, words: 'Tandem', triangle: true, twoCranks: true },
  longtail: { ...bike, words: 'Longtail cargo bike', triangle: true },
  boxBike: { ...bike, words: 'Box bike, two wheels', box: true },
  recumbent: { ...bike, words: 'Recumbent, two wheels', seat: 'seat', boom: true },
  deltaTrike: { ...bike, words: 'Upright trike, two wheels behind', paired: 'rear', box: true },
  tadpoleTrike: { ...bike, words: 'Recumbent trike, two wheels in front', paired: 'front', seat: 'seat', boom: true },
  boxTrike: { ...bike, words: 'Box trike, two wheels in front', paired: 'front', box: true },
  recumbentDelta: { ...bike, words: 'Recumbent trike, two wheels behind', paired: 'rear', seat: 'seat', boom: true },
  tandemTrike: {
    ...bike,
    words: 'Tandem trike, two wheels behind',
    triangle: true,
    paired: 'rear',
    twoCranks: true,
  },
  velomobile: {
    ...bike,
    words: 'Velomobile, a trike in a shell',
    paired: 'front',
    seat: 'seat',
    boom: true,
    shell: true,
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
