import type { BuildPlan, WorthAnswer } from '@sprocket/core';
import { Say } from '../../ui/Show.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';

const worthEdge: Record<WorthAnswer, string> = { yes: 'fits', even: 'rework', no: 'stop', unknown: 'measure' };

/** The two answers: can it take a kit, and is it worth one. */
export function TwoAnswers({ plan, onWorth }: { plan: BuildPlan; onWorth: () => void }) {
  const { can, worth } = plan;
  const { progress } = plan.donor;
  const most = worth.weighed.find((w) => w.label === worth.most);
  return (
    <div className="two-answers">
      <section className={`answer edge-${can.verdict}`} aria-labelledby="answer-can">
        <h2 id="answer-can">Can it?</h2>
        <p className="answer-words">
          <VerdictMark verdict={can.verdict} /> <strong>{can.words}</strong>
        </p>
        <p>
          <Say words={can.why} />
        </p>
        <p className="proof-line">
          <svg viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden="true" focusable="false">
            <rect width="100" height="6" className="proof-all" />
            <rect width={(100 * progress.proven) / Math.max(1, progress.total)} height="6" className="proof-done" />
          </svg>
          <span className="quiet num">
            {progress.proven} of {progress.total} proven
          </span>
        </p>
      </section>
      <section className={`answer edge-${worthEdge[worth.answer]}`} aria-labelledby="answer-worth">
        <h2 id="answer-worth">Is it worth it?</h2>
        <p className="answer-words">
          <strong>{worth.words}</strong>
        </p>
        <p>
          {most ? (
            <>
              <span className="quiet">Weighs most: </span>
              <Say words={most.says} />
            </>
          ) : (
            'Nobody has said yet how it rides, whom it fits or what else could be had.'
          )}
        </p>
        <p>
          <button type="button" className="link-button" onClick={onWorth}>
            What was weighed
          </button>
        </p>
      </section>
    </div>
  );
}
