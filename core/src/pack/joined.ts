import type { Member, WiringChoice } from '../build/wiring.ts';
import { NOMINAL_CELL_VOLTS, nominalVolts } from './battery.ts';
import type { Pack } from '../parts/pack.ts';

/** Cells, or blocks, that are joined may rest so far apart, V each. Source: models, §10. */
const REST_APART = 0.1;
/** Members this much apart in age are not alike, years. Source: project: a season's use. */
const AGE_APART = 0.5;
/** Capacities of members of a row this far apart, as a share, are not alike. Source: project. */
const CAPACITY_APART = 0.05;

/** The joined hold no more than so much above the battery alone: they are its own blocks, a share. Source: project. */
export const OWN_BLOCKS = 0.05;
type PacksJoined = NonNullable<WiringChoice['packs']>;

/** Amps of a member and amp-hours of a block where no data says. Source: project, common blocks. */
const COMMON_MEMBER = { amps: 30, ampHours: 18, volts: 36 } as const;

/** Cells in a row of a member of so many volts. */
export const cellsInRow = (volts: number, chemistry: Member['chemistry']): number =>
  Math.min(40, Math.max(1, Math.round(volts / NOMINAL_CELL_VOLTS[chemistry])));

/** The joined packs that count with the battery chosen: those written down for it, or for whichever is. */
export function joinedHere(packs: WiringChoice['packs'], packId: string | null): PacksJoined | null {
  return packs && (packs.of === null || packs.of === packId) ? packs : null;
}

/** Members to start from: the blocks a pack is built of, in a row; else two of its kind side by side. */
export function usualMembers(pack: Pack | null): PacksJoined {
  const amps = pack?.boardA ?? COMMON_MEMBER.amps;
  const ampHours = pack ? pack.cellAh * pack.parallel : COMMON_MEMBER.ampHours;
  const chemistry = pack?.chemistry ?? 'nmc';
  const name = (pack?.name ?? 'Pack').slice(0, 50);
  const member = (volts: number, what: string): Member => ({
    name: what,
    chemistry,
    volts,
    ampHours,
    amps,
    ageYears: null,
    restV: null,
    series: cellsInRow(volts, chemistry),
  });
  const blocks = pack?.blocks;
  return {
    join: blocks ? 'series' : 'parallel',
    by: pack?.parallelJoint ? 'makersJoint' : 'wires',
    of: pack?.id ?? null,
    members: blocks
      ? Array.from({ length: blocks.count }, (_, i) => member(blocks.volts, `Block ${i + 1}`))
      : [1, 2].map((i) => member(pack ? nominalVolts(pack) : COMMON_MEMBER.volts, `${name} ${i}`)),
  };
}

/**
 * The chosen battery as it is with what is joined to it: cells in a row, amp-hours and amps of the whole, and its
 * mass by the energy, since nobody weighs each member. Where it lies is the chosen one's own place.
 */
export function asJoined(pack: Pack, packs: PacksJoined): Pack {
  let byPacks = whole.get(pack);
  if (!byPacks) whole.set(pack, (byPacks = new WeakMap()));
  const known = Object.isFrozen(packs) ? byPacks.get(packs) : undefined;
  if (known) return known;
  const made = joinedPack(pack, packs);
  byPacks.set(packs, made);
  return made;
}

/** The same pack joined alike is the same object: what is placed of it is kept by it. */
const whole = new WeakMap<Pack, WeakMap<PacksJoined, Pack>>();

function joinedPack(pack: Pack, packs: PacksJoined): Pack {
  const { energyWh, ampHours, amps } = joinedOf(packs, pack);
  const series =
    packs.join === 'series'
      ? Math.min(
          40,
          packs.members.reduce((sum, m) => sum + m.series, 0),
        )
      : Math.min(...packs.members.map((m) => m.series));
  const cells = series / pack.series;
  const more = 1 + joinedBeyond(pack, { energyWh });
  const parallel = Math.max(1, Math.round(ampHours / pack.cellAh));
  return {
    ...pack,
    series,
    // Amp-hours of the whole, in as many cells side by side as come nearest: their resistance goes with them.
    parallel,
    cellAh: ampHours / parallel,
    leadOhm: packs.join === 'series' ? pack.leadOhm * cells : pack.leadOhm / packs.members.length,
    // Where nobody knows the board's amps, joining more of them makes them no better known.
    boardA: pack.boardA === null ? null : amps,
    massKg: pack.massKg * more,
  };
}

/** How much more a pack's joined members hold than it does alone, as a share; nothing for a pack's own blocks. */
export const joinedBeyond = (pack: Pack, joined: Pick<Joined, 'energyWh'>): number =>
  joined.energyWh / (nominalVolts(pack) * pack.cellAh * pack.parallel) - 1;

/** How many of the chosen battery are joined: one where they are its own blocks. */
export function packsJoined(pack: Pack, packs: WiringChoice['packs']): number {
  const here = joinedHere(packs, pack.id);
  if (!here) return 1;
  return joinedBeyond(pack, joinedOf(here, pack)) > OWN_BLOCKS ? here.members.length : 1;
}

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
 * @param pack the battery chosen, whose maker's joint is asked for
 */
export function joinedOf({ join, by, members }: PacksJoined, pack: Pack | null): Joined {
  const reasons: string[] = [];
  const open: string[] = [];
  const least = (of: (m: Member) => number): number => Math.min(...members.map(of));
  const kinds = new Set(members.map((m) => m.chemistry));
  if (kinds.size > 1) reasons.push('they are of different chemistries');
  else if (pack && !kinds.has(pack.chemistry)) reasons.push('they are of another chemistry than the battery chosen');
  const ages = members.flatMap((m) => (m.ageYears === null ? [] : [m.ageYears]));
  if (ages.length < members.length) open.push('the age of each');
  else if (join === 'series' && spread(ages) > AGE_APART + 1e-9) reasons.push('the oldest would be driven flat first');
  const rests = members.flatMap((m) => (m.restV === null ? [] : [m.restV / unitsOf(m)]));
  if (rests.length < members.length) open.push('the volts each rests at');
  // A diode each lets none feed another: the fuller gives alone until they are level.
  else if (spread(rests) > REST_APART + 1e-9 && !(join === 'parallel' && by === 'diodes'))
    reasons.push('they rest too far apart: charge each to the same volts first');
  if (join === 'series') {
    const ah = members.map((m) => m.ampHours);
    if (spread(ah) / Math.max(...ah) > CAPACITY_APART + 1e-9) reasons.push('they hold unlike amp-hours');
  } else {
    if (spread(members.map((m) => m.volts)) > 0.5) reasons.push('they are of different volts');
    if (by === 'makersJoint' && pack?.parallelJoint !== true)
      reasons.push(`${pack ? `${pack.name} has` : 'they have'} no maker’s joint, as far as its data says`);
    if (by === 'wires') reasons.push('bare wires let the fuller drive amps into the emptier without limit');
  }
  // By their cells, as a pack's volts are everywhere else, not by what is printed on them.
  const cellsV = (m: Member): number => nominalVolts(m);
  const volts = join === 'series' ? members.reduce((sum, m) => sum + cellsV(m), 0) : least(cellsV);
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
