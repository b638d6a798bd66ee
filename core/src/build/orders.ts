import { z } from '../reading/zod.ts';

/** A part marked as ordered; a reason where it was ordered against a finding that says measure. */
export const orderSchema = z.object({
  on: z.iso.date(),
  reason: z.string().trim().max(1000).nullable().default(null),
});
export type Order = z.infer<typeof orderSchema>;
