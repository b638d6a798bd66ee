import { Button } from '@mantine/core';
import {
  amountText,
  surfaceWords,
  type Conditions,
  type ProofSheet,
  type ProofTest,
  type Result,
} from '@sprocket/core';
import { useBuild, useUnits } from '../../store/store.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { proofWords, ProofSign } from '../../sheet/ProofSign.tsx';
import { today } from '../../ui/today.ts';
import { Said } from './TestList.tsx';
import { dayText } from '../../ui/manner.ts';

/** What was tried, with what result, under what conditions; what was not, and why; what was gone past. */
export function Certificate({ sheet }: { sheet: ProofSheet }) {
  const build = useBuild();
  const plan = usePlan();
  const repairs = build.proving.repairs;
  const past = sheet.tests.filter((t) => t.state === 'wentPast');
  const not = sheet.tests.filter((t) => t.state === 'notTried');
  const open = sheet.tests.filter((t) => t.state === 'open');
  const people = [...new Set(build.proving.results.map((r) => r.by).filter((by) => by !== ''))];
  return (
    <section aria-labelledby="certificate-title">
      <div className="section-head no-print">
        <h2 id="certificate-title">Certificate</h2>
        <span className="quiet">of what was tried; it approves nothing</span>
        <Button variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <article className="card certificate">
        <header>
          <h3>
            Proved: {build.name}
            {build.variant ? `, ${build.variant}` : ''}
          </h3>
          <p>
            {plan.chosen.kit?.name ?? 'no kit'}, {plan.chosen.pack?.name ?? 'no battery'} · {dayText(today())}
          </p>
          <p className="certificate-sums">
            <span>
              <ProofSign state="pass" /> {count(sheet, 'pass')} passed
            </span>
            <span>
              <ProofSign state="question" /> {count(sheet, 'question')} open questions
            </span>
            <span>
              <ProofSign state="stop" /> {count(sheet, 'stop')} stop
            </span>
            <span>
              <ProofSign state="wentPast" /> {past.length} gone past
            </span>
            <span>
              <ProofSign state="notTried" /> {not.length} left untried
            </span>
            <span>
              <ProofSign state="open" /> {open.length} not tried yet
            </span>
          </p>
          {sheet.stops.length > 0 ? (
            <p className="certificate-stop">
              <strong>Do not ride it</strong> until:{' '}
              {sheet.tests
                .filter((t) => t.state === 'stop')
                .map((t) => t.title.toLowerCase())
                .join('; ')}
              .
            </p>
          ) : null}
        </header>
        <table className="proved">
          <thead>
            <tr>
              <th scope="col">Test</th>
              <th scope="col">Foretold</th>
              <th scope="col">Result</th>
              <th scope="col">Conditions</th>
            </tr>
          </thead>
          {sheet.gates.map((gate) => (
            <tbody key={gate.id}>
              <tr className="proved-gate">
                <th scope="rowgroup" colSpan={4}>
                  {gate.name}
                  {gate.tried === 0 ? <span className="quiet"> nothing tried</span> : null}
                </th>
              </tr>
              {sheet.tests
                .filter((t) => t.gate === gate.id && t.state !== 'open')
                .map((t) => (
                  <Row key={t.id} test={t} />
                ))}
            </tbody>
          ))}
        </table>
        {open.length > 0 ? (
          <p>
            <strong>Not tried:</strong> {open.map((t) => t.title.toLowerCase()).join('; ')}.
          </p>
        ) : null}
        {repairs.length > 0 ? (
          <p>
            <strong>Mended on the way:</strong>{' '}
            {repairs
              .map((r) => `${r.words.toLowerCase()}${build.bench.done[`repair:${r.id}`] ? '' : ' (still to do)'}`)
              .join('; ')}
            .
          </p>
        ) : null}
        <p className="certificate-foot">
          This sheet says what was tried and read, not that the vehicle is safe or lawful: local rules and qualified
          people have the last word. {people.length > 0 ? `Tried by ${people.join(', ')}.` : ''}
        </p>
        <p className="certificate-lines">
          <span>Tried by</span>
          <span>Witness</span>
          <span>Date</span>
        </p>
      </article>
    </section>
  );
}

const count = (sheet: ProofSheet, state: ProofTest['state']): number =>
  sheet.tests.filter((t) => t.state === state).length;

function Row({ test }: { test: ProofTest }) {
  const units = useUnits();
  const bands = test.readings.flatMap((r) =>
    r.band && r.value !== null
      ? [
          `${amountText({ si: r.band.low, dimension: r.dimension, ...(r.digits === undefined ? {} : { digits: r.digits }) }, units)} to ${amountText({ si: r.band.high, dimension: r.dimension, ...(r.digits === undefined ? {} : { digits: r.digits }) }, units)}`,
        ]
      : [],
  );
  return (
    <tr>
      <td>{test.title}</td>
      <td className="num">{bands.join('; ')}</td>
      <td>
        <ProofSign state={test.state} /> {proofWords[test.state]}
        {test.state === 'notTried' ? `: ${test.notTried?.reason ?? ''}` : ': '}
        {test.state === 'notTried' ? (
          test.notTried?.witness ? (
            ` (with ${test.notTried.witness.by})`
          ) : null
        ) : (
          <Said test={test} bare />
        )}
        {test.wentPast ? ` Reason: ${test.wentPast.reason}; witness ${test.wentPast.witness.by}.` : ''}
        {test.result?.note ? <span className="quiet"> {test.result.note}</span> : null}
      </td>
      <td className="quiet">{test.result ? <Under test={test} result={test.result} /> : null}</td>
    </tr>
  );
}

/** Conditions in a line: when, and what its band goes by as far as somebody looked. */
function Under({ test, result }: { test: ProofTest; result: Result }) {
  const units = useUnits();
  const { conditions, at } = result;
  const said: Record<keyof Conditions, string> = {
    charge: conditions.charge === null ? '' : `${Math.round(conditions.charge * 100)} % charge`,
    restV: conditions.restV === null ? '' : amountText({ si: conditions.restV, dimension: 'voltage' }, units),
    headwindMs:
      conditions.headwindMs === null
        ? ''
        : `wind ${amountText({ si: conditions.headwindMs, dimension: 'speed' }, units)}`,
    temperatureC:
      conditions.temperatureC === null
        ? ''
        : amountText({ si: conditions.temperatureC, dimension: 'temperature' }, units),
    massKg:
      conditions.massKg === null ? '' : amountText({ si: conditions.massKg, dimension: 'mass', digits: 0 }, units),
    surface: conditions.surface === null ? '' : surfaceWords[conditions.surface].toLowerCase(),
    wet: conditions.wet ? 'wet' : '',
    cog: conditions.cog === null ? '' : `${conditions.cog} teeth`,
  };
  return <>{[dayText(at), ...(test.asks ?? []).map((key) => said[key])].filter((s) => s !== '').join(', ')}</>;
}
