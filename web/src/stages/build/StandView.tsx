import { amount, partById, type BuildStep, type StepSheet } from '@sprocket/core';
import { useState } from 'react';
import { useBuild } from '../../store/store.ts';
import { Photos } from '../../sheet/Photos.tsx';
import { useShelf } from '../../sheet/PlanProvider.tsx';
import { Say, Show } from '../../ui/Show.tsx';
import { thisMinute } from '../../ui/today.ts';
import { StepFigure } from './figures/StepFigure.tsx';
import type { BenchNow } from './useBench.ts';
import { useMarking } from '../../sheet/useMarking.ts';
import { useSpoken } from './useSpoken.ts';
import { StandFrame } from '../../sheet/StandFrame.tsx';
import { useStopwatch } from '../../sheet/useStopwatch.ts';

interface StandProps {
  bench: BenchNow;
  sheets: Readonly<Record<string, StepSheet>>;
  first: string;
  onLeave: (id: string) => void;
}

/**
 * One step, full screen, read at arm's length and worked with a knuckle: next, back, done by wide plates, by space bar
 * and arrows, or by a foot pedal that sends page up and down.
 */
export function StandView({ bench, sheets, first, onLeave }: StandProps) {
  const build = useBuild();
  const { mark, unmark } = useMarking();
  const [id, setId] = useState(first);
  const [more, setMore] = useState(false);
  const [aloud, setAloud] = useState(false);
  const [witness, setWitness] = useState('');
  const [asked, setAsked] = useState(false);
  const step = bench.byId.get(id) ?? bench.ahead[0] ?? (bench.steps[0] as BuildStep);
  const sheet = sheets[step.id];
  const watch = useStopwatch(`${build.id} ${step.id}`);
  useSpoken(aloud ? step : null, sheet);

  // In the order of the bench, past what is done; back goes to what was done as well.
  const at = bench.steps.indexOf(step);
  const next = bench.steps.slice(at + 1).find((s) => s.doneOn === null) ?? bench.ahead.find((s) => s !== step);
  const back = bench.steps[at - 1];
  const go = (to: BuildStep | undefined): void => {
    if (!to) return;
    setId(to.id);
    setWitness('');
    setAsked(false);
  };
  const needsWitness = sheet?.hold?.by === 'another' && step.doneOn === null;
  const done = (): void => {
    if (step.doneOn !== null) {
      go(next);
      return;
    }
    if (needsWitness && witness.trim() === '') {
      setAsked(true);
      return;
    }
    const minutes = watch.minutes();
    mark(step, {
      ...(minutes === null ? {} : { minutes }),
      ...(witness.trim() === '' ? {} : { witness: { by: witness.trim(), at: thisMinute() } }),
    });
    watch.clear();
    go(next);
  };

  const left = bench.ahead.length;
  return (
    <StandFrame
      label="One step at a time"
      of="The step"
      head={
        <>
          <strong>{step.place}</strong> · {at + 1} of {bench.steps.length}
          {step.doneOn !== null ? ' · done' : ''}
        </>
      }
      plates={
        <button type="button" className="stand-small" aria-pressed={aloud} onClick={() => setAloud(!aloud)}>
          {aloud ? 'Voice on' : 'Voice off'}
        </button>
      }
      watch={watch}
      plain={!sheet?.figure}
      at={step.id}
      done={{ words: step.doneOn !== null ? 'Is done' : left === 1 ? 'Done, the last' : 'Done', act: done }}
      back={back ? () => go(back) : null}
      next={next ? () => go(next) : null}
      onLeave={() => onLeave(step.id)}
    >
      <div className="stand-words">
        <h2>
          <Say words={step.title} />
        </h2>
        {step.hands === 2 ? <p className="stand-line">Two people.</p> : null}
        {sheet?.caution ? (
          <p className="stand-care">
            <strong>Take care.</strong> {sheet.caution.text} Ask {sheet.caution.ask}.
          </p>
        ) : null}
        {sheet && sheet.list.length > 0 ? (
          <ul className="stand-things">
            {sheet.list.map((words, i) => (
              <li key={i}>
                <Say words={words} />
              </li>
            ))}
          </ul>
        ) : null}
        {sheet?.tightness.map((t) => (
          <p key={t.id} className="stand-tight">
            <span className="stand-figure num">
              <Show value={amount(t.usual, 'torque', t.usual < 3 ? 1 : 0)} />
            </span>
            <span>
              {t.what}; <Show value={amount(t.least, 'torque', t.least < 3 ? 1 : 0)} /> to{' '}
              <Show value={amount(t.most, 'torque', t.most < 3 ? 1 : 0)} />
            </span>
          </p>
        ))}
        {sheet && sheet.tightness.length > 0 ? (
          <p className="stand-line">The maker’s figure on the part counts first.</p>
        ) : null}
        {sheet?.thread ? <p className="stand-line">{sheet.thread}</p> : null}
        {sheet?.right ? (
          <p className="stand-line">
            <strong>Right when:</strong> {sheet.right}
          </p>
        ) : null}
        {sheet?.hold ? (
          <p className="stand-line">
            <strong>{sheet.hold.by === 'another' ? 'Another looks:' : 'Hold:'}</strong> {sheet.hold.what}
          </p>
        ) : null}
        <Before step={step} bench={bench} />
      </div>
      <div className="stand-side">
        {sheet?.figure ? <StepFigure id={sheet.figure} /> : null}
        <ToolsLine step={step} />
      </div>
      {needsWitness ? (
        <label className="stand-field">
          Who else has looked
          <input
            value={witness}
            maxLength={60}
            aria-invalid={asked}
            onChange={(event) => {
              setWitness(event.currentTarget.value);
              setAsked(false);
            }}
          />
          {asked ? <span role="alert">Held until somebody else has looked: write who.</span> : null}
        </label>
      ) : null}
      <button type="button" className="stand-small stand-more" aria-expanded={more} onClick={() => setMore(!more)}>
        {more ? 'Less' : 'Stubborn, photo, note'}
      </button>
      {more ? (
        <div className="stand-extra">
          {sheet?.stubborn ? (
            <p className="stand-line">
              <strong>Stubborn:</strong> {sheet.stubborn}
            </p>
          ) : null}
          {sheet?.shoot ? (
            <p className="stand-line">
              <strong>Photograph:</strong> {sheet.shoot}
            </p>
          ) : null}
          <Photos id={`step:${step.id}`} label={`step ${step.id}`} camera />
          {step.doneOn !== null ? (
            <>
              <label className="stand-field">
                Note
                <textarea
                  rows={2}
                  maxLength={2000}
                  value={build.bench.done[step.id]?.note ?? ''}
                  onChange={(event) => mark(step, { note: event.currentTarget.value })}
                />
              </label>
              <button type="button" className="stand-small" onClick={() => unmark(step)}>
                Not done after all
              </button>
            </>
          ) : (
            <p className="stand-line">A note is written once the step is done.</p>
          )}
        </div>
      ) : null}
    </StandFrame>
  );
}

/** What it comes after and is not done yet. */
function Before({ step, bench }: { step: BuildStep; bench: BenchNow }) {
  const missing = step.after.flatMap((a) => {
    const before = bench.byId.get(a.step);
    return before?.doneOn === null ? [before] : [];
  });
  const waits = bench.waits(step);
  if (step.doneOn !== null || missing.length + waits.length === 0) return null;
  return (
    <p className="stand-line stand-later">
      <strong>Not yet.</strong>{' '}
      {missing.length > 0 ? (
        <>
          First: <Say words={(missing[0] as BuildStep).title} />
          {missing.length > 1 ? `, and ${missing.length - 1} more` : ''}.
        </>
      ) : (
        `Waits ${waits.join(', ')}.`
      )}
    </p>
  );
}

function ToolsLine({ step }: { step: BuildStep }) {
  const shelf = useShelf();
  if (step.tools.length === 0) return null;
  return (
    <p className="stand-line stand-tools">{step.tools.map((id) => partById(shelf, id)?.name ?? id).join(' · ')}</p>
  );
}
