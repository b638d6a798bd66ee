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

/**
 * Open items that what is chosen still wants measured: what holds an order back first, then what most findings wait for by
 * the minute. Whatever is likely, nothing is ordered before these are known.
 */
export function wantedItems(findings: readonly Finding[], donor: Donor): WantedItem[] {
  const uses = new Map(ruleCatalog.map((rule) => [rule.id, rule.uses]));
  const waiting = findings.filter((f) => f.verdict === 'measure' && !f.override);
  return itemsFor(donor)
    .filter((item) => !isProven(donor.survey[item.id]))
    .flatMap((item): WantedItem[] => {
      const mine = waiting.filter((f) => uses.get(f.rule)?.includes(item.id) === true);
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
