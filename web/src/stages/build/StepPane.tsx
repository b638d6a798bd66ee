import { Button, Textarea, TextInput } from '@mantine/core';
import { doneAfter, partById, type BuildStep, type StepSheet } from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { Photos } from '../../sheet/Photos.tsx';
import { usePlan, useShelf } from '../../sheet/PlanProvider.tsx';
import { longWords } from '../../ui/moments.ts';
import { NumberField } from '../../ui/NumberField.tsx';
import { Say } from '../../ui/Show.tsx';
import { thisMinute } from '../../ui/today.ts';
import { StepFigure } from './figures/StepFigure.tsx';
import { Otherwise } from './Otherwise.tsx';
import { Readings, readingsOf, type Ahead } from './Readings.tsx';
import { Signs, StepThings, TightTable } from './StepFacts.tsx';
import type { BenchNow } from './useBench.ts';
import { useMarking } from '../../sheet/useMarking.ts';

interface StepPaneProps {
  step: BuildStep;
  sheet: StepSheet | undefined;
  bench: BenchNow;
  onStep: (id: string) => void;
}

/** The sheet of one step: how it is done, how it is known to be right, and what was done. */
export function StepPane({ step, sheet, bench, onStep }: StepPaneProps) {
  const build = useBuild();
  const send = useSend();
  const { mark, unmark } = useMarking();
  const record = step.doneOn !== null ? build.bench.done[step.id] : undefined;
  const done = step.doneOn !== null;
  const [witness, setWitness] = useState(record?.witness?.by ?? '');
  const readings = readingsOf(sheet);
  const [ahead, setAhead] = useState<Ahead>({});
  const needsWitness = sheet?.hold?.by === 'another';
  const missing = step.after.flatMap((a) => {
    const before = bench.byId.get(a.step);
    return before?.doneOn === null ? [{ before, why: a.why }] : [];
  });
  const after = done ? doneAfter(bench.steps, step.id).flatMap((id) => bench.byId.get(id) ?? []) : [];
  const seen = witness.trim() === '' ? null : { by: witness.trim(), at: record?.witness?.at ?? thisMinute() };
  return (
    <article className="card step-pane" aria-labelledby="step-title" id={`step-${step.id}`}>
      <p className="step-place-line">
        {step.place}
        {step.hands === 2 ? ', two people' : ''} · {longWords(step.minutes)}
        {step.rule !== null ? ' · remedy of a finding' : ''}
        {step.undoes !== null ? ' · undoes what was built for another plan' : ''}
      </p>
      <h2 id="step-title">
        <Say words={step.title} />
      </h2>
      {sheet?.figure ? <StepFigure id={sheet.figure} /> : null}
      {sheet?.caution ? (
        <div className="step-caution" role="note">
          <strong>Take care. </strong>
          {sheet.caution.text} <span className="quiet">Ask: {sheet.caution.ask}.</span>
        </div>
      ) : null}
      <StepThings sheet={sheet} />
      <TightTable sheet={sheet} />
      <Signs sheet={sheet} />
      <Needs step={step} />
      {missing.length > 0 ? (
        <div>
          <h3>Comes after</h3>
          <ul className="bare-list comes-after">
            {missing.map(({ before, why }) => (
              <li key={before.id}>
                <button type="button" className="link-button" onClick={() => onStep(before.id)}>
                  <Say words={before.title} />
                </button>
                {why === '' ? null : <span className="step-why">because {why}</span>}
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      {step.wait ? (
        <p>
          <strong>Then it waits {longWords(step.wait.minutes)}:</strong> {step.wait.why}.
        </p>
      ) : null}
      {step.undoes === null ? <Readings step={step} readings={readings} ahead={ahead} onAhead={setAhead} /> : null}
      {needsWitness ? (
        <TextInput
          label="Looked at by somebody else: who"
          value={witness}
          maxLength={60}
          onChange={(event) => {
            const by = event.currentTarget.value;
            setWitness(by);
            if (done) mark(step, { witness: by.trim() === '' ? null : { by: by.trim(), at: thisMinute() } });
          }}
        />
      ) : null}
      <div className="step-do">
        {done ? (
          <>
            <p className="step-done-line">
              {record?.leftOut ? 'Left out' : 'Done'} {step.doneOn?.replace('T', ' ')}
              {record?.by ? `, ${record.by}` : ''}
              {record?.witness ? `; looked at by ${record.witness.by}` : ''}
            </p>
            <Button variant="default" onClick={() => unmark(step)}>
              Not done after all
            </Button>
          </>
        ) : (
          <Button
            disabled={needsWitness && seen === null}
            onClick={() => {
              mark(step, seen ? { witness: seen } : {});
              for (const reading of readings) {
                const value = ahead[reading.id];
                if (value !== undefined)
                  send(
                    buildActions.readingTaken({
                      field: `bench.done.${step.id}`,
                      value: { step, reading, value, at: thisMinute(), by: build.built.builder },
                    }),
                  );
              }
              const next = bench.ahead.find((s) => s.id !== step.id);
              if (next) onStep(next.id);
            }}
          >
            Done
          </Button>
        )}
        {!done && needsWitness && seen === null ? (
          <span className="quiet">
            held until somebody else has looked; nobody there: leave it out below, and say why
          </span>
        ) : null}
        {!done && missing.length > 0 ? <span className="quiet">what it comes after is not done yet</span> : null}
      </div>
      {after.length > 0 ? (
        <p className="quiet">
          Done already after it, and to be looked at again:{' '}
          {after.map((s, i) => (
            <span key={s.id}>
              {i > 0 ? '; ' : ''}
              <Say words={s.title} />
            </span>
          ))}
          .
        </p>
      ) : null}
      {step.undoes === null ? (
        <>
          <div className="fields">
            <TextInput
              label="At the bench"
              description="whose name goes under each step done"
              value={build.built.builder}
              maxLength={60}
              onChange={(event) =>
                send(
                  buildActions.builtEdited({ field: 'built.builder', value: { builder: event.currentTarget.value } }),
                )
              }
            />
            {done ? (
              <NumberField
                label="It took, min"
                value={record?.minutes ?? null}
                least={0}
                most={6000}
                onValue={(minutes) => mark(step, { minutes })}
              />
            ) : null}
          </div>
          {done ? (
            <Textarea
              label="Note"
              autosize
              minRows={1}
              maxLength={2000}
              value={record?.note ?? ''}
              onChange={(event) => mark(step, { note: event.currentTarget.value })}
            />
          ) : null}
          {sheet?.shoot ? (
            <p>
              <strong>Photograph before it is hidden:</strong> {sheet.shoot}.
            </p>
          ) : null}
          <Photos id={`step:${step.id}`} label={`step ${step.id}`} />
          <Otherwise step={step} />
        </>
      ) : null}
    </article>
  );
}

/** Tools, supplies and parts it takes. */
function Needs({ step }: { step: BuildStep }) {
  const {
    build: bench,
    parts: { bill },
  } = usePlan();
  const shelf = useShelf();
  const parts = bill.lines.filter((l) => bench.fits[l.key] === step.id && l.why !== 'bench');
  const supplies = Object.entries(step.supplies);
  if (parts.length + supplies.length + step.tools.length === 0) return null;
  const name = (id: string): string => partById(shelf, id)?.name ?? id;
  const rows: [string, string[]][] = [
    ['Tools', step.tools.map(name)],
    ['Parts', parts.map((l) => `${l.count > 1 ? `${l.count} × ` : ''}${l.name}`)],
    ['Used up', supplies.map(([id]) => name(id))],
  ];
  return (
    <dl className="step-needs">
      {rows.map(([label, things]) =>
        things.length > 0 ? (
          <div key={label}>
            <dt>{label}</dt>
            <dd>{things.join(', ')}</dd>
          </div>
        ) : null,
      )}
    </dl>
  );
}
