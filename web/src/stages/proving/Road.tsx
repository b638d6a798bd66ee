import type { ProofSheet, ProofTest } from '@sprocket/core';
import { proofWords, ProofSign } from '../../sheet/ProofSign.tsx';

interface RoadProps {
  sheet: ProofSheet;
  test: ProofTest;
  onTest: (id: string) => void;
}

const gateSays = {
  through: 'through',
  open: 'at this gate now',
  held: 'held by a stop',
  ahead: 'not reached yet',
} as const;

/** The protocol as a road: a stone for each test, a barrier after each stretch that lifts when all before it is through. */
export function Road({ sheet, test, onTest }: RoadProps) {
  return (
    <ol className="proof-road" aria-label="Gates of proving">
      {sheet.gates.map((gate) => {
        const here = sheet.tests.filter((t) => t.gate === gate.id);
        const next = here.find((t) => t.state === 'stop') ?? here.find((t) => t.state === 'open') ?? here[0];
        const lit = test.gate === gate.id;
        return (
          <li key={gate.id} className={`gate gate-${gate.state}${lit ? ' gate-lit' : ''}`}>
            <button type="button" onClick={() => next && onTest(next.id)} aria-current={lit ? 'step' : undefined}>
              <span className="gate-name">{gate.name}</span>
              <span className="stones" aria-hidden="true">
                {here.map((t) => (
                  <span
                    key={t.id}
                    className={t.id === test.id ? 'stone stone-lit' : 'stone'}
                    title={`${t.title}: ${proofWords[t.state].toLowerCase()}`}
                  >
                    <ProofSign state={t.state} />
                  </span>
                ))}
              </span>
              <svg
                className="barrier"
                viewBox="0 0 60 54"
                preserveAspectRatio="xMaxYMax meet"
                aria-hidden="true"
                focusable="false"
              >
                <path className="post" d="M10 50V24" />
                {gate.state === 'through' ? (
                  <path className="pole" d="M10 26L30 3" />
                ) : (
                  <path className="pole" d="M10 26H54" />
                )}
                {gate.state === 'held' ? <path className="pole-stop" d="M27 18h8l6 5v7l-6 5h-8l-6 -5v-7z" /> : null}
              </svg>
              <span className="gate-state">
                <span className="num">
                  {gate.tried}/{gate.total}
                </span>{' '}
                {gateSays[gate.state]}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
