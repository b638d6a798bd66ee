import { amount, readingVerdict, type BuildStep, type StepReading, type StepSheet } from '@sprocket/core';
import { useBuild } from '../../app/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show } from '../../ui/Show.tsx';
import { useMarking } from './useMarking.ts';

const verdictWords = { right: 'as it has to be', low: 'too little', high: 'too much', noted: 'noted' } as const;

/** What is read off a step, held against what it has to be; readings are kept with the step once it is done. */
export function Readings({ step, sheet }: { step: BuildStep; sheet: StepSheet | undefined }) {
  if (!sheet) return null;
  const tight = sheet.tightness.map((t): StepReading => ({
    id: `tight-${t.id}`,
    what: `As drawn tight: ${t.what}`,
    dimension: 'torque',
    least: t.least,
    most: t.most,
    source: t.source,
  }));
  const all = [...sheet.reads, ...tight];
  if (all.length === 0) return null;
  return (
    <div className="fields readings">
      {all.map((reading) => (
        <Reading key={reading.id} step={step} reading={reading} />
      ))}
    </div>
  );
}

function Reading({ step, reading }: { step: BuildStep; reading: StepReading }) {
  const { done } = useBuild().bench;
  const { mark } = useMarking();
  const record = step.doneOn !== null ? done[step.id] : undefined;
  const value = record?.readings[reading.id] ?? null;
  const verdict = value === null ? null : readingVerdict(reading, value);
  const put = (readings: Record<string, number>): void => {
    if (step.doneOn !== null) mark(step, { readings });
  };
  if (step.doneOn === null)
    return (
      <p className="reading-ahead">
        <span>{reading.what}</span>
        <Bounds reading={reading} />
      </p>
    );
  return (
    <div className={verdict === 'low' || verdict === 'high' ? 'reading reading-off' : 'reading'}>
      <AmountField
        label={reading.what}
        dimension={reading.dimension}
        value={value}
        onValue={(si) => put({ ...record?.readings, [reading.id]: si })}
        onEmpty={() =>
          put(Object.fromEntries(Object.entries(record?.readings ?? {}).filter(([k]) => k !== reading.id)))
        }
      />
      <Bounds reading={reading} />
      {verdict ? (
        <strong className={verdict === 'low' || verdict === 'high' ? 'tone-text-stop' : ''}>
          {verdictWords[verdict]}
        </strong>
      ) : null}
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
