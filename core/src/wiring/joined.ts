import type { Member, WiringChoice } from '../build/wiring.ts';

/** Cells, or blocks, that are joined may rest so far apart, V each. Source: models, §10. */
export const REST_APART = 0.1;
/** Members this much apart in age are not alike, years. Source: project: a season's use. */
export const AGE_APART = 0.5;
/** Capacities of members of a row this far apart, as a share, are not alike. Source: project. */
const CAPACITY_APART = 0.05;

/** What joined packs come to, and whether they may be joined at all. */
export interface Joined {
  allowed: 'yes' | 'no' | 'measure';
  /** Each reason against it, or what is still open; empty where all is alike. */
  reasons: string[];
  volts: number;
  ampHours: number;
  amps: number;
  energyWh: number;
}

const spread = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

/**
 * Packs joined in a row: volts add, the least amp-hours and amps rule, and every member must be alike in kind, age and
 * charge. Side by side: only through the maker's own joint or a diode each; with bare wires the fuller feeds the
 * emptier without limit, and that is refused.
 */
export function joinedOf({ join, by, members }: NonNullable<WiringChoice['packs']>): Joined {
  const reasons: string[] = [];
  const open: string[] = [];
  const least = (of: (m: Member) => number): number => Math.min(...members.map(of));
  const kinds = new Set(members.map((m) => m.chemistry));
  if (kinds.size > 1) reasons.push('they are of different chemistries');
  const ages = members.flatMap((m) => (m.ageYears === null ? [] : [m.ageYears]));
  if (ages.length < members.length) open.push('the age of each');
  else if (join === 'series' && spread(ages) > AGE_APART + 1e-9) reasons.push('the oldest would be driven flat first');
  const rests = members.flatMap((m) => (m.restV === null ? [] : [m.restV / unitsOf(m)]));
  if (rests.length < members.length) open.push('the volts each rests at');
  else if (spread(rests) > REST_APART + 1e-9)
    reasons.push('they rest too far apart: charge each to the same volts first');
  if (join === 'series') {
    const ah = members.map((m) => m.ampHours);
    if (spread(ah) / Math.max(...ah) > CAPACITY_APART + 1e-9) reasons.push('they hold unlike amp-hours');
  } else {
    if (spread(members.map((m) => m.volts)) > 0.5) reasons.push('they are of different volts');
    if (by === 'wires') reasons.push('bare wires let the fuller drive amps into the emptier without limit');
  }
  const volts = join === 'series' ? members.reduce((sum, m) => sum + m.volts, 0) : least((m) => m.volts);
  const ampHours = join === 'series' ? least((m) => m.ampHours) : members.reduce((sum, m) => sum + m.ampHours, 0);
  // Side by side the weakest still carries its even share, so the whole may ask as many times its amps as there are.
  const amps = least((m) => m.amps) * (join === 'series' ? 1 : members.length);
  return {
    allowed: reasons.length > 0 ? 'no' : open.length > 0 ? 'measure' : 'yes',
    reasons: reasons.length > 0 ? reasons : open,
    volts,
    ampHours,
    amps,
    energyWh: volts * ampHours,
  };
}

/** Lead blocks are compared block by block of 12 V, lithium cell by cell. */
const unitsOf = (m: Member): number => (m.chemistry === 'lead' ? Math.max(1, m.series / 6) : m.series);
