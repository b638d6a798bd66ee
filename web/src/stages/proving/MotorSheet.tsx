import type { ProofSheet, ProofTest } from '@sprocket/core';
import { Link, useParams } from 'react-router';
import { BandMark } from '../../sheet/BandMark.tsx';
import { proofWords, ProofSign } from '../../sheet/ProofSign.tsx';
import { useBuild } from '../../store/store.ts';
import { Said } from './TestList.tsx';

/** What is tried of motor and sensors by themselves, wheel in the air, then on hill and marks. */
const groups: readonly { name: string; what: string; tests: readonly string[] }[] = [
  {
    name: 'Turns right',
    what: 'Direction, growl, free spin: before any power that counts.',
    tests: ['direction', 'free-spin', 'two-minutes'],
  },
  {
    name: 'Sensors',
    what: 'Their 5 V, each hall, cadence, shift.',
    tests: ['meter:supply', 'meter:halls', 'cadence-starts', 'cadence-ends', 'shift-cuts', 'throttle-ends'],
  },
  {
    name: 'Full power in the air',
    what: 'Speed tells the volts and the winding, current its losses.',
    tests: ['no-load'],
  },
  {
    name: 'Hill hold and brake stops',
    what: 'By marks on the road: what it can start on it must stop on.',
    tests: ['hill-hold', 'hill-start', 'stop-15', 'stop-25', 'stop-full'],
  },
];

/** A motor without halls, or with one dead, and what is told from how it starts. */
const growls: readonly [string, string][] = [
  ['Growls at rest, runs when pushed', 'a hall sensor is dead, or its core broken'],
  ['Growls, runs or not as it pleases', 'phases or halls in the wrong order: the phase finder'],
  ['Jerks once and stands', 'a phase is open: touch phases two by two, each pair must be stiff'],
  ['Runs, and draws twice the current in the air', 'phases fit the halls only nearly: try the other two turnings'],
  ['Has no halls and shudders before it starts', 'as it is made: it finds its place first; push off'],
];

export function MotorSheet({ sheet }: { sheet: ProofSheet }) {
  const { buildId = '' } = useParams();
  const { phases } = useBuild().wiring;
  const found = (id: string): ProofTest | undefined => sheet.tests.find((t) => t.id === id);
  const load = found('no-load');
  return (
    <div className="motor-sheet">
      {groups.map(({ name, what, tests }) => {
        const here = tests.flatMap((id) => found(id) ?? []);
        return here.length === 0 ? null : (
          <section key={name} className="card" aria-label={name}>
            <div className="section-head">
              <h2>{name}</h2>
              <span className="quiet">{what}</span>
            </div>
            <ul className="test-rows">
              {here.map((t) => (
                <li key={t.id}>
                  <Link
                    className={`test-row test-${t.state}`}
                    to={`/build/${buildId}/proving#test-${encodeURIComponent(t.id)}`}
                  >
                    <ProofSign state={t.state} />
                    <span>
                      {t.title}
                      <span className="sr">, {proofWords[t.state].toLowerCase()}</span>
                    </span>
                    <span className="test-said">
                      <Said test={t} />
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
            {tests.includes('no-load') && load
              ? load.readings.map((r) =>
                  r.band ? (
                    <figure key={r.id} className="band-figure">
                      <figcaption>{r.what}</figcaption>
                      <BandMark reading={r} band={r.band} />
                    </figure>
                  ) : null,
                )
              : null}
          </section>
        );
      })}
      <section className="card" aria-label="Phases and halls">
        <div className="section-head">
          <h2>Phases, halls and growl</h2>
          <Link to={`/build/${buildId}/wiring`}>Phase finder, Wiring</Link>
        </div>
        <p className="quiet">
          {phases.length === 0
            ? 'No try of phases written down.'
            : `${phases.length} tries of phases written down, the last ${phases.at(-1)?.saw}.`}
        </p>
        <table className="band-sum">
          <tbody>
            {growls.map(([how, means]) => (
              <tr key={how}>
                <th scope="row">{how}</th>
                <td>{means}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
