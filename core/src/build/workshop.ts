import { usualBench } from './bench.ts';
import { usualLine } from './bill.ts';
import type { Build } from './build.ts';
import { knownOf, peopleOf } from './paces.ts';

/** Key of a tool or supply of the bench in the bill. */
const BENCH_LINE = /@bench$/;

/**
 * A new build in the workshop of another: the same hands and weekly bench times, who is at it and how
 * quick people are, tools at hand, money, island and shop.
 * What belongs to the other build alone, its parts, prices, days and invoice, stays with it.
 */
export function inWorkshopOf(other: Build, build: Build): Build {
  const { hands, practised, weekly } = other.bench;
  const { currency, island, shop, lines } = other.bill;
  const tools = Object.entries(lines).filter(([key, line]) => BENCH_LINE.test(key) && line.from === 'have');
  return {
    ...build,
    bench: { ...usualBench(), hands, practised, weekly },
    built: {
      ...build.built,
      builder: other.built.builder,
      paces: peopleOf(other).flatMap((by) => {
        const known = knownOf(other, by);
        return known.count > 0 ? [{ by, ...known }] : [];
      }),
    },
    bill: {
      ...build.bill,
      currency,
      island,
      shop: { ...shop, invoice: null },
      lines: Object.fromEntries(
        tools.map(([key, line]) => [key, { ...usualLine, from: 'have' as const, name: line.name }]),
      ),
    },
  };
}
