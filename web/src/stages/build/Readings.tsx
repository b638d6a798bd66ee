import { amount, rangeAt, readingVerdict, type BuildStep, type StepReading, type StepSheet } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show } from '../../ui/Show.tsx';
import { thisMinute } from '../../ui/today.ts';

const verdictWords = { right: 'as it has to be', low: 'too little', high: 'too much', noted: 'noted' } as const;

/** Readings of a step that is not done yet: kept with it once it is. */
export type Ahead = Readonly<Record<string, number>>;

interface ReadingsProps {
  step: BuildStep;
  readings: readonly StepReading[];
  ahead: Ahead;
  onAhead: (ahead: Ahead) => void;
}

/** Everything that is read at a step: what the library asks for, and how tight each joint was drawn. */
export function readingsOf(sheet: StepSheet | undefined): StepReading[] {
  if (!sheet) return [];
  const tight = sheet.tightness.map((t): StepReading => ({
    id: `tight-${t.id}`,
    what: `As drawn tight: ${t.what}`,
    dimension: 'torque',
    least: t.least,
    most: t.most,
    source: t.source,
  }));
  return [...sheet.reads, ...tight];
}

/** What is read off a step, held against what it has to be; kept with the step once it is done. */
export function Readings({ step, readings, ahead, onAhead }: ReadingsProps) {
  if (readings.length === 0) return null;
  return (
    <div className="fields readings">
      {readings.map((reading) => (
        <Reading key={reading.id} step={step} reading={reading} ahead={ahead} onAhead={onAhead} />
      ))}
    </div>
  );
}

function Reading({ step, reading, ahead, onAhead }: Omit<ReadingsProps, 'readings'> & { reading: StepReading }) {
  const build = useBuild();
  const send = useSend();
  const done = step.doneOn !== null;
  const value = (done ? build.bench.done[step.id]?.readings : ahead)?.[reading.id] ?? null;
  const verdict = value === null ? null : readingVerdict(reading, value);
  const put = (si: number | null): void => {
    if (done)
      send(
        buildActions.readingTaken({
          field: `bench.done.${step.id}.${reading.id}`,
          value: { step, reading, value: si, at: thisMinute(), by: build.built.builder },
        }),
      );
    else {
      const others = Object.fromEntries(Object.entries(ahead).filter(([id]) => id !== reading.id));
      onAhead(si === null ? others : { ...others, [reading.id]: si });
    }
  };
  const [least, most] = rangeAt(reading.path);
  const off = verdict === 'low' || verdict === 'high';
  return (
    <div className={off ? 'reading reading-off' : 'reading'}>
      <AmountField
        label={reading.what}
        dimension={reading.dimension}
        value={value}
        min={least}
        max={most}
        onValue={(si) => put(si)}
        onEmpty={() => put(null)}
      />
      <Bounds reading={reading} />
      {verdict ? <strong className={off ? 'tone-text-stop' : ''}>{verdictWords[verdict]}</strong> : null}
    </div>
  );
}

function Bounds({ reading: { least, most, dimension, source } }: { reading: StepReading }) {
  return (
    <span className="step-why">
      {least !== null && most !== null ? (
        <>
          <Show value={amount(least, dimension)} /> to <Show value={amount(most, dimension)} />;{' '}
        </>
      ) : least !== null ? (
        <>
          at least <Show value={amount(least, dimension)} />;{' '}
        </>
      ) : most !== null ? (
        <>
          at most <Show value={amount(most, dimension)} />;{' '}
        </>
      ) : null}
      {source}
    </span>
  );
}
