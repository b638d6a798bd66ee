import { partSchema, partSchemas, problemsOf, routeSchema, type Part, type PartKind, type Route } from '@sprocket/core';
import { db, type BuildPhoto } from './db.ts';

/** Something kept beside the builds that cannot be read: it stays as it is until somebody decides. */
export interface Unsound {
  table: 'parts' | 'routes';
  id: string;
  name: string;
  why: string;
  raw: unknown;
}

/** Roads that a build may take; what cannot be read is left where it is. */
export async function soundRoads(): Promise<Route[]> {
  return (await db.routes.toArray())
    .flatMap((raw) => routeSchema.safeParse(raw).data ?? [])
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** The person's own parts that can be read. */
export async function soundParts(): Promise<Part[]> {
  return (await db.parts.toArray()).flatMap((raw) => partSchema.safeParse(raw).data ?? []);
}

const isPhoto = ({ id, item, on, dataUrl }: Partial<Record<keyof BuildPhoto, unknown>>): boolean =>
  [id, item, on].every((text) => typeof text === 'string') &&
  typeof dataUrl === 'string' &&
  dataUrl.startsWith('data:image/');

/** Photos of a build, or of one item of it, that are pictures. */
export async function soundPhotos(of: { buildId: string; item?: string }): Promise<BuildPhoto[]> {
  return (await db.photos.where(of).toArray()).filter(isPhoto);
}

/** Own parts and roads that cannot be read, with why. */
export async function unsound(): Promise<Unsound[]> {
  const [parts, routes] = await Promise.all([db.parts.toArray(), db.routes.toArray()]);
  const found = (table: Unsound['table'], rows: readonly unknown[]) =>
    rows.flatMap((raw): Unsound[] => {
      const { id, name, kind } = raw as { id: string; name?: unknown; kind?: unknown };
      // Of a part its own kind's faults are told, not that it is none of all kinds.
      const of = table === 'routes' ? routeSchema : (partSchemas[kind as PartKind] ?? partSchema);
      const read = of.safeParse(raw);
      if (read.success) return [];
      const [first] = problemsOf(read.error);
      return [
        {
          table,
          id,
          name: typeof name === 'string' && name.trim() !== '' ? name.slice(0, 120) : id,
          why: `${first?.path ?? ''}: ${first?.message ?? 'cannot be read'}`,
          raw,
        },
      ];
    });
  return [...found('parts', parts), ...found('routes', routes)];
}
