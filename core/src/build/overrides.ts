import { z } from '../reading/zod.ts';

/** A finding set aside, with the written reason that stays with it wherever it is shown. */
export const overrideSchema = z.object({
  rule: z.string().min(1).max(60),
  /** Part the finding is about, or "donor" or "plan". */
  subject: z.string().min(1).max(80),
  reason: z.string().trim().min(8, 'a reason of a few words').max(1000),
  on: z.iso.date(),
});
export type Override = z.infer<typeof overrideSchema>;
