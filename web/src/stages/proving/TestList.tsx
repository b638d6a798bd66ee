import type { ProofSheet, ProofTest } from '@sprocket/core';
import { proofWords, ProofSign } from '../../sheet/ProofSign.tsx';
import { Show } from '../../ui/Show.tsx';
import { TestPane } from './TestPane.tsx';

interface TestListProps {
  sheet: ProofSheet;
  test: ProofTest;
  onTest: (id: string) => void;
}

/** Tests gate by gate, and the sheet of the one in hand beside them. */
export function TestList({ sheet, test, onTest }: TestListProps) {
  return (
    <div className="prove-two">
      <div className="prove-lists">
        {sheet.gates.map((gate) => {
          const here = sheet.tests.filter((t) => t.gate === gate.id);
          const open = gate.id === test.gate;
          return (
            <details key={`${gate.id} ${open}`} className="card prove-gate" open={open || undefined}>
              <summary>
                <h3>{gate.name}</h3>
                <span className="quiet">{gate.what}</span>
                <span className="num quiet">
                  {gate.tried} of {gate.total}
                </span>
              </summary>
              <ol className="test-rows">
                {here.map((t) => (
                  <li key={t.id}>
                    <button
                      type="button"
                      className={`test-row test-${t.state}`}
                      aria-current={t.id === test.id ? 'step' : undefined}
                      onClick={() => onTest(t.id)}
                    >
                      <ProofSign state={t.state} />
                      <span>{t.title}</span>
                      <span className="test-said">
                        <Said test={t} />
                      </span>
                    </button>
                  </li>
                ))}
              </ol>
            </details>
          );
        })}
      </div>
      <TestPane key={test.id} sheet={sheet} test={test} onTest={onTest} />
    </div>
  );
}

/** What a test came to, in a word or a figure; `bare` where its state is told already. */
export function Said({ test, bare = false }: { test: ProofTest; bare?: boolean }) {
  const read = test.readings.filter((r) => r.value !== null).slice(0, bare ? undefined : 1);
  const seen = test.sees?.find((s) => s.id === test.result?.saw);
  if (read.length > 0)
    return (
      <>
        {bare ? null : <span className="sr">{proofWords[test.state]}: </span>}
        {read.map((r, i) => (
          <span key={r.id}>
            {i > 0 ? '; ' : ''}
            <Show
              value={{
                si: r.value ?? 0,
                dimension: r.dimension,
                ...(r.digits === undefined ? {} : { digits: r.digits }),
              }}
            />
          </span>
        ))}
        {bare && seen ? `; ${seen.words}` : ''}
      </>
    );
  if (seen)
    return (
      <>
        {bare ? null : <span className="sr">{proofWords[test.state]}: </span>}
        {seen.words}
      </>
    );
  return <>{test.state === 'open' ? (test.safety ? 'safety' : '') : proofWords[test.state].toLowerCase()}</>;
}
