import { Button, NativeSelect, Switch, TextInput } from '@mantine/core';
import { partSchemas, problemsOf, type Kit, type Pack, type Part } from '@sprocket/core';
import { useState } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { MotorByPlate, PackByLabel } from './ByPlate.tsx';
import { DischargeFit } from './DischargeFit.tsx';
import { OutlineEditor } from './OutlineEditor.tsx';
import { partFields, type PartField } from './partFields.ts';
import { readAt, sheetValue, shownValue, writeAt, type Sheet } from './partSheet.ts';

/** A part's data sheet to fill in. Nothing is kept until every field reads. */
export function PartForm({
  part,
  onKeep,
  onCancel,
}: {
  part: Part;
  onKeep: (part: Part) => void;
  onCancel: () => void;
}) {
  const [sheet, setSheet] = useState<Sheet>(part as unknown as Sheet);
  const [faults, setFaults] = useState<Record<string, string>>({});
  // What was worked out stands in the fields above: they are drawn anew with it.
  const [filled, setFilled] = useState(0);
  const refill = (change: object): void => {
    setSheet((before) => ({ ...before, ...change }));
    setFilled((n) => n + 1);
  };
  const set = (path: string, to: unknown): void => setSheet((before) => writeAt(before, path, to));
  const fields = partFields[part.kind].filter(
    (f) => !(f.path.startsWith('hub.') && !('hub' in part)) && !(f.path.startsWith('mid.') && !('mid' in part)),
  );
  const keep = (): void => {
    const parsed = partSchemas[part.kind].safeParse(sheet);
    if (parsed.success) onKeep(parsed.data);
    else setFaults(Object.fromEntries(problemsOf(parsed.error).map((p) => [p.path, p.message])));
  };
  const loose = Object.entries(faults).filter(([path]) => !fields.some((f) => f.path === path));
  return (
    <form
      className="card part-form"
      aria-label={`Data sheet of ${String(sheet.name)}`}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <h2>Data sheet</h2>
      <div className="fields">
        {fields.map((f) => (
          <Field
            key={`${f.path} ${filled}`}
            field={f}
            value={readAt(sheet, f.path)}
            fault={faults[f.path]}
            onSet={(to) => set(f.path, to)}
          />
        ))}
      </div>
      {part.kind === 'kit' ? <MotorByPlate kit={sheet as unknown as Kit} onChange={refill} /> : null}
      {part.kind === 'pack' ? <PackByLabel pack={sheet as unknown as Pack} onChange={refill} /> : null}
      {part.kind === 'pack' ? (
        <DischargeFit
          pack={sheet as unknown as Pack}
          onChange={(change) => setSheet((before) => ({ ...before, ...change }))}
        />
      ) : null}
      {part.kind === 'pack' ? (
        <OutlineEditor
          pack={sheet as unknown as Pack}
          onChange={(change) => setSheet((before) => ({ ...before, ...change }))}
        />
      ) : null}
      {loose.map(([path, message]) => (
        <p key={path} role="alert">
          <code>{path}</code> {message}
        </p>
      ))}
      <div className="row">
        <Button type="submit">Keep it</Button>
        <Button variant="subtle" onClick={onCancel}>
          Leave it
        </Button>
      </div>
    </form>
  );
}

function Field({
  field,
  value,
  fault,
  onSet,
}: {
  field: PartField;
  value: unknown;
  fault: string | undefined;
  onSet: (to: unknown) => void;
}) {
  const error = fault ?? null;
  const [text, setText] = useState(() => shownValue(field, value));
  if (field.options)
    return (
      <NativeSelect
        label={field.label}
        value={typeof value === 'string' ? value : (field.options[0] ?? '')}
        data={[...field.options]}
        error={error}
        onChange={(event) => onSet(event.currentTarget.value)}
      />
    );
  if (field.type === 'switch')
    return (
      <Switch label={field.label} checked={value === true} onChange={(event) => onSet(event.currentTarget.checked)} />
    );
  if (field.dimension) {
    const si = typeof value === 'number' ? value : null;
    return (
      <div>
        <AmountField
          label={field.label}
          dimension={field.dimension}
          {...(field.digits === undefined ? {} : { digits: field.digits })}
          value={si}
          onValue={onSet}
          {...(field.unknown ? { placeholder: 'nobody knows' } : {})}
          onEmpty={() => onSet(field.unknown ? null : undefined)}
        />
        {error ? (
          <p className="field-fault" role="alert">
            {error}
          </p>
        ) : null}
      </div>
    );
  }
  return (
    <TextInput
      label={field.label}
      value={text}
      error={error}
      maxLength={200}
      onChange={(event) => {
        const next = event.currentTarget.value;
        setText(next);
        onSet(sheetValue(field, next));
      }}
    />
  );
}
