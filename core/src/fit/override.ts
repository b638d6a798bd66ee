import { z } from 'zod';
import type { Finding } from './finding.ts';

/** A finding set aside, with the written reason that stays with it wherever it is shown. */
export const overrideSchema = z.object({
  rule: z.string().min(1).max(60),
  /** Part the finding is about, or "donor" or "plan". */
  subject: z.string().min(1).max(80),
  reason: z.string().trim().min(8, 'a reason of a few words').max(1000),
  on: z.iso.date(),
});
export type Override = z.infer<typeof overrideSchema>;

/** A part marked as ordered; a reason where it was ordered against a finding that says measure. */
export const orderSchema = z.object({
  on: z.iso.date(),
  reason: z.string().trim().max(1000).nullable().default(null),
});
export type Order = z.infer<typeof orderSchema>;

/** The finding with its override, if one stands. The verdict is left as it is: it stays visible. */
export function withOverride(finding: Finding, overrides: readonly Override[]): Finding {
  const found = overrides.find((o) => o.rule === finding.rule && o.subject === finding.subject);
  return found && finding.verdict !== 'fits'
    ? { ...finding, override: { reason: found.reason, on: found.on } }
    : finding;
}

/** Findings that hold an order back: "measure" on what must fit, and not overridden. */
export function holdsBack(findings: readonly Finding[]): Finding[] {
  return findings.filter((f) => f.verdict === 'measure' && f.fitCritical === true && !f.override);
}
