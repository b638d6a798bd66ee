import { useCallback } from 'react';
import { useBuild } from '../store/store.ts';
import { language } from './manner.ts';

const formats = new Map<string, Intl.NumberFormat>();

/** A sum in a money, as this machine writes money. */
export function moneyText(sum: number, currency: string, digits = 2): string {
  const name = `${currency} ${digits}`;
  let format = formats.get(name);
  if (!format) {
    format = new Intl.NumberFormat(language(), {
      style: 'currency',
      currency,
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
    });
    formats.set(name, format);
  }
  return format.format(sum);
}

/** Sums in the build's money. */
export function useMoney(): (sum: number, digits?: number) => string {
  const { currency } = useBuild().bill;
  return useCallback((sum: number, digits = 2) => moneyText(sum, currency, digits), [currency]);
}
