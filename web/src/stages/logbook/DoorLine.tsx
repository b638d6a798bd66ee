import { Button, TextInput } from '@mantine/core';
import { entryKinds, entryKindWords, readLine, type EntryKind, type LogEntry } from '@sprocket/core';
import { useEffect, useMemo, useRef, useState, type FormEvent } from 'react';
import { useLocation } from 'react-router';
import { Say, useWords } from '../../ui/Show.tsx';
import { thisMinute } from '../../ui/today.ts';
import { entryWords } from './words.ts';

interface DoorLineProps {
  /** False: it could not be taken, and what was typed stays. */
  onKeep: (entry: LogEntry) => boolean;
  text: string;
  onText: (text: string) => void;
  /** All fields are asked for instead, begun with the line as it was read; null: nothing was. */
  onForm: (begins: LogEntry | null) => void;
  ownRoad: string | null;
}

/** What each kind is begun with. */
const begins: Record<EntryKind, string> = {
  ride: '',
  charge: 'charged ',
  fault: 'fault ',
  puncture: 'puncture rear ',
  service: 'done ',
  change: 'changed ',
  measurement: 'measured ',
  note: 'note ',
};

/** A line typed at the door, read as it is typed: Enter keeps it. */
export function DoorLine({ text, onText: setText, onKeep, onForm, ownRoad }: DoorLineProps) {
  const w = useWords();
  const [id, setId] = useState(() => crypto.randomUUID());
  const field = useRef<HTMLInputElement>(null);
  const { hash, key } = useLocation();
  // The key for a new line leads here, ready to type.
  useEffect(() => {
    if (hash === '#door') field.current?.focus();
  }, [hash, key]);
  const read = useMemo(() => readLine(text, id, thisMinute()), [text, id]);
  const keep = (event: FormEvent): void => {
    event.preventDefault();
    if (!read.ok) return;
    if (!onKeep(read.entry)) return;
    setText('');
    setId(crypto.randomUUID());
    field.current?.focus();
  };
  return (
    <form className="card door" onSubmit={keep} aria-label="A line for the log">
      <div className="door-line">
        <TextInput
          ref={field}
          className="door-field"
          label="At the door"
          description={
            ownRoad
              ? `“own road” counts it as ${ownRoad}; “wall” reads the energy at the socket`
              : '“wall” reads the energy at the socket'
          }
          placeholder={w('12.4 km 96 Wh 38 min 14 °C')}
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
        />
        <Button type="submit" disabled={!read.ok} className="door-keep">
          Keep
        </Button>
      </div>
      <p className="door-read" aria-live="polite">
        {text.trim() === '' ? (
          <span className="quiet">A ride begins with its way; anything else with its word.</span>
        ) : read.ok ? (
          <>
            <strong>{entryKindWords[read.entry.kind]}</strong>: <Say words={entryWords(read.entry)} />
          </>
        ) : (
          <span className="door-why">{read.why}</span>
        )}
      </p>
      <div className="pills" role="group" aria-label="Begin with">
        {entryKinds.map((kind) => (
          <button
            key={kind}
            type="button"
            className="pill"
            onClick={() => {
              setText(begins[kind]);
              field.current?.focus();
            }}
          >
            {entryKindWords[kind]}
          </button>
        ))}
        <button type="button" className="pill pill-form" onClick={() => onForm(read.ok ? read.entry : null)}>
          All its fields…
        </button>
      </div>
    </form>
  );
}
