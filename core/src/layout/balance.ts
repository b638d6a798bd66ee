import { rackLoadKg } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { ownMass } from '../build/ownMass.ts';
import { GRAVITY } from '../constants.ts';
import { commonFrame } from '../donor/common.ts';
import { isProven } from '../donor/entry.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import type { Verdict } from '../verdict.ts';
import type { PackPlace } from '../parts/pack.ts';
import {
  axleLoads,
  massPoints,
  NOTHING_ADDED,
  tipDistance,
  type Added,
  type AxleLoads,
  type MassPoint,
} from '../safety/axleLoads.ts';

/** Radii at which a trike's corner speed is shown, m. Source: docs/models.md. */
const CORNER_RADII = [3, 5, 10] as const;

/** A limit with what stands against it, kg. */
export interface LimitLine {
  label: string;
  loadKg: number;
  /** Null where nobody has read it. */
  limitKg: number | null;
  proven: boolean;
  /** Over it, near it (above nine tenths), within it; “measure” where it was not read or not proven. */
  verdict: Verdict;
}

/** Share of a limit from which it is called near. Source: workshop practice. */
const NEAR_LIMIT = 0.9;

function againstLimit(loadKg: number, limitKg: number | null, proven: boolean): Verdict {
  if (limitKg === null) return 'measure';
  if (loadKg > limitKg) return 'stop';
  if (loadKg > limitKg * NEAR_LIMIT) return 'rework';
  return proven ? 'fits' : 'measure';
}

/** Where the weight stands, before and with the kit. */
export interface Balance {
  points: MassPoint[];
  before: AxleLoads;
  now: AxleLoads;
  /** On each wheel, kg: rear and front, paired wheels apart. */
  perWheel: { label: string; beforeKg: number; nowKg: number }[];
  /** Share of the load on the front, before and now. */
  frontShare: { before: number; now: number };
  limits: LimitLine[];
  /** Deceleration at which it would tip over the front, before and now, m/s². */
  tipsOverFront: { before: number; now: number };
  /** Sideways: acceleration at which a trike lifts a wheel, and the speed that is on three radii, m/s; null on two wheels. */
  tipsSideways: { before: number; now: number; cornerMs: { radiusM: number; before: number; now: number }[] } | null;
  /** Changes in handling worth saying, as facts. */
  handling: string[];
}

/**
 * Load on each wheel, centre of mass, tipping and limits with and without the kit and pack.
 * @param added the kit with its fittings, and the pack where it lies; a pack of 0 kg where none is chosen
 * @param place what carries the pack
 * @returns plain figures in SI; positions good to a few centimetres, loads to about 5 kg unless weighed
 */
export function balanceOf(build: Build, g: DonorGeometry, added: Added, place: PackPlace | null): Balance {
  const { kit, fittingsKg, pack } = added;
  const before = axleLoads(build, g, NOTHING_ADDED);
  const now = axleLoads(build, g, added);
  const base = g.frontAxle.x - g.rearAxle.x;
  const rearWheels = g.pairedRear ? 2 : 1;
  const frontWheels = g.pairedFront ? 2 : 1;
  const { survey } = build.donor;
  const front = (l: AxleLoads): number => (GRAVITY * (base - l.xM)) / l.hM;
  const side = (l: AxleLoads): number => (GRAVITY * tipDistance(g, l.xM)) / l.hM;
  const shift = now.xM - before.xM;
  const rise = now.hM - before.hM;
  const shares = { before: before.frontKg / before.totalKg, now: now.frontKg / now.totalKg };
  const handling: string[] = [];
  if (shares.now < 0.3 && shares.now < shares.before - 0.01)
    handling.push('The front is light: steering wanders uphill and on a loose surface.');
  if (shares.now > 0.62 && shares.now > shares.before + 0.01)
    handling.push('The front is heavy: the rear slides first when braking hard.');
  if (shift < -0.02) handling.push('The weight moves back: it turns in more slowly and wags when walked.');
  if (shift > 0.02) handling.push('The weight moves forward: the bar is heavier at low speed.');
  if (rise > 0.015) handling.push('The weight stands higher: it falls over sooner when parked or mounted.');
  if (handling.length === 0) handling.push('Handling stays much as it was.');
  const limit = (
    label: string,
    id: 'wheelLimit' | 'rackLimit' | 'standLimit' | 'loadLimit',
    loadKg: number,
  ): LimitLine => ({
    label,
    loadKg,
    limitKg: survey[id]?.value ?? null,
    proven: isProven(survey[id]),
    verdict: againstLimit(loadKg, survey[id]?.value ?? null, isProven(survey[id])),
  });
  const own = ownMass(build).kg;
  const rackLoad = rackLoadKg(build.brief) + (place === 'rack' ? pack.kg : 0);
  return {
    points: massPoints(build, g, added).filter((m) => m.kg > 0),
    before,
    now,
    perWheel: [
      {
        label: rearWheels === 2 ? 'each rear wheel' : 'rear wheel',
        beforeKg: before.rearKg / rearWheels,
        nowKg: now.rearKg / rearWheels,
      },
      {
        label: frontWheels === 2 ? 'each front wheel' : 'front wheel',
        beforeKg: before.frontKg / frontWheels,
        nowKg: now.frontKg / frontWheels,
      },
    ],
    frontShare: shares,
    limits: [
      limit(build.brief.trailer ? 'On its own wheels' : 'All that moves', 'loadLimit', now.totalKg),
      limit('Heavier wheel', 'wheelLimit', Math.max(now.rearKg / rearWheels, now.frontKg / frontWheels)),
      ...(rackLoad > 0 ? [limit('Rack', 'rackLimit', rackLoad)] : []),
      ...(g.trackM === 0
        ? [limit('Stand, parked', 'standLimit', own + (kit?.massKg ?? 0) + fittingsKg + (pack.towed ? 0 : pack.kg))]
        : []),
    ],
    tipsOverFront: { before: front(before), now: front(now) },
    tipsSideways:
      g.trackM > 0
        ? {
            before: side(before),
            now: side(now),
            cornerMs: CORNER_RADII.map((radiusM) => ({
              radiusM,
              before: Math.sqrt(side(before) * radiusM),
              now: Math.sqrt(side(now) * radiusM),
            })),
          }
        : null,
    handling,
  };
}

/** The vehicle's own weight, line by line, against a frozen beginning and a target. */
export interface WeightBudget {
  lines: { label: string; kg: number; frozen: boolean }[];
  baselineKg: number;
  frozenOn: string | null;
  addedKg: number;
  removedKg: number;
  nowKg: number;
  targetKg: number | null;
}

/**
 * Added less removed since the beginning; the rider and what is carried do not belong to it.
 * @param added kit, pack and fittings of the plan, each with its mass
 */
export function weightBudget(build: Build, added: readonly { label: string; kg: number }[]): WeightBudget {
  const { weights, donor, brief } = build;
  const own = donor.survey.vehicleMass?.value ?? commonFrame[donor.kind].vehicleMass;
  const frozen = weights.baseline;
  const baselineKg = frozen?.kg ?? own;
  const changes = [...weights.changes, ...added.map(({ label, kg }) => ({ label, kg }))];
  const addedKg = changes.reduce((sum, c) => sum + Math.max(0, c.kg), 0);
  const removedKg = changes.reduce((sum, c) => sum + Math.max(0, -c.kg), 0);
  return {
    lines: [
      { label: frozen ? 'Vehicle as weighed' : 'Vehicle as it stands', kg: baselineKg, frozen: frozen !== null },
      ...changes.map((c) => ({ ...c, frozen: false })),
    ],
    baselineKg,
    frozenOn: frozen?.on ?? null,
    addedKg,
    removedKg,
    nowKg: baselineKg + addedKg - removedKg,
    targetKg: brief.massTargetKg,
  };
}
