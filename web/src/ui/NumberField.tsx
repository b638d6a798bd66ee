import { TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';

/** A plain number with a label, its unit in it. What is no number, or out of bounds, is told and not taken. */
export function NumberField({
  label,
  value,
  onValue,
  least = 0,
  most,
  digits = 3,
  description,
}: {
  label: string;
  value: number | null;
  onValue: (value: number) => void;
  /** Bounds of what the build may keep: nothing outside them is taken. */
  least?: number;
  most: number;
  /** Decimals shown of what was not typed here. */
  digits?: number;
  description?: string;
}) {
  const rounded = (n: number): string => String(Math.round(n * 10 ** digits) / 10 ** digits);
  const shown = value === null ? '' : rounded(value);
  const [typed, setTyped] = useState(shown);
  const [last, setLast] = useState(shown);
  if (shown !== last) {
    // Changed elsewhere: by undo, or in another window.
    setLast(shown);
    const here = read(typed);
    if ((here === null ? '' : rounded(here)) !== shown) setTyped(shown);
  }
  const [fault, setFault] = useState('');
  useEffect(() => setFault(''), [value]);
  return (
    <TextInput
      label={label}
      description={description}
      value={typed}
      inputMode="decimal"
      error={fault || undefined}
      onChange={(event) => {
        const text = event.currentTarget.value;
        setTyped(text);
        const n = read(text);
        if (n === null || n < least || n > most)
          setFault(text.trim() === '' ? '' : `a number from ${least} to ${most}`);
        else onValue(n);
      }}
    />
  );
}

function read(text: string): number | null {
  const plain = text.replace(',', '.').trim();
  const n = Number(plain);
  return plain === '' || !Number.isFinite(n) ? null : n;
}
