import { shownValue } from '../donor/assumed.ts';
import type { Donor, SurveyItemId } from '../donor/donor.ts';
import { isProven, type Entry } from '../donor/entry.ts';
import type { SurveyItem } from '../donor/items/item.ts';
import { itemsFor, measuringMinutes, surveyItem } from '../donor/survey.ts';
import { phrase, type Amount, type Phrase } from '../quantity/format.ts';
import { tyreName, type TyreSize } from '../quantity/tyre.ts';
import type { Drawn, DrawnFate } from './draws.ts';

/** A conversion as measuring weighs it. */
export interface Contender {
  /** How much it is regretted beside the best of them, as a share of all weights. */
  regret: number;
  /** What is lost where it is bought and does not go on, as a share of its price. */
  lost: number;
  /** Price as it is known today, and how much a share of regret one more of it is. */
  price: number;
  perPrice: number;
}

/** One thing to measure: an item, or those that are taken in one go. */
export interface MeasureFirst {
  items: SurveyItemId[];
  minutes: number;
  /** Share of all that is open in the choice which it settles by itself. */
  settles: number;
  /** Share of what is open in whether the best of today goes on that it tells, whatever one would choose then. */
  tells: number;
  /** What it would lead to: for each answer its share, and which conversion would be best then; null for none. */
  outcomes: { answer: Phrase; share: number; best: number | null }[];
}

/** Taken together: one alone says little. */
const TOGETHER: readonly (readonly SurveyItemId[])[] = [
  ['seatSide', 'topSide', 'downSide', 'headSide'],
  ['rearSlotWidth', 'rearSlotDepth', 'rearDropoutThickness'],
  ['frontSlotWidth', 'frontSlotDepth', 'frontDropoutThickness'],
];

/** Vehicles nearest by a figure that stand for those it might be. Source: project, near the root of 200. */
const NEAREST = 14;

/** Worth of a conversion on a vehicle, from 1 for one that goes on and is best in all; buying nothing is worth nothing. */
function worthOf(fate: DrawnFate, { regret, lost, price, perPrice }: Contender): number {
  return 'stoppedBy' in fate ? -lost : 1 - regret - (fate.price - price) * perPrice;
}

const entryOf = ({ donor }: Pick<Drawn, 'donor'>, id: SurveyItemId): Entry<unknown> | undefined =>
  (donor.survey as Record<string, Entry<unknown> | undefined>)[id];

/** A value as one number or a name, for telling vehicles apart by it. */
function told(donor: Donor, id: SurveyItemId): number | string | null {
  const value = entryOf({ donor }, id)?.value;
  if (value === undefined) return null;
  if (typeof value === 'number' || typeof value === 'string') return value;
  return Array.isArray(value) ? value.join('-') : tyreName(value as TyreSize);
}

/** Worths by vehicle, then by conversion; the last is buying nothing. */
export function worthTable(drawn: readonly Drawn[], contenders: readonly Contender[]): number[][] {
  return drawn.map(({ fates }) => [...contenders.map((c, i) => worthOf(fates[i] as DrawnFate, c)), 0]);
}

/** The best of conversions by their sums over some vehicles, the first of equals. */
function bestOf(sums: readonly number[]): number {
  return sums.reduce((best, sum, i) => (sum > (sums[best] as number) + 1e-12 ? i : best), 0);
}

function sumOver(table: readonly (readonly number[])[], rows: readonly number[]): number[] {
  const sums = (table[0] ?? []).map(() => 0);
  for (const r of rows) (table[r] as readonly number[]).forEach((w, i) => (sums[i] = (sums[i] as number) + w));
  return sums;
}

/** For each vehicle those that tell the same of some items, or nearly: all that agree, or the nearest; never itself. */
function alike(drawn: readonly Drawn[], items: readonly SurveyItemId[]): number[][] {
  const values = drawn.map(({ donor }) => items.map((id) => told(donor, id)));
  const scale = items.map((_, k) => {
    const figures = values.flatMap((v) => (typeof v[k] === 'number' ? [v[k]] : []));
    return figures.length === 0 ? 1 : Math.max(...figures) - Math.min(...figures) || 1;
  });
  const numeric = items.some((_, k) => values.some((v) => typeof v[k] === 'number'));
  return values.map((mine, i) => {
    const far = values.map((theirs) =>
      mine.reduce<number>((sum, a, k) => {
        const b = theirs[k];
        if (a === b) return sum;
        return sum + (typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) / (scale[k] as number) : 1);
      }, 0),
    );
    const others = values.map((_, j) => j).filter((j) => j !== i);
    const same = others.filter((j) => (far[j] as number) < 1e-9);
    if (!numeric || same.length >= NEAREST) return same;
    const sorted = others.map((j) => far[j] as number).sort((a, b) => a - b);
    const limit = sorted[Math.min(NEAREST, sorted.length) - 1] ?? 0;
    return others.filter((j) => (far[j] as number) <= limit);
  });
}

/** Worth of what is chosen for each vehicle once some items are known: chosen by the others that are like it. */
function chosenWorths(table: readonly (readonly number[])[], like: readonly (readonly number[])[]): number[] {
  const whole = sumOver(
    table,
    table.map((_, i) => i),
  );
  return table.map((own, i) => {
    const rows = like[i] as readonly number[];
    // Of those that are like nobody else, nothing is learnt from others: the choice without it stands.
    const sums = rows.length > 0 ? sumOver(table, rows) : whole.map((s, c) => s - (own[c] as number));
    return own[bestOf(sums)] as number;
  });
}

/** How well what is alike tells a worth of a vehicle by the others: 1 wholly, 0 no better than their mean. */
function toldBy(worths: readonly number[], like: readonly (readonly number[])[]): number {
  const sum = worths.reduce((a, b) => a + b, 0);
  let rest = 0;
  let whole = 0;
  worths.forEach((w, i) => {
    const rows = like[i] as readonly number[];
    const without = (sum - w) / Math.max(1, worths.length - 1);
    const by = rows.length > 0 ? mean(rows.map((r) => worths[r] as number)) : without;
    rest += (w - by) ** 2;
    whole += (w - without) ** 2;
  });
  return whole > 1e-12 ? Math.max(0, 1 - rest / whole) : 0;
}

/** What is told of the best of today counts so much beside what would be chosen otherwise. Source: project. */
const TELLS = 0.25;
/** Less than this told is chance. Source: project. */
const LEAST_TOLD = 0.01;
const scoreOf = ({ settles, tells, minutes }: MeasureFirst): number => (settles + TELLS * tells) / minutes;

const mean = (of: readonly number[]): number => of.reduce((a, b) => a + b, 0) / Math.max(1, of.length);

/** Standard errors below which a gain is taken for chance. Source: project. */
const BEYOND_CHANCE = 1.5;

/** Answers of an item as a person would say them: choices as they are, figures in up to three bands. */
function outcomesOf(
  drawn: readonly Drawn[],
  table: readonly (readonly number[])[],
  item: SurveyItem,
): MeasureFirst['outcomes'] {
  const values = drawn.map(({ donor }) => told(donor, item.id));
  const figures = [...new Set(values.filter((v) => typeof v === 'number'))].sort((a, b) => a - b);
  const bandOf = (v: number | string | null): string => {
    if (typeof v !== 'number' || figures.length <= 5) return String(v ?? '');
    return String(Math.min(2, Math.floor((3 * figures.filter((f) => f < v).length) / figures.length)));
  };
  const groups = new Map<string, number[]>();
  values.forEach((v, i) => {
    const key = bandOf(v);
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  const nothing = (table[0]?.length ?? 1) - 1;
  return [...groups]
    .map(([, rows]) => {
      const best = bestOf(sumOver(table, rows));
      const [some = 0] = rows;
      const numbers = rows.flatMap((r) => (typeof values[r] === 'number' ? [values[r]] : []));
      const [low, high] = [Math.min(...numbers), Math.max(...numbers)];
      const shown = (value: unknown): Amount | string => shownValue(item, value);
      const answer =
        values[some] === null
          ? phrase`there is none`
          : numbers.length === 0 || high - low < 1e-9
            ? phrase`${shown(entryOf(drawn[some] as Drawn, item.id)?.value)}`
            : phrase`${shown(low)} to ${shown(high)}`;
      return { answer, share: rows.length / values.length, best: best === nothing ? null : best };
    })
    .sort((a, b) => b.share - a.share);
}

/**
 * What to measure first: for each open item how much better one would choose once it is known, over vehicles drawn as this
 * one might be, for each minute it takes. What could change nothing is left out. Source: expected value of sample
 * information; each vehicle is chosen for by the others alone, so that chance is not taken for knowledge.
 */
export function measureFirst(donor: Donor, drawn: readonly Drawn[], contenders: readonly Contender[]): MeasureFirst[] {
  const table = worthTable(drawn, contenders);
  if (table.length < 2 || contenders.length === 0) return [];
  const all = table.map((_, i) => i);
  const none = all.map((i) => all.filter((j) => j !== i));
  const now = chosenWorths(table, none);
  const open = mean(table.map((own) => Math.max(...own))) - mean(now);
  if (open <= 1e-9) return [];
  const today = bestOf(sumOver(table, all));
  const best = table.map((own) => own[today] as number);
  const asked = itemsFor(donor).filter((item) => !isProven(donor.survey[item.id]));
  const ids = new Set(asked.map((item) => item.id));
  // What exists only on some of the vehicles drawn is asked once the item it hangs on is known.
  const sets = TOGETHER.map((set) => set.filter((id) => ids.has(id))).filter((set) => set.length > 1);
  const grouped = new Set(sets.flat());
  const units: SurveyItemId[][] = [
    ...sets.map((set) => [...set]),
    ...[...ids].filter((id) => !grouped.has(id)).map((id) => [id]),
  ];
  return units
    .flatMap((items): MeasureFirst[] => {
      const like = alike(drawn, items);
      const gains = chosenWorths(table, like).map((worth, i) => worth - (now[i] as number));
      const gain = mean(gains);
      const error = Math.sqrt(mean(gains.map((g) => (g - gain) ** 2)) / gains.length);
      const settles = gain > Math.max(1e-9, BEYOND_CHANCE * error) ? Math.min(1, gain / open) : 0;
      const tells = toldBy(best, like);
      if (settles === 0 && tells < LEAST_TOLD) return [];
      const minutes = items.reduce((sum, id) => sum + measuringMinutes(surveyItem(id)), 0);
      const [first] = items;
      return [
        {
          items,
          minutes,
          settles,
          tells,
          outcomes: items.length === 1 && first ? outcomesOf(drawn, table, surveyItem(first)) : [],
        },
      ];
    })
    .sort((a, b) => scoreOf(b) - scoreOf(a));
}
