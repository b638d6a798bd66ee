import type { Build } from '../build/build.ts';
import { legalClass } from '../parts/law.ts';
import type { Kit } from '../parts/kit.ts';
import type { Shelf } from '../parts/part.ts';
import type { Position } from './tracked.ts';

/** The slots of a candidate that are walked through, slowest first; gears are a hub gear, a cluster or neither. */
export const slots = ['kit', 'pack', 'place', 'gears', 'ring'] as const;

/** All conversions of one kit: what each slot after the kit may hold. */
export interface KitSpace {
  kit: Kit;
  packs: { id: string; places: Position['place'][] }[];
  gears: { hubGearId: string | null; clusterId: string | null }[];
  rings: (string | null)[];
  /** Help as the kit ends it, as the build has it set, or as the class wants it, whichever is least. */
  limitMs: number | null;
  /** Arms it may have: of those the fewest stand with which the fewest findings are open. */
  arms: number[];
  /** How many there are. */
  count: number;
}

/** Arms that a hub’s axle may have. */
const ARMS = [0, 1, 2];

/**
 * Every conversion of a donor by the shelf: each kit with each battery in each place that it is made for. Ring and gears
 * are tried where the motor drives through them; behind a hub they are for the legs alone, and stay as the build has
 * them. Gears are bought only for a rear end that was looked at: else it would be a guess upon a guess. Help ends where
 * the class wants it. What cannot be is for the rules.
 */
export function spaceOf(build: Build, shelf: Shelf): KitSpace[] {
  const law = legalClass(build.brief.legalClass, shelf.laws);
  const { choice } = build;
  const packs = shelf.pack.map(({ id, places }) => ({ id, places: [...places] }));
  const places = packs.reduce((sum, p) => sum + p.places.length, 0);
  const asBuilt = { hubGearId: choice.hubGearId, clusterId: choice.clusterId };
  const { survey } = build.donor;
  const allGears = [
    { hubGearId: null, clusterId: null },
    ...(survey.clusterKind ? shelf.cluster.map((c) => ({ hubGearId: null, clusterId: c.id })) : []),
    ...(survey.rearDropoutSpacing ? shelf.hubGear.map((h) => ({ hubGearId: h.id, clusterId: null })) : []),
  ];
  const allRings = [null, ...shelf.ring.map((r) => r.id)];
  return shelf.kit.map((kit): KitSpace => {
    const own = choice.assistLimitMs;
    const most = Math.min(kit.assistLimitMs ?? Infinity, own ?? Infinity);
    const lawful = law?.assistMs ?? null;
    const slower = lawful !== null && most > lawful + 0.01;
    const arms = kit.hub ? ARMS : [choice.torqueArms];
    // A hub gear has no place beside a motor in the same wheel, nor a ring chosen for another kit's spider.
    const rear = kit.hub?.place === 'rear';
    const gears = kit.mid ? allGears : [rear ? { hubGearId: null, clusterId: null } : asBuilt];
    const rings = kit.mid ? allRings : [kit.id === choice.kitId ? choice.ringId : null];
    return {
      kit,
      packs,
      gears,
      rings,
      limitMs: slower ? lawful : own,
      arms,
      count: places * gears.length * rings.length * arms.length,
    };
  });
}

/** What a visit finds: the slot whose value, with those before it, rules this candidate out; null where none does. */
export type Visit = (position: Position) => number | null;

/**
 * Walks the candidates of a kit in order. What is ruled out by the first slots alone is out with all their other values:
 * those are passed over without a visit.
 */
export function walk({ kit, packs, gears, rings, limitMs, arms }: KitSpace, visit: Visit): void {
  const p: Position = {
    kitId: kit.id,
    packId: '',
    place: 'downTube',
    hubGearId: null,
    clusterId: null,
    ringId: null,
    limitMs,
    arms: arms[0] ?? 0,
  };
  let places: readonly Position['place'][] = [];
  const values: (() => readonly unknown[])[] = [() => [kit.id], () => packs, () => places, () => gears, () => rings];
  const put: ((value: never) => void)[] = [
    () => undefined,
    (pack: KitSpace['packs'][number]) => {
      p.packId = pack.id;
      places = pack.places;
    },
    (place: Position['place']) => (p.place = place),
    (g: KitSpace['gears'][number]) => {
      p.hubGearId = g.hubGearId;
      p.clusterId = g.clusterId;
    },
    (ring: string | null) => (p.ringId = ring),
  ];
  const last = slots.length;
  const go = (slot: number): number => {
    if (slot === last) return visit({ ...p }) ?? last;
    for (const value of (values[slot] as () => readonly unknown[])()) {
      (put[slot] as (value: unknown) => void)(value);
      const out = go(slot + 1);
      if (out < slot) return out;
    }
    return last;
  };
  go(0);
}
