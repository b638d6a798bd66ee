import { z } from '../reading/zod.ts';

/**
 * Legal classes as dated data that a person may correct. They warn and show the setting that would
 * comply; the local authority has the last word.
 */
export const legalClassSchema = z.object({
  id: z.string().regex(/^[a-z0-9][a-z0-9-]{1,58}$/i, 'letters, figures and hyphens'),
  name: z.string().trim().min(1).max(80),
  /** Where rules of this kind are met. */
  region: z.string().max(120),
  /** Continuous rated power allowed, W; null for no limit. */
  ratedW: z.number().positive().max(20_000).nullable(),
  /** Speed at which help must end, m/s; null for no limit. */
  assistMs: z.number().positive().max(40).nullable(),
  /** What a throttle may do. */
  throttle: z.enum(['none beyond walking help', 'up to the assist speed', 'free']),
  /** Youngest rider, years; null where none is set. */
  leastAge: z.int().min(0).max(30).nullable(),
  /** Plate, insurance or licence needed. */
  registered: z.boolean(),
  source: z.string().max(200),
  /** Month the figures were looked up. */
  asOf: z.string().regex(/^\d{4}-\d{2}$/, 'a month such as 2026-06'),
});
export type LegalClass = z.infer<typeof legalClassSchema>;

const kmh = (v: number): number => v / 3.6;

export const legalClasses: readonly LegalClass[] = [
  {
    id: 'epac25',
    name: 'Pedal assist, 250 W to 25 km/h',
    region: 'Europe and places that follow EN 15194',
    ratedW: 250,
    assistMs: kmh(25),
    throttle: 'none beyond walking help',
    leastAge: null,
    registered: false,
    source: 'EN 15194 and the laws that follow it',
    asOf: '2026-06',
  },
  {
    id: 'epac32',
    name: 'Pedal assist, 500 W to 32 km/h',
    region: 'provinces and states with a 500 W class',
    ratedW: 500,
    assistMs: kmh(32),
    throttle: 'up to the assist speed',
    leastAge: 16,
    registered: false,
    source: 'typical of provinces and states with a 500 W class',
    asOf: '2026-06',
  },
  {
    id: 'powered32',
    name: 'Assist or throttle, 750 W to 32 km/h',
    region: 'states with a 20 mph class',
    ratedW: 750,
    assistMs: kmh(32),
    throttle: 'up to the assist speed',
    leastAge: null,
    registered: false,
    source: 'typical of states with a 20 mph class',
    asOf: '2026-06',
  },
  {
    id: 'powered45',
    name: 'Pedal assist, 750 W to 45 km/h',
    region: 'states with a 28 mph class',
    ratedW: 750,
    assistMs: kmh(45),
    throttle: 'none beyond walking help',
    leastAge: 16,
    registered: false,
    source: 'typical of states with a 28 mph class',
    asOf: '2026-06',
  },
  {
    id: 'moped25',
    name: 'Powered cycle, 1000 W to 25 km/h, registered',
    region: 'EU, category L1e-A',
    ratedW: 1000,
    assistMs: kmh(25),
    throttle: 'up to the assist speed',
    leastAge: 16,
    registered: true,
    source: 'EU 168/2013, category L1e-A',
    asOf: '2026-06',
  },
  {
    id: 'private',
    name: 'Private ground only',
    region: 'anywhere off the public road',
    ratedW: null,
    assistMs: null,
    throttle: 'free',
    leastAge: null,
    registered: false,
    source: 'no road law applies; the landowner’s rules do',
    asOf: '2026-06',
  },
];

/** The class of an id among those given, or undefined where nobody knows it. */
export function legalClass(id: string, laws: readonly LegalClass[]): LegalClass | undefined {
  return laws.find((c) => c.id === id);
}

/** Laws with a person's own; one with the same id takes the old one's place. */
export function withLaws(laws: readonly LegalClass[], own: readonly LegalClass[]): LegalClass[] {
  const ids = new Set(own.map((law) => law.id));
  return [...laws.filter((law) => !ids.has(law.id)), ...own];
}
