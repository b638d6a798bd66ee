import type { Build } from '../build/build.ts';
import type { Cluster, HubGear, HubGearSpeeds, Ring } from '../parts/gearParts.ts';
import type { Kit } from '../parts/kit.ts';

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

const COMMON_RING = 42;
const COMMON_COGS = [28, 24, 21, 18, 16, 14];

/** Internal ratios of a hub gear of so many speeds, from the shelf’s own; 1 alone where the shelf has none. */
export function hubGearRatios(hubGears: readonly HubGear[], speeds: HubGearSpeeds): readonly number[] {
  return hubGears.find((h) => h.speeds === speeds)?.ratios ?? [1];
}

/** Works out ring and gears for a kit: what was chosen, else what a mid-drive brings, else the donor's own. */
export function gearingFor(
  build: Build,
  hubGears: readonly HubGear[],
  kit: Kit | null,
  ringPart: Ring | null,
  cluster: Cluster | null,
): Gearing {
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
    gears = hubGearRatios(hubGears, survey.hubGear?.value ?? 'three').map((ratio) => ({
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
