import type { Build } from '../build.ts';
import type { Cluster, Kit, Pack, Ring, Shelf } from '../parts/part.ts';
import { withParts } from '../parts/part.ts';
import { withLaws } from '../safety/law.ts';
import type { HubGearSpeeds } from '../donor/donor.ts';

/** Typical internal ratios by number of speeds, for hubs whose maker's table is not to hand. */
export const hubGearRatios: Record<HubGearSpeeds, readonly number[]> = {
  three: [0.75, 1, 1.333],
  five: [0.67, 0.78, 1, 1.28, 1.5],
  seven: [0.63, 0.74, 0.84, 0.99, 1.15, 1.34, 1.55],
  eight: [0.53, 0.64, 0.75, 0.85, 1, 1.22, 1.42, 1.62],
  eleven: [0.53, 0.68, 0.77, 0.88, 1, 1.15, 1.34, 1.54, 1.77, 1.98, 2.15],
  fourteen: [0.28, 0.32, 0.36, 0.41, 0.46, 0.53, 0.6, 0.68, 0.77, 0.88, 1, 1.14, 1.29, 1.47],
  // A stepless hub is reckoned in even steps over its span.
  stepless: [0.5, 0.6, 0.72, 0.87, 1.05, 1.26, 1.52, 1.83],
};

/** One gear as the ride model takes it: hub gears as cog ÷ internal ratio. */
export interface Gear {
  /** "28" or "19 × 0.75". */
  label: string;
  cog: number;
}

/** Ring and gears the build would ride with, and where they come from. */
export interface Gearing {
  ring: number;
  ringFrom: string;
  gears: Gear[];
  gearsFrom: string;
  drivetrain: 'derailleur' | 'hubGear';
  /** False where teeth are common values and not the donor's own. */
  counted: boolean;
}

/** The parts a build has chosen, looked up on the shelf and among its own parts. */
export interface Chosen {
  shelf: Shelf;
  kit: Kit | null;
  pack: Pack | null;
  ring: Ring | null;
  cluster: Cluster | null;
}

export function chosenParts(build: Build, starter: Shelf): Chosen {
  const whole = withParts(starter, build.ownParts);
  const shelf = { ...whole, laws: withLaws(whole.laws, build.ownLaws) };
  const { kitId, packId, ringId, clusterId } = build.choice;
  const find = <T extends { id: string }>(parts: readonly T[], id: string | null): T | null =>
    id === null ? null : (parts.find((p) => p.id === id) ?? null);
  return {
    shelf,
    kit: find(shelf.kits, kitId),
    pack: find(shelf.packs, packId),
    ring: find(shelf.rings, ringId),
    cluster: find(shelf.clusters, clusterId),
  };
}

const COMMON_RING = 42;
const COMMON_COGS = [28, 24, 21, 18, 16, 14];

/** Works out ring and gears for a kit: what was chosen, else what a mid-drive brings, else the donor's own. */
export function gearingFor(build: Build, kit: Kit | null, ringPart: Ring | null, cluster: Cluster | null): Gearing {
  const { survey } = build.donor;
  const ownRing = survey.ringTeeth ? Math.max(...survey.ringTeeth.value) : undefined;
  const ring = ringPart?.teeth ?? kit?.mid?.ringTeeth ?? ownRing ?? COMMON_RING;
  const ringFrom = ringPart
    ? 'chosen ring'
    : kit?.mid
      ? 'comes with the kit'
      : ownRing !== undefined
        ? 'the donor’s'
        : 'a common size, not counted';
  const hubGear = survey.clusterKind?.value === 'hubGear' && kit?.hub?.place !== 'rear';
  const ownCogs = survey.cogTeeth?.value;
  let gears: Gear[];
  let gearsFrom: string;
  if (cluster) {
    gears = fromLargest(cluster.cogs);
    gearsFrom = 'chosen cluster';
  } else if (hubGear) {
    const cog = ownCogs?.[0] ?? 19;
    gears = hubGearRatios[survey.hubGear?.value ?? 'three'].map((ratio) => ({
      label: `${cog} × ${ratio}`,
      cog: cog / ratio,
    }));
    gearsFrom = 'the donor’s hub gear';
  } else if (ownCogs) {
    gears = fromLargest(ownCogs);
    gearsFrom = 'the donor’s cogs';
  } else {
    gears = fromLargest(COMMON_COGS);
    gearsFrom = 'common cogs, not counted';
  }
  return {
    ring,
    ringFrom,
    gears,
    gearsFrom,
    drivetrain: hubGear && !cluster ? 'hubGear' : 'derailleur',
    counted:
      (ringPart !== null || kit?.mid !== undefined || ownRing !== undefined) &&
      (cluster !== null || ownCogs !== undefined),
  };
}

/** Lowest gear first, as the model breaks ties to the earlier. */
function fromLargest(cogs: readonly number[]): Gear[] {
  return [...cogs].sort((a, b) => b - a).map((cog) => ({ label: String(cog), cog }));
}
