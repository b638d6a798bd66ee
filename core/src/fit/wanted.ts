import type { Donor, SurveyItemId } from '../donor/donor.ts';
import { isProven } from '../donor/entry.ts';
import { itemsFor, measuringMinutes } from '../donor/survey.ts';
import type { Finding } from './finding.ts';
import { ruleCatalog } from './judge.ts';

/** An open item that findings wait for. */
export interface WantedItem {
  item: SurveyItemId;
  minutes: number;
  /** Titles of the findings that say "measure" and look at it. */
  waits: string[];
  /** One of them holds an order back. */
  holdsOrder: boolean;
}

/** Open items a finding waits for: those among its evidence; where none is, all that its rule may look at. */
function waitsFor({ rule, evidence }: Finding, open: ReadonlySet<SurveyItemId>): SurveyItemId[] {
  const seen = evidence.flatMap(({ item }) => (item !== undefined && open.has(item) ? [item] : []));
  const uses = seen.length > 0 ? [] : (ruleCatalog.find((r) => r.id === rule)?.uses ?? []);
  return [...seen, ...uses.filter((id) => open.has(id))];
}

/**
 * Open items that what is chosen still wants measured: what holds an order back first, then what most findings wait for by
 * the minute. Whatever is likely, nothing is ordered before these are known.
 */
export function wantedItems(findings: readonly Finding[], donor: Donor): WantedItem[] {
  const items = itemsFor(donor).filter((item) => !isProven(donor.survey[item.id]));
  const open = new Set(items.map((item) => item.id));
  const waiting = findings
    .filter((f) => f.verdict === 'measure' && !f.override)
    .map((f) => ({ ...f, items: waitsFor(f, open) }));
  return items
    .flatMap((item): WantedItem[] => {
      const mine = waiting.filter((f) => f.items.includes(item.id));
      if (mine.length === 0) return [];
      return [
        {
          item: item.id,
          minutes: measuringMinutes(item),
          waits: [...new Set(mine.map((f) => f.title))],
          holdsOrder: mine.some((f) => f.fitCritical === true),
        },
      ];
    })
    .sort(
      (a, b) => Number(b.holdsOrder) - Number(a.holdsOrder) || b.waits.length / b.minutes - a.waits.length / a.minutes,
    );
}
