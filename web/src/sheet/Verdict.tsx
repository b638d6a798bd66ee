import { verdictWords, type Verdict } from '@sprocket/core';

const shapes: Record<Verdict, string> = {
  // an eight-sided plate, a file, a rule, a tick
  stop: 'M5 1h6l4 4v6l-4 4H5l-4-4V5z',
  rework: 'M10.6 1.2l4.2 4.2-1.5 1.5-4.2-4.2zM8.3 3.5l4.2 4.2-6.8 6.8-4.7.6.5-4.8z',
  measure: 'M0.5 4.5h15v7h-15zM3 4.5v3M6 4.5v4.2M9 4.5v3M12 4.5v4.2',
  fits: 'M1.2 8.4l3-2.9 2.6 2.7 5.9-6.4 2.9 2.8-8.8 9.4z',
};

/** The sign of a verdict: shape and colour. Always beside its word. */
export function VerdictSign({ verdict }: { verdict: Verdict }) {
  return (
    <svg
      className={`sign sign-${verdict}`}
      viewBox="0 0 16 16"
      width="1em"
      height="1em"
      aria-hidden="true"
      focusable="false"
    >
      <path d={shapes[verdict]} {...(verdict === 'measure' ? { className: 'sign-line' } : {})} />
    </svg>
  );
}

/** A verdict as sign and word, with a count where there are several. */
export function VerdictMark({ verdict, count }: { verdict: Verdict; count?: number }) {
  return (
    <span className={`verdict verdict-${verdict}`}>
      <VerdictSign verdict={verdict} />
      {count !== undefined && count > 1 ? <span className="num">{count}</span> : null}
      <span>{verdictWords[verdict]}</span>
    </span>
  );
}
