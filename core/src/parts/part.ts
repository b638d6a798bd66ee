import { z } from '../reading/zod.ts';
import { controlSchema } from './controls.ts';
import { clusterSchema, hubGearSchema, ringSchema } from './gearParts.ts';
import { kitSchema } from './kit.ts';
import type { LegalClass } from './law.ts';
import { packSchema } from './pack.ts';
import type { SmallPartId } from './shelf/ids.ts';
import {
  adapterSchema,
  cableSchema,
  chargerSchema,
  consumableSchema,
  extensionSchema,
  fittingSchema,
  fuseSchema,
  plugSchema,
  prechargeSchema,
  rimSchema,
  serviceSchema,
  toolSchema,
} from './smallParts.ts';

/** The schema of each kind of part. A new kind is one line here and one list on the shelf. */
export const partSchemas = {
  kit: kitSchema,
  pack: packSchema,
  ring: ringSchema,
  cluster: clusterSchema,
  hubGear: hubGearSchema,
  rim: rimSchema,
  fitting: fittingSchema,
  consumable: consumableSchema,
  tool: toolSchema,
  service: serviceSchema,
  cable: cableSchema,
  fuse: fuseSchema,
  plug: plugSchema,
  control: controlSchema,
  extension: extensionSchema,
  adapter: adapterSchema,
  precharge: prechargeSchema,
  charger: chargerSchema,
};
export type PartKind = keyof typeof partSchemas;
export const partKinds = Object.keys(partSchemas) as PartKind[];
export type PartOf<K extends PartKind> = z.infer<(typeof partSchemas)[K]>;

/** Any part, told apart by its kind. A person's own parts are of the same schema as the shelf's. */
export const partSchema = z.union([
  kitSchema,
  packSchema,
  ringSchema,
  clusterSchema,
  hubGearSchema,
  rimSchema,
  fittingSchema,
  consumableSchema,
  toolSchema,
  serviceSchema,
  cableSchema,
  fuseSchema,
  plugSchema,
  controlSchema,
  extensionSchema,
  adapterSchema,
  prechargeSchema,
  chargerSchema,
]);
export type Part = z.infer<typeof partSchema>;

/** Parts to choose from, a list a kind: the starter shelf and whatever the person added; and the legal classes. */
export type Shelf = { readonly [K in PartKind]: readonly PartOf<K>[] } & { readonly laws: readonly LegalClass[] };

/** A shelf with more parts on it; a part with the same id takes the old one's place. */
export function withParts(shelf: Shelf, parts: readonly Part[]): Shelf {
  if (parts.length === 0) return shelf;
  const ids = new Set(parts.map((part) => part.id));
  const lists = partKinds.map((kind) => {
    const old: readonly Part[] = shelf[kind];
    const own = parts.filter((part) => part.kind === kind);
    return [kind, own.length === 0 ? old : [...old.filter((part) => !ids.has(part.id)), ...own]];
  });
  return { ...(Object.fromEntries(lists) as Omit<Shelf, 'laws'>), laws: shelf.laws };
}

const byId = new WeakMap<Shelf, Map<string, Part>>();

/** The part of an id, of whatever kind; undefined where the shelf has none. */
export function partById(shelf: Shelf, id: string): Part | undefined {
  let ids = byId.get(shelf);
  if (!ids) byId.set(shelf, (ids = new Map(partKinds.flatMap((k) => shelf[k].map((p): [string, Part] => [p.id, p])))));
  return ids.get(id);
}

/** What a fitting takes up of an axle, m; 0 where the shelf does not say. */
export function thicknessOf(shelf: Shelf, id: SmallPartId): number {
  const part = partById(shelf, id);
  return part?.kind === 'fitting' ? (part.thicknessM ?? 0) : 0;
}

/** What a fitting is bored, m; null where the shelf does not say. */
export function boreOf(shelf: Shelf, id: SmallPartId): number | null {
  const part = partById(shelf, id);
  return part?.kind === 'fitting' ? (part.boreM ?? null) : null;
}
