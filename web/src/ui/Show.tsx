import { amountText, phraseText, showAmount, textsIn, wordsIn, type Amount, type Phrase } from '@sprocket/core';
import { useCallback, useMemo } from 'react';
import { useApp, useUnits } from '../store/store.ts';
import { moneyText } from './money.ts';

/** The money of the build that is open, or the one that builds begin with. */
const useCurrency = (): string => useApp((state) => state.build.present.build?.bill.currency ?? 'EUR');
const inMoney = (value: Amount, currency: string): string => moneyText(value.si, currency, value.digits ?? 0);

/** An amount in the reader's units, as running text; a sum in the build's money. */
export function Show({ value }: { value: Amount | string }) {
  const units = useUnits();
  const currency = useCurrency();
  if (typeof value === 'string') return <>{wordsIn(value, units)}</>;
  return <>{value.dimension === 'money' ? inMoney(value, currency) : amountText(value, units)}</>;
}

/** A large figure with its unit set smaller. */
export function Big({ value }: { value: Amount }) {
  const units = useUnits();
  const currency = useCurrency();
  if (value.dimension === 'money')
    return (
      <span className="big">
        <span className="num">{inMoney(value, currency)}</span>
      </span>
    );
  const { number, unit } = showAmount(value, units);
  return (
    <span className="big">
      <span className="num">{number}</span>
      {unit === '' ? null : <span className="unit"> {unit}</span>}
    </span>
  );
}

/** A sentence with amounts in it, in the reader's units and the build's money. */
export function Say({ words }: { words: Phrase }) {
  const units = useUnits();
  const currency = useCurrency();
  return (
    <>
      {phraseText(
        words.map((part) => (typeof part !== 'string' && part.dimension === 'money' ? inMoney(part, currency) : part)),
        units,
      )}
    </>
  );
}

/** Plain words that may name a measure, in the reader's units. */
export function Words({ children }: { children: string }) {
  return <>{wordsIn(children, useUnits())}</>;
}

/** Puts words that may name a measure into the reader's units. */
export function useWords(): (text: string) => string {
  const units = useUnits();
  return useCallback((text) => wordsIn(text, units), [units]);
}

/** Data of the core with every text in it in the reader's units. */
export function useTexts<T>(data: T): T {
  const units = useUnits();
  return useMemo(() => textsIn(data, units), [data, units]);
}
