import {
  decimals,
  faultTestOf,
  faultWords,
  lentThings,
  partById,
  repairOf,
  riskWords,
  type WouldBe,
} from '@sprocket/core';
import { useState } from 'react';
import { useShelf } from '../../sheet/PlanProvider.tsx';
import { weightWords } from './words.ts';
import { Words } from '../../ui/Show.tsx';

interface QuestionProps {
  test: string;
  bits: number;
  /** It tells the most a minute of all that can be asked. */
  best: boolean;
  would: readonly WouldBe[];
  onAnswer: (outcome: string | null) => void;
}

/** One question, how it is found out, and what each answer would say. */
export function Question({ test: id, bits, best, would, onAnswer }: QuestionProps) {
  const shelf = useShelf();
  const test = faultTestOf(id);
  const [held, setHeld] = useState<readonly string[]>([]);
  if (!test) return null;
  const lent: Readonly<Record<string, string>> = lentThings;
  return (
    <article className="card question" aria-labelledby="question-title">
      <p className="quiet">
        {test.area} · {test.minutes === 0 ? 'at once' : `${test.minutes} min`} · {riskWords[test.risk]}
        {test.tools.length > 0
          ? ` · ${test.tools.map((t) => (lent[t] ?? partById(shelf, t)?.name ?? t).toLowerCase()).join(', ')}`
          : ''}
      </p>
      <h2 id="question-title">
        <Words>{test.ask}</Words>
      </h2>
      <p>
        <Words>{test.how}</Words>
        {test.several ? ' Press all that apply.' : ''}
      </p>
      {test.risk === 'stand' ? (
        <p className="fault-care">Wheel in the air, fingers and sleeves away, a hand on the battery’s plug.</p>
      ) : null}
      {test.risk === 'live' ? (
        <p className="fault-care">
          Live leads: probes apart, nothing metal on the hands. Whoever is unsure asks somebody with a meter.
        </p>
      ) : null}
      <div className="plates">
        {test.outcomes.map((o) =>
          test.several ? (
            <button
              key={o.id}
              type="button"
              className="plate"
              aria-pressed={held.includes(o.id)}
              onClick={() => setHeld(held.includes(o.id) ? held.filter((id) => id !== o.id) : [...held, o.id])}
            >
              {o.words}
            </button>
          ) : (
            <button key={o.id} type="button" className="plate" onClick={() => onAnswer(o.id)}>
              {o.words}
            </button>
          ),
        )}
        {test.several ? (
          <button
            type="button"
            className="plate plate-done"
            disabled={held.length === 0}
            onClick={() => onAnswer(test.outcomes.flatMap((o) => (held.includes(o.id) ? [o.id] : [])).join('+'))}
          >
            {held.length > 1 ? `That is all: ${held.length} apply` : 'That is all'}
          </button>
        ) : null}
        <button type="button" className="plate plate-skip" onClick={() => onAnswer(null)}>
          Skip: cannot tell
        </button>
      </div>
      <details>
        <summary>What each answer would say</summary>
        <ul className="would-rows">
          {would.map((w) => (
            <li key={w.outcome}>
              <strong>{test.outcomes.find((o) => o.id === w.outcome)?.words}</strong>{' '}
              <span className="quiet">expected {weightWords(w.p)}:</span>{' '}
              {w.repair ? (
                <>then it is settled: {repairOf(w.repair)?.words.toLowerCase()}</>
              ) : (
                <>
                  {faultWords(w.leads.id).toLowerCase()} leads with {weightWords(w.leads.p)}
                </>
              )}
              {w.rulesOut.length > 0
                ? `; rules out ${w.rulesOut.map((f) => faultWords(f).toLowerCase()).join('; ')}`
                : ''}
              .
            </li>
          ))}
        </ul>
        <p className="quiet">
          It tells {decimals(bits, 2)} bits on the mean{best ? ': the most a minute of all that can be asked now' : ''}.
        </p>
      </details>
    </article>
  );
}
