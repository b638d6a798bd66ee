import { z } from '../reading/zod.ts';

/** Days from order to door: the least, the likeliest and the most. A triangle between them. */
export const leadDaysSchema = z
  .object({
    low: z.number().min(0).max(1000),
    likely: z.number().min(0).max(1000),
    high: z.number().min(0).max(1000),
  })
  .refine((d) => d.low <= d.likely && d.likely <= d.high, 'low, likely and high must not fall');
export type LeadDays = z.infer<typeof leadDaysSchema>;

/**
 * Days within which a share of orders has come: the quantile of a triangular distribution.
 * @param chance 0 to 1
 */
export function daysAt({ low, likely, high }: LeadDays, chance: number): number {
  const wide = high - low;
  if (wide <= 0) return low;
  const rising = (likely - low) / wide;
  return chance < rising
    ? low + Math.sqrt(chance * wide * (likely - low))
    : high - Math.sqrt((1 - chance) * wide * (high - likely));
}

/** Share of orders that have come within so many days: the triangle's own sum. */
export function chanceWithin({ low, likely, high }: LeadDays, days: number): number {
  if (days >= high) return 1;
  if (days <= low) return 0;
  const wide = high - low;
  return days < likely
    ? (days - low) ** 2 / (wide * (likely - low))
    : 1 - (high - days) ** 2 / (wide * (high - likely));
}
