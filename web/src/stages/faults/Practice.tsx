import { Button, NumberInput } from '@mantine/core';
import {
  answerOf,
  answerWords,
  anyVehicle,
  askable,
  causesNow,
  seeded,
  faultOf,
  faultTestOf,
  faultWords,
  hideFault,
  repairFor,
  repairOf,
  searchNow,
  symptoms,
  type FaultAnswer,
  type FaultFacts,
  type HiddenFault,
} from '@sprocket/core';
import { useMemo, useState } from 'react';
import { weightWords } from './words.ts';
import { Words } from '../../ui/Show.tsx';

/** The finder's own way to the same fault: the answers it would have got by the same noise. */
function finderWay(
  facts: FaultFacts,
  hidden: HiddenFault,
  seed: number,
): { tests: string[]; minutes: number; repair: string } {
  const answers: FaultAnswer[] = [];
  for (;;) {
    const found = searchNow({ facts, symptom: hidden.symptom, answers, tools: null, most: 'ride' });
    if (!found.next || answers.length > 40)
      return {
        tests: answers.map((a) => a.test),
        minutes: answers.reduce((sum, a) => sum + (faultTestOf(a.test)?.minutes ?? 0), 0),
        repair: found.leading.id,
      };
    answers.push({ test: found.next.test, outcome: honest(hidden, found.next.test, seed) });
  }
}

/** The same test of the same hidden fault gives the same answer, whoever asks and whenever. */
function honest(hidden: HiddenFault, test: string, seed: number): string {
  const salt = Array.from(test).reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) | 0, 7);
  return answerOf(test, hidden.fault, seeded((seed * 7919) ^ salt));
}

/** A simulated vehicle with a hidden fault: an apprentice picks tests, sees honest outcomes, and the minutes run up. */
export function Practice({ facts }: { facts: FaultFacts | null }) {
  const vehicle = facts ?? anyVehicle;
  const [seed, setSeed] = useState(1);
  const hidden = useMemo(() => hideFault(vehicle, seeded(seed)), [vehicle, seed]);
  const [answers, setAnswers] = useState<FaultAnswer[]>([]);
  const [named, setNamed] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string[]>([]);
  const begin = (next: number): void => {
    setSeed(next);
    setAnswers([]);
    setNamed(null);
    setWrong([]);
  };
  const search = { facts: vehicle, symptom: hidden.symptom, answers, tools: null, most: 'ride' as const };
  const tests = askable(search);
  const minutes =
    answers.reduce((sum, a) => sum + (faultTestOf(a.test)?.minutes ?? 0), 0) +
    wrong.reduce((sum, r) => sum + (repairOf(r)?.minutes ?? 0), 0);
  const repairs = useMemo(
    () => [...new Set(causesNow({ ...search, answers: [] }).map((c) => repairFor(c.id)))].sort(),
    // oxlint-disable-next-line react/exhaustive-deps
    [vehicle, hidden],
  );
  const right = repairFor(hidden.fault);
  const symptom = symptoms.find((s) => s.id === hidden.symptom);
  const name = (repair: string): void => {
    if (repair === right) setNamed(repair);
    else setWrong([...wrong, repair]);
  };
  const way = named === null ? null : finderWay(vehicle, hidden, seed);
  const areas = [...new Set(tests.map((t) => t.area))];
  return (
    <div className="looking">
      <section className="card practice" aria-labelledby="practice-title">
        <div className="section-head">
          <h2 id="practice-title">A vehicle comes in</h2>
          <NumberInput
            aria-label="Number of the hidden fault"
            prefix="no. "
            value={seed}
            min={1}
            max={9999}
            allowDecimal={false}
            w={110}
            onChange={(v) => {
              if (typeof v === 'number' && v >= 1) begin(v);
            }}
          />
          <Button variant="default" onClick={() => begin(seed + 1)}>
            Another
          </Button>
        </div>
        <p className="practice-says">“{symptom?.words}.”</p>
        <p>
          <strong className="num">{minutes} min</strong> gone, {answers.length}{' '}
          {answers.length === 1 ? 'test' : 'tests'}
          {wrong.length > 0 ? `, ${wrong.length} wrong repairs` : ''}.
        </p>
        {named === null ? (
          <>
            {areas.map((area) => (
              <details key={area} open={areas.length < 4 || area === areas[0] || undefined}>
                <summary>{area}</summary>
                <ul className="bare-list">
                  {tests
                    .filter((t) => t.area === area)
                    .map((t) => (
                      <li key={t.id}>
                        <button
                          type="button"
                          className="link-button practice-test"
                          onClick={() => setAnswers([...answers, { test: t.id, outcome: honest(hidden, t.id, seed) }])}
                        >
                          <Words>{t.ask}</Words>
                        </button>{' '}
                        <span className="quiet">{t.minutes} min</span>
                      </li>
                    ))}
                </ul>
              </details>
            ))}
            <details className="practice-name">
              <summary>I know it: name the repair</summary>
              <ul className="bare-list">
                {repairs.map((r) => (
                  <li key={r}>
                    <button
                      type="button"
                      className="link-button practice-test"
                      disabled={wrong.includes(r)}
                      onClick={() => name(r)}
                    >
                      {repairOf(r)?.words}
                    </button>
                    {wrong.includes(r) ? (
                      <span className="quiet"> did not cure it, {repairOf(r)?.minutes} min lost</span>
                    ) : null}
                  </li>
                ))}
              </ul>
              <button type="button" className="link-button" onClick={() => setNamed('given up')}>
                Give up and show it
              </button>
            </details>
          </>
        ) : (
          <div className="practice-end">
            <h3>
              {named === right ? 'Found' : 'It was'}: {faultWords(hidden.fault).toLowerCase()}
            </h3>
            <p>
              <Words>{faultOf(hidden.fault)?.why ?? 'It stands in no list.'}</Words>
            </p>
            <p>
              Cure: {repairOf(right)?.words.toLowerCase()}. {repairOf(right)?.how}
            </p>
            <table className="practice-both">
              <tbody>
                <tr>
                  <th scope="row">You</th>
                  <td className="num">{minutes} min</td>
                  <td>{answers.map((a) => faultTestOf(a.test)?.ask).join(' → ') || 'no test'}</td>
                </tr>
                <tr>
                  <th scope="row">The finder</th>
                  <td className="num">{way?.minutes} min</td>
                  <td>
                    {way?.tests.map((t) => faultTestOf(t)?.ask).join(' → ')}
                    {way && way.repair !== right
                      ? ` (and would have named: ${repairOf(way.repair)?.words.toLowerCase() ?? ''})`
                      : ''}
                  </td>
                </tr>
              </tbody>
            </table>
            <Button onClick={() => begin(seed + 1)}>The next one</Button>
          </div>
        )}
      </section>
      <section className="card looking-side" aria-labelledby="seen-title">
        <h3 id="seen-title">Seen so far</h3>
        {answers.length === 0 ? (
          <p className="quiet">Nothing yet. Cheap looks first; one wrong part costs an evening.</p>
        ) : null}
        <ol className="answer-rows">
          {answers.map((a) => (
            <li key={a.test}>
              <Words>{faultTestOf(a.test)?.ask ?? ''}</Words>{' '}
              <strong>{a.outcome === null ? 'skipped' : answerWords(a.test, a.outcome)}</strong>
            </li>
          ))}
        </ol>
        {named !== null ? (
          <>
            <h3>What that left</h3>
            <ol className="answer-rows">
              {causesNow(search)
                .slice(0, 4)
                .map((c) => (
                  <li key={c.id}>
                    {faultWords(c.id)}, {weightWords(c.p)}
                  </li>
                ))}
            </ol>
          </>
        ) : null}
      </section>
    </div>
  );
}
