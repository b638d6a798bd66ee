import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import {
  energySources,
  energySourceWords,
  entryKindWords,
  isDate,
  logEntrySchema,
  measuredThings,
  renewedThings,
  partsOf,
  punctureCauses,
  punctureSides,
  punctureWheels,
  upkeepTasks,
  partById,
  type Build,
  type Dimension,
  type EntryKind,
  type LogEntry,
  type MeasuredThing,
  type Shelf,
} from '@sprocket/core';
import { useState, type ReactNode } from 'react';
import { AmountField } from '../../ui/AmountField.tsx';
import { thisMinute } from '../../ui/today.ts';
import { RimDial } from './RimDial.tsx';

interface EntryFormProps {
  /** The line as it is, or null for a new one of `kind`. */
  entry: LogEntry | null;
  /** What a new one is begun with, as it was typed at the door. */
  begins: LogEntry | null;
  kind: EntryKind;
  build: Build;
  shelf: Shelf;
  onKeep: (entry: LogEntry) => void;
  onLeave: () => void;
}

type Draft = Record<string, unknown> & { kind: EntryKind };

const places = [
  'rear wheel',
  'front wheel',
  'rear axle',
  'front axle',
  'bracket',
  'chain',
  'bar',
  'levers',
  'leads',
  'pack',
  'frame',
  'fork',
];

function begun(kind: EntryKind): Draft {
  const common = { kind, id: crypto.randomUUID(), at: thisMinute(), by: '', note: '' };
  const of: Record<EntryKind, object> = {
    ride: { from: 'typed', distanceM: 0, timeS: 0, energyWh: null },
    charge: { wallWh: 0 },
    fault: { what: '' },
    puncture: { wheel: 'rear', round: null },
    service: { task: 'torque' },
    change: { of: 'part', what: '', renews: null, touches: [] },
    measurement: { what: 'chainWear', value: 0 },
    note: {},
  };
  return { ...common, ...of[kind] };
}

/** All fields of a line, to write one or to put one right. */
export function EntryForm({ entry, begins, kind, build, shelf, onKeep, onLeave }: EntryFormProps) {
  const [draft, setDraft] = useState<Draft>(() => ({ ...(entry ?? begins ?? begun(kind)) }));
  const [why, setWhy] = useState<string | null>(null);
  const set = (change: object): void => setDraft((d) => ({ ...d, ...change }));
  const figure = (key: string, label: string, dimension: Dimension, hint?: ReactNode): ReactNode => (
    <AmountField
      key={key}
      label={label}
      dimension={dimension}
      value={typeof draft[key] === 'number' ? draft[key] : null}
      onValue={(si) => set({ [key]: si })}
      onEmpty={() => set({ [key]: null })}
      hint={hint}
    />
  );
  const words = (key: string, label: string): ReactNode => (
    <TextInput
      key={key}
      label={label}
      value={typeof draft[key] === 'string' ? draft[key] : ''}
      onChange={(event) => set({ [key]: event.currentTarget.value })}
    />
  );
  const pick = (
    key: string,
    label: string,
    data: readonly { value: string; label: string }[],
    none?: string,
  ): ReactNode => (
    <NativeSelect
      key={key}
      label={label}
      value={typeof draft[key] === 'string' ? draft[key] : ''}
      data={[...(none === undefined ? [] : [{ value: '', label: none }]), ...data]}
      onChange={(event) =>
        set({ [key]: event.currentTarget.value === '' && none !== undefined ? null : event.currentTarget.value })
      }
    />
  );
  const plain = (list: readonly string[]): { value: string; label: string }[] =>
    list.map((value) => ({ value, label: value }));
  const parts = [...partsOf(build)].flatMap((id) => {
    const part = partById(shelf, id);
    return part ? [{ value: id, label: part.name }] : [];
  });
  const touches = Array.isArray(draft.touches) ? (draft.touches as string[]) : [];
  const fields: Record<EntryKind, () => ReactNode> = {
    ride: () => (
      <>
        {words('name', 'Where')}
        {figure('distanceM', 'Way', 'way')}
        {figure('timeS', 'Time', 'time')}
        {figure('movingS', 'Of that moving', 'time')}
        {figure('energyWh', 'Energy', 'energy')}
        {pick(
          'energyFrom',
          'Read by',
          energySources.map((value) => ({ value, label: energySourceWords[value] })),
        )}
        {figure('startCharge', 'Charge at the start', 'share')}
        {figure('endCharge', 'Charge at the end', 'share')}
        {figure('temperatureC', 'Temperature', 'temperature')}
        {figure('headwindMs', 'Wind against, going out', 'speed')}
        {figure('loadKg', 'More aboard than planned', 'mass')}
        {figure('climbM', 'Rise in all', 'height')}
        <Checkbox
          label={build.brief.route ? `It went over ${build.brief.route.name}` : 'It went over the build’s own road'}
          checked={draft.ownRoad === true}
          onChange={(event) => set({ ownRoad: event.currentTarget.checked })}
        />
      </>
    ),
    charge: () => (
      <>
        {figure('wallWh', 'Energy at the wall', 'energy')}
        {figure('from', 'From', 'share')}
        {figure('to', 'To', 'share')}
        {figure('temperatureC', 'Temperature', 'temperature')}
      </>
    ),
    fault: () => (
      <>
        {words('what', 'What failed')}
        {pick('place', 'Where', plain(places), 'not said')}
        {pick('part', 'Which part', parts, 'none, or nobody knows')}
        {words('cause', 'Cause')}
        {words('cure', 'Cure')}
      </>
    ),
    puncture: () => (
      <>
        {pick('wheel', 'Wheel', plain(punctureWheels))}
        {pick('cause', 'Cause', plain(punctureCauses))}
        {pick('side', 'Where in the tyre', plain(punctureSides))}
        <RimDial round={typeof draft.round === 'number' ? draft.round : null} onRound={(round) => set({ round })} />
      </>
    ),
    service: () =>
      pick(
        'task',
        'What was done',
        upkeepTasks.map((t) => ({ value: t.id, label: t.words })),
      ),
    change: () => (
      <>
        {pick('of', 'Of', [
          { value: 'part', label: 'a part' },
          { value: 'setting', label: 'a setting' },
        ])}
        {words('what', 'What')}
        {words('from', 'Before')}
        {words('to', 'Now')}
        {pick('part', 'Which part', parts, 'none on the shelf')}
        {pick(
          'renews',
          'What is new',
          Object.entries(renewedThings).map(([value, label]) => ({ value, label })),
          'nothing that wears out',
        )}
        <fieldset className="touches">
          <legend>Rides before it no longer tell of</legend>
          {(
            [
              ['cdaM2', 'the wind on it'],
              ['crr', 'how it rolls'],
              ['riderPowerW', 'the legs'],
              ['health', 'the battery'],
            ] as const
          ).map(([value, label]) => (
            <Checkbox
              key={value}
              label={label}
              checked={touches.includes(value)}
              onChange={(event) =>
                set({ touches: event.currentTarget.checked ? [...touches, value] : touches.filter((t) => t !== value) })
              }
            />
          ))}
        </fieldset>
      </>
    ),
    measurement: () => {
      const what = draft.what as MeasuredThing;
      return (
        <>
          {pick(
            'what',
            'What',
            Object.entries(measuredThings).map(([value, { words: label }]) => ({ value, label })),
          )}
          {figure('value', measuredThings[what].words, measuredThings[what].dimension)}
        </>
      );
    },
    note: () => null,
  };
  const keep = (): void => {
    const read = logEntrySchema.safeParse(draft);
    if (read.success) onKeep(read.data);
    else setWhy(read.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('; '));
  };
  const [day = '', clock = ''] = String(draft.at).split('T');
  return (
    <section
      className="card entry-form"
      aria-label={entry ? 'Put a line right' : `A ${entryKindWords[draft.kind].toLowerCase()}`}
    >
      <div className="card-head">
        <h2>
          {entry ? `${entryKindWords[draft.kind]}, put right` : `New: ${entryKindWords[draft.kind].toLowerCase()}`}
        </h2>
        {entry ? null : (
          <NativeSelect
            aria-label="Kind of line"
            value={draft.kind}
            data={Object.entries(entryKindWords).map(([value, label]) => ({ value, label }))}
            onChange={(event) => setDraft(begun(event.currentTarget.value as EntryKind))}
          />
        )}
      </div>
      <div className="fields">
        <TextInput
          type="date"
          label="Day"
          value={day}
          onChange={(event) => {
            if (isDate(event.currentTarget.value)) set({ at: `${event.currentTarget.value}T${clock}` });
          }}
        />
        <TextInput
          type="time"
          label="Time of day"
          value={clock}
          onChange={(event) => {
            if (event.currentTarget.value !== '') set({ at: `${day}T${event.currentTarget.value.slice(0, 5)}` });
          }}
        />
        {fields[draft.kind]()}
        {words('note', 'Note')}
        {words('by', 'By')}
      </div>
      {why ? (
        <p role="alert" className="door-why">
          {why}
        </p>
      ) : null}
      <div className="row">
        <Button onClick={keep}>Keep the line</Button>
        <Button variant="default" onClick={onLeave}>
          Leave
        </Button>
      </div>
    </section>
  );
}
