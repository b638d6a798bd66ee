import { amountText, phraseText, showAmount, type Amount, type Phrase } from '@sprocket/core';
import { useApp, useUnits } from '../store/store.ts';
import { moneyText } from './money.ts';

/** The money of the build that is open, or the one that builds begin with. */
const useCurrency = (): string => useApp((state) => state.build.present.build?.bill.currency ?? 'EUR');
const inMoney = (value: Amount, currency: string): string => moneyText(value.si, currency, value.digits ?? 0);

/** An amount in the reader's units, as running text; a sum in the build's money. */
export function Show({ value }: { value: Amount | string }) {
  const units = useUnits();
  const currency = useCurrency();
  if (typeof value === 'string') return <>{value}</>;
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
