import { z } from '../reading/zod.ts';

/** Which of a finding's alternatives was taken. The remedy itself is found again in the plan by these three names. */
export const fixSchema = z.object({
  rule: z.string().min(1).max(60),
  /** Part the finding is about, or "donor" or "plan". */
  subject: z.string().min(1).max(80),
  /** The remedy's id within its rule. */
  remedy: z.string().min(1).max(60),
  on: z.iso.date(),
});
export type Fix = z.infer<typeof fixSchema>;
