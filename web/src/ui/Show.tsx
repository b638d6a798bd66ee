import { amountText, phraseText, showAmount, type Amount, type Phrase } from '@sprocket/core';
import { useUnits } from '../app/store.ts';

/** An amount in the reader's units, as running text. */
export function Show({ value }: { value: Amount | string }) {
  const units = useUnits();
  return <>{typeof value === 'string' ? value : amountText(value, units)}</>;
}

/** A large figure with its unit set smaller. */
export function Big({ value }: { value: Amount }) {
  const { number, unit } = showAmount(value, useUnits());
  return (
    <span className="big">
      <span className="num">{number}</span>
      {unit === '' ? null : <span className="unit"> {unit}</span>}
    </span>
  );
}

/** A sentence with amounts in it, in the reader's units. */
export function Say({ words }: { words: Phrase }) {
  return <>{phraseText(words, useUnits())}</>;
}
