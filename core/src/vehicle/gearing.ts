import type { Build } from '../build/build.ts';
import { DRIVETRAIN_EFFICIENCY } from '../constants.ts';
import type { ClusterKind } from '../donor/donor.ts';
import type { Cluster, HubGear, HubGearSpeeds, Ring } from '../parts/gearParts.ts';
import type { Kit } from '../parts/kit.ts';

/** One gear as the ride model takes it: hub gears as cog ÷ internal ratio. */
export interface Gear {
  /** "28" or "19 × 0.75". */
  label: string;
  cog: number;
}

/** A hub gear on the vehicle: the donor’s own by what was read of it, or one that was chosen. */
export interface HubGearOn {
  /** The part that was chosen; null for the donor’s own. */
  part: HubGear | null;
  speeds: HubGearSpeeds | null;
  ratios: readonly number[];
  cog: number;
}

/** Ring and gears the build would ride with, and where they come from. All that rules and figures read of them. */
export interface Gearing {
  ring: number;
  ringFrom: string;
  /** Bolt circle of what the ring bolts to, where it is known: “bcd104”. */
  ringMount: string | null;
  /** How far its teeth stand inboard of what it bolts to, m. */
  ringOffsetM: number;
  gears: Gear[];
  gearsFrom: string;
  drivetrain: 'derailleur' | 'hubGear';
  /** Share of the rider’s power that comes through chain and gears. */
  efficiency: number;
  /** False where teeth are common values and not the donor's own. */
  counted: boolean;
  /** What carries the cogs on the rear wheel that will be there; null where nobody has looked. */
  kind: ClusterKind | null;
  /** Teeth on that wheel as they stand or are chosen; null where they are not counted, or stay behind with the old wheel. */
  cogs: readonly number[] | null;
  /** The cluster that was chosen, where it goes on; null where the donor’s own stays. */
  cluster: Cluster | null;
  hubGear: HubGearOn | null;
  /** Whether the ring’s teeth are the donor’s own count. */
  ringIsDonors: boolean;
}

const COMMON_RING = 42;
const COMMON_COGS = [28, 24, 21, 18, 16, 14];
const COMMON_HUB_COG = 19;

/** Internal ratios of a hub gear of so many speeds, from the shelf’s own; 1 alone where the shelf has none. */
export function hubGearRatios(hubGears: readonly HubGear[], speeds: HubGearSpeeds): readonly number[] {
  return hubGears.find((h) => h.speeds === speeds)?.ratios ?? [1];
}

/** What gears were chosen on the bench. */
export interface GearChoice {
  ring: Ring | null;
  cluster: Cluster | null;
  hubGear: HubGear | null;
}

/** Works out ring and gears for a kit: what was chosen, else what a mid-drive brings, else the donor's own. */
export function gearingFor(build: Build, hubGears: readonly HubGear[], kit: Kit | null, chosen: GearChoice): Gearing {
  const { survey } = build.donor;
  const rearHub = kit?.hub?.place === 'rear' ? kit.hub : null;
  const ownRing = survey.ringTeeth ? Math.max(...survey.ringTeeth.value) : undefined;
  const ring = chosen.ring?.teeth ?? kit?.mid?.ringTeeth ?? ownRing ?? COMMON_RING;
  const ringFrom = chosen.ring
    ? 'chosen ring'
    : kit?.mid
      ? 'comes with the kit'
      : ownRing !== undefined
        ? 'the donor’s'
        : 'a common size, not counted';
  const ownKind = survey.clusterKind?.value ?? null;
  const ownCogs = survey.cogTeeth?.value;
  // A rear motor takes the place of whatever gears were in the old hub.
  const hubGear: HubGearOn | null = rearHub
    ? null
    : chosen.hubGear
      ? { part: chosen.hubGear, speeds: chosen.hubGear.speeds, ratios: chosen.hubGear.ratios, cog: chosen.hubGear.cog }
      : ownKind === 'hubGear' && !chosen.cluster
        ? {
            part: null,
            speeds: survey.hubGear?.value ?? null,
            ratios: hubGearRatios(hubGears, survey.hubGear?.value ?? 'three'),
            cog: ownCogs?.[0] ?? COMMON_HUB_COG,
          }
        : null;
  const cluster = hubGear ? null : chosen.cluster;
  let gears: Gear[];
  let gearsFrom: string;
  if (cluster) {
    gears = fromLargest(cluster.cogs);
    gearsFrom = 'chosen cluster';
  } else if (hubGear) {
    gears = hubGear.ratios.map((ratio) => ({ label: `${hubGear.cog} × ${ratio}`, cog: hubGear.cog / ratio }));
    gearsFrom = hubGear.part ? 'chosen hub gear' : 'the donor’s hub gear';
  } else if (ownCogs) {
    gears = fromLargest(ownCogs);
    gearsFrom = 'the donor’s cogs';
  } else {
    gears = fromLargest(COMMON_COGS);
    gearsFrom = 'common cogs, not counted';
  }
  const stepless = hubGear?.speeds === 'stepless';
  return {
    ring,
    ringFrom,
    ringMount: kit?.mid?.ringMount ?? (survey.boltCircle ? `bcd${Math.round(survey.boltCircle.value * 1000)}` : null),
    ringOffsetM: chosen.ring?.offsetM ?? 0,
    gears,
    gearsFrom,
    drivetrain: hubGear ? 'hubGear' : 'derailleur',
    efficiency:
      hubGear?.part?.efficiency ?? DRIVETRAIN_EFFICIENCY[hubGear ? (stepless ? 'stepless' : 'hubGear') : 'derailleur'],
    counted:
      (chosen.ring !== null || kit?.mid !== undefined || ownRing !== undefined) &&
      (cluster !== null || (hubGear?.part ?? null) !== null || ownCogs !== undefined),
    kind: cluster ? cluster.mount : hubGear ? 'hubGear' : rearHub ? carriedOver(rearHub, ownKind) : ownKind,
    cogs: cluster ? cluster.cogs : hubGear?.part ? [hubGear.cog] : (ownCogs ?? null),
    cluster,
    hubGear,
    ringIsDonors: chosen.ring === null && kit?.mid === undefined && ownRing !== undefined,
  };
}

/** What carries the cogs on a rear motor: its own fitting, or one cog where there was one. */
function carriedOver(hub: NonNullable<Kit['hub']>, own: ClusterKind | null): ClusterKind | null {
  if (own === 'single' || hub.clusterMount === 'none') return own === null ? null : 'single';
  return own === null ? null : hub.clusterMount;
}

/** Lowest gear first, as the model breaks ties to the earlier. */
function fromLargest(cogs: readonly number[]): Gear[] {
  return [...cogs].sort((a, b) => b - a).map((cog) => ({ label: String(cog), cog }));
}
