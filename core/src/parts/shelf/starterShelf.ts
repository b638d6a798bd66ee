import adapters from '@sprocket/catalogue/shelf/adapters.json' with { type: 'json' };
import cables from '@sprocket/catalogue/shelf/cables.json' with { type: 'json' };
import chargers from '@sprocket/catalogue/shelf/chargers.json' with { type: 'json' };
import clusters from '@sprocket/catalogue/shelf/clusters.json' with { type: 'json' };
import consumables from '@sprocket/catalogue/shelf/consumables.json' with { type: 'json' };
import controls from '@sprocket/catalogue/shelf/controls.json' with { type: 'json' };
import extensions from '@sprocket/catalogue/shelf/extensions.json' with { type: 'json' };
import fittings from '@sprocket/catalogue/shelf/fittings.json' with { type: 'json' };
import fuses from '@sprocket/catalogue/shelf/fuses.json' with { type: 'json' };
import hubGears from '@sprocket/catalogue/shelf/hub-gears.json' with { type: 'json' };
import kits from '@sprocket/catalogue/shelf/kits.json' with { type: 'json' };
import packs from '@sprocket/catalogue/shelf/packs.json' with { type: 'json' };
import precharges from '@sprocket/catalogue/shelf/precharges.json' with { type: 'json' };
import rims from '@sprocket/catalogue/shelf/rims.json' with { type: 'json' };
import rings from '@sprocket/catalogue/shelf/rings.json' with { type: 'json' };
import services from '@sprocket/catalogue/shelf/services.json' with { type: 'json' };
import tools from '@sprocket/catalogue/shelf/tools.json' with { type: 'json' };
import { rowsOf, type Table } from '../../catalogue/rows.ts';
import { legalClasses } from '../law.ts';
import type { PartKind, PartOf, Shelf } from '../part.ts';
import { contentsOf } from './kitContents.ts';
import { withLeads } from './kitLeads.ts';
import { plugs, withPlugEnds } from './plugs.ts';

/** Parts of a kind as the catalogue has them. Its rows are held to the kind's schema in catalogue.test.ts. */
const parts = <K extends PartKind>(kind: K, table: Table): PartOf<K>[] =>
  rowsOf(table).map((row) => ({ kind, note: '', ...(withPlugEnds(row) as object) }) as unknown as PartOf<K>);

/** The starter shelf: the catalogue's invented makers and parts, with plausible and varied figures. */
export const starterShelf: Shelf = {
  kit: parts('kit', kits).map((kit) => {
    const wired = withLeads(kit);
    return { ...wired, contents: contentsOf(wired) };
  }),
  pack: parts('pack', packs),
  ring: parts('ring', rings),
  cluster: parts('cluster', clusters),
  hubGear: parts('hubGear', hubGears),
  rim: parts('rim', rims),
  fitting: parts('fitting', fittings),
  consumable: parts('consumable', consumables),
  tool: parts('tool', tools),
  service: parts('service', services),
  cable: parts('cable', cables),
  fuse: parts('fuse', fuses),
  plug: plugs,
  control: parts('control', controls),
  extension: parts('extension', extensions),
  adapter: parts('adapter', adapters),
  precharge: parts('precharge', precharges),
  charger: parts('charger', chargers),
  laws: legalClasses,
};
