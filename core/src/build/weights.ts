import { z } from '../reading/zod.ts';

const massLine = z.object({ label: z.string().trim().min(1).max(80), kg: z.number().min(-100).max(100) });

/** The weight budget: the vehicle as it was weighed before, frozen, and what is taken off or put on besides kit and pack. */
export const weightsSchema = z.object({
  baseline: z
    .object({ kg: z.number().min(0.5).max(1000), lines: z.array(massLine).max(60), on: z.iso.date() })
    .nullable(),
  changes: z.array(massLine).max(60),
});
export type Weights = z.infer<typeof weightsSchema>;

/** Where a new build's weights start: nothing weighed, nothing changed. */
export const usualWeights = (): Weights => ({ baseline: null, changes: [] });
