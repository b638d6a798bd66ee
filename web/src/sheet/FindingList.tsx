import type { Finding, Verdict } from '@sprocket/core';
import { useSend } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';
import { Say } from '../ui/Show.tsx';
import { VerdictMark } from './Verdict.tsx';

/** Findings worst first; each opens its sum. Those that fit fold into one line until asked for. */
export function FindingList({ findings, title }: { findings: readonly Finding[]; title: string }) {
  const open = findings.filter((f) => f.verdict !== 'fits');
  const fits = findings.filter((f) => f.verdict === 'fits');
  if (findings.length === 0) return null;
  return (
    <section className="findings" aria-label={title}>
      <h2>{title}</h2>
      {open.length === 0 ? null : (
        <ul className="finding-list">
          {open.map((f) => (
            <FindingLine key={`${f.rule}${f.subject ?? ''}`} finding={f} />
          ))}
        </ul>
      )}
      {fits.length === 0 ? null : (
        <details className="fold">
          <summary>
            <VerdictMark verdict={'fits' satisfies Verdict} count={fits.length} />
            <span className="quiet">{fits.map((f) => f.title.toLowerCase()).join(' · ')}</span>
          </summary>
          <ul className="finding-list">
            {fits.map((f) => (
              <FindingLine key={`${f.rule}${f.subject ?? ''}`} finding={f} />
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

export function FindingLine({ finding }: { finding: Finding }) {
  const send = useSend();
  const remedy = finding.verdict === 'fits' ? undefined : finding.remedies[0];
  return (
    <li className={`finding edge-${finding.verdict}${finding.override ? ' overridden' : ''}`}>
      <button
        type="button"
        className="finding-open"
        onClick={() => send(uiActions.explained({ kind: 'finding', finding }))}
      >
        <span className="finding-head">
          <VerdictMark verdict={finding.verdict} />
          <strong>{finding.title}</strong>
          {finding.override ? <span className="overridden-word">overridden: {finding.override.reason}</span> : null}
        </span>
        <span className="finding-why">
          <Say words={finding.why} />
        </span>
        {remedy ? (
          <span className="finding-remedy">
            <span aria-hidden="true">→ </span>
            <Say words={remedy.text} />
          </span>
        ) : null}
      </button>
    </li>
  );
}
