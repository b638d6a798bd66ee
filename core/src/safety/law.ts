/**
 * Legal classes as dated data. They warn and show the setting that would comply; the local
 * authority has the last word.
 */
export const legalClassIds = ['epac25', 'epac32', 'powered32', 'powered45', 'moped25', 'private'] as const;
export type LegalClassId = (typeof legalClassIds)[number];

export interface LegalClass {
  id: LegalClassId;
  name: string;
  /** Continuous rated power allowed, W; null for no limit. */
  ratedW: number | null;
  /** Speed at which help must end, m/s; null for no limit. */
  assistMs: number | null;
  /** What a throttle may do. */
  throttle: 'none beyond walking help' | 'up to the assist speed' | 'free';
  source: string;
  asOf: string;
}

const kmh = (v: number): number => v / 3.6;

export const legalClasses: readonly LegalClass[] = [
  {
    id: 'epac25',
    name: 'Pedal assist, 250 W to 25 km/h',
    ratedW: 250,
    assistMs: kmh(25),
    throttle: 'none beyond walking help',
    source: 'EN 15194 and the laws that follow it',
    asOf: '2026-06',
  },
  {
    id: 'epac32',
    name: 'Pedal assist, 500 W to 32 km/h',
    ratedW: 500,
    assistMs: kmh(32),
    throttle: 'up to the assist speed',
    source: 'typical of provinces and states with a 500 W class',
    asOf: '2026-06',
  },
  {
    id: 'powered32',
    name: 'Assist or throttle, 750 W to 32 km/h',
    ratedW: 750,
    assistMs: kmh(32),
    throttle: 'up to the assist speed',
    source: 'typical of states with a 20 mph class',
    asOf: '2026-06',
  },
  {
    id: 'powered45',
    name: 'Pedal assist, 750 W to 45 km/h',
    ratedW: 750,
    assistMs: kmh(45),
    throttle: 'none beyond walking help',
    source: 'typical of states with a 28 mph class',
    asOf: '2026-06',
  },
  {
    id: 'moped25',
    name: 'Powered cycle, 1000 W to 25 km/h, registered',
    ratedW: 1000,
    assistMs: kmh(25),
    throttle: 'up to the assist speed',
    source: 'EU 168/2013, category L1e-A',
    asOf: '2026-06',
  },
  {
    id: 'private',
    name: 'Private ground only',
    ratedW: null,
    assistMs: null,
    throttle: 'free',
    source: 'no road law applies; the landowner’s rules do',
    asOf: '2026-06',
  },
];

/** The class of an id. */
export function legalClass(id: LegalClassId): LegalClass {
  const found = legalClasses.find((c) => c.id === id);
  if (!found) throw new RangeError(`no legal class ${id}`);
  return found;
}
