import type { Arrival } from '../build/arrivals.ts';
import type { Build } from '../build/build.ts';
import type { Cluster, HubGear, Ring } from '../parts/gearParts.ts';
import type { Kit } from '../parts/kit.ts';
import { withLaws } from '../parts/law.ts';
import type { BoxId, Lead } from '../parts/leads.ts';
import type { Pack } from '../parts/pack.ts';
import { withParts, type Shelf } from '../parts/part.ts';
import { asJoined, joinedHere } from '../pack/joined.ts';
import { asSet } from './asSet.ts';

/** The parts a build has chosen, looked up on the shelf and among its own parts. */
export interface Chosen {
  /** The whole shelf: the starter’s, the build’s own parts and laws. */
  shelf: Shelf;
  kit: Kit | null;
  /** The kit before its settings, as sold or as it came. */
  asSold: Kit | null;
  pack: Pack | null;
  /** The pack before anything was joined to it. */
  packAlone: Pack | null;
  ring: Ring | null;
  cluster: Cluster | null;
  hubGear: HubGear | null;
}

/** The shelf with the chosen pack as it is with what is joined to it. */
function withJoined(shelf: Shelf, packId: string | null, { packs }: Build['wiring']): Shelf {
  const joined = joinedHere(packs, packId);
  if (packId === null || !joined) return shelf;
  return { ...shelf, pack: shelf.pack.map((pack) => (pack.id === packId ? asJoined(pack, joined) : pack)) };
}

/** A kit as it came: what was measured on the bench in place of its data. */
function asArrived(kit: Kit, a: Arrival): Kit {
  const { hub, mid, controls } = kit;
  return {
    ...kit,
    ...(hub
      ? {
          hub: {
            ...hub,
            axleFlatsM: a.axleFlatsM ?? hub.axleFlatsM,
            axleDiameterM: a.axleDiameterM ?? hub.axleDiameterM,
            washerBoreM: a.washerBoreM ?? hub.washerBoreM,
            armBoreM: a.armBoreM ?? hub.armBoreM,
            dropoutSpacingM: a.dropoutSpacingM ?? hub.dropoutSpacingM,
            rimInnerM: a.rimInnerM ?? hub.rimInnerM,
            rimHoles: a.rimHoles ?? hub.rimHoles,
            rimHoleLine: a.rimHoleLine ?? hub.rimHoleLine,
            rotorRoomM: a.rotorRoomM ?? hub.rotorRoomM,
          },
        }
      : {}),
    ...(mid ? { mid: { ...mid, ringOutM: a.ringOutM ?? mid.ringOutM } } : {}),
    ...(kit.wiring && (a.loomM !== undefined || a.leads !== undefined)
      ? { wiring: { ...kit.wiring, leads: kit.wiring.leads.map((l) => leadAsArrived(kit, l, a)) } }
      : {}),
    ...(controls
      ? { controls: { ...controls, loomM: a.loomM ?? controls.loomM, plugM: a.plugM ?? controls.plugM } }
      : {}),
  };
}

/** A lead as it came: its own length, or the loom's, for every lead of a bundle to the bar alike. */
function leadAsArrived(kit: Kit, lead: Lead, a: Arrival): Lead {
  const own = a.leads?.[lead.id];
  if (own !== undefined) return { ...lead, lengthM: own };
  const bar = lead.id === 'loom' || (!kit.wiring?.leads.some((l) => l.id === 'loom') && BAR_BOXES.has(lead.to));
  if (a.loomM === undefined || !bar) return lead;
  return { ...lead, lengthM: lead.lengthM + a.loomM - (kit.controls?.loomM ?? a.loomM) };
}
const BAR_BOXES: ReadonlySet<BoxId> = new Set(['display', 'throttle', 'leftLever', 'rightLever'] as const);

/** The shelf with what was measured of kits on arrival above their data sheets. */
function withArrivals(shelf: Shelf, arrivals: Build['arrivals']): Shelf {
  if (Object.keys(arrivals).length === 0) return shelf;
  return {
    ...shelf,
    kit: shelf.kit.map((kit) => {
      const arrival = arrivals[kit.id];
      return arrival ? asArrived(kit, arrival) : kit;
    }),
  };
}

/** The shelf with the chosen kit as its settings have it. */
function withSettings(shelf: Shelf, kitId: string | null, { settings, parts }: Build['wiring']): Shelf {
  const lamps = [parts.frontLamp, parts.rearLamp].reduce((watts, id) => {
    const part = id === null ? undefined : shelf.control.find((c) => c.id === id);
    return watts + (part?.watts ?? 0);
  }, 0);
  if (kitId === null || (Object.keys(settings).length === 0 && lamps === 0)) return shelf;
  // Lamps off the pack are taken as always on: they draw beside the controller's own standing watts.
  const lit = (kit: Kit): Kit =>
    lamps === 0 ? kit : { ...kit, controller: { ...kit.controller, standingW: kit.controller.standingW + lamps } };
  return { ...shelf, kit: shelf.kit.map((kit) => (kit.id === kitId ? lit(asSet(kit, settings)) : kit)) };
}

/** Looks up what a build has chosen; an id that nothing answers to counts as not chosen. */
export function chosenParts(build: Build, starter: Shelf): Chosen {
  const whole = withParts(starter, build.ownParts);
  const lawful = build.ownLaws.length === 0 ? whole : { ...whole, laws: withLaws(whole.laws, build.ownLaws) };
  const { kitId, packId, ringId, clusterId, hubGearId } = build.choice;
  const arrived = withArrivals(lawful, build.arrivals);
  const shelf = withJoined(withSettings(arrived, kitId, build.wiring), packId, build.wiring);
  const find = <T extends { id: string }>(parts: readonly T[], id: string | null): T | null =>
    id === null ? null : (parts.find((p) => p.id === id) ?? null);
  return {
    shelf,
    kit: find(shelf.kit, kitId),
    asSold: find(arrived.kit, kitId),
    pack: find(shelf.pack, packId),
    packAlone: find(arrived.pack, packId),
    ring: find(shelf.ring, ringId),
    cluster: find(shelf.cluster, clusterId),
    hubGear: find(shelf.hubGear, hubGearId),
  };
}
