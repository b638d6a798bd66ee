import type { Taking } from '../build/remedy.ts';
import type { JudgedLead } from './leads.ts';

/** Extensions that leads too short take, by what the wiring found for each; the same one wanted twice is two of them. */
export function extensionsFor(leads: readonly Pick<JudgedLead, 'verdict' | 'fix'>[]): Taking[] {
  const sum = new Map<string, Taking>();
  for (const { verdict, fix } of leads) {
    if (verdict !== 'short' || !fix?.extension) continue;
    const { id } = fix.extension;
    sum.set(id, { part: id, count: (sum.get(id)?.count ?? 0) + 1, place: 'leads' });
  }
  return [...sum.values()];
}
