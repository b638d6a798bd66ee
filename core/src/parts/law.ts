import rows from '@sprocket/catalogue/laws.json' with { type: 'json' };
import { rowsOf } from '../catalogue/rows.ts';
import { z } from '../reading/zod.ts';

/**
 * Legal classes as dated data that a person may correct. They warn and show the setting that would
 * comply; the local authority has the last word.
 */
export const legalClassSchema = z.object({
  id: z.string().regex(/^[a-z0-9][a-z0-9-]{1,58}$/i, 'letters, figures and hyphens'),
  name: z.string().trim().min(1).max(80),
  /** Where rules of this kind are met. */
  region: z.string().max(120),
  /** Continuous rated power allowed, W; null for no limit. */
  ratedW: z.number().positive().max(20_000).nullable(),
  /** Speed at which help must end, m/s; null for no limit. */
  assistMs: z.number().positive().max(40).nullable(),
  /** What a throttle may do. */
  throttle: z.enum(['none beyond walking help', 'up to the assist speed', 'free']),
  /** Youngest rider, years; null where none is set. */
  leastAge: z.int().min(0).max(30).nullable(),
  /** Plate, insurance or licence needed. */
  registered: z.boolean(),
  source: z.string().max(200),
  /** Month the figures were looked up. */
  asOf: z.string().regex(/^\d{4}-\d{2}$/, 'a month such as 2026-06'),
});
export type LegalClass = z.infer<typeof legalClassSchema>;

/** The legal classes the catalogue has. */
export const legalClasses = rowsOf<LegalClass>(rows);

/** The class of an id among those given, or undefined where nobody knows it. */
export function legalClass(id: string, laws: readonly LegalClass[]): LegalClass | undefined {
  return laws.find((c) => c.id === id);
}

/** Laws with a person's own; one with the same id takes the old one's place. */
export function withLaws(laws: readonly LegalClass[], own: readonly LegalClass[]): LegalClass[] {
  const ids = new Set(own.map((law) => law.id));
  return [...laws.filter((law) => !ids.has(law.id)), ...own];
}
