import { NativeSelect, TextInput } from '@mantine/core';
import {
  LONGEST_TYPED,
  amount,
  amountText,
  parseTeeth,
  parseTyre,
  provenances,
  takenRange,
  tyreName,
  type Entry,
  type Parsed,
  type Provenance,
  type Survey,
  type SurveyItem,
  type TyreSize,
} from '@sprocket/core';
import { memo, useEffect, useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useApp, useSend, useUnits } from '../../store/store.ts';
import { uiActions } from '../../store/uiSlice.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { today } from '../../ui/today.ts';
import { useWords } from '../../ui/Show.tsx';

const provenanceLabels: Record<Provenance, string> = {
  measured: 'measured',
  dataSheet: 'data sheet',
  recalled: 'from memory',
  assumed: 'assumed',
};

/** Day of an edit. */

/** One item of the survey: its value as typed, where it came from, and its light on the drawing. */
export const SurveyField = memo(function SurveyField({ item }: { item: SurveyItem }) {
  const send = useSend();
  const units = useUnits();
  const w = useWords();
  const lit = useApp((state) => state.ui.lit === item.id);
  // Only its own entry: a keystroke in one field must not draw thirty others again.
  const entry = useApp((state) => state.build.present.build?.donor.survey[item.id]) as Entry<unknown> | undefined;
  const put = (value: unknown, typed: string, unit: string): void => {
    const next: Entry<unknown> = {
      value,
      typed,
      unit,
      // What is typed over an assumption is no assumption any more.
      provenance: entry === undefined || entry.provenance === 'assumed' ? 'measured' : entry.provenance,
      note: entry?.note ?? '',
      on: today(),
    };
    send(
      buildActions.surveyed({
        field: `survey.${item.id}`,
        value: { id: item.id, entry: next as Survey[typeof item.id] },
      }),
    );
  };
  const clear = (): void => {
    send(buildActions.surveyed({ field: `survey.${item.id}`, value: { id: item.id, entry: null } }));
  };
  const focus = (): void => {
    send(uiActions.itemLit(item.id));
  };
  const id = `item-${item.id}`;
  let field;
  if (item.type === 'number') {
    const other = units === 'metric' ? 'imperial' : 'metric';
    field = (
      <AmountField
        id={id}
        label={item.label}
        dimension={item.dimension}
        value={entry ? (entry.value as number) : null}
        {...(entry ? { typed: entry.typed } : {})}
        {...takenRange(item)}
        usual={[item.low, item.high]}
        onValue={put}
        onEmpty={clear}
        onFocus={focus}
        placeholder={
          item.common.length > 0 ? item.common.map((c) => amountText(amount(c, item.dimension), units)).join(' · ') : ''
        }
        {...(lit && entry ? { hint: `= ${amountText(amount(entry.value as number, item.dimension), other)}` } : {})}
      />
    );
  } else if (item.type === 'choice') {
    field = (
      <NativeSelect
        id={id}
        label={item.label}
        size="sm"
        value={entry ? (entry.value as string) : ''}
        data={[{ value: '', label: 'not looked at' }, ...item.options.map((o) => ({ ...o, label: w(o.label) }))]}
        onFocus={focus}
        onChange={(event) =>
          event.currentTarget.value === '' ? clear() : put(event.currentTarget.value, event.currentTarget.value, '')
        }
      />
    );
  } else {
    field = (
      <TextEntry
        id={id}
        label={item.label}
        entry={entry}
        parse={item.type === 'tyre' ? parseTyre : parseTeeth}
        {...(item.type === 'tyre' && entry && tyreName(entry.value as TyreSize) !== entry.typed
          ? { hint: `ETRTO ${tyreName(entry.value as TyreSize)}` }
          : {})}
        onPut={put}
        onEmpty={clear}
        onFocus={focus}
      />
    );
  }
  return (
    <div className={`survey-row${lit ? ' lit' : ''}${entry ? '' : ' open'}`}>
      {field}
      <NativeSelect
        aria-label={`${item.label}: where the figure is from`}
        className="provenance"
        size="xs"
        variant="unstyled"
        disabled={!entry}
        value={entry?.provenance ?? 'none'}
        data={
          entry
            ? provenances.map((value) => ({ value, label: provenanceLabels[value] }))
            : [{ value: 'none', label: 'measure' }]
        }
        onChange={(event) => {
          if (!entry) return;
          send(
            buildActions.surveyed({
              field: `survey.${item.id}.from`,
              value: {
                id: item.id,
                entry: { ...entry, provenance: event.currentTarget.value as Provenance } as Survey[typeof item.id],
              },
            }),
          );
        }}
      />
    </div>
  );
});

interface TextEntryProps<T> {
  id: string;
  label: string;
  entry: Entry<unknown> | undefined;
  parse: (text: string) => Parsed<T>;
  hint?: string;
  onPut: (value: T, typed: string, unit: string) => void;
  onEmpty: () => void;
  onFocus: () => void;
}

/** A field for sizes and lists in the trade's own spelling. */
function TextEntry<T>({ id, label, entry, parse, hint, onPut, onEmpty, onFocus }: TextEntryProps<T>) {
  const [text, setText] = useState(entry?.typed ?? '');
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    setText((before) =>
      entry === undefined ? (fault ? before : '') : entry.typed === before.trim() ? before : entry.typed,
    );
    // The field follows the build, not its own fault.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [entry?.typed]);
  return (
    <TextInput
      id={id}
      label={label}
      size="sm"
      value={text}
      maxLength={LONGEST_TYPED}
      autoComplete="off"
      error={fault}
      {...(hint === undefined || fault !== null ? {} : { description: hint })}
      inputWrapperOrder={['label', 'input', 'error', 'description']}
      classNames={{ input: 'num' }}
      onFocus={onFocus}
      onChange={(event) => {
        const next = event.currentTarget.value;
        setText(next);
        if (next.trim() === '') {
          setFault(null);
          onEmpty();
          return;
        }
        const read = parse(next);
        setFault(read.ok ? null : read.message);
        if (read.ok) onPut(read.value, next.trim(), read.unit);
      }}
    />
  );
}
