import type { Build } from '../build/build.ts';
import type { Cluster, HubGear, Ring } from '../parts/gearParts.ts';
import type { Kit } from '../parts/kit.ts';
import { withLaws } from '../parts/law.ts';
import type { Pack } from '../parts/pack.ts';
import { withParts, type Shelf } from '../parts/part.ts';

/** The parts a build has chosen, looked up on the shelf and among its own parts. */
export interface Chosen {
  /** The whole shelf: the starter’s, the build’s own parts and laws. */
  shelf: Shelf;
  kit: Kit | null;
  pack: Pack | null;
  ring: Ring | null;
  cluster: Cluster | null;
  hubGear: HubGear | null;
}

/** Looks up what a build has chosen; an id that nothing answers to counts as not chosen. */
export function chosenParts(build: Build, starter: Shelf): Chosen {
  const whole = withParts(starter, build.ownParts);
  const shelf = build.ownLaws.length === 0 ? whole : { ...whole, laws: withLaws(whole.laws, build.ownLaws) };
  const { kitId, packId, ringId, clusterId, hubGearId } = build.choice;
  const find = <T extends { id: string }>(parts: readonly T[], id: string | null): T | null =>
    id === null ? null : (parts.find((p) => p.id === id) ?? null);
  return {
    shelf,
    kit: find(shelf.kit, kitId),
    pack: find(shelf.pack, packId),
    ring: find(shelf.ring, ringId),
    cluster: find(shelf.cluster, clusterId),
    hubGear: find(shelf.hubGear, hubGearId),
  };
}
