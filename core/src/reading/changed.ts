import { z } from './zod.ts';

/** One fault of a value, with the steps to its place. */
export interface Fault {
  path: readonly PropertyKey[];
  /** The checker's issue, as far as words are made of it. */
  issue: z.core.$ZodIssue;
}

/** What of a schema's inside is read here. Zod's own, since 4.0. */
interface Inside {
  def: {
    type: string;
    checks?: readonly z.core.$ZodCheck<unknown>[];
    shape?: Readonly<Record<string, z.ZodType>>;
    element?: z.ZodType;
    keyType?: z.ZodType;
    valueType?: z.ZodType;
    innerType?: z.ZodType;
    catchall?: z.ZodType;
  };
}
const inside = (schema: z.ZodType): Inside['def'] => (schema as unknown as { _zod: Inside })._zod.def;

type Branch = Readonly<Record<string, unknown>>;
const isBranch = (value: unknown): value is Branch =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A schema's own checks, on something whose parts are not looked at; made once of each schema. */
const shells = new WeakMap<z.ZodType, z.ZodType | null>();
function shellOf(schema: z.ZodType, kind: 'array' | 'any'): z.ZodType | null {
  let shell = shells.get(schema);
  if (shell === undefined) {
    const checks = inside(schema).checks ?? [];
    const bare: z.ZodType = kind === 'array' ? z.array(z.unknown()) : z.unknown();
    shell = checks.length === 0 ? null : bare.check(...(checks as Parameters<typeof bare.check>));
    shells.set(schema, shell);
  }
  return shell;
}

/**
 * Faults of a value that came of sound ones: what is the very same thing as in one of those, at the same place, is not
 * looked at again. For a value that shares most of itself with them this takes no longer than what was changed.
 * @param known values that the schema is known to hold for
 */
export function faultsWhereChanged(schema: z.ZodType, known: readonly unknown[], value: unknown): Fault[] {
  const faults: Fault[] = [];
  walk(schema, known, value, [], faults);
  return faults;
}

function walk(schema: z.ZodType, known: readonly unknown[], value: unknown, path: PropertyKey[], out: Fault[]): void {
  if (known.some((k) => Object.is(k, value))) return;
  const def = inside(schema);
  switch (def.type) {
    case 'optional':
    case 'nullable':
    case 'default':
    case 'prefault':
      if (value !== null && value !== undefined && def.innerType && (def.checks ?? []).length === 0)
        return walk(def.innerType, known, value, path, out);
      return whole(schema, value, path, out);
    case 'object':
      if (!isBranch(value) || def.catchall) return whole(schema, value, path, out);
      shell(shellOf(schema, 'any'), value, path, out);
      for (const [key, part] of Object.entries(def.shape ?? {}))
        walk(part, partsAt(known, key), value[key], [...path, key], out);
      return;
    case 'record':
      // Named keys may all be asked for: such a record is small, and looked at whole.
      if (!isBranch(value) || !def.valueType || !def.keyType || inside(def.keyType).type !== 'string')
        return whole(schema, value, path, out);
      shell(shellOf(schema, 'any'), value, path, out);
      for (const [key, part] of Object.entries(value)) {
        const before = known.flatMap((k) => (isBranch(k) && Object.hasOwn(k, key) ? [k[key]] : []));
        if (before.length === 0) whole(def.keyType, key, [...path, key], out);
        walk(def.valueType, before, part, [...path, key], out);
      }
      return;
    case 'array': {
      const { element } = def;
      if (!Array.isArray(value) || !element) return whole(schema, value, path, out);
      shell(shellOf(schema, 'array'), value, path, out);
      const rows = known.filter((k): k is unknown[] => Array.isArray(k));
      walkRow(element, rows, value, path, out);
      return;
    }
    default:
      whole(schema, value, path, out);
  }
}

/** Entries that stand where they did not, until it is looked whether they only moved. */
const FEW = 8;

function walkRow(
  element: z.ZodType,
  rows: readonly (readonly unknown[])[],
  value: readonly unknown[],
  path: PropertyKey[],
  out: Fault[],
): void {
  let elsewhere = 0;
  let seen: Set<unknown> | null = null;
  for (let i = 0; i < value.length; i++) {
    const entry = value[i];
    let sound = false;
    for (const row of rows) if (i < row.length && row[i] === entry) sound = true;
    if (sound) continue;
    // Rows move up when an entry is taken out: what stands anywhere in a sound row is sound.
    if (++elsewhere > FEW && (seen ??= new Set(rows.flat())).has(entry)) continue;
    const there = rows.flatMap((row) => (i < row.length ? [row[i]] : []));
    walk(element, there, entry, [...path, i], out);
  }
}

const partsAt = (known: readonly unknown[], key: string): unknown[] =>
  known.flatMap((k) => (isBranch(k) ? [k[key]] : []));

function shell(schema: z.ZodType | null, value: unknown, path: PropertyKey[], out: Fault[]): void {
  if (schema) whole(schema, value, path, out);
}

function whole(schema: z.ZodType, value: unknown, path: PropertyKey[], out: Fault[]): void {
  const read = parsed(schema, value);
  if (!read.ok) for (const issue of read.issues) out.push({ path: [...path, ...issue.path], issue });
}

/** What a schema makes of a value. Never throws: a check that fell over is a fault like any other. */
export function parsed<T>(
  schema: z.ZodType<T>,
  value: unknown,
): { ok: true; value: T } | { ok: false; issues: readonly z.core.$ZodIssue[] } {
  try {
    const read = schema.safeParse(value);
    return read.success ? { ok: true, value: read.data } : { ok: false, issues: read.error.issues };
  } catch {
    const message = 'is so broken that it cannot be looked at';
    return { ok: false, issues: [{ code: 'custom', path: [], message, input: value }] };
  }
}
