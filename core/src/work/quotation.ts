import type { Bill } from '../build/bill.ts';
import type { BillLine, BillSheet } from './bill.ts';

/** What a shop asks for a conversion: parts at their prices, work by the hour, tax on both. */
export interface Quotation {
  parts: BillLine[];
  /** Names of what nobody has priced. */
  unpriced: string[];
  hours: number;
  work: number;
  net: number;
  tax: number;
  total: number;
  deposit: number;
}

const cents = (sum: number): number => Math.round(sum * 100) / 100;

/**
 * A quotation from the bill. Each sum is rounded to the cent before it is added, so that the column adds up as printed.
 * @param minutes of work
 */
export function quotationOf(bill: BillSheet, minutes: number, shop: Bill['shop']): Quotation {
  const wanted = bill.lines.filter((l) => l.why !== 'notWanted');
  const parts = wanted.filter((l) => l.price !== null && l.price > 0);
  const hours = Math.round(minutes / 6) / 10;
  const work = cents(hours * shop.hour);
  const net = cents(parts.reduce((sum, l) => sum + cents(l.sum), 0) + work);
  const tax = cents(net * shop.tax);
  const total = cents(net + tax);
  return {
    parts,
    unpriced: wanted.filter((l) => l.price === null).map((l) => l.name),
    hours,
    work,
    net,
    tax,
    total,
    deposit: cents(total * shop.deposit),
  };
}
