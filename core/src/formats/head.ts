import { vehicleKinds, type VehicleKind } from '../donor/kinds.ts';

/** What names a build in a list: read from anything that may be one, sound or damaged. */
export interface BuildHead {
  name: string;
  variant: string;
  kind: VehicleKind | null;
  /** A kit was chosen. */
  hasKit: boolean;
}

const inside = (value: unknown, key: string): unknown =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined;

/** Longest name shown from something that was not read whole, characters. */
const LONGEST_NAME = 200;

/**
 * The head of a build as kept, or of what is left of one. Never throws: what cannot be told is empty, `null` or false.
 */
export function headOf(kept: unknown): BuildHead {
  const text = (key: string): string => {
    const value = inside(kept, key);
    return typeof value === 'string' ? value.slice(0, LONGEST_NAME) : '';
  };
  const kind = inside(inside(kept, 'donor'), 'kind');
  return {
    name: text('name').trim() || text('id') || 'A build without a name',
    variant: text('variant'),
    kind: vehicleKinds.find((k) => k === kind) ?? null,
    hasKit: typeof inside(inside(kept, 'choice'), 'kitId') === 'string',
  };
}
