import type { ProofState } from '@sprocket/core';
import './proof.css';

export const proofWords: Record<ProofState, string> = {
  open: 'Not tried yet',
  pass: 'Passed',
  question: 'Open question',
  stop: 'Stop',
  wentPast: 'Gone past',
  notTried: 'Left untried',
};

/** The sign of how a test stands: a shape of its own for each, its word always beside it. */
export function ProofSign({ state }: { state: ProofState }) {
  return (
    <svg
      className={`proof-sign proof-${state}`}
      viewBox="0 0 16 16"
      width="1em"
      height="1em"
      aria-hidden="true"
      focusable="false"
    >
      {state === 'pass' ? <path className="proof-fill" d="M1.2 8.4l3-2.9 2.6 2.7 5.9-6.4 2.9 2.8-8.8 9.4z" /> : null}
      {state === 'question' ? <path className="proof-fill" d="M8 .4L15.6 8 8 15.6.4 8z" /> : null}
      {state === 'stop' ? <path className="proof-fill" d="M5 1h6l4 4v6l-4 4H5l-4-4V5z" /> : null}
      {state === 'wentPast' ? (
        <>
          <path className="proof-line" d="M5 1h6l4 4v6l-4 4H5l-4-4V5z" />
          <path className="proof-line" d="M3 13L13 3" />
        </>
      ) : null}
      {state === 'notTried' ? <circle className="proof-line" cx="8" cy="8" r="6" strokeDasharray="3 2.4" /> : null}
      {state === 'open' ? <circle className="proof-line" cx="8" cy="8" r="6" /> : null}
    </svg>
  );
}
