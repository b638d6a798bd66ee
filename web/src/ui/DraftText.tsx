import { TextInput, type TextInputProps } from '@mantine/core';
import { useState } from 'react';

/**
 * A text that may not be empty. Emptied to be typed anew it is a draft: what was kept stays until there is something to
 * keep, and comes back where the field is left empty.
 */
export function DraftText({
  value,
  onValue,
  ...props
}: Omit<TextInputProps, 'value' | 'onChange' | 'onBlur' | 'error'> & {
  value: string;
  onValue: (value: string) => void;
}) {
  const [typed, setTyped] = useState(value);
  const [last, setLast] = useState(value);
  if (value !== last) {
    // Changed elsewhere: by undo, or in another window.
    setLast(value);
    setTyped(value);
  }
  const empty = typed.trim() === '';
  return (
    <TextInput
      {...props}
      value={typed}
      error={empty ? `Type something; until then it stays “${value}”.` : undefined}
      onChange={(event) => {
        const text = event.currentTarget.value;
        setTyped(text);
        if (text.trim() === '') return;
        setLast(text);
        onValue(text);
      }}
      onBlur={() => {
        if (empty) setTyped(value);
      }}
    />
  );
}
