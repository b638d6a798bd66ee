import type { Pack } from '../parts/pack.ts';
import { chosenPlacement } from './packPlacement.ts';
import type { Placing } from './packStanding.ts';
import { packShape } from './packShape.ts';
import { frameRoom } from './frameRoom.ts';
import { leadsOf, placeController, type Lead } from './controller.ts';
import { loomWanted } from './loom.ts';

/** The leads of a kit and pack where both lie: the one length of each, for drawing, rules and cautions. */
export function leadsHere(placing: Placing, pack: Pack | null): Lead[] {
  const { build, geometry, kit } = placing;
  if (!kit) return [];
  const { room } = frameRoom(build, geometry, kit);
  const taken = pack ? chosenPlacement(placing, pack) : null;
  const laid = pack && taken?.lies ? { shape: packShape(pack), lies: taken.lies } : null;
  return leadsOf(geometry, kit, laid, placeController(room, kit, laid), loomWanted(build, geometry, kit));
}
