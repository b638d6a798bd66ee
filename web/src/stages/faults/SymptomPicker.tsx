import { TextInput } from '@mantine/core';
import { riskWords, symptoms, type SymptomId } from '@sprocket/core';
import Fuse from 'fuse.js';
import { useMemo, useState } from 'react';

/** What is noticed, in plain words: the search forgives spelling. */
export function SymptomPicker({ onPick }: { onPick: (id: SymptomId) => void }) {
  const [text, setText] = useState('');
  const fuse = useMemo(
    () =>
      new Fuse(symptoms, {
        keys: [
          { name: 'words', weight: 2 },
          { name: 'also', weight: 1 },
        ],
        threshold: 0.5,
        ignoreLocation: true,
        minMatchCharLength: 3,
      }),
    [],
  );
  const shown = text.trim() === '' ? symptoms : fuse.search(text.trim()).map((r) => r.item);
  return (
    <section className="card symptom-picker" aria-labelledby="symptom-title">
      <h2 id="symptom-title">What do you notice?</h2>
      <TextInput
        label="In your own words"
        placeholder="cuts out on hills, no help when I pedal…"
        size="md"
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
      />
      {shown.length === 0 ? (
        <p>
          Nothing like it.{' '}
          <button type="button" className="link-button" onClick={() => setText('')}>
            Show all {symptoms.length}
          </button>
        </p>
      ) : null}
      <ul className="symptom-rows">
        {shown.map((s) => (
          <li key={s.id}>
            <button type="button" className="symptom" onClick={() => onPick(s.id)}>
              <strong>{s.words}</strong>
              {s.most !== 'ride' ? <span className="symptom-risk">looked for {riskWords[s.most]} at most</span> : null}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
