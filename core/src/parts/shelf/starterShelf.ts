import { legalClasses } from '../law.ts';
import type { Shelf } from '../part.ts';
import { chargers } from './chargers.ts';
import { clusters } from './clusters.ts';
import { consumables } from './consumables.ts';
import { directRearHubs } from './directRearHubs.ts';
import { controls } from './controls.ts';
import { adapters, cables, extensions, fuses, plugs, precharges } from './electrics.ts';
import { fittings } from './fittings.ts';
import { frontHubs } from './frontHubs.ts';
import { gearedRearHubs } from './gearedRearHubs.ts';
import { contentsOf } from './kitContents.ts';
import { withLeads, withPlugs } from './kitLeads.ts';
import { midDrives } from './midDrives.ts';
import { packs } from './packs.ts';
import { rings } from './rings.ts';
import { services } from './services.ts';
import { sideKits } from './sideKits.ts';
import { tools } from './tools.ts';
import { hubGears, rims } from './wheels.ts';

/** The starter shelf: invented makers and parts, with plausible and varied figures. */
export const starterShelf: Shelf = {
  kit: [...frontHubs, ...gearedRearHubs, ...directRearHubs, ...midDrives, ...sideKits].map((kit) => {
    const wired = withLeads(kit);
    return { ...wired, contents: contentsOf(wired) };
  }),
  pack: packs.map(withPlugs),
  ring: rings,
  cluster: clusters,
  hubGear: hubGears,
  rim: rims,
  fitting: fittings,
  consumable: consumables,
  tool: tools,
  service: services,
  cable: cables,
  fuse: fuses,
  plug: plugs,
  control: controls,
  extension: extensions,
  adapter: adapters,
  precharge: precharges,
  charger: chargers,
  laws: legalClasses,
};
