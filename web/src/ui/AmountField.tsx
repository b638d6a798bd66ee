import { TextInput } from '@mantine/core';
import { LONGEST_TYPED, amount, amountText, parseQuantity, showAmount, type Dimension } from '@sprocket/core';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import { useUnits } from '../store/store.ts';

interface AmountFieldProps {
  label: ReactNode;
  name?: string;
  dimension: Dimension;
  /** SI, or null while nothing is entered. */
  value: number | null;
  /** As the person typed it, where that is kept. */
  typed?: string;
  /** SI limits that the field refuses beyond. */
  min?: number;
  max?: number;
  /** SI range outside which the field asks, and still takes it. */
  usual?: readonly [number, number];
  digits?: number;
  onValue: (si: number, typed: string, unit: string) => void;
  onEmpty?: () => void;
  onFocus?: () => void;
  hint?: ReactNode;
  id?: string;
  placeholder?: string;
}

/**
 * A number with a unit, in either system. Every keystroke that reads is taken at once; what does not
 * read stays in the field with a word on why, and changes nothing.
 */
export function AmountField(props: AmountFieldProps) {
  const { label, dimension, value, typed, min, max, usual, digits, onValue, onEmpty, onFocus, hint, placeholder } =
    props;
  const units = useUnits();
  const own = useId();
  const id = props.id ?? own;
  const shown = (): string => {
    if (value === null) return '';
    if (typed !== undefined && typed !== '') return typed;
    const s = showAmount(digits === undefined ? amount(value, dimension) : amount(value, dimension, digits), units);
    return `${s.number}${s.unit === '' ? '' : ` ${s.unit}`}`;
  };
  const [text, setText] = useState(shown);
  const [fault, setFault] = useState<string | null>(null);
  const [focused, setFocused] = useState(false);
  const mine = useRef(value);

  // Undo, another build, other units: the field follows unless the value is the one typed here.
  useEffect(() => {
    if (focused && value === mine.current) return;
    mine.current = value;
    setText(shown());
    setFault(null);
    // oxlint-disable-next-line react/exhaustive-deps
  }, [value, units, typed]);

  const take = (next: string): void => {
    setText(next);
    if (next.trim() === '' && onEmpty) {
      setFault(null);
      mine.current = null;
      onEmpty();
      return;
    }
    const read = parseQuantity(next, dimension, units);
    if (!read.ok) {
      setFault(read.message);
      return;
    }
    const say = (si: number): string => amountText(amount(si, dimension), units);
    if (min !== undefined && read.value < min) {
      setFault(`Too small: ${say(min)} at least.`);
      return;
    }
    if (max !== undefined && read.value > max) {
      setFault(`Too large: ${say(max)} at most.`);
      return;
    }
    setFault(null);
    mine.current = read.value;
    // A bare number keeps the unit it was read in, so that it means the same in the other system.
    const bare = /^[\d\s.,/-]+$/.test(next.trim()) && read.unit !== '';
    onValue(read.value, bare ? `${next.trim()} ${read.unit}` : next.trim(), read.unit);
  };

  const odd = fault === null && value !== null && usual !== undefined && (value < usual[0] || value > usual[1]);
  return (
    <TextInput
      id={id}
      {...(props.name === undefined ? {} : { name: props.name })}
      label={label}
      value={text}
      size="sm"
      maxLength={LONGEST_TYPED - 20}
      autoComplete="off"
      inputMode="text"
      {...(placeholder === undefined ? {} : { placeholder })}
      error={fault}
      description={
        odd && usual
          ? `Unusual: commonly ${amountText(amount(usual[0], dimension), units)} to ${amountText(amount(usual[1], dimension), units)}. Read it once more.`
          : hint
      }
      inputWrapperOrder={['label', 'input', 'error', 'description']}
      onChange={(event) => take(event.currentTarget.value)}
      onFocus={() => {
        setFocused(true);
        onFocus?.();
      }}
      onBlur={() => {
        setFocused(false);
        if (fault === null && value !== null) setText(shown());
      }}
      classNames={{ input: 'num' }}
    />
  );
}
