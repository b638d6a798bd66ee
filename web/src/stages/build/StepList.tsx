import type { BuildStep, StepSheet } from '@sprocket/core';
import { Say } from '../../ui/Show.tsx';
import { longWords } from '../../ui/moments.ts';
import { StandingSign, standingWords } from './Signs.tsx';
import { StepPane } from './StepPane.tsx';
import type { BenchNow } from './useBench.ts';

interface StepListProps {
  bench: BenchNow;
  sheets: Readonly<Record<string, StepSheet>>;
  step: BuildStep;
  onStep: (id: string) => void;
}

/** Steps by place, what can be begun now first, and the sheet of the one in hand beside them. */
export function StepList({ bench, sheets, step, onStep }: StepListProps) {
  const places = [...new Set(bench.steps.map((s) => s.place))];
  const ready = bench.steps.filter((s) => bench.standing(s) === 'now');
  return (
    <div className="bench-two">
      <div className="bench-lists">
        <section aria-labelledby="can-begin" className="card">
          <div className="section-head">
            <h2 id="can-begin">Now</h2>
            <span className="quiet">what can be begun at this minute, in the best order</span>
          </div>
          {ready.length === 0 ? (
            <p>
              {bench.ahead.length === 0
                ? 'All is done: Proving comes next.'
                : 'Nothing can be begun before something comes or waits out.'}
            </p>
          ) : null}
          <ol className="step-rows">
            {ready.map((s) => (
              <StepRow
                key={s.id}
                step={s}
                bench={bench}
                sheet={sheets[s.id]}
                chosen={s === step}
                onStep={onStep}
                place
              />
            ))}
          </ol>
        </section>
        {places.map((place) => {
          const here = bench.steps.filter((s) => s.place === place);
          const done = here.filter((s) => s.doneOn !== null).length;
          return (
            <details key={place} className="card step-place" open={place === step.place || undefined}>
              <summary>
                <h3>{place}</h3>
                <span className="quiet num">
                  {done} of {here.length}
                </span>
                <span className="place-bar" aria-hidden="true">
                  <span style={{ inlineSize: `${(done / here.length) * 100}%` }} />
                </span>
              </summary>
              <ol className="step-rows">
                {here.map((s) => (
                  <StepRow key={s.id} step={s} bench={bench} sheet={sheets[s.id]} chosen={s === step} onStep={onStep} />
                ))}
              </ol>
            </details>
          );
        })}
      </div>
      <StepPane key={step.id} step={step} sheet={sheets[step.id]} bench={bench} onStep={onStep} />
    </div>
  );
}

function StepRow({
  step,
  bench,
  sheet,
  chosen,
  onStep,
  place = false,
}: {
  step: BuildStep;
  bench: BenchNow;
  sheet: StepSheet | undefined;
  chosen: boolean;
  onStep: (id: string) => void;
  place?: boolean;
}) {
  const standing = bench.standing(step);
  const before = step.after.map((a) => bench.byId.get(a.step)).find((s) => s !== undefined && s.doneOn === null);
  return (
    <li>
      <button
        type="button"
        className={`step-row step-${standing}`}
        data-step={step.id}
        aria-current={chosen ? 'step' : undefined}
        onClick={() => onStep(step.id)}
      >
        <StandingSign standing={standing} />
        <span className="step-words">
          <span className="sr">{standingWords[standing]}: </span>
          <Say words={step.title} />
          {standing === 'held' ? <span className="step-why">waits {bench.waits(step).join(', ')}</span> : null}
          {standing === 'later' && before ? (
            <span className="step-why">
              after: <Say words={before.title} />
            </span>
          ) : null}
          {place ? <span className="step-why">{step.place}</span> : null}
        </span>
        <span className="step-flags">
          {sheet?.hold ? (
            <span title={sheet.hold.by === 'another' ? 'somebody else looks' : 'hold point'}>
              {sheet.hold.by === 'another' ? '◎◎' : '◎'}
              <span className="sr">{sheet.hold.by === 'another' ? ' looked at by another' : ' hold point'}</span>
            </span>
          ) : null}
          <span className="num quiet">{longWords(step.minutes)}</span>
        </span>
      </button>
    </li>
  );
}
