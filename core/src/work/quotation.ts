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
  // Tools stay the shop's own.
  const wanted = bill.lines.filter((l) => l.why !== 'notWanted' && l.kind !== 'tool');
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

/** What a customer is asked for once it is done: what is on the vehicle or here, hours as worked, less what was paid. */
export interface Invoice extends Quotation {
  paid: number;
  due: number;
}

/**
 * An invoice from the bill: lines that are bought and here, each at its price. Null where none is written yet.
 * What was only borrowed or had already costs nothing and stands on no invoice.
 */
export function invoiceOf(bill: BillSheet, shop: Bill['shop']): Invoice | null {
  const { invoice } = shop;
  if (!invoice) return null;
  const onIt: readonly BillLine['state'][] = ['arrived', 'checked', 'fitted'];
  const lines = bill.lines.filter((l) => l.why !== 'notWanted' && onIt.includes(l.state));
  const sheet = quotationOf({ ...bill, lines }, invoice.hours * 60, shop);
  return { ...sheet, paid: invoice.paid, due: cents(sheet.total - invoice.paid) };
}
