/** A document of an older version: checked only once it is brought up to date. */
export type Loose = Record<string, unknown>;

export const isObject = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
