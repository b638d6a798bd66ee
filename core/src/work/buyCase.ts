import { z } from '../reading/zod.ts';
import { problemsOf, type ReadResult } from '../reading/problems.ts';
import type { BuyCase } from './buy.ts';
import { leadDaysSchema } from './leadTime.ts';

const id = z.string().min(1).max(120);
const money = z.number().min(0).max(1e7);

const buyCaseSchema = z
  .object({
    lines: z.array(z.object({ id, count: z.int().min(1).max(10_000), neededBy: z.iso.date() })).max(400),
    suppliers: z.array(z.object({ id, shipping: money, freeFrom: money.nullable() })).max(12),
    offers: z.array(z.object({ supplier: id, line: id, price: money, leadDays: leadDaysSchema })).max(4000),
    orderedOn: z.iso.date(),
    chance: z.number().gt(0).lt(1),
  })
  .check(({ value: { lines, suppliers, offers }, issues }) => {
    const say = (path: (string | number)[], message: string, input: unknown): void => {
      issues.push({ code: 'custom', path, message, input });
    };
    const twice = (list: readonly { id: string }[], name: string): void =>
      list.forEach((one, i) => {
        if (list.findIndex((other) => other.id === one.id) < i) say([name, i, 'id'], `${one.id} stands twice`, one.id);
      });
    twice(lines, 'lines');
    twice(suppliers, 'suppliers');
    offers.forEach((offer, i) => {
      if (!suppliers.some((s) => s.id === offer.supplier))
        say(['offers', i, 'supplier'], `no supplier ${offer.supplier}`, offer.supplier);
      if (!lines.some((l) => l.id === offer.line)) say(['offers', i, 'line'], `no line ${offer.line}`, offer.line);
    });
  });

/** Reads a buying case (docs/models.md): every fault with its path, or the case. */
export function readBuyCase(value: unknown): ReadResult<BuyCase> {
  const read = buyCaseSchema.safeParse(value);
  return read.success ? { ok: true, value: read.data } : { ok: false, problems: problemsOf(read.error) };
}
