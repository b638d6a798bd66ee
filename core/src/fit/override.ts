import type { Override } from '../build/overrides.ts';
import type { Finding } from './finding.ts';

/** The finding with its override, if one stands. The verdict is left as it is: it stays visible. */
export function withOverride(finding: Finding, overrides: readonly Override[]): Finding {
  const found = overrides.find((o) => o.rule === finding.rule && o.subject === finding.subject);
  return found && finding.verdict !== 'fits'
    ? { ...finding, override: { reason: found.reason, on: found.on } }
    : finding;
}

/** Whether a finding of that rule on that subject was set aside. */
export function isOverridden(overrides: readonly Override[], rule: string, subject: string): boolean {
  return overrides.some((o) => o.rule === rule && o.subject === subject);
}

/** Findings that hold an order back: "measure" on what must fit, and not overridden. */
export function holdsBack(findings: readonly Finding[]): Finding[] {
  return findings.filter((f) => f.verdict === 'measure' && f.fitCritical === true && !f.override);
}
