import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import type { Bench, Weekly } from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { dayTyped, today } from '../../ui/today.ts';
import { dayText } from '../../ui/manner.ts';

const dayNames = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** Who works, and when: each week, on single days, and not. */
export function BenchTimes() {
  const { bench } = useBuild();
  const send = useSend();
  const edit = (value: Partial<Omit<Bench, 'done'>>): void => {
    send(buildActions.benchEdited({ field: `bench.${Object.keys(value).join()}`, value }));
  };
  const [draft, setDraft] = useState({ when: '5', on: today(), from: '09:00', to: '13:00' });
  const [fault, setFault] = useState('');
  const add = (): void => {
    const { when, on, from, to } = draft;
    if (when !== 'away' && (!/^\d\d:\d\d$/.test(from) || !/^\d\d:\d\d$/.test(to) || from >= to)) {
      setFault('The end must come after the start.');
      return;
    }
    if (bench.weekly.length >= 42 || bench.once.length >= 200 || bench.away.length >= 400) {
      setFault('That is as many as a build keeps: drop some first.');
      return;
    }
    setFault('');
    if (when === 'once' || when === 'away') {
      if (!dayTyped(on)) {
        setFault('Which day?');
        return;
      }
      if (when === 'once') edit({ once: [...bench.once, { on, from, to }].sort((a, b) => (a.on < b.on ? -1 : 1)) });
      else if (!bench.away.includes(on)) edit({ away: [...bench.away, on].sort() });
      return;
    }
    const made: Weekly = { day: Number(when), from, to };
    edit({ weekly: [...bench.weekly, made].sort((a, b) => a.day - b.day || (a.from < b.from ? -1 : 1)) });
  };
  return (
    <section className="card no-print" aria-labelledby="bench-times">
      <h3 id="bench-times">When you work</h3>
      <div className="fields fields-three">
        <NativeSelect
          label="Hands"
          value={String(bench.hands)}
          data={[
            { value: '1', label: 'one person' },
            { value: '2', label: 'two people' },
          ]}
          onChange={(e) => edit({ hands: e.currentTarget.value === '2' ? 2 : 1 })}
        />
        <Checkbox
          className="bench-practised"
          label="Has done conversions before"
          checked={bench.practised}
          onChange={(e) => edit({ practised: e.currentTarget.checked })}
        />
      </div>
      <ul className="plain-list bench-times">
        {bench.weekly.map((w, i) => (
          <BenchRow
            key={`w${i}`}
            words={`Every ${dayNames[w.day] ?? ''}, ${w.from} to ${w.to}`}
            drop={() => edit({ weekly: bench.weekly.filter((_, k) => k !== i) })}
          />
        ))}
        {bench.once.map((o, i) => (
          <BenchRow
            key={`o${i}`}
            words={`${dayText(o.on)}, ${o.from} to ${o.to}`}
            drop={() => edit({ once: bench.once.filter((_, k) => k !== i) })}
          />
        ))}
        {bench.away.map((on, i) => (
          <BenchRow key={on} words={`Not on ${on}`} drop={() => edit({ away: bench.away.filter((_, k) => k !== i) })} />
        ))}
      </ul>
      <div className="bench-add">
        <NativeSelect
          label="Bench time"
          value={draft.when}
          data={[
            ...dayNames.map((name, i) => ({ value: String(i), label: `every ${name}` })),
            { value: 'once', label: 'on one day' },
            { value: 'away', label: 'not on this day' },
          ]}
          onChange={(e) => setDraft({ ...draft, when: e.currentTarget.value })}
        />
        {draft.when === 'once' || draft.when === 'away' ? (
          <TextInput
            type="date"
            label="Day"
            value={draft.on}
            error={fault || undefined}
            onChange={(e) => setDraft({ ...draft, on: e.currentTarget.value })}
          />
        ) : null}
        {draft.when === 'away' ? null : (
          <>
            <TextInput
              type="time"
              label="From"
              value={draft.from}
              onChange={(e) => setDraft({ ...draft, from: e.currentTarget.value })}
            />
            <TextInput
              type="time"
              label="To"
              value={draft.to}
              error={draft.when === 'once' ? undefined : fault || undefined}
              onChange={(e) => setDraft({ ...draft, to: e.currentTarget.value })}
            />
          </>
        )}
        <Button variant="default" onClick={add}>
          Add
        </Button>
      </div>
    </section>
  );
}

function BenchRow({ words, drop }: { words: string; drop: () => void }) {
  return (
    <li>
      <span>{words}</span>
      <Button size="compact-xs" variant="subtle" aria-label={`Drop ${words}`} onClick={drop}>
        Drop
      </Button>
    </li>
  );
}
